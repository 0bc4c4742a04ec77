// The compressor, after D. Giannoulis, M. Massberg, J. D. Reiss: Digital Dynamic Range Compressor Design, JAES 60
// (2012): the static curve with a quadratic knee (equation 4), and smooth, branching smoothing of the gain in dB
// (equation 16).
#pragma once

#include "core/shape/processor.h"

namespace isotonus {

/// What the static curve takes away from a level, dB, 0 or below.
double static_reduction_db(double level_dbfs, double threshold_dbfs, double ratio, double knee_db);

/// The same of `frames` levels at once, dB, with slope = 1 / ratio - 1 and at most `range` (0 or below) taken away.
void static_gains_db(const float* level, int frames, float threshold, float slope, float knee, float range,
                     float* gain);
/// Reductions in dB that fall to what is wanted by the attack and come back by the release, each given as what is left
/// after a frame (see keep_of); `state` is the reduction so far.  `out` may be `wanted`.
void follow_gains(const float* wanted, int frames, double attack, double release, double& state, float* out);
/// Adds the make-up to reductions in dB; finds the deepest of each cell.
void finish_gains(float* gain, int frames, float makeup, float* deepest);

/// Above this ratio it is a limiter's: infinity to one.
inline constexpr double endless_ratio = 100.0;

const ProcessorType& compressor_type();

}  // namespace isotonus
