#include "app/shape/shape_picture.h"

#include <QContextMenuEvent>
#include <QMenu>

#include "app/desk/ride_menu.h"

#include <QMouseEvent>
#include <QPainter>
#include <QRegularExpression>
#include <QWheelEvent>
#include <algorithm>
#include <array>
#include <cmath>

#include "app/style/text.h"
#include "app/style/theme.h"
#include "core/compare/third_octaves.h"
#include "core/shape/advice.h"
#include "core/shape/equaliser.h"
#include "core/shape/reverb.h"

namespace isotonus {

namespace {
// Common practice, no source.
constexpr double sweep_boost_db = 9.0, sweep_cut_db = -4.0, sweep_q = 8.0;
}  // namespace

ShapePicture::ShapePicture(Workspace& work, QWidget* parent) : QWidget(parent), work_(work), live_(work, this) {
    setAttribute(Qt::WA_OpaquePaintEvent);
    setObjectName("shapePicture");
    setAccessibleName(tr("Frequencies of the selected track"));
    setMouseTracking(true);
    setMinimumWidth(240);
    const auto redraw = qOverload<>(&QWidget::update);
    connect(&live_, &LiveSpectrum::changed, this, redraw);
    connect(&work_.spectra, &Spectra::ready, this, redraw);
    connect(&work_.materials, &Materials::reshaped, this, redraw);
    connect(&work_.document, &Document::session_changed, this, redraw);
    connect(&work_.document, &Document::selection_changed, this, redraw);
    connect(&work_.view.shape, &ShapeView::row_changed, this, redraw);
    connect(&work_.view.shape, &ShapeView::ghosts_changed, this, redraw);
}

QString ShapePicture::spoken_value() const {
    QStringList words;
    if (const Chain* all = chain())
        for (const Processor& p : *all)
            if (const ParameterInfo* hz = p.type == "low_cut" || p.type == "high_cut" ? parameter_of(p, "hz") : nullptr)
                words << tr("%1 at %2 Hz")
                             .arg(QString::fromStdString(word_of(p.type)))
                             .arg(setting_of(p, *hz), 0, 'f', 0);
    if (const Processor* eq = equaliser())
        for (int b = 0; b < 8; ++b)
            if (band_value(*eq, b, "in") >= 0.5)
                words << tr("band %1: %2 at %3 Hz")
                             .arg(b + 1)
                             .arg(db_text(band_value(*eq, b, "db"), "dB", true))
                             .arg(band_value(*eq, b, "hz"), 0, 'f', 0);
    return words.isEmpty() ? tr("no filter") : words.join(", ");
}

double ShapePicture::y_of(double db) const { return canvas().center().y() - db / 24.0 * canvas().height() / 2.0; }
double ShapePicture::db_of(double y) const { return (canvas().center().y() - y) * 2.0 / canvas().height() * 24.0; }

const Chain* ShapePicture::chain() const { return work_.writing.chain_now(work_.view.shape.row()); }

const Processor* ShapePicture::equaliser() const { return chain() ? first_of(*chain(), "equaliser") : nullptr; }

int ShapePicture::band_at(const QPoint& at) const {
    const Processor* eq = equaliser();
    if (!eq) return -1;
    for (int b = 0; b < 8; ++b)
        if (band_value(*eq, b, "in") >= 0.5 &&
            std::hypot(ruler().x_of(band_value(*eq, b, "hz")) - at.x(), y_of(band_value(*eq, b, "db")) - at.y()) < 12.0)
            return b;
    return -1;
}

const QPainterPath& ShapePicture::line_of(Line& line, const Chain& chain, double rate,
                                          const std::function<double(double)>& y_of) const {
    if (line.path.isEmpty() || line.chain != chain || line.rate != rate || line.size != size())
        line = {chain, rate, size(), response_path(chain, rate, ruler(), 2.0, y_of)};
    return line.path;
}

void ShapePicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), theme().ground);
    const QRect c = canvas();
    const FrequencyRuler freq = ruler();
    painter.setFont(lettering(11));
    painter.setPen(theme().scale);
    for (const double db : {-24.0, -12.0, 0.0, 12.0, 24.0}) {
        painter.setPen(theme().scale);
        painter.drawLine(c.left(), static_cast<int>(y_of(db)), c.right(), static_cast<int>(y_of(db)));
        painter.setPen(theme().faint);
        painter.drawText(QRect(0, static_cast<int>(y_of(db)) - 8, 30, 16), Qt::AlignRight | Qt::AlignVCenter,
                         QString(db > 0 ? "+%1" : "%1").arg(db).replace('-', QChar(0x2212)));
    }
    painter.drawText(c.adjusted(6, 4, 0, 0), Qt::AlignLeft | Qt::AlignTop, tr("gain, dB"));
    freq.paint_rules(painter, c);
    freq.paint(painter, QRect(0, c.bottom() + 2, width(), 22));
    const auto row = shaped_row(work_, work_.view.shape.row());
    if (!row) return;
    paint_cover(painter, c, freq);
    paint_owned(painter, c, freq);
    painter.setRenderHint(QPainter::Antialiasing);
    if (const LongTermSpectrum* before = row->before ? work_.spectra.of(row->before) : nullptr) {
        painter.setPen(QPen(theme().faint, 1.0));
        painter.drawPath(spectrum_path(*before, row->trim_db, freq, c));
    }
    if (const LongTermSpectrum* after = row->after ? work_.spectra.of(row->after) : nullptr) {
        painter.setPen(QPen(theme().track_colour(row->colour_index), 1.8));
        painter.drawPath(spectrum_path(*after, 0.0, freq, c));
    }
    // Where the song plays; what is heard of the row if it is not muted.
    const Track* track = work_.document.track(work_.view.shape.row());
    live_.follow(row->after ? row->after : row->before,
                 track && row->before && !row->after ? start_in_song(*track, row->before->origin()) : 0);
    if (live_.now()) {
        painter.setPen(QPen(theme().accent, 1.0));
        painter.drawPath(spectrum_path(*live_.now(), row->after ? 0.0 : row->trim_db, freq, c));
    }
    const auto inside = [&](double db) {
        return std::clamp(y_of(db), static_cast<double>(c.top()), static_cast<double>(c.bottom()));
    };
    const double rate = work_.document.session().sample_rate;
    const auto ghost = work_.view.shape.ghosts().find(work_.view.shape.row());
    if (ghost != work_.view.shape.ghosts().end()) {
        painter.setPen(QPen(theme().accent, 1.5, Qt::DashLine));
        painter.drawPath(line_of(ghost_line_, ghost->second, rate, inside));
    }
    painter.setPen(QPen(theme().text, 1.5));
    painter.drawPath(line_of(line_, *chain(), rate, inside));
    painter.setRenderHint(QPainter::Antialiasing, false);
    paint_decay(painter, c, freq);
    if (const Processor* eq = equaliser())
        for (int b = 0; b < 8; ++b) {
            if (band_value(*eq, b, "in") < 0.5) continue;
            // A bracket as wide as the band works, with a blade at its middle.
            const double at_hz = band_value(*eq, b, "hz"), q = band_value(*eq, b, "q");
            const double half = std::exp(std::asinh(0.5 / q));
            const int x = static_cast<int>(freq.x_of(at_hz)), y = static_cast<int>(y_of(band_value(*eq, b, "db")));
            const int from = static_cast<int>(freq.x_of(std::max(lowest_hz, at_hz / half)));
            const int to = static_cast<int>(freq.x_of(std::min(highest_hz, at_hz * half)));
            painter.setPen(QPen(theme().accent, 1.5));
            painter.drawLine(from, y, to, y);
            painter.drawLine(from, y - 4, from, y + 4);
            painter.drawLine(to, y - 4, to, y + 4);
            painter.fillRect(x - 2, y - 9, 4, 18, theme().accent);
        }
    if (!c.contains(pointer_)) return;
    const double pointed = freq.hz(pointer_.x());
    painter.setPen(theme().text);
    painter.setFont(lettering(12));
    painter.drawText(c.adjusted(6, 4, -6, 0), Qt::AlignRight | Qt::AlignTop,
                     QStringList{hz_text(pointed), QString::fromStdString(note_name(pointed)), cover_text(pointed),
                                 owned_text(pointed)}
                         .filter(QRegularExpression("."))
                         .join("  "));
}

