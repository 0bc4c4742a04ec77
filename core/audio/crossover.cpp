#include "core/audio/crossover.h"

#include <algorithm>
#include <cmath>
#include <numbers>

#include "core/audio/kaiser.h"

namespace isotonus {

int64_t LowBand::reach_of(double crossover_hz, double sample_rate) {
    // Kaiser: taps = (A - 7.95) / (2.285 * width) + 1 for A dB, width in radians a sample (Kaiser, 1974; from memory).
    constexpr double attenuation_db = 64.0;
    const double width = 2.0 * std::numbers::pi * 0.7 * crossover_hz / sample_rate;
    return std::min<int64_t>(cell_frames, std::llround((attenuation_db - 7.95) / (2.285 * width) / 2.0));
}

LowBand::LowBand(double crossover_hz, double sample_rate)
    : reach_(reach_of(crossover_hz, sample_rate)),
      fft_(RealFft::fast_size(static_cast<int>(cell_frames + 2 * reach_))) {
    constexpr double beta = 6.0;
    double sum = 0.0;
    for (int64_t k = -reach_; k <= reach_; ++k) {
        const double window = kaiser(static_cast<double>(k) / static_cast<double>(reach_ + 1), beta);
        const double x = 2.0 * std::numbers::pi * crossover_hz / sample_rate * static_cast<double>(k);
        taps_.push_back(window * (k == 0 ? 1.0 : std::sin(x) / x));
        sum += taps_.back();
    }
    for (double& tap : taps_) tap /= sum;  // unity at 0 Hz
    // Centred on sample 0, going around: the result needs no shift.
    const auto around = fft_.time();
    std::fill(around.begin(), around.end(), 0.0f);
    for (int64_t k = -reach_; k <= reach_; ++k)
        around[static_cast<size_t>(k < 0 ? fft_.size() + k : k)] =
            static_cast<float>(taps_[static_cast<size_t>(k + reach_)] / fft_.size());
    fft_.forward();
    response_.assign(fft_.bins().begin(), fft_.bins().end());
}

void LowBand::filter(const float* in, int stride, float* out) {
    const int64_t frames = cell_frames + 2 * reach_;
    const auto time = fft_.time();
    const auto bins = fft_.bins();
    for (int64_t i = 0; i < frames; ++i) time[static_cast<size_t>(i)] = in[i * stride];
    std::fill(time.begin() + frames, time.end(), 0.0f);
    fft_.forward();
    for (size_t k = 0; k < bins.size(); ++k) bins[k] *= response_[k];
    fft_.back();
    std::copy_n(time.begin() + reach_, cell_frames, out);
}

double LowBand::gain_at(double hz, double sample_rate) const {
    double sum = 0.0;
    for (int64_t k = -reach_; k <= reach_; ++k)
        sum += taps_[static_cast<size_t>(k + reach_)] *
               std::cos(2.0 * std::numbers::pi * hz / sample_rate * static_cast<double>(k));
    return sum;
}

}  // namespace isotonus
