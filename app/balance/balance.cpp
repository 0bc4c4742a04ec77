#include "app/balance/balance.h"

#include "app/balance/balance_panel.h"
#include "app/balance/bus_block.h"
#include "app/balance/field.h"
#include "core/balance/fader.h"
#include "core/balance/fader_by_peak.h"
#include "core/session/routing.h"

#include <QCoreApplication>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QPushButton>
#include <cmath>
#include <map>

namespace isotonus {

namespace {

/// Three columns, each with a ruler of its own: the fader, the level after it, the pan.  Between the last two, what is
/// heard of the row.
struct BalanceColumns {
    static constexpr int pan = 194, audible = 54, fader_figure = 72, peak_figure = 62, gap = 16;
    explicit BalanceColumns(int width) : width(width) {
        const int rulers = width - pan - audible - peak_figure - fader_figure - 3 * gap;
        fader_end = gap + rulers * 11 / 20;
        level_start = fader_end + fader_figure + gap;
        level_end = width - pan - audible - peak_figure - gap / 2;
    }
    Ruler fader_ruler() const { return Ruler::fader(gap, fader_end); }
    Ruler level_ruler() const { return Ruler::level(level_start, level_end); }
    QRect fader_text(int height) const { return {fader_end + 2, 0, fader_figure - 8, height}; }
    QRect peak_text(int height) const { return {level_end + 4, 0, peak_figure, height}; }
    QRect audible_area(int height) const { return {width - pan - audible, 0, audible, height}; }
    QRect pan_area(int height) const { return {width - pan + 12, 0, pan - 78, height}; }
    QRect pan_text(int height) const { return {width - 62, 0, 56, height}; }
    int width, fader_end, level_start, level_end;
};

int pan_place(const QRect& area, double pan) {
    return area.left() + static_cast<int>(std::lround((pan + 1.0) / 2.0 * (area.width() - 1)));
}
QString width_text(double width) { return BalanceLane::tr("%1 %").arg(std::lround(width * 100.0)); }

}  // namespace

void paint_blade(QPainter& painter, int x, int top, int bottom, const QColor& colour) {
    painter.fillRect(x - 1, top, 3, bottom - top, colour);
    painter.fillRect(x - 4, bottom - 2, 9, 2, colour);
}

// --- any fader lane -------------------------------------------------------------------------------------------------

QString FaderLane::value_name() const {
    switch (active_) {
        case Part::fader:
            return tr("fader");
        case Part::peak:
            return tr("peak after the fader");
        case Part::pan:
            return tr("pan");
        case Part::width:
            return tr("width");
        case Part::left_side:
            return tr("left side");
        case Part::right_side:
            break;
    }
    return tr("right side");
}

double FaderLane::value_of(Part part) const {
    const Values v = values();
    switch (part) {
        case Part::fader:
            return v.fader_db;
        case Part::peak:
            return song_peak_dbfs().value_or(silence_db);
        case Part::pan:
            return v.pan;
        case Part::width:
            return v.width;
        case Part::left_side:
            return v.left_pan;
        case Part::right_side:
            break;
    }
    return v.right_pan;
}

QString FaderLane::value_text() const {
    if (!exists()) return {};
    const double value = value_of(active_);
    switch (active_) {
        case Part::fader:
            return db_text(value);
        case Part::peak:
            return db_text(value, "dBFS");
        case Part::width:
            return width_text(value);
        default:
            return pan_text(value);
    }
}

QRect FaderLane::value_place() const {
    const BalanceColumns columns(width());
    if (active_ == Part::fader) return columns.fader_text(height());
    if (active_ == Part::peak) return columns.peak_text(height());
    return columns.pan_text(height());
}

void FaderLane::nudge(double by, uint64_t gesture) {
    const double from = value_of(active_ == Part::peak ? Part::fader : active_);
    if (active_ == Part::fader || active_ == Part::peak)
        move(Part::fader, fader_moved(from, by), false, gesture);
    else if (active_ == Part::width)
        move(active_, std::clamp(from + (gesture ? by : 0.1 * by), 0.0, 2.0), false, gesture);
    else
        move(active_, std::clamp(from + (gesture ? by : 0.05 * by), -1.0, 1.0), false, gesture);
}

void FaderLane::type_value(const QString& text) {
    if (active_ == Part::fader || active_ == Part::peak) {
        const auto db = parse_level(text);
        if (!db) return;
        if (active_ == Part::peak)
            set_by_peak(*db);
        else if (*db <= fader_max_db)
            move(active_, *db < fader_floor_db ? silence_db : *db, true, 0);
        else
            emit work_.view.hint(tr("A fader goes up to +12 dB."));
    } else if (active_ == Part::width) {
        const auto percent = parse_level(QString(text).remove('%'));
        if (percent && *percent >= 0.0 && *percent <= 200.0)
            move(active_, *percent / 100.0, true, 0);
        else
            emit work_.view.hint(tr("The width goes from 0 to 200 %."));
    } else if (const auto pan = parse_pan(text)) {
        move(active_, *pan, true, 0);
    }
}

void FaderLane::reset_value() {
    double rest = 0.0;
    if (active_ == Part::width || active_ == Part::right_side) rest = 1.0;
    if (active_ == Part::left_side) rest = -1.0;
    move(active_ == Part::peak ? Part::fader : active_, rest, true, 0);
}

double FaderLane::per_pixel(const QPoint& at) const {
    const BalanceColumns columns(width());
    if (active_ == Part::fader) return columns.fader_ruler().db_per_pixel(values().fader_db);
    if (active_ == Part::peak) return columns.level_ruler().db_per_pixel(0.0);
    const QRect area = columns.pan_area(height());
    // A whisker is drawn out: away from the blade is wider.
    if (active_ == Part::width) return (at.x() < pan_place(area, values().pan) ? -4.0 : 4.0) / area.width();
    return 2.0 / area.width();
}

void FaderLane::mousePressEvent(QMouseEvent* event) {
    const QPoint at = event->position().toPoint();
    // What was reached is forgotten by a click on the figure or on the flag; the gesture goes on as any.
    if (event->button() == Qt::LeftButton &&
        (BalanceColumns(width()).peak_text(height()).contains(at) || clip_flag().contains(at)))
        work_.player.reset_meter(id());
    Lane::mousePressEvent(event);
}

bool FaderLane::grab(const QPoint& at) {
    const Values v = values();
    const BalanceColumns columns(width());
    active_ = at.x() < columns.level_start - BalanceColumns::gap || !v.has_level ? Part::fader : Part::peak;
    if (at.x() < width() - BalanceColumns::pan || !v.has_pan) return true;
    const QRect area = columns.pan_area(height());
    if (v.apart) {
        active_ = std::abs(at.x() - pan_place(area, v.left_pan)) <= std::abs(at.x() - pan_place(area, v.right_pan))
                      ? Part::left_side
                      : Part::right_side;
        return true;
    }
    const int reach = std::abs(at.x() - pan_place(area, v.pan)),
              whisker = static_cast<int>(v.width * area.width() / 4.0);
    const bool at_its_end = std::abs(reach - whisker) <= 6 && reach > 5;
    active_ = v.has_width && at.y() > height() / 2 && at_its_end ? Part::width : Part::pan;
    return true;
}

Parameter FaderLane::ridden_by(Part part) {
    switch (part) {
        case Part::fader:
            return Parameter::level;
        case Part::peak:
            return Parameter::level;
        case Part::width:
            return Parameter::width;
        case Part::left_side:
            return Parameter::left_pan;
        case Part::right_side:
            return Parameter::right_pan;
        case Part::pan:
            break;
    }
    return Parameter::pan;
}

bool FaderLane::write(Part part, double to, uint64_t gesture) {
    const Parameter parameter = ridden_by(part);
    work_.view.ride.touch(id(), parameter);
    if (!work_.writing.writes(id())) return false;
    const double own = work_.edits.fader_db(id());
    double value = 0.0;
    if (part != Part::fader)
        value = to;
    else if (std::isinf(own) || std::isinf(to))
        value = ride_min_db;
    else
        value = to - own;
    const ParameterInfo& info = info_of(parameter);
    if (gesture)
        work_.writing.move(id(), parameter, std::clamp(value, info.low, info.high));
    else
        work_.writing.tap(id(), parameter, std::clamp(value, info.low, info.high));
    update();
    return true;
}

void FaderLane::let_go() {
    for (const Parameter p :
         {Parameter::level, Parameter::pan, Parameter::width, Parameter::left_pan, Parameter::right_pan})
        work_.writing.release(id(), p);
}

FaderLane::Values FaderLane::with_writing(Values v) const {
    const auto now = [this](Parameter p, double& value, bool added) {
        if (!work_.writing.writer(id(), p)) return;
        value = work_.writing.value_now(id(), p) + (added ? value : 0.0);
    };
    now(Parameter::level, v.fader_db, true);
    now(Parameter::pan, v.pan, false);
    now(Parameter::width, v.width, false);
    now(Parameter::left_pan, v.left_pan, false);
    now(Parameter::right_pan, v.right_pan, false);
    return v;
}

bool FaderLane::key(QKeyEvent* event) {
    active_ = Part::fader;
    const auto on = [&](Part part, double by) {
        active_ = part;
        nudge(by, 0);
        active_ = Part::fader;
        return true;
    };
    const Values v = values();
    if (!v.has_pan) return false;
    const bool apart = v.apart;
    switch (event->key()) {
        case Qt::Key_Comma:
            return on(apart ? Part::left_side : Part::pan, -1.0);
        case Qt::Key_Period:
            return on(apart ? Part::left_side : Part::pan, 1.0);
        case Qt::Key_Less:
            return apart ? on(Part::right_side, -1.0) : v.has_width && on(Part::width, -1.0);
        case Qt::Key_Greater:
            return apart ? on(Part::right_side, 1.0) : v.has_width && on(Part::width, 1.0);
        case Qt::Key_P:
            if (event->modifiers() & Qt::ShiftModifier)
                active_ = apart ? Part::right_side : Part::width;
            else
                active_ = apart ? Part::left_side : Part::pan;
            open_entry();
            return true;
        default:
            return false;
    }
}

QRect FaderLane::meter_place() const {
    const BalanceColumns columns(width());
    return QRect(QPoint(columns.level_start, y(13)), QPoint(columns.level_end, y(21)));
}

QRect FaderLane::clip_flag() const { return {meter_place().right() - 4, y(2), 8, y(8)}; }

void FaderLane::levels_changed() {
    const auto* bars = work_.player.meters().find(id());
    const MeterBar bar = bars ? bars->after_fader : MeterBar{};
    const Ruler r = BalanceColumns(width()).level_ruler();
    const auto x = [&](double db) { return std::lround(r.place(std::max(db, -60.0))); };
    if (x(bar.level_db) == x(shown_level_db_) && x(bar.hold_db) == x(shown_hold_db_) && bar.clipped == shown_clipped_)
        return;
    shown_level_db_ = bar.level_db;
    shown_hold_db_ = bar.hold_db;
    shown_clipped_ = bar.clipped;
    update(meter_place().united(clip_flag()).adjusted(-2, -1, 2, y(8)));
}

void FaderLane::paint(QPainter& painter, const QRect& clip) {
    const BalanceColumns columns(width());
    const Values v = values();
    if (clip.left() < columns.level_start - 4 || clip.right() > columns.level_end + 4) {
        paint_fader(painter, v);
        paint_audibility(painter);
        if (v.has_pan) paint_pan(painter, v);
    }
    if (v.has_level) paint_meter(painter);
}

void FaderLane::paint_fader(QPainter& painter, const Values& v) {
    const BalanceColumns columns(width());
    const Ruler r = columns.fader_ruler();
    r.paint_rules(painter, QRect(0, 0, columns.fader_end, height()));
    painter.setPen(theme().faint);
    painter.drawLine(static_cast<int>(r.place(silence_db)), y(18), static_cast<int>(r.place(12.0)), y(18));
    painter.setPen(theme().ink);
    const int zero = static_cast<int>(std::lround(r.place(0.0)));
    painter.drawLine(zero, y(13), zero, y(23));
    if (const auto ghost = work_.view.balance.ghosts().find(id());
        ghost != work_.view.balance.ghosts().end()) {  // where it would go
        const int x = static_cast<int>(std::lround(r.place(ghost->second)));
        painter.setPen(QPen(theme().accent, 1, Qt::DashLine));
        painter.drawRect(x - 4, y(7), 8, y(22));
    }
    paint_blade(painter, static_cast<int>(std::lround(r.place(v.fader_db))), y(7), y(29),
                v.heard ? theme().accent : theme().faint);
    painter.setFont(lettering(13));
    painter.setPen(v.heard ? theme().ink : theme().faint);
    painter.drawText(columns.fader_text(height()), Qt::AlignRight | Qt::AlignVCenter, db_text(v.fader_db));
}

/// A level after the fader has no window of its own, so its bar has no colour but above the ceiling of peaks.
void FaderLane::paint_meter(QPainter& painter) {
    const Ruler r = BalanceColumns(width()).level_ruler();
    const QRect place = meter_place();
    painter.fillRect(place, theme().rule);
    const auto x = [&](double db) { return static_cast<int>(std::lround(r.place(std::clamp(db, -60.0, 0.0)))); };
    const double ceiling = work_.document.session().targets.peak_ceiling_dbfs;
    if (shown_level_db_ > -60.0) {
        painter.fillRect(QRect(place.topLeft(), QPoint(x(std::min(shown_level_db_, ceiling)), place.bottom())),
                         theme().faint);
        if (shown_level_db_ > ceiling)  // above the ceiling the bar is raised too
            painter.fillRect(QRect(QPoint(x(ceiling) + 1, place.top() - 2), QPoint(x(shown_level_db_), place.bottom())),
                             theme().above);
    }
    if (shown_hold_db_ > -60.0)
        painter.fillRect(x(shown_hold_db_), place.top() - 1, 2, place.height() + 2, theme().ink);
    if (const auto* bars = work_.player.meters().find(id()); bars && bars->vu_dbfs > -60.0 && shown_level_db_ > -60.0) {
        // The average, as a VU needle after the fader: a gap in the bar.
        const double after = bars->vu_dbfs + values().fader_db;
        if (after > -60.0) painter.fillRect(x(after), place.top() + 1, 2, place.height() - 2, theme().ground);
    }
    paint_peak(painter);
    if (shown_clipped_) painter.fillRect(clip_flag(), theme().clipped);
}

/// The whole song's peak after the fader: a mark on the ruler and its figure.
void FaderLane::paint_peak(QPainter& painter) {
    const Level peak = song_peak_dbfs();
    if (!peak || !std::isfinite(*peak)) return;
    const BalanceColumns columns(width());
    const int at = static_cast<int>(std::lround(columns.level_ruler().place(std::clamp(*peak, -60.0, 0.0)))),
              below = meter_place().bottom() + 2;
    painter.setPen(theme().ink);
    painter.drawLine(at - 3, below + 4, at, below);
    painter.drawLine(at + 3, below + 4, at, below);
    painter.setFont(lettering(13));
    const bool over = *peak > work_.document.session().targets.peak_ceiling_dbfs;
    painter.setPen(over ? theme().above : theme().ink);
    if (*peak > 0.0) painter.setPen(theme().clipped);
    painter.drawText(columns.peak_text(height()), Qt::AlignRight | Qt::AlignVCenter,
                     db_text(*peak, "", *peak > 0.0).trimmed());
}

void FaderLane::paint_audibility(QPainter& painter) {
    const Audibility* a = audibility();
    if (!a || !a->share) return;
    const bool quiet = work_.player.monitor().quiet;
    const double share = quiet && a->quiet_share ? *a->quiet_share : *a->share;
    const QRect area = BalanceColumns(width()).audible_area(height());
    const QRect bar(area.left() + 10, y(22), area.width() - 18, std::max(3, y(5)));
    painter.fillRect(bar, theme().rule);
    painter.fillRect(QRect(bar.left(), bar.top(), static_cast<int>(std::lround(share * bar.width())), bar.height()),
                     share < hardly_heard ? theme().above : theme().accent);
    painter.setFont(lettering(11));
    painter.setPen(share < hardly_heard ? theme().ink : theme().faint);
    painter.drawText(QRect(bar.left(), y(4), bar.width(), y(17)), Qt::AlignRight | Qt::AlignVCenter,
                     QString::number(std::lround(share * 100.0)) + QString::fromUtf8("\u2009%"));
}

void FaderLane::paint_pan(QPainter& painter, const Values& v) {
    const BalanceColumns columns(width());
    const QRect area = columns.pan_area(height());
    const int middle = pan_place(area, 0.0), axis = height() / 2;
    painter.setPen(theme().rule);
    painter.drawLine(width() - BalanceColumns::pan, 0, width() - BalanceColumns::pan, height());
    painter.setPen(theme().faint);
    painter.drawLine(area.left(), axis, area.right(), axis);
    painter.drawLine(area.left(), axis - 4, area.left(), axis + 4);
    painter.drawLine(area.right(), axis - 4, area.right(), axis + 4);
    painter.setPen(theme().ink);
    painter.drawLine(middle, axis - 5, middle, axis + 5);
    const QColor colour = v.heard ? theme().accent : theme().faint;
    painter.setFont(lettering(v.apart ? 11 : 13));
    const QRect words = columns.pan_text(height());
    if (v.apart) {  // a half blade for each side
        const int l = pan_place(area, v.left_pan), r = pan_place(area, v.right_pan);
        painter.fillRect(l - 1, axis - 9, 3, 9, colour);
        painter.fillRect(l - 1, axis - 9, 6, 2, colour);
        painter.fillRect(r - 1, axis + 1, 3, 9, colour);
        painter.fillRect(r - 4, axis + 8, 6, 2, colour);
        painter.setPen(theme().ink);
        painter.drawText(words, Qt::AlignRight | Qt::AlignVCenter, pan_text(v.left_pan) + '\n' + pan_text(v.right_pan));
        return;
    }
    const int at = pan_place(area, v.pan);
    if (v.has_width) {  // width as whiskers
        const int reach = static_cast<int>(v.width * area.width() / 4.0);
        const int left = std::max(area.left(), at - reach), right = std::min(area.right(), at + reach);
        painter.setPen(QPen(theme().accent, 1));
        painter.drawLine(left, axis + 6, right, axis + 6);
        painter.drawLine(left, axis + 3, left, axis + 9);
        painter.drawLine(right, axis + 3, right, axis + 9);
    }
    paint_blade(painter, at, axis - 9, axis + 9, colour);
    painter.setPen(theme().ink);
    const bool both = v.has_width && std::fabs(v.width - 1.0) > 0.005;
    if (both) painter.setFont(lettering(11));
    painter.drawText(words, Qt::AlignRight | Qt::AlignVCenter,
                     both ? pan_text(v.pan) + '\n' + width_text(v.width) : pan_text(v.pan));
}

// --- tracks ---------------------------------------------------------------------------------------------------------

FaderLane::Values BalanceLane::values() const {
    const Track& t = *track();
    const Measurement* m = work_.materials.measured(t);
    const bool stereo = m && m->channels == 2;
    return with_writing({t.fader_db, t.pan, t.width, true, stereo, work_.document.session().is_heard(t),
                         t.sides_apart && stereo, t.left_pan, t.right_pan});
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
    QString text = tr("%1: fader %2, pan %3").arg(track_name(), db_text(t.fader_db), pan_text(t.pan));
    if (const Bus* bus = work_.document.session().find_bus(t.output))
        text += tr(", to %1").arg(QString::fromStdString(bus->name));
    if (const Level peak = song_peak_dbfs())
        text += tr("; whole-song peak after the fader %1").arg(db_text(*peak, "dBFS"));
    if (const auto* bars = work_.player.meters().find(id()); bars && std::isfinite(bars->after_fader.highest_db))
        text += tr("; highest heard %1").arg(db_text(bars->after_fader.highest_db, "dBFS"));
    if (const Audibility* a = audibility(); a && a->share)
        text += tr("; %1 % of its bands are heard, %2 % when quiet")
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
        name = tr("%1 %2 tracks at %3").arg(what).arg(rows).arg(value);
    else if (fader)
        name = tr("%1 %2 tracks %3").arg(what).arg(rows).arg(value);
    else
        name = tr("%1 %2 tracks").arg(what).arg(rows);
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
        [=](Track& t) {
            double& v = t.*field;
            if (alike)
                v = to;
            else if (fader)
                v = fader_moved(v, by);
            else
                v = std::clamp(v + by, low, high);
        },
        gesture);
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
                             : tr("Faders of %1 tracks for a peak of %2").arg(ids.size()).arg(db_text(dbfs, "dBFS"));
    work_.document.edit_tracks(name, ids, [&](Track& t) { t.fader_db = faders.at(t.id); });
}

