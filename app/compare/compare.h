// Compare: the mix against its prints and against references, matched in loudness: by ear, by bands, over time, in
// words.
#pragma once

#include <QComboBox>
#include <QLabel>
#include <QPushButton>
#include <QStackedWidget>
#include <QTableWidget>
#include <QToolButton>

#include "app/compare/compare_lane.h"
#include "app/compare/pages.h"
#include "app/compare/pictures.h"
#include "app/compare/spectrum_picture.h"
#include "app/desk/station.h"

namespace isotonus {

class ComparePanel : public QWidget {
    Q_OBJECT
  public:
    ComparePanel(Workspace& work, QWidget* parent);
    ~ComparePanel() override;

  protected:
    void paintEvent(QPaintEvent*) override;

  private:
    QLayout* make_pages();
    QLayout* make_buttons();
    QWidget* make_loudness_page();
    void refresh();
    void show_page();
    void show_chosen();
    void fill_shelf();
    void tie();
    /// Recordings that are chosen in the list, in its order.
    std::vector<size_t> chosen() const;
    std::optional<size_t> one_chosen() const;

    Workspace& work_;
    QStackedWidget* pages_;
    SpectrumPicture* spectrum_;
    LoudnessPicture* loudness_;
    WidthPicture* width_;
    ChangesPage* changes_;
    BlindPage* blind_;
    QTableWidget* table_;
    QLabel* words_;
    QComboBox *match_, *scope_;
    QToolButton* shelf_;
    QPushButton *hear_, *note_, *remove_, *tie_, *untie_, *rename_, *drop_;
};

class CompareStation : public Station {
  public:
    QString title() const override;
    QString state(const Workspace& work) const override;
    Lane* make_lane(Workspace& work, TrackId id, QWidget* parent) const override {
        return new CompareLane(work, id, parent);
    }
    void paint_ruler(QPainter& painter, const QRect& area, const Workspace& work) const override;
    QWidget* make_panel(Workspace& work, QWidget* parent) const override { return new ComparePanel(work, parent); }
};

}  // namespace isotonus
