// A family folded into one row: what its tracks play together, and a click to unfold it.
#pragma once

#include <QWidget>

#include <memory>

#include "app/desk/lane.h"
#include "core/mix/overview.h"

namespace isotonus {

class FamilyRow : public QWidget {
    Q_OBJECT
  public:
    FamilyRow(Workspace& work, Family family, QWidget* parent = nullptr);
    Family family() const { return family_; }
    /// In place of the picture: the lane of the family's bus.
    void show_lane(Lane* lane);

  protected:
    void resizeEvent(QResizeEvent*) override;
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

  private:
    std::vector<const Track*> members() const;
    Workspace& work_;
    Family family_;
    Lane* lane_ = nullptr;
    PlanPtr of_;
    std::unique_ptr<MixOverview> overview_;
};

}  // namespace isotonus
