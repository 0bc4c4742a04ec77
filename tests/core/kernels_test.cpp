// Every vectorised loop against a plain one.
#include "core/audio/kernels.h"
#include "core/audio/denormals.h"

#include <random>

#include "core/audio/kaiser.h"

#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {
const size_t sizes[] = {1, 2, 3, 5, 6, 7, 8, 15, 16, 17, 31, 33, 64, 255, 256, 1000};
}

TEST(Kernels, unpack_as_a_plain_loop_does) {
    for (const size_t n : sizes) {
        std::vector<int16_t> s16(n);
        std::vector<uint8_t> s24(3 * n);
        for (size_t i = 0; i < n; ++i) s16[i] = static_cast<int16_t>(i * 7919 - 32768);
        for (size_t i = 0; i < 3 * n; ++i) s24[i] = static_cast<uint8_t>(i * 73 + 11);
        std::vector<float> out(n);
        kernels::unpack_s16(s16.data(), n, out.data());
        for (size_t i = 0; i < n; ++i) EXPECT_EQ(out[i], static_cast<float>(s16[i]) / 32768.0f);
        kernels::unpack_s24(s24.data(), n, out.data());
        for (size_t i = 0; i < n; ++i) {
            const int32_t value = (s24[3 * i] | s24[3 * i + 1] << 8 | s24[3 * i + 2] << 16) << 8;
            EXPECT_EQ(out[i], static_cast<float>(value >> 8) / 8388608.0f);
        }
    }
}

TEST(Kernels, pack_rounds_clamps_and_counts) {
    const std::vector<float> in{0.0f,
                                1.0f,
                                -1.0f,
                                1.5f,
                                -2.0f,
                                0.4f / 8388608.0f,
                                0.6f / 8388608.0f,
                                -0.6f / 8388608.0f,
                                0.25f,
                                1.0f,
                                8388607.0f / 8388608.0f};
    std::vector<uint8_t> packed(3 * in.size());
    EXPECT_EQ(kernels::pack_s24(in.data(), in.size(), packed.data()), 4u);  // +1.0 twice, 1.5, -2.0
    std::vector<float> back(in.size());
    kernels::unpack_s24(packed.data(), in.size(), back.data());
    const float lsb = 1.0f / 8388608.0f;
    const std::vector<float> expected{0.0f, 1.0f - lsb, -1.0f, 1.0f - lsb, -1.0f,     0.0f,
                                      lsb,  -lsb,       0.25f, 1.0f - lsb, 1.0f - lsb};
    EXPECT_EQ(back, expected);
}

TEST(Kernels, dithered_agrees_with_a_plain_loop) {
    const auto noise_at = [](uint32_t h) {
        h = (h ^ (h >> 16)) * 0x7feb352dU;
        h = (h ^ (h >> 15)) * 0x846ca68bU;
        h ^= h >> 16;
        return (static_cast<double>(h >> 16) - static_cast<double>(h & 0xffff)) / 65536.0;
    };
    for (const size_t n : sizes)
        for (const float scale : {32768.0f, 8388608.0f}) {
            auto in = make(static_cast<int64_t>(n), 1, noise(5));
            for (size_t i = 0; i < n; i += 7) in[i] = 0.0f;
            if (n > 2) in[1] = 1.0f, in[2] = -1.5f;
            std::vector<int32_t> out(n);
            const size_t clamped = kernels::dithered(in.data(), n, scale, 77, out.data());
            size_t expected = 0;
            for (size_t i = 0; i < n; ++i) {
                const double x = static_cast<double>(in[i]) * static_cast<double>(scale),
                             s = static_cast<double>(scale);
                if (std::nearbyint(x) > s - 1.0 || x < -s - 0.5) ++expected;
                const double wanted =
                    x == 0.0 ? 0.0 : std::clamp(x + noise_at(77 + static_cast<uint32_t>(i)), -s, s - 1.0);
                EXPECT_LE(std::fabs(out[i] - wanted), 0.5001) << i;
            }
            EXPECT_EQ(clamped, expected);
        }
}

