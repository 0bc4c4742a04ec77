#include "app/ride/ride.h"

#include <QCoreApplication>
#include <QGridLayout>
#include <QKeyEvent>
#include <QPainterPath>
#include <QPushButton>
#include <algorithm>
#include <cmath>
#include <fstream>

#include "core/ride/draft.h"
#include "core/ride/ride_csv.h"
#include "core/ride/thin.h"

namespace isotonus {

namespace {

constexpr double low_db = -30.0, high_db = 12.0;  // what the canvas shows
constexpr double hit_pixels = 8.0;

/// The curve as a line from edge to edge.
QPainterPath path_of(const Curve& curve, const TimeRuler& time, const std::function<double(double)>& y_of) {
    QPainterPath path;
    const auto y = [&](double db) { return y_of(std::clamp(db, low_db, high_db)); };
    // Bends and S-shapes every few pixels.
    const auto bow = [&](const RidePoint& from, double left, double right) {
        if (from.segment == Segment::bend || from.segment == Segment::smooth)
            for (double at = left + 4.0; at < right; at += 4.0) path.lineTo(at, y(curve.value_at(time.time(at))));
    };
    path.moveTo(time.left, y(curve.value_at(time.from_s)));
    for (size_t i = 0; i < curve.points.size(); ++i) {
        const RidePoint& p = curve.points[i];
        if (p.time_s < time.from_s) continue;
        if (p.time_s > time.to_s) break;
        const double x = time.place(p.time_s);
        if (i > 0) bow(curve.points[i - 1], path.currentPosition().x(), x);
        if (i > 0 && curve.points[i - 1].segment == Segment::step) path.lineTo(x, y(curve.points[i - 1].value));
        path.lineTo(x, y(p.value));
    }
    const auto past = std::find_if(curve.points.begin(), curve.points.end(),
                                   [&](const RidePoint& p) { return p.time_s > time.to_s; });
    if (past != curve.points.begin() && past != curve.points.end())
        bow(*(past - 1), path.currentPosition().x(), time.right);
    path.lineTo(time.right, y(curve.value_at(time.to_s)));
    return path;
}

}  // namespace

// --- the lane -------------------------------------------------------------------------------------------------------

QString RideLane::value_text() const {
    if (!track() || !track()->level_ride) return tr("none");
    return tr("%n point(s)", nullptr, static_cast<int>(track()->level_ride->points.size()));
}

QString RideLane::sentence() const {
    return tr("%1: level ride, %2. Click to draw it below; Left and Right lower and raise all of it.")
        .arg(track_name(), value_text());
}

bool RideLane::grab(const QPoint&) {
    work_.document.select_only(id());
    return false;
}

void RideLane::nudge(double by_db, uint64_t gesture) {
    work_.document.edit_tracks(
        tr("Ride %1 %2 as a whole").arg(track_name(), db_text(by_db, "dB", true)), work_.document.moved_with(id()),
        [by_db](Track& t) {
            if (!t.level_ride) return;
            Curve curve = *t.level_ride;
            for (RidePoint& p : curve.points) p.value = std::clamp(p.value + by_db, ride_min_db, ride_max_db);
            t.level_ride = std::make_shared<const Curve>(std::move(curve));
        },
        gesture);
}

void RideLane::paint(QPainter& painter, const QRect& clip) {
    const Track& t = *track();
    const TimeRuler time = lane_time(work_, width());
    if (const MaterialPtr m = work_.materials.of(t)) {
        QColor shadow = theme().rule;
        paint_level_shadow(painter, QRect(0, 2, width(), height() - 5), clip, m->summary, m->measurement.sample_rate,
                           t.delay_samples / m->measurement.sample_rate, gain_from_db(t.trim_db), time, shadow,
                           t.level_ride.get());
    }
    if (!t.level_ride) return;
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setPen(QPen(theme().track_ink(t.ink), 1.5));
    painter.setBrush(Qt::NoBrush);
    const double h = height() - 6.0;
    painter.drawPath(
        path_of(*t.level_ride, time, [h](double db) { return 3.0 + h * (high_db - db) / (high_db - low_db); }));
    painter.setRenderHint(QPainter::Antialiasing, false);
}

// --- the editor -----------------------------------------------------------------------------------------------------

RideEditor::RideEditor(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    setObjectName("rideEditor");
    setFixedHeight(236);
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    setAccessibleName(tr("Ride editor"));
    auto* tools = new QWidget(this);
    tools->setGeometry(12, 34, head_width - 66, 136);
    auto* layout = new QGridLayout(tools);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(4);
    int place = 0;
    const auto button = [&](const char* name, const QString& text, const QString& tip, auto work_done) {
        auto* b = new QPushButton(tools);
        b->setObjectName(name);
        b->setText(text);
        b->setToolTip(tip);
        b->setFocusPolicy(Qt::NoFocus);
        connect(b, &QPushButton::clicked, this, work_done);
        layout->addWidget(b, place / 2, place % 2);
        ++place;
    };
    button("rideStep", tr("Shape"), tr("How the level goes to the next point: line, step, bends, S. (T)"),
           [this] { toggle_steps(); });
    button("rideDelete", tr("Delete"), tr("Takes the selected points away. (Delete)"), [this] { remove_selected(); });
    button("rideDraft", tr("Draft…"), tr("A first ride that brings every phrase to one level; points like any others."),
           [this] { draft(); });
    button("rideLock", tr("Lock"), tr("A draft leaves locked points, and what lies between them, alone. (L)"),
           [this] { toggle_locks(); });
    button("rideThin", tr("Thin"), tr("Takes away points that move the ride by less than 0.1 dB."), [this] { thin(); });
    button("rideOut", tr("To CSV…"), tr("The points as a table of seconds and dB."), [this] { csv_out(); });
    button("rideIn", tr("From CSV…"), tr("Points from a table of seconds and dB."), [this] { csv_in(); });
    button("rideClear", tr("Clear"), tr("Takes the whole ride away; undo brings it back."), [this] { clear(); });
    connect(&work_.document, &Document::session_changed, this, [this] {
        const size_t count = curve().points.size();
        std::erase_if(selected_, [count](size_t i) { return i >= count; });
        update();
    });
    connect(&work_.document, &Document::selection_changed, this, [this] {
        selected_.clear();
        update();
    });
    connect(&work_.materials, &Materials::changed, this, [this] { update(); });
    connect(&work_.time, &TimeView::changed, this, [this] { update(); });
    connect(&work_.player, &Player::moved, this, [this] {
        const int x = static_cast<int>(time().place(work_.player.position_s()));
        if (x == playhead_x_) return;
        update(playhead_x_ - 1, 0, 3, height());
        playhead_x_ = x;
        update(playhead_x_ - 1, 0, 3, height());
    });
}

QRect RideEditor::canvas() const { return QRect(head_width, 8, width() - head_width - scroll_width, height() - 16); }

TimeRuler RideEditor::time() const {
    TimeRuler t = lane_time(work_, canvas().width());
    t.left += head_width;
    t.right += head_width;
    return t;
}

QPointF RideEditor::place_of(double time_s, double db) const {
    const QRect c = canvas();
    return {time().place(time_s), c.top() + c.height() * (high_db - db) / (high_db - low_db)};
}

double RideEditor::db_at(double y) const {
    return high_db - (y - canvas().top()) * (high_db - low_db) / canvas().height();
}

Curve RideEditor::curve() const { return track() && track()->level_ride ? *track()->level_ride : Curve{}; }

int RideEditor::point_at(const QPointF& at) const {
    const Curve c = curve();
    int nearest = -1;
    double least = hit_pixels;
    for (size_t i = 0; i < c.points.size(); ++i) {
        const QPointF p = place_of(c.points[i].time_s, std::clamp(c.points[i].value, low_db, high_db));
        if (const double d = std::hypot(p.x() - at.x(), p.y() - at.y()); d < least)
            least = d, nearest = static_cast<int>(i);
    }
    return nearest;
}

void RideEditor::store(const Curve& changed, const QString& what, uint64_t gesture) {
    const QString name = tr("Ride %1: %2").arg(QString::fromStdString(track()->name), what);
    work_.document.edit_tracks(
        name, {track()->id},
        [&](Track& t) { t.level_ride = changed.empty() ? nullptr : std::make_shared<const Curve>(changed); }, gesture);
}

void RideEditor::move_selected(double by_s, double by_db, uint64_t gesture) {
    Curve c = curve();
    if (selected_.empty()) return;
    // Points keep their order: a moved one stops at its neighbours.
    for (const size_t i : selected_) {
        if (by_s < 0.0 && i > 0 && !selected_.contains(i - 1))
            by_s = std::max(by_s, c.points[i - 1].time_s - c.points[i].time_s);
        if (by_s > 0.0 && i + 1 < c.points.size() && !selected_.contains(i + 1))
            by_s = std::min(by_s, c.points[i + 1].time_s - c.points[i].time_s);
        by_s = std::max(by_s, -c.points[i].time_s);
    }
    for (const size_t i : selected_) {
        c.points[i].time_s += by_s;
        c.points[i].value = std::clamp(c.points[i].value + by_db, ride_min_db, ride_max_db);
    }
    const RidePoint& first = c.points[*selected_.begin()];
    store(c,
          selected_.size() == 1
              ? tr("point to %1, %2").arg(time_text(first.time_s, 2), db_text(first.value, "dB", true))
              : tr("move %1 points").arg(selected_.size()),
          gesture);
}

void RideEditor::remove_selected() {
    if (selected_.empty()) return;
    Curve c = curve();
    for (auto i = selected_.rbegin(); i != selected_.rend(); ++i)
        c.points.erase(c.points.begin() + static_cast<std::ptrdiff_t>(*i));
    const size_t count = selected_.size();
    selected_.clear();
    store(c, count == 1 ? tr("delete a point") : tr("delete %1 points").arg(count));
}

void RideEditor::toggle_steps() {
    Curve c = curve();
    if (selected_.empty()) return;
    // Line, step, bend that starts slowly, bend that starts fast, S, and line again.
    RidePoint next = c.points[*selected_.begin()];
    if (next.segment == Segment::bend && next.bend > 0.0) {
        next.bend = -next.bend;
    } else {
        next.segment = static_cast<Segment>((static_cast<int>(next.segment) + 1) % 4);
        if (next.segment == Segment::bend) next.bend = 0.5;
    }
    for (const size_t i : selected_) c.points[i].segment = next.segment, c.points[i].bend = next.bend;
    const QString names[] = {tr("line"), tr("step"), next.bend > 0.0 ? tr("bend, slow first") : tr("bend, fast first"),
                             tr("S-shape")};
    store(c, names[static_cast<size_t>(next.segment)]);
}

void RideEditor::toggle_locks() {
    Curve c = curve();
    if (selected_.empty()) return;
    const bool on = !c.points[*selected_.begin()].locked;
    for (const size_t i : selected_) c.points[i].locked = on;
    store(c, on ? tr("lock") : tr("unlock"));
}

void RideEditor::draft() {
    const MaterialPtr m = track() ? work_.materials.of(*track()) : nullptr;
    if (!m) return;
    const auto target = work_.prompter->ask_text(
        tr("Ride draft"),
        tr("Level each phrase should have after the trim, dBFS AES17; empty: the middle of its phrases"), QString());
    if (!target) return;
    DraftWish wish;
    const double trim_power = std::pow(10.0, track()->trim_db / 10.0);
    if (!target->trimmed().isEmpty()) {
        wish.target_dbfs = parse_level(*target);
        if (!wish.target_dbfs || !std::isfinite(*wish.target_dbfs)) {
            work_.prompter->complain(tr("'%1' is not a level in dBFS.").arg(*target));
            return;
        }
    }
    std::vector<double> power = m->hops.unweighted;
    for (double& p : power) p *= trim_power;
    Curve drafted = ride_draft(power, 0.1, wish, curve());
    const double shift_s = work_.shift_s(*track());
    for (RidePoint& p : drafted.points)
        if (!p.locked) p.time_s = std::max(0.0, p.time_s + shift_s);
    selected_.clear();
    store(drafted, tr("draft of %n point(s)", nullptr, static_cast<int>(drafted.points.size())));
}

void RideEditor::thin() {
    const Curve c = curve(), fewer = thinned(c);
    if (fewer == c) {
        emit work_.hint(tr("There is nothing to thin: every point moves the ride by more than 0.1 dB."));
        return;
    }
    selected_.clear();
    store(fewer, tr("thin from %1 to %2 points").arg(c.points.size()).arg(fewer.points.size()));
}

void RideEditor::csv_out() {
    if (!track() || curve().empty()) return;
    const auto file = work_.prompter->save_file(tr("Ride as CSV"), tr("Tables (*.csv)"), track()->name + ".csv");
    if (!file) return;
    if (const auto written = write_whole(*file, ride_to_csv(curve())); !written)
        work_.prompter->complain(QString::fromStdString(written.error().text()));
}

void RideEditor::csv_in() {
    if (!track()) return;
    const auto file = work_.prompter->open_file(tr("Ride from CSV"), tr("Tables (*.csv);;All files (*)"));
    if (!file) return;
    std::ifstream in(*file, std::ios::binary);
    const std::string text((std::istreambuf_iterator<char>(in)), std::istreambuf_iterator<char>());
    const auto read =
        in ? ride_from_csv(text, file->string()) : Result<Curve>(fail(file->string(), "the file cannot be read"));
    if (!read) {
        work_.prompter->complain(QString::fromStdString(read.error().text()));
        return;
    }
    selected_.clear();
    store(*read, tr("from a table"));
}

void RideEditor::clear() {
    selected_.clear();
    if (track() && track()->level_ride) store({}, tr("clear"));
}

void RideEditor::mousePressEvent(QMouseEvent* event) {
    if (!track() || event->button() != Qt::LeftButton || !canvas().contains(event->position().toPoint())) return;
    last_ = event->position();
    gesture_ = work_.document.new_gesture();
    const int hit = point_at(last_);
    const bool ctrl = event->modifiers() & Qt::ControlModifier;
    if (hit >= 0) {
        const size_t i = static_cast<size_t>(hit);
        if (ctrl) {
            if (!selected_.erase(i)) selected_.insert(i);
        } else if (!selected_.contains(i)) {
            selected_ = {i};
        }
        drag_ = ctrl ? Drag::none : Drag::points;
    } else if (ctrl) {
        drag_ = Drag::band;
        band_from_ = band_to_ = last_;
    } else {
        Curve c = curve();
        RidePoint p{std::clamp(time().time(last_.x()), 0.0, work_.time.song_s()),
                    std::clamp(db_at(last_.y()), ride_min_db, ride_max_db), Segment::line};
        p.value = std::round(p.value * 10.0) / 10.0;
        selected_ = {c.insert(p)};
        store(c, tr("add point %1, %2").arg(time_text(p.time_s, 2), db_text(p.value, "dB", true)), gesture_);
        drag_ = Drag::points;
    }
    update();
}

void RideEditor::mouseMoveEvent(QMouseEvent* event) {
    const QPointF at = event->position();
    if (drag_ == Drag::none) {
        if (track() && canvas().contains(at.toPoint()))
            emit work_.hint(
                tr("%1 at %2, ride %3. Click adds a point, drag moves it, Ctrl and drag selects, Delete removes.")
                    .arg(QString::fromStdString(track()->name), time_text(time().time(at.x()), 2),
                         db_text(curve().value_at(time().time(at.x())), "dB", true)));
        return;
    }
    if (drag_ == Drag::band) {
        band_to_ = at;
        selected_.clear();
        const QRectF band = QRectF(band_from_, band_to_).normalized();
        const Curve c = curve();
        for (size_t i = 0; i < c.points.size(); ++i)
            if (band.contains(place_of(c.points[i].time_s, c.points[i].value))) selected_.insert(i);
        update();
        return;
    }
    const double fine = event->modifiers() & Qt::ShiftModifier ? 0.1 : 1.0;
    move_selected((time().time(at.x()) - time().time(last_.x())) * fine, (db_at(at.y()) - db_at(last_.y())) * fine,
                  gesture_);
    last_ = at;
    if (!selected_.empty()) {
        const RidePoint p = curve().points[*selected_.begin()];
        emit work_.hint(tr("%1, %2").arg(time_text(p.time_s, 2), db_text(p.value, "dB", true)));
    }
}

void RideEditor::mouseReleaseEvent(QMouseEvent*) {
    drag_ = Drag::none;
    update();
}

void RideEditor::mouseDoubleClickEvent(QMouseEvent* event) {
    const int hit = point_at(event->position());
    if (hit < 0) return;
    Curve c = curve();
    c.points[static_cast<size_t>(hit)].value = 0.0;
    store(c, tr("point to 0 dB"), gesture_);
}

void RideEditor::keyPressEvent(QKeyEvent* event) {
    const double step_db = event->modifiers() & Qt::ShiftModifier     ? 0.1
                           : event->modifiers() & Qt::ControlModifier ? 3.0
                                                                      : 1.0;
    const double step_s = event->modifiers() & Qt::ShiftModifier ? 0.01 : 0.1;
    const size_t count = curve().points.size();
    switch (event->key()) {
        case Qt::Key_Delete:
        case Qt::Key_Backspace:
            remove_selected();
            return;
        case Qt::Key_T:
            toggle_steps();
            return;
        case Qt::Key_L:
            toggle_locks();
            return;
        case Qt::Key_Up:
            move_selected(0.0, step_db, 0);
            return;
        case Qt::Key_Down:
            move_selected(0.0, -step_db, 0);
            return;
        case Qt::Key_Left:
            move_selected(-step_s, 0.0, 0);
            return;
        case Qt::Key_Right:
            move_selected(step_s, 0.0, 0);
            return;
        case Qt::Key_A:
            if (!(event->modifiers() & Qt::ControlModifier)) break;
            for (size_t i = 0; i < count; ++i) selected_.insert(i);
            update();
            return;
        case Qt::Key_BracketLeft:
        case Qt::Key_BracketRight:
            if (count > 0) {
                const size_t at = selected_.empty() ? 0 : *selected_.begin();
                selected_ = {event->key() == Qt::Key_BracketLeft ? (at + count - 1) % count
                             : selected_.empty()                 ? 0
                                                                 : (at + 1) % count};
                update();
            }
            return;
        case Qt::Key_Insert:
            if (track()) {
                Curve c = curve();
                const double t = work_.player.position_s();
                selected_ = {c.insert({t, c.value_at(t), Segment::line})};
                store(c, tr("add point at the playhead"));
            }
            return;
        default:
            break;
    }
    QWidget::keyPressEvent(event);
}

void RideEditor::paintEvent(QPaintEvent* event) {
    QPainter painter(this);
    painter.fillRect(event->rect(), theme().panel);
    painter.setPen(theme().faint);
    painter.drawLine(0, 0, width(), 0);
    const Track* t = track();
    painter.setFont(lettering(13, true));
    painter.setPen(theme().ink);
    painter.drawText(QRect(12, 10, head_width - 60, 20), Qt::AlignVCenter,
                     t ? tr("Level of %1").arg(QString::fromStdString(t->name)) : tr("Choose a row"));
    const QRect c = canvas();
    painter.setFont(lettering(11));
    painter.setPen(theme().faint);
    painter.drawText(QRect(12, height() - 62, head_width - 70, 54), Qt::AlignBottom | Qt::TextWordWrap,
                     tr("Shadow: the track's level, grey before and tinted after the ride."));
    for (double db = 12.0; db >= low_db; db -= 6.0) {
        const int y = static_cast<int>(place_of(0.0, db).y());
        painter.setPen(db == 0.0 ? theme().faint : theme().rule);
        painter.drawLine(c.left(), y, c.right(), y);
        painter.setPen(theme().faint);
        painter.drawText(QRect(head_width - 48, y - 8, 42, 16), Qt::AlignRight | Qt::AlignVCenter,
                         db_text(db, "", true).remove(".0"));
    }
    if (!t) return;
    const TimeRuler ruler = time();
    if (const MaterialPtr m = work_.materials.of(*t)) {
        const double shift_s = t->delay_samples / m->measurement.sample_rate;
        const QRect foot = c.adjusted(0, c.height() / 3, 0, 0);
        QColor before = theme().faint, after = theme().track_ink(t->ink);
        before.setAlpha(60);
        after.setAlpha(90);
        paint_level_shadow(painter, foot, event->rect(), m->summary, m->measurement.sample_rate, shift_s,
                           gain_from_db(t->trim_db), ruler, before);
        if (t->level_ride)
            paint_level_shadow(painter, foot, event->rect(), m->summary, m->measurement.sample_rate, shift_s,
                               gain_from_db(t->trim_db), ruler, after, t->level_ride.get());
    }
    painter.setClipRect(c);
    painter.setRenderHint(QPainter::Antialiasing);
    const Curve ride = curve();
    painter.setPen(QPen(ride.empty() ? theme().faint : theme().ink, 1.8));
    painter.drawPath(path_of(ride, ruler, [this](double db) { return place_of(0.0, db).y(); }));
    for (size_t i = 0; i < ride.points.size(); ++i) {
        const QPointF p = place_of(ride.points[i].time_s, std::clamp(ride.points[i].value, low_db, high_db));
        painter.setPen(QPen(theme().accent, 1.5));
        painter.setBrush(selected_.contains(i) ? theme().accent : theme().panel);
        if (ride.points[i].locked) {  // a bar under it: it stays
            painter.drawLine(QPointF(p.x() - 6, p.y() + 8), QPointF(p.x() + 6, p.y() + 8));
        }
        if (ride.points[i].segment == Segment::step)
            painter.drawRect(QRectF(p.x() - 4, p.y() - 4, 8, 8));
        else
            painter.drawEllipse(p, 4.5, 4.5);
        if (selected_.contains(i) && selected_.size() == 1) {
            painter.setPen(theme().ink);
            const double x = std::min(p.x() + 10, c.right() - 120.0);
            painter.drawText(
                QRectF(x, p.y() - 22, 130, 16), Qt::AlignVCenter,
                tr("%1  %2").arg(time_text(ride.points[i].time_s, 2), db_text(ride.points[i].value, "dB", true)));
        }
    }
    painter.setRenderHint(QPainter::Antialiasing, false);
    if (drag_ == Drag::band) {
        painter.setPen(QPen(theme().accent, 1, Qt::DashLine));
        painter.setBrush(Qt::NoBrush);
        painter.drawRect(QRectF(band_from_, band_to_).normalized());
    }
    painter.setPen(theme().accent);
    const int x = static_cast<int>(ruler.place(work_.player.position_s()));
    painter.drawLine(x, c.top(), x, c.bottom());
    if (ride.empty()) {
        painter.setPen(theme().faint);
        painter.setFont(lettering(13));
        painter.drawText(
            c, Qt::AlignHCenter | Qt::AlignTop,
            tr("No ride yet: click to add the first point. Up is louder; the fader's level is the 0 dB line."));
    }
}

QString RideStation::title() const { return QCoreApplication::translate("Station", "Ride"); }

QString RideStation::state(const Workspace& work) const {
    int ridden = 0;
    for (const auto& t : work.document.session().tracks) ridden += t->level_ride ? 1 : 0;
    return ridden > 0 ? QCoreApplication::translate("Station", "%1 ridden").arg(ridden) : QString();
}

}  // namespace isotonus
