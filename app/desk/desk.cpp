#include "app/desk/desk.h"

#include <QApplication>
#include <QKeyEvent>
#include <QLabel>
#include <QPainter>
#include <QPushButton>
#include <QScrollBar>
#include <QVBoxLayout>

namespace isotonus {

Desk::Desk(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
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
    connect(&work_.materials, &Materials::changed, this, &Desk::refresh);
    connect(&work_.player, &Player::levels_changed, this, [this] {
        for (const Row& row : rows_) row.lane->levels_changed();
    });
    connect(&work_.time, &TimeView::changed, this, [this] {
        for (const Row& row : rows_) row.lane->update();
        ruler_->update();
    });
}

QWidget* Desk::make_empty_state() {
    auto* page = new QWidget;
    auto* layout = new QVBoxLayout(page);
    auto* title = new QLabel(tr("Drop a folder of audio files anywhere in this window"));
    title->setStyleSheet("font-size: 22px;");
    auto* text = new QLabel(
        tr("One file for each sound, rendered from where the music was made: they become the rows of the mix."));
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
    layout->addStretch();
    connect(demo, &QPushButton::clicked, this, &Desk::demo_wanted);
    connect(folder, &QPushButton::clicked, this, &Desk::folder_wanted);
    return page;
}

void Desk::show_station(const Station* station) {
    station_ = station;
    delete tools_;
    delete panel_;
    tools_ = station->make_tools(work_, ruler_);
    if (tools_) {
        tools_->setGeometry(8, 2, head_width - 16, 28);
        tools_->show();
    }
    panel_ = station->make_panel(work_, this);
    if (panel_) outer_->addWidget(panel_);
    rebuild();
}

Lane* Desk::lane_of(TrackId id) const {
    for (const Row& row : rows_)
        if (row.head->id() == id) return row.lane;
    return nullptr;
}

void Desk::move_focus(int by, bool extend) {
    const auto& tracks = work_.document.session().tracks;
    if (tracks.empty()) return;
    size_t at = 0;
    while (at < tracks.size() && tracks[at]->id != work_.document.focused()) ++at;
    const auto to = static_cast<size_t>(
        std::clamp<int64_t>(static_cast<int64_t>(at) + by, 0, static_cast<int64_t>(tracks.size()) - 1));
    const TrackId id = tracks[to]->id;
    if (!extend) {
        work_.document.select_only(id);
    } else {
        auto ids = work_.document.selected();
        if (!work_.document.is_selected(id)) ids.push_back(id);
        work_.document.select(std::move(ids), id);
    }
    if (Lane* lane = lane_of(id)) lane->setFocus();
}

void Desk::follow_session() {
    const auto& tracks = work_.document.session().tracks;
    const bool same = std::equal(rows_.begin(), rows_.end(), tracks.begin(), tracks.end(),
                                 [](const Row& r, const auto& t) { return r.head->id() == t->id; });
    if (same)
        refresh();
    else
        rebuild();
}

void Desk::rebuild() {
    const bool had_focus = qobject_cast<Lane*>(QApplication::focusWidget()) != nullptr;
    const int scrolled = scroll_->verticalScrollBar()->value();
    while (rows_layout_->count() > 1) {
        QLayoutItem* item = rows_layout_->takeAt(0);
        delete item->widget();
        delete item;
    }
    rows_.clear();
    for (const auto& track : work_.document.session().tracks) {
        auto* row = new QWidget;
        auto* layout = new QHBoxLayout(row);
        layout->setContentsMargins(0, 0, 0, 0);
        layout->setSpacing(0);
        auto* head = new RowHead(work_, track->id, row);
        Lane* lane = station_->make_lane(work_, track->id, row);
        lane->installEventFilter(this);
        layout->addWidget(head);
        layout->addWidget(lane, 1);
        rows_layout_->insertWidget(rows_layout_->count() - 1, row);
        rows_.push_back({head, lane});
    }
    const bool any = !rows_.empty();
    scroll_->setVisible(any);
    ruler_->setVisible(any);
    if (panel_) panel_->setVisible(any);
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

void Desk::refresh() {
    for (const Row& row : rows_) {
        row.head->refresh();
        row.lane->refresh();
    }
    ruler_->update();
}

bool Desk::eventFilter(QObject* watched, QEvent* event) {
    if (watched == ruler_ && event->type() == QEvent::Paint && station_) {
        QPainter painter(ruler_);
        painter.fillRect(ruler_->rect(), theme().ground);
        painter.save();
        painter.translate(head_width, 0);
        const int lane_width = rows_.empty() ? ruler_->width() - head_width : rows_.front().lane->width();
        station_->paint_ruler(painter, QRect(0, 0, lane_width, ruler_->height()), work_);
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

void Desk::paintEvent(QPaintEvent*) { QPainter(this).fillRect(rect(), theme().ground); }

}  // namespace isotonus
