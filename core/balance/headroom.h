// core/balance: advice on faders and pans: what makes the peaks, what mono costs, what covers what, the build-up,
// drafts of rides that look at the rest of the mix.
//
// Headroom: what makes the mix's peaks, and what to turn down so that the whole-song peak falls into its window.
#pragma once

#include "core/mix/compile_plan.h"
#include "core/mix/mix_peak.h"

namespace isotonus {

/// What a track does to one moment of the mix.
struct Contribution {
    TrackId id = 0;
    Level alone_dbfs;       ///< its own sample there, at the main output; absent when it is 0
    double makes_db = 0.0;  ///< how much lower the moment would be without it; negative: it cancels
};

struct Moment {
    int64_t frame = 0;
    double peak_dbfs = 0.0;
    bool right = false;                       ///< the side that peaks
    std::vector<Contribution> contributions;  ///< of every heard track, the largest first
};

/// What makes these moments: the exact samples of every track at the highest one of the 256 frames from each peak's on
/// (a level summary tells no more than that).  Fails as reading does.
Result<std::vector<Moment>> moments_of(const PlanPtr& plan, const std::vector<MixPeak>& peaks);

enum class Remake {
    all_down,  ///< every fader by the same amount: the balance stays
    largest,   ///< the fewest tracks, those that make the peaks
    not_anchors
};

struct Proposal {
    Remake way = Remake::all_down;
    std::vector<std::pair<TrackId, double>> faders;  ///< tracks and the fader they would get, dB
    double by_db = 0.0;                              ///< how far they go down
    Level peak_dbfs;                                 ///< the exact whole-song peak it gives
    double balance_change_db = 0.0;                  ///< the largest change between any two heard tracks
    bool reaches = false;                            ///< the peak falls to the target
};

struct HeadroomPlan {
    Level peak_dbfs;
    double target_dbfs = 0.0;
    std::vector<Moment> worst;        ///< the peak and the next worst moments, a second apart
    std::vector<Proposal> proposals;  ///< none when the peak does not lie above the target
};

/// The plan for a session as it stands.  Each proposal is searched for with exact whole-song peaks, to 0.05 dB; only
/// those that reach the target are in it, and none changes the balance by more than 6 dB.  `peaks` keeps what it finds.
/// Fails as reading does, or with "cancelled".
Result<HeadroomPlan> headroom_plan(const Session& session, const MaterialOf& material, double target_dbfs,
                                   MixPeaks& peaks, Progress* progress = nullptr);

/// A copy with a proposal's faders.
Session with_proposal(const Session& session, const Proposal& proposal);

}  // namespace isotonus
