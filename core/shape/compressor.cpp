#include "core/shape/compressor.h"

#include "core/audio/kernels.h"
#include "core/decibels.h"
#include "core/shape/dynamics.h"

namespace isotonus {

double static_reduction_db(double level, double threshold, double ratio, double knee) {
    const double slope = ratio >= endless_ratio ? -1.0 : 1.0 / ratio - 1.0, over = level - threshold;
    if (2.0 * over <= -knee) return 0.0;
    if (2.0 * over >= knee) return slope * over;
    return slope * (over + knee / 2.0) * (over + knee / 2.0) / (2.0 * knee);
}

namespace {

constexpr std::array detector_words{"peak", "rms"};
constexpr double rms_s = 0.01;  ///< over which powers are averaged; common practice, no source

/// The static curve of all frames, without branches; slope = 1 / ratio - 1.
ISOTONUS_WIDE void static_gains_db(const float* level, int frames, float threshold, float slope, float knee,
                                   float range, float* gain) {
    const float bend = knee > 0.0f ? slope / (2.0f * knee) : 0.0f;
    for (int i = 0; i < frames; ++i) {
        const float over = level[i] - threshold;
        float into = over + 0.5f * knee;
        into = into < 0.0f ? 0.0f : into > knee ? knee : into;
        const float past = over - 0.5f * knee;
        const float wanted = bend * into * into + slope * (past > 0.0f ? past : 0.0f);
        gain[i] = wanted > range ? wanted : range;
    }
}

/// A reduction in dB that falls to what is wanted by the attack and comes back by the release, each given as what is
/// left after a frame.  Every frame waits for the one before, so both ways are worked out and the right one is the
/// lesser of them (the greater where the attack is the longer one).
void follow(const float* wanted, int frames, double attack, double release, double& state, float* out) {
    double falling[cell_frames], rising[cell_frames], now = state;
    for (int i = 0; i < frames; ++i) {
        const auto w = static_cast<double>(wanted[i]);
        falling[i] = w * (1.0 - attack);
        rising[i] = w * (1.0 - release);
    }
    if (attack <= release)
        for (int i = 0; i < frames; ++i) {
            now = std::min(falling[i] + now * attack, rising[i] + now * release);
            out[i] = static_cast<float>(now);
        }
    else
        for (int i = 0; i < frames; ++i) {
            now = std::max(falling[i] + now * attack, rising[i] + now * release);
            out[i] = static_cast<float>(now);
        }
    state = now > -1e-6 ? 0.0 : now;
}

/// Adds the make-up to reductions in dB; returns the deepest of them.
ISOTONUS_WIDE float finished(float* gain, int frames, float makeup) {
    float deepest = 0.0f;
    for (int i = 0; i < frames; ++i) {
        deepest = gain[i] < deepest ? gain[i] : deepest;
        gain[i] += makeup;
    }
    return deepest;
}

struct Compressor {
    struct Settings {
        double threshold_dbfs = -18.0, ratio = 3.0, knee_db = 6.0, attack_ms = 10.0, release_ms = 120.0;
        bool release_auto = false;
        double lookahead_ms = 0.0, makeup_db = 0.0, range_db = 60.0;
        int detector = 0;
        double key_low_cut_hz = 20.0, key_high_cut_hz = 20000.0;
        template <class V>
        void fields(V& v) {
            v.number("threshold_dbfs", threshold_dbfs, {"dBFS", -80.0, 0.0});
            v.number("ratio", ratio, {":1", 1.0, endless_ratio, Law::log, 0.05});
            v.number("knee_db", knee_db, {"dB", 0.0, 24.0});
            v.number("attack_ms", attack_ms, {"ms", 0.05, 200.0, Law::log, 0.05});
            v.number("release_ms", release_ms, {"ms", 5.0, 3000.0, Law::log, 1.0});
            v.choice("release_auto", release_auto, toggle_words);
            v.number("lookahead_ms", lookahead_ms, {"ms", 0.0, 10.0});
            v.number("makeup_db", makeup_db, {"dB", -24.0, 24.0});
            v.number("range_db", range_db, {"dB", 0.0, 60.0});
            v.choice("detector", detector, detector_words);
            v.number("key_low_cut_hz", key_low_cut_hz, {"Hz", 20.0, 20000.0, Law::log, 1.0});
            v.number("key_high_cut_hz", key_high_cut_hz, {"Hz", 20.0, 20000.0, Law::log, 1.0});
        }
    };
    struct State {
        KeyFilter::State key;
        double power = 0.0;
        double gain_db = 0.0, slow_db = 0.0;  ///< of what is taken away now, and over a longer time
        float deepest_db = 0.0f;
    };

