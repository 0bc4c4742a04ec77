#include "core/ride/writer.h"

#include <algorithm>
#include <cmath>

#include "core/ride/thin.h"

namespace isotonus {

RideWriter::RideWriter(CurvePtr before, const ParameterInfo& info, WriteOptions options, double start_s, double own)
    : before_(std::move(before)), info_(info), options_(options), own_(own) {
    if (options_.mode != WriteMode::write) return;
    latched_ = true;
    begin(start_s, before_ ? before_->value_at(start_s) : own_);
}

void RideWriter::begin(double time_s, double value) { spans_.push_back({time_s, {{time_s, value}}}); }

void RideWriter::add(double time_s, double value) {
    auto& points = spans_.back().points;
    const double at = std::max(time_s, points.back().time_s);
    value = std::clamp(value, info_.low, info_.high);
    if (info_.law == ControlTaper::toggle) {
        points.back().segment = Segment::step;
        if (value != points.back().value) points.push_back({at, value, Segment::step});
        return;
    }
    // A control that stood still held its value until shortly before it moved again.
    constexpr double still_s = 0.05, step_s = 0.02;
    if (at - points.back().time_s > still_s && value != points.back().value)
        points.push_back({at - step_s, points.back().value});
    points.push_back({at, value});
}

void RideWriter::touch(double time_s, double value) {
    if (options_.mode == WriteMode::read) return;
    held_ = true;
    if (spans_.empty() || !spans_.back().open()) begin(time_s, std::clamp(value, info_.low, info_.high));
    latched_ = true;
    add(time_s, value);
}

void RideWriter::move(double time_s, double value) {
    if (!held_)
        touch(time_s, value);
    else
        add(time_s, value);
}

void RideWriter::release(double time_s) {
    if (!held_) return;
    held_ = false;
    auto& span = spans_.back();
    add(time_s, span.points.back().value);
    if (span.points.back().time_s < time_s) span.points.push_back({time_s, span.points.back().value});
    if (options_.mode == WriteMode::touch) span.to_s = time_s;
}

double RideWriter::value_at(double time_s) const {
    const Curve now = so_far(time_s);
    return now.empty() ? own_ : now.value_at(time_s);
}

Curve RideWriter::with_passes(double time_s, bool thin) const {
    Curve next = before_ ? *before_ : Curve{};
    ParameterInfo info = info_;
    info.rest = own_;
    for (size_t n = 0; n < spans_.size(); ++n) {
        const Pass& s = spans_[n];
        const double end = s.open() ? std::max(time_s, s.points.back().time_s) : s.to_s;
        if (end <= s.from_s) continue;
        Curve inside{s.points};
        for (RidePoint& p : inside.points) p.time_s -= s.from_s;
        if (inside.points.back().time_s < end - s.from_s)
            inside.points.push_back({end - s.from_s, inside.points.back().value,
                                     info_.law == ControlTaper::toggle ? Segment::step : Segment::line});
        if (thin && info_.tolerance > 0.0) inside = thinned(inside, info_.tolerance);
        // The way back to the ride, over its return time, but not past the next pass.
        double back_s = options_.mode == WriteMode::touch && info_.law != ControlTaper::toggle && !s.open()
                            ? options_.return_s
                            : 0.0;
        if (n + 1 < spans_.size()) back_s = std::min(back_s, spans_[n + 1].from_s - end);
        if (back_s > 0.0) {
            const double to = end + back_s;
            inside.points.push_back({to - s.from_s, next.empty() ? own_ : next.value_at(to)});
            next = with_inside(next, {s.from_s, to}, inside, info);
        } else {
            next = with_inside(next, {s.from_s, end}, inside, info);
        }
    }
    return next;
}

Curve RideWriter::so_far(double time_s) const {
    if (spans_.empty()) return before_ ? *before_ : Curve{};
    // What is held is heard until it moves: over the stretch that is about to be played, too.
    constexpr double ahead_s = 3600.0;
    return with_passes(writing() ? time_s + ahead_s : time_s, false);
}

std::vector<Span> RideWriter::written(double time_s) const {
    std::vector<Span> all;
    for (const Pass& s : spans_) all.push_back({s.from_s, s.open() ? std::max(time_s, s.from_s) : s.to_s});
    return all;
}

Curve RideWriter::finished(double time_s) {
    if (held_) release(time_s);
    for (Pass& s : spans_)
        if (s.open()) s.to_s = std::max(time_s, s.points.back().time_s);
    return with_passes(time_s, options_.thin);
}

}  // namespace isotonus
