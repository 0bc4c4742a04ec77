// The lane of a bus or of a control group, where faders are.
#pragma once

#include "app/balance/fader_lane.h"
#include "core/session/channel.h"

namespace isotonus {

/// The lane of a bus or of a control group.
class BusLane : public FaderLane {
    Q_OBJECT
  public:
    BusLane(Workspace& work, TrackId id, QWidget* parent) : FaderLane(work, id, parent) { setObjectName("busLane"); }

  protected:
    bool exists() const override { return static_cast<bool>(channel()); }
    void select_row() override {}
    QString track_name() const override;
    Values values() const override;
    void move(Part part, double to, bool alike, uint64_t gesture) override;
    void set_by_peak(double dbfs) override;
    Level song_peak_dbfs() const override;
    QString sentence() const override;

  private:
    /// What the peak of a bus with a signal depends on.
    struct PeakOf {
        MaterialPtr signal;
        double fader_db = 0.0;
        CurvePtr ride;
        bool operator==(const PeakOf&) const = default;
    };
    mutable PeakOf peak_of_;
    mutable Level peak_;
    Channel channel() const { return channel_of(work_.document.session(), id()); }
};

}  // namespace isotonus
