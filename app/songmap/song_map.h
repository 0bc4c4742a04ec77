// The whole song across the top: level over time, sections, loop, playhead.
#pragma once

#include <QWidget>

#include "app/desk/lane.h"

namespace isotonus {

class SongMap : public QWidget {
    Q_OBJECT
  public:
    SongMap(Workspace& work, QWidget* parent = nullptr);

    /// The section at a time; -1 before the first.
    static int section_at(const Session& session, double time_s);
    static double section_end(const Session& session, int section, double song_s);

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent*) override { drawing_loop_ = false; }
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void wheelEvent(QWheelEvent* event) override;
    void resizeEvent(QResizeEvent*) override { shape_.clear(); }

  private:
    QRect area() const { return QRect(head_width, 0, width() - head_width - mains_width - scroll_width, height()); }
    TimeRuler time() const;

    Workspace& work_;
    std::vector<double> shape_;  ///< mean power of each column
    bool drawing_loop_ = false;
    double loop_from_s_ = 0.0;
    int playhead_x_ = -1;
};

}  // namespace isotonus
