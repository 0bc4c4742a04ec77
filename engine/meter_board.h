// What live meters show: fall, hold and clip flags, from levels as they come.
#pragma once

#include "core/measure/ballistics.h"
#include "engine/engine.h"

namespace isotonus {

/// One bar: rises at once, falls 20 dB in 1.7 s (as IEC 60268-18 type I), its highest level held for 2 s.
struct MeterBar {
    double level_db = silence_db;
    double hold_db = silence_db;
    double hold_left_s = 0.0;
    double highest_db = silence_db;  ///< since the last reset
    bool clipped = false;            ///< latched: a sample above 0 dBFS

    void advance(double peak_db, double elapsed_s);
    void reset() { *this = {level_db}; }
};

struct MeterBoard {
    struct TrackBars {
        TrackId id = 0;
        MeterBar after_trim, after_fader;
        VuNeedle needle{0.016};
        double vu_dbfs = silence_db;  ///< after the trim, as a sine's level: 0 VU is -18
    };
    std::vector<TrackBars> tracks;  ///< and buses
    MeterBar main[2];
    double main_programme_db = silence_db;  ///< peak programme meter (IEC 60268-18), the higher side
    double main_average_db = silence_db;    ///< AES17 RMS, smoothed over 300 ms

    void advance(const RenderPlan& plan, const LiveLevels& levels, double elapsed_s);
    const TrackBars* find(TrackId id) const;
    TrackBars* find(TrackId id) { return const_cast<TrackBars*>(std::as_const(*this).find(id)); }
    bool any_clipped() const;
    void reset_all();
};

}  // namespace isotonus
