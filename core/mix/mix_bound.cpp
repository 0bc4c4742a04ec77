#include "core/mix/mix_bound.h"

#include <algorithm>
#include <cmath>

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

std::optional<Reach> reach_of(const Material& material);

std::optional<Reach> reach_of_provisional(const Signal& signal, int64_t frames) {
    const SignalRecipe& recipe = signal.recipe();
    const RowTap& tap = recipe.source;
    const auto source = reach_of(*tap.material);
    if (!source) return std::nullopt;
    std::vector<float> reach(static_cast<size_t>((frames + block - 1) / block));
    // A tap may lie between two blocks of its file: then both count.
    const int64_t whole =
        tap.delay_samples >= 0 ? tap.delay_samples / block : -((block - 1 - tap.delay_samples) / block);
    const bool split = whole * block != tap.delay_samples;
    const auto in_file = [&](int64_t b) {
        const auto n = static_cast<size_t>(b);
        return b < 0 || n >= source->left.size() ? 0.0f : std::max(source->left[n], source->right[n]);
    };
    for (size_t b = 0; b < reach.size(); ++b) {
        const auto at = static_cast<int64_t>(b) - whole;
        double gain = std::fabs(tap.gain);
        if (tap.trim_ride)
            gain *= level_ride_bound(*tap.trim_ride, recipe.sample_rate, static_cast<int64_t>(b) * block, block + 32);
        reach[b] =
            static_cast<float>(gain * static_cast<double>(std::max(in_file(at), split ? in_file(at - 1) : 0.0f)));
    }
    if (!bound_through(recipe.chain, recipe.rides, recipe.sample_rate, block, reach)) return std::nullopt;
    return Reach{reach, reach};
}

std::optional<Reach> reach_of(const Material& material) {
    if (const PlanPtr sum = summed_plan(material)) return reach_of_sum(*sum);
    if (material.signal && material.signal->is_provisional())
        return reach_of_provisional(*material.signal, material.ready.frames);
    return reach_of_summary(material.summary);
}

}  // namespace

std::optional<Reach> reach_of_sum(const RenderPlan& plan) {
    const auto blocks = static_cast<size_t>((plan.frames + block - 1) / block);
    std::vector<double> left(blocks), right(blocks);
    for (const PlanPart& p : plan.parts) {
        if (!p.heard() || p.through_chain || p.output == nowhere) continue;
        const auto reach = reach_of(*p.material);
        if (!reach) return std::nullopt;
        const int64_t whole = p.delay_samples >= 0 ? p.delay_samples / block : -((block - 1 - p.delay_samples) / block);
        const bool split = whole * block != p.delay_samples, ridden = p.any_ride_to_main();
        const GainMatrix still = magnitudes(p.to_main);
        const auto in_file = [](const std::vector<float>& side, int64_t b) {
            return b < 0 || b >= std::ssize(side) ? 0.0 : static_cast<double>(side[static_cast<size_t>(b)]);
        };
        for (size_t b = 0; b < blocks; ++b) {
            const auto at = static_cast<int64_t>(b) - whole;
            double l = in_file(reach->left, at), r = in_file(reach->right, at);
            if (split) {
                l = std::max(l, in_file(reach->left, at - 1));
                r = std::max(r, in_file(reach->right, at - 1));
            }
            if (l == 0.0 && r == 0.0) continue;
            const GainMatrix g =
                ridden ? magnitudes(p.to_main_bound(plan.sample_rate, static_cast<int64_t>(b) * block, block + 32))
                       : still;
            left[b] += g.left(l, r);
            right[b] += g.right(l, r);
        }
    }
    return Reach{{left.begin(), left.end()}, {right.begin(), right.end()}};
}

std::optional<double> most_of_mix(const RenderPlan& plan) {
    const auto reach = reach_of_sum(plan);
    if (!reach) return std::nullopt;
    double most = 0.0;
    for (size_t b = 0; b < reach->left.size(); ++b)
        most = std::max({most, static_cast<double>(reach->left[b]), static_cast<double>(reach->right[b])});
    return most * std::fabs(plan.main_gain) * 1.00001;
}

}  // namespace isotonus
