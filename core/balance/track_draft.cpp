#include "core/balance/track_draft.h"

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

TrackDraft::TrackDraft(const RenderPlan& plan, TrackId id, DraftBy by, Margins margins)
    : by_(by), margins_(std::move(margins)), sample_rate_(plan.sample_rate) {
    // One, or two of the same length when its low end is kept in the centre.
    for (const PlanTrack& t : plan.tracks) {
        if (t.id != id) continue;
        shift_s_ = static_cast<double>(t.delay_samples) / plan.sample_rate;
        own_.resize(std::max(own_.size(), t.material->hops.unweighted.size()));
        if (by == DraftBy::level)
            for (size_t h = 0; h < t.material->hops.unweighted.size(); ++h)
                own_[h] += t.material->hops.unweighted[h] * t.trim_gain * t.trim_gain;
    }
    if (by == DraftBy::level) return;
    rest_.resize(own_.size());
    for (const PlanTrack& t : plan.tracks) {
        if (!t.heard()) continue;
        const double still = still_power(t, plan.main_gain);
        const auto& power = t.material->hops.weighted;
        const double offset = (shift_s_ - static_cast<double>(t.delay_samples) / plan.sample_rate) / hop_s;
        const bool ridden = t.way_ridden();
        std::vector<double>& sum = t.id == id ? own_ : rest_;
        for (size_t h = 0; h < sum.size(); ++h) {
            const auto there = std::llround(static_cast<double>(h) + offset);
            if (there < 0 || there >= std::ssize(power)) continue;
            const double time_s = shift_s_ + (static_cast<double>(h) + 0.5) * hop_s;
            sum[h] += power[static_cast<size_t>(there)] / t.channels * still * (ridden ? t.way_power_at(time_s) : 1.0);
        }
    }
}

std::pair<int64_t, int64_t> TrackDraft::frames_of(const Phrase& p) const {
    return {std::llround(p.from_s * sample_rate_), std::llround(p.to_s * sample_rate_)};
}

std::vector<Phrase> TrackDraft::phrases(const DraftWish& wish, double wanted) const {
    std::vector<Phrase> found = phrases_of(own_, hop_s, wish, rest_);
    for (Phrase& p : found) {
        p.from_s += shift_s_, p.to_s += shift_s_;
        if (by_ != DraftBy::heard) continue;
        const auto [first, end] = frames_of(p);
        const Level gain = margins_.gain_for(wanted, first, end);
        p.against_dbfs = gain ? Level(p.level_dbfs + *gain) : std::nullopt;
    }
    return found;
}

Level TrackDraft::middle(const DraftWish& wish) const {
    const std::vector<Phrase> now = phrases(wish, 0.0);
    std::vector<double> values;
    for (const Phrase& p : now) {
        const auto [first, end] = frames_of(p);
        if (by_ == DraftBy::level)
            values.push_back(p.level_dbfs);
        else if (by_ == DraftBy::rest && p.against_dbfs)
            values.push_back(p.level_dbfs - *p.against_dbfs);
        else if (const Level share = by_ == DraftBy::heard ? margins_.share(first, end) : std::nullopt)
            values.push_back(*share);
    }
    return median_of(std::move(values));
}

Curve TrackDraft::draft(double wanted, DraftWish wish, const Curve& before) const {
    if (by_ == DraftBy::level)
        wish.target_dbfs = wanted;
    else
        wish.above_db = by_ == DraftBy::rest ? wanted : 0.0;
    return ride_draft(phrases(wish, wanted), wish, before);
}

}  // namespace isotonus
