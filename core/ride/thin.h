// Fewer points for the same ride.
#pragma once

#include "core/ride/curve.h"

namespace isotonus {

/// A curve with as few of the same points as Ramer-Douglas-Peucker finds, that differs from the given one by at most
/// `tolerance` (in the parameter's unit) at any time.  Distance is taken along the value, at the same time.  Steps,
/// bends, S-shapes, edges, locked points and the ends stay as they are.
Curve thinned(const Curve& curve, double tolerance = 0.1);

}  // namespace isotonus
