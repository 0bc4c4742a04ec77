#include "app/desk/lane.h"

#include <QApplication>
#include <QKeyEvent>
#include <cmath>

#include "app/style/columns.h"
#include "core/ride/curve_walk.h"

namespace isotonus {

namespace {
int rows_are_high = 36;
}

int row_height() { return rows_are_high; }
void set_row_height(int pixels) { rows_are_high = std::clamp(pixels, 24, 40); }

Lane::Lane(Workspace& work, TrackId id, QWidget* parent) : QWidget(parent), work_(work), id_(id) {
    setAttribute(Qt::WA_OpaquePaintEvent);  // what lies behind is not painted for nothing
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    setFixedHeight(row_height());
    setObjectName("lane");
    connect(&work_.samples, &SampleWindows::ready, this, qOverload<>(&QWidget::update));
}

QString Lane::track_name() const { return track() ? QString::fromStdString(track()->name) : QString(); }

void Lane::refresh() {
    if (!exists()) return;
    setAccessibleName(track_name().isEmpty() ? sentence_case(value_name())
                                             : tr("%1, %2").arg(track_name(), value_name()));
    setAccessibleDescription(value_text());
    place_children();
    update();
}

void Lane::paintEvent(QPaintEvent* event) {
    // What the pointer rests on has changed: the hint is of now.
    if (exists() && !hinted_.isEmpty() && underMouse() && sentence() != hinted_) tell();
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing, false);
    painter.fillRect(event->rect(), work_.document.is_selected(id_) ? theme().panel : theme().ground);
    if (!exists()) return;
    paint(painter, event->rect());
    painter.setPen(theme().rule);
    painter.drawLine(0, height() - 1, width(), height() - 1);
    if (hasFocus()) paint_focus(painter, rect());
}

TimeRuler lane_time(const Workspace& work, double width) {
    return {work.view.time.from_s(), work.view.time.to_s(), 0.0, width};
}

void paint_ruler_words(QPainter& painter, const QRect& area, const QString& words) {
    painter.setFont(lettering(11));
    painter.setPen(theme().faint);
    painter.drawText(area.adjusted(8, 0, -8, 0), Qt::AlignVCenter | Qt::AlignLeft, words);
}

void select_by_click(Document& document, TrackId id, Qt::KeyboardModifiers keys) {
    if (keys & Qt::ControlModifier)
        document.toggle_selected(id);
    else if (keys & Qt::ShiftModifier)
        document.select_up_to(id);
    else if (!document.is_selected(id))
        document.select_only(id);
    else
        document.select(document.selected(), id);
}

void Lane::clicked(Qt::KeyboardModifiers keys) { select_by_click(work_.document, id_, keys); }

void Lane::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton) return;
    if (event->modifiers() & Qt::ControlModifier || !grab(event->position().toPoint())) {
        clicked(event->modifiers());
        return;
    }
    select_row();
    dragging_ = true;
    last_ = event->position().toPoint();
    gesture_ = work_.document.new_gesture();
}

void Lane::tell() {
    hinted_ = sentence();
    emit work_.view.hint(hinted_);
}

void Lane::mouseMoveEvent(QMouseEvent* event) {
    tell();
    if (!dragging_) return;
    const QPoint at = event->position().toPoint();
    const int pixels = at.x() - last_.x();
    if (pixels == 0) return;
    // Relative, so that nothing jumps to the pointer; a tenth of it with Shift.
    nudge(pixels * per_pixel(last_) * (event->modifiers() & Qt::ShiftModifier ? 0.1 : 1.0), gesture_);
    last_ = at;
    tell();
}

void Lane::mouseReleaseEvent(QMouseEvent*) {
    if (std::exchange(dragging_, false)) let_go();
}

void Lane::mouseDoubleClickEvent(QMouseEvent* event) {
    const QPoint at = event->position().toPoint();
    const bool grabbed = grab(at);
    if (value_rect().contains(at))
        open_entry();
    else if (grabbed)
        reset_value();
}

