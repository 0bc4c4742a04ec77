// Low cut and high cut: Butterworth, 12 or 24 dB an octave.
#pragma once

#include "core/shape/processor.h"

namespace isotonus {

const ProcessorType& low_cut_type();
const ProcessorType& high_cut_type();

}  // namespace isotonus
