// What processors of level have in common: how loud the key is, and gains that glide.
#pragma once

#include <algorithm>
#include <cmath>

#include "core/shape/fields.h"
#include "core/shape/lanes.h"

namespace isotonus {

/// A low and a high cut on a key, 12 dB an octave; 20 Hz and 20 kHz leave it as it is.
struct KeyFilter {
    struct State {
        PairFilter::DirectState low, high;
    };
    GlidingFilter low, high;
    bool low_on = false, high_on = false;
    void set(double low_cut_hz, double high_cut_hz, double rate, bool first);
    void run(State& state, PairCell& cell, int frames) const;
};

/// Which part of the spectrum is turned down: below `high_hz`, above `low_hz`, or within both.
enum class BandWhere { below, above, within };

/// A band that is turned up and down: a shelf or a bell whose gain follows from cell to cell.  At 0 dB what comes in
/// goes out to the bit, and a shelf leaves the phase alone away from its edge.
struct MovingBand {
    struct State {
        float db = 0.0f;  ///< at the end of the cell before
        PairFilter::DirectState filter;
    };
    BandWhere where = BandWhere::above;
    double low_hz = 20.0, high_hz = 20000.0;
    void process(State& state, float db, const Cell& cell) const;
};

/// What an echo or a room has of its own to make way for a sidechain source: what comes out is turned down while that
/// sounds.  Without a source, or at 0 dB, nothing happens.
struct EchoDuck {
    struct State {
        float share = 0.0f;  ///< of the depth that is taken now
    };
    void set(double depth_db, double threshold_dbfs, double rate, bool first);
    void process(State& state, const Cell& cell) const;

  private:
    float from_db_ = 0.0f, to_db_ = 0.0f, threshold_db_ = 0.0f, attack_ = 0.0f, release_ = 0.0f;
};

/// The larger magnitude of both channels in each frame; the same in dBFS; and that of a cell's key.
void magnitudes_of(const PairCell& cell, int frames, float* out);
void levels_db_of(const PairCell& cell, int frames, float* out);
void key_levels_db(const Cell& cell, float* out);

/// Multiplies every channel of each frame by 10^(dB / 20).
void apply_db(const float* gain_db, const Cell& cell);

}  // namespace isotonus
