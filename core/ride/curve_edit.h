// Editing a ride: stretches of time, sets of points.  Every function gives a new curve and leaves the rest of the ride
// as it sounded.
#pragma once

#include <set>

#include "core/ride/parameter.h"

namespace isotonus {

/// A stretch of the song, seconds.
struct Span {
    double from_s = 0.0, to_s = 0.0;
    double length_s() const { return to_s - from_s; }
    bool operator==(const Span&) const = default;
};

/// In the order of time, those that overlap or touch as one.
std::vector<Span> joined(std::vector<Span> spans);

/// The same ride with a point at this time.  Lines and steps are cut exactly; a bend or an S-shape becomes lines that
/// keep to it within `tolerance`.
Curve with_point_at(const Curve& curve, double time_s, double tolerance);

/// What lies in a stretch, its first point at 0 s.
Curve cut_out(const Curve& curve, Span span, double tolerance);

/// The ride with `inside` (whose first point stands at 0 s) in place of what lay in the stretch.  Outside of it nothing
/// changes.
Curve with_inside(const Curve& curve, Span span, const Curve& inside, const ParameterInfo& info);

/// The ride without what lies in a stretch: a line across.
Curve without_inside(const Curve& curve, Span span, const ParameterInfo& info);

/// All of the stretch `by` higher; over `edge_s` at each end (at most half of the stretch) the change comes and goes in
/// a line.
Curve raised(const Curve& curve, Span span, double by, double edge_s, const ParameterInfo& info);

/// All of the ride `by` higher: its trim.
Curve raised(const Curve& curve, double by, const ParameterInfo& info);

// Chosen points.  Each keeps its place among the others: it stops at a neighbour that is not chosen.
Curve moved(const Curve& curve, const std::set<size_t>& points, double by_s, double by, const ParameterInfo& info);
/// Values times `factor` around their mean (of the highest and the lowest).
Curve scaled(const Curve& curve, const std::set<size_t>& points, double factor, const ParameterInfo& info);
/// Times stretched by `factor` around the first of them.
Curve stretched(const Curve& curve, const std::set<size_t>& points, double factor);

// Shapes.

/// From what the ride is at the stretch's start down to the lowest value at its end, and held there.
Curve fade_out(const Curve& curve, Span span, Segment segment, double bend, const ParameterInfo& info);

struct Dip {
    double depth = 6.0;      ///< downwards, in the parameter's unit
    double attack_s = 0.01;  ///< before the hit
    double hold_s = 0.08;    ///< from the hit on
    double release_s = 0.15;
};
/// A dip around each hit in the stretch; where dips touch, the deeper counts.
Curve dipped(const Curve& curve, Span span, const std::vector<double>& hits_s, const Dip& dip,
             const ParameterInfo& info);

/// Between the ride and `depth` below it, down and up once in every `period_s` from the stretch's start, in S-shapes.
Curve tremolo(const Curve& curve, Span span, double period_s, double depth, const ParameterInfo& info);

/// `by` up in each of these stretches, there within `edge_s` before it and back within `edge_s` after it.
Curve thrown(const Curve& curve, const std::vector<Span>& words, double by, double edge_s, const ParameterInfo& info);

}  // namespace isotonus
