#include "app/compare/spectrum_picture.h"

#include <QCoreApplication>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <algorithm>
#include <cmath>

#include "app/shape/frequency.h"
#include "app/style/text.h"
#include "app/style/theme.h"
#include "core/compare/wide_differences.h"
#include "core/words.h"

namespace isotonus {

namespace {

constexpr int words_width = 190, ruler_height = 20, gap = 8;
constexpr double lowest_dbfs = -72.0, highest_dbfs = -6.0, max_difference_db = 12.0;

FrequencyRuler ruler_of(const QRect& area) {
    return {static_cast<double>(area.left()), static_cast<double>(area.right())};
}

/// Values of bands as a line from middle to middle; bands without one are left out.
template <class Value>
QPainterPath line_of(const std::vector<BandDifference>& bands, const FrequencyRuler& ruler, Value y_of) {
    QPainterPath path;
    bool first = true;
    for (const BandDifference& b : bands) {
        const std::optional<double> y = y_of(b);
        if (!y) continue;
        const QPointF at(ruler.x_of(b.hz), *y);
        first ? path.moveTo(at) : path.lineTo(at);
        first = false;
    }
    return path;
}

}  // namespace

SpectrumPicture::SpectrumPicture(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    setObjectName("spectrumPicture");
    setMouseTracking(true);
    setMinimumHeight(190);
    connect(&work_.comparison, &Comparison::changed, this, &SpectrumPicture::follow);
    connect(&work_.view.compare, &CompareView::changed, this, qOverload<>(&QWidget::update));
    connect(&work_.spectra, &Spectra::ready, this, qOverload<>(&QWidget::update));
    connect(&work_.document, &Document::selection_changed, this, qOverload<>(&QWidget::update));
}

QString SpectrumPicture::spoken_value() const { return wide_words(); }

void SpectrumPicture::show_beside(std::vector<size_t> recordings) {
    beside_ = std::move(recordings);
    follow();
}

void SpectrumPicture::follow() {
    const Comparison& all = work_.comparison;
    bands_ = all.spectra.differences(beside_);
    wide_db_ = wide_differences_db(bands_);
    setAccessibleName(beside_.empty() ? tr("Spectrum of the mix") : tr("Mix minus the recordings"));
    update();
}

QString SpectrumPicture::wide_words() const {
    QStringList words;
    for (size_t n = 0; n < wide_names.size(); ++n)
        if (wide_db_[n])
            words << tr("%1 %2").arg(QString::fromStdString(translated(wide_names[n])),
                                     db_text(*wide_db_[n], "dB", true));
    return words.join(", ");
}

QRect compare_frequencies(int width, int top, int height) { return {40, top, width - 40 - words_width, height}; }

void paint_chosen_band(QPainter& painter, const QRect& area, std::optional<int> band) {
    if (!band) return;
    QColor shade = theme().accent;
    shade.setAlpha(50);
    const FrequencyRuler ruler = ruler_of(area);
    const auto [low_hz, high_hz] = third_octave_edges_hz(*band);
    const int from = static_cast<int>(ruler.x_of(low_hz)), to = static_cast<int>(ruler.x_of(high_hz));
    painter.fillRect(QRect(from, area.top(), to - from, area.height()), shade);
}

QRect SpectrumPicture::levels_area() const {
    return compare_frequencies(width(), 4, (height() - ruler_height) * 6 / 10 - 4);
}

std::vector<std::pair<BandMaker, QRect>> SpectrumPicture::makers() const {
    std::vector<std::pair<BandMaker, QRect>> found;
    if (!work_.view.compare.band) return found;
    constexpr int line = 18, lines_above = 7;
    QRect box(levels_area().right() + 16, levels_area().top() + 4 + lines_above * line, words_width - 16, line);
    for (const BandMaker& maker : work_.spectra.makers(work_.player.plan(), *work_.view.compare.band)) {
        if (box.bottom() > height() || maker.share < 0.01) break;
        found.emplace_back(maker, box);
        box.translate(0, line);
    }
    return found;
}

TrackId SpectrumPicture::maker_at(const QPoint& at) const {
    for (const auto& [maker, box] : makers())
        if (box.contains(at)) return maker.row;
    return 0;
}

std::optional<int> SpectrumPicture::band_at(const QPoint& at) const {
    const QRect area = levels_area().united(difference_area());
    if (!area.contains(at)) return std::nullopt;
    return third_octave_at(ruler_of(area).hz(at.x()));
}

QRect SpectrumPicture::difference_area() const {
    const QRect levels = levels_area();
    return {levels.left(), levels.bottom() + gap, levels.width(), height() - ruler_height - levels.bottom() - gap - 2};
}

double SpectrumPicture::Canvas::level_y(double db) const {
    const double share = (std::clamp(db, lowest_dbfs, highest_dbfs) - lowest_dbfs) / (highest_dbfs - lowest_dbfs);
    return levels.bottom() - share * levels.height();
}

double SpectrumPicture::Canvas::difference_y(double db) const {
    return difference.center().y() -
           std::clamp(db, -max_difference_db, max_difference_db) / max_difference_db * difference.height() / 2.0;
}

void SpectrumPicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setFont(lettering(11));
    const Canvas c{painter, levels_area(), difference_area(), ruler_of(levels_area())};
    for (const QRect& area : {c.levels, c.difference}) painter.fillRect(area, theme().ground);
    for (const QRect& area : {c.levels, c.difference}) paint_chosen_band(painter, area, work_.view.compare.band);
    for (const QRect& area : {c.levels, c.difference}) c.ruler.paint_rules(painter, area);
    c.ruler.paint(painter, QRect(c.levels.left(), height() - ruler_height, c.levels.width(), ruler_height));
    paint_scales(c);
    if (bands_.empty()) {
        painter.drawText(c.levels, Qt::AlignCenter, tr("the spectrum of the mix is being computed…"));
        return;
    }
    if (has_several()) paint_usual(c);
    paint_lines(c);
    paint_makers(c);
    paint_sums(c);
}

