#include "core/mix/mix_bound.h"

#include <algorithm>
#include <cmath>
#include <map>

#include "core/decibels.h"
#include "core/mix/sum_of_rows.h"
#include "core/shape/chain_bound.h"

namespace isotonus {

namespace {

constexpr int64_t block = LevelSummary::block_frames;

Reach reach_of_summary(const LevelSummary& s) {
    Reach reach;
    const auto of = [&s](int64_t b, int c) {
        const auto at = static_cast<size_t>(b * s.channels + c);
        return std::max(-s.low[at], s.high[at]);
    };
    for (int64_t b = 0; b < s.blocks(); ++b) {
        reach.left.push_back(of(b, 0));
        reach.right.push_back(of(b, s.channels - 1));
    }
    return reach;
}

/// What is known already of a material that several sums are made of.
using Known = std::map<const Material*, std::shared_ptr<const Reach>>;

const Reach& reach_of(const Material& material, Known& known);
Reach sum_of(const RenderPlan& plan, Known& known);

Reach reach_of_provisional(const Signal& signal, int64_t frames, Known& known) {
    const SignalRecipe& recipe = signal.recipe();
    const RowTap& tap = recipe.source;
    const Reach& source = reach_of(*tap.material, known);
    std::vector<float> reach(static_cast<size_t>((frames + block - 1) / block));
    // A tap may lie between two blocks of its file: then both count.
    const int64_t whole =
        tap.delay_samples >= 0 ? tap.delay_samples / block : -((block - 1 - tap.delay_samples) / block);
    const bool split = whole * block != tap.delay_samples;
    const auto in_file = [&](int64_t b) {
        const auto n = static_cast<size_t>(b);
        return b < 0 || n >= source.left.size() ? 0.0f : std::max(source.left[n], source.right[n]);
    };
    for (size_t b = 0; b < reach.size(); ++b) {
        const auto at = static_cast<int64_t>(b) - whole;
        double gain = std::fabs(tap.gain);
        if (tap.trim_ride)
            gain *= level_ride_bound(*tap.trim_ride, recipe.sample_rate, static_cast<int64_t>(b) * block, block + 32);
        reach[b] =
            static_cast<float>(gain * static_cast<double>(std::max(in_file(at), split ? in_file(at - 1) : 0.0f)));
    }
    bound_through(recipe.chain, recipe.rides, recipe.sample_rate, block, reach);
    return {reach, reach};
}

const Reach& reach_of(const Material& material, Known& known) {
    std::shared_ptr<const Reach>& reach = known[&material];
    if (reach) return *reach;
    std::shared_ptr<const Reach> found;
    if (const PlanPtr sum = summed_plan(material))
        found = std::make_shared<const Reach>(sum_of(*sum, known));
    else if (material.signal && material.signal->is_provisional())
        found = std::make_shared<const Reach>(reach_of_provisional(*material.signal, material.ready.frames, known));
    else
        found = std::make_shared<const Reach>(reach_of_summary(material.summary));
    return *(known[&material] = std::move(found));
}

Reach sum_of(const RenderPlan& plan, Known& known) {
    const auto blocks = static_cast<size_t>((plan.frames + block - 1) / block);
    std::vector<double> left(blocks), right(blocks);
    for (const PlanPart& p : plan.parts) {
        if (!p.heard() || p.through_chain || p.output == nowhere) continue;
        const Reach& reach = reach_of(*p.material, known);
        const int64_t whole = p.delay_samples >= 0 ? p.delay_samples / block : -((block - 1 - p.delay_samples) / block);
        const bool split = whole * block != p.delay_samples, ridden = p.any_ride_to_main();
        const GainMatrix still = magnitudes(p.to_main);
        const auto in_file = [](const std::vector<float>& side, int64_t b) {
            return b < 0 || b >= std::ssize(side) ? 0.0 : static_cast<double>(side[static_cast<size_t>(b)]);
        };
        for (size_t b = 0; b < blocks; ++b) {
            const auto at = static_cast<int64_t>(b) - whole;
            double l = in_file(reach.left, at), r = in_file(reach.right, at);
            if (split) {
                l = std::max(l, in_file(reach.left, at - 1));
                r = std::max(r, in_file(reach.right, at - 1));
            }
            if (l == 0.0 && r == 0.0) continue;
            const GainMatrix g =
                ridden ? magnitudes(p.to_main_bound(plan.sample_rate, static_cast<int64_t>(b) * block, block + 32))
                       : still;
            const auto times = [](double gain, double x) { return gain == 0.0 ? 0.0 : gain * x; };  // of infinity too
            left[b] += times(g.left_from_left, l) + times(g.left_from_right, r);
            right[b] += times(g.right_from_left, l) + times(g.right_from_right, r);
        }
    }
    return {{left.begin(), left.end()}, {right.begin(), right.end()}};
}

}  // namespace

Reach reach_of_sum(const RenderPlan& plan) {
    Known known;
    return sum_of(plan, known);
}

std::optional<double> most_of_mix(const RenderPlan& plan) {
    const Reach reach = reach_of_sum(plan);
    double most = 0.0;
    for (size_t b = 0; b < reach.left.size(); ++b)
        most = std::max({most, static_cast<double>(reach.left[b]), static_cast<double>(reach.right[b])});
    if (std::isinf(most)) return std::nullopt;
    return most * std::fabs(plan.main_gain) * 1.00001;
}

}  // namespace isotonus
