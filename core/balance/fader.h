// A fader's travel: from fader_floor_db to fader_max_db, and silence below.
#pragma once

#include <algorithm>

#include "core/decibels.h"

namespace isotonus {

/// A fader's level moved by some dB: silence below its travel, fader_max_db at most; from silence up it begins at the
/// floor.
inline double fader_moved(double from_db, double by_db) {
    if (std::isinf(from_db)) return by_db > 0.0 ? fader_floor_db + by_db : silence_db;
    const double to = std::min(from_db + by_db, fader_max_db);
    return to < fader_floor_db ? silence_db : to;
}

/// The fader at which a row peaks as wanted that peaks at `at_zero_dbfs` with its fader at 0 dB; what lies below its
/// travel is silence.  None: it would have to stand above fader_max_db.
inline std::optional<double> fader_for_peak(double at_zero_dbfs, double wanted_dbfs) {
    const double db = wanted_dbfs - at_zero_dbfs;
    if (db > fader_max_db) return std::nullopt;
    return db < fader_floor_db ? silence_db : db;
}

}  // namespace isotonus
