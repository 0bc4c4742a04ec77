#include "app/ride/ride.h"

#include <QApplication>
#include <QGridLayout>
#include <QMenu>
#include <QTimer>
#include <algorithm>
#include <cmath>
#include <fstream>

#include "app/balance/bus_block.h"
#include "app/desk/make_way.h"
#include "app/desk/menu_entries.h"
#include "app/ride/fader_box_window.h"
#include "app/style/bring_up.h"
#include "core/balance/track_draft.h"
#include "core/ride/hits.h"
#include "core/session/ride_csv.h"

namespace isotonus {

// --- the panel ------------------------------------------------------------------------------------------------------

RidePanel::RidePanel(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    setObjectName("ridePanel");
    setFixedHeight(284);
    list_ = new QListWidget(this);
    list_->setObjectName("rideList");
    list_->setAccessibleName(tr("All rides of the session"));
    list_->hide();
    connect(list_, &QListWidget::itemActivated, this, [this](QListWidgetItem* item) {
        const auto row = item->data(Qt::UserRole).toULongLong();
        const auto known =
            parameter_called(work_.document.session(), row, item->data(Qt::UserRole + 1).toString().toStdString());
        const Parameter parameter = known.value_or(Parameter::level);
        show_list(false);
        if (work_.document.track(row)) work_.document.select_only(row);
        RideView::Shown view = work_.view.ride.shown;
        view.parameter = parameter;
        view.family = false;
        view.row = work_.document.track(row) ? std::nullopt : std::optional<TrackId>(row);
        work_.view.ride.show(std::move(view));
    });
    make_tools();
    connect(&work_.view.ride, &RideView::changed, this, &RidePanel::follow);
    connect(&work_.document, &Document::selection_changed, this, &RidePanel::follow);
    connect(&work_.document, &Document::session_changed, this, &RidePanel::follow);
    connect(&work_.writing, &Writing::changed, this, &RidePanel::refresh);
    connect(&work_.mix, &MixWatch::audibility_changed, this, &RidePanel::draft_when_heard);
    follow();
}

namespace {

/// The tools of the bench in lines of a column, in the order of the work: what is ridden, how it is written, what is
/// drawn, what is proposed.
class ToolColumn {
  public:
    explicit ToolColumn(QWidget* tools) : column_(new QVBoxLayout(tools)) {
        column_->setContentsMargins(0, 0, 0, 0);
        column_->setSpacing(3);
    }
    void new_line() {
        line_ = new QHBoxLayout;
        line_->setSpacing(2);
        column_->addLayout(line_);
        in_line_ = 0;
    }
    void next_in_line(int a_line) {
        if (in_line_ == a_line) new_line();
        ++in_line_;
    }
    void caption(const QString& text) {
        auto* label = new QLabel(text);
        label->setObjectName("rideCaption");
        label->setFixedHeight(14);
        column_->addWidget(label);
        new_line();
    }
    QToolButton* add_switch(const char* name, const QString& text, const QString& tip) {
        auto* b = new QToolButton;
        b->setObjectName(name);
        b->setText(text);
        b->setToolTip(tip);
        b->setAccessibleName(text);
        b->setCheckable(true);
        fit(b);
        b->setStyleSheet("font-size: 11px; padding: 0;");
        line_->addWidget(b, static_cast<int>(text.size()) + 2);  // the room that there is goes by what there is to say
        return b;
    }
    QPushButton* add_button(const char* name, const QString& text, const QString& tip,
                            const std::function<void()>& work = nullptr) {
        next_in_line(3);
        auto* b = new QPushButton(text);
        b->setObjectName(name);
        b->setToolTip(tip);
        fit(b);
        b->setStyleSheet("font-size: 11px; padding: 0 2px;");
        if (work) QObject::connect(b, &QPushButton::clicked, b, work);
        line_->addWidget(b, static_cast<int>(text.size()) + 2);
        return b;
    }
    void add_menu(const char* name, const QString& text, const QString& tip, QMenu* entries) {
        auto* b = add_button(name, text, tip);
        b->setStyleSheet(
            "QPushButton { font-size: 11px; padding: 0 2px; } QPushButton::menu-indicator { image: none; }");
        b->setMenu(entries);
    }
    void end() {
        column_->addStretch();
        new_line();
    }

