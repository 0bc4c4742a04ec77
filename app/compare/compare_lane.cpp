#include "app/compare/compare_lane.h"

#include <QPainter>
#include <cmath>

#include "app/compare/spectrum_picture.h"
#include "app/shape/frequency.h"
#include "core/compare/third_octaves.h"

namespace isotonus {

CompareLane::CompareLane(Workspace& work, TrackId id, QWidget* parent) : PlainLane(work, id, parent) {
    connect(&work_.spectra, &Spectra::ready, this, qOverload<>(&QWidget::update));
    connect(&work_.view.compare, &CompareView::changed, this, &Lane::refresh);
    connect(&work_.player, &Player::plan_changed, this, &Lane::refresh);
}

std::optional<double> CompareLane::share() const {
    if (!work_.view.compare.band) return std::nullopt;
    for (const BandMaker& maker : work_.spectra.makers(work_.player.plan(), *work_.view.compare.band))
        if (maker.row == id()) return maker.share;
    return std::nullopt;
}

QString CompareLane::value_name() const {
    const auto band = work_.view.compare.band;
    return band ? tr("of %1").arg(hz_text(third_octave_name_hz(*band))) : tr("in the mix");
}

QString CompareLane::value_text() const {
    if (!work_.view.compare.band) return tr("click a band to see which tracks make it");
    const auto part = share();
    return part ? tr("%1 %").arg(std::lround(100.0 * *part)) : tr("nothing");
}

void CompareLane::paint(QPainter& painter, const QRect&) {
    const Track& t = *track();
    const QRect area = compare_frequencies(width(), 2, height() - 4);
    const FrequencyRuler ruler{static_cast<double>(area.left()), static_cast<double>(area.right())};
    ruler.paint_rules(painter, area);
    const auto band = work_.view.compare.band;
    paint_chosen_band(painter, area, band);
    const bool heard = work_.document.session().is_heard(t) && std::isfinite(t.fader_db);
    const MaterialPtr m = work_.materials.played(t);
    painter.setFont(lettering(11));
    painter.setPen(theme().faint);
    if (!m || !heard) {
        painter.drawText(area.adjusted(8, 0, 0, 0), Qt::AlignVCenter, m ? tr("not heard") : tr("no file"));
        return;
    }
    if (const LongTermSpectrum* spectrum = work_.spectra.of(m)) {
        painter.setRenderHint(QPainter::Antialiasing);
        painter.setPen(QPen(theme().track_colour(t.colour_index), 1.6));
        painter.setClipRect(area);
        painter.drawPath(spectrum_path(*spectrum, after_chain(t, *m).trim_db + t.fader_db, ruler, area));
        painter.setClipping(false);
        painter.setRenderHint(QPainter::Antialiasing, false);
    }
    const auto part = share();
    if (!band || !part) return;
    const QRect bar(area.right() + 16, y(14), 100, y(8));
    painter.fillRect(bar, theme().rule);
    QRect filled = bar;
    filled.setWidth(static_cast<int>(std::lround(*part * bar.width())));
    painter.fillRect(filled, theme().track_colour(t.colour_index));
    painter.setPen(theme().text);
    painter.drawText(QRect(bar.right() + 8, 0, width() - bar.right() - 8, height() - 1), Qt::AlignVCenter,
                     tr("%1 %").arg(100.0 * *part, 0, 'f', *part < 0.095 ? 1 : 0));
}

}  // namespace isotonus
