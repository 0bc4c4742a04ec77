// Compare: the mix against its prints and against references, matched in loudness, from the same place in the song.
#pragma once

#include <QLabel>
#include <QPushButton>
#include <QTableWidget>

#include "app/compare/spectrum_picture.h"
#include "app/desk/station.h"
#include "app/handoff/hand_off.h"

namespace isotonus {

class ComparePanel : public QWidget {
    Q_OBJECT
  public:
    ComparePanel(Workspace& work, QWidget* parent);
    ~ComparePanel() override;

  protected:
    void paintEvent(QPaintEvent*) override;

  private:
    void refresh();
    std::optional<size_t> chosen() const;
    Workspace& work_;
    void show_chosen();
    SpectrumPicture* picture_;
    QTableWidget* table_;
    QLabel* words_;
    QPushButton *hear_, *note_, *remove_;
};

class CompareStation : public Station {
  public:
    QString title() const override;
    QString state(const Workspace& work) const override;
    Lane* make_lane(Workspace& work, TrackId id, QWidget* parent) const override {
        return new HandOffLane(work, id, parent);
    }
    void paint_ruler(QPainter& painter, const QRect& area, const Workspace& work) const override {
        paint_hand_off_ruler(painter, area, work);
    }
    QWidget* make_panel(Workspace& work, QWidget* parent) const override { return new ComparePanel(work, parent); }
};

}  // namespace isotonus
