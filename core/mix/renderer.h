// The one mixing loop: real time, export, measuring and tests all run it.
// What it gives for a frame depends on the plan, the frame, and the frame at which plans were swapped; never on block
// sizes.
#pragma once

#include <span>

#include "core/mix/render_plan.h"

namespace isotonus {

/// Live levels of one track over one block, linear.
struct TrackLevels {
    float peak_after_trim = 0.0f;
    float peak_after_fader = 0.0f;  ///< with the ride, before the pan
};

/// Built where allocation is allowed; take_over and process are real-time safe.
class Renderer {
  public:
    explicit Renderer(PlanPtr plan);

    const RenderPlan& plan() const { return *plan_; }

    /// Goes on where another renderer stops, at this frame.  Gains do not jump: what the old gains were above the new
    /// ones at the swap is added and falls to 0 linearly over 10 ms.  Steps drawn in a ride stay steps.
    void take_over(const Renderer& previous, int64_t frame);

    /// Mixes `frames` frames from `first` on into interleaved stereo.
    /// inputs[i]: interleaved samples of track i for these frames (file frame = frame - delay), null for none.
    /// levels, when not empty, has one entry for each track; they are raised to this block's levels.
    void process(int64_t first, int64_t frames, std::span<const float* const> inputs, float* out_stereo,
                 std::span<TrackLevels> levels = {});

  private:
    static constexpr int64_t part_frames = 512;
    struct Fade {
        GainMatrix residue{0.0, 0.0, 0.0, 0.0};
        int64_t start = 0;
        bool active = false;
    };
    GainMatrix gains_at(size_t track, int64_t frame) const;
    double fade_left(const Fade& fade, int64_t frame) const;
    void add_moving(size_t track, int64_t first, int64_t frames, const float* in);
    void raise_levels(size_t track, int64_t first, int64_t frames, const float* in, TrackLevels& levels) const;

    PlanPtr plan_;
    int64_t fade_frames_;
    std::vector<Fade> fades_;
    double main_residue_ = 0.0;
    int64_t main_start_ = 0;
    bool main_fading_ = false;
    std::vector<double> sum_, ride_;
};

}  // namespace isotonus
