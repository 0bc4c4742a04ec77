#include "core/stage/alignment.h"

#include <algorithm>
#include <atomic>
#include <cmath>
#include <complex>
#include <memory>
#include <numbers>

#include "core/audio/fft.h"
#include "core/words.h"

namespace isotonus {

namespace {

using Spectrum = std::vector<std::complex<double>>;

/// Real transforms of one size, in single precision.
class Transform {
  public:
    explicit Transform(int size) : fft_(size) {}

    Spectrum forward(const std::vector<float>& x) {
        std::copy(x.begin(), x.end(), fft_.time().begin());
        fft_.forward();
        return {fft_.bins().begin(), fft_.bins().end()};
    }
    std::vector<float> back(const Spectrum& spectrum) {
        const auto bins = fft_.bins();
        for (size_t k = 0; k < bins.size(); ++k) bins[k] = std::complex<float>(spectrum[k]);
        fft_.back();
        return {fft_.time().begin(), fft_.time().end()};
    }

  private:
    RealFft fft_;
};

/// Frames of the reference's strongest blocks, loudest first.
std::vector<int64_t> strongest_hits(const LevelSummary& summary, int sample_rate, size_t max_hits) {
    std::vector<std::pair<float, int64_t>> blocks;
    float loudest = 0.0f;
    for (int64_t b = 0; b < summary.blocks(); ++b) {
        float power = 0.0f;
        for (int c = 0; c < summary.channels; ++c)
            power += summary.mean_square[static_cast<size_t>(b * summary.channels + c)];
        loudest = std::max(loudest, power);
        blocks.emplace_back(power, b * LevelSummary::block_frames);
    }
    std::sort(blocks.begin(), blocks.end(), [](const auto& a, const auto& b) { return a.first > b.first; });
    std::vector<int64_t> hits;
    const int64_t spacing = sample_rate / 5;
    for (const auto& block : blocks) {
        const float power = block.first;
        const int64_t frame = block.second;
        if (hits.size() == max_hits || power < loudest * 0.01f || power == 0.0f) break;
        const bool alone =
            std::all_of(hits.begin(), hits.end(), [&](int64_t h) { return std::abs(h - frame) >= spacing; });
        if (alone) hits.push_back(frame);
    }
    return hits;
}

/// Mean of the channels, from a frame on; faded at both ends.
Result<std::vector<float>> listen(FrameReader& reader, int64_t first, int size) {
    const int channels = reader.channels();
    std::vector<float> in(static_cast<size_t>(size * channels)), out(static_cast<size_t>(size));
    if (auto done = reader.read(first, size, in.data()); !done) return tl::unexpected(done.error());
    const int fade = size / 8;
    for (int i = 0; i < size; ++i) {
        float x = in[static_cast<size_t>(i * channels)];
        if (channels == 2) x = 0.5f * (x + in[static_cast<size_t>(2 * i + 1)]);
        const int edge = std::min({i, size - 1 - i, fade});
        const double rise = std::sin(std::numbers::pi / 2.0 * edge / fade);
        out[static_cast<size_t>(i)] = x * static_cast<float>(rise * rise);
    }
    return out;
}

/// e^(j 2 pi f d): what a track that is late by d samples is turned by to stand in time, bin by bin.
std::complex<double> turned(size_t bin, double delay_samples, int size) {
    return std::polar(1.0, 2.0 * std::numbers::pi * static_cast<double>(bin) * delay_samples / size);
}

/// The delay at which cross-correlated hits agree most, to a part of a sample: the whitened correlation's highest peak
/// within reach, and how far it stands out.  False: there is nothing that agrees.
bool find_delay(Transform& transform, const Spectrum& cross, int rate, int size, Alignment& found) {
    const int reach = alignment_reach(rate);
    const double step_hz = static_cast<double>(rate) / size;
    const auto first_bin = static_cast<size_t>(std::ceil(30.0 / step_hz));
    const auto end_bin = std::min(cross.size() - 1, static_cast<size_t>(12000.0 / step_hz) + 1);
    Spectrum weighted(cross.size());
    for (size_t k = first_bin; k < end_bin; ++k)
        if (const double magnitude = std::abs(cross[k]); magnitude > 0.0) weighted[k] = cross[k] / std::sqrt(magnitude);
    const std::vector<float> correlation = transform.back(weighted);
    const auto at = [&](int lag) { return static_cast<double>(correlation[static_cast<size_t>((lag + size) % size)]); };
    int best = 0;
    for (int lag = -reach; lag <= reach; ++lag)
        if (std::fabs(at(lag)) > std::fabs(at(best))) best = lag;
    const double height = std::fabs(at(best));
    if (height <= 0.0) return false;
    for (int lag = -reach; lag <= reach; ++lag) found.curve.push_back(static_cast<float>(at(lag) / height));
    found.inverted = at(best) < 0.0;
    const double sign = found.inverted ? -1.0 : 1.0;
    // r(d) = sum of Re W_k e^(j w_k d): its derivative is 0 at the delay.
    double delay = best;
    for (int round = 0; round < 8; ++round) {
        double slope = 0.0, bend = 0.0;
        for (size_t k = first_bin; k < end_bin; ++k) {
            const double w = 2.0 * std::numbers::pi * static_cast<double>(k) / size;
            const std::complex<double> r = weighted[k] * turned(k, delay, size);
            slope -= w * r.imag();
            bend -= w * w * r.real();
        }
        const double step = bend * sign < 0.0 ? std::clamp(-slope / bend, -0.5, 0.5) : 0.0;
        delay = std::clamp(delay + step, best - 1.0, best + 1.0);
        if (std::fabs(step) < 1e-4) break;
    }
    found.delay_samples = delay;

    // The next peak of the same or the other sign, at least 1 ms away.
    double next = 0.0;
    for (int lag = -reach; lag <= reach; ++lag) {
        const double here = std::fabs(at(lag));
        const bool top = here >= std::fabs(at(lag - 1)) && here >= std::fabs(at(lag + 1));
        if (top && std::abs(lag - best) >= rate / 1000) next = std::max(next, here);
    }
    found.distinctness = next > 0.0 ? height / next : 100.0;
    return true;
}

/// A stretch around a hit, as both were heard.
struct HitSpectra {
    int64_t first;
    Spectrum reference, track;
};

/// How alike both are as they stand, and once the track is moved: heard anew, by whole samples, with the rest turned in
/// the spectrum.
Result<void> compare_aligned(const std::vector<HitSpectra>& spectra, FrameReader& track, int64_t track_delay,
                             double turn, Transform& transform, int rate, int size, Alignment& found) {
    const double sign = found.inverted ? -1.0 : 1.0;
    const int64_t whole = std::llround(found.delay_samples);
    const double rest = found.delay_samples - static_cast<double>(whole);
    double power_x = 0.0, power_now = 0.0, power_moved = 0.0, product_now = 0.0, product_moved = 0.0;
    double low_now = 0.0, low_moved = 0.0;
    for (const auto& [first, x, y] : spectra) {
        const auto moved = listen(track, first - track_delay + whole, size);
        if (!moved) return tl::unexpected(moved.error());
        const Spectrum z = transform.forward(*moved);
        for (size_t k = 1; k < x.size(); ++k) {
            const std::complex<double> aligned = sign * turn * z[k] * turned(k, rest, size), now = turn * y[k];
            power_x += std::norm(x[k]);
            power_now += std::norm(y[k]);
            power_moved += std::norm(z[k]);
            product_now += (std::conj(x[k]) * now).real();
            product_moved += (std::conj(x[k]) * aligned).real();
            if (static_cast<double>(k) * rate / size >= 200.0) continue;
            low_now += std::norm(x[k] + now);
            low_moved += std::norm(x[k] + aligned);
        }
    }
    if (power_x * power_now > 0.0) found.correlation_before = product_now / std::sqrt(power_x * power_now);
    if (power_x * power_moved > 0.0) found.correlation_after = product_moved / std::sqrt(power_x * power_moved);
    if (low_now > 0.0 && low_moved > 0.0) found.low_gain_db = db_from_power(low_moved / low_now);
    return {};
}

}  // namespace

Result<Alignment> align_to(const Material& reference, const Material& track, Standing reference_stands,
                           Standing track_stands, int max_hits) {
    auto a = open_source(reference.origin()), b = open_source(track.origin());
    if (!a) return tl::unexpected(a.error());
    if (!b) return tl::unexpected(b.error());
    reference_stands.delay -= reference.origin().lead;
    track_stands.delay -= track.origin().lead;
    const int rate = reference.rate();
    const int reach = alignment_reach(rate);
    int size = 1024;
    while (size < 8 * reach) size *= 2;  // 0.4 s and more around each hit
    Transform transform(size);
    const double turn = reference_stands.inverted != track_stands.inverted ? -1.0 : 1.0;

    Alignment found;
    std::vector<HitSpectra> spectra;
    Spectrum cross(static_cast<size_t>(size / 2 + 1));
    for (const int64_t hit : strongest_hits(reference.summary, rate, static_cast<size_t>(max_hits))) {
        const int64_t first = hit + reference_stands.delay - size / 4;
        const auto x = listen(**a, first - reference_stands.delay, size);
        const auto y = listen(**b, first - track_stands.delay, size);
        if (!x) return tl::unexpected(x.error());
        if (!y) return tl::unexpected(y.error());
        if (spectra.empty()) found.strongest_hit = hit + reference_stands.delay;
        spectra.push_back({first, transform.forward(*x), transform.forward(*y)});
        for (size_t k = 0; k < cross.size(); ++k)
            cross[k] += turn * std::conj(spectra.back().reference[k]) * spectra.back().track[k];
    }
    found.hits = static_cast<int>(spectra.size());
    if (spectra.empty()) return found;

    if (!find_delay(transform, cross, rate, size, found)) return found;
    if (auto compared = compare_aligned(spectra, **b, track_stands.delay, turn, transform, rate, size, found);
        !compared)
        return tl::unexpected(compared.error());
    found.reliable = found.hits >= 3 && found.distinctness >= 1.15 && found.correlation_after >= 0.2;
    return found;
}

Track aligned(Track track, const Alignment& found) {
    track.delay_samples -= std::round(found.delay_samples * 100.0) / 100.0;
    track.polarity_inverted = track.polarity_inverted != found.inverted;
    return track;
}

Result<std::vector<float>> heard_around(const Material& track, Standing stands, int64_t first, int frames) {
    auto reader = open_source(track.origin());
    if (!reader) return tl::unexpected(reader.error());
    const size_t channels = static_cast<size_t>((*reader)->channels());
    std::vector<float> in(static_cast<size_t>(frames) * channels), out(static_cast<size_t>(frames));
    if (auto done = (*reader)->read(first - stands.delay + track.origin().lead, frames, in.data()); !done)
        return tl::unexpected(done.error());
    for (size_t i = 0; i < out.size(); ++i) {
        const float x = channels == 2 ? 0.5f * (in[2 * i] + in[2 * i + 1]) : in[i];
        out[i] = stands.inverted ? -x : x;
    }
    return out;
}

namespace {

/// Level (RMS) of each block, the channels added.
std::vector<float> level_over_time(const LevelSummary& s) {
    std::vector<float> level(static_cast<size_t>(s.blocks()));
    for (size_t b = 0; b < level.size(); ++b)
        for (size_t c = 0; c < static_cast<size_t>(s.channels); ++c)
            level[b] += std::sqrt(s.mean_square[b * static_cast<size_t>(s.channels) + c]);
    return level;
}

/// The highest correlation of two levels over time within +/-50 ms.
double level_correlation(const std::vector<float>& a, const std::vector<float>& b, int64_t reach) {
    const auto count = static_cast<int64_t>(std::min(a.size(), b.size()));
    double best = 0.0, mean_a = 0.0, mean_b = 0.0;
    for (int64_t i = 0; i < count; ++i) {
        mean_a += static_cast<double>(a[static_cast<size_t>(i)]);
        mean_b += static_cast<double>(b[static_cast<size_t>(i)]);
    }
    mean_a /= static_cast<double>(std::max<int64_t>(1, count));
    mean_b /= static_cast<double>(std::max<int64_t>(1, count));
    for (int64_t lag = -reach; lag <= reach; ++lag) {
        double aa = 0.0, bb = 0.0, ab = 0.0;
        for (int64_t i = std::max<int64_t>(0, -lag); i < std::min(count, count - lag); ++i) {
            const double x = static_cast<double>(a[static_cast<size_t>(i)]) - mean_a;
            const double y = static_cast<double>(b[static_cast<size_t>(i + lag)]) - mean_b;
            aa += x * x, bb += y * y, ab += x * y;
        }
        if (aa * bb > 0.0) best = std::max(best, ab / std::sqrt(aa * bb));
    }
    return best;
}

std::string first_word(const std::string& name) {
    std::string word;
    for (const char c : name) {
        if (std::isalpha(static_cast<unsigned char>(c)))
            word += static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
        else if (!word.empty())
            break;
    }
    return word;
}

}  // namespace

std::optional<Finding> finding_of(const Alignment& found, const Track& reference, int sample_rate) {
    const double ms = 1000.0 * found.delay_samples / sample_rate;
    const bool moved = std::fabs(ms) >= 0.1;
    if (!found.reliable || (!moved && !found.inverted)) return std::nullopt;
    const double by = std::fabs(ms);
    const std::string& name = reference.name;
    std::string text;
    if (!moved)
        text = translate("inverted against {}", name);
    else if (found.inverted && ms > 0.0)
        text = translate("{:.1f} ms late and inverted against {}", by, name);
    else if (found.inverted)
        text = translate("{:.1f} ms early and inverted against {}", by, name);
    else if (ms > 0.0)
        text = translate("{:.1f} ms late against {}", by, name);
    else
        text = translate("{:.1f} ms early against {}", by, name);
    if (found.low_gain_db >= 0.5) text = translate("{}, and the low end would gain {:.1f} dB", text, found.low_gain_db);
    return Finding{"alignment", std::move(text), static_cast<double>(found.strongest_hit) / sample_rate, true,
                   Remedy::align};
}

std::vector<std::vector<TrackId>> microphone_sets(const Session& session,
                                                  const std::function<MaterialPtr(const Track&)>& material,
                                                  Progress* progress) {
    struct Candidate {
        const Track* track;
        MaterialPtr material;
        std::vector<float> level;
        std::string word;
        bool struck;
        size_t set;
    };
    std::vector<Candidate> all;
    for (const auto& track : session.tracks) {
        const MaterialPtr m = material(*track);
        if (!m || !m->measurement.sample_peak_dbfs) continue;
        const Family family = family_of(*track, &m->measurement);
        const bool struck = family == Family::drums || family == Family::percussion;
        all.push_back({track.get(), m, level_over_time(m->summary), first_word(track->name), struck, all.size()});
    }
    const int64_t reach = 1 + alignment_reach(session.sample_rate) / LevelSummary::block_frames;
    std::vector<std::pair<size_t, size_t>> pairs;
    for (size_t i = 0; i < all.size(); ++i)
        for (size_t k = i + 1; k < all.size(); ++k)
            if ((all[i].struck && all[k].struck) || (!all[i].word.empty() && all[i].word == all[k].word))
                pairs.emplace_back(i, k);
    std::vector<char> related(pairs.size(), 0);
    std::atomic<size_t> done{0};
    parallel_for(static_cast<int64_t>(pairs.size()), worker_count(), [&](int64_t n) {
        if (progress && progress->cancelled()) return;
        const auto [i, k] = pairs[static_cast<size_t>(n)];
        const Candidate &a = all[i], &b = all[k];
        if (level_correlation(a.level, b.level, reach) > 0.5) {
            const auto found = align_to(*a.material, *b.material, {whole_delay(*a.track), a.track->polarity_inverted},
                                        {whole_delay(*b.track), b.track->polarity_inverted}, 12);
            related[static_cast<size_t>(n)] = found && found->reliable ? 1 : 0;
        }
        if (progress) progress->report(static_cast<double>(++done) / static_cast<double>(pairs.size()));
    });
    for (size_t n = 0; n < pairs.size(); ++n) {
        if (!related[n]) continue;
        const size_t into = all[pairs[n].first].set, from = all[pairs[n].second].set;
        for (Candidate& c : all)
            if (c.set == from) c.set = into;
    }
    std::vector<std::vector<TrackId>> sets;
    for (size_t i = 0; i < all.size(); ++i) {
        std::vector<TrackId> members;
        for (const Candidate& c : all)
            if (c.set == i) members.push_back(c.track->id);
        if (members.size() > 1) sets.push_back(std::move(members));
    }
    return sets;
}

}  // namespace isotonus
