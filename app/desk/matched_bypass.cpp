#include "app/desk/matched_bypass.h"

#include <fmt/format.h>

#include "core/mix/mixdown.h"

namespace isotonus {

MatchedBypass::MatchedBypass(Document& document, Materials& materials, QObject* parent)
    : QObject(parent), document_(document), materials_(materials) {
    connect(&document_, &Document::session_changed, this, &MatchedBypass::follow);
    connect(&document_, &Document::replaced, this, [this] {
        matches_.clear();
        rest_db_ = 0.0;
        rest_of_.clear();
        follow();
    });
    connect(&materials_, &Materials::reshaped, this, &MatchedBypass::follow);
    connect(&materials_, &Materials::finished, this, &MatchedBypass::follow);
}

Session MatchedBypass::heard(const Session& session) const {
    std::map<TrackId, double> db;
    for (const auto& [id, match] : matches_) db[id] = match.db;
    if (session.chains_out && rest_db_ != 0.0) db[main_output] += rest_db_;
    // What is heard may be another session than that which is worked on.
    const auto out = matched_chains(session);
    std::erase_if(db, [&](const auto& m) {
        const bool of_all = session.chains_out && m.first == main_output;
        return !of_all && std::find(out.begin(), out.end(), m.first) == out.end();
    });
    return with_bypasses_matched(session, db);
}

std::map<TrackId, SignalRecipe> MatchedBypass::recipes(const Session& session) const {
    std::map<TrackId, SignalRecipe> found;
    const MaterialOf known = materials_.known();
    const auto of_bus = [&](const SignalRecipe& recipe) {
        found[recipe.row] = recipe;
        return known.bus(recipe);
    };
    compile_plan(session, {known.track, of_bus}, Solo::left_out);
    for (const auto& track : session.tracks)
        if (auto recipe = materials_.recipe(session, *track)) found[track->id] = std::move(*recipe);
    return found;
}

void MatchedBypass::follow() {
    const Session& session = document_.session();
    const auto out = matched_chains(session);
    std::erase_if(matches_, [&](const auto& m) { return std::find(out.begin(), out.end(), m.first) == out.end(); });
    if (out.empty()) {
        rest_db_ = 0.0;
        rest_of_.clear();
        return;
    }
    std::map<TrackId, SignalRecipe> wanted;
    for (auto& [id, recipe] : recipes(with_chains_in(session, out))) {
        if (std::find(out.begin(), out.end(), id) == out.end()) continue;
        Match& match = matches_[id];
        std::string key = content_key(recipe);
        if (match.key == key && match.exact) continue;
        const MaterialPtr made = materials_.made(recipe);
        if (match.key.empty() && made) match.db = power_change_db(*signal_of(made));
        match = {std::move(key), match.db, false};
        wanted[id] = std::move(recipe);
    }
    if (!wanted.empty() && !running_) find_out(std::move(wanted));
    if (wanted.empty() && session.chains_out && !running_) find_rest();
}

void MatchedBypass::find_out(std::map<TrackId, SignalRecipe> recipes) {
    running_ = true;
    using Found = std::map<TrackId, std::pair<std::string, double>>;
    const auto work = [recipes = std::move(recipes)](Progress& progress) -> Result<Found> {
        Found found;
        for (const auto& [id, recipe] : recipes) {
            const auto db = loudness_change_db(recipe, &progress);
            if (!db) return tl::unexpected(db.error());
            found[id] = {content_key(recipe), *db};
        }
        return found;
    };
    jobs_.start(work, [this](const Result<Found>& found) {
        running_ = false;
        if (!found) return;
        for (const auto& [id, of] : *found)
            if (const auto at = matches_.find(id); at != matches_.end() && at->second.key == of.first)
                at->second.db = of.second, at->second.exact = true;
        emit changed();
        follow();
    });
}

/// All chains together: their channels are matched, and yet a limiter that is out makes a sum of them another one.
void MatchedBypass::find_rest() {
    std::string of;
    for (const auto& [id, match] : matches_) of += fmt::format("{} {} {}\n", id, match.key, match.db);
    if (of == rest_of_) return;
    running_ = true;
    Session in = document_.session();
    in.chains_out = false;
    const Session together = heard(in);
    const PlanPtr with = compile_plan(together, materials_.heard(together), Solo::left_out);
    rest_db_ = 0.0;
    const Session bypassed = heard(document_.session());
    const PlanPtr without = compile_plan(bypassed, materials_.heard(bypassed), Solo::left_out);
    const auto work = [with, without](Progress& progress) -> Result<double> {
        const auto a = measure_mix(with, &progress), b = measure_mix(without, &progress);
        if (!a || !b) return tl::unexpected(a ? b.error() : a.error());
        const Level in_lufs = a->measurement.integrated_lufs, out_lufs = b->measurement.integrated_lufs;
        return in_lufs && out_lufs ? *in_lufs - *out_lufs : 0.0;
    };
    jobs_.start(work, [this, of](const Result<double>& rest) {
        running_ = false;
        if (!rest) return;
        rest_db_ = *rest;
        rest_of_ = of;
        emit changed();
        follow();
    });
}

}  // namespace isotonus
