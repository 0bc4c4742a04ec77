#include "core/measure/measure.h"

#include <algorithm>
#include <cmath>

#include "core/audio/kernels.h"
#include "core/audio/sound_file.h"

namespace isotonus {

Measurer::Measurer(int channels, int sample_rate, float full_scale)
    : hops_(channels, sample_rate), true_peak_(channels, sample_rate), full_scale_(full_scale) {
    m_.channels = summary_.channels = channels;
    m_.sample_rate = sample_rate;
}

void Measurer::add(const float* in, int64_t frames) {
    hops_.add(in, frames);
    const size_t channels = static_cast<size_t>(m_.channels);
    constexpr int64_t block = LevelSummary::block_frames;
    if (!pending_.empty()) {
        const int64_t held = static_cast<int64_t>(pending_.size() / channels);
        const int64_t more = std::min(frames, block - held);
        pending_.insert(pending_.end(), in, in + more * m_.channels);
        in += more * m_.channels;
        frames -= more;
        if (held + more < block) return;
        add_stretch(pending_.data(), block);
        pending_.clear();
    }
    for (; frames >= block; frames -= block, in += block * m_.channels) add_stretch(in, block);
    pending_.assign(in, in + frames * m_.channels);
}

void Measurer::add_stretch(const float* in, int64_t frames) {
    kernels::Stretch s;
    kernels::measure_stretch(in, static_cast<size_t>(frames), m_.channels, &s);
    float peak_of_channel[2] = {};
    for (int c = 0; c < m_.channels; ++c) {
        summary_.low.push_back(s.low[c]);
        summary_.high.push_back(s.high[c]);
        summary_.mean_square.push_back(static_cast<float>(s.square[c] / static_cast<double>(frames)));
        sum_[c] += s.sum[c];
        square_[c] += s.square[c];
        peak_of_channel[c] = std::max(-s.low[c], s.high[c]);
    }
    product_ += s.product;
    const float peak = std::max(peak_of_channel[0], peak_of_channel[1]);
    if (peak > peak_) {
        peak_ = peak;
        const float* const end = in + frames * m_.channels;
        const float* const at = std::find_if(in, end, [&](float x) { return std::fabs(x) == peak; });
        peak_frame_ = m_.frames + (at - in) / m_.channels;
    }
    true_peak_.add(in, frames, peak);
    find_clipping(in, frames, peak_of_channel);
    m_.frames += frames;
}

void Measurer::find_clipping(const float* in, int64_t frames, const float* peak_of_channel) {
    for (int c = 0; c < m_.channels; ++c) {
        if (peak_of_channel[c] < full_scale_) {
            end_run(c);
            continue;
        }
        for (int64_t i = 0; i < frames; ++i) {
            if (std::fabs(in[i * m_.channels + c]) < full_scale_) {
                end_run(c);
            } else if (run_[c]++ == 0) {
                run_start_[c] = m_.frames + i;
            }
        }
    }
}

void Measurer::end_run(int c) {
    if (run_[c] >= 3) {
        ++m_.clipped_runs;
        if (m_.first_clipped_runs.size() < 100) m_.first_clipped_runs.push_back({run_start_[c], run_[c], c});
    }
    run_[c] = 0;
}

Measurer::Outcome Measurer::finish(std::string_view name) {
    const int64_t rest = static_cast<int64_t>(pending_.size()) / m_.channels;
    if (rest > 0) add_stretch(pending_.data(), rest);
    for (int c = 0; c < m_.channels; ++c) end_run(c);
    summary_.frames = m_.frames;

    const double frames = static_cast<double>(std::max<int64_t>(1, m_.frames));
    const double power = (square_[0] + square_[1]) / (frames * m_.channels);
    m_.sample_peak_dbfs = level_from_gain(static_cast<double>(peak_));
    m_.peak_time_s = static_cast<double>(peak_frame_) / m_.sample_rate;
    m_.true_peak_dbtp = level_from_gain(true_peak_.finish());
    if (const Level rms = level_from_power(power)) {
        m_.rms_dbfs = *rms + aes17_db;
        m_.crest_db = *m_.sample_peak_dbfs - *rms;
    }
    const HopPower& hops = hops_.hops();
    m_.integrated_lufs = integrated_lufs(hops.weighted);
    m_.max_momentary_lufs = loudest_lufs(hops.weighted, 4);
    m_.max_short_term_lufs = loudest_lufs(hops.weighted, 30);
    m_.loudness_range_lu = loudness_range_lu(hops.weighted);
    // What is shorter than one window is one window of its own length.
    m_.average_dbfs = hops.unweighted.size() >= 4 ? gated_average_dbfs(hops.unweighted) : m_.rms_dbfs;
    for (int c = 0; c < m_.channels; ++c)
        if (const double mean = sum_[c] / frames; std::fabs(mean) > std::fabs(m_.dc_offset)) m_.dc_offset = mean;
    if (m_.channels == 2 && square_[0] > 0.0 && square_[1] > 0.0)
        m_.correlation = std::clamp(product_ / std::sqrt(square_[0] * square_[1]), -1.0, 1.0);
    const double crest = m_.sample_peak_dbfs && m_.average_dbfs ? *m_.sample_peak_dbfs - *m_.average_dbfs : 0.0;
    m_.kind = estimate_kind(summary_, m_.sample_rate, crest, name);
    return {std::move(m_), std::move(summary_), hops};
}

float full_scale_of(int bits, bool floating) {
    const int width = floating || bits == 0 ? 16 : std::min(bits, 16);
    return 1.0f - std::ldexp(1.0f, 1 - width);
}

Result<Measurer::Outcome> measure_file(const std::filesystem::path& file, Progress* progress) {
    auto reader = SoundReader::open(file);
    if (!reader) return tl::unexpected(reader.error());
    const SoundInfo& info = reader->info();
    Measurer measurer(info.channels, info.sample_rate, full_scale_of(info.bits, info.floating));
    constexpr int64_t block = 4096;
    std::vector<float> buffer(static_cast<size_t>(block * info.channels));
    for (int64_t at = 0; at < info.frames; at += block) {
        if (progress && progress->cancelled()) return fail(file.string(), "cancelled");
        const int64_t frames = std::min(block, info.frames - at);
        if (auto done = reader->read(at, frames, buffer.data()); !done) return tl::unexpected(done.error());
        measurer.add(buffer.data(), frames);
        if (progress) progress->report(static_cast<double>(at + frames) / static_cast<double>(info.frames));
    }
    auto outcome = measurer.finish(file.stem().string());
    outcome.measurement.non_finite_samples = reader->non_finite();
    return outcome;
}

}  // namespace isotonus
