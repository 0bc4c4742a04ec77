// The session's file and its history: nothing is lost.
#include "core/session/session_file.h"

#include <fstream>
#include <nlohmann/json.hpp>

#include "core/session/history.h"
#include "core/stage/staging.h"
#include "tests/support/faults.h"
#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;
using nlohmann::json;

namespace {

Session example(const fs::path& folder) {
    Session s = with_files({}, {folder / "Kick.wav", folder / "sub" / "Voice.wav", "/elsewhere/Pad.wav"});
    s = with_track(s, 1, [](Track& t) {
        t.trim_db = -3.5, t.fader_db = silence_db, t.pan = -0.25, t.mute = true, t.polarity_inverted = true;
        t.delay_samples = -317, t.kind = Kind::percussive, t.locked = true, t.colour_index = 7;
        t.target = Target{Measure::average, -30.0, -28.0, -26.0};
        t.family = Family::strings;
    });
    s = with_track(s, 2, [](Track& t) {
        t.width = 0.5, t.solo = true;
        t.rides.set(Parameter::level,
                    std::make_shared<const Curve>(Curve{{{1.0, -2.0, Segment::line}, {2.5, 3.0, Segment::step}}}));
    });
    s.sections = {{"intro", 0.0}, {"verse", 9.6}};
    s.main_fader_db = -1.5;
    s.sample_rate = 44100;
    s.pan_law = PanLaw::compromise;
    return s;
}

std::string error_of(const std::string& text) {
    const auto s = session_from_json(text, "/folder/x.isotonus");
    EXPECT_FALSE(s) << text;
    if (s) return {};
    EXPECT_EQ(s.error().file, "/folder/x.isotonus");
    return s.error().what;
}

json minimal() {
    return {{"format", "isotonus-session"},
            {"version", 1},
            {"tracks", json::array({{{"id", 1}, {"name", "A"}, {"file", "a.wav"}}})}};
}

}  // namespace

TEST(SessionFile, comes_back_as_it_was) {
    Folder folder;
    const Session before = example(folder.path());
    ASSERT_TRUE(write_session(before, folder / "x.isotonus"));
    const Session after = read_session(folder / "x.isotonus").value();
    EXPECT_EQ(session_to_json(after, folder.path()), session_to_json(before, folder.path()));
    EXPECT_EQ(after.tracks[0]->source.file, folder / "Kick.wav");
    EXPECT_EQ(after.tracks[2]->source.file, "/elsewhere/Pad.wav");
    EXPECT_TRUE(std::isinf(after.tracks[0]->fader_db));
    EXPECT_EQ(*after.tracks[0]->target, *before.tracks[0]->target);
    EXPECT_EQ(after.tracks[0]->family, Family::strings);
    EXPECT_EQ(*after.tracks[1]->rides[Parameter::level], *before.tracks[1]->rides[Parameter::level]);
    EXPECT_EQ(after.next_id, 4u);
}

TEST(SessionFile, audio_is_found_again_when_the_folder_moves) {
    Folder folder;
    fs::create_directories(folder / "old");
    ASSERT_TRUE(write_session(example(folder / "old"), folder / "old/x.isotonus"));
    fs::rename(folder / "old", folder / "new");
    EXPECT_EQ(read_session(folder / "new/x.isotonus").value().tracks[1]->source.file, folder / "new/sub/Voice.wav");
}

TEST(SessionFile, unknown_keys_are_kept_everywhere) {
    json j = minimal();
    j["future"] = {{"a", 1}};
    j["main"] = {{"fader_db", 0.0}, {"limiter", true}};
    j["tracks"][0]["echoes"] = json::array({1, 2});
    j["tracks"][0]["rides"] = {{"warmth", json::array()}};
    const Session s = session_from_json(j.dump(), "/folder/x.isotonus").value();
    const json back = json::parse(session_to_json(s, "/folder"));
    EXPECT_EQ(back["future"], j["future"]);
    EXPECT_EQ(back["main"]["limiter"], true);
    EXPECT_EQ(back["tracks"][0]["echoes"], j["tracks"][0]["echoes"]);
    EXPECT_TRUE(back["tracks"][0]["rides"].contains("warmth"));
}

