// What can be ridden: the registry of parameters, and the rides of a row.
#pragma once

#include <array>
#include <memory>
#include <optional>
#include <span>
#include <string>
#include <string_view>

#include "core/ride/curve.h"

namespace isotonus {

/// The place of a parameter in the registry.
enum class Parameter { level, trim, pan, width, mute };
inline constexpr size_t parameter_count = 5;

/// What kind of row has it.
enum class RowKind { track, bus, group, main };

/// How values are spread along a fader or a knob.
enum class Law {
    fader,   ///< dB, finest around 0
    linear,  ///< evenly
    toggle,  ///< 0 below the middle, 1 from it on
};

struct ParameterInfo {
    Parameter parameter;
    const char* id;    ///< in session files and on the command line
    const char* unit;  ///< "dB", or empty
    double low, high;  ///< the range of a ride's values
    double rest;  ///< the value at which it changes nothing: what a new ride begins with, unless the row has its own
    Law law;
    double tolerance;  ///< that thinning may change, in the unit
    bool added;        ///< to the row's own setting (level, trim), instead of standing for it (pan, width); a mute ride
                       ///< mutes besides the row's own mute
};

std::span<const ParameterInfo> parameters();
const ParameterInfo& info_of(Parameter parameter);
std::optional<Parameter> parameter_named(std::string_view id);

/// Tracks, buses and the main output have all of them; a control group has level and mute.
bool can_be_ridden(RowKind row, Parameter parameter);

/// Where a value stands on a fader that is 1 long, and back.  Fader law: -72, -48, -24, -12, -6, 0, 6, 12 dB stand at
/// 0, 0.08, 0.26, 0.44, 0.58, 0.78, 0.92, 1, straight between; for a level ride the lowest value is its own range's.
double position_of(Parameter parameter, double value);
double value_at_position(Parameter parameter, double position);

/// The same for a fader itself: 0 is off (minus infinity), 1 is +12 dB.
double fader_position(double db);
double fader_db_at(double position);

using CurvePtr = std::shared_ptr<const Curve>;

/// The rides of one row.
struct Rides {
    std::array<CurvePtr, parameter_count> curves;  ///< null: not ridden
    bool bypassed = false;                         ///< as if there were none

    CurvePtr& operator[](Parameter p) { return curves[static_cast<size_t>(p)]; }
    const CurvePtr& operator[](Parameter p) const { return curves[static_cast<size_t>(p)]; }
    /// What is heard: null when bypassed.
    CurvePtr heard(Parameter p) const { return bypassed ? nullptr : (*this)[p]; }
    bool any() const;
};

}  // namespace isotonus
