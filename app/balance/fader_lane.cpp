#include "app/balance/fader_lane.h"

#include <QContextMenuEvent>
#include <QKeyEvent>
#include <QPaintEngine>
#include <QPainter>
#include <algorithm>
#include <cmath>
#include <map>
#include <ranges>
#include <span>

#include "app/balance/balance_columns.h"
#include "app/desk/ride_menu.h"
#include "core/balance/fader.h"

namespace isotonus {

void paint_blade(QPainter& painter, int x, int top, int bottom, const QColor& colour) {
    painter.fillRect(x - 1, top, 3, bottom - top, colour);
    painter.fillRect(x - 4, bottom - 2, 9, 2, colour);
}

void paint_own_value(QPainter& painter, int x, int top, int bottom) {
    painter.setPen(theme().faint);
    painter.setBrush(Qt::NoBrush);
    painter.drawRect(x - 2, top, 4, bottom - top);
}

QString FaderLane::name_of(Part part) {
    switch (part) {
        case Part::fader:
            return tr("fader");
        case Part::peak:
            return tr("peak after the fader");
        case Part::pan:
            return tr("pan");
        case Part::width:
            return tr("width");
        case Part::left_side:
            return tr("left pan");
        case Part::right_side:
            break;
    }
    return tr("right pan");
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

QString FaderLane::text_of(Part part) const {
    if (!exists()) return {};
    const double value = value_of(part);
    switch (part) {
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

SpokenControl::Range FaderLane::range_of(Part part) {
    if (part == Part::fader) return {fader_floor_db, fader_max_db, true};
    if (part == Part::peak) return {-100.0, 24.0, true};
    return part == Part::width ? Range{0.0, 200.0} : Range{-100.0, 100.0};
}

double FaderLane::spoken_number(Part part) const {
    const double value = value_of(part);
    return part == Part::fader || part == Part::peak ? value : std::round(value * 100.0);
}

std::optional<double> FaderLane::number() const {
    return exists() ? std::optional(spoken_number(active_)) : std::nullopt;
}

std::vector<FaderLane::Part> FaderLane::placing() const {
    std::vector<Part> parts;
    if (!exists()) return parts;
    const Values v = values();
    if (v.apart)
        parts = {Part::left_side, Part::right_side};
    else if (v.has_pan)
        parts = {Part::pan};
    if (v.has_width && !v.apart) parts.push_back(Part::width);
    return parts;
}

std::vector<SpokenControl::Part> FaderLane::parts() const {
    std::vector<SpokenControl::Part> all;
    for (const Part p : placing())
        all.push_back({tr("%1, %2").arg(track_name(), name_of(p)), text_of(p), spoken_number(p), range_of(p)});
    return all;
}

void FaderLane::say_to_part(size_t n, const QString& text) {
    if (const auto parts = placing(); n < parts.size()) set(parts[n], text);
}

void FaderLane::step_part(size_t n, int by) {
    if (const auto parts = placing(); n < parts.size()) step_by(parts[n], by, 0);
}

QRect FaderLane::value_rect() const {
    const BalanceColumns columns(width());
    if (active_ == Part::fader) return columns.fader_text(height());
    if (active_ == Part::peak) return columns.peak_text(height());
    return columns.pan_text(height());
}

void FaderLane::nudge(double by, uint64_t gesture) { step_by(active_, by, gesture); }

void FaderLane::step_by(Part part, double by, uint64_t gesture) {
    const double from = value_of(part == Part::peak ? Part::fader : part);
    if (part == Part::fader || part == Part::peak)
        move(Part::fader, fader_moved(from, by), false, gesture);
    else if (part == Part::width)
        move(part, std::clamp(from + (gesture ? by : 0.1 * by), 0.0, 2.0), false, gesture);
    else
        move(part, std::clamp(from + (gesture ? by : 0.05 * by), -1.0, 1.0), false, gesture);
}

void FaderLane::type_value(const QString& text) { set(active_, text); }

void FaderLane::set(Part part, const QString& text) {
    if (part == Part::fader || part == Part::peak) {
        const auto db = parse_level(text);
        if (!db) return;
        if (part == Part::peak)
            set_by_peak(*db);
        else if (*db <= fader_max_db)
            move(part, *db < fader_floor_db ? silence_db : *db, true, 0);
        else
            emit work_.view.hint(tr("A fader goes up to +12 dB."));
    } else if (part == Part::width) {
        const auto percent = parse_level(QString(text).remove('%'));
        if (percent && *percent >= 0.0 && *percent <= 200.0)
            move(part, *percent / 100.0, true, 0);
        else
            emit work_.view.hint(tr("The width goes from 0 to 200 %."));
    } else if (const auto pan = parse_pan(text)) {
        move(part, *pan, true, 0);
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
    if (active_ == Part::width) return (at.x() < pan_x(area, values().pan) ? -4.0 : 4.0) / area.width();
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
        active_ = std::abs(at.x() - pan_x(area, v.left_pan)) <= std::abs(at.x() - pan_x(area, v.right_pan))
                      ? Part::left_side
                      : Part::right_side;
        return true;
    }
    const int reach = std::abs(at.x() - pan_x(area, v.pan)), whisker = static_cast<int>(v.width * area.width() / 4.0);
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

/// Meters draw sixty times a second: a row without rides asks for none of them.
bool FaderLane::may_be_ridden() const {
    const Rides* rides = exists() ? work_.document.session().rides_of(id()) : nullptr;
    return rides && (rides->any() || work_.writing.any());
}

FaderLane::Values FaderLane::with_rides(Values v) const {
    if (!may_be_ridden()) return v;
    if (const double added = work_.writing.added_now(id()); work_.writing.is_ridden(id(), Parameter::level)) {
        v.own_fader_db = v.fader_db;
        v.fader_db += added;
    }
    if (work_.writing.is_ridden(id(), Parameter::pan)) v.own_pan = v.pan;
    const auto now = [&](Parameter p, double& value) {
        if (!work_.writing.is_ridden(id(), p)) return;
        value = work_.writing.value_now(id(), p);
        v.ridden = true;
    };
    now(Parameter::pan, v.pan);
    now(Parameter::width, v.width);
    now(Parameter::left_pan, v.left_pan);
    now(Parameter::right_pan, v.right_pan);
    return v;
}

void FaderLane::contextMenuEvent(QContextMenuEvent* event) {
    const Values v = values();
    std::vector<Parameter> parameters{Parameter::level};
    if (v.has_pan && !v.apart) parameters.push_back(Parameter::pan);
    if (v.has_width && !v.apart) parameters.push_back(Parameter::width);
    // Of a track that has no dual pan yet, too: what it takes is said.
    if (v.has_width && track()) parameters.insert(parameters.end(), {Parameter::left_pan, Parameter::right_pan});
    parameters.push_back(Parameter::mute);
    open_ride_menu(work_, id(), parameters, event->globalPos());
}

/// Only rows with rides, and of them only what stands elsewhere now.
void FaderLane::playhead_moved() {
    if (!may_be_ridden()) return;
    const Values v = values();
    const BalanceColumns columns(width());
    const auto tenth = [](double value) { return std::round(value * 10.0); };
    const std::array now{tenth(std::max(v.fader_db, silence_db)), std::round(v.pan * 100.0),
                         std::round(v.width * 100.0), std::round(v.left_pan * 100.0), std::round(v.right_pan * 100.0)};
    const auto blade_at = [&](double tenths) {
        const int x = static_cast<int>(std::lround(columns.fader_ruler().x_of(tenths / 10.0)));
        return QRect(x - 6, 0, 13, height());
    };
    const auto pans_of = [](const auto& values) { return std::span(values).subspan(1); };
    if (now[0] != drawn_[0]) update(blade_at(drawn_[0]).united(blade_at(now[0])));
    if (!std::ranges::equal(pans_of(now), pans_of(drawn_))) update(columns.pan_area(height()).adjusted(-6, 0, 6, 0));
    drawn_ = now;
    // Figures are read, not watched: ten a second do.
    constexpr int figures_ms = 100;
    if (now == told_ || (work_.player.playing() && told_at_.isValid() && !told_at_.hasExpired(figures_ms))) return;
    update(columns.fader_text(height()).united(blade_at(now[0])));
    update(columns.pan_text(height()).adjusted(-2, 0, 0, 0));
    told_ = now;
    told_at_.start();
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

QRect FaderLane::meter_rect() const {
    const BalanceColumns columns(width());
    return QRect(QPoint(columns.level_start, y(13)), QPoint(columns.level_end, y(21)));
}

QRect FaderLane::clip_flag() const { return {meter_rect().right() - 4, y(2), 8, y(8)}; }

void FaderLane::levels_changed() {
    const auto* bars = work_.player.meters().find(id());
    const MeterBar bar = bars ? bars->after_fader : MeterBar{};
    const Ruler r = BalanceColumns(width()).level_ruler();
    const auto x = [&](double db) { return std::lround(r.x_of(std::max(db, -60.0))); };
    if (x(bar.level_db) == x(shown_level_db_) && x(bar.hold_db) == x(shown_hold_db_) && bar.clipped == shown_clipped_)
        return;
    shown_level_db_ = bar.level_db;
    shown_hold_db_ = bar.hold_db;
    shown_clipped_ = bar.clipped;
    update(meter_rect().united(clip_flag()).adjusted(-2, -1, 2, y(8)));
}

namespace {
/// Letters cost more than all lines of a lane: they are set only where something is to be drawn.
bool is_asked_for(const QPainter& painter, const QRect& box) {
    const QRegion asked = painter.paintEngine()->systemClip();
    return asked.isEmpty() || asked.intersects(painter.deviceTransform().mapRect(box));
}
}  // namespace

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
    painter.drawLine(static_cast<int>(r.x_of(silence_db)), y(18), static_cast<int>(r.x_of(12.0)), y(18));
    painter.setPen(theme().text);
    const int zero = static_cast<int>(std::lround(r.x_of(0.0)));
    painter.drawLine(zero, y(13), zero, y(23));
    if (const auto ghost = work_.view.balance.ghosts().find(id());
        ghost != work_.view.balance.ghosts().end()) {  // where it would go
        const int x = static_cast<int>(std::lround(r.x_of(ghost->second.fader_db)));
        painter.setPen(QPen(theme().accent, 1, Qt::DashLine));
        painter.drawRect(x - 4, y(7), 8, y(22));
    }
    if (v.own_fader_db) paint_own_value(painter, static_cast<int>(std::lround(r.x_of(*v.own_fader_db))), y(11), y(25));
    paint_blade(painter, static_cast<int>(std::lround(r.x_of(v.fader_db))), y(7), y(29),
                v.heard ? theme().accent : theme().faint);
    if (is_asked_for(painter, columns.fader_text(height()))) {
        painter.setFont(lettering(13));
        painter.setPen(v.heard ? theme().text : theme().faint);
        painter.drawText(columns.fader_text(height()), Qt::AlignRight | Qt::AlignVCenter, db_text(v.fader_db));
    }
    if (v.own_fader_db) paint_ride_mark(painter, columns.fader_text(height()).right() - 20, y(29));
}

/// A level after the fader has no window of its own, so its bar has no colour but above the ceiling of peaks.
void FaderLane::paint_meter(QPainter& painter) {
    const Ruler r = BalanceColumns(width()).level_ruler();
    const QRect box = meter_rect();
    painter.fillRect(box, theme().rule);
    const auto x = [&](double db) { return static_cast<int>(std::lround(r.x_of(std::clamp(db, -60.0, 0.0)))); };
    const double ceiling = work_.document.session().targets.peak_ceiling_dbfs;
    if (shown_level_db_ > -60.0) {
        painter.fillRect(QRect(box.topLeft(), QPoint(x(std::min(shown_level_db_, ceiling)), box.bottom())),
                         theme().faint);
        if (shown_level_db_ > ceiling)  // above the ceiling the bar is raised too
            painter.fillRect(QRect(QPoint(x(ceiling) + 1, box.top() - 2), QPoint(x(shown_level_db_), box.bottom())),
                             theme().above);
    }
    if (shown_hold_db_ > -60.0) painter.fillRect(x(shown_hold_db_), box.top() - 1, 2, box.height() + 2, theme().text);
    if (const auto* bars = work_.player.meters().find(id()); bars && bars->vu_dbfs > -60.0 && shown_level_db_ > -60.0) {
        // The average, as a VU needle after the fader: a gap in the bar.
        const double after = bars->vu_dbfs + values().fader_db;
        if (after > -60.0) painter.fillRect(x(after), box.top() + 1, 2, box.height() - 2, theme().ground);
    }
    paint_peak(painter);
    if (shown_clipped_) painter.fillRect(clip_flag(), theme().clipped);
}

/// The whole song's peak after the fader: a mark on the ruler and its figure.
void FaderLane::paint_peak(QPainter& painter) {
    const Level peak = song_peak_dbfs();
    if (!peak || !std::isfinite(*peak)) return;
    const BalanceColumns columns(width());
    const bool has_figure = is_asked_for(painter, columns.peak_text(height()));
    const int at = static_cast<int>(std::lround(columns.level_ruler().x_of(std::clamp(*peak, -60.0, 0.0)))),
              below = meter_rect().bottom() + 2;
    painter.setPen(theme().text);
    painter.drawLine(at - 3, below + 4, at, below);
    painter.drawLine(at + 3, below + 4, at, below);
    if (!has_figure) return;
    painter.setFont(lettering(13));
    const bool over = *peak > work_.document.session().targets.peak_ceiling_dbfs;
    painter.setPen(over ? theme().above : theme().text);
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
    painter.setPen(share < hardly_heard ? theme().text : theme().faint);
    painter.drawText(QRect(bar.left(), y(4), bar.width(), y(17)), Qt::AlignRight | Qt::AlignVCenter,
                     QString::number(std::lround(share * 100.0)) + QString::fromUtf8("\u2009%"));
}

void FaderLane::paint_pan(QPainter& painter, const Values& v) {
    const BalanceColumns columns(width());
    const QRect area = columns.pan_area(height());
    const int middle = pan_x(area, 0.0), axis = height() / 2;
    painter.setPen(theme().rule);
    painter.drawLine(width() - BalanceColumns::pan, 0, width() - BalanceColumns::pan, height());
    painter.setPen(theme().faint);
    painter.drawLine(area.left(), axis, area.right(), axis);
    painter.drawLine(area.left(), axis - 4, area.left(), axis + 4);
    painter.drawLine(area.right(), axis - 4, area.right(), axis + 4);
    painter.setPen(theme().text);
    painter.drawLine(middle, axis - 5, middle, axis + 5);
    const QColor colour = v.heard ? theme().accent : theme().faint;
    const QRect words = columns.pan_text(height());
    if (v.ridden) paint_ride_mark(painter, words.right() - 20, y(30));
    painter.setFont(lettering(v.apart ? 11 : 13));
    if (v.apart) {  // a half blade for each side
        const int l = pan_x(area, v.left_pan), r = pan_x(area, v.right_pan);
        painter.fillRect(l - 1, axis - 9, 3, 9, colour);
        painter.fillRect(l - 1, axis - 9, 6, 2, colour);
        painter.fillRect(r - 1, axis + 1, 3, 9, colour);
        painter.fillRect(r - 4, axis + 8, 6, 2, colour);
        painter.setPen(theme().text);
        painter.drawText(words, Qt::AlignRight | Qt::AlignVCenter, pan_text(v.left_pan) + '\n' + pan_text(v.right_pan));
        return;
    }
    if (const auto ghost = work_.view.balance.ghosts().find(id());
        ghost != work_.view.balance.ghosts().end() && ghost->second.pan) {  // where it would go
        painter.setPen(QPen(theme().accent, 1, Qt::DashLine));
        painter.drawRect(pan_x(area, *ghost->second.pan) - 4, axis - 9, 8, 18);
    }
    const int at = pan_x(area, v.pan);
    if (v.has_width) {  // width as whiskers
        const int reach = static_cast<int>(v.width * area.width() / 4.0);
        const int left = std::max(area.left(), at - reach), right = std::min(area.right(), at + reach);
        painter.setPen(QPen(theme().accent, 1));
        painter.drawLine(left, axis + 6, right, axis + 6);
        painter.drawLine(left, axis + 3, left, axis + 9);
        painter.drawLine(right, axis + 3, right, axis + 9);
    }
    if (v.own_pan) paint_own_value(painter, pan_x(area, *v.own_pan), axis - 6, axis + 6);
    paint_blade(painter, at, axis - 9, axis + 9, colour);
    if (!is_asked_for(painter, words)) return;
    painter.setPen(theme().text);
    const bool both = v.has_width && std::fabs(v.width - 1.0) > 0.005;
    if (both) painter.setFont(lettering(11));
    painter.drawText(words, Qt::AlignRight | Qt::AlignVCenter,
                     both ? pan_text(v.pan) + '\n' + width_text(v.width) : pan_text(v.pan));
}

}  // namespace isotonus