bool SpectrumPicture::has_several() const {
    return std::any_of(bands_.begin(), bands_.end(), [](const BandDifference& b) { return b.tolerance_db > 0.0; });
}

void SpectrumPicture::paint_scales(const Canvas& c) {
    QPainter& painter = c.painter;
    const QRect& difference = c.difference;
    painter.setPen(theme().faint);
    for (const double db : {-60.0, -36.0, -12.0}) {
        const int y = static_cast<int>(c.level_y(db));
        painter.drawText(QRect(0, y - 8, 36, 16), Qt::AlignRight | Qt::AlignVCenter,
                         QString::number(db).replace('-', QChar(0x2212)));
    }
    for (const double db : {-6.0, 0.0, 6.0}) {
        const int y = static_cast<int>(c.difference_y(db));
        painter.setPen(theme().faint);
        painter.drawText(QRect(0, y - 8, 36, 16), Qt::AlignRight | Qt::AlignVCenter,
                         (db > 0.0 ? "+" : "") + QString::number(db).replace('-', QChar(0x2212)));
        painter.setPen(db == 0.0 ? theme().faint : theme().scale);
        painter.drawLine(difference.left(), y, difference.right(), y);
    }
}

void SpectrumPicture::paint_usual(const Canvas& c) {
    QPainter& painter = c.painter;
    const QRect& levels = c.levels;
    const QRect& difference = c.difference;
    const FrequencyRuler& ruler = c.ruler;
    // What is usual among the references: their mean, and as far again as they stand apart.
    const auto band_between = [&](auto upper, auto lower, const QRect& area) {
        QPainterPath path = line_of(bands_, ruler, upper);
        path.connectPath(line_of(bands_, ruler, lower).toReversed());
        QColor shade = theme().faint;
        shade.setAlpha(60);
        painter.setClipRect(area);
        painter.fillPath(path, shade);
        painter.setClipping(false);
    };
    using Band = const BandDifference&;
    using Y = std::optional<double>;
    band_between([&](Band b) { return b.reference_dbfs ? Y(c.level_y(*b.reference_dbfs + b.tolerance_db)) : Y(); },
                 [&](Band b) { return b.reference_dbfs ? Y(c.level_y(*b.reference_dbfs - b.tolerance_db)) : Y(); },
                 levels);
    band_between([&](Band b) { return Y(c.difference_y(b.tolerance_db)); },
                 [&](Band b) { return Y(c.difference_y(-b.tolerance_db)); }, difference);
}

void SpectrumPicture::paint_lines(const Canvas& c) {
    QPainter& painter = c.painter;
    const QRect& levels = c.levels;
    const QRect& difference = c.difference;
    const FrequencyRuler& ruler = c.ruler;
    const auto stroke = [&](const QPainterPath& path, const QColor& colour, double wide, const QRect& area) {
        painter.setClipRect(area);
        painter.setPen(QPen(colour, wide));
        painter.drawPath(path);
        painter.setClipping(false);
    };
    const auto y_of = [&](const Level& level) {
        return level ? std::optional<double>(c.level_y(*level)) : std::nullopt;
    };
    stroke(line_of(bands_, ruler, [&](const BandDifference& b) { return y_of(b.reference_dbfs); }), theme().faint, 1.4,
           levels);
    stroke(line_of(bands_, ruler, [&](const BandDifference& b) { return y_of(b.mix_dbfs); }), theme().text, 1.6,
           levels);
    stroke(line_of(bands_, ruler,
                   [&](const BandDifference& b) {
                       return b.difference_db ? std::optional<double>(c.difference_y(*b.difference_db)) : std::nullopt;
                   }),
           theme().accent, 2.0, difference);
}

