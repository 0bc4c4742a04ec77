// Needles against the standards' bursts.  Values of IEC 60268-17 and 60268-10 are from memory.
#include "core/measure/ballistics.h"

#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

double db_of_gain(double gain) { return 20.0 * std::log10(gain); }

}  // namespace

TEST(VuNeedle, reads_99_percent_after_300_ms_and_swings_over_a_little) {
    for (const double rate : {44100.0, 48000.0, 96000.0}) {
        VuNeedle needle(16.0 / rate);
        double reached_s = 0.0, most = 0.0;
        const int64_t steps = static_cast<int64_t>(rate);
        for (int64_t i = 0; i * 16 < steps * 2; ++i) {
            double mean = 0.0;
            for (int64_t k = i * 16; k < i * 16 + 16; ++k) mean += std::fabs(sine(1000, rate)(k, 0)) / 16.0;
            const double at = needle.move(mean);
            if (reached_s == 0.0 && at >= 0.99) reached_s = static_cast<double>(i * 16) / rate;
            most = std::max(most, at);
        }
        EXPECT_NEAR(reached_s, 0.3, 0.03) << rate;  // IEC 60268-17: 300 ms +/-10 %
        EXPECT_GE(most, 1.01);                      // … overshoot 1 to 1.5 %
        EXPECT_LE(most, 1.015);
        EXPECT_NEAR(needle.reading(), 1.0, 0.003);
    }
}

TEST(VuNeedle, reads_0_on_a_tone_at_alignment_level) {  // EBU R 68: -18 dBFS
    const auto tone = make(96000, 2, sine(1000, 48000, gain_from_db(vu_zero_dbfs)));
    EXPECT_NEAR(*measure(tone, 2, 48000).vu_max_dbfs, -18.0 + db_of_gain(1.0125), 0.03);  // with the needle's swing
}

TEST(ProgrammeNeedle, reads_the_standards_bursts) {  // IEC 60268-10 type I, 5 kHz
    for (const double rate : {44100.0, 48000.0, 96000.0}) {
        const auto reading = [&](double ms) {
            const auto burst = make(static_cast<int64_t>(std::lround(rate * ms / 1000.0)), 1, sine(5000, rate));
            ProgrammeNeedle needle(rate);
            double most = 0.0;
            for (const float& x : burst) most = std::max(most, needle.move(&x, 1, 1));
            return db_of_gain(most);
        };
        EXPECT_NEAR(reading(1000.0), 0.0, 0.1) << rate;
        EXPECT_NEAR(reading(10.0), -1.0, 0.5) << rate;
        EXPECT_NEAR(reading(5.0), -2.0, 0.5) << rate;
        EXPECT_NEAR(reading(3.0), -4.0, 0.5) << rate;
        EXPECT_NEAR(reading(0.4), -15.0, 2.0) << rate;
    }
}

TEST(ProgrammeNeedle, falls_20_db_in_1_7_s) {
    ProgrammeNeedle needle(48000);
    const auto tone = make(48000, 1, sine(1000, 48000)),
               silence = make(static_cast<int64_t>(1.7 * 48000), 1, [](int64_t, int) { return 0.0; });
    const double before = needle.move(tone.data(), 48000, 1);
    const double after = needle.move(silence.data(), static_cast<long>(silence.size()), 1);
    EXPECT_NEAR(db_of_gain(after / before), -20.0, 3.5);  // 1.7 s +/-0.3
    EXPECT_NEAR(db_of_gain(after / before), -20.0, 0.1);
}

TEST(SlowFigures, share_of_the_low_end) {
    const auto both = make(480000, 1, [a = sine(20, 48000, 0.2), b = sine(1000, 48000, 0.2)](int64_t i, int c) {
        return a(i, c) + b(i, c) + 0.3;  // an offset is no rumble
    });
    EXPECT_NEAR(measure(both, 1, 48000).share_below_40_hz, 0.5, 0.02);
    EXPECT_NEAR(measure(both, 1, 48000).share_below_200_hz, 0.5, 0.02);
    EXPECT_LT(measure(make(480000, 1, sine(100, 48000, 0.5)), 1, 48000).share_below_40_hz, 0.01);
    EXPECT_GT(measure(make(480000, 1, sine(60, 48000, 0.5)), 1, 48000).share_below_200_hz, 0.95);
    EXPECT_LT(measure(make(480000, 2, noise(3)), 2, 48000).share_below_40_hz, 0.01);  // 40 of 24,000 Hz
}

TEST(Spikes, are_the_few_moments_that_set_the_peak) {
    const auto with = [](std::vector<std::pair<int64_t, double>> places) {
        auto x = make(480000, 1, sine(200, 48000, 0.1));
        for (const auto& [frame, peak] : places) x[static_cast<size_t>(frame)] = static_cast<float>(peak);
        return measure(x, 1, 48000);
    };
    const Measurement one = with({{100000, 0.9}});
    ASSERT_EQ(one.spikes.size(), 1u);
    EXPECT_LE(std::abs(one.spikes[0].first_frame - 100000), 256);
    EXPECT_NEAR(one.spikes[0].peak_dbfs, db_of_gain(0.9), 1e-4);
    EXPECT_NEAR(*one.peak_without_spikes_dbfs, -20.0, 0.01);
    EXPECT_EQ(with({{100000, 0.9}, {101000, -0.8}, {300000, 0.7}, {400000, 0.9}}).spikes.size(), 3u);
    // Four moments are no spikes: the track is like that.
    const Measurement four = with({{50000, 0.9}, {150000, 0.9}, {250000, 0.9}, {350000, 0.9}});
    EXPECT_TRUE(four.spikes.empty());
    EXPECT_EQ(four.peak_without_spikes_dbfs, four.sample_peak_dbfs);
    EXPECT_TRUE(with({{100000, 0.13}}).spikes.empty());  // 2.3 dB: not enough
    EXPECT_TRUE(measure(make(48000, 1, sine(200, 48000, 0.5)), 1, 48000).spikes.empty());
}
