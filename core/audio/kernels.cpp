#include "core/audio/kernels.h"

#include <algorithm>
#include <cmath>

#undef HWY_TARGET_INCLUDE
#define HWY_TARGET_INCLUDE "core/audio/kernels.cpp"
#include <hwy/foreach_target.h>  // compiles this file once for each instruction set
#include <hwy/highway.h>

HWY_BEFORE_NAMESPACE();
namespace isotonus::kernels::HWY_NAMESPACE {
namespace hn = hwy::HWY_NAMESPACE;

void UnpackS16(const int16_t* HWY_RESTRICT in, size_t samples, float* HWY_RESTRICT out) {
    const hn::ScalableTag<float> f;
    const hn::Rebind<int32_t, decltype(f)> i32;
    const hn::Rebind<int16_t, decltype(f)> i16;
    const auto scale = hn::Set(f, 1.0f / 32768.0f);
    const size_t lanes = hn::Lanes(f);
    size_t i = 0;
    for (; i + lanes <= samples; i += lanes) {
        const auto wide = hn::PromoteTo(i32, hn::LoadU(i16, in + i));
        hn::StoreU(hn::Mul(hn::ConvertTo(f, wide), scale), f, out + i);
    }
    for (; i < samples; ++i) out[i] = static_cast<float>(in[i]) * (1.0f / 32768.0f);
}

void UnpackS24(const uint8_t* HWY_RESTRICT in, size_t samples, float* HWY_RESTRICT out) {
    size_t i = 0;
#if HWY_TARGET != HWY_SCALAR
    const hn::FixedTag<uint8_t, 16> u8;
    const hn::FixedTag<int32_t, 4> i32;
    const hn::FixedTag<float, 4> f;
    // Three bytes go to the top of each 32-bit lane; the lowest byte becomes 0, so full scale is 2^31.
    alignas(16) static constexpr uint8_t order[16] = {0x80, 0, 1, 2, 0x80, 3, 4, 5, 0x80, 6, 7, 8, 0x80, 9, 10, 11};
    const auto shuffle = hn::Load(u8, order);
    const auto scale = hn::Set(f, 1.0f / 2147483648.0f);
    for (; i + 6 <= samples; i += 4) {  // 6: a load takes 16 bytes, 12 of which are used
        const auto bytes = hn::TableLookupBytesOr0(hn::LoadU(u8, in + 3 * i), shuffle);
        hn::StoreU(hn::Mul(hn::ConvertTo(f, hn::BitCast(i32, bytes)), scale), f, out + i);
    }
#endif
    for (; i < samples; ++i) {
        const uint32_t bits = (static_cast<uint32_t>(in[3 * i]) << 8) | (static_cast<uint32_t>(in[3 * i + 1]) << 16) |
                              (static_cast<uint32_t>(in[3 * i + 2]) << 24);
        out[i] = static_cast<float>(static_cast<int32_t>(bits)) * (1.0f / 2147483648.0f);
    }
}

size_t RemoveNonFinite(float* inout, size_t samples) {
    const hn::ScalableTag<float> f;
    const size_t lanes = hn::Lanes(f);
    const auto zero = hn::Zero(f);
    size_t removed = 0;
    size_t i = 0;
    for (; i + lanes <= samples; i += lanes) {
        const auto x = hn::LoadU(f, inout + i);
        const auto finite = hn::Eq(hn::Sub(x, x), zero);  // inf - inf and NaN - NaN are NaN
        if (HWY_LIKELY(hn::AllTrue(f, finite))) continue;
        removed += lanes - hn::CountTrue(f, finite);
        hn::StoreU(hn::IfThenElseZero(finite, x), f, inout + i);
    }
    for (; i < samples; ++i) {
        if (std::isfinite(inout[i])) continue;
        inout[i] = 0.0f;
        ++removed;
    }
    return removed;
}

size_t PackS24(const float* HWY_RESTRICT in, size_t samples, uint8_t* HWY_RESTRICT out) {
    const hn::ScalableTag<float> f;
    const hn::Rebind<int32_t, decltype(f)> i32;
    const size_t lanes = hn::Lanes(f);
    const auto scale = hn::Set(f, 8388608.0f);
    const auto low = hn::Set(f, -8388608.0f);
    const auto high = hn::Set(f, 8388607.0f);
    HWY_ALIGN int32_t value[HWY_MAX_BYTES / 4];
    size_t clamped = 0;
    auto store = [&](size_t at, size_t count) {
        for (size_t k = 0; k < count; ++k) {
            const auto bits = static_cast<uint32_t>(value[k]);
            out[3 * (at + k)] = static_cast<uint8_t>(bits);
            out[3 * (at + k) + 1] = static_cast<uint8_t>(bits >> 8);
            out[3 * (at + k) + 2] = static_cast<uint8_t>(bits >> 16);
        }
    };
    size_t i = 0;
    for (; i + lanes <= samples; i += lanes) {
        const auto x = hn::Mul(hn::LoadU(f, in + i), scale);
        const auto r = hn::Round(x);
        clamped += hn::CountTrue(f, hn::Gt(r, high)) + hn::CountTrue(f, hn::Lt(r, low));
        hn::Store(hn::ConvertTo(i32, hn::Min(hn::Max(r, low), high)), i32, value);
        store(i, lanes);
    }
    for (; i < samples; ++i) {
        const float r = std::nearbyint(in[i] * 8388608.0f);
        if (r > 8388607.0f || r < -8388608.0f) ++clamped;
        value[0] = static_cast<int32_t>(std::clamp(r, -8388608.0f, 8388607.0f));
        store(i, 1);
    }
    return clamped;
}

size_t Dithered(const float* HWY_RESTRICT in, size_t samples, float scale, uint32_t place, int32_t* HWY_RESTRICT out) {
    const hn::ScalableTag<float> f;
    const hn::Rebind<int32_t, decltype(f)> i32;
    const hn::Rebind<uint32_t, decltype(f)> u32;
    const size_t lanes = hn::Lanes(f);
    const auto low = hn::Set(f, -scale), high = hn::Set(f, scale - 1.0f);
    size_t clamped = 0;
    HWY_ALIGN float rest[HWY_MAX_BYTES / 4] = {};
    HWY_ALIGN int32_t last[HWY_MAX_BYTES / 4];
    for (size_t i = 0; i < samples; i += lanes) {
        const bool whole = i + lanes <= samples;
        if (!whole) std::copy(in + i, in + samples, rest);
        const auto x = hn::Mul(hn::LoadU(f, whole ? in + i : rest), hn::Set(f, scale));
        auto h = hn::Add(hn::Set(u32, place + static_cast<uint32_t>(i)), hn::Iota(u32, 0u));
        h = hn::Mul(hn::Xor(h, hn::ShiftRight<16>(h)), hn::Set(u32, 0x7feb352dU));
        h = hn::Mul(hn::Xor(h, hn::ShiftRight<15>(h)), hn::Set(u32, 0x846ca68bU));
        h = hn::Xor(h, hn::ShiftRight<16>(h));
        const auto difference = hn::Sub(hn::ShiftRight<16>(h), hn::And(h, hn::Set(u32, 0xffffU)));
        const auto noise = hn::Mul(hn::ConvertTo(f, hn::BitCast(i32, difference)), hn::Set(f, 0x1p-16f));
        // The whole part by itself: near full scale a float has no room for noise below an LSB.
        const auto floor = hn::Floor(x);
        const auto rounded = hn::Add(floor, hn::Round(hn::Add(hn::Sub(x, floor), noise)));
        const auto r = hn::IfThenElse(hn::Eq(x, hn::Zero(f)), x, rounded);
        const auto still = hn::Round(x);
        clamped += hn::CountTrue(f, hn::Gt(still, high)) + hn::CountTrue(f, hn::Lt(still, low));
        const auto value = hn::ConvertTo(i32, hn::Min(hn::Max(r, low), high));
        if (whole)
            hn::StoreU(value, i32, out + i);
        else
            hn::Store(value, i32, last), std::copy(last, last + (samples - i), out + i);
    }
    return clamped;
}

void SumsOf16(const float* HWY_RESTRICT in, size_t frames, int channels, float* HWY_RESTRICT sums,
              float* HWY_RESTRICT magnitudes) {
#if HWY_TARGET != HWY_SCALAR
    const hn::FixedTag<float, 4> f;  // four lanes on every machine: the sums are the same everywhere
    for (size_t group = 0; group < frames / 16; ++group) {
        auto sum = hn::Zero(f), magnitude = hn::Zero(f);
        for (int k = 0; k < 4 * channels; ++k, in += 4) {
            const auto x = hn::LoadU(f, in);
            sum = hn::Add(sum, x);
            magnitude = hn::Add(magnitude, hn::Abs(x));
        }
        HWY_ALIGN float s[4], m[4];
        hn::Store(sum, f, s);
        hn::Store(magnitude, f, m);
        if (channels == 1) {
            *sums++ = (s[0] + s[2]) + (s[1] + s[3]);
            *magnitudes++ = (m[0] + m[2]) + (m[1] + m[3]);
        } else {
            *sums++ = s[0] + s[2];
            *sums++ = s[1] + s[3];
            *magnitudes++ = m[0] + m[2];
            *magnitudes++ = m[1] + m[3];
        }
    }
#else
    for (size_t group = 0; group < frames / 16; ++group, in += 16 * channels)
        for (int c = 0; c < channels; ++c) {
            float sum = 0.0f, magnitude = 0.0f;
            for (int i = 0; i < 16; ++i) sum += in[i * channels + c], magnitude += std::fabs(in[i * channels + c]);
            *sums++ = sum;
            *magnitudes++ = magnitude;
        }
#endif
}

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
    V b0[registers], b1[registers], b2[registers], a1[registers], a2[registers], place[registers];
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
    fill(place, [](size_t n) { return Pair{static_cast<double>(2 * n), static_cast<double>(2 * n)}; });
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
                const V frame = hn::Sub(hn::Set(d, static_cast<double>(t)), place[r]);
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
    constexpr size_t most_history = 128;  // (taps - 1) * channels at most
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
            HWY_ALIGN float rest[HWY_MAX_BYTES / 4 + most_history] = {};
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

HWY_EXPORT(UnpackS16);
HWY_EXPORT(UnpackS24);
HWY_EXPORT(RemoveNonFinite);
HWY_EXPORT(PackS24);
HWY_EXPORT(LevelsDb);
HWY_EXPORT(RunBiquads);
HWY_EXPORT(MeasureStretch);
HWY_EXPORT(Dithered);
HWY_EXPORT(SumsOf16);
HWY_EXPORT(Peak);
HWY_EXPORT(FirPeak);
HWY_EXPORT(Fir);
HWY_EXPORT(MixStereo);
HWY_EXPORT(MixMono);
HWY_EXPORT(MixMatrixOfFloats);
HWY_EXPORT(MixMatrixOfDoubles);
HWY_EXPORT(MixMonoRidden);
HWY_EXPORT(MixStereoRidden);
HWY_EXPORT(Geometric);
HWY_EXPORT(ScaleToFloat);

void unpack_s16(const int16_t* in, size_t samples, float* out) { HWY_DYNAMIC_DISPATCH(UnpackS16)(in, samples, out); }
void unpack_s24(const uint8_t* in, size_t samples, float* out) { HWY_DYNAMIC_DISPATCH(UnpackS24)(in, samples, out); }
size_t remove_non_finite(float* inout, size_t samples) { return HWY_DYNAMIC_DISPATCH(RemoveNonFinite)(inout, samples); }
size_t pack_s24(const float* in, size_t samples, uint8_t* out) {
    return HWY_DYNAMIC_DISPATCH(PackS24)(in, samples, out);
}
size_t dithered(const float* in, size_t samples, float scale, uint32_t place, int32_t* out) {
    return HWY_DYNAMIC_DISPATCH(Dithered)(in, samples, scale, place, out);
}
void sums_of_16(const float* in, size_t frames, int channels, float* sums, float* magnitudes) {
    HWY_DYNAMIC_DISPATCH(SumsOf16)(in, frames, channels, sums, magnitudes);
}

void run_biquads(std::span<const PairFilter> filters, PairFilter::DirectState* states, Pair* inout, size_t frames) {
    HWY_DYNAMIC_DISPATCH(RunBiquads)(filters.data(), filters.size(), states, reinterpret_cast<double*>(inout), frames);
}
void measure_stretch(const float* in, size_t frames, int channels, Stretch* out) {
    HWY_DYNAMIC_DISPATCH(MeasureStretch)(in, frames, channels, out);
}
void levels_db(const float* in, size_t frames, int channels, float* out) {
    HWY_DYNAMIC_DISPATCH(LevelsDb)(in, frames, channels, out);
}
float peak(const float* in, size_t samples) { return HWY_DYNAMIC_DISPATCH(Peak)(in, samples); }
float fir_peak(const float* in, size_t samples, int channels, const float* h, int taps, int phases) {
    return HWY_DYNAMIC_DISPATCH(FirPeak)(in, samples, channels, h, taps, phases);
}

void fir(const float* in, std::span<const float> h, size_t frames, float* out) {
    HWY_DYNAMIC_DISPATCH(Fir)(in, h.data(), h.size(), frames, out);
}
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
