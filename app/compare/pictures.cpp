#include "app/compare/pictures.h"

#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <algorithm>
#include <cmath>

#include "app/compare/spectrum_picture.h"
#include "app/desk/lane.h"
#include "app/shape/frequency.h"
#include "app/style/text.h"
#include "core/measure/passage.h"

namespace isotonus {

namespace {

constexpr int names_width = 170, figures_width = 200, ruler_space = 18;
constexpr double lowest_lufs = -48.0, highest_lufs = -6.0;
constexpr double widest_db = 12.0, narrowest_db = -36.0;

/// Short-term loudness as a line in a strip.
QPainterPath loudness_line(const std::vector<double>& hops, const QRect& strip,
                           const std::function<double(double)>& x_of) {
    QPainterPath path;
    const std::vector<Level> series = short_term_series_lufs(hops);
    const size_t step = std::max<size_t>(1, series.size() / static_cast<size_t>(std::max(1, strip.width())));
    constexpr size_t first = 29;  // before, 3 s are not full
    for (size_t n = first; n < series.size(); n += step) {
        const double lufs = std::clamp(series[n].value_or(lowest_lufs), lowest_lufs, highest_lufs);
        const double share = (lufs - lowest_lufs) / (highest_lufs - lowest_lufs);
        const QPointF at(x_of((static_cast<double>(n) + 1.0) * 0.1), strip.bottom() - share * (strip.height() - 2));
        n == first ? path.moveTo(at) : path.lineTo(at);
    }
    return path;
}

}  // namespace

LoudnessPicture::LoudnessPicture(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    setObjectName("loudnessPicture");
    setAccessibleName(tr("Loudness over the song"));
    setMouseTracking(true);
    const auto redraw = qOverload<>(&QWidget::update);
    connect(&work_.comparison, &Comparison::changed, this, redraw);
    connect(&work_.player, &Player::moved, this, redraw);
}

QString LoudnessPicture::spoken_value() const {
    return tr("the mix and %n recording(s)", nullptr, static_cast<int>(beside_.size()));
}

void LoudnessPicture::show_beside(std::vector<size_t> recordings) {
    beside_ = std::move(recordings);
    update();
}

std::optional<std::pair<size_t, size_t>> LoudnessPicture::chosen() const {
    const auto& all = work_.comparison.recordings();
    const bool there = chosen_ && chosen_->first < all.size() && chosen_->second < all[chosen_->first].passages.size();
    return there ? chosen_ : std::nullopt;
}

QRect LoudnessPicture::strip(size_t row) const {
    const int rows = static_cast<int>(beside_.size()) + 1, room = height() - ruler_space;
    const int high = std::clamp(room / rows, 16, 90);
    return {names_width, static_cast<int>(row) * high, width() - names_width - figures_width, high - 4};
}

double LoudnessPicture::longest_s() const {
    double longest = std::max(1.0, work_.player.plan()->duration_s());
    for (const size_t n : beside_)
        if (const Comparison::Known* k = work_.comparison.known(n); k && k->material)
            longest = std::max(longest, k->material->measurement.duration_s());
    return longest;
}

double LoudnessPicture::time_at(int x) const {
    const QRect s = strip(0);
    return std::clamp((x - s.left()) / std::max(1.0, static_cast<double>(s.width())), 0.0, 1.0) * longest_s();
}

QPoint LoudnessPicture::point_of(std::optional<size_t> recording, double time_s) const {
    size_t row = 0;
    if (recording)
        row = static_cast<size_t>(std::find(beside_.begin(), beside_.end(), *recording) - beside_.begin()) + 1;
    const QRect s = strip(row);
    return {static_cast<int>(std::lround(s.left() + time_s / longest_s() * s.width())), s.center().y()};
}

std::optional<size_t> LoudnessPicture::row_at(const QPoint& at) const {
    for (size_t row = 0; row <= beside_.size(); ++row)
        if (strip(row).contains(at)) return row;
    return std::nullopt;
}

void LoudnessPicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setFont(lettering(11));
    const auto x_of = [this](double s) { return point_of(std::nullopt, s).x(); };
    const double now_s = work_.player.position_s();
    for (size_t row = 0; row <= beside_.size(); ++row) {
        const QRect s = strip(row);
        painter.fillRect(s, theme().ground);
        const Recording* recording = nullptr;
        const std::vector<double>* hops = &work_.comparison.mix_hops();
        const Measurement* m = work_.mix.figures() ? &work_.mix.figures()->measurement : nullptr;
        QString name = tr("the mix");
        if (row > 0) {
            const size_t n = beside_[row - 1];
            if (n >= work_.comparison.recordings().size()) continue;
            recording = &work_.comparison.recordings()[n];
            name = QString::fromStdString(recording->name);
            const Comparison::Known* k = work_.comparison.known(n);
            hops = k && k->material ? &k->material->hops.weighted : nullptr;
            m = k && k->material ? &k->material->measurement : nullptr;
        }
        painter.setPen(theme().text);
        painter.drawText(QRect(0, s.top(), names_width - 10, s.height()), Qt::AlignVCenter,
                         QFontMetrics(painter.font()).elidedText(name, Qt::ElideRight, names_width - 10));
        if (m) {
            painter.setPen(theme().faint);
            const QString range =
                m->loudness_range_lu ? tr("%1 LU").arg(shown_figure(*m->loudness_range_lu, 1)) : tr("–");
            const QString crest = m->crest_db ? db_text(*m->crest_db) : tr("–");
            painter.drawText(QRect(s.right() + 12, s.top(), figures_width - 12, s.height()), Qt::AlignVCenter,
                             tr("range %1, crest %2").arg(range, crest));
        }
        // Passages: what is marked of it, tied ones firmly; the chosen one in the accent.
        if (recording)
            for (size_t p = 0; p < recording->passages.size(); ++p) {
                const RecordingPassage& passage = recording->passages[p];
                const bool is_chosen = chosen() == std::pair(beside_[row - 1], p);
                QColor shade = is_chosen ? theme().accent : theme().faint;
                shade.setAlpha(passage.tied() ? 90 : 45);
                const QRect box(QPoint(x_of(passage.from_s), s.top()), QPoint(x_of(passage.to_s), s.bottom()));
                painter.fillRect(box, shade);
                painter.setPen(theme().text);
                painter.drawText(box.adjusted(4, 0, 0, 0), Qt::AlignLeft | Qt::AlignTop,
                                 QString::fromStdString(passage.name));
                if (passage.tied()) {  // its place in the song, above
                    const QRect song = strip(0);
                    painter.fillRect(QRect(QPoint(x_of(*passage.song_from_s), song.bottom() - 3),
                                           QPoint(x_of(*passage.song_to_s), song.bottom())),
                                     is_chosen ? theme().accent : theme().faint);
                }
            }
        if (row > 0 && dragged_ == row) {
            QColor shade = theme().accent;
            shade.setAlpha(70);
            painter.fillRect(QRect(QPoint(x_of(std::min(drag_from_s_, drag_to_s_)), s.top()),
                                   QPoint(x_of(std::max(drag_from_s_, drag_to_s_)), s.bottom())),
                             shade);
        }
        if (hops) {
            painter.setRenderHint(QPainter::Antialiasing);
            painter.setPen(QPen(row == 0 ? theme().text : theme().faint, 1.4));
            painter.drawPath(loudness_line(*hops, s, x_of));
            painter.setRenderHint(QPainter::Antialiasing, false);
        }
        const double at_s = recording ? recording->recording_time_s(now_s) : now_s;
        if (at_s >= 0.0) painter.fillRect(x_of(at_s), s.top(), 1, s.height(), theme().accent);
    }
    const QRect last = strip(beside_.size());
    const double longest = longest_s();
    painter.setPen(theme().faint);
    double step = 5.0;
    if (longest > 240.0)
        step = 60.0;
    else if (longest > 90.0)
        step = 30.0;
    else if (longest > 30.0)
        step = 10.0;
    for (double t = 0.0; t < longest; t += step)
        painter.drawText(QRect(x_of(t), last.bottom() + 2, 60, 14), Qt::AlignLeft, time_text(t, 0));
}

