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
        const auto loudest_in = [&](size_t from, size_t to) {
            return from < to ? *std::max_element(peaks.begin() + static_cast<std::ptrdiff_t>(from),
                                                 peaks.begin() + static_cast<std::ptrdiff_t>(to))
                             : 0.0f;
        };
        const size_t from = b > before ? b - before : 0, earlier = from > before ? from - before : 0;
        const float most = loudest_in(from, b);
        const bool fell = from > earlier && most <= loudest_in(earlier, from);
        if (peaks[b] < (fell ? 1.4125f : 2.0f) * most) continue;  // 3 dB, 6 dB
        hits.push_back(static_cast<double>(b) * LevelSummary::block_frames / rate);
        last = b;
    }
    return hits;
}

}  // namespace isotonus
