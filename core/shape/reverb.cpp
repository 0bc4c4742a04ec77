#include "core/shape/reverb.h"

#include <cmath>
#include <numbers>

#include "core/shape/dynamics.h"
#include "core/shape/lines.h"
#include "core/shape/room_response.h"

namespace isotonus {

namespace {

constexpr int lines_count = 16, reflections = 10;
constexpr double low_hz = 250.0, high_hz = 4000.0;
constexpr double max_size = 2.0, longest_before_ms = 250.0;
/// Of the lines at size 1, ms: spread evenly in octaves, without common factors at any usual rate.
constexpr std::array<double, lines_count> line_ms{23.1, 25.7, 28.3, 30.9, 33.1, 36.7, 39.7, 43.3,
                                                  46.1, 50.3, 53.9, 58.3, 62.9, 67.7, 72.7, 79.3};
/// Early reflections at size 1: when, on which side, and how strong.  The first echoes of walls in a room of 12 by 9 by
/// 4 m grow denser and weaker; common practice, no source.
struct Reflection {
    double ms;
    float left, right;
};
constexpr std::array<Reflection, reflections> early{{{7.9, 0.80f, 0.35f},
                                                     {10.3, -0.30f, 0.72f},
                                                     {14.1, 0.62f, -0.22f},
                                                     {18.7, 0.20f, 0.58f},
                                                     {22.3, -0.50f, 0.28f},
                                                     {27.1, 0.26f, -0.47f},
                                                     {32.9, 0.42f, 0.20f},
                                                     {39.7, -0.18f, 0.38f},
                                                     {46.3, 0.33f, -0.15f},
                                                     {55.1, 0.13f, 0.30f}}};

/// A value for each line.
struct Sixteen {
    float of[lines_count];
};

/// First order: y = b0 x + b1 x' - a1 y'.
struct Shelf {
    Sixteen b0, b1, a1;
    void set(size_t line, double b0_, double b1_, double a1_) {
        b0.of[line] = static_cast<float>(b0_);
        b1.of[line] = static_cast<float>(b1_);
        a1.of[line] = static_cast<float>(a1_);
    }
};

/// A cell of every line, each frame of them on its own.
typedef float LineCells[lines_count][cell_frames];

/// What the lines lose on one pass; memory: what came into the first shelf, what came out of it, and out of the second.
ISOTONUS_WIDE void absorb(LineCells& cells, const Shelf& low, const Shelf& high, Sixteen* memory) {
    Sixteen low_x = memory[0], low_y = memory[1], high_y = memory[2];
    // All lines of a frame side by side: a frame waits for the one before it.
    float frames[cell_frames][lines_count];
    for (int n = 0; n < lines_count; ++n)
        for (int i = 0; i < cell_frames; ++i) frames[i][n] = cells[n][i];
    for (float* const x : frames) {
        for (int n = 0; n < lines_count; ++n) {
            const float y = low.b0.of[n] * x[n] + low.b1.of[n] * low_x.of[n] - low.a1.of[n] * low_y.of[n];
            const float z = high.b0.of[n] * y + high.b1.of[n] * low_y.of[n] - high.a1.of[n] * high_y.of[n];
            low_x.of[n] = x[n];
            low_y.of[n] = y;
            high_y.of[n] = z;
            x[n] = z;
        }
    }
    for (int n = 0; n < lines_count; ++n)
        for (int i = 0; i < cell_frames; ++i) cells[n][i] = frames[i][n];
    for (int n = 0; n < lines_count; ++n)
        for (Sixteen* s : {&low_x, &low_y, &high_y})
            if (std::fabs(s->of[n]) < 1e-25f) s->of[n] = 0.0f;
    memory[0] = low_x, memory[1] = low_y, memory[2] = high_y;
}

/// Spreads every line over all of them by a Hadamard matrix, which keeps their energy.
ISOTONUS_WIDE void spread(LineCells& cells) {
    for (int half = 1; half < lines_count; half *= 2)
        for (int n = 0; n < lines_count; ++n) {
            if (n & half) continue;
            float *const x = cells[n], *const y = cells[n + half];
            for (int i = 0; i < cell_frames; ++i) {
                const float a = x[i], b = y[i];
                x[i] = a + b;
                y[i] = a - b;
            }
        }
    for (float* const x : cells)
        for (int i = 0; i < cell_frames; ++i) x[i] *= 0.25f;
}

/// What is heard of the lines: of every second one on each side, with both signs, times a gain for each frame.
ISOTONUS_WIDE void hear(const LineCells& cells, const float* gains, float (*wet)[cell_frames]) {
    float sums[2][cell_frames] = {};
    for (int n = 0; n < lines_count; ++n) {
        const float sign = n / 2 % 2 ? -1.0f : 1.0f;
        for (int i = 0; i < cell_frames; ++i) sums[n % 2][i] += sign * cells[n][i];
    }
    for (int side = 0; side < 2; ++side)
        for (int i = 0; i < cell_frames; ++i) wet[side][i] += gains[i] * sums[side][i];
}

/// One reflection on both sides.
ISOTONUS_WIDE void reflect(const float* in, const float* gains, float left, float right, float (*wet)[cell_frames]) {
    for (int i = 0; i < cell_frames; ++i) {
        const float x = in[i] * gains[i];
        wet[0][i] += left * x, wet[1][i] += right * x;
    }
}

struct Reverb {
    struct Settings {
        double decay_s = 1.8, low_factor = 1.0, high_factor = 0.5, predelay_ms = 15.0, size = 1.0, early = 40.0;
        double low_cut_hz = 150.0, high_cut_hz = 9000.0, width = 100.0;
        double duck_db = 0.0, duck_threshold_dbfs = -40.0;
        template <class V>
        void fields(V& v) {
            v.number("decay_s", decay_s, {"s", 0.1, 10.0, ControlTaper::log, 0.02});
            v.number("low_factor", low_factor, {"", 0.25, 2.0, ControlTaper::log, 0.02});
            v.number("high_factor", high_factor, {"", 0.1, 1.5, ControlTaper::log, 0.02});
            v.number("predelay_ms", predelay_ms, {"ms", 0.0, longest_before_ms, ControlTaper::linear, 0.5});
            v.number("size", size, {"", 0.3, max_size, ControlTaper::log, 0.02});
            v.number("early", early, {"%", 0.0, 100.0, ControlTaper::linear, 0.5});
            v.number("low_cut_hz", low_cut_hz, {"Hz", 20.0, 20000.0, ControlTaper::log, 1.0});
            v.number("high_cut_hz", high_cut_hz, {"Hz", 20.0, 20000.0, ControlTaper::log, 1.0});
            v.number("width", width, {"%", 0.0, 100.0, ControlTaper::linear, 0.5});
            v.number("duck_db", duck_db, {"dB", 0.0, 24.0});
            v.number("duck_threshold_dbfs", duck_threshold_dbfs, {"dBFS", -80.0, 0.0});
        }
    };
    struct State {
        KeyFilter::State cuts;
        Sixteen absorbed[3] = {};
        uint32_t before = 0, at[lines_count] = {};
        EchoDuck::State duck;
    };
    struct Glide {
        float early = 0.0f, late = 0.0f, width = 1.0f;
    };

