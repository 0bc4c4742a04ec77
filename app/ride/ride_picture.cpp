#include "app/ride/ride_picture.h"

#include <QCoreApplication>
#include <algorithm>
#include <cmath>

#include "app/style/columns.h"
#include "core/ride/curve_walk.h"
#include "core/shape/processor.h"

namespace isotonus {

namespace {

QString tr(const char* text) { return QCoreApplication::translate("isotonus", text); }

bool is_pan(Parameter parameter) {
    return parameter == Parameter::pan || parameter == Parameter::left_pan || parameter == Parameter::right_pan ||
           &parameter.info() == &send_parameters::pan;
}

}  // namespace

QString ride_value_text(Parameter parameter, double value) {
    if (parameter == Parameter::level || parameter == Parameter::trim || &parameter.info() == &send_parameters::level)
        return db_text(value, "dB", true);
    if (is_pan(parameter)) return pan_text(value);
    if (parameter == Parameter::width) return tr("%1 %").arg(std::lround(value * 100.0));
    if (parameter == Parameter::mute) return value >= 0.5 ? tr("muted") : tr("on");
    return QString::fromStdString(shown_value(parameter.info(), value));
}

std::optional<double> parse_ride_value(Parameter parameter, const QString& text) {
    std::optional<double> value;
    if (is_pan(parameter)) {
        value = parse_pan(text);
    } else if (parameter == Parameter::mute) {
        const QString word = text.trimmed().toLower();
        if (word == tr("muted") || word == "1") value = 1.0;
        if (word == tr("on") || word == "0") value = 0.0;
    } else if (parameter.processor() != 0 || &parameter.info() == &send_parameters::in) {
        return value_from_text(parameter.info(), text.trimmed().section(' ', 0, 0).replace(',', '.').toStdString());
    } else {
        value = parse_level(QString(text).remove('%'));
        if (value && parameter == Parameter::width) *value /= 100.0;
    }
    const ParameterInfo& info = info_of(parameter);
    return value && *value >= info.low && *value <= info.high ? value : std::nullopt;
}

void paint_ride(QPainter& painter, const Curve& curve, double rest, const TimeRuler& time, const QPen& pen,
                const std::function<double(double)>& y_of) {
    const QRect area(static_cast<int>(time.left), 0, static_cast<int>(time.right - time.left) + 1, 1 << 14);
    Columns line(area);
    CurveWalk walk(curve);
    const double half = pen.widthF() / 2.0;
    auto at = std::lower_bound(curve.points.begin(), curve.points.end(), time.time(area.left()),
                               [](const RidePoint& p, double t) { return p.time_s < t; });
    double value = curve.empty() ? rest : walk.value_at(time.time(area.left()));
    for (int x = area.left(); x <= area.right(); ++x) {
        double low = value, high = value;
        const double until = time.time(x + 1.0);
        for (; at != curve.points.end() && at->time_s < until; ++at) {
            if (at != curve.points.begin() && (at - 1)->segment == Segment::step)
                low = std::min(low, (at - 1)->value), high = std::max(high, (at - 1)->value);
            low = std::min(low, at->value);
            high = std::max(high, at->value);
        }
        if (!curve.empty()) value = walk.value_at(until);  // where the next column begins: no gap between them
        if (pen.style() == Qt::DashLine && x / 6 % 2 == 1) continue;
        line.add_soft(x, y_of(std::max(high, value)) - half, y_of(std::min(low, value)) + half);
    }
    line.paint(painter, pen.color());
}

}  // namespace isotonus
