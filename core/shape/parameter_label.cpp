#include "core/shape/parameter_label.h"

#include <algorithm>
#include <string_view>

namespace isotonus {

std::string label_of(const ParameterInfo& parameter) {
    if (parameter.name && *parameter.name) return parameter.name;
    std::string_view id = parameter.id;
    if (id == "hz") return "frequency";
    for (const std::string_view unit : {"_dbfs", "_dbtp", "_db", "_ms", "_hz", "_s"})
        if (id.ends_with(unit)) {
            id.remove_suffix(unit.size());
            break;
        }
    std::string label(id);
    std::replace_if(
        label.begin(), label.end(), [](char c) { return c == '_' || c == '.'; }, ' ');
    return label;
}

}  // namespace isotonus
