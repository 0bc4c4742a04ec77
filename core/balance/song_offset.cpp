#include "core/balance/song_offset.h"

#include <algorithm>
#include <complex>
#include <numbers>

#include "core/audio/fft.h"

namespace isotonus {

namespace {

using FloatBin = std::complex<float>;

/// How much louder each block is than the one before it, in the logarithm of power: what levels over time have in
/// common however they are balanced.
std::vector<float> rises(std::vector<float> power) {
    double mean = 0.0;
    for (const float p : power) mean += p;
    mean /= static_cast<double>(std::max<size_t>(1, power.size()));
    const auto floor = static_cast<float>(1e-4 * mean + 1e-20);
    float before = std::log(floor);
    for (float& p : power) {
        const float now = std::log(p + floor);
        p = std::max(0.0f, now - before);
        before = now;
    }
    return power;
}

std::vector<float> power_over_time(const LevelSummary& s) {
    std::vector<float> power(static_cast<size_t>(s.blocks()));
    for (size_t b = 0; b < power.size(); ++b)
        for (size_t c = 0; c < static_cast<size_t>(s.channels); ++c)
            power[b] += s.mean_square[b * static_cast<size_t>(s.channels) + c];
    return power;
}

/// All tracks as if each were as loud as the others.
std::vector<float> power_of_song(const std::vector<MixColumn>& tracks) {
    std::vector<float> sum;
    for (const MixColumn& t : tracks) {
        const std::vector<float> own = power_over_time(t.material->summary);
        double total = 0.0;
        for (const float p : own) total += p;
        if (total <= 0.0) continue;
        const int64_t shift = t.delay_samples / level_block;
        sum.resize(std::max<size_t>(sum.size(), own.size() + static_cast<size_t>(std::max<int64_t>(0, shift))));
        for (size_t b = 0; b < own.size(); ++b)
            if (const int64_t at = static_cast<int64_t>(b) + shift; at >= 0)
                sum[static_cast<size_t>(at)] += own[b] / static_cast<float>(total);
    }
    return sum;
}

/// sum over n of a[n + lag] b[n], at index lag (and at size + lag for negative ones).
std::vector<float> correlation(const std::vector<float>& a, const std::vector<float>& b) {
    RealFft fa(RealFft::fast_size(static_cast<int>(a.size() + b.size()))), fb(fa.size());
    std::ranges::fill(fa.time(), 0.0f);
    std::ranges::fill(fb.time(), 0.0f);
    std::ranges::copy(a, fa.time().begin());
    std::ranges::copy(b, fb.time().begin());
    fa.forward();
    fb.forward();
    for (size_t i = 0; i < fa.bins().size(); ++i) fa.bins()[i] *= std::conj(fb.bins()[i]);
    fa.back();
    return {fa.time().begin(), fa.time().end()};
}

constexpr size_t candidates = 8;
constexpr int64_t fine_frames = 32768;
/// Levels over time are told for blocks, and hits are smeared by what a mix's processing does.
constexpr int64_t reach_frames = 2048;

/// Lags in frames at which levels over time agree best, the best first; none closer than 50 ms to another.
std::vector<int64_t> likely_lags(const std::vector<MixColumn>& tracks, const Material& recording) {
    const std::vector<float> song = rises(power_of_song(tracks)), mix = rises(power_over_time(recording.summary));
    if (song.empty() || mix.empty()) return {};
    std::vector<float> agreement = correlation(song, mix);
    const auto size = static_cast<int64_t>(agreement.size());
    const int64_t apart = recording.rate() / 20 / level_block + 1;
    std::vector<int64_t> lags;
    while (lags.size() < candidates) {
        const auto best = std::max_element(agreement.begin(), agreement.end());
        if (*best <= 0.0f) break;
        const int64_t at = best - agreement.begin();
        lags.push_back((at < std::ssize(song) ? at : at - size) * level_block);
        for (int64_t near = at - apart; near <= at + apart; ++near)
            agreement[static_cast<size_t>((near + size) % size)] = 0.0f;
    }
    return lags;
}

/// Reads a stretch as the mean of its sides, shaped by a window.
Result<void> read_windowed(FrameReader& reader, int64_t first, RealFft& into) {
    std::vector<float> samples(static_cast<size_t>(fine_frames * reader.channels()));
    if (auto done = reader.read(first, fine_frames, samples.data()); !done) return done;
    for (int64_t i = 0; i < fine_frames; ++i) {
        float x = 0.0f;
        for (int c = 0; c < reader.channels(); ++c) x += samples[static_cast<size_t>(i * reader.channels() + c)];
        const double w = std::sin(std::numbers::pi * (static_cast<double>(i) + 0.5) / fine_frames);
        into.time()[static_cast<size_t>(i)] = x * static_cast<float>(w * w);
    }
    into.forward();
    return {};
}

struct ExactLag {
    double lag = 0.0;       ///< frames of the song for frame 0 of the recording
    double stands_out = 0;  ///< its agreement against the mean of all places nearby
};

/// The exact place near a lag, from the correlations of every track with the recording in these windows.
Result<ExactLag> exact_lag(const std::vector<MixColumn>& tracks, const Material& recording, int64_t lag,
                           const std::vector<int64_t>& windows, Progress* progress) {
    auto mix = recording.open();
    if (!mix) return tl::unexpected(mix.error());
    std::vector<RealFft> heard;
    for (const int64_t first : windows) {
        heard.emplace_back(static_cast<int>(fine_frames));
        if (auto done = read_windowed(**mix, first, heard.back()); !done) return tl::unexpected(done.error());
    }
    std::vector<std::vector<double>> of_track(tracks.size());
    std::vector<std::optional<Error>> errors(tracks.size());
    parallel_for(std::ssize(tracks), worker_count(), [&](int64_t n) {
        const MixColumn& t = tracks[static_cast<size_t>(n)];
        if (progress && progress->cancelled()) return;
        auto reader = t.material->open();
        if (!reader) {
            errors[static_cast<size_t>(n)] = reader.error();
            return;
        }
        RealFft own(static_cast<int>(fine_frames)), sum(static_cast<int>(fine_frames));
        std::ranges::fill(sum.bins(), FloatBin{});
        bool sounds = false;
        std::vector<FloatBin> crossed(sum.bins().size());
        for (size_t w = 0; w < windows.size(); ++w) {
            if (auto done = read_windowed(**reader, windows[w] + lag - t.delay_samples, own); !done) {
                errors[static_cast<size_t>(n)] = done.error();
                return;
            }
            for (size_t i = 0; i < crossed.size(); ++i) {
                const FloatBin product = own.bins()[i] * std::conj(heard[w].bins()[i]);
                const float size = std::abs(product);
                // The phase transform: every frequency counts alike, so that a peak is as sharp as can be.
                if (size > 1e-12f) crossed[i] += product / size, sounds = true;
            }
        }
        if (!sounds) return;
        std::ranges::copy(crossed, sum.bins().begin());
        sum.back();
        std::vector<double>& found = of_track[static_cast<size_t>(n)];
        for (int64_t at = -reach_frames; at <= reach_frames; ++at) {
            const double value = sum.time()[static_cast<size_t>((at + fine_frames) % fine_frames)];
            found.push_back(value * value);
        }
    });
    if (progress && progress->cancelled()) return stopped();
    for (const auto& e : errors)
        if (e) return tl::unexpected(*e);
    std::vector<double> all(2 * reach_frames + 1);
    for (const auto& own : of_track) {
        double mean = 0.0;
        for (const double v : own) mean += v / static_cast<double>(own.size());
        // What stands out in one track counts, not the noise of those that are not heard in these windows.
        for (size_t i = 0; i < own.size() && mean > 0.0; ++i) all[i] += own[i] / mean;
    }
    const auto best = std::max_element(all.begin(), all.end());
    double mean = 0.0;
    for (const double v : all) mean += v / static_cast<double>(all.size());
    const int64_t at = best - all.begin();
    double fraction = 0.0;
    if (at > 0 && at + 1 < std::ssize(all)) {
        // The peak of a parabola through three amplitudes.
        const double a = std::sqrt(best[-1]), b = std::sqrt(best[0]), c = std::sqrt(best[1]);
        if (a - 2.0 * b + c < 0.0) fraction = 0.5 * (a - c) / (a - 2.0 * b + c);
    }
    if (std::fabs(fraction) < 0.06) fraction = 0.0;
    return ExactLag{static_cast<double>(lag + at - reach_frames) + fraction, mean > 0.0 ? *best / mean : 0.0};
}

/// Places in the recording where it is loud, spread over what a lag leaves of it.
std::vector<int64_t> loud_windows(const Material& recording, int64_t lag, int64_t song_frames, size_t count) {
    const int64_t from = std::max<int64_t>(0, -lag), to = std::min(recording.frames(), song_frames - lag) - fine_frames;
    if (to <= from) return {from};
    const std::vector<float> power = power_over_time(recording.summary);
    std::vector<int64_t> windows;
    for (size_t n = 0; n < count; ++n) {
        const auto begin = (from + (to - from) * static_cast<int64_t>(n) / static_cast<int64_t>(count)) / level_block;
        const auto end = (from + (to - from) * static_cast<int64_t>(n + 1) / static_cast<int64_t>(count)) / level_block;
        if (begin >= std::min<int64_t>(end, std::ssize(power))) continue;
        const auto loudest =
            std::max_element(power.begin() + begin, power.begin() + std::min<int64_t>(end, std::ssize(power)));
        // Half of a window before the loudest block, so that it is in its middle.
        windows.push_back(std::clamp<int64_t>((loudest - power.begin()) * level_block - fine_frames / 2, from, to));
    }
    return windows;
}

}  // namespace

Result<std::optional<double>> song_offset(const std::vector<MixColumn>& tracks, const Material& recording,
                                          Progress* progress) {
    int64_t song_frames = 0;
    for (const MixColumn& t : tracks) song_frames = std::max(song_frames, t.material->frames() + t.delay_samples);
    std::optional<ExactLag> best;
    for (const int64_t lag : likely_lags(tracks, recording)) {
        const auto found = exact_lag(tracks, recording, lag, loud_windows(recording, lag, song_frames, 3), progress);
        if (!found) return tl::unexpected(found.error());
        if (!best || found->stands_out > best->stands_out) best = *found;
    }
    if (!best) return std::optional<double>{};
    const auto lag = std::llround(best->lag);
    const auto found = exact_lag(tracks, recording, lag, loud_windows(recording, lag, song_frames, 10), progress);
    if (!found) return tl::unexpected(found.error());
    constexpr double least = 4.0;
    return found->stands_out < least ? std::nullopt : std::optional(found->lag);
}

}  // namespace isotonus