TEST(Kernels, stretch_figures_agree_with_a_plain_loop) {
    for (const int channels : {1, 2}) {
        for (const size_t frames : sizes) {
            const auto x = make(static_cast<int64_t>(frames), channels, noise(3));
            kernels::Stretch s;
            kernels::measure_stretch(x.data(), frames, channels, &s);
            double product = 0.0;
            for (int c = 0; c < channels; ++c) {
                double sum = 0.0, square = 0.0;
                float low = 9.0f, high = -9.0f;
                for (size_t i = 0; i < frames; ++i) {
                    const float v = x[i * static_cast<size_t>(channels) + static_cast<size_t>(c)];
                    sum += static_cast<double>(v);
                    square += static_cast<double>(v) * static_cast<double>(v);
                    low = std::min(low, v), high = std::max(high, v);
                    if (c == 1) product += static_cast<double>(v) * static_cast<double>(x[i * 2]);
                }
                EXPECT_NEAR(s.sum[c], sum, 1e-9);
                EXPECT_NEAR(s.square[c], square, 1e-9);
                EXPECT_EQ(s.low[c], low);
                EXPECT_EQ(s.high[c], high);
            }
            EXPECT_NEAR(s.product, product, 1e-9);
        }
    }
}

TEST(Kernels, peaks_and_fir_peaks_agree_with_a_plain_loop) {
    const std::vector<float> h{0.3f, -0.7f, 0.2f, 0.9f, 0.1f, 0.5f};  // two phases of three taps
    for (const int channels : {1, 2}) {
        for (const size_t n : sizes) {
            const size_t samples = n * static_cast<size_t>(channels), step = static_cast<size_t>(channels);
            const auto x = make(static_cast<int64_t>(n + 2), channels, noise(5));
            float most = 0.0f, peak = 0.0f;
            for (size_t i = 0; i < samples; ++i) {
                peak = std::max(peak, std::fabs(x[i]));
                for (size_t p = 0; p < 2; ++p)
                    most = std::max(
                        most, std::fabs(h[3 * p] * x[i] + h[3 * p + 1] * x[i + step] + h[3 * p + 2] * x[i + 2 * step]));
            }
            EXPECT_EQ(kernels::peak(x.data(), samples), peak);
            EXPECT_NEAR(kernels::fir_peak(x.data(), samples, channels, h.data(), 3, 2), most, 1e-6f);
        }
    }
}

TEST(Kernels, a_filters_sums_are_those_of_a_plain_loop_to_the_bit_whatever_the_length) {
    const auto x = make(1100, 1, noise(6)), weights = make(80, 1, noise(9));
    for (const size_t taps : {1u, 6u, 80u})
        for (const size_t frames : sizes) {
            if (frames + taps > x.size()) continue;
            std::vector<float> out(frames, 0.25f), expected(frames, 0.25f);
            kernels::fir(x.data(), std::span(weights).first(taps), frames, out.data());
            for (size_t i = 0; i < frames; ++i)
                for (size_t tap = 0; tap < taps; ++tap) expected[i] += weights[tap] * x[i + tap];
            EXPECT_EQ(out, expected) << taps << " " << frames;
        }
}

