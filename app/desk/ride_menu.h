// 'Ride this' of a control: its lane in Ride, without a change of its value.
#pragma once

#include <QPoint>
#include <vector>

#include "app/desk/workspace.h"

class QMenu;

namespace isotonus {

/// The name of a parameter, as people read it.
QString parameter_word(Parameter parameter);

/// Entries for those of these parameters that the channel can have a ride of.
void add_ride_entries(QMenu& menu, Workspace& work, TrackId channel, const std::vector<Parameter>& parameters);

/// A menu of nothing else.
void open_ride_menu(Workspace& work, TrackId channel, const std::vector<Parameter>& parameters, const QPoint& global);

}  // namespace isotonus
