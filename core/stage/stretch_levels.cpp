#include "core/stage/stretch_levels.h"

#include <algorithm>
#include <cmath>

namespace isotonus {

StretchLevels levels_between(const Material& material, double from_s, double to_s) {
    const LevelSummary& s = material.summary;
    const double blocks_a_second = static_cast<double>(material.measurement.sample_rate) / LevelSummary::block_frames;
    const auto first = std::clamp<int64_t>(std::llround(from_s * blocks_a_second), 0, s.blocks());
    const auto end = std::clamp<int64_t>(std::llround(to_s * blocks_a_second), first, s.blocks());
    StretchLevels found;
    float peak = 0.0f;
    for (int64_t b = first; b < end; ++b)
        for (size_t i = static_cast<size_t>(b * s.channels); i < static_cast<size_t>((b + 1) * s.channels); ++i) {
            const float here = std::max(-s.low[i], s.high[i]);
            if (here <= peak) continue;
            peak = here;
            found.peak_time_s = (static_cast<double>(b) + 0.5) / blocks_a_second;
        }
    found.peak_dbfs = level_from_gain(static_cast<double>(peak));
    const auto& hops = material.hops.unweighted;
    const auto hop = [&](double time_s) {
        return static_cast<size_t>(
            std::clamp<int64_t>(std::llround(time_s * 10.0), 0, static_cast<int64_t>(hops.size())));
    };
    if (hop(from_s) < hop(to_s))
        found.average_dbfs = gated_average_dbfs(std::span(hops).subspan(hop(from_s), hop(to_s) - hop(from_s)));
    return found;
}

}  // namespace isotonus