    void prepare(const Settings& s, int, double rate, bool first) {
        s_ = s;
        // The look ahead is of the processor as a whole and does not ride.
        if (first) latency_ = static_cast<int>(s.lookahead_ms * 0.001 * rate + 0.5);
        key_.set(s.key_low_cut_hz, s.key_high_cut_hz, rate, first);
        attack_ = keep_of(s.attack_ms * 0.001, rate);
        release_ = keep_of(s.release_ms * 0.001, rate);
        // Automatic: single peaks are let go within 80 ms, what lasts for long within a second.
        quick_ = keep_of(0.08, rate);
        slow_attack_ = keep_of(0.3, rate);
        slow_release_ = keep_of(1.0, rate);
        power_keep_ = keep_of(rms_s, rate);
    }
    int latency() const { return latency_; }
    float reduction_db(const State& state) const { return state.deepest_db; }

    void process(State& state, const Cell& c) {
        float level[cell_frames], gain[cell_frames];
        if (s_.detector == 0 && !key_.low_on && !key_.high_on) {
            key_levels_db(c, level);
        } else {
            PairCell key;
            key.load(c.key, c.key_channels, c.frames);
            key_.run(state.key, key, c.frames);
            detect(state, key, c, level);
        }
        static_gains_db(level, c.frames, static_cast<float>(s_.threshold_dbfs),
                        s_.ratio >= endless_ratio ? -1.0f : static_cast<float>(1.0 / s_.ratio - 1.0),
                        static_cast<float>(s_.knee_db), -static_cast<float>(s_.range_db), gain);
        if (s_.release_auto) {
            float slow[cell_frames];
            follow(gain, c.frames, slow_attack_, slow_release_, state.slow_db, slow);
            follow(gain, c.frames, attack_, quick_, state.gain_db, gain);
            for (int i = 0; i < c.frames; ++i) gain[i] = std::min(gain[i], slow[i]);
        } else {
            follow(gain, c.frames, attack_, release_, state.gain_db, gain);
        }
        const auto makeup = static_cast<float>(s_.makeup_db);
        state.deepest_db = finished(gain, c.frames, makeup);
        apply_db(gain, c);
    }

  private:
    void detect(State& state, const PairCell& key, const Cell& c, float* level) const {
        if (s_.detector == 0) return levels_db_of(key, c.frames, level);
        // AES17: a sine's RMS reads what its peak reads.
        for (int i = 0; i < c.frames; ++i) {
            const Pair square = key.at[i] * key.at[i];
            const double power = c.key_channels == 2 ? square[0] + square[1] : 2.0 * square[0];
            state.power = power + (state.power - power) * power_keep_;
            level[i] = static_cast<float>(state.power);
        }
        float twice[cell_frames];
        kernels::levels_db(level, static_cast<size_t>(c.frames), 1, twice);
        for (int i = 0; i < c.frames; ++i) level[i] = 0.5f * twice[i];
        if (state.power < 1e-30) state.power = 0.0;
    }

    Settings s_;
    KeyFilter key_;
    int latency_ = 0;
    double attack_ = 0.0, release_ = 0.0, quick_ = 0.0, slow_attack_ = 0.0, slow_release_ = 0.0;
    double power_keep_ = 0.0;
};

}  // namespace

const ProcessorType& compressor_type() {
    static const ProcessorType type = [] {
        ProcessorType t = make_type<Compressor>("compressor", "comp", true, false);
        t.looks_ahead = true;
        t.most_gain = [](std::span<const double> values) {
            const double makeup_db =
                values[static_cast<size_t>(compressor_type().find("makeup_db") - compressor_type().parameters.data())];
            return gain_from_db(makeup_db);
        };
        return t;
    }();
    return type;
}

}  // namespace isotonus
