// Windows of which there is one: opened again, the same one comes to the front.
#pragma once

#include <QWidget>
#include <utility>

namespace isotonus {

/// The window of this kind that belongs to `parent`, made at its first use, in front and with the keyboard.
template <class Opened, class... Given>
Opened* bring_up(QWidget* parent, Given&&... given) {
    auto* window = parent->findChild<Opened*>();
    if (!window) window = new Opened(std::forward<Given>(given)..., parent);
    window->show();
    window->raise();
    window->activateWindow();
    return window;
}

}  // namespace isotonus
