#include "core/shape/saturation.h"

#include <algorithm>
#include <cmath>
#include <numbers>

#include "core/audio/kaiser.h"
#include "core/audio/kernels.h"
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
// The rate is doubled by filters that are steep, and once more by filters that need not be: what lies between the
// row's band and the band's image is empty by then.
constexpr int reach = 40;              ///< samples of the row's rate that the steep filters reach to each side
constexpr int steep_taps = 2 * reach;  ///< of them, in each phase
constexpr int gentle_taps = 12;        ///< of the others, which give the samples halfway between two
constexpr double beta = 8.5;           ///< of the Kaiser windows: 85 dB of stop band
constexpr double pass = 0.9;           ///< of half the rate, where the steep filters' gain is a half
constexpr int half = gentle_taps / 2;
constexpr int late = steep_taps - 1 + half;  ///< frames: the steep filters there and back, and the others
constexpr int max_frames = 256;              ///< that are worked on at once, so that all of them stay near

/// A windowed sinc; `time` and `reach` in samples, `cut` of half their rate.
double windowed_sinc(double time, double cut, double reach) {
    const double angle = std::numbers::pi * time;
    return (time == 0.0 ? cut : std::sin(cut * angle) / angle) * kaiser(time / reach, beta);
}

struct Weights {
    // For samples at a whole place and at half a place: of those at the row's rate, and back.
    float up[2][steep_taps], down[2][steep_taps];
    // For a sample halfway between two: every other weight, as the samples lie apart in wholes and halves; and those of
    // the samples around one, where it counts itself by a half.
    float between[2][half], around[2][half];
    Weights() {
        for (int p = 0; p < 2; ++p) {
            double sum = 0.0, h[steep_taps];
            for (int k = 0; k < steep_taps; ++k) sum += h[k] = windowed_sinc(k - reach + 1 - p / 2.0, pass, reach);
            for (int k = 0; k < steep_taps; ++k) {
                up[p][k] = static_cast<float>(h[k] / sum);
                down[p][steep_taps - 1 - k] = up[p][k] / 2.0f;
            }
        }
        double sum = 0.0, h[gentle_taps];
        for (int k = 0; k < gentle_taps; ++k) sum += h[k] = windowed_sinc(k - half + 0.5, 1.0, half);
        for (int k = 0; k < gentle_taps; ++k) {
            between[k % 2][k / 2] = static_cast<float>(h[k] / sum);
            around[k % 2][k / 2] = static_cast<float>(h[k] / sum / 2.0);
        }
    }
};
const Weights& weights() {
    static const Weights all;
    return all;
}

/// The latest samples, and behind them those of now.
template <int remembered>
struct Line {
    float at[remembered + max_frames];
    explicit Line(const float (&before)[remembered]) { std::copy_n(before, remembered, at); }
    float* now() { return at + remembered; }
    void remember(float (&before)[remembered], int frames) const { std::copy_n(at + frames, remembered, before); }
};

/// As `saturated`, of many values at once, each with a gain before and one behind.
ISOTONUS_WIDE void bend(SaturationCurve curve, const float* in, const float* into, const float* back, int frames,
                        float* out) {
    const auto tanh_of = [](float v) { return 1.0f - 2.0f / (exp2_of(2.0f * 1.44269504f * v) + 1.0f); };
    switch (curve) {
        case SaturationCurve::tanh:
            for (int i = 0; i < frames; ++i) out[i] = tanh_of(in[i] * into[i]) * back[i];
            return;
        case SaturationCurve::asymmetric: {
            const float at_rest = tanh_of(0.3f), slope = 1.0f - at_rest * at_rest;
            for (int i = 0; i < frames; ++i) out[i] = (tanh_of(in[i] * into[i] + 0.3f) - at_rest) / slope * back[i];
            return;
        }
        case SaturationCurve::clip:
            for (int i = 0; i < frames; ++i) {
                const float u = std::clamp(8.0f / 15.0f * (in[i] * into[i]), -1.0f, 1.0f);
                out[i] = u * (15.0f - u * u * (10.0f - 3.0f * u * u)) / 8.0f * back[i];
            }
            return;
    }
}

/// What is remembered of a side; of what has a finer rate, samples at whole places and those halfway apart.
struct Side {
    float in[steep_taps - 1] = {};                         ///< at the row's rate
    float fine[2][half] = {};                              ///< at twice that, before the curve
    float bent[2][half] = {}, bent_between[2][half] = {};  ///< at four times, behind the curve
    float back[2][steep_taps - 1] = {};                    ///< at twice
    float rest[late] = {};                                 ///< outside of the band, at the row's rate
};

