// Rides with many points: rendering with and without them, thinning, drafting.
//   bench_ride FILE...
#include <fmt/format.h>

#include <chrono>
#include <cmath>
#include <map>

#include "core/balance/track_draft.h"
#include "core/mix/compile_plan.h"
#include "core/mix/mixdown.h"
#include "core/ride/thin.h"

using namespace isotonus;

namespace {

double seconds(const std::function<void()>& work) {
    const auto start = std::chrono::steady_clock::now();
    work();
    return std::chrono::duration<double>(std::chrono::steady_clock::now() - start).count();
}

}  // namespace

int main(int argc, char** argv) {
    Session session = with_files({}, std::vector<fs::path>(argv + 1, argv + argc));
    std::map<TrackId, MaterialPtr> materials;
    for (const auto& t : session.tracks) {
        auto loaded = load_material(source_of(*t), session.sample_rate);
        if (!loaded) return fmt::print("{}\n", loaded.error().text()), 1;
        materials[t->id] = *loaded;
    }
    const MaterialOf material = [&](const Track& t) { return materials.at(t.id); };
    const auto render = [&](const Session& s) {
        const PlanPtr plan = compile_plan(s, material);
        return seconds([&] {
            (void)render_stretch(plan, {0, plan->frames}, 4096, [](std::span<const float>) { return Result<void>{}; });
        });
    };
    Session ridden = session;
    constexpr int points = 2000;
    for (const auto& t : session.tracks) {
        Curve c;
        const double length_s = materials.at(t->id)->measurement.duration_s();
        for (int n = 0; n < points; ++n)
            c.points.push_back({length_s * n / points, 3.0 * std::sin(n * 0.37 + static_cast<double>(t->id))});
        ridden = with_track(ridden, t->id,
                            [&](Track& x) { x.rides.set(Parameter::level, std::make_shared<const Curve>(c)); });
    }
    render(session);
    double without = 1e9, with = 1e9;  // the least of five, by turns: the machine is shared
    for (int round = 0; round < 5; ++round) {
        without = std::min(without, render(session));
        with = std::min(with, render(ridden));
    }
    fmt::print("rendering {} tracks: {:.2f} s without rides, {:.2f} s with {} points each: {:.2f} times as long\n",
               session.tracks.size(), without, with, points, with / without);
    Curve dense;
    for (int n = 0; n < 100000; ++n)
        dense.points.push_back({n * 0.002, 4.0 * std::sin(n * 0.0021) + 0.06 * std::sin(n * 1.7)});
    size_t left = 0;
    const double thinning = seconds([&] { left = thinned(dense).points.size(); });
    const double copying = seconds([&] { dense = Curve{std::vector<RidePoint>(dense.points)}; });
    fmt::print("thinning 100,000 points to {}: {:.1f} ms; copying them {:.1f} ms\n", left, 1e3 * thinning,
               1e3 * copying);
    const PlanPtr plan = compile_plan(ridden, material);
    size_t drafted = 0;
    const double drafting =
        seconds([&] { drafted = TrackDraft(*plan, plan->tracks[0].id, DraftBy::rest).draft(0.0, {}).points.size(); });
    fmt::print("a draft of {:.0f} s against {} tracks: {:.2f} ms, {} points\n", plan->duration_s(),
               plan->tracks.size() - 1, 1e3 * drafting, drafted);
    std::map<MaterialPtr, ExcitationPtr> known;
    const double listening = seconds([&] {
        for (const PlanPart& t : plan->parts)
            if (!known.contains(t.material)) known[t.material] = excitation_of(*t.material).value_or(nullptr);
    });
    const double heard = seconds([&] {
        const TrackId id = plan->tracks[0].id;
        const Margins margins = margins_of(
            *plan, id, [&](const MaterialPtr& m) { return known.at(m); }, Listening{});
        drafted = TrackDraft(*plan, id, DraftBy::heard, margins).draft(0.6, {}).points.size();
    });
    fmt::print("the same by what is heard: {:.1f} ms, {} points; listening to the tracks before, once: {:.2f} s\n",
               1e3 * heard, drafted, listening);
    return 0;
}
