// What a ride draft looks at: a track's power over time, that of everything else, and how much of it is heard.
#pragma once

#include "core/balance/audibility.h"
#include "core/ride/draft.h"

namespace isotonus {

struct DraftPowers {
    static constexpr double hop_s = 0.1;
    double shift_s = 0.0;       ///< where in the song the first hop begins
    std::vector<double> own;    ///< mean square after the trim, each hop
    std::vector<double> heard;  ///< the same at the main output, K-weighted, with its rides
    std::vector<double> rest;   ///< of all other heard tracks there, K-weighted, with their rides
};

/// The plan is one without the ride that is to be drafted.  Empty when it does not have the track.
DraftPowers draft_powers(const RenderPlan& plan, TrackId id);

/// Holds each phrase (seconds of the source, which begins shift_s into the song) against the level at which that share
/// of the track's bands would be heard there; against nothing where no band counts.
void hold_against_heard(std::vector<Phrase>& phrases, const Margins& margins, double share, double shift_s,
                        int sample_rate);

/// Median of the shares that are heard now, 0 … 1; absent when no phrase has one.
Level middle_share(const std::vector<Phrase>& phrases, const Margins& margins, double shift_s, int sample_rate);

}  // namespace isotonus
