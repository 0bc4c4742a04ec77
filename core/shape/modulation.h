// Chorus, flanger and phaser: a row against a copy of itself that moves.
#pragma once

#include "core/shape/processor.h"

namespace isotonus {

/// Chorus: 15 ms late, moving by up to 8 ms.  Flanger: from 1 ms on, moving by up to 5 ms.  Phaser: six all-pass
/// filters of first order, which move between 200 Hz and 4 kHz.  They move by a sine; the sides apart by `apart`
/// degrees of it. What comes out is the moving copy alone: half of it in the processor's mix makes the effect.
const ProcessorType& modulation_type();

}  // namespace isotonus
