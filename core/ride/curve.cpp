#include "core/ride/curve.h"

#include <algorithm>
#include <cmath>
#include <numbers>

#include "core/audio/kernels.h"
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
    return from.value +
           (next->value - from.value) * share_at(from, (time_s - from.time_s) / (next->time_s - from.time_s));
}

double share_at(const RidePoint& from, double u) {
    switch (from.segment) {
        case Segment::line:
            return u;
        case Segment::step:
            return u < 1.0 ? 0.0 : 1.0;
        case Segment::bend:
            return std::pow(u, std::pow(8.0, from.bend));
        case Segment::smooth:
            break;
    }
    return u * u * (3.0 - 2.0 * u);
}

double bend_through(double share) {
    return std::clamp(std::log(-std::log2(std::clamp(share, 1e-6, 1.0 - 1e-6))) / std::log(8.0), -1.0, 1.0);
}

size_t Curve::insert(RidePoint point) {
    const auto at = points.insert(after(points, point.time_s), point);
    return static_cast<size_t>(at - points.begin());
}

namespace {

/// The first frame at or after a time.
int64_t frame_from(double time_s, double rate) {
    auto frame = static_cast<int64_t>(std::ceil(time_s * rate));
    while (static_cast<double>(frame - 1) / rate >= time_s) --frame;
    while (static_cast<double>(frame) / rate < time_s) ++frame;
    return frame;
}

/// gain_from_db, faster.
double gain_of(double db) { return std::exp(db * (std::numbers::ln10 / 20.0)); }

}  // namespace

void level_ride_gains(const Curve& curve, double rate, int64_t first, int64_t count, double* gains) {
    constexpr int64_t cell = 512;
    const auto& p = curve.points;
    const int64_t end = first + count;
    auto next = static_cast<size_t>(after(p, static_cast<double>(first) / rate) - p.begin());
    for (int64_t frame = first; frame < end; ++next) {
        // From here to the point `next`, which may be another at the same time.
        const int64_t stop = next < p.size() ? std::min(end, frame_from(p[next].time_s, rate)) : end;
        if (stop <= frame) continue;
        double* const out = gains + (frame - first);
        const RidePoint* from = next > 0 ? &p[next - 1] : nullptr;
        if (!from || next == p.size() || from->segment == Segment::step) {
            const double first = p.empty() ? 0.0 : p[0].value;
            std::fill_n(out, stop - frame, gain_of(from ? from->value : first));
            frame = stop;
            continue;
        }
        const double length_s = p[next].time_s - from->time_s, rise = p[next].value - from->value;
        const auto exact = [&](int64_t at) {
            const double u = (static_cast<double>(at) / rate - from->time_s) / length_s;
            return gain_of(from->value + rise * share_at(*from, u));
        };
        if (from->segment != Segment::line) {
            for (; frame < stop; ++frame) gains[frame - first] = exact(frame);
            continue;
        }
        const double ratio = gain_of(rise / length_s / rate);
        const int64_t begin = frame_from(from->time_s, rate);
        while (frame < stop) {
            const int64_t in_cell = ((frame % cell) + cell) % cell;
            const int64_t start = std::max(frame - in_cell, begin), until = std::min(frame - in_cell + cell, stop);
            if (start == frame) {
                kernels::geometric(exact(start), ratio, static_cast<size_t>(until - start), gains + (frame - first));
            } else {  // the block begins inside of a run
                double run[cell];
                kernels::geometric(exact(start), ratio, static_cast<size_t>(until - start), run);
                std::copy(run + (frame - start), run + (until - start), gains + (frame - first));
            }
            frame = until;
        }
    }
}

double level_ride_bound(const Curve& curve, double rate, int64_t first, int64_t count) {
    const double from_s = static_cast<double>(first) / rate, to_s = static_cast<double>(first + count) / rate;
    double max_db = std::max(curve.value_at(from_s), curve.value_at(to_s));
    // Every kind of segment stays between the values at its ends.
    for (auto p = after(curve.points, from_s); p != curve.points.end() && p->time_s <= to_s; ++p)
        max_db = std::max(max_db, p->value);
    return gain_from_db(max_db);
}

}  // namespace isotonus
