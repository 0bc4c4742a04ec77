// The hand-off sheet: what goes with the files to the mastering engineer.
#pragma once

#include <nlohmann/json.hpp>

#include "core/handoff/checks.h"
#include "core/handoff/delivery.h"

namespace isotonus {

struct SheetInput {
    const Session& session;
    std::string name;  ///< of the session
    std::string date;
    const RenderPlan& plan;
    const std::vector<Check>& checks;
    const DeliveryReport& report;
    std::vector<std::string> left_out = {};  ///< what the session asks for and the export is without, a sentence each
};

/// Everything as data: song, files with their figures and checksums, checks, sections, tracks with their targets and
/// settings (the recall list), buses, groups, the main output, notes.  Levels that are not there are null.
nlohmann::json sheet_to_json(const SheetInput& input);

/// The same to read: plain text in columns, and HTML that a rich-text printer takes.
std::string sheet_to_text(const nlohmann::json& sheet);
std::string sheet_to_html(const nlohmann::json& sheet);

}  // namespace isotonus
