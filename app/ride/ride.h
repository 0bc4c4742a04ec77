// Ride: levels, pans, widths and mutes that move with the song.
#pragma once

#include <QListWidget>
#include <QPushButton>
#include <QToolButton>

#include "app/desk/station.h"
#include "app/ride/ride_editor.h"
#include "core/balance/track_draft.h"

namespace isotonus {

/// A row's ride in small: of a track, a bus, a control group, or the main output.
class RideLane : public Lane {
    Q_OBJECT
  public:
    using Lane::Lane;

  protected:
    bool exists() const override { return rides() != nullptr; }
    void select_row() override {}
    QString track_name() const override;
    QString value_text() const override;
    QString value_name() const override { return tr("ride"); }
    void nudge(double by_db, uint64_t gesture) override;
    void type_value(const QString& text) override;
    void reset_value() override {}
    QString sentence() const override;
    double per_pixel(const QPoint&) const override { return 0.0; }
    bool grab(const QPoint&) override;
    void paint(QPainter& painter, const QRect& clip) override;

  private:
    const Rides* rides() const { return work_.document.session().rides_of(id()); }
    Parameter shown() const;
    std::vector<TrackId> rows_meant() const;
};

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
    void dips();
    void tremolo_on_grid();
    void csv_out();
    void csv_in();
    void bypass(bool all);

    Workspace& work_;
    TrackId draft_when_heard_ = 0;  ///< asked for before the tracks' audibility was known
    std::vector<RideEditor*> lanes_;
    QListWidget* list_;
    std::array<QToolButton*, parameter_count> parameters_{};
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
    void paint_ruler(QPainter& painter, const QRect& area, const Workspace& work) const override {
        lane_time(work, area.width()).paint(painter, area);
    }
    QWidget* make_pinned(Workspace& work, QWidget* parent) const override;
    QWidget* make_panel(Workspace& work, QWidget* parent) const override { return new RidePanel(work, parent); }
};

}  // namespace isotonus
