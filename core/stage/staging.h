// Gain staging: the trim that brings a track to its target.
#pragma once

#include <functional>
#include <vector>

#include "core/session/session.h"

namespace isotonus {

struct Staging {
    Kind kind = Kind::sustained;
    Target target;
    Level before_dbfs;  ///< the target's measure, before the trim
    double trim_db = 0.0;
    Level after_dbfs;               ///< the same measure, after the trim
    bool limited_by_peak = false;   ///< the trim stops short of the aim, as the peak would pass the ceiling
    bool limited_by_range = false;  ///< … as a trim goes to +/-24 dB only
};

/// The kind that counts: the user's word, else what was measured.
Kind kind_of(const Track& track, const Measurement& measured);

/// The target that counts: the track's own, else the sheet's for its kind.
Target target_of(const TargetSheet& sheet, const Track& track, const Measurement& measured);

/// A measured level in the target's measure.
Level level_for(const Target& target, const Measurement& measured);

/// trim = aim - measured level, but never so much that the sample peak passes the sheet's ceiling, and within +/-24 dB.
/// A silent track has no level and keeps a trim of 0.
Staging stage_track(const TargetSheet& sheet, const Track& track, const Measurement& measured);

/// What the track's level is with the trim it has now.
Staging staged_as_is(const TargetSheet& sheet, const Track& track, const Measurement& measured);

enum class Fit { silent, below, inside, above };
/// Where the staged level lies against its window.
Fit fit_of(const Staging& staging);

/// Whole-song sample peak after trim and fader, before ride and pan.  Absent for silence and a fader that is off.
Level peak_after_fader_dbfs(const Track& track, const Measurement& measured);
/// The gated average (AES17) at the same place.
Level average_after_fader_dbfs(const Track& track, const Measurement& measured);

using MeasurementOf = std::function<const Measurement*(const Track&)>;

/// A copy of the session with every track's trim staged, but for locked and unmeasured ones and those not in `only`
/// (when given).
Session with_staged_trims(const Session& session, const MeasurementOf& measured,
                          const std::vector<TrackId>* only = nullptr);

}  // namespace isotonus
