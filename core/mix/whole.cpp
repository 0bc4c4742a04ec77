#include "core/mix/whole.h"

#include <set>

#include "core/foreign/plugins.h"
#include "core/mix/row_signals.h"
#include "core/mix/sum_of_rows.h"
#include "core/shape/room_response.h"

namespace isotonus {

namespace {

/// Why a processor cannot work; empty: it can.
std::string why_absent(const Processor& p, int sample_rate) {
    const ProcessorType* const type = processor_type(p.type);
    if (!type && !is_plugin(p.type)) return translated("this version of Isotonus does not know the processor");
    if (!type) {
        for (const Plugin& known : known_plugins())
            if (known.uri == uri_of_type(p.type) && !known.fault.empty()) return known.fault;
        return translated("the plug-in is not installed");
    }
    if (const auto fault = plugin_fault(p.type)) return *fault;
    if (p.type == "reverb" && !p.impulse.empty())
        if (const auto room = room_response(p.impulse, sample_rate); !room) return room.error().text();
    return {};
}

}  // namespace

std::vector<AbsentProcessor> absent_processors(const Session& session, const RenderPlan& plan,
                                               bool main_chain_exported) {
    std::vector<AbsentProcessor> all;
    if (session.chains_out) return all;
    const auto look_at = [&](TrackId channel, const Chain& chain, const Rides& rides) {
        if (session.is_chain_out(channel)) return;
        const auto of_channel = std::find_if(plan.tracks.begin(), plan.tracks.end(),
                                             [channel](const PlanTrack& t) { return t.id == channel; });
        const Signal* const signal = of_channel == plan.tracks.end() ? nullptr : signal_of(of_channel->material).get();
        const Rides heard = heard_rides(session, rides);
        for (size_t n = 0; n < chain.size(); ++n) {
            if (!is_wanted(chain[n], heard)) continue;
            std::string why = why_absent(chain[n], session.sample_rate);
            // What went wrong while its signal was made: of one that is gone what it made may have been kept.
            if (why.empty() && signal) why = signal->fault(n);
            if (!why.empty())
                all.push_back({channel, translate("'{}' cannot run in '{}': {}", word_of(chain[n].type),
                                                  session.name_of(channel), why)});
        }
    };
    for (const auto& track : session.tracks) look_at(track->id, track->chain, track->rides);
    for (const Bus& bus : session.buses) look_at(bus.id, bus.chain, bus.rides);
    if (main_chain_exported) look_at(main_output, session.main_chain, session.main_rides);
    return all;
}

std::vector<std::string> plugins_named(const Session& session) {
    std::set<std::string> types;
    const auto add = [&types](const Chain& chain) {
        for (const Processor& p : chain)
            if (is_plugin(p.type)) types.insert(p.type);
    };
    for (const auto& track : session.tracks) add(track->chain);
    for (const Bus& bus : session.buses) add(bus.chain);
    add(session.main_chain);
    return {types.begin(), types.end()};
}

}  // namespace isotonus
