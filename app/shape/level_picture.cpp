#include "app/shape/level_picture.h"

#include <QContextMenuEvent>

#include "app/desk/ride_menu.h"

#include <QMouseEvent>
#include <QPainter>
#include <algorithm>
#include <cmath>

#include "app/style/text.h"
#include "app/style/theme.h"

namespace isotonus {

QPainterPath shares_path(const LevelShares& shares, double gain_db, const Ruler& ruler, int bottom, int height) {
    QPainterPath path;
    const float most = *std::max_element(shares.begin(), shares.end());
    if (most <= 0.0f) return path;
    path.moveTo(ruler.x_of(-60.0), bottom);
    for (size_t n = 0; n < shares.size(); ++n)
        path.lineTo(ruler.x_of(std::clamp(static_cast<double>(n) - 59.5 + gain_db, -60.0, 0.0)),
                    bottom - static_cast<int>(shares[n] / most * static_cast<float>(height)));
    path.lineTo(ruler.x_of(0.0), bottom);
    return path;
}

float deepest_reduction_db(const std::vector<float>& all, int n, int of) {
    const auto index_at = [&](int part) { return all.size() * static_cast<size_t>(part) / static_cast<size_t>(of); };
    const size_t from = std::min(index_at(n), all.size()),
                 to = std::min(std::max(from + 1, index_at(n + 1)), all.size());
    float deepest = 0.0f;
    for (size_t i = from; i < to; ++i) deepest = std::min(deepest, all[i]);
    return deepest;
}

ReductionOfColumn reduction_between(const std::vector<float>& all, double from_s, double to_s, int sample_rate) {
    const double blocks_a_second = sample_rate / 256.0;
    const auto index_at = [&](double s) {
        return std::clamp<int64_t>(static_cast<int64_t>(std::floor(s * blocks_a_second)), 0, std::ssize(all));
    };
    const int64_t from = index_at(from_s), to = std::max(index_at(to_s), std::min(from + 1, std::ssize(all)));
    if (from >= to) return {};
    std::vector<float> some(all.begin() + from, all.begin() + to);
    const auto middle = some.begin() + std::ssize(some) / 2;
    std::nth_element(some.begin(), middle, some.end());
    return {*std::min_element(some.begin(), middle + 1), *middle};
}

namespace {

/// What stands as a blade among its levels; null for a processor that has none.
const ParameterInfo* threshold_of(const Processor& p) {
    const ParameterInfo* ceiling = parameter_of(p, "ceiling_dbtp");
    return ceiling ? ceiling : parameter_of(p, "threshold_dbfs");
}

}  // namespace

LevelPicture::LevelPicture(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    setObjectName("levelPicture");
    setAccessibleName(tr("Levels of the selected track"));
    setMouseTracking(true);
    setMinimumWidth(240);
    const auto redraw = qOverload<>(&QWidget::update);
    connect(&work_.spectra, &Spectra::ready, this, redraw);
    connect(&work_.materials, &Materials::reshaped, this, redraw);
    connect(&work_.document, &Document::session_changed, this, redraw);
    connect(&work_.view.time, &TimeView::changed, this, redraw);
    connect(&work_.player, &Player::levels_changed, this, redraw);
    connect(&work_.player, &Player::moved, this, redraw);
}

QString LevelPicture::spoken_value() const {
    const Processor* p = processor();
    const ParameterInfo* threshold = p ? threshold_of(*p) : nullptr;
    const auto row = shaped_row(work_, work_.view.shape.row());
    if (!threshold || !row) return {};
    QString text = tr("threshold %1").arg(db_text(setting_of(*p, *threshold), threshold->unit));
    const auto signal = row->after ? signal_of(row->after) : nullptr;
    if (const auto found = signal ? signal->reduction(position()) : std::nullopt)
        text = tr("%1, deepest reduction %2, %3 while it works")
                   .arg(text, db_text(found->max_db), db_text(found->typical_db));
    return text;
}

void LevelPicture::show_processor(uint64_t id) {
    id_ = id;
    update();
}

TimeRuler LevelPicture::time() const {
    return {work_.view.time.from_s(), work_.view.time.to_s(), static_cast<double>(song_area().left()),
            static_cast<double>(song_area().right())};
}

const Processor* LevelPicture::processor() const {
    return find_processor(work_.writing.chain_now(work_.view.shape.row()), id_);
}

size_t LevelPicture::position() const {
    const Chain& chain = *work_.document.session().chain_of(work_.view.shape.row());
    return static_cast<size_t>(
        std::find_if(chain.begin(), chain.end(), [this](const Processor& p) { return p.id == id_; }) - chain.begin());
}

void LevelPicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), theme().ground);
    painter.setFont(lettering(11));
    const auto row = shaped_row(work_, work_.view.shape.row());
    const Processor* p = processor();
    if (!row || !p) return;
    paint_levels(painter, *row, *p);
    paint_song(painter, *row);
}

