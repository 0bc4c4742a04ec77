// Buses, returns, control groups and the main output: rows below the tracks, in parts that fold and scroll by
// themselves.
#pragma once

#include <QScrollArea>
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
    void playhead_moved();
    void rename();

  signals:
    void pressed();  ///< anywhere, its buttons too

  protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent*) override { emit pressed(); }
    void mouseDoubleClickEvent(QMouseEvent*) override { rename(); }
    void contextMenuEvent(QContextMenuEvent* event) override;

  private:
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
    /// All of its rows; it scrolls when it gets less.
    QSize sizeHint() const override;

  protected:
    void paintEvent(QPaintEvent*) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

  private:
    /// A channel, its part, and its number among those that can be heard alone.
    struct Entry {
        TrackId id;
        ViewState::Pinned kind;
        int number;
        bool operator==(const Entry&) const = default;
    };
    struct Row {
        BusHead* head;
        Lane* lane;
    };
    std::vector<Entry> entries() const;
    void follow_session();
    void rebuild();
    void add_part(ViewState::Pinned kind, const std::vector<Entry>& entries);
    Workspace& work_;
    bool with_main_;
    MakeLane make_lane_;
    std::vector<Entry> shown_;
    std::vector<Row> rows_;
    QScrollArea* scroll_;
    QWidget* content_;
};

}  // namespace isotonus
