#include "app/gather/clip_panel.h"

#include <QHBoxLayout>
#include <QMouseEvent>
#include <QPushButton>
#include <QVBoxLayout>
#include <cmath>

namespace isotonus {

ClipEditor::ClipEditor(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    setObjectName("clipEditor");
    setMouseTracking(true);
    setAccessibleName(tr("Clips of the selected track"));
    const auto redraw = [this] { update(); };
    connect(&work_.document, &Document::session_changed, this, redraw);
    connect(&work_.document, &Document::selection_changed, this, redraw);
    connect(&work_.materials, &Materials::changed, this, redraw);
    connect(&work_.view.time, &TimeView::changed, this, redraw);
    connect(&work_.player, &Player::loop_changed, this, redraw);
    connect(&work_.view, &ViewState::clip_chosen, this, redraw);
    connect(&work_.player, &Player::moved, this, [this] {
        const int x = static_cast<int>(lane_time(work_, width()).x_of(work_.player.position_s()));
        if (x == playhead_x_) return;
        update(playhead_x_ - 1, 0, 3, height());
        playhead_x_ = x;
        update(playhead_x_ - 1, 0, 3, height());
    });
}

QString ClipEditor::spoken_value() const {
    const Clips clips = work_.edits.clips(id());
    if (clips.empty()) return {};
    const size_t now = work_.edits.current_clip(id());
    return tr("clip %1 of %2, gain %3").arg(now + 1).arg(clips.size()).arg(db_text(clips[now].gain_db, "dB", true));
}

double ClipEditor::x_of(int64_t frame) const {
    const double rate = work_.document.session().sample_rate;
    const double shift = track() ? work_.document.shift_s(*track()) : 0.0;
    return lane_time(work_, width()).x_of(static_cast<double>(frame) / rate + shift);
}

int64_t ClipEditor::frame_at(double x) const {
    const double shift = track() ? work_.document.shift_s(*track()) : 0.0;
    return work_.document.frame_at(lane_time(work_, width()).time(x) - shift);
}

ClipEditor::Part ClipEditor::part_at(const QPointF& at, size_t* clip) const {
    const Clips clips = work_.edits.clips(id());
    for (size_t n = clips.size(); n-- > 0;) {
        const Clip& c = clips[n];
        const double left = x_of(c.start), right = x_of(c.end());
        if (at.x() < left - 4 || at.x() > right + 4) continue;
        *clip = n;
        const double in = x_of(c.start + c.fade_in), out = x_of(c.end() - c.fade_out);
        const bool top = at.y() >= title_height && at.y() < title_height + 12;
        if (top && std::fabs(at.x() - std::max(in, left + 8.0)) < 6.0) return Part::fade_in;
        if (top && std::fabs(at.x() - std::min(out, right - 8.0)) < 6.0) return Part::fade_out;
        if (std::fabs(at.x() - left) < 5.0) return Part::start;
        if (std::fabs(at.x() - right) < 5.0) return Part::end;
        if (at.x() < left || at.x() > right) continue;
        return at.y() < title_height ? Part::title : Part::body;
    }
    return Part::none;
}

void ClipEditor::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton || !track()) return;
    from_ = event->position();
    if (event->modifiers() & Qt::ShiftModifier) {
        drag_ = Part::loop;
        return;
    }
    before_ = work_.edits.clips(id());
    gesture_ = work_.document.new_gesture();
    drag_ = part_at(from_, &dragged_);
    if (drag_ != Part::none) work_.view.choose_clip(id(), dragged_);
    if (drag_ == Part::none || drag_ == Part::body) work_.player.locate(lane_time(work_, width()).time(from_.x()));
}

void ClipEditor::mouseMoveEvent(QMouseEvent* event) {
    if (!track()) return;
    if (event->buttons() & Qt::LeftButton && drag_ != Part::none) {
        drag_to(event->position(), event->modifiers() & Qt::ShiftModifier);
        return;
    }
    size_t clip = 0;
    switch (part_at(event->position(), &clip)) {
        case Part::title:
            setCursor(Qt::OpenHandCursor);
            emit work_.view.hint(tr("Drag to move the clip in time."));
            break;
        case Part::start:
        case Part::end:
            setCursor(Qt::SizeHorCursor);
            emit work_.view.hint(tr("Drag to trim the clip at this end. Drag back to restore what was cut away."));
            break;
        case Part::fade_in:
        case Part::fade_out:
            setCursor(Qt::SizeHorCursor);
            emit work_.view.hint(tr("Drag to change the length of the fade."));
            break;
        case Part::body:
            setCursor(Qt::SizeVerCursor);
            emit work_.view.hint(
                tr("Drag up or down for the clip's gain; double click resets it to 0 dB. Shift and drag marks a "
                   "stretch."));
            break;
        default:
            setCursor(Qt::ArrowCursor);
            emit work_.view.hint(tr("No clip plays here. X splits a clip at the playhead."));
    }
}

