#include "core/mix/renderer.h"

#include <algorithm>

#include "core/audio/kernels.h"

namespace isotonus {

Renderer::Renderer(PlanPtr plan)
    : plan_(std::move(plan)),
      fade_frames_(std::max(1, plan_->sample_rate / 100)),
      fades_(plan_->tracks.size()),
      sum_(static_cast<size_t>(2 * part_frames)),
      ride_(static_cast<size_t>(part_frames)) {}

double Renderer::fade_left(const Fade& fade, int64_t frame) const {
    if (!fade.active || frame >= fade.start + fade_frames_) return 0.0;
    return 1.0 - static_cast<double>(frame - fade.start) / static_cast<double>(fade_frames_);
}

GainMatrix Renderer::gains_at(size_t track, int64_t frame) const {
    const PlanTrack& t = plan_->tracks[track];
    double ride = 1.0;
    if (t.level_ride) level_ride_gains(*t.level_ride, plan_->sample_rate, frame, 1, &ride);
    const double left = fade_left(fades_[track], frame);
    const GainMatrix& g = t.gains;
    const GainMatrix& r = fades_[track].residue;
    return {g.left_from_left * ride + r.left_from_left * left, g.left_from_right * ride + r.left_from_right * left,
            g.right_from_left * ride + r.right_from_left * left, g.right_from_right * ride + r.right_from_right * left};
}

void Renderer::take_over(const Renderer& previous, int64_t frame) {
    const auto& old_tracks = previous.plan_->tracks;
    size_t guess = 0;
    for (size_t i = 0; i < fades_.size(); ++i) {
        fades_[i].active = false;
        const TrackId id = plan_->tracks[i].id;
        if (guess >= old_tracks.size() || old_tracks[guess].id != id) {
            guess = 0;
            while (guess < old_tracks.size() && old_tracks[guess].id != id) ++guess;
        }
        const GainMatrix old =
            guess < old_tracks.size() ? previous.gains_at(guess, frame) : GainMatrix{0.0, 0.0, 0.0, 0.0};
        ++guess;
        const GainMatrix now = gains_at(i, frame);
        if (old == now) continue;
        fades_[i] = {{old.left_from_left - now.left_from_left, old.left_from_right - now.left_from_right,
                      old.right_from_left - now.right_from_left, old.right_from_right - now.right_from_right},
                     frame,
                     true};
    }
    const Fade main_fade{{}, previous.main_start_, previous.main_fading_};
    main_residue_ =
        previous.plan_->main_gain + previous.main_residue_ * previous.fade_left(main_fade, frame) - plan_->main_gain;
    main_start_ = frame;
    main_fading_ = main_residue_ != 0.0;
}

void Renderer::add_moving(size_t track, int64_t first, int64_t frames, const float* in) {
    const PlanTrack& t = plan_->tracks[track];
    const Fade& fade = fades_[track];
    if (t.level_ride)
        level_ride_gains(*t.level_ride, plan_->sample_rate, first, frames, ride_.data());
    else
        std::fill_n(ride_.data(), frames, 1.0);
    const GainMatrix &g = t.gains, &r = fade.residue;
    double* sum = sum_.data();
    for (int64_t i = 0; i < frames; ++i, sum += 2) {
        const double ride = ride_[static_cast<size_t>(i)], left = fade_left(fade, first + i);
        const double ll = g.left_from_left * ride + r.left_from_left * left;
        const double rr = g.right_from_right * ride + r.right_from_right * left;
        if (t.channels == 1) {
            const double x = static_cast<double>(in[i]);
            sum[0] += x * ll;
            sum[1] += x * rr;
        } else {
            const double lr = g.left_from_right * ride + r.left_from_right * left;
            const double rl = g.right_from_left * ride + r.right_from_left * left;
            const double x = static_cast<double>(in[2 * i]), y = static_cast<double>(in[2 * i + 1]);
            sum[0] += x * ll + y * lr;
            sum[1] += x * rl + y * rr;
        }
    }
}

void Renderer::raise_levels(size_t track, int64_t first, int64_t frames, const float* in, TrackLevels& levels) const {
    const PlanTrack& t = plan_->tracks[track];
    const float peak = kernels::peak(in, static_cast<size_t>(frames * t.channels));
    // The ride is taken at the middle of the part (at most 512 frames): a lamp on a screen cannot show more.
    double ride = 1.0;
    if (t.level_ride) level_ride_gains(*t.level_ride, plan_->sample_rate, first + frames / 2, 1, &ride);
    const double level = t.trim_gain * t.fader_gain * ride;
    levels.peak_after_trim =
        std::max(levels.peak_after_trim, static_cast<float>(static_cast<double>(peak) * t.trim_gain));
    levels.peak_after_fader = std::max(levels.peak_after_fader, static_cast<float>(static_cast<double>(peak) * level));
}

void Renderer::process(int64_t first, int64_t frames, std::span<const float* const> inputs, float* out,
                       std::span<TrackLevels> levels) {
    for (int64_t done = 0; done < frames;) {
        const int64_t part = std::min(part_frames, frames - done);
        const int64_t at = first + done;
        std::fill_n(sum_.data(), 2 * part, 0.0);
        for (size_t i = 0; i < plan_->tracks.size(); ++i) {
            if (!inputs[i]) continue;
            const PlanTrack& t = plan_->tracks[i];
            const float* in = inputs[i] + done * t.channels;
            if (!levels.empty()) raise_levels(i, at, part, in, levels[i]);
            const bool fading = fades_[i].active && at < fades_[i].start + fade_frames_;
            if (!fading && !t.heard()) continue;
            if (fading || t.level_ride || (t.channels == 2 && !t.gains.straight()))
                add_moving(i, at, part, in);
            else if (t.channels == 2)
                kernels::mix_stereo(in, static_cast<size_t>(part), t.gains.left_from_left, t.gains.right_from_right,
                                    sum_.data());
            else
                kernels::mix_mono(in, static_cast<size_t>(part), t.gains.left_from_left, t.gains.right_from_right,
                                  sum_.data());
        }
        float* const to = out + 2 * done;
        if (main_fading_ && at < main_start_ + fade_frames_) {
            const Fade fade{{}, main_start_, true};
            for (int64_t i = 0; i < part; ++i) {
                const double gain = plan_->main_gain + main_residue_ * fade_left(fade, at + i);
                to[2 * i] = static_cast<float>(sum_[static_cast<size_t>(2 * i)] * gain);
                to[2 * i + 1] = static_cast<float>(sum_[static_cast<size_t>(2 * i + 1)] * gain);
            }
        } else {
            kernels::scale_to_float(sum_.data(), static_cast<size_t>(2 * part), plan_->main_gain, to);
        }
        done += part;
    }
}

}  // namespace isotonus
