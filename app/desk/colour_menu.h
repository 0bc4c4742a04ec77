// The twelve colours as entries of a menu: of rows, buses and sections alike.
#pragma once

#include <QMenu>

#include "app/style/theme.h"

namespace isotonus {

/// `chosen` is called with 0 … 11, as long as `receiver` lives.
template <class Chosen>
void add_inks(QMenu* menu, QObject* receiver, const Chosen& chosen) {
    for (int n = 0; n < 12; ++n) {
        QPixmap swatch(16, 16);
        swatch.fill(theme().track_colour(n));
        QObject::connect(menu->addAction(QIcon(swatch), QMenu::tr("Colour %1").arg(n + 1)), &QAction::triggered,
                         receiver, [chosen, n] { chosen(n); });
    }
}

}  // namespace isotonus
