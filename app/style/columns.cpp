#include "app/style/columns.h"

#include <QImage>
#include <algorithm>
#include <array>
#include <cmath>

namespace isotonus {

void Columns::add_soft(int x, double top, double bottom) {
    if (x < area_.left() || x > area_.right()) return;
    const double first = std::max(0.0, top - area_.top()), end = std::min<double>(area_.height(), bottom - area_.top());
    if (first < end)
        spans_[static_cast<size_t>(x - area_.left())] = {static_cast<float>(first), static_cast<float>(end)};
}

void Columns::paint(QPainter& painter, const QColor& colour) const {
    float most = 0.0f, least = static_cast<float>(area_.height());
    for (const Span& s : spans_)
        if (s.top < s.bottom) least = std::min(least, s.top), most = std::max(most, s.bottom);
    if (least >= most) return;
    const int top = static_cast<int>(least), rows = static_cast<int>(std::ceil(most)) - top, width = area_.width();
    static std::vector<QRgb> pixels;  // kept: fresh memory would cost more than the drawing
    pixels.assign(static_cast<size_t>(width) * static_cast<size_t>(rows), 0u);
    std::array<QRgb, 256> shades;  // by how much of a pixel is covered
    for (int k = 0; k < 256; ++k) {
        QColor part = colour;
        part.setAlpha(colour.alpha() * k / 255);
        shades[static_cast<size_t>(k)] = qPremultiply(part.rgba());
    }
    const auto covered = [&](float share) { return shades[static_cast<size_t>(255.0f * share + 0.5f)]; };
    for (int x = 0; x < width; ++x) {
        const Span s = spans_[static_cast<size_t>(x)];
        if (s.top >= s.bottom) continue;
        QRgb* column = pixels.data() + x;
        const int first = static_cast<int>(s.top), last = std::min(static_cast<int>(s.bottom), top + rows - 1);
        const auto at = [&](int y) -> QRgb& { return column[static_cast<ptrdiff_t>(y - top) * width]; };
        if (first == last) {
            at(first) = covered(s.bottom - s.top);
            continue;
        }
        at(first) = covered(static_cast<float>(first + 1) - s.top);
        for (int y = first + 1; y < last; ++y) at(y) = shades[255];
        at(last) = covered(std::min(1.0f, s.bottom - static_cast<float>(last)));
    }
    painter.drawImage(
        area_.left(), area_.top() + top,
        QImage(reinterpret_cast<const uchar*>(pixels.data()), width, rows, QImage::Format_ARGB32_Premultiplied));
}

}  // namespace isotonus
