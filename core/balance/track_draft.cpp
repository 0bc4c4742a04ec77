#include "core/balance/track_draft.h"

#include <cmath>

namespace isotonus {

TrackDraft::TrackDraft(const RenderPlan& plan, TrackId id, DraftBy by, Margins margins)
    : by_(by), margins_(std::move(margins)), sample_rate_(plan.sample_rate) {
    for (const PlanTrack& t : plan.tracks) {
        if (t.id != id) continue;
        shift_s_ = static_cast<double>(plan.parts[t.first_part].delay_samples) / plan.sample_rate;
        // Two bands have the length of the track and a little more.
        for (const PlanPart& p : plan.parts_of(t))
            own_.resize(std::max(own_.size(), p.material->hops.unweighted.size()));
        const std::vector<double>& power = t.material->hops.unweighted;
        for (size_t h = 0; by == DraftBy::level && h < std::min(power.size(), own_.size()); ++h)
            own_[h] = power[h] * t.trim_gain * t.trim_gain;
    }
    if (by == DraftBy::level) return;
    rest_.resize(own_.size());
    for (const PlanPart& p : plan.parts) {
        if (!p.heard() || plan.tracks[p.track].is_bus) continue;
        const double still = p.way().mean_power() * plan.main_gain * plan.main_gain;
        const auto& power = p.material->hops.weighted;
        const double offset = (shift_s_ - static_cast<double>(p.delay_samples) / plan.sample_rate) / hop_s;
        const bool ridden = p.any_ride_to_main();
        std::vector<double>& sum = plan.id_of(p) == id ? own_ : rest_;
        for (size_t h = 0; h < sum.size(); ++h) {
            const auto there = std::llround(static_cast<double>(h) + offset);
            if (there < 0 || there >= std::ssize(power)) continue;
            const double time_s = shift_s_ + (static_cast<double>(h) + 0.5) * hop_s;
            sum[h] += power[static_cast<size_t>(there)] / p.channels * still * (ridden ? p.ride_power_at(time_s) : 1.0);
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
