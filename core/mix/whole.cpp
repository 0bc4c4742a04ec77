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
    if (!type && !is_plugin(p.type)) return said("this version of Isotonus does not know it");
    if (!type) {
        for (const Plugin& known : known_plugins())
            if (known.uri == uri_of_type(p.type) && !known.fault.empty()) return known.fault;
        return said("it is not installed");
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
        const Signal* const signal = of_channel == plan.tracks.end() ? nullptr : of_channel->material->signal.get();
        const Rides heard = heard_rides(session, rides);
        for (size_t n = 0; n < chain.size(); ++n) {
            if (!is_wanted(chain[n], heard)) continue;
            std::string why = why_absent(chain[n], session.sample_rate);
            // What went wrong while its signal was made: of one that is gone what it made may have been kept.
            if (why.empty() && signal) why = signal->fault(n);
            if (!why.empty())
                all.push_back({channel, say("'{}' cannot run in '{}': {}", word_of(chain[n].type),
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

namespace {

/// Looks at all that a plan is made of, once.
class Sources {
  public:
    Result<void> of(const RenderPlan& plan) {
        for (const PlanTrack& t : plan.tracks)
            if (auto same = of(*t.material); !same) return same;
        for (const PlanPart& p : plan.parts)
            if (auto same = of(*p.material); !same) return same;
        return {};
    }

  private:
    Result<void> of(const Media& media) {
        if (stamp_of(media.original) == media.stamp) return {};
        return fail(media.original.string(), said("the file changed after it was measured; try again"));
    }
    Result<void> of(const Material& material) {
        if (!seen_.insert(&material).second) return {};
        if (const PlanPtr sum = summed_plan(material)) return of(*sum);
        if (!material.signal) {
            if (auto same = of(material.ready.media); !same || !material.ready.right) return same;
            return of(*material.ready.right);
        }
        const SignalRecipe& recipe = material.signal->recipe();
        if (auto same = of(*recipe.source.material); !same) return same;
        for (const auto& [row, tap] : recipe.keys)
            if (auto same = of(*tap.material); !same) return same;
        for (const auto& [place, tap] : recipe.judged_by)
            if (auto same = of(*tap.material); !same) return same;
        if (signal_key(recipe) == material.signal->key()) return {};
        for (const Processor& p : recipe.chain)
            if (!p.impulse.empty() || is_plugin(p.type))
                return fail(p.impulse.string(),
                            say("'{}' changed after its sound was made; try again", word_of(p.type)));
        return fail("", said("what a chain is made of changed after its sound was made; try again"));
    }

    std::set<const Material*> seen_;
};

}  // namespace

Result<void> sources_unchanged(const RenderPlan& plan) { return Sources().of(plan); }

}  // namespace isotonus
