#include "core/measure/measure.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/audio/kernels.h"
#include "core/audio/sound_file.h"
#include "core/files/hash.h"

namespace isotonus {

namespace {

constexpr size_t group = 16;  ///< frames that are summed for the slow figures

}  // namespace

LowEnergy::LowEnergy(double sample_rate)
    : first_{high_cut(40.0, steep_low_q, sample_rate / group)},
      second_{high_cut(40.0, steep_high_q, sample_rate / group)},
      wide_{high_cut(200.0, flat_q, sample_rate / group)} {}

void LowEnergy::add(const float* sums, size_t groups, int channels) {
    for (size_t i = 0; i < groups; ++i)
        for (int c = 0; c < channels; ++c) {
            const double x = static_cast<double>(*sums++) / group;
            const double low = second_.step(first_.step(x, c), c), wide = wide_.step(x, c);
            energy_40_ += low * low * group;
            energy_200_ += wide * wide * group;
        }
}

Measurer::Measurer(int channels, int sample_rate, float full_scale)
    : hops_(channels, sample_rate),
      true_peak_(channels, sample_rate),
      low_(sample_rate),
      needles_{VuNeedle(static_cast<double>(group) / sample_rate), VuNeedle(static_cast<double>(group) / sample_rate)},
      full_scale_(full_scale) {
    m_.channels = channels;
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
        lowest_.push_back(s.low[c]);
        highest_.push_back(s.high[c]);
        mean_square_.push_back(static_cast<float>(s.square[c] / static_cast<double>(frames)));
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
    const size_t groups = static_cast<size_t>(frames) / group;
    float sums[2 * LevelSummary::block_frames / group], magnitudes[2 * LevelSummary::block_frames / group];
    kernels::sums_of_16(in, groups * group, m_.channels, sums, magnitudes);
    low_.add(sums, groups, m_.channels);
    for (size_t i = 0; i < groups; ++i)
        for (int c = 0; c < m_.channels; ++c)
            vu_ = std::max(
                vu_, needles_[c].move(static_cast<double>(
                                          magnitudes[i * static_cast<size_t>(m_.channels) + static_cast<size_t>(c)]) /
                                      group));
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

namespace {

/// Means of eight blocks each; the last of those that are left.
std::vector<float> means_of_8(const std::vector<float>& mean_square, size_t channels) {
    const size_t blocks = mean_square.size() / channels;
    std::vector<float> means;
    for (size_t first = 0; first < blocks; first += 8) {
        const size_t end = std::min(first + 8, blocks);
        for (size_t c = 0; c < channels; ++c) {
            float sum = 0.0f;
            for (size_t b = first; b < end; ++b) sum += mean_square[b * channels + c];
            means.push_back(sum / static_cast<float>(end - first));
        }
    }
    return means;
}

}  // namespace

Measurer::Outcome Measurer::finish(std::string_view name) {
    const int64_t rest = static_cast<int64_t>(pending_.size()) / m_.channels;
    if (rest > 0) add_stretch(pending_.data(), rest);
    for (int c = 0; c < m_.channels; ++c) end_run(c);
    LevelSummary summary;
    summary.channels = m_.channels;
    summary.frames = m_.frames;
    summary.mean_square_of_8 = means_of_8(mean_square_, static_cast<size_t>(m_.channels));
    summary.low = std::move(lowest_);
    summary.high = std::move(highest_);
    summary.mean_square = std::move(mean_square_);

    const double frames = static_cast<double>(std::max<int64_t>(1, m_.frames));
    const double power = (square_[0] + square_[1]) / (frames * m_.channels);
    m_.sample_peak_dbfs = level_from_gain(static_cast<double>(peak_));
    m_.peak_time_s = static_cast<double>(peak_frame_) / m_.sample_rate;
    m_.true_peak_dbtp = level_from_gain(true_peak_.finish());
    m_.true_peak_time_s = static_cast<double>(true_peak_.peak_frame()) / m_.sample_rate;
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
    double steady = 0.0;  // the energy of the offsets
    for (int c = 0; c < m_.channels; ++c) {
        const double mean = sum_[c] / frames;
        m_.channel_mean[static_cast<size_t>(c)] = mean;
        if (std::fabs(mean) > std::fabs(m_.dc_offset)) m_.dc_offset = mean;
        steady += mean * mean * frames;
    }
    if (const double energy = square_[0] + square_[1] - steady; energy > 1e-12 * frames) {
        m_.share_below_40_hz = std::clamp((low_.below_40_hz() - steady) / energy, 0.0, 1.0);
        m_.share_below_200_hz = std::clamp((low_.below_200_hz() - steady) / energy, 0.0, 1.0);
    }
    if (m_.channels == 2) {
        const auto rms = [&](double square) {
            const Level plain = level_from_power(square / frames);
            return plain ? Level(*plain + aes17_db) : std::nullopt;
        };
        m_.left_dbfs = rms(square_[0]);
        m_.right_dbfs = rms(square_[1]);
        m_.side_dbfs = rms(std::max(0.0, (square_[0] + square_[1] - 2.0 * product_) / 4.0));
    }
    m_.vu_max_dbfs = level_from_gain(vu_);
    double without_spikes = 0.0;
    m_.spikes = find_spikes(summary, m_.sample_rate, &without_spikes);
    m_.peak_without_spikes_dbfs = level_from_gain(without_spikes);
    if (m_.channels == 2 && square_[0] > 0.0 && square_[1] > 0.0)
        m_.correlation = std::clamp(product_ / std::sqrt(square_[0] * square_[1]), -1.0, 1.0);
    const double crest = m_.sample_peak_dbfs && m_.average_dbfs ? *m_.sample_peak_dbfs - *m_.average_dbfs : 0.0;
    m_.kind = estimate_kind(summary, m_.sample_rate, crest, name);
    return {std::move(m_), std::move(summary), hops};
}

float full_scale_of(int bits, bool floating) {
    const int width = floating || bits == 0 ? 16 : std::min(bits, 16);
    return 1.0f - std::ldexp(1.0f, 1 - width);
}

namespace {

/// Hears all of it, block by block.
template <class Read>
Result<Measurer::Outcome> listen(int channels, int rate, float full_scale, int64_t frames, std::string_view name,
                                 const Read& read, Progress* progress) {
    Measurer measurer(channels, rate, full_scale);
    Hash hash;
    constexpr int64_t block = 4096;
    std::vector<float> buffer(static_cast<size_t>(block * channels));
    for (int64_t at = 0; at < frames; at += block) {
        if (progress && progress->cancelled()) return stopped();
        const int64_t part = std::min(block, frames - at);
        if (auto done = read(at, part, buffer.data()); !done) return tl::unexpected(done.error());
        measurer.add(buffer.data(), part);
        hash.add(buffer.data(), static_cast<size_t>(part * channels) * sizeof(float));
        if (progress) progress->report(static_cast<double>(at + part) / static_cast<double>(frames));
    }
    auto outcome = measurer.finish(name);
    outcome.measurement.content = fmt::format("{:016x}", hash.value());
    return outcome;
}

}  // namespace

Result<Measurer::Outcome> measure_file(const std::filesystem::path& file, Progress* progress) {
    auto reader = SoundReader::open(file);
    if (!reader) return tl::unexpected(reader.error());
    const SoundInfo& info = reader->info();
    if (info.channels > 2)
        return fail(file.string(),
                    translate("the file has {} channels; only mono and stereo can be measured. Add the file "
                              "to a session, which folds or splits the channels.",
                              info.channels));
    auto outcome = listen(
        info.channels, info.sample_rate, full_scale_of(info.bits, info.floating), info.frames, file.stem().string(),
        [&](int64_t first, int64_t frames, float* out) { return reader->read(first, frames, out); }, progress);
    if (outcome) outcome->measurement.non_finite_samples = reader->non_finite();
    return outcome;
}

Result<Measurer::Outcome> measure_source(const ReadySource& source, std::string_view name, Progress* progress) {
    auto reader = open_source(source);
    if (!reader) return tl::unexpected(reader.error());
    const SoundInfo& info = source.media.source;
    auto outcome = listen(
        source.channels, source.rate, full_scale_of(info.bits, info.floating), source.frames, name,
        [&](int64_t first, int64_t frames, float* out) { return (*reader)->read(first, frames, out); }, progress);
    if (outcome) outcome->measurement.non_finite_samples = (*reader)->non_finite();
    return outcome;
}

}  // namespace isotonus
