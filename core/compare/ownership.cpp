#include "core/compare/ownership.h"

#include <algorithm>
#include <cmath>
#include <numbers>

#include "core/audio/fft.h"
#include "core/compare/third_octaves.h"
#include "core/decibels.h"
#include "core/shape/equaliser.h"
#include "core/shape/filters.h"

namespace isotonus {

std::vector<OwnedBand> owned_bands(const RenderPlan& plan, TrackId id, const SpectrumOf& spectrum_of) {
    struct Found {
        OwnedBand band;
        double power;
    };
    std::vector<Found> all;
    double strongest = 0.0;
    for (int band = 0; band < third_octaves; ++band) {
        const auto [low_hz, high_hz] = third_octave_edges_hz(band);
        Found found{{band}, 0.0};
        for (const BandMaker& maker : makers_of(plan, low_hz, high_hz, spectrum_of)) {
            if (maker.row == id)
                found.band.share = maker.share, found.power = maker.power;
            else if (found.band.rival == 0)
                found.band.rival = maker.row, found.band.rival_share = maker.share;
        }
        strongest = std::max(strongest, found.power);
        all.push_back(found);
    }
    std::vector<OwnedBand> owned;
    for (const Found& found : all)
        if (found.power > 0.0 && found.power >= strongest * std::pow(10.0, -2.4)) owned.push_back(found.band);
    return owned;
}

Result<std::optional<double>> strongest_hz(const Material& material, Progress* progress) {
    constexpr int frames = 16384;
    constexpr double lowest = 40.0, highest = 5000.0;
    auto reader = material.open();
    if (!reader) return tl::unexpected(reader.error());
    const auto channels = static_cast<size_t>(material.channels());
    RealFft fft(frames);
    std::vector<float> samples(frames * channels);
    std::vector<double> power(frames / 2 + 1);
    for (int64_t at = 0; at < material.frames(); at += frames / 2) {
        if (progress && progress->cancelled()) return stopped();
        if (auto done = (*reader)->read(at, frames, samples.data()); !done) return tl::unexpected(done.error());
        for (size_t c = 0; c < channels; ++c) {
            const auto time = fft.time();
            for (size_t i = 0; i < frames; ++i) {
                const double window =
                    0.5 - 0.5 * std::cos(2.0 * std::numbers::pi * (static_cast<double>(i) + 0.5) / frames);
                time[i] = samples[i * channels + c] * static_cast<float>(window);
            }
            fft.forward();
            for (size_t k = 0; k < power.size(); ++k) power[k] += static_cast<double>(std::norm(fft.bins()[k]));
        }
    }
    const double bin_hz = static_cast<double>(material.rate()) / frames;
    const auto first = static_cast<size_t>(lowest / bin_hz), last = static_cast<size_t>(highest / bin_hz);
    const auto best = static_cast<size_t>(std::max_element(power.begin() + static_cast<std::ptrdiff_t>(first),
                                                           power.begin() + static_cast<std::ptrdiff_t>(last)) -
                                          power.begin());
    if (power[best] <= 0.0) return std::optional<double>();
    // Between the bins: a parabola through the logarithms of a window's main lobe.
    const double a = std::log(power[best - 1] + 1e-30), b = std::log(power[best]),
                 c = std::log(power[best + 1] + 1e-30);
    return std::optional(bin_hz * (static_cast<double>(best) + 0.5 * (a - c) / std::min(-1e-9, a - 2.0 * b + c)));
}

namespace {

/// What a bell leaves of the power of a third octave around it.
double left_by_bell(double hz, double q, double db) {
    constexpr int steps = 24;
    double sum = 0.0;
    for (int n = 0; n <= steps; ++n) {
        const double at = hz * std::pow(2.0, (static_cast<double>(n) / steps - 0.5) / 3.0);
        sum += std::pow(10.0, analogue_db(FilterShape::bell, hz, q, db, at) / 10.0);
    }
    return sum / (steps + 1);
}

}  // namespace

std::optional<NoteCuts> note_out_of_others(const RenderPlan& plan, TrackId id, double hz, const SpectrumOf& spectrum_of,
                                           const std::function<bool(TrackId)>& spared) {
    constexpr double least_share = 1.0 / 12.0, much = 0.3, least_gain = 0.02;
    const double edge = std::pow(2.0, 1.0 / 6.0);
    NoteCuts cuts;
    cuts.hz = hz;
    double own = 0.0, others = 0.0;
    for (const BandMaker& maker : makers_of(plan, hz / edge, hz * edge, spectrum_of)) {
        if (maker.row == id) {
            own = maker.power;
            cuts.share_before = maker.share;
            continue;
        }
        double left = 1.0;
        if (maker.share >= least_share && !spared(maker.row)) {
            const double db = -3.0 - 3.0 * std::min(1.0, maker.share / much);
            cuts.cuts.emplace_back(maker.row, std::round(db * 10.0) / 10.0);
            left = left_by_bell(hz, cuts.q, cuts.cuts.back().second);
        }
        others += maker.power * left;
    }
    if (own <= 0.0 || cuts.cuts.empty()) return std::nullopt;
    cuts.share_after = own / (own + others);
    return cuts.share_after - cuts.share_before >= least_gain ? std::optional(cuts) : std::nullopt;
}

Session with_note_cuts(const Session& session, const NoteCuts& cuts) {
    Session next = session;
    for (const auto& [id, db] : cuts.cuts)
        next = with_chain(next, id, [&, db = db](Chain& chain) { add_bell(chain, {cuts.hz, db, cuts.q}); });
    return next;
}

}  // namespace isotonus