// --- buses and control groups ---------------------------------------------------------------------------------------

QString BusLane::track_name() const {
    if (bus()) return QString::fromStdString(bus()->name);
    return group() ? QString::fromStdString(group()->name) : QString();
}

FaderLane::Values BusLane::values() const {
    Values v;
    if (const Bus* b = bus()) {
        v.fader_db = b->fader_db, v.pan = b->pan, v.width = b->width;
        v.has_width = true, v.heard = !b->mute;
    } else if (const ControlGroup* g = group()) {
        v.fader_db = g->fader_db;
        v.has_pan = v.has_level = false;
    }
    return with_writing(v);
}

/// Of a bus that has a chain or sends from its signal, which is known for the whole song; of another from the mix.
Level BusLane::song_peak_dbfs() const {
    const Bus* b = bus();
    const MaterialPtr signal = b ? work_.materials.shaped_sum(id()) : nullptr;
    if (!signal) return b ? work_.mix.bus_peak_dbfs(id()) : std::nullopt;
    const Session& session = work_.document.session();
    Track after;  // its trim is before its chain
    after.fader_db = b->fader_db + session.group_db(id());
    const CurvePtr ride = session.rides_bypassed ? nullptr : b->rides.heard(Parameter::level);
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
    QString peak;
    if (const Level db = song_peak_dbfs()) peak = tr("; whole-song peak after the fader %1").arg(db_text(*db, "dBFS"));
    if (is_return(session, id()))
        return tr("%1, a return: %n row(s) send to it; fader %2", nullptr, static_cast<int>(senders))
                   .arg(track_name(), db_text(values().fader_db)) +
               peak + '.';
    return bus() ? tr("%1, a bus: sums %n row(s); fader %2", nullptr, static_cast<int>(rows))
                           .arg(track_name(), db_text(values().fader_db)) +
                       peak + '.'
                 : tr("%1, a control group: moves %n row(s) by %2", nullptr, static_cast<int>(rows))
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
    double Bus::*field = &Bus::width;
    if (part == Part::fader) field = &Bus::fader_db;
    if (part == Part::pan) field = &Bus::pan;
    const QString name = tr("%1 %2 %3").arg(value_name(), track_name(), value);
    if (group())
        work_.document.edit(
            name, with_group(work_.document.session(), id(), [to](ControlGroup& g) { g.fader_db = to; }), gesture);
    else
        work_.document.edit(name, with_bus(work_.document.session(), id(), [field, to](Bus& b) { b.*field = to; }),
                            gesture);
}

