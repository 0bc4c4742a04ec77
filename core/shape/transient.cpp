#include "core/shape/transient.h"

#include "core/audio/kernels.h"
#include "core/decibels.h"
#include "core/shape/dynamics.h"

namespace isotonus {

namespace {

// Two envelopes differ where a sound begins (one follows at once, the other late) and where it rings (one lets go at
// once, the other late).  A difference of 12 dB counts as a whole beginning.  Common practice, no source.
constexpr double at_once_s = 0.001, late_s = 0.03, short_s = 0.05, long_s = 0.4;
constexpr float whole_db = 12.0f;

struct Transient {
    struct Settings {
        double attack_db = 0.0, sustain_db = 0.0;
        template <class V>
        void fields(V& v) {
            v.number("attack_db", attack_db, {"dB", -12.0, 12.0});
            v.number("sustain_db", sustain_db, {"dB", -12.0, 12.0});
        }
    };
    struct State {
        float quick = 0.0f, late = 0.0f, brief = 0.0f, lasting = 0.0f;  ///< envelopes, linear
    };

    void prepare(const Settings& s, int, double rate, bool) {
        s_ = s;
        at_once_ = static_cast<float>(keep_of(at_once_s, rate));
        late_ = static_cast<float>(keep_of(late_s, rate));
        short_ = static_cast<float>(keep_of(short_s, rate));
        long_ = static_cast<float>(keep_of(long_s, rate));
    }

    void process(State& state, const Cell& c) {
        PairCell cell;
        cell.load(c.key, c.key_channels, c.frames);
        float level[cell_frames], begins[cell_frames], rings[cell_frames];
        magnitudes_of(cell, c.frames, level);
        const auto follow = [](float& envelope, float to, float rise, float fall) {
            envelope = to + (envelope - to) * (to > envelope ? rise : fall);
            if (envelope < 1e-20f) envelope = 0.0f;
        };
        for (int i = 0; i < c.frames; ++i) {
            follow(state.quick, level[i], at_once_, short_);
            follow(state.late, level[i], late_, short_);
            follow(state.brief, level[i], at_once_, short_);
            follow(state.lasting, level[i], at_once_, long_);
            begins[i] = state.quick / std::max(state.late, 3e-5f);
            rings[i] = state.lasting / std::max(state.brief, 3e-5f);
        }
        float attacks[cell_frames], sustains[cell_frames];
        kernels::levels_db(begins, static_cast<size_t>(c.frames), 1, attacks);
        kernels::levels_db(rings, static_cast<size_t>(c.frames), 1, sustains);
        const auto share = [](float db) { return std::clamp(db / whole_db, 0.0f, 1.0f); };
        const auto attack = static_cast<float>(s_.attack_db), sustain = static_cast<float>(s_.sustain_db);
        for (int i = 0; i < c.frames; ++i) begins[i] = attack * share(attacks[i]) + sustain * share(sustains[i]);
        apply_db(begins, c);
    }

  private:
    Settings s_;
    float at_once_ = 0.0f, late_ = 0.0f, short_ = 0.0f, long_ = 0.0f;
};

}  // namespace

const ProcessorType& transient_type() {
    static const ProcessorType type = [] {
        ProcessorType t = make_type<Transient>("transient", "transient", false, false);
        t.by_level = true;
        t.max_gain = [](std::span<const double> v) {
            return gain_from_db(std::max(0.0, v[0]) + std::max(0.0, v[1]));  // attack and sustain
        };
        return t;
    }();
    return type;
}

}  // namespace isotonus
