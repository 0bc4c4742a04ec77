#include "core/shape/filters.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <complex>
#include <numbers>

#include "core/decibels.h"

namespace isotonus {

namespace {

/// (n2 s^2 + n1 s + n0) / (s^2 + d1 s + d0), s in units of the filter's frequency.
struct Prototype {
    double n2, n1, n0, d1, d0;
    double power(double frequency) const {
        const std::complex<double> s(0.0, frequency);
        return std::norm((n2 * s * s + n1 * s + n0) / (s * s + d1 * s + d0));
    }
};

Prototype prototype_of(FilterShape shape, double q, double gain_db) {
    const double a = std::pow(10.0, gain_db / 40.0), root = std::sqrt(a);
    switch (shape) {
        case FilterShape::low_cut:
            return {1.0, 0.0, 0.0, 1.0 / q, 1.0};
        case FilterShape::high_cut:
            return {0.0, 0.0, 1.0, 1.0 / q, 1.0};
        case FilterShape::bell:
            return {1.0, a / q, 1.0, 1.0 / (a * q), 1.0};
        case FilterShape::low_shelf:  // A (s^2 + sqrt(A)/Q s + A) / (A s^2 + sqrt(A)/Q s + 1)
            return {1.0, root / q, a, root / (a * q), 1.0 / a};
        case FilterShape::high_shelf:  // A (A s^2 + sqrt(A)/Q s + 1) / (s^2 + sqrt(A)/Q s + A)
            return {a * a, a * root / q, a, root / q, a};
        case FilterShape::notch:
            return {1.0, 0.0, 1.0, 1.0 / q, 1.0};
    }
    return {1.0, 0.0, 0.0, 0.0, 0.0};
}

}  // namespace

double analogue_db(FilterShape shape, double hz, double q, double gain_db, double at_hz) {
    return 10.0 * std::log10(std::max(1e-40, prototype_of(shape, q, gain_db).power(at_hz / hz)));
}

namespace {

/// The filter that undoes another one, which has all its zeros inside the circle.
Biquad inverse_of(const Biquad& f, double gain) {
    return {gain / f.b0, gain * f.a1 / f.b0, gain * f.a2 / f.b0, f.b1 / f.b0, f.b2 / f.b0};
}

Biquad scaled_by(const Biquad& f, double gain) { return {gain * f.b0, gain * f.b1, gain * f.b2, f.a1, f.a2}; }

/// Poles and zeros from impulse invariance and three frequencies.
Biquad first_guess(FilterShape shape, double hz, double q, double gain_db, double rate);

/// Moves all five coefficients so that the level follows the prototype's at many frequencies (Levenberg and Marquardt's
/// least squares; the derivatives of a squared magnitude by its coefficients are linear in them).
Biquad refined(const Biquad& guess, const Prototype& p, double hz, double q, double rate);

Biquad first_guess(FilterShape shape, double hz, double q, double gain_db, double rate) {
    // Impulse invariance wants poles that are low and little damped.  So cuts are the inverse of boosts, and high
    // shelves are what low shelves leave.
    const double gain = std::pow(10.0, gain_db / 20.0);
    if (shape == FilterShape::high_shelf && gain_db >= 0.0)
        return inverse_of(first_guess(FilterShape::low_shelf, hz, q, gain_db, rate), gain);
    if (shape == FilterShape::high_shelf)
        return scaled_by(first_guess(FilterShape::low_shelf, hz, q, -gain_db, rate), gain);
    if ((shape == FilterShape::bell || shape == FilterShape::low_shelf) && gain_db < 0.0)
        return inverse_of(first_guess(shape, hz, q, -gain_db, rate), 1.0);
    const double pi = std::numbers::pi;
    const double w = 2.0 * pi * std::min(hz, 0.49 * rate) / rate;
    const Prototype p = prototype_of(shape, q, gain_db);
    // Poles of s^2 + d1 s + d0, each at e^(w s).
    const double damping = p.d1 / 2.0, inside = damping * damping - p.d0;
    const double decay = std::exp(-damping * w);
    Biquad f;
    f.a1 = -2.0 * decay * (inside < 0.0 ? std::cos(std::sqrt(-inside) * w) : std::cosh(std::sqrt(inside) * w));
    f.a2 = decay * decay;
    if (shape == FilterShape::notch) {  // its zeros lie on the circle, at the frequency itself
        const double at_zero = (1.0 + f.a1 + f.a2) / (2.0 - 2.0 * std::cos(w));
        return {at_zero, -2.0 * std::cos(w) * at_zero, at_zero, f.a1, f.a2};
    }
    // Squared magnitudes as sums over cos: with phi1 = sin^2(omega / 2), phi0 = 1 - phi1, phi2 = 4 phi0 phi1,
    // |B|^2 = B0 phi0 + B1 phi1 + B2 phi2, and likewise |A|^2.
    const auto square = [](double x) { return x * x; };
    const double a0 = square(1.0 + f.a1 + f.a2), a1 = square(1.0 - f.a1 + f.a2), a2 = -4.0 * f.a2;
    const double phi1 = square(std::sin(w / 2.0)), phi0 = 1.0 - phi1, phi2 = 4.0 * phi0 * phi1;
    const double here = (a0 * phi0 + a1 * phi1 + a2 * phi2) * p.power(1.0);
    if (shape == FilterShape::low_cut) {  // both zeros at 0 Hz
        const double b = std::sqrt(std::max(0.0, here)) / (4.0 * phi1);
        return {b, -2.0 * b, b, f.a1, f.a2};
    }
    const double b0 = a0 * p.power(0.0), b1 = a1 * p.power(pi / w);
    const double b2 = (here - b0 * phi0 - b1 * phi1) / phi2;
    const double sum = (std::sqrt(b0) + std::sqrt(b1)) / 2.0;
    f.b0 = (sum + std::sqrt(std::max(0.0, sum * sum + b2))) / 2.0;
    f.b1 = (std::sqrt(b0) - std::sqrt(b1)) / 2.0;
    f.b2 = f.b0 > 0.0 ? -b2 / (4.0 * f.b0) : 0.0;
    return f;
}

Biquad refined(const Biquad& guess, const Prototype& p, double hz, double q, double rate) {
    constexpr int points = 24;
    std::array<std::complex<double>, points> z1{}, z2{};
    std::array<double, points> wanted{}, weight{};
    // At 0 Hz, from four octaves below the filter to 0.42 of the rate, and about the filter as wide as it works.
    constexpr std::array around{0.0, -0.25, 0.25, -0.5, 0.5, -1.0, 1.0, -2.0, 2.0};
    constexpr auto spread = static_cast<int>(points - around.size());
    const double lowest = std::min(hz / 16.0, 0.02 * rate), highest = 0.42 * rate;
    for (int k = 0; k < points; ++k) {
        const auto at = static_cast<size_t>(k);
        double f = 0.0;
        if (k == 0)
            f = 0.0;
        else if (k < spread)
            f = lowest * std::pow(highest / lowest, (k - 1.0) / (spread - 2.0));
        else
            f = std::min(hz * std::exp(around[at - spread] / q), 0.47 * rate);
        z1[at] = std::polar(1.0, -2.0 * std::numbers::pi * f / rate);
        z2[at] = z1[at] * z1[at];
        wanted[at] = std::log(p.power(f / hz));
        weight[at] = f < 0.1 * rate ? 3.0 : 1.0;  // where the ear is keenest it must be right to hundredths of a dB
    }
    using Five = std::array<double, 5>;
    const auto error_of = [&](const Five& c, std::array<double, points>& error, std::array<Five, points>* slopes) {
        double sum = 0.0;
        for (size_t k = 0; k < points; ++k) {
            const std::complex<double> n = c[0] + c[1] * z1[k] + c[2] * z2[k], d = 1.0 + c[3] * z1[k] + c[4] * z2[k];
            const double n2 = std::norm(n), d2 = std::norm(d);
            error[k] = weight[k] * (std::log(std::max(n2, 1e-300) / std::max(d2, 1e-300)) - wanted[k]);
            sum += error[k] * error[k];
            if (!slopes) continue;
            const std::complex<double> nc = std::conj(n), dc = std::conj(d);
            (*slopes)[k] = {2.0 * nc.real() / n2, 2.0 * (nc * z1[k]).real() / n2, 2.0 * (nc * z2[k]).real() / n2,
                            -2.0 * (dc * z1[k]).real() / d2, -2.0 * (dc * z2[k]).real() / d2};
            for (double& slope : (*slopes)[k]) slope *= weight[k];
        }
        return sum;
    };
    const auto inside = [](double a, double b, double c) {  // both roots of a z^2 + b z + c inside the circle
        return a > 0.0 && std::fabs(c) < 0.999999 * a && std::fabs(b) < 0.999999 * (a + c);
    };
    Five best{guess.b0, guess.b1, guess.b2, guess.a1, guess.a2};
    std::array<double, points> error{}, trial_error{};
    std::array<Five, points> slopes{};
    double least = error_of(best, error, nullptr), damping = 1e-3;
    for (int round = 0; round < 12 && least > 1e-9; ++round) {
        error_of(best, error, &slopes);
        std::array<std::array<double, 6>, 5> m{};
        for (size_t k = 0; k < points; ++k)
            for (size_t i = 0; i < 5; ++i) {
                for (size_t j = 0; j < 5; ++j) m[i][j] += slopes[k][i] * slopes[k][j];
                m[i][5] -= slopes[k][i] * error[k];
            }
        for (size_t i = 0; i < 5; ++i) m[i][i] *= 1.0 + damping;
        bool solved = true;
        for (size_t c = 0; c < 5 && solved; ++c) {
            size_t pivot = c;
            for (size_t r = c + 1; r < 5; ++r)
                if (std::fabs(m[r][c]) > std::fabs(m[pivot][c])) pivot = r;
            std::swap(m[c], m[pivot]);
            solved = std::fabs(m[c][c]) > 1e-300;
            for (size_t r = 0; solved && r < 5; ++r) {
                if (r == c) continue;
                const double share = m[r][c] / m[c][c];
                for (size_t j = c; j < 6; ++j) m[r][j] -= share * m[c][j];
            }
        }
        Five next = best;
        for (size_t i = 0; solved && i < 5; ++i) next[i] += m[i][5] / m[i][i];
        const bool sound = solved && inside(1.0, next[3], next[4]) && inside(next[0], next[1], next[2]);
        const double sum = sound ? error_of(next, trial_error, nullptr) : least;
        if (sound && sum < least) {
            const bool enough = least - sum < 0.001 * least;
            best = next;
            least = sum;
            damping *= 0.2;
            if (enough) break;
        } else {
            damping *= 10.0;
        }
    }
    return {best[0], best[1], best[2], best[3], best[4]};
}

}  // namespace

Biquad matched_filter(FilterShape shape, double hz, double q, double gain_db, double rate) {
    const double at = std::min(hz, 0.49 * rate);
    const Biquad guess = first_guess(shape, at, q, gain_db, rate);
    // Low down the guess is within a hundredth of a dB; cuts and notches have zeros on the circle, which are exact.
    const bool bends =
        shape == FilterShape::bell || shape == FilterShape::low_shelf || shape == FilterShape::high_shelf;
    if (!bends || gain_db == 0.0) return guess;
    // While one band is dragged the others are asked for again and again.
    struct Known {
        FilterShape shape{};
        std::array<double, 4> values{};
        Biquad filter;
    };
    static thread_local std::array<Known, 32> known;
    static thread_local size_t oldest = 0;
    const std::array<double, 4> values{at, q, gain_db, rate};
    for (const Known& k : known)
        if (k.shape == shape && k.values == values) return k.filter;
    Known& kept = known[oldest++ % known.size()];
    kept = {shape, values, refined(guess, prototype_of(shape, q, gain_db), at, q, rate)};
    return kept.filter;
}

}  // namespace isotonus
