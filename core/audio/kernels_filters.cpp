// Filters side by side, and levels in dB.
#include "core/audio/kernels.h"

#include <algorithm>
#include <cmath>

#undef HWY_TARGET_INCLUDE
#define HWY_TARGET_INCLUDE "core/audio/kernels_filters.cpp"
#include <hwy/foreach_target.h>  // compiles this file once for each instruction set
#include <hwy/highway.h>

HWY_BEFORE_NAMESPACE();
namespace isotonus::kernels::HWY_NAMESPACE {
namespace hn = hwy::HWY_NAMESPACE;

/// 20 log10 of positive numbers, within 0.0002 dB; of 0 a very low level (-758 dB).  Plain arithmetic without branches
/// or tables, and without fused products, so that it is the same everywhere.
template <class F>
HWY_INLINE hn::Vec<F> Decibels(F f, hn::Vec<F> x) {
    const hn::RebindToSigned<F> i32;
    const auto safe = hn::Max(x, hn::Set(f, 1e-38f));
    const auto bits = hn::BitCast(i32, safe);
    // So that the rest lies around 1.
    const auto exponent = hn::ShiftRight<23>(hn::Sub(bits, hn::Set(i32, 0x3F3504F3)));
    const auto m = hn::Sub(hn::BitCast(f, hn::Sub(bits, hn::ShiftLeft<23>(exponent))), hn::Set(f, 1.0f));
    // log2(1 + m) / m by a polynomial (least squares, m from -0.293 to 0.414)
    auto p = hn::Set(f, -0.146203527f);
    for (const float c :
         {0.23420985f, -0.248821807f, 0.287075611f, -0.360241986f, 0.480924039f, -0.721352759f, 1.44269496f})
        p = hn::Add(hn::Mul(p, m), hn::Set(f, c));
    return hn::Mul(hn::Add(hn::ConvertTo(f, exponent), hn::Mul(p, m)), hn::Set(f, 6.0205999f));
}

void LevelsDb(const float* HWY_RESTRICT in, size_t frames, int channels, float* HWY_RESTRICT out) {
    const hn::ScalableTag<float> f;
    const size_t lanes = hn::Lanes(f);
    const auto level = [&](const float* from, float* to) {
        if (channels == 2) {
            auto left = hn::Undefined(f), right = hn::Undefined(f);
            hn::LoadInterleaved2(f, from, left, right);
            hn::StoreU(Decibels(f, hn::Max(hn::Abs(left), hn::Abs(right))), f, to);
        } else {
            hn::StoreU(Decibels(f, hn::Abs(hn::LoadU(f, from))), f, to);
        }
    };
    size_t i = 0;
    const auto wide = static_cast<size_t>(channels);
    for (; i + lanes <= frames; i += lanes) level(in + i * wide, out + i);
    if (i == frames) return;
    float rest[2 * hn::MaxLanes(f)] = {}, levels[hn::MaxLanes(f)];
    std::copy(in + i * wide, in + frames * wide, rest);
    level(rest, levels);
    std::copy(levels, levels + (frames - i), out + i);
}

#if HWY_TARGET != HWY_SCALAR
/// The pairs of y, each one place further; in the first place the last pair of `before`.
template <class D, class V>
HWY_INLINE V PassedOn(D d, V y, V before) {
#if HWY_TARGET <= HWY_AVX3
    if constexpr (hn::MaxLanes(D()) == 8)
        return V{
            _mm512_castsi512_pd(_mm512_alignr_epi64(_mm512_castpd_si512(y.raw), _mm512_castpd_si512(before.raw), 6))};
#endif
    if constexpr (hn::MaxLanes(D()) == 4)
        return hn::ConcatLowerUpper(d, y, before);
    else
        return before;
}

template <class D, size_t filters>
HWY_INLINE void RunAskew(D d, const PairFilter* f, size_t count, PairFilter::DirectState* states,
                         double* HWY_RESTRICT inout, size_t frames) {
    constexpr size_t lanes = hn::MaxLanes(D()), registers = 2 * filters / lanes;
    using V = hn::Vec<D>;
    // Filters that are missing let everything through.
    HWY_ALIGN Pair of_all[filters];
    const auto load = [&](auto value_of) HWY_ATTR {
        for (size_t n = 0; n < filters; ++n) of_all[n] = value_of(n);
    };
    V b0[registers], b1[registers], b2[registers], a1[registers], a2[registers], offset[registers];
    V x1[registers], x2[registers], y1[registers], y2[registers];
    const auto fill = [&](V(&v)[registers], auto value_of) HWY_ATTR {
        load(value_of);
        for (size_t r = 0; r < registers; ++r)
            v[r] = hn::Load(d, reinterpret_cast<const double*>(of_all + r * lanes / 2));
    };
    constexpr Pair nothing{0.0, 0.0}, one{1.0, 1.0};
    fill(b0, [&](size_t n) { return n < count ? f[n].b0 : one; });
    fill(b1, [&](size_t n) { return n < count ? f[n].b1 : nothing; });
    fill(b2, [&](size_t n) { return n < count ? f[n].b2 : nothing; });
    fill(a1, [&](size_t n) { return n < count ? f[n].a1 : nothing; });
    fill(a2, [&](size_t n) { return n < count ? f[n].a2 : nothing; });
    fill(x1, [&](size_t n) { return n < count ? states[n].x1 : nothing; });
    fill(x2, [&](size_t n) { return n < count ? states[n].x2 : nothing; });
    fill(y1, [&](size_t n) { return n < count ? states[n].y1 : nothing; });
    fill(y2, [&](size_t n) { return n < count ? states[n].y2 : nothing; });
    fill(offset, [](size_t n) { return Pair{static_cast<double>(2 * n), static_cast<double>(2 * n)}; });
    // What came out of each filter at the last even and the last odd step.  A filter gets what came out of the one
    // before it two steps ago: it would have to wait for what came out just now.
    V even[registers], odd[registers];
    for (size_t r = 0; r < registers; ++r) even[r] = odd[r] = hn::Zero(d);
    // `inside`: every filter's frame is of this stretch.  The others keep what they remember.
    const auto step = [&](auto inside, V in, size_t t, V(&out)[registers]) HWY_ATTR {
        V x[registers];
        for (size_t r = 0; r < registers; ++r) x[r] = PassedOn(d, out[r], r == 0 ? in : out[r - 1]);
        for (size_t r = 0; r < registers; ++r) {
            const V past = hn::Sub(hn::Add(hn::Mul(b1[r], x1[r]), hn::Mul(b2[r], x2[r])), hn::Mul(a2[r], y2[r]));
            const V y = hn::Sub(hn::Add(past, hn::Mul(b0[r], x[r])), hn::Mul(a1[r], y1[r]));
            out[r] = y;
            if constexpr (inside) {
                x2[r] = x1[r], x1[r] = x[r], y2[r] = y1[r], y1[r] = y;
            } else {
                const V frame = hn::Sub(hn::Set(d, static_cast<double>(t)), offset[r]);
                const auto here =
                    hn::And(hn::Ge(frame, hn::Zero(d)), hn::Lt(frame, hn::Set(d, static_cast<double>(frames))));
                x2[r] = hn::IfThenElse(here, x1[r], x2[r]);
                x1[r] = hn::IfThenElse(here, x[r], x1[r]);
                y2[r] = hn::IfThenElse(here, y1[r], y2[r]);
                y1[r] = hn::IfThenElse(here, y, y1[r]);
            }
        }
    };
    constexpr size_t wait = 2 * (filters - 1);
    const hn::FixedTag<double, 2> pair;
    const auto put = [&](size_t t, V out) HWY_ATTR {
        double* const to = inout + 2 * (t - wait);
        if constexpr (lanes == 2) {
            hn::StoreU(out, pair, to);
        } else if constexpr (lanes == 4) {
            hn::StoreU(hn::UpperHalf(pair, out), pair, to);
        } else {
            const hn::Half<D> four;
            hn::StoreU(hn::UpperHalf(pair, hn::UpperHalf(four, out)), pair, to);
        }
    };
    const auto at_edge = [&](size_t t, V(&out)[registers]) HWY_ATTR {
        step(std::false_type(), t < frames ? hn::LoadDup128(d, inout + 2 * t) : hn::Zero(d), t, out);
        if (t >= wait && t < frames + wait) put(t, out[registers - 1]);
    };
    const auto at_edges = [&](size_t t) HWY_ATTR {
        at_edge(t, even);
        at_edge(t + 1, odd);
    };
    constexpr std::true_type inside;
    size_t t = 0;
    for (; t < wait; t += 2) at_edges(t);
    for (; t + 2 <= frames; t += 2) {
        step(inside, hn::LoadDup128(d, inout + 2 * t), t, even);
        put(t, even[registers - 1]);
        step(inside, hn::LoadDup128(d, inout + 2 * t + 2), t + 1, odd);
        put(t + 1, odd[registers - 1]);
    }
    for (; t < frames + wait; t += 2) at_edges(t);
    const auto keep = [&](const V(&v)[registers], auto to) HWY_ATTR {
        for (size_t r = 0; r < registers; ++r) hn::Store(v[r], d, reinterpret_cast<double*>(of_all + r * lanes / 2));
        for (size_t n = 0; n < count; ++n) states[n].*to = of_all[n];
    };
    using State = PairFilter::DirectState;
    keep(x1, &State::x1);
    keep(x2, &State::x2);
    keep(y1, &State::y1);
    keep(y2, &State::y2);
}
#endif

void RunBiquads(const PairFilter* filters, size_t count, PairFilter::DirectState* states, double* inout,
                size_t frames) {
    const auto run_alone = [&](const PairFilter filter, PairFilter::DirectState& state) HWY_ATTR {
        PairFilter::DirectState s = state;
        for (size_t i = 0; i < frames; ++i) {
            const Pair y = filter.step(s, Pair{inout[2 * i], inout[2 * i + 1]});
            inout[2 * i] = y[0], inout[2 * i + 1] = y[1];
        }
        state = s;
    };
#if HWY_TARGET == HWY_SCALAR
    for (size_t n = 0; n < count; ++n) run_alone(filters[n], states[n]);
#else
    if (count == 1)
        run_alone(filters[0], states[0]);
    else if (count == 2)
        RunAskew<hn::CappedTag<double, 4>, 2>({}, filters, count, states, inout, frames);
    else if (count <= 4)
        RunAskew<hn::CappedTag<double, 8>, 4>({}, filters, count, states, inout, frames);
    else
        RunAskew<hn::CappedTag<double, 8>, 8>({}, filters, count, states, inout, frames);
#endif
}

}  // namespace isotonus::kernels::HWY_NAMESPACE
HWY_AFTER_NAMESPACE();

#if HWY_ONCE
namespace isotonus::kernels {

HWY_EXPORT(LevelsDb);
HWY_EXPORT(RunBiquads);

void run_biquads(std::span<const PairFilter> filters, PairFilter::DirectState* states, Pair* inout, size_t frames) {
    HWY_DYNAMIC_DISPATCH(RunBiquads)(filters.data(), filters.size(), states, reinterpret_cast<double*>(inout), frames);
}
void levels_db(const float* in, size_t frames, int channels, float* out) {
    HWY_DYNAMIC_DISPATCH(LevelsDb)(in, frames, channels, out);
}

}  // namespace isotonus::kernels
#endif
