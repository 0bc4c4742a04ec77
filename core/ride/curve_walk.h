// Values of a curve at many times, one after the other.
#pragma once

#include <algorithm>

#include "core/ride/curve.h"

namespace isotonus {

/// Curve::value_at for times that mostly grow: it goes on from where it was instead of searching.
class CurveWalk {
  public:
    explicit CurveWalk(const Curve& curve) : points_(&curve.points) {}

    double value_at(double time_s) {
        const auto& points = *points_;
        if (points.empty()) return 0.0;
        if (next_ > 0 && points[next_ - 1].time_s > time_s) next_ = 0;
        while (next_ < points.size() && points[next_].time_s <= time_s) ++next_;
        if (next_ == 0) return points.front().value;
        const RidePoint& from = points[next_ - 1];
        if (next_ == points.size() || from.segment == Segment::step) return from.value;
        const RidePoint& to = points[next_];
        return from.value +
               (to.value - from.value) * share_at(from, (time_s - from.time_s) / (to.time_s - from.time_s));
    }

  private:
    const std::vector<RidePoint>* points_;
    size_t next_ = 0;  ///< the first point behind the time
};

}  // namespace isotonus
