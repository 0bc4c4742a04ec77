#include "core/audio/biquad.h"

#include <algorithm>
#include <cmath>
#include <complex>
#include <numbers>

#include "core/decibels.h"

namespace isotonus {

namespace {

/// What the designs have in common: the cosine and alpha of the Cookbook, at a frequency that the rate can hold.
struct Corner {
    double c, alpha;
    Corner(double hz, double q, double rate) {
        const double w = 2.0 * std::numbers::pi * std::min(hz, 0.45 * rate) / rate;
        c = std::cos(w);
        alpha = std::sin(w) / (2.0 * q);
    }
};

Biquad divided(double b0, double b1, double b2, double a0, double a1, double a2) {
    return {b0 / a0, b1 / a0, b2 / a0, a1 / a0, a2 / a0};
}

/// Both shelves; the high one is the low one with the frequency axis turned round.
Biquad shelf(const Corner& p, double gain_db, double turn) {
    const double a = std::pow(10.0, gain_db / 40.0), c = turn * p.c, r = 2.0 * std::sqrt(a) * p.alpha;
    return divided(a * ((a + 1) - (a - 1) * c + r), turn * 2 * a * ((a - 1) - (a + 1) * c),
                   a * ((a + 1) - (a - 1) * c - r), (a + 1) + (a - 1) * c + r, turn * -2 * ((a - 1) + (a + 1) * c),
                   (a + 1) + (a - 1) * c - r);
}

}  // namespace

Biquad low_cut(double hz, double q, double rate) {
    const auto [c, alpha] = Corner(hz, q, rate);
    return divided((1 + c) / 2, -(1 + c), (1 + c) / 2, 1 + alpha, -2 * c, 1 - alpha);
}

Biquad high_cut(double hz, double q, double rate) {
    const auto [c, alpha] = Corner(hz, q, rate);
    return divided((1 - c) / 2, 1 - c, (1 - c) / 2, 1 + alpha, -2 * c, 1 - alpha);
}

Biquad bell(double hz, double q, double gain_db, double rate) {
    const auto [c, alpha] = Corner(hz, q, rate);
    const double a = std::pow(10.0, gain_db / 40.0);
    return divided(1 + alpha * a, -2 * c, 1 - alpha * a, 1 + alpha / a, -2 * c, 1 - alpha / a);
}

Biquad low_shelf(double hz, double q, double gain_db, double rate) { return shelf({hz, q, rate}, gain_db, 1.0); }
Biquad high_shelf(double hz, double q, double gain_db, double rate) { return shelf({hz, q, rate}, gain_db, -1.0); }

double response_db(std::span<const Biquad> filters, double hz, double rate) {
    const std::complex<double> z = std::polar(1.0, -2.0 * std::numbers::pi * hz / rate);
    double gain = 1.0;
    for (const Biquad& f : filters)
        gain *= std::abs((f.b0 + f.b1 * z + f.b2 * z * z) / (1.0 + f.a1 * z + f.a2 * z * z));
    return db_from_gain(gain);
}

}  // namespace isotonus
