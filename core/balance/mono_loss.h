// What the sum of both sides costs: phones, clubs and small radios play it.
#pragma once

#include "core/mix/render_plan.h"

namespace isotonus {

/// Level of (L + R) / 2 against the mean power of both sides, dB: 0 for equal sides, -3.01 for unrelated ones or one
/// side alone, minus infinity for opposite ones.  From powers and the mean product of the sides.
double mono_loss_db(double left_power, double right_power, double product);

/// Of a measured stereo signal; 0 for a mono one, absent for silence.
Level mono_loss_db(const Measurement& m);

struct MonoLoss {
    TrackId id = 0;
    double loss_db = 0.0;
};

/// Of every heard track as it is panned, through its buses; where they ride, over the song, as if its own sides were
/// alike all the time.  The greatest loss first.
std::vector<MonoLoss> mono_losses(const RenderPlan& plan);

}  // namespace isotonus
