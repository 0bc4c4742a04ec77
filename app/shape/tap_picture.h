// A delay's repeats on the beat grid.
#pragma once

#include <QWidget>

#include "app/desk/workspace.h"
#include "app/style/spoken.h"

namespace isotonus {

/// The repeats of the delay that is chosen, left above and right below the line, against beats of the tempo at the
/// playhead.
class TapPicture : public QWidget, public SpokenControl {
    Q_OBJECT
  public:
    TapPicture(Workspace& work, QWidget* parent);
    QString spoken_value() const override;

  protected:
    void paintEvent(QPaintEvent*) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void leaveEvent(QEvent*) override;

  private:
    QRect canvas() const { return rect().adjusted(34, 10, -12, -26); }
    const Processor* delay() const;
    double shown_s() const;  ///< of the time axis
    Workspace& work_;
};

}  // namespace isotonus
