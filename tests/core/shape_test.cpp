// Processors against their published definitions and against second implementations.
#include <gmock/gmock.h>

#include <fstream>
#include <nlohmann/json.hpp>
#include <random>

#include "core/audio/fft.h"
#include "core/shape/compressor.h"
#include "core/shape/filters.h"
#include "core/shape/response.h"
#include "core/shape/saturation.h"
#include "tests/support/chains.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

/// The gain of a chain at a frequency in dB, from a long sine.
double gain_at(const Chain& chain, double hz, double rate, int channels = 1, int channel = 0, const Wave& wave = {}) {
    const auto frames = static_cast<int64_t>(rate);
    const auto in = make(frames, channels, wave ? wave : sine(hz, rate, 0.1));
    const auto out = through(chain, in, channels, rate);
    const auto from = static_cast<size_t>(frames / 2), to = static_cast<size_t>(frames);
    return rms_db(out, channels, channel, from, to) - rms_db(in, channels, channel, from, to);
}

std::string python(const std::string& script, const fs::path& folder) {
    std::ofstream(folder / "p.py") << script;
    int status = 0;
    const std::string out = output_of("cd '" + folder.string() + "' && /usr/bin/python3 p.py", &status);
    EXPECT_EQ(status, 0);
    return out;
}

}  // namespace

// Bells and shelves follow the prototypes of the Audio EQ Cookbook (W3C Note); scipy evaluates them.
TEST(MatchedFilters, follow_their_analogue_prototypes) {
    Folder folder;
    const auto answer = nlohmann::json::parse(python(R"(
import json, math
from scipy import signal
found = []
for shape in range(2, 5):
    for hz in (40, 500, 3000, 8000, 12000):
        for q in (0.3, 0.7071, 2, 10):
            for db in (-12, -3, 6, 12):
                if shape > 2 and q > 1: continue
                A, r = 10 ** (db / 40), math.sqrt(10 ** (db / 40))
                b, a = {2: ([1, A / q, 1], [1, 1 / (A * q), 1]), 3: ([A, A * r / q, A * A], [A, r / q, 1]),
                        4: ([A * A, A * r / q, A], [1, r / q, A])}[shape]
                at = [30, 100, 400, 1000, 2500, 4000, 7000, 10000, 13000, 16000]
                w, h = signal.freqs(b, a, [f / hz for f in at])
                found.append([shape, hz, q, db, [20 * math.log10(abs(x)) for x in h]])
print(json.dumps(found))
)",
                                                     folder.path()));
    constexpr double at[] = {30, 100, 400, 1000, 2500, 4000, 7000, 10000, 13000, 16000};
    double worst = 0.0, worst_low = 0.0;
    for (const auto& c : answer) {
        const Biquad f = matched_filter(static_cast<FilterShape>(c[0].get<int>()), c[1], c[2], c[3], 44100);
        for (size_t n = 0; n < std::size(at); ++n) {
            const double off = std::fabs(response_db({&f, 1}, at[n], 44100) - c[4][n].get<double>());
            worst = std::max(worst, off);
            if (at[n] <= 4410) worst_low = std::max(worst_low, off);
        }
    }
    std::printf("bells and shelves at 44.1 kHz: within %.3f dB up to 16 kHz, %.4f dB below a tenth of the rate\n",
                worst, worst_low);
    EXPECT_LT(worst, 0.5);
    EXPECT_LT(worst_low, 0.05);
}

// Butterworth: -3.01 dB at the cut-off, 12 and 24 dB an octave.
TEST(Cuts, are_butterworth) {
    for (const double rate : {44100.0, 48000.0, 96000.0}) {
        const Chain soft{processor("low_cut", {{"hz", 100}})}, steep{processor("low_cut", {{"hz", 100}, {"slope", 1}})};
        EXPECT_NEAR(gain_at(soft, 100, rate), -3.01, 0.02);
        EXPECT_NEAR(gain_at(steep, 100, rate), -3.01, 0.02);
        EXPECT_NEAR(gain_at(soft, 25, rate), -24.1, 0.1);   // 10 log10(1 + 4^4)
        EXPECT_NEAR(gain_at(steep, 25, rate), -48.2, 0.1);  // 10 log10(1 + 4^8)
        EXPECT_NEAR(gain_at(steep, 1000, rate), 0.0, 0.01);
        const Chain high{processor("high_cut", {{"hz", 2000}, {"slope", 1}})};
        EXPECT_NEAR(gain_at(high, 2000, rate), -3.01, 0.02);
        EXPECT_NEAR(gain_at(high, 8000, rate), -48.2, 0.6);
    }
}