// --- the station ----------------------------------------------------------------------------------------------------

QString BalanceStation::title() const { return QCoreApplication::translate("Station", "Balance"); }

QString BalanceStation::state(const Workspace& work) const {
    const auto& peak = work.mix.peak();
    if (!peak || !peak->dbfs || work.document.session().tracks.empty()) return {};
    const TargetSheet& sheet = work.document.session().targets;
    if (*peak->dbfs > sheet.mains_high_dbfs)
        return QCoreApplication::translate("Station", "%1 too hot").arg(db_text(*peak->dbfs - sheet.mains_high_dbfs));
    if (*peak->dbfs < sheet.mains_low_dbfs)
        return QCoreApplication::translate("Station", "%1 of room").arg(db_text(sheet.mains_high_dbfs - *peak->dbfs));
    return QCoreApplication::translate("Station", "in its window");
}

QWidget* BalanceStation::make_pinned(Workspace& work, QWidget* parent) const {
    return new BusBlock(work, parent, false,
                        [&work](TrackId id, QWidget* row) -> Lane* { return new BusLane(work, id, row); });
}

QWidget* BalanceStation::make_panel(Workspace& work, QWidget* parent) const { return new BalancePanel(work, parent); }

QWidget* BalanceStation::make_view(Workspace& work, QWidget* parent) const { return new Field(work, parent); }

