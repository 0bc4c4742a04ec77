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
    /// A column of the lanes and what it shows, for a tooltip over its title; none where the title says it all.
    struct Head {
        QRect area;
        QString help;
    };
    virtual std::vector<Head> heads(const QRect&) const { return {}; }
    /// Buttons above the row heads; null for none.
    virtual QWidget* make_tools(Workspace&, QWidget*) const { return nullptr; }
    /// A panel below the lanes, as high as it wants to be; null for none.
    virtual QWidget* make_panel(Workspace&, QWidget*) const { return nullptr; }
    virtual bool panel_shown(const Workspace&) const { return true; }
    /// Buses and control groups: rows that never scroll away, as high as they want to be; null for none.
    virtual QWidget* make_pinned(Workspace&, QWidget*) const { return nullptr; }
    /// The lane of a bus, for the row of its folded family; null for none.
    virtual Lane* make_bus_lane(Workspace&, TrackId, QWidget*) const { return nullptr; }
    /// Something that may cover the lanes; it shows and hides itself.  Null for none.
    virtual QWidget* make_view(Workspace&, QWidget*) const { return nullptr; }
};

}  // namespace isotonus
