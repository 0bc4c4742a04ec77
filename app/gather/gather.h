// Gather: what the files are, what was found in them, and their clips.
#pragma once

#include <QCoreApplication>

#include "app/desk/station.h"

namespace isotonus {

/// The lane's value is the gain of the current clip.
class GatherLane : public Lane {
    Q_OBJECT
  public:
    using Lane::Lane;

  protected:
    Range spoken_range() const override { return {-clip_gain_max_db, clip_gain_max_db}; }
    QString value_text() const override;
    QString value_name() const override { return tr("clip gain"); }
    void nudge(double by_db, uint64_t gesture) override;
    void type_value(const QString& text) override;
    void reset_value() override;
    QString sentence() const override;
    double per_pixel(const QPoint&) const override { return 0.1; }
    bool grab(const QPoint& at) override;
    QRect value_rect() const override { return gain_rect_; }
    void paint(QPainter& painter, const QRect& clip) override;
    void mouseMoveEvent(QMouseEvent* event) override;

  private:
    struct Flag {
        QRect box;
        size_t finding;
    };
    void paint_clips(QPainter& painter, const QRect& area);
    const Flag* flag_at(const QPoint& at) const;
    void change_gain(const std::function<double(double)>& change, uint64_t gesture);
    std::vector<Flag> flags_;  ///< as last painted
    QRect gain_rect_;          ///< of the current clip's gain, likewise
};

class GatherStation : public Station {
  public:
    QString title() const override;
    QString state(const Workspace& work) const override;
    Lane* make_lane(Workspace& work, TrackId id, QWidget* parent) const override {
        return new GatherLane(work, id, parent);
    }
    void paint_ruler(QPainter& painter, const QRect& area, const Workspace&) const override {
        paint_ruler_words(painter, area, QCoreApplication::translate("Station", "recorded signal and findings"));
    }
    QWidget* make_tools(Workspace& work, QWidget* parent) const override;
    QWidget* make_panel(Workspace& work, QWidget* parent) const override;
    bool panel_shown(const Workspace& work) const override { return work.view.panel_open; }
};

}  // namespace isotonus
