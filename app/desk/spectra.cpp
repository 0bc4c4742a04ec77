#include "app/desk/spectra.h"

#include "app/desk/background.h"
#include "core/shape/signal.h"

namespace isotonus {

namespace {

Result<LongTermSpectrum> spectrum_of(const Material& material, const Progress& progress) {
    auto reader = open_material(material);
    if (!reader) return tl::unexpected(reader.error());
    constexpr int64_t piece = 16384;
    SpectrumMeter meter(material.ready.channels, material.ready.rate);
    std::vector<float> samples(static_cast<size_t>(piece * material.ready.channels));
    for (int64_t at = 0; at < material.ready.frames; at += piece) {
        if (progress.cancelled()) return stopped();
        const int64_t frames = std::min(piece, material.ready.frames - at);
        if (auto done = (*reader)->read(at, frames, samples.data()); !done) return tl::unexpected(done.error());
        meter.add(samples.data(), frames);
    }
    return meter.finish();
}

}  // namespace

Spectra::Spectra(QObject* parent) : QObject(parent) { pool_.setMaxThreadCount(worker_count()); }

Spectra::~Spectra() {
    progress_->cancel();
    pool_.waitForDone();
}

const LongTermSpectrum* Spectra::of(const MaterialPtr& material) {
    constexpr size_t most_kept = 500;
    if (const auto at = known_.find(material); at != known_.end()) return &at->second;
    if (!waiting_.insert(material).second) return nullptr;
    if (known_.size() > most_kept) known_.clear();
    in_background(pool_, [this, material, progress = progress_] {
        auto found = without_exceptions({}, [&] { return spectrum_of(*material, *progress); });
        QMetaObject::invokeMethod(this, [this, material, found = found.value_or(LongTermSpectrum{})] {
            waiting_.erase(material);
            known_[material] = found;
            emit ready();
        });
    });
    return nullptr;
}

}  // namespace isotonus
