// What the verbs of the command line share.
#pragma once

#include <fmt/format.h>

#include <map>
#include <nlohmann/json.hpp>
#include <vector>

#include "core/handoff/checks.h"

namespace isotonus::cli {

/// Exit status of the program.
inline constexpr int done = 0, check_failed = 1, wrong_usage = 2, file_trouble = 3;

/// Says on standard error what is wrong, and returns the status to end with.
int complain(const Error& error, int status = file_trouble);
/// One JSON document on standard output.
void print(const nlohmann::json& document);
std::string in_words(const Level& level, const char* unit);

/// A session with everything known about its tracks' files.
struct Opened {
    Session session;
    std::map<std::string, MaterialPtr> materials;  ///< by source_key; none where the file cannot be used
    std::vector<MissingFile> missing;

    MaterialPtr of(const Track& track) const;
    PlanPtr plan(Solo solo = Solo::left_out) const;
};
Result<Opened> open_with_materials(const fs::path& file);

}  // namespace isotonus::cli
