// The checks before hand-off as a page: one line each, in groups, with figure, limit and a small gauge.
#pragma once

#include <QListWidget>
#include <set>

#include "core/handoff/checks.h"

namespace isotonus {

/// Of each group what passes without a figure is one line, until that is clicked.  The current line says all of it.
class CheckList : public QListWidget {
    Q_OBJECT
  public:
    explicit CheckList(QWidget* parent = nullptr);
    void show_checks(const std::vector<Check>& checks);
    const std::vector<Check>& checks() const { return checks_; }

  signals:
    /// By a click or Enter.
    void chosen(const Check& check);

  protected:
    void keyPressEvent(QKeyEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

  private:
    void choose(QListWidgetItem* item);
    void fold();
    std::vector<Check> checks_;
    std::set<CheckGroup> open_;  ///< whose passed lines are shown
};

}  // namespace isotonus