void BalanceStation::paint_ruler(QPainter& painter, const QRect& area, const Workspace& work) const {
    if (work.view.balance.field_shown) return;  // the field has its own scales
    const BalanceColumns columns(area.width());
    const QRect figures(0, area.top() + area.height() / 2 - 2, area.width(), area.height() / 2 + 2);
    columns.fader_ruler().paint(painter, figures);
    columns.level_ruler().paint(painter, figures);
    painter.setFont(lettering(11));
    painter.setPen(theme().faint);
    const auto word = [&](const QRect& place, Qt::Alignment alignment, const QString& text) {
        painter.drawText(QRect(place.left(), area.top(), place.width(), area.height() / 2),
                         alignment | Qt::AlignVCenter, text);
    };
    word({BalanceColumns::gap, 0, columns.fader_end, 1}, Qt::AlignLeft,
         QCoreApplication::translate("Station", "fader, dB"));
    word({columns.level_start, 0, columns.level_end - columns.level_start, 1}, Qt::AlignLeft,
         QCoreApplication::translate("Station", "level after it, dBFS"));
    word(columns.peak_text(1).adjusted(-40, 0, 0, 0), Qt::AlignRight,
         QCoreApplication::translate("Station", "peak, dBFS"));
    word({area.width() - BalanceColumns::pan + 12, 0, 60, 1}, Qt::AlignLeft,
         QCoreApplication::translate("Station", "pan"));
    if (work.mix.audibility_wanted())
        word(columns.audible_area(1).adjusted(0, 0, -8, 0), Qt::AlignRight,
             work.mix.share_listened() < 1.0 ? QString("%1 %").arg(std::lround(100.0 * work.mix.share_listened()))
                                             : QCoreApplication::translate("Station", "heard"));
    const QRect pan = columns.pan_area(1);
    for (const auto& [place, letter] : {std::pair{-1.0, "L"}, std::pair{0.0, "C"}, std::pair{1.0, "R"}})
        painter.drawText(QRect(pan_place(pan, place) - 10, figures.top(), 20, figures.height() - 3), Qt::AlignCenter,
                         letter);
}

