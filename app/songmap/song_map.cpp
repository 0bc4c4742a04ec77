#include "app/songmap/song_map.h"

#include <QMouseEvent>
#include <cmath>

#include "core/mix/overview.h"

namespace isotonus {

SongMap::SongMap(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    setObjectName("songMap");
    setFixedHeight(84);
    setMouseTracking(true);
    setAccessibleName(tr("Song map"));
    const auto redraw = [this] {
        shape_.clear();
        update();
    };
    connect(&work_.player, &Player::plan_changed, this, redraw);
    connect(&work_.time, &TimeView::changed, this, redraw);
    connect(&work_.document, &Document::session_changed, this, [this] { update(); });
    connect(&work_.player, &Player::loop_changed, this, [this] { update(); });
    connect(&work_.player, &Player::moved, this, [this] {
        const int x = static_cast<int>(std::lround(time().place(work_.player.position_s())));
        if (x == playhead_x_) return;
        update(playhead_x_ - 6, 0, 13, height());
        playhead_x_ = x;
        update(playhead_x_ - 6, 0, 13, height());
        update(0, 0, head_width, height());
    });
}

int SongMap::section_at(const Session& session, double time_s) {
    int found = -1;
    for (size_t i = 0; i < session.sections.size(); ++i)
        if (session.sections[i].start_s <= time_s + 1e-6) found = static_cast<int>(i);
    return found;
}

double SongMap::section_end(const Session& session, int section, double song_s) {
    const size_t next = static_cast<size_t>(section + 1);
    return next < session.sections.size() ? session.sections[next].start_s : song_s;
}

TimeRuler SongMap::time() const {
    TimeRuler t = lane_time(work_, area().width());
    t.left += head_width;
    t.right += head_width;
    return t;
}

void SongMap::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton || !area().contains(event->position().toPoint())) return;
    const double t = time().time(event->position().x());
    if (event->modifiers() & Qt::ShiftModifier) {
        drawing_loop_ = true;
        loop_from_s_ = t;
        return;
    }
    const int section = section_at(work_.document.session(), t);
    const bool on_names = event->position().y() < 18 && section >= 0;
    work_.player.locate(on_names ? work_.document.session().sections[static_cast<size_t>(section)].start_s : t);
}

void SongMap::mouseMoveEvent(QMouseEvent* event) {
    const double t = std::clamp(time().time(event->position().x()), 0.0, work_.time.song_s());
    if (drawing_loop_) {
        work_.player.set_loop({true, std::min(t, loop_from_s_), std::max(t, loop_from_s_)});
    } else if (event->buttons() & Qt::LeftButton) {
        work_.player.locate(t);
    }
    emit work_.hint(tr("%1. Click to go there, Shift and drag to loop, double click to loop a section, wheel to zoom.")
                        .arg(time_text(t, 2)));
}

void SongMap::mouseDoubleClickEvent(QMouseEvent* event) {
    const int section = section_at(work_.document.session(), time().time(event->position().x()));
    if (section < 0) return;
    const auto& s = work_.document.session();
    work_.player.set_loop(
        {true, s.sections[static_cast<size_t>(section)].start_s, section_end(s, section, work_.time.song_s())});
}

void SongMap::wheelEvent(QWheelEvent* event) {
    const QPoint turn = event->angleDelta();
    const double length = work_.time.to_s() - work_.time.from_s();
    if (turn.x() != 0 || event->modifiers() & Qt::ShiftModifier) {
        const double by = -(turn.x() != 0 ? turn.x() : turn.y()) / 1200.0 * length;
        work_.time.show(work_.time.from_s() + by, work_.time.to_s() + by);
    } else {
        work_.time.zoom(std::pow(1.25, turn.y() / 120.0), time().time(event->position().x()));
    }
    event->accept();
}

