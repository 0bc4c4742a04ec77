// bench_shape FILES...: chains on every row.  New figures of a row after a change, the whole-song peak after moves with
// chains before the faders and a compressor on a bus, rendering with chains against the same without, what is kept.
#include <fmt/format.h>

#include <algorithm>
#include <random>

#include "core/mix/mix_bound.h"
#include "core/mix/mix_peak.h"
#include "core/mix/row_signals.h"
#include "core/mix/sum_of_rows.h"
#include "core/session/routing.h"
#include "core/shape/chain.h"
#include "core/shape/equaliser.h"
#include "tests/bench/clock.h"

using namespace isotonus;

namespace {

/// Low cut, six bells, compressor.
Chain chain_of(double threshold_dbfs) {
    Chain chain;
    const auto add = [&chain](const char* type) -> Processor& {
        chain.push_back(new_processor(*processor_type(type), chain));
        return chain.back();
    };
    add("low_cut").values["hz"] = 80.0;
    add("equaliser");
    for (const double hz : {120.0, 300.0, 700.0, 1500.0, 4000.0, 9000.0}) add_bell(chain, {hz, 3.0, 1.4});
    add("compressor").values["threshold_dbfs"] = threshold_dbfs;
    return chain;
}

struct Times {
    std::vector<double> ms;
    void add(double from_s) { ms.push_back(1000.0 * (now_s() - from_s)); }
    std::string text() {
        std::sort(ms.begin(), ms.end());
        return fmt::format("median {:.1f} ms, most {:.1f} ms", ms[ms.size() / 2], ms.back());
    }
};

double render_s(const PlanPtr& plan, double* busy) {
    const double from = now_s(), used = busy_s();
    const auto done =
        render_stretch(plan, {0, plan->frames}, 4096, [](std::span<const float>) -> Result<void> { return {}; });
    if (!done) fmt::print(stderr, "{}\n", done.error().text());
    *busy = (busy_s() - used) / (now_s() - from);
    return now_s() - from;
}

}  // namespace

int main(int argc, char** argv) {
    std::vector<fs::path> files(argv + 1, argv + argc);
    if (files.size() < 8) return 2;
    Session session = with_files({}, files);
    for (const auto& t : SharedList(session.tracks))
        session = with_track(session, t->id, [](Track& track) { track.fader_db = -18.0; });
    std::map<TrackId, MaterialPtr> known;
    for (const auto& t : session.tracks) {
        const auto loaded = load_material(source_of(*t), session.sample_rate);
        if (!loaded) return fmt::print(stderr, "{}\n", loaded.error().text()), 1;
        known[t->id] = *loaded;
    }
    const MaterialOf of_file = [&](const Track& t) { return known[t.id]; };
    const Session plain = session;
    for (const auto& t : plain.tracks) session = with_chain(session, t->id, [](Chain& c) { c = chain_of(-24.0); });

    // A row after a parameter changed, and the sound of it.
    RowSignals signals;
    const Track& first = *session.tracks[0];
    SignalRecipe recipe = *signals.recipe(session, first, of_file);
    Times figures, heard;
    for (int n = 0; n < 7; ++n) {
        recipe.chain.back().values["threshold_dbfs"] = -20.0 - n;
        double from = now_s();
        const auto made = make_signal(recipe);
        figures.add(from);
        from = now_s();
        auto reader = provisional_signal(recipe)->open().value();
        std::vector<float> chunk(2 * 4096);
        if (!reader->read(48000 * 60 + 4096 * n, 4096, chunk.data())) return 1;
        heard.add(from);
        if (n == 0) {
            const LevelSummary& s = (*made)->summary;
            const size_t kept = signal_of(*made)->checkpoint_bytes() +
                                4 * (s.low.size() + s.high.size() + s.mean_square.size() + s.mean_square_of_8.size());
            fmt::print("kept of a stereo row: {:.2f} MB a minute\n",
                       static_cast<double>(kept) / 1e6 / ((*made)->measurement.duration_s() / 60.0));
        }
    }
    fmt::print("new whole-song figures of a row, one thread: {}\n", figures.text());
    fmt::print("the first chunk of 4096 frames of its sound, from anywhere: {}\n", heard.text());

    // The mix.
    double from = now_s();
    if (auto made = signals.make(session, of_file); !made) return fmt::print(stderr, "{}\n", made.error().text()), 1;
    fmt::print("all {} signals: {:.2f} s\n", session.tracks.size(), now_s() - from);
    const auto plan_of = [&](const Session& s) {
        return compile_plan(s, signals.played_by(s, of_file), Solo::left_out);
    };
    MixPeaks peaks;
    PlanPtr plan = plan_of(session);
    if (!peaks.find(plan) || !peaks.settle(plan)) return 1;
    std::mt19937 random(1);
    Times moves;
    Session moved = session;
    for (int n = 0; n < 200; ++n) {
        const TrackId id = moved.tracks[random() % moved.tracks.size()]->id;
        const double by = static_cast<double>(random() % 61) / 10.0 - 3.0;
        moved = with_track(moved, id, [by](Track& t) { t.fader_db = std::min(0.0, t.fader_db + by); });
        from = now_s();
        if (!peaks.find(plan_of(moved))) return 1;
        moves.add(from);
    }
    fmt::print("exact whole-song peak after a fader move, chains before all faders: {}\n", moves.text());

    std::vector<TrackId> eight;
    for (size_t n = 0; n < 8; ++n) eight.push_back(session.tracks[n]->id);
    Session bused = with_new_bus(session, "bus", std::nullopt, eight);
    const TrackId bus = bused.buses[0].id;
    bused = with_chain(bused, bus, [](Chain& c) {
        c = {new_processor(*processor_type("compressor"), c)};
        c[0].values["threshold_dbfs"] = -30.0;
    });
    if (!signals.make(bused, of_file) || !peaks.find(plan_of(bused))) return 1;
    Times at_most, exact;
    for (int n = 0; n < 7; ++n) {
        bused = with_track(bused, eight[static_cast<size_t>(n)], [](Track& t) { t.fader_db -= 2.0; });
        from = now_s();
        if (!max_of_mix(*plan_of(bused))) return 1;
        at_most.add(from);
        if (!signals.make(bused, of_file) || !peaks.find(plan_of(bused))) return 1;
        exact.add(from);
    }
    fmt::print("the same with a compressor on a bus of 8, after a member's move: at most {}; exact {}\n",
               at_most.text(), exact.text());

    std::vector<double> with, without, busy;
    const PlanPtr bare = compile_plan(plain, of_file, Solo::left_out);
    for (int n = 0; n < 5; ++n) {
        double used = 0.0;
        with.push_back(render_s(plan, &used));
        busy.push_back(used);
        without.push_back(render_s(bare, &used));
    }
    const double a = *std::min_element(with.begin(), with.end()), b = *std::min_element(without.begin(), without.end());
    fmt::print("rendering with chains {:.2f} s, without {:.2f} s: {:.1f} times as long; {:.2f} cores busy\n", a, b,
               a / b, *std::max_element(busy.begin(), busy.end()));
}
