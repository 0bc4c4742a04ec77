#include "core/session/json_taker.h"

#include <algorithm>
#include <stdexcept>

namespace isotonus {

Result<nlohmann::json> parse_json(const std::string& text, const std::string& name, const char* not_what) {
    constexpr int deepest_nesting = 64;
    nlohmann::json j;
    try {
        j = nlohmann::json::parse(text, [](int depth, nlohmann::json::parse_event_t, nlohmann::json&) {
            if (depth > deepest_nesting) throw std::length_error("nesting");
            return true;
        });
    } catch (const nlohmann::json::parse_error& e) {
        const std::string before = text.substr(0, e.byte > 0 ? e.byte - 1 : 0);
        const auto line = 1 + std::count(before.begin(), before.end(), '\n');
        const size_t line_start = before.rfind('\n') == std::string::npos ? 0 : before.rfind('\n') + 1;
        return fail(name, say("{}: the JSON is broken at line {}, column {}", said(not_what), line,
                              before.size() - line_start + 1));
    } catch (const nlohmann::json::exception&) {
        return fail(name, say("{}: it holds a number that is too large", said(not_what)));
    } catch (const std::length_error&) {
        return fail(name, say("{}: it is nested too deeply", said(not_what)));
    }
    return j;
}

}  // namespace isotonus
