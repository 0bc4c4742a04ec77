#include "app/desk/row_head.h"

#include <QContextMenuEvent>
#include <QMenu>
#include <QPainter>

#include "app/desk/lane.h"

namespace isotonus {

namespace {

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

}  // namespace

RowHead::RowHead(Workspace& work, TrackId id, QWidget* parent) : QWidget(parent), work_(work), id_(id) {
    setFixedSize(head_width, row_height);
    setObjectName("rowHead");
    const auto button = [this](const char* name, const QString& letter, int x, bool Track::*flag, const QString& on,
                               const QString& off) {
        auto* b = new QToolButton(this);
        b->setObjectName(name);
        b->setText(letter);
        b->setCheckable(true);
        b->setGeometry(x, 7, 24, 22);
        b->setFocusPolicy(Qt::NoFocus);
        connect(b, &QToolButton::clicked, this, [this, flag, on, off](bool checked) {
            const auto ids = work_.document.moved_with(id_);
            const Track* t = work_.document.track(id_);
            work_.document.edit_tracks((checked ? on : off).arg(QString::fromStdString(t->name)), ids,
                                       [flag, checked](Track& track) { track.*flag = checked; });
        });
        return b;
    };
    mute_ = button("mute", "M", head_width - 60, &Track::mute, tr("Mute %1"), tr("Unmute %1"));
    solo_ = button("solo", "S", head_width - 33, &Track::solo, tr("Solo %1"), tr("Solo %1 off"));
    mute_->setToolTip(tr("Mute: this track is not heard, nor exported. (M)"));
    solo_->setToolTip(
        tr("Solo: only soloed tracks are heard. Good for finding a fault; balance with everything playing. (S)"));
}

void RowHead::refresh() {
    const Track* t = work_.document.track(id_);
    if (!t) return;
    mute_->setChecked(t->mute);
    solo_->setChecked(t->solo);
    const QString name = QString::fromStdString(t->name);
    mute_->setAccessibleName(tr("Mute %1").arg(name));
    solo_->setAccessibleName(tr("Solo %1").arg(name));
    setAccessibleName(name);
    setToolTip(QString::fromStdString(t->file.string()));
    update();
}

void RowHead::paintEvent(QPaintEvent*) {
    const Track* t = work_.document.track(id_);
    if (!t) return;
    QPainter painter(this);
    const bool selected = work_.document.is_selected(id_);
    painter.fillRect(rect(), selected ? theme().panel : theme().ground);
    painter.fillRect(0, 0, selected ? 8 : 4, height() - 1, theme().track_ink(t->ink));
    painter.setFont(lettering(13, selected));
    painter.setPen(work_.document.session().is_heard(*t) ? theme().ink : theme().faint);
    const QRect place(16, 2, head_width - 80, 18);
    painter.drawText(
        place, Qt::AlignLeft | Qt::AlignVCenter,
        QFontMetrics(painter.font()).elidedText(QString::fromStdString(t->name), Qt::ElideRight, place.width()));
    QString below;
    if (work_.materials.error(*t))
        below = tr("file missing");
    else if (const Measurement* m = work_.materials.measured(*t)) {
        below = family_word(family_of(*t)) + ", " +
                (kind_of(*t, *m) == Kind::percussive ? tr("percussive") : tr("sustained"));
        below += m->channels == 1 ? tr(", mono") : tr(", stereo");
    } else {
        below = tr("reading…");
    }
    painter.setFont(lettering(11));
    painter.setPen(work_.materials.error(*t) ? theme().clipped : theme().faint);
    painter.drawText(QRect(16, 19, head_width - 80, 14), Qt::AlignLeft | Qt::AlignVCenter, below);
    painter.setPen(theme().rule);
    painter.drawLine(0, height() - 1, width(), height() - 1);
    painter.drawLine(width() - 1, 0, width() - 1, height());
}

void RowHead::mousePressEvent(QMouseEvent* event) {
    if (event->button() == Qt::LeftButton && event->modifiers() == Qt::NoModifier)
        work_.document.select_only(id_);
    else
        select_by_click(work_.document, id_, event->modifiers());
}

void RowHead::contextMenuEvent(QContextMenuEvent* event) {
    if (!work_.document.is_selected(id_)) work_.document.select_only(id_);
    QMenu menu;
    const auto kind = [&](const QString& text, std::optional<Kind> value) {
        QAction* action = menu.addAction(text);
        action->setCheckable(true);
        action->setChecked(work_.document.track(id_)->kind == value);
        connect(action, &QAction::triggered, this, [this, value, text] {
            work_.document.edit_tracks(tr("Kind: %1").arg(text), work_.document.moved_with(id_),
                                       [value](Track& t) { t.kind = value; });
        });
    };
    kind(tr("Percussive"), Kind::percussive);
    kind(tr("Sustained"), Kind::sustained);
    kind(tr("Kind as measured"), std::nullopt);
    QMenu* families = menu.addMenu(tr("Family"));
    for (size_t n = 0; n < family_names.size(); ++n) {
        const auto family = static_cast<Family>(n);
        QAction* action = families->addAction(family_word(family));
        action->setCheckable(true);
        action->setChecked(family_of(*work_.document.track(id_)) == family);
        connect(action, &QAction::triggered, this, [this, family] {
            work_.document.edit_tracks(tr("Family: %1").arg(family_word(family)), work_.document.moved_with(id_),
                                       [family](Track& t) {
                                           t.family = family;
                                           t.ink = ink_of(family);
                                       });
        });
    }
    QMenu* inks = menu.addMenu(tr("Ink"));
    for (int n = 0; n < 12; ++n) {
        QPixmap swatch(16, 16);
        swatch.fill(theme().track_ink(n));
        connect(inks->addAction(QIcon(swatch), tr("ink %1").arg(n + 1)), &QAction::triggered, this, [this, n] {
            work_.document.edit_tracks(tr("Ink %1").arg(n + 1), work_.document.moved_with(id_),
                                       [n](Track& t) { t.ink = n; });
        });
    }
    menu.addSeparator();
    connect(menu.addAction(tr("Invert polarity")), &QAction::triggered, this, [this] {
        work_.document.edit_tracks(tr("Invert polarity"), work_.document.moved_with(id_),
                                   [](Track& t) { t.polarity_inverted = !t.polarity_inverted; });
    });
    if (QAction* phase = window()->findChild<QAction*>("checkPhase")) menu.addAction(phase);
    connect(menu.addAction(tr("Remove from the session")), &QAction::triggered, this, [this] {
        work_.document.edit(tr("Remove tracks"),
                            without_tracks(work_.document.session(), work_.document.moved_with(id_)));
    });
    menu.exec(event->globalPos());
}

}  // namespace isotonus
