// What a mix reaches at most, from what each of its rows reaches; no sample is read.
#pragma once

#include <optional>
#include <vector>

#include "core/mix/render_plan.h"

namespace isotonus {

/// The highest sample of each side in each block of 256 frames (LevelSummary::block_frames), linear.
struct Reach {
    std::vector<float> left, right;
};

/// At most this comes out of a plan's sum, before the main fader: every row's reach times its gains, added.  Of signals
/// that are not worked out yet by what their chains can make of what goes in; infinity where that is not known.
Reach reach_of_sum(const RenderPlan& plan);

/// The whole-song sample peak of a plan is at most this, linear.  Nothing when that is not known.
std::optional<double> max_of_mix(const RenderPlan& plan);

}  // namespace isotonus
