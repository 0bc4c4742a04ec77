// Rows summed into a mix.
#include "core/audio/kernels.h"

#include <algorithm>
#include <cmath>

#undef HWY_TARGET_INCLUDE
#define HWY_TARGET_INCLUDE "core/audio/kernels_mix.cpp"
#include <hwy/foreach_target.h>  // compiles this file once for each instruction set
#include <hwy/highway.h>

HWY_BEFORE_NAMESPACE();
namespace isotonus::kernels::HWY_NAMESPACE {
namespace hn = hwy::HWY_NAMESPACE;

// Mixing: products and sums are kept as separate roundings, so that a sample's value never depends on whether it
// was computed in a vector or in the rest of a loop.  (The build switches fused contraction off for the same reason.)
/// As many rows in one go: the sum is read and written once for all of them.
template <size_t count>
void MixStereoRows(const StereoRow* rows, size_t frames, double* HWY_RESTRICT sum) {
    const hn::ScalableTag<double> d;
    const hn::Rebind<float, decltype(d)> f;
    const size_t lanes = hn::Lanes(d);
    const size_t samples = 2 * frames;
    size_t i = 0;
    if (lanes >= 2)  // a vector holds whole frames
        for (; i + 2 * lanes <= samples; i += 2 * lanes) {
            auto first = hn::LoadU(d, sum + i), second = hn::LoadU(d, sum + i + lanes);
            for (size_t n = 0; n < count; ++n) {
                const auto gain = hn::OddEven(hn::Set(d, rows[n].right), hn::Set(d, rows[n].left));
                first = hn::Add(first, hn::Mul(hn::PromoteTo(d, hn::LoadU(f, rows[n].in + i)), gain));
                second = hn::Add(second, hn::Mul(hn::PromoteTo(d, hn::LoadU(f, rows[n].in + i + lanes)), gain));
            }
            hn::StoreU(first, d, sum + i);
            hn::StoreU(second, d, sum + i + lanes);
        }
    for (; i < samples; i += 2)
        for (size_t n = 0; n < count; ++n) {
            sum[i] += static_cast<double>(rows[n].in[i]) * rows[n].left;
            sum[i + 1] += static_cast<double>(rows[n].in[i + 1]) * rows[n].right;
        }
}

void MixStereo(const StereoRow* rows, size_t count, size_t frames, double* HWY_RESTRICT sum) {
    for (; count >= 4; count -= 4, rows += 4) MixStereoRows<4>(rows, frames, sum);
    if (count == 3) MixStereoRows<3>(rows, frames, sum);
    if (count == 2) MixStereoRows<2>(rows, frames, sum);
    if (count == 1) MixStereoRows<1>(rows, frames, sum);
}

/// Indices that give each of the first lanes twice: 0 0 1 1 …
template <class D>
auto Pairs(D d) {
    HWY_ALIGN int64_t index[hn::MaxLanes(D())] = {};
    for (size_t k = 0; k < hn::Lanes(d); ++k) index[k] = static_cast<int64_t>(k / 2);
    return hn::SetTableIndices(d, index);
}

void MixStereoRidden(const float* HWY_RESTRICT in, size_t frames, const double* HWY_RESTRICT ride, double left,
                     double right, double* HWY_RESTRICT sum) {
    const hn::ScalableTag<double> d;
    const hn::Rebind<float, decltype(d)> f;
    const size_t lanes = hn::Lanes(d), samples = 2 * frames;
    size_t i = 0;
    if (lanes >= 2) {  // a vector holds whole frames
        const auto gain = hn::OddEven(hn::Set(d, right), hn::Set(d, left));
        const auto pairs = Pairs(d);
        for (; i / 2 + lanes <= frames; i += lanes) {
            const auto x = hn::PromoteTo(d, hn::LoadU(f, in + i));
            const auto g = hn::TableLookupLanes(hn::LoadU(d, ride + i / 2), pairs);
            hn::StoreU(hn::Add(hn::LoadU(d, sum + i), hn::Mul(x, hn::Mul(gain, g))), d, sum + i);
        }
    }
    for (; i < samples; i += 2) {
        sum[i] += static_cast<double>(in[i]) * (left * ride[i / 2]);
        sum[i + 1] += static_cast<double>(in[i + 1]) * (right * ride[i / 2]);
    }
}

void Geometric(double base, double ratio, size_t count, double* out) {
    constexpr size_t head = 16;
    out[0] = base;
    for (size_t have = 1; have < std::min(head, count); have *= 2, ratio *= ratio)
        for (size_t k = 0; k < std::min(have, count - have); ++k) out[have + k] = out[k] * ratio;
    if (count <= head) return;
    const hn::ScalableTag<double> d;
    const size_t lanes = hn::Lanes(d);
    size_t k = head;
    if (lanes <= head)
        for (const auto step = hn::Set(d, ratio); k + lanes <= count; k += lanes)
            hn::StoreU(hn::Mul(hn::LoadU(d, out + k - head), step), d, out + k);
    for (; k < count; ++k) out[k] = out[k - head] * ratio;
}

/// In: float or double.  `ride` has a gain for each frame, or is null.
template <class In>
void MixMatrix(const In* HWY_RESTRICT in, size_t frames, const double* HWY_RESTRICT ride, const Matrix& m,
               double* HWY_RESTRICT sum) {
    const hn::ScalableTag<double> d;
    const hn::Rebind<In, decltype(d)> narrow;
    const size_t lanes = hn::Lanes(d), samples = 2 * frames;
    size_t i = 0;
    if (lanes >= 2) {  // a vector holds whole frames
        const auto own = hn::OddEven(hn::Set(d, m.rr), hn::Set(d, m.ll));
        const auto other = hn::OddEven(hn::Set(d, m.rl), hn::Set(d, m.lr));
        const auto load = [&](size_t at) {
            if constexpr (std::is_same_v<In, double>)
                return hn::LoadU(d, in + at);
            else
                return hn::PromoteTo(d, hn::LoadU(narrow, in + at));
        };
        const auto pairs = Pairs(d);
        for (; i / 2 + lanes <= frames; i += lanes) {
            const auto x = load(i), y = hn::Reverse2(d, x);
            const auto g = ride ? hn::TableLookupLanes(hn::LoadU(d, ride + i / 2), pairs) : hn::Set(d, 1.0);
            const auto moved = hn::Add(hn::Mul(x, hn::Mul(own, g)), hn::Mul(y, hn::Mul(other, g)));
            hn::StoreU(hn::Add(hn::LoadU(d, sum + i), moved), d, sum + i);
        }
    }
    for (; i < samples; i += 2) {
        const double x = static_cast<double>(in[i]), y = static_cast<double>(in[i + 1]);
        const double g = ride ? ride[i / 2] : 1.0;
        sum[i] += x * (m.ll * g) + y * (m.lr * g);
        sum[i + 1] += y * (m.rr * g) + x * (m.rl * g);
    }
}
void MixMatrixOfFloats(const float* in, size_t frames, const double* ride, const Matrix& m, double* sum) {
    MixMatrix(in, frames, ride, m, sum);
}
void MixMatrixOfDoubles(const double* in, size_t frames, const double* ride, const Matrix& m, double* sum) {
    MixMatrix(in, frames, ride, m, sum);
}

void MixMonoRidden(const float* HWY_RESTRICT in, size_t frames, const double* HWY_RESTRICT ride, double left,
                   double right, double* HWY_RESTRICT sum) {
    for (size_t i = 0; i < frames; ++i) {
        const double x = static_cast<double>(in[i]);
        sum[2 * i] += x * (left * ride[i]);
        sum[2 * i + 1] += x * (right * ride[i]);
    }
}

void MixMono(const float* HWY_RESTRICT in, size_t frames, double left, double right, double* HWY_RESTRICT sum) {
    for (size_t i = 0; i < frames; ++i) {
        const double x = static_cast<double>(in[i]);
        sum[2 * i] += x * left;
        sum[2 * i + 1] += x * right;
    }
}

void ScaleToFloat(const double* HWY_RESTRICT sum, size_t samples, double gain, float* HWY_RESTRICT out) {
    for (size_t i = 0; i < samples; ++i) out[i] = static_cast<float>(sum[i] * gain);
}

}  // namespace isotonus::kernels::HWY_NAMESPACE
HWY_AFTER_NAMESPACE();

