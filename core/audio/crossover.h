// The low end of a signal, by a linear-phase filter.
#pragma once

#include <cstdint>
#include <vector>

#include "core/audio/fft.h"

namespace isotonus {

/// A low pass of 2 * reach + 1 taps (a sinc under a Kaiser window, beta 6, about -64 dB beyond its transition of half
/// an octave to each side), symmetrical: no phase shift, no delay.  What lies above is the signal minus this, so that
/// both sum to the signal exactly.  Filters whole cells of the song by FFT; a frame's value depends on its cell alone,
/// never on how the song is read.
class LowBand {
  public:
    static constexpr int64_t cell_frames = 8192;

    LowBand(double crossover_hz, double sample_rate);

    /// Frames before and after a cell that it is made from.
    int64_t reach() const { return reach_; }

    /// One channel: from cell_frames + 2 * reach samples, `stride` apart, to cell_frames low-passed ones.
    void filter(const float* in, int stride, float* out);

    /// Gain of the low pass at a frequency, linear; from the taps.
    double gain_at(double hz, double sample_rate) const;

  private:
    static int64_t reach_of(double crossover_hz, double sample_rate);
    int64_t reach_;
    std::vector<double> taps_;
    RealFft fft_;
    std::vector<std::complex<float>> response_;
};

}  // namespace isotonus
