// Advice about a row's chain, computed from the whole song.  What is found is shown first and becomes ordinary settings
// when it is taken; every figure in it is common practice, no source, unless one is named.
#pragma once

#include "core/measure/family.h"
#include "core/measure/spectrum.h"
#include "core/shape/signal.h"

namespace isotonus {

/// The long-term spectrum of what a material plays.  Fails as reading does, or with "cancelled".
Result<LongTermSpectrum> spectrum_of(const Material& material, Progress* progress = nullptr);

/// Where a low cut may stand.
struct LowCutAdvice {
    double hz = 0.0;        ///< of a low cut of 12 dB an octave
    double edge_hz = 0.0;   ///< below it nothing of the track is wanted; hz lies 12 % under it
    double takes_db = 0.0;  ///< by how much the track's power falls, 0 or above
};
/// The body of a track reaches down from its strongest band as far as every band on the way lies less than 30 dB below
/// that band; what is under the edge is unwanted, however strong it is (rumble).  Kicks and basses (`low_wanted`) keep
/// everything from 35 Hz on, other tracks everything from 200 Hz on and nothing below 45 Hz.  Nothing when less than
/// 25 Hz is left to cut, or the track is silent.  Where another track carries the low end (`carried`), the cut goes up
/// to where it takes 0.5 dB of the track's power, from 100 to 200 Hz.
std::optional<LowCutAdvice> low_cut_advice(const LongTermSpectrum& spectrum, bool low_wanted, bool carried = false);
/// By how much a low cut lowers a track's power, dB, 0 or above; `slope_db` an octave (12 or 24).
double taken_by_low_cut_db(const LongTermSpectrum& spectrum, double hz, double slope_db);
/// After sweeping a low cut up until it is too much: back by 12 %.
inline double backed_off_hz(double hz) { return hz * 0.88; }

/// The equal-tempered note nearest to a frequency (A4 = 440 Hz, ISO 16) with the cents beside it from 10 on: "A4",
/// "G#5 -22 cents".
std::string note_name(double hz);

/// A resonance: a narrow place that stands out of what is around it for long.
struct Trouble {
    double hz = 0.0;
    double excess_db = 0.0;  ///< mean, over the smoothed spectrum (an octave), while it stands out
    double share = 0.0;      ///< of the time in which the track sounds, 0 … 1
    double cut_db = 0.0;     ///< what a bell there may take away, -2 … -6
    double q = 8.0;
    /// The nearest note, "A4 +13 cents".
    std::string note() const { return note_name(hz); }
};
/// At most `most`, those that stand out the most first: twelfths of an octave from 60 Hz to 12 kHz that lie 6 dB and
/// more above the mean of the octave around them in half of the sounding time and longer; by more than 24 dB it is a
/// tone that is held, which is the sound itself.  Notes that are played are left out: where a place is mostly a
/// partial of a series of tones that sound with it, and is not raised above them.
Result<std::vector<Trouble>> find_troubles(const Material& material, size_t most = 4, Progress* progress = nullptr);

/// The strongest single frequency of a sound from 40 Hz to 5 kHz over the whole song, Hz; nothing for silence.  Fails
/// as reading does, or with "cancelled".
Result<std::optional<double>> strongest_hz(const Material& material, Progress* progress = nullptr);

/// What is wanted of a compressor: the reduction that it reaches at most, or the one that is typical while it works.
struct ReductionAim {
    bool most = false;
    double db = 3.0;  ///< 0 … 40
};
struct AimedThreshold {
    double threshold_dbfs = 0.0;
    Signal::Reduction reduction;  ///< with that threshold
    bool reached = false;         ///< within 0.1 dB
};
/// The threshold of the processor at this place with which it reduces by so much over the whole song.  The chain before
/// it counts; what comes after does not matter.  Fails when the processor has no threshold or does not turn down.
Result<AimedThreshold> threshold_for(const SignalRecipe& recipe, size_t position, const ReductionAim& aim,
                                     Progress* progress = nullptr);

/// The chain with the thresholds of these processors (by id) set so that each reduces by so much of what the chain
/// before it leaves of the sound; where that cannot be reached, as near to it as it goes.  Fails as threshold_for does.
Result<Chain> with_reductions(SignalRecipe recipe, const std::map<uint64_t, ReductionAim>& aims,
                              Progress* progress = nullptr);

/// A duck for a row that must make way for another: kick on bass.
struct DuckAdvice {
    double threshold_dbfs = 0.0, depth_db = 0.0, hold_ms = 0.0, release_ms = 0.0;
    double overlap_db = 0.0;  ///< the row against the key at its hits, 30 … 200 Hz, as both stand in the mix
    double decay_ms = 0.0;    ///< of the key: until its level has fallen by 20 dB, median of its hits
    int hits = 0;
};
/// Depth: so that the row lies 6 dB below the key while that lasts, 12 dB at most and none where it does already.  Hold
/// and release follow the key's own decay, so that the dip lasts as long as the hit.  `row_db`, `key_db`: what the
/// faders add after the taps.  Nothing when the key has no hits.
Result<std::optional<DuckAdvice>> duck_advice(const PreFaderSource& row, double row_db, const PreFaderSource& key,
                                              double key_db, Progress* progress = nullptr);

/// Sets the first duck of a chain that listens to this row, or puts one at its end.
void set_duck(Chain& chain, uint64_t key, const DuckAdvice& advice);

}  // namespace isotonus