  private:
    static void fit(QAbstractButton* b) {
        b->setFocusPolicy(Qt::TabFocus);
        b->setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Fixed);
        b->setFixedHeight(22);
    }
    QVBoxLayout* column_;
    QHBoxLayout* line_ = nullptr;
    int in_line_ = 0;
};

}  // namespace

void RidePanel::make_tools() {
    auto* box = new QWidget(this);
    box->setObjectName("rideTools");
    box->setGeometry(6, 26, head_width - 60, height() - 30);
    ToolColumn tools(box);
    tools.caption(tr("Parameter"));
    for (const Parameter p : parameters()) {
        tools.next_in_line(3);
        parameters_[p] =
            tools.add_switch(qPrintable(QString("ride_%1").arg(info_of(p).id)), sentence_case(parameter_word(p)),
                             tr("Shows the lane of this parameter; with Ctrl in addition to the others."));
        connect(parameters_[p], &QToolButton::clicked, this,
                [this, p] { choose(p, QApplication::keyboardModifiers() & Qt::ControlModifier); });
    }
    tools.caption(tr("Write mode"));
    const std::pair<QString, QString> modes[] = {
        {tr("Read"), tr("Read: the ride plays. Moving a control sets it without writing.")},
        {tr("Touch"), tr("Touch: while the song plays, a held control is written. When you let go, the control returns "
                         "to the ride.")},
        {tr("Latch"), tr("Latch: writes from the first touch until the song stops.")},
        {tr("Write"), tr("Write: replaces the ride from where the song starts until it stops.")}};
    const char* mode_names[] = {"modeRead", "modeTouch", "modeLatch", "modeWrite"};
    for (int n = 0; n < 4; ++n) {
        modes_[static_cast<size_t>(n)] =
            tools.add_switch(mode_names[n], modes[n].first, modes[n].second + ' ' + tr("With Ctrl for all tracks."));
        connect(modes_[static_cast<size_t>(n)], &QToolButton::clicked, this, [this, n] {
            const auto mode = static_cast<WriteMode>(n);
            if (QApplication::keyboardModifiers() & Qt::ControlModifier)
                work_.writing.set_mode_for_all(mode);
            else
                work_.writing.set_mode(work_.view.ride.row(), mode);
        });
    }
    tools.caption(tr("Edit"));
    tools.add_button("rideStep", tr("Bend"),
                     tr("Sets the shape of the ride up to the next point: line, step, bends, S-shape. (T)"),
                     [this] { active().toggle_shape(); });
    tools.add_button("rideLock", tr("Lock"),
                     tr("Locks the selected points: a draft leaves them, and the ride between them, as they are. (L)"),
                     [this] { active().toggle_locks(); });
    tools.add_button("rideThin", tr("Simplify"), tr("Deletes points that hardly change the ride."),
                     [this] { active().thin(); });
    tools.add_button("rideDelete", tr("Delete"),
                     tr("Deletes the selected points, or the points of the marked stretch. (Delete)"),
                     [this] { active().remove_selected(); });
    tools.add_button("rideClear", tr("Clear"), tr("Deletes the whole ride. Undo restores it."), [this] {
        if (!active().curve().empty()) active().store({}, tr("Clear the ride"));
    });
    tools.add_menu("rideMore", tr("More"), tr("Copy, paste, fill, trim, tables, and faders over MIDI."), make_more());
    tools.caption(tr("Suggestions"));
    tools.add_button("rideDraft", tr("Draft…"),
                     tr("Drafts a ride that brings every phrase to one level. Edit its points like any others."),
                     [this] { draft(DraftBy::level); });
    tools.add_menu("rideShapes", tr("More drafts"),
                   tr("Drafts against the mix, fade-out, lift, dips at another track's hits, tremolo, throw."),
                   make_shapes());
    tools.end();
    family_ = tools.add_switch("rideFamily", tr("Family"), tr("Shows this parameter for all tracks of the family."));
    connect(family_, &QToolButton::clicked, this, [this](bool on) {
        RideView::Shown view = work_.view.ride.shown;
        view.family = on;
        work_.view.ride.show(std::move(view));
    });
    bypass_ = tools.add_switch("rideBypass", tr("Bypass"),
                               tr("Plays this track without its rides, to compare; with Ctrl all tracks."));
    connect(bypass_, &QToolButton::clicked, this,
            [this] { bypass(QApplication::keyboardModifiers() & Qt::ControlModifier); });
    all_ = tools.add_switch("rideAll", tr("All rides"), tr("Lists every ride of the session."));
    connect(all_, &QToolButton::clicked, this, [this](bool on) { show_list(on); });
}

