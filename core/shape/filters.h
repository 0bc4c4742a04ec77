// Second-order filters that follow their analogue prototypes up to half the rate: what cuts and equaliser are made of.
//
// Poles by impulse invariance; zeros such that the magnitude is the prototype's at 0 Hz, at half the rate and at the
// filter's own frequency (M. Vicanek, Matched Second Order Digital Filters, 2016, whose low-pass, high-pass and bell
// are cases of it).  The bilinear transform, which the Audio EQ Cookbook uses, squeezes the top octave instead.
#pragma once

#include "core/audio/biquad.h"

namespace isotonus {

/// The prototypes, s in units of the filter's frequency, A = 10^(dB / 40) (Audio EQ Cookbook, W3C Note; the shelves
/// with Q in place of a slope).
enum class FilterShape { low_cut, high_cut, bell, low_shelf, high_shelf, notch };

/// A digital filter of this shape.  `gain_db` counts for bell and shelves.  Frequencies above 0.49 of the rate count as
/// that.
Biquad matched_filter(FilterShape shape, double hz, double q, double gain_db, double sample_rate);

/// The prototype's own gain at a frequency, dB: what the digital filter is meant to be.
double analogue_db(FilterShape shape, double hz, double q, double gain_db, double at_hz);

}  // namespace isotonus