void ClipEditor::drag_to(const QPointF& at, bool fine) {
    const TimeRuler time = lane_time(work_, width());
    if (drag_ == Part::loop) {
        const double a = time.time(from_.x()), b = time.time(at.x());
        work_.player.set_loop({true, std::min(a, b), std::max(a, b)});
        return;
    }
    if (dragged_ >= before_.size()) return;
    const QString name = QString::fromStdString(track()->name);
    const Clip& was = before_[dragged_];
    const MaterialPtr m = work_.materials.of(*track());
    if (!m) return;
    const double shift = work_.document.shift_s(*track());
    /// Where an edge goes: with the pointer, on the grid when there is one.
    const auto moved = [&](int64_t edge) {
        const double to_s =
            static_cast<double>(edge + frame_at(at.x()) - frame_at(from_.x())) / work_.document.session().sample_rate +
            shift;
        return work_.document.frame_at(work_.view.snap(to_s) - shift);
    };
    Clips next = before_;
    QString what;
    switch (drag_) {
        case Part::title:
            next = with_clip_moved(before_, dragged_, moved(was.start) - was.start);
            what = tr("Move a clip of %1").arg(name);
            break;
        case Part::start:
            next = with_clip_start(before_, dragged_, moved(was.start));
            what = tr("Trim a clip of %1").arg(name);
            break;
        case Part::end:
            next = with_clip_end(before_, dragged_, moved(was.end()), m->origin().file_frames());
            what = tr("Trim a clip of %1").arg(name);
            break;
        case Part::fade_in:
            next[dragged_].fade_in = std::clamp<int64_t>(frame_at(at.x()) - was.start, 0, was.frames - was.fade_out);
            what = tr("Fade in a clip of %1").arg(name);
            break;
        case Part::fade_out:
            next[dragged_].fade_out = std::clamp<int64_t>(was.end() - frame_at(at.x()), 0, was.frames - was.fade_in);
            what = tr("Fade out a clip of %1").arg(name);
            break;
        default: {
            const double by_db =
                std::round((from_.y() - at.y()) / (fine ? 20.0 : 2.0)) / 2.0;  // half a dB for two pixels
            next[dragged_].gain_db = std::clamp(was.gain_db + by_db, -clip_gain_max_db, clip_gain_max_db);
            what = tr("Clip gain %1 %2").arg(name, db_text(next[dragged_].gain_db, "dB", true));
        }
    }
    work_.edits.set_clips(id(), what, std::move(next), gesture_);
}

void ClipEditor::mouseDoubleClickEvent(QMouseEvent* event) {
    size_t clip = 0;
    if (!track() || part_at(event->position(), &clip) != Part::body) return;
    Clips next = work_.edits.clips(id());
    next[clip].gain_db = 0.0;
    work_.edits.set_clips(id(), tr("Clip gain %1 0 dB").arg(QString::fromStdString(track()->name)), std::move(next));
}

void ClipEditor::wheelEvent(QWheelEvent* event) {
    const TimeRuler time = lane_time(work_, width());
    if (event->modifiers() & Qt::ShiftModifier || event->angleDelta().x() != 0) {
        const int turn = event->angleDelta().x() != 0 ? event->angleDelta().x() : event->angleDelta().y();
        const double by = -turn / 1200.0 * (work_.view.time.to_s() - work_.view.time.from_s());
        work_.view.time.show(work_.view.time.from_s() + by, work_.view.time.to_s() + by);
    } else {
        work_.view.time.zoom(std::pow(1.25, event->angleDelta().y() / 120.0), time.time(event->position().x()));
    }
    event->accept();
}