QMenu* RidePanel::make_shapes() {
    auto* menu = new QMenu(this);
    menu->setObjectName("rideShapesMenu");
    const auto item = [&](const char* name, const QString& text, const QString& help, auto work_done) {
        QAction* action = menu_entry(*menu, text, help);
        action->setObjectName(name);
        connect(action, &QAction::triggered, this, work_done);
    };
    item("draftRest", tr("Draft against the rest of the mix…"),
         tr("Proposes a ride that keeps the track at one distance from the rest of the mix."),
         [this] { draft(DraftBy::rest); });
    item("draftHeard", tr("Draft by audibility…"), tr("Proposes a ride that raises the track where others cover it."),
         [this] { draft(DraftBy::heard); });
    menu->addSeparator();
    item("shapeFade", tr("Fade-out…"), tr("Takes the value down over the marked stretch, or at the end of the song."),
         [this] {
             RideEditor& e = active();
             const double song = work_.view.time.song_s();
             const Span span = e.range().value_or(Span{std::max(0.0, song - 8.0), song});
             const auto n = work_.prompter->ask_numbers(
                 tr("Fade-out"), {{tr("from, s"), span.from_s, 0.0, song, 2},
                                  {tr("to, s"), span.to_s, 0.0, song, 2},
                                  {tr("bend: −1 fast first … +1 slow first"), 0.0, -1.0, 1.0, 2}});
             if (!n || (*n)[1] <= (*n)[0]) return;
             e.store(fade_out(e.curve(), {(*n)[0], (*n)[1]}, (*n)[2] == 0.0 ? Segment::line : Segment::bend, (*n)[2],
                              e.info()),
                     tr("Fade-out from %1").arg(time_text((*n)[0], 2)));
         });
    item("shapeLift", tr("Lift the section or the marked stretch…"),
         tr("Raises a section as a whole. 0.5 to 1 dB is often enough for a chorus."), [this] {
             RideEditor& e = active();
             const auto n = work_.prompter->ask_numbers(
                 tr("Lift"),
                 {{tr("gain"), 2.0, -24.0, 24.0, 1}, {tr("length of the edges, s"), e.edge_s, 0.0, 10.0, 2}});
             if (!n) return;
             e.edge_s = (*n)[1];
             ParameterInfo own = e.info();
             own.rest = e.rest();
             e.store(raised(e.curve(), e.range_meant(), (*n)[0], (*n)[1], own),
                     tr("Lift by %1").arg(ride_value_text(e.parameter(), (*n)[0])));
         });
    item("shapeDips", tr("Dips at the hits of another track…"),
         tr("Lowers this track briefly at each hit of another one, such as the bass at the kick."), [this] {
             const RideEditor& e = active();
             ask_make_way(work_, e.row(), Way::drawn, e.parameter(), e.range());
         });
    item("shapeTremolo", tr("Tremolo on the grid…"), tr("The value rises and falls with the beats."),
         [this] { tremolo_on_grid(); });
    item("shapeThrow", tr("Throw: raise only the marked words…"),
         tr("Raises single words, such as the send to an echo at the end of a line."), [this] {
             RideEditor& e = active();
             if (e.ranges().empty()) {
                 emit work_.view.hint(
                     tr("Mark the words first: drag in the strip above the curve, with Ctrl the next ones too."));
                 return;
             }
             const auto n = work_.prompter->ask_numbers(
                 tr("Throw"),
                 {{tr("gain of the words"), 6.0, 0.0, 24.0, 1}, {tr("length of the edges, ms"), 30.0, 0.0, 2000.0, 0}});
             if (n) e.store(thrown(e.curve(), e.ranges(), (*n)[0], (*n)[1] / 1000.0, e.info()), tr("Throw"));
         });
    return menu;
}

