#include "core/ride/curve_edit.h"

#include <algorithm>
#include <cmath>

#include "core/ride/thin.h"

namespace isotonus {

namespace {

bool is_bowed(const RidePoint& p) { return p.segment == Segment::bend || p.segment == Segment::smooth; }

void hold(Curve& curve, const ParameterInfo& info) {
    for (RidePoint& p : curve.points) p.value = std::clamp(p.value, info.low, info.high);
}

/// The ride plus a change that is straight between `knots` (times in order) and nothing outside of them.
Curve plus_lines(const Curve& curve, const std::vector<std::pair<double, double>>& knots, const ParameterInfo& info) {
    if (knots.empty()) return curve;
    Curve sum = curve;
    if (sum.empty()) sum.insert({knots.front().first, info.rest});
    for (const auto& knot : knots) sum = with_point_at(sum, knot.first, info.tolerance);
    // Bows between knots that differ would be bent by the change: made of lines first.
    for (size_t k = 0; k + 1 < knots.size(); ++k) {
        if (knots[k].second == knots[k + 1].second) continue;
        for (size_t i = 0; i + 1 < sum.points.size(); ++i)
            if (is_bowed(sum.points[i]) && sum.points[i].time_s >= knots[k].first &&
                sum.points[i].time_s < knots[k + 1].first)
                sum = with_point_at(sum, (sum.points[i].time_s + sum.points[i + 1].time_s) / 2.0, info.tolerance);
    }
    for (RidePoint& p : sum.points) {
        if (p.time_s < knots.front().first || p.time_s > knots.back().first) continue;
        size_t k = 0;
        while (k + 2 < knots.size() && knots[k + 1].first <= p.time_s) ++k;
        const auto [t0, v0] = knots[k];
        const auto [t1, v1] = knots[k + 1];
        p.value += t1 > t0 ? v0 + (v1 - v0) * std::clamp((p.time_s - t0) / (t1 - t0), 0.0, 1.0) : v1;
    }
    hold(sum, info);
    return sum;
}

}  // namespace

std::vector<Span> joined(std::vector<Span> spans) {
    std::sort(spans.begin(), spans.end(), [](const Span& a, const Span& b) { return a.from_s < b.from_s; });
    std::vector<Span> out;
    for (const Span& s : spans)
        if (!out.empty() && s.from_s <= out.back().to_s)
            out.back().to_s = std::max(out.back().to_s, s.to_s);
        else
            out.push_back(s);
    return out;
}

Curve with_point_at(const Curve& curve, double time_s, double tolerance) {
    Curve cut = curve;
    if (cut.empty()) return cut;
    const auto at = std::lower_bound(cut.points.begin(), cut.points.end(), time_s,
                                     [](const RidePoint& p, double t) { return p.time_s < t; });
    if (at != cut.points.end() && at->time_s == time_s) return cut;
    if (at == cut.points.begin() || at == cut.points.end()) {
        cut.insert({time_s, curve.value_at(time_s)});
        return cut;
    }
    RidePoint& from = *(at - 1);
    if (!is_bowed(from)) {
        cut.insert({time_s, curve.value_at(time_s), from.segment, from.bend});
        return cut;
    }
    const double start = from.time_s, end = at->time_s;
    Curve lines{{from}};
    lines.points.back().segment = Segment::line;
    // Even steps, and towards a start that is infinitely steep (bend below 0) ever smaller ones.
    std::vector<double> times{time_s};
    for (int n = 1; n < 256; ++n) times.push_back(start + (end - start) * n / 256.0);
    for (int n = 1; n < 400 && from.segment == Segment::bend && from.bend < 0.0; ++n)
        times.push_back(start + (end - start) * std::exp2(-n / 8.0));
    std::sort(times.begin(), times.end());
    for (const double t : times)
        if (t > lines.points.back().time_s && t < end)
            lines.points.push_back({t, curve.value_at(t), Segment::line, 0.5, t == time_s});
    lines.points.push_back(*at);
    lines = thinned(lines, tolerance / 2.0);
    for (RidePoint& p : lines.points)
        if (p.time_s == time_s) p.locked = false;  // it was only to be kept
    const auto first = at - 1 - cut.points.begin();
    cut.points.erase(at - 1, at + 1);
    cut.points.insert(cut.points.begin() + first, lines.points.begin(), lines.points.end());
    return cut;
}

Curve cut_out(const Curve& curve, Span span, double tolerance) {
    Curve piece = with_point_at(with_point_at(curve, span.from_s, tolerance), span.to_s, tolerance);
    std::erase_if(piece.points, [&](const RidePoint& p) { return p.time_s < span.from_s || p.time_s > span.to_s; });
    for (RidePoint& p : piece.points) p.time_s -= span.from_s, p.locked = false;
    return piece;
}

Curve with_inside(const Curve& curve, Span span, const Curve& inside, const ParameterInfo& info) {
    Curve next = curve;
    if (next.empty()) next.insert({span.from_s, info.rest});
    next = with_point_at(with_point_at(next, span.from_s, info.tolerance), span.to_s, info.tolerance);
    const double before = curve.empty() ? info.rest : curve.value_at(std::nextafter(span.from_s, -1e9));
    const double after = curve.empty() ? info.rest : curve.value_at(span.to_s);
    const auto last = std::find_if(next.points.rbegin(), next.points.rend(),
                                   [&](const RidePoint& p) { return p.time_s <= span.to_s; });
    const RidePoint end = last == next.points.rend() ? RidePoint{span.to_s, after} : *last;
    std::erase_if(next.points, [&](const RidePoint& p) { return p.time_s >= span.from_s && p.time_s <= span.to_s; });
    std::vector<RidePoint> middle{{span.from_s, before}};
    for (RidePoint p : inside.points) {
        p.time_s = std::min(span.from_s + p.time_s, span.to_s);
        p.value = std::clamp(p.value, info.low, info.high);
        if (middle.size() == 1 && p.time_s == span.from_s && p.value == before) middle.clear();
        middle.push_back(p);
    }
    if (middle.back().time_s < span.to_s) middle.push_back({span.to_s, middle.back().value});
    if (middle.back().value == after) middle.pop_back();
    middle.push_back({span.to_s, after, end.segment, end.bend, end.locked});
    const auto at =
        std::find_if(next.points.begin(), next.points.end(), [&](const RidePoint& p) { return p.time_s > span.to_s; });
    next.points.insert(at, middle.begin(), middle.end());
    return next;
}

Curve without_inside(const Curve& curve, Span span, const ParameterInfo& info) {
    Curve next = with_point_at(with_point_at(curve, span.from_s, info.tolerance), span.to_s, info.tolerance);
    std::erase_if(next.points, [&](const RidePoint& p) { return p.time_s > span.from_s && p.time_s < span.to_s; });
    for (RidePoint& p : next.points)
        if (p.time_s == span.from_s) p.segment = Segment::line;
    return next;
}

Curve raised(const Curve& curve, Span span, double by, double edge_s, const ParameterInfo& info) {
    const double edge = std::clamp(edge_s, 0.0, span.length_s() / 2.0);
    if (edge > 0.0)
        return plus_lines(
            curve, {{span.from_s, 0.0}, {span.from_s + edge, by}, {span.to_s - edge, by}, {span.to_s, 0.0}}, info);
    Curve inside = curve.empty() ? Curve{{{0.0, info.rest}}} : cut_out(curve, span, info.tolerance);
    for (RidePoint& p : inside.points) p.value += by;
    return with_inside(curve, span, inside, info);
}

Curve raised(const Curve& curve, double by, const ParameterInfo& info) {
    Curve next = curve;
    for (RidePoint& p : next.points) p.value += by;
    hold(next, info);
    return next;
}

Curve moved(const Curve& curve, const std::set<size_t>& points, double by_s, double by, const ParameterInfo& info) {
    Curve next = curve;
    for (const size_t i : points) {
        const auto& p = curve.points;
        if (by_s < 0.0 && i > 0 && !points.contains(i - 1)) by_s = std::max(by_s, p[i - 1].time_s - p[i].time_s);
        if (by_s > 0.0 && i + 1 < p.size() && !points.contains(i + 1))
            by_s = std::min(by_s, p[i + 1].time_s - p[i].time_s);
        by_s = std::max(by_s, -p[i].time_s);
    }
    for (const size_t i : points) {
        next.points[i].time_s += by_s;
        next.points[i].value = std::clamp(next.points[i].value + by, info.low, info.high);
    }
    return next;
}

Curve scaled(const Curve& curve, const std::set<size_t>& points, double factor, const ParameterInfo& info) {
    Curve next = curve;
    if (points.empty()) return next;
    double low = curve.points[*points.begin()].value, high = low;
    for (const size_t i : points)
        low = std::min(low, curve.points[i].value), high = std::max(high, curve.points[i].value);
    for (const size_t i : points) {
        double& v = next.points[i].value;
        v = std::clamp((low + high) / 2.0 + (v - (low + high) / 2.0) * factor, info.low, info.high);
    }
    return next;
}

Curve stretched(const Curve& curve, const std::set<size_t>& points, double factor) {
    Curve next = curve;
    if (points.empty()) return next;
    const double start = curve.points[*points.begin()].time_s;
    const size_t last = *points.rbegin();
    if (last + 1 < curve.points.size() && curve.points[last].time_s > start)  // up to the next point that stays
        factor = std::min(factor, (curve.points[last + 1].time_s - start) / (curve.points[last].time_s - start));
    for (const size_t i : points) next.points[i].time_s = start + (curve.points[i].time_s - start) * factor;
    std::stable_sort(next.points.begin(), next.points.end(),
                     [](const RidePoint& a, const RidePoint& b) { return a.time_s < b.time_s; });
    return next;
}

Curve fade_out(const Curve& curve, Span span, Segment segment, double bend, const ParameterInfo& info) {
    Curve next = curve;
    if (next.empty()) next.insert({span.from_s, info.rest});
    next = with_point_at(next, span.from_s, info.tolerance);
    std::erase_if(next.points, [&](const RidePoint& p) { return p.time_s > span.from_s; });
    next.points.back().segment = segment;
    next.points.back().bend = bend;
    next.points.push_back({span.to_s, info.low});
    return next;
}

Curve dipped(const Curve& curve, Span span, const std::vector<double>& hits_s, const Dip& dip,
             const ParameterInfo& info) {
    // The change as knots: down to -depth around each hit; where two dips meet, the knots cross and are cut there.
    std::vector<std::pair<double, double>> knots;
    for (const double hit : hits_s) {
        if (hit < span.from_s || hit > span.to_s) continue;
        const double start = std::max(0.0, hit - dip.attack_s), low = std::max(start, hit), up = hit + dip.hold_s;
        const auto value_before = [&](double t) {  // of the knots that are there
            if (knots.empty() || t >= knots.back().first) return 0.0;
            const auto [t0, v0] = knots[knots.size() - 2];
            const auto [t1, v1] = knots.back();
            return t <= t0 ? v0 : v0 + (v1 - v0) * (t - t0) / (t1 - t0);
        };
        double from = value_before(start), at = start;
        while (!knots.empty() && knots.back().first >= at) {
            if (knots.back().second <= -dip.depth && knots.back().first >= at)
                at = knots.back().first, from = -dip.depth;
            if (knots.back().second > -dip.depth)
                knots.pop_back();
            else
                break;
        }
        if (knots.empty() || knots.back().first < at) knots.emplace_back(at, from);
        if (low > knots.back().first) knots.emplace_back(low, -dip.depth);
        if (up > knots.back().first) knots.emplace_back(up, -dip.depth);
        knots.emplace_back(std::max(up, knots.back().first) + std::max(1e-4, dip.release_s), 0.0);
    }
    return plus_lines(curve, knots, info);
}

Curve tremolo(const Curve& curve, Span span, double period_s, double depth, const ParameterInfo& info) {
    if (period_s <= 0.0) return curve;
    Curve inside;
    const auto value = [&](double t) { return curve.empty() ? info.rest : curve.value_at(t); };
    bool low = false;
    for (double t = span.from_s; t < span.to_s - period_s / 4.0; t += period_s / 2.0, low = !low)
        inside.points.push_back({t - span.from_s, value(t) - (low ? depth : 0.0), Segment::smooth});
    inside.points.push_back({span.length_s(), value(span.to_s)});
    return with_inside(curve, span, inside, info);
}

Curve thrown(const Curve& curve, const std::vector<Span>& words, double by, double edge_s, const ParameterInfo& info) {
    Curve next = curve;
    for (const Span& w : words)
        next = raised(next, {std::max(0.0, w.from_s - edge_s), w.to_s + edge_s}, by, edge_s, info);
    return next;
}

}  // namespace isotonus
