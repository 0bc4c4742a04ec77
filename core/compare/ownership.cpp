#include "core/compare/ownership.h"

#include <algorithm>
#include <cmath>

#include "core/compare/third_octaves.h"
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
    constexpr double min_share = 1.0 / 12.0, much = 0.3, min_gain = 0.02;
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
        if (maker.share >= min_share && !spared(maker.row)) {
            const double db = -3.0 - 3.0 * std::min(1.0, maker.share / much);
            cuts.cuts.emplace_back(maker.row, std::round(db * 10.0) / 10.0);
            left = left_by_bell(hz, cuts.q, cuts.cuts.back().second);
        }
        others += maker.power * left;
    }
    if (own <= 0.0 || cuts.cuts.empty()) return std::nullopt;
    cuts.share_after = own / (own + others);
    return cuts.share_after - cuts.share_before >= min_gain ? std::optional(cuts) : std::nullopt;
}

Session with_note_cuts(const Session& session, const NoteCuts& cuts) {
    Session next = session;
    for (const auto& [id, db] : cuts.cuts)
        next = with_chain(next, id, [&, db = db](Chain& chain) { add_bell(chain, {cuts.hz, db, cuts.q}); });
    return next;
}

}  // namespace isotonus
