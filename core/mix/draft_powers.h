// What a ride draft looks at: a track's power over time, and that of everything else.
#pragma once

#include "core/mix/render_plan.h"

namespace isotonus {

struct DraftPowers {
    static constexpr double hop_s = 0.1;
    double shift_s = 0.0;       ///< where in the song the first hop begins
    std::vector<double> own;    ///< mean square after the trim, each hop
    std::vector<double> heard;  ///< the same at the main output, K-weighted, without its own level ride
    std::vector<double> rest;   ///< of all other heard tracks there, K-weighted, with their rides
};

/// Empty when the plan does not have the track.
DraftPowers draft_powers(const RenderPlan& plan, TrackId id);

}  // namespace isotonus
