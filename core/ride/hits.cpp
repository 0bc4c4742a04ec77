#include "core/ride/hits.h"

#include <algorithm>

namespace isotonus {

std::vector<double> hits_of(const LevelSummary& s, int rate) {
    std::vector<float> peaks;
    for (int64_t b = 0; b < s.blocks(); ++b) {
        float most = 0.0f;
        for (int c = 0; c < s.channels; ++c) {
            const auto i = static_cast<size_t>(b * s.channels + c);
            most = std::max({most, -s.low[i], s.high[i]});
        }
        peaks.push_back(most);
    }
    const float loudest = peaks.empty() ? 0.0f : *std::max_element(peaks.begin(), peaks.end());
    const auto blocks = [&](double seconds) {
        return static_cast<size_t>(seconds * rate / LevelSummary::block_frames);
    };
    const size_t before = std::max<size_t>(1, blocks(0.06)), spacing = blocks(0.08);
    std::vector<double> hits;
    size_t last = 0;
    for (size_t b = 0; b < peaks.size(); ++b) {
        if (peaks[b] <= 0.0f || peaks[b] < loudest * 0.063f) continue;  // -24 dB
        if (!hits.empty() && b - last < spacing) continue;
        float most = 0.0f;
        for (size_t k = b > before ? b - before : 0; k < b; ++k) most = std::max(most, peaks[k]);
        if (peaks[b] < 2.0f * most) continue;
        hits.push_back(static_cast<double>(b) * LevelSummary::block_frames / rate);
        last = b;
    }
    return hits;
}

}  // namespace isotonus
