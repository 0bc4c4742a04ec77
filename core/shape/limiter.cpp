#include "core/shape/limiter.h"

#include <algorithm>
#include <cmath>
#include <numbers>

#include "core/audio/kaiser.h"
#include "core/decibels.h"
#include "core/shape/dynamics.h"

namespace isotonus {

namespace {

constexpr double look_s = 0.002;
constexpr int max_look = 1536;                ///< frames, as many as 768 kHz have
constexpr int between_taps = 12, before = 6;  ///< of the filters between samples, and how many of them lie ahead
constexpr double margin_db = 0.03;            ///< for the gain's own movement

/// What lies a quarter, a half and three quarters behind a sample: windowed sincs of twelve taps.
struct Between {
    float h[3][between_taps];
    Between() {
        for (int phase = 0; phase < 3; ++phase) {
            double whole = 0.0, w[between_taps];
            for (int k = 0; k < between_taps; ++k) {
                const double t = k - (before - 1) - (phase + 1) / 4.0;
                whole += w[k] =
                    std::sin(std::numbers::pi * t) / (std::numbers::pi * t) * kaiser(2.0 * t / between_taps, 5.0);
            }
            for (int k = 0; k < between_taps; ++k) h[phase][k] = static_cast<float>(w[k] / whole);
        }
    }
};

/// The highest magnitude at and right behind each sample; x[i] is the sample `before - 1` frames before the one meant.
ISOTONUS_WIDE void peaks_of(const Between& between, const float* x, int frames, float* peak) {
    for (int i = 0; i < frames; ++i) peak[i] = std::max(peak[i], std::fabs(x[i + before - 1]));
    for (const auto& h : between.h)
        for (int from = 0; from < frames; from += cell_frames) {
            float y[cell_frames] = {};
            for (int k = 0; k < between_taps; ++k)
                for (int i = 0; i < cell_frames; ++i) y[i] += h[k] * x[from + i + k];
            for (int i = 0; i < cell_frames; ++i) peak[from + i] = std::max(peak[from + i], std::fabs(y[i]));
        }
}

/// By how much, 1 less a gain, each sample has to be turned down for itself.
ISOTONUS_WIDE void taken_of(const float* peak, float ceiling, int frames, float* taken) {
    for (int i = 0; i < frames; ++i) taken[i] = peak[i] > ceiling ? 1.0f - ceiling / peak[i] : 0.0f;
}

/// y[i]: the more of x[i - 1] and x[i].
ISOTONUS_WIDE void more_of_two(const float* x, int frames, float* y) {
    for (int i = 0; i < frames; ++i) y[i] = std::max(x[i - 1], x[i]);
}

/// most[i]: the most of x[i … i + count - 1].  x is used up: in turn it holds the most of 2, 4, 8 … values from each
/// on.
ISOTONUS_WIDE void max_of(float* x, int count, int frames, float* most) {
    int width = 1, values = frames + count - 1;
    for (; 2 * width <= count; width *= 2) {
        values -= width;
        for (int i = 0; i < values; ++i) x[i] = std::max(x[i], x[i + width]);
    }
    for (int i = 0; i < frames; ++i) most[i] = std::max(x[i], x[i + count - width]);
}

/// Whole multiples of 2^-43, of which a sum in double is exact, in whichever order; what is hardly anything is nothing.
ISOTONUS_WIDE void round_all(float* x, int frames) {
    constexpr float unit = 0x1p-20f;
    for (int i = 0; i < frames; ++i) x[i] = x[i] < 1e-7f ? 0.0f : (x[i] + unit) - unit;
}

ISOTONUS_WIDE void differences(const float* from, const float* less, int frames, double* out) {
    for (int i = 0; i < frames; ++i) out[i] = static_cast<double>(from[i]) - static_cast<double>(less[i]);
}

ISOTONUS_WIDE void gains_of(const double* sums, double part, int frames, float* gains) {
    for (int i = 0; i < frames; ++i) gains[i] = 1.0f - static_cast<float>(sums[i] * part);
}

struct Limiter {
    struct Settings {
        double ceiling_dbtp = -1.0, release_ms = 80.0;
        template <class V>
        void fields(V& v) {
            v.number("ceiling_dbtp", ceiling_dbtp, {"dBTP", -24.0, 0.0});
            v.number("release_ms", release_ms, {"ms", 5.0, 1000.0, ControlTaper::log, 1.0});
        }
    };
    static constexpr bool supports_batches = true;
    // What is taken away, 1 less a gain, so that memory that is all zero is a gain of 1.
    struct State {
        float x[2][between_taps] = {};   ///< the last samples that came in
        float wanted = 0.0f;             ///< what the last of them itself wanted to be taken
        float taken[max_look + 1] = {};  ///< what each wants, and the one before it
        float now = 0.0f;                ///< after hold and release
        float held[max_look] = {};       ///< the same, rounded
        double sum = 0.0;                ///< of held
    };

