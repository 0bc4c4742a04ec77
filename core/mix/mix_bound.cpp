#include "core/mix/mix_bound.h"

#include <algorithm>
#include <cmath>
#include <map>

#include "core/decibels.h"
#include "core/mix/sum_of_rows.h"
#include "core/shape/chain_bound.h"

namespace isotonus {

namespace {

Reach reach_of_summary(const LevelSummary& s) {
    const auto blocks = static_cast<size_t>(s.blocks()), channels = static_cast<size_t>(s.channels);
    const float *const low = s.low.data(), *const high = s.high.data();
    Reach reach;
    reach.left.resize(blocks);
    for (size_t b = 0; b < blocks; ++b) reach.left[b] = std::max(-low[b * channels], high[b * channels]);
    if (channels == 1) {
        reach.right = reach.left;
        return reach;
    }
    reach.right.resize(blocks);
    const size_t last = channels - 1;
    for (size_t b = 0; b < blocks; ++b) reach.right[b] = std::max(-low[b * channels + last], high[b * channels + last]);
    return reach;
}

/// What is known already of a material that several sums are made of.
using Known = std::map<const Material*, std::shared_ptr<const Reach>>;

const Reach& reach_of(const Material& material, Known& known);
Reach sum_of(const RenderPlan& plan, Known& known);

Reach reach_of_provisional(const Signal& signal, int64_t frames, Known& known) {
    const SignalRecipe& recipe = signal.recipe();
    const PreFaderSource& tap = recipe.source;
    const Reach& source = reach_of(*tap.material, known);
    std::vector<float> reach(static_cast<size_t>((frames + level_block - 1) / level_block));
    // A tap may lie between two blocks of its file: then both count.
    const auto shift = LevelSummary::shift_of(tap.delay_samples);
    const auto in_file = [&](int64_t b) {
        const auto n = static_cast<size_t>(b);
        return b < 0 || n >= source.left.size() ? 0.0f : std::max(source.left[n], source.right[n]);
    };
    for (size_t b = 0; b < reach.size(); ++b) {
        const auto at = static_cast<int64_t>(b) - shift.blocks;
        double gain = std::fabs(tap.gain);
        if (tap.trim_ride)
            gain *= level_ride_bound(*tap.trim_ride, recipe.sample_rate, static_cast<int64_t>(b) * level_block,
                                     level_block + 32);
        reach[b] =
            static_cast<float>(gain * static_cast<double>(std::max(in_file(at), shift.split ? in_file(at - 1) : 0.0f)));
    }
    bound_through(recipe.chain, recipe.rides, recipe.sample_rate, level_block, reach);
    return {reach, reach};
}

const Reach& reach_of(const Material& material, Known& known) {
    std::shared_ptr<const Reach>& reach = known[&material];
    if (reach) return *reach;
    std::shared_ptr<const Reach> found;
    const auto signal = signal_of(material);
    if (const PlanPtr sum = summed_plan(material))
        found = std::make_shared<const Reach>(sum_of(*sum, known));
    else if (signal && signal->is_provisional())
        found = std::make_shared<const Reach>(reach_of_provisional(*signal, material.frames(), known));
    else
        found = std::make_shared<const Reach>(reach_of_summary(material.summary));
    return *(known[&material] = std::move(found));
}

/// What is reached in two blocks at once: a part that is late by no whole number of blocks lies between two of its
/// file.
std::vector<float> of_two_blocks(const std::vector<float>& side) {
    std::vector<float> both(side.size() + 1, 0.0f);
    std::copy(side.begin(), side.end(), both.begin());
    for (size_t b = 0; b < side.size(); ++b) both[b + 1] = std::max(both[b + 1], side[b]);
    return both;
}

Reach sum_of(const RenderPlan& plan, Known& known) {
    const int64_t blocks = (plan.frames + level_block - 1) / level_block;
    std::vector<double> left(static_cast<size_t>(blocks)), right(static_cast<size_t>(blocks));
    for (const PlanPart& p : plan.parts) {
        if (!p.heard() || p.through_chain || p.output == no_output) continue;
        const auto shift = LevelSummary::shift_of(p.delay_samples);
        const Reach& known_reach = reach_of(*p.material, known);
        const Reach between =
            shift.split ? Reach{of_two_blocks(known_reach.left), of_two_blocks(known_reach.right)} : Reach{};
        const Reach& reach = shift.split ? between : known_reach;
        const int64_t first = std::max<int64_t>(0, shift.blocks),
                      end = std::min(blocks, std::ssize(reach.left) + shift.blocks);
        if (first >= end) continue;
        const auto in_file = [shift](const std::vector<float>& side, int64_t b) {
            return static_cast<double>(side[static_cast<size_t>(b - shift.blocks)]);
        };
        if (!p.any_ride_to_main()) {
            const GainMatrix g = magnitudes(p.to_main);
            const auto add = [&](double gain, const std::vector<float>& from, std::vector<double>& to) {
                if (gain == 0.0) return;  // nothing of infinity either
                for (int64_t b = first; b < end; ++b) to[static_cast<size_t>(b)] += gain * in_file(from, b);
            };
            add(g.left_from_left, reach.left, left);
            add(g.left_from_right, reach.right, left);
            add(g.right_from_left, reach.left, right);
            add(g.right_from_right, reach.right, right);
            continue;
        }
        for (int64_t b = first; b < end; ++b) {
            const double from_left = in_file(reach.left, b), from_right = in_file(reach.right, b);
            if (from_left == 0.0 && from_right == 0.0) continue;
            const GainMatrix g = magnitudes(p.to_main_bound(plan.sample_rate, b * level_block, level_block + 32));
            const auto times = [](double gain, double x) { return gain == 0.0 ? 0.0 : gain * x; };  // of infinity too
            const auto at = static_cast<size_t>(b);
            left[at] += times(g.left_from_left, from_left) + times(g.left_from_right, from_right);
            right[at] += times(g.right_from_left, from_left) + times(g.right_from_right, from_right);
        }
    }
    return {{left.begin(), left.end()}, {right.begin(), right.end()}};
}

}  // namespace

Reach reach_of_sum(const RenderPlan& plan) {
    Known known;
    return sum_of(plan, known);
}

std::optional<double> max_of_mix(const RenderPlan& plan) {
    const Reach reach = reach_of_sum(plan);
    double most = 0.0;
    for (size_t b = 0; b < reach.left.size(); ++b)
        most = std::max({most, static_cast<double>(reach.left[b]), static_cast<double>(reach.right[b])});
    if (std::isinf(most)) return std::nullopt;
    return most * std::fabs(plan.main_gain) * 1.00001;
}

}  // namespace isotonus
