// The mix's level over time, from the tracks' level summaries: for the picture of the whole song.
#pragma once

#include "core/mix/render_plan.h"

namespace isotonus {

/// Mean power in each of `columns` equal parts of [from_frame, to_frame), the tracks taken as incoherent: the powers of
/// what each brings to both sides are added.  For a picture; the exact peak is whole_song_peak's work.
std::vector<double> mix_power_over_time(const RenderPlan& plan, int64_t from_frame, int64_t to_frame, int columns);

}  // namespace isotonus