void ClipEditor::paint_clip(QPainter& painter, const Clip& c, bool current) {
    const int left = static_cast<int>(std::lround(x_of(c.start))), right = static_cast<int>(std::lround(x_of(c.end())));
    if (right < 0 || left > width()) return;
    const QRect title = QRect(QPoint(left, 0), QPoint(right - 2, title_height - 2)) & rect();
    painter.fillRect(title, current ? theme().accent : theme().rule);
    painter.setPen(current ? theme().ground : theme().text);
    painter.setFont(lettering(11));
    painter.drawText(title.adjusted(4, 0, -2, 0), Qt::AlignVCenter, db_text(c.gain_db, "dB", true));
    painter.setPen(current ? theme().accent : theme().faint);
    painter.drawLine(left, title_height, left, height());
    painter.drawLine(right - 1, title_height, right - 1, height());
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setPen(QPen(theme().text, 1.2));
    const double top = title_height + 3.0, foot = height() - 3.0;
    // The fades as they are computed: sin^2.
    const auto fade = [&](int64_t from, int64_t to) {
        QPolygonF line;
        for (int i = 0; i <= 24; ++i) {
            const double s = std::sin(M_PI / 2.0 * i / 24.0);
            line << QPointF(x_of(from) + (x_of(to) - x_of(from)) * i / 24.0, foot - (foot - top) * s * s);
        }
        painter.drawPolyline(line);
    };
    if (c.fade_in > 0) fade(c.start, c.start + c.fade_in);
    if (c.fade_out > 0) fade(c.end(), c.end() - c.fade_out);
    painter.setBrush(theme().panel);
    for (const double x :
         {std::max(x_of(c.start + c.fade_in), left + 8.0), std::min(x_of(c.end() - c.fade_out), right - 8.0)})
        if (right - left > 24) painter.drawRect(QRectF(x - 3.0, top - 1.0, 6.0, 6.0));
    painter.setBrush(Qt::NoBrush);
    painter.setRenderHint(QPainter::Antialiasing, false);
}

void ClipEditor::paintEvent(QPaintEvent* event) {
    QPainter painter(this);
    painter.fillRect(rect(), theme().panel);
    const Track* t = track();
    const MaterialPtr m = t ? work_.materials.of(*t) : nullptr;
    if (!m) {
        painter.setPen(theme().faint);
        painter.drawText(rect(), Qt::AlignCenter, t ? tr("no file, no clips") : tr("Select a track to see its clips."));
        return;
    }
    const TimeRuler time = lane_time(work_, width());
    if (const auto& loop = work_.player.loop(); loop.to_s > loop.from_s) {
        QColor wash = theme().accent;
        wash.setAlpha(28);
        painter.fillRect(QRectF(QPointF(time.x_of(loop.from_s), title_height), QPointF(time.x_of(loop.to_s), height())),
                         wash);
    }
    const QRect body(0, title_height, width(), height() - title_height);
    painter.setPen(theme().rule);
    painter.drawLine(0, body.center().y(), width(), body.center().y());
    paint_waveform(painter, body, event->rect(), m, work_.document.shift_s(*t), 1.0, time,
                   theme().track_colour(t->colour_index), work_.samples);
    const Clips clips = work_.edits.clips(id());
    const size_t current = work_.edits.current_clip(id());
    for (size_t i = 0; i < clips.size(); ++i) paint_clip(painter, clips[i], i == current);
    for (const Spike& spike : m->measurement.spikes) {
        const int x = static_cast<int>(x_of(spike.first_frame + spike.frames / 2));
        painter.setPen(theme().above);
        painter.setBrush(theme().above);
        painter.drawPolygon(
            QPolygon({QPoint(x - 4, body.top() + 1), QPoint(x + 4, body.top() + 1), QPoint(x, body.top() + 8)}));
        painter.setBrush(Qt::NoBrush);
    }
    const int x = static_cast<int>(time.x_of(work_.player.position_s()));
    painter.fillRect(x, 0, 1, height(), theme().accent);
}

// --- the panel ------------------------------------------------------------------------------------------------------

