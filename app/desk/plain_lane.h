// A lane that shows something and has no value to set.
#pragma once

#include "app/desk/lane.h"

namespace isotonus {

class PlainLane : public Lane {
    Q_OBJECT
  public:
    using Lane::Lane;
    Sort sort() const override { return Sort::chart; }
    QStringList actions() const override { return {}; }

  protected:
    void nudge(double, uint64_t) override {}
    void type_value(const QString&) override {}
    void reset_value() override {}
    double per_pixel(const QPoint&) const override { return 0.0; }
    bool grab(const QPoint&) override { return false; }
};

}  // namespace isotonus
