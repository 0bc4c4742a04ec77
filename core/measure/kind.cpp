#include <algorithm>
#include <vector>

#include "core/measure/family.h"
#include "core/measure/measurement.h"

namespace isotonus {

Kind estimate_kind(const LevelSummary& summary, int sample_rate, double crest_to_average_db, std::string_view name) {
    // Peak power in steps of about 10 ms: peaks stand out from a hum or a rumble that would fill the gaps of a mean.
    const int64_t group =
        std::max<int64_t>(1, static_cast<int64_t>(0.01 * sample_rate / LevelSummary::block_frames + 0.5));
    const size_t step = static_cast<size_t>(group * summary.channels);
    std::vector<double> power;
    for (size_t i = 0; i < summary.low.size(); i += step) {
        float peak = 0.0f;
        const size_t end = std::min(i + step, summary.low.size());
        for (size_t k = i; k < end; ++k) peak = std::max({peak, -summary.low[k], summary.high[k]});
        power.push_back(static_cast<double>(peak) * static_cast<double>(peak));
    }
    const double step_s = static_cast<double>(group * LevelSummary::block_frames) / sample_rate;
    const double most = power.empty() ? 0.0 : *std::max_element(power.begin(), power.end());
    if (most <= 0.0) return Kind::sustained;

    const KindHint hint = kind_hint(name);
    if (hint == KindHint::certainly_percussive) return Kind::percussive;
    double leaning = 0.0;
    if (hint == KindHint::percussive)
        leaning = 2.5;
    else if (hint == KindHint::sustained)
        leaning = -2.5;

    const int64_t reach = std::max<int64_t>(1, static_cast<int64_t>(0.25 / step_s));
    const int64_t count = static_cast<int64_t>(power.size());
    int64_t sounding = 0, near_top = 0, attacks = 0, last_attack = -reach;
    for (int64_t i = 0; i < count; ++i) {
        const double here = power[static_cast<size_t>(i)];
        if (here < most * 1e-4) continue;
        ++sounding;
        const auto from = power.begin() + std::max<int64_t>(0, i - reach);
        const auto to = power.begin() + std::min(count, i + reach + 1);
        if (here > *std::max_element(from, to) * 0.063) ++near_top;  // -12 dB
        const double before = i >= 2 ? power[static_cast<size_t>(i - 2)] : 0.0;
        if (here > 8.0 * before && here > most * 0.003 && i - last_attack > reach / 4) {
            ++attacks;
            last_attack = i;
        }
    }
    if (sounding == 0) return Kind::sustained;
    const double held_share = static_cast<double>(near_top) / static_cast<double>(sounding);
    const double attacks_a_second = static_cast<double>(attacks) / (static_cast<double>(sounding) * step_s);
    const double score =
        (crest_to_average_db - 15.0) / 6.0 + (0.5 - held_share) / 0.2 + std::min(attacks_a_second, 4.0) / 8.0 + leaning;
    return score > 0.0 ? Kind::percussive : Kind::sustained;
}

}  // namespace isotonus
