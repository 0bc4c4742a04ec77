#include "app/balance/bus_lane.h"

#include <QKeyEvent>
#include <QPainter>
#include <cmath>
#include <map>

#include "app/balance/balance_columns.h"
#include "core/balance/fader.h"
#include "core/session/routing.h"

namespace isotonus {

QString BusLane::track_name() const {
    const Channel c = channel();
    return c ? QString::fromStdString(*c.name) : QString();
}

FaderLane::Values BusLane::values() const {
    Values v;
    const Channel c = channel();
    if (!c) return v;
    v.fader_db = *c.fader_db;
    v.has_width = v.has_pan = v.has_level = c.pan != nullptr;
    if (c.pan) v.pan = *c.pan, v.width = *c.width, v.heard = !*c.mute;
    return with_rides(v);
}

/// Of a bus that has a chain or sends from its signal, which is known for the whole song; of another from the mix.
Level BusLane::song_peak_dbfs() const {
    const Channel c = channel();
    if (!c || c.kind != RowKind::bus) return std::nullopt;
    const MaterialPtr signal = work_.materials.shaped_sum(id());
    if (!signal) return work_.mix.bus_peak_dbfs(id());
    const Session& session = work_.document.session();
    Track after;  // its trim is before its chain
    after.fader_db = *c.fader_db + session.group_db(id());
    const CurvePtr ride = session.rides_bypassed ? nullptr : c.rides->heard(Parameter::level);
    if (PeakOf now{signal, after.fader_db, ride}; !(now == peak_of_)) {
        peak_of_ = std::move(now);
        after.rides.set(Parameter::level, ride);
        peak_ = peak_after_ride_dbfs(after, *signal, 0.0);
    }
    return peak_;
}

QString BusLane::sentence() const {
    const Session& session = work_.document.session();
    const auto rows = tracks_under(session, id()).size(), senders = senders_to(session, id()).size();
    const auto with_peak = [this](const QString& text) {
        const Level db = song_peak_dbfs();
        return db ? tr("%1; whole-song peak after the fader %2.").arg(text, db_text(*db, "dBFS")) : text + '.';
    };
    if (is_return(session, id()))
        return with_peak(tr("%1, a return: %n track(s) send to it; fader %2", nullptr, static_cast<int>(senders))
                             .arg(track_name(), db_text(values().fader_db)));
    if (channel().kind == RowKind::bus)
        return with_peak(tr("%1, a bus: sums %n track(s); fader %2", nullptr, static_cast<int>(rows))
                             .arg(track_name(), db_text(values().fader_db)));
    return tr("%1, a group: moves %n track(s) by %2", nullptr, static_cast<int>(rows))
               .arg(track_name(), db_text(values().fader_db, "dB", true)) +
           '.';
}

void BusLane::set_by_peak(double dbfs) {
    const Level peak = song_peak_dbfs();
    if (!peak || !std::isfinite(*peak) || std::isinf(values().fader_db)) return;
    const double at_zero_dbfs = *peak - values().fader_db;
    const auto fader_db = fader_for_peak(at_zero_dbfs, dbfs);
    if (!fader_db)
        return emit work_.view.hint(tr("%1 peaks at %2 with its fader at +12 dB.")
                                        .arg(track_name(), db_text(at_zero_dbfs + fader_max_db, "dBFS", true)));
    move(Part::fader, *fader_db, true, 0);
}

void BusLane::move(Part part, double to, bool, uint64_t gesture) {
    if (write(part, to, gesture)) return;
    QString value;
    if (part == Part::fader)
        value = db_text(to);
    else if (part == Part::width)
        value = width_text(to);
    else
        value = pan_text(to);
    const auto set = [part, to, added = work_.writing.added_now(id())](const ChannelEdit& c) {
        if (part == Part::fader)
            *c.fader_db = std::min(to - added, fader_max_db);
        else
            *(part == Part::pan ? c.pan : c.width) = to;
    };
    work_.document.edit(tr("%1 %2 %3").arg(value_name(), track_name(), value),
                        with_channel(work_.document.session(), id(), set), gesture);
    work_.edits.say_if_ridden(id(), ridden_by(part));
}

}  // namespace isotonus
