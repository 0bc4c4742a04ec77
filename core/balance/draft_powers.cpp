#include "core/balance/draft_powers.h"

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

std::pair<int64_t, int64_t> frames_of(const Phrase& p, double shift_s, int rate) {
    return {std::llround((p.from_s + shift_s) * rate), std::llround((p.to_s + shift_s) * rate)};
}

}  // namespace

DraftPowers draft_powers(const RenderPlan& plan, TrackId id) {
    DraftPowers out;
    const auto add = [](std::vector<double>& sum, size_t hop, double power) {
        if (hop >= sum.size()) sum.resize(hop + 1);
        sum[hop] += power;
    };
    for (const PlanTrack& t : plan.tracks) {  // one, or two of the same length when its low end is kept in the centre
        if (t.id != id) continue;
        out.shift_s = static_cast<double>(t.delay_samples) / plan.sample_rate;
        const auto& unweighted = t.material->hops.unweighted;
        for (size_t h = 0; h < unweighted.size(); ++h) add(out.own, h, unweighted[h] * t.trim_gain * t.trim_gain);
    }
    out.heard.assign(out.own.size(), 0.0);
    out.rest.assign(out.own.size(), 0.0);
    for (const PlanTrack& t : plan.tracks) {
        if (!t.heard() && t.id != id) continue;
        const double still = still_power(t, plan.main_gain);
        const auto& power = t.material->hops.weighted;
        const double offset =
            (out.shift_s - static_cast<double>(t.delay_samples) / plan.sample_rate) / DraftPowers::hop_s;
        const bool ridden = t.way_ridden();
        std::vector<double>& sum = t.id == id ? out.heard : out.rest;
        for (size_t h = 0; h < sum.size(); ++h) {
            const auto there = std::llround(static_cast<double>(h) + offset);
            if (there < 0 || there >= std::ssize(power)) continue;
            const double time_s = out.shift_s + (static_cast<double>(h) + 0.5) * DraftPowers::hop_s;
            sum[h] += power[static_cast<size_t>(there)] / t.channels * still * (ridden ? t.way_power_at(time_s) : 1.0);
        }
    }
    return out;
}

void hold_against_heard(std::vector<Phrase>& phrases, const Margins& margins, double share, double shift_s, int rate) {
    for (Phrase& p : phrases) {
        const auto [first, end] = frames_of(p, shift_s, rate);
        const Level gain = margins.gain_for(share, first, end);
        p.against_dbfs = gain ? Level(p.level_dbfs + *gain) : std::nullopt;
    }
}

Level middle_share(const std::vector<Phrase>& phrases, const Margins& margins, double shift_s, int rate) {
    std::vector<double> shares;
    for (const Phrase& p : phrases) {
        const auto [first, end] = frames_of(p, shift_s, rate);
        if (const Level share = margins.share(first, end)) shares.push_back(*share);
    }
    return median_of(std::move(shares));
}

}  // namespace isotonus