TEST(Equaliser, works_on_both_sides_the_middle_or_the_sides) {
    const auto chain = [](double where) {
        return Chain{processor(
            "equaliser",
            {{"band3.in", 1}, {"band3.hz", 1000}, {"band3.db", 9}, {"band3.q", 1.0}, {"band3.where", where}})};
    };
    const Wave middle = sine(1000, 48000, 0.1);
    const Wave sides = [middle](int64_t i, int c) { return c == 0 ? middle(i, c) : -middle(i, c); };
    EXPECT_NEAR(gain_at(chain(0), 1000, 48000, 2, 0, middle), 9.0, 0.05);
    EXPECT_NEAR(gain_at(chain(0), 1000, 48000, 2, 1, sides), 9.0, 0.05);
    EXPECT_NEAR(gain_at(chain(1), 1000, 48000, 2, 1, middle), 9.0, 0.05);
    EXPECT_NEAR(gain_at(chain(1), 1000, 48000, 2, 1, sides), 0.0, 0.01);
    EXPECT_NEAR(gain_at(chain(2), 1000, 48000, 2, 0, middle), 0.0, 0.01);
    EXPECT_NEAR(gain_at(chain(2), 1000, 48000, 2, 0, sides), 9.0, 0.05);
    EXPECT_NEAR(gain_at(chain(2), 1000, 48000), 0.0, 1e-6) << "a mono row has no sides";
}

TEST(Equaliser, swept_at_full_speed_does_not_click) {
    // A bell of +12 dB goes through the spectrum five times a second under a steady sine; what is above 6 kHz is what a
    // jump would leave there.
    Rides rides;
    const Processor p = processor("equaliser", {{"band1.in", 1}, {"band1.db", 12}, {"band1.q", 1.0}});
    std::vector<RidePoint> points;
    for (int n = 0; n <= 20; ++n) points.push_back({n * 0.1, n % 2 ? 4000.0 : 60.0});
    rides.set(Parameter(*parameter_of(p, "band1.hz"), p.id), ride(points));
    const auto out = through({p}, make(96000, 1, sine(200, 48000, 0.25)), 1, 48000, rides);
    const auto high = through({processor("low_cut", {{"hz", 6000}, {"slope", 1}})}, out, 1);
    EXPECT_LT(rms_db(high, 1, 0, 1000, 96000), rms_db(out, 1, 0, 1000, 96000) - 60.0);
}

// Giannoulis, Massberg, Reiss, JAES 60 (2012), equation 4.
TEST(Compressor, reduces_a_steady_sine_as_its_curve_says) {
    for (const double detector : {0.0, 1.0})
        for (const double ratio : {1.5, 4.0, endless_ratio})
            for (const double level : {-40.0, -24.0, -20.0, -17.0, -6.0, 0.0}) {
                const Chain chain{processor("compressor", {{"threshold_dbfs", -20},
                                                           {"ratio", ratio},
                                                           {"knee_db", 8},
                                                           {"attack_ms", 1},
                                                           {"release_ms", 1000},
                                                           {"detector", detector}})};
                const auto in = make(240000, 2, sine(1000, 48000, gain_from_db(level)));
                const auto out = through(chain, in, 2);
                EXPECT_NEAR(rms_db(out, 2, 1, 192000, 240000) - level, static_reduction_db(level, -20, ratio, 8), 0.1)
                    << detector << " " << ratio << " " << level;
            }
}

