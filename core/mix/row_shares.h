// What a row puts into buses that have a chain, and into returns, taken out of them: for stems that hold all that is
// heard of their rows.
//
// A bus's signal is what its chain makes of a sum.  A share of it is what the same chain makes of some of the rows,
// with every processor of level working by the whole sum: gains are those of the mix, so that the shares sum up to the
// bus (within rounding) as long as the rest of the chain is linear.  Where it is not, as with a saturation, they do
// not.
#pragma once

#include "core/mix/render_plan.h"

namespace isotonus {

struct SharedOut {
    std::vector<PlanPtr> plans;  ///< as they were, of the sources that the shares have too, which they leave silent
    std::vector<PlanPtr> sets;   ///< `plan` with nothing but what these rows sound like, wherever they are sent
};

/// Makes the signals of all shares, on `workers` threads.  `plans` and `plan` are of the same sources; `sets` are of
/// tracks, each in one of them at most.  Fails as reading does, or with "cancelled".
Result<SharedOut> share_out(const std::vector<PlanPtr>& plans, const PlanPtr& plan,
                            const std::vector<std::vector<TrackId>>& sets, Progress* progress = nullptr,
                            int workers = worker_count());

}  // namespace isotonus
