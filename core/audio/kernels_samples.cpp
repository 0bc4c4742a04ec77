// Samples of files: to float and back, with dither.
#include "core/audio/kernels.h"

#include <algorithm>
#include <cmath>

#undef HWY_TARGET_INCLUDE
#define HWY_TARGET_INCLUDE "core/audio/kernels_samples.cpp"
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

size_t Dithered(const float* HWY_RESTRICT in, size_t samples, float scale, uint32_t first_sample,
                int32_t* HWY_RESTRICT out) {
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
        auto h = hn::Add(hn::Set(u32, first_sample + static_cast<uint32_t>(i)), hn::Iota(u32, 0u));
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

}  // namespace isotonus::kernels::HWY_NAMESPACE
HWY_AFTER_NAMESPACE();

#if HWY_ONCE
namespace isotonus::kernels {

HWY_EXPORT(UnpackS16);
HWY_EXPORT(UnpackS24);
HWY_EXPORT(RemoveNonFinite);
HWY_EXPORT(PackS24);
HWY_EXPORT(Dithered);
HWY_EXPORT(SumsOf16);

void unpack_s16(const int16_t* in, size_t samples, float* out) { HWY_DYNAMIC_DISPATCH(UnpackS16)(in, samples, out); }
void unpack_s24(const uint8_t* in, size_t samples, float* out) { HWY_DYNAMIC_DISPATCH(UnpackS24)(in, samples, out); }
size_t remove_non_finite(float* inout, size_t samples) { return HWY_DYNAMIC_DISPATCH(RemoveNonFinite)(inout, samples); }
size_t pack_s24(const float* in, size_t samples, uint8_t* out) {
    return HWY_DYNAMIC_DISPATCH(PackS24)(in, samples, out);
}
size_t dithered(const float* in, size_t samples, float scale, uint32_t first_sample, int32_t* out) {
    return HWY_DYNAMIC_DISPATCH(Dithered)(in, samples, scale, first_sample, out);
}
void sums_of_16(const float* in, size_t frames, int channels, float* sums, float* magnitudes) {
    HWY_DYNAMIC_DISPATCH(SumsOf16)(in, frames, channels, sums, magnitudes);
}

}  // namespace isotonus::kernels
#endif