// Attack and release are the time to 63 % of a step of the gain in dB.
TEST(Compressor, takes_the_times_that_are_set) {
    for (const double attack_ms : {1.0, 10.0, 100.0}) {
        const Chain chain{processor(
            "compressor",
            {{"threshold_dbfs", -40}, {"ratio", 4}, {"knee_db", 0}, {"attack_ms", attack_ms}, {"release_ms", 200}})};
        // A direct current in steps shows the gain itself.
        const auto step = [](int64_t i, int) {
            return i < 48000 ? gain_from_db(-40.0) : i < 96000 ? gain_from_db(-10.0) : gain_from_db(-40.0);
        };
        const auto in = make(192000, 1, step);
        const auto out = through(chain, in, 1);
        const auto gain = [&](int64_t i) {
            return 20.0 * std::log10(static_cast<double>(out[static_cast<size_t>(i)] / in[static_cast<size_t>(i)]));
        };
        const double whole = -30.0 * 0.75;
        EXPECT_NEAR(gain(95999), whole, 0.05);
        EXPECT_NEAR(gain(48000 + static_cast<int64_t>(attack_ms * 48.0)), whole * (1.0 - std::exp(-1.0)), 0.25)
            << attack_ms;
        EXPECT_NEAR(gain(96000 + 9600), whole * std::exp(-1.0), 0.1);
    }
}

// A second implementation, sample by sample in double precision, in numpy.
TEST(Compressor, agrees_with_a_second_implementation) {
    Folder folder;
    const auto in = make(96000, 2, [n = noise(11, 0.7)](int64_t i, int c) {
        return n(i, c) * (0.05 + 0.95 * std::pow(std::fabs(std::sin(static_cast<double>(i) / 9000.0)), 4.0));
    });
    write(folder / "in.wav", in, 2, 48000, SampleFormat::f32);
    const auto out = through({processor("compressor", {{"threshold_dbfs", -24},
                                                       {"ratio", 5},
                                                       {"knee_db", 10},
                                                       {"attack_ms", 3},
                                                       {"release_ms", 70},
                                                       {"makeup_db", 4},
                                                       {"range_db", 9}})},
                             in, 2);
    write(folder / "out.wav", out, 2, 48000, SampleFormat::f32);
    const std::string said = python(R"(
import numpy as np
from scipy.io import wavfile
rate, x = wavfile.read('in.wav'); rate, y = wavfile.read('out.wav')
x = x.astype(float); y = y.astype(float)
level = 20 * np.log10(np.maximum(np.abs(x).max(axis=1), 1e-38))
T, R, W = -24.0, 5.0, 10.0
over = level - T
static = np.where(2 * over < -W, 0, np.where(2 * over > W, (1 / R - 1) * over, (1 / R - 1) * (over + W / 2) ** 2 / (2 * W)))
static = np.maximum(static, -9.0)
attack, release = np.exp(-1 / (0.003 * rate)), np.exp(-1 / (0.07 * rate))
g, now = np.zeros(len(x)), 0.0
for n, c in enumerate(static):
    k = attack if c < now else release
    now = k * now + (1 - k) * c
    g[n] = now
wanted = x * (10 ** ((g + 4) / 20))[:, None]
print(20 * np.log10(np.sqrt(np.mean((wanted - y) ** 2)) / np.sqrt(np.mean(wanted ** 2))))
)",
                                    folder.path());
    EXPECT_LT(std::stod(said), -90.0) << said;
}

TEST(Compressor, looks_ahead_and_is_in_time_all_the_same) {
    const auto step = make(48000, 1, [](int64_t i, int) { return i < 24000 ? 0.01 : 0.5; });
    const Chain now{processor("compressor", {{"threshold_dbfs", -30}, {"ratio", 10}, {"attack_ms", 2}})};
    const Chain ahead{
        processor("compressor", {{"threshold_dbfs", -30}, {"ratio", 10}, {"attack_ms", 2}, {"lookahead_ms", 10}})};
    EXPECT_EQ(ChainRun(ahead, {}, 1, 48000).latency(), 480);
    const auto late = through(now, step, 1), early = through(ahead, step, 1);
    EXPECT_FLOAT_EQ(early[20000], step[20000]);
    EXPECT_GT(late[24002], 0.45f);  // without it the step's beginning comes through
    EXPECT_LT(early[24002], 0.1f);
    EXPECT_EQ(early.size(), step.size());
}

TEST(Compressor, of_a_filtered_key_takes_away_what_hisses) {
    const Chain chain{
        processor("compressor", {{"threshold_dbfs", -40}, {"ratio", 8}, {"key_low_cut_hz", 5000}, {"attack_ms", 1}})};
    EXPECT_NEAR(gain_at(chain, 200, 48000), 0.0, 0.1);
    EXPECT_LT(gain_at(chain, 8000, 48000), -10.0);
}