QMenu* RidePanel::make_more() {
    auto* menu = new QMenu(this);
    menu->setObjectName("rideMoreMenu");
    const auto item = [&](const char* name, const QString& text, const QString& help, auto work_done) {
        QAction* action = menu_entry(*menu, text, help);
        action->setObjectName(name);
        connect(action, &QAction::triggered, this, work_done);
        return action;
    };
    item("rideCopy", tr("Copy the marked stretch (Ctrl+C)"),
         tr("Takes the points of the stretch along, to another time or another track."), [this] { active().copy(); });
    item("ridePaste", tr("Paste at the playhead (Ctrl+V)"),
         tr("Puts the copied points here, in place of the points that are there."),
         [this] { active().paste_at(work_.player.position_s()); });
    QMenu* sections = menu->addMenu(tr("Paste at a section"));
    sections->setObjectName("pasteSections");
    sections->menuAction()->setToolTip(tr("Puts the copied points at the start of a section."));
    connect(sections, &QMenu::aboutToShow, this, [this, sections] {
        sections->clear();
        for (const Section& s : work_.document.session().sections)
            connect(sections->addAction(QString::fromStdString(s.name)), &QAction::triggered, this,
                    [this, at = s.start_s] { active().paste_at(at); });
    });
    item("rideFillEnd", tr("Fill to the end with the value at the playhead"),
         tr("Removes all later points. The value stays as it is at the playhead."),
         [this] { active().fill_to(work_.view.time.song_s()); });
    item("rideFillLoop", tr("Fill to the loop's end with the value at the playhead"),
         tr("Removes the points up to the end of the loop. The value stays as it is at the playhead."), [this] {
             if (work_.player.loop().to_s > work_.player.position_s())
                 active().fill_to(work_.player.loop().to_s);
             else
                 emit work_.view.hint(tr("No loop ends after the playhead. Set a loop first."));
         });
    item("rideAllValues", tr("Show all values"),
         tr("Shows the whole range of the parameter, not only the part in use."),
         [this] { active().show_all_values(); });
    item("rideTrim", tr("Trim the whole ride…"), tr("Moves all points of the ride up or down by one figure."), [this] {
        RideEditor& e = active();
        if (e.curve().empty()) return;
        const double most = e.info().high - e.info().low;
        const auto n = work_.prompter->ask_numbers(tr("Trim of the ride"), {{tr("gain"), 0.0, -most, most, 2}});
        if (n)
            e.store(raised(e.curve(), (*n)[0], e.info()),
                    tr("Trim by %1").arg(ride_value_text(e.parameter(), (*n)[0])));
    });
    item("ridePoint", tr("Type the point (Enter)"), tr("Time and value of the selected point, as figures."),
         [this] { active().type_point(); });
    item("rideReturn", tr("Return time of touch…"), tr("How long a control in touch mode needs to return to its ride."),
         [this] {
             if (const auto n = work_.prompter->ask_numbers(
                     tr("Touch"), {{tr("return time, s"), work_.writing.return_s, 0.0, 10.0, 2}}))
                 work_.writing.return_s = (*n)[0];
         });
    menu->addSeparator();
    item("rideOut", tr("Save the points as a table (CSV)…"),
         tr("Times and values, for a spreadsheet or another session."), [this] { csv_out(); });
    item("rideIn", tr("Points from a table (CSV)…"),
         tr("Times and values from a file, in place of the ride that is shown."), [this] { csv_in(); });
    menu->addSeparator();
    item("faderBox", tr("Simulated fader box"),
         tr("A window that sends MIDI like a device with faders, to try touch and latch."),
         [this] { bring_up<FaderBoxWindow>(window(), work_); });
    item("faderLearn", tr("Learn: the next fader controls this parameter"),
         tr("Move a fader of the device afterwards. It controls this parameter from then on."), [this] {
             work_.faders.learn({work_.view.ride.row(), work_.view.ride.shown.parameter});
         });
    QMenu* devices = menu->addMenu(tr("Faders over MIDI"));
    devices->menuAction()->setToolTip(tr("The device whose faders move those of the tracks."));
    connect(devices, &QMenu::aboutToShow, this, [this, devices] {
        devices->clear();
        for (const QString& name : FaderLink::devices()) {
            QAction* a = devices->addAction(name);
            a->setCheckable(true);
            a->setChecked(name == work_.faders.device());
            connect(a, &QAction::triggered, this, [this, name] { work_.faders.open(name); });
        }
        if (devices->isEmpty()) devices->addAction(tr("No MIDI device connected"))->setEnabled(false);
    });
    return menu;
}

