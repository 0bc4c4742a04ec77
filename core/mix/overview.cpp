#include "core/mix/overview.h"

#include <algorithm>
#include <cmath>

#include "core/parallel.h"
#include "core/ride/curve_walk.h"

namespace isotonus {

namespace {

constexpr int64_t unit = 8 * level_block;

/// What a track's power is taken by, for each of its channels: what both sides of the mix get of it.
std::array<double, 2> power_gains(const PlanPart& t, double main_gain) {
    const GainMatrix& g = t.to_main;
    const double left = g.left_from_left * g.left_from_left + g.right_from_left * g.right_from_left;
    const double right = g.left_from_right * g.left_from_right + g.right_from_right * g.right_from_right;
    const double main = main_gain * main_gain / 2.0;
    return {left * main, right * main};
}

/// PlanPart::ride_power_at for times that grow.
class RideWalk {
  public:
    explicit RideWalk(const PlanPart& t)
        : part_(t), still_(!t.any_ride_to_main()), pans_ride_(t.pans_ride_on_the_way()) {
        const auto take = [this](const RowGains& row) {
            for (const CurvePtr& ride : row.level_rides) levels_.emplace_back(*ride);
            for (const CurvePtr& gate : row.gates) gates_.emplace_back(*gate);
        };
        take(t);
        for (const RowGains& row : t.rows_on_way) take(row);
    }
    double power_at(double time_s) {
        if (still_) return 1.0;
        if (pans_ride_) return part_.ride_power_at(time_s);
        double db = 0.0, gate = 1.0;
        for (CurveWalk& w : levels_) db += w.value_at(time_s);
        for (CurveWalk& w : gates_) gate *= w.value_at(time_s);
        return gate * gate * (db == 0.0 ? 1.0 : std::pow(10.0, db / 10.0));
    }

  private:
    const PlanPart& part_;
    bool still_, pans_ride_;
    std::vector<CurveWalk> levels_, gates_;
};

}  // namespace

MixOverview::MixOverview(PlanPtr plan) : plan_(std::move(plan)) {
    std::vector<double> energy(static_cast<size_t>(plan_->frames / unit + 2));
    for (const PlanPart& t : plan_->parts) {
        if (!t.heard() || !t.material) continue;
        const auto gain = power_gains(t, plan_->main_gain);
        const MappedList<float>& power = t.material->summary.mean_square_of_8;
        const auto channels = static_cast<size_t>(t.channels);
        RideWalk ride(t);
        for (size_t u = 0; u * channels < power.size(); ++u) {
            double here = 0.0;
            for (size_t c = 0; c < channels; ++c) here += static_cast<double>(power[u * channels + c]) * gain[c];
            const auto first = static_cast<int64_t>(u) * unit + t.delay_samples;
            here *=
                static_cast<double>(unit) * ride.power_at(static_cast<double>(first + unit / 2) / plan_->sample_rate);
            // A delay puts the unit across two of the song's.
            const int64_t at = first >= 0 ? first / unit : -((-first + unit - 1) / unit);
            const double share = static_cast<double>(first - at * unit) / static_cast<double>(unit);
            const auto add = [&](int64_t to, double what) {
                if (to >= 0 && to < static_cast<int64_t>(energy.size())) energy[static_cast<size_t>(to)] += what;
            };
            add(at, here * (1.0 - share));
            add(at + 1, here * share);
        }
    }
    energy_.push_back(0.0);
    for (const double e : energy) energy_.push_back(energy_.back() + e);
}

double MixOverview::energy_before(double frame) const {
    const double at = std::clamp(frame / static_cast<double>(unit), 0.0, static_cast<double>(energy_.size() - 1));
    const size_t u = std::min(static_cast<size_t>(at), energy_.size() - 2);
    return energy_[u] + (energy_[u + 1] - energy_[u]) * (at - static_cast<double>(u));
}

std::vector<double> MixOverview::by_blocks(double from_frame, double per_column, int columns) const {
    std::vector<double> power(static_cast<size_t>(columns));
    const auto compute = [&](int first_column, int end_column) {
        for (const PlanPart& t : plan_->parts) {
            if (!t.heard() || !t.material) continue;
            const LevelSummary& s = t.material->summary;
            const auto gain = power_gains(t, plan_->main_gain);
            RideWalk ride(t);
            for (int c = first_column; c < end_column; ++c) {
                const double start = from_frame + c * per_column;
                const double in_file = start - static_cast<double>(t.delay_samples);
                if (in_file + per_column <= 0.0) continue;
                const int64_t first = static_cast<int64_t>(std::max(0.0, in_file)) / level_block;
                const int64_t end =
                    std::min(s.blocks(), std::max(first + 1, static_cast<int64_t>(in_file + per_column) / level_block));
                if (first >= end) continue;
                double sum = 0.0;
                const float* at = s.mean_square.data() + first * s.channels;
                for (int64_t b = first; b < end; ++b)
                    for (size_t ch = 0; ch < static_cast<size_t>(s.channels); ++ch)
                        sum += static_cast<double>(*at++) * gain[ch];
                power[static_cast<size_t>(c)] += sum / static_cast<double>(end - first) *
                                                 ride.power_at((start + per_column / 2.0) / plan_->sample_rate);
            }
        }
    };
    constexpr int columns_each = 128;
    parallel_for((columns + columns_each - 1) / columns_each, worker_count(), [&](int64_t part) {
        const int first = static_cast<int>(part) * columns_each;
        compute(first, std::min(columns, first + columns_each));
    });
    return power;
}

std::vector<double> MixOverview::by_samples(int64_t from_frame, int64_t to_frame, int columns) {
    if (!reader_) {
        auto opened = PlanReader::open(plan_, true);
        if (!opened) return {};
        reader_ = std::move(*opened);
    }
    const int64_t frames = std::max<int64_t>(1, to_frame - from_frame);
    const auto inputs = reader_->read(from_frame, frames);
    if (!inputs) return {};
    std::vector<float> mix(static_cast<size_t>(2 * frames));
    Renderer(plan_).process(from_frame, frames, *inputs, mix.data());
    std::vector<double> power;
    for (int64_t c = 0; c < columns; ++c) {
        const int64_t first = c * frames / columns, end = std::max(first + 1, (c + 1) * frames / columns);
        double sum = 0.0;
        for (auto i = static_cast<size_t>(2 * first); i < static_cast<size_t>(2 * end); ++i)
            sum += static_cast<double>(mix[i]) * static_cast<double>(mix[i]);
        power.push_back(sum / static_cast<double>(2 * (end - first)));
    }
    return power;
}

std::vector<double> MixOverview::power(int64_t from_frame, int64_t to_frame, int columns) {
    if (columns <= 0) return {};
    const double per_column = static_cast<double>(to_frame - from_frame) / columns;
    constexpr double few = 4.0;  // frames a column, below which blocks say too little
    if (per_column < few)
        if (auto exact = by_samples(from_frame, to_frame, columns); !exact.empty()) return exact;
    if (per_column < static_cast<double>(unit)) return by_blocks(static_cast<double>(from_frame), per_column, columns);
    std::vector<double> power;
    double before = energy_before(static_cast<double>(from_frame));
    for (int c = 1; c <= columns; ++c) {
        const double now = energy_before(static_cast<double>(from_frame) + c * per_column);
        power.push_back((now - before) / per_column);
        before = now;
    }
    return power;
}

}  // namespace isotonus
