// The equaliser: eight bands, each on both sides, on the middle or on the sides only.
#pragma once

#include "core/shape/processor.h"

namespace isotonus {

inline constexpr int equaliser_bands = 8;
const ProcessorType& equaliser_type();

}  // namespace isotonus
