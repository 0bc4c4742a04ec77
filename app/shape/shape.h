// Shape: what a row is made of in frequency and in level, and the processors of its chain.
#pragma once

#include "app/desk/station.h"
#include "app/shape/shape_lane.h"
#include "app/shape/shape_panel.h"

namespace isotonus {

class ShapeStation : public Station {
  public:
    QString title() const override;
    QString state(const Workspace& work) const override;
    Lane* make_lane(Workspace& work, TrackId id, QWidget* parent) const override {
        return new ShapeLane(work, id, parent);
    }
    void paint_ruler(QPainter& painter, const QRect& area, const Workspace& work) const override;
    std::vector<Head> heads(const QRect& area) const override;
    Lane* make_bus_lane(Workspace& work, TrackId id, QWidget* parent) const override {
        return new ShapeLane(work, id, parent);
    }
    QWidget* make_pinned(Workspace& work, QWidget* parent) const override;
    QWidget* make_panel(Workspace& work, QWidget* parent) const override { return new ShapePanel(work, parent); }
};

}  // namespace isotonus
