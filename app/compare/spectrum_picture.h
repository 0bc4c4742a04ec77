// The mix and what it is compared with by third octaves, on the common frequency ruler, and the difference between
// them.
#pragma once

#include <QWidget>

#include "app/desk/workspace.h"
#include "app/shape/frequency.h"
#include "app/style/spoken.h"

namespace isotonus {

/// Where frequencies stand in a picture, and in the lanes above it, of this width.
QRect compare_frequencies(int width, int top, int height);

/// The third octave that was asked about, as a stripe over an area of frequencies.
void paint_chosen_band(QPainter& painter, const QRect& area, std::optional<int> band);

class SpectrumPicture : public QWidget, public SpokenControl {
    Q_OBJECT
  public:
    SpectrumPicture(Workspace& work, QWidget* parent);
    QString spoken_value() const override;
    /// Which recordings the mix is beside: one, or several, whose spread is drawn as what is usual among them.
    void show_beside(std::vector<size_t> recordings);
    /// What the pointer is on, in a sentence; empty: on nothing.
    QString sentence_at(const QPoint& at) const;

  protected:
    void paintEvent(QPaintEvent*) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    /// The band under the pointer is the one that the rows are asked about; again: none.
    void mousePressEvent(QMouseEvent* event) override;
    /// On a row that makes the band: to where it is shaped.
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void leaveEvent(QEvent*) override;

  private:
    /// What the parts of the picture are painted with.
    struct Canvas {
        QPainter& painter;
        QRect levels, difference;
        FrequencyRuler ruler;
        double level_y(double db) const;
        double difference_y(double db) const;
    };
    void paint_scales(const Canvas& c);
    /// Several references stand beside the mix.
    bool has_several() const;
    void paint_usual(const Canvas& c);
    void paint_lines(const Canvas& c);
    void paint_makers(const Canvas& c);
    void paint_sums(const Canvas& c);
    void follow();
    QString wide_words() const;  ///< of the four wide bands
    std::optional<int> band_at(const QPoint& at) const;
    /// The rows that make the chosen band, the strongest first, and where each is written.
    std::vector<std::pair<BandMaker, QRect>> makers() const;
    TrackId maker_at(const QPoint& at) const;  ///< 0: none
    QRect levels_area() const;
    QRect difference_area() const;
    Workspace& work_;
    std::vector<size_t> beside_;
    std::vector<BandDifference> bands_;
    std::array<Level, 4> wide_db_;  ///< of the four wide bands, the mix less what is beside it
};

}  // namespace isotonus
