// One question for both ways in which a row makes way for another: a duck that follows the other's level, or dips drawn
// into a ride at its hits.
#pragma once

#include "app/desk/workspace.h"
#include "core/ride/curve_edit.h"

namespace isotonus {

enum class Way { duck, drawn };

/// Asks who makes way for whom and how, and does it in one undo step.  What is drawn goes into this parameter's ride,
/// within `span`, or else over the whole song.  Rows without a chain can only be drawn.
void ask_make_way(Workspace& work, TrackId row, Way offered, Parameter parameter = Parameter::level,
                  std::optional<Span> span = {});

}  // namespace isotonus
