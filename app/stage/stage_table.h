// Staging as a table: every figure before and after, and what can be done where a track cannot reach its window.
#pragma once

#include <QDialog>
#include <QLabel>
#include <QTableWidget>

#include "app/desk/workspace.h"

namespace isotonus {

/// A choice in the user's words.
QString choice_words(Choice choice);

class StageTable : public QDialog {
    Q_OBJECT
  public:
    StageTable(Workspace& work, QWidget* parent);

    /// Makes a choice for a track, as the menu of its row does: one undo step, staged anew.
    void choose(TrackId id, Choice choice);

  private:
    void refresh();
    void fill_row(int row, const Track& track);

    Workspace& work_;
    QTableWidget* table_;
    QLabel* summary_;
};

}  // namespace isotonus
