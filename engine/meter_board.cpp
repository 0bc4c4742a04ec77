#include "engine/meter_board.h"

#include <algorithm>
#include <cmath>

namespace isotonus {

void MeterBar::advance(double peak_db, double elapsed_s) {
    constexpr double fall_db_per_s = 20.0 / 1.7;
    constexpr double hold_s = 2.0;
    level_db = std::max(peak_db, level_db - fall_db_per_s * elapsed_s);
    if (level_db < -120.0) level_db = silence_db;
    hold_left_s -= elapsed_s;
    if (level_db >= hold_db || hold_left_s <= 0.0) {
        hold_db = level_db;
        hold_left_s = hold_s;
    }
    highest_db = std::max(highest_db, peak_db);
    clipped = clipped || peak_db > 0.0;
}

void MeterBoard::advance(const RenderPlan& plan, const LiveLevels& levels, double elapsed_s) {
    std::vector<TrackId> ids;
    for (const PlanTrack& t : plan.tracks) ids.push_back(t.id);
    for (const PlanBus& b : plan.buses) ids.push_back(b.id);
    const bool same = std::equal(tracks.begin(), tracks.end(), ids.begin(), ids.end(),
                                 [](const auto& a, TrackId id) { return a.id == id; });
    if (!same) {
        std::vector<TrackBars> next;
        for (const TrackId id : ids) {
            const TrackBars* old = find(id);
            next.push_back(old ? *old : TrackBars{});
            next.back().id = id;
        }
        tracks = std::move(next);
    }
    for (size_t i = 0; i < tracks.size(); ++i) {
        const TrackLevels live = i < levels.tracks.size() ? levels.tracks[i] : TrackLevels{};
        tracks[i].after_trim.advance(db_from_gain(static_cast<double>(live.peak_after_trim)), elapsed_s);
        tracks[i].after_fader.advance(db_from_gain(static_cast<double>(live.peak_after_fader)), elapsed_s);
        // What was heard moves the needle by its own time; silence by that of the clock.
        const double heard_s = static_cast<double>(live.frames) / plan.sample_rate;
        tracks[i].needle.set_step(live.frames > 0 ? heard_s : elapsed_s);
        const double mean = live.frames > 0 ? live.magnitude_sum / static_cast<double>(live.frames) : 0.0;
        tracks[i].vu_dbfs = db_from_gain(tracks[i].needle.move(mean));
        if (tracks[i].vu_dbfs < -120.0) tracks[i].vu_dbfs = silence_db;
    }
    for (int c = 0; c < 2; ++c) main[c].advance(db_from_gain(static_cast<double>(levels.main_peak[c])), elapsed_s);
    const double programme = static_cast<double>(std::max(levels.main_programme[0], levels.main_programme[1]));
    main_programme_db = levels.any ? db_from_gain(programme) : main_programme_db - 20.0 / 1.7 * elapsed_s;
    if (main_programme_db < -120.0) main_programme_db = silence_db;
    const double square = static_cast<double>(levels.main_square[0] + levels.main_square[1]) / 2.0;
    const double before = std::pow(10.0, (main_average_db - aes17_db) / 10.0);
    main_average_db = db_from_power(before + (square - before) * (1.0 - std::exp(-elapsed_s / 0.3))) + aes17_db;
    if (main_average_db < -120.0) main_average_db = silence_db;
}

const MeterBoard::TrackBars* MeterBoard::find(TrackId id) const {
    const auto at = std::find_if(tracks.begin(), tracks.end(), [&](const auto& t) { return t.id == id; });
    return at == tracks.end() ? nullptr : &*at;
}

bool MeterBoard::any_clipped() const {
    return main[0].clipped || main[1].clipped ||
           std::any_of(tracks.begin(), tracks.end(), [](const auto& t) { return t.after_fader.clipped; });
}

void MeterBoard::reset_all() {
    for (auto& bar : main) bar.reset();
    for (auto& t : tracks) t.after_trim.reset(), t.after_fader.reset();
}

}  // namespace isotonus
