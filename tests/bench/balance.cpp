// Whole-song peak after a move, and audibility, on a folder of files: against rendering the whole mix.
#include <fmt/format.h>

#include <algorithm>
#include <chrono>
#include <cstdlib>
#include <map>

#include "core/balance/audibility.h"
#include "core/mix/compile_plan.h"
#include "core/mix/mix_peak.h"

using namespace isotonus;

namespace {

double seconds(const std::function<void()>& work) {
    const auto start = std::chrono::steady_clock::now();
    work();
    return std::chrono::duration<double>(std::chrono::steady_clock::now() - start).count();
}

}  // namespace

int main(int argc, char** argv) {
    std::vector<fs::path> files(argv + 1, argv + argc);
    Session session = with_files({}, files);
    std::map<TrackId, MaterialPtr> materials;
    for (const auto& t : session.tracks) {
        auto loaded = load_material(source_of(*t), session.sample_rate);
        if (!loaded) return fmt::print("{}\n", loaded.error().text()), 1;
        materials[t->id] = *loaded;
    }
    const MaterialOf material = [&](const Track& t) { return materials.at(t.id); };
    for (auto& t : session.tracks) session = with_track(session, t->id, [](Track& x) { x.fader_db = -12.0; });
    const PlanPtr start = compile_plan(session, material);
    const double all = seconds([&] {
        (void)render_stretch(start, {0, start->frames}, 4096, [](std::span<const float>) { return Result<void>{}; });
    });
    MixPeaks peaks;
    const double first = seconds([&] { (void)peaks.find(start); });
    const double settled = seconds([&] { (void)peaks.settle(start); });
    // A drag: one fader up and down in steps, a pan, the loudest track off and on; settled now and then as a pause
    // does.
    std::vector<double> moves;
    std::vector<double> rendered;
    uint32_t random = 1;
    for (int n = 0; n < 200; ++n) {
        random = random * 1664525u + 1013904223u;
        const auto& track = *session.tracks[(random >> 8) % session.tracks.size()];
        const int kind = n % 10;
        session = with_track(session, track.id, [&](Track& t) {
            if (kind == 7)
                t.pan = static_cast<double>(random >> 16) / 32768.0 - 1.0;
            else if (kind == 9)
                t.fader_db = n % 20 == 9 ? silence_db : -12.0;
            else
                t.fader_db = std::max(-40.0, t.fader_db) + (kind < 5 ? 0.5 : -3.0);
        });
        const PlanPtr plan = compile_plan(session, material);
        moves.push_back(seconds([&] { (void)peaks.find(plan); }));
        rendered.push_back(static_cast<double>(peaks.rendered()));
        if (n % 10 == 9) (void)peaks.settle(plan);
    }
    std::sort(moves.begin(), moves.end());
    std::sort(rendered.begin(), rendered.end());
    const double stretches = static_cast<double>(start->frames) / MixPeaks::stretch_frames;
    fmt::print(
        "whole-song peak of {} tracks: the first {:.3f} s, settled in {:.3f} s more; after a move {:.1f} ms "
        "(median), {:.1f} ms (99th percentile), {:.1f} ms at most; of {:.0f} stretches it rendered {:.0f} "
        "(median), {:.0f} at most; rendering everything takes {:.3f} s, {:.0f} times the median\n",
        files.size(), first, settled, 1e3 * moves[100], 1e3 * moves[198], 1e3 * moves[199], stretches, rendered[100],
        rendered[199], all, all / moves[100]);
    std::map<MaterialPtr, ExcitationPtr> known;
    std::vector<std::pair<MaterialPtr, ExcitationPtr>> list;
    for (const auto& [id, m] : materials) list.emplace_back(m, nullptr);
    const double once = seconds([&] {
        parallel_for(static_cast<int64_t>(list.size()), worker_count(), [&](int64_t i) {
            auto& [m, e] = list[static_cast<size_t>(i)];
            e = excitation_of(*m).value_or(nullptr);
        });
    });
    for (const auto& [m, e] : list) known[m] = e;
    const ExcitationOf excitation = [&](const MaterialPtr& m) { return known[m]; };
    std::vector<double> again;
    for (int n = 0; n < 15; ++n) again.push_back(seconds([&] { (void)audibility(*start, excitation, {}); }));
    std::sort(again.begin(), again.end());
    fmt::print(
        "audibility of {} tracks: once {:.2f} s, {:.1f} times rendering everything; after a move {:.1f} ms "
        "(median), {:.1f} ms at most\n",
        files.size(), once, once / all, 1e3 * again[7], 1e3 * again[14]);
    return 0;
}
