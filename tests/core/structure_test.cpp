// Rules of the code that no compiler holds.  The folders of the core stand on each other in one order, as
// docs/architecture.md says: what a file includes is of its own folder or of one below it.  And no choice hides in
// another one.
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

/// Code without comments and without what stands in quotes.
std::string bare(const std::string& code) {
    static const std::regex aside(R"re(//[^\n]*|R"\([^]*?\)"|"(\\.|[^"\\\n])*"|'(\\.|[^'\\\n])')re");
    return std::regex_replace(code, aside, "");
}

/// The conditional expressions that stand inside another one, by how their statement begins.
std::vector<std::string> nested_choices(const std::string& code) {
    std::vector<std::string> found;
    std::vector<int> open;  // how deep in brackets each choice of this statement began
    int depth = 0;
    size_t begins = 0;
    for (size_t i = 0; i < code.size(); ++i) {
        const char c = code[i];
        const auto close_above = [&](int most) {
            while (!open.empty() && open.back() > most) open.pop_back();
        };
        if (c == ';' || c == '{' || c == '}') open.clear(), depth = 0, begins = i + 1;
        if (c == '(' || c == '[') ++depth;
        if (c == ')' || c == ']') close_above(--depth);
        if (c == ',') close_above(depth - 1);
        if (c != '?') continue;
        if (!open.empty()) found.push_back(code.substr(begins, i - begins));
        open.push_back(depth);
    }
    return found;
}

}  // namespace

TEST(Structure, no_choice_stands_inside_another) {
    EXPECT_EQ(nested_choices("a = b ? c : d ? e : f;").size(), 1u);
    EXPECT_EQ(nested_choices("a = b ? (c ? d : e) : f;").size(), 1u);
    EXPECT_EQ(nested_choices("f(a ? b : c, d ? e : g); h = i ? j : k;").size(), 0u);
    size_t files = 0;
    for (const char* folder : {"core", "app", "cli", "engine", "mastering", "demosong", "plugin_host"})
        for (const auto& entry : fs::recursive_directory_iterator(fs::path(ISOTONUS_SOURCE) / folder)) {
            if (entry.path().extension() != ".h" && entry.path().extension() != ".cpp") continue;
            ++files;
            std::ifstream file(entry.path());
            const std::string code{std::istreambuf_iterator<char>(file), {}};
            EXPECT_THAT(nested_choices(bare(code)), testing::IsEmpty()) << entry.path();
        }
    EXPECT_GT(files, 400u);
}

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
