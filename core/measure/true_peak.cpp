#include "core/measure/true_peak.h"

#include <algorithm>
#include <cmath>
#include <numbers>

#include "core/audio/kaiser.h"
#include "core/audio/kernels.h"

namespace isotonus {

TruePeak::TruePeak(int channels, int sample_rate) : channels_(channels), phases_(sample_rate < 80000 ? 3 : 1) {
    constexpr double beta = 5.0;
    for (int phase = 1; phase <= phases_; ++phase) {
        const double shift = static_cast<double>(phase) / (phases_ + 1);
        double sum = 0.0;
        std::vector<double> h;
        for (int tap = 0; tap < taps; ++tap) {
            const double t = tap - (taps / 2 - 1) - shift;  // distance from the wanted point, in samples
            h.push_back(std::sin(std::numbers::pi * t) / (std::numbers::pi * t) * kaiser(2.0 * t / taps, beta));
            sum += h.back();
        }
        double bound = 0.0;
        for (const double v : h) {
            filters_.push_back(static_cast<float>(v / sum));
            bound += std::fabs(v / sum);
        }
        gain_bound_ = std::max(gain_bound_, static_cast<float>(bound * 1.0001));
    }
    window_.assign(static_cast<size_t>((taps - 1) * channels_), 0.0f);
}

void TruePeak::add(const float* in, int64_t frames, float sample_peak) {
    const size_t history = static_cast<size_t>((taps - 1) * channels_);
    found(sample_peak);
    window_.insert(window_.end(), in, in + frames * channels_);
    search(frames, std::max(previous_peak_, sample_peak));
    window_.erase(window_.begin(), window_.end() - static_cast<std::ptrdiff_t>(history));
    // The history spans taps-1 frames: of this stretch only, unless it was shorter than that.
    previous_peak_ = frames >= taps - 1 ? sample_peak : std::max(previous_peak_, sample_peak);
    frames_ += frames;
}

void TruePeak::found(float magnitude) {
    if (magnitude <= most_) return;
    most_ = magnitude;
    peak_frame_ = frames_;
}

void TruePeak::search(int64_t frames, float reach_peak) {
    if (reach_peak * gain_bound_ <= most_) return;
    found(kernels::fir_peak(window_.data(), static_cast<size_t>(frames * channels_), channels_, filters_.data(), taps,
                            phases_));
}

double TruePeak::finish() {
    const std::vector<float> silence(static_cast<size_t>(taps * channels_), 0.0f);
    add(silence.data(), taps, 0.0f);
    return static_cast<double>(most_);
}

}  // namespace isotonus
