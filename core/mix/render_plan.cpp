#include "core/mix/render_plan.h"

#include <algorithm>

namespace isotonus {

double PlanTrack::ride_at(double time_s) const {
    double gain = 1.0;
    for (const auto& ride : rides) gain *= gain_from_db(ride->value_at(time_s));
    return gain;
}

double PlanTrack::ride_bound(double sample_rate, int64_t first, int64_t count) const {
    double gain = 1.0;
    for (const auto& ride : rides) gain *= level_ride_bound(*ride, sample_rate, first, count);
    return gain;
}

bool RenderPlan::same_sources(const RenderPlan& other) const {
    const auto same = [](const Material& a, const Material& b) {
        return &a == &b || (a.ready.source == b.ready.source && a.ready.media.playable == b.ready.media.playable);
    };
    return sample_rate == other.sample_rate &&
           std::equal(tracks.begin(), tracks.end(), other.tracks.begin(), other.tracks.end(),
                      [&](const PlanTrack& a, const PlanTrack& b) {
                          return a.id == b.id && a.part == b.part && same(*a.material, *b.material) &&
                                 a.delay_samples == b.delay_samples;
                      });
}

bool RenderPlan::same_routing(const RenderPlan& other) const {
    return std::equal(tracks.begin(), tracks.end(), other.tracks.begin(), other.tracks.end(),
                      [](const PlanTrack& a, const PlanTrack& b) { return a.id == b.id && a.output == b.output; }) &&
           std::equal(buses.begin(), buses.end(), other.buses.begin(), other.buses.end(),
                      [](const PlanBus& a, const PlanBus& b) { return a.id == b.id && a.output == b.output; });
}

bool RenderPlan::any_listening() const {
    return std::any_of(tracks.begin(), tracks.end(), [](const PlanTrack& t) { return !t.listen.silent(); });
}

std::vector<Source> sources_of(const Track& track) {
    Source whole = source_of(track);
    if (track.low_centre_hz <= 0.0) return {whole};
    whole.crossover_hz = track.low_centre_hz;
    whole.band = Band::high;
    Source low = whole;
    low.band = Band::low;
    return {whole, low};
}

namespace {

/// Buses in an order in which each stands before the one it leads to.
std::vector<const Bus*> in_order(const Session& session) {
    std::vector<const Bus*> order;
    while (order.size() < session.buses.size()) {
        const size_t before = order.size();
        for (const Bus& b : session.buses) {
            const auto placed = [&](const Bus& x) { return std::find(order.begin(), order.end(), &x) != order.end(); };
            if (placed(b)) continue;
            if (std::all_of(session.buses.begin(), session.buses.end(),
                            [&](const Bus& x) { return x.output != b.id || placed(x); }))
                order.push_back(&b);
        }
        if (order.size() == before) break;  // a circle: cannot be, the session's functions see to it
    }
    return order;
}

GainMatrix pan_of(const Session& session, const Track& track, int channels) {
    if (channels == 1) return pan_mono(session.pan_law, track.pan);
    return track.sides_apart ? pan_apart(session.pan_law, track.left_pan, track.right_pan)
                             : pan_stereo(track.pan, track.width);
}

}  // namespace

PlanPtr compile_plan(const Session& session, const MaterialOf& material, Solo solo) {
    auto plan = std::make_shared<RenderPlan>();
    plan->sample_rate = session.sample_rate;
    plan->main_gain = gain_from_db(session.main_fader_db);
    const std::vector<const Bus*> buses = in_order(session);
    const auto place_of = [&](TrackId id) {
        const auto at = std::find_if(buses.begin(), buses.end(), [id](const Bus* b) { return b->id == id; });
        return at == buses.end() ? -1 : static_cast<int>(at - buses.begin());
    };
    for (const Bus* b : buses) {
        PlanBus bus;
        bus.id = b->id;
        bus.level_gain = b->mute ? 0.0 : gain_from_db(b->trim_db + b->fader_db + session.group_db(b->id));
        bus.gains = scaled(pan_stereo(b->pan, b->width), bus.level_gain);
        bus.level_ride = b->level_ride;
        bus.output = place_of(b->output);
        plan->buses.push_back(std::move(bus));
    }
    for (const auto& track : session.tracks) {
        Track played = *track;  // as it asks for its material
        std::vector<std::pair<Band, MaterialPtr>> parts;
        if (track->low_centre_hz > 0.0)
            for (const Source& s : sources_of(*track)) {
                played.source.band = s.band;
                played.source.crossover_hz = s.crossover_hz;
                if (MaterialPtr m = material(played)) parts.emplace_back(s.band, std::move(m));
            }
        if (parts.size() != 2) {
            parts.clear();
            if (MaterialPtr m = material(*track)) parts.emplace_back(Band::all, std::move(m));
        }
        if (parts.empty()) continue;
        const bool heard = solo == Solo::counts ? session.is_heard(*track) : session.is_open(*track);
        const int channels = parts.front().second->ready.channels;
        for (const auto& [part, m] : parts) {
            PlanTrack p;
            p.id = track->id;
            p.part = part;
            p.channels = m->ready.channels;
            p.frames = m->ready.frames;
            p.delay_samples = whole_delay(*track);
            p.trim_gain = gain_from_db(track->trim_db);
            p.fader_gain = heard ? gain_from_db(track->fader_db + session.group_db(track->id)) : 0.0;
            const GainMatrix pan = part != Band::low ? pan_of(session, *track, p.channels)
                                                     : pan_mono(channels == 1 ? session.pan_law : PanLaw::balance, 0.0);
            p.gains = scaled(pan, p.trim_gain * p.fader_gain * (track->polarity_inverted ? -1.0 : 1.0));
            p.level_ride = track->level_ride;
            p.output = place_of(track->output);
            p.material = m;
            p.to_main = p.gains;
            if (p.level_ride) p.rides.push_back(p.level_ride);
            for (int b = p.output; b >= 0; b = plan->buses[static_cast<size_t>(b)].output) {
                const PlanBus& bus = plan->buses[static_cast<size_t>(b)];
                p.to_main = chained(bus.gains, p.to_main);
                if (bus.level_ride) p.rides.push_back(bus.level_ride);
            }
            plan->frames = std::max(plan->frames, p.frames + p.delay_samples);
            plan->tracks.push_back(std::move(p));
        }
    }
    return plan;
}

PlanPtr plan_of_one_track(const RenderPlan& plan, TrackId id) {
    auto one = std::make_shared<RenderPlan>(plan);
    for (PlanTrack& t : one->tracks)
        if (t.id != id) t.gains = t.to_main = {0.0, 0.0, 0.0, 0.0};
    return one;
}

PlanPtr plan_listening(const RenderPlan& plan, const Session& session, const std::vector<TrackId>& ids,
                       bool after_fader) {
    auto next = std::make_shared<RenderPlan>(plan);
    for (PlanTrack& t : next->tracks) {
        if (std::find(ids.begin(), ids.end(), t.id) == ids.end()) continue;
        const Track* track = session.find(t.id);
        t.listen_after_fader = after_fader;
        t.listen = after_fader ? scaled(t.to_main, plan.main_gain)
                               : scaled(t.channels == 1 ? pan_mono(session.pan_law, 0.0) : GainMatrix{},
                                        t.trim_gain * (track && track->polarity_inverted ? -1.0 : 1.0));
    }
    return next;
}

}  // namespace isotonus
