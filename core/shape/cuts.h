// Low cut and high cut: Butterworth, 12 or 24 dB an octave.
#pragma once

#include <optional>

#include "core/shape/processor.h"

namespace isotonus {

const ProcessorType& low_cut_type();
const ProcessorType& high_cut_type();

/// Sets the first low cut of a chain, or puts one at its start; without a frequency all low cuts are taken away.
void set_low_cut(Chain& chain, std::optional<double> hz);

}  // namespace isotonus
