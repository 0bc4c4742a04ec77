// Rides as text that any table program reads: "seconds,value", one point a line.
#pragma once

#include <string>

#include "core/files/paths.h"
#include "core/ride/parameter.h"

namespace isotonus {

/// A first line "seconds,value,segment", then the points; seconds and values with a point, whatever the language.
std::string ride_to_csv(const Curve& curve);

/// Reads it back.  The first line may be missing; so may the segment (a line then); empty lines are skipped; points may
/// come in any order.  A point that a session cannot hold is refused.  Fails with the file, the line and the fault.
Result<Curve> ride_from_csv(const std::string& text, const std::string& file,
                            const ParameterInfo& info = info_of(Parameter::level));

/// The same of a file, 64 MiB at most.
Result<Curve> read_ride_csv(const fs::path& file, const ParameterInfo& info);

}  // namespace isotonus
