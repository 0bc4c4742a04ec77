// The equaliser: eight bands, each on both sides, on the middle or on the sides only.
#pragma once

#include "core/shape/processor.h"

namespace isotonus {

inline constexpr int equaliser_bands = 8;
const ProcessorType& equaliser_type();

struct Bell {
    double hz = 1000.0, db = 0.0, q = 1.0;
};
/// Puts a bell into the first band that is out, of the first equaliser that is in and has one; else into a new
/// equaliser after the cuts that the chain begins with, or after its equalisers there.
void add_bell(Chain& chain, const Bell& bell);

}  // namespace isotonus
