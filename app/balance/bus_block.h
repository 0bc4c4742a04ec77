// Buses and control groups: rows below the others that never scroll away.
#pragma once

#include <QToolButton>

#include "app/desk/lane.h"

namespace isotonus {

/// Name, hearing, mute and solo of a bus or a control group.
class BusHead : public QWidget {
    Q_OBJECT
  public:
    BusHead(Workspace& work, TrackId id, int number, QWidget* parent);
    TrackId id() const { return id_; }
    void refresh();

  protected:
    void paintEvent(QPaintEvent*) override;
    void mouseDoubleClickEvent(QMouseEvent*) override { rename(); }
    void contextMenuEvent(QContextMenuEvent* event) override;

  private:
    void rename();
    Workspace& work_;
    TrackId id_;
    int number_;
    QToolButton *hear_ = nullptr, *mute_ = nullptr, *solo_ = nullptr;
};

class BusBlock : public QWidget {
    Q_OBJECT
  public:
    using MakeLane = std::function<Lane*(TrackId, QWidget*)>;
    /// With the main output as the last row when `with_main`.  Rows for which no lane is made are left out.
    BusBlock(Workspace& work, QWidget* parent, bool with_main, MakeLane make_lane);

  protected:
    void paintEvent(QPaintEvent*) override;

  private:
    void follow_session();
    Workspace& work_;
    bool with_main_;
    MakeLane make_lane_;
    std::vector<TrackId> shown_;
    struct Row {
        BusHead* head;
        Lane* lane;
    };
    std::vector<Row> rows_;
};

}  // namespace isotonus
