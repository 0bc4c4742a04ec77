#include "core/session/ride_csv.h"

#include <fmt/format.h>

#include <array>
#include <charconv>
#include <cmath>
#include <sstream>

#include "core/session/fields.h"
#include "core/session/validate.h"

namespace isotonus {

namespace {

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
        text += fmt::format("{},{},{}\n", p.time_s, p.value, segment_names[static_cast<size_t>(p.segment)]);
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
            return fail(file, translate("line {}: '{}' found, 'seconds,value' expected. Correct the line.", line_number,
                                        trimmed(line)));
        for (size_t n = 0; fields.size() > 2 && n < segment_names.size(); ++n)
            if (fields[2] == segment_names[n]) p.segment = static_cast<Segment>(n);
        if (auto valid = validate(p, info); !valid)
            return fail(file, translate("line {}: not a point of a {} ride: {}. Correct the line.", line_number,
                                        info.id, valid.error().what));
        curve.insert(p);
        if (curve.points.size() > limits::max_points)
            return fail(file, translate("line {}: a ride has at most {} points. Remove some lines.", line_number,
                                        limits::max_points));
    }
    if (curve.empty())
        return fail(file, translated("the table is empty. Write one point per line as 'seconds,value'."));
    return curve;
}

Result<Curve> read_ride_csv(const fs::path& file, const ParameterInfo& info) {
    const auto text = read_whole(file, limits::max_ride_bytes);
    if (!text) return tl::unexpected(text.error());
    return ride_from_csv(*text, file.string(), info);
}

}  // namespace isotonus