void Lane::wheelEvent(QWheelEvent* event) {
    if (!hasFocus() &&
        !work_.document.is_selected(id_)) {  // a page that scrolls under the wheel must not change levels
        event->ignore();
        return;
    }
    if (!grab(event->position().toPoint())) return;
    nudge(event->angleDelta().y() > 0 ? 0.5 : -0.5, 0);
    event->accept();
}

void Lane::keyPressEvent(QKeyEvent* event) {
    if (key(event)) return;
    double step = 1.0;
    if (event->modifiers() & Qt::ShiftModifier)
        step = 0.1;
    else if (event->modifiers() & Qt::ControlModifier)
        step = 3.0;
    switch (event->key()) {
        case Qt::Key_Right:
            nudge(step, 0);
            return;
        case Qt::Key_Left:
            nudge(-step, 0);
            return;
        case Qt::Key_Backspace:
            reset_value();
            return;
        case Qt::Key_Return:
        case Qt::Key_Enter:
            open_entry();
            return;
        case Qt::Key_Minus:
        case Qt::Key_Plus:
            open_entry();
            if (entry_) entry_->setText(event->text());
            return;
        default:
            QWidget::keyPressEvent(event);
    }
}

void Lane::open_entry() {
    if (!entry_) {
        entry_ = new Entry(this);
        entry_->setObjectName("valueEntry");
        connect(entry_, &Entry::taken, this, &Lane::type_value);
        connect(entry_, &Entry::tabbed, this, &Lane::type_next);
    }
    entry_->setAccessibleName(value_name());
    const QRect written = value_rect();
    const int left = written.isEmpty() ? width() / 2 - 60 : std::min(written.center().x() - 50, width() - 102);
    entry_->open({left, 1, written.isEmpty() ? 120 : 100, height() - 2}, value_text());
}

void Lane::type_next(bool forward) {
    std::vector<Lane*> lanes;
    for (Lane* lane : window()->findChildren<Lane*>())
        if (lane->isVisible() && lane->isEnabled() &&
            lane->mapTo(window(), QPoint()).x() == mapTo(window(), QPoint()).x())
            lanes.push_back(lane);
    std::sort(lanes.begin(), lanes.end(), [this](const Lane* a, const Lane* b) {
        return a->mapTo(window(), QPoint()).y() < b->mapTo(window(), QPoint()).y();
    });
    const auto at = std::find(lanes.begin(), lanes.end(), this);
    if (at == lanes.end() || (forward ? at + 1 == lanes.end() : at == lanes.begin())) return;
    Lane* const next = forward ? *(at + 1) : *(at - 1);
    next->setFocus(forward ? Qt::TabFocusReason : Qt::BacktabFocusReason);
    next->open_entry();
}

void Lane::enterEvent(QEnterEvent*) { tell(); }
void Lane::leaveEvent(QEvent*) {
    hinted_.clear();
    emit work_.view.hint({});
}

void Lane::focusInEvent(QFocusEvent* event) {
    const bool by_tab = event->reason() == Qt::TabFocusReason || event->reason() == Qt::BacktabFocusReason;
    if (by_tab && !work_.view.rows_changing) select_row();
    update();
}

QColor colour_of(Fit fit) {
    switch (fit) {
        case Fit::below:
            return theme().below;
        case Fit::inside:
            return theme().inside;
        case Fit::above:
            return theme().above;
        case Fit::silent:
            break;
    }
    return theme().faint;
}

namespace {

/// Blocks that fall into a column of pixels: first and one past the last.
std::pair<int64_t, int64_t> blocks_of(int x, const LevelSummary& s, int rate, double shift_s, const TimeRuler& time) {
    const double per_s = static_cast<double>(rate) / LevelSummary::block_frames;
    const auto first = static_cast<int64_t>(std::floor((time.time(x) - shift_s) * per_s));
    const auto end = static_cast<int64_t>(std::ceil((time.time(x + 1) - shift_s) * per_s));
    return {std::max<int64_t>(0, first), std::min(std::max(end, first + 1), s.blocks())};
}

}  // namespace