TEST(Duck, follows_another_rows_level) {
    std::vector<float> key(96000, 0.0f);
    for (size_t i = 24000; i < 36000; ++i) key[i] = 0.5f;
    Processor p = processor("duck", {{"depth_db", 12}, {"hold_ms", 50}, {"release_ms", 100}});
    p.key = 7;
    const auto in = make(96000, 2, sine(1000, 48000, 0.3));
    const auto out = through({p}, in, 2, 48000, {}, &key);
    const auto gain = [&](size_t from, size_t to) { return rms_db(out, 2, 0, from, to) - rms_db(in, 2, 0, from, to); };
    EXPECT_NEAR(gain(10000, 20000), 0.0, 0.01);
    EXPECT_NEAR(gain(30000, 36000), -12.0, 0.05);
    EXPECT_NEAR(gain(36480, 38000), -12.0, 0.2) << "held for 50 ms";
    EXPECT_NEAR(gain(36000 + 2400 + 4800 - 48, 36000 + 2400 + 4800 + 48), -12.0 * std::exp(-1.0), 0.5);
    EXPECT_NEAR(gain(80000, 90000), 0.0, 0.05);
    // Only below: a high sine is left alone while the lows go down.
    Processor below = processor("duck", {{"depth_db", 24}, {"where", 1}, {"high_hz", 200}});
    below.key = 7;
    const auto high = through({below}, make(96000, 1, sine(6000, 48000, 0.3)), 1, 48000, {}, &key);
    EXPECT_NEAR(rms_db(high, 1, 0, 30000, 36000), 20.0 * std::log10(0.3), 0.1);
    const auto low = through({below}, make(96000, 1, sine(50, 48000, 0.3)), 1, 48000, {}, &key);
    EXPECT_LT(rms_db(low, 1, 0, 30000, 36000), 20.0 * std::log10(0.3) - 15.0);
}

TEST(Gate, closes_below_its_threshold_and_does_not_flutter) {
    const auto level = [](int64_t i, int c) { return sine(500, 48000, i < 48000 ? 0.2 : 0.001)(i, c); };
    const auto in = make(144000, 1, level);
    const auto out = through(
        {processor("gate", {{"threshold_dbfs", -30}, {"range_db", 30}, {"hold_ms", 100}, {"release_ms", 50}})}, in, 1);
    EXPECT_NEAR(rms_db(out, 1, 0, 20000, 47000) - rms_db(in, 1, 0, 20000, 47000), 0.0, 0.01);
    EXPECT_NEAR(rms_db(out, 1, 0, 100000, 140000) - rms_db(in, 1, 0, 100000, 140000), -30.0, 0.05);
    EXPECT_EQ(rms_db(out, 1, 0, 48100, 52000), rms_db(in, 1, 0, 48100, 52000)) << "held";
}

// No alias above -80 dB of the fundamental for sines of 1 and 5 kHz at 12 dB of drive.
TEST(Saturation, leaves_no_aliases) {
    constexpr size_t n = 32768;
    for (const double curve : {0.0, 1.0, 2.0})
        for (const double about : {1000.0, 5000.0}) {
            const double bin = std::round(about * n / 48000.0) + 0.0, hz = bin * 48000.0 / n;
            const auto out = through({processor("saturation", {{"curve", curve}, {"drive_db", 12}})},
                                     make(3 * n, 1, sine(hz, 48000, 0.7)), 1);
            RealFft fft(n);
            for (size_t i = 0; i < n; ++i) fft.time()[i] = out[n + i];
            fft.forward();
            const auto power = [&](size_t k) { return std::norm(std::complex<double>(fft.bins()[k])); };
            const auto first = static_cast<size_t>(bin);
            double worst = 0.0;
            for (size_t k = 8; k < n / 2 - 8; ++k)
                if (k % first > 2 && first - k % first > 2) worst = std::max(worst, power(k));
            EXPECT_LT(10.0 * std::log10(worst / power(first)), -80.0) << curve << " " << about;
            // Even harmonics only where the curve is not odd.
            const double second = 10.0 * std::log10(power(2 * first) / power(first));
            if (curve == 1.0)
                EXPECT_GT(second, -40.0);
            else
                EXPECT_LT(second, -80.0);
        }
}

