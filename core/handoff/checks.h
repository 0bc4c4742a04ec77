// The checks before hand-off: is this mix fit for a mastering engineer?  Limits are common practice, no source,
// but for true peak (EBU R 128: at most -1 dBTP).
#pragma once

#include <string>
#include <vector>

#include "core/mix/mixdown.h"

namespace isotonus {

struct Check {
    std::string id;
    bool passed = false;
    Level measured;
    Level limit;
    std::string text;  ///< what was found, in a sentence
};

/// What is known of a track whose file could not be used.
struct MissingFile {
    std::string track;
    Error error;
};

/// `mix` as measured by measure_mix.
std::vector<Check> check_handoff(const Session& session, const RenderPlan& plan, const Measurement& mix,
                                 const std::vector<MissingFile>& missing);

inline bool all_passed(const std::vector<Check>& checks) {
    for (const Check& c : checks)
        if (!c.passed) return false;
    return true;
}

}  // namespace isotonus
