// A ride: one parameter's value over the song.
#pragma once

#include <cstddef>
#include <cstdint>
#include <vector>

namespace isotonus {

/// How a ride goes from a point to the next one.
enum class Segment {
    line,  ///< v(t) = v0 + (v1 - v0) (t - t0) / (t1 - t0), in the parameter's unit: a level ride is linear in dB
    step,  ///< v(t) = v0 until t1, where it jumps
};

struct RidePoint {
    double time_s = 0.0;
    double value = 0.0;  ///< in the parameter's unit; a level ride is in dB, added to the fader
    Segment segment = Segment::line;

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

/// Linear gains of a level ride for `count` frames from `first_frame` on, at `sample_rate` Hz.
/// Cells of 32 frames, fixed to frame 0, without a point inside are a geometric series between the exact values at
/// their ends, which is what linear in dB is; a cell with a point inside is computed frame by frame.  So the value of a
/// frame does not depend on how the song is cut into blocks.
void level_ride_gains(const Curve& curve, double sample_rate, int64_t first_frame, int64_t count, double* gains);

/// Largest gain of a level ride in [first_frame, first_frame + count].
double level_ride_bound(const Curve& curve, double sample_rate, int64_t first_frame, int64_t count);

}  // namespace isotonus