void SongMap::paintEvent(QPaintEvent* event) {
    QPainter painter(this);
    painter.fillRect(event->rect(), theme().ground);
    const Session& session = work_.document.session();
    const double position = work_.player.position_s();
    painter.setPen(theme().rule);
    painter.drawLine(0, height() - 1, width(), height() - 1);
    if (session.tracks.empty()) return;
    const QRect map = area();
    const TimeRuler ruler = time();

    // Left: where we are.
    const int now = section_at(session, position);
    painter.setPen(theme().ink);
    painter.setFont(lettering(16));
    painter.drawText(QRect(16, 18, head_width - 32, 24), Qt::AlignVCenter,
                     now >= 0 ? QString("%1  %2").arg(now + 1).arg(
                                    QString::fromStdString(session.sections[static_cast<size_t>(now)].name))
                              : tr("the song"));
    painter.setFont(lettering(11));
    painter.setPen(theme().faint);
    painter.drawText(QRect(16, 44, head_width - 32, 16), Qt::AlignVCenter,
                     tr("%1 of %2").arg(time_text(position), time_text(work_.time.song_s())));

    // Level over time, computed by the core once for each plan.
    if (shape_.empty()) {
        const double rate = session.sample_rate;
        shape_ = mix_power_over_time(*work_.player.plan(), std::llround(work_.time.from_s() * rate),
                                     std::llround(work_.time.to_s() * rate), map.width());
    }
    const auto& loop = work_.player.loop();
    if (loop.to_s > loop.from_s) {
        QColor wash = theme().accent;
        wash.setAlpha(loop.on ? 40 : 14);
        painter.fillRect(
            QRectF(QPointF(ruler.place(loop.from_s), 18), QPointF(ruler.place(loop.to_s), height() - 2)) & QRectF(map),
            wash);
    }
    const int foot = height() - 16, room = foot - 20;
    painter.setPen(theme().below);
    for (int x = 0; x < static_cast<int>(shape_.size()); ++x) {
        const double level = db_from_power(shape_[static_cast<size_t>(x)]) + aes17_db;
        const double share = std::clamp((level + 48.0) / 48.0, 0.0, 1.0);
        if (share > 0.0) painter.drawLine(map.left() + x, foot, map.left() + x, foot - static_cast<int>(share * room));
    }
    painter.setPen(theme().faint);
    painter.drawLine(map.left(), foot, map.right(), foot);
    ruler.paint(painter, QRect(map.left(), foot, map.width(), 15));

    // Sections.
    painter.setFont(lettering(11));
    for (size_t i = 0; i < session.sections.size(); ++i) {
        const int left = static_cast<int>(ruler.place(session.sections[i].start_s));
        const int right = static_cast<int>(ruler.place(section_end(session, static_cast<int>(i), work_.time.song_s())));
        if (right < map.left() || left > map.right()) continue;
        const QRect band = QRect(QPoint(left + 1, 2), QPoint(right - 2, 16)) & map;
        painter.fillRect(band, static_cast<int>(i) == now ? theme().ink : theme().rule);
        painter.setPen(static_cast<int>(i) == now ? theme().ground : theme().ink);
        const QString name = QString("%1 %2").arg(i + 1).arg(QString::fromStdString(session.sections[i].name));
        painter.drawText(band.adjusted(4, 0, -2, 0), Qt::AlignVCenter,
                         QFontMetrics(painter.font()).elidedText(name, Qt::ElideRight, band.width() - 6));
    }

    // Where the mix peaks.
    if (const auto& peak = work_.mix.peak(); peak && peak->dbfs) {
        const int x = static_cast<int>(ruler.place(peak->time_s));
        if (map.contains(x, 30)) {
            painter.setPen(theme().above);
            painter.setBrush(theme().above);
            painter.drawPolygon(QPolygon({QPoint(x - 4, 19), QPoint(x + 4, 19), QPoint(x, 26)}));
            painter.setBrush(Qt::NoBrush);
        }
    }
    const int x = static_cast<int>(std::lround(ruler.place(position)));
    if (map.contains(x, 30)) {
        painter.fillRect(x, 2, 1, height() - 3, theme().accent);
        painter.fillRect(x - 3, height() - 5, 7, 4, theme().accent);
    }
    if (work_.mix.busy() || work_.materials.waiting() > 0) {
        painter.setPen(theme().faint);
        painter.drawText(
            QRect(width() - mains_width + 16, 4, mains_width - 24, 16), Qt::AlignVCenter,
            work_.materials.waiting() > 0 ? tr("reading %1 files…").arg(work_.materials.waiting()) : QString());
    }
    painter.setPen(theme().faint);
    painter.drawText(QRect(width() - mains_width + 16, 20, mains_width - 24, 44),
                     Qt::AlignLeft | Qt::AlignVCenter | Qt::TextWordWrap,
                     work_.time.to_s() - work_.time.from_s() < work_.time.song_s() - 0.001
                         ? tr("zoomed: %1 to %2").arg(time_text(work_.time.from_s()), time_text(work_.time.to_s()))
                         : tr("wheel zooms, Shift and drag loops"));
}

}  // namespace isotonus
