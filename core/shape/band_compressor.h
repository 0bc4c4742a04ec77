// A compressor of one band: sibilance, harsh tops, a bass that makes way only where the kick sounds.  While nothing is
// taken away what comes in goes out to the bit, and what lies away from the band keeps its level and its phase always
// (see MovingBand).
#pragma once

#include "core/shape/processor.h"

namespace isotonus {

/// Below `high_hz`, above `low_hz`, or within both.  It goes by the same band of its sidechain source, with edges of 12
/// dB an octave.
const ProcessorType& band_compressor_type();

}  // namespace isotonus
