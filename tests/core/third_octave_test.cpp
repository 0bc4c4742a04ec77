// Third octaves of the mix and of recordings: against scipy on the same samples, and against IEC 61260-1.
#include "core/compare/third_octaves.h"

#include <gmock/gmock.h>

#include <fstream>

#include "core/compare/wide_differences.h"
#include "tests/support/chains.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

ThirdOctaves bands_of_file(const fs::path& file) {
    return third_octaves_of(*load_material(file, 48000).value()).value();
}

double total(const ThirdOctaves& t) {
    double sum = 0.0;
    for (const double p : t) sum += p;
    return sum;
}

}  // namespace

TEST(ThirdOctaves, stand_where_iec_61260_puts_them) {
    // IEC 61260-1:2014, table of exact mid-band frequencies (base ten), from memory.
    EXPECT_NEAR(third_octave_hz(0), 25.119, 0.001);
    EXPECT_NEAR(third_octave_hz(16), 1000.0, 1e-9);
    EXPECT_NEAR(third_octave_hz(29), 19952.6, 0.1);
    for (int b = 0; b < third_octaves; ++b) {
        EXPECT_EQ(third_octave_at(third_octave_hz(b)), b);
        EXPECT_EQ(third_octave_at(third_octave_edges_hz(b).first * 1.001), b);
        EXPECT_EQ(third_octave_at(third_octave_edges_hz(b).second * 0.999), b);
    }
    EXPECT_EQ(third_octave_at(1.0), 0);
    EXPECT_EQ(third_octave_at(96000.0), third_octaves - 1);
    const double names[] = {25,   31.5, 40,   50,   63,   80,   100,   125,   160,   200,
                            250,  315,  400,  500,  630,  800,  1000,  1250,  1600,  2000,
                            2500, 3150, 4000, 5000, 6300, 8000, 10000, 12500, 16000, 20000};
    for (int b = 0; b < third_octaves; ++b) EXPECT_NEAR(third_octave_name_hz(b), names[b], 1e-6);
}

TEST(ThirdOctaves, are_what_scipy_finds_in_the_same_samples) {
    Folder folder;
    write(folder / "in.wav", make(480000, 2, noise(7, 0.4)), 2);
    std::ofstream(folder / "t.py") << R"(
import numpy, scipy.io.wavfile as w, scipy.signal as s
x = w.read('in.wav')[1].astype(float)
f, p = s.welch(x, 48000, 'hann', 16384, scaling='density', axis=0, detrend=False)
p = p.mean(axis=1)
for n in range(14, 44):
    low, high = 10 ** ((n - .5) / 10), 10 ** ((n + .5) / 10)
    share = numpy.clip(numpy.minimum(high, f + f[1] / 2) - numpy.maximum(low, f - f[1] / 2), 0, None)
    print((p * share).sum())
)";
    int status = 0;
    std::istringstream printed(
        output_of("cd '" + folder.path().string() + "' && /usr/bin/python3 -W ignore t.py", &status));
    ASSERT_EQ(status, 0) << printed.str();
    const ThirdOctaves ours = bands_of_file(folder / "in.wav");
    for (int b = 0; b < third_octaves; ++b) {
        double theirs = 0.0;
        ASSERT_TRUE(printed >> theirs);
        EXPECT_NEAR(10.0 * std::log10(ours[static_cast<size_t>(b)] / theirs), 0.0, 0.1) << third_octave_hz(b);
    }
}

TEST(ThirdOctaves, of_white_noise_rise_by_a_decibel_a_band_and_sum_to_its_power) {
    Folder folder;
    write(folder / "in.wav", make(960000, 1, noise(3, 0.5)), 1);
    const ThirdOctaves t = bands_of_file(folder / "in.wav");
    // White noise has the same power in each hertz: 10 lg(10^0.1) = 1 dB a band.
    for (int b = 10; b < third_octaves; ++b)
        EXPECT_NEAR(*third_octave_dbfs(t, b) - *third_octave_dbfs(t, 9), b - 9, 0.5) << b;
    // Uniform between -0.5 and 0.5: 1/12, of which the bands have what lies between 22.4 Hz and 22.4 kHz.
    EXPECT_NEAR(total(t), 0.25 / 3.0 * (22387.0 - 22.4) / 24000.0, 0.002);
}

