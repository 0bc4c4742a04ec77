// Playing a session in real time from the command line.
#pragma once

#include <nlohmann/json.hpp>

#include "core/mix/render_plan.h"

namespace isotonus {

/// Plays from the start for some seconds (looping at the song's end), and tells how the device was served:
/// blocks, block_frames, sample_rate, late_blocks, load_median, load_max (shares of a block's time).
Result<nlohmann::json> play(const PlanPtr& plan, const std::string& device, double seconds);

}  // namespace isotonus
