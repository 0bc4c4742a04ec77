// Pan and width as gains from a track's channels to left and right.
#pragma once

#include "core/session/session.h"

namespace isotonus {

/// left = left_from_left * L + left_from_right * R, and so on.  A mono track has only *_from_left and right_from_right,
/// both taken from its one channel.
struct GainMatrix {
    double left_from_left = 1.0, left_from_right = 0.0, right_from_left = 0.0, right_from_right = 1.0;

    bool operator==(const GainMatrix&) const = default;
    bool silent() const { return *this == GainMatrix{0.0, 0.0, 0.0, 0.0}; }
    bool straight() const { return left_from_right == 0.0 && right_from_left == 0.0; }
};

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

}  // namespace isotonus
