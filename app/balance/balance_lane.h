// The lane of a track in Balance.
#pragma once

#include "app/balance/fader_lane.h"

namespace isotonus {

class BalanceLane : public FaderLane {
    Q_OBJECT
  public:
    using FaderLane::FaderLane;

  protected:
    Values values() const override;
    void move(Part part, double to, bool alike, uint64_t gesture) override;
    void set_by_peak(double dbfs) override;
    Level song_peak_dbfs() const override;
    const Audibility* audibility() const override { return work_.mix.audibility(id()); }
    QString sentence() const override;

  private:
    mutable const Track* peak_of_ = nullptr;  ///< of which value the peak is known
    mutable MaterialPtr peak_in_;
    mutable double peak_group_db_ = 0.0;
    mutable Level peak_;
};

}  // namespace isotonus
