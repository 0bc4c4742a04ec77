#include "core/ride/draft.h"

#include <algorithm>
#include <cmath>

namespace isotonus {

std::vector<Phrase> phrases_of(std::span<const double> power, double hop_s, const DraftWish& wish,
                               std::span<const double> rest) {
    const double loudest = power.empty() ? 0.0 : *std::max_element(power.begin(), power.end());
    std::vector<Phrase> phrases;
    if (loudest <= 0.0) return phrases;
    const double floor = loudest * std::pow(10.0, (wish.silence_db - 10.0) / 10.0);
    const auto gap_hops = static_cast<size_t>(std::max(1.0, 0.35 / hop_s));
    std::vector<std::pair<size_t, size_t>> stretches;  // first hop, and the one after the last
    for (size_t i = 0; i < power.size(); ++i) {
        if (power[i] < floor) continue;
        if (!stretches.empty() && i - stretches.back().second <= gap_hops)
            stretches.back().second = i + 1;
        else
            stretches.emplace_back(i, i + 1);
    }
    std::erase_if(stretches,
                  [&](const auto& s) { return static_cast<double>(s.second - s.first) * hop_s < wish.shortest_s; });
    const auto longest = static_cast<size_t>(std::max(4.0, 1.5 * wish.follow_s / hop_s));
    for (size_t n = 0; n < stretches.size(); ++n) {  // long ones are cut where they are quietest, near their middle
        const auto [first, end] = stretches[n];
        if (end - first <= longest) continue;
        const size_t third = (end - first) / 3;
        const auto cut =
            static_cast<size_t>(std::min_element(power.begin() + static_cast<std::ptrdiff_t>(first + third),
                                                 power.begin() + static_cast<std::ptrdiff_t>(end - third)) -
                                power.begin());
        stretches[n].second = cut;
        stretches.insert(stretches.begin() + static_cast<std::ptrdiff_t>(n) + 1, {cut + 1, end});
        --n;  // the first part may be long still
    }
    for (const auto& [first, end] : stretches) {
        double sum = 0.0, rest_sum = 0.0;
        int sounding = 0;
        for (size_t i = first; i < end; ++i) {
            if (power[i] < floor) continue;
            sum += power[i];
            if (i < rest.size()) rest_sum += rest[i];
            ++sounding;
        }
        if (sounding == 0) continue;
        Phrase p{static_cast<double>(first) * hop_s,
                 static_cast<double>(end) * hop_s,
                 db_from_power(sum / sounding) + aes17_db,
                 {}};
        if (rest_sum > 0.0) p.against_dbfs = db_from_power(rest_sum / sounding) + aes17_db;
        phrases.push_back(p);
    }
    return phrases;
}

Level median_of(std::vector<double> values) {
    if (values.empty()) return std::nullopt;
    const auto middle = values.begin() + std::ssize(values) / 2;
    std::nth_element(values.begin(), middle, values.end());
    return *middle;
}

Curve ride_draft(std::span<const double> power, double hop_s, const DraftWish& wish, const Curve& before,
                 std::span<const double> rest) {
    return ride_draft(phrases_of(power, hop_s, wish, rest), wish, before);
}

Curve ride_draft(const std::vector<Phrase>& phrases, const DraftWish& wish, const Curve& before) {
    std::vector<double> levels;
    for (const Phrase& p : phrases) levels.push_back(p.level_dbfs);
    const double target = wish.target_dbfs.value_or(median_of(std::move(levels)).value_or(0.0));
    Curve draft;
    constexpr double silence_s = 2.0, glide_s = 0.25;
    double end_s = -1e9;
    for (const Phrase& p : phrases) {
        // Where there is nothing to hold it against, nothing covers it: it stays as it is.
        double wanted = target;
        if (wish.above_db) wanted = p.against_dbfs ? *p.against_dbfs + *wish.above_db : p.level_dbfs;
        const double off = wanted - p.level_dbfs;
        double gain = std::fabs(off) <= wish.range_db ? 0.0 : off * wish.depth;
        gain = std::round(std::clamp(gain, -wish.max_down_db, wish.max_up_db) * 10.0) / 10.0;
        gain = std::clamp(gain, ride_min_db, ride_max_db);
        // Silence is untouched: the ride is back at 0 dB soon after a phrase and until shortly before the next.
        if (p.from_s - end_s >= silence_s) {
            if (end_s > -1e8) draft.points.push_back({end_s + glide_s, 0.0});
            if (p.from_s > glide_s) draft.points.push_back({p.from_s - glide_s, 0.0});
        }
        draft.points.push_back({p.from_s, gain});
        draft.points.push_back({p.to_s, gain});
        end_s = p.to_s;
    }
    if (!draft.empty()) draft.points.push_back({end_s + glide_s, 0.0});
    for (RidePoint& p : draft.points) p.time_s = std::max(0.0, p.time_s);
    // A point between two of its own value says nothing.
    std::vector<RidePoint> needed;
    for (size_t i = 0; i < draft.points.size(); ++i) {
        const RidePoint& p = draft.points[i];
        const bool flat = i > 0 && i + 1 < draft.points.size() && draft.points[i - 1].value == p.value &&
                          draft.points[i + 1].value == p.value;
        if (!flat) needed.push_back(p);
    }
    draft.points = std::move(needed);

    // What was locked stays, and the stretch between two locked points that follow each other.
    std::vector<RidePoint> locked;
    for (const RidePoint& p : before.points)
        if (p.locked) locked.push_back(p);
    if (locked.empty()) return draft;
    std::erase_if(draft.points, [&](const RidePoint& p) {
        for (size_t i = 0; i < locked.size(); ++i) {
            if (std::fabs(p.time_s - locked[i].time_s) < glide_s) return true;
            if (i + 1 < locked.size() && p.time_s >= locked[i].time_s && p.time_s <= locked[i + 1].time_s) return true;
        }
        return false;
    });
    for (const RidePoint& p : before.points) {
        const bool between = p.time_s >= locked.front().time_s && p.time_s <= locked.back().time_s;
        if (p.locked || between) draft.insert(p);
    }
    return draft;
}

}  // namespace isotonus
