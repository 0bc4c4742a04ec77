#include "core/shape/delay.h"

#include <algorithm>
#include <cmath>
#include <numbers>

#include "core/shape/dynamics.h"
#include "core/shape/lines.h"

namespace isotonus {

namespace {

constexpr double longest_delay_ms = 2000.0, deepest_ms = 10.0;

struct Delay {
    struct Settings {
        double left_ms = 375.0, right_ms = 375.0, feedback = 30.0, low_cut_hz = 20.0, high_cut_hz = 20000.0;
        bool ping_pong = false;
        double width = 100.0, modulation_ms = 0.0, modulation_hz = 0.5;
        double duck_db = 0.0, duck_threshold_dbfs = -40.0;
        template <class V>
        void fields(V& v) {
            v.number("left_ms", left_ms, {"ms", 1.0, longest_delay_ms, ControlTaper::log, 0.1});
            v.number("right_ms", right_ms, {"ms", 1.0, longest_delay_ms, ControlTaper::log, 0.1});
            v.number("feedback", feedback, {"%", 0.0, 95.0, ControlTaper::linear, 0.5});
            v.number("low_cut_hz", low_cut_hz, {"Hz", 20.0, 20000.0, ControlTaper::log, 1.0});
            v.number("high_cut_hz", high_cut_hz, {"Hz", 20.0, 20000.0, ControlTaper::log, 1.0});
            v.choice("ping_pong", ping_pong, toggle_words);
            v.number("width", width, {"%", 0.0, 100.0, ControlTaper::linear, 0.5});
            v.number("modulation_ms", modulation_ms, {"ms", 0.0, deepest_ms, ControlTaper::linear, 0.05});
            v.number("modulation_hz", modulation_hz, {"Hz", 0.05, 10.0, ControlTaper::log, 0.01});
            v.number("duck_db", duck_db, {"dB", 0.0, 24.0});
            v.number("duck_threshold_dbfs", duck_threshold_dbfs, {"dBFS", -80.0, 0.0});
        }
    };
    struct State {
        uint32_t at = 0;
        KeyFilter::State cuts;
        double turn = 0.0;  ///< of the modulation, 0 … 1
        EchoDuck::State duck;
    };
    /// What glides over a cell.
    struct Glide {
        double left = 0.0, right = 0.0, feedback = 0.0, width = 1.0, depth = 0.0;
    };

    static size_t length(double rate) {
        return static_cast<size_t>((longest_delay_ms + 2.0 * deepest_ms) * 0.001 * rate) +
               4 * static_cast<size_t>(cell_frames);
    }
    static size_t line_floats(double rate) { return 2 * length(rate); }

    void prepare(const Settings& s, int channels, double rate, bool first) {
        const double frames = 0.001 * rate;
        from_ = to_;
        to_ = {s.left_ms * frames, (channels == 2 ? s.right_ms : s.left_ms) * frames, s.feedback / 100.0,
               s.width / 100.0, s.modulation_ms * frames};
        if (first) from_ = to_;
        ping_pong_ = s.ping_pong && channels == 2;
        turn_by_ = s.modulation_hz / rate;
        cuts_.set(s.low_cut_hz, s.high_cut_hz, rate, first);
        duck_.set(s.duck_db, s.duck_threshold_dbfs, rate, first);
    }

