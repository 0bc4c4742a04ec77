// Second-order filters: the one recursion, and the designs that are used.
#pragma once

#include <span>

namespace isotonus {

/// y[n] = b0 x[n] + b1 x[n-1] + b2 x[n-2] - a1 y[n-1] - a2 y[n-2].  Value is a number, or several side by side.
template <class Value>
struct BiquadOf {
    Value b0{}, b1{}, b2{}, a1{}, a2{};

    /// What the filter remembers: transposed direct form II, whose state is small where its output is.
    struct State {
        Value s1{}, s2{};
    };
    Value step(State& state, Value x) const {
        const Value y = b0 * x + state.s1;
        state.s1 = (b1 * x + state.s2) - a1 * y;
        state.s2 = b2 * x - a2 * y;
        return y;
    }

    /// The same filter as direct form I: a sample waits for the one before for one product and one difference only,
    /// since what lies further back is summed up first.  The results differ in their last bits.
    struct DirectState {
        Value x1{}, x2{}, y1{}, y2{};  ///< what came in and out last, and before that
    };
    Value step(DirectState& state, Value x) const {
        const Value past = (b1 * state.x1 + b2 * state.x2) - a2 * state.y2, y = (past + b0 * x) - a1 * state.y1;
        state = {x, state.x1, y, state.y1};
        return y;
    }
};
using Biquad = BiquadOf<double>;

typedef double Pair __attribute__((vector_size(16)));  ///< left and right, or middle and sides
using PairFilter = BiquadOf<Pair>;

inline PairFilter on_both(const Biquad& f) {
    const auto both = [](double v) { return Pair{v, v}; };
    return {both(f.b0), both(f.b1), both(f.b2), both(f.a1), both(f.a2)};
}

/// Butterworth, 12 dB an octave.
inline constexpr double flat_q = 0.70710678118654752;
/// The two sections of a Butterworth filter with 24 dB an octave: 1 / (2 cos(pi / 8)) and 1 / (2 cos(3 pi / 8)).
inline constexpr double steep_low_q = 0.54119610014619698, steep_high_q = 1.30656296487637652;

// The Audio EQ Cookbook (W3C Note): bilinear transforms of analogue prototypes.  Frequencies in Hz; above 0.45 of the
// rate they count as that.  The shelves have slope 1.
Biquad low_cut(double hz, double q, double sample_rate);
Biquad high_cut(double hz, double q, double sample_rate);
Biquad bell(double hz, double q, double gain_db, double sample_rate);
Biquad low_shelf(double hz, double q, double gain_db, double sample_rate);
Biquad high_shelf(double hz, double q, double gain_db, double sample_rate);

/// Gain of filters one after the other at a frequency, dB.
double response_db(std::span<const Biquad> filters, double hz, double sample_rate);

}  // namespace isotonus
