#include "core/measure/spectrum.h"

#include <algorithm>
#include <cmath>
#include <numbers>
#include <vector>

#include "core/audio/fft.h"

namespace isotonus {

namespace {
constexpr int window_frames = 16384;
}

// Sixths of an octave: a step of 10^0.05; band 34 stands at 1 kHz, so that the first is 19.95 Hz.
double spectrum_hz(int band) { return 1000.0 * std::pow(10.0, 0.05 * (band - 34)); }
double spectrum_band_number(double hz) { return 34.0 + 20.0 * std::log10(hz / 1000.0); }

Level LongTermSpectrum::dbfs(int band) const {
    const double p = power[static_cast<size_t>(band)];
    return p > 0.0 ? Level(10.0 * std::log10(2.0 * p)) : std::nullopt;
}

struct SpectrumMeter::Work {
    int channels;
    double rate;
    RealFft fft{window_frames};
    std::vector<float> held = {};  ///< interleaved
    std::array<double, window_frames / 2 + 1> power{}, product{};
    std::vector<std::complex<float>> left = {};
    double windows = 0.0;
    /// The same for all: a meter of a second of sound would spend as long on it as on what it measures.
    static inline const std::vector<float> hann = [] {
        std::vector<float> w(window_frames);
        for (size_t i = 0; i < w.size(); ++i)
            w[i] = static_cast<float>(
                0.5 - 0.5 * std::cos(2.0 * std::numbers::pi * (static_cast<double>(i) + 0.5) / window_frames));
        return w;
    }();

    void take(const float* x) {
        const auto frames = static_cast<size_t>(window_frames);
        for (int c = 0; c < channels; ++c) {
            const auto time = fft.time();
            for (size_t i = 0; i < frames; ++i) {
                time[i] = x[i * static_cast<size_t>(channels) + static_cast<size_t>(c)] * hann[i];
            }
            fft.forward();
            const auto bins = fft.bins();
            for (size_t k = 0; k < power.size(); ++k) power[k] += static_cast<double>(std::norm(bins[k]));
            if (channels == 2 && c == 0) left.assign(bins.begin(), bins.end());
            if (channels == 2 && c == 1)
                for (size_t k = 0; k < power.size(); ++k)
                    product[k] +=
                        static_cast<double>(left[k].real() * bins[k].real() + left[k].imag() * bins[k].imag());
        }
        windows += 1.0;
    }

    /// Mean square of a bin: 2 |X|^2 over N times the window's power, which is 3/8 N.
    static constexpr double scale = 2.0 / (0.375 * window_frames * window_frames);

    /// A bin's power is spread over its width, so that narrow bands at the bottom share it.
    std::vector<double> in_bands(std::span<const double> bins, double times, std::span<const double> edges_hz) const {
        std::vector<double> found(edges_hz.size() - 1, 0.0);
        const double bin_hz = rate / window_frames;
        size_t first = 0;
        for (size_t k = 1; k + 1 < bins.size(); ++k) {
            const double low = (static_cast<double>(k) - 0.5) * bin_hz, high = low + bin_hz, p = bins[k] * times;
            while (first < found.size() && edges_hz[first + 1] <= low) ++first;
            for (size_t b = first; b < found.size() && edges_hz[b] < high; ++b)
                found[b] += p * (std::min(high, edges_hz[b + 1]) - std::max(low, edges_hz[b])) / bin_hz;
        }
        return found;
    }
};

SpectrumMeter::SpectrumMeter(int channels, double rate) : work_(new Work{channels, rate}) {}
SpectrumMeter::~SpectrumMeter() = default;

void SpectrumMeter::add(const float* in, int64_t frames) {
    Work& w = *work_;
    w.held.insert(w.held.end(), in, in + frames * w.channels);
    const auto whole = static_cast<size_t>(window_frames * w.channels), step = whole / 2;
    size_t at = 0;
    for (; at + whole <= w.held.size(); at += step) w.take(w.held.data() + at);
    w.held.erase(w.held.begin(), w.held.begin() + static_cast<std::ptrdiff_t>(at));
}

std::vector<double> SpectrumMeter::finish(std::span<const double> edges_hz) {
    Work& w = *work_;
    // What is shorter than a window counts as if silence followed it.
    if (!w.held.empty()) {
        w.held.resize(static_cast<size_t>(window_frames * w.channels), 0.0f);
        w.take(w.held.data());
        w.held.clear();
    }
    if (w.windows == 0.0) return std::vector<double>(edges_hz.size() - 1, 0.0);
    return w.in_bands(w.power, Work::scale / w.windows / w.channels, edges_hz);
}

std::vector<double> SpectrumMeter::products(std::span<const double> edges_hz) const {
    const Work& w = *work_;
    if (w.windows == 0.0) return std::vector<double>(edges_hz.size() - 1, 0.0);
    return w.in_bands(w.channels == 2 ? w.product : w.power, Work::scale / w.windows, edges_hz);
}

LongTermSpectrum SpectrumMeter::finish() {
    // Edges of the sixths, and before them all that lies below.
    std::array<double, spectrum_bands + 2> edges{};
    for (int b = 0; b <= spectrum_bands; ++b)
        edges[static_cast<size_t>(b) + 1] = spectrum_hz(b) * std::pow(10.0, -0.025);
    const std::vector<double> powers = finish(edges);
    LongTermSpectrum found;
    found.below = powers[0];
    std::copy(powers.begin() + 1, powers.end(), found.power.begin());
    return found;
}

LevelShares level_shares(const LevelSummary& s) {
    LevelShares shares{};
    float sounding = 0.0f;
    for (int64_t b = 0; b < s.blocks(); ++b) {
        double sum = 0.0;
        for (int c = 0; c < s.channels; ++c)
            sum += static_cast<double>(s.mean_square[static_cast<size_t>(b * s.channels + c)]);
        const double db = db_from_power(sum / s.channels) + aes17_db;
        if (!(db >= -60.0)) continue;
        shares[static_cast<size_t>(std::clamp(db + 60.0, 0.0, 59.0))] += 1.0f;
        sounding += 1.0f;
    }
    if (sounding > 0.0f)
        for (float& share : shares) share /= sounding;
    return shares;
}

}  // namespace isotonus