RideEditor& RidePanel::active() const {
    for (RideEditor* lane : lanes_)
        if (lane->hasFocus()) return *lane;
    for (RideEditor* lane : lanes_)
        if (lane->row() == work_.view.ride.row() && lane->parameter() == work_.view.ride.shown.parameter) return *lane;
    return *lanes_.front();
}

QString RidePanel::row_name() const {
    return QString::fromStdString(work_.document.session().name_of(work_.view.ride.row()));
}

void RidePanel::choose(Parameter parameter, bool add) {
    RideView::Shown view = work_.view.ride.shown;
    if (!can_be_ridden(work_.document.session().row_kind(work_.view.ride.row()), parameter)) {
        emit work_.view.hint(tr("A group has only two parameters with rides: level and mute."));
        refresh();
        return;
    }
    if (!add) {
        view.open = {parameter};
    } else if (const auto at = std::find(view.open.begin(), view.open.end(), parameter);
               at != view.open.end() && view.open.size() > 1) {
        view.open.erase(at);
        parameter = view.open.front();
    } else if (at == view.open.end()) {
        view.open.push_back(parameter);
    }
    view.parameter = parameter;
    work_.view.ride.show(std::move(view));
}

void RidePanel::follow() {
    const Session& session = work_.document.session();
    std::vector<std::pair<TrackId, Parameter>> wanted;
    const TrackId row = work_.view.ride.row();
    const Track* t = session.find(row);
    if (work_.view.ride.shown.family && t) {
        const Family family = work_.materials.family(*t);
        for (const auto& other : session.tracks)
            if (work_.materials.family(*other) == family && wanted.size() < 8)
                wanted.emplace_back(other->id, work_.view.ride.shown.parameter);
    } else {
        for (const Parameter p : work_.view.ride.shown.open)
            if (is_in_use(session, row, p)) wanted.emplace_back(row, p);
    }
    if (wanted.empty()) wanted.emplace_back(row, Parameter::level);
    while (lanes_.size() > wanted.size()) {
        lanes_.back()->deleteLater();
        lanes_.back()->hide();
        lanes_.pop_back();
    }
    while (lanes_.size() < wanted.size()) {
        lanes_.push_back(new RideEditor(work_, this));
        lanes_.back()->setObjectName(lanes_.size() == 1 ? QString("rideEditor")
                                                        : QString("rideEditor%1").arg(lanes_.size()));
        lanes_.back()->setVisible(!all_->isChecked());
    }
    for (size_t n = 0; n < wanted.size(); ++n) lanes_[n]->show_ride(wanted[n].first, wanted[n].second);
    place_lanes();
    if (all_->isChecked()) fill_list();
    refresh();
}

