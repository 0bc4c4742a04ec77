#include "core/mix/row_signals.h"

#include <fmt/format.h>

#include <algorithm>
#include <mutex>

#include "core/files/spool.h"
#include "core/mix/signal_graph.h"
#include "core/mix/sum_of_rows.h"
#include "core/session/routing.h"
#include "core/shape/plugin_registry.h"

namespace isotonus {

PreFaderSource tap_of(const Session& session, const Track& track, const MaterialPtr& file) {
    PreFaderSource tap;
    tap.material = file;
    tap.delay_samples = start_in_song(track, file->origin());
    tap.gain = gain_from_db(track.trim_db) * (track.polarity_inverted ? -1.0 : 1.0);
    if (!session.rides_bypassed) tap.trim_ride = track.rides.heard(Parameter::trim);
    return tap;
}

Rides heard_rides(const Session& session, const Rides& rides) {
    Rides heard;
    if (session.rides_bypassed) return heard;
    for (const auto& [parameter, curve] : rides.all())
        if (parameter.processor() != 0) heard.set(parameter, rides.heard(parameter));
    return heard;
}

namespace {

/// The track without its bands: what a chain works on.
Track whole_of(const Track& track) {
    Track whole = track;
    whole.source.band = Band::all;
    whole.source.crossover_hz = 0.0;
    return whole;
}

}  // namespace

Track after_chain(const Track& track, const Material& played) {
    Track after = track;
    if (!signal_of(played)) return after;
    after.trim_db = after.delay_samples = 0.0;
    after.polarity_inverted = false;
    after.rides.set(Parameter::trim, nullptr);
    return after;
}

bool is_shaped(const Session& session, const Track& track) {
    return !session.chains_out && !track.chain_out && does_anything(track.chain, heard_rides(session, track.rides));
}

bool is_shaped(const Session& session, const Bus& bus) {
    return !session.chains_out && !bus.chain_out && does_anything(bus.chain, heard_rides(session, bus.rides));
}

bool is_main_shaped(const Session& session) {
    return !session.chains_out && !session.main_chain_out &&
           does_anything(session.main_chain, heard_rides(session, session.main_rides));
}

bool has_signal(const Session& session, const Bus& bus) { return is_shaped(session, bus) || !bus.sends.empty(); }

std::optional<SignalRecipe> RowSignals::recipe(const Session& session, const Track& track, const MaterialOf& files,
                                               const Missing& missing) const {
    const MaterialPtr file = files(track.source.band == Band::all ? track : whole_of(track));
    if (!file) return std::nullopt;
    SignalRecipe recipe;
    recipe.row = track.id;
    recipe.sample_rate = session.sample_rate;
    recipe.source = tap_of(session, track, file);
    recipe.chain = track.chain;
    recipe.rides = heard_rides(session, track.rides);
    for (const Processor& p : track.chain) {
        if (p.key == 0) continue;
        if (session.find_bus(p.key) || session.find_group(p.key)) {
            bool waits = false;
            const auto of_track = [&](const Track& t) {
                MaterialPtr there = played(session, t, files);
                waits |= !there && files(t);
                return there;
            };
            const auto of_bus = [&](const SignalRecipe& of) {
                MaterialPtr there = find(content_key(of));
                if (!there && !waits && missing && is_known(of)) missing(of);
                waits |= !there;
                return there;
            };
            recipe.keys[p.key] = *tap_of_sum(session, p.key, {of_track, of_bus});
            if (waits) return std::nullopt;
            continue;
        }
        const Track* key = session.find(p.key);
        if (!key) continue;
        const MaterialPtr key_file = files(*key);
        if (!key_file) continue;
        if (!is_shaped(session, *key)) {
            recipe.keys[p.key] = tap_of(session, *key, key_file);
            continue;
        }
        MaterialPtr signal = played(session, *key, files);
        if (!signal) return std::nullopt;
        recipe.keys[p.key] = PreFaderSource{std::move(signal), 0, 1.0, nullptr};
    }
    return recipe;
}

std::optional<SignalRecipe> RowSignals::recipe_of(const Session& session, TrackId channel,
                                                  const MaterialOf& files) const {
    if (const Track* track = session.find(channel)) return recipe(session, *track, files);
    std::optional<SignalRecipe> found;
    const MaterialOf plays = played_by(session, files);
    const auto of_bus = [&](const SignalRecipe& recipe) {
        if (recipe.row == channel) found = recipe;
        return plays.bus(recipe);
    };
    compile_plan(session, {plays.track, of_bus}, Solo::left_out);
    return found;
}

MaterialPtr RowSignals::played(const Session& session, const Track& track, const MaterialOf& files) const {
    if (!is_shaped(session, track)) return files(track);
    const auto known = key(session, track, files);
    return known ? find(content_key_of_band(*known, track.source.band, track.source.crossover_hz)) : nullptr;
}

std::optional<std::string> RowSignals::key(const Session& session, const Track& track, const MaterialOf& files) const {
    const auto form = [&]() -> std::optional<std::string> {
        const auto wanted = recipe(session, track, files);
        return wanted ? std::optional(content_key(*wanted)) : std::nullopt;
    };
    const bool alone = std::all_of(track.chain.begin(), track.chain.end(), [](const Processor& p) {
        return p.key == 0 && !is_plugin(p.type) && p.impulse.empty();  // these depend on more than the session
    });
    const auto held =
        std::find_if(session.tracks.begin(), session.tracks.end(), [&](const auto& t) { return t.get() == &track; });
    if (!alone || held == session.tracks.end()) return form();
    const MaterialPtr file = files(track);
    Keyed& known = keys_[track.id];
    if (known.track == *held && known.file == file && known.sample_rate == session.sample_rate &&
        known.rides_bypassed == session.rides_bypassed)
        return known.key;
    const auto formed = form();
    if (formed) known = {*held, file, session.sample_rate, session.rides_bypassed, *formed};
    return formed;
}

MaterialPtr RowSignals::find(const std::string& key) const {
    const auto at = made_.find(key);
    if (at == made_.end()) return nullptr;
    at->second.asked = time_;
    return at->second.material;
}

void RowSignals::forget_old() {
    constexpr int max_of_row = 3;
    std::vector<std::map<std::string, Made>::iterator> old;
    for (auto made = made_.begin(); made != made_.end(); ++made)
        if (made->second.asked < time_) old.push_back(made);
    std::sort(old.begin(), old.end(), [](auto a, auto b) { return a->second.asked > b->second.asked; });
    std::map<std::pair<TrackId, Band>, int> of_row;
    std::erase_if(old, [&](auto made) {
        const Material& material = *made->second.material;
        const bool kept = ++of_row[{signal_of(material)->recipe().row, material.origin().source.band}] <= max_of_row;
        if (!kept) made_.erase(made);
        return !kept;
    });
    // What is wanted next must find room.
    for (; !old.empty() && Spooled::bytes_in_use() > spool_budget_bytes / 4 * 3; old.pop_back())
        made_.erase(old.back());
    std::erase_if(keys_, [&](const auto& known) { return !made_.contains(known.second.key); });
    ++time_;
}

MaterialOf RowSignals::played_by(const Session& session, const MaterialOf& files) const {
    return {[this, &session, files](const Track& t) { return played(session, t, files); },
            [this](const SignalRecipe& recipe) { return find(content_key(recipe)); }};
}

Result<void> RowSignals::make_all(const Session& session, const MaterialOf& files, SignalsAsked asked,
                                  Progress* progress, int workers) {
    // As many rounds as sidechains and plug-ins follow each other.
    for (size_t round = 0; round <= session.tracks.size() + session.buses.size() + 1; ++round) {
        const auto jobs = next_work(session, files, played_by(session, files), *this, asked).jobs;
        if (jobs.empty()) break;
        // Signals of buses wait for each other.
        const bool wait = jobs.front().of_bus && workers > 1;
        const int at_once = wait ? workers_allowed().value_or(static_cast<int>(jobs.size())) : workers;
        std::vector<Result<MadeSignals>> made(jobs.size());
        parallel_for(std::ssize(jobs), at_once, [&](int64_t n) {
            made[static_cast<size_t>(n)] = isotonus::make(jobs[static_cast<size_t>(n)], progress);
        });
        for (const auto& signals : made) {
            if (!signals) return tl::unexpected(signals.error());
            for (const MaterialPtr& material : *signals) add(material);
        }
    }
    return {};
}

Result<void> RowSignals::make(const Session& session, const MaterialOf& files, Progress* progress, int workers,
                              Solo solo) {
    return make_all(session, files, {.solo = solo}, progress, workers);
}

Result<void> RowSignals::make_channel(const Session& session, TrackId channel, const MaterialOf& files) {
    const auto wants = [needed = needed_by(session, channel)](TrackId id) { return needed.contains(id); };
    return make_all(session, files, {.wants = wants}, nullptr, worker_count());
}

std::unique_ptr<StreamsAhead> RowSignals::stream(const Session& session, const MaterialOf& files, Solo solo,
                                                 int workers) {
    std::vector<MaterialPtr> streamed;
    const SignalsAsked asked{.solo = solo, .begin = BegunSignal::stream};
    for (size_t round = 0; round <= session.tracks.size() + session.buses.size() + 1; ++round) {
        const auto jobs = next_work(session, files, played_by(session, files), *this, asked).jobs;
        if (jobs.empty()) return std::make_unique<StreamsAhead>(std::move(streamed), workers);
        for (const SignalJob& job : jobs) {
            const auto begun = job.begun ? job.begun : BegunSignal::stream(job.recipe);
            if (!begun) {
                for (const MaterialPtr& m : streamed) made_.erase(m->sound->content_key());
                return nullptr;
            }
            streamed.push_back(begun->material());
            add(streamed.back());
            for (const Source& s : job.bands) add(band_of(begun->material(), s.band, s.crossover_hz));
        }
    }
    return nullptr;
}

}  // namespace isotonus
