// What is measured of a stretch: peaks, powers, interpolated peaks.
#include "core/audio/kernels.h"

#include <algorithm>
#include <cmath>

#undef HWY_TARGET_INCLUDE
#define HWY_TARGET_INCLUDE "core/audio/kernels_levels.cpp"
#include <hwy/foreach_target.h>  // compiles this file once for each instruction set
#include <hwy/highway.h>

HWY_BEFORE_NAMESPACE();
namespace isotonus::kernels::HWY_NAMESPACE {
namespace hn = hwy::HWY_NAMESPACE;

void MeasureStretch(const float* HWY_RESTRICT in, size_t frames, int channels, Stretch* HWY_RESTRICT out) {
    const size_t step = static_cast<size_t>(channels);
    const size_t samples = frames * step;
    *out = Stretch{};
    if (samples == 0) return;
    for (size_t c = 0; c < step; ++c) out->low[c] = out->high[c] = in[c];
    size_t i = 0;
#if HWY_TARGET != HWY_SCALAR
    const hn::ScalableTag<float> f;
    const hn::ScalableTag<double> d;
    const hn::Half<decltype(f)> half;
    const size_t lanes = hn::Lanes(f);
    if (samples >= lanes) {
        auto low = hn::LoadU(f, in);
        auto high = low;
        auto sum_low = hn::Zero(d), sum_high = hn::Zero(d), square_low = hn::Zero(d), square_high = hn::Zero(d);
        auto product = hn::Zero(d);
        for (; i + lanes <= samples; i += lanes) {
            const auto x = hn::LoadU(f, in + i);
            low = hn::Min(low, x);
            high = hn::Max(high, x);
            const auto a = hn::PromoteTo(d, hn::LowerHalf(half, x));
            const auto b = hn::PromoteTo(d, hn::UpperHalf(half, x));
            sum_low = hn::Add(sum_low, a);
            sum_high = hn::Add(sum_high, b);
            square_low = hn::MulAdd(a, a, square_low);
            square_high = hn::MulAdd(b, b, square_high);
            if (channels == 2) {  // each left-right pair is counted twice
                const auto y = hn::Shuffle2301(x);
                product = hn::MulAdd(a, hn::PromoteTo(d, hn::LowerHalf(half, y)), product);
                product = hn::MulAdd(b, hn::PromoteTo(d, hn::UpperHalf(half, y)), product);
            }
        }
        HWY_ALIGN float lows[HWY_MAX_BYTES / 4], highs[HWY_MAX_BYTES / 4];
        HWY_ALIGN double sums[HWY_MAX_BYTES / 4], squares[HWY_MAX_BYTES / 4];
        hn::Store(low, f, lows);
        hn::Store(high, f, highs);
        hn::Store(sum_low, d, sums);
        hn::Store(sum_high, d, sums + lanes / 2);
        hn::Store(square_low, d, squares);
        hn::Store(square_high, d, squares + lanes / 2);
        for (size_t k = 0; k < lanes; ++k) {
            const size_t c = k % step;
            out->low[c] = std::min(out->low[c], lows[k]);
            out->high[c] = std::max(out->high[c], highs[k]);
            out->sum[c] += sums[k];
            out->square[c] += squares[k];
        }
        out->product = 0.5 * hn::GetLane(hn::SumOfLanes(d, product));
    }
#endif
    for (; i < samples; ++i) {
        const size_t c = i % step;
        const double x = static_cast<double>(in[i]);
        out->low[c] = std::min(out->low[c], in[i]);
        out->high[c] = std::max(out->high[c], in[i]);
        out->sum[c] += x;
        out->square[c] += x * x;
        if (c == 1) out->product += x * static_cast<double>(in[i - 1]);
    }
}

float Peak(const float* HWY_RESTRICT in, size_t samples) {
    const hn::ScalableTag<float> f;
    const size_t lanes = hn::Lanes(f);
    auto most = hn::Zero(f);
    size_t i = 0;
    for (; i + lanes <= samples; i += lanes) most = hn::Max(most, hn::Abs(hn::LoadU(f, in + i)));
    float result = hn::GetLane(hn::MaxOfLanes(f, most));
    for (; i < samples; ++i) result = std::max(result, std::fabs(in[i]));
    return result;
}

float FirPeak(const float* HWY_RESTRICT in, size_t samples, int channels, const float* HWY_RESTRICT h, int taps,
              int phases) {
    const hn::ScalableTag<float> f;
    const size_t lanes = hn::Lanes(f);
    const size_t step = static_cast<size_t>(channels);
    constexpr size_t max_history = 128;  // (taps - 1) * channels at most
    auto most = hn::Zero(f);
    for (int phase = 0; phase < phases; ++phase) {
        const float* g = h + phase * taps;
        size_t i = 0;
        for (; i + 2 * lanes <= samples; i += 2 * lanes) {
            auto a = hn::Zero(f), b = hn::Zero(f);
            const float* x = in + i;
            for (int tap = 0; tap < taps; ++tap, x += step) {
                const auto c = hn::Set(f, g[tap]);
                a = hn::MulAdd(c, hn::LoadU(f, x), a);
                b = hn::MulAdd(c, hn::LoadU(f, x + lanes), b);
            }
            most = hn::Max(most, hn::Max(hn::Abs(a), hn::Abs(b)));
        }
        // The rest in the same instructions, from a copy with room behind it: a sample's value must not depend on
        // where a stretch ends.
        for (; i < samples; i += lanes) {
            HWY_ALIGN float rest[HWY_MAX_BYTES / 4 + max_history] = {};
            const size_t count = std::min(lanes, samples - i);
            std::copy_n(in + i, count + static_cast<size_t>(taps - 1) * step, rest);
            auto a = hn::Zero(f);
            for (int tap = 0; tap < taps; ++tap)
                a = hn::MulAdd(hn::Set(f, g[tap]), hn::LoadU(f, rest + static_cast<size_t>(tap) * step), a);
            most = hn::Max(most, hn::Abs(hn::IfThenElseZero(hn::FirstN(f, count), a)));
        }
    }
    return hn::GetLane(hn::MaxOfLanes(f, most));
}

/// So many vectors of frames side by side, whose sums do not wait for each other.
template <size_t vectors>
size_t FirFrames(const float* HWY_RESTRICT in, const float* HWY_RESTRICT h, size_t taps, size_t from, size_t frames,
                 float* HWY_RESTRICT out) {
    const hn::ScalableTag<float> f;
    const size_t lanes = hn::Lanes(f);
    for (; from + vectors * lanes <= frames; from += vectors * lanes) {
        decltype(hn::Zero(f)) sums[vectors];
        for (size_t n = 0; n < vectors; ++n) sums[n] = hn::LoadU(f, out + from + n * lanes);
        const float* x = in + from;
        for (size_t tap = 0; tap < taps; ++tap, ++x) {
            const auto weight = hn::Set(f, h[tap]);
            for (size_t n = 0; n < vectors; ++n)
                sums[n] = hn::Add(sums[n], hn::Mul(weight, hn::LoadU(f, x + n * lanes)));
        }
        for (size_t n = 0; n < vectors; ++n) hn::StoreU(sums[n], f, out + from + n * lanes);
    }
    return from;
}

void Fir(const float* HWY_RESTRICT in, const float* HWY_RESTRICT h, size_t taps, size_t frames,
         float* HWY_RESTRICT out) {
    size_t i = FirFrames<8>(in, h, taps, 0, frames, out);
    i = FirFrames<1>(in, h, taps, i, frames, out);
    for (; i < frames; ++i)
        for (size_t tap = 0; tap < taps; ++tap) out[i] += h[tap] * in[i + tap];
}

}  // namespace isotonus::kernels::HWY_NAMESPACE
HWY_AFTER_NAMESPACE();

#if HWY_ONCE
namespace isotonus::kernels {

HWY_EXPORT(MeasureStretch);
HWY_EXPORT(Peak);
HWY_EXPORT(Fir);
HWY_EXPORT(FirPeak);

void measure_stretch(const float* in, size_t frames, int channels, Stretch* out) {
    HWY_DYNAMIC_DISPATCH(MeasureStretch)(in, frames, channels, out);
}
float peak(const float* in, size_t samples) { return HWY_DYNAMIC_DISPATCH(Peak)(in, samples); }
float fir_peak(const float* in, size_t samples, int channels, const float* h, int taps, int phases) {
    return HWY_DYNAMIC_DISPATCH(FirPeak)(in, samples, channels, h, taps, phases);
}
void fir(const float* in, std::span<const float> h, size_t frames, float* out) {
    HWY_DYNAMIC_DISPATCH(Fir)(in, h.data(), h.size(), frames, out);
}

}  // namespace isotonus::kernels
#endif
