// Where a track is struck.
#pragma once

#include <vector>

#include "core/measure/measurement.h"

namespace isotonus {

/// Times (seconds from the summary's start) at which the level of a block of 256 frames rises by 6 dB and more above
/// the loudest of the 60 ms before it (by 3 dB where it fell until then, as a struck sound that still rings does), lies
/// at most 24 dB below the loudest block of all, and no other hit was less than 80 ms ago.  Common practice, no source.
std::vector<double> hits_of(const LevelSummary& summary, int sample_rate);

}  // namespace isotonus
