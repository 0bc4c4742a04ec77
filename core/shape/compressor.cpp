#include "core/shape/compressor.h"

#include <utility>

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

}  // namespace

ISOTONUS_WIDE void static_gains_db(const float* level, int frames, float threshold, float slope, float knee,
                                   float range, float* gain) {
    const float bend = knee > 0.0f ? slope / (2.0f * knee) : 0.0f;
    for (int i = 0; i < frames; ++i) {
        const float over = level[i] - threshold;
        float into = over + 0.5f * knee;
        if (into < 0.0f)
            into = 0.0f;
        else if (into > knee)
            into = knee;
        else
            into = into;
        const float past = over - 0.5f * knee;
        const float wanted = bend * into * into + slope * (past > 0.0f ? past : 0.0f);
        gain[i] = wanted > range ? wanted : range;
    }
}

namespace {

/// What two ways to move make of a value over one, two and four frames, of which the lesser counts each time: the least
/// of straight lines in it, whose slopes are products of both ways' and whose places are here, four frames side by
/// side.
struct Ways {
    static constexpr int most = stretch_frames / 4;
    double first[2][most], second[3][most], third[2][most], fourth[5][most];
    double begin[most], end[most];  ///< the value before and after
};

ISOTONUS_WIDE void find_ways(const float* wanted, int fours, double sign, double fall, double rise, Ways& w) {
    const double ff = fall * fall, fr = fall * rise, rr = rise * rise, fallen = sign * (1.0 - fall),
                 risen = sign * (1.0 - rise);
    const auto lesser = [](double a, double b) { return a < b ? a : b; };
    for (int n = 0; n < fours; ++n) {
        double falling[4], rising[4], two[2][3];
        for (int i = 0; i < 4; ++i) {
            falling[i] = static_cast<double>(wanted[4 * n + i]) * fallen;
            rising[i] = static_cast<double>(wanted[4 * n + i]) * risen;
        }
        for (int half = 0; half < 2; ++half) {
            const double f1 = falling[2 * half], f2 = falling[2 * half + 1], r1 = rising[2 * half],
                         r2 = rising[2 * half + 1];
            two[half][0] = fall * f1 + f2;
            two[half][1] = lesser(fall * r1 + f2, rise * f1 + r2);
            two[half][2] = rise * r1 + r2;
        }
        w.first[0][n] = falling[0], w.first[1][n] = rising[0];
        w.third[0][n] = falling[2], w.third[1][n] = rising[2];
        for (int i = 0; i < 3; ++i) w.second[i][n] = two[0][i];
        const double *a = two[0], *b = two[1];
        w.fourth[0][n] = ff * a[0] + b[0];
        w.fourth[1][n] = lesser(ff * a[1] + b[0], fr * a[0] + b[1]);
        w.fourth[2][n] = lesser(lesser(ff * a[2] + b[0], fr * a[1] + b[1]), rr * a[0] + b[2]);
        w.fourth[3][n] = lesser(fr * a[2] + b[1], rr * a[1] + b[2]);
        w.fourth[4][n] = rr * a[2] + b[2];
    }
}

ISOTONUS_WIDE void go_ways(const Ways& w, int fours, double sign, double fall, double rise, float* out) {
    const double ff = fall * fall, fr = fall * rise, rr = rise * rise;
    const auto lesser = [](double a, double b) { return a < b ? a : b; };
    for (int n = 0; n < fours; ++n) {
        const double x = w.begin[n];
        const double first = lesser(w.first[0][n] + fall * x, w.first[1][n] + rise * x);
        const double second = lesser(lesser(w.second[0][n] + ff * x, w.second[1][n] + fr * x), w.second[2][n] + rr * x);
        const double third = lesser(w.third[0][n] + fall * second, w.third[1][n] + rise * second);
        out[4 * n] = static_cast<float>(sign * first);
        out[4 * n + 1] = static_cast<float>(sign * second);
        out[4 * n + 2] = static_cast<float>(sign * third);
        out[4 * n + 3] = static_cast<float>(sign * w.end[n]);
    }
}

}  // namespace

