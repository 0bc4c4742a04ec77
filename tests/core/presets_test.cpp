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
    EXPECT_EQ(all.size(), 32u);
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
        const Preset again = read_preset(file).value();
        EXPECT_EQ(again.chain, p.chain) << p.name;
        EXPECT_EQ(again.reductions.size(), p.reductions.size()) << p.name;
        for (const auto& [id, aim] : p.reductions) EXPECT_EQ(again.reductions.at(id).db, aim.db) << p.name;
    }
}

// What a preset says it does is what it does, whatever the level it meets.
TEST(Presets, whose_compressors_say_by_how_much_are_solved_for_the_sound) {
    Folder folder;
    const auto voice = [&](double level) {
        Source source;
        source.file =
            write(folder / fmt::format("voice {}.wav", level),
                  make(480000, 1,
                       [n = noise(3), level](int64_t i, int c) {
                           return level * n(i, c) * (0.3 + 0.7 * std::fabs(std::sin(static_cast<double>(i) / 20000.0)));
                       }),
                  1);
        return load_material(source, 48000).value();
    };
    for (const char* name : {"Voice in two steps", "Barely moving"})
        for (const double level : {0.05, 0.5}) {
            const Preset& preset = *find_preset(shipped_presets(), name);
            const TakenPreset put = taken(preset, {}, false);
            SignalRecipe recipe;
            recipe.source.material = voice(level);
            recipe.chain = put.chain;
            recipe.chain = with_reductions(recipe, put.reductions).value();
            for (size_t position = 0; position < recipe.chain.size(); ++position) {
                const auto aim = put.reductions.find(recipe.chain[position].id);
                if (aim == put.reductions.end()) continue;
                EXPECT_NEAR(reduction_of(recipe, position).value().typical_db, aim->second.db, 0.15)
                    << name << " at " << level << ", place " << position;
            }
        }
    // Behind a chain that is there its ids are new, and the aims go with them.
    const Chain there{processor("low_cut", {}, 4)};
    const TakenPreset behind = taken(*find_preset(shipped_presets(), "Barely moving"), there, true);
    ASSERT_EQ(behind.chain.size(), 2u);
    EXPECT_EQ(behind.chain[0], there[0]);
    EXPECT_TRUE(behind.reductions.contains(behind.chain[1].id));
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
    refused("[]", "not a preset");
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
