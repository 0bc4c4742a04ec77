// The reverb: the room that a row stands in, computed.
#pragma once

#include "core/shape/processor.h"

namespace isotonus {

/// A feedback delay network of sixteen lines (Jot and Chaigne, 1991): lossless but for what each line's absorption
/// takes, a first-order low and high shelf that make the decay what is asked for: `decay_s` to -60 dB at middle
/// frequencies, times `low_factor` below 250 Hz and times `high_factor` above 4 kHz.  Before it a pre-delay, a low and
/// a high cut, and early reflections.  What comes out is the room alone, about as loud as what goes in however long it
/// rings; the dry sound is the processor's mix.  Size, the room's mean free path as the time between reflections, does
/// not ride: it is what it is at the song's start, and so is the pre-delay.
const ProcessorType& reverb_type();

/// How long a frequency takes to fall by 60 dB as it is set, s; of a line of mean length.
double decay_s(const Processor& reverb, double hz);

}  // namespace isotonus