void LoudnessPicture::mousePressEvent(QMouseEvent* event) {
    const auto row = row_at(event->pos());
    if (event->button() != Qt::LeftButton || !row) return;
    const double t = time_at(event->pos().x());
    if (*row == 0) return work_.player.locate(t);
    dragged_ = row;
    drag_from_s_ = drag_to_s_ = t;
}

void LoudnessPicture::mouseMoveEvent(QMouseEvent* event) {
    const double t = time_at(event->pos().x());
    if (dragged_) {
        drag_to_s_ = t;
        update();
    }
    const auto row = row_at(event->pos());
    QString hint;
    if (row && *row == 0)
        hint = tr("The mix at %1. Click to move the playhead there.").arg(time_text(t));
    else if (row)
        hint =
            tr("%1 of the recording. Drag to mark a passage; double click to compare it with the song at the playhead.")
                .arg(time_text(t));
    emit work_.view.hint(hint);
}

void LoudnessPicture::mouseReleaseEvent(QMouseEvent* event) {
    if (!dragged_ || event->button() != Qt::LeftButton) return;
    const size_t n = beside_[*dragged_ - 1];
    dragged_.reset();
    const double from = std::min(drag_from_s_, drag_to_s_), to = std::max(drag_from_s_, drag_to_s_);
    const auto& passages = work_.comparison.recordings()[n].passages;
    constexpr double shortest_s = 0.5;
    if (to - from < shortest_s) {
        chosen_.reset();
        for (size_t p = 0; p < passages.size(); ++p)
            if (passages[p].from_s <= from && from <= passages[p].to_s) chosen_ = {n, p};
    } else {
        const QString name = tr("passage %1").arg(passages.size() + 1);
        work_.comparison.change(n, tr("Mark %1").arg(name), [&](Recording& r) {
            r.passages.push_back({name.toStdString(), from, to, {}, {}});
        });
        chosen_ = {n, work_.comparison.recordings()[n].passages.size() - 1};
    }
    update();
    emit passage_chosen();
}

