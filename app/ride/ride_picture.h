// Rides in words and as lines: shared by the editor, the lanes and the list.
#pragma once

#include <QPainter>
#include <optional>

#include "app/desk/lane.h"
#include "app/desk/ride_menu.h"
#include "core/ride/parameter.h"

namespace isotonus {

/// A value of a parameter as it is written everywhere: "−3.0 dB", "L 30", "120 %", "muted".
QString ride_value_text(Parameter parameter, double value);
/// The same typed.
std::optional<double> parse_ride_value(Parameter parameter, const QString& text);

/// Draws it from edge to edge: in each column of pixels all that it reaches there, however dense its points are.
void paint_ride(QPainter& painter, const Curve& curve, double rest, const TimeRuler& time, const QPen& pen,
                const std::function<double(double)>& y_of);

}  // namespace isotonus
