#include "core/stage/staging.h"

#include <algorithm>
#include <cmath>

namespace isotonus {

Kind kind_of(const Track& track, const Measurement& measured) { return track.kind.value_or(measured.kind); }

Target target_of(const TargetSheet& sheet, const Track& track, const Measurement& measured) {
    if (track.target) return *track.target;
    return kind_of(track, measured) == Kind::percussive ? sheet.percussive : sheet.sustained;
}

Level level_for(const Target& target, const Measurement& measured) {
    return target.measure == Measure::peak ? measured.sample_peak_dbfs : measured.average_dbfs;
}

namespace {

Level plus(const Level& level, double db) { return level ? Level(*level + db) : std::nullopt; }

}  // namespace

Staging stage_track(const TargetSheet& sheet, const Track& track, const Measurement& measured) {
    Staging s;
    s.kind = kind_of(track, measured);
    s.target = target_of(sheet, track, measured);
    s.before_dbfs = level_for(s.target, measured);
    if (!s.before_dbfs || !measured.sample_peak_dbfs) return s;
    const double wanted = s.target.aim_dbfs - *s.before_dbfs;
    const double allowed = sheet.peak_ceiling_dbfs - *measured.sample_peak_dbfs;
    s.limited_by_peak = wanted > allowed + 1e-9;
    const double trim = std::min(wanted, allowed);
    s.trim_db = std::clamp(trim, -trim_max_db, trim_max_db);
    s.limited_by_range = s.trim_db != trim;
    s.after_dbfs = plus(s.before_dbfs, s.trim_db);
    return s;
}

Staging staged_as_is(const TargetSheet& sheet, const Track& track, const Measurement& measured) {
    Staging s = stage_track(sheet, track, measured);
    // Limits are those of the proposal; they hold for the trim as it stands only if it is the one proposed.
    if (std::fabs(s.trim_db - track.trim_db) > 0.05) s.limited_by_peak = s.limited_by_range = false;
    s.trim_db = track.trim_db;
    s.after_dbfs = plus(s.before_dbfs, s.trim_db);
    return s;
}

Fit fit_of(const Staging& s) {
    if (!s.after_dbfs) return Fit::silent;
    if (*s.after_dbfs > s.target.high_dbfs + 1e-9) return Fit::above;
    if (*s.after_dbfs < s.target.low_dbfs - 1e-9) return Fit::below;
    return Fit::inside;
}

Level peak_after_fader_dbfs(const Track& track, const Measurement& measured) {
    return std::isinf(track.fader_db) ? std::nullopt : plus(measured.sample_peak_dbfs, track.trim_db + track.fader_db);
}

Level average_after_fader_dbfs(const Track& track, const Measurement& measured) {
    return std::isinf(track.fader_db) ? std::nullopt : plus(measured.average_dbfs, track.trim_db + track.fader_db);
}

Session with_staged_trims(const Session& session, const MeasurementOf& measured, const std::vector<TrackId>* only) {
    Session next = session;
    for (auto& track : next.tracks) {
        const Measurement* m = measured(*track);
        const bool wanted = !only || std::find(only->begin(), only->end(), track->id) != only->end();
        if (!m || !wanted || track->locked) continue;
        Track changed = *track;
        changed.trim_db = stage_track(session.targets, *track, *m).trim_db;
        track = std::make_shared<const Track>(std::move(changed));
    }
    return next;
}

}  // namespace isotonus
