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

/// Fails when a file that a plan plays, a plug-in or an impulse response is not what it was when the plan's figures
/// were made: then the figures speak of something else than what is rendered.
Result<void> sources_unchanged(const RenderPlan& plan);
/// The same, without looking again at what was looked at already.
Result<void> sources_unchanged(const RenderPlan& plan, Playable::Seen& seen);

}  // namespace isotonus