TEST(SessionFile, each_fault_has_its_sentence) {
    EXPECT_EQ(error_of("{\n \"format\": \"isotonus-session\",\n  oops }"),
              "not a session file: the JSON is damaged at line 3, column 3. Restore a backup or correct that line.");
    EXPECT_NE(error_of(R"({"format": "isotonus-session", "version": 1, "x": 4e8000})").find("too large"),
              std::string::npos);
    EXPECT_NE(error_of(std::string(100000, '[')).find("too deeply"), std::string::npos);
    std::string many = "[0";
    for (int n = 0; n < 1000000; ++n) many += ",0";
    EXPECT_NE(error_of(many + "]").find("a list in the file is too long"), std::string::npos);
    EXPECT_NE(error_of("[1, 2]").find("not a session file"), std::string::npos);
    EXPECT_NE(error_of(R"({"format": "other"})").find("not a session file"), std::string::npos);
    EXPECT_NE(error_of(R"({"format": "isotonus-session"})").find("\"version\""), std::string::npos);
    EXPECT_EQ(error_of(R"({"format": "isotonus-session", "version": 7})"),
              "a newer Isotonus wrote this session (version 7; this program reads up to 6). Install the newer version "
              "to open it.");
    EXPECT_NE(error_of(R"({"format": "isotonus-session", "version": 0})").find("1 or more"), std::string::npos);
    const std::tuple<const char*, json, const char*> faults[] = {
        {"trim_db", "loud", "'tracks[0].trim_db' must be a number"},
        {"trim_db", 30, "'tracks[0].trim_db' must be from −24 to 24"},
        {"fader_db", 12.5, "'tracks[0].fader_db' must be from −200 to 12"},
        {"mute", 1, "'tracks[0].mute' must be true or false"},
        {"delay_samples", "late", "'tracks[0].delay_samples' must be a number"},
        {"name", 5, "'tracks[0].name' must be a string"},
        {"kind", "loud", "'tracks[0].kind' cannot be 'loud'"},
        {"rides", json::array(), "'tracks[0].rides' must be an object"},
        {"rides", {{"level", {{{"time_s", -1}}}}}, "'tracks[0].rides.level[0].time_s' must be from 0 to 1e+06"},
        {"target",
         {{"low_dbfs", -1.0}, {"high_dbfs", -2.0}},
         "'tracks[0].target.low_dbfs' must not be above high_dbfs"},
    };
    for (const auto& [key, value, sentence] : faults) {
        json j = minimal();
        j["tracks"][0][key] = value;
        EXPECT_EQ(error_of(j.dump()),
                  "the session cannot be read: " + std::string(sentence) + ". Restore a backup or correct the file.");
    }
    json j = minimal();
    j["tracks"] = "none";
    EXPECT_NE(error_of(j.dump()).find("'tracks' must be a list"), std::string::npos);
    j = minimal();
    j["tracks"][0].erase("file");
    EXPECT_NE(error_of(j.dump()).find("'tracks[0].file' is missing"), std::string::npos);
}

TEST(SessionFile, of_no_file_an_empty_file_and_a_folder) {
    Folder folder;
    EXPECT_EQ(read_session(folder / "none").error().what, "the file does not exist. Check its name.");
    EXPECT_EQ(read_session(folder.path()).error().what, "this is a folder. Choose a file.");
    std::ofstream(folder / "empty").flush();
    EXPECT_NE(read_session(folder / "empty").error().what.find("empty"), std::string::npos);
}

TEST(SessionFile, ids_that_are_missing_are_given) {
    json j = minimal();
    j["tracks"].push_back({{"name", "B"}, {"file", "b.wav"}});
    j["tracks"].push_back({{"name", "C"}, {"file", "c.wav"}});
    const Session s = session_from_json(j.dump(), "/folder/x.isotonus").value();
    EXPECT_NE(s.tracks[0]->id, s.tracks[1]->id);
    EXPECT_NE(s.tracks[1]->id, s.tracks[2]->id);
}

TEST(Saving, a_failure_at_any_step_leaves_the_old_session_whole) {
    Folder folder;
    const fs::path file = folder / "x.isotonus";
    const Session old = example(folder.path());
    ASSERT_TRUE(write_session(old, file));
    const Session next = with_track(old, 1, [](Track& t) { t.trim_db = 9.0; });
    for (int failing = 0; failing < 6; ++failing) {
        const FaultAt fault(failing, ENOSPC);
        const auto written = write_session(next, file);
        ASSERT_FALSE(written) << failing;
        EXPECT_EQ(written.error().file, file.string());
        EXPECT_NE(written.error().what.find("cannot be"), std::string::npos) << written.error().what;
        EXPECT_EQ(session_to_json(read_session(file).value(), folder.path()), session_to_json(old, folder.path()))
            << failing;
        EXPECT_EQ(std::distance(fs::directory_iterator(folder.path()), {}), 1) << "a temporary file is left";
    }
    ASSERT_TRUE(write_session(next, file));
    EXPECT_EQ(read_session(file).value().tracks[0]->trim_db, 9.0);
}

