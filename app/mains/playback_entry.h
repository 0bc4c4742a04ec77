// A playback check in its menu: its name, what it does in a sentence, and its curve.
#pragma once

#include <QWidgetAction>
#include <functional>

namespace isotonus {

class PlaybackEntry : public QWidgetAction {
    Q_OBJECT
  public:
    /// `gain_db`: what it does to a frequency.
    PlaybackEntry(const QString& name, const QString& does, std::function<double(double)> gain_db, QObject* parent);

  protected:
    QWidget* createWidget(QWidget* parent) override;

  private:
    QString does_;
    std::function<double(double)> gain_db_;
};

}  // namespace isotonus