void paint_waveform(QPainter& painter, const QRect& area, const QRect& clip, const MaterialPtr& material,
                    double shift_s, double gain, const TimeRuler& time, const QColor& colour, SampleWindows& windows) {
    const LevelSummary& s = material->summary;
    const int rate = material->measurement.sample_rate;
    const size_t channels = static_cast<size_t>(s.channels);
    const double middle = area.top() + area.height() / 2.0, half = area.height() / 2.0 - 1.0;
    const auto y = [&](float v) {
        return static_cast<int>(std::lround(middle - half * std::clamp(static_cast<double>(v) * gain, -1.0, 1.0)));
    };
    const QRect columns = area & clip;
    const double frames_a_pixel = (time.time(1.0) - time.time(0.0)) * rate;
    Columns lines(columns);
    if (frames_a_pixel >= 32.0) {
        for (int x = columns.left(); x <= columns.right(); ++x) {
            const auto [first, end] = blocks_of(x, s, rate, shift_s, time);
            if (first >= end) continue;
            float low = 0.0f, high = 0.0f;
            for (size_t i = static_cast<size_t>(first) * channels; i < static_cast<size_t>(end) * channels; ++i) {
                low = std::min(low, s.low[i]);
                high = std::max(high, s.high[i]);
            }
            lines.add(x, y(high), y(low));
        }
        lines.paint(painter, colour);
        return;
    }
    const auto frame_at = [&](int x) { return static_cast<int64_t>(std::floor((time.time(x) - shift_s) * rate)); };
    const int64_t first = frame_at(columns.left()) - 1, frames = frame_at(columns.right() + 1) + 2 - first;
    if (columns.isEmpty() || first >= s.frames || first + frames <= 0) return;
    const float* const samples = windows.of(material, first, frames);
    if (!samples) return;
    if (frames_a_pixel >= 1.0) {
        for (int x = columns.left(); x <= columns.right(); ++x) {
            const auto from = static_cast<size_t>(frame_at(x) - first) * channels;
            const auto to = static_cast<size_t>(frame_at(x + 1) - first + 1) * channels;  // touches the next column
            const auto [low, high] = std::minmax_element(samples + from, samples + to);
            lines.add(x, y(*high), y(*low));
        }
        lines.paint(painter, colour);
        return;
    }
    painter.setPen(colour);
    for (size_t c = 0; c < channels; ++c) {  // sample by sample: a line through dots
        QPolygon line;
        for (int64_t i = 0; i < frames; ++i) {
            const double at_s = static_cast<double>(first + i) / rate + shift_s;
            line << QPoint(static_cast<int>(std::lround(time.x_of(at_s))),
                           y(samples[static_cast<size_t>(i) * channels + c]));
        }
        painter.drawPolyline(line);
        if (frames_a_pixel > 0.2) continue;
        for (const QPoint& dot : line) painter.drawRect(dot.x() - 1, dot.y() - 1, 2, 2);
    }
}

void paint_level_shadow(QPainter& painter, const QRect& area, const QRect& clip, const LevelSummary& s, int rate,
                        double shift_s, double gain, const TimeRuler& time, const QColor& colour, const Curve* ride) {
    const QRect columns = area & clip;
    Columns lines(columns);
    const Curve none;
    CurveWalk walk(ride ? *ride : none);
    const double gain_db = db_from_gain(gain) + aes17_db;
    for (int x = columns.left(); x <= columns.right(); ++x) {
        const auto [first, end] = blocks_of(x, s, rate, shift_s, time);
        if (first >= end) continue;
        double sum = 0.0;
        for (size_t i = static_cast<size_t>(first * s.channels); i < static_cast<size_t>(end * s.channels); ++i)
            sum += static_cast<double>(s.mean_square[i]);
        const double level = db_from_power(sum / static_cast<double>((end - first) * s.channels)) + gain_db +
                             walk.value_at(time.time(x));
        const double share = std::clamp((level + 60.0) / 60.0, 0.0, 1.0);
        if (share > 0.0) lines.add(x, area.bottom(), area.bottom() - static_cast<int>(share * area.height()));
    }
    lines.paint(painter, colour);
}

}  // namespace isotonus
