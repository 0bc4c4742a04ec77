// The target sheet: which level each track is wanted at.
#pragma once

#include <QCheckBox>
#include <QComboBox>
#include <QDialog>
#include <QDoubleSpinBox>
#include <QTableWidget>

#include "app/desk/workspace.h"

namespace isotonus {

/// "sample peak", "average", …
QString measure_words(Measure measure);

class SheetDialog : public QDialog {
    Q_OBJECT
  public:
    SheetDialog(Workspace& work, QWidget* parent);

    /// Where the user's own sheets are kept: $XDG_CONFIG_HOME/isotonus/sheets.
    static fs::path own_folder();

  private:
    void list_sheets();
    void show_sheet(const TargetSheet& sheet);
    void add_row(const QString& word, int family, int kind, const Target& target);
    TargetSheet shown() const;
    void add_rule();
    void remove_rule();
    void keep_as_own();
    void export_sheet();
    void import_sheet();
    void take();

    Workspace& work_;
    std::vector<TargetSheet> sheets_;
    QString name_;
    QComboBox* choice_;
    QTableWidget* table_;
    QDoubleSpinBox *ceiling_, *mains_low_, *mains_high_;
    QCheckBox* spikes_;
};

}  // namespace isotonus
