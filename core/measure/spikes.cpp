#include <algorithm>
#include <cmath>

#include "core/measure/measurement.h"

namespace isotonus {

std::vector<Spike> find_spikes(const LevelSummary& s, int sample_rate, double* rest) {
    constexpr size_t max_spikes = 3;
    constexpr float lower = 0.70794578f;  // -3 dB
    const int64_t longest = std::max<int64_t>(1, sample_rate / 20 / LevelSummary::block_frames);
    const auto peak_of = [&](int64_t block) {
        float peak = 0.0f;
        for (int c = 0; c < s.channels; ++c) {
            const size_t at = static_cast<size_t>(block * s.channels + c);
            peak = std::max({peak, -s.low[at], s.high[at]});
        }
        return peak;
    };
    float peak = 0.0f;
    for (int64_t b = 0; b < s.blocks(); ++b) peak = std::max(peak, peak_of(b));
    *rest = static_cast<double>(peak);
    if (peak == 0.0f) return {};
    // The blocks above must all be covered; going from the left, each moment starts at the first that is not: no other
    // choice needs fewer.
    std::vector<Spike> spikes;
    float below = 0.0f;
    int64_t first = -1, last = -1;
    for (int64_t b = 0; b < s.blocks(); ++b) {
        const float here = peak_of(b);
        if (here <= peak * lower) {
            below = std::max(below, here);
            continue;
        }
        if (first < 0 || b >= first + longest) {
            if (spikes.size() == max_spikes) return {};
            first = b;
            spikes.push_back({b * LevelSummary::block_frames, 0, silence_db});
        }
        last = b;
        Spike& spike = spikes.back();
        spike.frames = (last - first + 1) * LevelSummary::block_frames;
        spike.peak_dbfs = std::max(spike.peak_dbfs, db_from_gain(static_cast<double>(here)));
    }
    if (below < 0.0003162f) return {};  // -70 dBFS: nothing remains; these moments are all there is
    *rest = static_cast<double>(below);
    return spikes;
}

}  // namespace isotonus
