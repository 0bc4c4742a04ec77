// A delivery of the mix and a stem of every track in one pass, read back, against the mix alone.
//   bench_deliver FILE...
#include <fmt/format.h>

#include <chrono>
#include <map>

#include "core/handoff/delivery.h"

using namespace isotonus;

int main(int argc, char** argv) {
    Session session = with_files({}, std::vector<fs::path>(argv + 1, argv + argc));
    std::map<TrackId, MaterialPtr> materials;
    for (const auto& t : SharedList(session.tracks)) {
        auto loaded = load_material(source_of(*t), session.sample_rate);
        if (!loaded) return fmt::print("{}\n", loaded.error().text()), 1;
        materials[t->id] = *loaded;
        session = with_track(session, t->id, [](Track& x) { x.fader_db = -18.0; });
    }
    const PlanPtr plan = compile_plan(session, [&](const Track& t) { return materials.at(t.id); });
    std::string folder = (fs::temp_directory_path() / "isotonus-bench-XXXXXX").string();
    if (!mkdtemp(folder.data())) return 1;
    Delivery d;
    d.folder = folder;
    d.session_name = "bench";
    d.overwrite = true;
    const auto run = [&](StemSplit stems) {
        d.stems = stems;
        const auto start = std::chrono::steady_clock::now();
        const auto report = deliver(plan, session, d);
        if (!report) fmt::print("{}\n", report.error().text());
        return std::chrono::duration<double>(std::chrono::steady_clock::now() - start).count();
    };
    run(StemSplit::none);
    for (int round = 0; round < 3; ++round) {
        const double mix = run(StemSplit::none), stems = run(StemSplit::tracks);
        fmt::print("mix alone {:.2f} s, with {} stems {:.2f} s: {:.2f} times as long\n", mix, session.tracks.size(),
                   stems, stems / mix);
    }
    fs::remove_all(folder);
    return 0;
}
