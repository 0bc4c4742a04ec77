// What people call a parameter.
#pragma once

#include <span>
#include <string>

#include "core/ride/parameter.h"

namespace isotonus {

/// Its name where it has one; else its id without the unit, which stands by its value: "threshold_dbfs" is "threshold".
/// In the language of the program.
std::string label_of(const ParameterInfo& parameter);

/// All that labels, choices and the short words of processors are made of.
std::span<const char* const> label_words();

}  // namespace isotonus
