#include "core/mix/overview.h"

#include <algorithm>

namespace isotonus {

std::vector<double> mix_power_over_time(const RenderPlan& plan, int64_t from_frame, int64_t to_frame, int columns) {
    std::vector<double> power(static_cast<size_t>(std::max(0, columns)));
    constexpr int64_t block = LevelSummary::block_frames;
    const double per_column = static_cast<double>(to_frame - from_frame) / std::max(1, columns);
    for (const PlanTrack& t : plan.tracks) {
        if (!t.heard() || !t.material) continue;
        const LevelSummary& s = t.material->summary;
        const GainMatrix& g = t.gains;
        const double left = g.left_from_left * g.left_from_left + g.right_from_left * g.right_from_left;
        const double right = g.left_from_right * g.left_from_right + g.right_from_right * g.right_from_right;
        const double gain[2] = {(s.channels == 1 ? left + right : left) / 2.0, right / 2.0};
        for (int c = 0; c < columns; ++c) {
            const double start = static_cast<double>(from_frame) + c * per_column;
            const double in_file = start - static_cast<double>(t.delay_samples);
            if (in_file + per_column <= 0.0) continue;
            const int64_t first = static_cast<int64_t>(std::max(0.0, in_file)) / block;
            const int64_t end =
                std::min(s.blocks(), std::max(first + 1, static_cast<int64_t>(in_file + per_column) / block));
            if (first >= end) continue;
            double sum = 0.0;
            for (int64_t b = first; b < end; ++b)
                for (int ch = 0; ch < s.channels; ++ch)
                    sum += static_cast<double>(s.mean_square[static_cast<size_t>(b * s.channels + ch)]) * gain[ch];
            double ride = 1.0;
            if (t.level_ride)
                ride = gain_from_db(t.level_ride->value_at((start + per_column / 2.0) / plan.sample_rate));
            power[static_cast<size_t>(c)] +=
                sum / static_cast<double>(end - first) * ride * ride * plan.main_gain * plan.main_gain;
        }
    }
    return power;
}

}  // namespace isotonus
