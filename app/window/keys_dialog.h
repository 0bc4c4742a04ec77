// All keys on one page, by task, with a search.
#pragma once

#include <QDialog>
#include <QLabel>
#include <vector>

#include "app/window/commands.h"

namespace isotonus {

class KeysDialog : public QDialog {
    Q_OBJECT
  public:
    struct Key {
        QString keys, what;
        Task task;
    };
    /// `first` comes before all other tasks.
    KeysDialog(const std::vector<Key>& keys, QWidget* parent, Task first = Task::files);

  signals:
    void guide_wanted();

  private:
    /// Those that have this in their keys or their words, in columns of about the same height.
    void show_with(const QString& wanted);
    std::vector<Key> keys_;
    const Task first_;
    std::vector<QLabel*> columns_;
};

}  // namespace isotonus