TEST(History, undoes_and_redoes_by_name) {
    History h;
    h.commit(with_files({}, {"/a.wav"}), "Add a track");
    h.commit(with_track(h.session(), 1, [](Track& t) { t.fader_db = -3.0; }), "Fader a −3.0 dB");
    EXPECT_EQ(h.undo_name(), "Fader a −3.0 dB");
    h.undo();
    EXPECT_EQ(h.session().tracks[0]->fader_db, 0.0);
    EXPECT_EQ(h.redo_name(), "Fader a −3.0 dB");
    h.redo();
    EXPECT_EQ(h.session().tracks[0]->fader_db, -3.0);
    h.undo();
    h.undo();
    EXPECT_TRUE(h.session().tracks.empty());
    EXPECT_FALSE(h.can_undo());
    h.commit(with_files({}, {"/b.wav"}), "Add another");
    EXPECT_FALSE(h.can_redo());
}

TEST(History, a_drag_is_one_step) {
    History h;
    h.commit(with_files({}, {"/a.wav"}), "Add");
    for (int n = 1; n <= 50; ++n)
        h.commit(with_track(h.session(), 1, [n](Track& t) { t.fader_db = -0.1 * n; }), "Fader", 7);
    h.undo();
    EXPECT_EQ(h.session().tracks[0]->fader_db, 0.0);
    h.redo();
    EXPECT_NEAR(h.session().tracks[0]->fader_db, -5.0, 1e-12);
}

TEST(History, knows_what_was_saved) {
    History h;
    EXPECT_TRUE(h.is_saved());
    h.commit({}, "One", 3);
    h.mark_saved();
    h.commit({}, "Two", 3);  // the same gesture must not change the step that was saved
    EXPECT_FALSE(h.is_saved());
    h.undo();
    EXPECT_TRUE(h.is_saved());
    h.undo();
    h.commit({}, "Other way");
    EXPECT_FALSE(h.is_saved());
    h.undo();
    EXPECT_FALSE(h.is_saved());
}

TEST(History, structure_is_shared_between_steps) {
    History h;
    h.commit(with_files({}, {"/a.wav", "/b.wav"}), "Add");
    const auto before = h.shared();
    h.commit(with_track(h.session(), 1, [](Track& t) { t.mute = true; }), "Mute");
    EXPECT_EQ(before->tracks[1], h.session().tracks[1]);
    EXPECT_NE(before->tracks[0], h.session().tracks[0]);
}

TEST(Settings, by_name_keep_their_ranges) {
    Track t;
    for (const auto& [key, value] : std::vector<std::pair<const char*, const char*>>{{"trim", "-3.5"},
                                                                                     {"fader", "-inf"},
                                                                                     {"pan", "0.5"},
                                                                                     {"width", "2"},
                                                                                     {"mute", "on"},
                                                                                     {"solo", "on"},
                                                                                     {"polarity", "inverted"},
                                                                                     {"delay", "-317"},
                                                                                     {"kind", "percussive"},
                                                                                     {"target", "average:-20:-16"}})
        EXPECT_TRUE(set_by_name(t, key, value)) << key;
    EXPECT_EQ(t.trim_db, -3.5);
    EXPECT_TRUE(std::isinf(t.fader_db));
    EXPECT_EQ(t.delay_samples, -317);
    EXPECT_TRUE(t.mute && t.solo && t.polarity_inverted);
    EXPECT_EQ(t.target->aim_dbfs, -18.0);
    for (const auto& [key, value] : std::vector<std::pair<const char*, const char*>>{{"trim", "25"},
                                                                                     {"trim", "loud"},
                                                                                     {"fader", "12.1"},
                                                                                     {"pan", "1.01"},
                                                                                     {"pan", "nan"},
                                                                                     {"width", "-0.1"},
                                                                                     {"mute", "yes"},
                                                                                     {"polarity", "on"},
                                                                                     {"delay", "200000"},
                                                                                     {"kind", "big"},
                                                                                     {"target", "peak:-5"},
                                                                                     {"target", "peak:-5:-7"},
                                                                                     {"colour", "1"},
                                                                                     {"pan", ""}}) {
        const auto result = set_by_name(t, key, value);
        ASSERT_FALSE(result) << key << "=" << value;
        EXPECT_FALSE(result.error().what.empty());
    }
    EXPECT_EQ(t.trim_db, -3.5);
    ASSERT_TRUE(set_by_name(t, "kind", "auto"));
    EXPECT_FALSE(t.kind);
}

