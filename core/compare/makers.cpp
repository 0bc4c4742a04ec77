#include "core/compare/makers.h"

#include <algorithm>
#include <cmath>

namespace isotonus {

namespace {

/// What all rides on its way multiply its power by, the mean over its hops, loud ones counting as much as they have.
double mean_ride(const PlanPart& part, const RenderPlan& plan) {
    if (!part.any_ride_to_main()) return 1.0;
    const std::vector<double>& hops = part.material->hops.unweighted;
    const double later_s = static_cast<double>(part.delay_samples) / plan.sample_rate;
    double power = 0.0, ridden = 0.0;
    for (size_t n = 0; n < hops.size(); ++n) {
        power += hops[n];
        ridden += hops[n] * part.ride_power_at((static_cast<double>(n) + 0.5) * 0.1 + later_s);
    }
    return power > 0.0 ? ridden / power : 1.0;
}

}  // namespace

double power_between(const LongTermSpectrum& spectrum, double from_hz, double to_hz) {
    const double half = std::pow(10.0, 0.025);
    double sum = 0.0;
    for (int b = 0; b < spectrum_bands; ++b) {
        const double low = spectrum_hz(b) / half, high = spectrum_hz(b) * half;
        const double from = std::max(low, from_hz), to = std::min(high, to_hz);
        if (to > from) sum += spectrum.power[static_cast<size_t>(b)] * std::log(to / from) / std::log(high / low);
    }
    return sum;
}

std::vector<BandMaker> makers_of(const RenderPlan& plan, double from_hz, double to_hz,
                                 const std::function<const LongTermSpectrum*(const MaterialPtr&)>& spectrum_of) {
    std::vector<BandMaker> found;
    double all = 0.0;
    for (const PlanTrack& track : plan.tracks) {
        if (track.is_bus) continue;
        BandMaker maker{track.id};
        for (size_t n = 0; n < track.part_count; ++n) {
            const PlanPart& part = plan.parts[track.first_part + n];
            if (part.is_send() || !part.heard() || !part.material) continue;
            const LongTermSpectrum* const spectrum = spectrum_of(part.material);
            if (!spectrum) continue;
            // Of a mono row both sides come from the one channel, which a matrix from the left says.
            const GainMatrix& g = part.way();
            const double gain =
                part.channels == 1 ? (g.left_from_left * g.left_from_left + g.right_from_left * g.right_from_left) / 2.0
                                   : g.mean_power();
            maker.power += power_between(*spectrum, from_hz, to_hz) * gain * mean_ride(part, plan);
        }
        if (maker.power <= 0.0) continue;
        all += maker.power;
        found.push_back(maker);
    }
    for (BandMaker& maker : found) maker.share = maker.power / all;
    std::stable_sort(found.begin(), found.end(),
                     [](const BandMaker& a, const BandMaker& b) { return a.power > b.power; });
    return found;
}

}  // namespace isotonus
