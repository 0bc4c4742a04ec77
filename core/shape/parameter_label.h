// What people call a parameter.
#pragma once

#include <span>
#include <string>
#include <string_view>

#include "core/ride/parameter.h"

namespace isotonus {

/// Its name where it has one; else its id without the unit, which stands by its value: "threshold_dbfs" is "threshold".
/// In the language of the program.
std::string label_of(const ParameterInfo& parameter);

/// Of a parameter of a band, without the band: "gain" for "band2.db".
std::string label_in_band(const ParameterInfo& parameter);

/// The word for an id or a choice, such as "ping pong" or "below", in the language of the program.
std::string label_of_id(std::string_view id);

/// All that labels, choices and the short words of processors are made of.
std::span<const char* const> label_words();

}  // namespace isotonus
