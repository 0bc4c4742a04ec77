#include "core/shape/saturation.h"

#include <cstring>
#include <numbers>

#include "core/audio/kaiser.h"
#include "core/decibels.h"
#include "core/shape/dynamics.h"
#include "core/shape/filters.h"

namespace isotonus {

double saturated(SaturationCurve curve, double x) {
    switch (curve) {
        case SaturationCurve::tanh:
            return std::tanh(x);
        case SaturationCurve::asymmetric: {
            constexpr double a = 0.3;
            static const double at_rest = std::tanh(a), slope = 1.0 - at_rest * at_rest;
            return (std::tanh(x + a) - at_rest) / slope;
        }
        case SaturationCurve::clip: {
            const double u = std::clamp(8.0 / 15.0 * x, -1.0, 1.0);
            return u * (15.0 - u * u * (10.0 - 3.0 * u * u)) / 8.0;
        }
    }
    return x;
}

namespace {

constexpr std::array curve_words{"tanh", "asymmetric", "clip"};
constexpr int times = 4;         ///< as many samples while the curve is applied
constexpr int reach = 40;        ///< samples of the row's rate that the filters reach to each side
constexpr int taps = 2 * reach;  ///< of each phase
constexpr double beta = 8.5;     ///< of the Kaiser window: 85 dB of stop band
constexpr double pass = 0.9;     ///< of half the rate, where the filters' gain is a half

/// A windowed sinc that passes up to 0.43 of the row's rate: weights of sample k for each of the four places within a
/// sample, and of the four places of sample k for what comes out.
struct Weights {
    float up[times][taps], down[times][taps];
    Weights() {
        for (int p = 0; p < times; ++p) {
            double whole = 0.0;
            std::array<double, taps> h{};
            for (int k = 0; k < taps; ++k) {
                const double t = k - reach + 1 - static_cast<double>(p) / times;  // in samples from the place
                const double sinc = t == 0.0 ? pass : std::sin(std::numbers::pi * pass * t) / (std::numbers::pi * t);
                whole += h[static_cast<size_t>(k)] = sinc * kaiser(t / reach, beta);
            }
            for (int k = 0; k < taps; ++k) {
                up[p][k] = static_cast<float>(h[static_cast<size_t>(k)] / whole);
                down[p][taps - 1 - k] = up[p][k] / times;
            }
        }
    }
};
const Weights& weights() {
    static const Weights all;
    return all;
}

typedef float Sixteen __attribute__((vector_size(64), aligned(4)));  ///< frames side by side

/// A cell of what each of two filters makes of the samples before it: each frame adds up its taps in their order.  Many
/// frames go side by side, and two filters, so that no sum has to wait for itself.
ISOTONUS_WIDE void filter_cells(const float (*weights)[taps], const float* first, const float* second,
                                float (*out)[cell_frames]) {
    constexpr int parts = cell_frames / 16;
    Sixteen sums[2][parts] = {};
    for (int k = 0; k < taps; ++k)
        for (int n = 0; n < parts; ++n) {
            Sixteen part;
            std::memcpy(&part, first + k + 16 * n, sizeof part);
            sums[0][n] += weights[0][k] * part;
            std::memcpy(&part, second + k + 16 * n, sizeof part);
            sums[1][n] += weights[1][k] * part;
        }
    std::memcpy(out, sums, sizeof sums);
}

/// As `saturated`, of many values at once.
ISOTONUS_WIDE void bend(SaturationCurve curve, float* x, int count) {
    const auto tanh_of = [](float v) { return 1.0f - 2.0f / (exp2_of(2.0f * 1.44269504f * v) + 1.0f); };
    switch (curve) {
        case SaturationCurve::tanh:
            for (int i = 0; i < count; ++i) x[i] = tanh_of(x[i]);
            return;
        case SaturationCurve::asymmetric: {
            const float at_rest = tanh_of(0.3f), slope = 1.0f - at_rest * at_rest;
            for (int i = 0; i < count; ++i) x[i] = (tanh_of(x[i] + 0.3f) - at_rest) / slope;
            return;
        }
        case SaturationCurve::clip:
            for (int i = 0; i < count; ++i) {
                const float u = std::clamp(8.0f / 15.0f * x[i], -1.0f, 1.0f);
                x[i] = u * (15.0f - u * u * (10.0f - 3.0f * u * u)) / 8.0f;
            }
            return;
    }
}

struct Saturation {
    struct Settings {
        SaturationCurve curve = SaturationCurve::tanh;
        double drive_db = 6.0, ceiling_dbfs = 0.0, tone_db = 0.0;
        bool compensate = true;
        double low_hz = 20.0, high_hz = 20000.0;
        template <class V>
        void fields(V& v) {
            v.choice("curve", curve, curve_words);
            v.number("drive_db", drive_db, {"dB", 0.0, 48.0});
            v.number("ceiling_dbfs", ceiling_dbfs, {"dBFS", -48.0, 0.0});
            v.number("tone_db", tone_db, {"dB", -12.0, 12.0});
            v.choice("compensate", compensate, toggle_words);
            v.number("low_hz", low_hz, {"Hz", 20.0, 20000.0, Law::log, 1.0});
            v.number("high_hz", high_hz, {"Hz", 20.0, 20000.0, Law::log, 1.0});
        }
    };
    struct State {
        // The latest samples of each side, what the curve made of them, and what is outside of the band.
        float in[2][taps - 1] = {};
        float fine[2][times][taps - 1] = {};
        float rest[2][taps - 1] = {};
        PairFilter::DirectState low, high, tone;
    };

