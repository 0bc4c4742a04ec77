#include "core/audio/kaiser.h"

#include <cmath>

namespace isotonus {

namespace {

/// The modified Bessel function of order 0, by its power series (Abramowitz and Stegun, 9.6.12).
double bessel_i0(double x) {
    double sum = 1.0, term = 1.0;
    for (int k = 1; term > 1e-17 * sum; ++k) sum += term *= (x / 2.0 / k) * (x / 2.0 / k);
    return sum;
}

}  // namespace

double kaiser(double x, double beta) {
    const double inside = 1.0 - x * x;
    return inside > 0.0 ? bessel_i0(beta * std::sqrt(inside)) / bessel_i0(beta) : 0.0;
}

}  // namespace isotonus
