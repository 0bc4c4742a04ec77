#include "app/balance/bus_block.h"

#include <QContextMenuEvent>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QMenu>
#include <QPainter>

#include "app/desk/menu_entries.h"
#include "core/session/channel.h"

namespace isotonus {

BusHead::BusHead(Workspace& work, TrackId id, int number, QWidget* parent)
    : QWidget(parent), work_(work), id_(id), number_(number) {
    setFixedSize(head_width, row_height());
    setObjectName("busHead");
    const auto button = [this](const char* name, const QString& letter, int x, int wide) {
        auto* b = new QToolButton(this);
        b->setObjectName(name);
        b->setText(letter);
        b->setCheckable(true);
        b->setGeometry(x, (row_height() - 22) / 2, wide, 22);
        b->setFocusPolicy(Qt::TabFocus);
        connect(b, &QToolButton::pressed, this, &BusHead::pressed);
        return b;
    };
    if (id == main_output) return;
    const int word = std::max(44, QFontMetrics(lettering(13)).horizontalAdvance(tr("Hear")) + 12);
    hear_ = button("hearUnder", tr("Hear"), head_width - 62 - word, word);
    const QString what =
        tr("Plays these tracks alone; a second click returns. The settings say whether the rest is silent or dimmed. "
           "Exports stay as they are.");
    hear_->setToolTip(number < 8 ? what + ' ' + tr("(Shift+F%1)").arg(number + 1) : what);
    connect(hear_, &QToolButton::clicked, this, [this] { work_.player.solo_bus(id_); });
    mute_ = button("mute", "M", head_width - 60, 24);
    solo_ = button("solo", "S", head_width - 33, 24);
    mute_->setToolTip(tr("Mute: the tracks of this channel are neither heard nor exported through it."));
    solo_->setToolTip(tr("Solo: only soloed channels are heard. Use it to find a fault."));
    connect(mute_, &QToolButton::clicked, this, [this](bool on) { work_.edits.set_mutes({id_}, on); });
    connect(solo_, &QToolButton::clicked, this, [this] { work_.edits.toggle(Editing::Flag::solo, id_); });
}

void BusHead::refresh() {
    const Session& s = work_.document.session();
    const Channel channel = channel_of(s, id_);
    if (id_ == main_output) setAccessibleName(tr("main output"));
    if (!channel || id_ == main_output) return;
    const QString name = QString::fromStdString(*channel.name);
    setAccessibleName(name);
    hear_->setAccessibleName(tr("Hear %1 alone").arg(name));
    hear_->setChecked(work_.player.hearing() == Player::Hearing::under && work_.player.heard_id() == id_);
    playhead_moved();
    mute_->setAccessibleName(tr("Mute %1").arg(name));
    solo_->setChecked(*channel.solo);
    solo_->setAccessibleName(tr("Solo %1").arg(name));
    update();
}

void BusHead::playhead_moved() {
    if (mute_) mute_->setChecked(work_.writing.is_muted_now(id_));
}

void BusHead::paintEvent(QPaintEvent*) {
    const Session& s = work_.document.session();
    const Channel channel = channel_of(s, id_);
    const Bus* bus = s.find_bus(id_);
    const bool is_main = id_ == main_output;
    if (!channel) return;
    QPainter painter(this);
    painter.fillRect(rect(), theme().ground);
    const QColor colour = is_main ? theme().text : theme().track_colour(*channel.colour_index);
    if (bus || is_main)
        painter.fillRect(0, 0, 4, height() - 1, colour);
    else
        for (int y = 0; y < height() - 1; y += 6)
            painter.fillRect(0, y, 4, 3, colour);  // a group sums nothing: a dashed edge
    painter.setFont(lettering(13, true));
    painter.setPen(theme().text);
    const bool two_lines = height() >= 30;
    const QRect box(16, two_lines ? 2 : 0, head_width - 126, two_lines ? 18 : height());
    painter.drawText(box, Qt::AlignVCenter,
                     QFontMetrics(painter.font())
                         .elidedText(is_main ? tr("main output") : QString::fromStdString(s.name_of(id_)),
                                     Qt::ElideRight, box.width()));
    if (two_lines && is_main) {
        painter.setFont(lettering(11));
        painter.setPen(theme().faint);
        painter.drawText(QRect(16, height() - 17, box.width(), 14), Qt::AlignVCenter, tr("whole mix"));
    } else if (two_lines) {
        const auto rows = static_cast<int>(tracks_under(s, id_).size());
        const Bus* to = bus ? s.find_bus(bus->output) : nullptr;
        const bool returns = bus && is_return(s, id_);
        QString below;
        if (returns)
            below = tr("return of %n track(s)", nullptr, static_cast<int>(senders_to(s, id_).size()));
        else if (bus)
            below = tr("bus of %n track(s)", nullptr, rows);
        else
            below = tr("group of %n track(s)", nullptr, rows);
        if (to) below = tr("%1, output %2").arg(below, QString::fromStdString(to->name));
        painter.setFont(lettering(11));
        painter.setPen(theme().faint);
        painter.drawText(QRect(16, height() - 17, box.width(), 14), Qt::AlignVCenter, below);
    }
    painter.setPen(theme().rule);
    painter.drawLine(0, height() - 1, width(), height() - 1);
    painter.drawLine(width() - 1, 0, width() - 1, height());
}

void BusHead::rename() {
    if (id_ == main_output) return;
    const Session& s = work_.document.session();
    const std::string before = s.name_of(id_);
    const auto name = work_.prompter->ask_text(tr("Rename"), tr("Name"), QString::fromStdString(before));
    if (!name || name->trimmed().isEmpty()) return;
    const std::string to = name->trimmed().toStdString();
    work_.document.edit(tr("Rename %1 to %2").arg(QString::fromStdString(before), name->trimmed()),
                        with_channel(s, id_, [&](const ChannelEdit& c) { *c.name = to; }));
}

void BusHead::contextMenuEvent(QContextMenuEvent* event) {
    if (id_ == main_output) return;
    const Session& s = work_.document.session();
    QMenu menu;
    menu.setObjectName("busMenu");
    connect(menu.addAction(tr("Rename…")), &QAction::triggered, this, [this] { rename(); });
    QAction* select = menu_entry(menu, tr("Select its tracks"), tr("All tracks that play through it, also by a send."));
    connect(select, &QAction::triggered, this, [this] {
        const Session& now = work_.document.session();
        auto rows = tracks_under(now, id_);
        for (const TrackId sender : senders_to(now, id_))
            if (now.find(sender) && std::find(rows.begin(), rows.end(), sender) == rows.end()) rows.push_back(sender);
        if (!rows.empty()) work_.document.select(rows, rows.front());
    });
    add_colours(menu.addMenu(tr("Colour")), this, [this](int n) {
        work_.document.edit(
            tr("Colour %1").arg(n + 1),
            with_channel(work_.document.session(), id_, [n](const ChannelEdit& c) { *c.colour_index = n; }));
    });
    auto* others = menu.addAction(tr("All other faders down by…"), this,
                                  [this] { work_.edits.ask_others_down(tracks_under(work_.document.session(), id_)); });
    others->setObjectName("othersDownOfBus");
    others->setToolTip(tr("Makes it louder against the rest without using headroom."));
    if (const Bus* bus = s.find_bus(id_)) {
        QAction* trim = menu_entry(menu, tr("Trim %1…").arg(db_text(bus->trim_db, "dB", true)),
                                   tr("Gain into the chain of the bus. Lower it if the chain is driven too hard."));
        connect(trim, &QAction::triggered, this, [this, now = bus->trim_db] {
            const auto text = work_.prompter->ask_text(tr("Trim of the bus"), tr("dB, −24 … +24"), db_text(now, ""));
            const auto db = text ? parse_level(*text) : std::nullopt;
            if (db && std::fabs(*db) <= trim_max_db)
                work_.document.edit(tr("Trim of the bus %1").arg(db_text(*db, "dB", true)),
                                    with_bus(work_.document.session(), id_, [&](Bus& b) { b.trim_db = *db; }));
        });
        connect(menu_entry(menu, tr("Add the selected tracks"), tr("The selected tracks play through this bus.")),
                &QAction::triggered, this, [this] { work_.edits.lead_to(work_.document.selected(), id_); });
        QMenu* outputs = menu.addMenu(tr("Output"));
        outputs->menuAction()->setToolTip(
            tr("Where the bus plays: straight to the main output, or through another bus."));
        const auto output = [&](const QString& name, TrackId to) {
            QAction* a = outputs->addAction(name);
            a->setCheckable(true);
            a->setChecked(bus->output == to);
            connect(a, &QAction::triggered, this, [this, to] { work_.edits.lead_to({id_}, to); });
        };
        output(tr("Main output"), main_output);
        for (const Bus& other : s.buses)
            if (!feeds(s, other.id, id_)) output(QString::fromStdString(other.name), other.id);
    } else {
        QAction* members = menu_entry(menu, tr("Make the selected tracks its members"),
                                      tr("Members that are not selected leave the group."));
        connect(members, &QAction::triggered, this, [this] {
            work_.document.edit(tr("Members of the group"),
                                with_group(work_.document.session(), id_,
                                           [this](ControlGroup& g) { g.members = work_.document.selected(); }));
        });
    }
    menu.addSeparator();
    // Later: the row that asks goes with it.
    connect(
        menu_entry(menu, tr("Remove; the tracks stay"), tr("The tracks play on without it.")), &QAction::triggered,
        this, [work = &work_, id = id_] { work->edits.remove_bus_or_group(id); }, Qt::QueuedConnection);
    menu.exec(event->globalPos());
}

namespace {

/// The line above a part, which folds it.  Folded it says what is in it.
class FoldLine : public QToolButton {
  public:
    FoldLine(const QString& title, const QStringList& names, bool folded, QWidget* parent)
        : QToolButton(parent), title_(title), names_(names), folded_(folded) {
        setObjectName("foldLine");
        setFixedHeight(18);
        setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
        // A click leaves the keys where they are; the Tab key comes here.
        setFocusPolicy(Qt::TabFocus);
        setAccessibleName(folded ? BusBlock::tr("Unfold: %1").arg(title) : BusBlock::tr("Fold: %1").arg(title));
        setToolTip(accessibleName());
    }

