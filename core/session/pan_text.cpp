#include "core/session/pan_text.h"

#include <fmt/format.h>

#include <charconv>
#include <cmath>

namespace isotonus {

std::optional<double> pan_from_text(const std::string& text, bool whole_is_percent) {
    std::string t;
    for (const char c : text)
        if (c != ' ') t += c == ',' ? '.' : static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
    if (t == "c" || t == "centre" || t == "center") return 0.0;
    const bool percent = t.ends_with('%');
    if (percent) t.pop_back();
    char side = 0;
    if (!t.empty() && (t.front() == 'l' || t.front() == 'r')) {
        side = t.front();
        t.erase(0, 1);
    } else if (!t.empty() && (t.back() == 'l' || t.back() == 'r')) {
        side = t.back();
        t.pop_back();
    }
    if (t.starts_with('+') && side == 0) t.erase(0, 1);
    double value = 0.0;
    const auto [stop, problem] = std::from_chars(t.data(), t.data() + t.size(), value);
    if (problem != std::errc() || stop != t.data() + t.size() || !std::isfinite(value)) return std::nullopt;
    if (side != 0 && value < 0.0) return std::nullopt;
    const bool whole = t.find('.') == std::string::npos;
    if (percent || side != 0 || (whole_is_percent && whole)) value /= 100.0;
    if (side == 'l') value = -value;
    return value >= -1.0 && value <= 1.0 ? std::optional(value) : std::nullopt;
}

std::string text_of_pan(double pan) {
    const auto percent = std::lround(std::fabs(pan) * 100.0);
    if (percent == 0) return "C";
    return fmt::format("{} {}", pan < 0.0 ? "L" : "R", percent);
}

}  // namespace isotonus
