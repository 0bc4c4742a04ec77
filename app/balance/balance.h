// Balance: faders and pans with live meters.
#pragma once

#include "app/desk/station.h"

namespace isotonus {

class BalanceLane : public Lane {
    Q_OBJECT
  public:
    using Lane::Lane;
    void levels_changed() override;

  protected:
    QString value_text() const override;
    QString value_name() const override { return active_ == Part::fader ? tr("fader") : tr("pan"); }
    void nudge(double by, uint64_t gesture) override;
    void type_value(const QString& text) override;
    void reset_value() override;
    QString sentence() const override;
    double per_pixel(const QPoint& at) const override;
    bool grab(const QPoint& at) override;
    bool key(QKeyEvent* event) override;
    void paint(QPainter& painter, const QRect& clip) override;

  private:
    enum class Part { fader, pan };
    void move_fader(double to_db, uint64_t gesture);
    void move_pan(double to, uint64_t gesture);
    /// After the fader; not told for a ridden track, whose peak the ride changes.
    Level song_peak_dbfs() const;
    QRect meter_place() const;
    QRect clip_flag() const;
    void paint_fader(QPainter& painter);
    void paint_meter(QPainter& painter);
    void paint_pan(QPainter& painter);

    Part active_ = Part::fader;
    double shown_level_db_ = silence_db, shown_hold_db_ = silence_db;
    bool shown_clipped_ = false;
};

class BalanceStation : public Station {
  public:
    QString title() const override;
    Lane* make_lane(Workspace& work, TrackId id, QWidget* parent) const override {
        return new BalanceLane(work, id, parent);
    }
    void paint_ruler(QPainter& painter, const QRect& area, const Workspace& work) const override;
    QWidget* make_tools(Workspace& work, QWidget* parent) const override;
};

/// A fader as it is drawn everywhere: a line with an upright blade at the level.
void paint_blade(QPainter& painter, int x, int top, int bottom, const QColor& colour);

/// Fader levels: minus infinity below the floor, +12 dB at most.
double fader_moved(double from_db, double by_db);

}  // namespace isotonus
