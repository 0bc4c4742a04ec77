// What can be ridden: the registry of parameters, and the rides of a row.
#pragma once

#include <array>
#include <map>
#include <memory>
#include <optional>
#include <set>
#include <span>
#include <string>
#include <string_view>
#include <tuple>

#include "core/ride/curve.h"

namespace isotonus {

/// What kind of row has it.
enum class RowKind { track, bus, group, main };

/// How values are spread along a fader or a knob.
enum class ControlTaper {
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
    ControlTaper law;
    double tolerance;    ///< that thinning may change, in the unit
    bool added = false;  ///< a ride is added to the row's own setting (level, trim), instead of standing for it; a mute
                         ///< ride mutes besides the row's own mute
    std::span<const char* const> words = {};  ///< of a choice or a toggle: value 0, 1, …
    const char* name = nullptr;               ///< for people, where it says more than the id does
};

/// A parameter of a row: one that every row has, one of a processor in its chain, or one of a send.
class Parameter {
  public:
    constexpr explicit Parameter(const ParameterInfo& info, uint64_t processor = 0) : info_(&info), part_(processor) {}
    static constexpr Parameter of_send(const ParameterInfo& info, uint64_t send) {
        Parameter p(info, send);
        p.is_send_ = true;
        return p;
    }
    /// The last two pans: of the sides of a track whose sides are placed apart, in place of its pan and width.
    static const Parameter level, trim, pan, width, mute, left_pan, right_pan;

    constexpr const ParameterInfo& info() const { return *info_; }
    constexpr bool is_rows_own() const { return part_ == 0; }
    /// The processor's id in its row; 0: not a processor's.
    constexpr uint64_t processor() const { return is_send_ ? 0 : part_; }
    /// The send's id in its row; 0: not a send's.
    constexpr uint64_t send() const { return is_send_ ? part_ : 0; }
    constexpr bool operator==(const Parameter&) const = default;
    /// Rows' own first, then by processor, then by send, in the order of the table.
    bool operator<(const Parameter& other) const {
        return std::tuple(is_send_, part_, info_) < std::tuple(other.is_send_, other.part_, other.info_);
    }

  private:
    const ParameterInfo* info_;
    uint64_t part_;
    bool is_send_ = false;
};

namespace detail {
extern const std::array<ParameterInfo, 7> registry;
}

/// What every row may have.
std::span<const Parameter> parameters();
inline const ParameterInfo& info_of(Parameter parameter) { return parameter.info(); }
std::optional<Parameter> parameter_named(std::string_view id);

/// What every send has: its level (a ride stands for it: a word is thrown by one gesture), its pan, and whether it is
/// in.
namespace send_parameters {
extern const ParameterInfo level, pan, in;
}
std::span<const ParameterInfo* const> parameters_of_sends();

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
    /// One of them as if it were not there; one that is not there cannot be out.
    void set_out(Parameter p, bool out);
    bool is_out(Parameter p) const { return out_.contains(p); }
    /// Some ride is there and not heard.
    bool any_bypassed() const { return (bypassed && any()) || !out_.empty(); }
    /// What is heard: null when bypassed, or out.
    CurvePtr heard(Parameter p) const { return bypassed || is_out(p) ? nullptr : (*this)[p]; }
    bool any() const { return !curves_.empty(); }
    /// Those that there are.
    const std::map<Parameter, CurvePtr>& all() const { return curves_; }

  private:
    std::map<Parameter, CurvePtr> curves_;
    std::set<Parameter> out_;
};

}  // namespace isotonus
