#include "core/shape/chain_bound.h"

#include <algorithm>
#include <cmath>
#include <deque>
#include <limits>

#include "core/decibels.h"
#include "core/shape/chain.h"

namespace isotonus {

namespace {

constexpr double slack = 1.0001;  ///< for roundings

/// By how much a linear processor can raise the highest sample, and for how many frames it remembers one.
struct Response {
    double gain = 0.0;
    int64_t frames = 0;
};

Response response_of(const ProcessorType& type, const std::vector<double>& values, double rate) {
    constexpr double longest_s = 4.0, rest = 1e-6;
    Response all;
    double sums[2] = {};  // of what comes out of each side, for an impulse on either
    for (int side = 0; side < 2; ++side) {
        const auto running = type.start({}, 2, rate);
        running->set(values);
        double total = 0.0;
        const auto cells = static_cast<int64_t>(longest_s * rate) / cell_frames;
        for (int64_t cell = 0; cell < cells; ++cell) {
            float x[2 * cell_frames] = {};
            if (cell == 0) x[side] = 1.0f;
            running->process(x, cell_frames, x, 2);
            double here = 0.0;
            for (int i = 0; i < 2 * cell_frames; ++i) {
                sums[i & 1] += static_cast<double>(std::fabs(x[i]));
                here += static_cast<double>(std::fabs(x[i]));
            }
            total += here;
            all.frames = std::max(all.frames, (cell + 1) * cell_frames);
            if (here < rest * total * static_cast<double>(cell_frames) / rate) break;
        }
    }
    all.gain = std::max(sums[0], sums[1]);
    return all;
}

double highest_of(const Processor& p, const ParameterInfo& info, const Rides& rides) {
    const CurvePtr ride = rides.heard(Parameter(info, p.id));
    if (!ride || ride->empty()) return setting_of(p, info);
    double most = info.low;
    for (const RidePoint& point : ride->points) most = std::max(most, point.value);
    return most;
}

/// Of each block and those before it, as many as are remembered, the highest.
void spread(std::vector<float>& reach, int64_t blocks) {
    std::deque<size_t> falling;
    std::vector<float> most(reach.size());
    for (size_t b = 0; b < reach.size(); ++b) {
        while (!falling.empty() && reach[falling.back()] <= reach[b]) falling.pop_back();
        falling.push_back(b);
        if (static_cast<int64_t>(b - falling.front()) > blocks) falling.pop_front();
        most[b] = reach[falling.front()];
    }
    reach = std::move(most);
}

}  // namespace

void bound_through(const Chain& chain, const Rides& rides, double rate, int64_t block_frames,
                   std::vector<float>& reach) {
    bool known = std::none_of(reach.begin(), reach.end(), [](float x) { return std::isinf(x); });
    for (const Processor& p : chain) {
        const ProcessorType* type = processor_type(p.type);
        if (!type || !does_anything({p}, rides)) continue;
        const auto common = common_parameters();
        const auto ridden = [&](const ParameterInfo& info) { return rides.heard(Parameter(info, p.id)) != nullptr; };
        const double out_gain = p.match ? gain_from_db(p.match_db) : 1.0;
        const bool always_in = p.in && !ridden(common[0]);
        if (!p.in && !ridden(common[0])) {
            for (float& x : reach) x *= static_cast<float>(out_gain);
            continue;
        }
        const double into = gain_from_db(highest_of(p, common[2], rides)),
                     after = gain_from_db(highest_of(p, common[3], rides));
        std::vector<double> values;
        bool moves = false;
        for (const ParameterInfo& info : type->parameters) {
            values.push_back(highest_of(p, info, rides));
            moves |= ridden(info);
        }
        double gain = 0.0;
        int64_t remembered = 0;
        if (type->max_gain) {
            gain = type->max_gain(values);
            known = known && std::isfinite(gain);
        } else if (type->linear && !moves) {
            const Response found = response_of(*type, values, rate);
            gain = found.gain;
            remembered = found.frames / block_frames + 1;
        } else {
            known = false;
        }
        const double ceiling = type->ceiling ? type->ceiling(values) : 0.0;
        const double mix = setting_of(p, common[1]) / 100.0;
        // What passes through, what passes beside; where it is not known how much of each, the larger of both.
        const bool still = always_in && !ridden(common[1]);
        const double beside = still ? 1.0 - mix : std::max(1.0, out_gain), through = still ? mix : 1.0;
        if (!known && ceiling > 0.0 && still && beside == 0.0) {
            std::fill(reach.begin(), reach.end(), static_cast<float>(ceiling * after * slack));
            known = true;
            continue;
        }
        if (!known) continue;
        std::vector<float> wet = reach;
        if (remembered > 0) spread(wet, remembered);
        for (size_t b = 0; b < reach.size(); ++b) {
            double most = static_cast<double>(wet[b]) * into * gain;
            if (ceiling > 0.0) most = std::min(most, ceiling);
            const double dry = static_cast<double>(reach[b]) * beside;
            reach[b] = static_cast<float>(slack * (still ? through * most * after + dry : std::max(most * after, dry)));
        }
    }
    if (!known) std::fill(reach.begin(), reach.end(), std::numeric_limits<float>::infinity());
}

}  // namespace isotonus
