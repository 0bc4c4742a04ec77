#include "engine/live_mix.h"

#include <algorithm>
#include <cmath>

#include "core/audio/kernels.h"

namespace isotonus {

LiveMix::LiveMix(int rate) : rate_(rate), keep_(std::exp(-1.0 / (0.3 * rate))), hops_(2, rate), true_peak_(2, rate) {
    for (size_t b = 0; b < bands; ++b) {
        if (b > 0) filters_[b].push_back({low_cut(band_edges_hz[b - 1], flat_q, rate), {}});
        if (b + 1 < bands) filters_[b].push_back({high_cut(band_edges_hz[b], flat_q, rate), {}});
    }
}

void LiveMix::Product::add(double l, double r, double keep) {
    ll = keep * ll + l * l;
    rr = keep * rr + r * r;
    lr = keep * lr + l * r;
}

Level LiveMix::Product::value() const {
    const double both = std::sqrt(ll * rr);
    return both > 1e-6 ? Level(std::clamp(lr / both, -1.0, 1.0)) : std::nullopt;
}

void LiveMix::add(const float* x, int64_t frames) {
    hops_.add(x, frames);
    true_peak_.add(x, frames, kernels::peak(x, static_cast<size_t>(2 * frames)));
    constexpr size_t kept = 2048;
    for (int64_t i = 0; i < frames; ++i) {
        const double l = static_cast<double>(x[2 * i]), r = static_cast<double>(x[2 * i + 1]);
        all_.add(l, r, keep_);
        for (size_t b = 0; b < bands; ++b) {
            double bl = l, br = r;
            for (auto& [filter, side] : filters_[b]) {
                bl = filter.step(side[0], bl);
                br = filter.step(side[1], br);
            }
            band_[b].add(bl, br, keep_);
        }
        trace_.push_back({x[2 * i], x[2 * i + 1]});
    }
    if (trace_.size() > kept) trace_.erase(trace_.begin(), trace_.end() - kept);
}

Level LiveMix::window(size_t count) const {
    const auto& hops = hops_.hops().weighted;
    if (hops.size() < count) return std::nullopt;
    double power = 0.0;
    for (size_t i = hops.size() - count; i < hops.size(); ++i) power += hops[i];
    power /= static_cast<double>(count);
    return power > 0.0 ? Level(lufs_from_power(power)) : std::nullopt;
}

Level LiveMix::integrated_lufs() const { return isotonus::integrated_lufs(hops_.hops().weighted); }

Level LiveMix::true_peak_dbtp() const { return level_from_gain(true_peak_.so_far()); }

}  // namespace isotonus
