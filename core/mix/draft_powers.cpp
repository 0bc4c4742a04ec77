#include "core/mix/draft_powers.h"

#include <algorithm>
#include <cmath>

namespace isotonus {

namespace {

/// Mean power of both sides at the main output for a mean square of 1 in every channel, without rides.
double still_power(const PlanTrack& t, double main_gain) {
    const GainMatrix& g = t.to_main;
    double sum = g.left_from_left * g.left_from_left + g.right_from_right * g.right_from_right;
    if (t.channels == 2) sum += g.left_from_right * g.left_from_right + g.right_from_left * g.right_from_left;
    return sum / 2.0 * main_gain * main_gain;
}

}  // namespace

DraftPowers draft_powers(const RenderPlan& plan, TrackId id) {
    DraftPowers out;
    const auto at =
        std::find_if(plan.tracks.begin(), plan.tracks.end(), [id](const PlanTrack& t) { return t.id == id; });
    if (at == plan.tracks.end()) return out;
    const PlanTrack& own = *at;
    const HopPower& hops = own.material->hops;
    out.shift_s = static_cast<double>(own.delay_samples) / plan.sample_rate;
    const double trim = own.trim_gain * own.trim_gain, main = still_power(own, plan.main_gain);
    for (const double p : hops.unweighted) out.own.push_back(p * trim);
    for (const double p : hops.weighted) out.heard.push_back(p / own.channels * main);
    out.rest.assign(out.heard.size(), 0.0);
    for (const PlanTrack& t : plan.tracks) {
        if (t.id == id || !t.heard()) continue;
        const double still = still_power(t, plan.main_gain);
        const auto& power = t.material->hops.weighted;
        const double offset =
            (out.shift_s - static_cast<double>(t.delay_samples) / plan.sample_rate) / DraftPowers::hop_s;
        const bool ridden = t.way_ridden();
        for (size_t h = 0; h < out.rest.size(); ++h) {
            const auto there = static_cast<int64_t>(std::llround(static_cast<double>(h) + offset));
            if (there < 0 || there >= static_cast<int64_t>(power.size())) continue;
            const double time_s = out.shift_s + (static_cast<double>(h) + 0.5) * DraftPowers::hop_s;
            out.rest[h] +=
                power[static_cast<size_t>(there)] / t.channels * still * (ridden ? t.way_power_at(time_s) : 1.0);
        }
    }
    return out;
}

}  // namespace isotonus