TEST(ThirdOctaves, of_a_sine_are_its_power_in_its_band_and_of_a_passage_what_sounds_there) {
    Folder folder;
    // A second of 1 kHz, then a second of 100 Hz.
    write(folder / "in.wav",
          make(96000, 2,
               [a = sine(1000, 48000, 0.5), b = sine(100, 48000, 0.5)](int64_t i, int c) {
                   return i < 48000 ? a(i, c) : b(i, c);
               }),
          2);
    const auto material = load_material(folder / "in.wav", 48000).value();
    const ThirdOctaves first = third_octaves_of(*material, 0.0, 1.0).value(),
                       second = third_octaves_of(*material, 1.0, 2.0).value();
    EXPECT_NEAR(*third_octave_dbfs(first, 16), -6.02, 0.6) << "AES17: a sine of half of full scale";
    EXPECT_LT(third_octave_dbfs(first, 6).value_or(-200.0), -60.0);
    EXPECT_GT(*third_octave_dbfs(second, 6), -7.5);
    EXPECT_EQ(bands_of_file(folder / "in.wav"), bands_of_file(folder / "in.wav")) << "kept in the cache";
    EXPECT_EQ(wide_bands_dbfs(first)[0].value_or(-200.0) < -60.0, true);
    EXPECT_NEAR(*wide_bands_dbfs(first)[2], -6.02, 0.6);
}

TEST(BandDifferences, of_a_mix_whose_band_was_raised_by_3_db_are_3_db) {
    Folder folder;
    Mix mix({write(folder / "1.wav", make(240000, 2, noise(1, 0.2)), 2)});
    const ThirdOctaves before = third_octaves_of(mix.plan()).value();
    ThirdOctaves raised = before;
    for (size_t b = 12; b < 15; ++b) raised[b] *= std::pow(10.0, 0.3);
    const auto all = band_differences(raised, {before}, {0.0});
    for (int b = 0; b < third_octaves; ++b)
        EXPECT_NEAR(*all[static_cast<size_t>(b)].difference_db, b >= 12 && b < 15 ? 3.0 : 0.0, 1e-9);
    // Several references: their mean in dB, and how far they stand apart.
    ThirdOctaves louder = before, quieter = before;
    for (double& p : louder) p *= std::pow(10.0, 0.2);
    for (double& p : quieter) p *= std::pow(10.0, -0.2);
    const auto among = band_differences(before, {louder, quieter}, {0.0, 0.0});
    EXPECT_NEAR(*among[20].difference_db, 0.0, 1e-9);
    EXPECT_NEAR(among[20].tolerance_db, 2.0, 1e-9);
    for (const Level& wide : wide_differences_db(band_differences(before, {louder}, {0.0})))
        EXPECT_NEAR(wide.value_or(99.0), -2.0, 1e-9);
    EXPECT_NEAR(*band_differences(before, {louder}, {-2.0})[20].difference_db, 0.0, 1e-9) << "matched first";
    const auto silent = band_differences(ThirdOctaves{}, {before}, {0.0});
    EXPECT_FALSE(silent[5].mix_dbfs || silent[5].difference_db);
}

TEST(BandDifferences, of_the_mix_are_those_of_its_file) {
    Folder folder;
    Mix mix({write(folder / "1.wav", make(100000, 2, noise(1, 0.2)), 2),
             write(folder / "2.wav", make(90000, 1, sine(440, 48000, 0.1)), 1)});
    write(folder / "mix.wav", rendered(mix.plan(), 4096), 2);
    const ThirdOctaves plan = third_octaves_of(mix.plan()).value(), file = bands_of_file(folder / "mix.wav");
    for (size_t b = 0; b < third_octaves; ++b) EXPECT_NEAR(plan[b], file[b], 1e-9 * (1.0 + plan[b]));
}
