#include "app/shape/shape_lane.h"

#include <QContextMenuEvent>

#include "app/desk/ride_menu.h"

#include <QMouseEvent>
#include <QPainter>
#include <algorithm>
#include <cmath>

#include "app/shape/level_picture.h"
#include "app/style/text.h"
#include "core/shape/cuts.h"

namespace isotonus {

namespace {
constexpr double level_from_db = -60.0;
}

QRect frequency_area(int width, int height) { return {12, 0, width * 55 / 100, height}; }
QRect level_area(int width, int height) { return {12 + width * 58 / 100, 0, width * 17 / 100, height}; }
QRect send_area(int width, int height) { return {width - 76, 0, 70, height}; }

bool shows_sends(const Session& session) {
    const auto sends = [](const auto& row) { return !row.sends.empty(); };
    return std::any_of(session.tracks.begin(), session.tracks.end(), [&](const auto& t) { return sends(*t); }) ||
           std::any_of(session.buses.begin(), session.buses.end(), sends);
}

ShapeLane::ShapeLane(Workspace& work, TrackId id, QWidget* parent) : Lane(work, id, parent) {
    connect(&work_.spectra, &Spectra::ready, this, qOverload<>(&QWidget::update));
    connect(&work_.materials, &Materials::reshaped, this, qOverload<>(&QWidget::update));
    connect(&work_.view.shape, &ShapeView::ghosts_changed, this, qOverload<>(&QWidget::update));
    connect(&work_.view.shape, &ShapeView::row_changed, this, qOverload<>(&QWidget::update));
}

QString ShapeLane::value_text() const {
    const Processor* cut = first_of(chain(), "low_cut");
    return cut ? hz_text(hz_of(*cut)) : tr("off");
}

std::optional<double> ShapeLane::number() const {
    const Processor* cut = exists() ? first_of(chain(), "low_cut") : nullptr;
    return cut ? hz_of(*cut) : 0.0;
}

QString ShapeLane::sentence() const {
    QString sent;
    const Session& session = work_.document.session();
    if (const Sends* sends = session.sends_of(id()))
        for (const Send& s : *sends) {
            QStringList send{tr("send to %1").arg(QString::fromStdString(session.name_of(s.to))),
                             db_text(s.level_db, "dB", true)};
            if (s.before_fader) send << tr("before the fader");
            if (!s.in) send << tr("bypassed");
            sent += ' ' + send.join(", ") + '.';
        }
    if (chain().empty())
        return tr("%1 has no processors. Type a frequency for a low cut, or add a processor below.").arg(track_name()) +
               sent;
    QStringList words;
    for (const Processor& p : chain()) {
        const ProcessorType* type = processor_type(p.type);
        const QString word = type ? QString::fromStdString(word_of(type->id))
                                  : tr("%1 (from a newer version, has no effect)").arg(QString::fromStdString(p.type));
        words << (p.in ? word : tr("%1 (bypassed)").arg(word));
    }
    QString text = tr("%1: %2").arg(track_name(), words.join(", "));
    if (const MaterialPtr shaped = work_.edits.shaped(id()))
        for (size_t n = 0; n < chain().size(); ++n)
            if (const auto found = signal_of(shaped)->reduction(n); found && found->max_db >= 0.1)
                text = tr("%1; %2 reduces by at most %3 dB at %4, %5 dB while it works")
                           .arg(text)
                           .arg(QString::fromStdString(word_of(chain()[n].type)))
                           .arg(shown_figure(found->max_db, 1))
                           .arg(time_text(found->max_at_s))
                           .arg(shown_figure(found->typical_db, 1));
    return text + '.' + sent;
}

void ShapeLane::select_row() {
    if (track()) {
        work_.view.shape.show({});
        Lane::select_row();
    } else {
        work_.view.shape.show(id());
    }
}

void ShapeLane::clicked(Qt::KeyboardModifiers keys) {
    if (!track()) return select_row();
    work_.view.shape.show({});
    Lane::clicked(keys);
}

std::vector<TrackId> ShapeLane::rows_meant() const {
    return track() ? work_.document.moved_with(id()) : std::vector<TrackId>{id()};
}

void ShapeLane::nudge(double by, uint64_t gesture) {
    work_.edits.set_chains(
        rows_meant(), tr("Low cut of %1").arg(track_name()),
        [by](Chain& chain) {
            for (Processor& p : chain)
                if (p.type == "low_cut")
                    p.values["hz"] = std::clamp(hz_of(p) * std::exp2(by / 6.0), lowest_hz, highest_hz);
        },
        gesture);
}

void ShapeLane::type_value(const QString& text) {
    const QString word = text.trimmed().toLower();
    const bool off = word == tr("off") || word == "-inf";
    const auto hz =
        value_from_text(*processor_type("low_cut")->find("hz"), text.trimmed().section(' ', 0, 0).toStdString());
    if (!off && !hz) {
        emit work_.view.hint(tr("A low cut is from 20 Hz to 20 kHz; 'off' removes it."));
        return;
    }
    work_.edits.set_chains(rows_meant(), tr("Low cut of %1 %2").arg(track_name(), off ? tr("off") : hz_text(*hz)),
                           [off, hz](Chain& chain) { set_low_cut(chain, off ? std::nullopt : hz); });
}

void ShapeLane::reset_value() { type_value(tr("off")); }

double ShapeLane::per_pixel(const QPoint&) const {
    // The blade follows the pointer: octaves of the ruler, in sixths.
    return 6.0 * std::log2(highest_hz / lowest_hz) / frequency_area(width(), height()).width();
}

QRect ShapeLane::word_rect(size_t n) const {
    // Side by side, closer when there are many.
    const int left = level_area(width(), height()).right() + 16, count = static_cast<int>(chain().size());
    const int right = shows_sends(work_.document.session()) ? send_area(width(), height()).left() - 8 : width() - 4;
    const int each = std::min(62, (right - left) / std::max(1, count));
    return {left + static_cast<int>(n) * each, 2, each - 4, height() - 5};
}

bool ShapeLane::grab(const QPoint& at) {
    const Processor* cut = first_of(chain(), "low_cut");
    const QRect area = frequency_area(width(), height());
    const FrequencyRuler ruler{static_cast<double>(area.left()), static_cast<double>(area.right())};
    return cut && std::fabs(ruler.x_of(hz_of(*cut)) - at.x()) < 8.0;
}

bool ShapeLane::has_words() const { return word_rect(0).width() >= 8; }

std::optional<size_t> ShapeLane::word_at(const QPoint& at) const {
    for (size_t n = 0; n < chain().size() && has_words(); ++n)
        if (word_rect(n).contains(at)) return n;
    return std::nullopt;
}

// A click on a word takes its processor out or in; a drag puts it elsewhere.

void ShapeLane::mousePressEvent(QMouseEvent* event) {
    const QPoint at = event->position().toPoint();
    if (const Send* send = event->button() == Qt::LeftButton ? send_at(at) : nullptr) {
        setFocus();
        held_send_ = {send->id, at.x(), fader_position(work_.writing.send_now(id(), *send).level_db),
                      work_.document.new_gesture()};
        work_.view.ride.touch(id(), Parameter::of_send(send_parameters::level, send->id));
        select_row();
        return;
    }
    held_ = event->button() == Qt::LeftButton ? word_at(at) : std::nullopt;
    if (!held_) return Lane::mousePressEvent(event);
    setFocus();
    drop_ = *held_;
    select_row();
    work_.view.shape.position = *held_;
}

void ShapeLane::mouseMoveEvent(QMouseEvent* event) {
    if (held_send_) {
        const HeldSend held = *held_send_;
        const double fine = event->modifiers() & Qt::ShiftModifier ? 0.25 : 1.0;
        const double to = held.position + fine * (event->position().x() - held.x) / send_rect(0).width();
        const double db = fader_db_at(std::clamp(to, 0.0, 1.0));
        work_.edits.turn(id(), Parameter::of_send(send_parameters::level, held.send),
                         std::isinf(db) ? send_parameters::level.low : std::round(db * 10.0) / 10.0, held.gesture);
        return;
    }
    if (!held_) return Lane::mouseMoveEvent(event);
    const int x = event->position().toPoint().x();
    const size_t before = std::exchange(drop_, 0);
    while (drop_ + 1 < chain().size() && x > word_rect(drop_).right()) ++drop_;
    if (drop_ != before) update();
}

void ShapeLane::mouseReleaseEvent(QMouseEvent* event) {
    if (const auto held = std::exchange(held_send_, std::nullopt))
        return work_.writing.release(id(), Parameter::of_send(send_parameters::level, held->send));
    if (!held_) return Lane::mouseReleaseEvent(event);
    const size_t from = *std::exchange(held_, std::nullopt);
    update();
    if (from >= chain().size()) return;  // undone meanwhile
    if (drop_ != from)
        work_.edits.move_processor(id(), from, drop_);
    else if (word_at(event->position().toPoint()) == from)
        work_.edits.take_out_or_in(id(), from);
}

QRect ShapeLane::send_rect(size_t bus) const {
    const QRect area = send_area(width(), height());
    const auto count = static_cast<int>(work_.document.session().buses.size());
    const int each = std::min(8, (height() - 5) / std::max(1, count));
    return {area.left(), 3 + static_cast<int>(bus) * each, area.width(), std::max(2, each - 2)};
}

const Send* ShapeLane::send_at(const QPoint& at) const {
    const Session& session = work_.document.session();
    const Sends* sends = session.sends_of(id());
    for (size_t n = 0; sends && n < session.buses.size(); ++n) {
        if (!send_rect(n).adjusted(-4, -1, 4, 1).contains(at)) continue;
        for (const Send& s : *sends)
            if (s.to == session.buses[n].id) return &s;
    }
    return nullptr;
}

Sends ShapeLane::sends_now() const {
    Sends now;
    if (const Sends* sends = work_.document.session().sends_of(id()))
        for (const Send& s : *sends) now.push_back(work_.writing.send_now(id(), s));
    return now;
}

void ShapeLane::playhead_moved() {
    const Rides* rides = work_.document.session().rides_of(id());
    if (!rides || (!rides->any() && !work_.writing.any()) || !shows_sends(work_.document.session())) return;
    if (sends_now() != sends_shown_) update(send_area(width(), height()).adjusted(-4, 0, 4, 0));
}

void ShapeLane::contextMenuEvent(QContextMenuEvent* event) {
    if (const Send* send = send_at(event->pos()))
        open_ride_menu(work_, id(), {Parameter::of_send(send_parameters::level, send->id)}, event->globalPos());
}

/// How much goes where: along the line of each bus its level, like a fader that lies down; hollow before the fader.
void ShapeLane::paint_sends(QPainter& painter) {
    const Session& session = work_.document.session();
    sends_shown_ = sends_now();
    for (size_t n = 0; n < session.buses.size(); ++n)
        for (const Send& s : sends_shown_) {
            if (s.to != session.buses[n].id) continue;
            const QRect box = send_rect(n);
            const QColor colour = s.in ? theme().track_colour(session.buses[n].colour_index) : theme().faint;
            painter.fillRect(box.left(), box.center().y(), box.width(), 1, theme().rule);
            const int x = static_cast<int>(std::lround(fader_position(s.level_db) * (box.width() - 1)));
            if (s.before_fader) {
                painter.setPen(colour);
                painter.drawRect(box.left(), box.top(), x, box.height() - 1);
            } else {
                painter.fillRect(box.left(), box.top(), x + 1, box.height(), colour);
            }
            painter.fillRect(box.left() + x - 1, box.top() - 1, 3, box.height() + 2, theme().text);
        }
}

void ShapeLane::paint(QPainter& painter, const QRect&) {
    const ShapedRow row = *shaped_row(work_, id());
    const auto ghost = work_.view.shape.ghosts().find(id());
    Picture now{row.before,
                row.after,
                row.before && work_.spectra.of(row.before),
                row.after && work_.spectra.of(row.after),
                *row.chain,
                ghost == work_.view.shape.ghosts().end() ? Chain{} : ghost->second,
                row.chain_out,
                row.trim_db,
                row.colour_index,
                shows_sends(work_.document.session()),
                size() * devicePixelRatio(),
                &theme()};
    // Most edits leave most rows as they are: what was drawn is drawn again.
    if (drawn_.isNull() || !(now == shown_)) {
        shown_ = std::move(now);
        drawn_ = QPixmap(shown_.size);
        drawn_.setDevicePixelRatio(devicePixelRatio());
        drawn_.fill(Qt::transparent);
        QPainter picture(&drawn_);
        paint_picture(picture, row);
    }
    painter.drawPixmap(0, 0, drawn_);
    paint_sends(painter);
    if (held_ && drop_ != *held_) {  // where it would stand
        const QRect box = word_rect(drop_);
        painter.fillRect(drop_ > *held_ ? box.right() + 1 : box.left() - 3, box.top(), 2, box.height(), theme().accent);
    }
}

void ShapeLane::paint_picture(QPainter& painter, const ShapedRow& row) {
    paint_spectra(painter, row);
    paint_levels(painter, row);
    paint_words(painter, row);
}

void ShapeLane::paint_spectra(QPainter& painter, const ShapedRow& row) {
    const QRect area = frequency_area(width(), height());
    const FrequencyRuler ruler{static_cast<double>(area.left()), static_cast<double>(area.right())};
    ruler.paint_rules(painter, area.adjusted(0, 0, 0, -1));
    painter.setRenderHint(QPainter::Antialiasing);
    const QRect inner = area.adjusted(0, 3, 0, -4);
    if (const LongTermSpectrum* before = row.before ? work_.spectra.of(row.before) : nullptr) {
        painter.setPen(QPen(row.after ? theme().faint : theme().track_colour(row.colour_index), 1.0));
        painter.drawPath(spectrum_path(*before, row.trim_db, ruler, inner));
    }
    if (const LongTermSpectrum* after = row.after ? work_.spectra.of(row.after) : nullptr) {
        painter.setPen(QPen(theme().track_colour(row.colour_index), 1.6));
        painter.drawPath(spectrum_path(*after, 0.0, ruler, inner));
    }
    // What was advised and not taken yet: its line of gain, 24 dB up and down.
    const auto ghost = work_.view.shape.ghosts().find(id());
    if (ghost != work_.view.shape.ghosts().end()) {
        painter.setPen(QPen(theme().accent, 1.2, Qt::DashLine));
        painter.drawPath(response_path(ghost->second, work_.document.session().sample_rate, ruler, 3.0, [&](double db) {
            return inner.center().y() - std::clamp(db, -24.0, 24.0) / 24.0 * inner.height() / 2.0;
        }));
    }
    painter.setRenderHint(QPainter::Antialiasing, false);
    if (const Processor* cut = first_of(*row.chain, "low_cut")) {
        const int x = static_cast<int>(ruler.x_of(hz_of(*cut)));
        painter.fillRect(QRect(QPoint(area.left(), 2), QPoint(x, height() - 4)),
                         QBrush(theme().rule, Qt::BDiagPattern));
        painter.fillRect(x - 1, 2, 3, height() - 6, cut->in ? theme().accent : theme().faint);
        painter.setPen(theme().text);
        painter.setFont(lettering(11));
        painter.drawText(QRect(x + 5, 0, 80, height() - 2), Qt::AlignVCenter, hz_text(hz_of(*cut)));
    }
}

/// Levels before (hollow) and after (solid), and what is taken away over the song hanging from above.
void ShapeLane::paint_levels(QPainter& painter, const ShapedRow& row) {
    const Chain& chain = *row.chain;
    const QRect levels = level_area(width(), height());
    const Ruler level_ruler = Ruler::level(levels.left(), levels.right());
    const auto x_of = [&](double db) { return static_cast<int>(level_ruler.x_of(std::clamp(db, level_from_db, 0.0))); };
    painter.setPen(theme().scale);
    for (const double db : {-48.0, -36.0, -24.0, -12.0, 0.0})
        painter.drawLine(x_of(db), db == 0.0 ? 0 : height() - 8, x_of(db), height() - 2);
    const auto mark = [&](const Measurement& m, double trim_db, bool solid) {
        if (!m.average_dbfs) return;
        const int x = x_of(*m.average_dbfs + trim_db);
        painter.setPen(theme().text);
        if (solid)
            painter.fillRect(x - 2, y(15), 5, y(14), theme().track_colour(row.colour_index));
        else
            painter.drawRect(x - 2, y(15), 4, y(14) - 1);
    };
    // How often each level occurs: before faint, after inked.
    const auto outline = [&](const MaterialPtr& m, double gain_db, const QColor& colour) {
        const LevelShares* shares = m ? work_.spectra.levels(m) : nullptr;
        if (!shares) return;
        painter.setPen(QPen(colour, 1.0));
        painter.drawPath(shares_path(*shares, gain_db, level_ruler, height() - 3, height() - y(14)));
    };
    outline(row.before, row.trim_db, row.after ? theme().faint : theme().track_colour(row.colour_index));
    outline(row.after, 0.0, theme().track_colour(row.colour_index));
    if (row.before) mark(row.before->measurement, row.trim_db, !row.after);
    if (row.after) mark(row.after->measurement, 0.0, true);
    for (size_t n = 0; n < chain.size(); ++n) {
        const Processor& p = chain[n];
        if (const ParameterInfo* threshold = parameter_of(p, "threshold_dbfs"); threshold && p.in && p.key == 0)
            painter.fillRect(x_of(value_of(p, *threshold)), y(11), 2, y(22), theme().accent);
        if (!row.after) continue;
        const std::vector<float>& reduction = signal_of(row.after)->reductions(n);
        for (int x = 0; x < levels.width() && !reduction.empty(); ++x) {
            const float deepest = deepest_reduction_db(reduction, x, levels.width());
            painter.fillRect(levels.left() + x, 0, 1, std::min(y(10), static_cast<int>(-deepest * 0.8f)),
                             theme().above);
        }
    }
}

void ShapeLane::paint_words(QPainter& painter, const ShapedRow& row) {
    const Chain& chain = *row.chain;
    painter.setFont(lettering(12));
    if (!has_words()) {  // a word for each has no room: how many there are
        const auto out = std::count_if(chain.begin(), chain.end(), [](const Processor& p) { return !p.in; });
        painter.setPen(row.chain_out ? theme().faint : theme().text);
        painter.drawText(QRect(word_rect(0).left(), 0, width() - word_rect(0).left(), height() - 1), Qt::AlignVCenter,
                         out > 0 ? tr("%n processor(s), %1 bypassed", nullptr, static_cast<int>(chain.size())).arg(out)
                                 : tr("%n processor(s)", nullptr, static_cast<int>(chain.size())));
        return;
    }
    for (size_t n = 0; n < chain.size(); ++n) {
        const Processor& p = chain[n];
        const ProcessorType* type = processor_type(p.type);
        const QRect box = word_rect(n);
        const bool in = p.in && type && !row.chain_out;
        painter.setPen(in ? theme().text : theme().faint);
        const QString word = type ? QString::fromStdString(word_of(type->id)) : QString("?");
        // Where there is little room a word is its first letters; the sentence below has all of it.
        const QFontMetrics metrics(painter.font());
        painter.drawText(
            box, Qt::AlignCenter,
            metrics.horizontalAdvance(word) <= box.width() ? word : word.left(std::max(1, box.width() / 8)));
        if (!in) painter.drawLine(box.left() + 4, box.center().y() + 1, box.right() - 4, box.center().y() + 1);
    }
}

}  // namespace isotonus
