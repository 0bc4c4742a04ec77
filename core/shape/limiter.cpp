#include "core/shape/limiter.h"

#include <cmath>
#include <numbers>

#include "core/audio/kaiser.h"
#include "core/decibels.h"
#include "core/shape/dynamics.h"

namespace isotonus {

namespace {

constexpr double look_s = 0.002;
constexpr int most_look = 512;        ///< frames, enough for 192 kHz
constexpr int taps = 12, before = 6;  ///< of the filters between samples, and how many of them lie ahead
constexpr double margin_db = 0.03;    ///< for the gain's own movement
constexpr int history = taps + cell_frames;

/// What lies a quarter, a half and three quarters behind a sample: windowed sincs of twelve taps.
struct Between {
    float h[3][taps];
    Between() {
        for (int phase = 0; phase < 3; ++phase) {
            double whole = 0.0, w[taps];
            for (int k = 0; k < taps; ++k) {
                const double t = k - (before - 1) - (phase + 1) / 4.0;
                whole += w[k] = std::sin(std::numbers::pi * t) / (std::numbers::pi * t) * kaiser(2.0 * t / taps, 5.0);
            }
            for (int k = 0; k < taps; ++k) h[phase][k] = static_cast<float>(w[k] / whole);
        }
    }
};

/// The highest magnitude at and right behind each sample; x[i] is the sample `before - 1` frames before the one meant.
ISOTONUS_WIDE void peaks_of(const Between& between, const float* x, int frames, float* peak) {
    for (int i = 0; i < frames; ++i) peak[i] = std::max(peak[i], std::fabs(x[i + before - 1]));
    for (const auto& h : between.h) {
        float y[cell_frames] = {};
        for (int k = 0; k < taps; ++k)
            for (int i = 0; i < frames; ++i) y[i] += h[k] * x[i + k];
        for (int i = 0; i < frames; ++i) peak[i] = std::max(peak[i], std::fabs(y[i]));
    }
}

/// most[i]: the most of x[i … i + count - 1].  x is used up: in turn it holds the most of 2, 4, 8 … values from each
/// on.
ISOTONUS_WIDE void most_of(float* x, int count, int frames, float* most) {
    int width = 1, values = frames + count - 1;
    for (; 2 * width <= count; width *= 2) {
        values -= width;
        for (int i = 0; i < values; ++i) x[i] = std::max(x[i], x[i + width]);
    }
    for (int i = 0; i < frames; ++i) most[i] = std::max(x[i], x[i + count - width]);
}

struct Limiter {
    struct Settings {
        double ceiling_dbtp = -1.0, release_ms = 80.0;
        template <class V>
        void fields(V& v) {
            v.number("ceiling_dbtp", ceiling_dbtp, {"dBTP", -24.0, 0.0});
            v.number("release_ms", release_ms, {"ms", 5.0, 1000.0, Law::log, 1.0});
        }
    };
    struct State {
        float x[2][history] = {};                       ///< the last samples that came in, the newest at the end
        float taken[most_look + 1 + cell_frames] = {};  ///< 1 less the gain that each sample wants; likewise
        float held[most_look + cell_frames] = {};       ///< 1 less the gain after hold and release
        float last = 0.0f;                              ///< what the last sample itself wanted
    };

    void prepare(const Settings& s, int, double rate, bool first) {
        if (first) look_ = static_cast<int>(std::lround(look_s * rate));
        ceiling_ = static_cast<float>(gain_from_db(s.ceiling_dbtp - margin_db));
        keep_ = static_cast<float>(keep_of(s.release_ms * 0.001, rate));
    }
    int latency() const { return look_ + before; }

    void process(State& state, const Cell& c) {
        static const Between between;
        const auto moved_up = [&](float* x, int kept) {
            std::memmove(x, x + c.frames, sizeof(float) * static_cast<size_t>(kept));
        };
        float peak[cell_frames] = {};
        for (int side = 0; side < c.key_channels; ++side) {
            float* const x = state.x[side];
            moved_up(x, history - c.frames);
            for (int i = 0; i < c.frames; ++i) x[history - c.frames + i] = c.key[i * c.key_channels + side];
            peaks_of(between, x + 1, c.frames, peak);
        }
        // Kept as what is taken away, so that memory that is all zero is a gain of 1.
        moved_up(state.taken, look_ + 1);
        moved_up(state.held, look_);
        // What lies behind a sample is near the next one too.
        for (int i = 0; i < c.frames; ++i) {
            const float now = peak[i] > ceiling_ ? 1.0f - ceiling_ / peak[i] : 0.0f;
            state.taken[look_ + 1 + i] = std::max(now, state.last);
            state.last = now;
        }
        float most[cell_frames], taken[most_look + 1 + cell_frames];
        std::copy_n(state.taken + 1, look_ + c.frames, taken);
        most_of(taken, look_ + 1, c.frames, most);
        float now = state.held[look_ - 1];
        for (int i = 0; i < c.frames; ++i) {
            const float hold = most[i];
            now = hold >= now ? hold : hold + (now - hold) * keep_;
            if (now < 1e-7f) now = 0.0f;
            state.held[look_ + i] = now;
        }
        double sum = 0.0;
        for (int i = 0; i < look_; ++i) sum += static_cast<double>(state.held[i]);
        float deepest = 0.0f;
        for (int i = 0; i < c.frames; ++i) {
            sum += static_cast<double>(state.held[look_ + i]) - static_cast<double>(state.held[i]);
            const float taken = std::max(0.0f, static_cast<float>(sum / look_));
            deepest = std::max(deepest, taken);
            for (int side = 0; side < c.channels; ++side) c.samples[i * c.channels + side] *= 1.0f - taken;
        }
        *c.reductions_db = deepest > 0.0f ? static_cast<float>(db_from_gain(1.0 - static_cast<double>(deepest))) : 0.0f;
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
        t.most_gain = [](std::span<const double>) { return 1.0; };
        t.ceiling = [](std::span<const double> v) { return gain_from_db(v[0] + 0.1); };  // true peaks, within 0.1 dB
        return t;
    }();
    return type;
}

}  // namespace isotonus