/// How long the chosen reverb rings in each octave: the longest fills a third of the picture.
void ShapePicture::paint_decay(QPainter& painter, const QRect& area, const FrequencyRuler& ruler) const {
    const Chain* of = chain();
    const size_t at = work_.view.shape.position;
    if (!of || at >= of->size() || (*of)[at].type != reverb_type().id) return;
    const Processor& reverb = (*of)[at];
    constexpr std::array octaves{63.0, 125.0, 250.0, 500.0, 1000.0, 2000.0, 4000.0, 8000.0, 16000.0};
    double longest = 0.0;
    for (const double hz : octaves) longest = std::max(longest, decay_s(reverb, hz));
    painter.setFont(lettering(11));
    for (const double hz : octaves) {
        const double seconds = decay_s(reverb, hz);
        const int x = static_cast<int>(ruler.x_of(hz)),
                  high = static_cast<int>(std::lround(seconds / longest * area.height() / 3.0));
        painter.fillRect(x - 3, area.bottom() - high, 6, high, theme().accent);
        const QRect figure(x - 24, area.bottom() - high - 17, 48, 16);
        painter.fillRect(figure.adjusted(6, 1, -6, -1), theme().ground);
        painter.setPen(theme().text);
        painter.drawText(figure, Qt::AlignCenter, tr("%1 s").arg(seconds, 0, 'f', seconds < 1.0 ? 2 : 1));
    }
    painter.setPen(theme().faint);
    painter.drawText(area.adjusted(6, 20, 0, 0), Qt::AlignLeft | Qt::AlignTop,
                     tr("bars: decay time (RT60) of each octave"));
}

