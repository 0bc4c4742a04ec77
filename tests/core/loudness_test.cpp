// Loudness, loudness range and true peak against the test signals of EBU Tech 3341 and 3342 and the table of
// ITU-R BS.1770-5.  The values stand in the project's list of standards, where they are marked 'from memory'; the same
// figures are checked against libebur128 and ffmpeg in reference_test.cpp.
#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

struct Piece {
    double dbfs, seconds;
};

/// Stereo 1 kHz sines one after the other, both channels alike, phase running on.
std::vector<float> pieces(const std::vector<Piece>& list, int rate, int times = 1) {
    std::vector<float> out;
    int64_t frame = 0;
    for (int n = 0; n < times; ++n)
        for (const Piece& p : list)
            for (const auto frames = std::llround(p.seconds * rate), end = frame + frames; frame < end; ++frame) {
                const double x = gain_from_db(p.dbfs) *
                                 std::sin(2.0 * std::numbers::pi * 1000.0 * static_cast<double>(frame) / rate);
                out.insert(out.end(), 2, static_cast<float>(x));
            }
    return out;
}

class AtRate : public testing::TestWithParam<int> {
  protected:
    Measurement of(const std::vector<Piece>& list, int times = 1) {
        return measure(pieces(list, GetParam(), times), 2, GetParam());
    }
};
INSTANTIATE_TEST_SUITE_P(Rates, AtRate, testing::Values(44100, 48000, 88200, 96000, 192000));

}  // namespace

TEST(KWeighting, is_the_table_of_BS1770_at_48_kHz) {
    const auto [shelf, high_pass] = k_weighting(48000.0);
    EXPECT_NEAR(shelf.b0, 1.53512485958697, 1e-9);
    EXPECT_NEAR(shelf.b1, -2.69169618940638, 1e-9);
    EXPECT_NEAR(shelf.b2, 1.19839281085285, 1e-9);
    EXPECT_NEAR(shelf.a1, -1.69065929318241, 1e-9);
    EXPECT_NEAR(shelf.a2, 0.73248077421585, 1e-9);
    EXPECT_NEAR(high_pass.a1, -1.99004745483398, 1e-9);
    EXPECT_NEAR(high_pass.a2, 0.99007225036621, 1e-9);
}

TEST(Loudness, of_997_Hz_at_full_scale_in_one_channel_is_minus_3_01) {  // BS.1770-5
    EXPECT_NEAR(*measure(make(480000, 1, sine(997, 48000)), 1, 48000).integrated_lufs, -3.01, 0.01);
    const auto left_only = make(480000, 2, [s = sine(997, 48000)](int64_t i, int c) { return c == 0 ? s(i, c) : 0.0; });
    EXPECT_NEAR(*measure(left_only, 2, 48000).integrated_lufs, -3.01, 0.01);
}

TEST_P(AtRate, tech_3341_case_1_and_2_steady_tones) {
    const Measurement a = of({{-23, 20}}), b = of({{-33, 20}});
    for (const Level& l : {a.integrated_lufs, a.max_momentary_lufs, a.max_short_term_lufs}) EXPECT_NEAR(*l, -23.0, 0.1);
    for (const Level& l : {b.integrated_lufs, b.max_momentary_lufs, b.max_short_term_lufs}) EXPECT_NEAR(*l, -33.0, 0.1);
}

TEST_P(AtRate, tech_3341_case_3_4_and_5_gates) {
    EXPECT_NEAR(*of({{-36, 10}, {-23, 60}, {-36, 10}}).integrated_lufs, -23.0, 0.1);
    EXPECT_NEAR(*of({{-72, 10}, {-36, 10}, {-23, 60}, {-36, 10}, {-72, 10}}).integrated_lufs, -23.0, 0.1);
    EXPECT_NEAR(*of({{-26, 20}, {-20, 20.1}, {-26, 20}}).integrated_lufs, -23.0, 0.1);
}

TEST_P(AtRate, tech_3341_case_9_short_term_and_12_momentary) {
    EXPECT_NEAR(*of({{-20, 1.34}, {-30, 1.66}}, 5).max_short_term_lufs, -23.0, 0.1);
    EXPECT_NEAR(*of({{-20, 0.18}, {-30, 0.22}}, 25).max_momentary_lufs, -23.0, 0.1);
}

