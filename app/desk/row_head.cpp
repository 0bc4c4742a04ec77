#include "app/desk/row_head.h"

#include "app/desk/menu_entries.h"

#include <QApplication>
#include <QContextMenuEvent>
#include <QMenu>
#include <QPainter>

#include "app/desk/lane.h"

namespace isotonus {

QString family_word(Family family) {
    switch (family) {
        case Family::drums:
            return RowHead::tr("drums");
        case Family::percussion:
            return RowHead::tr("percussion");
        case Family::bass:
            return RowHead::tr("bass");
        case Family::guitars:
            return RowHead::tr("guitars");
        case Family::keys:
            return RowHead::tr("keys");
        case Family::strings:
            return RowHead::tr("strings");
        case Family::voices:
            return RowHead::tr("voices");
        case Family::effects:
            return RowHead::tr("effects");
        case Family::other:
            break;
    }
    return RowHead::tr("other");
}

RowHead::RowHead(Workspace& work, TrackId id, QWidget* parent) : QWidget(parent), work_(work), id_(id) {
    setFixedSize(head_width, row_height());
    setObjectName("rowHead");
    const auto button = [this](const char* name, const QString& letter, int x, bool Track::*flag, const QString& on,
                               const QString& off) {
        auto* b = new QToolButton(this);
        b->setObjectName(name);
        b->setText(letter);
        b->setCheckable(true);
        b->setGeometry(x, (row_height() - 22) / 2, 24, 22);
        b->setFocusPolicy(Qt::TabFocus);
        connect(b, &QToolButton::clicked, this, [this, flag, on, off](bool checked) {
            if (flag == &Track::solo && QGuiApplication::keyboardModifiers() & Qt::ControlModifier)
                return work_.edits.solo_alone({id_});
            const auto ids = work_.document.moved_with(id_);
            if (flag == &Track::mute) return work_.edits.set_mutes(ids, checked);
            const Track* t = work_.document.track(id_);
            work_.document.edit_tracks((checked ? on : off).arg(QString::fromStdString(t->name)), ids,
                                       [flag, checked](Track& track) { track.*flag = checked; });
        });
        connect(b, &QToolButton::pressed, this, [this] {
            if (!work_.document.is_selected(id_)) work_.document.select_only(id_);
            emit pressed();
        });
        return b;
    };
    mute_ = button("mute", "M", head_width - 60, &Track::mute, tr("Mute %1"), tr("Unmute %1"));
    solo_ = button("solo", "S", head_width - 33, &Track::solo, tr("Solo %1"), tr("Solo %1 off"));
    mute_->setToolTip(tr("Mute: this track is neither heard nor exported. (M)"));
    solo_->setToolTip(
        tr("Solo: only soloed tracks are heard. Use it to find a fault, but balance with everything playing. (S; Ctrl "
           "and click: only this track)"));
}

void RowHead::refresh() {
    const Track* t = work_.document.track(id_);
    if (!t) return;
    playhead_moved();
    solo_->setChecked(t->solo);
    const QString name = QString::fromStdString(t->name);
    mute_->setAccessibleName(tr("Mute %1").arg(name));
    solo_->setAccessibleName(t->solo_safe ? tr("Solo %1, which is solo safe").arg(name) : tr("Solo %1").arg(name));
    setAccessibleName(name);
    QString tip = QString::fromStdString(t->source.file.string());
    if (!t->source.right_file.empty()) tip += '\n' + QString::fromStdString(t->source.right_file.string());
    if (!t->note.empty()) tip += "\n\n" + QString::fromStdString(t->note);
    if (const Measurement* m = work_.materials.measured(*t))
        tip += '\n' + tr("%1: %2").arg(kind_of(*t, *m) == Kind::percussive ? tr("percussive") : tr("sustained"),
                                       QString::fromStdString(kind_because(*t)));
    setToolTip(tip);
    update();
}

void RowHead::playhead_moved() {
    mute_->setChecked(work_.writing.is_muted_now(id_));
    setAccessibleDescription(work_.writing.is_ridden(id_, Parameter::mute) ? tr("rides of its mute") : QString());
}

void RowHead::paintEvent(QPaintEvent*) {
    const Track* t = work_.document.track(id_);
    if (!t) return;
    QPainter painter(this);
    const bool selected = work_.document.is_selected(id_);
    painter.fillRect(rect(), selected ? theme().panel : theme().ground);
    painter.fillRect(0, 0, selected ? 8 : 4, height() - 1, theme().track_colour(t->colour_index));
    painter.setFont(lettering(13, selected));
    const bool heard = work_.document.session().is_heard(*t) && work_.sounds_in_loop(*t);
    painter.setPen(heard ? theme().text : theme().faint);
    QRect box = name_rect();
    const auto mark = [&](const QPolygon& shape) {
        painter.setRenderHint(QPainter::Antialiasing);
        painter.setBrush(theme().text);
        painter.drawPolygon(shape);
        painter.setBrush(Qt::NoBrush);
        painter.setRenderHint(QPainter::Antialiasing, false);
        box.setLeft(box.left() + 14);
    };
    const int x = box.left(), middle = box.center().y() + 1;
    if (t->anchor)  // a wedge on a line: what the mix stands on
        mark(QPolygon({QPoint(x, middle + 4), QPoint(x + 5, middle - 4), QPoint(x + 10, middle + 4)}));
    QString name = QString::fromStdString(t->name);
    if (!t->note.empty()) name += QString::fromUtf8(" …");
    painter.drawText(box, Qt::AlignLeft | Qt::AlignVCenter,
                     QFontMetrics(painter.font()).elidedText(name, Qt::ElideRight, box.width()));
    if (height() >= 30) {
        QString below;
        if (work_.materials.error(*t)) {
            below = tr("file missing");
        } else if (const Measurement* m = work_.materials.measured(*t)) {
            below = QStringList{family_word(work_.materials.family(*t)),
                                kind_of(*t, *m) == Kind::percussive ? tr("percussive") : tr("sustained"),
                                m->channels == 1 ? tr("mono") : tr("stereo")}
                        .join(", ");
        } else {
            below = tr("reading…");
        }
        painter.setFont(lettering(11));
        painter.setPen(work_.materials.error(*t) ? theme().clipped : theme().faint);
        painter.drawText(QRect(16, height() - 17, head_width - 80, 14), Qt::AlignLeft | Qt::AlignVCenter, below);
    }
    if (work_.writing.is_ridden(id_, Parameter::mute))
        paint_ride_mark(painter, mute_->x() + 3, mute_->geometry().bottom() + 4);
    if (t->solo_safe) {  // a bracket under S: held, whatever is soloed
        const QRect under = solo_->geometry().adjusted(2, 0, -2, 3);
        painter.setPen(QPen(theme().accent, 2));
        painter.drawPolyline(QPolygon({QPoint(under.left(), under.bottom() - 4), under.bottomLeft(),
                                       under.bottomRight(), QPoint(under.right(), under.bottom() - 4)}));
    }
    painter.setPen(theme().rule);
    painter.drawLine(0, height() - 1, width(), height() - 1);
    painter.drawLine(width() - 1, 0, width() - 1, height());
}

QRect RowHead::name_rect() const {
    return height() >= 30 ? QRect(16, 2, head_width - 80, 18) : QRect(16, 0, head_width - 80, height() - 1);
}

void RowHead::rename() {
    const Track* t = work_.document.track(id_);
    if (!t) return;
    if (!name_) {
        name_ = new Entry(this);
        name_->setObjectName("nameEntry");
        name_->setAccessibleName(tr("Name of the track"));
        connect(name_, &Entry::taken, this, &RowHead::take_name);
    }
    name_->open({8, (height() - 24) / 2, head_width - 76, 24}, QString::fromStdString(t->name));
}

void RowHead::take_name(const QString& typed) {
    const Track* t = work_.document.track(id_);
    const QString name = typed.trimmed();
    if (!t || name.toStdString() == t->name) return;
    work_.document.edit_tracks(
        tr("Rename %1 to %2").arg(QString::fromStdString(t->name), name), {id_}, [&](Track& track) {
            change_what_it_is(track, work_.materials.measured(track), [&](Track& t) { t.name = name.toStdString(); });
        });
}

void RowHead::mousePressEvent(QMouseEvent* event) {
    if (event->button() == Qt::RightButton) return;
    pressed_y_ = event->globalPosition().toPoint().y();
    if (event->button() == Qt::LeftButton && event->modifiers() == Qt::NoModifier) {
        if (!work_.document.is_selected(id_)) work_.document.select_only(id_);
    } else {
        select_by_click(work_.document, id_, event->modifiers());
        pressed_y_ = -1;
    }
    emit pressed();
}

void RowHead::mouseMoveEvent(QMouseEvent* event) {
    if (pressed_y_ < 0) return;
    const int y = event->globalPosition().toPoint().y();
    dragging_ = dragging_ || std::abs(y - pressed_y_) >= QApplication::startDragDistance();
    if (dragging_) emit dragged(y);
}

void RowHead::mouseReleaseEvent(QMouseEvent* event) {
    const bool pressed = pressed_y_ >= 0, was_dragged = dragging_;
    pressed_y_ = -1;
    dragging_ = false;
    if (was_dragged)
        emit dropped(event->globalPosition().toPoint().y());
    else if (pressed)  // a click on one of several selected rows leaves that one
        work_.document.select_only(id_);
}

void RowHead::replace_file() {
    const Track* t = work_.document.track(id_);
    const auto file = work_.prompter->open_file(tr("A newer file for %1").arg(QString::fromStdString(t->name)),
                                                tr("Audio (*);;All files (*)"));
    if (!file) return;
    if (const auto reader = SoundReader::open(*file); !reader) {
        work_.prompter->complain(QString::fromStdString(reader.error().text()));
        return;
    }
    work_.document.edit_tracks(tr("Replace the file of %1").arg(QString::fromStdString(t->name)), {id_},
                               [&](Track& track) { track.source.file = absolute_path(*file); });
}

void RowHead::edit_note() {
    const Track* t = work_.document.track(id_);
    const QString name = QString::fromStdString(t->name);
    const auto note =
        work_.prompter->ask_text(tr("Note on %1").arg(name), tr("Note on this track"), QString::fromStdString(t->note));
    if (note)
        work_.document.edit_tracks(tr("Note on %1").arg(name), {id_},
                                   [&](Track& track) { track.note = note->trimmed().toStdString(); });
}

QAction* RowHead::add_entry(QMenu* menu, const QString& text, const QString& help, const std::function<void()>& work) {
    QAction* action = menu_entry(*menu, text, help);
    connect(action, &QAction::triggered, this, work);
    return action;
}

void RowHead::add_setting(QMenu* menu, const QString& text, const QString& help, bool checked, const QString& name,
                          const std::function<void(Track&)>& change) {
    QAction* action = add_entry(menu, text, help, [this, name, change] {
        work_.document.edit_tracks(name, work_.document.moved_with(id_), change);
    });
    action->setCheckable(true);
    action->setChecked(checked);
}

void RowHead::add_what_it_is(QMenu* menu) {
    const Track& t = *work_.document.track(id_);
    struct Choice {
        QString text, help;
        std::optional<Kind> kind;
    };
    for (const Choice& choice :
         {Choice{tr("Percussive"), tr("Staged to the target of short hits, such as drums."), Kind::percussive},
          Choice{tr("Sustained"), tr("Staged to the target of held sounds, such as voices and pads."), Kind::sustained},
          Choice{tr("Kind as measured"), tr("Found from the track's name and sound."), std::nullopt}}) {
        const QString& text = choice.text;
        const auto kind = choice.kind;
        add_setting(menu, text, choice.help, t.kind == kind, tr("Kind: %1").arg(text), [this, kind](Track& track) {
            change_what_it_is(track, work_.materials.measured(track), [kind](Track& t) { t.kind = kind; });
        });
    }
    QMenu* families = menu->addMenu(tr("Family"));
    families->menuAction()->setToolTip(tr("What the track plays. Colour, folding and suggested levels follow it."));
    for (size_t n = 0; n < family_names.size(); ++n) {
        const auto family = static_cast<Family>(n);
        add_setting(families, family_word(family), {}, work_.materials.family(t) == family,
                    tr("Family: %1").arg(family_word(family)), [family](Track& track) {
                        track.family = family;
                        track.colour_index = colour_of(family);
                    });
    }
    const Family mine = work_.materials.family(t);
    add_entry(menu, tr("Fold the family '%1'").arg(family_word(mine)),
              tr("Shows the family as one line. A click on it unfolds it."),
              [this, mine] { work_.view.toggle_fold(mine); });
    add_colours(menu->addMenu(tr("Colour")), this, [this](int n) {
        work_.document.edit_tracks(tr("Colour %1").arg(n + 1), work_.document.moved_with(id_),
                                   [n](Track& track) { track.colour_index = n; });
    });
    add_setting(menu, tr("Anchor"),
                tr("A track that the mix is built on: kick, bass, snare, lead. Suggestions spare it."), t.anchor,
                t.anchor ? tr("Anchor off") : tr("Anchor"), [on = !t.anchor](Track& track) { track.anchor = on; });
    add_entry(menu, tr("Note…"), tr("A remark that stays with the track."), [this] { edit_note(); });
}

void RowHead::add_channels(QMenu* menu) {
    const Track& t = *work_.document.track(id_);
    const MaterialPtr material = work_.materials.of(*work_.document.track(id_));
    QMenu* channels = menu->addMenu(tr("Channels"));
    channels->menuAction()->setToolTip(
        tr("Which channels of the file are used. Choose one of them if the other is silent or damaged."));
    int recorded = material ? material->origin().media.channels : 1;
    if (material && material->origin().right) recorded = 2;
    const auto channel = [&](const QString& text, Channels way, int n) {
        add_setting(channels, text, {}, t.source.channels == way && (way != Channels::one || t.source.channel == n),
                    tr("Channels: %1").arg(text), [way, n](Track& track) {
                        track.source.channels = way;
                        track.source.channel = n;
                    });
    };
    channel(recorded > 2 ? tr("Folded to stereo") : tr("as recorded"), Channels::as_recorded, 0);
    if (recorded >= 2) {
        channel(tr("Left and right swapped"), Channels::swapped, 0);
        channel(tr("Mono: both channels"), Channels::mono, 0);
        const QString sides[] = {tr("Left channel only"), tr("Right channel only")};
        for (int n = 0; n < recorded; ++n)
            channel(recorded == 2 ? sides[n] : tr("Channel %1 only").arg(n + 1), Channels::one, n);
    }
    if (recorded > 1 && t.source.right_file.empty())
        add_entry(channels, tr("Split into %n mono track(s)", nullptr, recorded), {}, [this, recorded] {
            const QString name = QString::fromStdString(work_.document.track(id_)->name);
            work_.document.edit(tr("Split %1").arg(name), with_channels_split(work_.document.session(), id_, recorded));
        });
    add_setting(menu, tr("Remove the DC offset"),
                tr("Puts the waveform back on its zero line. An offset uses headroom."), t.source.offset_removed,
                tr("DC offset"), [on = !t.source.offset_removed](Track& track) { track.source.offset_removed = on; });
}

void RowHead::add_low_end(QMenu* menu) {
    const Track& t = *work_.document.track(id_);
    const double low = t.mono_below_hz;
    QMenu* lows = menu->addMenu(tr("Mono bass"));
    lows->menuAction()->setToolTip(tr("Makes the low end of a stereo track mono. 100 to 150 Hz keeps it firm."));
    for (const double hz : {0.0, 80.0, 120.0, 160.0, 250.0})
        add_setting(lows, hz > 0.0 ? tr("Below %1 Hz").arg(hz) : tr("Off"), {}, low == hz,
                    hz > 0.0 ? tr("Mono below %1 Hz").arg(hz) : tr("Mono bass off"),
                    [hz](Track& track) { track.mono_below_hz = hz; });
    add_entry(lows, tr("Below another frequency…"), {}, [this, low] {
        const auto text = work_.prompter->ask_text(tr("Mono bass"), tr("below, Hz: 40 … 500"),
                                                   QString::number(low > 0.0 ? low : 120.0));
        if (!text) return;
        Track trial = *work_.document.track(id_);
        QString number = *text;
        number.remove("Hz", Qt::CaseInsensitive);
        if (const auto set = set_by_name(trial, "mono_below", number.trimmed().replace(',', '.').toStdString()); !set)
            return work_.prompter->complain(QString::fromStdString(set.error().text()));
        work_.document.edit_tracks(tr("Mono below %1 Hz").arg(trial.mono_below_hz), work_.document.moved_with(id_),
                                   [hz = trial.mono_below_hz](Track& track) { track.mono_below_hz = hz; });
    });
    QAction* hear_low =
        add_entry(lows, tr("Hear only the mono bass"), {}, [this] { work_.audition.hear_low_end(id_); });
    hear_low->setObjectName("hearLowEnd");
    hear_low->setEnabled(low > 0.0);
}

void RowHead::add_routing(QMenu* menu) {
    const Track& t = *work_.document.track(id_);
    const MaterialPtr material = work_.materials.of(*work_.document.track(id_));
    if (material && material->channels() == 2)
        add_setting(menu, tr("Dual pan"),
                    tr("A pan for each channel, instead of pan and width. Use it to put a wide sound to one side."),
                    t.dual_pan, t.dual_pan ? tr("Dual pan off") : tr("Dual pan"),
                    [on = !t.dual_pan](Track& track) { track.dual_pan = on; });
    QMenu* outputs = menu->addMenu(tr("Output"));
    outputs->menuAction()->setToolTip(tr("Where the track plays: straight to the main output, or through a bus."));
    const auto output = [&](const QString& text, TrackId to) {
        QAction* action =
            add_entry(outputs, text, {}, [this, to] { work_.edits.lead_to(work_.document.moved_with(id_), to); });
        action->setCheckable(true);
        action->setChecked(t.output == to);
    };
    output(tr("Main output"), main_output);
    for (const Bus& bus : work_.document.session().buses) output(QString::fromStdString(bus.name), bus.id);
    for (const char* name : {"makeBus", "makeGroup", "othersDown"})
        if (QAction* action = window()->findChild<QAction*>(name)) menu->addAction(action);
    add_setting(menu, tr("Solo safe"), tr("Stays on while other tracks are soloed."), t.solo_safe,
                t.solo_safe ? tr("Solo safe off") : tr("Solo safe"),
                [on = !t.solo_safe](Track& track) { track.solo_safe = on; });
}

void RowHead::add_staging(QMenu* menu) {
    const Track& t = *work_.document.track(id_);
    menu->addSeparator();
    add_setting(menu, tr("Invert polarity"),
                tr("Turns the waveform upside down. Try it if two microphones lose low end together."),
                t.polarity_inverted, tr("Invert polarity"),
                [](Track& track) { track.polarity_inverted = !track.polarity_inverted; });
    if (QAction* phase = window()->findChild<QAction*>("checkPhase")) menu->addAction(phase);
    menu->addSeparator();
    const bool counted = counts_spikes(work_.document.session().targets, t);
    add_setting(menu, tr("Count spikes"), tr("Single short peaks count for the level. Otherwise staging ignores them."),
                counted, counted ? tr("Leave out spikes") : tr("Count spikes"),
                [on = !counted](Track& track) { track.count_spikes = on; });
    add_setting(menu, tr("May pass the ceiling"),
                tr("Staging may raise its peak above the ceiling of the target sheet."), t.passes_ceiling,
                tr("May pass the ceiling"), [on = !t.passes_ceiling](Track& track) { track.passes_ceiling = on; });
    for (const char* name : {"ownWindow", "stageWithout"})
        if (QAction* action = window()->findChild<QAction*>(name)) menu->addAction(action);
    menu->addSeparator();
    add_entry(menu, tr("Replace the file…"), tr("Another file, such as a new take, with the settings of this one."),
              [this] { replace_file(); });
    if (QAction* twice = window()->findChild<QAction*>("duplicateRows")) menu->addAction(twice);
    add_entry(menu, tr("Remove from the session"), tr("The audio file stays on the disk."),
              [this] { work_.edits.remove_tracks(work_.document.moved_with(id_)); });
}

void RowHead::contextMenuEvent(QContextMenuEvent* event) {
    if (!work_.document.is_selected(id_)) work_.document.select_only(id_);
    QMenu menu;
    menu.setObjectName("rowMenu");
    add_what_it_is(&menu);
    menu.addSeparator();
    add_channels(&menu);
    add_low_end(&menu);
    add_routing(&menu);
    add_staging(&menu);
    menu.exec(event->globalPos());
}

}  // namespace isotonus