void LevelPicture::paint_levels(QPainter& painter, const ShapedRow& row, const Processor& p) const {
    const QRect area = levels_area();
    const Ruler levels = ruler();
    for (double db = -60.0; db <= 0.0; db += 12.0) {
        const int x = static_cast<int>(std::lround(levels.x_of(db)));
        painter.setPen(theme().scale);
        painter.drawLine(x, area.top(), x, area.bottom());
        painter.setPen(theme().faint);
        painter.drawText(QRect(x - 24, 2, 48, 20), Qt::AlignCenter, scale_text(db, db == 0.0 ? "dBFS" : ""));
    }
    painter.setPen(theme().faint);
    painter.drawLine(area.left(), area.bottom(), area.right(), area.bottom());
    const auto outline = [&](const MaterialPtr& m, double gain_db, const QPen& pen) {
        if (const LevelShares* shares = m ? work_.spectra.levels(m) : nullptr) {
            painter.setPen(pen);
            painter.drawPath(shares_path(*shares, gain_db, levels, area.bottom(), area.height() - 8));
        }
    };
    painter.setRenderHint(QPainter::Antialiasing);
    const QColor colour = theme().track_colour(row.colour_index);
    // One that goes by a sidechain shows that: among its levels the threshold stands.
    const auto source = p.key == 0 ? std::nullopt : shaped_row(work_, p.key);
    if (source) {
        outline(source->after ? source->after : source->before, source->after ? 0.0 : source->trim_db,
                QPen(theme().track_colour(source->colour_index), 1.8));
    } else {
        outline(row.before, row.trim_db, QPen(row.after ? theme().faint : colour, 1.0));
        outline(row.after, 0.0, QPen(colour, 1.8));
    }
    painter.setRenderHint(QPainter::Antialiasing, false);
    painter.setPen(theme().faint);
    painter.drawText(QRect(area.left(), area.bottom() + 4, area.width(), 18), Qt::AlignLeft,
                     p.key == 0 ? tr("level histogram")
                                : tr("level histogram; sidechain: %1")
                                      .arg(QString::fromStdString(work_.document.session().name_of(p.key))));
    if (const ParameterInfo* threshold = threshold_of(p)) {
        const double db = value_of(p, *threshold);
        const int x = static_cast<int>(std::lround(levels.x_of(db)));
        painter.fillRect(x - 1, area.top(), 3, area.height(), p.in ? theme().accent : theme().faint);
        painter.setPen(theme().text);
        painter.setFont(lettering(12));
        const QString figure = db_text(db, "dBFS");
        const int wide = QFontMetrics(painter.font()).horizontalAdvance(figure) + 8;
        const QRect box(x > area.center().x() ? x - wide - 2 : x + 3, area.top(), wide, 18);
        painter.fillRect(box, theme().ground);
        painter.drawText(box, Qt::AlignCenter, figure);
    }
    // What comes in now.
    const auto* bars = work_.player.meters().find(p.key == 0 ? work_.view.shape.row() : p.key);
    if (const double now = bars ? bars->after_trim.level_db : silence_db; now > -60.0)
        painter.fillRect(area.left(), area.bottom() - 3,
                         static_cast<int>(levels.x_of(std::min(now, 0.0))) - area.left(), 3, colour);
}

