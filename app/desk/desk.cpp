#include "app/desk/desk.h"

#include <QApplication>
#include <QHelpEvent>
#include <QKeyEvent>
#include <QLabel>
#include <QPainter>
#include <QPointer>
#include <QPushButton>
#include <QScrollBar>
#include <QToolTip>
#include <QVBoxLayout>
#include <set>

#include "app/desk/family_row.h"
#include "app/desk/panel_handle.h"

namespace isotonus {

Desk::Desk(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    setAttribute(Qt::WA_OpaquePaintEvent);
    outer_ = new QVBoxLayout(this);
    outer_->setContentsMargins(0, 0, 0, 0);
    outer_->setSpacing(0);
    ruler_ = new QWidget;
    ruler_->setFixedHeight(32);
    ruler_->setObjectName("ruler");
    ruler_->installEventFilter(this);
    outer_->addWidget(ruler_);
    scroll_ = new QScrollArea;
    scroll_->setWidgetResizable(true);
    scroll_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scroll_->setVerticalScrollBarPolicy(Qt::ScrollBarAlwaysOn);
    scroll_->setFocusPolicy(Qt::NoFocus);
    scroll_->setFrameShape(QFrame::NoFrame);
    content_ = new QWidget;
    rows_layout_ = new QVBoxLayout(content_);
    rows_layout_->setContentsMargins(0, 0, 0, 0);
    rows_layout_->setSpacing(0);
    rows_layout_->addStretch();
    scroll_->setWidget(content_);
    outer_->addWidget(scroll_, 1);
    drop_line_ = new QWidget(content_);
    drop_line_->setObjectName("dropLine");
    drop_line_->hide();
    handle_ = new PanelHandle;
    handle_->hide();
    connect(handle_, &PanelHandle::dragged, this, [this](int up) { set_panel_height(panel_area_->height() + up); });
    connect(handle_, &PanelHandle::reset, this, [this] { set_panel_height(0); });
    empty_ = make_empty_state();
    outer_->addWidget(empty_, 1);
    connect(&work_.document, &Document::session_changed, this, &Desk::follow_session);
    connect(&work_.document, &Document::selection_changed, this, [this] {
        refresh();
        if (Lane* lane = lane_of(work_.document.focused())) {
            if (qobject_cast<Lane*>(QApplication::focusWidget())) lane->setFocus();
            scroll_->ensureWidgetVisible(lane, 0, 0);
        }
    });
    connect(&work_.materials, &Materials::changed, this, [this] {
        drawn_.reset();
        follow_session();
    });
    connect(&work_.view, &ViewState::folds_changed, this, &Desk::rebuild);
    connect(&work_.view, &ViewState::clip_chosen, this, &Desk::refresh);
    for (const auto signal : {&BalanceView::ghosts_changed, &BalanceView::field_changed})
        connect(&work_.view.balance, signal, this, &Desk::refresh);
    connect(&work_.mix, &MixWatch::audibility_changed, this, &Desk::refresh);
    connect(&work_.player, &Player::hearing_changed, this, &Desk::refresh);
    const auto panel_wanted = [this] {
        if (station_) show_panel(station_->panel_shown(work_) && !rows_.empty());
    };
    connect(&work_.view.balance, &BalanceView::page_changed, this, panel_wanted);
    connect(&work_.view, &ViewState::panel_shown, this, panel_wanted);
    scroll_->installEventFilter(this);
    connect(&work_.player, &Player::levels_changed, this, [this] {
        for (const Row& row : rows_) row.lane->levels_changed();
    });
    connect(&work_.player, &Player::moved, this, [this] {
        for (const Row& row : rows_) row.head->playhead_moved(), row.lane->playhead_moved();
    });
    connect(&work_.player, &Player::loop_changed, this, [this] {
        for (const Row& row : rows_) row.head->update();
    });
    connect(&work_.view.time, &TimeView::changed, this, [this] {
        for (const Row& row : rows_) row.lane->update();
        ruler_->update();
    });
}

/// The first minute: what to do, and what the few letters on a row mean.
QLayout* Desk::make_first_steps() {
    auto* steps = new QHBoxLayout;
    steps->setSpacing(24);
    steps->addStretch();
    const std::pair<QString, QString> words[] = {
        {tr("1  Gather"),
         tr("Isotonus reads and measures the files, and flags faults. The files themselves stay as they are.")},
        {tr("2  Stage"), tr("Stage all (Ctrl+G) trims every track to its target level. Faders work best from there.")},
        {tr("3  Balance"), tr("Press All down, then raise the tracks, the most important first. On the right, the peak "
                              "of the whole song is shown against its window.")},
        {tr("On each track"),
         tr("M mutes the track. S solos it: only soloed tracks are heard. Hear, on a bus, plays the bus alone.")},
        {tr("At the top right"), tr("Undo, redo and the menu: files, settings, the guide. F1 lists the keys. The line "
                                    "at the bottom explains what the pointer is on.")}};
    for (const auto& [title, text] : words) {
        auto* column = new QVBoxLayout;
        column->setSpacing(4);
        auto* head = new QLabel(title);
        head->setStyleSheet("font-weight: bold;");
        auto* what = new QLabel(text);
        what->setWordWrap(true);
        what->setFixedWidth(184);
        what->setAlignment(Qt::AlignTop | Qt::AlignLeft);
        column->addWidget(head);
        column->addWidget(what);
        column->addStretch();
        steps->addLayout(column);
    }
    steps->addStretch();
    return steps;
}

QWidget* Desk::make_empty_state() {
    auto* page = new QWidget;
    auto* layout = new QVBoxLayout(page);
    auto* title = new QLabel(tr("Drop a folder of audio files anywhere in this window"));
    title->setStyleSheet("font-size: 22px;");
    auto* text = new QLabel(
        tr("One file for each sound, exported from the program where the music was made. Each file becomes a track."));
    auto* demo = new QPushButton(tr("Open the demo: the paper-boat festival"));
    demo->setObjectName("openDemo");
    auto* folder = new QPushButton(tr("Choose a folder…"));
    folder->setObjectName("chooseFolder");
    auto* buttons = new QHBoxLayout;
    buttons->addStretch();
    buttons->addWidget(folder);
    buttons->addWidget(demo);
    buttons->addStretch();
    layout->addStretch();
    layout->addWidget(title, 0, Qt::AlignCenter);
    layout->addSpacing(8);
    layout->addWidget(text, 0, Qt::AlignCenter);
    layout->addSpacing(16);
    layout->addLayout(buttons);
    layout->addSpacing(36);
    layout->addLayout(make_first_steps());
    layout->addStretch();
    connect(demo, &QPushButton::clicked, this, &Desk::demo_wanted);
    connect(folder, &QPushButton::clicked, this, &Desk::folder_wanted);
    return page;
}

/// The panel goes while the rows are still there: what it lets go of may make them look again.
Desk::~Desk() { delete panel_; }

void Desk::show_station(const Station* station) {
    station_ = station;
    for (QWidget** old : {&tools_, &panel_, &pinned_, &view_}) delete std::exchange(*old, nullptr);
    delete std::exchange(panel_area_, nullptr);
    tools_ = station->make_tools(work_, ruler_);
    if (tools_) {
        tools_->setGeometry(8, 2, head_width - 16, 28);
        tools_->show();
    }
    pinned_ = station->make_pinned(work_, this);
    if (pinned_) outer_->addWidget(pinned_);
    panel_ = station->make_panel(work_, this);
    if (panel_) {
        outer_->addWidget(handle_);
        panel_wants_ = panel_height_ = panel_->minimumHeight();
        panel_area_ = new QScrollArea;
        panel_area_->setWidgetResizable(true);
        panel_area_->setFocusPolicy(Qt::NoFocus);
        panel_area_->setFrameShape(QFrame::NoFrame);
        panel_area_->setWidget(panel_);
        outer_->addWidget(panel_area_);
        const auto by_hand = work_.view.panel_heights.find(panel_->objectName());
        if (by_hand != work_.view.panel_heights.end()) set_panel_height(by_hand->second);
    }
    view_ = station->make_view(work_, scroll_);
    place_view();
    rebuild();
}

void Desk::place_view() {
    if (!view_) return;
    view_->setGeometry(head_width, 0, scroll_->width() - head_width - scroll_width, scroll_->height());
    view_->raise();
}

void Desk::share_height() {
    handle_->setVisible(panel_area_ && panel_area_->isVisibleTo(this));
    fit_panel();
    const auto height_of = [this](const QWidget* w) { return w && w->isVisibleTo(this) ? w->height() : 0; };
    const int there = height() - height_of(ruler_) - height_of(handle_) - height_of(panel_area_);
    if (!pinned_) return;
    const int wanted = pinned_->sizeHint().height();
    const int given = std::min(wanted, std::max(there / 2, there - content_->sizeHint().height()));
    if (pinned_->height() != given || pinned_->minimumHeight() != given) pinned_->setFixedHeight(std::max(0, given));
}

void Desk::set_panel_height(int pixels) {
    if (!panel_) return;
    constexpr int least = 120, rows_left = 3;
    const int inside = panel_->layout() ? panel_->layout()->minimumSize().height() : 0;
    const int most = std::max(panel_wants_, height() - ruler_->height() - rows_left * row_height());
    panel_height_ = pixels == 0 ? panel_wants_ : std::clamp(pixels, std::max({least, inside, 1}), most);
    panel_->setFixedHeight(panel_height_);
    fit_panel();
    if (panel_height_ == panel_wants_)
        work_.view.panel_heights.erase(panel_->objectName());
    else
        work_.view.panel_heights[panel_->objectName()] = panel_height_;
    emit work_.view.panel_sized();
}

void Desk::fit_panel() {
    if (!panel_area_) return;
    constexpr int least = 96, rows_left = 3;
    const int room = height() - ruler_->height() - handle_->height() - rows_left * row_height();
    const int bar = panel_->minimumSizeHint().width() > width() ? scroll_width : 0;
    const int given = std::clamp(room, std::min(least, panel_height_), panel_height_ + bar);
    if (panel_area_->height() != given || panel_area_->minimumHeight() != given) panel_area_->setFixedHeight(given);
}

void Desk::show_panel(bool shown) {
    if (!panel_area_) return;
    panel_area_->setVisible(shown);
    panel_->setVisible(shown);
}

bool Desk::event(QEvent* event) {
    const bool done = QWidget::event(event);
    if (event->type() == QEvent::LayoutRequest || event->type() == QEvent::Resize) share_height();
    return done;
}

Lane* Desk::lane_of(TrackId id) const {
    for (const Row& row : rows_)
        if (row.head->id() == id) return row.lane;
    return nullptr;
}

RowHead* Desk::head_of(TrackId id) const {
    for (const Row& row : rows_)
        if (row.head->id() == id) return row.head;
    return nullptr;
}

std::vector<TrackId> Desk::shown() const {
    std::vector<TrackId> ids;
    for (const auto& t : work_.document.session().tracks)
        if (!work_.view.folded(work_.materials.family(*t))) ids.push_back(t->id);
    return ids;
}

TrackId Desk::row_below(int global_y) const {
    for (const Row& row : rows_) {
        if (work_.document.is_selected(row.head->id())) continue;  // these are on their way
        const int top = row.head->mapToGlobal(QPoint(0, 0)).y();
        if (global_y < top + row.head->height() / 2) return row.head->id();
    }
    return 0;
}

void Desk::show_drop(int global_y) {
    const TrackId before = row_below(global_y);
    const RowHead* below = head_of(before);
    const QWidget* last = rows_.empty() ? nullptr : rows_.back().head;
    int y = 0;
    if (below)
        y = below->mapTo(content_, QPoint(0, 0)).y();
    else if (last)
        y = last->mapTo(content_, QPoint(0, last->height())).y();
    drop_line_->setStyleSheet("background: " + theme().accent.name());
    drop_line_->setGeometry(0, y - 1, content_->width(), 3);
    drop_line_->raise();
    drop_line_->show();
}

void Desk::drop_rows(int global_y) {
    drop_line_->hide();
    Session next = with_tracks_before(work_.document.session(), work_.document.selected(), row_below(global_y));
    if (next.tracks != work_.document.session().tracks) work_.document.edit(tr("Move tracks"), std::move(next));
}

void Desk::take_keys() {
    if (Lane* lane = lane_of(work_.document.focused()))
        lane->setFocus(Qt::OtherFocusReason);
    else if (QWidget* focused = QApplication::focusWidget())
        focused->clearFocus();
}

void Desk::move_focus(int by, bool extend) {
    const auto ids = shown();
    if (ids.empty()) return;
    const auto focused = std::find(ids.begin(), ids.end(), work_.document.focused()) - ids.begin();
    const TrackId id =
        ids[static_cast<size_t>(std::clamp<int64_t>(focused + by, 0, static_cast<int64_t>(ids.size()) - 1))];
    if (!extend) {
        work_.document.select_only(id);
    } else {
        auto selected = work_.document.selected();
        if (!work_.document.is_selected(id)) selected.push_back(id);
        work_.document.select(std::move(selected), id);
    }
    if (Lane* lane = lane_of(id)) lane->setFocus();
}

void Desk::follow_session() {
    const auto ids = shown();
    std::vector<Family> folds;
    for (const auto& t : work_.document.session().tracks)
        if (const Family f = work_.materials.family(*t);
            work_.view.folded(f) && std::find(folds.begin(), folds.end(), f) == folds.end())
            folds.push_back(f);
    const bool same = folds == folds_ && std::equal(rows_.begin(), rows_.end(), ids.begin(), ids.end(),
                                                    [](const Row& r, TrackId id) { return r.head->id() == id; });
    if (same)
        refresh_changed();
    else
        rebuild();
}

void Desk::rebuild() {
    const bool had_focus = qobject_cast<Lane*>(QApplication::focusWidget()) != nullptr;
    work_.view.rows_changing = true;
    // A focused lane that is hidden would hand the focus, and with it the selection, to the next.
    if (QWidget* focused = QApplication::focusWidget(); focused && content_->isAncestorOf(focused))
        focused->clearFocus();
    const int scrolled = scroll_->verticalScrollBar()->value();
    while (rows_layout_->count() > 1) {
        QLayoutItem* item = rows_layout_->takeAt(0);
        // Later: a row may be asking for this itself, from its menu or by a click.
        item->widget()->hide();
        item->widget()->deleteLater();
        delete item;
    }
    work_.view.rows_changing = false;
    rows_.clear();
    folds_.clear();
    for (const auto& track : work_.document.session().tracks) {
        const Family family = work_.materials.family(*track);
        if (work_.view.folded(family)) {
            if (std::find(folds_.begin(), folds_.end(), family) != folds_.end()) continue;
            folds_.push_back(family);
            auto* row = new FamilyRow(work_, family);
            for (const Bus& bus : work_.document.session().buses)
                if (bus.family == family) row->show_lane(station_->make_bus_lane(work_, bus.id, row));
            rows_layout_->insertWidget(rows_layout_->count() - 1, row);
            continue;
        }
        auto* row = new QWidget;
        auto* layout = new QHBoxLayout(row);
        layout->setContentsMargins(0, 0, 0, 0);
        layout->setSpacing(0);
        auto* head = new RowHead(work_, track->id, row);
        connect(head, &RowHead::dragged, this, &Desk::show_drop);
        connect(head, &RowHead::dropped, this, &Desk::drop_rows, Qt::QueuedConnection);
        Lane* lane = station_->make_lane(work_, track->id, row);
        lane->installEventFilter(this);
        connect(head, &RowHead::pressed, lane, [lane] { lane->setFocus(Qt::MouseFocusReason); });
        layout->addWidget(head);
        layout->addWidget(lane, 1);
        rows_layout_->insertWidget(rows_layout_->count() - 1, row);
        rows_.push_back({head, lane});
    }
    const bool any = !work_.document.session().tracks.empty();
    scroll_->setVisible(any);
    ruler_->setVisible(any);
    show_panel(any && station_->panel_shown(work_));
    empty_->setVisible(!any);
    refresh();
    content_->adjustSize();
    scroll_->verticalScrollBar()->setValue(scrolled);
    if (Lane* lane = lane_of(work_.document.focused())) {
        if (had_focus) lane->setFocus();
        // The panel of a station leaves less room: the focused row stays in sight.
        QTimer::singleShot(0, lane, [this, lane] { scroll_->ensureWidgetVisible(lane, 0, 0); });
    }
}

namespace {

/// Nothing differs that a row shows of anything but its own track.
bool same_around_tracks(const Session& a, const Session& b) {
    return a.sample_rate == b.sample_rate && a.pan_law == b.pan_law && a.targets == b.targets &&
           a.buses.shares_with(b.buses) && a.groups.shares_with(b.groups) && a.sections.shares_with(b.sections) &&
           a.tempo.shares_with(b.tempo) && a.rides_bypassed == b.rides_bypassed && a.chains_out == b.chains_out &&
           a.any_solo() == b.any_solo();
}

}  // namespace

void Desk::refresh_changed() {
    const std::shared_ptr<const Session> before = std::exchange(drawn_, work_.document.shared()), now = drawn_;
    if (!before || before->tracks.size() != now->tracks.size() || !same_around_tracks(*before, *now)) return refresh();
    std::set<TrackId> changed;
    for (size_t n = 0; n < now->tracks.size(); ++n)
        if (before->tracks[n] != now->tracks[n]) changed.insert(now->tracks[n]->id);
    for (const Row& row : rows_) {
        if (!changed.contains(row.head->id())) continue;
        row.head->refresh();
        row.lane->refresh();
    }
}

void Desk::refresh() {
    drawn_ = work_.document.shared();
    for (const Row& row : rows_) {
        row.head->refresh();
        row.lane->refresh();
    }
    ruler_->update();
}

bool Desk::eventFilter(QObject* watched, QEvent* event) {
    if (watched == scroll_ && event->type() == QEvent::Resize) {
        place_view();
        // Pinned rows or a panel may come and go below: the row that is worked on stays in sight.
        if (Lane* lane = lane_of(work_.document.focused()))
            QMetaObject::invokeMethod(
                this,
                [this, at = QPointer<Lane>(lane)] {
                    if (at) scroll_->ensureWidgetVisible(at, 0, 0);
                },
                Qt::QueuedConnection);
    }
    if (watched == ruler_ && event->type() == QEvent::ToolTip && station_) {
        const auto* help = static_cast<QHelpEvent*>(event);
        for (const Station::Head& head : station_->heads(ruler_area()))
            if (head.area.contains(help->pos() - QPoint(head_width, 0))) {
                QToolTip::showText(help->globalPos(), head.help, ruler_);
                return true;
            }
    }
    if (watched == ruler_ && event->type() == QEvent::Paint && station_) {
        QPainter painter(ruler_);
        painter.fillRect(ruler_->rect(), theme().ground);
        painter.save();
        painter.translate(head_width, 0);
        station_->paint_ruler(painter, ruler_area(), work_);
        painter.restore();
        painter.setPen(theme().faint);
        painter.drawLine(0, ruler_->height() - 1, ruler_->width(), ruler_->height() - 1);
        return true;
    }
    if (event->type() == QEvent::KeyPress && qobject_cast<Lane*>(watched)) {
        auto* key = static_cast<QKeyEvent*>(event);
        const bool extend = key->modifiers() & Qt::ShiftModifier;
        if (key->key() == Qt::Key_Down || key->key() == Qt::Key_Up) {
            move_focus(key->key() == Qt::Key_Down ? 1 : -1, extend);
            return true;
        }
    }
    return QWidget::eventFilter(watched, event);
}

/// What the ruler has above the lanes, which may not have been laid out yet.
QRect Desk::ruler_area() const { return {0, 0, ruler_->width() - head_width - scroll_width, ruler_->height()}; }

void Desk::paintEvent(QPaintEvent*) { QPainter(this).fillRect(rect(), theme().ground); }

}  // namespace isotonus
