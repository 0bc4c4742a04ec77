// The folders of the core stand on each other in one order, as docs/architecture.md says: what a file includes is of
// its own folder or of one below it.
#include <gmock/gmock.h>

#include <fstream>
#include <regex>

#include "core/files/paths.h"

using namespace isotonus;

namespace {

/// From the ground up.  Chains (shape) know nothing of where plug-ins come from (foreign).
const std::vector<std::string> order{"",        "files", "audio", "measure", "ride",    "shape",   "foreign",
                                     "session", "stage", "mix",   "balance", "compare", "monitor", "handoff"};

std::ptrdiff_t level_of(const std::string& folder) {
    return std::find(order.begin(), order.end(), folder) - order.begin();
}

}  // namespace

TEST(Structure, every_include_of_the_core_goes_down) {
    const fs::path core = fs::path(ISOTONUS_SOURCE) / "core";
    const std::regex include(R"(^#include "([a-z_]+)/(?:([a-z_]+)/)?[a-z_0-9]+\.h")");
    size_t seen = 0;
    for (const auto& entry : fs::recursive_directory_iterator(core)) {
        if (entry.path().extension() != ".h" && entry.path().extension() != ".cpp") continue;
        const fs::path folder = entry.path().parent_path().lexically_relative(core);
        const std::string from = folder == "." ? "" : folder.string();
        ASSERT_LT(level_of(from), std::ssize(order)) << from << " has no place in the order yet";
        std::ifstream file(entry.path());
        for (std::string line; std::getline(file, line);) {
            std::smatch found;
            if (!std::regex_search(line, found, include)) continue;
            ++seen;
            EXPECT_EQ(found[1], "core") << entry.path() << ": " << line;
            EXPECT_LE(level_of(found[2]), level_of(from)) << entry.path() << ": " << line;
        }
    }
    EXPECT_GT(seen, 300u);
}
