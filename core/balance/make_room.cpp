#include "core/balance/make_room.h"

#include <cmath>
#include <set>

#include "core/balance/voices.h"
#include "core/shape/equaliser.h"

namespace isotonus {

namespace {

/// |H|^2 of a bell's analogue prototype, H(s) = (s^2 + s A / Q + 1) / (s^2 + s / (A Q) + 1), A = 10^(dB / 40).
double bell_power(double hz, double middle_hz, double db, double q) {
    const double a = std::pow(10.0, db / 40.0), w = hz / middle_hz, real = (1.0 - w * w) * (1.0 - w * w);
    return (real + w * w * a * a / (q * q)) / (real + w * w / (a * a * q * q));
}

/// A bell as wide as two auditory bands.
double width_q(double hz) { return hz / (2.0 * erb_hz(hz)); }

Bands factors_of(const RoomCut& cut) {
    Bands f;
    for (size_t b = 0; b < band_count; ++b)
        f[b] = static_cast<float>(bell_power(band_middle_hz(b), cut.hz, cut.db, cut.q));
    return f;
}

/// One hop in which the row sounds.
struct Hop {
    Bands own, rest;  ///< the row's, and the sum of the others'
    std::vector<Bands> others;
    std::array<bool, band_count> counts;
    void sum_up() {
        rest.fill(0.0f);
        for (const Bands& other : others)
            for (size_t b = 0; b < band_count; ++b) rest[b] += other[b];
    }
};

struct RoomSearch {
    const Thresholds normal;
    std::vector<TrackId> rows;  ///< of the others
    std::vector<Hop> hops;
    int64_t bands = 0;

