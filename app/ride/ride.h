// Ride: levels, pans, widths and mutes that move with the song.
#pragma once

#include <map>

#include <QCoreApplication>
#include <QListWidget>
#include <QPushButton>
#include <QToolButton>

#include "app/desk/station.h"
#include "app/ride/ride_editor.h"
#include "app/ride/ride_lane.h"
#include "core/balance/track_draft.h"

namespace isotonus {

/// The tools, and the lanes of what is ridden, large.
class RidePanel : public QWidget {
    Q_OBJECT
  public:
    RidePanel(Workspace& work, QWidget* parent);

  protected:
    void paintEvent(QPaintEvent*) override;
    void resizeEvent(QResizeEvent*) override { place_lanes(); }

  private:
    void make_tools();
    QMenu* make_shapes();
    QMenu* make_more();
    void follow();
    void refresh();
    void place_lanes();
    void show_list(bool on);
    void fill_list();
    RideEditor& active() const;
    QString row_name() const;
    void choose(Parameter parameter, bool add);
    void draft(DraftBy by);
    void draft_when_heard();
    void tremolo_on_grid();
    void csv_out();
    void csv_in();
    void bypass(bool all);

    Workspace& work_;
    TrackId draft_when_heard_ = 0;  ///< asked for before the tracks' audibility was known
    std::vector<RideEditor*> lanes_;
    QListWidget* list_;
    std::map<Parameter, QToolButton*> parameters_;
    std::array<QToolButton*, 4> modes_{};
    QToolButton *family_ = nullptr, *all_ = nullptr, *bypass_ = nullptr;
};

class RideStation : public Station {
  public:
    QString title() const override;
    QString state(const Workspace& work) const override;
    Lane* make_lane(Workspace& work, TrackId id, QWidget* parent) const override {
        return new RideLane(work, id, parent);
    }
    Lane* make_bus_lane(Workspace& work, TrackId id, QWidget* parent) const override {
        return new RideLane(work, id, parent);
    }
    void paint_ruler(QPainter& painter, const QRect& area, const Workspace&) const override {
        paint_ruler_words(painter, area,
                          QCoreApplication::translate("Station", "ride of each track over its waveform; up is louder"));
    }
    QWidget* make_pinned(Workspace& work, QWidget* parent) const override;
    QWidget* make_panel(Workspace& work, QWidget* parent) const override { return new RidePanel(work, parent); }
};

}  // namespace isotonus
