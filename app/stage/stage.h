// Stage: every track's level against its target window, and the trim that brings it there.
#pragma once

#include <QToolButton>

#include "app/desk/station.h"
#include "core/stage/stretch_levels.h"

namespace isotonus {

class StageLane : public Lane {
    Q_OBJECT
  public:
    StageLane(Workspace& work, TrackId id, QWidget* parent);
    void levels_changed() override;

  protected:
    Range spoken_range() const override { return {-trim_max_db, trim_max_db}; }
    QString value_text() const override;
    QString value_name() const override { return tr("trim"); }
    void nudge(double by_db, uint64_t gesture) override;
    void type_value(const QString& text) override;
    void reset_value() override;
    QString sentence() const override;
    double per_pixel(const QPoint&) const override;
    bool grab(const QPoint& at) override;
    QRect value_rect() const override { return trim_rect_; }
    bool key(QKeyEvent* event) override;
    void paint(QPainter& painter, const QRect& clip) override;
    void place_children() override;

  private:
    /// What the parts of the picture are painted with.
    struct Canvas {
        QPainter& painter;
        Ruler ruler;
        const Staging& staging;
        const Material& material;
        int x_of(double db) const;
    };
    void paint_levels(const Canvas& c);
    void paint_window(const Canvas& c);
    void paint_trim(const Canvas& c);
    void paint_trim_figure(const Canvas& c);
    void paint_song(const Canvas& c, const QRect& clip);
    void set_trim(double db);
    /// Of the level that it is staged by: after its chain less before it; nothing without a chain at work.
    std::optional<double> chain_adds_db(const Staging& staging) const;
    /// Of the loop when it is on, else of the song; before the trim.
    StretchLevels shown_levels(const Material& material) const;
    void paint_figures(QPainter& painter, const Material& material, double trim_db);
    QRect strip() const;
    QToolButton *fit_, *lock_;
    QRect trim_rect_;  ///< of the trim's figure, as last painted
    double shown_live_db_ = silence_db, shown_vu_dbfs_ = silence_db;
};

class StageStation : public Station {
  public:
    QString title() const override;
    QString state(const Workspace& work) const override;
    Lane* make_lane(Workspace& work, TrackId id, QWidget* parent) const override {
        return new StageLane(work, id, parent);
    }
    void paint_ruler(QPainter& painter, const QRect& area, const Workspace& work) const override;
    std::vector<Head> heads(const QRect& area) const override;
    QWidget* make_tools(Workspace& work, QWidget* parent) const override;
};

}  // namespace isotonus
