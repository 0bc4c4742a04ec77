// What a listen through a file turns up: faults and facts to know before mixing, each with its place, and with what
// would put it right where that can be done.
#pragma once

#include <string>
#include <vector>

#include "core/measure/material.h"
#include "core/session/session.h"

namespace isotonus {

/// A setting that puts a finding right.  None changes a file.
enum class Remedy { none, remove_offset, make_mono, use_left, use_right, swap_sides, tame_spikes, align, join_sides };

struct Finding {
    std::string id;
    std::string text;      ///< short, with its figure: "clipped 124 times"
    double time_s = -1.0;  ///< where in the song, when it has a place (the track's delay not counted)
    bool fault = true;     ///< false: good to know only
    Remedy remedy = Remedy::none;
    TrackId other = 0;  ///< the track with the other side, for Remedy::join_sides
};

/// Limits are common practice, no source: clipped runs; DC offset above 0.1 %; spikes (see find_spikes) 6 dB or more
/// above the rest; silence of 5 s and more (at the start or between); average below -28 dBFS, of a
/// percussive track a peak below -24 dBFS; a steady noise floor
/// above -60 dBFS and less than 50 dB below the average; more than 5 % of the energy below 40 Hz in a track that is
/// neither bass nor kick; sides that are the same to -60 dB; one dead channel; sides that differ by 6 dB and more;
/// correlation below -0.1 (below 0.2: good to know); a peak below -70 dBFS is as good as silence, and hides the rest.
std::vector<Finding> findings_of(const Material& material, const Track& track);

/// The track with a finding put right.
Track with_remedy(const Track& track, Remedy remedy, const Material& material);

/// Steady quiet passages: the quietest half second that stays within 3 dB without falling (0.5 dB from one half to the
/// other), lies 20 dB below the average and above -90 dBFS, and is found again within 1.5 dB two seconds and more away.
/// `time_s` gets its place.
Level noise_floor_dbfs(const LevelSummary& summary, int sample_rate, double average_dbfs, double* time_s);

/// Tracks whose files sound the same: for each such track, the one before it.  The same length, peak, power, means,
/// correlation, and the same K-weighted power in every 100 ms, all to the last bit.
std::vector<std::pair<TrackId, TrackId>> identical_tracks(const Session& session,
                                                          const std::function<MaterialPtr(const Track&)>& material);

/// Plain tracks of two stereo files that hold one side of a sound each, the left one with a dead right side and the
/// other way round; their names are alike but for numbers and words for a side.  Pairs of (left, right).
std::vector<std::pair<TrackId, TrackId>> split_sides(const Session& session,
                                                     const std::function<MaterialPtr(const Track&)>& material);
/// What the left or the right track of such a pair is told.
Finding finding_of_side(const Track& other, bool left_is_dead);
/// A copy in which they are one stereo track, where the left one was.
Session with_sides_joined(const Session& session, TrackId left, TrackId right);
/// A copy in which they stay two tracks, each with its living side, panned fully left and right.
Session with_sides_panned(const Session& session, TrackId left, TrackId right);

}  // namespace isotonus