    void prepare(const Settings& s, int, double rate, bool first) {
        if (first) look_ = static_cast<int>(std::lround(look_s * rate));
        ceiling_ = static_cast<float>(gain_from_db(s.ceiling_dbtp - margin_db));
        keep_ = static_cast<float>(keep_of(s.release_ms * 0.001, rate));
    }
    int latency() const { return look_ + before; }

    void process(State& state, const Cell& c) {
        static const Between between;
        const int frames = c.frames;
        // What is remembered goes before what comes in, and what is remembered next is at the end of both.
        float peak[stretch_frames] = {};
        for (int side = 0; side < c.key_channels; ++side) {
            float x[between_taps + stretch_frames];
            std::copy_n(state.x[side], between_taps, x);
            for (int i = 0; i < frames; ++i) x[between_taps + i] = c.key[i * c.key_channels + side];
            std::copy_n(x + frames, between_taps, state.x[side]);
            peaks_of(between, x + 1, frames, peak);
        }
        // What lies behind a sample is near the next one too.
        float wanted[1 + stretch_frames];
        wanted[0] = state.wanted;
        taken_of(peak, ceiling_, frames, wanted + 1);
        state.wanted = wanted[frames];
        float taken[max_look + 1 + stretch_frames], most[stretch_frames];
        std::copy_n(state.taken, look_ + 1, taken);
        more_of_two(wanted + 1, frames, taken + look_ + 1);
        std::copy_n(taken + frames, look_ + 1, state.taken);
        max_of(taken + 1, look_ + 1, frames, most);
        // Held for as long as one looks ahead, then let go.
        float held[max_look + stretch_frames];
        std::copy_n(state.held, look_, held);
        const float let_go = 1.0f - keep_;
        float now = state.now;
        for (int i = 0; i < frames; ++i) held[look_ + i] = now = std::max(most[i], most[i] * let_go + now * keep_);
        state.now = now;
        round_all(held + look_, frames);
        std::copy_n(held + frames, look_, state.held);
        // The mean of as many frames falls in a straight line.
        double sums[stretch_frames];
        differences(held + look_, held, frames, sums);
        for (int i = 0; i < frames; ++i) sums[i] = state.sum += sums[i];
        float gains[stretch_frames];
        gains_of(sums, 1.0 / look_, frames, gains);
        for (int i = 0; i < frames; ++i)
            for (int side = 0; side < c.channels; ++side) c.samples[i * c.channels + side] *= gains[i];
        for (int from = 0; from < frames; from += cell_frames) {
            const float least = *std::min_element(gains + from, gains + from + cell_frames);
            c.reductions_db[from / cell_frames] =
                least < 1.0f ? static_cast<float>(db_from_gain(static_cast<double>(least))) : 0.0f;
        }
    }

  private:
    int look_ = 96;
    float ceiling_ = 1.0f, keep_ = 0.0f;
};

}  // namespace

const ProcessorType& limiter_type() {
    static const ProcessorType type = [] {
        ProcessorType t = make_type<Limiter>("limiter", "limit", false, false);
        t.looks_ahead = t.by_level = true;
        t.max_gain = [](std::span<const double>) { return 1.0; };
        t.ceiling = [](std::span<const double> v) { return gain_from_db(v[0] + 0.1); };  // true peaks, within 0.1 dB
        return t;
    }();
    return type;
}

}  // namespace isotonus
