// What is exported and as what: the form of Hand off.
#pragma once

#include <QCheckBox>
#include <QComboBox>
#include <QGridLayout>
#include <QLabel>
#include <QLineEdit>

#include "app/desk/workspace.h"

namespace isotonus {

/// What it says stays when another station is looked at meanwhile.
class ExportForm : public QWidget {
    Q_OBJECT
  public:
    ExportForm(Workspace& work, QWidget* parent);
    ~ExportForm() override;

    /// The delivery that the form describes, of the mix as it stands.
    Delivery delivery() const;
    bool with_sheet() const { return sheet_->isChecked(); }
    bool as_print() const { return print_->isChecked(); }

  signals:
    void changed();        ///< which files it would be
    void stems_changed();  ///< which stems it would be

  private:
    /// A line with its label; `named` is what the label is of.
    QLabel* add_line(const QString& text, QWidget* widget, QWidget* named);
    QComboBox* combo(const char* name);
    QCheckBox* tick(const char* name, const QString& text, const QString& tip, bool on);
    void add_file();
    void add_contents();
    void add_format();
    void add_ticks();
    void fill_ranges();
    void show_main_chain();
    void choose_file();
    /// What was said last, by the names of the fields.
    void keep();
    void fill_as_kept();

    Workspace& work_;
    QGridLayout* grid_;
    int lines_ = 0;
    QLineEdit *file_, *pattern_;
    QLabel* pattern_label_;
    QComboBox *what_, *main_chain_, *format_, *rate_, *range_;
    QCheckBox *before_main_, *shares_, *tail_, *bext_, *sheet_, *print_, *dither_;
};

}  // namespace isotonus
