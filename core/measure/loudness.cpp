#include "core/measure/loudness.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace isotonus {

std::array<Biquad, 2> k_weighting(double sample_rate) {
    Biquad shelf, high_pass;
    {
        const double k = std::tan(std::numbers::pi * 1681.974450955533 / sample_rate);
        const double q = 0.7071752369554196;
        const double vh = std::pow(10.0, 3.999843853973347 / 20.0);
        const double vb = std::pow(vh, 0.4996667741545416);
        const double a0 = 1.0 + k / q + k * k;
        shelf = {(vh + vb * k / q + k * k) / a0, 2.0 * (k * k - vh) / a0, (vh - vb * k / q + k * k) / a0,
                 2.0 * (k * k - 1.0) / a0, (1.0 - k / q + k * k) / a0};
    }
    {
        const double k = std::tan(std::numbers::pi * 38.13547087602444 / sample_rate);
        const double q = 0.5003270373238773;
        const double a0 = 1.0 + k / q + k * k;
        high_pass = {1.0, -2.0, 1.0, 2.0 * (k * k - 1.0) / a0, (1.0 - k / q + k * k) / a0};
    }
    return {shelf, high_pass};
}

HopMeter::HopMeter(int channels, int sample_rate)
    : channels_(channels), hop_frames_(std::max(1, (sample_rate + 5) / 10)) {
    const auto stages = k_weighting(sample_rate);
    shelf_ = on_both(stages[0]);
    high_pass_ = on_both(stages[1]);
}

template <int channels>
void HopMeter::filter(const float* in, int64_t frames) {
    const PairFilter shelf = shelf_;
    // Its zeros are constants, so that the compiler leaves out what multiplies by one.
    const PairFilter high_pass{{1.0, 1.0}, {-2.0, -2.0}, {1.0, 1.0}, high_pass_.a1, high_pass_.a2};
    PairFilter::QuickState in_shelf = in_shelf_, in_high_pass = in_high_pass_;
    Pair weighted = weighted_, plain = plain_;
    for (int64_t i = 0; i < frames; ++i) {
        Pair x;
        if constexpr (channels == 2)
            x = Pair{static_cast<double>(in[2 * i]), static_cast<double>(in[2 * i + 1])};
        else
            x = Pair{static_cast<double>(in[i]), 0.0};
        plain += x * x;
        const Pair z = high_pass.step(in_high_pass, shelf.step(in_shelf, x));
        weighted += z * z;
    }
    in_shelf_ = in_shelf, in_high_pass_ = in_high_pass;
    weighted_ = weighted, plain_ = plain;
}

void HopMeter::add(const float* in, int64_t frames) {
    while (frames > 0) {
        const int64_t part = std::min(frames, hop_frames_ - in_hop_);
        channels_ == 2 ? filter<2>(in, part) : filter<1>(in, part);
        in += part * channels_;
        frames -= part;
        in_hop_ += part;
        if (in_hop_ < hop_frames_) continue;
        const double n = static_cast<double>(hop_frames_);
        hops_.weighted.push_back((weighted_[0] + weighted_[1]) / n);
        hops_.unweighted.push_back((plain_[0] + plain_[1]) / (n * channels_));
        weighted_ = plain_ = Pair{};
        in_hop_ = 0;
        forget_denormals(in_shelf_);
        forget_denormals(in_high_pass_);
    }
}

namespace {

/// Mean power of every window of `hops` hops, one a hop.
std::vector<double> windows(std::span<const double> power, int hops) {
    std::vector<double> means;
    for (size_t i = 0; i + static_cast<size_t>(hops) <= power.size(); ++i) {
        double sum = 0.0;
        for (size_t k = 0; k < static_cast<size_t>(hops); ++k) sum += power[i + k];
        means.push_back(sum / hops);
    }
    return means;
}

/// Mean of the values above a threshold; 0 when there are none.
double mean_above(const std::vector<double>& values, double threshold) {
    double sum = 0.0;
    size_t count = 0;
    for (const double v : values)
        if (v > threshold) sum += v, ++count;
    return count > 0 ? sum / static_cast<double>(count) : 0.0;
}

double power_from_lufs(double lufs) { return std::pow(10.0, (lufs + 0.691) / 10.0); }

}  // namespace

Level integrated_lufs(std::span<const double> hops) {
    const auto blocks = windows(hops, 4);
    const double absolute = power_from_lufs(-70.0);
    const double ungated = mean_above(blocks, absolute);
    if (ungated <= 0.0) return std::nullopt;
    return lufs_from_power(mean_above(blocks, std::max(absolute, ungated * 0.1)));
}

Level loudest_lufs(std::span<const double> hops, int count) {
    const auto blocks = windows(hops, count);
    const double most = blocks.empty() ? 0.0 : *std::max_element(blocks.begin(), blocks.end());
    return most > 0.0 ? Level(lufs_from_power(most)) : std::nullopt;
}

Level loudness_range_lu(std::span<const double> hops) {
    auto blocks = windows(hops, 30);
    const double absolute = power_from_lufs(-70.0);
    const double threshold = std::max(absolute, mean_above(blocks, absolute) * 0.01);
    std::erase_if(blocks, [&](double v) { return v < threshold; });
    if (blocks.empty()) return std::nullopt;
    std::sort(blocks.begin(), blocks.end());
    const auto at = [&](double share) {
        return blocks[static_cast<size_t>(std::lround(share * static_cast<double>(blocks.size() - 1)))];
    };
    return db_from_power(at(0.95)) - db_from_power(at(0.10));
}

Level gated_average_dbfs(std::span<const double> hops) {
    const auto blocks = windows(hops, 4);
    const double absolute = std::pow(10.0, (-70.0 - aes17_db) / 10.0);
    const double ungated = mean_above(blocks, absolute);
    if (ungated <= 0.0) return std::nullopt;
    return db_from_power(mean_above(blocks, std::max(absolute, ungated * 0.01))) + aes17_db;
}

}  // namespace isotonus
