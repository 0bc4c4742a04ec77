// A row's ride among the others: drawn small, changed as a whole.
#pragma once

#include "app/desk/lane.h"
#include "core/ride/parameter.h"

namespace isotonus {

/// A row's ride in small: of a track, a bus, a control group, or the main output.
class RideLane : public Lane {
    Q_OBJECT
  public:
    using Lane::Lane;
    Sort sort() const override { return Sort::chart; }
    QStringList actions() const override { return {}; }

  protected:
    bool exists() const override { return rides() != nullptr; }
    void select_row() override;
    QString track_name() const override;
    QString value_text() const override;
    QString value_name() const override { return tr("ride"); }
    void nudge(double by_db, uint64_t gesture) override;
    void type_value(const QString& text) override;
    void reset_value() override {}
    QString sentence() const override;
    double per_pixel(const QPoint&) const override { return 0.0; }
    bool grab(const QPoint&) override {
        select_row();
        return false;
    }
    void paint(QPainter& painter, const QRect& clip) override;

  private:
    const Rides* rides() const { return work_.document.session().rides_of(id()); }
    Parameter shown() const;
    std::vector<TrackId> rows_meant() const;
};

}  // namespace isotonus
