// Levels of a whole file.
#include "core/stage/findings.h"
#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;

TEST(Measure, rms_follows_AES17) {  // AES17: a full-scale sine reads 0 dBFS, a full-scale square +3.01
    EXPECT_NEAR(*measure(make(48000, 1, sine(1000, 48000)), 1, 48000).rms_dbfs, 0.0, 0.001);
    const auto square = make(48000, 1, [](int64_t i, int) { return i / 24 % 2 ? 1.0 : -1.0; });
    EXPECT_NEAR(*measure(square, 1, 48000).rms_dbfs, 3.0103, 0.001);
    EXPECT_NEAR(*measure(make(48000, 1, sine(1000, 48000)), 1, 48000).crest_db, 3.0103, 0.001);  // of a sine
}

TEST(Measure, rms_of_two_channels_is_the_mean_of_their_powers) {
    const auto one_sided = make(48000, 2, [s = sine(1000, 48000)](int64_t i, int c) { return c == 0 ? s(i, c) : 0.0; });
    EXPECT_NEAR(*measure(one_sided, 2, 48000).rms_dbfs, -3.0103, 0.001);
}

TEST(Measure, silence_has_no_level) {
    const Measurement m = measure(std::vector<float>(96000, 0.0f), 2, 48000);
    for (const Level& l :
         {m.sample_peak_dbfs, m.true_peak_dbtp, m.rms_dbfs, m.average_dbfs, m.crest_db, m.integrated_lufs,
          m.max_momentary_lufs, m.max_short_term_lufs, m.loudness_range_lu, m.correlation})
        EXPECT_FALSE(l);
    EXPECT_EQ(m.dc_offset, 0.0);
}

TEST(Measure, the_average_leaves_out_silence_and_quiet_passages) {
    // -18 dBFS for 2 s in a minute of silence, and a passage more than 20 dB lower: both gated out.
    const auto x = make(60 * 48000, 1, [s = sine(1000, 48000)](int64_t i, int c) {
        const int64_t second = i / 48000;
        return s(i, c) * (second >= 10 && second < 14   ? gain_from_db(-18.0)
                          : second >= 30 && second < 40 ? gain_from_db(-45.0)
                                                        : 0.0);
    });
    // 37 windows lie inside, 3 at each edge hold 1/4, 1/2 and 3/4 of it: 40 full powers over 43 windows.
    EXPECT_NEAR(*measure(x, 1, 48000).average_dbfs, -18.0 + 10.0 * std::log10(40.0 / 43.0), 0.01);
    EXPECT_LT(*measure(x, 1, 48000).rms_dbfs, -28.0);
}

TEST(Measure, what_is_shorter_than_a_window_is_one_window) {
    const Measurement m = measure(make(4800, 1, sine(1000, 48000, 0.5)), 1, 48000);
    EXPECT_NEAR(*m.average_dbfs, -6.0206, 0.01);
    EXPECT_FALSE(m.integrated_lufs);  // BS.1770 needs 400 ms
    const Measurement one = measure({0.25f}, 1, 48000);
    EXPECT_NEAR(*one.sample_peak_dbfs, -12.0412, 0.001);
    EXPECT_EQ(one.frames, 1);
}

TEST(Measure, finds_the_peak_and_its_time_at_any_block_border) {
    for (const int64_t at : {0, 255, 256, 4095, 47999}) {
        auto x = make(48000, 2, noise(1, 0.1));
        x[static_cast<size_t>(2 * at + 1)] = -0.75f;
        const Measurement m = measure(x, 2, 48000);
        EXPECT_NEAR(*m.sample_peak_dbfs, db_from_gain(0.75), 1e-9);
        EXPECT_DOUBLE_EQ(m.peak_time_s, static_cast<double>(at) / 48000.0);
    }
}

