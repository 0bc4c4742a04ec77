#include "app/handoff/check_list.h"

#include <QKeyEvent>
#include <QPainter>
#include <QScrollBar>
#include <QStyledItemDelegate>
#include <cmath>

#include "app/style/text.h"
#include "app/style/theme.h"

namespace isotonus {

namespace {

/// What a line is: a check (by its number), the head of a group, or the rest of a group that passes.
enum Role { check_role = Qt::UserRole, group_role, rest_role };
constexpr int name_left = 26, name_width = 132, figure_width = 84, limit_width = 92, line_height = 20;
constexpr int detail_left = name_left + name_width + 8;

QString group_title(CheckGroup group) {
    switch (group) {
        case CheckGroup::level:
            return CheckList::tr("Level");
        case CheckGroup::files:
            return CheckList::tr("Files");
        case CheckGroup::routing:
            return CheckList::tr("Routing");
        case CheckGroup::ends:
            break;
    }
    return CheckList::tr("Start and end");
}

bool has_figure(const Check& c) { return !c.unit.empty() && c.measured; }

/// What does not pass comes first, then what has a figure.
int rank_of(const Check& c) {
    if (!c.passed) return c.notice ? 1 : 0;
    return has_figure(c) ? 2 : 3;
}

QString figure_text(const Check& c, double value) {
    if (c.unit == "share") return CheckList::tr("%1 %").arg(shown_figure(value * 100.0, 2));
    if (c.unit == "s") return CheckList::tr("%1 s").arg(shown_figure(value, 1));
    return db_text(value, c.unit.c_str(), c.unit.starts_with("dB") && c.unit != "dB" && value > 0.0);
}

QString mark_of(const Check& c) {
    if (c.passed) return QString(QChar(0x2713));
    return c.notice ? QString("!") : QString(QChar(0x2717));
}

QColor colour_of(const Check& c) {
    if (c.passed) return theme().text;
    return c.notice ? theme().above : theme().clipped;
}

/// Where a figure stands on its gauge, 0 to 1; the limit is at two thirds.
double gauge_share(const Check& c) {
    constexpr double limit_at = 2.0 / 3.0;
    if (c.unit == "s" || c.unit == "share")
        return std::clamp(*c.limit > 0.0 ? *c.measured / *c.limit * limit_at : 1.0, 0.0, 1.0);
    constexpr double db_to_limit = 18.0;
    return std::clamp(limit_at + (*c.measured - *c.limit) / db_to_limit * limit_at, 0.0, 1.0);
}

void paint_gauge(QPainter& painter, const QRect& area, const Check& c) {
    painter.fillRect(area, theme().rule);
    const int full = area.width();
    const int to = static_cast<int>(std::lround(gauge_share(c) * full)), limit = full * 2 / 3;
    painter.fillRect(QRect(area.left(), area.top(), to, area.height()), c.passed ? theme().inside : colour_of(c));
    painter.fillRect(area.left() + limit, area.top() - 3, 2, area.height() + 6, theme().text);
}

class CheckLine : public QStyledItemDelegate {
  public:
    explicit CheckLine(CheckList* list) : QStyledItemDelegate(list), list_(list) {}

    QSize sizeHint(const QStyleOptionViewItem&, const QModelIndex& index) const override {
        if (index.data(group_role).isValid()) return {100, line_height + 4};
        int height = line_height;
        if (index.row() == list_->currentRow() && index.data(check_role).isValid())
            height += notice_rect(index).height() + 6;
        return {100, height};
    }

    void paint(QPainter* painter, const QStyleOptionViewItem& option, const QModelIndex& index) const override {
        const QRect r = option.rect;
        const QRect line(r.left(), r.top(), r.width(), line_height);
        if (index.data(group_role).isValid()) {
            painter->setFont(lettering(13, true));
            painter->setPen(theme().text);
            painter->drawText(line.adjusted(2, 4, 0, 4), Qt::AlignVCenter, index.data().toString());
            painter->setPen(theme().rule);
            painter->drawLine(r.left(), r.bottom(), r.right(), r.bottom());
            return;
        }
        if (index.data(rest_role).isValid()) {
            painter->setFont(lettering(11));
            painter->setPen(theme().faint);
            painter->drawText(line.adjusted(name_left, 0, 0, 0), Qt::AlignVCenter, index.data().toString());
            return;
        }
        const bool current = index.row() == list_->currentRow();
        if (current) painter->fillRect(r, theme().ground);
        const Check& c = check(index);
        painter->setFont(lettering(13, !c.passed));
        painter->setPen(colour_of(c));
        painter->drawText(line.adjusted(6, 0, 0, 0), Qt::AlignVCenter, mark_of(c));
        painter->drawText(QRect(name_left, line.top(), name_width, line_height), Qt::AlignVCenter,
                          QString::fromStdString(c.name));
        painter->setPen(theme().text);
        painter->setFont(lettering(13));
        if (has_figure(c))
            paint_figure(*painter, line, c);
        else
            painter->drawText(
                QRect(detail_left, line.top(), line.width() - detail_left - 4, line_height), Qt::AlignVCenter,
                QFontMetrics(painter->font()).elidedText(details(c), Qt::ElideRight, line.width() - detail_left - 4));
        if (!current) return;
        painter->setFont(lettering(11));
        painter->setPen(theme().text);
        painter->drawText(notice_rect(index).translated(0, line.bottom() + 1), Qt::TextWordWrap, words(c));
        if (list_->hasFocus()) {
            painter->setPen(theme().accent);
            painter->drawRect(r.adjusted(0, 0, -1, -1));
        }
    }

