// Balance: faders and pans with live meters, of tracks, buses and control groups.
#pragma once

#include "app/balance/balance_lane.h"
#include "app/balance/bus_lane.h"
#include "app/desk/station.h"

namespace isotonus {

class BalanceStation : public Station {
  public:
    QString title() const override;
    QString state(const Workspace& work) const override;
    Lane* make_lane(Workspace& work, TrackId id, QWidget* parent) const override {
        return new BalanceLane(work, id, parent);
    }
    Lane* make_bus_lane(Workspace& work, TrackId id, QWidget* parent) const override {
        return new BusLane(work, id, parent);
    }
    void paint_ruler(QPainter& painter, const QRect& area, const Workspace& work) const override;
    std::vector<Head> heads(const QRect& area) const override;
    QWidget* make_tools(Workspace& work, QWidget* parent) const override;
    QWidget* make_pinned(Workspace& work, QWidget* parent) const override;
    QWidget* make_panel(Workspace& work, QWidget* parent) const override;
    bool panel_shown(const Workspace& work) const override { return work.view.balance.page != BalanceView::Page::none; }
    QWidget* make_view(Workspace& work, QWidget* parent) const override;
};

}  // namespace isotonus
