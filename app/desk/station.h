// A station: one step of the work, and how it draws the rows.
#pragma once

#include "app/desk/lane.h"

namespace isotonus {

class Station {
  public:
    virtual ~Station() = default;
    virtual QString title() const = 0;
    /// How far the work of this station is, for its tab; may be empty.
    virtual QString state(const Workspace&) const { return {}; }
    virtual Lane* make_lane(Workspace& work, TrackId id, QWidget* parent) const = 0;
    /// The strip above the lanes; `area` has the lanes' width.
    virtual void paint_ruler(QPainter&, const QRect& area, const Workspace&) const = 0;
    /// Buttons above the row heads; null for none.
    virtual QWidget* make_tools(Workspace&, QWidget*) const { return nullptr; }
    /// A panel below the lanes, as high as it wants to be; null for none.
    virtual QWidget* make_panel(Workspace&, QWidget*) const { return nullptr; }
};

}  // namespace isotonus
