// Delay and polarity between microphones, on material with known answers.
#include "core/stage/alignment.h"

#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

/// Hits of noise that die away, twice a second; band-limited by a running mean so that fractions of a sample mean
/// something.
double hit(double frame) {
    double sum = 0.0;
    for (int k = -4; k <= 4; ++k) {
        const double t = std::fmod(frame + k, 24000.0);
        if (t < 0.0) continue;
        // Smooth pseudo-noise: sines of unrelated frequencies, which can be evaluated between samples.
        double x = 0.0;
        for (const double hz : {61.0, 113.0, 197.0, 331.0, 523.0, 811.0, 1303.0, 2111.0, 3407.0})
            x += std::sin(2.0 * std::numbers::pi * hz * t / 48000.0 + hz);
        sum += x * std::exp(-t / 2400.0) * std::min(1.0, t / 24.0);
    }
    return 0.01 * sum;
}

/// The same at whole frames, from a table.
double hit_at(int64_t frame) {
    static const std::vector<double> table = [] {
        std::vector<double> t;
        for (int i = 0; i < 24000; ++i) t.push_back(hit(i));
        return t;
    }();
    return frame < 0 ? 0.0 : table[static_cast<size_t>(frame % 24000)];
}

Alignment of(
    Folder& folder, const Wave& track, const Wave& reference = [](int64_t i, int) { return hit_at(i); }) {
    const auto a = load_material(write(folder / "a.wav", make(120000, 1, reference), 1), 48000).value();
    const auto b = load_material(write(folder / "b.wav", make(120000, 2, track), 2), 48000).value();
    return align_to(a->media, b->media, 48000, a->summary).value();
}

}  // namespace

TEST(Alignment, finds_whole_delays_and_polarity) {
    Folder folder;
    for (const int delay : {0, 1, 37, 480, 2000, -37, -900}) {
        for (const double polarity : {1.0, -1.0}) {
            const Alignment a = of(folder, [&](int64_t i, int) { return 0.5 * polarity * hit_at(i - delay); });
            EXPECT_NEAR(a.delay_samples, delay, 0.1);
            EXPECT_EQ(a.inverted, polarity < 0.0) << delay;
            EXPECT_TRUE(a.reliable) << delay << " " << a.distinctness;
            EXPECT_GT(a.correlation_after,
                      delay < 0 ? 0.9 : 0.99);  // an early track has lost the head of its first hit
        }
    }
}

TEST(Alignment, finds_fractions_of_a_sample) {
    Folder folder;
    for (const double delay : {10.25, 100.5, 333.75}) {
        const Alignment a = of(folder, [&](int64_t i, int) { return hit(static_cast<double>(i) - delay); });
        EXPECT_NEAR(a.delay_samples, delay, 0.15);
    }
}

TEST(Alignment, hears_through_noise_and_says_so_when_there_is_nothing_to_hear) {
    Folder folder;
    const Alignment noisy = of(folder, [n = noise(5, 0.05)](int64_t i, int c) { return hit_at(i - 250) + n(i, c); });
    EXPECT_NEAR(noisy.delay_samples, 250.0, 0.5);
    EXPECT_TRUE(noisy.reliable);
    const Alignment other = of(folder, noise(6, 0.3));
    EXPECT_FALSE(other.reliable);
    const Alignment silent = of(folder, [](int64_t, int) { return 0.0; });
    EXPECT_FALSE(silent.reliable);
}

TEST(Alignment, counts_the_body_that_aligning_brings_back) {
    Folder folder;
    // Two equal 100 Hz hits of opposite polarity cancel; aligned they sum to +6 dB over one.
    const auto thump = [](double t) {
        return t < 0.0 ? 0.0 : std::sin(2.0 * std::numbers::pi * 100.0 * t / 48000.0) * std::exp(-t / 4800.0);
    };
    const auto beat = [&](int64_t i) { return 0.4 * thump(static_cast<double>(i % 24000)); };
    const Alignment a = of(
        folder, [&](int64_t i, int) { return -0.9 * beat(i); }, [&](int64_t i, int) { return beat(i); });
    EXPECT_TRUE(a.inverted);
    EXPECT_NEAR(a.low_gain_db, 20.0 * std::log10(1.9 / 0.1), 0.5);
    EXPECT_NEAR(a.correlation_before, -1.0, 0.01);
}

TEST(Alignment, of_the_demos_kick_microphones) {
    Folder folder;
    const auto close = load_material(demo_folder() / "01 Kick Close.wav", 48000).value(),
               room = load_material(demo_folder() / "02 Kick Room.wav", 48000).value();
    const Alignment a = align_to(close->media, room->media, 48000, close->summary).value();
    EXPECT_NEAR(a.delay_samples, 317.0, 1.0);
    EXPECT_TRUE(a.inverted);
    EXPECT_TRUE(a.reliable);
    EXPECT_GT(a.low_gain_db, 0.5);
    // What has been set already counts: with the delay taken back nothing is left to do but the polarity.
    const Alignment put_right = align_to(close->media, room->media, 48000, close->summary, 0, -317).value();
    EXPECT_NEAR(put_right.delay_samples, 0.0, 1.0);
    const auto bass = load_material(demo_folder() / "17 Canal Water.wav", 48000).value();
    EXPECT_FALSE(align_to(close->media, bass->media, 48000, close->summary).value().reliable);
    EXPECT_NEAR(centimetres(317.0 / 48000.0), 226.5, 0.1);
}
