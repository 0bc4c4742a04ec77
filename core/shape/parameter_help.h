// What each parameter of a processor does, and when one would change it.
#pragma once

#include <string>
#include <string_view>

#include "core/ride/parameter.h"

namespace isotonus {

/// Two short sentences for a beginner, in the language of the program.  Empty for a parameter of a plug-in, which has
/// none.  Figures are common practice, no source.
std::string help_of(std::string_view processor_type, const ParameterInfo& parameter);

}  // namespace isotonus
