// Microphones of one source: how late one is against another, and which way round.
#pragma once

#include <functional>

#include "core/measure/material.h"
#include "core/session/session.h"
#include "core/stage/findings.h"

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
    int64_t strongest_hit = 0;        ///< frame of the song
    std::vector<float> curve;         ///< the correlation for lags of -50 … +50 ms, the highest magnitude being 1
};

/// Lags that are looked at: +/-50 ms.
inline int alignment_reach(int sample_rate) { return sample_rate / 20; }

/// How a track stands: its whole delay in samples, its polarity.
struct Standing {
    int64_t delay = 0;
    bool inverted = false;
    bool operator==(const Standing&) const = default;
};
inline Standing standing_of(const Track& track) { return {whole_delay(track), track.polarity_inverted}; }

/// Compares a track with a reference at the reference's strongest hits (at most `max_hits`, at least 0.2 s apart), as
/// both stand.
/// Generalised cross-correlation (Knapp and Carter, 1976): the cross-spectra of all hits are added, limited to 30 Hz …
/// 12 kHz, and weighted by 1/sqrt of their magnitude, half way between plain correlation and the phase transform; the
/// largest magnitude within +/-50 ms is the delay, its sign the polarity.  It is refined to a fraction of a sample
/// where the band-limited correlation has its maximum (Newton's method on its derivative). Reliable: 3 hits or more, a
/// peak 1.15 times the next one, and an aligned correlation of at least 0.2 (common practice, no source).  Fails as
/// reading does.
Result<Alignment> align_to(const Material& reference, const Material& track, Standing reference_stands = {},
                           Standing track_stands = {}, int max_hits = 32);

/// A track put right: moved by what was found, to a hundredth of a sample, and turned round where that was found.
Track aligned(Track track, const Alignment& found);

/// What a track plays around a frame of the song, as it stands: the mean of its channels, polarity and delay counted.
Result<std::vector<float>> heard_around(const Material& track, Standing stands, int64_t first, int frames);

/// Centimetres that sound travels in a time, at 343 m/s.
inline double centimetres(double seconds) { return seconds * 34300.0; }

/// What a microphone that is not aligned with its reference has to be told: how late or early it is, whether it is
/// inverted, and what the low end gains once that is put right.  Absent when it is aligned (within 0.1 ms, and not
/// inverted), or when the evidence is too weak.
std::optional<Finding> finding_of(const Alignment& found, const Track& reference, int sample_rate);

/// Sets of tracks that may be microphones of one source, two or more each, in the order of the rows: pairs whose names
/// begin with the same word or whose family is drums or percussion, whose levels rise and fall together (correlation of
/// their level over time above 0.5), and that align_to calls reliable.
std::vector<std::vector<TrackId>> microphone_sets(const Session& session,
                                                  const std::function<MaterialPtr(const Track&)>& material,
                                                  Progress* progress = nullptr);

}  // namespace isotonus
