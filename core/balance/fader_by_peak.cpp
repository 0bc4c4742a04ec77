#include "core/balance/fader_by_peak.h"

#include <cmath>

#include "core/balance/fader.h"
#include "core/mix/row_signals.h"
#include "core/stage/staging.h"

namespace isotonus {

FadersByPeak faders_by_peak(const Session& session, const std::vector<TrackId>& tracks, const MaterialOf& played,
                            double peak_dbfs) {
    FadersByPeak found;
    for (const TrackId id : tracks) {
        const Track* const track = session.find(id);
        if (!track) continue;
        Track at_zero = *track;
        at_zero.fader_db = 0.0;
        const MaterialPtr m = played(at_zero);
        const Level peak = m ? peak_after_ride_dbfs(after_chain(at_zero, *m), *m, session.group_db(id)) : std::nullopt;
        if (!peak || !std::isfinite(*peak)) continue;
        if (const auto fader_db = fader_for_peak(*peak, peak_dbfs))
            found.faders_db[id] = *fader_db;
        else if (found.too_low == 0)
            found.too_low = id, found.highest_dbfs = *peak + fader_max_db;
    }
    return found;
}

}  // namespace isotonus
