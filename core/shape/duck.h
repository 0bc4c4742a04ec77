// The duck: another row's level turns this one down.
#pragma once

#include "core/shape/processor.h"

namespace isotonus {

const ProcessorType& duck_type();

/// The first duck of a chain that listens to this row, or to none yet; else a new one at its end.
Processor& duck_for(Chain& chain, uint64_t key);

}  // namespace isotonus
