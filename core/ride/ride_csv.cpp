#include "core/ride/ride_csv.h"

#include <fmt/format.h>

#include <array>
#include <charconv>
#include <cmath>
#include <sstream>

namespace isotonus {

namespace {

constexpr std::array<const char*, 4> names{"line", "step", "bend", "smooth"};

std::string trimmed(std::string_view text) {
    const auto first = text.find_first_not_of(" \t\r\"");
    if (first == std::string_view::npos) return {};
    return std::string(text.substr(first, text.find_last_not_of(" \t\r\"") - first + 1));
}

bool number(const std::string& text, double& to) {
    const char* const begin = text.c_str() + (text.starts_with('+') ? 1 : 0);
    const char* const end = text.c_str() + text.size();
    const auto [stop, problem] = std::from_chars(begin, end, to);
    return problem == std::errc() && stop == end && begin != end && std::isfinite(to);
}

}  // namespace

std::string ride_to_csv(const Curve& curve) {
    std::string text = "seconds,value,segment\n";
    for (const RidePoint& p : curve.points)
        text += fmt::format("{},{},{}\n", p.time_s, p.value, names[static_cast<size_t>(p.segment)]);
    return text;
}

Result<Curve> ride_from_csv(const std::string& text, const std::string& file, const ParameterInfo& info) {
    Curve curve;
    std::istringstream lines(text);
    int line_number = 0;
    for (std::string line; std::getline(lines, line);) {
        ++line_number;
        std::vector<std::string> fields;
        std::istringstream parts(line);
        for (std::string field; std::getline(parts, field, ',');) fields.push_back(trimmed(field));
        if (fields.empty() || (fields.size() == 1 && fields[0].empty())) continue;
        RidePoint p;
        const bool numbers = fields.size() >= 2 && number(fields[0], p.time_s) && number(fields[1], p.value);
        if (!numbers && line_number == 1) continue;  // a heading
        if (!numbers)
            return fail(file, fmt::format("line {}: 'seconds,value' is wanted, not '{}'", line_number, trimmed(line)));
        if (p.time_s < 0.0) return fail(file, fmt::format("line {}: a time cannot be before 0 s", line_number));
        if (p.value < info.low || p.value > info.high)
            return fail(
                file, fmt::format("line {}: a {} ride goes from {:g} to {:g}{}, {:g} is outside", line_number, info.id,
                                  info.low, info.high, *info.unit ? std::string(" ") + info.unit : "", p.value));
        for (size_t n = 0; fields.size() > 2 && n < names.size(); ++n)
            if (fields[2] == names[n]) p.segment = static_cast<Segment>(n);
        curve.insert(p);
    }
    if (curve.empty()) return fail(file, "there are no points in it: lines of 'seconds,value' are wanted");
    return curve;
}

}  // namespace isotonus