    void process(State& state, float* lines, const Cell& c) {
        const size_t length_ = length(c.sample_rate);
        Ring left(lines, length_), right(lines + length_, length_);
        PairCell delayed, loop;
        // Delays are a cell long at least: what is read was written before.  `at` stands where the cell begins.
        constexpr double least = cell_frames + 3;
        const bool still = from_.left == to_.left && from_.right == to_.right && from_.depth == 0.0 && to_.depth == 0.0;
        float late[2][cell_frames];
        if (still) {
            left.between(state.at, std::max(to_.left, least), late[0], c.frames);
            right.between(state.at, std::max(to_.right, least), late[1], c.frames);
        }
        for (int i = 0; i < c.frames; ++i) {
            const double share = static_cast<double>(i + 1) / cell_frames;
            const auto now = [share](double a, double b) { return a + (b - a) * share; };
            if (!still) {
                const double depth = now(from_.depth, to_.depth), turn = 2.0 * std::numbers::pi * state.turn;
                const double wave = depth > 0.0 ? std::sin(turn) : 0.0, other = depth > 0.0 ? std::cos(turn) : 0.0;
                const auto at = [&](const Ring& ring, double frames) {
                    return ring.between(state.at, std::max(frames, least) - static_cast<double>(i));
                };
                late[0][i] = at(left, now(from_.left, to_.left) + depth * (1.0 + wave));
                late[1][i] = at(right, now(from_.right, to_.right) + depth * (1.0 + other));
            }
            state.turn += turn_by_;
            if (state.turn >= 1.0) state.turn -= 1.0;
            const double feedback = now(from_.feedback, to_.feedback);
            delayed.at[i] = Pair{static_cast<double>(late[0][i]), static_cast<double>(late[1][i])};
            loop.at[i] = delayed.at[i] * Pair{feedback, feedback};
        }
        cuts_.run(state.cuts, loop, c.frames);
        float in[2][cell_frames];
        for (int i = 0; i < c.frames; ++i) {
            const float l = c.samples[i * c.channels], r = c.samples[i * c.channels + c.channels - 1];
            const auto back_left = static_cast<float>(loop.at[i][0]), back_right = static_cast<float>(loop.at[i][1]);
            in[0][i] = ping_pong_ ? 0.5f * (l + r) + back_right : l + back_left;
            in[1][i] = ping_pong_ ? back_left : r + back_right;
        }
        uint32_t at = state.at;
        left.write(at, in[0], c.frames);
        right.write(state.at, in[1], c.frames);
        for (int i = 0; i < c.frames; ++i) {
            const double share = static_cast<double>(i + 1) / cell_frames;
            const double width = from_.width + (to_.width - from_.width) * share;
            const double middle = (delayed.at[i][0] + delayed.at[i][1]) / 2.0;
            for (int side = 0; side < c.channels; ++side)
                c.samples[i * c.channels + side] = static_cast<float>(
                    c.channels == 1 ? delayed.at[i][0] : middle + (delayed.at[i][side] - middle) * width);
        }
        duck_.process(state.duck, c);
    }

  private:
    Glide from_, to_;
    bool ping_pong_ = false;
    double turn_by_ = 0.0;
    KeyFilter cuts_;
    EchoDuck duck_;
};

/// Until the repeats have fallen by 60 dB.
double delay_tail_s(const Processor&, std::span<const double> values) {
    Delay::Settings s;
    ValueSetter setter(values);
    s.fields(setter);
    const double each_s = (std::max(s.left_ms, s.right_ms) + 2.0 * s.modulation_ms) / 1000.0;
    const double repeats = s.feedback <= 0.0 ? 1.0 : 1.0 + 3.0 / -std::log10(s.feedback / 100.0);
    return each_s * repeats;
}

}  // namespace

std::vector<Repeat> repeats_of(const Processor& delay) {
    std::vector<double> values;
    for (const ParameterInfo& info : delay_type().parameters) values.push_back(value_of(delay, info));
    Delay::Settings s;
    ValueSetter setter(values);
    s.fields(setter);
    constexpr double softest = 0.004;
    constexpr size_t most = 64;
    std::vector<Repeat> all;
    const double back = s.feedback / 100.0;
    double gain = 1.0, left_s = 0.0, right_s = 0.0;
    while (all.size() < most && gain > softest) {
        if (s.ping_pong) {
            // The middle goes in at the left, and from each side on at the other.
            const bool at_left = all.size() % 2 == 0;
            left_s += (at_left ? s.left_ms : s.right_ms) / 1000.0;
            all.push_back({left_s, at_left ? gain : 0.0, at_left ? 0.0 : gain});
        } else {
            left_s += s.left_ms / 1000.0, right_s += s.right_ms / 1000.0;
            all.push_back({left_s, gain, 0.0});
            all.push_back({right_s, 0.0, gain});
        }
        gain *= back;
    }
    std::stable_sort(all.begin(), all.end(), [](const Repeat& a, const Repeat& b) { return a.time_s < b.time_s; });
    // What comes at one moment on both sides is one repeat.
    std::vector<Repeat> apart;
    for (const Repeat& r : all)
        if (!apart.empty() && r.time_s - apart.back().time_s < 1e-4)
            apart.back().left += r.left, apart.back().right += r.right;
        else
            apart.push_back(r);
    return apart;
}

const ProcessorType& delay_type() {
    static const ProcessorType type = [] {
        ProcessorType t = make_type<Delay>("delay", "delay", false, false);
        t.tail_s = delay_tail_s;
        t.keyed = true;
        return t;
    }();
    return type;
}

}  // namespace isotonus