    static size_t before_length(double rate) {
        return static_cast<size_t>((longest_before_ms + max_size * early.back().ms) * 0.001 * rate) +
               2 * static_cast<size_t>(cell_frames);
    }
    static size_t length(size_t line, double rate) {
        return static_cast<size_t>(max_size * line_ms[line] * 0.001 * rate) + 2 * static_cast<size_t>(cell_frames);
    }
    static size_t line_floats(double rate) {
        size_t all = 2 * before_length(rate);
        for (size_t n = 0; n < lines_count; ++n) all += length(n, rate);
        return all;
    }

    void prepare(const Settings& s, int, double rate, bool first) {
        from_lengths_ = to_lengths_;
        to_lengths_.before = static_cast<size_t>(std::lround(s.predelay_ms * 0.001 * rate));
        double sum = 0.0;
        for (size_t n = 0; n < lines_count; ++n) {
            const auto frames = static_cast<size_t>(s.size * line_ms[n] * 0.001 * rate);
            to_lengths_.delay[n] = std::max<size_t>(cell_frames, frames) | 1U;
            sum += static_cast<double>(to_lengths_.delay[n]);
        }
        mean_s_ = sum / lines_count / rate;
        for (size_t n = 0; n < reflections; ++n)
            to_lengths_.tap[n] = static_cast<size_t>(std::lround(s.size * early[n].ms * 0.001 * rate));
        if (first) from_lengths_ = to_lengths_;
        cuts_.set(s.low_cut_hz, s.high_cut_hz, rate, first);
        duck_.set(s.duck_db, s.duck_threshold_dbfs, rate, first);
        // A line loses 60 dB in the decay's time: what is left of a pass, by frequency.
        for (size_t n = 0; n < lines_count; ++n) {
            const double pass_s = static_cast<double>(to_lengths_.delay[n]) / rate;
            const auto left = [pass_s](double decay_s) { return std::pow(10.0, -3.0 * pass_s / decay_s); };
            const double middle = left(s.decay_s), low = left(s.decay_s * s.low_factor) / middle,
                         high = left(s.decay_s * s.high_factor) / middle;
            const auto k = [rate](double hz) { return std::tan(std::numbers::pi * hz / rate); };
            // (s + w sqrt(G)) / (s + w / sqrt(G)), and the same the other way up; bilinear transforms.
            const double l = k(low_hz), lg = std::sqrt(low), h = k(high_hz), hg = std::sqrt(high);
            low_.set(n, middle * (1.0 + l * lg) / (1.0 + l / lg), middle * (l * lg - 1.0) / (1.0 + l / lg),
                     (l / lg - 1.0) / (1.0 + l / lg));
            high_.set(n, (hg + h) / (1.0 / hg + h), (h - hg) / (1.0 / hg + h), (h - 1.0 / hg) / (1.0 / hg + h));
        }
        // Of a pulse of energy 1 a pass leaves e, the next e^2, and so on: e / (1 - e) altogether, which is made 1
        // again.
        const double whole = s.early / 100.0, energy = std::pow(10.0, -6.0 * mean_s_ / s.decay_s);
        from_ = to_;
        to_ = {static_cast<float>(whole * 0.6),
               static_cast<float>((1.0 - whole * 0.5) * std::min(4.0, std::sqrt((1.0 - energy) / energy))),
               static_cast<float>(s.width / 100.0)};
        if (first) from_ = to_;
    }

