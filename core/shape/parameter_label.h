// What people call a parameter.
#pragma once

#include <string>

#include "core/ride/parameter.h"

namespace isotonus {

/// Its name where it has one; else its id without the unit, which stands by its value: "threshold_dbfs" is "threshold".
std::string label_of(const ParameterInfo& parameter);

}  // namespace isotonus