void LevelPicture::paint_song(QPainter& painter, const ShapedRow& row) const {
    const size_t at = position();
    const QRect area = song_area();
    painter.setFont(lettering(11));
    static const std::vector<float> none;
    const std::vector<float>& all = row.after ? signal_of(row.after)->reductions(at) : none;
    const auto found = row.after ? signal_of(row.after)->reduction(at) : std::nullopt;
    // In steps of 6 dB downwards, as many as it takes.
    const double deepest = 6.0 * std::max(1.0, std::ceil(found ? found->max_db / 6.0 : 1.0));
    const auto y_of = [&](double db) { return area.top() + static_cast<int>(-db / deepest * area.height()); };
    for (double db = 0.0; db >= -deepest; db -= deepest / 2.0) {
        painter.setPen(theme().scale);
        painter.drawLine(area.left(), y_of(db), area.right(), y_of(db));
        painter.setPen(theme().faint);
        painter.drawText(QRect(area.left() - 48, y_of(db) - 8, 44, 16), Qt::AlignRight | Qt::AlignVCenter,
                         tr("%1 dB").arg(QString::number(db).replace('-', QChar(0x2212))));
    }
    // Two tones: the deepest of each column, and the usual, so that a solid block still tells how it works.
    const TimeRuler shown = time();
    QColor deepest_tone = theme().above;
    deepest_tone.setAlphaF(0.4f);
    const int rate = row.after ? row.after->rate() : work_.document.session().sample_rate;
    for (int x = area.left(); x <= area.right() && !all.empty(); ++x) {
        const auto [most, usual] = reduction_between(all, shown.time(x), shown.time(x + 1), rate);
        painter.fillRect(x, area.top(), 1, y_of(static_cast<double>(most)) - area.top(), deepest_tone);
        painter.fillRect(x, area.top(), 1, y_of(static_cast<double>(usual)) - area.top(), theme().above);
    }
    const double now_s = work_.player.position_s();
    const int playhead = static_cast<int>(shown.x_of(now_s));
    if (playhead >= area.left() && playhead <= area.right())
        painter.fillRect(playhead, area.top(), 1, area.height(), theme().accent);
    if (!all.empty()) {  // a needle at the scale, and its figure
        const double now_db = static_cast<double>(reduction_between(all, now_s, now_s, rate).deepest);
        const int y = y_of(now_db);
        painter.fillRect(area.left() - 5, y - 1, 12, 3, theme().text);
        painter.setPen(theme().text);
        painter.drawText(QRect(area.left(), area.bottom() + 4, area.width(), 18), Qt::AlignHCenter,
                         tr("now %1").arg(db_text(now_db)));
    }
    painter.setPen(theme().text);
    QString words = row.after ? tr("no reduction") : tr("being computed");
    if (found)
        words = tr("max %1 dB at %2, %3 dB while it works")
                    .arg(shown_figure(found->max_db, 1))
                    .arg(time_text(found->max_at_s))
                    .arg(shown_figure(found->typical_db, 1));
    painter.drawText(QRect(area.left() - 30, 2, area.width() + 36, 20), Qt::AlignLeft | Qt::AlignVCenter, words);
    painter.setPen(theme().faint);
    painter.drawText(QRect(area.left(), area.bottom() + 4, area.width(), 18), Qt::AlignLeft, time_text(shown.from_s));
    painter.drawText(QRect(area.left(), area.bottom() + 4, area.width(), 18), Qt::AlignRight, time_text(shown.to_s));
}

void LevelPicture::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton) return;
    if (song_area().contains(event->pos())) return work_.player.locate(std::max(0.0, time().time(event->pos().x())));
    const Processor* p = processor();
    const ParameterInfo* threshold = p ? threshold_of(*p) : nullptr;
    if (!threshold || !levels_area().adjusted(-4, 0, 4, 0).contains(event->pos())) return;
    dragging_ = true;
    grabbed_db_ = value_of(*p, *threshold);
    grabbed_x_ = event->pos().x();
    gesture_ = work_.document.new_gesture();
    work_.view.ride.touch(work_.view.shape.row(), Parameter(*threshold, id_));
}

void LevelPicture::mouseMoveEvent(QMouseEvent* event) {
    const Processor* p = dragging_ ? processor() : nullptr;
    const ParameterInfo* threshold = p ? threshold_of(*p) : nullptr;
    if (!threshold) return;
    // Relative, so that nothing jumps to the pointer; a tenth of it with Shift.
    const double pixels = (event->pos().x() - grabbed_x_) * (event->modifiers() & Qt::ShiftModifier ? 0.1 : 1.0);
    const double db = std::clamp(grabbed_db_ + pixels * ruler().db_per_pixel(-30.0), threshold->low, threshold->high);
    work_.edits.turn(work_.view.shape.row(), Parameter(*threshold, id_), std::round(db * 10.0) / 10.0, gesture_);
}

void LevelPicture::mouseReleaseEvent(QMouseEvent*) {
    const Processor* p = std::exchange(dragging_, false) ? processor() : nullptr;
    if (const ParameterInfo* threshold = p ? threshold_of(*p) : nullptr)
        work_.writing.release(work_.view.shape.row(), Parameter(*threshold, id_));
}

void LevelPicture::contextMenuEvent(QContextMenuEvent* event) {
    const Processor* p = processor();
    if (const ParameterInfo* threshold = p ? threshold_of(*p) : nullptr)
        open_ride_menu(work_, work_.view.shape.row(), {Parameter(*threshold, id_)}, event->globalPos());
}

}  // namespace isotonus
