#include "core/shape/band_compressor.h"

#include "core/shape/compressor.h"
#include "core/shape/dynamics.h"

namespace isotonus {

namespace {

constexpr std::array where_words{"below", "above", "within"};  // as the duck has them

struct BandCompressor {
    struct Settings {
        BandWhere where = BandWhere::above;
        double low_hz = 5000.0, high_hz = 9000.0, threshold_dbfs = -30.0, ratio = 3.0, knee_db = 6.0, attack_ms = 2.0,
               release_ms = 80.0, makeup_db = 0.0, range_db = 12.0;
        template <class V>
        void fields(V& v) {
            v.choice("where", where, where_words);
            v.number("low_hz", low_hz, {"Hz", 20.0, 20000.0, ControlTaper::log, 1.0});
            v.number("high_hz", high_hz, {"Hz", 20.0, 20000.0, ControlTaper::log, 1.0});
            v.number("threshold_dbfs", threshold_dbfs, {"dBFS", -80.0, 0.0});
            v.number("ratio", ratio, {":1", 1.0, endless_ratio, ControlTaper::log, 0.05});
            v.number("knee_db", knee_db, {"dB", 0.0, 24.0});
            v.number("attack_ms", attack_ms, {"ms", 0.05, 200.0, ControlTaper::log, 0.05});
            v.number("release_ms", release_ms, {"ms", 5.0, 3000.0, ControlTaper::log, 1.0});
            v.number("makeup_db", makeup_db, {"dB", -24.0, 24.0});
            v.number("range_db", range_db, {"dB", 0.0, 60.0});
        }
    };
    struct State {
        KeyFilter::State key;
        MovingBand::State band;
        double gain_db = 0.0;
    };

    void prepare(const Settings& s, int, double rate, bool first) {
        s_ = s;
        band_ = {s.where, s.low_hz, s.high_hz};
        heard_.set(s.where == BandWhere::below ? 20.0 : s.low_hz, s.where == BandWhere::above ? 20000.0 : s.high_hz,
                   rate, first);
        attack_ = keep_of(s.attack_ms * 0.001, rate);
        release_ = keep_of(s.release_ms * 0.001, rate);
    }

    void process(State& state, const Cell& c) {
        PairCell heard;
        heard.load(c.key, c.key_channels, c.frames);
        heard_.run(state.key, heard, c.frames);
        float level[cell_frames], gain[cell_frames];
        levels_db_of(heard, c.frames, level);
        static_gains_db(level, c.frames, static_cast<float>(s_.threshold_dbfs),
                        s_.ratio >= endless_ratio ? -1.0f : static_cast<float>(1.0 / s_.ratio - 1.0),
                        static_cast<float>(s_.knee_db), -static_cast<float>(s_.range_db), gain);
        follow_gains(gain, c.frames, attack_, release_, state.gain_db, gain);
        finish_gains(gain, c.frames, static_cast<float>(s_.makeup_db), c.reductions_db);
        band_.process(state.band, gain[c.frames - 1], c);
    }

  private:
    Settings s_;
    MovingBand band_;
    KeyFilter heard_;  ///< the band of what it goes by
    double attack_ = 0.0, release_ = 0.0;
};

}  // namespace

const ProcessorType& band_compressor_type() {
    static const ProcessorType type = make_type<BandCompressor>("band_compressor", "band comp", true, false);
    return type;
}

}  // namespace isotonus
