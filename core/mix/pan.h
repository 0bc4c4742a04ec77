// Pan and width as gains from a track's channels to left and right.
#pragma once

#include "core/session/session.h"

namespace isotonus {

/// left = left_from_left * L + left_from_right * R, and so on.  What has one channel has it as L, and no R: its two
/// gains are left_from_left and right_from_left.
struct GainMatrix {
    double left_from_left = 1.0, left_from_right = 0.0, right_from_left = 0.0, right_from_right = 1.0;

    bool operator==(const GainMatrix&) const = default;
    bool silent() const { return *this == GainMatrix{0.0, 0.0, 0.0, 0.0}; }
    /// Each side goes to its own side alone.
    bool straight() const { return left_from_right == 0.0 && right_from_left == 0.0; }

    double left(double l, double r) const { return left_from_left * l + left_from_right * r; }
    double right(double l, double r) const { return right_from_left * l + right_from_right * r; }
    /// Mean power of both sides for a mean square of 1 in every channel, channels being unlike each other.
    double mean_power() const {
        return (left_from_left * left_from_left + left_from_right * left_from_right +
                right_from_left * right_from_left + right_from_right * right_from_right) /
               2.0;
    }
};
inline constexpr GainMatrix silence{0.0, 0.0, 0.0, 0.0};

/// Mono, with a = (pan + 1) pi / 4:
///   constant power  left cos a, right sin a                               (-3.01 dB in the centre, powers sum to 1)
///   linear          left (1 - pan) / 2, right (1 + pan) / 2               (-6.02 dB, amplitudes sum to 1)
///   compromise      the geometric mean of the two                         (-4.5 dB)
///   balance         as for stereo: the far side is scaled by cos(|pan| pi / 2), the near one passes (0 dB)
GainMatrix pan_mono(PanLaw law, double pan);

/// Stereo: width first, mid + width * side with mid = (L + R) / 2 and side = (L - R) / 2; then balance.
GainMatrix pan_stereo(double pan, double width);

/// Stereo, each side placed by itself as a mono track is: left_pan and right_pan, -1 … +1.  At -1 and +1 all laws pass
/// the sides as they are.
GainMatrix pan_apart(PanLaw law, double left_pan, double right_pan);

/// One matrix after another: what `first` gives goes through `then`.
GainMatrix chained(const GainMatrix& then, const GainMatrix& first);
GainMatrix scaled(const GainMatrix& m, double gain);
/// a + b * share
GainMatrix added(const GainMatrix& a, const GainMatrix& b, double share = 1.0);
/// Of each gain the magnitude; of two the larger.
GainMatrix magnitudes(const GainMatrix& m);
GainMatrix larger(const GainMatrix& a, const GainMatrix& b);

}  // namespace isotonus
