// The lane of Compare: what the row is made of, on the ruler of the large picture, and how much of the chosen band it
// makes.
#pragma once

#include "app/desk/plain_lane.h"

namespace isotonus {

class CompareLane : public PlainLane {
    Q_OBJECT
  public:
    CompareLane(Workspace& work, TrackId id, QWidget* parent);

  protected:
    QString value_text() const override;
    QString value_name() const override;
    void paint(QPainter& painter, const QRect& clip) override;

  private:
    /// Of the chosen band, 0 … 1; absent when none is chosen or the row makes nothing of it.
    std::optional<double> share() const;
};

}  // namespace isotonus
