// Transients: the beginnings of sounds louder or softer, and what rings after them.
#pragma once

#include "core/shape/processor.h"

namespace isotonus {

const ProcessorType& transient_type();

}  // namespace isotonus
