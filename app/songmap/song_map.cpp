#include "app/songmap/song_map.h"

#include <QContextMenuEvent>
#include <QMenu>
#include <QMouseEvent>
#include <cmath>

#include "app/desk/menu_entries.h"
#include "app/style/columns.h"

namespace isotonus {

SongMap::SongMap(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    setAttribute(Qt::WA_OpaquePaintEvent);
    setObjectName("songMap");
    setFixedHeight(84);
    setMouseTracking(true);
    setAccessibleName(tr("Song map"));
    connect(&work_.view.time, &TimeView::changed, this, [this] {
        drawn_.shape.clear();
        update();
    });
    connect(&work_.player, &Player::plan_changed, this, &SongMap::follow_song);
    connect(&work_.document, &Document::session_changed, this, &SongMap::follow_song);
    connect(&work_.mix, &MixWatch::changed, this, &SongMap::follow_song);
    connect(&work_.materials, &Materials::changed, this, [this] { update(); });
    connect(&work_.player, &Player::loop_changed, this, [this] { update(); });
    connect(&work_.player, &Player::moved, this, [this] {
        const int x = static_cast<int>(std::lround(time().x_of(work_.player.position_s())));
        if (x == playhead_x_) return;
        update(playhead_x_ - 6, 0, 13, height());
        playhead_x_ = x;
        update(playhead_x_ - 6, 0, 13, height());
        update(0, 0, head_width, height());
        const int now = section_at(work_.document.session(), work_.player.position_s());
        if (std::exchange(section_now_, now) != now) update();  // its name stands out, the one before no longer
    });
}

QString SongMap::spoken_value() const {
    const Session& session = work_.document.session();
    const double now = work_.player.position_s();
    const int section = section_at(session, now);
    QString text = tr("at %1 of %2").arg(where(now), time_text(work_.view.time.song_s()));
    if (section >= 0)
        text = tr("%1, in %2").arg(text, QString::fromStdString(session.sections[static_cast<size_t>(section)].name));
    const Player::Loop& loop = work_.player.loop();
    if (loop.on) text = tr("%1, looping %2 to %3").arg(text, time_text(loop.from_s), time_text(loop.to_s));
    return text;
}

void SongMap::follow_song() {
    // Most edits leave the map as it is: while a control is dragged it is not drawn anew for each step.
    const Session& session = work_.document.session();
    const auto& peak = work_.mix.peak();
    Drawn now{session.sections,
              session.tempo,
              session.notes,
              session.tracks.empty(),
              peak && peak->dbfs ? peak->time_s : -1.0,
              shape_now()};
    if (now == drawn_) return;
    drawn_ = std::move(now);
    update();
}

TimeRuler SongMap::time() const {
    TimeRuler t = lane_time(work_, area().width());
    t.left += head_width;
    t.right += head_width;
    return t;
}

int SongMap::edge_at(const QPointF& at) const {
    const auto& sections = work_.document.session().sections;
    for (size_t i = 0; i < sections.size() && at.y() < 18; ++i)
        if (sections[i].start_s > 0.0 && std::fabs(time().x_of(sections[i].start_s) - at.x()) < 5.0)
            return static_cast<int>(i);
    return -1;
}

int SongMap::note_at(const QPointF& at) const {
    const auto& notes = work_.document.session().notes;
    for (size_t n = notes.size(); n-- > 0;) {
        const double x = time().x_of(notes[n].time_s);
        if (at.x() >= x - 2.0 && at.x() <= x + 9.0 && at.y() >= 25.0 && at.y() <= 38.0) return static_cast<int>(n);
    }
    return -1;
}

void SongMap::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton || !area().contains(event->position().toPoint())) return;
    const double t = time().time(event->position().x());
    if (event->modifiers() & Qt::ShiftModifier) {
        // Over the names of sections whole ones are taken.
        drag_ = event->position().y() < 18 ? Drag::loop_of_sections : Drag::loop;
        loop_from_s_ = t;
        if (drag_ == Drag::loop_of_sections) work_.audition.loop_sections(t, t);
        return;
    }
    if (const int edge = edge_at(event->position()); edge >= 0) {
        drag_ = Drag::section;
        dragged_section_ = static_cast<size_t>(edge);
        gesture_ = work_.document.new_gesture();
        return;
    }
    const int section = section_at(work_.document.session(), t);
    const bool on_names = event->position().y() < 18 && section >= 0;
    work_.player.locate(on_names ? work_.document.session().sections[static_cast<size_t>(section)].start_s : t);
    drag_ = on_names ? Drag::none : Drag::playhead;
}

