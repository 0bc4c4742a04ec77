#include "app/mains/main_spectrum.h"

#include <QPainter>

#include "app/style/theme.h"

namespace isotonus {

MainSpectrum::MainSpectrum(Workspace& work, QWidget* parent) : QWidget(parent), work_(work), live_(work, this) {
    setObjectName("mainSpectrum");
    setAccessibleName(tr("Spectrum of the main output"));
    setToolTip(tr("Spectrum of the main output, 20 Hz to 20 kHz: the line is the whole song, the area is live."));
    const auto redraw = [this] { update(); };
    connect(&live_, &LiveSpectrum::changed, this, redraw);
    connect(&work_.spectra, &Spectra::ready, this, redraw);
    connect(&work_.player, &Player::plan_changed, this, redraw);
    connect(&work_.materials, &Materials::reshaped, this, redraw);
}

QString MainSpectrum::spoken_value() const { return live_.now() ? tr("live") : tr("of the whole song"); }

void MainSpectrum::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), theme().ground);
    const QRect area = rect().adjusted(0, 0, 0, -14);
    const FrequencyRuler freq{static_cast<double>(area.left()), static_cast<double>(area.right())};
    painter.setFont(lettering(10));
    for (const auto& [hz, text] : {std::pair{100.0, "100"}, std::pair{1000.0, "1k"}, std::pair{10000.0, "10k"}}) {
        const int x = static_cast<int>(freq.x_of(hz));
        painter.setPen(theme().scale);
        painter.drawLine(x, area.top(), x, area.bottom());
        painter.setPen(theme().faint);
        painter.drawText(QRect(x - 20, area.bottom() + 1, 40, 13), Qt::AlignCenter, text);
    }
    const auto row = shaped_row(work_, main_output);
    const MaterialPtr heard = row->after ? row->after : row->before;
    live_.follow(heard, 0);
    painter.setRenderHint(QPainter::Antialiasing);
    if (live_.now()) {
        QPainterPath path = spectrum_path(*live_.now(), 0.0, freq, area);
        path.lineTo(area.right(), area.bottom());
        path.lineTo(area.left(), area.bottom());
        painter.fillPath(path, theme().rule);
    }
    if (const LongTermSpectrum* song = heard ? work_.spectra.of(heard) : nullptr) {
        painter.setPen(QPen(theme().text, 1.2));
        painter.drawPath(spectrum_path(*song, 0.0, freq, area));
    }
}

}  // namespace isotonus
