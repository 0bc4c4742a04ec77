// A first balance: asked for, looked at, heard, applied.
#pragma once

#include <QCheckBox>
#include <QComboBox>
#include <QHeaderView>
#include <QLabel>
#include <QProgressBar>
#include <QPushButton>
#include <QSlider>
#include <QTableWidget>

#include "app/desk/workspace.h"

namespace isotonus {

class FirstBalancePage : public QWidget {
    Q_OBJECT
  public:
    FirstBalancePage(Workspace& work, QWidget* parent);

  protected:
    void showEvent(QShowEvent* event) override;
    void hideEvent(QHideEvent* event) override;

  private:
    void follow();
    void fill_mixes();
    void show_ghosts();
    void apply_selected();
    /// The reason for the track that is selected, whole: the list has room for its beginning.
    void show_why();

    Workspace& work_;
    QPushButton* like_;
    QComboBox* strength_;
    QPushButton *draft_, *all_, *one_, *sections_, *difference_, *dismiss_;
    QCheckBox* also_set_;
    QLabel *summary_, *from_, *to_, *why_;
    QProgressBar* progress_;
    QTableWidget* table_;
    QSlider* share_;
    QWidget* found_;
    QTimer timer_;
};

}  // namespace isotonus