    void process(State& state, float* lines, const Cell& c) {
        const size_t long_before = before_length(c.sample_rate);
        PairCell in;
        in.load(c.samples, c.channels, c.frames);
        if (c.channels == 1)
            for (int i = 0; i < c.frames; ++i) in.at[i][1] = in.at[i][0];
        cuts_.run(state.cuts, in, c.frames);
        float side[2][cell_frames], late_in[2][cell_frames], part[cell_frames], wet[2][cell_frames] = {};
        float early_gains[cell_frames], late_gains[cell_frames], widths[cell_frames];
        for (int i = 0; i < cell_frames; ++i) {
            const auto glided = [i](float a, float b) { return a + (b - a) * static_cast<float>(i + 1) / cell_frames; };
            early_gains[i] = glided(from_.early, to_.early);
            late_gains[i] = glided(from_.late, to_.late);
            widths[i] = glided(from_.width, to_.width);
        }
        Ring before[2] = {{lines, long_before}, {lines + long_before, long_before}};
        uint32_t at = state.before;
        for (int s = 0; s < 2; ++s) {
            for (int i = 0; i < cell_frames; ++i) side[s][i] = static_cast<float>(in.at[i][s]);
            at = state.before;
            before[s].write(at, side[s], cell_frames);
        }
        state.before = at;
        // Lengths are counted from the cell's end.
        constexpr auto cell = static_cast<size_t>(cell_frames);
        const Lengths &from = from_lengths_, &to = to_lengths_;
        for (int s = 0; s < 2; ++s) before[s].read_gliding(at, from.before + cell, to.before + cell, late_in[s]);
        if (from_.early != 0.0f || to_.early != 0.0f)
            for (size_t n = 0; n < reflections; ++n)
                for (int s = 0; s < 2; ++s) {
                    before[s].read_gliding(at, from.before + from.tap[n] + cell, to.before + to.tap[n] + cell, part);
                    // A reflection comes from its own side more than from the other.
                    reflect(part, early_gains, s == 0 ? early[n].left : 0.4f * early[n].left,
                            s == 1 ? early[n].right : 0.4f * early[n].right, wet);
                }
        // The network: every line is a cell long at least, so that all of it is read before any of it is written.
        LineCells cells;
        float* samples = lines + 2 * long_before;
        for (size_t n = 0; n < lines_count; ++n) {
            Ring(samples, length(n, c.sample_rate)).read_gliding(state.at[n], from.delay[n], to.delay[n], cells[n]);
            samples += length(n, c.sample_rate);
        }
        absorb(cells, low_, high_, state.absorbed);
        hear(cells, late_gains, wet);
        spread(cells);
        samples = lines + 2 * long_before;
        constexpr float share = 0.35355339f;  // of eight lines a side: energy 1
        for (size_t n = 0; n < lines_count; ++n) {
            const float sign = n / 4 % 2 ? -share : share;
            for (int i = 0; i < cell_frames; ++i) part[i] = cells[n][i] + sign * late_in[n % 2][i];
            Ring(samples, length(n, c.sample_rate)).write(state.at[n], part, cell_frames);
            samples += length(n, c.sample_rate);
        }
        for (int i = 0; i < c.frames; ++i) {
            const float middle = 0.5f * (wet[0][i] + wet[1][i]);
            if (c.channels == 1)
                c.samples[i] = middle;
            else
                for (int s = 0; s < 2; ++s) c.samples[2 * i + s] = middle + (wet[s][i] - middle) * widths[i];
        }
        duck_.process(state.duck, c);
    }

