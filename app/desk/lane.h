// A lane: the part of a row that a station draws, and the value in it that is dragged, nudged and typed.
#pragma once

#include <QWidget>

#include "app/desk/entry.h"
#include "app/desk/workspace.h"
#include "app/style/ruler.h"
#include "app/style/spoken.h"
#include "app/style/text.h"
#include "app/style/theme.h"

namespace isotonus {

/// How high rows are, 24 to 40 px: the user's choice.  Lanes are drawn for 36 and squeezed or spread (see Lane::y).
int row_height();
void set_row_height(int pixels);
inline constexpr int head_width = 240;
inline constexpr int mains_width = 200;
inline constexpr int scroll_width = 8;  ///< right of the lanes; the song map leaves it free too, so that times line up

class Lane : public QWidget, public SpokenControl {
    Q_OBJECT
  public:
    Lane(Workspace& work, TrackId id, QWidget* parent);

    // For a screen reader: a slider that takes what is typed.
    Sort sort() const override { return Sort::slider; }
    QString spoken_value() const override { return exists() ? value_text() : QString(); }
    std::optional<double> number() const override { return exists() ? parse_level(value_text()) : std::nullopt; }
    void say(const QString& text) override {
        if (exists()) type_value(text);
    }
    void step(int by) override {
        if (exists()) nudge(by, 0);
    }
    QStringList actions() const override { return {tr("Reset")}; }
    void act(const QString&) override {
        if (exists()) reset_value();
    }

    TrackId id() const { return id_; }
    /// A click on the head of its row: keys are for this row from now on.
    void take_keys() {
        select_row();
        setFocus(Qt::MouseFocusReason);
    }

    /// Called when the session or what is known of the track changed.
    void refresh();
    /// Called for every new set of live levels.
    virtual void levels_changed() {}
    /// The song plays, or the playhead was put somewhere: what is ridden stands elsewhere.
    virtual void playhead_moved() {}

  protected:
    const Track* track() const { return work_.document.track(id_); }
    virtual QString track_name() const;  ///< of the row: a track's, a bus's
    /// Where a place of a lane that is 36 high is in this one.
    int y(int of_36) const { return of_36 * height() / 36; }
    /// The main output's lane has no track, and no row to select.
    virtual bool exists() const { return track() != nullptr; }
    virtual void select_row() {
        if (!work_.document.is_selected(id_)) work_.document.select_only(id_);
    }
    /// A click that drags nothing.
    virtual void clicked(Qt::KeyboardModifiers keys);

    // The lane's value, in its own unit (dB for most).
    virtual QString value_text() const = 0;
    virtual QString value_name() const = 0;
    virtual void nudge(double by, uint64_t gesture) = 0;  ///< for this row and those that move with it
    // What is typed, and a reset, is what each of the rows that move together gets.
    virtual void type_value(const QString& text) = 0;
    virtual void reset_value() = 0;
    /// Where the value is written that was grabbed last: a double click there types it, and it is typed there.
    virtual QRect value_rect() const { return {}; }
    virtual QString sentence() const { return track_name() + ": " + value_name() + " " + value_text(); }
    virtual void paint(QPainter& painter, const QRect& clip) = 0;
    /// What one pixel of a drag stands for, and whether a drag may start here.
    virtual double per_pixel(const QPoint& at) const = 0;
    virtual bool grab(const QPoint&) { return true; }
    /// The drag that was begun has ended.
    virtual void let_go() {}
    virtual bool key(QKeyEvent*) { return false; }
    /// Children of the lane that have places of their own.
    virtual void place_children() {}

    void open_entry();

    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void wheelEvent(QWheelEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void enterEvent(QEnterEvent* event) override;
    void leaveEvent(QEvent* event) override;
    void focusInEvent(QFocusEvent* event) override;
    void resizeEvent(QResizeEvent*) override { place_children(); }

    Workspace& work_;

  private:
    /// Says what the pointer is on.
    void tell();
    TrackId id_;
    QString hinted_;  ///< what was said last; empty: the pointer is elsewhere
    bool dragging_ = false;
    QPoint last_;
    uint64_t gesture_ = 0;
    /// The figure of the row below (or above) is typed next.
    void type_next(bool forward);
    Entry* entry_ = nullptr;
};

/// The time axis of lanes that show the song over time.
TimeRuler lane_time(const Workspace& work, double width);

/// The strip above lanes that show the song over time: the song map, just above, has the ruler.
void paint_ruler_words(QPainter& painter, const QRect& area, const QString& words);

/// A click on a row: alone, with Ctrl added or taken away, with Shift up to here.
void select_by_click(Document& document, TrackId id, Qt::KeyboardModifiers keys);

/// What a track plays as a shape between its lowest and highest samples, `gain` applied.  From the level summary; from
/// the samples themselves where a pixel stands for few of them.
void paint_waveform(QPainter& painter, const QRect& area, const QRect& clip, const MaterialPtr& material,
                    double shift_s, double gain, const TimeRuler& time, const QColor& colour, SampleWindows& windows);

/// Level over time as a filled curve: the mean (AES17) of each column on a scale of −60 … 0 dBFS.
void paint_level_shadow(QPainter& painter, const QRect& area, const QRect& clip, const LevelSummary& summary,
                        int sample_rate, double shift_s, double gain, const TimeRuler& time, const QColor& colour,
                        const Curve* ride = nullptr);

/// The colour that says how a level stands against its window.
QColor colour_of(Fit fit);

}  // namespace isotonus
