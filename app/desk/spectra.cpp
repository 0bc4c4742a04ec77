#include "app/desk/spectra.h"

#include <cmath>

#include "core/compare/third_octaves.h"
#include "core/shape/advice.h"

namespace isotonus {

Spectra::Spectra(QObject* parent) : QObject(parent) {
    constexpr int rested_ms = 250;
    rest_.setSingleShot(true);
    rest_.setInterval(rested_ms);
    connect(&rest_, &QTimer::timeout, this, &Spectra::find_owned);
}

const LongTermSpectrum* Spectra::of(const MaterialPtr& material) {
    const Known* known = find(material);
    return known ? &known->spectrum : nullptr;
}

const LevelShares* Spectra::levels(const MaterialPtr& material) {
    const Known* known = find(material);
    return known ? &known->levels : nullptr;
}

const Spectra::Known* Spectra::find(const MaterialPtr& material) {
    constexpr size_t max_kept = 500;
    if (const auto at = known_.find(material); at != known_.end()) return &at->second;
    if (!waiting_.insert(material).second) return nullptr;
    if (known_.size() > max_kept) known_.clear();
    jobs_.start([material](Progress& progress) { return spectrum_of(*material, &progress); },
                [this, material](const Result<LongTermSpectrum>& found) {
                    waiting_.erase(material);
                    known_[material] = {found.value_or(LongTermSpectrum{}), level_shares(material->summary)};
                    emit ready();
                });
    return nullptr;
}

const std::vector<OwnedBand>& Spectra::owned(const PlanPtr& mix, TrackId id) {
    static const std::vector<OwnedBand> none;
    if (wanted_mix_.lock() != mix || wanted_owner_ != id) {
        wanted_mix_ = mix;
        wanted_owner_ = id;
        rest_.start();
    }
    return owner_ == id ? owned_ : none;
}

void Spectra::find_owned() {
    const PlanPtr mix = wanted_mix_.lock();
    if (!mix) return;
    std::map<MaterialPtr, LongTermSpectrum> known;
    bool missing = false;
    for (const PlanPart& part : mix->parts) {
        if (!part.material || part.is_send()) continue;
        const LongTermSpectrum* const spectrum = of(part.material);
        missing |= spectrum == nullptr;
        if (spectrum) known[part.material] = *spectrum;
    }
    if (missing) rest_.start();  // more is known soon
    using Found = std::vector<OwnedBand>;
    const auto find = [mix, id = wanted_owner_, known = std::move(known)](Progress&) -> Result<Found> {
        return owned_bands(*mix, id, [&known](const MaterialPtr& m) {
            const auto at = known.find(m);
            return at == known.end() ? nullptr : &at->second;
        });
    };
    jobs_.start(find, [this, id = wanted_owner_](const Result<Found>& found) {
        if (!found || id != wanted_owner_ || (owner_ == id && owned_ == *found)) return;
        owned_ = *found;
        owner_ = id;
        emit ready();
    });
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
