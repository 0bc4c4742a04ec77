// The edge between the tracks and the panel below them: dragged, it gives the panel more or less of the height.
#pragma once

#include <QMouseEvent>
#include <QPainter>
#include <QWidget>

#include "app/style/theme.h"

namespace isotonus {

class PanelHandle : public QWidget {
    Q_OBJECT
  public:
    explicit PanelHandle(QWidget* parent = nullptr) : QWidget(parent) {
        setObjectName("panelHandle");
        setFixedHeight(7);
        setCursor(Qt::SizeVerCursor);
        setAccessibleName(tr("Height of the panel"));
        setToolTip(tr("Drag to change the height of the panel. Double click to restore its height."));
    }

  signals:
    void dragged(int up);  ///< px since the last time
    void reset();

  protected:
    void paintEvent(QPaintEvent*) override {
        QPainter painter(this);
        painter.fillRect(rect(), theme().ground);
        painter.fillRect(0, 0, width(), 1, theme().faint);
        painter.fillRect(width() / 2 - 18, 3, 36, 2, underMouse() ? theme().text : theme().faint);
    }
    void mousePressEvent(QMouseEvent* event) override { last_y_ = event->globalPosition().toPoint().y(); }
    void mouseMoveEvent(QMouseEvent* event) override {
        const int y = event->globalPosition().toPoint().y();
        emit dragged(std::exchange(last_y_, y) - y);
    }
    void mouseDoubleClickEvent(QMouseEvent*) override { emit reset(); }

  private:
    int last_y_ = 0;
};

}  // namespace isotonus
