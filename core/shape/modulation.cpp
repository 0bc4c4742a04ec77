#include "core/shape/modulation.h"

#include <cmath>
#include <numbers>

#include "core/shape/lines.h"

namespace isotonus {

namespace {

constexpr std::array kind_words{"chorus", "flanger", "phaser"};
enum class ModulationKind { chorus, flanger, phaser };
constexpr int stages = 6;
constexpr double longest_sweep_ms = 25.0;
constexpr double phaser_low_hz = 200.0, phaser_high_hz = 4000.0;

struct Modulation {
    struct Settings {
        ModulationKind kind = ModulationKind::chorus;
        double rate_hz = 0.6, depth = 50.0, feedback = 0.0, apart = 90.0;
        template <class V>
        void fields(V& v) {
            v.choice("kind", kind, kind_words);
            v.number("rate_hz", rate_hz, {"Hz", 0.02, 10.0, ControlTaper::log, 0.01});
            v.number("depth", depth, {"%", 0.0, 100.0, ControlTaper::linear, 0.5});
            v.number("feedback", feedback, {"%", -90.0, 90.0, ControlTaper::linear, 0.5});
            v.number("apart", apart, {"\u00b0", 0.0, 180.0, ControlTaper::linear, 1.0});
        }
    };
    struct State {
        uint32_t at = 0;
        double turn = 0.0;  ///< 0 … 1, at the cell's start
        float back[2] = {};
        float passed[2][stages] = {};
    };
    /// What the movement says at a time: frames of delay, or the all-pass filters' coefficient.
    double delay_at(double turn, double depth, double rate) const {
        const double wave = std::sin(2.0 * std::numbers::pi * turn);
        if (s_.kind == ModulationKind::chorus) return (15.0 + 8.0 * depth * wave) * 0.001 * rate;
        if (s_.kind == ModulationKind::flanger) return (1.0 + 2.5 * depth * (1.0 + wave)) * 0.001 * rate;
        const double middle = std::sqrt(phaser_low_hz * phaser_high_hz);
        const double hz = middle * std::pow(phaser_high_hz / phaser_low_hz, 0.5 * depth * wave);
        const double k = std::tan(std::numbers::pi * std::min(hz, 0.45 * rate) / rate);
        return (k - 1.0) / (k + 1.0);
    }

    static size_t length(double rate) {
        return static_cast<size_t>(longest_sweep_ms * 0.001 * rate) + static_cast<size_t>(cell_frames);
    }
    static size_t line_floats(double rate) { return 2 * length(rate); }

    void prepare(const Settings& s, int, double, bool first) {
        depth_from_ = first ? s.depth / 100.0 : s_.depth / 100.0;
        feedback_from_ = static_cast<float>((first ? s.feedback : s_.feedback) / 100.0);
        s_ = s;
    }

    void process(State& state, float* lines, const Cell& c) {
        const double turned = state.turn + s_.rate_hz * c.frames / c.sample_rate;
        const auto feedback_to = static_cast<float>(s_.feedback / 100.0);
        for (int side = 0; side < c.channels; ++side) {
            Ring ring(lines + static_cast<size_t>(side) * length(c.sample_rate), length(c.sample_rate));
            const double shift = side == 1 ? s_.apart / 360.0 : 0.0;
            const double from = delay_at(state.turn + shift, depth_from_, c.sample_rate),
                         to = delay_at(turned + shift, s_.depth / 100.0, c.sample_rate);
            uint32_t at = state.at;
            for (int i = 0; i < c.frames; ++i) {
                const double share = static_cast<double>(i + 1) / cell_frames, now = from + (to - from) * share;
                const float feedback = feedback_from_ + (feedback_to - feedback_from_) * static_cast<float>(share);
                float& sample = c.samples[i * c.channels + side];
                const float in = sample + feedback * state.back[side];
                float out = in;
                ring.write(at, &in, 1);
                if (s_.kind == ModulationKind::phaser) {
                    const auto a = static_cast<float>(now);
                    for (float& kept : state.passed[side]) {  // y = a x + x' - a y', as one value that is kept
                        const float y = a * out + kept;
                        kept = out - a * y;
                        out = y;
                    }
                } else {
                    out = ring.between(at, now + 1.0);
                }
                state.back[side] = std::fabs(out) < 1e-25f ? 0.0f : out;
                sample = out;
            }
            if (side == c.channels - 1) state.at = at;
            for (float& kept : state.passed[side])
                if (std::fabs(kept) < 1e-25f) kept = 0.0f;
        }
        state.turn = turned - std::floor(turned);
        // Until they are set anew, depth and feedback stand still.
        depth_from_ = s_.depth / 100.0;
        feedback_from_ = feedback_to;
    }

  private:
    Settings s_;
    double depth_from_ = 0.0;
    float feedback_from_ = 0.0f;
};

double modulation_tail_s(const Processor&, std::span<const double> values) {
    Modulation::Settings s;
    ValueSetter setter(values);
    s.fields(setter);
    const double left = std::fabs(s.feedback) / 100.0;
    return longest_sweep_ms / 1000.0 * (left <= 0.0 ? 1.0 : 1.0 + 3.0 / -std::log10(left));
}

}  // namespace

const ProcessorType& modulation_type() {
    static const ProcessorType type = [] {
        ProcessorType t = make_type<Modulation>("modulation", "mod", false, false);
        t.tail_s = modulation_tail_s;
        return t;
    }();
    return type;
}

}  // namespace isotonus
