// The head of a row: colour, name, kind, mute and solo, selection.
#pragma once

#include <QToolButton>
#include <QWidget>

#include "app/desk/workspace.h"

namespace isotonus {

class RowHead : public QWidget {
    Q_OBJECT
  public:
    RowHead(Workspace& work, TrackId id, QWidget* parent);
    TrackId id() const { return id_; }
    void refresh();

  protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* event) override;
    void contextMenuEvent(QContextMenuEvent* event) override;

  private:
    Workspace& work_;
    TrackId id_;
    QToolButton *mute_, *solo_;
};

}  // namespace isotonus
