// Microphones of one source, compared with a reference: delay and polarity, and what putting them right would bring.
#pragma once

#include <QComboBox>
#include <QDialog>
#include <QLabel>
#include <QPushButton>
#include <QTableWidget>
#include <QThreadPool>

#include "app/desk/workspace.h"
#include "core/stage/alignment.h"

namespace isotonus {

class PhaseDialog : public QDialog {
    Q_OBJECT
  public:
    /// `rows`: the tracks to compare, two at least.
    PhaseDialog(Workspace& work, std::vector<TrackId> rows, QWidget* parent);
    ~PhaseDialog() override;

  private:
    void compare();
    void show_result(int round, size_t row, const Result<Alignment>& result);
    /// Sets delay and polarity of every row with a reliable answer (all rows, or the selected ones); one undo step.
    void apply();

    Workspace& work_;
    std::vector<TrackId> rows_;
    std::vector<std::optional<Alignment>> found_;
    QThreadPool pool_;
    int round_ = 0;
    QComboBox* reference_;
    QTableWidget* table_;
    QLabel* advice_;
    QPushButton* apply_;
};

}  // namespace isotonus
