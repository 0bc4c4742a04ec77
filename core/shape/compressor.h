// The compressor, after D. Giannoulis, M. Massberg, J. D. Reiss: Digital Dynamic Range Compressor Design, JAES 60
// (2012): the static curve with a quadratic knee (equation 4), and smooth, branching smoothing of the gain in dB
// (equation 16).
#pragma once

#include "core/shape/processor.h"

namespace isotonus {

/// What the static curve takes away from a level, dB, 0 or below.
double static_reduction_db(double level_dbfs, double threshold_dbfs, double ratio, double knee_db);

/// Above this ratio it is a limiter's: infinity to one.
inline constexpr double endless_ratio = 100.0;

const ProcessorType& compressor_type();

}  // namespace isotonus
