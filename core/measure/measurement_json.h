// Measurements as JSON, with the keys of `isotonus-cli scan`.
#pragma once

#include <nlohmann/json.hpp>

#include "core/measure/measurement.h"

namespace isotonus {

inline nlohmann::json level_json(const Level& level) {
    return level ? nlohmann::json(*level) : nlohmann::json(nullptr);
}

nlohmann::json measurement_to_json(const Measurement& m);
/// Throws nlohmann::json::exception when a key is missing or of the wrong type.
Measurement measurement_from_json(const nlohmann::json& j);

}  // namespace isotonus