    /// How many bands are heard that were not, when other n is lowered by these factors.
    int64_t brought(size_t n, const Bands& factors) const {
        int64_t more = 0;
        for (const Hop& hop : hops)
            for (size_t b = 0; b < band_count; ++b) {
                if (!hop.counts[b] || factors[b] > 0.995f) continue;
                const float rest = hop.rest[b], less = rest - hop.others[n][b] * (1.0f - factors[b]);
                more += heard(hop, b, less) && !heard(hop, b, rest) ? 1 : 0;
            }
        return more;
    }
    bool heard(const Hop& hop, size_t b, float rest) const {
        return hop.own[b] > normal.masked[b] * rest + normal.quiet[b];
    }
    int64_t heard_now() const {
        int64_t count = 0;
        for (const Hop& hop : hops)
            for (size_t b = 0; b < band_count; ++b) count += hop.counts[b] && heard(hop, b, hop.rest[b]) ? 1 : 0;
        return count;
    }
    double share() const { return static_cast<double>(heard_now()) / static_cast<double>(bands); }
};

/// Nothing when the row is not heard.
RoomSearch search_for(const RenderPlan& plan, TrackId id, const ExcitationOf& excitation, const Listening& listening) {
    RoomSearch search{Thresholds(listening.level_db_spl), {}, {}, 0};
    const std::vector<Voice> voices = voices_of(plan, excitation);
    const auto me = std::find_if(voices.begin(), voices.end(), [id](const Voice& v) { return v.id == id; });
    if (me == voices.end()) return search;
    for (const Voice& v : voices)
        if (v.id != id) search.rows.push_back(v.id);
    const int64_t end = (plan.frames + Excitation::hop_frames - 1) / Excitation::hop_frames;
    std::vector<Bands> own(static_cast<size_t>(end));
    float loudest = 0.0f;
    for (int64_t h = 0; h < end; ++h) {
        own[static_cast<size_t>(h)] = me->at(h, plan);
        loudest = std::max(loudest, top(own[static_cast<size_t>(h)]));
    }
    for (int64_t h = 0; h < end; ++h) {
        const Bands& mine = own[static_cast<size_t>(h)];
        const float strongest = top(mine);
        if (strongest <= loudest * hop_range || strongest <= 0.0f) continue;
        Hop hop{mine, {}, {}, {}};
        for (size_t b = 0; b < band_count; ++b) {
            hop.counts[b] = mine[b] >= strongest * band_range && mine[b] >= search.normal.quiet[b];
            search.bands += hop.counts[b] ? 1 : 0;
        }
        for (const Voice& v : voices)
            if (v.id != id) hop.others.push_back(v.at(h, plan));
        hop.sum_up();
        search.hops.push_back(std::move(hop));
    }
    return search;
}

}  // namespace

std::vector<CoveredBand> covered_bands(const RenderPlan& plan, TrackId id, const ExcitationOf& excitation,
                                       const Listening& listening) {
    const RoomSearch search = search_for(plan, id, excitation, listening);
    std::vector<CoveredBand> found;
    for (size_t b = 0; b < band_count; ++b) {
        size_t counted = 0, covered = 0;
        std::vector<double> over(search.rows.size());
        for (const Hop& hop : search.hops) {
            if (!hop.counts[b]) continue;
            ++counted;
            const float rest = hop.rest[b];
            if (rest <= 0.0f || search.heard(hop, b, rest)) continue;
            ++covered;
            for (size_t n = 0; n < over.size(); ++n) over[n] += static_cast<double>(hop.others[n][b] / rest);
        }
        if (counted == 0 || 10 * counted < search.hops.size()) continue;
        CoveredBand band;
        band.low_hz = hz_of_erb_number(static_cast<double>(b) + 1.0);
        band.high_hz = hz_of_erb_number(static_cast<double>(b) + 2.0);
        band.share = static_cast<double>(covered) / static_cast<double>(counted);
        if (covered > 0)
            band.most = search.rows[static_cast<size_t>(std::max_element(over.begin(), over.end()) - over.begin())];
        found.push_back(band);
    }
    return found;
}

bool has_lows_carried(const Session& session, const Track& track,
                      const std::function<const Measurement*(const Track&)>& measured) {
    constexpr std::array melodic{Family::guitars, Family::keys, Family::strings, Family::voices};
    if (wants_lows(track, measured(track))) return false;
    if (std::find(melodic.begin(), melodic.end(), family_of(track, measured(track))) == melodic.end()) return false;
    return std::any_of(session.tracks.begin(), session.tracks.end(),
                       [&](const auto& t) { return t->id != track.id && !t->mute && wants_lows(*t, measured(*t)); });
}

std::function<bool(TrackId)> may_make_room(const Session& session,
                                           const std::function<const Measurement*(const Track&)>& measured) {
    const bool anchored =
        std::any_of(session.tracks.begin(), session.tracks.end(), [](const auto& t) { return t->anchor; });
    std::set<TrackId> may;
    for (const auto& t : session.tracks)
        if (anchored ? !t->anchor : !wants_lows(*t, measured(*t))) may.insert(t->id);
    return [may = std::move(may)](TrackId id) { return may.contains(id); };
}

RoomProposal make_room(const RenderPlan& plan, TrackId id, const ExcitationOf& excitation, const Listening& listening,
                       const std::function<bool(TrackId)>& may_cut, const RoomWish& wish) {
    RoomSearch search = search_for(plan, id, excitation, listening);
    RoomProposal proposal;
    if (search.bands == 0) return proposal;
    proposal.before = proposal.after = search.share();
    std::vector<size_t> cuts_of(search.rows.size(), 0);
    while (proposal.cuts.size() < wish.most) {
        struct Best {
            int64_t brings = 0;
            size_t row = 0;
            RoomCut cut;
        } best;
        std::vector<Best> of_row(search.rows.size());
        parallel_for(std::ssize(search.rows), worker_count(), [&](int64_t at) {
            const auto n = static_cast<size_t>(at);
            if (cuts_of[n] >= wish.max_a_row || !may_cut(search.rows[n])) return;
            for (size_t b = 0; b < band_count; ++b) {
                const double hz = band_middle_hz(b);
                const bool taken = std::any_of(proposal.cuts.begin(), proposal.cuts.end(), [&](const RoomCut& c) {
                    return c.row == search.rows[n] && std::fabs(erb_number(c.hz) - erb_number(hz)) < 1.5;
                });
                if (taken) continue;
                const RoomCut cut{search.rows[n], hz, -wish.deepest_db, width_q(hz)};
                const int64_t brings = search.brought(n, factors_of(cut));
                if (brings > of_row[n].brings) of_row[n] = {brings, n, cut};
            }
        });
        for (const Best& b : of_row)
            if (b.brings > best.brings) best = b;
        if (static_cast<double>(best.brings) < wish.min_gain * static_cast<double>(search.bands) || best.brings == 0)
            break;
        // Half as deep, when that brings nearly as much.
        RoomCut gentle = best.cut;
        gentle.db /= 2.0;
        if (search.brought(best.row, factors_of(gentle)) * 10 >= best.brings * 9) best.cut = gentle;
        const Bands factors = factors_of(best.cut);
        for (Hop& hop : search.hops) {
            for (size_t b = 0; b < band_count; ++b) hop.others[best.row][b] *= factors[b];
            hop.sum_up();
        }
        ++cuts_of[best.row];
        proposal.cuts.push_back(best.cut);
    }
    proposal.after = search.share();
    return proposal;
}

Session with_room(const Session& session, const std::vector<RoomCut>& cuts) {
    Session next = session;
    for (const RoomCut& cut : cuts)
        next = with_chain(next, cut.row, [&](Chain& chain) { add_bell(chain, {cut.hz, cut.db, cut.q}); });
    return next;
}

}  // namespace isotonus
