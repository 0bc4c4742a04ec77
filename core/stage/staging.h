// core/stage: making files ready to be mixed: trims to targets, what was found wrong in a file, microphones of one
// source aligned.
//
// Gain staging: the trim that brings a track to its target.
#pragma once

#include <functional>
#include <vector>

#include "core/measure/material.h"
#include "core/session/session.h"

namespace isotonus {

struct Staging {
    Kind kind = Kind::sustained;
    Target target;
    Level before_dbfs;  ///< the target's measure, before the trim
    double trim_db = 0.0;
    Level after_dbfs;               ///< the same measure, after the trim
    Level peak_after_dbfs;          ///< sample peak after the trim, spikes and all
    bool spikes_counted = true;     ///< false: the track's spikes are left out of its peak
    double over_ceiling_db = 0.0;   ///< how far peak_after_dbfs lies above the ceiling; 0 when it does not
    bool limited_by_peak = false;   ///< the trim stops short of the aim, as the peak would pass the ceiling
    bool limited_by_range = false;  ///< … as a trim goes to +/-24 dB only
    double wanted_db = 0.0;         ///< the trim that would reach the aim
};

/// The kind that counts: the user's word, else what was measured.
Kind kind_of(const Track& track, const Measurement& measured);
/// Why it counts, in a few words: "set by hand", "by the word 'snare' in its name", "by its sound".
std::string kind_because(const Track& track);

/// The target that counts: the track's own, else the sheet's.
Target target_of(const TargetSheet& sheet, const Track& track, const Measurement& measured);

/// Whether the track's spikes count: the track's word, else the sheet's.
bool counts_spikes(const TargetSheet& sheet, const Track& track);

/// A measured level in a measure; the sample peak without spikes when they do not count.
Level level_for(Measure measure, const Measurement& measured, bool count_spikes = true);

/// trim = aim - measured level, but never so much that the sample peak (without spikes, when they do not count) passes
/// the sheet's ceiling, unless the track may; and within +/-24 dB.  A silent track has no level and keeps a trim of 0.
Staging stage_track(const TargetSheet& sheet, const Track& track, const Measurement& measured);

/// What the track's level is with the trim it has now.
Staging staged_as_is(const TargetSheet& sheet, const Track& track, const Measurement& measured);

enum class Fit { silent, below, inside, above };
/// Where the staged level lies against its window.
Fit fit_of(const Staging& staging);

/// Why a track is not in its window although it was staged; empty when it is, or was not.
std::string why_not_in_window(const TargetSheet& sheet, const Track& track, const Measurement& measured);

/// What staging listens to: what the track plays, silent in the part of the song that it is staged without.
Source staging_source(const Track& track, const ReadySource& played);

/// What staging goes by: `whole` itself, or the figures of the rest when the track is staged without a part of the
/// song. Reads the file then; what is found is kept in the cache.  Fails as reading does.
Result<Measurement> measurement_for_staging(const Track& track, const Material& whole, Progress* progress = nullptr);

/// Whole-song sample peak after trim and fader, before ride and pan.  Absent for silence and a fader that is off.
Level peak_after_fader_dbfs(const Track& track, const Measurement& measured);
/// The same after the ride and the control groups (`group_db`): for every 256 frames what the track reaches times what
/// the ride reaches, so never below the exact peak, and above it by what the ride moves in 5 ms at most.
Level peak_after_ride_dbfs(const Track& track, const Material& material, double group_db);
/// The gated average (AES17) at the same place.
Level average_after_fader_dbfs(const Track& track, const Measurement& measured);

using MeasurementOf = std::function<const Measurement*(const Track&)>;

/// A copy of the session with every track's trim staged, but for locked and unmeasured ones and those not in `only`
/// (when given).
Session with_staged_trims(const Session& session, const MeasurementOf& measured,
                          const std::vector<TrackId>* only = nullptr);

/// What can be done for a track that cannot reach its window.
enum class Choice {
    leave_out_spikes,  ///< its spikes do not count; they will pass the ceiling and are for a compressor
    tame_spikes,       ///< they are lowered to the rest's peak by clip gain
    use_clip_gain,     ///< what a trim cannot give is given by clip gain
    pass_ceiling,      ///< its peak may pass the ceiling
    accept             ///< it gets a window of its own, where it is now
};
std::vector<Choice> choices_for(const Staging& staging, const Measurement& measured);

/// The track after a choice; its trim is to be staged anew once it is measured again.
Track with_choice(const Track& track, Choice choice, const Staging& staging, const Material& material);

/// The track with its spikes lowered to the rest's peak by clip gain, with fades of 2 ms.
Track with_spikes_tamed(const Track& track, const Material& material);

}  // namespace isotonus