void LoudnessPicture::mouseDoubleClickEvent(QMouseEvent* event) {
    const auto row = row_at(event->pos());
    if (event->button() != Qt::LeftButton || !row || *row == 0) return;
    dragged_.reset();
    const size_t n = beside_[*row - 1];
    const double t = time_at(event->pos().x()), now = work_.player.position_s();
    work_.comparison.change(
        n,
        tr("%1 of %2 against %3 of the song")
            .arg(time_text(t), QString::fromStdString(work_.comparison.recordings()[n].name), time_text(now)),
        [&](Recording& r) { r.starts_s = t - now; });
}

void LoudnessPicture::leaveEvent(QEvent*) { emit work_.view.hint({}); }

WidthPicture::WidthPicture(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    setObjectName("widthPicture");
    setAccessibleName(tr("Width by bands"));
    setMouseTracking(true);
    connect(&work_.comparison, &Comparison::changed, this, qOverload<>(&QWidget::update));
}

QString WidthPicture::spoken_value() const { return low_end_words(); }

void WidthPicture::show_beside(std::vector<size_t> recordings) {
    beside_ = std::move(recordings);
    update();
}

QString WidthPicture::low_end_words() const {
    const int last = last_band_below(wide_edges_hz[0]);
    const auto words = [&](const ThirdOctaves& spectrum) {
        const auto agree = agreement(spectrum, 0, last);
        return agree ? tr("%1").arg(shown_figure(*agree, 2)) : tr("no sound");
    };
    const auto& mix = work_.comparison.spectra.mix();
    if (!mix) return tr("the spectrum of the mix is being computed…");
    QString text = tr("low end (below 120 Hz), correlation of left and right: the mix %1").arg(words(*mix));
    for (const size_t n : beside_)
        if (const ThirdOctaves* its =
                n < work_.comparison.recordings().size() ? work_.comparison.spectra.of(n) : nullptr)
            text =
                tr("%1, %2 %3").arg(text, QString::fromStdString(work_.comparison.recordings()[n].name), words(*its));
    return tr("%1. +1 is mono; at 0 the channels are unrelated.").arg(text);
}

void WidthPicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setFont(lettering(11));
    const QRect area = compare_frequencies(width(), 22, height() - 22 - 22);
    const FrequencyRuler ruler{static_cast<double>(area.left()), static_cast<double>(area.right())};
    painter.fillRect(area, theme().ground);
    ruler.paint_rules(painter, area);
    ruler.paint(painter, QRect(area.left(), area.bottom() + 2, area.width(), 20));
    painter.setPen(theme().text);
    painter.drawText(QRect(0, 0, width(), 20), Qt::AlignLeft | Qt::AlignVCenter, low_end_words());
    const auto y_of = [&](double db) {
        return area.bottom() -
               (std::clamp(db, narrowest_db, widest_db) - narrowest_db) / (widest_db - narrowest_db) * area.height();
    };
    for (const double db : {-24.0, -12.0, 0.0}) {
        const int y = static_cast<int>(y_of(db));
        painter.setPen(theme().faint);
        painter.drawText(QRect(0, y - 8, 36, 16), Qt::AlignRight | Qt::AlignVCenter,
                         QString::number(db).replace('-', QChar(0x2212)));
        painter.setPen(db == 0.0 ? theme().faint : theme().scale);
        painter.drawLine(area.left(), y, area.right(), y);
    }
    const auto line = [&](const ThirdOctaves& spectrum, const QColor& colour, double wide) {
        QPainterPath path;
        bool first = true;
        for (int b = 0; b < third_octaves; ++b) {
            const auto sides = sides_over_middle_db(spectrum, b, b);
            if (!sides) continue;
            const QPointF at(ruler.x_of(third_octave_hz(b)), y_of(*sides));
            first ? path.moveTo(at) : path.lineTo(at);
            first = false;
        }
        painter.setRenderHint(QPainter::Antialiasing);
        painter.setClipRect(area);
        painter.setPen(QPen(colour, wide));
        painter.drawPath(path);
        painter.setClipping(false);
        painter.setRenderHint(QPainter::Antialiasing, false);
    };
    for (const size_t n : beside_)
        if (const ThirdOctaves* its =
                n < work_.comparison.recordings().size() ? work_.comparison.spectra.of(n) : nullptr)
            line(*its, theme().faint, 1.4);
    if (const auto& mix = work_.comparison.spectra.mix()) line(*mix, theme().text, 1.8);
    painter.setPen(theme().faint);
    painter.drawText(QRect(area.right() + 16, area.top(), width() - area.right() - 16, 60),
                     Qt::AlignLeft | Qt::AlignTop | Qt::TextWordWrap, tr("side over mid, dB: at 0 dB both are equal"));
}

void WidthPicture::mouseMoveEvent(QMouseEvent* event) {
    const QRect area = compare_frequencies(width(), 22, height() - 44);
    const auto& mix = work_.comparison.spectra.mix();
    if (!area.contains(event->pos()) || !mix) return emit work_.view.hint({});
    const FrequencyRuler ruler{static_cast<double>(area.left()), static_cast<double>(area.right())};
    const int band = third_octave_at(ruler.hz(event->pos().x()));
    const auto sides = sides_over_middle_db(*mix, band, band), agree = agreement(*mix, band, band);
    const QString name = hz_text(third_octave_name_hz(band));
    emit work_.view.hint(sides ? tr("%1: side %2 against mid in the mix; left and right correlate by %3")
                                     .arg(name, db_text(*sides, "dB", true))
                                     .arg(shown_figure(*agree, 2))
                               : tr("%1: nothing in the mix").arg(name));
}

void WidthPicture::leaveEvent(QEvent*) { emit work_.view.hint({}); }

}  // namespace isotonus
