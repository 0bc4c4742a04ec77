// Entries of menus: one with its tooltip, and the twelve colours of tracks, buses and sections alike.
#pragma once

#include <QMenu>

#include "app/style/theme.h"

namespace isotonus {

/// What it is for stands in its tooltip.
inline QAction* menu_entry(QMenu& menu, const QString& text, const QString& help) {
    QAction* action = menu.addAction(text);
    action->setToolTip(help);
    return action;
}

/// `chosen` is called with 0 … 11, as long as `receiver` lives.
template <class Chosen>
void add_colours(QMenu* menu, QObject* receiver, const Chosen& chosen) {
    for (int n = 0; n < 12; ++n) {
        QPixmap swatch(16, 16);
        swatch.fill(theme().track_colour(n));
        QObject::connect(menu->addAction(QIcon(swatch), QMenu::tr("Colour %1").arg(n + 1)), &QAction::triggered,
                         receiver, [chosen, n] { chosen(n); });
    }
}

}  // namespace isotonus