TEST(Kernels, mixing_is_the_same_to_the_bit_whatever_the_length) {
    const auto stereo = make(300, 2, noise(7)), mono = make(300, 1, noise(8));
    for (const size_t frames : sizes) {
        if (frames > 300) continue;
        std::vector<double> sum(2 * frames, 0.125), expected(2 * frames, 0.125);
        kernels::mix_stereo(std::array{kernels::StereoRow{stereo.data(), 0.7, -0.3}}, frames, sum.data());
        kernels::mix_mono(mono.data(), frames, 0.6, 0.8, sum.data());
        for (size_t i = 0; i < frames; ++i) {
            expected[2 * i] += static_cast<double>(stereo[2 * i]) * 0.7;
            expected[2 * i + 1] += static_cast<double>(stereo[2 * i + 1]) * -0.3;
            expected[2 * i] += static_cast<double>(mono[i]) * 0.6;
            expected[2 * i + 1] += static_cast<double>(mono[i]) * 0.8;
        }
        EXPECT_EQ(sum, expected);
        // Many rows in one go are added like one after the other.
        for (size_t count = 0; count < 9; ++count) {
            std::vector<kernels::StereoRow> rows;
            std::vector<double> at_once = sum, in_turn = sum;
            for (size_t n = 0; n < count; ++n) {
                rows.push_back({stereo.data() + 2 * (300 - frames) * n / 8, 0.1 + 0.07 * static_cast<double>(n), -0.4});
                kernels::mix_stereo(std::span(rows).last(1), frames, in_turn.data());
            }
            kernels::mix_stereo(rows, frames, at_once.data());
            EXPECT_EQ(at_once, in_turn) << count;
        }
        const kernels::Matrix m{0.7, -0.2, 0.1, 0.9};
        const std::vector<double> doubles(stereo.begin(), stereo.begin() + static_cast<std::ptrdiff_t>(2 * frames));
        std::vector<double> ride(frames), from_doubles = sum;
        for (size_t i = 0; i < frames; ++i) ride[i] = 0.3 + 0.001 * static_cast<double>(i);
        for (const double* r : {static_cast<const double*>(nullptr), static_cast<const double*>(ride.data())}) {
            kernels::mix_matrix(stereo.data(), frames, r, m, sum.data());
            kernels::mix_matrix(doubles.data(), frames, r, m, from_doubles.data());
            for (size_t i = 0; i < frames; ++i) {
                const double g = r ? r[i] : 1.0, x = doubles[2 * i], y = doubles[2 * i + 1];
                expected[2 * i] += x * (m.ll * g) + y * (m.lr * g);
                expected[2 * i + 1] += y * (m.rr * g) + x * (m.rl * g);
            }
            EXPECT_EQ(sum, expected);
            EXPECT_EQ(from_doubles, expected);
        }
        kernels::mix_mono_ridden(mono.data(), frames, ride.data(), 0.6, 0.8, sum.data());
        for (size_t i = 0; i < frames; ++i) {
            expected[2 * i] += static_cast<double>(mono[i]) * (0.6 * ride[i]);
            expected[2 * i + 1] += static_cast<double>(mono[i]) * (0.8 * ride[i]);
        }
        kernels::mix_stereo_ridden(stereo.data(), frames, ride.data(), 0.7, -0.3, sum.data());
        for (size_t i = 0; i < frames; ++i) {
            expected[2 * i] += static_cast<double>(stereo[2 * i]) * (0.7 * ride[i]);
            expected[2 * i + 1] += static_cast<double>(stereo[2 * i + 1]) * (-0.3 * ride[i]);
        }
        EXPECT_EQ(sum, expected);
        std::vector<double> series(frames), longer(frames + 37);
        kernels::geometric(0.5, 1.001, frames, series.data());
        kernels::geometric(0.5, 1.001, frames + 37, longer.data());
        for (size_t i = 0; i < frames; ++i) {
            ASSERT_EQ(series[i], longer[i]);
            ASSERT_NEAR(series[i], 0.5 * std::pow(1.001, static_cast<double>(i)), 1e-13);
        }
    }
}

TEST(Kernels, what_is_not_a_number_becomes_silence_and_is_counted) {
    for (const size_t n : sizes) {
        auto x = make(static_cast<int64_t>(n), 1, noise(9));
        const auto before = x;
        x[n / 2] = std::numeric_limits<float>::quiet_NaN();
        x[n - 1] = -std::numeric_limits<float>::infinity();
        EXPECT_EQ(kernels::remove_non_finite(x.data(), n), n / 2 == n - 1 ? 1u : 2u);
        for (size_t i = 0; i < n; ++i) EXPECT_EQ(x[i], i == n / 2 || i == n - 1 ? 0.0f : before[i]);
    }
}

