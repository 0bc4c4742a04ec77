// Choosing a plug-in: those of this machine, by name and class, searched as one types.
#pragma once

#include <QDialog>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QProgressBar>
#include <QPushButton>
#include <QTimer>
#include <memory>
#include <optional>

#include "app/desk/background.h"
#include "core/foreign/plugins.h"

namespace isotonus {

class PluginDialog : public QDialog {
    Q_OBJECT
  public:
    explicit PluginDialog(QWidget* parent);
    /// Null while nothing that can be used is chosen.
    const ProcessorType* chosen() const;

  private:
    void look();
    void show_found();
    std::vector<Plugin> all_, shown_;
    std::shared_ptr<Progress> looking_;  ///< null: nobody looks
    QTimer* timer_;
    QLineEdit* search_;
    QListWidget* list_;
    QLabel* about_;
    QProgressBar* bar_;
    QPushButton *add_, *look_;
    Background jobs_;
};

}  // namespace isotonus
