#include "core/ride/curve.h"

#include <algorithm>
#include <cmath>

#include "core/decibels.h"

namespace isotonus {

namespace {

/// First point later than a time.
auto after(const std::vector<RidePoint>& points, double time_s) {
    return std::upper_bound(points.begin(), points.end(), time_s,
                            [](double t, const RidePoint& p) { return t < p.time_s; });
}

}  // namespace

double Curve::value_at(double time_s) const {
    if (points.empty()) return 0.0;
    const auto next = after(points, time_s);
    if (next == points.begin()) return points.front().value;
    const RidePoint& from = *(next - 1);
    if (next == points.end() || from.segment == Segment::step) return from.value;
    return from.value + (next->value - from.value) * (time_s - from.time_s) / (next->time_s - from.time_s);
}

size_t Curve::insert(RidePoint point) {
    const auto at = points.insert(after(points, point.time_s), point);
    return static_cast<size_t>(at - points.begin());
}

void level_ride_gains(const Curve& curve, double rate, int64_t first, int64_t count, double* gains) {
    constexpr int64_t cell = 32;
    const int64_t end = first + count;
    const auto exact = [&](int64_t frame) { return gain_from_db(curve.value_at(static_cast<double>(frame) / rate)); };
    int64_t frame = first;
    while (frame < end) {
        const int64_t start = frame >= 0 ? frame / cell * cell : -((-frame + cell - 1) / cell * cell);
        const double start_s = static_cast<double>(start) / rate;
        const double stop_s = static_cast<double>(start + cell) / rate;
        const int64_t stop = std::min(end, start + cell);
        const auto next = after(curve.points, start_s);
        // Held or stepping all through the rest of the song from here, or up to the next point: one value.
        const bool held =
            next == curve.points.begin() || next == curve.points.end() || (next - 1)->segment == Segment::step;
        if (held && (next == curve.points.end() || next->time_s > stop_s)) {
            const double last_s = next == curve.points.end() ? static_cast<double>(end) / rate : next->time_s;
            const int64_t same_until =
                std::clamp<int64_t>(static_cast<int64_t>(last_s * rate) / cell * cell, stop, end);
            std::fill(gains + (frame - first), gains + (same_until - first), exact(start));
            frame = same_until;
            continue;
        }
        if (next == curve.points.end() || next->time_s > stop_s) {
            double series[cell];
            const double from = exact(start);
            double ratio = from > 0.0 ? std::pow(exact(start + cell) / from, 1.0 / cell) : 1.0;
            series[0] = from;
            for (int64_t have = 1; have < cell; have *= 2, ratio *= ratio)
                for (int64_t k = 0; k < have; ++k) series[have + k] = series[k] * ratio;
            std::copy(series + (frame - start), series + (stop - start), gains + (frame - first));
            frame = stop;
            continue;
        }
        for (; frame < stop; ++frame) gains[frame - first] = exact(frame);
    }
}

double level_ride_bound(const Curve& curve, double rate, int64_t first, int64_t count) {
    const double from_s = static_cast<double>(first) / rate, to_s = static_cast<double>(first + count) / rate;
    double most_db = std::max(curve.value_at(from_s), curve.value_at(to_s));
    for (auto p = after(curve.points, from_s); p != curve.points.end() && p->time_s <= to_s; ++p) {
        most_db = std::max(most_db, p->value);
        if (p != curve.points.begin()) most_db = std::max(most_db, (p - 1)->value);
    }
    return gain_from_db(most_db);
}

}  // namespace isotonus