  protected:
    void paintEvent(QPaintEvent*) override {
        QPainter painter(this);
        painter.fillRect(rect(), hasFocus() || underMouse() ? theme().panel : theme().ground);
        painter.setFont(lettering(11));
        painter.setPen(theme().faint);
        const int middle = height() / 2;
        painter.setRenderHint(QPainter::Antialiasing);
        painter.setBrush(theme().faint);
        if (folded_)
            painter.drawPolygon(QPolygon({QPoint(6, middle - 4), QPoint(11, middle), QPoint(6, middle + 4)}));
        else
            painter.drawPolygon(QPolygon({QPoint(4, middle - 2), QPoint(12, middle - 2), QPoint(8, middle + 3)}));
        const QString text = folded_ ? title_ + ": " + names_.join(", ") : title_;
        const QRect box = rect().adjusted(16, 0, -8, 0);
        painter.drawText(box, Qt::AlignVCenter,
                         QFontMetrics(painter.font()).elidedText(text, Qt::ElideRight, box.width()));
        painter.setPen(theme().rule);
        painter.drawLine(0, height() - 1, width(), height() - 1);
        if (hasFocus()) paint_focus(painter, rect());
    }

  private:
    const QString title_;
    const QStringList names_;
    const bool folded_;
};

QString title_of(ViewState::Pinned kind) {
    switch (kind) {
        case ViewState::Pinned::buses:
            return BusBlock::tr("Buses");
        case ViewState::Pinned::returns:
            return BusBlock::tr("Returns");
        case ViewState::Pinned::groups:
            return BusBlock::tr("Control groups");
        case ViewState::Pinned::main:
            break;
    }
    return BusBlock::tr("Main output");
}

}  // namespace

BusBlock::BusBlock(Workspace& work, QWidget* parent, bool with_main, MakeLane make_lane)
    : QWidget(parent), work_(work), with_main_(with_main), make_lane_(std::move(make_lane)) {
    setObjectName("busBlock");
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(0, 2, 0, 0);
    scroll_ = new QScrollArea;
    scroll_->setObjectName("busScroll");
    scroll_->setWidgetResizable(true);
    scroll_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    // As that of the tracks, so that lanes stand below lanes.
    scroll_->setVerticalScrollBarPolicy(Qt::ScrollBarAlwaysOn);
    scroll_->setFocusPolicy(Qt::NoFocus);
    scroll_->setFrameShape(QFrame::NoFrame);
    layout->addWidget(scroll_);
    connect(&work_.document, &Document::session_changed, this, &BusBlock::follow_session);
    connect(&work_.view, &ViewState::pinned_changed, this, &BusBlock::rebuild);
    const auto repaint = [this] {
        for (const Row& row : rows_) row.head->refresh(), row.lane->refresh();
    };
    connect(&work_.player, &Player::hearing_changed, this, repaint);
    connect(&work_.view.balance, &BalanceView::ghosts_changed, this, repaint);
    connect(&work_.view.ride, &RideView::changed, this, repaint);
    connect(&work_.writing, &Writing::changed, this, repaint);
    connect(&work_.player, &Player::levels_changed, this, [this] {
        for (const Row& row : rows_) row.lane->levels_changed();
    });
    connect(&work_.player, &Player::moved, this, [this] {
        for (const Row& row : rows_) row.head->playhead_moved(), row.lane->playhead_moved();
    });
    shown_ = entries();
    rebuild();
}

QSize BusBlock::sizeHint() const { return {400, content_->sizeHint().height() + 2}; }

std::vector<BusBlock::Entry> BusBlock::entries() const {
    using Pinned = ViewState::Pinned;
    const Session& s = work_.document.session();
    std::vector<Entry> list;
    int number = 0;
    for (const Bus& b : s.buses) list.push_back({b.id, is_return(s, b.id) ? Pinned::returns : Pinned::buses, number++});
    for (const ControlGroup& g : s.groups) list.push_back({g.id, Pinned::groups, number++});
    if (with_main_) list.push_back({main_output, Pinned::main, number});
    std::stable_sort(list.begin(), list.end(), [](const Entry& a, const Entry& b) { return a.kind < b.kind; });
    return list;
}

void BusBlock::follow_session() {
    auto now = entries();
    if (now != shown_) {
        shown_ = std::move(now);
        return rebuild();
    }
    for (const Row& row : rows_) row.head->refresh(), row.lane->refresh();
}

void BusBlock::rebuild() {
    std::optional<TrackId> focused;
    for (const Row& row : rows_)
        if (row.lane->hasFocus()) focused = row.lane->id();
    rows_.clear();
    // Later: a row may be asking for this itself, from its menu or by a click.
    if (QWidget* old = scroll_->takeWidget()) old->hide(), old->setParent(this), old->deleteLater();
    content_ = new QWidget;
    auto* column = new QVBoxLayout(content_);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(0);
    for (auto first = shown_.begin(); first != shown_.end();) {
        const auto end = std::find_if(first, shown_.end(), [&](const Entry& p) { return p.kind != first->kind; });
        add_part(first->kind, {first, end});
        first = end;
    }
    column->addStretch();
    scroll_->setWidget(content_);
    for (const Row& row : rows_) {
        row.head->refresh();
        row.lane->refresh();
        if (row.lane->id() == focused) row.lane->setFocus();
    }
    setVisible(column->count() > 1);
    updateGeometry();
}

void BusBlock::add_part(ViewState::Pinned kind, const std::vector<Entry>& entries) {
    const bool folded = work_.view.folded(kind);
    std::vector<Row> made;
    QStringList names;
    auto* rows = new QWidget(content_);
    auto* below = new QVBoxLayout(rows);
    below->setContentsMargins(0, 0, 0, 0);
    below->setSpacing(0);
    for (const Entry& entry : entries) {
        auto* row = new QWidget(rows);
        Lane* lane = make_lane_(entry.id, row);
        if (!lane) {  // the station shows no such row
            delete row;
            continue;
        }
        auto* line = new QHBoxLayout(row);
        line->setContentsMargins(0, 0, 0, 0);
        line->setSpacing(0);
        auto* head = new BusHead(work_, entry.id, entry.number, row);
        connect(head, &BusHead::pressed, lane, &Lane::take_keys);
        lane->installEventFilter(this);
        line->addWidget(head);
        line->addWidget(lane, 1);
        below->addWidget(row);
        made.push_back({head, lane});
        names << QString::fromStdString(work_.document.session().name_of(entry.id));
    }
    if (made.empty()) return delete rows;
    auto* line = new FoldLine(title_of(kind), names, folded, content_);
    connect(
        line, &QToolButton::clicked, this, [this, kind, folded] { work_.view.fold(kind, !folded); },
        Qt::QueuedConnection);
    content_->layout()->addWidget(line);
    if (folded) return delete rows;
    content_->layout()->addWidget(rows);
    rows_.insert(rows_.end(), made.begin(), made.end());
}

bool BusBlock::eventFilter(QObject* watched, QEvent* event) {
    const auto at = std::find_if(rows_.begin(), rows_.end(), [watched](const Row& row) { return row.lane == watched; });
    if (at == rows_.end()) return QWidget::eventFilter(watched, event);
    if (event->type() == QEvent::FocusIn) scroll_->ensureWidgetVisible(at->lane, 0, 0);
    if (event->type() != QEvent::KeyPress) return QWidget::eventFilter(watched, event);
    const int key = static_cast<QKeyEvent*>(event)->key();
    if (key != Qt::Key_Down && key != Qt::Key_Up) return QWidget::eventFilter(watched, event);
    const bool last = key == Qt::Key_Down ? at + 1 == rows_.end() : at == rows_.begin();
    if (!last) (key == Qt::Key_Down ? at + 1 : at - 1)->lane->take_keys();
    return true;
}

void BusBlock::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), theme().ground);
    painter.fillRect(0, 0, width(), 2, theme().faint);  // a firm line: what is below stays
}

}  // namespace isotonus
