// Who makes a band of the mix: each row's share of the power between two frequencies.
#pragma once

#include <functional>
#include <vector>

#include "core/measure/spectrum.h"
#include "core/mix/render_plan.h"

namespace isotonus {

struct BandMaker {
    TrackId row = 0;
    double power = 0.0;  ///< mean of both sides, over the row's length, as it reaches the main output
    double share = 0.0;  ///< of all rows' powers, 0 … 1; rows add up in power as if nothing cancelled
};

/// Power of a spectrum between two frequencies; within a band it lies evenly over the logarithm of frequency.
double power_between(const LongTermSpectrum& spectrum, double from_hz, double to_hz);

/// The heard tracks, the strongest first.  Gains and pans as they stand, rides by the mean of what they do to the row's
/// power; chains of buses, sends and returns are left aside.  Rows whose spectrum is not known (null) are left out.
std::vector<BandMaker> makers_of(const RenderPlan& plan, double from_hz, double to_hz,
                                 const std::function<const LongTermSpectrum*(const MaterialPtr&)>& spectrum_of);

}  // namespace isotonus
