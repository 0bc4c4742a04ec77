// Pans as people type them.
#pragma once

#include <optional>
#include <string>

namespace isotonus {

/// -1 (left) … 1 (right): "C", "L12", "12 r", "l 12 %", "-6 %".  A number alone is a share of the way ("0.34"), or
/// percent where it has no point and `whole_is_percent`.  Absent for what is no pan.
std::optional<double> pan_from_text(const std::string& text, bool whole_is_percent);

/// "C", "L 35".
std::string text_of_pan(double pan);

}  // namespace isotonus
