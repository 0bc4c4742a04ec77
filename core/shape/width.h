// The width: how far both sides of a row differ, and below which frequency they do not.
#pragma once

#include "core/shape/processor.h"

namespace isotonus {

/// M = (L + R) / 2 stays, S = (L - R) / 2 is multiplied by `width` (0 mono, 100 as it is, 200 % sides doubled).
/// `mono_below_hz`: the sides go through a low cut of 12 dB an octave (Butterworth) first, so that what is lower stands
/// in the centre, as one loudspeaker for lows and every club plays it; 20 Hz: off.  A mono row stays what it is.
const ProcessorType& width_type();

}  // namespace isotonus
