// Play, loop, position, sections; what the pointer is on; the device.
#pragma once

#include <QLabel>
#include <QTimer>
#include <QToolButton>
#include <QWidget>

#include "app/desk/workspace.h"

class QHBoxLayout;

namespace isotonus {

class TransportBar : public QWidget {
    Q_OBJECT
  public:
    TransportBar(Workspace& work, QWidget* parent = nullptr);
    /// Icons are drawn in the theme's text colour.
    void refresh_icons();

  signals:
    void device_wanted(const QString& name);

  protected:
    void paintEvent(QPaintEvent*) override;

  private:
    void refresh();
    void fill_sections();
    void show_devices();

    Workspace& work_;
    QToolButton *play_, *loop_, *device_;
    QLabel *position_, *hint_;
    QWidget* sections_;
    QHBoxLayout* sections_layout_;
    QTimer told_;  ///< runs while what was asked for is to be read
    bool shown_playing_ = false;
    std::vector<Section> shown_sections_;
};

}  // namespace isotonus
