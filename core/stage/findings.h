// What a listen through a file turns up: faults and facts to know before mixing.
#pragma once

#include <string>
#include <vector>

#include "core/measure/material.h"

namespace isotonus {

struct Finding {
    std::string id;
    std::string text;      ///< short, with its figure: "clipped 124 times"
    double time_s = -1.0;  ///< where in the song, when it has a place
    bool fault = true;     ///< false: good to know only
};

/// Clipped runs, DC offset, non-finite samples, silence, a long silent start (5 s), correlation below 0,
/// an average below -28 dBFS, conversion.  Limits are common practice, no source.
std::vector<Finding> findings_of(const Material& material);

}  // namespace isotonus
