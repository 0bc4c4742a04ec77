// bench_returns FILES...: chains on every row, four returns, a chain on the main output.  What a fader move costs until
// the whole-song peak is known, at most and exactly; exporting all of it; a reverb alone.
#include <fmt/format.h>

#include <algorithm>
#include <random>

#include "core/mix/mix_bound.h"
#include "core/mix/mix_peak.h"
#include "core/mix/row_signals.h"
#include "core/session/presets.h"
#include "core/session/routing.h"
#include "core/session/session_file.h"
#include "core/shape/chain.h"
#include "core/shape/equaliser.h"
#include "tests/bench/clock.h"

using namespace isotonus;

namespace {

Processor& add(Chain& chain, const char* type) {
    chain.push_back(new_processor(*processor_type(type), chain));
    return chain.back();
}

Session with_all_of_it(Session session) {
    Chain row;
    add(row, "low_cut").values["hz"] = 80.0;
    add(row, "equaliser");
    for (const double hz : {120.0, 300.0, 700.0, 1500.0, 4000.0, 9000.0}) add_bell(row, {hz, 3.0, 1.4});
    add(row, "compressor").values["threshold_dbfs"] = -30.0;
    for (const auto& t : session.tracks)
        session = with_track(session, t->id, [&](Track& x) { x.chain = row, x.fader_db = -12.0; });
    const char* presets[] = {"Under the bridge", "Boathouse", "From bank to bank", "Answer at once"};
    for (size_t n = 0; n < 4; ++n) {
        std::vector<TrackId> rows;
        for (size_t t = n % 2; t < session.tracks.size(); t += 2) rows.push_back(session.tracks[t]->id);
        session = with_new_return(session, presets[n], rows, {.level_db = -12.0},
                                  for_a_return(find_preset(shipped_presets(), presets[n])->chain));
    }
    Chain main;
    add(main, "equaliser");
    add_bell(main, {3000.0, 1.0, 0.7});
    add(main, "compressor").values["threshold_dbfs"] = -18.0;
    add(main, "saturation").values["drive_db"] = 3.0;
    add(main, "limiter");
    session.main_chain = main;
    return session;
}

std::string spread(std::vector<double> values) {
    std::sort(values.begin(), values.end());
    return fmt::format("median {:.3f} s, most {:.3f} s", values[values.size() / 2], values.back());
}

}  // namespace

int main(int argc, char** argv) {
    std::vector<fs::path> files(argv + 1, argv + argc);
    Session session = with_all_of_it(with_files(Session{}, files));
    std::map<std::string, MaterialPtr> materials;
    for (const auto& t : session.tracks) {
        const std::string key = source_key(source_of(*t));
        if (!materials[key]) materials[key] = load_material(source_of(*t), session.sample_rate).value();
    }
    const MaterialOf of = [&](const Track& t) { return materials.at(source_key(source_of(t))); };
    RowSignals signals;
    double from = now_s(), used = busy_s();
    if (auto made = signals.make(session, of); !made) return fmt::print(stderr, "{}\n", made.error().text()), 1;
    fmt::print("{} rows with chains, 4 returns, main chain, all made: {:.2f} s, {:.2f} of {} cores busy\n",
               session.tracks.size(), now_s() - from, (busy_s() - used) / (now_s() - from), worker_count());
    // A plain sum of the same rows is the reference.
    Session plain = session;
    plain.main_chain_out = true;
    for (Bus& b : plain.buses.change()) b.mute = true;
    const PlanPtr sum = compile_plan(plain, signals.played_by(plain, of), Solo::left_out);
    const auto rendered = [](const PlanPtr& plan) {
        const double start = now_s(), busy = busy_s();
        (void)render_stretch(plan, {0, plan->frames}, 4096, [](std::span<const float>) -> Result<void> { return {}; });
        return std::pair(now_s() - start, (busy_s() - busy) / (now_s() - start));
    };
    for (int n = 0; n < 3; ++n) {
        const PlanPtr plan = compile_plan(session, signals.played_by(session, of), Solo::left_out);
        const auto [with_s, with_busy] = rendered(plan);
        const auto [bare_s, bare_busy] = rendered(sum);
        fmt::print("rendered, all known: {:.2f} s, {:.0f} times real time, {:.2f} busy; the rows alone {:.2f} s\n",
                   with_s, plan->duration_s() / with_s, with_busy, bare_s);
    }
    std::vector<double> at_most, exact;
    for (int n = 0; n < 12; ++n) {
        const TrackId id = session.tracks[static_cast<size_t>(7 * n) % session.tracks.size()]->id;
        session = with_track(session, id, [&](Track& t) { t.fader_db -= 1.0 + 0.3 * n; });
        from = now_s();
        const auto most = max_of_mix(*compile_plan(session, signals.played_by(session, of), Solo::left_out));
        at_most.push_back(now_s() - from);
        (void)signals.make(session, of);
        const PlanPtr plan = compile_plan(session, signals.played_by(session, of), Solo::left_out);
        const auto peak = whole_song_peak(plan);
        exact.push_back(now_s() - from);
        signals.forget_old();  // as the application does
        fmt::print("a fader: at most {} dBFS, exactly {:.2f} dBFS\n",
                   most ? fmt::format("{:.2f}", db_from_gain(*most)) : "(not known)",
                   db_from_gain(static_cast<double>(peak->peak)));
    }
    fmt::print("peak after a move, at most: {}; exact: {}\n", spread(at_most), spread(exact));
    if (!write_session(session, "bench-returns.isotonus")) return 1;
    return 0;
}
