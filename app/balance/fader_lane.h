// A lane with a fader, of whatever channel.
#pragma once

#include <QElapsedTimer>

#include "app/desk/lane.h"

namespace isotonus {

/// A fader lane: what it moves is told by those below.
class FaderLane : public Lane {
    Q_OBJECT
  public:
    using Lane::Lane;
    void levels_changed() override;

  protected:
    enum class Part { fader, peak, pan, width, left_side, right_side };
    struct Values {
        double fader_db = 0.0, pan = 0.0, width = 1.0;
        bool has_pan = true, has_width = false, heard = true;
        bool apart = false;  ///< both sides have pans of their own
        double left_pan = -1.0, right_pan = 1.0;
        bool has_level = true;
        std::optional<double> own_fader_db, own_pan;  ///< where a ride moves it: as it was set by hand
        bool ridden = false;                          ///< something else of its place is ridden
    };
    virtual Values values() const = 0;
    /// `alike`: the rows that move together all get this value; else each is moved by what this one is.
    virtual void move(Part part, double to, bool alike, uint64_t gesture) = 0;
    /// The fader is set so that the whole song's peak after it is this.
    virtual void set_by_peak(double dbfs) = 0;
    virtual Level song_peak_dbfs() const { return std::nullopt; }  ///< after the fader
    virtual const Audibility* audibility() const { return nullptr; }

    // For a screen reader: the fader's lane has sliders for pan and width too.
    Range spoken_range() const override { return range_of(active_); }
    std::optional<double> number() const override;
    std::vector<SpokenControl::Part> parts() const override;
    void say_to_part(size_t n, const QString& text) override;
    void step_part(size_t n, int by) override;

    QString value_text() const override { return text_of(active_); }
    QString value_name() const override { return name_of(active_); }
    void nudge(double by, uint64_t gesture) override;
    void type_value(const QString& text) override;
    void reset_value() override;
    QRect value_rect() const override;
    double per_pixel(const QPoint& at) const override;
    void mousePressEvent(QMouseEvent* event) override;
    bool grab(const QPoint& at) override;
    bool key(QKeyEvent* event) override;
    void contextMenuEvent(QContextMenuEvent* event) override;
    void let_go() override;
    void playhead_moved() override;
    void paint(QPainter& painter, const QRect& clip) override;
    double value_of(Part part) const;
    /// While the row is written the move goes into its ride; `gesture` 0 is one nudge.
    bool write(Part part, double to, uint64_t gesture);
    static Parameter ridden_by(Part part);
    /// What rides say at the playhead, in place of the row's own settings.
    bool may_be_ridden() const;
    Values with_rides(Values values) const;

    Part active_ = Part::fader;

  private:
    static QString name_of(Part part);
    QString text_of(Part part) const;
    static Range range_of(Part part);
    /// A figure as it is spoken: pans and widths in percent.
    double spoken_number(Part part) const;
    /// What places this row: its pan, or one for each side, and its width.
    std::vector<Part> placing() const;
    void set(Part part, const QString& text);
    void step_by(Part part, double by, uint64_t gesture);
    QRect meter_rect() const;
    QRect clip_flag() const;
    void paint_fader(QPainter& painter, const Values& v);
    void paint_meter(QPainter& painter);
    void paint_peak(QPainter& painter);
    void paint_pan(QPainter& painter, const Values& v);
    void paint_audibility(QPainter& painter);

    double shown_level_db_ = silence_db, shown_hold_db_ = silence_db;
    bool shown_clipped_ = false;
    std::array<double, 5> drawn_{};  ///< where the fader and what places the row stood
    std::array<double, 5> told_{};   ///< and what their figures say
    QElapsedTimer told_at_;
};

/// A fader as it is drawn everywhere: a line with an upright blade at the level.
void paint_blade(QPainter& painter, int x, int top, int bottom, const QColor& colour);
/// Where the hand has put what a ride moves.
void paint_own_value(QPainter& painter, int x, int top, int bottom);

}  // namespace isotonus
