// What is playing at the main output, as figures and as a picture: loudness, true peak, correlation, the stereo trace.
#pragma once

#include <array>
#include <vector>

#include "core/measure/loudness.h"
#include "core/measure/true_peak.h"

namespace isotonus {

class LiveMix {
  public:
    /// Correlation is told in these bands: below 120 Hz, up to 500 Hz, up to 2 kHz, up to 6 kHz, above.
    static constexpr size_t bands = 5;
    static constexpr std::array<double, bands - 1> band_edges_hz{120.0, 500.0, 2000.0, 6000.0};

    explicit LiveMix(int sample_rate);

    int sample_rate() const { return rate_; }

    /// Samples of the main output as they were played, interleaved stereo.
    void add(const float* stereo, int64_t frames);

    Level momentary_lufs() const { return window(4); }
    Level short_term_lufs() const { return window(30); }
    Level integrated_lufs() const;
    Level true_peak_dbtp() const;  ///< since the start
    /// -1 … +1, smoothed over 300 ms; absent in silence.
    Level correlation() const { return all_.value(); }
    Level correlation(size_t band) const { return band_[band].value(); }

    struct Point {
        float left, right;
    };
    /// The latest samples, the newest last.
    const std::vector<Point>& trace() const { return trace_; }

  private:
    struct Product {
        double ll = 0.0, rr = 0.0, lr = 0.0;
        void add(double l, double r, double keep);
        Level value() const;
    };
    Level window(size_t hops) const;
    int rate_;
    double keep_;
    HopMeter hops_;
    TruePeak true_peak_;
    Product all_;
    std::array<Product, bands> band_;
    struct Filter {
        Biquad filter;
        std::array<Biquad::State, 2> side;
    };
    std::array<std::vector<Filter>, bands> filters_;
    std::vector<Point> trace_;
};

}  // namespace isotonus