void ShapePicture::set_band(int band, double hz, double db, std::optional<double> q) {
    const std::string name = "band" + std::to_string(band + 1);
    const TrackId row = work_.view.shape.row();
    const Processor* eq = equaliser();
    if (eq && work_.writing.writes(row)) {
        written_ = {};
        const auto turn = [&](const std::string& what, double value) {
            written_.emplace_back(*parameter_of(*eq, name + what), eq->id);
            work_.edits.turn(row, written_.back(), value, gesture_);
        };
        const uint64_t id = eq->id;
        turn(".hz", hz);
        eq = find_processor(chain(), id);
        turn(".db", db);
        eq = find_processor(chain(), id);
        if (q) turn(".q", *q);
        return;
    }
    work_.edits.set_chains(
        {work_.view.shape.row()}, tr("Band %1 to %2, %3").arg(band + 1).arg(hz_text(hz), db_text(db, "dB", true)),
        [&](Chain& chain) {
            for (Processor& p : chain) {
                if (p.type != "equaliser") continue;
                p.values[name + ".hz"] = hz;
                p.values[name + ".db"] = db;
                if (q) p.values[name + ".q"] = *q;
                return;
            }
        },
        gesture_);
}

void ShapePicture::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton) return;
    gesture_ = work_.document.new_gesture();
    band_ = band_at(event->pos());
    sweeping_ = false;
    if (const Processor* eq = band_ >= 0 ? equaliser() : nullptr) {
        held_hz_ = band_value(*eq, band_, "hz"), held_db_ = band_value(*eq, band_, "db");
        held_ = {ruler().x_of(held_hz_), y_of(held_db_)};
        last_ = event->position();
        work_.view.shape.touch_band(band_);
        return;
    }
    if (!(event->modifiers() & Qt::AltModifier) || !chain()) return;
    // A sweep: as long as the button is held a narrow boost finds trouble, and becomes a cut when it is let go.
    const double hz = std::clamp(ruler().hz(event->pos().x()), lowest_hz, highest_hz);
    work_.edits.set_chains(
        {work_.view.shape.row()}, tr("Sweep at %1").arg(hz_text(hz)),
        [&](Chain& chain) {
            add_bell(chain, {hz, sweep_boost_db, sweep_q});
        },
        gesture_);
    const Processor* eq = equaliser();
    for (int b = 0; eq && b < equaliser_bands; ++b)
        if (band_value(*eq, b, "in") >= 0.5 && band_value(*eq, b, "hz") == hz) band_ = b, sweeping_ = true;
}

