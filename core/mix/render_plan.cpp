#include "core/mix/render_plan.h"

#include <algorithm>
#include <cmath>

namespace isotonus {

namespace {

/// Value of a curve of gates, at most: they are straight between their points.
double gate_bound(const Curve& gate, double from_s, double to_s) {
    double most = std::max(gate.value_at(from_s), gate.value_at(to_s));
    for (const RidePoint& p : gate.points)
        if (p.time_s >= from_s && p.time_s <= to_s) most = std::max(most, p.value);
    return most;
}

std::pair<double, double> range_of(const CurvePtr& ride, double own, double from_s, double to_s) {
    if (!ride) return {own, own};
    double low = ride->value_at(from_s), high = low;
    const auto take = [&](double v) { low = std::min(low, v), high = std::max(high, v); };
    take(ride->value_at(to_s));
    const auto& p = ride->points;
    for (auto at =
             std::lower_bound(p.begin(), p.end(), from_s, [](const RidePoint&x, double t) { return x.time_s < t; });
         at != p.end() && at->time_s <= to_s; ++at) {
        take(at->value);
        if (at != p.begin()) take((at - 1)->value);  // the lower side of an edge
    }
    return {low, high};
}

}  // namespace

Curve gate_of(const Curve& mute) {
    constexpr double ramp_s = 0.005;
    // Where it turns to muted and back.
    std::vector<std::pair<double, bool>> turns;
    const auto& points = mute.points;
    bool muted = !mute.empty() && points.front().value >= 0.5;
    const double first = muted ? 0.0 : 1.0;
    const auto turn = [&](double time_s, bool to) {
        if (to == muted) return;
        muted = to;
        turns.emplace_back(time_s, to);
    };
    for (size_t i = 0; i < points.size(); ++i) {
        turn(points[i].time_s, points[i].value >= 0.5);
        if (i + 1 == points.size() || points[i].segment == Segment::step) continue;
        const bool next = points[i + 1].value >= 0.5;
        if (next == muted || points[i + 1].time_s <= points[i].time_s) continue;
        // Every kind of segment rises or falls all the way: it passes the middle once.
        double low = points[i].time_s, high = points[i + 1].time_s;
        for (int n = 0; n < 60; ++n) {
            const double middle = (low + high) / 2.0;
            ((mute.value_at(middle) >= 0.5) == next ? high : low) = middle;
        }
        turn(high, next);
    }
    Curve gate{{{0.0, first}}};
    double value = first;
    for (size_t i = 0; i < turns.size(); ++i) {
        const double to = turns[i].second ? 0.0 : 1.0, start = turns[i].first;
        const double until = i + 1 < turns.size() ? turns[i + 1].first : start + ramp_s;
        const double share = std::min(1.0, (until - start) / ramp_s);
        gate.points.push_back({start, value});
        value += std::clamp(to - value, -share, share);
        gate.points.push_back({std::min(start + ramp_s, until), value});
    }
    return gate;
}

GainMatrix RowGains::gains_for(double own_pan, double own_width) const {
    if (channels == 1) return pan_mono(law, own_pan);
    if (apart) return pan_apart(law, own_pan, own_width);
    return pan_stereo(own_pan, own_width);
}

double RowGains::ride_at(double time_s) const {
    double gain = 1.0;
    for (const auto& ride : level_rides) gain *= gain_from_db(ride->value_at(time_s));
    for (const auto& gate : gates) gain *= gate->value_at(time_s);
    return gain;
}

double RowGains::ride_bound(double sample_rate, int64_t first, int64_t count) const {
    double gain = 1.0;
    for (const auto& ride : level_rides) gain *= level_ride_bound(*ride, sample_rate, first, count);
    for (const auto& gate : gates)
        gain *= gate_bound(*gate, static_cast<double>(first) / sample_rate,
                           static_cast<double>(first + count) / sample_rate);
    return gain;
}

GainMatrix RowGains::pan_gains_at(double time_s) const {
    return gains_for(pan_ride ? pan_ride->value_at(time_s) : pan, width_ride ? width_ride->value_at(time_s) : width);
}

GainMatrix RowGains::at(double time_s) const {
    return scaled(pans_ride() ? scaled(pan_gains_at(time_s), level) : gains, ride_at(time_s));
}

GainMatrix RowGains::bound(double sample_rate, int64_t first, int64_t count) const {
    GainMatrix most = magnitudes(gains);
    if (pans_ride()) {
        // Gains go straight between cells: the values at the ends of the cells that touch the stretch bound them.  Each
        // gain is a falling or rising function of |pan| on either side of the centre, times a line in the width.
        const double from_s = static_cast<double>(first - gain_cell) / sample_rate,
                     to_s = static_cast<double>(first + count + gain_cell) / sample_rate;
        const auto [pan_low, pan_high] = range_of(pan_ride, pan, from_s, to_s);
        const auto [width_low, width_high] = range_of(width_ride, width, from_s, to_s);
        most = {0.0, 0.0, 0.0, 0.0};
        for (const double p : {pan_low, pan_high, std::clamp(0.0, pan_low, pan_high)})
            for (const double w : {width_low, width_high}) most = larger(most, magnitudes(gains_for(p, w)));
        most = scaled(most, std::fabs(level));
    }
    return scaled(most, ride_bound(sample_rate, first, count));
}

bool RowGains::same_rides(const RowGains& o) const {
    const auto same = [](const CurvePtr& x, const CurvePtr& y) { return x == y || (x && y && *x == *y); };
    const auto all = [&](const auto& a, const auto& b) {
        return std::equal(a.begin(), a.end(), b.begin(), b.end(), same);
    };
    return all(level_rides, o.level_rides) && all(gates, o.gates) && same(pan_ride, o.pan_ride) &&
           same(width_ride, o.width_ride) &&
           (!pans_ride() ||
            (law == o.law && channels == o.channels && apart == o.apart && pan == o.pan && width == o.width));
}

bool PlanPart::any_ride_to_main() const {
    return ridden() ||
           std::any_of(rows_on_way.begin(), rows_on_way.end(), [](const RowGains& r) { return r.ridden(); });
}

bool PlanPart::pans_ride_on_the_way() const {
    return pans_ride() ||
           std::any_of(rows_on_way.begin(), rows_on_way.end(), [](const RowGains& r) { return r.pans_ride(); });
}

double PlanPart::ride_to_main_at(double time_s) const {
    double gain = ride_at(time_s);
    for (const RowGains& r : rows_on_way) gain *= r.ride_at(time_s);
    return gain;
}

double PlanPart::ride_to_main_bound(double sample_rate, int64_t first, int64_t count) const {
    double gain = ride_bound(sample_rate, first, count);
    for (const RowGains& r : rows_on_way) gain *= r.ride_bound(sample_rate, first, count);
    return gain;
}

GainMatrix PlanPart::gains_to_main_at(double time_s) const {
    if (!pans_ride_on_the_way()) return way();
    const auto now = [time_s](const RowGains& row) {
        return row.pans_ride() ? scaled(row.pan_gains_at(time_s), row.level) : row.gains;
    };
    GainMatrix way = now(*this);
    for (const RowGains& r : rows_on_way) way = chained(now(r), way);
    return way;
}

GainMatrix PlanPart::to_main_at(double time_s) const {
    if (through_chain) return silence;
    return scaled(gains_to_main_at(time_s), ride_to_main_at(time_s));
}

GainMatrix PlanPart::to_main_bound(double sample_rate, int64_t first, int64_t count) const {
    if (through_chain) return silence;
    if (!pans_ride_on_the_way()) return scaled(magnitudes(to_main), ride_to_main_bound(sample_rate, first, count));
    GainMatrix way = bound(sample_rate, first, count);
    for (const RowGains& r : rows_on_way) way = chained(r.bound(sample_rate, first, count), way);
    return way;
}

double PlanPart::ride_power_at(double time_s) const {
    if (!pans_ride_on_the_way()) {
        const double gain = ride_to_main_at(time_s);
        return gain * gain;
    }
    const double still = way().mean_power(), ride = ride_to_main_at(time_s);
    return still > 0.0 ? scaled(gains_to_main_at(time_s), ride).mean_power() / still : 0.0;
}

void PlanPart::silence_it() {
    level = 0.0;
    gains = to_main = gains_without_chains = silence;
}

void RenderPlan::add(PlanTrack track, PlanPart part) {
    track.first_part = part.input = parts.size();
    part.track = tracks.size();
    tracks.push_back(std::move(track));
    parts.push_back(std::move(part));
}

bool RenderPlan::same_sources(const RenderPlan& other) const {
    const auto same = [](const Material& a, const Material& b) {
        return &a == &b || (signal_of(a) == signal_of(b) && a.origin().source == b.origin().source &&
                            a.origin().media.playable == b.origin().media.playable);
    };
    return sample_rate == other.sample_rate &&
           std::equal(parts.begin(), parts.end(), other.parts.begin(), other.parts.end(),
                      [&](const PlanPart& a, const PlanPart& b) {
                          return id_of(a) == other.id_of(b) && a.band == b.band && a.send == b.send &&
                                 same(*a.material, *b.material) && a.delay_samples == b.delay_samples;
                      });
}

bool RenderPlan::sounds_like(const RenderPlan& other) const {
    const auto same = [](const RowGains& a, const RowGains& b) { return a.gains == b.gains && a.same_rides(b); };
    return same_sources(other) && same_routing(other) && frames == other.frames && main_gain == other.main_gain &&
           same(main, other.main) &&
           std::equal(tracks.begin(), tracks.end(), other.tracks.begin(), other.tracks.end(),
                      [](const PlanTrack& a, const PlanTrack& b) {
                          return a.material == b.material && a.trim_gain == b.trim_gain &&
                                 a.fader_gain == b.fader_gain && a.is_bus == b.is_bus;
                      }) &&
           std::equal(parts.begin(), parts.end(), other.parts.begin(),
                      [&](const PlanPart& a, const PlanPart& b) {
                          return same(a, b) && a.gains_without_chains == b.gains_without_chains &&
                                 a.through_chain == b.through_chain && a.listen == b.listen &&
                                 a.listen_after_fader == b.listen_after_fader &&
                                 std::equal(a.rows_on_way.begin(), a.rows_on_way.end(), b.rows_on_way.begin(),
                                            b.rows_on_way.end(), same);
                      }) &&
           std::equal(buses.begin(), buses.end(), other.buses.begin(), other.buses.end(), same);
}

bool RenderPlan::same_routing(const RenderPlan& other) const {
    return std::equal(parts.begin(), parts.end(), other.parts.begin(), other.parts.end(),
                      [&](const PlanPart& a, const PlanPart& b) {
                          return id_of(a) == other.id_of(b) && a.output == b.output;
                      }) &&
           std::equal(buses.begin(), buses.end(), other.buses.begin(), other.buses.end(),
                      [](const PlanBus& a, const PlanBus& b) { return a.id == b.id && a.output == b.output; });
}

bool RenderPlan::any_listening() const {
    return std::any_of(parts.begin(), parts.end(), [](const PlanPart& p) { return !p.listen.silent(); });
}

std::vector<Source> sources_of(const Track& track) {
    Source whole = source_of(track);
    if (track.mono_below_hz <= 0.0) return {whole};
    whole.crossover_hz = track.mono_below_hz;
    whole.band = Band::high;
    Source low = whole;
    low.band = Band::low;
    return {whole, low};
}

PlanPtr plan_of_tracks(const RenderPlan& plan, const std::vector<TrackId>& ids) {
    auto one = std::make_shared<RenderPlan>(plan);
    for (PlanPart& p : one->parts)
        if (std::find(ids.begin(), ids.end(), one->id_of(p)) == ids.end()) p.silence_it();
    return one;
}

PlanPtr plan_of_bus(const RenderPlan& plan, TrackId bus) {
    const auto at = std::find_if(plan.buses.begin(), plan.buses.end(), [bus](const PlanBus& b) { return b.id == bus; });
    if (at == plan.buses.end()) return nullptr;
    const int wanted = static_cast<int>(at - plan.buses.begin());
    auto one = std::make_shared<RenderPlan>(plan);
    one->main_gain = 1.0;
    one->main = {};
    one->buses[static_cast<size_t>(wanted)].output = to_main_output;
    for (PlanPart& p : one->parts) {
        size_t rows = 0;
        int output = p.output;
        while (output >= 0 && output != wanted) {
            output = plan.buses[static_cast<size_t>(output)].output;
            ++rows;
        }
        if (output != wanted || !p.heard()) {
            p.silence_it();
            p.output = no_output;
            continue;
        }
        p.rows_on_way.resize(rows + 1);
        p.through_chain = false;
        p.to_main = p.gains;
        for (const RowGains& r : p.rows_on_way) p.to_main = chained(r.gains, p.to_main);
        p.gains_without_chains = p.to_main;
    }
    return one;
}

PlanPtr plan_listening(const RenderPlan& plan, const Session& session, const std::vector<TrackId>& ids,
                       bool after_fader) {
    auto next = std::make_shared<RenderPlan>(plan);
    for (PlanPart& p : next->parts) {
        const TrackId id = next->id_of(p);
        if (p.is_send() || std::find(ids.begin(), ids.end(), id) == ids.end()) continue;
        const Track* track = session.find(id);
        p.listen_after_fader = after_fader;
        if (after_fader) {
            p.listen = scaled(p.way(), plan.main_gain);
            continue;
        }
        const bool inverted = track && track->polarity_inverted && !signal_of(p.material);
        p.listen = scaled(p.channels == 1 ? pan_mono(session.pan_law, 0.0) : GainMatrix{},
                          next->tracks[p.track].trim_gain * (inverted ? -1.0 : 1.0));
    }
    return next;
}

}  // namespace isotonus
