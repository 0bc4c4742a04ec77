#include "core/mix/pan.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace isotonus {

namespace {

/// cos(position * pi / 2) for 0 … 1, with exact ends.
double falling(double position) {
    if (position <= 0.0) return 1.0;
    return position >= 1.0 ? 0.0 : std::cos(position * std::numbers::pi / 2.0);
}

}  // namespace

GainMatrix pan_mono(PanLaw law, double pan) {
    const double cp_left = falling((1.0 + pan) / 2.0), cp_right = falling((1.0 - pan) / 2.0);
    const double linear_left = (1.0 - pan) / 2.0, linear_right = (1.0 + pan) / 2.0;
    switch (law) {
        case PanLaw::constant_power:
            return {cp_left, 0.0, cp_right, 0.0};
        case PanLaw::linear:
            return {linear_left, 0.0, linear_right, 0.0};
        case PanLaw::compromise:
            return {std::sqrt(cp_left * linear_left), 0.0, std::sqrt(cp_right * linear_right), 0.0};
        case PanLaw::balance:
            break;
    }
    return {falling(pan), 0.0, falling(-pan), 0.0};
}

GainMatrix pan_stereo(double pan, double width) {
    const double own = (1.0 + width) / 2.0, other = (1.0 - width) / 2.0;
    const double left = falling(pan), right = falling(-pan);
    return {left * own, left * other, right * other, right * own};
}

GainMatrix pan_apart(PanLaw law, double left_pan, double right_pan) {
    const GainMatrix l = pan_mono(law, left_pan), r = pan_mono(law, right_pan);
    return {l.left_from_left, r.left_from_left, l.right_from_left, r.right_from_left};
}

GainMatrix chained(const GainMatrix& t, const GainMatrix& f) {
    return {t.left_from_left * f.left_from_left + t.left_from_right * f.right_from_left,
            t.left_from_left * f.left_from_right + t.left_from_right * f.right_from_right,
            t.right_from_left * f.left_from_left + t.right_from_right * f.right_from_left,
            t.right_from_left * f.left_from_right + t.right_from_right * f.right_from_right};
}

GainMatrix scaled(const GainMatrix& m, double gain) {
    return {m.left_from_left * gain, m.left_from_right * gain, m.right_from_left * gain, m.right_from_right * gain};
}

GainMatrix added(const GainMatrix& a, const GainMatrix& b, double share) {
    return {a.left_from_left + b.left_from_left * share, a.left_from_right + b.left_from_right * share,
            a.right_from_left + b.right_from_left * share, a.right_from_right + b.right_from_right * share};
}

GainMatrix magnitudes(const GainMatrix& m) {
    return {std::fabs(m.left_from_left), std::fabs(m.left_from_right), std::fabs(m.right_from_left),
            std::fabs(m.right_from_right)};
}

GainMatrix larger(const GainMatrix& a, const GainMatrix& b) {
    return {std::max(a.left_from_left, b.left_from_left), std::max(a.left_from_right, b.left_from_right),
            std::max(a.right_from_left, b.right_from_left), std::max(a.right_from_right, b.right_from_right)};
}

}  // namespace isotonus
