// Figures of what is playing: against the same figures of the same samples measured as a file, and closed forms.
#include "engine/live_mix.h"

#include "engine/engine.h"
#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

LiveMix fed(const std::vector<float>& x, int64_t block = 511) {
    LiveMix live(48000);
    const auto frames = static_cast<int64_t>(x.size() / 2);
    for (int64_t at = 0; at < frames; at += block) live.add(x.data() + 2 * at, std::min(block, frames - at));
    return live;
}

}  // namespace

TEST(LiveMix, loudness_is_that_of_the_standard) {
    // EBU Tech 3341 (from memory), case 1: a stereo sine of 1 kHz at -23 dBFS for 20 s reads M = S = I = -23.0 LUFS.
    const LiveMix live = fed(make(960000, 2, sine(1000, 48000, std::pow(10.0, -23.0 / 20.0))));
    EXPECT_NEAR(*live.momentary_lufs(), -23.0, 0.1);
    EXPECT_NEAR(*live.short_term_lufs(), -23.0, 0.1);
    EXPECT_NEAR(*live.integrated_lufs(), -23.0, 0.1);
}

TEST(LiveMix, agrees_with_the_measured_file) {
    const auto x = make(480000, 2, [a = noise(1, 0.3), b = noise(2, 0.3)](int64_t i, int c) {
        return (c == 0 ? a(i, 0) : 0.5 * a(i, 0) + 0.5 * b(i, 0)) * (i < 240000 ? 1.0 : 0.3);
    });
    const Measurement m = measure(x, 2, 48000);
    const LiveMix live = fed(x);
    EXPECT_NEAR(*live.integrated_lufs(), *m.integrated_lufs, 1e-6);
    EXPECT_NEAR(*live.true_peak_dbtp(), *m.true_peak_dbtp, 0.01);
    EXPECT_NEAR(*live.correlation(), *m.correlation, 0.02);
    EXPECT_EQ(live.trace().size(), 2048u);
    EXPECT_EQ(live.trace().back().left, x[x.size() - 2]);
}

TEST(LiveMix, says_nothing_of_what_was_not_heard_yet) {
    const LiveMix live(48000);
    EXPECT_FALSE(live.momentary_lufs() || live.short_term_lufs() || live.integrated_lufs() || live.true_peak_dbtp() ||
                 live.correlation() || live.correlation(0));
    const LiveMix silent = fed(std::vector<float>(96000, 0.0f));
    EXPECT_FALSE(silent.momentary_lufs());
    EXPECT_FALSE(silent.correlation());
}

TEST(LiveMix, correlation_by_band_tells_where_the_sides_part) {
    // Low end the same on both sides, the top opposite: +1 below, -1 above.
    const Wave low = sine(60, 48000, 0.3), high = sine(9000, 48000, 0.2);
    const LiveMix live =
        fed(make(96000, 2, [&](int64_t i, int c) { return low(i, 0) + (c == 0 ? 1.0 : -1.0) * high(i, 0); }));
    EXPECT_GT(*live.correlation(0), 0.98);
    EXPECT_LT(*live.correlation(LiveMix::bands - 1), -0.98);
    // All together: (0.045 - 0.02) / (0.045 + 0.02), from the powers of the two.
    EXPECT_NEAR(*live.correlation(), 0.025 / 0.065, 0.02);
}

TEST(LiveMix, is_fed_by_the_engine_with_what_an_export_has) {
    Folder folder;
    Mix mix({write(folder / "a.wav", make(24000, 2, noise(1, 0.4)), 2)});
    const PlanPtr plan = mix.plan();
    Engine engine;
    MonitorSettings dimmed;
    dimmed.dim = true;
    engine.set_monitor(dimmed);  // how it is heard makes no difference
    engine.set_plan(plan);
    engine.play();
    std::vector<float> out(512), taken, part;
    for (int tries = 0; tries < 5000 && taken.size() < 48000; ++tries) {
        engine.fill(out.data(), 256, false);
        engine.take_mix(part);
        taken.insert(taken.end(), part.begin(), part.end());
        if (part.empty()) std::this_thread::sleep_for(std::chrono::milliseconds(1));
    }
    ASSERT_EQ(taken.size(), 48000u);
    std::vector<float> expected(48000);
    Renderer(plan).process(0, 24000, PlanReader::open(plan, false).value().read(0, 24000).value(), expected.data());
    EXPECT_EQ(taken, expected);
}
