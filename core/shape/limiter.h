// The limiter: no sample, and nothing between two samples, passes its ceiling.
#pragma once

#include "core/shape/processor.h"

namespace isotonus {

/// Looks 2 ms ahead at true peaks, as ITU-R BS.1770-5 Annex 2 estimates them, of both sides together.  The gain is held
/// for as long, falls in a straight line of as long, and comes back within the release.
const ProcessorType& limiter_type();

}  // namespace isotonus
