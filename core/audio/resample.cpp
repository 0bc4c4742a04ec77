#include "core/audio/resample.h"

#include <soxr.h>

namespace isotonus {

void Resampler::Delete::operator()(soxr* p) const { soxr_delete(p); }

Result<Resampler> Resampler::create(int from_hz, int to_hz, int channels) {
    Resampler resampler;
    const soxr_quality_spec_t quality = soxr_quality_spec(SOXR_VHQ, 0);
    soxr_error_t problem = nullptr;
    resampler.soxr_.reset(
        soxr_create(from_hz, to_hz, static_cast<unsigned>(channels), &problem, nullptr, &quality, nullptr));
    if (problem)
        return fail(
            "", translate("the sample rate cannot be converted: {}. Export the file at the session's rate.", problem));
    resampler.channels_ = channels;
    resampler.ratio_ = static_cast<double>(to_hz) / from_hz;
    return resampler;
}

std::span<const float> Resampler::convert(std::span<const float> in) {
    const size_t channels = static_cast<size_t>(channels_);
    const size_t frames = in.size() / channels;
    const size_t chunk = 8192 + static_cast<size_t>(static_cast<double>(frames) * ratio_);
    size_t made = 0;
    for (;;) {
        out_.resize((made + chunk) * channels);
        size_t got = 0;
        soxr_process(soxr_.get(), frames > 0 && made == 0 ? in.data() : nullptr, frames > 0 && made == 0 ? frames : 0,
                     nullptr, out_.data() + made * channels, chunk, &got);
        made += got;
        // With input, one call takes all of it as the room suffices; when flushing, go on until nothing comes.
        if (frames > 0 || got < chunk) break;
    }
    return {out_.data(), made * channels};
}

}  // namespace isotonus
