// core/ride: what can be ridden, the curves that do it, how they are drawn, drafted, thinned, and written while the
// song plays.
//
// A ride: one parameter's value over the song.
#pragma once

#include <cstddef>
#include <cstdint>
#include <vector>

#include "core/unknown_keys.h"

namespace isotonus {

/// How a ride goes from a point to the next one.
enum class Segment {
    line,    ///< v(t) = v0 + (v1 - v0) u with u = (t - t0) / (t1 - t0), in the parameter's unit: a level ride is
             ///< linear in dB
    step,    ///< v(t) = v0 until t1, where it jumps
    bend,    ///< v(t) = v0 + (v1 - v0) u^k with k = 8^bend: bend > 0 starts slowly, bend < 0 starts fast
    smooth,  ///< v(t) = v0 + (v1 - v0) u^2 (3 - 2 u): an S, level at both ends
};

struct RidePoint {
    double time_s = 0.0;
    double value = 0.0;  ///< in the parameter's unit; a level ride is in dB, added to the fader
    Segment segment = Segment::line;
    double bend = 0.5;    ///< -1 … 1; for Segment::bend
    bool locked = false;  ///< a draft leaves it, and what lies between two of them, alone
    UnknownKeys unknown = nullptr;

    bool operator==(const RidePoint&) const = default;
};

/// Points in order of time.  Before the first point its value holds, after the last one that one's.
/// Of two points at one time the later in the list wins from that time on (a vertical edge).
struct Curve {
    std::vector<RidePoint> points;

    bool operator==(const Curve&) const = default;
    bool empty() const { return points.empty(); }

    /// Value at a time; 0 for a curve without points.
    double value_at(double time_s) const;

    /// Puts a point where it belongs in time; returns its place.
    size_t insert(RidePoint point);
};

inline constexpr double ride_min_db = -60.0;
inline constexpr double ride_max_db = 12.0;

/// How far a segment has come at u = 0 … 1 of its time: 0 … 1.
double share_at(const RidePoint& from, double u);

/// The bend of a segment that has come this far (0 … 1) at half of its time: log8(log2(1 / share)), held to -1 … 1.
double bend_through(double share);

/// Linear gains of a level ride for `count` frames from `first_frame` on, at `sample_rate` Hz.
/// A line is a geometric series, which is what linear in dB is, begun anew from the exact value at every 512th frame of
/// the song and at the first frame of the segment; bends and S-shapes are computed frame by frame.  So the value of a
/// frame does not depend on how the song is cut into blocks.
void level_ride_gains(const Curve& curve, double sample_rate, int64_t first_frame, int64_t count, double* gains);

/// Largest gain of a level ride in [first_frame, first_frame + count].
double level_ride_bound(const Curve& curve, double sample_rate, int64_t first_frame, int64_t count);

}  // namespace isotonus
