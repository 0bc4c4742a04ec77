#include "core/ride/parameter.h"

#include <algorithm>
#include <cmath>

#include "core/decibels.h"

namespace isotonus {

namespace {
constexpr std::array mute_words{"on", "muted"};
constexpr std::array in_words{"off", "on"};
}  // namespace

constexpr std::array<ParameterInfo, 7> detail::registry{{
    {"level", "dB", ride_min_db, ride_max_db, 0.0, ControlTaper::fader, 0.1, true, {}},
    {"trim", "dB", -trim_max_db, trim_max_db, 0.0, ControlTaper::linear, 0.1, true, {}},
    {"pan", "", -1.0, 1.0, 0.0, ControlTaper::linear, 0.01, false, {}},
    {"width", "", 0.0, 2.0, 1.0, ControlTaper::linear, 0.01, false, {}},
    {"mute", "", 0.0, 1.0, 0.0, ControlTaper::toggle, 0.0, false, mute_words},
    {"left_pan", "", -1.0, 1.0, -1.0, ControlTaper::linear, 0.01, false, {}},
    {"right_pan", "", -1.0, 1.0, 1.0, ControlTaper::linear, 0.01, false, {}},
}};

constexpr Parameter Parameter::level{detail::registry[0]};
constexpr Parameter Parameter::trim{detail::registry[1]};
constexpr Parameter Parameter::pan{detail::registry[2]};
constexpr Parameter Parameter::width{detail::registry[3]};
constexpr Parameter Parameter::mute{detail::registry[4]};
constexpr Parameter Parameter::left_pan{detail::registry[5]};
constexpr Parameter Parameter::right_pan{detail::registry[6]};

constexpr ParameterInfo send_parameters::level{"level", "dB",  -72.0, fader_max_db, 0.0, ControlTaper::fader,
                                               0.1,     false, {}};
constexpr ParameterInfo send_parameters::pan{"pan", "", -1.0, 1.0, 0.0, ControlTaper::linear, 0.01, false, {}};
constexpr ParameterInfo send_parameters::in{"in", "", 0.0, 1.0, 1.0, ControlTaper::toggle, 0.0, false, in_words};

std::span<const ParameterInfo* const> parameters_of_sends() {
    static constexpr std::array all{&send_parameters::level, &send_parameters::pan, &send_parameters::in};
    return all;
}

namespace {

// Places of fader levels; straight between them.
constexpr std::array<std::pair<double, double>, 8> fader_scale{
    {{-72.0, 0.0}, {-48.0, 0.08}, {-24.0, 0.26}, {-12.0, 0.44}, {-6.0, 0.58}, {0.0, 0.78}, {6.0, 0.92}, {12.0, 1.0}}};

}  // namespace

std::span<const Parameter> parameters() {
    static constexpr std::array all{Parameter::level, Parameter::trim,     Parameter::pan,      Parameter::width,
                                    Parameter::mute,  Parameter::left_pan, Parameter::right_pan};
    return all;
}

std::optional<Parameter> parameter_named(std::string_view id) {
    for (const Parameter p : parameters())
        if (id == p.info().id) return p;
    return std::nullopt;
}

bool can_be_ridden(RowKind row, Parameter parameter) {
    if (parameter.processor() != 0) return row != RowKind::group;
    if (parameter.send() != 0) return row == RowKind::track || row == RowKind::bus;
    if (parameter == Parameter::left_pan || parameter == Parameter::right_pan) return row == RowKind::track;
    return row != RowKind::group || parameter == Parameter::level || parameter == Parameter::mute;
}

double fader_position(double db) {
    if (db <= fader_scale.front().first) return 0.0;
    for (size_t i = 1; i < fader_scale.size(); ++i) {
        const auto [db0, p0] = fader_scale[i - 1];
        const auto [db1, p1] = fader_scale[i];
        if (db <= db1) return p0 + (p1 - p0) * (db - db0) / (db1 - db0);
    }
    return 1.0;
}

double fader_db_at(double position) {
    if (position <= 0.0) return silence_db;
    for (size_t i = 1; i < fader_scale.size(); ++i) {
        const auto [db0, p0] = fader_scale[i - 1];
        const auto [db1, p1] = fader_scale[i];
        if (position <= p1) return db0 + (db1 - db0) * (position - p0) / (p1 - p0);
    }
    return fader_scale.back().first;
}

double position_of(Parameter parameter, double value) {
    const ParameterInfo& p = info_of(parameter);
    switch (p.law) {
        case ControlTaper::toggle:
            return value >= 0.5 ? 1.0 : 0.0;
        case ControlTaper::fader:
            return fader_position(value);
        case ControlTaper::log:
            return std::clamp(std::log(std::max(value, p.low) / p.low) / std::log(p.high / p.low), 0.0, 1.0);
        case ControlTaper::linear:
        case ControlTaper::choice:
            break;
    }
    return std::clamp((value - p.low) / (p.high - p.low), 0.0, 1.0);
}

double value_at_position(Parameter parameter, double position) {
    const ParameterInfo& p = info_of(parameter);
    const double at = std::clamp(position, 0.0, 1.0);
    switch (p.law) {
        case ControlTaper::toggle:
            return position >= 0.5 ? 1.0 : 0.0;
        case ControlTaper::fader:
            return std::clamp(fader_db_at(position), p.low, p.high);
        case ControlTaper::log:
            return p.low * std::pow(p.high / p.low, at);
        case ControlTaper::choice:
            return std::round(p.low + (p.high - p.low) * at);
        case ControlTaper::linear:
            break;
    }
    return p.low + (p.high - p.low) * at;
}

const CurvePtr& Rides::operator[](Parameter p) const {
    static const CurvePtr none;
    const auto at = curves_.find(p);
    return at == curves_.end() ? none : at->second;
}

void Rides::set(Parameter p, CurvePtr curve) {
    if (curve) {
        curves_[p] = std::move(curve);
    } else {
        curves_.erase(p);
        out_.erase(p);
    }
}

void Rides::set_out(Parameter p, bool out) {
    if (out && curves_.contains(p))
        out_.insert(p);
    else
        out_.erase(p);
}

}  // namespace isotonus