void RidePanel::place_lanes() {
    const int left = head_width - 54, room = height() - 12;
    const int each = room / std::max(1, static_cast<int>(lanes_.size()));
    for (size_t n = 0; n < lanes_.size(); ++n)
        lanes_[n]->setGeometry(left, 6 + static_cast<int>(n) * each, width() - left, each - 2);
    list_->setGeometry(head_width, 6, width() - head_width - scroll_width, height() - 12);
}

void RidePanel::refresh() {
    const Session& session = work_.document.session();
    const TrackId row = work_.view.ride.row();
    const Rides* rides = session.rides_of(row);
    const Track* t = session.find(row);
    const bool apart = t && t->dual_pan;
    for (const Parameter p : parameters()) {
        QToolButton* b = parameters_[p];
        const auto& open = work_.view.ride.shown.open;
        b->setChecked(std::find(open.begin(), open.end(), p) != open.end());
        // Sides that are placed apart have a pan each in place of pan and width.
        b->setVisible(is_in_use(session, row, p) || (p != Parameter::left_pan && p != Parameter::right_pan && !apart));
        b->setEnabled(can_be_ridden(session.row_kind(row), p));
        b->setFont(lettering(11, rides && (*rides)[p]));
    }
    for (size_t n = 0; n < modes_.size(); ++n) modes_[n]->setChecked(static_cast<size_t>(work_.writing.mode(row)) == n);
    bypass_->setChecked(session.rides_bypassed || (rides && rides->bypassed));
    family_->setChecked(work_.view.ride.shown.family);
    update();
}

void RidePanel::show_list(bool on) {
    all_->setChecked(on);
    for (RideEditor* lane : lanes_) lane->setVisible(!on);
    if (on) fill_list();
    list_->setVisible(on);
    if (on) list_->setFocus();
}

void RidePanel::fill_list() {
    list_->clear();
    const Session& session = work_.document.session();
    for (const TrackId row : work_.faders.rows())
        for (const Parameter p : parameters_of(session, row)) {
            const Rides* rides = session.rides_of(row);
            const CurvePtr curve = rides ? (*rides)[p] : nullptr;
            if (!curve) continue;
            const auto [low, high] =
                std::minmax_element(curve->points.begin(), curve->points.end(),
                                    [](const auto& a, const auto& b) { return a.value < b.value; });
            auto* item = new QListWidgetItem(
                (rides->bypassed || rides->is_out(p) || session.rides_bypassed ? tr("%1 · %2 · %3, %4 to %5 · bypassed")
                                                                               : tr("%1 · %2 · %3, %4 to %5"))
                    .arg(QString::fromStdString(session.name_of(row)), parameter_word(p),
                         tr("%n point(s)", nullptr, static_cast<int>(curve->points.size())),
                         ride_value_text(p, low->value), ride_value_text(p, high->value)),
                list_);
            item->setData(Qt::UserRole, QVariant::fromValue<qulonglong>(row));
            item->setData(Qt::UserRole + 1, QString::fromStdString(parameter_text(session, row, p)));
        }
    if (list_->count() == 0) new QListWidgetItem(tr("No rides yet."), list_);
}

namespace {

/// Light, even or tight: how much of the difference is made good, from where on, in how short parts; any other leaves
/// what is set.  Common practice, no source.
void set_closeness(DraftWish& wish, int closeness) {
    struct Closeness {
        double range_db, depth, follow_s;
    };
    constexpr Closeness known[] = {{1.5, 0.5, 6.0}, {0.5, 1.0, 4.0}, {0.2, 1.0, 1.5}};
    if (closeness < 0 || closeness >= static_cast<int>(std::size(known))) return;
    wish.range_db = known[closeness].range_db;
    wish.depth = known[closeness].depth;
    wish.follow_s = known[closeness].follow_s;
}

}  // namespace

