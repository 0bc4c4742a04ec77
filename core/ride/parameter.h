// What can be ridden: the registry of parameters, and the rides of a row.
#pragma once

#include <array>
#include <map>
#include <memory>
#include <optional>
#include <span>
#include <string>
#include <string_view>

#include "core/ride/curve.h"

namespace isotonus {

/// What kind of row has it.
enum class RowKind { track, bus, group, main };

/// How values are spread along a fader or a knob.
enum class Law {
    fader,   ///< dB, finest around 0
    linear,  ///< evenly
    log,     ///< evenly in octaves
    toggle,  ///< 0 below the middle, 1 from it on
    choice,  ///< one of several words
};

struct ParameterInfo {
    const char* id;    ///< in session files and on the command line
    const char* unit;  ///< "dB", or empty
    double low, high;  ///< the range of its values
    double rest;  ///< the value at which it changes nothing: what a new ride begins with, unless the row has its own
    Law law;
    double tolerance;    ///< that thinning may change, in the unit
    bool added = false;  ///< a ride is added to the row's own setting (level, trim), instead of standing for it; a mute
                         ///< ride mutes besides the row's own mute
    std::span<const char* const> words = {};  ///< of a choice or a toggle: value 0, 1, …
};

/// A parameter of a row: one that every row has, or one of a processor in its chain.
class Parameter {
  public:
    constexpr explicit Parameter(const ParameterInfo& info, uint64_t processor = 0)
        : info_(&info), processor_(processor) {}
    /// The last two pans: of the sides of a track whose sides are placed apart, in place of its pan and width.
    static const Parameter level, trim, pan, width, mute, left_pan, right_pan;

    constexpr const ParameterInfo& info() const { return *info_; }
    /// The processor's id in its row; 0: the row's own.
    constexpr uint64_t processor() const { return processor_; }
    constexpr bool operator==(const Parameter&) const = default;
    /// Rows' own first, then by processor, in the order of the table.
    bool operator<(const Parameter& other) const {
        return processor_ != other.processor_ ? processor_ < other.processor_ : info_ < other.info_;
    }

  private:
    const ParameterInfo* info_;
    uint64_t processor_;
};

namespace detail {
extern const std::array<ParameterInfo, 7> registry;
}

/// What every row may have.
std::span<const Parameter> parameters();
inline const ParameterInfo& info_of(Parameter parameter) { return parameter.info(); }
std::optional<Parameter> parameter_named(std::string_view id);

/// Tracks have all of them; buses and the main output have no sides apart; a control group has level and mute.
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
class Rides {
  public:
    bool bypassed = false;  ///< as if there were none

    /// Null: not ridden.
    const CurvePtr& operator[](Parameter p) const;
    void set(Parameter p, CurvePtr curve);
    /// What is heard: null when bypassed.
    CurvePtr heard(Parameter p) const { return bypassed ? nullptr : (*this)[p]; }
    bool any() const { return !curves_.empty(); }
    /// Those that there are.
    const std::map<Parameter, CurvePtr>& all() const { return curves_; }

  private:
    std::map<Parameter, CurvePtr> curves_;
};

}  // namespace isotonus