/// So many frames of a side through the curve, with gains before and behind it, added to `out`: `late` frames later.
void bend_side(Side& side, const Line<steep_taps - 1>& in, SaturationCurve curve, const float* into, const float* back,
               int frames, float* out) {
    const Weights& w = weights();
    const auto count = static_cast<size_t>(frames);
    in.remember(side.in, frames);
    Line<half> fine[] = {Line(side.fine[0]), Line(side.fine[1])};
    for (const int p : {0, 1}) {
        std::fill_n(fine[p].now(), frames, 0.0f);
        kernels::fir(in.at, w.up[p], count, fine[p].now());
        fine[p].remember(side.fine[p], frames);
    }
    // Sample m of twice the rate is at a whole place when m is even.  One halfway behind sample m - 6 lies amid those
    // from m - 11 to m.
    Line<half> bent[] = {Line(side.bent[0]), Line(side.bent[1])};
    Line<half> bent_between[] = {Line(side.bent_between[0]), Line(side.bent_between[1])};
    for (const int p : {0, 1}) {
        float between[max_frames] = {};
        kernels::fir(fine[p].at + 1, w.between[1], count, between);
        kernels::fir(fine[1 - p].at + p, w.between[0], count, between);
        bend(curve, fine[p].at + half / 2, into, back, frames, bent[p].now());
        bend(curve, between, into, back, frames, bent_between[p].now());
        bent[p].remember(side.bent[p], frames);
        bent_between[p].remember(side.bent_between[p], frames);
    }
    for (const int p : {0, 1}) {
        Line<steep_taps - 1> here(side.back[p]);
        for (int i = 0; i < frames; ++i) here.now()[i] = 0.5f * bent[p].at[half / 2 + i];
        kernels::fir(bent_between[p].at, w.around[0], count, here.now());
        kernels::fir(bent_between[1 - p].at + p, w.around[1], count, here.now());
        here.remember(side.back[p], frames);
        kernels::fir(here.at, w.down[p], count, out);
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
            v.number("low_hz", low_hz, {"Hz", 20.0, 20000.0, ControlTaper::log, 1.0});
            v.number("high_hz", high_hz, {"Hz", 20.0, 20000.0, ControlTaper::log, 1.0});
        }
    };
    static constexpr bool supports_batches = true;
    struct State {
        Side sides[2];
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
    int latency() const { return late; }

    void process(State& state, const Cell& c) {
        PairCell inside;
        if (banded_) {
            inside.load(c.samples, c.channels, c.frames);
            const GlidingFilter* const filters[] = {&low_, &high_};
            PairFilter::DirectState states[] = {state.low, state.high};
            run_filters(filters, states, inside.at, c.frames);
            state.low = states[0], state.high = states[1];
        }
        for (int from = 0; from < c.frames; from += max_frames)
            bend_frames(state, c, from, std::min(max_frames, c.frames - from), inside);
        if (s_.tone_db != 0.0 || !tone_.still) run_filter(tone_, state.tone, c.samples, c.channels, c.frames);
    }

  private:
    /// Some frames of a cell; `inside` is what of it lies in the band, where there is one.
    void bend_frames(State& state, const Cell& c, int from, int frames, const PairCell& inside) const {
        const double ceiling = gain_from_db(s_.ceiling_dbfs);
        float into[max_frames], back[max_frames];
        for (int i = 0; i < frames; ++i) {
            const double drive = drive_from_ + (drive_to_ - drive_from_) * (from + i + 1) / cell_frames;
            into[i] = static_cast<float>(drive / ceiling);
            back[i] = static_cast<float>(s_.compensate ? ceiling / drive : ceiling);
        }
        for (int side = 0; side < c.channels; ++side) {
            Side& s = state.sides[side];
            float* const samples = c.samples + from * c.channels + side;
            Line<steep_taps - 1> in(s.in);
            Line<late> rest(s.rest);
            for (int i = 0; i < frames; ++i) in.now()[i] = samples[i * c.channels];
            std::fill_n(rest.now(), frames, 0.0f);
            for (int i = 0; banded_ && i < frames; ++i) {
                const double x = inside.at[from + i][side];
                rest.now()[i] = static_cast<float>(static_cast<double>(in.now()[i]) - x);
                in.now()[i] = static_cast<float>(x);
            }
            rest.remember(s.rest, frames);
            bend_side(s, in, s_.curve, into, back, frames, rest.at);
            for (int i = 0; i < frames; ++i) samples[i * c.channels] = rest.at[i];
        }
    }

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