void RidePanel::draft(DraftBy by) {
    const Session& session = work_.document.session();
    const Track* t = work_.document.track(work_.view.ride.row());
    if (!t || !work_.materials.of(*t)) {
        emit work_.view.hint(tr("A draft needs a track. Select one."));
        return;
    }
    // All rides that are there count, but for the one that is made anew.
    const PlanPtr plan =
        compile_plan(with_ride(session, t->id, Parameter::level, {}), work_.materials.known(), Solo::left_out);
    std::optional<Margins> margins;
    if (by == DraftBy::heard && !(margins = work_.mix.margins(*plan, t->id))) {
        emit work_.view.hint(tr("Measuring the tracks first; then the draft appears."));
        draft_when_heard_ = t->id;
        work_.mix.want_audibility(true);
        return;
    }
    DraftWish wish;
    const TrackDraft basis(*plan, t->id, by, margins.value_or(Margins{}));
    const Level middle = basis.middle();
    if (!middle) {
        emit work_.view.hint(tr("This track has no phrases for a ride."));
        return;
    }
    const Prompter::Number first =
        by == DraftBy::level
            ? Prompter::Number{tr("level of each phrase after the trim, dBFS AES17"), *middle, -90.0, 0.0, 1}
        : by == DraftBy::rest
            ? Prompter::Number{tr("each phrase against the rest, dB (K-weighted)"), *middle, -90.0, 40.0, 1}
            : Prompter::Number{tr("audible share of its bands in each phrase, %"), 100.0 * *middle, 1.0, 100.0, 0};
    QString title = tr("Ride draft by audibility");
    if (by == DraftBy::level)
        title = tr("Ride draft");
    else if (by == DraftBy::rest)
        title = tr("Ride draft against the rest");
    if (active().parameter() != Parameter::level) choose(Parameter::level, false);
    const auto drafted = [&](const std::vector<double>& n) {
        wish.range_db = n[2];
        wish.depth = n[3] / 100.0;
        wish.follow_s = n[8];
        set_closeness(wish, static_cast<int>(n[1]));
        wish.max_up_db = n[4];
        wish.max_down_db = n[5];
        wish.silence_db = 10.0 - n[6];
        wish.shortest_s = n[7];
        return basis.draft(by == DraftBy::heard ? n[0] / 100.0 : n[0], wish, active().curve());
    };
    const auto n = work_.prompter->ask_numbers(
        title,
        {first,
         {tr("strength"),
          1.0,
          0.0,
          3.0,
          0,
          {tr("Light: half of the difference"), tr("Even"), tr("Tight: the whole difference, in short parts"),
           tr("By the figures below")}},
         {tr("tolerance, ± dB"), wish.range_db, 0.0, 12.0, 1},
         {tr("depth, %"), 100.0, 0.0, 100.0, 0},
         {tr("raise by at most, dB"), wish.max_up_db, 0.0, 12.0, 1},
         {tr("lower by at most, dB"), wish.max_down_db, 0.0, 40.0, 1},
         {tr("silence: below the loudest phrase by, dB"), 10.0 - wish.silence_db, 10.0, 70.0, 0},
         {tr("ignore sounds (breaths) shorter than, s"), wish.shortest_s, 0.1, 3.0, 2},
         {tr("split longer phrases into parts of, s"), wish.follow_s, 0.5, 30.0, 1}},
        [&](const std::vector<double>& now) { active().show_ghost(drafted(now)); });
    active().show_ghost({});
    if (!n) return;
    const Curve curve = drafted(*n);
    active().store(curve, tr("draft of %n point(s)", nullptr, static_cast<int>(curve.points.size())));
}

void RidePanel::draft_when_heard() {
    // Only what was asked for, and where the user still is.
    if (!draft_when_heard_ || work_.mix.share_listened() < 1.0) return;
    const TrackId wanted = std::exchange(draft_when_heard_, 0);
    QTimer::singleShot(0, this, [this, wanted] {
        if (isVisible() && work_.view.ride.row() == wanted) draft(DraftBy::heard);
    });
}