TEST(Rows, move_in_their_order_as_far_as_there_is_room) {
    const Session s = with_files({}, {"/a.wav", "/b.wav", "/c.wav", "/d.wav"});
    const auto order = [](const Session& x) {
        std::string names;
        for (const auto& t : x.tracks) names += t->name;
        return names;
    };
    EXPECT_EQ(order(with_tracks_moved(s, {3}, -1)), "acbd");
    EXPECT_EQ(order(with_tracks_moved(s, {1, 3}, -1)), "acbd");  // a is at the top already
    EXPECT_EQ(order(with_tracks_moved(s, {2, 3}, 5)), "adbc");
    EXPECT_EQ(order(with_tracks_moved(s, {1, 2}, 1)), "cabd");
    EXPECT_EQ(order(with_tracks_moved(s, {}, 1)), "abcd");
}

TEST(Family, is_guessed_from_names_as_beat_makers_write_them) {
    // Joined, numbered, abbreviated, plural, with takes and sides around them; common practice, no source.
    struct Named {
        const char* name;
        Family family;
        KindHint kind;
    };
    using enum KindHint;
    for (const auto& [name, family, kind] :
         std::initializer_list<Named>{{"bass drum", Family::drums, certainly_percussive},
                                      {"BD_01", Family::drums, certainly_percussive},
                                      {"kik", Family::drums, certainly_percussive},
                                      {"KickIn", Family::drums, certainly_percussive},
                                      {"SnareTop-2", Family::drums, certainly_percussive},
                                      {"snaretop", Family::drums, certainly_percussive},
                                      {"HHopen", Family::drums, certainly_percussive},
                                      {"OH L", Family::drums, certainly_percussive},
                                      {"snaps", Family::percussion, certainly_percussive},
                                      {"tamb", Family::percussion, percussive},
                                      {"808s", Family::bass, sustained},
                                      {"bass synth", Family::bass, sustained},
                                      {"DIbass", Family::bass, sustained},
                                      {"BGV 3", Family::voices, sustained},
                                      {"LeadVox_dbl_R", Family::voices, sustained},
                                      {"Gtr dbl L", Family::guitars, sustained},
                                      {"acoustic", Family::guitars, sustained},
                                      {"PNO_take2", Family::keys, none},
                                      {"Vinyl crackle", Family::effects, none},
                                      {"FX 1", Family::effects, none},
                                      {"room", Family::drums, none},
                                      {"horns", Family::other, sustained},
                                      {"flute", Family::other, sustained},
                                      {"whistle", Family::other, sustained},
                                      {"brass stab", Family::other, sustained},
                                      {"take 12", Family::other, none},
                                      {"2030-01-02 bounce", Family::other, none}}) {
        EXPECT_EQ(guess_family(name), family) << name;
        EXPECT_EQ(kind_hint(name), kind) << name;
    }
    EXPECT_GE(known_names(), 250u);
    EXPECT_TRUE(has_word("BD 1", "kick") && has_word("Lead Vox", "vox") && !has_word("Kicked", "kick"));
    Track hat;
    hat.source.file = "/audio/Hats 2.wav";
    EXPECT_EQ(kind_because(hat), "by the word 'hats' in its name");
    hat.source.file = "/audio/take 2.wav";
    EXPECT_EQ(kind_because(hat), "by its sound");
    hat.kind = Kind::sustained;
    EXPECT_EQ(kind_because(hat), "set by hand");
    // A name of any length and of any bytes is read at once.
    EXPECT_EQ(guess_family(std::string(100000, 'i') + std::string(50000, 'n')), Family::other);
}

