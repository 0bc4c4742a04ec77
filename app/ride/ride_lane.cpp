#include "app/ride/ride_lane.h"

#include "app/ride/ride_picture.h"
#include "core/session/channel.h"

namespace isotonus {

QString RideLane::track_name() const { return QString::fromStdString(work_.document.session().name_of(id())); }

/// The parameter that the panel shows; else the first that is ridden.
Parameter RideLane::shown() const {
    const Parameter now = work_.view.ride.shown.parameter;
    if ((*rides())[now]) return now;
    return rides()->any() ? rides()->all().begin()->first : now;
}

QString RideLane::value_text() const {
    if (!rides() || !rides()->any()) return tr("no ride");
    QStringList words;
    for (const auto& [parameter, curve] : rides()->all())
        words << (rides()->is_out(parameter) ? tr("%1 %2, bypassed") : tr("%1 %2"))
                     .arg(parameter_word(parameter),
                          tr("%n point(s)", nullptr, static_cast<int>(curve->points.size())));
    if (rides()->bypassed) words << tr("bypassed");
    return words.join(", ");
}

QString RideLane::sentence() const {
    return tr("%1: %2. Click to edit the ride below. The keys Left and Right lower and raise the whole ride; Enter "
              "changes it by a typed value.")
        .arg(track_name(), value_text());
}

void RideLane::select_row() {
    if (track()) {
        work_.document.select_only(id());
    } else {
        RideView::Shown view = work_.view.ride.shown;
        view.row = id();
        if (!view.parameter.is_rows_own() || !can_be_ridden(work_.document.session().row_kind(id()), view.parameter))
            view.parameter = Parameter::level;
        work_.view.ride.show(std::move(view));
    }
}

std::vector<TrackId> RideLane::rows_meant() const {
    return track() ? work_.document.moved_with(id()) : std::vector<TrackId>{id()};
}

void RideLane::nudge(double by, uint64_t gesture) {
    if (!exists()) return;
    const Parameter p = shown();
    const ParameterInfo& info = info_of(p);
    const double step = p == Parameter::level || p == Parameter::trim ? by : 0.1 * by;
    Session next = work_.document.session();
    for (const TrackId row : rows_meant())
        if (const CurvePtr& curve = (*next.rides_of(row))[p])
            next = with_ride(next, row, p, raised(*curve, step, info));
    work_.document.edit(tr("Trim the ride %1 by %2").arg(track_name(), ride_value_text(p, step)), std::move(next),
                        gesture);
}

void RideLane::type_value(const QString& text) {
    const Parameter p = shown();
    if (const auto by = parse_ride_value(p, text))
        nudge(p == Parameter::level || p == Parameter::trim ? *by : *by * 10.0, 0);
}

void RideLane::paint(QPainter& painter, const QRect& clip) {
    const TimeRuler time = lane_time(work_, width());
    const Parameter p = shown();
    const CurvePtr& curve = (*rides())[p];
    const Track* t = track();
    if (const MaterialPtr m = t ? work_.materials.played(*t) : nullptr) {
        const Track shown = after_chain(*t, *m);
        paint_level_shadow(painter, QRect(0, 2, width(), height() - 5), clip, m->summary, m->measurement.sample_rate,
                           shown.delay_samples / m->measurement.sample_rate, gain_from_db(shown.trim_db), time,
                           theme().rule, p == Parameter::level ? curve.get() : nullptr);
    }
    const bool bypassed = rides()->bypassed || rides()->is_out(p) || work_.document.session().rides_bypassed;
    const ParameterInfo& info = info_of(p);
    const double low = p == Parameter::level ? -30.0 : info.low, high = info.high, h = height() - 6.0;
    const auto y_of = [&](double v) { return 3.0 + h * (high - std::clamp(v, low, high)) / (high - low); };
    painter.setBrush(Qt::NoBrush);
    if (curve) {
        const Channel channel = channel_of(work_.document.session(), id());
        const QColor colour = channel.colour_index ? theme().track_colour(*channel.colour_index) : theme().text;
        paint_ride(painter, *curve, info.rest, time, QPen(colour, 1.5, bypassed ? Qt::DashLine : Qt::SolidLine), y_of);
    }
    if (const RideWriter* writer = work_.writing.writer(id(), p); writer && writer->any()) {
        paint_ride(painter, writer->so_far(work_.player.position_s()), info.rest, time, QPen(theme().above, 1.8), y_of);
    }
    QStringList words;
    for (const auto& [other, curve_of_it] : rides()->all())
        if (other != p || p != Parameter::level) words << parameter_word(other);
    const QString modes[] = {QString(), tr("Touch"), tr("Latch"), tr("Write")};
    if (const QString mode = modes[static_cast<size_t>(work_.writing.mode(id()))]; !mode.isEmpty()) words << mode;
    if (words.isEmpty()) return;
    painter.setFont(lettering(11));
    painter.setPen(theme().text);
    const QString text = words.join(" · ");
    const int wide = QFontMetrics(painter.font()).horizontalAdvance(text) + 10;
    painter.fillRect(QRect(4, 2, wide, 15), theme().ground);
    painter.drawText(QRect(9, 2, wide, 15), Qt::AlignVCenter, text);
}

}  // namespace isotonus
