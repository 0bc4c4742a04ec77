#include "core/measure/passage.h"

#include <algorithm>
#include <cmath>
#include <vector>

#include "core/measure/loudness.h"

namespace isotonus {

namespace {
constexpr size_t second = 10;  // hops
constexpr size_t window = 3 * second, shortest = 8 * second, longest = 30 * second;
}  // namespace

std::optional<Passage> widest_passage(std::span<const double> hops) {
    std::vector<double> sums(hops.size() + 1, 0.0);
    for (size_t i = 0; i < hops.size(); ++i) sums[i + 1] = sums[i] + hops[i];
    std::vector<double> short_term;  // starting at each hop
    for (size_t i = 0; i + window <= hops.size(); ++i)
        short_term.push_back(lufs_from_power(std::max(0.0, sums[i + window] - sums[i]) / window));
    std::optional<Passage> best;
    for (size_t start = 0; start + shortest <= hops.size(); start += second) {
        double low = 0.0, high = -200.0;
        size_t seen = start;
        for (size_t length = shortest; length <= longest && start + length <= hops.size(); length += second) {
            for (; seen + window <= start + length; ++seen) {
                if (short_term[seen] <= -70.0) continue;
                low = std::min(high == -200.0 ? short_term[seen] : low, short_term[seen]);
                high = std::max(high, short_term[seen]);
            }
            const double range = high > -200.0 ? high - low : 0.0;
            constexpr double same = 1e-6;  // LU: differences below are roundings
            const bool wider = !best || range > best->figure + same;
            const bool as_wide = best && range > best->figure - same;
            const double length_s = static_cast<double>(length) / second;
            const bool shorter = best && length_s < best->to_s - best->from_s;
            if (range <= 0.0 || !(wider || (as_wide && shorter))) continue;
            best = Passage{static_cast<double>(start) / second, static_cast<double>(start + length) / second, range};
        }
    }
    return best;
}

std::optional<Passage> loudest_passage(std::span<const double> hops) {
    double sum = 0.0, most = 0.0;
    size_t at = 0;
    for (size_t i = 0; i < hops.size(); ++i) {
        sum += hops[i] - (i >= shortest ? hops[i - shortest] : 0.0);
        if (i + 1 >= shortest && sum > most * (1.0 + 1e-12)) most = sum, at = i + 1 - shortest;
    }
    if (most <= 0.0) return std::nullopt;
    return Passage{static_cast<double>(at) / second, static_cast<double>(at + shortest) / second,
                   lufs_from_power(most / shortest)};
}

std::vector<Level> short_term_series_lufs(std::span<const double> hops) {
    constexpr size_t window = 30;
    constexpr double silent_lufs = -70.0;
    std::vector<Level> series(hops.size());
    for (size_t end = window; end <= hops.size(); ++end) {
        double sum = 0.0;
        for (const double power : hops.subspan(end - window, window)) sum += power;
        const double lufs = sum > 0.0 ? lufs_from_power(sum / window) : silent_lufs;
        if (lufs > silent_lufs) series[end - 1] = lufs;
    }
    return series;
}

Level short_term_lufs(std::span<const double> hops, double time_s) {
    constexpr size_t window = 30;
    const double end = std::floor(time_s * 10.0 + 1e-6);
    if (!(end >= window) || end > static_cast<double>(hops.size())) return std::nullopt;
    return short_term_series_lufs(hops.subspan(static_cast<size_t>(end) - window, window)).back();
}

Level passage_lufs(std::span<const double> hops, double from_s, double to_s) {
    const auto hop_at = [&](double s) {
        return static_cast<size_t>(std::clamp(std::round(s * 10.0), 0.0, static_cast<double>(hops.size())));
    };
    const size_t from = hop_at(from_s), to = hop_at(to_s);
    return to > from ? integrated_lufs(hops.subspan(from, to - from)) : std::nullopt;
}

}  // namespace isotonus
