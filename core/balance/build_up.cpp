#include "core/balance/build_up.h"

#include <algorithm>
#include <cmath>

#include "core/session/routing.h"

namespace isotonus {

namespace {

bool any_word(const Track& t, std::initializer_list<const char*> words) {
    return std::any_of(words.begin(), words.end(), [&](const char* w) { return has_word(t.name, w); });
}
bool is_kick(const Track& t) { return has_word(t.name, "kick"); }
bool is_backbeat(const Track& t) { return any_word(t, {"snare", "clap"}); }
bool is_hat(const Track& t) { return any_word(t, {"hat", "hihat"}); }
bool is_melody(const Track& t) { return any_word(t, {"melody", "lead", "solo", "theme"}) && !any_word(t, {"counter"}); }
bool is_second_voice(const Track& t) {
    return any_word(t, {"hum", "choir", "backing", "bv", "double", "harmony", "adlib"});
}

int rank_of(const Track& t, BuildUpOrder order, Family f) {
    if (order == BuildUpOrder::beat) {
        if (is_kick(t)) return 0;
        if (f == Family::bass) return 1;
        if (is_backbeat(t)) return 2;
        if (is_hat(t)) return 3;
        if (is_melody(t)) return 4;
        if (f == Family::drums) return 5;
        return f == Family::effects ? 8 : 6;
    }
    if (order == BuildUpOrder::band) {
        if (is_kick(t) || is_backbeat(t)) return 0;
        if (f == Family::drums || f == Family::percussion) return 1;
        if (f == Family::bass) return 2;
        if (f == Family::keys || f == Family::guitars || f == Family::strings) return 3;
        if (f == Family::voices) return 5;
        return f == Family::effects ? 6 : 4;
    }
    return 0;
}

}  // namespace

MixRole role_of(const Track& t, Family f) {
    if (is_kick(t)) return MixRole::kick;
    if (f == Family::bass) return MixRole::bass;
    if (is_backbeat(t)) return MixRole::backbeat;
    if (is_hat(t) || f == Family::percussion) return MixRole::tops;
    if (f == Family::drums) return MixRole::drums;
    if (f == Family::voices) return is_second_voice(t) ? MixRole::second_voice : MixRole::lead;
    if (is_melody(t)) return MixRole::lead;
    if (has_word(t.name, "pad")) return MixRole::pad;
    if (f == Family::keys || f == Family::guitars || f == Family::strings) return MixRole::harmony;
    return f == Family::effects ? MixRole::effects : MixRole::other;
}

std::string role_name(MixRole role) {
    switch (role) {
        case MixRole::kick:
        case MixRole::bass:
            return translated("low end");
        case MixRole::backbeat:
            return translated("backbeat");
        case MixRole::lead:
            return translated("lead");
        case MixRole::drums:
            return translated("drums");
        case MixRole::tops:
            return translated("hats and percussion");
        case MixRole::harmony:
            return translated("keys, guitars and strings");
        case MixRole::second_voice:
            return translated("further voices");
        case MixRole::pad:
            return translated("pads");
        case MixRole::effects:
            return translated("effects and ambience");
        case MixRole::other:
            break;
    }
    return translated("other");
}

std::vector<TrackId> anchors_in_order(const Session& session) {
    const auto rank = [&](TrackId id) {
        return std::find(session.anchor_order.begin(), session.anchor_order.end(), id) - session.anchor_order.begin();
    };
    std::vector<TrackId> anchors;
    for (const auto& t : session.tracks)
        if (t->anchor) anchors.push_back(t->id);
    std::stable_sort(anchors.begin(), anchors.end(), [&](TrackId a, TrackId b) { return rank(a) < rank(b); });
    return anchors;
}

Session with_anchor_moved(const Session& session, TrackId id, int by) {
    Session next = session;
    next.anchor_order = anchors_in_order(session);
    const auto at = std::find(next.anchor_order.begin(), next.anchor_order.end(), id);
    const auto to = at - next.anchor_order.begin() + by;
    if (at == next.anchor_order.end() || to < 0 || to >= std::ssize(next.anchor_order)) return session;
    std::iter_swap(at, next.anchor_order.begin() + to);
    return next;
}

std::vector<TrackId> build_up_order(const Session& session, BuildUpOrder order, const FamilyOf& family,
                                    const std::vector<TrackId>& first) {
    const std::vector<TrackId> anchors = anchors_in_order(session);
    std::vector<std::pair<std::ptrdiff_t, TrackId>> ranks;
    for (const auto& t : session.tracks) {
        const bool picked = std::find(first.begin(), first.end(), t->id) != first.end();
        std::ptrdiff_t rank = picked ? 0 : 1;
        if (order == BuildUpOrder::anchors)
            rank = std::find(anchors.begin(), anchors.end(), t->id) - anchors.begin();
        else if (order != BuildUpOrder::own)
            rank = rank_of(*t, order, family(*t));
        ranks.emplace_back(rank, t->id);
    }
    std::stable_sort(ranks.begin(), ranks.end(), [](const auto& a, const auto& b) { return a.first < b.first; });
    std::vector<TrackId> ids;
    for (const auto& [rank, id] : ranks) ids.push_back(id);
    return ids;
}

double suggested_fader_db(const Session& session, const Track& track, const StartingLevels& levels) {
    const auto weight = [&](const Track& t) {
        switch (role_of(t, levels.family(t))) {
            case MixRole::kick:
            case MixRole::bass:
                return 0.0;
            case MixRole::backbeat:
                return -1.0;
            case MixRole::lead:
                return -2.0;
            case MixRole::drums:
                return -5.0;
            case MixRole::tops:
                return -9.0;
            case MixRole::harmony:
            case MixRole::pad:
                return -7.0;
            case MixRole::effects:
                return -14.0;
            case MixRole::second_voice:
            case MixRole::other:
                break;
        }
        return -8.0;
    };
    double of_one_source_db = 0.0;
    for (const auto& set : levels.microphones)
        if (is_among(set, track.id)) of_one_source_db = -db_from_gain(static_cast<double>(set.size()));
    if (track.anchor) return levels.anchors_db + of_one_source_db;
    double sum = 0.0;
    int count = 0;
    for (const auto& t : session.tracks)
        if (t->anchor && !t->mute && std::isfinite(t->fader_db)) sum += t->fader_db, ++count;
    return weight(track) + of_one_source_db + (count > 0 ? sum / count : levels.anchors_db);
}

Session with_suggested_faders(const Session& session, const StartingLevels& levels) {
    Session next = with_each_track(session, [](Track& t) { t.mute = false; });
    // Anchors first: the others follow them.
    for (const bool anchors : {true, false}) {
        const Session before = next;
        next = with_each_track(before, [&](Track& t) {
            if (t.anchor == anchors) t.fader_db = suggested_fader_db(before, t, levels);
        });
    }
    return next;
}

Result<double> anchors_start_at(const Session& session, const MaterialOf& material, StartingLevels levels,
                                MixPeaks& peaks, Progress* progress) {
    levels.anchors_db = 0.0;
    Session sum = with_suggested_faders(session, levels);
    sum.main_chain_out = true;
    for (Bus& b : sum.buses.change()) b.chain_out = true;
    const auto found = peaks.find(compile_plan(sum, material, Solo::left_out), progress);
    if (!found) return tl::unexpected(found.error());
    if (found->peak <= 0.0f) return 0.0;
    const double wanted = (session.targets.mains_low_dbfs + session.targets.mains_high_dbfs) / 2.0;
    const double by = wanted - db_from_gain(static_cast<double>(found->peak));
    return std::clamp(std::round(by * 10.0) / 10.0, -24.0, 6.0);
}

}  // namespace isotonus
