#include "app/desk/spectra.h"

#include <cmath>

#include "core/compare/third_octaves.h"
#include "core/shape/advice.h"

namespace isotonus {

Spectra::Spectra(QObject* parent) : QObject(parent) {}

const LongTermSpectrum* Spectra::of(const MaterialPtr& material) {
    const Known* known = find(material);
    return known ? &known->spectrum : nullptr;
}

const LevelShares* Spectra::levels(const MaterialPtr& material) {
    const Known* known = find(material);
    return known ? &known->levels : nullptr;
}

const Spectra::Known* Spectra::find(const MaterialPtr& material) {
    constexpr size_t most_kept = 500;
    if (const auto at = known_.find(material); at != known_.end()) return &at->second;
    if (!waiting_.insert(material).second) return nullptr;
    if (known_.size() > most_kept) known_.clear();
    jobs_.start([material](Progress& progress) { return spectrum_of(*material, &progress); },
                [this, material](const Result<LongTermSpectrum>& found) {
                    waiting_.erase(material);
                    known_[material] = {found.value_or(LongTermSpectrum{}), level_shares(material->summary)};
                    emit ready();
                });
    return nullptr;
}

const std::vector<OwnedBand>& Spectra::owned(const PlanPtr& mix, TrackId id) {
    if (owned_of_.lock() == mix && owner_ == id) return owned_;
    bool missing = false;
    owned_ = owned_bands(*mix, id, [&](const MaterialPtr& m) {
        const LongTermSpectrum* const spectrum = of(m);
        missing |= spectrum == nullptr;
        return spectrum;
    });
    owned_of_ = missing ? PlanPtr() : mix;  // more is known soon
    owner_ = id;
    return owned_;
}

const std::vector<BandMaker>& Spectra::makers(const PlanPtr& mix, int band) {
    if (makers_of_.lock() == mix && makers_band_ == band) return makers_;
    bool missing = false;
    const auto [low_hz, high_hz] = third_octave_edges_hz(band);
    makers_ = makers_of(*mix, low_hz, high_hz, [&](const MaterialPtr& m) {
        const LongTermSpectrum* const spectrum = of(m);
        missing |= spectrum == nullptr;
        return spectrum;
    });
    makers_of_ = missing ? PlanPtr() : mix;  // more is known soon
    makers_band_ = band;
    return makers_;
}

}  // namespace isotonus