void SongMap::mouseMoveEvent(QMouseEvent* event) {
    const double t = std::clamp(time().time(event->position().x()), 0.0, work_.view.time.song_s());
    const bool on_edge = edge_at(event->position()) >= 0;
    setCursor(on_edge || drag_ == Drag::section ? Qt::SizeHorCursor : Qt::ArrowCursor);
    if (drag_ == Drag::loop) {
        work_.player.set_loop(
            {true, work_.view.snap(std::min(t, loop_from_s_)), work_.view.snap(std::max(t, loop_from_s_))});
    } else if (drag_ == Drag::loop_of_sections) {
        work_.audition.loop_sections(std::min(t, loop_from_s_), std::max(t, loop_from_s_));
    } else if (drag_ == Drag::section) {
        Session next = work_.document.session();
        if (dragged_section_ >= next.sections.size()) return;
        const double least = dragged_section_ > 0 ? next.sections[dragged_section_ - 1].start_s + 0.01 : 0.0;
        const double most = section_end_s(next, static_cast<int>(dragged_section_), work_.view.time.song_s()) - 0.01;
        std::vector<Section>& sections = next.sections.change();
        sections[dragged_section_].start_s = std::clamp(work_.view.snap(t), least, std::max(least, most));
        const QString name =
            tr("Section %1 to %2").arg(QString::fromStdString(sections[dragged_section_].name), time_text(t, 2));
        work_.document.edit(name, std::move(next), gesture_);
    } else if (drag_ == Drag::playhead) {
        work_.player.locate(t);
    }
    const int note = note_at(event->position());
    const auto& notes = work_.document.session().notes;
    QString hint = tr("%1. Click to go there, Shift and drag to loop (over names: whole sections), double "
                      "click to loop a section, wheel to zoom; right click for sections.")
                       .arg(where(t));
    if (note >= 0) {
        const ListeningNote& n = notes[static_cast<size_t>(note)];
        const QString heard_on = n.heard_on.empty() ? tr("the room") : QString::fromStdString(n.heard_on);
        hint = tr("%1, on %2: %3").arg(time_text(n.time_s), heard_on, QString::fromStdString(n.text));
    } else if (on_edge) {
        hint = tr("Drag to move the start of this section; right click to rename or remove it.");
    }
    emit work_.view.hint(hint);
}

void SongMap::leaveEvent(QEvent*) {
    update();
    emit work_.view.hint({});
}

void SongMap::contextMenuEvent(QContextMenuEvent* event) {
    if (!area().contains(event->pos()) || work_.document.session().tracks.empty()) return;
    const double t = time().time(event->pos().x());
    const int section = section_at(work_.document.session(), t);
    QMenu menu;
    connect(menu_entry(menu, tr("New section here"), tr("Sections name the parts of the song. Digits go to them.")),
            &QAction::triggered, this, [this, t] { work_.edits.add_section(work_.view.snap(t)); });
    connect(menu_entry(menu, tr("Listening note here…"), tr("What was noticed at this time, to be worked off later.")),
            &QAction::triggered, this, [this, t] { work_.edits.add_note(t); });
    if (const int note = note_at(event->pos()); note >= 0) {
        const auto n = static_cast<size_t>(note);
        const bool done = work_.document.session().notes[n].done;
        connect(menu_entry(menu, done ? tr("Reopen the note") : tr("Mark the note as done"),
                           tr("A note that is done has a hollow mark. Compare lists all notes.")),
                &QAction::triggered, this, [this, n, done] {
                    work_.edits.change_note(n, done ? tr("Reopen a note") : tr("Mark a note as done"),
                                            [&](ListeningNote& x) { x.done = !done; });
                });
        connect(menu.addAction(tr("Remove the note")), &QAction::triggered, this,
                [this, n] { work_.edits.remove_note(n); });
    }
    if (section >= 0) {
        const QString name =
            QString::fromStdString(work_.document.session().sections[static_cast<size_t>(section)].name);
        connect(menu.addAction(tr("Rename '%1'…").arg(name)), &QAction::triggered, this,
                [this, section] { work_.edits.rename_section(section); });
        add_colours(menu.addMenu(tr("Colour of '%1'").arg(name)), this, [this, section](int n) {
            Session next = work_.document.session();
            next.sections.change()[static_cast<size_t>(section)].colour_index = n;
            work_.document.edit(tr("Colour %1").arg(n + 1), std::move(next));
        });
        connect(menu.addAction(tr("Remove '%1'").arg(name)), &QAction::triggered, this, [this, section, name] {
            Session next = work_.document.session();
            auto& sections = next.sections.change();
            sections.erase(sections.begin() + section);
            work_.document.edit(tr("Remove section %1").arg(name), std::move(next));
        });
    }
    menu.exec(event->globalPos());
}