TEST(Measure, gives_the_same_whatever_the_pieces_it_gets) {
    const auto x = make(30000, 2, noise(2));
    const Measurement whole = measure(x, 2, 48000);
    for (const int64_t piece : {1, 17, 256, 1000}) {
        Measurer m(2, 48000, 1.0f);
        for (int64_t at = 0; at < 30000; at += piece) m.add(x.data() + 2 * at, std::min<int64_t>(piece, 30000 - at));
        const auto outcome = m.finish();
        EXPECT_EQ(*outcome.measurement.true_peak_dbtp, *whole.true_peak_dbtp);
        EXPECT_EQ(*outcome.measurement.rms_dbfs, *whole.rms_dbfs);
        EXPECT_EQ(*outcome.measurement.integrated_lufs, *whole.integrated_lufs);
        EXPECT_EQ(outcome.summary.blocks(), (30000 + 255) / 256);
    }
}

TEST(Measure, counts_runs_of_three_and_more_samples_at_full_scale) {
    std::vector<float> x(2000, 0.1f);
    const auto run = [&](size_t from, size_t count, float value) {
        std::fill_n(x.begin() + static_cast<std::ptrdiff_t>(from), count, value);
    };
    run(10, 2, 1.0f);  // too short
    run(100, 3, 1.0f);
    run(254, 5, -1.0f);                // across a block's border
    run(600, 4, 32767.0f / 32768.0f);  // the largest 16-bit code
    run(800, 9, 0.999f);               // below full scale
    run(1997, 3, 1.0f);                // at the very end
    const Measurement m = measure(x, 1, 48000);
    EXPECT_EQ(m.clipped_runs, 4);
    ASSERT_EQ(m.first_clipped_runs.size(), 4u);
    EXPECT_EQ(m.first_clipped_runs[1].first_frame, 254);
    EXPECT_EQ(m.first_clipped_runs[1].frames, 5);
}

TEST(Measure, dc_offset_and_correlation) {
    const auto x = make(48000, 2, [s = sine(1000, 48000, 0.5)](int64_t i, int c) {
        return (c == 0 ? 1.0 : -1.0) * s(i, c) - 0.02 * c;
    });
    const Measurement m = measure(x, 2, 48000);
    EXPECT_NEAR(m.dc_offset, -0.02, 1e-6);
    EXPECT_NEAR(*m.correlation, -0.998, 0.002);  // 1 / sqrt(1 + (0.02/0.3536)^2)
    EXPECT_NEAR(*measure(make(48000, 2, sine(1000, 48000)), 2, 48000).correlation, 1.0, 1e-9);
    EXPECT_FALSE(measure(make(48000, 1, sine(1000, 48000)), 1, 48000).correlation);
}

TEST(Kind, of_hits_and_of_held_tones) {
    const auto hits = make(10 * 48000, 1, [n = noise(3, 0.9)](int64_t i, int c) {
        return n(i, c) * std::exp(-static_cast<double>(i % 24000) / 1200.0);
    });
    const auto tone = make(10 * 48000, 1, sine(220, 48000, 0.5));
    const auto kind = [](const std::vector<float>& x, const char* name) {
        Measurer m(1, 48000, 1.0f);
        m.add(x.data(), static_cast<int64_t>(x.size()));
        return m.finish(name).measurement.kind;
    };
    EXPECT_EQ(kind(hits, ""), Kind::percussive);
    EXPECT_EQ(kind(tone, ""), Kind::sustained);
    EXPECT_EQ(kind(hits, "07 Snare top"), Kind::percussive);
    EXPECT_EQ(kind(tone, "Bass"), Kind::sustained);
}

TEST(Measure, tells_where_the_true_peak_lies) {
    // A quarter of the rate at 45 degrees: its samples stay 3 dB below its crests.  A click of the same samples' height
    // elsewhere does not mislead.
    auto x = make(96000, 1, noise(2, 0.01));
    for (size_t i = 60000; i < 60400; ++i) x[i] = 0.7f * (i / 2 % 2 == 0 ? 0.7071f : -0.7071f);
    x[20000] = 0.5f;
    const Measurement m = measure(x, 1, 48000);
    EXPECT_NEAR(*m.true_peak_dbtp, db_from_gain(0.7), 0.4);
    EXPECT_GE(m.true_peak_time_s, (60000.0 - 4096.0) / 48000.0);
    EXPECT_LE(m.true_peak_time_s, 60400.0 / 48000.0);
}
