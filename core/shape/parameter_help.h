// What a processor and each of its parameters do, and when one would use them.
#pragma once

#include <string>
#include <string_view>

#include "core/ride/parameter.h"

namespace isotonus {

/// Two short sentences for a beginner, in the language of the program.  Empty for a parameter of a plug-in, which has
/// none.  Figures are common practice, no source.
std::string help_of(std::string_view processor_type, const ParameterInfo& parameter);

/// The same of a processor as a whole; empty for a plug-in.
std::string help_of(std::string_view processor_type);

}  // namespace isotonus
