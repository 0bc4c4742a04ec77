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
    fs::path playable;
    int channels = 1;
    int64_t frames = 0;  ///< of the file
    int64_t delay_samples = 0;
    double trim_gain = 1.0;   ///< linear
    double fader_gain = 1.0;  ///< linear; 0 when the track is not heard
    GainMatrix gains;         ///< trim, polarity, fader, mute and solo, pan and width in one
    std::shared_ptr<const Curve> level_ride;
    MaterialPtr material;  ///< level over time, for bounds

    bool heard() const { return !gains.silent(); }
};

struct RenderPlan {
    int sample_rate = 48000;
    int64_t frames = 0;  ///< from the start to the end of the last track
    std::vector<PlanTrack> tracks;
    double main_gain = 1.0;

    double duration_s() const { return static_cast<double>(frames) / sample_rate; }
    /// Plays the same samples from the same files in the same places, whatever the gains.
    bool same_sources(const RenderPlan& other) const;
};
using PlanPtr = std::shared_ptr<const RenderPlan>;

using MaterialOf = std::function<MaterialPtr(const Track&)>;

/// Tracks without material (missing, or not read yet) are left out.
PlanPtr compile_plan(const Session& session, const MaterialOf& material);

/// The same plan with all tracks but one silent.
PlanPtr plan_of_one_track(const RenderPlan& plan, size_t index);

}  // namespace isotonus
