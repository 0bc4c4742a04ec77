#include "core/shape/gate.h"

#include "core/shape/dynamics.h"

namespace isotonus {

namespace {

constexpr float close_below_db = 3.0f;  ///< it closes that much lower than it opens, so that it does not flutter

struct Gate {
    struct Settings {
        double threshold_dbfs = -50.0, range_db = 40.0, attack_ms = 1.0, hold_ms = 50.0, release_ms = 150.0;
        template <class V>
        void fields(V& v) {
            v.number("threshold_dbfs", threshold_dbfs, {"dBFS", -96.0, 0.0});
            v.number("range_db", range_db, {"dB", 0.0, 96.0});
            v.number("attack_ms", attack_ms, {"ms", 0.05, 200.0, ControlTaper::log, 0.05});
            v.number("hold_ms", hold_ms, {"ms", 0.0, 2000.0, ControlTaper::linear, 1.0});
            v.number("release_ms", release_ms, {"ms", 5.0, 3000.0, ControlTaper::log, 1.0});
        }
    };
    struct State {
        float gain_db = 0.0f;
        int held = 0;
        bool open = false, begun = false;
    };

    void prepare(const Settings& s, int, double rate, bool) {
        s_ = s;
        attack_ = static_cast<float>(keep_of(s.attack_ms * 0.001, rate));
        release_ = static_cast<float>(keep_of(s.release_ms * 0.001, rate));
        hold_ = static_cast<int>(s.hold_ms * 0.001 * rate);
    }

    void process(State& state, const Cell& c) {
        float level[cell_frames], gain[cell_frames];
        key_levels_db(c, level);
        const auto threshold = static_cast<float>(s_.threshold_dbfs), range = -static_cast<float>(s_.range_db);
        if (!state.begun) state.gain_db = range;  // the song begins with the gate closed
        state.begun = true;
        float deepest = 0.0f;
        for (int i = 0; i < c.frames; ++i) {
            if (level[i] >= threshold)
                state.open = true, state.held = hold_;
            else if (state.open && level[i] < threshold - close_below_db && --state.held < 0)
                state.open = false;
            const float wanted = state.open ? 0.0f : range;
            state.gain_db = wanted + (state.gain_db - wanted) * (state.open ? attack_ : release_);
            gain[i] = state.gain_db;
            deepest = std::min(deepest, gain[i]);
        }
        if (state.gain_db > -1e-6f) state.gain_db = 0.0f;
        *c.reductions_db = deepest;
        apply_db(gain, c);
    }

  private:
    Settings s_;
    float attack_ = 0.0f, release_ = 0.0f;
    int hold_ = 0;
};

}  // namespace

const ProcessorType& gate_type() {
    static const ProcessorType type = [] {
        ProcessorType t = make_type<Gate>("gate", "gate", true, false);
        t.max_gain = [](std::span<const double>) { return 1.0; };
        return t;
    }();
    return type;
}

}  // namespace isotonus
