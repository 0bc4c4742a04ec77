#include "app/balance/field.h"

#include <QKeyEvent>
#include <QPainter>
#include <algorithm>
#include <cmath>

#include "app/balance/balance.h"

namespace isotonus {

Field::Field(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    setObjectName("field");
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    setAccessibleName(tr("Field: tracks by pan and level"));
    setVisible(work_.view.balance.field_shown);
    const auto repaint = [this] { update(); };
    connect(&work_.document, &Document::session_changed, this, repaint);
    connect(&work_.document, &Document::selection_changed, this, repaint);
    connect(&work_.materials, &Materials::changed, this, repaint);
    connect(&work_.player, &Player::levels_changed, this, repaint);
    connect(&work_.view.balance, &BalanceView::ghosts_changed, this, repaint);
    connect(&work_.mix, &MixWatch::audibility_changed, this, repaint);
    connect(&work_.view.balance, &BalanceView::field_changed, this, [this] {
        if (work_.view.balance.field_shown)
            work_.mix.want_audibility(true);  // the points' sizes come from the same bands
        setVisible(work_.view.balance.field_shown);
        raise();
    });
}

QString Field::spoken_value() const {
    const Track* t = work_.document.track(work_.document.focused());
    if (!t) return {};
    return tr("%1: fader %2, pan %3").arg(QString::fromStdString(t->name), db_text(t->fader_db), pan_text(t->pan));
}

QRectF Field::area() const { return QRectF(rect()).adjusted(64, 34, -32, -34); }

namespace {

/// A fader's level moved by a drag in the field, whose lower edge is silence.
double moved_in_field(double fader_db, double by_db) {
    constexpr double edge_db = -40.0;
    if (std::isinf(fader_db)) return by_db > 0.0 ? edge_db + by_db : silence_db;
    if (fader_db + by_db < edge_db - 1.0) return silence_db;
    return std::min(fader_db + by_db, fader_max_db);
}

}  // namespace

double Field::y_of(double fader_db) const {
    const double share = std::isinf(fader_db) ? 0.0 : (std::clamp(fader_db, -40.0, 12.0) + 42.0) / 54.0;
    return area().bottom() - share * area().height();
}

double Field::db_of(double y) const { return (area().bottom() - y) / area().height() * 54.0 - 42.0; }

double Field::radius_of(const Track& track) const {
    const auto wide = work_.mix.bandwidth(track);
    return wide ? 7.0 + 18.0 * *wide : 9.0;  // a middle size until its bands are known
}

QPointF Field::point_of(const Track& track) const {
    const double pan = track.dual_pan ? (track.left_pan + track.right_pan) / 2.0 : track.pan;
    return {x_of(pan), y_of(track.fader_db)};
}

double Field::x_of(double pan) const { return area().center().x() + pan * area().width() / 2.0; }

TrackId Field::at(const QPointF& point) const {
    TrackId found = 0;
    double nearest = 1e9;
    for (const auto& t : work_.document.session().tracks) {
        const QPointF d = point_of(*t) - point;
        const double distance = std::hypot(d.x(), d.y());
        if (distance < std::max(10.0, radius_of(*t)) && distance < nearest) nearest = distance, found = t->id;
    }
    return found;
}

void Field::move_selected(double pan_by, double db_by, uint64_t gesture) {
    const auto& ids = work_.document.selected();
    const Track* t = work_.document.track(work_.document.focused());
    if (!t || ids.empty()) return;
    const QString name = ids.size() == 1 ? tr("Pan and level of %1").arg(QString::fromStdString(t->name))
                                         : tr("Pan and level of %n track(s)", nullptr, static_cast<int>(ids.size()));
    work_.document.edit_tracks(
        name, ids,
        [=](Track& track) {
            if (pan_by != 0.0) {
                track.pan = std::clamp(track.pan + pan_by, -1.0, 1.0);
                track.left_pan = std::clamp(track.left_pan + pan_by, -1.0, 1.0);
                track.right_pan = std::clamp(track.right_pan + pan_by, -1.0, 1.0);
            }
            if (db_by != 0.0) track.fader_db = moved_in_field(track.fader_db, db_by);
        },
        gesture);
}

void Field::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton) return;
    setFocus();
    last_ = pressed_ = event->position();
    const TrackId id = at(last_);
    if (!id) {
        framing_ = true;
        return;
    }
    select_by_click(work_.document, id, event->modifiers());
    dragging_ = !(event->modifiers() & Qt::ControlModifier);
    gesture_ = work_.document.new_gesture();
}

