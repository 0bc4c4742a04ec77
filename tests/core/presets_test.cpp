// Presets: kept, read and refused; what ships with it is sound.
#include "core/session/presets.h"

#include <gmock/gmock.h>

#include <fstream>
#include <set>

#include "core/files/paths.h"
#include "core/session/session.h"
#include "core/session/validate.h"
#include "tests/support/chains.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

/// Settings of the test in a folder that goes away with it.
struct Settings {
    Folder folder;
    Settings() { setenv("XDG_CONFIG_HOME", (folder / "config").c_str(), 1); }
    ~Settings() { unsetenv("XDG_CONFIG_HOME"); }
};

}  // namespace

TEST(Presets, that_ship_can_be_put_into_any_row) {
    Settings settings;
    const auto& all = shipped_presets();
    EXPECT_EQ(all.size(), 31u);
    std::set<std::string> names;
    for (const Preset& p : all) {
        EXPECT_TRUE(names.insert(p.name).second) << p.name;
        EXPECT_FALSE(p.purpose.empty());
        Session session;
        session = with_files(session, {"a.wav"});
        session = with_chain(session, session.tracks[0]->id, [&](Chain& c) { c = copied(p.chain, c); });
        const auto valid = validate(session);
        EXPECT_TRUE(valid) << p.name << (valid ? "" : ": " + valid.error().text());
        // A chain that was read is the chain that was written.
        const auto file = settings.folder / "x.json";
        std::ofstream(file) << preset_text(p);
        EXPECT_EQ(read_preset(file).value().chain, p.chain) << p.name;
    }
}

TEST(Presets, of_the_user_are_kept_replaced_and_removed) {
    Settings settings;
    Chain chain{processor("compressor", {{"ratio", 4}, {"detector", 1}}, 3), processor("low_cut", {{"hz", 90}}, 9)};
    chain[0].key = 5;
    chain[1].in = false;
    ASSERT_TRUE(keep_preset("My / bass", "for a bass", chain));
    ASSERT_TRUE(keep_preset("My - bass", "another, whose file would be called the same", chain));
    auto all = all_presets();
    ASSERT_EQ(all.size(), shipped_presets().size() + 2);
    const Preset* kept = find_preset(all, "My / bass");
    ASSERT_TRUE(kept);
    EXPECT_TRUE(kept->own);
    EXPECT_EQ(kept->purpose, "for a bass");
    EXPECT_EQ(kept->chain[0].key, 0u);  // rows of another session mean nothing here
    EXPECT_EQ(kept->chain[0].values, chain[0].values);
    EXPECT_FALSE(kept->chain[1].in);
    chain.pop_back();
    ASSERT_TRUE(keep_preset("My / bass", "", chain));
    EXPECT_EQ(find_preset(all_presets(), "My / bass")->chain.size(), 1u);
    ASSERT_TRUE(remove_preset("My / bass"));
    EXPECT_EQ(all_presets().size(), shipped_presets().size() + 1);
    EXPECT_FALSE(remove_preset("My / bass"));
    EXPECT_FALSE(remove_preset(shipped_presets()[0].name));
    EXPECT_FALSE(keep_preset(shipped_presets()[0].name, "", chain));
    EXPECT_FALSE(keep_preset("  ", "", chain));
    EXPECT_FALSE(keep_preset("empty", "", {}));
}

TEST(Presets, that_cannot_be_read_are_told_and_cost_nothing) {
    Settings settings;
    ASSERT_TRUE(keep_preset("good", "", {processor("low_cut")}));
    const auto refused = [&](const std::string& text, const std::string& why) {
        std::ofstream(preset_folder() / "bad.json") << text;
        std::vector<Error> problems;
        EXPECT_EQ(all_presets(&problems).size(), shipped_presets().size() + 1) << text;
        ASSERT_EQ(problems.size(), 1u) << text;
        EXPECT_THAT(problems[0].text(), testing::HasSubstr(why));
        EXPECT_THAT(problems[0].file, testing::HasSubstr("bad.json"));
    };
    const std::string head = R"({"format":"isotonus-preset","version":1,"name":"x","chain":)";
    refused("{", "line 1");
    refused("[]", "no preset");
    refused(R"({"format":"isotonus-preset","version":2,"name":"x","chain":[]})", "newer");
    refused(head + R"([{"id":1,"type":"low_cut","hz":1e9}]})", "chain[0].hz");
    refused(head + R"([{"id":1,"type":"low_cut","slope":"13"}]})", "slope");
    refused(head + R"([{"id":1}]})", "type");
    // A processor of a newer version is kept, and does nothing.
    std::ofstream(preset_folder() / "bad.json") << head + R"([{"id":1,"type":"shimmer","hz":5}],"colour":"blue"})";
    const auto all = all_presets();
    ASSERT_EQ(all.size(), shipped_presets().size() + 2);
    EXPECT_THAT(preset_text(*find_preset(all, "x")),
                testing::AllOf(testing::HasSubstr("shimmer"), testing::HasSubstr("blue")));
}

TEST(Presets, put_in_place_of_a_chain_do_not_take_over_its_rides) {
    const Chain before{processor("compressor", {}, 1), processor("low_cut", {}, 2)};
    const Chain after = copied(shipped_presets().back().chain, before);
    for (const Processor& p : after) EXPECT_GT(p.id, 2u);
}
