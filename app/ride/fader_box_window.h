// The simulated fader box's window: eight faders to move by mouse or keys, which speak MIDI like a real box.
#pragma once

#include <QComboBox>
#include <QLabel>

#include "app/desk/workspace.h"
#include "app/style/spoken.h"

namespace isotonus {

/// One fader, upright, with its motor.
class BoxFader : public QWidget, public SpokenControl {
    Q_OBJECT
  public:
    BoxFader(FaderBox& box, int number, QWidget* parent);
    Range spoken_range() const override { return {fader_floor_db, fader_max_db, true}; }
    std::optional<double> number() const override { return fader_db_at(box_.position(number_)); }
    void say(const QString& text) override;
    QString spoken_value() const override;
    Sort sort() const override { return Sort::slider; }
    void step(int by) override;
    /// Where a position stands on the widget, for tests and for drawing.
    int y_of(double position) const;

  protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

  private:
    void push_to(double position);
    FaderBox& box_;
    int number_;
    double last_y_ = 0.0, at_ = 0.0;
};

class FaderBoxWindow : public QWidget {
    Q_OBJECT
  public:
    FaderBoxWindow(Workspace& work, QWidget* parent);
    FaderBox& box() { return box_; }

  protected:
    void paintEvent(QPaintEvent*) override;

  private:
    void refresh();
    Workspace& work_;
    FaderBox box_;
    std::array<BoxFader*, FaderBox::faders> faders_{};
    std::array<QLabel*, FaderBox::faders> names_{};
};

}  // namespace isotonus