// Harmonics as the curve's own Fourier series, by numerical integration of the definition.
TEST(Saturation, makes_the_harmonics_of_its_curve) {
    constexpr size_t n = 32768;
    constexpr size_t first = 341;  // about 500 Hz
    const double amplitude = 0.5, drive = gain_from_db(9.0);
    for (const auto curve : {SaturationCurve::tanh, SaturationCurve::asymmetric, SaturationCurve::clip}) {
        const auto out = through(
            {processor("saturation", {{"curve", static_cast<double>(curve)}, {"drive_db", 9}, {"compensate", 0}})},
            make(3 * n, 1, sine(first * 48000.0 / n, 48000, amplitude)), 1);
        RealFft fft(n);
        for (size_t i = 0; i < n; ++i) fft.time()[i] = out[n + i];
        fft.forward();
        for (const size_t harmonic : {1u, 2u, 3u, 5u}) {
            std::complex<double> sum = 0.0;
            for (int k = 0; k < 4096; ++k) {
                const double t = 2.0 * std::numbers::pi * k / 4096.0;
                sum += saturated(curve, drive * amplitude * std::sin(t)) *
                       std::polar(1.0, -static_cast<double>(harmonic) * t);
            }
            const double wanted = 2.0 * std::abs(sum) / 4096.0,
                         got = 2.0 * std::abs(std::complex<double>(fft.bins()[harmonic * first])) / n;
            EXPECT_NEAR(got, wanted, 3e-4) << static_cast<int>(curve) << " " << harmonic;
        }
    }
}

TEST(Saturation, is_in_time_and_touches_only_its_band) {
    const Chain chain{processor("saturation", {{"drive_db", 0}, {"ceiling_dbfs", 0}})};
    const auto in = make(48000, 1, sine(300, 48000, 0.01));
    const auto out = through(chain, in, 1);
    for (size_t i = 2000; i < 40000; i += 97) EXPECT_NEAR(out[i], in[i], 2e-5) << i;
    const Chain low{processor("saturation", {{"drive_db", 24}, {"high_hz", 200}})};
    EXPECT_NEAR(gain_at(low, 9000, 48000), 0.0, 0.1);
}

// Up and down again by filters: what is quiet passes as it is, within the ripple of 85 dB, up to where they begin to
// fall.
TEST(Saturation, passes_all_that_is_heard) {
    const Chain chain{processor("saturation", {{"drive_db", 0}, {"ceiling_dbfs", 0}})};
    for (const double hz : {30.0, 1000.0, 10000.0, 18000.0, 19500.0})
        EXPECT_NEAR(gain_at(chain, hz, 48000, 1, 0, sine(hz, 48000, 0.01)), 0.0, 0.01) << hz;
}

