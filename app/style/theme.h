// Paper and ink: the colours of the two themes, and the one font.
#pragma once

#include <QColor>
#include <QFont>
#include <QIcon>
#include <array>

class QPainter;

class QApplication;

namespace isotonus {

struct Theme {
    bool night;
    QColor ground, panel, ink, faint, rule, accent, below, inside, above, clipped;
    std::array<QColor, 12> inks;  ///< of tracks: row head edges and curves, never meters

    QColor track_ink(int n) const { return inks[static_cast<size_t>(n) % inks.size()]; }
};

const Theme& theme();

/// Loads the fonts that ship with the application; once.
void load_fonts();

/// Changes the colours of the whole application.
void set_night(bool night);

/// Sizes in use are 11, 13, 16 and 22.
QFont lettering(int pixels, bool bold = false);

/// One of our line drawings in the theme's ink: play, stop, loop, lock, unlock, undo, redo, menu.
QIcon icon(const QString& name);

/// A small wave: beside a figure that automation moves.  `x`, `y`: its left end, its middle.
void paint_ride_mark(QPainter& painter, int x, int y);

}  // namespace isotonus
