#include "core/measure/ballistics.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace isotonus {

// at'' = w^2 (x - at) - 2 z w at'.  z from the overshoot, e^(-pi z / sqrt(1 - z^2)) = 0.0125; w from the 300 ms.
void VuNeedle::set_step(double step_s) {
    constexpr double z = 0.81271699, w = 13.511917;
    const double damped = w * std::sqrt(1.0 - z * z), fall = std::exp(-z * w * step_s);
    const double c = std::cos(damped * step_s), s = std::sin(damped * step_s);
    aa_ = fall * (c + z * w / damped * s);
    as_ = fall * s / damped;
    sa_ = -fall * w * w / damped * s;
    ss_ = fall * (c - z * w / damped * s);
}

double VuNeedle::move(double mean_magnitude) {
    const double rest = mean_magnitude * std::numbers::pi / 2.0;
    const double away = at_ - rest;
    at_ = rest + aa_ * away + as_ * speed_;
    speed_ = sa_ * away + ss_ * speed_;
    return reading();
}

ProgrammeNeedle::ProgrammeNeedle(double sample_rate)
    : charge_(1.0 - std::exp(-1.0 / (0.00153 * sample_rate))), fall_(std::pow(10.0, -1.0 / (1.7 * sample_rate))) {}

double ProgrammeNeedle::move(const float* samples, long frames, int stride) {
    for (long i = 0; i < frames; ++i, samples += stride) {
        const double x = std::fabs(static_cast<double>(*samples));
        at_ = x > at_ ? at_ + (x - at_) * charge_ : at_ * fall_;
    }
    return reading();
}

}  // namespace isotonus
