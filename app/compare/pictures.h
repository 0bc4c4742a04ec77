// Compare's other pictures: loudness over time, one recording under the other; and how wide each band is.
#pragma once

#include <QWidget>

#include "app/desk/workspace.h"
#include "app/style/spoken.h"

namespace isotonus {

/// Short-term loudness of the mix and of recordings over time, each in its own strip.  A drag over a recording marks a
/// passage of it; a click chooses the passage there; a double click says where it stands against the song.
class LoudnessPicture : public QWidget, public SpokenControl {
    Q_OBJECT
  public:
    LoudnessPicture(Workspace& work, QWidget* parent);
    QString spoken_value() const override;
    /// Of these recordings.
    void show_beside(std::vector<size_t> recordings);
    /// The passage that was chosen: of which recording, and its place.
    std::optional<std::pair<size_t, size_t>> chosen() const;
    /// Where a time of a recording (or of the mix: none) stands.
    QPoint point_of(std::optional<size_t> recording, double time_s) const;

  signals:
    void passage_chosen();

  protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    /// On a recording: this place of it is heard against where the song is.
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void leaveEvent(QEvent*) override;

  private:
    QRect strip(size_t row) const;  ///< 0: the mix
    double longest_s() const;
    double time_at(int x) const;
    std::optional<size_t> row_at(const QPoint& at) const;
    Workspace& work_;
    std::vector<size_t> beside_;
    std::optional<size_t> dragged_;  ///< the row in which a passage is being marked
    double drag_from_s_ = 0.0, drag_to_s_ = 0.0;
    std::optional<std::pair<size_t, size_t>> chosen_;
};

/// Sides over middle by third octaves, of the mix and of what is beside it, and how mono the low end is.
class WidthPicture : public QWidget, public SpokenControl {
    Q_OBJECT
  public:
    WidthPicture(Workspace& work, QWidget* parent);
    QString spoken_value() const override;
    void show_beside(std::vector<size_t> recordings);
    /// How far the low end agrees left and right, in a sentence.
    QString low_end_words() const;

  protected:
    void paintEvent(QPaintEvent*) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void leaveEvent(QEvent*) override;

  private:
    Workspace& work_;
    std::vector<size_t> beside_;
};

}  // namespace isotonus
