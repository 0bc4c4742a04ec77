// Gather: what the files are, and what was found in them.
#pragma once

#include "app/desk/station.h"

namespace isotonus {

class GatherLane : public Lane {
    Q_OBJECT
  public:
    using Lane::Lane;

  protected:
    QString value_text() const override;
    QString value_name() const override { return tr("file"); }
    void nudge(double, uint64_t) override {}
    void type_value(const QString& text) override;
    void reset_value() override {}
    QString sentence() const override;
    double per_pixel(const QPoint&) const override { return 0.0; }
    bool grab(const QPoint& at) override;
    void paint(QPainter& painter, const QRect& clip) override;
};

class GatherStation : public Station {
  public:
    QString title() const override;
    QString state(const Workspace& work) const override;
    Lane* make_lane(Workspace& work, TrackId id, QWidget* parent) const override {
        return new GatherLane(work, id, parent);
    }
    void paint_ruler(QPainter& painter, const QRect& area, const Workspace& work) const override {
        lane_time(work, area.width()).paint(painter, area);
    }
};

}  // namespace isotonus