void SongMap::mouseDoubleClickEvent(QMouseEvent* event) {
    const double t = time().time(event->position().x());
    work_.audition.loop_sections(t, t);
}

void SongMap::wheelEvent(QWheelEvent* event) {
    const QPoint turn = event->angleDelta();
    const double length = work_.view.time.to_s() - work_.view.time.from_s();
    if (turn.x() != 0 || event->modifiers() & Qt::ShiftModifier) {
        const double by = -(turn.x() != 0 ? turn.x() : turn.y()) / 1200.0 * length;
        work_.view.time.show(work_.view.time.from_s() + by, work_.view.time.to_s() + by);
    } else {
        work_.view.time.zoom(std::pow(1.25, turn.y() / 120.0), time().time(event->position().x()));
    }
    event->accept();
}

/// Without rides a mix is summed up at once.  With them it takes a tenth of a second for long songs, and is done behind
/// the window; the map shows the mix as it was until then.
void SongMap::follow_plan() {
    const PlanPtr plan = work_.player.plan();
    if (overview_ && overview_->plan() == plan) return;
    const bool ridden = std::any_of(plan->parts.begin(), plan->parts.end(),
                                    [](const PlanPart& part) { return part.any_ride_to_main(); });
    if (!overview_ || !ridden) {
        overview_ = std::make_shared<MixOverview>(plan);
        return;
    }
    if (std::exchange(summing_up_, true)) return;
    using Made = std::shared_ptr<MixOverview>;
    jobs_.start([plan](Progress&) -> Result<Made> { return std::make_shared<MixOverview>(plan); },
                [this](const Result<Made>& made) {
                    summing_up_ = false;
                    if (made) overview_ = *made;
                    follow_song();
                });
}

std::vector<double> SongMap::shape_now() {
    const double rate = work_.document.session().sample_rate;
    const int64_t from = std::llround(work_.view.time.from_s() * rate),
                  to = std::llround(work_.view.time.to_s() * rate);
    follow_plan();
    return overview_->power(from, to, area().width());
}

QString SongMap::where(double time_s) const {
    const auto& tempo = work_.document.session().tempo;
    if (tempo.empty()) return time_text(time_s, 2);
    const BarPosition bar = bar_at(tempo, time_s);
    return tr("%1, bar %2.%3").arg(time_text(time_s, 2)).arg(bar.bar).arg(bar.beat);
}

void SongMap::paintEvent(QPaintEvent* event) {
    QPainter painter(this);
    painter.fillRect(event->rect(), theme().ground);
    painter.setPen(theme().rule);
    painter.drawLine(0, height() - 1, width(), height() - 1);
    if (work_.document.session().tracks.empty()) return;
    const double position = work_.player.position_s();
    const Canvas c{painter, area(), time(), position, section_at(work_.document.session(), position), height() - 16};
    paint_where(c);
    paint_level(c);
    paint_bars(c);
    paint_sections(c);
    paint_notes(c);
    paint_peak(c);
    paint_playhead(c);
    paint_right(c);
}

