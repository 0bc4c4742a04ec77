// The long-term spectrum of a row: how much of its power lies where in frequency, over all of the song.
#pragma once

#include <array>
#include <cstdint>
#include <memory>
#include <span>
#include <vector>

#include "core/measure/measurement.h"

namespace isotonus {

/// Bands a sixth of an octave wide from 20 Hz to 20 kHz, placed as IEC 61260-1 places its bands (exact frequencies,
/// base ten): 10^(3 / 60) apart around 1 kHz.
inline constexpr int spectrum_bands = 61;
double spectrum_hz(int band);
/// Where a frequency lies among the bands, in bands; 0 is 20 Hz.
double spectrum_band_number(double hz);

/// Mean power of each band over the song, of all channels together (a sine of amplitude 1 has 0.5); and the level as
/// AES17 dBFS.
struct LongTermSpectrum {
    std::array<double, spectrum_bands> power{};
    double below = 0.0;  ///< power below the first band
    Level dbfs(int band) const;
};

/// How often each level occurs: for each dB from -60 to 0 dBFS (AES17, of blocks of 256 frames) the share of the
/// sounding blocks, 0 … 1.  All zero for silence.
using LevelShares = std::array<float, 60>;
LevelShares level_shares(const LevelSummary& summary);

/// Adds up a spectrum from samples as they come; windows of 16384 frames (Hann) that overlap by half.
class SpectrumMeter {
  public:
    SpectrumMeter(int channels, double sample_rate);
    ~SpectrumMeter();
    void add(const float* interleaved, int64_t frames);
    LongTermSpectrum finish();
    /// The same in any bands: mean power between each two of these frequencies, which rise.
    std::vector<double> finish(std::span<const double> edges_hz);
    /// Of what was finished, in bands: the mean of left times right; of mono the power itself.
    std::vector<double> products(std::span<const double> edges_hz) const;

  private:
    struct Work;
    std::unique_ptr<Work> work_;
};

}  // namespace isotonus
