// Decibels and linear gains.  A level in dB is 20 log10(gain); silence is minus infinity.
#pragma once

#include <cmath>
#include <limits>
#include <optional>

namespace isotonus {

inline constexpr double silence_db = -std::numeric_limits<double>::infinity();

/// Amplitude ratio of a level in dB; minus infinity gives 0.
inline double gain_from_db(double level_db) { return std::isinf(level_db) ? 0.0 : std::pow(10.0, level_db / 20.0); }

/// Level in dB of an amplitude ratio; 0 and below give minus infinity.
inline double db_from_gain(double gain_linear) {
    return gain_linear > 0.0 ? 20.0 * std::log10(gain_linear) : silence_db;
}

/// Level in dB of a power ratio; 0 and below give minus infinity.
inline double db_from_power(double power) { return power > 0.0 ? 10.0 * std::log10(power) : silence_db; }

/// A level that may not exist: silence has none, and none is invented for it.
using Level = std::optional<double>;

inline Level level_from_gain(double gain_linear) {
    return gain_linear > 0.0 ? Level(db_from_gain(gain_linear)) : std::nullopt;
}
inline Level level_from_power(double power) { return power > 0.0 ? Level(db_from_power(power)) : std::nullopt; }

/// Where the mixer's settings end, in dB.  Below fader_floor_db a fader is off (minus infinity).
inline constexpr double fader_max_db = 12.0;
inline constexpr double fader_floor_db = -72.0;
inline constexpr double trim_max_db = 24.0;
inline constexpr double lowest_level_db = -200.0;  ///< what is lower is written as silence

/// AES17: a full-scale sine reads 0 dBFS RMS, so 3.01 dB are added to the plain mathematical figure.
inline constexpr double aes17_db = 3.010299956639812;

}  // namespace isotonus