/// Left: where we are.
void SongMap::paint_where(const Canvas& c) {
    QPainter& painter = c.painter;
    const Session& session = work_.document.session();
    const int now = c.section;
    const double position = c.position_s;
    painter.setPen(theme().text);
    painter.setFont(lettering(16));
    painter.drawText(QRect(16, 18, head_width - 32, 24), Qt::AlignVCenter,
                     now >= 0 ? QString("%1  %2").arg(now + 1).arg(
                                    QString::fromStdString(session.sections[static_cast<size_t>(now)].name))
                              : tr("the song"));
    painter.setFont(lettering(11));
    painter.setPen(theme().faint);
    painter.drawText(
        QRect(16, 44, head_width - 32, 16), Qt::AlignVCenter,
        tr("%1 of %2")
            .arg(session.tempo.empty() ? time_text(position) : where(position), time_text(work_.view.time.song_s())));
}

/// Level over time, computed by the core once for each plan.
void SongMap::paint_level(const Canvas& c) {
    QPainter& painter = c.painter;
    const QRect& map = c.map;
    const TimeRuler& ruler = c.ruler;
    const int foot = c.foot;
    if (drawn_.shape.empty()) drawn_.shape = shape_now();
    const auto& loop = work_.player.loop();
    if (loop.to_s > loop.from_s) {
        QColor wash = theme().accent;
        wash.setAlpha(loop.on ? 40 : 14);
        painter.fillRect(
            QRectF(QPointF(ruler.x_of(loop.from_s), 18), QPointF(ruler.x_of(loop.to_s), height() - 2)) & QRectF(map),
            wash);
    }
    const int room = foot - 20;
    Columns lines(map);
    for (int x = 0; x < static_cast<int>(drawn_.shape.size()); ++x) {
        const double level = db_from_power(drawn_.shape[static_cast<size_t>(x)]) + aes17_db;
        const double share = std::clamp((level + 48.0) / 48.0, 0.0, 1.0);
        if (share > 0.0) lines.add(map.left() + x, foot, foot - static_cast<int>(share * room));
    }
    lines.paint(painter, theme().below);
    painter.setPen(theme().faint);
    painter.drawLine(map.left(), foot, map.right(), foot);
    ruler.paint(painter, QRect(map.left(), foot, map.width(), 15));
}

/// Bars, as far as they have room, over all of the mix: whether they begin with its hits is to be seen.
void SongMap::paint_bars(const Canvas& c) {
    QPainter& painter = c.painter;
    const Session& session = work_.document.session();
    const QRect& map = c.map;
    const TimeRuler& ruler = c.ruler;
    if (session.tempo.empty()) return;
    QColor colour = theme().text;
    colour.setAlpha(110);
    painter.setPen(colour);
    const int first = bar_at(session.tempo, work_.view.time.from_s()).bar,
              last = bar_at(session.tempo, work_.view.time.to_s()).bar;
    if (last - first < map.width() / 6)
        for (double s = snapped(session.tempo, work_.view.time.from_s(), true); s <= work_.view.time.to_s();) {
            const int bar_x = static_cast<int>(std::lround(ruler.x_of(s)));
            if (map.contains(bar_x, 30)) painter.drawLine(bar_x, 19, bar_x, c.foot);
            const double next = snapped(session.tempo, s + session.tempo.front().bar_s() * 0.8, true);
            s = next > s + 1e-6 ? next : s + session.tempo.front().bar_s();
        }
}

