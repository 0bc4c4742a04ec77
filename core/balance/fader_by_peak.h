// Faders from a peak: where a track has to stand to peak as wanted.
#pragma once

#include <map>

#include "core/mix/compile_plan.h"

namespace isotonus {

struct FadersByPeak {
    std::map<TrackId, double> faders_db;  ///< of the tracks that are known and not silent
    /// A track that does not reach the peak with its fader as high as it goes, and what it peaks at then; 0: none.
    TrackId too_low = 0;
    double highest_dbfs = 0.0;
};

/// The peak is that of the whole song, before pan, with trims, level rides and control groups.  `played` is what tracks
/// play, by their chains.
FadersByPeak faders_by_peak(const Session& session, const std::vector<TrackId>& tracks, const MaterialOf& played,
                            double peak_dbfs);

}  // namespace isotonus