ClipPanel::ClipPanel(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    setObjectName("clipPanel");
    setFixedHeight(168);
    editor_ = new ClipEditor(work, this);
    findings_ = new QWidget(this);
    list_ = new QVBoxLayout(findings_);
    list_->setContentsMargins(12, 4, 8, 4);
    list_->setSpacing(2);
    tools_ = new QWidget(this);
    auto* tools = new QHBoxLayout(tools_);
    tools->setContentsMargins(8, 2, 8, 2);
    tools->setSpacing(6);
    const auto button = [&](const char* name, const QString& text, const QString& why, auto work_done) {
        auto* b = new QPushButton(text);
        b->setObjectName(name);
        b->setToolTip(why);
        b->setFocusPolicy(Qt::TabFocus);
        b->setStyleSheet("font-size: 11px; padding: 4px 6px;");
        connect(b, &QPushButton::clicked, this, work_done);
        tools->addWidget(b);
    };
    button("splitClip", tr("Split"), tr("Splits the clip at the playhead; the sound stays the same. (X)"),
           [this] { work_.edits.split_clip(work_.document.focused()); });
    button("cutLoop", tr("Cut out"),
           tr("Silences the marked stretch of the song map, with short fades. Use it for a cough or a click."),
           [this] { work_.edits.cut_out_loop(work_.document.focused()); });
    button("clipLouder", tr("+1 dB"), tr("Makes the selected clip louder. Use it for a passage that is far too quiet."),
           [this] {
               Clips clips = work_.edits.clips(work_.document.focused());
               if (clips.empty()) return;
               Clip& c = clips[work_.edits.current_clip(work_.document.focused())];
               c.gain_db = std::min(c.gain_db + 1.0, clip_gain_max_db);
               work_.edits.set_clips(work_.document.focused(), tr("Clip gain %1").arg(db_text(c.gain_db, "dB", true)),
                                     clips);
           });
    button("clipSofter", tr("−1 dB"), tr("Makes the selected clip quieter."), [this] {
        Clips clips = work_.edits.clips(work_.document.focused());
        if (clips.empty()) return;
        Clip& c = clips[work_.edits.current_clip(work_.document.focused())];
        c.gain_db = std::max(c.gain_db - 1.0, -clip_gain_max_db);
        work_.edits.set_clips(work_.document.focused(), tr("Clip gain %1").arg(db_text(c.gain_db, "dB", true)), clips);
    });
    button("fadeIn", tr("Fade in"), tr("Fades the selected clip in, up to the playhead."), [this] { set_fade(true); });
    button("fadeOut", tr("Fade out"), tr("Fades the selected clip out, from the playhead on."),
           [this] { set_fade(false); });
    button("fadeLengths", tr("Fades…"), tr("Sets the lengths of the selected clip's fades by figures."),
           [this] { type_fades(); });
    button("removeClip", tr("Remove"), tr("Removes the selected clip. Undo restores it."), [this] {
        const TrackId id = work_.document.focused();
        const Clips clips = work_.edits.clips(id);
        if (clips.empty()) return;
        const Clip& c = clips[work_.edits.current_clip(id)];
        Clips next = clips;
        if (clips.size() > 1)
            next.erase(next.begin() + static_cast<std::ptrdiff_t>(work_.edits.current_clip(id)));
        else
            next = with_silence_between(clips, c.start, c.end(), 0);
        work_.edits.set_clips(id, tr("Remove a clip"), next);
    });
    button("wholeFile", tr("Whole file"), tr("Removes all clips, so that the whole file plays."),
           [this] { whole_file(); });
    tools->addStretch();
    connect(&work_.document, &Document::session_changed, this, &ClipPanel::refresh);
    connect(&work_.document, &Document::selection_changed, this, &ClipPanel::refresh);
    connect(&work_.materials, &Materials::changed, this, &ClipPanel::refresh);
    refresh();
}

void ClipPanel::type_fades() {
    const TrackId id = work_.document.focused();
    Clips clips = work_.edits.clips(id);
    if (clips.empty()) return;
    Clip& c = clips[work_.edits.current_clip(id)];
    const double frames_a_ms = work_.document.session().sample_rate / 1000.0,
                 max_ms = static_cast<double>(c.frames) / frames_a_ms;
    const auto n = work_.prompter->ask_numbers(
        tr("Fades of the clip"), {{tr("fade in, ms"), static_cast<double>(c.fade_in) / frames_a_ms, 0.0, max_ms, 1},
                                  {tr("fade out, ms"), static_cast<double>(c.fade_out) / frames_a_ms, 0.0, max_ms, 1}});
    if (!n) return;
    c.fade_in = std::min(c.frames, static_cast<int64_t>(std::llround((*n)[0] * frames_a_ms)));
    c.fade_out = std::min(c.frames - c.fade_in, static_cast<int64_t>(std::llround((*n)[1] * frames_a_ms)));
    work_.edits.set_clips(id, tr("Fades of a clip"), std::move(clips));
}

void ClipPanel::resizeEvent(QResizeEvent*) {
    // A window that is low on width has not room for all of them beside the findings.
    const int wanted = tools_->sizeHint().width(), beside = width() - head_width - scroll_width;
    const int tools_left = wanted <= beside ? head_width : std::max(0, width() - scroll_width - wanted);
    findings_->setGeometry(0, tools_left < head_width ? 31 : 0, head_width,
                           height() - (tools_left < head_width ? 31 : 0));
    tools_->setGeometry(tools_left, 1, width() - tools_left - scroll_width, 30);
    editor_->setGeometry(head_width, 32, width() - head_width - scroll_width, height() - 36);
}