void SongMap::paint_sections(const Canvas& c) {
    QPainter& painter = c.painter;
    const Session& session = work_.document.session();
    const QRect& map = c.map;
    const TimeRuler& ruler = c.ruler;
    const int now = c.section;
    painter.setFont(lettering(11));
    for (size_t i = 0; i < session.sections.size(); ++i) {
        const int left = static_cast<int>(ruler.x_of(session.sections[i].start_s));
        const int right =
            static_cast<int>(ruler.x_of(section_end_s(session, static_cast<int>(i), work_.view.time.song_s())));
        if (right < map.left() || left > map.right()) continue;
        const QRect band = QRect(QPoint(left + 1, 2), QPoint(right - 2, 16)) & map;
        QColor tint = theme().track_colour(session.sections[i].colour_index);
        tint.setAlpha(static_cast<int>(i) == now ? 255 : 70);
        painter.fillRect(band, static_cast<int>(i) == now ? theme().text : theme().rule);
        painter.fillRect(QRect(band.left(), band.bottom() - 2, band.width(), 3), tint);
        painter.setPen(static_cast<int>(i) == now ? theme().ground : theme().text);
        const QString name = QString("%1 %2").arg(i + 1).arg(QString::fromStdString(session.sections[i].name));
        painter.drawText(band.adjusted(4, 0, -2, 0), Qt::AlignVCenter,
                         QFontMetrics(painter.font()).elidedText(name, Qt::ElideRight, band.width() - 6));
    }
}

/// A small slip of paper at each; those that are done are hollow.
void SongMap::paint_notes(const Canvas& c) {
    QPainter& painter = c.painter;
    const Session& session = work_.document.session();
    const QRect& map = c.map;
    const TimeRuler& ruler = c.ruler;
    const int foot = c.foot;
    for (const ListeningNote& note : session.notes) {
        const int note_x = static_cast<int>(std::lround(ruler.x_of(note.time_s)));
        if (!map.contains(note_x, 30)) continue;
        const QRect slip(note_x, 27, 8, 9);
        painter.setPen(note.done ? theme().faint : theme().text);
        painter.setBrush(note.done ? QBrush(Qt::NoBrush) : QBrush(theme().accent));
        painter.drawRect(slip);
        painter.drawLine(note_x, slip.bottom(), note_x, foot);
        painter.setBrush(Qt::NoBrush);
    }
}

void SongMap::paint_peak(const Canvas& c) {
    QPainter& painter = c.painter;
    const QRect& map = c.map;
    const TimeRuler& ruler = c.ruler;
    if (const auto& peak = work_.mix.peak(); peak && peak->dbfs) {
        const int x = static_cast<int>(ruler.x_of(peak->time_s));
        if (map.contains(x, 30)) {
            painter.setPen(theme().above);
            painter.setBrush(theme().above);
            painter.drawPolygon(QPolygon({QPoint(x - 4, 19), QPoint(x + 4, 19), QPoint(x, 26)}));
            painter.setBrush(Qt::NoBrush);
        }
    }
}

void SongMap::paint_playhead(const Canvas& c) {
    QPainter& painter = c.painter;
    const QRect& map = c.map;
    const TimeRuler& ruler = c.ruler;
    const double position = c.position_s;
    const int x = static_cast<int>(std::lround(ruler.x_of(position)));
    if (map.contains(x, 30)) {
        painter.fillRect(x, 2, 1, height() - 3, theme().accent);
        painter.fillRect(x - 3, height() - 5, 7, 4, theme().accent);
    }
}

/// What is being read, and how the view can be moved.
void SongMap::paint_right(const Canvas& c) {
    QPainter& painter = c.painter;
    if (work_.materials.waiting() > 0) {
        const QRect box(width() - mains_width + 16, 4, mains_width - 32, 14);
        painter.setPen(theme().faint);
        painter.drawText(box, Qt::AlignVCenter,
                         tr("reading %n file(s), Esc stops", nullptr, static_cast<int>(work_.materials.waiting())));
        painter.fillRect(box.left(), 20, box.width(), 3, theme().rule);
        painter.fillRect(box.left(), 20, static_cast<int>(box.width() * work_.materials.progress()), 3, theme().accent);
    }
    painter.setPen(theme().faint);
    const TimeView& shown = work_.view.time;
    QString words = underMouse() ? tr("wheel zooms, Shift and drag loops") : QString();
    if (shown.to_s() - shown.from_s() < shown.song_s() - 0.001)
        words = tr("zoomed: %1 to %2").arg(time_text(shown.from_s()), time_text(shown.to_s()));
    painter.drawText(QRect(width() - mains_width + 16, 28, mains_width - 24, 44),
                     Qt::AlignLeft | Qt::AlignVCenter | Qt::TextWordWrap, words);
}

}  // namespace isotonus