TEST_P(AtRate, tech_3342_case_1_to_4_loudness_range) {
    EXPECT_NEAR(*of({{-20, 20}, {-30, 20}}).loudness_range_lu, 10.0, 1.0);
    EXPECT_NEAR(*of({{-20, 20}, {-15, 20}}).loudness_range_lu, 5.0, 1.0);
    EXPECT_NEAR(*of({{-40, 20}, {-20, 20}}).loudness_range_lu, 20.0, 1.0);
    EXPECT_NEAR(*of({{-50, 20}, {-35, 20}, {-20, 20}, {-35, 20}, {-50, 20}}).loudness_range_lu, 15.0, 1.0);
}

TEST_P(AtRate, tech_3341_case_15_to_19_true_peak) {
    const int rate = GetParam();
    const auto check = [&](double divisor, double phase_deg, double peak, double expected_dbtp) {
        auto x = make(rate, 2, [s = sine(rate / divisor, rate, peak, phase_deg), rate](int64_t i, int c) {
            const double edge =
                std::min({1.0, static_cast<double>(i) / (0.01 * rate), static_cast<double>(rate - i) / (0.01 * rate)});
            return edge * s(i, c);  // short fades, as the signals have
        });
        const double found = *measure(x, 2, rate).true_peak_dbtp;
        EXPECT_LE(found, expected_dbtp + 0.2) << divisor;
        EXPECT_GE(found, expected_dbtp - 0.4) << divisor;
    };
    check(4, 0, 0.50, -6.0);
    check(4, 45, 0.50, -6.0);
    check(6, 60, 0.50, -6.0);
    check(8, 67.5, 0.50, -6.0);
    check(4, 45, 1.41, 3.0);
}

TEST(TruePeak, is_the_full_computations_to_the_bit_whatever_is_skipped) {
    uint32_t seed = 1;
    const auto random = [&](uint32_t below) { return (seed = seed * 1664525U + 1013904223U) / 65536U % below; };
    for (int round = 0; round < 60; ++round) {
        const int channels = 1 + round % 2, rate = round % 3 == 0 ? 96000 : 44100;
        const double slope = random(100) / 20000.0, hz = 50.0 + random(15000);
        const auto x = make(20000, channels, [n = noise(seed, 0.3), s = sine(hz, rate, 0.6), slope](int64_t i, int c) {
            return (n(i, c) + s(i, c)) * std::exp(-slope * static_cast<double>(i % 5000));
        });
        const auto peak_of = [&](int64_t first, int64_t frames) {
            float peak = 0.0f;
            for (auto i = static_cast<size_t>(first * channels); i < static_cast<size_t>((first + frames) * channels);
                 ++i)
                peak = std::max(peak, std::fabs(x[i]));
            return peak;
        };
        TruePeak whole(channels, rate), parts(channels, rate);
        whole.add(x.data(), 20000, peak_of(0, 20000));  // one stretch: nothing can be skipped
        for (int64_t at = 0; at < 20000;) {
            const int64_t frames = std::min<int64_t>(20000 - at, 1 + random(700));
            parts.add(x.data() + at * channels, frames, peak_of(at, frames));
            at += frames;
        }
        EXPECT_EQ(whole.finish(), parts.finish()) << round;
    }
}

TEST(TruePeak, skipping_quiet_stretches_changes_nothing) {
    // Bursts of very different level, so that most stretches are skipped; against every point interpolated in double.
    const auto x =
        make(48000, 1, [n = noise(4, 1.0)](int64_t i, int c) { return n(i, c) * (i / 4800 % 3 == 0 ? 0.9 : 0.1); });
    const auto kaiser = [](double u) { return std::cyl_bessel_i(0.0, 5.0 * std::sqrt(std::max(0.0, 1.0 - u * u))); };
    double most = 0.0;
    for (int64_t i = -8; i < 48008; ++i) {
        for (const double shift : {0.0, 0.25, 0.5, 0.75}) {
            double y = 0.0, weight = 0.0;
            for (int64_t k = i - 5; k <= i + 6; ++k) {
                const double t = static_cast<double>(k - i) - shift;
                const double h =
                    (t == 0.0 ? 1.0 : std::sin(std::numbers::pi * t) / (std::numbers::pi * t)) * kaiser(t / 6.0);
                weight += h;
                if (k >= 0 && k < 48000) y += h * static_cast<double>(x[static_cast<size_t>(k)]);
            }
            most = std::max(most, std::fabs(y / weight));
        }
    }
    EXPECT_NEAR(*measure(x, 1, 48000).true_peak_dbtp, db_from_gain(most), 0.0005);
}
