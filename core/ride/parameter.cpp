#include "core/ride/parameter.h"

#include <algorithm>
#include <cmath>

#include "core/decibels.h"

namespace isotonus {

namespace {

constexpr std::array<ParameterInfo, parameter_count> registry{{
    {Parameter::level, "level", "dB", ride_min_db, ride_max_db, 0.0, Law::fader, 0.1, true},
    {Parameter::trim, "trim", "dB", -trim_max_db, trim_max_db, 0.0, Law::linear, 0.1, true},
    {Parameter::pan, "pan", "", -1.0, 1.0, 0.0, Law::linear, 0.01, false},
    {Parameter::width, "width", "", 0.0, 2.0, 1.0, Law::linear, 0.01, false},
    {Parameter::mute, "mute", "", 0.0, 1.0, 0.0, Law::toggle, 0.0, false},
}};

// Places of fader levels; straight between them.
constexpr std::array<std::pair<double, double>, 8> fader_places{
    {{-72.0, 0.0}, {-48.0, 0.08}, {-24.0, 0.26}, {-12.0, 0.44}, {-6.0, 0.58}, {0.0, 0.78}, {6.0, 0.92}, {12.0, 1.0}}};

}  // namespace

std::span<const ParameterInfo> parameters() { return registry; }

const ParameterInfo& info_of(Parameter parameter) { return registry[static_cast<size_t>(parameter)]; }

std::optional<Parameter> parameter_named(std::string_view id) {
    for (const ParameterInfo& p : registry)
        if (id == p.id) return p.parameter;
    return std::nullopt;
}

bool can_be_ridden(RowKind row, Parameter parameter) {
    return row != RowKind::group || parameter == Parameter::level || parameter == Parameter::mute;
}

double fader_position(double db) {
    if (db <= fader_places.front().first) return 0.0;
    for (size_t i = 1; i < fader_places.size(); ++i) {
        const auto [db0, p0] = fader_places[i - 1];
        const auto [db1, p1] = fader_places[i];
        if (db <= db1) return p0 + (p1 - p0) * (db - db0) / (db1 - db0);
    }
    return 1.0;
}

double fader_db_at(double position) {
    if (position <= 0.0) return silence_db;
    for (size_t i = 1; i < fader_places.size(); ++i) {
        const auto [db0, p0] = fader_places[i - 1];
        const auto [db1, p1] = fader_places[i];
        if (position <= p1) return db0 + (db1 - db0) * (position - p0) / (p1 - p0);
    }
    return fader_places.back().first;
}

double position_of(Parameter parameter, double value) {
    const ParameterInfo& p = info_of(parameter);
    if (p.law == Law::toggle) return value >= 0.5 ? 1.0 : 0.0;
    if (p.law == Law::fader) return fader_position(value);
    return std::clamp((value - p.low) / (p.high - p.low), 0.0, 1.0);
}

double value_at_position(Parameter parameter, double position) {
    const ParameterInfo& p = info_of(parameter);
    if (p.law == Law::toggle) return position >= 0.5 ? 1.0 : 0.0;
    if (p.law == Law::fader) return std::clamp(fader_db_at(position), p.low, p.high);
    return p.low + (p.high - p.low) * std::clamp(position, 0.0, 1.0);
}

bool Rides::any() const {
    return std::any_of(curves.begin(), curves.end(), [](const CurvePtr& c) { return c != nullptr; });
}

}  // namespace isotonus