TEST(Kernels, levels_are_those_of_the_logarithm) {
    for (const int channels : {1, 2})
        for (const size_t frames : {1u, 5u, 16u, 32u, 100u}) {
            std::vector<float> in, out(frames);
            for (size_t i = 0; i < frames * static_cast<size_t>(channels); ++i)
                in.push_back(static_cast<float>((i % 2 ? -1.0 : 1.0) *
                                                std::pow(10.0, -6.0 + 0.07 * static_cast<double>(i % 97))));
            kernels::levels_db(in.data(), frames, channels, out.data());
            for (size_t i = 0; i < frames; ++i) {
                float most = 0.0f;
                for (int c = 0; c < channels; ++c)
                    most = std::max(most, std::fabs(in[i * static_cast<size_t>(channels) + static_cast<size_t>(c)]));
                ASSERT_NEAR(out[i], 20.0 * std::log10(static_cast<double>(most)), 0.0003) << frames << " " << i;
            }
        }
    const float nothing = 0.0f;
    float level = 0.0f;
    kernels::levels_db(&nothing, 1, 1, &level);
    EXPECT_LT(level, -700.0f);
}

TEST(Kernels, filters_run_askew_are_the_same_bits_as_one_after_the_other) {
    std::mt19937 random(5);
    std::uniform_real_distribution<double> uniform(-1.0, 1.0);
    for (size_t count = 1; count <= kernels::max_biquads; ++count)
        for (const size_t frames : {1, 2, 5, 7, 8, 32, 100}) {
            std::vector<PairFilter> filters;
            for (size_t n = 0; n < count; ++n)
                filters.push_back(
                    on_both(bell(200.0 * static_cast<double>(n + 1), 1.0, 12.0 * uniform(random), 48000.0)));
            filters.back().b1[1] += 0.01;  // the sides need not be alike
            std::vector<PairFilter::DirectState> states(count), plain_states(count);
            std::vector<Pair> x(frames), plain;
            for (int block = 0; block < 3; ++block) {
                for (Pair& v : x) v = Pair{uniform(random), uniform(random)};
                plain = x;
                for (size_t n = 0; n < count; ++n)
                    for (Pair& v : plain) v = filters[n].step(plain_states[n], v);
                kernels::run_biquads(filters, states.data(), x.data(), frames);
                for (size_t i = 0; i < frames; ++i)
                    for (int side = 0; side < 2; ++side)
                        ASSERT_EQ(x[i][side], plain[i][side]) << count << " filters, frame " << i << " of " << frames;
            }
        }
}

TEST(Kernels, filters_that_ring_out_end_in_zeros) {
    const std::vector<PairFilter> filters(3, on_both(low_cut(1000.0, flat_q, 48000.0)));
    std::vector<PairFilter::DirectState> states(3);
    std::vector<Pair> x(64);
    x[0] = Pair{1.0, -1.0};
    const NoDenormals none;
    for (int n = 0; n < 400; ++n) {
        kernels::run_biquads(filters, states.data(), x.data(), x.size());
        for (const Pair& v : x)
            for (int side = 0; side < 2; ++side) ASSERT_TRUE(v[side] == 0.0 || std::isnormal(v[side]));
        std::fill(x.begin(), x.end(), Pair{});
    }
    for (const auto& s : states)
        for (int side = 0; side < 2; ++side) EXPECT_TRUE(s.y1[side] == 0.0 && s.y2[side] == 0.0);
}

TEST(Kaiser, windows_follow_the_bessel_function_of_the_standard_library) {
    for (const double beta : {0.0, 2.0, 5.0, 9.0, 14.0})
        for (const double place : {0.0, 0.1, 0.5, 0.9, 0.999})
            EXPECT_NEAR(kaiser(place, beta),
                        std::cyl_bessel_i(0.0, beta * std::sqrt(1.0 - place * place)) / std::cyl_bessel_i(0.0, beta),
                        1e-13);
    EXPECT_EQ(kaiser(1.0, 5.0), 0.0);
    EXPECT_EQ(kaiser(-1.5, 5.0), 0.0);
}
