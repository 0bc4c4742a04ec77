// The field: the tracks of Balance as points.  Across is pan, up is fader level, size is how wide in frequency.
#pragma once

#include <QWidget>

#include "app/desk/workspace.h"
#include "app/style/spoken.h"

namespace isotonus {

class Field : public QWidget, public SpokenControl {
    Q_OBJECT
  public:
    Field(Workspace& work, QWidget* parent);
    QString spoken_value() const override;

    /// Where a track's point is; null when it has none.
    QPointF point_of(const Track& track) const;
    /// Where names stand, none over another; those that have no room are left out until the pointer is on their point.
    std::vector<std::pair<TrackId, QRect>> names() const;

  protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent*) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

  private:
    QRectF area() const;
    double y_of(double fader_db) const;
    double x_of(double pan) const;
    double db_of(double y) const;
    double radius_of(const Track& track) const;
    TrackId at(const QPointF& point) const;
    void move_selected(double pan_by, double db_by, uint64_t gesture);

    Workspace& work_;
    QPointF last_, pressed_;
    TrackId near_ = 0;  ///< under the pointer
    bool dragging_ = false, framing_ = false;
    uint64_t gesture_ = 0;
};

}  // namespace isotonus
