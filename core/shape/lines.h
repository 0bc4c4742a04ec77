// Rings in the delay lines of processors with a long memory (see RunningOf), and how they are read.
#pragma once

#include "core/shape/fields.h"
#include "core/shape/lanes.h"

namespace isotonus {

/// A ring of samples in delay lines.  A cell is written as a whole, then read at any place before its end.
class Ring {
  public:
    Ring(float* samples, size_t length) : samples_(samples), length_(length) {}
    /// Puts `count` samples behind the last; `at` is the place of the next, which goes round.
    void write(uint32_t& at, const float* in, int count) {
        for (int i = 0; i < count; ++i) {
            samples_[at] = in[i];
            at = at + 1 == length_ ? 0 : at + 1;
        }
    }
    /// `count` samples of which the first came `back` places before `at`.
    void read(uint32_t at, size_t back, float* out, int count) const {
        size_t from = (at + length_ - back) % length_;
        for (int i = 0; i < count; ++i) {
            out[i] = samples_[from];
            from = from + 1 == length_ ? 0 : from + 1;
        }
    }
    /// The value `back` places before `at`, between four samples (Catmull and Rom's cubic); `back` from 2 to length
    /// - 3.
    float between(uint32_t at, double back) const {
        const double whole = std::ceil(back);
        const auto f = static_cast<float>(whole - back);
        size_t from = (at + length_ - static_cast<size_t>(whole) - 1) % length_;
        float x[4];
        for (float& v : x) {
            v = samples_[from];
            from = from + 1 == length_ ? 0 : from + 1;
        }
        return x[1] +
               0.5f * f *
                   (x[2] - x[0] +
                    f * (2.0f * x[0] - 5.0f * x[1] + 4.0f * x[2] - x[3] + f * (3.0f * (x[1] - x[2]) + x[3] - x[0])));
    }

  private:
    float* samples_;
    size_t length_;
};

}  // namespace isotonus
