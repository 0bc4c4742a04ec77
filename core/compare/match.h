// At what gain a recording stands beside the mix as loud as it, and what peak it then has.
#pragma once

#include <algorithm>
#include <span>
#include <vector>

#include "core/measure/material.h"
#include "core/parallel.h"
#include "core/session/listening.h"

namespace isotonus {

/// What brings a recording to the mix's loudness, dB; absent when one of the two is silent.
std::optional<double> match_db(Level mix_lufs, const Measurement& recording);

/// Whose loudness is matched: of all of both; of the two passages that are tied where the song is, else of all; or
/// short term (3 s) as it plays, where both sound, else of all.
enum class MatchBy { whole, passage, short_term };

struct Match {
    double gain_db = 0.0;
    double true_peak_dbtp = silence_db;  ///< of the recording itself, as far as it is heard at that gain
    /// What mix and recordings have to be lowered by, all alike, for its true peak to stay at 0 dBTP; 0 or below.
    double lower_db() const { return std::min(0.0, -(gain_db + true_peak_dbtp)); }
};

/// True peak (ITU-R BS.1770-5 Annex 2) of every 100 ms of a material, as a magnitude; the last one may be shorter.
Result<std::vector<float>> true_peak_hops(const Material& material, Progress* progress = nullptr);

/// The mix as far as matching needs it.
struct MatchedMix {
    Level integrated_lufs;
    std::span<const double> hops;  ///< K-weighted power every 100 ms
};
/// `recording` of this material beside the mix at a time of the song.  `true_peaks`: `true_peak_hops` of it.  Absent
/// when one of the two is silent.
std::optional<Match> match_at(const MatchedMix& mix, const Recording& recording, const Material& material,
                              std::span<const float> true_peaks, MatchBy by, double song_s);

}  // namespace isotonus
