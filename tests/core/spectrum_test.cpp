// Long-term spectra and level shares, against what is known of the signals.  IEC 61260-1: exact mid-band frequencies,
// base ten.
#include "core/measure/spectrum.h"

#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

LongTermSpectrum spectrum(const std::vector<float>& samples, int channels, int rate = 48000) {
    SpectrumMeter meter(channels, rate);
    meter.add(samples.data(), static_cast<int64_t>(samples.size()) / channels);
    return meter.finish();
}

double total(const LongTermSpectrum& s) {
    double sum = s.below;
    for (const double p : s.power) sum += p;
    return sum;
}

}  // namespace

TEST(Spectra, have_bands_at_exact_frequencies) {
    EXPECT_NEAR(spectrum_hz(34), 1000.0, 1e-9);
    EXPECT_NEAR(spectrum_hz(34 + 6) / spectrum_hz(34), std::pow(10.0, 0.3), 1e-12);  // an octave
    EXPECT_NEAR(spectrum_hz(0), 19.95, 0.01);
    EXPECT_NEAR(spectrum_hz(spectrum_bands - 1), 19953.0, 1.0);
    for (int b = 0; b < spectrum_bands; ++b) EXPECT_NEAR(spectrum_band_number(spectrum_hz(b)), b, 1e-9);
}

TEST(Spectra, hold_all_the_power_of_a_sine_around_its_band) {
    for (const double hz : {50.0, 440.0, 997.0, 5000.0, 15000.0}) {
        const LongTermSpectrum s = spectrum(make(480000, 1, sine(hz, 48000, 0.5)), 1);
        EXPECT_NEAR(total(s), 0.125, 0.125 * 0.12) << hz;  // its ends are faded by the first and last window
        const int at = static_cast<int>(std::lround(spectrum_band_number(hz)));
        double near = 0.0;
        for (int b = std::max(0, at - 1); b <= at + 1; ++b) near += s.power[static_cast<size_t>(b)];
        EXPECT_GT(near / total(s), 0.98) << hz;
    }
}

TEST(Spectra, of_white_noise_rise_by_3_dB_an_octave) {
    const LongTermSpectrum s = spectrum(make(4800000, 1, noise(3, 0.5)), 1);
    // 10 log10(2) = 3.01 dB over six bands.  Uniform in ±0.5 has a mean square of 1/12; what lies above 20 kHz is left
    // out.
    for (int b = 14; b + 6 < spectrum_bands; b += 3)
        EXPECT_NEAR(*s.dbfs(b + 6) - *s.dbfs(b), 3.01, 0.35) << spectrum_hz(b);
    EXPECT_NEAR(total(s), 1.0 / 12.0 * spectrum_hz(spectrum_bands - 1) * std::pow(10.0, 0.025) / 24000.0, 0.003);
}

TEST(LevelShares, say_how_often_each_level_occurs) {
    // A quarter of the time at -20 dBFS, the rest at -40 (AES17: a square of 0.1 reads -20 + 3.01).
    Measurer m(1, 48000, 1.0f);
    const auto samples =
        make(409600, 1, [](int64_t i, int) { return (i % 2 ? 1.0 : -1.0) * (i < 102400 ? 0.1 : 0.01); });
    m.add(samples.data(), 409600);
    const LevelShares shares = level_shares(m.finish().summary);
    EXPECT_NEAR(shares[43], 0.25, 0.01);
    EXPECT_NEAR(shares[23], 0.75, 0.01);
    EXPECT_EQ(level_shares(LevelSummary{}), LevelShares{});
}
