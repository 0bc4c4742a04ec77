#include "app/stage/phase_pictures.h"

#include <QPainter>
#include <algorithm>
#include <cmath>

#include "app/style/text.h"
#include "app/style/theme.h"

namespace isotonus {

namespace {

constexpr int foot = 18;  ///< room for the figures below

/// The lowest and highest value of each column as an upright stroke, joined to the one before.
void draw_wave(QPainter& painter, const QRect& area, const std::vector<float>& wave, double scale) {
    const double middle = area.center().y(), half = area.height() / 2.0 - 2.0;
    const auto y = [&](float v) {
        return static_cast<int>(std::lround(middle - half * static_cast<double>(v) * scale));
    };
    QPolygon line;
    const double step = static_cast<double>(wave.size()) / std::max(1, area.width());
    if (step <= 1.0) {
        for (size_t i = 0; i < wave.size(); ++i)
            line << QPoint(area.left() + static_cast<int>(static_cast<double>(i) / step), y(wave[i]));
    } else {
        for (int x = 0; x < area.width(); ++x) {
            const auto from = wave.begin() + static_cast<std::ptrdiff_t>(x * step);
            const auto to = std::max(from + 1, wave.begin() + static_cast<std::ptrdiff_t>((x + 1) * step));
            const auto [low, high] = std::minmax_element(from, std::min(to, wave.end()));
            if (low < high)
                line << QPoint(area.left() + x, y(*low)) << QPoint(area.left() + x, y(*high));
            else
                line << QPoint(area.left() + x, y(*high)) << QPoint(area.left() + x, y(*low));
        }
    }
    painter.drawPolyline(line);
}

/// Words in the upper right corner, kept free of lines.
void draw_legend(QPainter& painter, const QRect& area, const QString& text) {
    painter.setFont(lettering(11));
    const int wide = QFontMetrics(painter.font()).horizontalAdvance(text) + 8;
    const QRect box(area.right() - wide - 2, area.top() + 2, wide, 15);
    painter.fillRect(box, theme().panel);
    painter.setPen(theme().faint);
    painter.drawText(box, Qt::AlignCenter, text);
}

double scale_of(const std::vector<float>& wave) {
    float most = 0.0f;
    for (const float v : wave) most = std::max(most, std::fabs(v));
    return most > 0.0f ? 1.0 / static_cast<double>(most) : 1.0;
}

/// The ground, and the line of zero in the part above the scale.
QRect area_with_zero_line(QPainter& painter, const QRect& all) {
    painter.fillRect(all, theme().panel);
    const QRect area = all.adjusted(0, 0, 0, -foot);
    painter.setPen(theme().scale);
    painter.drawLine(area.left(), area.center().y(), area.right(), area.center().y());
    painter.setFont(lettering(11));
    return area;
}

}  // namespace

HitPicture::HitPicture(QWidget* parent) : QWidget(parent) {
    setObjectName("hitPicture");
    setMinimumHeight(220);
    setAccessibleName(tr("The two waveforms at the strongest hit"));
}

void HitPicture::show_waves(std::vector<float> reference, std::vector<float> track, double sample_rate) {
    reference_ = std::move(reference);
    track_ = std::move(track);
    rate_ = sample_rate;
    update();
}

void HitPicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const QRect area = area_with_zero_line(painter, rect());
    if (reference_.empty()) {
        painter.setPen(theme().faint);
        painter.drawText(rect(), Qt::AlignCenter, tr("select a track in the table"));
        return;
    }
    // A rule each millisecond.
    const double length_ms = static_cast<double>(reference_.size()) / rate_ * 1000.0;
    for (int ms = 1; ms < length_ms; ++ms) {
        const int x = area.left() + static_cast<int>(area.width() * ms / length_ms);
        painter.setPen(theme().scale);
        painter.drawLine(x, area.top(), x, area.bottom());
        if (ms % 5 != 0) continue;
        painter.setPen(theme().faint);
        painter.drawText(QRect(x - 30, area.bottom() + 2, 60, foot - 4), Qt::AlignCenter, tr("%1 ms").arg(ms));
    }
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setPen(QPen(theme().faint, 2.4));
    draw_wave(painter, area, reference_, scale_of(reference_));
    painter.setPen(QPen(theme().accent, 1.3));
    draw_wave(painter, area, track_, scale_of(track_));
    draw_legend(painter, area, tr("broad: reference   fine: this track, as it is"));
}

CorrelationPicture::CorrelationPicture(QWidget* parent) : QWidget(parent) {
    setObjectName("correlationPicture");
    setMinimumHeight(220);
    setAccessibleName(tr("Correlation against delay"));
}

QString CorrelationPicture::spoken_value() const {
    return curve_.empty() ? QString() : tr("highest at %1 ms").arg(shown_figure(delay_ms_, 2));
}

void CorrelationPicture::show_curve(std::vector<float> curve, double delay_ms) {
    curve_ = std::move(curve);
    delay_ms_ = delay_ms;
    update();
}

void CorrelationPicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const QRect area = area_with_zero_line(painter, rect());
    const auto x_of = [&](double ms) { return area.left() + static_cast<int>((ms + 50.0) / 100.0 * area.width()); };
    for (int ms = -40; ms <= 40; ms += 20) {
        painter.setPen(theme().scale);
        painter.drawLine(x_of(ms), area.top(), x_of(ms), area.bottom());
        painter.setPen(theme().faint);
        painter.drawText(QRect(x_of(ms) - 30, area.bottom() + 2, 60, foot - 4), Qt::AlignCenter,
                         ms == 0 ? tr("in time") : tr("%1 ms").arg(shown_figure(ms, 0)));
    }
    if (curve_.empty()) return;
    painter.setPen(QPen(theme().text, 1.0));
    draw_wave(painter, area, curve_, 1.0);
    painter.setPen(QPen(theme().accent, 1.5, Qt::DashLine));
    painter.drawLine(x_of(delay_ms_), area.top(), x_of(delay_ms_), area.bottom());
    draw_legend(painter, area, tr("correlation; right is later"));
}

}  // namespace isotonus
