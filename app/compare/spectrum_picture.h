// The mix and what it is compared with by third octaves, on the common frequency ruler, and the difference between
// them.
#pragma once

#include <QWidget>

#include "app/desk/workspace.h"

namespace isotonus {

class SpectrumPicture : public QWidget {
    Q_OBJECT
  public:
    SpectrumPicture(Workspace& work, QWidget* parent);
    /// Which recordings the mix is beside: one, or several, whose spread is drawn as what is usual among them.
    void show_beside(std::vector<size_t> recordings);
    /// What the pointer is on, in a sentence; empty: on nothing.
    QString sentence_at(const QPoint& at) const;

  protected:
    void paintEvent(QPaintEvent*) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void leaveEvent(QEvent*) override;

  private:
    void follow();
    QRect levels_area() const;
    QRect difference_area() const;
    Workspace& work_;
    std::vector<size_t> beside_;
    std::vector<BandDifference> bands_;
    std::array<Level, 4> wide_db_;  ///< of the four wide bands, the mix less what is beside it
};

}  // namespace isotonus