// The reference: a high shelf of the Audio EQ Cookbook as an analogue filter, A (A s^2 + sqrt(A)/Q s + 1) / (s^2 +
// sqrt(A)/Q s + A) with A = 10^(dB / 40) (W3C Note, Audio EQ Cookbook).
TEST(BandCompressor, turns_its_band_down_and_leaves_the_rest_alone) {
    constexpr size_t n = 32768;
    const size_t low = 137, high = 6144;  // about 200 Hz, 9 kHz
    const auto both = make(3 * n, 1, [&](int64_t i, int c) {
        return sine(low * 48000.0 / n, 48000, 0.3)(i, c) + sine(high * 48000.0 / n, 48000, 0.3)(i, c);
    });
    const Chain chain{processor(
        "band_compressor",
        {{"where", 1}, {"low_hz", 5000}, {"threshold_dbfs", -60}, {"ratio", 100}, {"knee_db", 0}, {"range_db", 12}})};
    const auto bins = [&](const std::vector<float>& x) {
        RealFft fft(n);
        for (size_t i = 0; i < n; ++i) fft.time()[i] = x[n + i];
        fft.forward();
        return std::pair(std::complex<double>(fft.bins()[low]), std::complex<double>(fft.bins()[high]));
    };
    const auto [low_in, high_in] = bins(both);
    const auto [low_out, high_out] = bins(through(chain, both, 1));
    const std::complex<double> s(0.0, static_cast<double>(high) * 48000.0 / n / 5000.0);
    const double a = std::pow(10.0, -12.0 / 40.0), b = std::sqrt(2.0 * a);
    const std::complex<double> left = a * (a * s * s + b * s + 1.0) / (s * s + b * s + a);
    EXPECT_NEAR(20.0 * std::log10(std::abs(high_out / high_in)), 20.0 * std::log10(std::abs(left)), 0.4);
    EXPECT_NEAR(20.0 * std::log10(std::abs(low_out / low_in)), 0.0, 0.01);
    EXPECT_NEAR(std::arg(low_out / low_in), 0.0, 0.04) << "within 2 degrees";
    // Nothing in its band is loud: what comes in goes out to the bit, whatever the rest does.
    const auto quiet = make(48000, 2, sine(200, 48000, 0.9));
    EXPECT_EQ(
        through({processor("band_compressor", {{"where", 1}, {"low_hz", 5000}, {"threshold_dbfs", -20}})}, quiet, 2),
        quiet);
    // A band's own make-up lifts it and nothing else.
    const Chain lifted{
        processor("band_compressor", {{"where", 0}, {"high_hz", 100}, {"threshold_dbfs", 0}, {"makeup_db", 6}})};
    EXPECT_NEAR(gain_at(lifted, 25, 48000, 1, 0, sine(25, 48000, 0.1)), 6.0, 0.4);
    EXPECT_NEAR(gain_at(lifted, 3000, 48000, 1, 0, sine(3000, 48000, 0.1)), 0.0, 0.05);
    // A bass that makes way at the bottom only while the kick sounds.
    Chain keyed{processor("band_compressor",
                          {{"where", 0}, {"high_hz", 150}, {"threshold_dbfs", -40}, {"ratio", 100}, {"range_db", 9}})};
    keyed[0].key = 7;
    const auto kick = make(48000, 1, [](int64_t i, int c) { return i > 24000 ? sine(55, 48000, 0.8)(i, c) : 0.0; });
    for (const auto& [hz, taken_db] : {std::pair{40.0, 9.0}, std::pair{2000.0, 0.0}}) {
        const auto out = through(keyed, make(48000, 1, sine(hz, 48000, 0.3)), 1, 48000, {}, &kick);
        EXPECT_NEAR(rms_db(out, 1, 0, 9600, 19200) - rms_db(out, 1, 0, 30000, 39600), taken_db, 0.6) << hz;
        EXPECT_NEAR(rms_db(out, 1, 0, 9600, 19200), 20.0 * std::log10(0.3), 0.01) << hz;
    }
}

TEST(Transient, lifts_beginnings_or_what_rings) {
    const auto hits = make(96000, 1, [](int64_t i, int c) {
        return sine(800, 48000, 0.5)(i, c) * std::exp(-static_cast<double>(i % 24000) / 4000.0);
    });
    const auto sharp = through({processor("transient", {{"attack_db", 9}})}, hits, 1);
    const auto long_ = through({processor("transient", {{"sustain_db", 9}})}, hits, 1);
    const auto gain = [&](const std::vector<float>& out, size_t from, size_t to) {
        return rms_db(out, 1, 0, 24000 + from, 24000 + to) - rms_db(hits, 1, 0, 24000 + from, 24000 + to);
    };
    EXPECT_GT(gain(sharp, 100, 600), 4.0);
    EXPECT_NEAR(gain(sharp, 9000, 14000), 0.0, 0.7);
    EXPECT_LT(gain(long_, 0, 150), 3.0);
    EXPECT_GT(gain(long_, 9000, 14000), 4.0);
}

// --- chains ---------------------------------------------------------------------------------------------------------

TEST(Chains, that_are_out_or_mixed_to_nothing_are_the_input_to_the_bit) {
    const auto in = make(20000, 2, noise(5, 0.8));
    for (const ProcessorType* type : processor_types()) {
        Processor p = new_processor(*type, {});
        set_value(p, *parameter_of(p, "mix"), 0.0);
        EXPECT_EQ(through({p}, in, 2), in) << type->id;
        p = new_processor(*type, {});
        p.in = false;
        EXPECT_EQ(through({p}, in, 2), in) << type->id;
        EXPECT_EQ(ChainRun({p}, {}, 2, 48000).latency(), 0);
        // Out for a while by a ride: as late as when it is in, and put right by the latency.
        Rides rides;
        p.in = true;
        rides.set(Parameter(common_parameters()[0], p.id), ride({{0.0, 0.0, Segment::step}}));
        EXPECT_EQ(through({p}, in, 2, 48000, rides), in) << type->id;
    }
    Processor strange;
    strange.id = 1;
    strange.type = "of a later version";
    EXPECT_EQ(through({strange}, in, 2), in);
}

