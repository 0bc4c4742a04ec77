// One ride, large: points are drawn, moved, chosen and shaped here.
#pragma once

#include <QToolButton>
#include <set>

#include "app/ride/ride_picture.h"
#include "app/style/spoken.h"
#include "core/ride/curve_edit.h"

namespace isotonus {

class RideEditor : public QWidget, public SpokenControl {
    Q_OBJECT
  public:
    RideEditor(Workspace& work, QWidget* parent);
    QString spoken_value() const override;
    /// What it shows; `main` lanes have the tools, and the keys go to the one that has the focus.
    void show_ride(TrackId row, Parameter parameter);
    TrackId row() const { return row_; }
    Parameter parameter() const { return parameter_; }

    /// Places of the canvas, for tests and for drawing.
    QPointF point_of(double time_s, double value) const;
    const std::set<size_t>& selected_points() const { return selected_; }
    /// Stretches that were marked in the strip above the curve (Ctrl: one more), in the order of time; and the one that
    /// was marked last.
    const std::vector<Span>& ranges() const { return ranges_; }
    std::optional<Span> range() const { return ranges_.empty() ? std::nullopt : std::optional(last_range_); }
    void set_range(Span range);
    /// The marked stretch; else the section at the playhead; else the whole song.
    Span range_meant() const;

    const ParameterInfo& info() const { return info_of(parameter_); }
    Curve curve() const;
    double rest() const { return own_value(work_.document.session(), row_, parameter_); }
    void store(const Curve& curve, const QString& what, uint64_t gesture = 0);
    /// What would become of the ride, dashed; an empty curve: nothing.
    void show_ghost(Curve curve);
    const Curve& ghost() const { return ghost_; }

    // The tools.
    void remove_selected();
    void toggle_shape();
    void toggle_locks();
    void thin();
    void copy();
    void paste_at(double time_s);
    void scale_values(double factor);
    void stretch_times(double factor);
    void type_point();
    /// What the ride is at the playhead, held up to there.
    void fill_to(double time_s);
    /// Up and down, too, after a zoom.
    void show_all_values();
    double edge_s = 0.25;  ///< of a stretch that is raised

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void wheelEvent(QWheelEvent* event) override;
    void focusInEvent(QFocusEvent* event) override;
    void resizeEvent(QResizeEvent*) override { place_switch(); }

  private:
    Curve ghost_;
    enum class Drag { none, points, band, lasso, range, raise, bend, fader };
    const Track* track() const { return work_.document.track(row_); }
    bool exists() const { return work_.document.session().rides_of(row_) != nullptr; }
    QString row_name() const { return QString::fromStdString(work_.document.session().name_of(row_)); }
    QRect canvas() const;
    QRect strip() const;
    TimeRuler time() const;
    std::pair<double, double> shown_values() const;
    double value_at(double y) const;
    int point_at(const QPointF& at) const;
    /// Beats, section edges, the playhead, points of other rides nearby.
    double snapped_time(double time_s) const;
    /// Where a bend's handle stands: the middle of its segment; none where it is no bend or has no room.
    std::optional<QPointF> handle_of(const Curve& c, size_t point) const;
    int handle_at(const QPointF& at) const;
    void mark(Span span);
    bool in_ranges(double time_s) const;
    void move_selected(double by_s, double by, uint64_t gesture);
    void select_in(const std::function<bool(const QPointF&)>& inside);
    void paint_axis(QPainter& painter);
    void paint_shadows(QPainter& painter, const QRect& clip);
    void paint_points(QPainter& painter);
    /// The blade on the axis: what the ride is now; moved by hand it is written.
    void paint_fader(QPainter& painter);
    void move_fader(double by);

    void place_switch();

    Workspace& work_;
    QToolButton* in_;  ///< this ride is heard
    TrackId row_ = 0;
    Parameter parameter_ = Parameter::level;
    std::set<size_t> selected_;
    std::vector<Span> ranges_, ranges_before_;
    Span last_range_;
    Drag drag_ = Drag::none;
    QPointF last_, from_;
    QPolygonF lasso_;
    Curve before_;                                     ///< a stretch that is being raised: as it was
    size_t bent_ = 0;                                  ///< the point whose bend is dragged
    std::optional<std::pair<double, double>> zoomed_;  ///< values that are shown; absent: all
    bool was_marked_ = false;                          ///< where a stretch begins to be marked
    bool moved_ = false;
    uint64_t gesture_ = 0;
    int playhead_x_ = -1;
};

}  // namespace isotonus