void ClipPanel::refresh() {
    const Track* t = work_.document.track(work_.document.focused());
    tools_->setEnabled(t && work_.materials.of(*t));
    std::string key = t ? std::to_string(t->id) + t->name : std::string();
    if (t)
        for (const Finding& f : work_.materials.findings(*t))
            key += '\n' + f.id + f.text + std::to_string(static_cast<int>(f.remedy));
    if (key == shown_ && t) return;
    shown_ = key;
    list_findings();
}

void ClipPanel::list_findings() {
    while (QLayoutItem* item = list_->takeAt(0)) {
        delete item->widget();
        delete item;
    }
    const Track* t = work_.document.track(work_.document.focused());
    const auto add_text = [&](const QString& text, bool strong) {
        auto* label = new QLabel(text);
        label->setStyleSheet(strong ? "font-size: 13px; font-weight: bold;" : "font-size: 11px;");
        label->setWordWrap(!strong);
        list_->addWidget(label);
    };
    if (!t) {
        list_->addStretch();
        return;
    }
    const QFontMetrics metrics(lettering(13, true));
    add_text(metrics.elidedText(QString::fromStdString(t->name), Qt::ElideRight, head_width - 30), true);
    const auto& findings = work_.materials.findings(*t);
    if (findings.empty()) add_text(tr("no findings"), false);
    constexpr size_t max_shown = 5;
    for (size_t i = 0; i < std::min(max_shown, findings.size()); ++i) {
        const Finding f = findings[i];
        auto* row = new QWidget;
        auto* layout = new QHBoxLayout(row);
        layout->setContentsMargins(0, 0, 0, 0);
        layout->setSpacing(4);
        auto* words = new QLabel(QString::fromStdString(f.text));
        words->setStyleSheet("font-size: 11px;");
        words->setToolTip(words->text());
        words->setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Preferred);
        layout->addWidget(words, 1);
        const TrackId id = t->id;
        const auto button = [&](const char* name, const QString& text, const QString& why, auto work_done) {
            auto* b = new QToolButton;
            b->setObjectName(name);
            b->setText(text);
            b->setToolTip(why);
            b->setFocusPolicy(Qt::TabFocus);
            b->setStyleSheet("font-size: 11px; padding: 0 4px;");
            connect(b, &QToolButton::clicked, this, work_done);
            layout->addWidget(b);
        };
        if (f.time_s >= 0.0)
            button("hearFinding", tr("Hear"), tr("Plays the track alone, from %1.").arg(time_text(f.time_s)),
                   [this, id, f] { work_.audition.hear(id, f.time_s); });
        if (f.remedy != Remedy::none)
            button("putRight", tr("Fix"),
                   tr("Fixes the finding by a setting. The file stays as it is, and undo restores the setting."),
                   [this, id, f] { work_.edits.put_right(id, f); });
        list_->addWidget(row);
    }
    list_->addStretch();
}

void ClipPanel::set_fade(bool in) {
    const TrackId id = work_.document.focused();
    const Track* t = work_.document.track(id);
    Clips clips = work_.edits.clips(id);
    if (!t || clips.empty()) return;
    Clip& c = clips[work_.edits.current_clip(id)];
    const int64_t here = work_.document.frame_at(work_.player.position_s() - work_.document.shift_s(*t));
    if (here <= c.start || here >= c.end()) {
        emit work_.view.hint(tr("Put the playhead inside the clip first: a fade reaches up to it."));
        return;
    }
    (in ? c.fade_in : c.fade_out) =
        in ? std::min(here - c.start, c.frames - c.fade_out) : std::min(c.end() - here, c.frames - c.fade_in);
    work_.edits.set_clips(id, in ? tr("Fade in a clip") : tr("Fade out a clip"), clips);
}

void ClipPanel::whole_file() {
    const TrackId id = work_.document.focused();
    const Track* t = work_.document.track(id);
    if (!t || t->source.clips.empty()) return;
    work_.document.edit_tracks(tr("Whole file %1").arg(QString::fromStdString(t->name)), {id},
                               [](Track& track) { track.source.clips.clear(); });
}

void ClipPanel::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), theme().ground);
    painter.setPen(theme().faint);
    painter.drawLine(0, 0, width(), 0);
    painter.setPen(theme().rule);
    painter.drawLine(head_width - 1, 0, head_width - 1, height());
}

}  // namespace isotonus
