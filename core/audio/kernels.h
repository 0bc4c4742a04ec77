// The inner loops, vectorised by Highway with run-time dispatch.  Each has a scalar twin in
// tests/core/kernels_test.cpp. All buffers are interleaved; counts are in samples (frames times channels) unless they
// say frames.
#pragma once

#include <cstddef>
#include <cstdint>
#include <span>

#include "core/audio/biquad.h"

namespace isotonus::kernels {

/// Little-endian 16-bit integers to float, full scale 32768.
void unpack_s16(const int16_t* in, size_t samples, float* out);

/// Packed little-endian 24-bit integers to float, full scale 8388608.
void unpack_s24(const uint8_t* in, size_t samples, float* out);

/// Replaces NaN and infinities by 0; returns how many there were.
size_t remove_non_finite(float* inout, size_t samples);

/// Float to packed little-endian 24-bit integers: times 8388608, rounded to the nearest (ties to even), clamped.
/// Returns how many samples had to be clamped.
size_t pack_s24(const float* in, size_t samples, uint8_t* out);

/// Float to integers: times `scale`, with triangular noise of +-1 (the difference of the two halves of an integer hash
/// of first_sample + i; none on zeros), rounded to the nearest, clamped to -scale … scale - 1.  Returns how many
/// samples would have been clamped without the noise.
size_t dithered(const float* in, size_t samples, float scale, uint32_t first_sample, int32_t* out);

/// Figures of one stretch of frames.  For mono only index 0 counts.
struct Stretch {
    float low[2], high[2];     ///< smallest and largest sample
    double sum[2], square[2];  ///< sums of x and of x^2
    double product;            ///< sum of left times right
};

/// Figures of `frames` frames, at most 4096, of 1 or 2 channels.
void measure_stretch(const float* in, size_t frames, int channels, Stretch* out);

/// Sums of groups of 16 frames: of x, and of |x|.  sums[group * channels + channel]; `frames` is a multiple of 16.
void sums_of_16(const float* in, size_t frames, int channels, float* sums, float* magnitudes);

/// The level of the louder channel in each frame, 20 log10 |x| within 0.0002 dB; of 0 it is -758 dB.
void levels_db(const float* in, size_t frames, int channels, float* out);

/// Filters one after the other, in place: each as BiquadOf::step of a DirectState does it, and with the same result to
/// the bit.  Run askew, filter n at frame t - 2n, they do not wait for each other, and stand side by side in wide
/// registers.
inline constexpr size_t max_biquads = 8;
void run_biquads(std::span<const PairFilter> filters, PairFilter::DirectState* states, Pair* inout, size_t frames);

/// Largest magnitude.
float peak(const float* in, size_t samples);

/// Largest magnitude of `phases` FIR filters of `taps` taps each (h[phase * taps + tap]):
/// y[i] = sum over tap of h[tap] * in[i + tap * channels], for i in 0 … samples-1.
/// `in` holds samples + (taps - 1) * channels values; (taps - 1) * channels is 128 at most.
float fir_peak(const float* in, size_t samples, int channels, const float* h, int taps, int phases);

/// out[i] += sum over tap of h[tap] * in[i + tap], tap after tap, products and sums in float; `in` holds
/// frames + taps - 1 values and is not what comes out.
void fir(const float* in, std::span<const float> h, size_t frames, float* out);

struct StereoRow {
    const float* in;
    double left, right;
};
/// sum[2i] += in[2i] * left, sum[2i+1] += in[2i+1] * right, row after row, products and sums in double.
void mix_stereo(std::span<const StereoRow> rows, size_t frames, double* sum);

/// Stereo to stereo: sum[2i] += in[2i] * (ll g) + in[2i+1] * (lr g), sum[2i+1] += in[2i+1] * (rr g) + in[2i] * (rl g),
/// products and sums in double; g is ride[i], or 1 when ride is null.
struct Matrix {
    double ll, lr, rl, rr;
};
void mix_matrix(const float* in, size_t frames, const double* ride, const Matrix& m, double* sum);
void mix_matrix(const double* in, size_t frames, const double* ride, const Matrix& m, double* sum);
/// The same without what crosses: lr and rl are 0.
void mix_stereo_ridden(const float* in, size_t frames, const double* ride, double left, double right, double* sum);
/// Mono with a ride, as above.
void mix_mono_ridden(const float* in, size_t frames, const double* ride, double left, double right, double* sum);

/// sum[2i] += in[i] * left, sum[2i+1] += in[i] * right, products and sums in double.
void mix_mono(const float* in, size_t frames, double left, double right, double* sum);

/// out[k] = base * ratio^k, for k = 0 … count - 1: the first 16 by doubling, then out[k] = out[k - 16] * ratio^16, so
/// that what stands at k does not depend on the count.
void geometric(double base, double ratio, size_t count, double* out);

/// out = float(sum * gain)
void scale_to_float(const double* sum, size_t samples, double gain, float* out);

}  // namespace isotonus::kernels
