// Microphones of one source: how late one is against another, and which way round.
#pragma once

#include "core/measure/material.h"

namespace isotonus {

struct Alignment {
    double delay_samples = 0.0;       ///< how late the track is against the reference; negative: early
    bool inverted = false;            ///< the track moves the other way
    double correlation_before = 0.0;  ///< normalised, over the hits, as the tracks stand
    double correlation_after = 0.0;   ///< … once delay and polarity are put right
    double low_gain_db = 0.0;         ///< what the sum of both gains below 200 Hz by aligning
    int hits = 0;                     ///< places that were listened to
    double distinctness = 0.0;        ///< height of the correlation's peak over its next one, 1 ms or more away
    bool reliable = false;            ///< enough hits and a distinct enough peak to advise
};

/// Compares a track with a reference at the reference's strongest hits (at most 32, at least 0.2 s apart).
/// Generalised cross-correlation (Knapp and Carter, 1976): the cross-spectra of all hits are added, limited to 30 Hz …
/// 6 kHz, and weighted by 1/sqrt of their magnitude, half way between plain correlation and the phase transform; the
/// largest magnitude within +/-50 ms, refined by a parabola, is the delay, its sign the polarity. Reliable: 3 hits or
/// more, a peak 1.15 times the next one, and an aligned correlation of at least 0.2 (common practice, no source). Both
/// files at the session's rate.  Fails as reading does.
Result<Alignment> align_to(const Media& reference, const Media& track, int sample_rate,
                           const LevelSummary& reference_summary, int64_t reference_delay = 0, int64_t track_delay = 0);

/// Centimetres that sound travels in a time, at 343 m/s.
inline double centimetres(double seconds) { return seconds * 34300.0; }

}  // namespace isotonus
