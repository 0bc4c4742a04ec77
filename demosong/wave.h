// Sound sources for the demo song.  Only + - * / and exact functions are used, so that every machine makes the same
// samples.
#pragma once

#include <cmath>
#include <cstdint>

namespace isotonus::song {

inline constexpr double rate = 48000.0;

/// sin(2 pi turns), error below 1e-7; turns above -1024.
inline double sine(double turns) {
    double t = turns - (static_cast<double>(static_cast<int64_t>(turns + 1024.5)) - 1024.0);  // -0.5 … 0.5
    if (t > 0.25) t = 0.5 - t;
    if (t < -0.25) t = -0.5 - t;
    const double x = 6.283185307179586 * t, y = x * x;
    return x * (1.0 + y * (-1.0 / 6 +
                           y * (1.0 / 120 + y * (-1.0 / 5040 + y * (1.0 / 362880 + y * (-1.0 / 39916800 +
                                                                                        y * (1.0 / 6227020800.0)))))));
}
inline double cosine(double turns) { return sine(turns + 0.25); }

/// 2^x
inline double power_of_two(double x) {
    const double whole = std::floor(x), f = (x - whole) * 0.6931471805599453;
    const double e =
        1.0 +
        f * (1.0 + f * (1.0 / 2 +
                        f * (1.0 / 6 + f * (1.0 / 24 + f * (1.0 / 120 +
                                                            f * (1.0 / 720 + f * (1.0 / 5040 + f * (1.0 / 40320))))))));
    return std::ldexp(e, static_cast<int>(whole));
}
inline double decibels(double db) { return power_of_two(db / 6.020599913279624); }
/// Frequency of a note; 69 is 440 Hz.
inline double note_hz(double number) { return 440.0 * power_of_two((number - 69.0) / 12.0); }
/// Falls to 1/e in `time_s`.
inline double decay(double t_s, double time_s) { return power_of_two(-t_s * (1.4426950408889634 / time_s)); }

/// The same, sample by sample.
class Decay {
  public:
    explicit Decay(double time_s) : factor_(decay(1.0 / rate, time_s)) {}
    double next() {
        const double now = value_;
        value_ *= factor_;
        return now;
    }

  private:
    double factor_, value_ = 1.0;
};

class Noise {
  public:
    explicit Noise(uint64_t seed) : state_(seed * 0x9E3779B97F4A7C15ULL + 1) {}
    double next() {  // -1 … 1
        state_ ^= state_ << 13;
        state_ ^= state_ >> 7;
        state_ ^= state_ << 17;
        return static_cast<double>(static_cast<int64_t>(state_ >> 11)) / 4503599627370496.0 - 1.0;
    }

  private:
    uint64_t state_;
};

/// A sawtooth with rounded corners (polynomial band-limited step).
class Saw {
  public:
    explicit Saw(double phase = 0.0) : phase_(phase) {}
    double next(double hz) {
        const double step = hz / rate;
        double y = 2.0 * phase_ - 1.0;
        if (phase_ < step) {
            const double t = phase_ / step - 1.0;
            y += t * t;
        } else if (phase_ > 1.0 - step) {
            const double t = (phase_ - 1.0) / step + 1.0;
            y -= t * t;
        }
        phase_ += step;
        if (phase_ >= 1.0) phase_ -= 1.0;
        return y;
    }

  private:
    double phase_;
};

/// State-variable filter in the trapezoidal form.
class Filter {
  public:
    Filter(double hz, double q) { tune(hz, q); }
    void tune(double hz, double q) {
        g_ = sine(hz / (2.0 * rate)) / cosine(hz / (2.0 * rate));
        k_ = 1.0 / q;
        a_ = 1.0 / (1.0 + g_ * (g_ + k_));
    }
    void run(double x) {
        const double v3 = x - z2_;
        band = a_ * z1_ + g_ * a_ * v3;
        low = z2_ + g_ * band;
        high = x - k_ * band - low;
        z1_ = 2.0 * band - z1_;
        z2_ = 2.0 * low - z2_;
    }
    double lowpass(double x) { return run(x), low; }
    double highpass(double x) { return run(x), high; }
    double bandpass(double x) { return run(x), band * k_; }
    double low = 0.0, band = 0.0, high = 0.0;

  private:
    double g_ = 0.0, k_ = 1.0, a_ = 1.0, z1_ = 0.0, z2_ = 0.0;
};

}  // namespace isotonus::song