// The lesser of both ways (the greater where the attack is the longer one).  Every frame waits for the one before, so
// four are done in one step, and those between them all at once.
void follow_gains(const float* wanted, int frames, double attack, double release, double& state, float* out) {
    Ways w;
    const double sign = attack <= release ? 1.0 : -1.0;
    const int fours = frames / 4;
    find_ways(wanted, fours, sign, attack, release, w);
    const double a2 = attack * attack, r2 = release * release;
    const double slopes[] = {a2 * a2, a2 * attack * release, a2 * r2, attack * release * r2, r2 * r2};
    double now = sign * state;
    for (int n = 0; n < fours; ++n) {
        w.begin[n] = now;
        now = std::min(std::min(std::min(w.fourth[0][n] + slopes[0] * now, w.fourth[1][n] + slopes[1] * now),
                                std::min(w.fourth[2][n] + slopes[2] * now, w.fourth[3][n] + slopes[3] * now)),
                       w.fourth[4][n] + slopes[4] * now);
        w.end[n] = now;
        if (n % (cell_frames / 4) == cell_frames / 4 - 1 && sign * now > -1e-6) now = 0.0;
    }
    state = sign * now;
    go_ways(w, fours, sign, attack, release, out);
}

void finish_gains(float* gain, int frames, float makeup, float* deepest) {
    for (int at = 0; at < frames; at += cell_frames) deepest[at / cell_frames] = -kernels::peak(gain + at, cell_frames);
    if (makeup != 0.0f)
        for (int i = 0; i < frames; ++i) gain[i] += makeup;
}

namespace {

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
            v.number("ratio", ratio, {":1", 1.0, endless_ratio, ControlTaper::log, 0.05});
            v.number("knee_db", knee_db, {"dB", 0.0, 24.0});
            v.number("attack_ms", attack_ms, {"ms", 0.05, 200.0, ControlTaper::log, 0.05});
            v.number("release_ms", release_ms, {"ms", 5.0, 3000.0, ControlTaper::log, 1.0});
            v.choice("release_auto", release_auto, toggle_words);
            v.number("lookahead_ms", lookahead_ms, {"ms", 0.0, 10.0});
            v.number("makeup_db", makeup_db, {"dB", -24.0, 24.0});
            v.number("range_db", range_db, {"dB", 0.0, 60.0});
            v.choice("detector", detector, detector_words);
            v.number("key_low_cut_hz", key_low_cut_hz, {"Hz", 20.0, 20000.0, ControlTaper::log, 1.0});
            v.number("key_high_cut_hz", key_high_cut_hz, {"Hz", 20.0, 20000.0, ControlTaper::log, 1.0});
        }
    };
    static constexpr bool supports_batches = true;
    struct State {
        KeyFilter::State key;
        double power = 0.0;
        double gain_db = 0.0, slow_db = 0.0;  ///< of what is taken away now, and over a longer time
    };

    void prepare(const Settings& s, int, double rate, bool first) {
        s_ = s;
        // The look ahead is of the processor as a whole: it does not ride, wherever reading begins.
        if (!std::exchange(latency_is_set_, true)) latency_ = static_cast<int>(s.lookahead_ms * 0.001 * rate + 0.5);
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

    void process(State& state, const Cell& c) {
        float level[stretch_frames], gain[stretch_frames];
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
            float slow[stretch_frames];
            follow_gains(gain, c.frames, slow_attack_, slow_release_, state.slow_db, slow);
            follow_gains(gain, c.frames, attack_, quick_, state.gain_db, gain);
            for (int i = 0; i < c.frames; ++i) gain[i] = std::min(gain[i], slow[i]);
        } else {
            follow_gains(gain, c.frames, attack_, release_, state.gain_db, gain);
        }
        finish_gains(gain, c.frames, static_cast<float>(s_.makeup_db), c.reductions_db);
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
            if (i % cell_frames == cell_frames - 1 && state.power < 1e-30) state.power = 0.0;
        }
        float twice[stretch_frames];
        kernels::levels_db(level, static_cast<size_t>(c.frames), 1, twice);
        for (int i = 0; i < c.frames; ++i) level[i] = 0.5f * twice[i];
    }

    Settings s_;
    KeyFilter key_;
    int latency_ = 0;
    bool latency_is_set_ = false;
    double attack_ = 0.0, release_ = 0.0, quick_ = 0.0, slow_attack_ = 0.0, slow_release_ = 0.0;
    double power_keep_ = 0.0;
};

}  // namespace

const ProcessorType& compressor_type() {
    static const ProcessorType type = [] {
        ProcessorType t = make_type<Compressor>("compressor", "comp", true, false);
        t.looks_ahead = true;
        t.max_gain = [](std::span<const double> values) {
            const double makeup_db =
                values[static_cast<size_t>(compressor_type().find("makeup_db") - compressor_type().parameters.data())];
            return gain_from_db(makeup_db);
        };
        return t;
    }();
    return type;
}

}  // namespace isotonus
