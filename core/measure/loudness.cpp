#include "core/measure/loudness.h"

#include "core/audio/denormals.h"
#include "core/audio/wide.h"

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
    weighing_.shelf = on_both(stages[0]);
    weighing_.high_pass = on_both(stages[1]);
}

namespace {

typedef double Quad __attribute__((vector_size(32)));  ///< of both sides what the shelf does, then the high pass

/// Both filters in one register, the high pass two frames behind the shelf, so that neither waits for the other.  Sums
/// are added to frame by frame: they do not depend on how many come at once.
template <int channels>
[[gnu::always_inline]] inline void weigh(Weighing& w, const float* in, int64_t frames) {
    const auto input = [in](int64_t i) {
        if constexpr (channels == 2) return Pair{static_cast<double>(in[2 * i]), static_cast<double>(in[2 * i + 1])};
        return Pair{static_cast<double>(in[i]), 0.0};
    };
    constexpr int64_t behind = 2;
    Pair plain = w.plain;
    const auto shelved = [&](int64_t i) {
        if (i >= frames) return Pair{};
        const Pair x = input(i);
        plain += x * x;
        return w.shelf.step(w.in_shelf, x);
    };
    Pair older = shelved(0), newer = shelved(1);  // what the shelf made of the frames that the high pass is behind
    {
        const PairFilter &a = w.shelf, &b = w.high_pass;
        PairFilter::DirectState &s = w.in_shelf, &h = w.in_high_pass;
        const auto both = [](Quad& to, Pair left, Pair right) { to = Quad{left[0], left[1], right[0], right[1]}; };
        Quad b0, b1, b2, a1, a2, x1, x2, y1, y2, sums;
        both(b0, a.b0, b.b0), both(b1, a.b1, b.b1), both(b2, a.b2, b.b2), both(a1, a.a1, b.a1), both(a2, a.a2, b.a2);
        both(x1, s.x1, h.x1), both(x2, s.x2, h.x2), both(y1, s.y1, h.y1), both(y2, s.y2, h.y2);
        both(sums, Pair{}, w.weighted);
        for (int64_t i = behind; i < frames; ++i) {
            const Pair now = input(i);
            plain += now * now;
            const Quad x{now[0], now[1], older[0], older[1]};
            const Quad past = (b1 * x1 + b2 * x2) - a2 * y2, y = (past + b0 * x) - a1 * y1;
            x2 = x1, x1 = x, y2 = y1, y1 = y;
            sums += y * y;
            older = newer;
            newer = Pair{y[0], y[1]};
        }
        const auto first = [](const Quad& v) { return Pair{v[0], v[1]}; };
        const auto second = [](const Quad& v) { return Pair{v[2], v[3]}; };
        s = {first(x1), first(x2), first(y1), first(y2)};
        h = {second(x1), second(x2), second(y1), second(y2)};
        w.weighted = second(sums);
    }
    const auto pass = [&](Pair x) {
        const Pair z = w.high_pass.step(w.in_high_pass, x);
        w.weighted += z * z;
    };
    if (frames > 0) pass(older);
    if (frames > 1) pass(newer);
    w.plain = plain;
}
ISOTONUS_WIDE void weigh_mono(Weighing& w, const float* in, int64_t frames) { weigh<1>(w, in, frames); }
ISOTONUS_WIDE void weigh_stereo(Weighing& w, const float* in, int64_t frames) { weigh<2>(w, in, frames); }

}  // namespace

void HopMeter::add(const float* in, int64_t frames) {
    const NoDenormals none;
    while (frames > 0) {
        const int64_t part = std::min(frames, hop_frames_ - in_hop_);
        channels_ == 2 ? weigh_stereo(weighing_, in, part) : weigh_mono(weighing_, in, part);
        in += part * channels_;
        frames -= part;
        in_hop_ += part;
        if (in_hop_ < hop_frames_) continue;
        const double n = static_cast<double>(hop_frames_);
        Pair &weighted = weighing_.weighted, &plain = weighing_.plain;
        hops_.weighted.push_back((weighted[0] + weighted[1]) / n);
        hops_.unweighted.push_back((plain[0] + plain[1]) / (n * channels_));
        weighted = plain = Pair{};
        in_hop_ = 0;
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
