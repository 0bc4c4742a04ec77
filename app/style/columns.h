// Vertical lines one pixel wide, side by side: waveforms, levels over time, dense rides.
#pragma once

#include <QPainter>
#include <algorithm>
#include <vector>

namespace isotonus {

/// Drawn as one picture: a painter takes a microsecond for each line by itself, and a desk has ten thousand of them.
class Columns {
  public:
    /// Where they may stand; what lies outside is left out.
    explicit Columns(const QRect& area) : area_(area), spans_(static_cast<size_t>(std::max(0, area.width())), none) {}

    /// From one y to the other, both included.
    void add(int x, int y, int other_y) {
        const auto [top, bottom] = std::minmax(y, other_y);
        add_soft(x, top, bottom + 1);
    }
    /// From one y to another below it, with soft edges where they lie within a pixel.
    void add_soft(int x, double top, double bottom);
    void paint(QPainter& painter, const QColor& colour) const;

  private:
    struct Span {
        float top, bottom;
    };
    static constexpr Span none{0.0f, 0.0f};
    QRect area_;
    std::vector<Span> spans_;  ///< counted from the area's top
};

}  // namespace isotonus
