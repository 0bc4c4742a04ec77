// How much more or less of the four wide bands the mix has than what it is beside.
#pragma once

#include <array>
#include <vector>

#include "core/compare/third_octaves.h"

namespace isotonus {

/// Of each of `wide_names` the mix less what it is beside, dB, summed from the third octaves of both; absent where one
/// of the two has nothing.
std::array<Level, 4> wide_differences_db(const std::vector<BandDifference>& bands);

}  // namespace isotonus
