// The delay: repeats of what comes in, each side at a time of its own.
#pragma once

#include "core/shape/processor.h"

namespace isotonus {

/// What comes out is the repeats alone; the dry sound is the processor's mix.  The loop: the delayed sound times the
/// feedback goes in again, through a low and a high cut of 12 dB an octave.  Ping-pong: the middle goes in at the left,
/// and each side's repeats go on at the other.  The modulation moves both times by a sine, its sides a quarter apart.
const ProcessorType& delay_type();

/// A repeat of what comes in on both sides at 1: after how long, and how much of it on each side, linear.  Cuts,
/// modulation and width are left aside.
struct Repeat {
    double time_s = 0.0, left = 0.0, right = 0.0;
};
/// In order of time, until they have fallen by 48 dB, 64 at most.
std::vector<Repeat> repeats_of(const Processor& delay);

}  // namespace isotonus
