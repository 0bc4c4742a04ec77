// What a chain can make of a level at most, without running it over the song.
#pragma once

#include <optional>
#include <vector>

#include "core/shape/processor.h"

namespace isotonus {

/// In place: the highest sample of either side in each block of `block_frames` frames, of what goes in and then of what
/// can come out.  By each processor's own bound (ProcessorType::max_gain and ceiling); of a linear one by the sum of
/// the magnitudes of its response to an impulse, as long as that lasts.  Infinity, where what goes in is, or when a
/// processor has no bound (a reverb, whose sum of magnitudes says nothing) and nothing after it has a ceiling.
void bound_through(const Chain& chain, const Rides& rides, double sample_rate, int64_t block_frames,
                   std::vector<float>& reach);

}  // namespace isotonus
