#include "core/stage/alignment.h"

#include <kissfft/kiss_fftr.h>

#include <algorithm>
#include <cmath>
#include <complex>
#include <memory>
#include <numbers>

namespace isotonus {

namespace {

using Spectrum = std::vector<std::complex<double>>;

/// Real transforms of one size, in single precision.
class Transform {
  public:
    explicit Transform(int size)
        : size_(size),
          forward_(kiss_fftr_alloc(size, 0, nullptr, nullptr)),
          back_(kiss_fftr_alloc(size, 1, nullptr, nullptr)) {}

    Spectrum forward(const std::vector<float>& x) const {
        std::vector<kiss_fft_cpx> bins(static_cast<size_t>(size_ / 2 + 1));
        kiss_fftr(forward_.get(), x.data(), bins.data());
        Spectrum out;
        for (const kiss_fft_cpx& b : bins) out.emplace_back(static_cast<double>(b.r), static_cast<double>(b.i));
        return out;
    }
    std::vector<float> back(const Spectrum& spectrum) const {
        std::vector<kiss_fft_cpx> bins;
        for (const auto& b : spectrum) bins.push_back({static_cast<float>(b.real()), static_cast<float>(b.imag())});
        std::vector<float> x(static_cast<size_t>(size_));
        kiss_fftri(back_.get(), bins.data(), x.data());
        return x;
    }

  private:
    struct Free {
        void operator()(void* p) const { kiss_fftr_free(p); }
    };
    int size_;
    std::unique_ptr<std::remove_pointer_t<kiss_fftr_cfg>, Free> forward_, back_;
};

/// Frames of the reference's strongest blocks, loudest first.
std::vector<int64_t> strongest_hits(const LevelSummary& summary, int sample_rate) {
    constexpr size_t most_hits = 32;
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
    const int64_t apart = sample_rate / 5;
    for (const auto& block : blocks) {
        const float power = block.first;
        const int64_t frame = block.second;
        if (hits.size() == most_hits || power < loudest * 0.01f || power == 0.0f) break;
        const bool alone =
            std::all_of(hits.begin(), hits.end(), [&](int64_t h) { return std::abs(h - frame) >= apart; });
        if (alone) hits.push_back(frame);
    }
    return hits;
}

/// Mean of the channels, from a frame on; faded at both ends.
Result<std::vector<float>> listen(SoundReader& reader, int64_t first, int size) {
    const int channels = reader.info().channels;
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

}  // namespace

Result<Alignment> align_to(const Media& reference, const Media& track, int rate, const LevelSummary& summary,
                           int64_t reference_delay, int64_t track_delay) {
    auto a = SoundReader::open(reference.playable), b = SoundReader::open(track.playable);
    if (!a) return tl::unexpected(a.error());
    if (!b) return tl::unexpected(b.error());
    const int reach = rate / 20;  // 50 ms
    int size = 1024;
    while (size < 8 * reach) size *= 2;  // 0.4 s and more around each hit
    const Transform transform(size);

    Alignment found;
    struct Place {
        int64_t first;
        Spectrum reference, track;
    };
    std::vector<Place> places;
    Spectrum cross(static_cast<size_t>(size / 2 + 1));
    for (const int64_t hit : strongest_hits(summary, rate)) {
        const int64_t first = hit + reference_delay - size / 4;
        const auto x = listen(*a, first - reference_delay, size), y = listen(*b, first - track_delay, size);
        if (!x) return tl::unexpected(x.error());
        if (!y) return tl::unexpected(y.error());
        places.push_back({first, transform.forward(*x), transform.forward(*y)});
        for (size_t k = 0; k < cross.size(); ++k)
            cross[k] += std::conj(places.back().reference[k]) * places.back().track[k];
    }
    found.hits = static_cast<int>(places.size());
    if (places.empty()) return found;

    Spectrum weighted = cross;
    for (size_t k = 0; k < weighted.size(); ++k) {
        const double hz = static_cast<double>(k) * rate / size, magnitude = std::abs(weighted[k]);
        weighted[k] = hz < 30.0 || hz > 6000.0 || magnitude <= 0.0 ? 0.0 : weighted[k] / std::sqrt(magnitude);
    }
    const std::vector<float> correlation = transform.back(weighted);
    const auto at = [&](int lag) { return static_cast<double>(correlation[static_cast<size_t>((lag + size) % size)]); };
    int best = 0;
    for (int lag = -reach; lag <= reach; ++lag)
        if (std::fabs(at(lag)) > std::fabs(at(best))) best = lag;
    const double height = std::fabs(at(best));
    if (height <= 0.0) return found;
    found.inverted = at(best) < 0.0;
    const double sign = found.inverted ? -1.0 : 1.0;
    const double before = sign * at(best - 1), peak = sign * at(best), after = sign * at(best + 1);
    const double bend = before - 2.0 * peak + after;
    found.delay_samples = best + (bend < 0.0 ? 0.5 * (before - after) / bend : 0.0);

    // The next peak of the same or the other sign, at least 1 ms away.
    double next = 0.0;
    for (int lag = -reach; lag <= reach; ++lag) {
        const double here = std::fabs(at(lag));
        const bool top = here >= std::fabs(at(lag - 1)) && here >= std::fabs(at(lag + 1));
        if (top && std::abs(lag - best) >= rate / 1000) next = std::max(next, here);
    }
    found.distinctness = next > 0.0 ? height / next : 100.0;

    // The aligned figures are heard anew, with the track moved by whole samples and the rest turned in the spectrum.
    const int64_t whole = std::llround(found.delay_samples);
    const double rest = found.delay_samples - static_cast<double>(whole);
    double power_x = 0.0, power_now = 0.0, power_moved = 0.0, product_now = 0.0, product_moved = 0.0;
    double low_now = 0.0, low_moved = 0.0;
    for (const auto& [first, x, y] : places) {
        const auto moved = listen(*b, first - track_delay + whole, size);
        if (!moved) return tl::unexpected(moved.error());
        const Spectrum z = transform.forward(*moved);
        for (size_t k = 1; k < x.size(); ++k) {
            const std::complex<double> aligned = sign * z[k] * turned(k, rest, size);
            power_x += std::norm(x[k]);
            power_now += std::norm(y[k]);
            power_moved += std::norm(z[k]);
            product_now += (std::conj(x[k]) * y[k]).real();
            product_moved += (std::conj(x[k]) * aligned).real();
            if (static_cast<double>(k) * rate / size >= 200.0) continue;
            low_now += std::norm(x[k] + y[k]);
            low_moved += std::norm(x[k] + aligned);
        }
    }
    if (power_x * power_now > 0.0) found.correlation_before = product_now / std::sqrt(power_x * power_now);
    if (power_x * power_moved > 0.0) found.correlation_after = product_moved / std::sqrt(power_x * power_moved);
    if (low_now > 0.0 && low_moved > 0.0) found.low_gain_db = db_from_power(low_moved / low_now);
    found.reliable = found.hits >= 3 && found.distinctness >= 1.15 && found.correlation_after >= 0.2;
    return found;
}

}  // namespace isotonus
