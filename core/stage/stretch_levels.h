// Levels of a stretch of a track, such as the loop, without reading samples.
#pragma once

#include "core/measure/material.h"

namespace isotonus {

struct StretchLevels {
    Level peak_dbfs;           ///< sample peak, before the trim
    double peak_time_s = 0.0;  ///< of the source: the middle of the block of 256 frames that holds it
    Level average_dbfs;        ///< gated average (AES17) of the hops of 100 ms inside
};

/// Of [from_s, to_s) of a source; the peak to the nearest block of 256 frames, the average to the nearest 100 ms.
StretchLevels levels_between(const Material& material, double from_s, double to_s);

}  // namespace isotonus
