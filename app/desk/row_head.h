// The head of a row: colour, name, kind, mute and solo, selection.  Dragging it moves the row.
#pragma once

#include <QToolButton>
#include <QWidget>

#include "app/desk/entry.h"
#include "app/desk/workspace.h"

namespace isotonus {

/// A family's name as the user reads it.
QString family_word(Family family);

class RowHead : public QWidget {
    Q_OBJECT
  public:
    RowHead(Workspace& work, TrackId id, QWidget* parent);
    TrackId id() const { return id_; }
    void refresh();
    void playhead_moved();
    /// Opens a field over the name; Enter takes it, Esc leaves it.
    void rename();

  signals:
    void pressed();  ///< anywhere, its buttons too
    void dragged(int global_y);
    void dropped(int global_y);

  protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent*) override { rename(); }
    void contextMenuEvent(QContextMenuEvent* event) override;

  private:
    // Its menu.
    QAction* add_entry(QMenu* menu, const QString& text, const QString& help, const std::function<void()>& work);
    /// An edit of all tracks that are selected with this one.
    void add_setting(QMenu* menu, const QString& text, const QString& help, bool checked, const QString& name,
                     const std::function<void(Track&)>& change);
    void add_what_it_is(QMenu* menu);
    void add_channels(QMenu* menu);
    void add_low_end(QMenu* menu);
    void add_routing(QMenu* menu);
    void add_staging(QMenu* menu);
    QRect name_rect() const;
    void replace_file();
    void edit_note();
    void take_name(const QString& typed);

    Workspace& work_;
    TrackId id_;
    QToolButton *mute_, *solo_;
    Entry* name_ = nullptr;
    int pressed_y_ = -1;
    bool dragging_ = false;
};

}  // namespace isotonus
