// Levels on the screen of Shape: how often each occurs, and how far a processor turns down over the song.
#pragma once

#include <QWidget>

#include "app/shape/frequency.h"
#include "app/style/ruler.h"
#include "app/style/spoken.h"

namespace isotonus {

/// How often each level of −60 … 0 dBFS occurs, as an outline that stands on `bottom`; `gain_db` is added.
QPainterPath shares_path(const LevelShares& shares, double gain_db, const Ruler& ruler, int bottom, int height);
/// The deepest of a stretch of the song: part `n` of `of` of all blocks, dB, 0 or below.
float deepest_reduction_db(const std::vector<float>& reductions, int n, int of);
/// Of a stretch of blocks of 256 frames: the deepest reduction, and the usual one, which half of the blocks go beyond;
/// dB, 0 or below.
struct ReductionOfColumn {
    float deepest = 0.0f, usual = 0.0f;
};
ReductionOfColumn reduction_between(const std::vector<float>& reductions, double from_s, double to_s, int sample_rate);

/// The large picture of a processor that turns down by level: on the left how often each level occurs before and after
/// it all (or in its sidechain source), with its threshold as a blade that can be dragged, and the level that it goes
/// by now; on the right its reduction over the stretch that the song map shows, and at the playhead; a click goes
/// there.
class LevelPicture : public QWidget, public SpokenControl {
    Q_OBJECT
  public:
    LevelPicture(Workspace& work, QWidget* parent);
    QString spoken_value() const override;
    /// The processor of the row that Shape shows.
    void show_processor(uint64_t id);

  protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent*) override;
    void contextMenuEvent(QContextMenuEvent* event) override;

  private:
    QRect levels_area() const {
        return QRect(rect().topLeft(), QPoint(width() * 47 / 100, height())).adjusted(14, 26, -22, -26);
    }
    QRect song_area() const {
        return QRect(QPoint(width() * 47 / 100, 0), rect().bottomRight()).adjusted(50, 26, -12, -26);
    }
    Ruler ruler() const { return Ruler::level(levels_area().left(), levels_area().right()); }
    TimeRuler time() const;
    const Processor* processor() const;
    size_t position() const;  ///< of it in its chain
    void paint_levels(QPainter& painter, const ShapedRow& row, const Processor& p) const;
    void paint_song(QPainter& painter, const ShapedRow& row) const;

    Workspace& work_;
    uint64_t id_ = 0;
    bool dragging_ = false;
    double grabbed_db_ = 0.0;
    int grabbed_x_ = 0;
    uint64_t gesture_ = 0;
};

}  // namespace isotonus
