// Long-term spectra of what rows play, computed in the background when somebody looks at them.
#pragma once

#include <QObject>
#include <QTimer>
#include <map>
#include <set>

#include "app/desk/background.h"
#include "core/compare/ownership.h"
#include "core/measure/material.h"
#include "core/measure/spectrum.h"

namespace isotonus {

class Spectra : public QObject {
    Q_OBJECT
  public:
    explicit Spectra(QObject* parent = nullptr);
    /// Null while it is being computed.
    const LongTermSpectrum* of(const MaterialPtr& material);
    /// How often each level occurs; null likewise.
    const LevelShares* levels(const MaterialPtr& material);
    /// The rows that make a third octave of a mix, the strongest first, as far as their spectra are known.
    const std::vector<BandMaker>& makers(const PlanPtr& mix, int band);
    /// The third octaves in which a track has a part of its sound, and whose they are: of the mix as it was when it
    /// rested last, so that a drag does not wait for it.  Told by ready.
    const std::vector<OwnedBand>& owned(const PlanPtr& mix, TrackId id);

  signals:
    void ready();

  private:
    struct Known {
        LongTermSpectrum spectrum;
        LevelShares levels;
    };
    const Known* find(const MaterialPtr& material);
    std::map<MaterialPtr, Known> known_;
    std::set<MaterialPtr> waiting_;
    std::weak_ptr<const RenderPlan> makers_of_;  ///< which mix, and which band of it, was asked for last
    int makers_band_ = -1;
    std::vector<BandMaker> makers_;
    void find_owned();
    std::weak_ptr<const RenderPlan> wanted_mix_;
    TrackId wanted_owner_ = 0, owner_ = 0;
    std::vector<OwnedBand> owned_;
    QTimer rest_;
    Background jobs_{worker_count()};
};

}  // namespace isotonus