void RidePanel::tremolo_on_grid() {
    RideEditor& e = active();
    const auto& tempo = work_.document.session().tempo;
    const auto n = work_.prompter->ask_numbers(
        tr("Tremolo"),
        {{tempo.empty() ? tr("period, s") : tr("period, beats"), tempo.empty() ? 0.5 : 1.0, 0.05, 64.0, 2},
         {tr("depth"), e.parameter() == Parameter::level ? 6.0 : 0.5, 0.01, 40.0, 2}});
    if (!n) return;
    const Span span = e.range_meant();
    const double beat_s = tempo.empty() ? 1.0 : mark_at(tempo, span.from_s).beat_s();
    ParameterInfo own = e.info();
    own.rest = e.rest();
    e.store(tremolo(e.curve(), span, (*n)[0] * beat_s, (*n)[1], own), tr("Tremolo"));
}

void RidePanel::bypass(bool all) {
    const Session& s = work_.document.session();
    Session next = s;
    const Rides* rides = s.rides_of(work_.view.ride.row());
    if (all || s.rides_bypassed) {
        next.rides_bypassed = !s.rides_bypassed;
        work_.document.edit(next.rides_bypassed ? tr("Bypass all rides") : tr("All rides on"), std::move(next));
    } else if (rides) {
        const bool on = !rides->bypassed;
        next = with_rides(s, work_.view.ride.row(), [on](Rides& r) { r.bypassed = on; });
        work_.document.edit((on ? tr("Bypass the rides of %1") : tr("Rides of %1 on")).arg(row_name()),
                            std::move(next));
    }
    refresh();
}

void RidePanel::csv_out() {
    if (active().curve().empty()) return;
    const fs::path suggested = (row_name() + ' ' + parameter_word(active().parameter()) + " ride.csv").toStdString();
    const auto file = work_.prompter->save_file(tr("The ride as a table"), tr("CSV (*.csv)"), suggested);
    if (!file) return;
    if (const auto done = write_whole(*file, ride_to_csv(active().curve()), work_.document.kept_files()); !done)
        work_.prompter->complain(QString::fromStdString(done.error().text()));
}

void RidePanel::csv_in() {
    if (!work_.document.session().rides_of(work_.view.ride.row())) return;
    const auto file = work_.prompter->open_file(tr("A ride from a table"), tr("CSV (*.csv)"));
    if (!file) return;
    const auto read = read_ride_csv(*file, active().info());
    if (!read) {
        work_.prompter->complain(QString::fromStdString(read.error().text()));
        return;
    }
    active().store(*read, tr("From %1").arg(to_qt(file->filename())));
}

void RidePanel::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), theme().panel);
    painter.setPen(theme().faint);
    painter.drawLine(0, 0, width(), 0);
    painter.setFont(lettering(13, true));
    painter.setPen(theme().text);
    const QString name = row_name();
    painter.drawText(QRect(12, 4, head_width - 70, 22), Qt::AlignVCenter,
                     QFontMetrics(painter.font())
                         .elidedText(name.isEmpty() ? tr("Select a track") : tr("Rides of %1").arg(name),
                                     Qt::ElideRight, head_width - 70));
}

// --- the station ----------------------------------------------------------------------------------------------------

QString RideStation::title() const { return QCoreApplication::translate("Station", "Ride"); }

QString RideStation::state(const Workspace& work) const {
    int ridden = 0;
    for (const TrackId row : work.faders.rows()) ridden += work.document.session().rides_of(row)->any() ? 1 : 0;
    return ridden > 0 ? QCoreApplication::translate("Station", "%1 with rides").arg(ridden) : QString();
}

QWidget* RideStation::make_pinned(Workspace& work, QWidget* parent) const {
    return new BusBlock(work, parent, true,
                        [&work](TrackId id, QWidget* row) -> Lane* { return new RideLane(work, id, row); });
}

}  // namespace isotonus