  private:
    /// Frames after which what comes in is heard: of the pre-delay, the lines, and the reflections.
    struct Lengths {
        size_t before = 0, delay[lines_count] = {}, tap[reflections] = {};
    };
    Lengths from_lengths_, to_lengths_;
    double mean_s_ = 0.05;
    Shelf low_, high_;
    Glide from_, to_;
    KeyFilter cuts_;
    EchoDuck duck_;
};

/// Until it has fallen by 60 dB.
double reverb_tail_s(const Processor& processor, std::span<const double> values) {
    Reverb::Settings s;
    ValueSetter setter(values);
    s.fields(setter);
    if (!processor.impulse.empty()) {
        const auto seconds = impulse_seconds(processor.impulse);
        return seconds ? s.predelay_ms / 1000.0 + *seconds : 0.0;
    }
    return s.predelay_ms / 1000.0 + 0.1 * s.size + s.decay_s * std::max({1.0, s.low_factor, s.high_factor});
}

}  // namespace

double decay_s(const Processor& reverb, double hz) {
    const auto value = [&](const char* id) { return value_of(reverb, *reverb_type().find(id)); };
    const double middle_s = value("decay_s");
    // Each shelf adds to how much is lost a second: all of it far outside, half of it (in dB) at its corner.
    const auto lost = [](double s) { return 60.0 / s; };
    const auto shelf = [](double dbs, double ratio) {
        // |(j w + sqrt G) / (j w + 1 / sqrt G)|, w the ratio to the corner; G of a pass so short that it is near 1.
        return dbs / (1.0 + ratio * ratio);
    };
    const double low = lost(middle_s * value("low_factor")) - lost(middle_s),
                 high = lost(middle_s * value("high_factor")) - lost(middle_s);
    return 60.0 / (lost(middle_s) + shelf(low, hz / low_hz) + shelf(high, high_hz / hz));
}

const ProcessorType& reverb_type() {
    static const ProcessorType type = [] {
        ProcessorType t = make_type<Reverb>("reverb", "reverb", false, false);
        t.tail_s = reverb_tail_s;
        t.keyed = true;
        t.start = [](const Processor& p, int channels, double rate) -> std::unique_ptr<Running> {
            return p.impulse.empty() ? std::make_unique<RunningOf<Reverb>>(channels, rate)
                                     : start_room(p, channels, rate);
        };
        return t;
    }();
    return type;
}

}  // namespace isotonus
