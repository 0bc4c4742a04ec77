// The one mixing loop: real time, export, measuring and tests all run it.
// What it gives for a frame depends on the plan, the frame, and the frame at which plans were swapped; never on block
// sizes.
#pragma once

#include <array>
#include <span>

#include "core/audio/kernels.h"
#include "core/mix/render_plan.h"

namespace isotonus {

/// Live levels of one track since they were last taken, linear.
struct TrackLevels {
    float peak_after_trim = 0.0f;
    float peak_after_fader = 0.0f;  ///< with the ride, before the pan
    double magnitude_sum = 0.0;     ///< after the trim: sum of |x| of the louder channel, for a VU needle
    int64_t frames = 0;             ///< that were heard
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
    /// inputs[i]: interleaved samples of part i for these frames (file frame = frame - delay), null for none.
    /// levels, when not empty, has one entry for each track of the plan and then one for each bus; they are raised to
    /// this block's levels.
    /// listen, when given, is filled with the listening sum of the monitor path, interleaved stereo.
    void process(int64_t first, int64_t frames, std::span<const float* const> inputs, float* out_stereo,
                 std::span<TrackLevels> levels = {}, float* listen = nullptr);

  private:
    static constexpr int64_t part_frames = 512;
    struct Fade {
        GainMatrix residue{0.0, 0.0, 0.0, 0.0};
        int64_t start = 0;
        bool active = false;
    };
    bool fading(const Fade& fade, int64_t frame) const { return fade.active && frame < fade.start + fade_frames_; }
    double fade_left(const Fade& fade, int64_t frame) const;
    /// A row's gains at a frame, with what is left of its fade.
    GainMatrix gains_at(const RowGains& row, double factor, const Fade& fade, int64_t frame) const;
    GainMatrix main_gains_at(int64_t frame) const { return gains_at(plan_->main, plan_->main_gain, main_fade_, frame); }
    Fade fade_between(const GainMatrix& old, const GainMatrix& now, int64_t frame) const;
    const double* rides(const RowGains& row, int64_t first, int64_t frames);
    double ride_at(const RowGains& row, int64_t frame) const;
    template <class In, class Put>
    void move(const RowGains& row, double factor, const Fade& fade, const double* ride, int64_t first, int64_t frames,
              const In* in, const Put& put) const;
    void add_part(size_t part, int64_t first, int64_t frames, const float* in);
    bool is_plain(size_t part, int64_t first) const;
    void add_plain(int64_t frames);
    void add_bus(size_t bus, int64_t first, int64_t frames);
    void add_listening(size_t part, int64_t first, int64_t frames, const float* in, float* listen);
    const float* whole_of(const PlanTrack& track, std::span<const float* const> inputs, int64_t offset, int64_t frames);
    void raise_levels(const PlanTrack& track, int64_t first, int64_t frames, const float* in,
                      TrackLevels& levels) const;
    double* sum_of(int bus) { return sums_.data() + static_cast<size_t>(bus + 1) * 2 * part_frames; }

    PlanPtr plan_;
    int64_t fade_frames_;
    std::vector<Fade> fades_, bus_fades_;
    Fade main_fade_;
    std::vector<double> sums_, ride_;  ///< of the main output, then of each bus
    std::vector<float> whole_;
    std::array<kernels::StereoRow, 8> plain_{};  ///< rows that are added next, and where they lead
    size_t plain_count_ = 0;
    int plain_output_ = to_main_output;
};

}  // namespace isotonus