void ShapePicture::mouseMoveEvent(QMouseEvent* event) {
    pointer_ = event->pos();
    update();
    if (band_ < 0 || !(event->buttons() & Qt::LeftButton)) return;
    if (sweeping_)
        return set_band(band_, std::clamp(ruler().hz(event->pos().x()), lowest_hz, highest_hz), sweep_boost_db);
    // Relative, so that nothing jumps to the pointer; a tenth of it with Shift.  Ctrl holds the frequency, Alt the
    // gain.
    const Qt::KeyboardModifiers keys = event->modifiers();
    held_ += (event->position() - last_) * (keys & Qt::ShiftModifier ? 0.1 : 1.0);
    last_ = event->position();
    const double hz = keys & Qt::ControlModifier ? held_hz_ : ruler().hz(held_.x());
    const double db = keys & Qt::AltModifier ? held_db_ : db_of(held_.y());
    set_band(band_, std::clamp(hz, lowest_hz, highest_hz), std::clamp(db, -24.0, 24.0));
}

void ShapePicture::mouseReleaseEvent(QMouseEvent* event) {
    if (sweeping_ && band_ >= 0) {
        // A cut stays where it was let go, and nothing when Alt was let go first.
        if (event->modifiers() & Qt::AltModifier)
            set_band(band_, std::clamp(ruler().hz(event->pos().x()), lowest_hz, highest_hz), sweep_cut_db);
        else
            work_.document.undo();
    }
    band_ = -1;
    sweeping_ = false;
    for (const Parameter p : std::exchange(written_, {})) work_.writing.release(work_.view.shape.row(), p);
}

void ShapePicture::contextMenuEvent(QContextMenuEvent* event) {
    const Processor* eq = equaliser();
    const int band = eq ? band_at(event->pos()) : -1;
    if (band < 0) return event->ignore();
    const std::string name = "band" + std::to_string(band + 1);
    std::vector<Parameter> parameters;
    for (const char* what : {".hz", ".db", ".q"}) parameters.emplace_back(*parameter_of(*eq, name + what), eq->id);
    QMenu menu;
    menu.setObjectName("bandMenu");
    add_ride_entries(menu, work_, work_.view.shape.row(), parameters);
    QAction* remove = menu.addAction(tr("Remove band %1").arg(band + 1));
    remove->setObjectName("removeBand");
    connect(remove, &QAction::triggered, this, [this, id = eq->id, name, band] {
        work_.edits.set_chains({work_.view.shape.row()}, tr("Remove band %1").arg(band + 1), [&](Chain& chain) {
            for (Processor& p : chain)
                if (p.id == id) p.values[name + ".in"] = 0.0;
        });
    });
    menu.exec(event->globalPos());
}

void ShapePicture::wheelEvent(QWheelEvent* event) {
    // Over a band: its width.
    const Processor* eq = equaliser();
    const int band = eq ? band_at(event->position().toPoint()) : -1;
    if (band < 0) return event->ignore();
    gesture_ = work_.document.new_gesture();
    const double q = band_value(*eq, band, "q") * std::exp2(event->angleDelta().y() / 480.0);
    set_band(band, band_value(*eq, band, "hz"), band_value(*eq, band, "db"), std::clamp(q, 0.1, 40.0));
}