/// Who makes the chosen band.
void SpectrumPicture::paint_makers(const Canvas& c) {
    QPainter& painter = c.painter;
    const auto rows = makers();
    if (rows.empty()) return;
    painter.setFont(lettering(12));
    painter.setPen(theme().faint);
    painter.drawText(rows.front().second.translated(0, -18), Qt::AlignLeft | Qt::AlignVCenter,
                     tr("Shares of the tracks in %1:").arg(hz_text(third_octave_name_hz(*work_.view.compare.band))));
    for (const auto& [maker, box] : rows) {
        const Track* t = work_.document.track(maker.row);
        if (!t) continue;
        painter.fillRect(box.left(), box.top() + 3, 4, box.height() - 6, theme().track_colour(t->colour_index));
        painter.setPen(work_.document.is_selected(maker.row) ? theme().accent : theme().text);
        const QString percent = tr("%1 %").arg(std::lround(100.0 * maker.share));
        painter.drawText(box.adjusted(10, 0, -8, 0), Qt::AlignRight | Qt::AlignVCenter, percent);
        painter.drawText(
            box.adjusted(10, 0, -52, 0), Qt::AlignLeft | Qt::AlignVCenter,
            QFontMetrics(painter.font()).elidedText(QString::fromStdString(t->name), Qt::ElideRight, box.width() - 62));
    }
}

/// The sums, in words, at the right.
void SpectrumPicture::paint_sums(const Canvas& c) {
    QPainter& painter = c.painter;
    const QRect& levels = c.levels;
    painter.setFont(lettering(12));
    int y = levels.top() + 4;
    const int x = levels.right() + 16;
    const auto line = [&](const QString& text, const QColor& colour) {
        painter.setPen(colour);
        painter.drawText(QRect(x, y, width() - x, 18), Qt::AlignLeft | Qt::AlignVCenter, text);
        y += 18;
    };
    const bool compared =
        std::any_of(bands_.begin(), bands_.end(), [](const BandDifference& b) { return b.reference_dbfs.has_value(); });
    if (!compared) {
        line(tr("no recordings yet"), theme().faint);
        return;
    }
    const double spread = 3.0;  // common practice, no source
    line(has_several() ? tr("minus the references' mean") : tr("mix minus recording"), theme().faint);
    for (size_t n = 0; n < wide_names.size(); ++n) {
        if (!wide_db_[n]) continue;
        const QString name = QString::fromStdString(translated(wide_names[n]));
        line(tr("%1  %2").arg(name, db_text(*wide_db_[n], "dB", true)),
             std::fabs(*wide_db_[n]) > spread ? theme().above : theme().text);
    }
}

QString SpectrumPicture::sentence_at(const QPoint& at) const {
    const auto pointed = band_at(at);
    if (!pointed || bands_.empty()) return {};
    const int band = *pointed;
    const auto nearest = bands_.begin() + band;
    const QString name = hz_text(third_octave_name_hz(band));
    if (!nearest->mix_dbfs) return tr("%1: nothing in the mix").arg(name);
    if (!nearest->difference_db) return tr("%1: the mix %2").arg(name, db_text(*nearest->mix_dbfs, "dBFS"));
    QString form = tr("%1: the mix %2, the recordings %3, difference %4.");
    if (nearest->tolerance_db > 0.0)
        form = std::fabs(*nearest->difference_db) <= nearest->tolerance_db
                   ? tr("%1: the mix %2, the references %3, difference %4. The references differ as much from each "
                        "other.")
                   : tr("%1: the mix %2, the references %3, difference %4. The references differ less from each "
                        "other.");
    return form.arg(name, db_text(*nearest->mix_dbfs, "dBFS"), db_text(*nearest->reference_dbfs, "dBFS"),
                    db_text(*nearest->difference_db, "dB", true));
}

void SpectrumPicture::mouseMoveEvent(QMouseEvent* event) {
    emit work_.view.hint(maker_at(event->pos()) != 0 ? tr("Click to select the track, double click to open its chain.")
                                                     : sentence_at(event->pos()));
}

void SpectrumPicture::mouseDoubleClickEvent(QMouseEvent* event) {
    constexpr int shape = 3;
    if (maker_at(event->pos()) != 0) emit work_.view.station_wanted(shape);
}

void SpectrumPicture::mousePressEvent(QMouseEvent* event) {
    if (const TrackId row = maker_at(event->pos()); row != 0) return work_.document.select_only(row);
    const auto band = band_at(event->pos());
    if (event->button() == Qt::LeftButton && band)
        work_.view.compare.choose_band(band == work_.view.compare.band ? std::nullopt : band);
}

void SpectrumPicture::leaveEvent(QEvent*) { emit work_.view.hint({}); }

}  // namespace isotonus
