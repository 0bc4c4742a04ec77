// Microphones of one source, compared with a reference: delay and polarity, and what putting them right would bring.
#pragma once

#include <QComboBox>
#include <QDialog>
#include <QDialogButtonBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <QTableWidget>

#include "app/desk/background.h"
#include "app/desk/workspace.h"
#include "app/stage/phase_pictures.h"
#include "core/stage/alignment.h"

namespace isotonus {

class PhaseDialog : public QDialog {
    Q_OBJECT
  public:
    /// `rows`: a set made by hand; with fewer than two the dialog looks for sets itself.
    PhaseDialog(Workspace& work, std::vector<TrackId> rows, QWidget* parent);

  private:
    void make_table();
    QHBoxLayout* make_nudges();
    QDialogButtonBox* make_buttons();
    void look_for_sets();
    void show_sets(const std::vector<std::vector<TrackId>>& sets);
    void take_set(int set);
    void compare();
    void compare_row(size_t row);
    void show_result(int round, size_t row, const Result<Alignment>& result);
    void follow_session();
    void show_pictures();
    int chosen_row() const;
    /// Sets delay and polarity of every row with a reliable answer (all rows, or the chosen one); one undo step.
    void apply(bool all);
    void nudge(double samples);
    void turn_over();

    Workspace& work_;
    std::vector<std::vector<TrackId>> sets_;
    std::vector<TrackId> rows_;
    std::vector<std::optional<Alignment>> found_;
    int round_ = 0;
    QComboBox *set_, *reference_;
    QTableWidget* table_;
    QLabel *advice_, *stands_;
    QPushButton *apply_, *apply_one_, *undo_;
    std::vector<QPushButton*> nudges_;
    HitPicture* hit_;
    CorrelationPicture* curve_;
    Background jobs_;
};

}  // namespace isotonus
