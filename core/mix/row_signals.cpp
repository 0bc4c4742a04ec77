#include "core/mix/row_signals.h"

#include <fmt/format.h>

#include <algorithm>
#include <mutex>

namespace isotonus {

RowTap tap_of(const Session& session, const Track& track, const MaterialPtr& file) {
    RowTap tap;
    tap.material = file;
    tap.delay_samples = whole_delay(track);
    tap.gain = gain_from_db(track.trim_db) * (track.polarity_inverted ? -1.0 : 1.0);
    if (!session.rides_bypassed) tap.trim_ride = track.rides.heard(Parameter::trim);
    return tap;
}

namespace {

/// The rides that a chain hears: all of the row's, or none.
Rides heard_rides(const Session& session, const Rides& rides) {
    Rides heard;
    if (session.rides_bypassed || rides.bypassed) return heard;
    for (const auto& [parameter, curve] : rides.all())
        if (parameter.processor() != 0) heard.set(parameter, curve);
    return heard;
}

/// The track without its bands: what a chain works on.
Track whole_of(const Track& track) {
    Track whole = track;
    whole.source.band = Band::all;
    whole.source.crossover_hz = 0.0;
    return whole;
}

}  // namespace

std::string RowSignals::band_key(const std::string& key, Band band, double crossover_hz) {
    return band == Band::all ? key : fmt::format("{} {} {}", key, static_cast<int>(band), crossover_hz);
}

Track after_chain(const Track& track, const Material& played) {
    Track after = track;
    if (!played.signal) return after;
    after.trim_db = after.delay_samples = 0.0;
    after.polarity_inverted = false;
    after.rides.set(Parameter::trim, nullptr);
    return after;
}

bool is_shaped(const Session& session, const Track& track) {
    return !session.chains_out && !track.chain_out && does_anything(track.chain, heard_rides(session, track.rides));
}

std::optional<SignalRecipe> RowSignals::recipe(const Session& session, const Track& track,
                                               const MaterialOf& files) const {
    const MaterialPtr file = files(track.source.band == Band::all ? track : whole_of(track));
    if (!file) return std::nullopt;
    SignalRecipe recipe;
    recipe.sample_rate = session.sample_rate;
    recipe.source = tap_of(session, track, file);
    recipe.chain = track.chain;
    recipe.rides = heard_rides(session, track.rides);
    for (const Processor& p : track.chain) {
        const Track* key = p.key == 0 ? nullptr : session.find(p.key);
        if (!key) continue;
        const MaterialPtr key_file = files(*key);
        if (!key_file) continue;
        if (!is_shaped(session, *key)) {
            recipe.keys[p.key] = tap_of(session, *key, key_file);
            continue;
        }
        MaterialPtr signal = played(session, *key, files);
        if (!signal) return std::nullopt;
        recipe.keys[p.key] = RowTap{std::move(signal), 0, 1.0, nullptr};
    }
    return recipe;
}

MaterialPtr RowSignals::played(const Session& session, const Track& track, const MaterialOf& files) const {
    if (!is_shaped(session, track)) return files(track);
    const auto wanted = recipe(session, track, files);
    if (!wanted) return nullptr;
    return find(band_key(signal_key(*wanted), track.source.band, track.source.crossover_hz));
}

MaterialPtr RowSignals::find(const std::string& key) const {
    const auto at = made_.find(key);
    return at == made_.end() ? nullptr : at->second;
}

void RowSignals::keep_only(const std::set<std::string>& keys) {
    std::erase_if(made_, [&](const auto& made) { return !keys.contains(made.first); });
}

Result<void> RowSignals::make(const Session& session, const MaterialOf& files, Progress* progress, int workers) {
    // Rows whose keys are known, then those that listen to them: as many rounds as keys are chained.
    for (size_t round = 0; round <= session.tracks.size(); ++round) {
        struct Job {
            std::string key;
            SignalRecipe recipe;
            std::vector<Source> bands;
            Result<MaterialPtr> made = MaterialPtr();
            std::vector<std::pair<std::string, MaterialPtr>> parts = {};
        };
        std::vector<Job> jobs;
        for (const auto& track : session.tracks) {
            if (!is_shaped(session, *track)) continue;
            auto wanted = recipe(session, *track, files);
            if (!wanted) continue;
            std::string key = signal_key(*wanted);
            std::vector<Source> bands;
            if (track->low_centre_hz > 0.0)
                for (const Source& s : sources_of(*track))
                    if (!find(band_key(key, s.band, s.crossover_hz))) bands.push_back(s);
            if (find(key) && bands.empty()) continue;
            if (std::any_of(jobs.begin(), jobs.end(), [&](const Job& j) { return j.key == key; })) continue;
            jobs.push_back({std::move(key), std::move(*wanted), std::move(bands)});
        }
        if (jobs.empty()) return {};
        parallel_for(std::ssize(jobs), workers, [&](int64_t n) {
            Job& job = jobs[static_cast<size_t>(n)];
            const MaterialPtr known = find(job.key);
            job.made = known ? Result<MaterialPtr>(known) : make_signal(job.recipe, progress);
            for (const Source& s : job.bands) {
                if (!job.made) return;
                auto part = make_band(*job.made, s.band, s.crossover_hz, progress);
                if (part)
                    job.parts.emplace_back(band_key(job.key, s.band, s.crossover_hz), *part);
                else
                    job.made = tl::unexpected(part.error());
            }
        });
        for (Job& job : jobs) {
            if (!job.made) return tl::unexpected(job.made.error());
            made_[job.key] = *job.made;
            for (auto& [key, part] : job.parts) made_[key] = std::move(part);
        }
    }
    return {};
}

}  // namespace isotonus
