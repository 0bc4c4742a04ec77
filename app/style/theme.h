// Paper and text: the colours of the two themes, and the one font.
#pragma once

#include <QColor>
#include <QFont>
#include <QIcon>
#include <array>

class QPainter;

class QApplication;

namespace isotonus {

/// Of the main output, which has no colour of its own and is drawn as text is.
inline constexpr int no_colour = -1;

struct Theme {
    bool night;
    /// Text is `text` or `faint`; the four colours of levels and `accent` may be letters too.  `scale` is for lines
    /// that a figure stands at, `rule` for what only separates and for grooves.  Their contrasts are held by a test.
    QColor ground, panel, text, faint, rule, scale, accent, below, inside, above, clipped;
    std::array<QColor, 12> track_colours;  ///< of tracks: row head edges and curves, never meters

    /// The frame of what has the keyboard: two pixels wide.
    const QColor& focus() const { return accent; }
    QColor track_colour(int n) const {
        return n == no_colour ? text : track_colours[static_cast<size_t>(n) % track_colours.size()];
    }
};

const Theme& theme();

/// Loads the fonts that ship with the application; once.
void load_fonts();

/// Changes the colours of the whole application.
void set_night(bool night);

/// Sizes in use are 11, 13, 16 and 22.
QFont lettering(int pixels, bool bold = false);

/// The size in which a window opens: the one that is wanted, or what its screen has room for beside the frame that a
/// window manager puts around it.  Without a screen, on Qt's offscreen platform, always the one that is wanted.
QSize on_screen(QSize wanted, const QWidget& window);

/// One of our line drawings in the theme's text colour: play, stop, loop, lock, unlock, undo, redo, menu.
QIcon icon(const QString& name);

/// The frame around a control that draws itself and has the keyboard.
void paint_focus(QPainter& painter, const QRect& area);

/// A small wave: beside a figure that automation moves.  `x`, `y`: its left end, its middle.
void paint_ride_mark(QPainter& painter, int x, int y);

}  // namespace isotonus