void Field::mouseMoveEvent(QMouseEvent* event) {
    const QPointF here = event->position();
    if (dragging_) {
        const double fine = event->modifiers() & Qt::ShiftModifier ? 0.1 : 1.0;
        const QPointF by = here - last_;
        move_selected(by.x() * fine * 2.0 / area().width(), -by.y() * fine * 54.0 / area().height(), gesture_);
        last_ = here;
    } else if (framing_) {  // a frame drawn over points selects them
        last_ = here;
        update();
        return;
    }
    const Track* t = work_.document.track(dragging_ ? work_.document.focused() : at(here));
    if (const TrackId near = t ? t->id : 0; near != near_) {
        near_ = near;
        update();
    }
    if (t)
        emit work_.view.hint(
            tr("%1: fader %2, pan %3").arg(QString::fromStdString(t->name), db_text(t->fader_db), pan_text(t->pan)));
    else
        emit work_.view.hint(tr("Drag points: across is pan, up is level. Drag a frame to select several."));
}

void Field::mouseReleaseEvent(QMouseEvent*) {
    if (framing_) {
        const QRectF frame = QRectF(pressed_, last_).normalized();
        std::vector<TrackId> ids;
        for (const auto& t : work_.document.session().tracks)
            if (frame.contains(point_of(*t))) ids.push_back(t->id);
        if (!ids.empty()) work_.document.select(ids, ids.front());
    }
    dragging_ = framing_ = false;
    update();
}

void Field::mouseDoubleClickEvent(QMouseEvent* event) {
    if (const TrackId id = at(event->position()))
        work_.document.edit_tracks(tr("Centre at 0 dB"), work_.document.moved_with(id),
                                   [](Track& t) { t.pan = t.fader_db = 0.0; });
}

void Field::keyPressEvent(QKeyEvent* event) {
    double db = 1.0;
    if (event->modifiers() & Qt::ShiftModifier)
        db = 0.1;
    else if (event->modifiers() & Qt::ControlModifier)
        db = 3.0;
    switch (event->key()) {
        case Qt::Key_Up:
            return move_selected(0.0, db, 0);
        case Qt::Key_Down:
            return move_selected(0.0, -db, 0);
        case Qt::Key_Left:
            return move_selected(-0.05 * db, 0.0, 0);
        case Qt::Key_Right:
            return move_selected(0.05 * db, 0.0, 0);
        default:
            QWidget::keyPressEvent(event);
    }
}

std::vector<std::pair<TrackId, QRect>> Field::names() const {
    std::vector<const Track*> order;
    std::vector<QRect> points;
    for (const auto& t : work_.document.session().tracks) {
        order.push_back(t.get());
        const int reach = static_cast<int>(0.7 * radius_of(*t));
        points.push_back(QRect(point_of(*t).toPoint() - QPoint(reach, reach), 2 * QSize(reach, reach)));
    }
    // The one under the pointer first, then what is chosen, then from above to below.
    const auto rank = [this](const Track* t) {
        int rank = work_.document.is_selected(t->id) ? 1 : 2;
        if (t->id == near_) rank = 0;
        return std::tuple(rank, point_of(*t).y());
    };
    std::stable_sort(order.begin(), order.end(), [&](const Track* x, const Track* y) { return rank(x) < rank(y); });
    const QFontMetrics metrics(lettering(11));
    std::vector<std::pair<TrackId, QRect>> named;
    constexpr int line = 14;
    for (const Track* t : order) {
        const QPointF at = point_of(*t);
        const QSize size(metrics.horizontalAdvance(QString::fromStdString(t->name)) + 2, line);
        const auto is_free = [&](const QRect& r) {
            return rect().contains(r) &&
                   std::none_of(named.begin(), named.end(), [&](const auto& n) { return n.second.intersects(r); }) &&
                   std::none_of(points.begin(), points.end(), [&](const QRect& p) { return p.intersects(r); });
        };
        // Beside the point, then farther out on both sides, a line higher or lower.
        const auto free_box = [&]() -> std::optional<QRect> {
            for (int out = 0; out <= 3; ++out)
                for (int down = 0; down <= 3; ++down)
                    for (const int side : {1, -1})
                        for (const int sign : {1, -1}) {
                            const double away = radius_of(*t) + 5.0 + 40.0 * out;
                            const double left = side > 0 ? at.x() + away : at.x() - away - size.width();
                            const QRect r(QPoint(static_cast<int>(left),
                                                 static_cast<int>(at.y()) - line / 2 + sign * down * line),
                                          size);
                            if (is_free(r)) return r;
                        }
            return std::nullopt;
        }();
        // What does not fit waits for the pointer.
        if (free_box)
            named.emplace_back(t->id, *free_box);
        else if (t->id == near_)
            named.emplace_back(t->id,
                               QRect(at.toPoint() + QPoint(static_cast<int>(radius_of(*t)) + 5, -line / 2), size));
    }
    return named;
}

