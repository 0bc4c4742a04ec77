// Two sides of a cell next to each other in one register, and the arithmetic of levels that a compiler can do for many
// frames at once.
#pragma once

#include <bit>
#include <cstdint>

#include "core/audio/biquad.h"
#include "core/shape/processor.h"

namespace isotonus {

/// A cell in double, or several; of a mono row the second lane is 0.
struct PairCell {
    Pair at[stretch_frames];
    void load(const float* in, int channels, int frames);
    void store(float* out, int channels, int frames) const;
    /// Left and right to middle and sides, and back: M = (L + R) / 2, S = (L - R) / 2.
    void to_middle_and_sides(int frames) {
        for (int i = 0; i < frames; ++i) at[i] = Pair{(at[i][0] + at[i][1]) / 2.0, (at[i][0] - at[i][1]) / 2.0};
    }
    void to_left_and_right(int frames) {
        for (int i = 0; i < frames; ++i) at[i] = Pair{at[i][0] + at[i][1], at[i][0] - at[i][1]};
    }
};

/// A filter that glides from one to another over a cell.
struct GlidingFilter {
    PairFilter from, to;
    bool still = true;
    void set(const PairFilter& next, bool first) {
        const auto same = [](Pair a, Pair b) { return a[0] == b[0] && a[1] == b[1]; };
        from = first ? next : to;
        to = next;
        still = same(from.b0, to.b0) && same(from.b1, to.b1) && same(from.b2, to.b2) && same(from.a1, to.a1) &&
                same(from.a2, to.a2);
    }
};

/// What a filter does to a frequency of the first side (left, or middle), once it has glided there.
std::complex<double> response_of(const GlidingFilter& filter, double radians);

/// Runs filters one after the other over a cell, or over several where all are still; their states next to each other.
void run_filters(std::span<const GlidingFilter* const> filters, PairFilter::DirectState* states, Pair* cell,
                 int frames);
/// One of them, over interleaved samples in place.
void run_filter(const GlidingFilter& filter, PairFilter::DirectState& state, float* samples, int channels, int frames);

// Within 0.0002 dB.  Plain arithmetic without branches or tables.
inline float exp2_of(float x) {
    float safe = x;
    if (x < -126.0f)
        safe = -126.0f;
    else if (x > 126.0f)
        safe = 126.0f;
    const float shifted = safe + 12582912.0f;  // rounds to the nearest whole number
    const int32_t whole = std::bit_cast<int32_t>(shifted) - 0x4B400000;
    const float f = safe - (shifted - 12582912.0f);
    float p = 0.000154614477f;
    p = p * f + 0.00133908674f;
    p = p * f + 0.00961805667f;
    p = p * f + 0.055503571f;
    p = p * f + 0.240226509f;
    p = p * f + 0.693147188f;
    p = p * f + 1.0f;
    return std::bit_cast<float>(std::bit_cast<int32_t>(p) + (whole << 23));
}
inline constexpr float db_of_octave = 6.0205999f;  ///< 20 log10(2)
inline float gain_of_db(float db) { return exp2_of(db * (1.0f / db_of_octave)); }

/// What is left after one frame of an exponential approach of this length (to 63 %).
double keep_of(double seconds, double sample_rate);

}  // namespace isotonus
