// A first balance from a rough mix: the faders and pans with which the tracks of a session sum up to a two-track
// recording of the same song.  docs/first_balance.md tells the model, its figures and its limits.
#pragma once

#include <string>
#include <vector>

#include "core/mix/compile_plan.h"

namespace isotonus {

/// How well a track was found in the rough mix.
enum class InMix {
    found,     ///< by itself
    together,  ///< only in sum with other tracks: they are too much alike to be told apart
    absent,    ///< the mix is explained as well without it
    unknown    ///< it does not sound in the part of the song that the mix covers
};

/// A level that differs in one section from the whole song's.
struct SectionLevel {
    size_t section = 0;  ///< in Session::sections
    double by_db = 0.0;
};

struct RoughMixTrack {
    TrackId id = 0;
    InMix how = InMix::unknown;
    double fader_db = 0.0;           ///< minus infinity … +12; minus infinity of one that is absent
    double pan = 0.0;                ///< -1 … +1; the session's own where it could not be found
    bool pan_found = false;          ///< false for a mono mix, a ridden pan, sides panned apart
    bool inverted = false;           ///< its polarity has to be changed
    double share = 0.0;              ///< of the mix that only this track explains, 0 … 1, each band counting alike
    double spread_db = 0.0;          ///< standard deviation of its level over the sections, or over eighths of the song
    std::vector<TrackId> with = {};  ///< of one that was found together: the others
    std::vector<SectionLevel> in_sections = {};  ///< where sections differ by 1 dB and more
    Level left_over_db;    ///< what is left over where this track is the loudest, against it; absent where it never is
    bool changed = false;  ///< what is left over says that an effect or an equaliser of its own is in the mix
};

/// What the mix's own processing does: a gain common to all tracks, by band and over time.
struct RoughMixProcessing {
    std::vector<double> band_hz;  ///< middles of the bands
    std::vector<double> band_db;  ///< against the middle one of all bands
    double usual_db = 0.0,
           max_db = 0.0;  ///< level taken away half of the time, and in the 1 % where it is most; 0 or below
    bool any() const;
    /// "highs +3.0 dB above 4 kHz", "a compressor or limiter takes 2.6 dB, 4.3 dB at most"; empty where there is none.
    std::vector<std::string> sentences() const;
};

struct RoughMixFit {
    std::vector<RoughMixTrack> tracks;  ///< all of the session's, in their order
    double begins_s = 0.0;              ///< where in the song the mix begins; negative: before the song
    double left_over_db = 0.0;          ///< the mix minus what was found, against the mix: "explains the mix to -38 dB"
    RoughMixProcessing processing;
    std::vector<std::string> remarks;  ///< sentences: mono, clipped, shorter, a gap
    double lowered_db = 0.0;  ///< by which all faders are lower than in the mix, so that none goes above its end
};

/// Finds faders, pans and polarities; trims, chains, rides and the channels that a track goes through stay as they are,
/// and sends are not counted.  Least squares of short windows over the whole song in bands that count alike, together
/// with a gain for each band and each window; tracks that are alike are kept level.  Computed on all threads.
/// Fails when the mix cannot be read, is silent, is another song or is shorter than 5 s of it; with more than 256
/// tracks; or with "cancelled".
Result<RoughMixFit> fit_rough_mix(const Session& session, const MaterialOf& material, const fs::path& mix,
                                  Progress* progress = nullptr);

/// A copy in which one track has what was found: its fader, pan and polarity.  The same for an unknown one.
Session with_found(const Session& session, const RoughMixTrack& found);
/// A copy in which its level follows the sections in which it differs: a ride with steps.
Session with_found_sections(const Session& session, const RoughMixTrack& found);

/// Why: one sentence about a track.
std::string sentence_of(const Session& session, const RoughMixTrack& found);

}  // namespace isotonus
