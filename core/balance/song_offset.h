// Where a recording of a mix lies in the song.
#pragma once

#include "core/balance/mix_columns.h"

namespace isotonus {

/// The frame of the song at which the recording's first frame lies; negative: it begins before the song.  A fraction is
/// left of one that was made at another rate.  Levels over time give places, correlations of each track with the
/// recording (phase transform) choose one of them and make it exact.  Nothing when no place stands out.
Result<std::optional<double>> song_offset(const std::vector<MixColumn>& tracks, const Material& recording,
                                          Progress* progress = nullptr);

}  // namespace isotonus
