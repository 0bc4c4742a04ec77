// Compiling a session into a plan: where every row leads, by which sends, and with which gains.
#pragma once

#include <concepts>
#include <functional>

#include "core/mix/render_plan.h"

namespace isotonus {

/// What rows play.  Made of anything that gives a track's material; signals of buses by what they depend on, which the
/// plan finds out.  A bus whose signal is not known plays a provisional one.
struct MaterialOf {
    std::function<MaterialPtr(const Track&)> track;
    std::function<MaterialPtr(const SignalRecipe&)> bus;
    template <class Function>
    requires(std::invocable<Function, const Track&> && !std::same_as<std::remove_cvref_t<Function>, MaterialOf>)
        MaterialOf(Function of_track)
        : track(std::move(of_track)) {}
    MaterialOf(std::function<MaterialPtr(const Track&)> of_track,
               std::function<MaterialPtr(const SignalRecipe&)> of_bus)
        : track(std::move(of_track)), bus(std::move(of_bus)) {}
    MaterialPtr operator()(const Track& t) const { return track(t); }
};

/// Whether solo counts: for the ear it does; what leaves as a file is the mix without it, unless it is asked for.
enum class Solo { counts, left_out };

/// Tracks without material (missing, or not read yet) are left out.
PlanPtr compile_plan(const Session& session, const MaterialOf& material, Solo solo = Solo::counts);

/// What a plan's tracks and buses play, for another plan of the same tracks, whatever their faders are by then: those
/// move after chains.
MaterialOf material_of(const RenderPlan& plan);

/// What another channel's processor goes by: a bus before its fader, or the members of a control group after theirs, as
/// they are in the mix, whatever is soloed.  Nothing for any other channel.
std::optional<PreFaderSource> tap_of_sum(const Session& session, TrackId bus_or_group, const MaterialOf& material);

/// The mix without the main output's chain, and with it.  Both are of the same parts, so that they can be rendered in
/// one pass; they are one where no such chain is at work.
struct MixPlans {
    PlanPtr bare, finished;
    bool differ() const { return bare != finished; }
};
MixPlans compile_mix_plans(const Session& session, const MaterialOf& material, Solo solo = Solo::counts);

}  // namespace isotonus