TEST(Family, is_guessed_from_the_words_of_a_name) {
    for (const auto& [name, family] : std::vector<std::pair<const char*, Family>>{{"03 Snare top", Family::drums},
                                                                                  {"HATS_loop", Family::drums},
                                                                                  {"Bass DI", Family::bass},
                                                                                  {"BV left", Family::voices},
                                                                                  {"lead vox", Family::voices},
                                                                                  {"Water Pad", Family::keys},
                                                                                  {"Bass Drum", Family::drums},
                                                                                  {"Strings hi", Family::strings},
                                                                                  {"Shaker-2", Family::percussion},
                                                                                  {"take 7", Family::other},
                                                                                  {"", Family::other},
                                                                                  {"Canal Water", Family::effects},
                                                                                  {"Guitars", Family::guitars}})
        EXPECT_EQ(guess_family(name), family) << name;
    const Session s = with_files({}, {"/Kick.wav", "/Voice.wav"});
    EXPECT_NE(s.tracks[0]->colour_index, s.tracks[1]->colour_index);
    Track t = *s.tracks[0];
    t.family = Family::effects;  // the user's word wins
    EXPECT_EQ(family_of(t), Family::effects);
}

TEST(Sections, stand_in_order_of_time) {
    Session s = with_section({}, {"verse", 10.0});
    s = with_section(s, {"intro", 0.0});
    s = with_section(s, {"outro", 30.0});
    EXPECT_EQ(s.sections[0].name, "intro");
    EXPECT_EQ(section_at(s, 9.99), 0);
    EXPECT_EQ(section_at(s, 10.0), 1);
    EXPECT_EQ(section_at(with_section({}, {"verse", 10.0}), 5.0), -1);
    EXPECT_EQ(section_end_s(s, 1, 40.0), 30.0);
    EXPECT_EQ(section_end_s(s, 2, 40.0), 40.0);
}

TEST(SessionFromFolder, takes_files_in_name_order_at_the_rate_of_most) {
    Folder folder;
    write(folder / "b Snare.wav", make(100, 1, noise(1)), 1, 44100);
    write(folder / "a Kick.wav", make(100, 1, noise(1)), 1, 44100);
    write(folder / "c Pad.wav", make(100, 2, noise(1)), 2, 48000);
    std::ofstream(folder / "d Bad.wav") << "nothing";
    std::ofstream(folder / "notes.txt") << "not audio";
    std::vector<Error> problems;
    const Session s = session_from_folder(folder.path(), &problems).value();
    ASSERT_EQ(s.tracks.size(), 3u);
    EXPECT_EQ(s.tracks[0]->name, "a Kick");
    EXPECT_EQ(s.tracks[2]->name, "c Pad");
    EXPECT_EQ(s.sample_rate, 44100);
    ASSERT_EQ(problems.size(), 1u);
    EXPECT_EQ(problems[0].file, (folder / "d Bad.wav").string());
    EXPECT_FALSE(session_from_folder(folder / "none", &problems));
}

namespace {

/// Every value of `before` stands in `now`, under the key that it had; what is left out is what is meant without it.
void expect_kept(const json& before, const json& now, const std::string& at) {
    if (before.is_object()) {
        for (const auto& [key, value] : before.items()) {
            const std::string here = at + "." + key;
            if (here == ".version") continue;
            const bool is_rest = value == json(0) || value == json(0.0) || value == json(false);
            if (now.is_object() && now.contains(key))
                expect_kept(value, now[key], here);
            else
                EXPECT_TRUE(is_rest) << here << " is lost: " << value;
        }
    } else if (before.is_array()) {
        ASSERT_TRUE(now.is_array()) << at;
        ASSERT_EQ(before.size(), now.size()) << at;
        for (size_t n = 0; n < before.size(); ++n) expect_kept(before[n], now[n], fmt::format("{}[{}]", at, n));
    } else {
        EXPECT_EQ(before, now) << at;
    }
}

}  // namespace

// Each file has every key of its version, as the schema of that version lists them.  No program that was given away
// wrote version 2.
TEST(SessionFile, of_every_earlier_version_keeps_every_value) {
    for (const int version : {1, 3, 4, 5}) {
        const fs::path file =
            fs::path(ISOTONUS_SOURCE) / fmt::format("tests/core/sessions/version-{}.isotonus", version);
        std::ifstream in(file);
        const json before = json::parse(in);
        ASSERT_EQ(before["version"], version);
        const auto session = read_session(file);
        ASSERT_TRUE(session) << session.error().text();
        const std::string text = session_to_json(*session, file.parent_path());
        expect_kept(before, json::parse(text), "");
        EXPECT_EQ(session_to_json(session_from_json(text, file).value(), file.parent_path()), text) << version;
    }
}
