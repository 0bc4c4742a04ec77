#include "core/mix/signal_graph.h"

#include <algorithm>

#include "core/mix/sum_of_rows.h"

namespace isotonus {

Result<MadeSignals> make(const SignalJob& job, Progress* progress) {
    Result<MaterialPtr> whole = job.whole;
    if (!job.whole) whole = job.begun ? job.begun->finish(progress) : make_signal(job.recipe, progress);
    if (!whole) return tl::unexpected(whole.error());
    MadeSignals made{*whole};
    for (const Source& s : job.bands) {
        auto band = make_band(*whole, s.band, s.crossover_hz, progress);
        if (!band) return tl::unexpected(band.error());
        made.push_back(std::move(*band));
    }
    return made;
}

namespace {

/// Of a track; nothing when it is there, or a sidechain source of it is not: then `missing` is called as by
/// RowSignals::recipe.
std::optional<SignalJob> job_of(const Session& session, const Track& track, const MaterialOf& files,
                                const RowSignals& made, const RowSignals::Missing& missing) {
    SignalJob job;
    job.key = made.key(session, track, files).value_or("");
    if (job.key.empty()) {
        made.recipe(session, track, files, missing);
        return std::nullopt;
    }
    if (track.mono_below_hz > 0.0)
        for (const Source& s : sources_of(track))
            if (!made.find(content_key_of_band(job.key, s.band, s.crossover_hz))) job.bands.push_back(s);
    job.whole = made.find(job.key);
    if (job.whole && job.bands.empty()) return std::nullopt;
    job.recipe = *made.recipe(session, track, files);
    return job;
}

}  // namespace

SignalWork next_work(const Session& session, const MaterialOf& files, const MaterialOf& played, const RowSignals& made,
                     const SignalsAsked& asked) {
    SignalWork work;
    const auto wants = [&](TrackId channel) { return !asked.wants || asked.wants(channel); };
    std::set<std::string> wanted;
    // A bus that a track listens to comes before that track, and is the one of the mix, whatever is soloed.
    const auto missing = [&](SignalRecipe recipe) {
        std::string key = content_key(recipe);
        if (!wants(recipe.row) || asked.given_up.contains(key) || asked.running.contains(recipe.row)) return;
        if (wanted.insert(key).second)
            work.jobs.push_back({.key = std::move(key),
                                 .recipe = std::move(recipe),
                                 .of_bus = true,
                                 .whole = {},
                                 .bands = {},
                                 .begun = {}});
    };
    for (const auto& track : session.tracks) {
        if (!is_shaped(session, *track) || !wants(track->id)) continue;
        auto job = job_of(session, *track, files, made, missing);
        if (!job || asked.given_up.contains(job->key) || asked.running.contains(track->id)) continue;
        if (wanted.insert(job->key).second) work.jobs.push_back(std::move(*job));
    }
    work.buses_asked = asked.buses && work.jobs.empty();
    if (!work.buses_asked) return work;

    // What depends on others reads them while they are made.  Only a plug-in's sound comes first as a whole, so that
    // there are as many rounds as such follow each other.
    const auto of_bus = [&](const SignalRecipe& recipe) -> MaterialPtr {
        std::string key = content_key(recipe);
        work.bus_keys[recipe.row] = key;
        wanted.insert(key);
        if (MaterialPtr there = made.find(key)) return there;
        if (const auto at = asked.running.find(recipe.row); at != asked.running.end() && at->second.key == key)
            return at->second.begun ? at->second.begun->material() : nullptr;
        if (!is_known(recipe) || !wants(recipe.row) || asked.given_up.contains(key)) return nullptr;
        const auto begun = asked.begin(recipe);
        work.jobs.push_back(
            {.key = std::move(key), .recipe = recipe, .of_bus = true, .whole = {}, .bands = {}, .begun = begun});
        return begun ? begun->material() : nullptr;
    };
    compile_plan(session, {played.track, of_bus}, asked.solo);
    for (const auto& [channel, running] : asked.running)
        if (!wanted.contains(running.key)) work.unwanted.push_back(channel);
    return work;
}

}  // namespace isotonus