void ShapePicture::mouseDoubleClickEvent(QMouseEvent* event) {
    // A band that is there is left alone: its menu removes it.
    if (band_at(event->pos()) >= 0) return;
    const double hz = std::clamp(ruler().hz(event->pos().x()), lowest_hz, highest_hz);
    const double db = std::clamp(db_of(event->pos().y()), -24.0, 24.0);
    // A cut begins narrow and a boost wide: common practice, no source.
    constexpr double cut_q = 3.0, boost_q = 0.7;
    int made = -1;
    work_.edits.set_chains({work_.view.shape.row()}, tr("New band at %1").arg(hz_text(hz)), [&](Chain& chain) {
        if (!first_of(chain, "equaliser")) chain.push_back(new_processor(*processor_type("equaliser"), chain));
        for (Processor& p : chain) {
            if (p.type != "equaliser") continue;
            for (int b = 0; b < equaliser_bands && made < 0; ++b)
                if (band_value(p, b, "in") < 0.5) made = b;
            if (made < 0) return;
            const std::string name = "band" + std::to_string(made + 1);
            p.values[name + ".in"] = 1.0;
            p.values[name + ".hz"] = hz, p.values[name + ".db"] = db;
            p.values[name + ".q"] = db < 0.0 ? cut_q : boost_q;
            return;
        }
    });
    if (made >= 0) work_.view.shape.touch_band(made);
}

void ShapePicture::leaveEvent(QEvent*) {
    pointer_ = {-1, -1};
    update();
}

void ShapePicture::show_cover(std::vector<CoveredBand> cover) {
    cover_ = std::move(cover);
    update();
}

/// Where others cover the row: from the bottom, as high as it is covered long.
void ShapePicture::paint_cover(QPainter& painter, const QRect& area, const FrequencyRuler& freq) const {
    for (const CoveredBand& band : cover_) {
        if (band.share <= 0.0) continue;
        const Track* most = work_.document.track(band.most);
        const int left = static_cast<int>(freq.x_of(std::max(lowest_hz, band.low_hz))),
                  right = static_cast<int>(freq.x_of(std::min(highest_hz, band.high_hz)));
        const int high = static_cast<int>(band.share * area.height() / 2.0);
        QColor colour = most ? theme().track_colour(most->colour_index) : theme().faint;
        painter.fillRect(left, area.bottom() - high, right - left - 1, high, QBrush(colour, Qt::Dense5Pattern));
    }
}

void ShapePicture::paint_owned(QPainter& painter, const QRect& area, const FrequencyRuler& freq) const {
    const Track* track = work_.document.track(work_.view.shape.row());
    if (!track) return;
    for (const OwnedBand& band : work_.spectra.owned(work_.player.plan(), track->id)) {
        if (!band.owned() && !band.fought_for()) continue;
        const auto [low_hz, high_hz] = third_octave_edges_hz(band.band);
        const int left = static_cast<int>(freq.x_of(std::max(lowest_hz, low_hz))),
                  right = static_cast<int>(freq.x_of(std::min(highest_hz, high_hz))), high = band.owned() ? 6 : 2;
        painter.fillRect(left, area.bottom() - high + 1, right - left - 1, high,
                         theme().track_colour(track->colour_index));
    }
}

QString ShapePicture::owned_text(double hz) const {
    const Track* track = work_.document.track(work_.view.shape.row());
    if (!track) return {};
    for (const OwnedBand& band : work_.spectra.owned(work_.player.plan(), track->id)) {
        if (band.band != third_octave_at(hz)) continue;
        const QString own = tr("%1 % of the sound is its own").arg(std::lround(100.0 * band.share));
        if (band.rival == 0) return own;
        return tr("%1, %2 % of it %3's")
            .arg(own)
            .arg(std::lround(100.0 * band.rival_share))
            .arg(QString::fromStdString(work_.document.session().name_of(band.rival)));
    }
    return {};
}

QString ShapePicture::cover_text(double hz) const {
    for (const CoveredBand& band : cover_)
        if (hz >= band.low_hz && hz < band.high_hz && band.share > 0.0)
            return tr("covered %1 % of the time, mostly by %2")
                .arg(std::lround(100.0 * band.share))
                .arg(QString::fromStdString(work_.document.session().name_of(band.most)));
    return {};
}

}  // namespace isotonus
