// The stations across the top; each tab tells how far its work is.
#pragma once

#include <QAbstractButton>
#include <memory>

#include "app/desk/station.h"

namespace isotonus {

class StationTab : public QAbstractButton {
    Q_OBJECT
  public:
    StationTab(const QString& title, QWidget* parent);
    void set_state(const QString& state);
    QSize sizeHint() const override { return {120, 48}; }

  protected:
    void paintEvent(QPaintEvent*) override;

  private:
    QString state_;
};

class StationTabs : public QWidget {
    Q_OBJECT
  public:
    StationTabs(Workspace& work, QWidget* parent = nullptr);
    const Station* current() const { return stations_[static_cast<size_t>(current_)].get(); }
    int index() const { return current_; }
    int count() const { return static_cast<int>(stations_.size()); }
    void choose(int n);

  signals:
    void chosen(const Station* station);

  private:
    void refresh();

    Workspace& work_;
    std::vector<std::unique_ptr<Station>> stations_;
    std::vector<StationTab*> tabs_;
    int current_ = 0;
};

}  // namespace isotonus
