// What the renderer does, compiled from a session: the same plan plays in real time, exports and measures.
#pragma once

#include <functional>
#include <memory>
#include <vector>

#include "core/measure/material.h"
#include "core/mix/pan.h"

namespace isotonus {

struct PlanTrack {
    TrackId id = 0;
    Band part = Band::all;  ///< a track whose low end is kept in the centre is two: `high`, and `low` right after it
    int channels = 1;
    int64_t frames = 0;         ///< of the source
    int64_t delay_samples = 0;  ///< whole ones; the rest is in the source
    double trim_gain = 1.0;     ///< linear
    double fader_gain = 1.0;    ///< linear, with its control groups; 0 when the track is not heard
    GainMatrix gains;           ///< trim, polarity, fader, mute and solo, pan and width in one
    std::shared_ptr<const Curve> level_ride;
    int output = -1;                        ///< place of a bus in RenderPlan::buses; -1: the main output
    GainMatrix listen{0.0, 0.0, 0.0, 0.0};  ///< to the listening sum of the monitor path
    bool listen_after_fader = false;        ///< the listening sum follows the ride too
    MaterialPtr material;                   ///< the source, and its level over time for bounds

    // The way to the main output as a whole, for bounds and pictures: the renderer itself goes from bus to bus.
    GainMatrix to_main;                               ///< gains, and those of the buses; the main fader left out
    std::vector<std::shared_ptr<const Curve>> rides;  ///< its own and those of its buses

    bool heard() const { return !gains.silent(); }
    /// What the rides multiply by at a time, and at most in [first, first + frames].
    double ride_at(double time_s) const;
    double ride_bound(double sample_rate, int64_t first, int64_t frames) const;
};

/// Sums what leads to it.  A bus stands before the one it leads to.
struct PlanBus {
    TrackId id = 0;
    double level_gain = 1.0;  ///< trim, fader and control groups: what its meter shows, linear
    GainMatrix gains;         ///< the same with pan and width
    std::shared_ptr<const Curve> level_ride;
    int output = -1;
};

struct RenderPlan {
    int sample_rate = 48000;
    int64_t frames = 0;  ///< from the start to the end of the last track
    std::vector<PlanTrack> tracks;
    std::vector<PlanBus> buses;
    double main_gain = 1.0;

    double duration_s() const { return static_cast<double>(frames) / sample_rate; }
    /// Plays the same samples from the same files in the same places, whatever the gains.
    bool same_sources(const RenderPlan& other) const;
    /// Every row leads where it leads in the other.
    bool same_routing(const RenderPlan& other) const;
    bool any_listening() const;
};
using PlanPtr = std::shared_ptr<const RenderPlan>;

using MaterialOf = std::function<MaterialPtr(const Track&)>;

/// Whether solo counts: for the ear it does; what leaves as a file is the mix without it, unless it is asked for.
enum class Solo { counts, left_out };

/// Tracks without material (missing, or not read yet) are left out.
PlanPtr compile_plan(const Session& session, const MaterialOf& material, Solo solo = Solo::counts);

/// The same plan with all tracks but one silent.
PlanPtr plan_of_one_track(const RenderPlan& plan, TrackId id);

/// The same plan with these tracks in the listening sum too: as they are after their trim, in the centre; or after
/// fader, ride, pan and buses.
PlanPtr plan_listening(const RenderPlan& plan, const Session& session, const std::vector<TrackId>& ids,
                       bool after_fader);

/// Sources that a track is played from: one, or two when its low end is kept in the centre.
std::vector<Source> sources_of(const Track& track);

}  // namespace isotonus
