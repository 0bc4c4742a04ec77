#include "core/shape/duck.h"

#include "core/shape/dynamics.h"

namespace isotonus {

namespace {

constexpr std::array duck_where_words{"all", "below", "above", "within"};
enum class DuckRange { all, below, above, within };
constexpr double attack_s = 0.003;  ///< short, so that the key's hit is let through; common practice, no source
constexpr float knee_db = 12.0f;    ///< from nothing to the whole depth around the threshold

struct Duck {
    struct Settings {
        double threshold_dbfs = -30.0, depth_db = 6.0, hold_ms = 20.0, release_ms = 120.0;
        DuckRange where = DuckRange::all;
        double low_hz = 100.0, high_hz = 500.0;
        template <class V>
        void fields(V& v) {
            v.number("threshold_dbfs", threshold_dbfs, {"dBFS", -80.0, 0.0});
            v.number("depth_db", depth_db, {"dB", 0.0, 48.0});
            v.number("hold_ms", hold_ms, {"ms", 0.0, 1000.0, ControlTaper::linear, 1.0});
            v.number("release_ms", release_ms, {"ms", 5.0, 3000.0, ControlTaper::log, 1.0});
            v.choice("where", where, duck_where_words);
            v.number("low_hz", low_hz, {"Hz", 20.0, 20000.0, ControlTaper::log, 1.0});
            v.number("high_hz", high_hz, {"Hz", 20.0, 20000.0, ControlTaper::log, 1.0});
        }
    };
    struct State {
        float share = 0.0f;  ///< of the depth that is taken now
        int held = 0;        ///< frames that the last hit still holds
        MovingBand::State band;
    };

    void prepare(const Settings& s, int, double rate, bool) {
        s_ = s;
        attack_ = static_cast<float>(keep_of(attack_s, rate));
        release_ = static_cast<float>(keep_of(s.release_ms * 0.001, rate));
        hold_ = static_cast<int>(s.hold_ms * 0.001 * rate);
    }

    void process(State& state, const Cell& c) {
        float level[cell_frames], gain[cell_frames];
        key_levels_db(c, level);
        const auto threshold = static_cast<float>(s_.threshold_dbfs);
        for (int i = 0; i < c.frames; ++i) level[i] = std::clamp((level[i] - threshold) / knee_db + 0.5f, 0.0f, 1.0f);
        float share = state.share, most = 0.0f;
        int held = state.held;
        for (int i = 0; i < c.frames; ++i) {
            const float wanted = level[i];
            if (wanted >= share) {
                share = wanted + (share - wanted) * attack_;
                held = hold_;
            } else if (held > 0) {
                --held;
            } else {
                share = wanted + (share - wanted) * release_;
            }
            most = std::max(most, share);
            gain[i] = share;
        }
        state.share = share < 1e-6f ? 0.0f : share;
        state.held = held;
        const auto depth = static_cast<float>(s_.depth_db);
        *c.reductions_db = -depth * most;
        for (int i = 0; i < c.frames; ++i) gain[i] *= -depth;
        if (s_.where == DuckRange::all) return apply_db(gain, c);
        const auto where = static_cast<BandWhere>(static_cast<int>(s_.where) - static_cast<int>(DuckRange::below));
        MovingBand{where, s_.low_hz, s_.high_hz}.process(state.band, gain[c.frames - 1], c);
    }

  private:
    Settings s_;
    float attack_ = 0.0f, release_ = 0.0f;
    int hold_ = 0;
};

}  // namespace

const ProcessorType& duck_type() {
    static const ProcessorType type = [] {
        ProcessorType t = make_type<Duck>("duck", "duck", true, false);
        // A filter that moves has no bound as simple as that of one that stands still.
        t.max_gain = [](std::span<const double> v) {
            return v[4] == static_cast<double>(DuckRange::all) ? 1.0 : std::numeric_limits<double>::infinity();
        };
        return t;
    }();
    return type;
}

Processor& duck_for(Chain& chain, uint64_t key) {
    auto duck = std::find_if(chain.begin(), chain.end(), [&](const Processor& p) {
        return p.type == duck_type().id && (p.key == key || p.key == 0);
    });
    if (duck == chain.end()) duck = chain.insert(chain.end(), new_processor(duck_type(), chain));
    duck->key = key;
    return *duck;
}

}  // namespace isotonus