TEST(Chains, take_many_cells_as_they_take_one) {
    for (const int channels : {1, 2})
        for (const ProcessorType* type : processor_types()) {
            Processor p = new_processor(*type, {});
            if (type->find("threshold_dbfs")) p.values["threshold_dbfs"] = -40.0;
            const int64_t cells = 5 * stretch_cells;
            auto one = make(cells * cell_frames, channels, noise(3, 0.9)), many = one;
            ChainRun in_turn({p}, {}, channels, 48000.0), at_once({p}, {}, channels, 48000.0);
            in_turn.begin(0), at_once.begin(0);
            const auto at = [&](std::vector<float>& x, int64_t cell) {
                return x.data() + cell * cell_frames * channels;
            };
            for (int64_t cell = 0; cell < cells; ++cell) in_turn.process(at(one, cell), 1, {}, {});
            // Also some that do not fill what is worked on at once.
            for (int64_t cell = 0, some = 0; cell < cells; cell += some) {
                some = std::min<int64_t>(cell % 3 == 0 ? stretch_cells : 11, cells - cell);
                at_once.process(at(many, cell), static_cast<int>(some), {}, {});
            }
            EXPECT_EQ(one, many) << type->id;
            EXPECT_EQ(in_turn.memory(), at_once.memory()) << type->id;
        }
}

TEST(Chains, match_what_is_out_in_level) {
    Processor p = processor("equaliser", {});
    p.in = false;
    p.match_db = 6.0;
    const auto in = make(4800, 1, sine(1000, 48000, 0.2));
    EXPECT_NEAR(through({p}, in, 1)[100], in[100] * gain_from_db(6.0), 1e-6);
    p.match = false;
    EXPECT_EQ(through({p}, in, 1), in);
}

TEST(Chains, mix_in_step) {
    // Half of it beside a linear phase: a delay between the two would be heard as a comb.
    const Chain half{processor("saturation", {{"drive_db", 0}, {"mix", 50}})};
    for (const double hz : {500.0, 3000.0, 9000.0}) {
        const auto in = make(48000, 1, sine(hz, 48000, 0.001));
        const auto out = through(half, in, 1);
        EXPECT_NEAR(rms_db(out, 1, 0, 10000, 40000) - rms_db(in, 1, 0, 10000, 40000), 0.0, 0.02) << hz;
    }
}

TEST(Responses, are_those_of_the_chains_own_impulse) {
    Chain chain{processor("low_cut", {{"hz", 120}, {"slope", 1}, {"mix", 60}}, 1),
                processor("equaliser",
                          {{"band1.in", 1},
                           {"band1.hz", 700},
                           {"band1.db", -9},
                           {"band1.q", 3},
                           {"band2.in", 1},
                           {"band2.shape", 2},
                           {"band2.hz", 5000},
                           {"band2.db", 6},
                           {"output_db", 2}},
                          2),
                processor("high_cut", {{"hz", 9000}}, 3), processor("low_cut", {{"hz", 2000}}, 4)};
    chain[3].in = false;
    chain[3].match_db = -4.0;
    std::vector<float> impulse(1 << 16);
    impulse[0] = 1.0f;
    const auto out = through(Chain(chain.begin(), chain.begin() + 3), impulse, 1);
    const std::vector<double> hz{40, 100, 300, 700, 2000, 6000, 12000};
    const auto told = chain_response_db(chain, hz, 48000);
    for (size_t n = 0; n < hz.size(); ++n) {
        std::complex<double> sum = 0.0;
        for (size_t i = 0; i < out.size(); ++i)
            sum += static_cast<double>(out[i]) *
                   std::polar(1.0, -2.0 * std::numbers::pi * hz[n] * static_cast<double>(i) / 48000.0);
        EXPECT_NEAR(told[n], 20.0 * std::log10(std::abs(sum)), 0.01) << hz[n];
    }
}
