// The whole song across the top: level over time, sections, loop, playhead.
#pragma once

#include <QWidget>

#include <memory>

#include "app/desk/background.h"
#include "app/desk/lane.h"
#include "core/mix/overview.h"

namespace isotonus {

class SongMap : public QWidget, public SpokenControl {
    Q_OBJECT
  public:
    SongMap(Workspace& work, QWidget* parent = nullptr);
    QString spoken_value() const override;

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent*) override { drag_ = Drag::none; }
    void contextMenuEvent(QContextMenuEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void wheelEvent(QWheelEvent* event) override;
    void resizeEvent(QResizeEvent*) override { drawn_.shape.clear(); }
    void enterEvent(QEnterEvent*) override { update(); }
    void leaveEvent(QEvent*) override;

  private:
    /// What the parts of the picture are painted with.
    struct Canvas {
        QPainter& painter;
        QRect map;
        TimeRuler ruler;
        double position_s;
        int section;  ///< where the song is; -1: in none
        int foot;     ///< y of the level's ground line
    };
    void paint_where(const Canvas& c);
    void paint_level(const Canvas& c);
    void paint_bars(const Canvas& c);
    void paint_sections(const Canvas& c);
    void paint_notes(const Canvas& c);
    void paint_peak(const Canvas& c);
    void paint_playhead(const Canvas& c);
    void paint_right(const Canvas& c);
    QRect area() const { return QRect(head_width, 0, width() - head_width - mains_width - scroll_width, height()); }
    TimeRuler time() const;
    /// The section whose start is under the pointer, in the strip of names; -1 for none.
    int edge_at(const QPointF& at) const;
    /// The listening note under the pointer; -1 for none.
    int note_at(const QPointF& at) const;

    Workspace& work_;
    void follow_song();
    std::vector<double> shape_now();
    QString where(double time_s) const;
    struct Drawn {
        SharedList<Section> sections;
        SharedList<TempoMark> tempo;
        SharedList<ListeningNote> notes;
        bool empty = true;
        double peak_s = -1.0;
        std::vector<double> shape;  ///< mean power of each column
        bool operator==(const Drawn&) const = default;
    };
    Drawn drawn_;
    int section_now_ = -1;
    void follow_plan();
    std::shared_ptr<MixOverview> overview_;
    bool summing_up_ = false;
    enum class Drag { none, playhead, loop, loop_of_sections, section };
    Drag drag_ = Drag::none;
    size_t dragged_section_ = 0;
    uint64_t gesture_ = 0;
    double loop_from_s_ = 0.0;
    int playhead_x_ = -1;
    Background jobs_;
};

}  // namespace isotonus
