#include "core/mix/render_plan.h"

#include <algorithm>

namespace isotonus {

bool RenderPlan::same_sources(const RenderPlan& other) const {
    return sample_rate == other.sample_rate &&
           std::equal(tracks.begin(), tracks.end(), other.tracks.begin(), other.tracks.end(),
                      [](const PlanTrack& a, const PlanTrack& b) {
                          return a.id == b.id && a.playable == b.playable && a.delay_samples == b.delay_samples;
                      });
}

PlanPtr compile_plan(const Session& session, const MaterialOf& material) {
    auto plan = std::make_shared<RenderPlan>();
    plan->sample_rate = session.sample_rate;
    plan->main_gain = gain_from_db(session.main_fader_db);
    for (const auto& track : session.tracks) {
        const MaterialPtr m = material(*track);
        if (!m) continue;
        PlanTrack p;
        p.id = track->id;
        p.playable = m->media.playable;
        p.channels = m->media.channels;
        p.frames = m->media.frames;
        p.delay_samples = track->delay_samples;
        p.trim_gain = gain_from_db(track->trim_db);
        p.fader_gain = session.is_heard(*track) ? gain_from_db(track->fader_db) : 0.0;
        const double level = p.trim_gain * p.fader_gain * (track->polarity_inverted ? -1.0 : 1.0);
        const GainMatrix pan =
            p.channels == 1 ? pan_mono(session.pan_law, track->pan) : pan_stereo(track->pan, track->width);
        p.gains = {pan.left_from_left * level, pan.left_from_right * level, pan.right_from_left * level,
                   pan.right_from_right * level};
        p.level_ride = track->level_ride;
        p.material = m;
        plan->frames = std::max(plan->frames, p.frames + p.delay_samples);
        plan->tracks.push_back(std::move(p));
    }
    return plan;
}

PlanPtr plan_of_one_track(const RenderPlan& plan, size_t index) {
    auto one = std::make_shared<RenderPlan>(plan);
    for (size_t i = 0; i < one->tracks.size(); ++i)
        if (i != index) one->tracks[i].gains = {0.0, 0.0, 0.0, 0.0};
    return one;
}

}  // namespace isotonus
