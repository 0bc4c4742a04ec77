// What is set once, for all sessions; and the session's pan law.
#pragma once

#include <QCheckBox>
#include <QComboBox>
#include <QDialog>
#include <QFormLayout>
#include <QSpinBox>

#include "app/desk/workspace.h"
#include "app/window/settings.h"

namespace isotonus {

class SettingsDialog : public QDialog {
    Q_OBJECT
  public:
    SettingsDialog(Settings& settings, Workspace& work, QWidget* parent);
    /// Remembers what was chosen; whoever showed the dialog puts it into effect.
    void store();
    QString device() const { return device_->currentData().toString(); }
    bool night() const { return night_->isChecked(); }

  private:
    void add_sound();
    void add_views();
    QDoubleSpinBox* add_level(const char* name, const QString& text, const QString& unit, double low, double high,
                              double now, const QString& why);
    void add_monitoring();
    void add_law();
    void add_cache();
    void add_language_and_colours();

    Settings& settings_;
    Workspace& work_;
    QFormLayout* form_;
    QComboBox *device_, *block_, *rms_, *rows_, *alone_, *law_, *language_, *zoom_;
    QDoubleSpinBox *dim_, *quiet_, *rest_, *loud_;
    QSpinBox* cache_;
    QCheckBox* night_;
};

}  // namespace isotonus
