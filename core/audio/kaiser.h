// The Kaiser window.
#pragma once

namespace isotonus {

/// At `x`, -1 … 1 from its centre to its ends: I0(beta sqrt(1 - x^2)) / I0(beta) (Kaiser, 1974; from memory);
/// 0 from its ends on.  Safe on several threads at once, which the standard library's Bessel functions are not.
double kaiser(double x, double beta);

}  // namespace isotonus