#if HWY_ONCE
namespace isotonus::kernels {

HWY_EXPORT(MixStereo);
HWY_EXPORT(MixStereoRidden);
HWY_EXPORT(Geometric);
HWY_EXPORT(MixMatrixOfFloats);
HWY_EXPORT(MixMatrixOfDoubles);
HWY_EXPORT(MixMono);
HWY_EXPORT(MixMonoRidden);
HWY_EXPORT(ScaleToFloat);

void mix_stereo(std::span<const StereoRow> rows, size_t frames, double* sum) {
    HWY_DYNAMIC_DISPATCH(MixStereo)(rows.data(), rows.size(), frames, sum);
}
void mix_mono(const float* in, size_t frames, double left, double right, double* sum) {
    HWY_DYNAMIC_DISPATCH(MixMono)(in, frames, left, right, sum);
}
void mix_matrix(const float* in, size_t frames, const double* ride, const Matrix& m, double* sum) {
    HWY_DYNAMIC_DISPATCH(MixMatrixOfFloats)(in, frames, ride, m, sum);
}
void mix_matrix(const double* in, size_t frames, const double* ride, const Matrix& m, double* sum) {
    HWY_DYNAMIC_DISPATCH(MixMatrixOfDoubles)(in, frames, ride, m, sum);
}
void mix_stereo_ridden(const float* in, size_t frames, const double* ride, double left, double right, double* sum) {
    HWY_DYNAMIC_DISPATCH(MixStereoRidden)(in, frames, ride, left, right, sum);
}
void geometric(double base, double ratio, size_t count, double* out) {
    HWY_DYNAMIC_DISPATCH(Geometric)(base, ratio, count, out);
}
void mix_mono_ridden(const float* in, size_t frames, const double* ride, double left, double right, double* sum) {
    HWY_DYNAMIC_DISPATCH(MixMonoRidden)(in, frames, ride, left, right, sum);
}
void scale_to_float(const double* sum, size_t samples, double gain, float* out) {
    HWY_DYNAMIC_DISPATCH(ScaleToFloat)(sum, samples, gain, out);
}

}  // namespace isotonus::kernels
#endif