    void prepare(const Settings& s, int, double rate, bool first) {
        s_ = s;
        const double next = gain_from_db(s.drive_db);
        drive_from_ = first ? next : drive_to_;
        drive_to_ = next;
        banded_ = s.low_hz > 20.0 || s.high_hz < 20000.0;
        low_.set(on_both(matched_filter(FilterShape::low_cut, s.low_hz, flat_q, 0.0, rate)), first);
        high_.set(on_both(matched_filter(FilterShape::high_cut, s.high_hz, flat_q, 0.0, rate)), first);
        // Tone tips what the curve adds, and all that goes through it, around 1 kHz.
        tone_.set(on_both(matched_filter(FilterShape::high_shelf, 1000.0, 0.5, s.tone_db, rate)), first);
    }
    int latency() const { return 2 * reach - 1; }

    void process(State& state, const Cell& c) {
        PairCell cell, whole;
        cell.load(c.samples, c.channels, c.frames);
        whole = cell;
        if (banded_) {
            const GlidingFilter* const filters[] = {&low_, &high_};
            PairFilter::DirectState states[] = {state.low, state.high};
            run_filters(filters, states, cell.at, c.frames);
            state.low = states[0], state.high = states[1];
        }
        const double ceiling = gain_from_db(s_.ceiling_dbfs);
        float into[cell_frames], back[cell_frames];
        for (int i = 0; i < cell_frames; ++i) {
            const double drive = drive_from_ + (drive_to_ - drive_from_) * (i + 1) / cell_frames;
            into[i] = static_cast<float>(drive / ceiling);
            back[i] = static_cast<float>(s_.compensate ? ceiling / drive : ceiling);
        }
        const Weights& w = weights();
        for (int side = 0; side < c.channels; ++side) {
            // What is remembered, then this cell.
            float in[taps - 1 + cell_frames] = {}, rest[taps - 1 + cell_frames];
            float fine[times][taps - 1 + cell_frames], now[times][cell_frames];
            std::memcpy(in, state.in[side], sizeof state.in[side]);
            std::memcpy(rest, state.rest[side], sizeof state.rest[side]);
            for (int i = 0; i < c.frames; ++i) {
                in[taps - 1 + i] = static_cast<float>(cell.at[i][side]);
                rest[taps - 1 + i] = static_cast<float>(whole.at[i][side] - cell.at[i][side]);
            }
            for (int p = 0; p < times; p += 2) {
                float bent[2][cell_frames];
                filter_cells(w.up + p, in, in, bent);
                for (float* const x : bent)
                    for (int i = 0; i < cell_frames; ++i) x[i] *= into[i];
                bend(s_.curve, bent[0], 2 * cell_frames);
                for (const int n : {0, 1}) {
                    float* const kept = fine[p + n];
                    std::memcpy(kept, state.fine[side][p + n], sizeof state.fine[side][p + n]);
                    for (int i = 0; i < cell_frames; ++i) kept[taps - 1 + i] = bent[n][i] * back[i];
                    std::memcpy(state.fine[side][p + n], kept + c.frames, sizeof state.fine[side][p + n]);
                }
                filter_cells(w.down + p, fine[p], fine[p + 1], now + p);
            }
            for (int i = 0; i < c.frames; ++i)
                cell.at[i][side] = static_cast<double>(now[0][i] + now[1][i] + now[2][i] + now[3][i] + rest[i]);
            std::memcpy(state.in[side], in + c.frames, sizeof state.in[side]);
            std::memcpy(state.rest[side], rest + c.frames, sizeof state.rest[side]);
        }
        if (s_.tone_db != 0.0 || !tone_.still) {
            const GlidingFilter* const filters[] = {&tone_};
            run_filters(filters, &state.tone, cell.at, c.frames);
        }
        cell.store(c.samples, c.channels, c.frames);
    }

  private:
    Settings s_;
    bool banded_ = false;
    double drive_from_ = 1.0, drive_to_ = 1.0;
    GlidingFilter low_, high_, tone_;
};

}  // namespace

const ProcessorType& saturation_type() {
    static const ProcessorType type = make_type<Saturation>("saturation", "drive", false, false);
    return type;
}

}  // namespace isotonus