void Field::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), theme().ground);
    painter.setFont(lettering(11));
    const QRectF a = area();
    for (const double db : {12.0, 6.0, 0.0, -6.0, -12.0, -18.0, -24.0, -30.0, -40.0}) {
        const int y = static_cast<int>(y_of(db));
        painter.setPen(db == 0.0 ? theme().faint : theme().scale);
        painter.drawLine(static_cast<int>(a.left()), y, static_cast<int>(a.right()), y);
        painter.setPen(theme().faint);
        painter.drawText(QRect(8, y - 8, 48, 16), Qt::AlignRight | Qt::AlignVCenter, scale_text(db, "", true));
    }
    painter.drawText(QRect(8, static_cast<int>(a.bottom()) - 8, 48, 16), Qt::AlignRight | Qt::AlignVCenter, tr("off"));
    painter.drawText(QRect(8, 8, 70, 16), Qt::AlignVCenter, tr("fader dB"));
    for (const double pan : {-1.0, -0.5, 0.0, 0.5, 1.0}) {
        const int x = static_cast<int>(a.center().x() + pan * a.width() / 2.0);
        painter.setPen(pan == 0.0 ? theme().faint : theme().scale);
        painter.drawLine(x, static_cast<int>(a.top()), x, static_cast<int>(a.bottom()));
        painter.setPen(theme().faint);
        painter.drawText(QRect(x - 24, static_cast<int>(a.bottom()) + 8, 48, 16), Qt::AlignCenter, pan_text(pan));
    }
    painter.setRenderHint(QPainter::Antialiasing);
    for (const auto& t : work_.document.session().tracks) {
        const QPointF at = point_of(*t);
        const double radius = radius_of(*t);
        const bool heard = work_.document.session().is_heard(*t), selected = work_.document.is_selected(t->id);
        const auto* bars = work_.player.meters().find(t->id);
        const double live = bars ? std::clamp((bars->after_fader.level_db + 48.0) / 48.0, 0.0, 1.0) : 0.0;
        QColor fill = theme().track_colour(t->colour_index);
        fill.setAlphaF(static_cast<float>(heard ? 0.16 + 0.7 * live : 0.06));  // brighter while it sounds
        painter.setBrush(fill);
        painter.setPen(QPen(selected ? theme().accent : theme().track_colour(t->colour_index), selected ? 2.5 : 1.2,
                            heard ? Qt::SolidLine : Qt::DotLine));
        painter.drawEllipse(at, radius, radius);
        if (t->anchor) {
            painter.setBrush(theme().text);
            painter.setPen(Qt::NoPen);
            painter.drawPolygon(QPolygonF({at + QPointF(-5, 4), at + QPointF(0, -4), at + QPointF(5, 4)}));
        }
        if (const auto ghost = work_.view.balance.ghosts().find(t->id); ghost != work_.view.balance.ghosts().end()) {
            painter.setBrush(Qt::NoBrush);
            painter.setPen(QPen(theme().accent, 1, Qt::DashLine));
            const double x = ghost->second.pan ? x_of(*ghost->second.pan) : at.x();
            painter.drawEllipse(QPointF(x, y_of(ghost->second.fader_db)), radius, radius);
        }
    }
    painter.setFont(lettering(11));
    for (const auto& [id, box] : names()) {
        const Track& t = *work_.document.track(id);
        const QPointF at = point_of(t);
        const QPointF end(box.left() > at.x() ? box.left() - 2 : box.right() + 2, box.center().y());
        if (std::hypot(end.x() - at.x(), end.y() - at.y()) > radius_of(t) + 12.0) {  // a thread to its name
            painter.setPen(QPen(theme().faint, 0.6));
            painter.drawLine(at, end);
        }
        painter.setPen(work_.document.session().is_heard(t) ? theme().text : theme().faint);
        painter.drawText(box, Qt::AlignVCenter, QString::fromStdString(t.name));
    }
    if (framing_) {
        painter.setBrush(Qt::NoBrush);
        painter.setPen(QPen(theme().accent, 1, Qt::DashLine));
        painter.drawRect(QRectF(pressed_, last_).normalized());
    }
    if (hasFocus()) paint_focus(painter, rect());
}

}  // namespace isotonus
