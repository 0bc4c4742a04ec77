// The rows: heads at the left, the station's lanes at the right, one ruler above them all.
#pragma once

#include <QScrollArea>
#include <QWidget>

#include "app/desk/row_head.h"
#include "app/desk/station.h"

class QVBoxLayout;

namespace isotonus {

class Desk : public QWidget {
    Q_OBJECT
  public:
    explicit Desk(Workspace& work, QWidget* parent = nullptr);
    ~Desk() override;

    void show_station(const Station* station);
    Lane* lane_of(TrackId id) const;
    RowHead* head_of(TrackId id) const;
    /// The focused track's lane gets the keyboard focus.
    void take_keys();
    /// Moves the focus by rows; `extend` keeps what is selected.
    void move_focus(int rows, bool extend);

  signals:
    void demo_wanted();
    void folder_wanted();

  protected:
    bool event(QEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;
    void resizeEvent(QResizeEvent*) override { share_height(); }
    void paintEvent(QPaintEvent*) override;

  private:
    void follow_session();
    void rebuild();
    void refresh();
    /// Of rows whose track an edit left alone nothing is drawn anew, as long as nothing else that they show has
    /// changed.
    void refresh_changed();
    /// Tracks that have a row of their own: those of folded families have none.
    std::vector<TrackId> shown() const;
    /// Where a row dragged to this height would go: before which row, the end being 0.
    TrackId row_below(int global_y) const;
    void show_drop(int global_y);
    void drop_rows(int global_y);
    QLayout* make_first_steps();
    QWidget* make_empty_state();

    struct Row {
        RowHead* head;
        Lane* lane;
    };
    Workspace& work_;
    const Station* station_ = nullptr;
    void place_view();
    /// Buses and what else stands below the tracks get what they want, but not more than half of what is there for
    /// both, unless the tracks need less.
    void share_height();
    /// By hand; 0: as high as it wants to be.
    void set_panel_height(int pixels);
    /// In a low window the panel gives way to a few tracks, and scrolls; in a narrow one it scrolls sideways.
    void fit_panel();
    QRect ruler_area() const;
    void show_panel(bool shown);
    QWidget *ruler_, *tools_ = nullptr, *panel_ = nullptr, *pinned_ = nullptr, *view_ = nullptr, *empty_;
    class PanelHandle* handle_;
    QScrollArea* panel_area_ = nullptr;       ///< around the panel
    int panel_wants_ = 0, panel_height_ = 0;  ///< px: by itself, and as it was set
    QScrollArea* scroll_;
    QWidget* content_;
    QVBoxLayout *rows_layout_, *outer_;
    std::vector<Row> rows_;
    std::shared_ptr<const Session> drawn_;  ///< what rows were last refreshed for
    std::vector<Family> folds_;             ///< as rows were made
    QWidget* drop_line_;
};

}  // namespace isotonus
