#include "app/shape/live_spectrum.h"

#include <algorithm>
#include <cmath>

namespace isotonus {

/// One job at a time has it.
struct LiveSpectrum::Source {
    MaterialPtr material;
    int64_t delay_samples = 0;
    std::unique_ptr<FrameReader> reader;
    bool failed = false;
    std::vector<float> samples;

    std::optional<LongTermSpectrum> around(int64_t frame) {
        constexpr int64_t frames = 16384;
        if (!reader && !failed) {
            auto opened = material->open();
            failed = !opened;
            if (opened) reader = std::move(*opened);
        }
        if (!reader) return std::nullopt;
        const int channels = reader->channels();
        samples.resize(static_cast<size_t>(frames * channels));
        // Of what is past: what comes is not heard yet.
        const int64_t first = std::max<int64_t>(0, frame - delay_samples - frames);
        if (!reader->read(first, frames, samples.data())) return std::nullopt;
        SpectrumMeter meter(channels, material->rate());
        meter.add(samples.data(), frames);
        return meter.finish();
    }
};

LiveSpectrum::LiveSpectrum(Workspace& work, QObject* parent) : QObject(parent), work_(work) {
    timer_.setInterval(50);
    connect(&timer_, &QTimer::timeout, this, &LiveSpectrum::tick);
    connect(&work_.player, &Player::moved, this, [this] {
        const bool playing = work_.player.playing();
        if (playing == timer_.isActive()) return;
        if (playing) return timer_.start();
        timer_.stop();
        now_.reset();
        emit changed();
    });
    if (work_.player.playing()) timer_.start();
}

void LiveSpectrum::follow(MaterialPtr material, int64_t delay_samples) {
    if (!material || !material->sound->is_exact()) {
        source_.reset();
        now_.reset();
        return;
    }
    if (source_ && source_->material == material && source_->delay_samples == delay_samples) return;
    source_ = std::make_shared<Source>();
    source_->material = std::move(material);
    source_->delay_samples = delay_samples;
    now_.reset();
}

void LiveSpectrum::tick() {
    if (busy_ || !source_) return;
    busy_ = true;
    const int64_t frame = std::llround(work_.player.position_s() * work_.document.session().sample_rate);
    using Spectrum = std::optional<LongTermSpectrum>;
    jobs_.start([source = source_, frame](Progress&) -> Result<Spectrum> { return source->around(frame); },
                [this, source = source_](const Result<Spectrum>& found) {
                    busy_ = false;
                    if (source != source_ || !work_.player.playing()) return;
                    now_ = found.value_or(Spectrum());
                    emit changed();
                });
}

}  // namespace isotonus
