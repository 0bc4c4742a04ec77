// The focused track, large: what was found in it, and its clips.
#pragma once

#include <QLabel>
#include <QToolButton>
#include <QWidget>

#include "app/desk/lane.h"

class QVBoxLayout;

namespace isotonus {

/// Clips on the song's time.  Drag a clip by its title to move it, by its edges to trim it, by its upper corners to
/// fade it, up and down inside for its gain; double click takes the gain back to 0 dB.
class ClipEditor : public QWidget, public SpokenControl {
    Q_OBJECT
  public:
    ClipEditor(Workspace& work, QWidget* parent);
    QString spoken_value() const override;

    // Places, for tests and for drawing.
    double x_of(int64_t frame) const;
    static constexpr int title_height = 16;

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent*) override { drag_ = Part::none; }
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void wheelEvent(QWheelEvent* event) override;

  private:
    enum class Part { none, body, title, start, end, fade_in, fade_out, loop };
    TrackId id() const { return work_.document.focused(); }
    const Track* track() const { return work_.document.track(id()); }
    int64_t frame_at(double x) const;
    Part part_at(const QPointF& at, size_t* clip) const;
    void drag_to(const QPointF& at, bool fine);
    void paint_clip(QPainter& painter, const Clip& clip, bool current);

    Workspace& work_;
    Part drag_ = Part::none;
    size_t dragged_ = 0;
    Clips before_;
    QPointF from_;
    uint64_t gesture_ = 0;
    int playhead_x_ = -1;
};

class ClipPanel : public QWidget {
    Q_OBJECT
  public:
    ClipPanel(Workspace& work, QWidget* parent);

  protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

  private:
    void refresh();
    void list_findings();
    void type_fades();
    void set_fade(bool in);
    void whole_file();

    Workspace& work_;
    ClipEditor* editor_;
    QWidget *findings_, *tools_;
    QVBoxLayout* list_;
    std::string shown_;
};

}  // namespace isotonus
