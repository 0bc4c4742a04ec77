// Where things stand in a lane of Balance.
#pragma once

#include <QRect>

#include "app/balance/balance_lane.h"
#include "app/style/ruler.h"

namespace isotonus {

/// Three columns, each with a ruler of its own: the fader, the level after it, the pan.  Between the last two, what is
/// heard of the row.
struct BalanceColumns {
    static constexpr int pan = 194, audible = 54, fader_figure = 72, peak_figure = 62, gap = 16;
    explicit BalanceColumns(int width) : width(width) {
        const int rulers = width - pan - audible - peak_figure - fader_figure - 3 * gap;
        fader_end = gap + rulers * 11 / 20;
        level_start = fader_end + fader_figure + gap;
        level_end = width - pan - audible - peak_figure - gap / 2;
    }
    Ruler fader_ruler() const { return Ruler::fader(gap, fader_end); }
    Ruler level_ruler() const { return Ruler::level(level_start, level_end); }
    QRect fader_text(int height) const { return {fader_end + 2, 0, fader_figure - 8, height}; }
    QRect peak_text(int height) const { return {level_end + 4, 0, peak_figure, height}; }
    QRect audible_area(int height) const { return {width - pan - audible, 0, audible, height}; }
    QRect pan_area(int height) const { return {width - pan + 12, 0, pan - 78, height}; }
    QRect pan_text(int height) const { return {width - 62, 0, 56, height}; }
    int width, fader_end, level_start, level_end;
};

inline int pan_x(const QRect& area, double pan) {
    return area.left() + static_cast<int>(std::lround((pan + 1.0) / 2.0 * (area.width() - 1)));
}
inline QString width_text(double width) { return BalanceLane::tr("%1 %").arg(std::lround(width * 100.0)); }

}  // namespace isotonus
