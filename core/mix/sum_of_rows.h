// What leads to a bus, summed: the input of the bus's chain.
#pragma once

#include "core/mix/render_plan.h"

namespace isotonus {

/// A stereo material whose samples are those that the plan renders, computed when they are read.  It has no figures and
/// no summary.
MaterialPtr sum_of_rows(PlanPtr plan);

/// Everything that the plan's samples depend on is known to the bit: no signal in it is provisional.
bool is_known(const RenderPlan& plan);
bool is_known(const SignalRecipe& recipe);
/// The plan of a sum of rows; null for any other material.
PlanPtr summed_plan(const Material& material);

}  // namespace isotonus
