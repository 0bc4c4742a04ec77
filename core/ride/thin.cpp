#include "core/ride/thin.h"

#include <cmath>

namespace isotonus {

Curve thinned(const Curve& curve, double tolerance) {
    const auto& p = curve.points;
    std::vector<char> kept(p.size(), 0);
    // From `first` to `last` all segments are lines; both ends stay.
    std::vector<std::pair<size_t, size_t>> runs;
    const auto thin = [&](size_t from, size_t to) {
        runs.emplace_back(from, to);
        while (!runs.empty()) {
            const auto [first, last] = runs.back();
            runs.pop_back();
            kept[first] = kept[last] = 1;
            if (last < first + 2) continue;
            const double slope = (p[last].value - p[first].value) / (p[last].time_s - p[first].time_s);
            double most = tolerance;
            size_t farthest = 0;
            for (size_t i = first + 1; i < last; ++i) {
                const double away = std::fabs(p[i].value - p[first].value - slope * (p[i].time_s - p[first].time_s));
                if (away > most) most = away, farthest = i;
            }
            if (farthest == 0) continue;
            runs.emplace_back(first, farthest);
            runs.emplace_back(farthest, last);
        }
    };
    size_t start = 0;
    for (size_t i = 0; i < p.size(); ++i) {
        const bool end =
            i + 1 == p.size() || p[i].segment != Segment::line || p[i].locked || p[i + 1].time_s <= p[i].time_s;
        if (!end) continue;
        thin(start, i);
        start = i + 1;
        // A line that leads on from here belongs to the next run, from this point on.
        if (i + 1 < p.size() && p[i].segment == Segment::line && p[i + 1].time_s > p[i].time_s) start = i;
    }
    Curve out;
    for (size_t i = 0; i < p.size(); ++i)
        if (kept[i]) out.points.push_back(p[i]);
    return out;
}

}  // namespace isotonus
