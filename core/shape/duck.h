// The duck: another row's level turns this one down.
#pragma once

#include "core/shape/processor.h"

namespace isotonus {

const ProcessorType& duck_type();

}  // namespace isotonus