  private:
    const Check& check(const QModelIndex& index) const {
        return list_->checks()[static_cast<size_t>(index.data(check_role).toInt())];
    }
    static void paint_figure(QPainter& painter, const QRect& line, const Check& c) {
        int left = detail_left;
        painter.drawText(QRect(left, line.top(), figure_width, line_height), Qt::AlignVCenter | Qt::AlignRight,
                         figure_text(c, *c.measured));
        if (!c.limit) return;
        left += figure_width + 12;
        painter.setFont(lettering(11));
        painter.setPen(theme().faint);
        write_in(painter, QRect(left, line.top(), std::min(limit_width, line.right() - left), line_height),
                 QString(QChar(c.at_least ? 0x2265 : 0x2264)) + ' ' + figure_text(c, *c.limit));
        left += limit_width;
        const int room = std::min(200, line.right() - left - 8);
        if (room >= 24) paint_gauge(painter, QRect(left, line.center().y() - 2, room, 6), c);  // else the figures do
    }
    /// Who it is, where the name says what it is.
    static QString details(const Check& c) {
        const QString all = QString::fromStdString(c.text);
        if (c.passed) return all;
        if (all.section(": ", 1).isEmpty()) return all;
        return all.section(": ", 1);
    }
    static QString words(const Check& c) {
        return QString::fromStdString(c.text) + ". " + QString::fromStdString(c.why);
    }
    QRect notice_rect(const QModelIndex& index) const {
        const QFontMetrics metrics(lettering(11));
        const int width = list_->viewport()->width() - name_left - 8;
        const QRect text = metrics.boundingRect(QRect(0, 0, width, 400), Qt::TextWordWrap, words(check(index)));
        return {name_left, 0, width, text.height()};
    }
    CheckList* list_;
};

}  // namespace

CheckList::CheckList(QWidget* parent) : QListWidget(parent) {
    setFrameShape(QFrame::NoFrame);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    setVerticalScrollMode(QAbstractItemView::ScrollPerPixel);
    setItemDelegate(new CheckLine(this));
    setMouseTracking(true);
    connect(this, &QListWidget::currentItemChanged, this, [this] { scheduleDelayedItemsLayout(); });
    // Pressed, not clicked: the line that was current before folds at once, and the next ones move up.
    connect(this, &QListWidget::itemPressed, this, &CheckList::choose);
}

void CheckList::show_checks(const std::vector<Check>& checks) {
    const auto same = [](const Check& a, const Check& b) {
        return a.text == b.text && a.passed == b.passed && a.row == b.row && a.time_s == b.time_s &&
               a.measured == b.measured && a.limit == b.limit;
    };
    if (count() > 0 && std::equal(checks.begin(), checks.end(), checks_.begin(), checks_.end(), same)) return;
    const QListWidgetItem* const now = currentItem();
    const QVariant current = now ? now->data(check_role) : QVariant();
    const std::string kept = current.isValid() && static_cast<size_t>(current.toInt()) < checks_.size()
                                 ? checks_[static_cast<size_t>(current.toInt())].id
                                 : std::string();
    const int scrolled = verticalScrollBar()->value();
    checks_ = checks;
    clear();
    for (size_t g = 0; g < check_group_names.size(); ++g) {
        const auto group = static_cast<CheckGroup>(g);
        auto* head = new QListWidgetItem(group_title(group), this);
        head->setData(group_role, static_cast<int>(g));
        head->setFlags(Qt::NoItemFlags);
        int rest = 0;
        for (const int rank : {0, 1, 2, 3})
            for (size_t n = 0; n < checks_.size(); ++n) {
                const Check& c = checks_[n];
                if (c.group != group || rank_of(c) != rank) continue;
                auto* item = new QListWidgetItem(mark_of(c) + "  " + QString::fromStdString(c.text), this);
                item->setData(check_role, static_cast<int>(n));
                item->setToolTip(QString::fromStdString(c.why));
                rest += rank == 3 ? 1 : 0;
                if (c.id == kept) setCurrentItem(item);
            }
        if (rest == 0) continue;
        auto* folded = new QListWidgetItem(QString(), this);
        folded->setData(rest_role, static_cast<int>(g));
        folded->setData(Qt::UserRole + 10, rest);
    }
    fold();
    verticalScrollBar()->setValue(scrolled);
}

void CheckList::fold() {
    for (int r = 0; r < count(); ++r) {
        QListWidgetItem* const line = item(r);
        if (const QVariant n = line->data(check_role); n.isValid()) {
            const Check& c = checks_[static_cast<size_t>(n.toInt())];
            line->setHidden(c.passed && !has_figure(c) && !open_.contains(c.group));
        } else if (const QVariant g = line->data(rest_role); g.isValid()) {
            const int rest = line->data(Qt::UserRole + 10).toInt();
            line->setText(open_.contains(static_cast<CheckGroup>(g.toInt()))
                              ? tr("Fold passed checks")
                              : QString(QChar(0x2713)) + ' ' + tr("%n more passed", nullptr, rest));
        }
    }
}

void CheckList::choose(QListWidgetItem* item) {
    if (const QVariant g = item->data(rest_role); g.isValid()) {
        const auto group = static_cast<CheckGroup>(g.toInt());
        if (!open_.erase(group)) open_.insert(group);
        fold();
    } else if (const QVariant n = item->data(check_role); n.isValid()) {
        emit chosen(checks_[static_cast<size_t>(n.toInt())]);
    }
}

void CheckList::keyPressEvent(QKeyEvent* event) {
    // Not by itemActivated, which some styles also send for a click.
    if ((event->key() == Qt::Key_Return || event->key() == Qt::Key_Enter) && currentItem())
        choose(currentItem());
    else
        QListWidget::keyPressEvent(event);
}

void CheckList::resizeEvent(QResizeEvent* event) {
    QListWidget::resizeEvent(event);
    scheduleDelayedItemsLayout();
}

}  // namespace isotonus
