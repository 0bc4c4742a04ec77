#include "core/mix/renderer.h"

#include <algorithm>
#include <cmath>

#include "core/audio/kernels.h"

namespace isotonus {

Renderer::Renderer(PlanPtr plan)
    : plan_(std::move(plan)),
      fade_frames_(std::max(1, plan_->sample_rate / 100)),
      fades_(plan_->parts.size()),
      bus_fades_(plan_->buses.size()),
      sums_((1 + plan_->buses.size()) * static_cast<size_t>(2 * part_frames)),
      ride_(static_cast<size_t>(2 * part_frames)),
      whole_(static_cast<size_t>(2 * part_frames)) {}

double Renderer::fade_left(const Fade& fade, int64_t frame) const {
    if (!fading(fade, frame)) return 0.0;
    return 1.0 - static_cast<double>(frame - fade.start) / static_cast<double>(fade_frames_);
}

double Renderer::ride_at(const RowGains& row, int64_t frame) const {
    double gain = 1.0;
    for (const CurvePtr& curve : row.level_rides) {
        double ride = 1.0;
        level_ride_gains(*curve, plan_->sample_rate, frame, 1, &ride);
        gain *= ride;
    }
    for (const CurvePtr& gate : row.gates) gain *= gate->value_at(static_cast<double>(frame) / plan_->sample_rate);
    return gain;
}

namespace {

/// Where pan and width ride: their gains at the cells' ends, straight between.
struct Cells {
    const RowGains& row;
    double rate;
    int64_t cell = -1;
    GainMatrix from{}, to{};
    GainMatrix at(int64_t frame) {
        const int64_t here = frame / gain_cell;
        if (here != cell) {
            from = here == cell + 1 && cell >= 0 ? to : row.pan_gains_at(static_cast<double>(here * gain_cell) / rate);
            to = row.pan_gains_at(static_cast<double>((here + 1) * gain_cell) / rate);
            cell = here;
        }
        const double share = static_cast<double>(frame - here * gain_cell) / gain_cell;
        return added(scaled(from, 1.0 - share), to, share);
    }
};

}  // namespace

GainMatrix Renderer::gains_at(const RowGains& row, double factor, const Fade& fade, int64_t frame) const {
    Cells cells{row, static_cast<double>(plan_->sample_rate)};
    const GainMatrix still = row.pans_ride() ? scaled(cells.at(frame), row.level) : row.gains;
    return added(scaled(still, ride_at(row, frame) * factor), fade.residue, fade_left(fade, frame));
}

Renderer::Fade Renderer::fade_between(const GainMatrix& old, const GainMatrix& now, int64_t frame) const {
    return {added(old, now, -1.0), frame, !(old == now)};
}

void Renderer::take_over(const Renderer& previous, int64_t frame) {
    const RenderPlan& old_plan = *previous.plan_;
    const auto& old_parts = old_plan.parts;
    size_t guess = 0;
    for (size_t i = 0; i < fades_.size(); ++i) {
        const PlanPart& p = plan_->parts[i];
        const auto is_it = [&](size_t at) {
            return old_plan.id_of(old_parts[at]) == plan_->id_of(p) && old_parts[at].band == p.band &&
                   old_parts[at].send == p.send;
        };
        if (guess >= old_parts.size() || !is_it(guess)) {
            guess = 0;
            while (guess < old_parts.size() && !is_it(guess)) ++guess;
        }
        const GainMatrix old = guess < old_parts.size()
                                   ? previous.gains_at(old_parts[guess], 1.0, previous.fades_[guess], frame)
                                   : silence;
        ++guess;
        fades_[i] = fade_between(old, gains_at(p, 1.0, {}, frame), frame);
    }
    const auto& old_buses = previous.plan_->buses;
    for (size_t i = 0; i < bus_fades_.size(); ++i) {
        const PlanBus& b = plan_->buses[i];
        size_t at = 0;
        while (at < old_buses.size() && old_buses[at].id != b.id) ++at;
        const GainMatrix now = gains_at(b, 1.0, {}, frame);
        const GainMatrix old =
            at < old_buses.size() ? previous.gains_at(old_buses[at], 1.0, previous.bus_fades_[at], frame) : now;
        bus_fades_[i] = fade_between(old, now, frame);
    }
    main_fade_ = {};
    main_fade_ = fade_between(previous.main_gains_at(frame), main_gains_at(frame), frame);
}

/// A gain for each frame; null where nothing rides the level.
const double* Renderer::rides(const RowGains& row, int64_t first, int64_t frames) {
    if (row.level_rides.empty() && row.gates.empty()) return nullptr;
    double* const all = ride_.data();
    double* const one = all + part_frames;
    for (size_t n = 0; n < row.level_rides.size(); ++n) {
        level_ride_gains(*row.level_rides[n], plan_->sample_rate, first, frames, n == 0 ? all : one);
        for (int64_t i = 0; n > 0 && i < frames; ++i) all[i] *= one[i];
    }
    if (row.level_rides.empty()) std::fill_n(all, frames, 1.0);
    for (const CurvePtr& gate : row.gates)
        for (int64_t i = 0; i < frames; ++i)
            all[i] *= gate->value_at(static_cast<double>(first + i) / plan_->sample_rate);
    return all;
}

/// Frame by frame, where gains fade or a place rides: gains * ride + residue * what is left of the fade.
template <class In, class Put>
void Renderer::move(const RowGains& row, double factor, const Fade& fade, const double* ride, int64_t first,
                    int64_t frames, const In* in, const Put& put) const {
    Cells cells{row, static_cast<double>(plan_->sample_rate)};
    const bool pans_ride = row.pans_ride();
    for (int64_t i = 0; i < frames; ++i) {
        const double gain = (ride ? ride[i] : 1.0) * factor;
        const GainMatrix still = pans_ride ? scaled(cells.at(first + i), row.level) : row.gains;
        const GainMatrix g = added(scaled(still, gain), fade.residue, fade_left(fade, first + i));
        const double l = static_cast<double>(in[i * row.channels]),
                     r = row.channels == 2 ? static_cast<double>(in[2 * i + 1]) : 0.0;
        put(i, g.left(l, r), g.right(l, r));
    }
}

void Renderer::add_part(size_t part, int64_t first, int64_t frames, const float* in) {
    const PlanPart& t = plan_->parts[part];
    const GainMatrix& g = t.gains;
    const auto count = static_cast<size_t>(frames);
    double* const sum = sum_of(t.output);
    const double* const ride = rides(t, first, frames);
    if (t.pans_ride() || fading(fades_[part], first))
        move(t, 1.0, fades_[part], ride, first, frames, in,
             [sum](int64_t i, double l, double r) { sum[2 * i] += l, sum[2 * i + 1] += r; });
    else if (t.channels == 2 && ride && g.straight())
        kernels::mix_stereo_ridden(in, count, ride, g.left_from_left, g.right_from_right, sum);
    else if (t.channels == 2)
        kernels::mix_matrix(in, count, ride,
                            {g.left_from_left, g.left_from_right, g.right_from_left, g.right_from_right}, sum);
    else if (ride)
        kernels::mix_mono_ridden(in, count, ride, g.left_from_left, g.right_from_left, sum);
    else
        kernels::mix_mono(in, count, g.left_from_left, g.right_from_left, sum);
}

/// Rows that only have a gain for each side; several of them that lead to one bus are summed in one go.
bool Renderer::is_plain(size_t part, int64_t first) const {
    const PlanPart& p = plan_->parts[part];
    return p.channels == 2 && !p.ridden() && p.gains.straight() && !fading(fades_[part], first);
}

void Renderer::add_plain(int64_t frames) {
    if (plain_count_ == 0) return;
    kernels::mix_stereo(std::span(plain_).first(std::exchange(plain_count_, 0)), static_cast<size_t>(frames),
                        sum_of(plain_output_));
}

void Renderer::add_bus(size_t bus, int64_t first, int64_t frames) {
    const PlanBus& b = plan_->buses[bus];
    const GainMatrix& g = b.gains;
    const bool fades = fading(bus_fades_[bus], first);
    if ((g.silent() && !fades) || b.output == no_output) return;
    const double* const in = sum_of(static_cast<int>(bus));
    double* const sum = sum_of(b.output);
    const double* const ride = rides(b, first, frames);
    if (fades || b.pans_ride())
        move(b, 1.0, bus_fades_[bus], ride, first, frames, in,
             [sum](int64_t i, double l, double r) { sum[2 * i] += l, sum[2 * i + 1] += r; });
    else
        kernels::mix_matrix(in, static_cast<size_t>(frames), ride,
                            {g.left_from_left, g.left_from_right, g.right_from_left, g.right_from_right}, sum);
}

void Renderer::add_listening(size_t part, int64_t first, int64_t frames, const float* in, float* listen) {
    const PlanPart& p = plan_->parts[part];
    const double rate = plan_->sample_rate;
    const bool ridden = p.listen_after_fader && p.any_ride_to_main();
    const bool pans_ride = p.listen_after_fader && p.pans_ride_on_the_way();
    // As in the mix, pans and widths go straight between the values at the ends of cells.
    int64_t cell = -1;
    GainMatrix from, to;
    for (int64_t i = 0; i < frames; ++i) {
        const int64_t frame = first + i, here = frame / gain_cell;
        if (pans_ride && here != cell) {
            const auto at_cell = [&](int64_t n) {
                return scaled(p.gains_to_main_at(static_cast<double>(n * gain_cell) / rate), plan_->main_gain);
            };
            from = here == cell + 1 && cell >= 0 ? to : at_cell(here);
            to = at_cell(here + 1);
            cell = here;
        }
        const double share = static_cast<double>(frame % gain_cell) / gain_cell;
        const GainMatrix g = pans_ride ? added(scaled(from, 1.0 - share), to, share) : p.listen;
        const double ride = ridden ? p.ride_to_main_at(static_cast<double>(frame) / rate) : 1.0;
        const double l = static_cast<double>(in[i * p.channels]),
                     r = p.channels == 2 ? static_cast<double>(in[2 * i + 1]) : 0.0;
        listen[2 * i] += static_cast<float>(g.left(l, r) * ride);
        listen[2 * i + 1] += static_cast<float>(g.right(l, r) * ride);
    }
}

/// What a track plays before its gains: its two bands together, when it has two.  The first one has the track's
/// channels.
const float* Renderer::whole_of(const PlanTrack& track, std::span<const float* const> inputs, int64_t offset,
                                int64_t frames) {
    const int channels = plan_->parts[track.first_part].channels;
    const float* in = inputs[track.first_part];
    if (!in) return nullptr;
    in += offset * channels;
    const float* low = track.band_count == 2 ? inputs[track.first_part + 1] : nullptr;
    if (!low) return in;
    low += offset;
    for (int64_t i = 0; i < frames * channels; ++i) whole_[static_cast<size_t>(i)] = in[i] + low[i / channels];
    return whole_.data();
}

void Renderer::raise_levels(const PlanTrack& t, int64_t first, int64_t frames, const float* in,
                            TrackLevels& levels) const {
    const PlanPart& part = plan_->parts[t.first_part];
    const float peak = kernels::peak(in, static_cast<size_t>(frames * part.channels));
    // The ride is taken at the middle of the part (at most 512 frames): a lamp on a screen cannot show more.
    const double level = t.trim_gain * t.fader_gain * ride_at(part, first + frames / 2);
    double magnitude[2] = {};
    for (int64_t i = 0; i < frames * part.channels; ++i)
        magnitude[i & (part.channels - 1)] += static_cast<double>(std::fabs(in[i]));
    levels.magnitude_sum += std::max(magnitude[0], magnitude[1]) * t.trim_gain;
    levels.frames += frames;
    levels.peak_after_trim =
        std::max(levels.peak_after_trim, static_cast<float>(static_cast<double>(peak) * t.trim_gain));
    levels.peak_after_fader = std::max(levels.peak_after_fader, static_cast<float>(static_cast<double>(peak) * level));
}

void Renderer::process(int64_t first, int64_t frames, std::span<const float* const> inputs, float* out,
                       std::span<TrackLevels> levels, float* listen) {
    if (listen) std::fill_n(listen, 2 * frames, 0.0f);
    const size_t tracks = plan_->tracks.size();
    for (int64_t done = 0; done < frames;) {
        const int64_t part = std::min(part_frames, frames - done);
        const int64_t at = first + done;
        for (int b = -1; b < static_cast<int>(plan_->buses.size()); ++b) std::fill_n(sum_of(b), 2 * part, 0.0);
        for (size_t i = 0; i < tracks && !levels.empty(); ++i)
            if (const float* whole = whole_of(plan_->tracks[i], inputs, done, part))
                raise_levels(plan_->tracks[i], at, part, whole, levels[i]);
        for (size_t i = 0; i < plan_->parts.size(); ++i) {
            if (!inputs[i]) continue;
            const PlanPart& p = plan_->parts[i];
            const float* in = inputs[i] + done * p.channels;
            if (listen && !p.listen.silent()) add_listening(i, at, part, in, listen + 2 * done);
            if (p.output == no_output || (!p.heard() && !fading(fades_[i], at))) continue;
            // What leads to a sum is added in the order of the rows, whichever way it goes.
            const bool plain = is_plain(i, at);
            if (plain_count_ == plain_.size() || !plain || p.output != plain_output_) add_plain(part);
            plain_output_ = p.output;
            if (plain)
                plain_[plain_count_++] = {in, p.gains.left_from_left, p.gains.right_from_right};
            else
                add_part(i, at, part, in);
        }
        add_plain(part);
        for (size_t b = 0; b < plan_->buses.size(); ++b) {
            if (!levels.empty()) {
                double peak = 0.0;
                const PlanBus& bus = plan_->buses[b];
                const double* sum = sum_of(static_cast<int>(b));
                for (int64_t i = 0; i < 2 * part; ++i) peak = std::max(peak, std::fabs(sum[i]));
                TrackLevels& level = levels[tracks + b];
                level.frames += part;
                level.peak_after_trim = std::max(level.peak_after_trim, static_cast<float>(peak));
                level.peak_after_fader = std::max(level.peak_after_fader,
                                                  static_cast<float>(peak * bus.level * ride_at(bus, at + part / 2)));
            }
            add_bus(b, at, part);
        }
        float* const to = out + 2 * done;
        const double* const sum = sum_of(-1);
        const RowGains& main = plan_->main;
        if (main.ridden() || fading(main_fade_, at))
            move(main, plan_->main_gain, main_fade_, rides(main, at, part), at, part, sum,
                 [to](int64_t i, double l, double r) {
                     to[2 * i] = static_cast<float>(l);
                     to[2 * i + 1] = static_cast<float>(r);
                 });
        else
            kernels::scale_to_float(sum, static_cast<size_t>(2 * part), plan_->main_gain, to);
        done += part;
    }
}

}  // namespace isotonus
