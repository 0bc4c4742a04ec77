#include "app/balance/balance_lane.h"

#include <QKeyEvent>
#include <QPainter>
#include <cmath>
#include <map>

#include "app/balance/balance_columns.h"
#include "core/balance/fader.h"
#include "core/balance/fader_by_peak.h"
#include "core/session/routing.h"

namespace isotonus {

FaderLane::Values BalanceLane::values() const {
    const Track& t = *track();
    const Measurement* m = work_.materials.measured(t);
    const bool stereo = m && m->channels == 2;
    Values v;
    v.fader_db = t.fader_db;
    v.pan = t.pan, v.width = t.width;
    v.has_width = stereo;
    v.heard = work_.document.session().is_heard(t);
    v.apart = t.dual_pan && stereo;
    v.left_pan = t.left_pan, v.right_pan = t.right_pan;
    return with_rides(v);
}

Level BalanceLane::song_peak_dbfs() const {
    const MaterialPtr m = work_.materials.played(*track());
    if (!m) return std::nullopt;
    const double group_db = work_.document.session().group_db(id());
    if (peak_of_ == track() && peak_in_ == m && peak_group_db_ == group_db) return peak_;
    peak_of_ = track(), peak_in_ = m, peak_group_db_ = group_db;
    return peak_ = peak_after_ride_dbfs(after_chain(*track(), *m), *m, group_db);
}

QString BalanceLane::sentence() const {
    const Track& t = *track();
    const Values now = values();
    QString text = tr("%1: fader %2, pan %3").arg(track_name(), db_text(now.fader_db), pan_text(now.pan));
    if (now.own_fader_db)
        text = tr("%1 (its ride adds %2 here)").arg(text, db_text(now.fader_db - *now.own_fader_db, "dB", true));
    if (const Bus* bus = work_.document.session().find_bus(t.output))
        text = tr("%1, output %2").arg(text, QString::fromStdString(bus->name));
    if (const Level peak = song_peak_dbfs())
        text = tr("%1; whole-song peak after the fader, before the pan %2").arg(text, db_text(*peak, "dBFS"));
    if (const auto* bars = work_.player.meters().find(id()); bars && std::isfinite(bars->after_fader.highest_db))
        text = tr("%1; highest peak heard %2").arg(text, db_text(bars->after_fader.highest_db, "dBFS"));
    if (const Audibility* a = audibility(); a && a->share)
        text = tr("%1; %2 % of its bands are heard, %3 % when quiet")
                   .arg(text)
                   .arg(std::lround(*a->share * 100.0))
                   .arg(std::lround(a->quiet_share.value_or(0.0) * 100.0));
    return text + '.';
}

void BalanceLane::move(Part part, double to, bool alike, uint64_t gesture) {
    if (write(part, to, gesture)) return;
    const auto ids = work_.document.moved_with(id());
    const double from = value_of(part);
    const auto rows = ids.size();
    const bool fader = part == Part::fader;
    // Where there is no difference to keep, all get the same.
    alike = alike || rows == 1 || std::isinf(to) || std::isinf(from);
    const double by = alike ? 0.0 : to - from;
    QString what = tr("Pan");
    if (fader)
        what = tr("Fader");
    else if (part == Part::width)
        what = tr("Width");
    QString value;
    if (fader)
        value = db_text(alike ? to : by, "dB", !alike);
    else if (part == Part::width)
        value = width_text(to);
    else
        value = pan_text(to);
    QString name;
    if (rows == 1)
        name = tr("%1 %2 %3").arg(what, track_name(), value);
    else if (alike)
        name = tr("%1 %n track(s) at %2", nullptr, static_cast<int>(rows)).arg(what, value);
    else if (fader)
        name = tr("%1 %n track(s) %2", nullptr, static_cast<int>(rows)).arg(what, value);
    else
        name = tr("%1 %n track(s)", nullptr, static_cast<int>(rows)).arg(what);
    double Track::*field = &Track::right_pan;
    if (fader)
        field = &Track::fader_db;
    else if (part == Part::pan)
        field = &Track::pan;
    else if (part == Part::width)
        field = &Track::width;
    else if (part == Part::left_side)
        field = &Track::left_pan;
    const double low = part == Part::width ? 0.0 : -1.0, high = part == Part::width ? 2.0 : 1.0;
    work_.document.edit_tracks(
        name, ids,
        [=, &writing = work_.writing](Track& t) {
            double& v = t.*field;
            // What is shown stands where it was put; what a ride adds comes on top of the row's own.
            if (alike)
                v = fader ? std::min(to - writing.added_now(t.id), fader_max_db) : to;
            else if (fader)
                v = fader_moved(v, by);
            else
                v = std::clamp(v + by, low, high);
        },
        gesture);
    work_.edits.say_if_ridden(id(), ridden_by(part));
}

void BalanceLane::set_by_peak(double dbfs) {
    const Session& session = work_.document.session();
    const MaterialOf played([this](const Track& t) { return work_.materials.played(t); });
    const FadersByPeak found = faders_by_peak(session, work_.document.moved_with(id()), played, dbfs);
    if (found.too_low != 0)
        return emit work_.view.hint(tr("%1 peaks at %2 with its fader at +12 dB.")
                                        .arg(QString::fromStdString(session.name_of(found.too_low)),
                                             db_text(found.highest_dbfs, "dBFS", true)));
    const std::map<TrackId, double>& faders = found.faders_db;
    if (faders.empty()) return;
    if (faders.size() == 1 && write(Part::fader, faders.begin()->second, 0)) return;
    std::vector<TrackId> ids;
    for (const auto& [row, db] : faders) ids.push_back(row);
    const QString name = ids.size() == 1
                             ? tr("Fader %1 for a peak of %2").arg(track_name(), db_text(dbfs, "dBFS"))
                             : tr("Faders of %n track(s) for a peak of %1", nullptr, static_cast<int>(ids.size()))
                                   .arg(db_text(dbfs, "dBFS"));
    work_.document.edit_tracks(name, ids, [&](Track& t) { t.fader_db = faders.at(t.id); });
}

}  // namespace isotonus
