#include "core/compare/match.h"

#include <algorithm>
#include <cmath>

#include "core/measure/passage.h"
#include "core/shape/signal.h"

namespace isotonus {

namespace {

double highest_dbtp(std::span<const float> hops, double from_s, double to_s) {
    const auto hop_at = [&](double hop) {
        return static_cast<size_t>(std::clamp(hop, 0.0, static_cast<double>(hops.size())));
    };
    const size_t from = hop_at(std::floor(from_s * 10.0)), to = hop_at(std::ceil(to_s * 10.0));
    float most = 0.0f;
    for (size_t i = from; i < to; ++i) most = std::max(most, hops[i]);
    return db_from_gain(static_cast<double>(most));
}

}  // namespace

std::optional<double> match_db(Level mix_lufs, const Measurement& recording) {
    if (!mix_lufs || !recording.integrated_lufs) return std::nullopt;
    return *mix_lufs - *recording.integrated_lufs;
}

Result<std::vector<float>> true_peak_hops(const Material& material, Progress* progress) {
    return without_exceptions({}, [&]() -> Result<std::vector<float>> {
        auto reader = material.open();
        if (!reader) return tl::unexpected(reader.error());
        const int channels = material.channels();
        const int64_t frames = material.frames(), hop = std::max(1, material.rate() / 10);
        constexpr int64_t lead = 12;  // a filter's length: what lies between two hops belongs to both
        std::vector<float> peaks, samples;
        for (int64_t at = 0; at < frames; at += hop) {
            if (progress && progress->cancelled()) return stopped();
            const int64_t first = std::max<int64_t>(0, at - lead), end = std::min(frames, at + hop + lead);
            samples.resize(static_cast<size_t>((end - first) * channels));
            if (auto read = (*reader)->read(first, end - first, samples.data()); !read)
                return tl::unexpected(read.error());
            float highest = 0.0f;
            for (const float x : samples) highest = std::max(highest, std::fabs(x));
            TruePeak meter(channels, material.rate());
            meter.add(samples.data(), end - first, highest);
            peaks.push_back(static_cast<float>(meter.finish()));
        }
        return peaks;
    });
}

std::optional<Match> match_at(const MatchedMix& mix, const Recording& recording, const Material& material,
                              std::span<const float> true_peaks, MatchBy by, double song_s) {
    const std::vector<double>& its = material.hops.weighted;
    if (const RecordingPassage* tied = recording.tied_at(song_s); tied && by == MatchBy::passage) {
        const Level mine = passage_lufs(mix.hops, *tied->song_from_s, *tied->song_to_s);
        const Level other = passage_lufs(its, tied->from_s, tied->to_s);
        if (mine && other) {
            // A passage of the song that is longer than its own hears what follows it.
            const double to_s =
                tied->from_s + std::max(tied->to_s - tied->from_s, *tied->song_to_s - *tied->song_from_s);
            return Match{*mine - *other, highest_dbtp(true_peaks, tied->from_s, to_s)};
        }
    } else if (by == MatchBy::short_term) {
        const double its_s = recording.recording_time_s(song_s);
        const Level mine = short_term_lufs(mix.hops, song_s), other = short_term_lufs(its, its_s);
        if (mine && other) {
            // The second that follows, too: it may be heard before the gain is thought over.
            return Match{*mine - *other, highest_dbtp(true_peaks, its_s - 3.0, its_s + 1.0)};
        }
    }
    const auto gain_db = match_db(mix.integrated_lufs, material.measurement);
    if (!gain_db) return std::nullopt;
    return Match{*gain_db, material.measurement.true_peak_dbtp.value_or(silence_db)};
}

}  // namespace isotonus
