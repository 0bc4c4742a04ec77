#include "app/ride/ride_editor.h"

#include <QCoreApplication>
#include <QKeyEvent>
#include <algorithm>
#include <cmath>

#include "app/style/text.h"

namespace isotonus {

namespace {

constexpr double hit_pixels = 8.0;
constexpr int strip_height = 12, axis_width = 54, blade_width = 14;

/// What the canvas shows: rides below -30 dB stand at its lower edge.
std::pair<double, double> shown_range(Parameter p) {
    return p == Parameter::level ? std::pair{-30.0, 12.0} : std::pair{info_of(p).low, info_of(p).high};
}

}  // namespace

RideEditor::RideEditor(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    connect(&work_.document, &Document::session_changed, this, [this] {
        const size_t count = curve().points.size();
        std::erase_if(selected_, [count](size_t i) { return i >= count; });
        update();
    });
    in_ = new QToolButton(this);
    in_->setObjectName("rideIn");
    in_->setCheckable(true);
    in_->setFocusPolicy(Qt::TabFocus);
    in_->setStyleSheet("font-size: 11px; padding: 0 6px;");
    in_->setToolTip(tr("Bypasses this ride, to compare. A bypassed ride is not exported either. (/)"));
    connect(in_, &QToolButton::clicked, this, [this](bool on) { work_.edits.set_ride_out(row_, parameter_, !on); });
    connect(&work_.document, &Document::session_changed, this, &RideEditor::place_switch);
    connect(&work_.materials, &Materials::changed, this, [this] { update(); });
    connect(&work_.view.time, &TimeView::changed, this, [this] {
        playhead_x_ = static_cast<int>(time().x_of(work_.player.position_s()));  // where it is drawn from now on
        update();
    });
    connect(&work_.writing, &Writing::changed, this, [this] { update(); });
    connect(&work_.player, &Player::moved, this, [this] {
        const int x = static_cast<int>(time().x_of(work_.player.position_s()));
        if (x == playhead_x_) return;
        update(playhead_x_ - 1, 0, 3, height());
        playhead_x_ = x;
        update(playhead_x_ - 1, 0, 3, height());
        update(0, 0, axis_width, height());  // the blade follows the ride
    });
}

QString RideEditor::spoken_value() const {
    if (!exists()) return {};
    const Curve ride = curve();
    if (ride.empty()) return tr("no ride");
    return tr("%n point(s), %1 at the playhead", nullptr, static_cast<int>(ride.points.size()))
        .arg(ride_value_text(parameter_, ride.value_at(work_.player.position_s())));
}

void RideEditor::show_ride(TrackId row, Parameter parameter) {
    if (row != row_ || parameter != parameter_) {
        selected_.clear();
        ranges_.clear();
        zoomed_.reset();
        drag_ = Drag::none;
    }
    row_ = row;
    parameter_ = parameter;
    setAccessibleName(tr("Automation editor, %1 of %2").arg(parameter_word(parameter), row_name()));
    place_switch();
    update();
}

void RideEditor::place_switch() {
    const Rides* rides = work_.document.session().rides_of(row_);
    in_->setVisible(rides && (*rides)[parameter_]);
    in_->setChecked(rides && !rides->is_out(parameter_));
    in_->setText(in_->isChecked() ? tr("On") : tr("Bypassed"));
    in_->setAccessibleName(tr("Ride of %1 on").arg(parameter_word(parameter_)));
    in_->setGeometry(canvas().right() - 44, canvas().top() + 2, 42, 18);
}

QRect RideEditor::canvas() const {
    return QRect(axis_width, strip_height, width() - axis_width - scroll_width, height() - strip_height - 4);
}

QRect RideEditor::strip() const { return QRect(axis_width, 0, width() - axis_width - scroll_width, strip_height); }

TimeRuler RideEditor::time() const {
    TimeRuler t = lane_time(work_, canvas().width());
    t.left += axis_width;
    t.right += axis_width;
    return t;
}

std::pair<double, double> RideEditor::shown_values() const { return zoomed_.value_or(shown_range(parameter_)); }

QPointF RideEditor::point_of(double time_s, double value) const {
    const auto [low, high] = shown_values();
    const QRect c = canvas().adjusted(0, 4, 0, -4);
    return {time().x_of(time_s), c.top() + c.height() * (high - std::clamp(value, low, high)) / (high - low)};
}

double RideEditor::value_at(double y) const {
    const auto [low, high] = shown_values();
    const QRect c = canvas().adjusted(0, 4, 0, -4);
    const double value = high - (y - c.top()) * (high - low) / c.height();
    if (info().law == ControlTaper::toggle) return value >= 0.5 ? 1.0 : 0.0;
    return value;
}

Curve RideEditor::curve() const {
    const Rides* rides = work_.document.session().rides_of(row_);
    return rides && (*rides)[parameter_] ? *(*rides)[parameter_] : Curve{};
}

int RideEditor::point_at(const QPointF& at) const {
    const Curve c = curve();
    int nearest = -1;
    double least = hit_pixels;
    for (size_t i = 0; i < c.points.size(); ++i) {
        const QPointF p = point_of(c.points[i].time_s, c.points[i].value);
        if (const double d = std::hypot(p.x() - at.x(), p.y() - at.y()); d < least)
            least = d, nearest = static_cast<int>(i);
    }
    return nearest;
}

std::optional<QPointF> RideEditor::handle_of(const Curve& c, size_t i) const {
    if (i + 1 >= c.points.size() || c.points[i].segment != Segment::bend) return std::nullopt;
    const RidePoint &from = c.points[i], &to = c.points[i + 1];
    const double middle_s = (from.time_s + to.time_s) / 2.0;
    if (time().x_of(to.time_s) - time().x_of(from.time_s) < 32.0 || from.value == to.value) return std::nullopt;
    return point_of(middle_s, c.value_at(middle_s));
}

int RideEditor::handle_at(const QPointF& at) const {
    const Curve c = curve();
    for (size_t i = 0; i < c.points.size(); ++i)
        if (const auto h = handle_of(c, i); h && std::hypot(h->x() - at.x(), h->y() - at.y()) < hit_pixels)
            return static_cast<int>(i);
    return -1;
}

double RideEditor::snapped_time(double time_s) const {
    if (!work_.view.snapping) return time_s;
    const TimeRuler ruler = time();
    double best = work_.view.snap(time_s), least = std::fabs(ruler.x_of(best) - ruler.x_of(time_s));
    if (best == time_s || least > hit_pixels) best = time_s, least = hit_pixels;
    const auto offer = [&](double to) {
        const double pixels = std::fabs(ruler.x_of(to) - ruler.x_of(time_s));
        if (pixels < least) best = to, least = pixels;
    };
    for (const Section& s : work_.document.session().sections) offer(s.start_s);
    offer(work_.player.position_s());
    const Rides* rides = work_.document.session().rides_of(row_);
    if (rides)
        for (const auto& [parameter, curve] : rides->all())
            if (parameter != parameter_)
                for (const RidePoint& point : curve->points) offer(point.time_s);
    return best;
}

void RideEditor::store(const Curve& changed, const QString& what, uint64_t gesture) {
    if (!exists()) return;
    const QString name = parameter_ == Parameter::level
                             ? tr("Ride %1: %2").arg(row_name(), what)
                             : tr("Ride %1 of %2: %3").arg(parameter_word(parameter_), row_name(), what);
    work_.document.edit(name, with_ride(work_.document.session(), row_, parameter_, changed), gesture);
}

void RideEditor::set_range(Span range) {
    ranges_ = {last_range_ = range};
    update();
}

Span RideEditor::range_meant() const {
    if (!ranges_.empty()) return last_range_;
    const Session& s = work_.document.session();
    const int section = section_at(s, work_.player.position_s());
    if (section < 0) return {0.0, work_.view.time.song_s()};
    return {s.sections[static_cast<size_t>(section)].start_s, section_end_s(s, section, work_.view.time.song_s())};
}

void RideEditor::mark(Span span) {
    last_range_ = span;
    ranges_ = ranges_before_;
    ranges_.push_back(span);
    ranges_ = joined(std::move(ranges_));
}

bool RideEditor::in_ranges(double time_s) const {
    return std::any_of(ranges_.begin(), ranges_.end(),
                       [time_s](const Span& r) { return time_s >= r.from_s && time_s <= r.to_s; });
}

void RideEditor::move_selected(double by_s, double by, uint64_t gesture) {
    if (selected_.empty()) return;
    const Curve c = moved(curve(), selected_, by_s, by, info());
    const RidePoint& first = c.points[*selected_.begin()];
    store(c,
          selected_.size() == 1
              ? tr("Move a point to %1, %2").arg(time_text(first.time_s, 2), ride_value_text(parameter_, first.value))
              : tr("Move %n point(s)", nullptr, static_cast<int>(selected_.size())),
          gesture);
}

void RideEditor::select_in(const std::function<bool(const QPointF&)>& inside) {
    selected_.clear();
    const Curve c = curve();
    for (size_t i = 0; i < c.points.size(); ++i)
        if (inside(point_of(c.points[i].time_s, c.points[i].value))) selected_.insert(i);
    update();
}

void RideEditor::focusInEvent(QFocusEvent* event) {
    QWidget::focusInEvent(event);
    if (work_.view.ride.shown.family || work_.view.ride.shown.parameter == parameter_) return;
    RideView::Shown view = work_.view.ride.shown;
    view.parameter = parameter_;
    work_.view.ride.show(std::move(view));
}

void RideEditor::mousePressEvent(QMouseEvent* event) {
    if (!exists() || event->button() != Qt::LeftButton) return;
    const QPoint at = event->position().toPoint();
    last_ = from_ = event->position();
    moved_ = false;
    gesture_ = work_.document.new_gesture();
    if (strip().contains(at)) {
        drag_ = Drag::range;
        selected_.clear();
        const double t = snapped_time(std::clamp(time().time(last_.x()), 0.0, work_.view.time.song_s()));
        was_marked_ = in_ranges(time().time(last_.x()));
        ranges_before_ = event->modifiers() & Qt::ControlModifier ? ranges_ : std::vector<Span>{};
        mark({t, t});
        update();
        return;
    }
    if (at.x() < axis_width && at.x() >= axis_width - blade_width) {
        drag_ = Drag::fader;
        if (work_.writing.writes(row_))
            work_.writing.touch(row_, parameter_, work_.writing.value_now(row_, parameter_));
        else
            emit work_.view.hint(
                tr("The bar shows the current value of the ride. In touch, latch or write, move it while the song "
                   "plays to write the ride."));
        return;
    }
    if (!canvas().contains(at)) return;
    const int hit = point_at(last_);
    const bool ctrl = event->modifiers() & Qt::ControlModifier;
    if (hit >= 0) {
        const size_t i = static_cast<size_t>(hit);
        if (ctrl) {
            if (!selected_.erase(i)) selected_.insert(i);
        } else if (!selected_.contains(i)) {
            selected_ = {i};
        }
        drag_ = ctrl ? Drag::none : Drag::points;
    } else if (const int bent = ctrl ? -1 : handle_at(last_); bent >= 0) {
        bent_ = static_cast<size_t>(bent);
        selected_ = {bent_};
        drag_ = Drag::bend;
    } else if (ctrl) {
        drag_ = event->modifiers() & Qt::ShiftModifier ? Drag::lasso : Drag::band;
        lasso_ = QPolygonF{last_};
    } else if (in_ranges(time().time(last_.x()))) {
        drag_ = Drag::raise;
        before_ = curve();
    } else {
        ranges_.clear();
        Curve c = curve();
        RidePoint p{snapped_time(std::clamp(time().time(last_.x()), 0.0, work_.view.time.song_s())),
                    std::clamp(value_at(last_.y()), info().low, info().high)};
        if (info().law == ControlTaper::toggle) p.segment = Segment::step;
        const double unit = parameter_ == Parameter::level || parameter_ == Parameter::trim ? 10.0 : 100.0;
        p.value = std::round(p.value * unit) / unit;
        selected_ = {c.insert(p)};
        store(c, tr("Add a point at %1, %2").arg(time_text(p.time_s, 2), ride_value_text(parameter_, p.value)),
              gesture_);
        drag_ = Drag::points;
    }
    update();
}

void RideEditor::mouseMoveEvent(QMouseEvent* event) {
    const QPointF at = event->position();
    const double here_s = time().time(at.x());
    if (drag_ != Drag::none) moved_ = moved_ || (at - from_).manhattanLength() > 2.0;
    switch (drag_) {
        case Drag::none:
            if (exists() && canvas().contains(at.toPoint())) {
                const Curve c = curve();
                emit work_.view.hint(
                    tr("%1 at %2, %3 ride %4. Click to add a point, drag to move it, Ctrl and drag to select.")
                        .arg(row_name(), time_text(here_s, 2), parameter_word(parameter_),
                             ride_value_text(parameter_, c.empty() ? rest() : c.value_at(here_s))));
            } else if (strip().contains(at.toPoint())) {
                emit work_.view.hint(
                    tr("Drag here to mark a stretch (with Ctrl another one). Then drag the curve in it up or down."));
            }
            return;
        case Drag::range: {
            const double start = time().time(from_.x()),
                         end = snapped_time(std::clamp(here_s, 0.0, work_.view.time.song_s()));
            const double first = snapped_time(std::clamp(start, 0.0, work_.view.time.song_s()));
            mark({std::min(first, end), std::max(first, end)});
            emit work_.view.hint(tr("%1 to %2").arg(time_text(last_range_.from_s, 2), time_text(last_range_.to_s, 2)));
            update();
            return;
        }
        case Drag::band: {
            const QRectF band = QRectF(from_, at).normalized();
            last_ = at;
            select_in([&](const QPointF& p) { return band.contains(p); });
            return;
        }
        case Drag::lasso:
            lasso_ << at;
            select_in([&](const QPointF& p) { return lasso_.containsPoint(p, Qt::OddEvenFill); });
            return;
        case Drag::raise: {
            const double fine = event->modifiers() & Qt::ShiftModifier ? 0.1 : 1.0;
            const double by = (value_at(at.y()) - value_at(from_.y())) * fine;
            ParameterInfo own = info();
            own.rest = rest();
            Curve c = before_;
            for (const Span& r : ranges_) c = raised(c, r, by, edge_s, own);
            store(c, tr("Move a stretch by %1").arg(ride_value_text(parameter_, by)), gesture_);
            emit work_.view.hint(tr("%1 to %2: %3")
                                     .arg(time_text(ranges_.front().from_s, 2), time_text(ranges_.back().to_s, 2),
                                          ride_value_text(parameter_, by)));
            return;
        }
        case Drag::fader:
            move_fader((value_at(at.y()) - value_at(last_.y())) * (event->modifiers() & Qt::ShiftModifier ? 0.1 : 1.0));
            last_ = at;
            return;
        case Drag::bend: {  // so that its middle is under the pointer
            Curve c = curve();
            if (bent_ + 1 >= c.points.size()) return;
            RidePoint& from = c.points[bent_];
            from.bend = bend_through((value_at(at.y()) - from.value) / (c.points[bent_ + 1].value - from.value));
            store(c, tr("Bend %1").arg(shown_figure(from.bend, 2)), gesture_);
            emit work_.view.hint(tr("bend %1 (−1 fast first … +1 slow first)").arg(shown_figure(from.bend, 2)));
            return;
        }
        case Drag::points:
            break;
    }
    if (!moved_) return;
    const double fine = event->modifiers() & Qt::ShiftModifier ? 0.1 : 1.0;
    double by_s = (here_s - time().time(last_.x())) * fine;
    const Curve c = curve();
    if (selected_.size() == 1 && !(event->modifiers() & Qt::ShiftModifier))
        by_s = snapped_time(std::max(0.0, here_s)) - c.points[*selected_.begin()].time_s;
    move_selected(by_s, (value_at(at.y()) - value_at(last_.y())) * fine, gesture_);
    last_ = at;
    if (selected_.empty()) return;
    const RidePoint p = curve().points[*selected_.begin()];
    emit work_.view.hint(tr("%1, %2").arg(time_text(p.time_s, 2), ride_value_text(parameter_, p.value)));
}

void RideEditor::mouseReleaseEvent(QMouseEvent*) {
    if (drag_ == Drag::fader) work_.writing.release(row_, parameter_);
    if (drag_ == Drag::range && !moved_) {
        // A click marks the section there; where a stretch is marked already, it unmarks.
        const double here_s = time().time(from_.x());
        const int section = section_at(work_.document.session(), here_s);
        if (section >= 0 && !was_marked_)
            mark({work_.document.session().sections[static_cast<size_t>(section)].start_s,
                  section_end_s(work_.document.session(), section, work_.view.time.song_s())});
    }
    if (drag_ == Drag::range) {
        std::erase_if(ranges_, [](const Span& r) { return r.length_s() <= 0.0; });
        if (last_range_.length_s() <= 0.0 && !ranges_.empty()) last_range_ = ranges_.back();
        const Curve c = curve();
        for (size_t i = 0; i < c.points.size(); ++i)
            if (in_ranges(c.points[i].time_s)) selected_.insert(i);
    }
    if (drag_ == Drag::raise && !moved_) ranges_.clear();
    drag_ = Drag::none;
    update();
}

void RideEditor::move_fader(double by) {
    if (!work_.writing.writes(row_)) return;
    const double now = work_.writing.value_now(row_, parameter_);
    work_.writing.move(row_, parameter_, std::clamp(now + by, info().low, info().high));
    update();
}

void RideEditor::fill_to(double time_s) {
    const double now_s = work_.player.position_s();
    if (!exists() || time_s <= now_s) return;
    const Curve c = curve();
    const double value = c.empty() ? rest() : c.value_at(now_s);
    store(with_inside(c, {now_s, time_s}, Curve{{{0.0, value}}}, info()),
          tr("Fill to %1, %2").arg(time_text(time_s, 2), ride_value_text(parameter_, value)));
}

void RideEditor::show_all_values() {
    zoomed_.reset();
    update();
}

void RideEditor::wheelEvent(QWheelEvent* event) {
    // On the axis the wheel zooms values, around the one under the pointer.
    if (event->position().x() >= axis_width || info().law == ControlTaper::toggle) return event->ignore();
    const auto [all_low, all_high] = shown_range(parameter_);
    const auto [low, high] = shown_values();
    const double factor = event->angleDelta().y() > 0 ? 0.8 : 1.25, around = value_at(event->position().y());
    const double room = std::clamp((high - low) * factor, (all_high - all_low) / 20.0, all_high - all_low);
    const double from = std::clamp(around - (around - low) * room / (high - low), all_low, all_high - room);
    zoomed_ = {from, from + room};
    if (room >= all_high - all_low) zoomed_.reset();
    update();
    event->accept();
}

void RideEditor::mouseDoubleClickEvent(QMouseEvent* event) {
    if (event->position().x() < axis_width - blade_width) return show_all_values();
    const int hit = point_at(event->position());
    if (hit < 0) return;
    Curve c = curve();
    c.points[static_cast<size_t>(hit)].value = info().rest;
    store(c,
          tr("Move a point to %1")
              .arg(parameter_ == Parameter::level ? QString("0 dB") : ride_value_text(parameter_, info().rest)),
          gesture_);
}

void RideEditor::keyPressEvent(QKeyEvent* event) {
    const bool shift = event->modifiers() & Qt::ShiftModifier, ctrl = event->modifiers() & Qt::ControlModifier;
    const bool in_db = parameter_ == Parameter::level || parameter_ == Parameter::trim;
    double step = in_db || info().law == ControlTaper::toggle ? 1.0 : 0.1;
    if (shift)
        step *= 0.1;
    else if (ctrl)
        step *= 3.0;
    const double step_s = shift ? 0.01 : 0.1;
    const size_t count = curve().points.size();
    // While the song plays and this row writes, Up and Down ride it by hand.
    if (work_.writing.writes(row_) && (event->key() == Qt::Key_Up || event->key() == Qt::Key_Down)) {
        const double now = work_.writing.value_now(row_, parameter_), by = event->key() == Qt::Key_Up ? step : -step;
        work_.writing.tap(row_, parameter_, std::clamp(now + by, info().low, info().high));
        return;
    }
    switch (event->key()) {
        case Qt::Key_Delete:
        case Qt::Key_Backspace:
            return remove_selected();
        case Qt::Key_T:
            return toggle_shape();
        case Qt::Key_L:
            return toggle_locks();
        case Qt::Key_Up:
            return move_selected(0.0, step, 0);
        case Qt::Key_Down:
            return move_selected(0.0, -step, 0);
        case Qt::Key_Left:
            return move_selected(-step_s, 0.0, 0);
        case Qt::Key_Right:
            return move_selected(step_s, 0.0, 0);
        case Qt::Key_Comma:
            return scale_values(1.0 / 1.1);
        case Qt::Key_Period:
            return scale_values(1.1);
        case Qt::Key_Slash:
            return in_->click();
        case Qt::Key_Less:
            return stretch_times(1.0 / 1.1);
        case Qt::Key_Greater:
            return stretch_times(1.1);
        case Qt::Key_Return:
        case Qt::Key_Enter:
            return type_point();
        case Qt::Key_C:
            if (!ctrl) break;
            return copy();
        case Qt::Key_V:
            if (!ctrl) break;
            return paste_at(work_.player.position_s());
        case Qt::Key_A:
            if (!ctrl) break;
            for (size_t i = 0; i < count; ++i) selected_.insert(i);
            update();
            return;
        case Qt::Key_BracketLeft:
        case Qt::Key_BracketRight:
            if (count > 0) {
                const size_t step = event->key() == Qt::Key_BracketLeft ? count - 1 : 1;
                // With none chosen the first is next, and the last one is before.
                size_t at = step == 1 ? count - 1 : 0;
                if (!selected_.empty()) at = *selected_.begin();
                selected_ = {(at + step) % count};
                update();
            }
            return;
        case Qt::Key_Insert:
            if (exists()) {
                Curve c = curve();
                const double t = work_.player.position_s();
                const double v = c.empty() ? rest() : c.value_at(t);
                selected_ = {c.insert({t, v, info().law == ControlTaper::toggle ? Segment::step : Segment::line})};
                store(c, tr("Add a point at the playhead"));
            }
            return;
        default:
            break;
    }
    QWidget::keyPressEvent(event);
}

void RideEditor::show_ghost(Curve curve) {
    ghost_ = std::move(curve);
    update();
}

void RideEditor::paint_axis(QPainter& painter) {
    const QRect c = canvas();
    std::vector<double> marks;
    if (parameter_ == Parameter::level)
        marks = {12.0, 6.0, 0.0, -6.0, -12.0, -18.0, -24.0, -30.0};
    else if (parameter_ == Parameter::trim)
        marks = {24.0, 12.0, 0.0, -12.0, -24.0};
    else if (info().law == ControlTaper::toggle)
        marks = {1.0, 0.0};
    else  // five marks, evenly on its ruler
        for (const double at : {1.0, 0.75, 0.5, 0.25, 0.0}) marks.push_back(value_at_position(parameter_, at));
    if (c.height() < 120 && marks.size() > 3) {  // little room: every other one, the middle among them
        std::vector<double> few;
        for (const double m : marks)
            if (parameter_ == Parameter::level
                    ? std::fmod(m, 12.0) == 0.0
                    : m == marks.front() || m == marks.back() || m == marks[marks.size() / 2])
                few.push_back(m);
        marks = few;
    }
    painter.setFont(lettering(11));
    const auto [low, high] = shown_values();
    std::erase_if(marks, [low = low, high = high](double v) { return v < low || v > high; });
    if (zoomed_ && marks.size() < 3)
        for (const double share : {0.1, 0.5, 0.9}) marks.push_back(low + share * (high - low));
    for (const double value : marks) {
        const int y = static_cast<int>(point_of(0.0, value).y());
        painter.setPen(value == info().rest ? theme().faint : theme().scale);
        painter.drawLine(c.left(), y, c.right(), y);
        painter.setPen(theme().faint);
        const QString text = parameter_ == Parameter::level || parameter_ == Parameter::trim
                                 ? scale_text(value, "", true)
                                 : ride_value_text(parameter_, value);
        painter.drawText(QRect(0, std::clamp(y - 8, 0, height() - 16), axis_width - blade_width - 4, 16),
                         Qt::AlignRight | Qt::AlignVCenter, text.trimmed());
    }
}

void RideEditor::paint_fader(QPainter& painter) {
    if (!exists()) return;
    const int at = static_cast<int>(std::lround(point_of(0.0, work_.writing.value_now(row_, parameter_)).y()));
    const QColor colour = work_.writing.held(row_, parameter_) ? theme().above : theme().accent;
    painter.fillRect(axis_width - blade_width, at - 1, blade_width - 2, 3, colour);
    painter.fillRect(axis_width - blade_width, at - 4, 2, 9, colour);
}

void RideEditor::paint_shadows(QPainter& painter, const QRect& clip) {
    const Track* t = track();
    const MaterialPtr m = t ? work_.materials.played(*t) : nullptr;
    if (!m) return;
    const QRect c = canvas();
    const Track shown = after_chain(*t, *m);
    const double shift_s = shown.delay_samples / m->measurement.sample_rate;
    const QRect foot = c.adjusted(0, c.height() / 3, 0, 0);
    QColor before = theme().faint, after = theme().track_colour(t->colour_index);
    before.setAlpha(60);
    after.setAlpha(90);
    paint_level_shadow(painter, foot, clip, m->summary, m->measurement.sample_rate, shift_s,
                       gain_from_db(shown.trim_db), time(), before);
    const Curve ride = curve();
    if (parameter_ == Parameter::level && !ride.empty())
        paint_level_shadow(painter, foot, clip, m->summary, m->measurement.sample_rate, shift_s,
                           gain_from_db(shown.trim_db), time(), after, &ride);
}

void RideEditor::paint_points(QPainter& painter) {
    const QRect c = canvas();
    const Curve ride = curve();
    const TimeRuler ruler = time();
    double drawn_x = -100.0;
    for (size_t i = 0; i < ride.points.size(); ++i) {
        if (ride.points[i].time_s < ruler.from_s || ride.points[i].time_s > ruler.to_s) continue;
        const QPointF p = point_of(ride.points[i].time_s, ride.points[i].value);
        // Where they stand shoulder to shoulder, every few pixels one; a zoom shows the rest.
        if (p.x() - drawn_x < 3.0 && !selected_.contains(i)) continue;
        drawn_x = p.x();
        painter.setPen(QPen(theme().accent, 1.5));
        painter.setBrush(selected_.contains(i) ? theme().accent : theme().panel);
        if (ride.points[i].locked)  // a bar under it: it stays
            painter.drawLine(QPointF(p.x() - 6, p.y() + 8), QPointF(p.x() + 6, p.y() + 8));
        // Among others that are close, small: the line must stay to be seen.
        const auto is_close = [&](size_t other) {
            const QPointF gap = point_of(ride.points[other].time_s, ride.points[other].value) - p;
            return std::hypot(gap.x(), gap.y()) < 12.0;
        };
        const bool close = i > 0 && i + 1 < ride.points.size() && is_close(i - 1) && is_close(i + 1);
        const double radius = close && !selected_.contains(i) ? 2.0 : 4.5;
        if (ride.points[i].segment == Segment::step)
            painter.drawRect(QRectF(p.x() - radius, p.y() - radius, 2.0 * radius, 2.0 * radius));
        else
            painter.drawEllipse(p, radius, radius);
        if (const auto handle = handle_of(ride, i)) {
            painter.setPen(QPen(theme().accent, 1.5));
            painter.setBrush(theme().panel);
            painter.drawPolygon(QPolygonF{*handle + QPointF(-5, 0), *handle + QPointF(0, -5), *handle + QPointF(5, 0),
                                          *handle + QPointF(0, 5)});
        }
        if (selected_.contains(i) && selected_.size() == 1) {
            painter.setPen(theme().text);
            const double x = std::min(p.x() + 10, c.right() - 140.0), y = std::max<double>(p.y() - 22, c.top());
            painter.drawText(QRectF(x, y, 150, 16), Qt::AlignVCenter,
                             tr("%1  %2").arg(time_text(ride.points[i].time_s, 2),
                                              ride_value_text(parameter_, ride.points[i].value)));
        }
    }
}

void RideEditor::paintEvent(QPaintEvent* event) {
    QPainter painter(this);
    painter.fillRect(event->rect(), theme().panel);
    if (!exists()) return;
    const QRect c = canvas();
    const TimeRuler ruler = time();
    painter.fillRect(strip(), theme().ground);
    paint_axis(painter);
    paint_fader(painter);
    paint_shadows(painter, event->rect());
    painter.setClipRect(QRect(c.left(), 0, c.width(), height()));
    QColor wash = theme().accent;
    wash.setAlpha(36);
    for (const Span& r : ranges_) {
        const QRectF marked(QPointF(ruler.x_of(r.from_s), 0), QPointF(ruler.x_of(r.to_s), height()));
        painter.fillRect(marked, wash);
        painter.fillRect(QRectF(marked.left(), 2, marked.width(), 6), theme().accent);
    }
    const Curve ride = curve();
    const RideWriter* writer = work_.writing.writer(row_, parameter_);
    const Rides& rides = *work_.document.session().rides_of(row_);
    const bool bypassed = rides.bypassed || rides.is_out(parameter_) || work_.document.session().rides_bypassed;
    const auto y_of = [this](double value) { return point_of(0.0, value).y(); };
    painter.setBrush(Qt::NoBrush);
    paint_ride(painter, ride, rest(), ruler,
               QPen(ride.empty() || bypassed || writer ? theme().faint : theme().text, 1.8,
                    bypassed ? Qt::DashLine : Qt::SolidLine),
               y_of);
    if (!ghost_.empty()) paint_ride(painter, ghost_, rest(), ruler, QPen(theme().accent, 1.8, Qt::DashLine), y_of);
    painter.setRenderHint(QPainter::Antialiasing);
    if (!writer) paint_points(painter);
    if (writer && writer->any()) {  // what is being written, in another colour
        const double now = work_.player.position_s();
        const Curve written = writer->so_far(now);
        for (const Span& span : writer->written(now)) {
            TimeRuler part = ruler;
            part.from_s = std::max(span.from_s, ruler.from_s);
            part.to_s = std::min(span.to_s, ruler.to_s);
            if (part.to_s <= part.from_s) continue;
            part.left = ruler.x_of(part.from_s);
            part.right = ruler.x_of(part.to_s);
            paint_ride(painter, written, rest(), part, QPen(theme().above, 2.4), y_of);
        }
    }
    painter.setRenderHint(QPainter::Antialiasing, false);
    painter.setPen(QPen(theme().accent, 1, Qt::DashLine));
    painter.setBrush(Qt::NoBrush);
    if (drag_ == Drag::band) painter.drawRect(QRectF(from_, last_).normalized());
    if (drag_ == Drag::lasso) painter.drawPolygon(lasso_);
    painter.setPen(theme().accent);
    const int x = static_cast<int>(ruler.x_of(work_.player.position_s()));
    painter.drawLine(x, 0, x, c.bottom());
    painter.setClipping(false);
    painter.setFont(lettering(11, hasFocus()));
    const QString title =
        (bypassed ? tr("%1 of %2, bypassed") : tr("%1 of %2")).arg(parameter_word(parameter_), row_name());
    const QRect box(c.left() + 2, c.top() + 1, QFontMetrics(painter.font()).horizontalAdvance(title) + 8, 16);
    painter.fillRect(box, theme().panel);
    painter.setPen(theme().text);
    painter.drawText(box, Qt::AlignCenter, title);
    if (ride.empty() && !writer && c.height() > 60) {
        painter.setPen(theme().faint);
        painter.setFont(lettering(13));
        const QRect line(box.right() + 8, c.top() + 2, c.right() - box.right() - 12, 18);
        QString help = tr("No ride yet: click to add the first point.");
        if (parameter_ == Parameter::level)
            if (const QString more =
                    tr("No ride yet: click to add the first point. Up is louder; 0 dB is the fader's level.");
                painter.fontMetrics().horizontalAdvance(more) <= line.width())
                help = more;
        write_in(painter, line, help, Qt::AlignHCenter | Qt::AlignTop);
    }
    if (hasFocus()) paint_focus(painter, c.adjusted(0, 0, 0, 1));
}

}  // namespace isotonus
