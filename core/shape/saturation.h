// Saturation: three curves, computed at four times the rate so that what they add above it does not fold back.
#pragma once

#include "core/shape/processor.h"

namespace isotonus {

/// The curves, of a value in units of the ceiling.  tanh: odd harmonics.  Asymmetric: tanh of x + a, less what it gives
/// of silence, scaled to a slope of 1 at 0 (a = 0.3): even ones too.  Clip: x - 4/27 x^3 up to |x| = 3/2, then 1: a
/// cubic that meets its ceiling with a slope of 0.
enum class SaturationCurve { tanh, asymmetric, clip };
double saturated(SaturationCurve curve, double x);

const ProcessorType& saturation_type();

}  // namespace isotonus
