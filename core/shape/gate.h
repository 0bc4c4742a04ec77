// The gate: what is quieter than a threshold is turned down.
#pragma once

#include "core/shape/processor.h"

namespace isotonus {

const ProcessorType& gate_type();

}  // namespace isotonus