QWidget* BalanceStation::make_tools(Workspace& work, QWidget* parent) const {
    auto* tools = new QWidget(parent);
    auto* layout = new QHBoxLayout(tools);
    layout->setContentsMargins(0, 0, 0, 0);
    const auto set_all = [&work](const QString& name, double db) {
        Session next = work.document.session();
        for (const auto& t : work.document.session().tracks)
            next = with_track(next, t->id, [db](Track& track) { track.fader_db = db; });
        work.document.edit(name, std::move(next));
    };
    auto* down = new QPushButton(QCoreApplication::translate("Station", "All down"));
    down->setObjectName("allDown");
    down->setToolTip(QCoreApplication::translate("Station", "Every fader off: bring the tracks up one at a time."));
    QObject::connect(down, &QPushButton::clicked, tools,
                     [set_all] { set_all(QCoreApplication::translate("Station", "All faders down"), silence_db); });
    auto* zero = new QPushButton(QCoreApplication::translate("Station", "All 0 dB"));
    zero->setObjectName("allToZero");
    QObject::connect(zero, &QPushButton::clicked, tools,
                     [set_all] { set_all(QCoreApplication::translate("Station", "All faders to 0 dB"), 0.0); });
    auto* field = new QPushButton(QCoreApplication::translate("Station", "Field"));
    field->setObjectName("fieldOpen");
    field->setCheckable(true);
    field->setChecked(work.view.balance.field_shown);
    field->setToolTip(QCoreApplication::translate(
        "Station", "The same tracks as points: across is pan, up is level, size is how wide in frequency. (V)"));
    QObject::connect(field, &QPushButton::clicked, tools, [&work](bool on) { work.view.balance.show_field(on); });
    QObject::connect(&work.view.balance, &BalanceView::field_changed, field,
                     [&work, field] { field->setChecked(work.view.balance.field_shown); });
    layout->addWidget(down);
    layout->addWidget(zero);
    layout->addWidget(field);
    layout->addStretch();
    layout->setSpacing(3);
    for (QPushButton* b : tools->findChildren<QPushButton*>()) b->setStyleSheet("font-size: 11px; padding: 4px 3px;");
    return tools;
}

}  // namespace isotonus
