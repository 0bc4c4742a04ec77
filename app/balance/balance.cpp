#include "app/balance/balance.h"

#include <QCoreApplication>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QPushButton>
#include <cmath>

namespace isotonus {

namespace {

constexpr int pan_width = 210, figure_width = 76;

Ruler fader_ruler(int width) { return Ruler::fader(20.0, width - pan_width - figure_width - 16.0); }
Ruler level_ruler(int width) { return Ruler::level(20.0, width - pan_width - figure_width - 16.0); }
QRect pan_area(int width) { return {width - pan_width + 12, 0, pan_width - 70, row_height}; }
int pan_place(const QRect& area, double pan) {
    return area.left() + static_cast<int>(std::lround((pan + 1.0) / 2.0 * (area.width() - 1)));
}

}  // namespace

void paint_blade(QPainter& painter, int x, int top, int bottom, const QColor& colour) {
    painter.fillRect(x - 1, top, 3, bottom - top, colour);
    painter.fillRect(x - 4, bottom - 2, 9, 2, colour);
}

double fader_moved(double from_db, double by_db) {
    if (std::isinf(from_db)) return by_db > 0.0 ? fader_floor_db + by_db : silence_db;
    const double to = std::min(from_db + by_db, fader_max_db);
    return to < fader_floor_db ? silence_db : to;
}

QString BalanceLane::value_text() const {
    if (!track()) return {};
    return active_ == Part::fader ? db_text(track()->fader_db) : pan_text(track()->pan);
}

QString BalanceLane::sentence() const {
    const Track& t = *track();
    QString text = tr("%1: fader %2, pan %3").arg(track_name(), db_text(t.fader_db), pan_text(t.pan));
    if (const Level peak = song_peak_dbfs())
        text += tr("; whole-song peak after the fader %1").arg(db_text(*peak, "dBFS"));
    if (const auto* bars = work_.player.meters().find(id()); bars && std::isfinite(bars->after_fader.highest_db))
        text += tr("; highest heard %1").arg(db_text(bars->after_fader.highest_db, "dBFS"));
    return text + '.';
}

Level BalanceLane::song_peak_dbfs() const {
    const Measurement* m = work_.materials.measured(*track());
    return m && !track()->level_ride ? peak_after_fader_dbfs(*track(), *m) : std::nullopt;
}

void BalanceLane::move_fader(double to_db, uint64_t gesture) {
    const auto ids = work_.document.moved_with(id());
    const double from = track()->fader_db;
    if (ids.size() == 1 || std::isinf(to_db) || std::isinf(from)) {
        const QString name = ids.size() == 1 ? tr("Fader %1 %2").arg(track_name(), db_text(to_db))
                                             : tr("Fader %1 tracks %2").arg(ids.size()).arg(db_text(to_db));
        work_.document.edit_tracks(
            name, ids, [to_db](Track& t) { t.fader_db = to_db; }, gesture);
        return;
    }
    const double by = to_db - from;  // several rows keep their differences
    work_.document.edit_tracks(
        tr("Fader %1 tracks %2").arg(ids.size()).arg(db_text(by, "dB", true)), ids,
        [by](Track& t) { t.fader_db = fader_moved(t.fader_db, by); }, gesture);
}

void BalanceLane::move_pan(double to, uint64_t gesture) {
    const double by = std::clamp(to, -1.0, 1.0) - track()->pan;
    const auto ids = work_.document.moved_with(id());
    const QString name = ids.size() == 1 ? tr("Pan %1 %2").arg(track_name(), pan_text(track()->pan + by))
                                         : tr("Pan %1 tracks").arg(ids.size());
    work_.document.edit_tracks(
        name, ids, [by](Track& t) { t.pan = std::clamp(t.pan + by, -1.0, 1.0); }, gesture);
}

void BalanceLane::nudge(double by, uint64_t gesture) {
    if (active_ == Part::fader)
        move_fader(fader_moved(track()->fader_db, by), gesture);
    else
        move_pan(track()->pan + (gesture ? by : by * 0.05), gesture);
}

void BalanceLane::type_value(const QString& text) {
    if (active_ == Part::pan) {
        if (const auto pan = parse_pan(text)) move_pan(*pan, 0);
    } else if (const auto db = parse_level(text); db && *db <= fader_max_db) {
        move_fader(*db < fader_floor_db ? silence_db : *db, 0);
    } else if (db) {
        emit work_.hint(tr("A fader goes up to +12 dB."));
    }
}

void BalanceLane::reset_value() {
    if (active_ == Part::fader)
        move_fader(0.0, 0);
    else
        move_pan(0.0, 0);
}

double BalanceLane::per_pixel(const QPoint&) const {
    return active_ == Part::fader ? fader_ruler(width()).db_per_pixel(track()->fader_db)
                                  : 2.0 / pan_area(width()).width();
}

bool BalanceLane::grab(const QPoint& at) {
    if (clip_flag().contains(at) && shown_clipped_) {
        work_.player.reset_meter(id());
        return false;
    }
    active_ = at.x() >= width() - pan_width ? Part::pan : Part::fader;
    return true;
}

bool BalanceLane::key(QKeyEvent* event) {
    active_ = Part::fader;
    switch (event->key()) {
        case Qt::Key_Comma:
            move_pan(track()->pan - 0.05, 0);
            return true;
        case Qt::Key_Period:
            move_pan(track()->pan + 0.05, 0);
            return true;
        case Qt::Key_P:
            active_ = Part::pan;
            open_entry();
            return true;
        default:
            return false;
    }
}

QRect BalanceLane::meter_place() const {
    const Ruler r = level_ruler(width());
    return QRect(QPoint(static_cast<int>(r.place(-60.0)), 25), QPoint(static_cast<int>(r.place(0.0)), 31));
}

QRect BalanceLane::clip_flag() const { return {meter_place().right() + 4, 22, 10, 10}; }

void BalanceLane::levels_changed() {
    const auto* bars = work_.player.meters().find(id());
    const MeterBar bar = bars ? bars->after_fader : MeterBar{};
    const Ruler r = level_ruler(width());
    const auto x = [&](double db) { return std::lround(r.place(std::max(db, -60.0))); };
    if (x(bar.level_db) == x(shown_level_db_) && x(bar.hold_db) == x(shown_hold_db_) && bar.clipped == shown_clipped_)
        return;
    shown_level_db_ = bar.level_db;
    shown_hold_db_ = bar.hold_db;
    shown_clipped_ = bar.clipped;
    update(meter_place().united(clip_flag()).adjusted(-2, -1, 2, 1));
}

void BalanceLane::paint(QPainter& painter, const QRect& clip) {
    const bool only_meter = clip.top() >= 21 && clip.right() < width() - pan_width - figure_width + 16;
    fader_ruler(width()).paint_rules(painter, QRect(0, 0, width() - pan_width - figure_width, 22));
    if (!only_meter) {
        paint_fader(painter);
        paint_pan(painter);
    }
    paint_meter(painter);
}

void BalanceLane::paint_fader(QPainter& painter) {
    const Track& t = *track();
    const Ruler r = fader_ruler(width());
    painter.setPen(theme().faint);
    painter.drawLine(static_cast<int>(r.place(silence_db)), 13, static_cast<int>(r.place(12.0)), 13);
    painter.setPen(theme().ink);
    const int zero = static_cast<int>(std::lround(r.place(0.0)));
    painter.drawLine(zero, 9, zero, 17);
    const bool heard = work_.document.session().is_heard(t);
    paint_blade(painter, static_cast<int>(std::lround(r.place(t.fader_db))), 3, 22,
                heard ? theme().accent : theme().faint);
    painter.setFont(lettering(13));
    painter.setPen(heard ? theme().ink : theme().faint);
    painter.drawText(QRect(width() - pan_width - figure_width, 0, figure_width - 8, 25),
                     Qt::AlignRight | Qt::AlignVCenter, db_text(t.fader_db));
}

void BalanceLane::paint_meter(QPainter& painter) {
    const Ruler r = level_ruler(width());
    const QRect place = meter_place();
    painter.fillRect(place, theme().rule);
    const auto x = [&](double db) { return static_cast<int>(std::lround(r.place(std::clamp(db, -60.0, 0.0)))); };
    const double ceiling = work_.document.session().targets.peak_ceiling_dbfs;
    if (shown_level_db_ > -60.0) {
        painter.fillRect(QRect(place.topLeft(), QPoint(x(std::min(shown_level_db_, ceiling)), place.bottom())),
                         theme().inside);
        if (shown_level_db_ > ceiling)  // above the ceiling the bar is raised too
            painter.fillRect(QRect(QPoint(x(ceiling) + 1, place.top() - 2), QPoint(x(shown_level_db_), place.bottom())),
                             theme().above);
    }
    if (shown_hold_db_ > -60.0)
        painter.fillRect(x(shown_hold_db_), place.top() - 1, 2, place.height() + 2, theme().ink);
    if (const Level peak = song_peak_dbfs()) {
        const int at = x(*peak);
        painter.setPen(theme().ink);
        painter.drawLine(at - 3, place.bottom() + 3, at, place.bottom());
        painter.drawLine(at + 3, place.bottom() + 3, at, place.bottom());
    }
    if (shown_clipped_) painter.fillRect(clip_flag(), theme().clipped);
}

void BalanceLane::paint_pan(QPainter& painter) {
    const Track& t = *track();
    const QRect area = pan_area(width());
    const int middle = pan_place(area, 0.0), y = 18;
    painter.setPen(theme().rule);
    painter.drawLine(width() - pan_width, 0, width() - pan_width, height());
    painter.setPen(theme().faint);
    painter.drawLine(area.left(), y, area.right(), y);
    painter.drawLine(area.left(), y - 4, area.left(), y + 4);
    painter.drawLine(area.right(), y - 4, area.right(), y + 4);
    painter.setPen(theme().ink);
    painter.drawLine(middle, y - 5, middle, y + 5);
    const int at = pan_place(area, t.pan);
    const Measurement* m = work_.materials.measured(t);
    if (m && m->channels == 2) {  // width as whiskers
        const int reach = static_cast<int>(t.width * area.width() / 4.0);
        const int left = std::max(area.left(), at - reach), right = std::min(area.right(), at + reach);
        painter.setPen(QPen(theme().accent, 1));
        painter.drawLine(left, y + 6, right, y + 6);
        painter.drawLine(left, y + 3, left, y + 9);
        painter.drawLine(right, y + 3, right, y + 9);
    }
    paint_blade(painter, at, y - 9, y + 9, work_.document.session().is_heard(t) ? theme().accent : theme().faint);
    painter.setFont(lettering(13));
    painter.setPen(theme().ink);
    painter.drawText(QRect(width() - 54, 0, 46, height()), Qt::AlignRight | Qt::AlignVCenter, pan_text(t.pan));
}

QString BalanceStation::title() const { return QCoreApplication::translate("Station", "Balance"); }

void BalanceStation::paint_ruler(QPainter& painter, const QRect& area, const Workspace&) const {
    fader_ruler(area.width()).paint(painter, area.adjusted(0, 0, 0, -area.height() / 2 + 2));
    level_ruler(area.width()).paint(painter, area.adjusted(0, area.height() / 2 - 1, 0, 0));
    painter.setFont(lettering(11));
    painter.setPen(theme().faint);
    const int figure_left = area.right() - pan_width - figure_width + 4;
    painter.drawText(QRect(figure_left, 0, figure_width, 16), Qt::AlignVCenter | Qt::AlignLeft,
                     QCoreApplication::translate("Station", "fader dB"));
    painter.drawText(QRect(figure_left, 15, figure_width, 16), Qt::AlignVCenter | Qt::AlignLeft,
                     QCoreApplication::translate("Station", "level dBFS"));
    const QRect pan = pan_area(area.width());
    for (const auto& [place, letter] : {std::pair{-1.0, "L"}, std::pair{0.0, "C"}, std::pair{1.0, "R"}})
        painter.drawText(QRect(pan_place(pan, place) - 10, 12, 20, 18), Qt::AlignCenter, letter);
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
    auto* zero = new QPushButton(QCoreApplication::translate("Station", "All to 0 dB"));
    zero->setObjectName("allToZero");
    QObject::connect(zero, &QPushButton::clicked, tools,
                     [set_all] { set_all(QCoreApplication::translate("Station", "All faders to 0 dB"), 0.0); });
    layout->addWidget(down);
    layout->addWidget(zero);
    layout->addStretch();
    return tools;
}

}  // namespace isotonus
