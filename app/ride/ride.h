// Ride: a track's level over time, drawn.
#pragma once

#include <set>

#include "app/desk/station.h"

namespace isotonus {

/// A row's ride in small.
class RideLane : public Lane {
    Q_OBJECT
  public:
    using Lane::Lane;

  protected:
    QString value_text() const override;
    QString value_name() const override { return tr("ride"); }
    void nudge(double by_db, uint64_t gesture) override;
    void type_value(const QString&) override {}
    void reset_value() override {}
    QString sentence() const override;
    double per_pixel(const QPoint&) const override { return 0.0; }
    bool grab(const QPoint&) override;
    void paint(QPainter& painter, const QRect& clip) override;
};

/// The focused row's ride, large: points are added, moved, selected and deleted here.
class RideEditor : public QWidget {
    Q_OBJECT
  public:
    RideEditor(Workspace& work, QWidget* parent);

    /// Places of the canvas, for tests and for drawing.
    QPointF place_of(double time_s, double db) const;
    const std::set<size_t>& selected_points() const { return selected_; }

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

  private:
    enum class Drag { none, points, band };
    const Track* track() const { return work_.document.track(work_.document.focused()); }
    Curve curve() const;
    QRect canvas() const;
    TimeRuler time() const;
    double db_at(double y) const;
    int point_at(const QPointF& at) const;
    void store(const Curve& curve, const QString& what, uint64_t gesture = 0);
    void move_selected(double by_s, double by_db, uint64_t gesture);
    void remove_selected();
    void toggle_steps();
    void toggle_locks();
    void draft();
    void thin();
    void csv_out();
    void csv_in();
    void clear();

    Workspace& work_;
    std::set<size_t> selected_;
    Drag drag_ = Drag::none;
    QPointF last_, band_from_, band_to_;
    uint64_t gesture_ = 0;
    int playhead_x_ = -1;
};

class RideStation : public Station {
  public:
    QString title() const override;
    QString state(const Workspace& work) const override;
    Lane* make_lane(Workspace& work, TrackId id, QWidget* parent) const override {
        return new RideLane(work, id, parent);
    }
    void paint_ruler(QPainter& painter, const QRect& area, const Workspace& work) const override {
        lane_time(work, area.width()).paint(painter, area);
    }
    QWidget* make_panel(Workspace& work, QWidget* parent) const override { return new RideEditor(work, parent); }
};

}  // namespace isotonus
