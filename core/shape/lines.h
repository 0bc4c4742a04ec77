// Rings in the delay lines of processors with a long memory (see RunningOf), and how they are read.
#pragma once

#include "core/shape/fields.h"
#include "core/shape/lanes.h"

namespace isotonus {

/// A ring of samples in delay lines.  A cell is written as a whole, then read at any place before its end.
class Ring {
  public:
    Ring(float* samples, size_t length) : samples_(samples), length_(length) {}
    /// Puts `count` samples behind the last, no more than the ring is long; `at` is the place of the next, which goes
    /// round.
    void write(uint32_t& at, const float* in, int count) {
        const size_t all = static_cast<size_t>(count), to_end = std::min(all, length_ - at);
        copy(samples_ + at, in, to_end);
        copy(samples_, in + to_end, all - to_end);
        at = static_cast<uint32_t>(to_end == length_ - at ? all - to_end : at + all);
    }
    /// `count` samples of which the first came `back` places before `at`, no more than the ring is long.
    void read(uint32_t at, size_t back, float* out, int count) const {
        const size_t from = at >= back ? at - back : at + length_ - back, all = static_cast<size_t>(count),
                     to_end = std::min(all, length_ - from);
        copy(out, samples_ + from, to_end);
        copy(out + to_end, samples_, all - to_end);
    }
    /// A cell of which the first came `from` places before `at` at its start and `to` places at its end: a place that
    /// moves is faded from the one to the other.
    void read_gliding(uint32_t at, size_t from, size_t to, float* out) const {
        read(at, to, out, cell_frames);
        if (from == to) return;
        float old[cell_frames];
        read(at, from, old, cell_frames);
        for (int i = 0; i < cell_frames; ++i)
            out[i] = old[i] + (out[i] - old[i]) * static_cast<float>(i + 1) / cell_frames;
    }
    /// The value `back` places before `at`, between four samples (Catmull and Rom's cubic); `back` from 2 to length
    /// - 3.
    float between(uint32_t at, double back) const {
        float one;
        between(at, back, &one, 1);
        return one;
    }
    /// The same of `count` values, a cell at most, of which the first is meant; `back` from count + 2 on.
    void between(uint32_t at, double back, float* out, int count) const {
        const double whole = std::ceil(back);
        const auto f = static_cast<float>(whole - back);
        float all[cell_frames + 3];
        read(at, static_cast<size_t>(whole) + 1, all, count + 3);
        for (int i = 0; i < count; ++i) {
            const float* const x = all + i;
            out[i] =
                x[1] +
                0.5f * f *
                    (x[2] - x[0] +
                     f * (2.0f * x[0] - 5.0f * x[1] + 4.0f * x[2] - x[3] + f * (3.0f * (x[1] - x[2]) + x[3] - x[0])));
        }
    }

  private:
    /// Most often it is a whole cell, whose length the compiler knows.
    static void copy(float* to, const float* from, size_t count) {
        if (count == cell_frames)
            std::memcpy(to, from, cell_frames * sizeof(float));
        else
            std::copy_n(from, count, to);
    }
    float* samples_;
    size_t length_;
};

}  // namespace isotonus
