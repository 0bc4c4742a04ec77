// One rule for every value, whichever door it comes through.
#include "core/session/validate.h"
#include "core/shape/chain.h"

#include <gmock/gmock.h>

#include <fstream>
#include <limits>
#include <nlohmann/json.hpp>
#include <random>

#include "core/session/fields.h"
#include "core/session/ride_csv.h"
#include "core/session/routing.h"
#include "core/session/sections_file.h"
#include "core/session/session_file.h"
#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;
using nlohmann::json;
using testing::HasSubstr;

namespace {

Session two_tracks() { return with_files({}, {"/audio/Kick.wav", "/audio/Voice.wav"}); }

Session with_point(double time_s, double value) {
    const Session s = two_tracks();
    return with_ride(s, s.tracks[1]->id, Parameter::level, Curve{{{time_s, value}}});
}

std::string fault(const Session& s) {
    const auto valid = validate(s);
    return valid ? "" : valid.error().what;
}

/// A visitor of fields.h that takes down the limits.
struct Limits {
    std::map<std::string, std::pair<double, double>> found;
    Limits& rare() { return *this; }
    void number(const char* key, double, double low, double high) { found[key] = {low, high}; }
    void level(const char* key, double) { found[key] = {lowest_level_db, fader_max_db}; }
    template <class Int>
    void integer(const char* key, Int, int64_t low, int64_t high) {
        found[key] = {static_cast<double>(low), static_cast<double>(high)};
    }
    void truth(const char*, bool) {}
    void text(const char* key, const std::string&, size_t most) { found[key] = {0.0, static_cast<double>(most)}; }
    template <class Word, class Names>
    void word(const char*, const Word&, const Names&) {}
    template <class Word, class Names>
    void optional_word(const char*, const Word&, const Names&) {}
    void optional_number(const char* key, const std::optional<double>&, double low, double high) {
        found[key] = {low, high};
    }
    void complain(const char*, const std::string&) {}
};

}  // namespace

TEST(Validation, names_the_row_and_the_value) {
    EXPECT_EQ(fault(two_tracks()), "");
    EXPECT_EQ(fault(with_point(1e300, 0.0)),
              "Voice, level, point 1, 'time_s' must be from 0 to 1000000, but is 1e+300");
    EXPECT_THAT(fault(with_point(1.0, 99.0)), HasSubstr("'value' must be from −60 to 12"));
    EXPECT_THAT(fault(with_point(std::nan(""), 0.0)), HasSubstr("must be a number"));
}

TEST(Validation, looks_at_every_kind_of_value) {
    const auto broken = [](const std::function<void(Session&)>& change) {
        Session s = with_new_bus(two_tracks(), "Band", {}, {1});
        s.sections = {{"one", 1.0}, {"two", 2.0}};
        s.tempo = {{0.0, 120.0}};
        s.recordings = {{"ref", "/r.wav", true, "", "", -14.0, {}, {}}};
        EXPECT_EQ(fault(s), "");
        change(s);
        return fault(s);
    };
    const auto track = [&](const std::function<void(Track&)>& change) {
        return broken([&](Session& s) { s = with_track(s, 1, change); });
    };
    static constexpr double infinity = std::numeric_limits<double>::infinity();
    EXPECT_THAT(track([](Track& t) { t.trim_db = 24.5; }), HasSubstr("trim_db"));
    EXPECT_THAT(track([](Track& t) { t.fader_db = infinity; }), HasSubstr("fader_db"));
    EXPECT_EQ(track([](Track& t) { t.fader_db = silence_db; }), "");
    EXPECT_THAT(track([](Track& t) { t.pan = -1.5; }), HasSubstr("pan"));
    EXPECT_THAT(track([](Track& t) { t.delay_samples = 1e300; }), HasSubstr("delay_samples"));
    EXPECT_THAT(track([](Track& t) { t.name = "\xFF"; }), HasSubstr("not text in UTF-8"));
    EXPECT_THAT(track([](Track& t) { t.name = std::string(5000, 'x'); }), HasSubstr("longer than 4096 bytes"));
    EXPECT_THAT(track([](Track& t) { t.source.clips = {{0, 0, int64_t{1} << 40}}; }), HasSubstr("clip 1, 'frames'"));
    EXPECT_THAT(track([](Track& t) { t.source.clips = {{limits::max_frames, 0, 100}}; }), HasSubstr("ends too late"));
    EXPECT_THAT(track([](Track& t) { t.mono_below_hz = 20.0; }), HasSubstr("low_centre_hz"));
    EXPECT_THAT(track([](Track& t) { t.output = 77; }), HasSubstr("is not a bus of the session"));
    EXPECT_THAT(track([](Track& t) { t.id = 2; }), HasSubstr("belongs to two channels"));
    EXPECT_THAT(track([](Track& t) { t.target = Target{Measure::peak, -1.0, -6.0, -7.0}; }), HasSubstr("low_dbfs"));
    EXPECT_THAT(broken([](Session& s) { s.buses.change()[0].output = s.buses[0].id; }), HasSubstr("feedback loop"));
    EXPECT_THAT(broken([](Session& s) { s.buses.change()[0].width = 3.0; }), HasSubstr("width"));
    EXPECT_THAT(broken([](Session& s) { s.sections.change()[1].start_s = 0.5; }),
                HasSubstr("before the preceding section"));
    EXPECT_THAT(broken([](Session& s) { s.sections.change()[1].start_s = 1e300; }), HasSubstr("start_s"));
    EXPECT_THAT(broken([](Session& s) { s.tempo.change()[0].quarters_a_minute = 0.0; }), HasSubstr("quarters"));
    EXPECT_THAT(broken([](Session& s) { s.recordings.change()[0].integrated_lufs = infinity; }), HasSubstr("lufs"));
    EXPECT_THAT(broken([](Session& s) { s.hand_off.own.tail_dbfs = 7.0; }), HasSubstr("tail_dbfs"));
    EXPECT_THAT(broken([](Session& s) { s.sample_rate = 100; }), HasSubstr("sample_rate"));
    EXPECT_THAT(broken([](Session& s) { s.main_fader_db = 13.0; }), HasSubstr("fader_db"));
    EXPECT_THAT(broken([](Session& s) { s.targets.sustained.aim_dbfs = 3.0; }), HasSubstr("aim_dbfs"));
    EXPECT_THAT(broken([](Session& s) {
                    auto curve = std::make_shared<Curve>(Curve{{{2.0, 0.0}, {1.0, 0.0}}});
                    s = with_rides(s, 1, [&](Rides& r) { r.set(Parameter::pan, curve); });
                }),
                HasSubstr("before the preceding point"));
}

TEST(Validation, of_an_edit_looks_at_what_the_edit_changed) {
    const Session before = with_point(1.0, 3.0);
    // A row that was broken before is not looked at again; one that this edit breaks is.
    Session broken = before;
    broken = with_track(broken, 1, [](Track& t) { t.pan = 9.0; });
    EXPECT_TRUE(validate(with_track(broken, 2, [](Track& t) { t.pan = 0.5; }), &broken));
    EXPECT_FALSE(validate(with_track(before, 2, [](Track& t) { t.pan = 5.0; }), &before));
}

TEST(Validation, holds_at_every_door) {
    Folder folder;
    // A table.
    EXPECT_THAT(ride_from_csv("1e300,0\n", "r.csv").error().text(), HasSubstr("r.csv: line 1"));
    EXPECT_THAT(ride_from_csv("nan,0\n", "r.csv").error().text(), HasSubstr("r.csv"));
    // A MIDI file whose delta times add up beyond every song: what comes out of it is refused by the edit.
    Session s = two_tracks();
    s.sections = {{"far", 1e7}};
    EXPECT_FALSE(validate(s));
    // Writing: what could not be read again is not written, and the old file stays.
    const fs::path file = folder / "s.isotonus";
    ASSERT_TRUE(write_session(two_tracks(), file));
    EXPECT_THAT(write_session(with_point(1e300, 0.0), file).error().what, HasSubstr("could not be opened again"));
    EXPECT_EQ(read_session(file).value().tracks.size(), 2u);
    // Reading.
    json j = json::parse(session_to_json(with_point(1.0, 0.0), "/audio"));
    j["tracks"][1]["rides"]["level"][0]["time_s"] = 1e300;
    EXPECT_THAT(session_from_json(j.dump(), "/audio/s.isotonus").error().what,
                HasSubstr("'tracks[1].rides.level[0].time_s' must be from 0 to 1e+06"));
}

TEST(Validation, says_the_same_limits_as_the_schema) {
    // The schema is what others read: each number in it is that of fields.h.
    std::ifstream in(ISOTONUS_SOURCE "/docs/session-schema.json");
    const json schema = json::parse(in);
    const auto same = [&](const Limits& limits, const json& properties, const std::string& what) {
        for (const auto& [key, range] : limits.found) {
            ASSERT_TRUE(properties.contains(key)) << what << "." << key;
            json p = properties[key];
            if (p.contains("$ref")) p = schema.at(json::json_pointer(p["$ref"].get<std::string>().substr(1)));
            if (p.contains("maxLength")) {
                EXPECT_EQ(p["maxLength"], range.second) << what << "." << key;
            } else {
                ASSERT_TRUE(p.contains("minimum") && p.contains("maximum")) << what << "." << key;
                EXPECT_EQ(p["minimum"].get<double>(), range.first) << what << "." << key;
                EXPECT_EQ(p["maximum"].get<double>(), range.second) << what << "." << key;
            }
        }
    };
    const json& defs = schema["$defs"];
    const json& top = schema["properties"];
    const auto limits_of_fields = [](const auto& visit) {
        Limits limits;
        visit(limits);
        return limits;
    };
    same(limits_of_fields([](Limits& v) { track_fields(v, std::as_const(*std::make_unique<Track>())); }),
         defs["track"]["properties"], "track");
    same(limits_of_fields([](Limits& v) { mixed_fields(v, std::as_const(*std::make_unique<Bus>())); }),
         defs["bus"]["properties"], "bus");
    same(limits_of_fields([](Limits& v) { row_fields(v, std::as_const(*std::make_unique<ControlGroup>())); }),
         defs["group"]["properties"], "group");
    same(limits_of_fields([](Limits& v) { clip_fields(v, std::as_const(*std::make_unique<Clip>())); }),
         defs["clip"]["properties"], "clip");
    same(limits_of_fields([](Limits& v) { target_fields(v, std::as_const(*std::make_unique<Target>())); }),
         defs["target"]["properties"], "target");
    same(limits_of_fields([](Limits& v) { session_fields(v, std::as_const(*std::make_unique<Session>())); }), top,
         "session");
    same(limits_of_fields([](Limits& v) { section_fields(v, std::as_const(*std::make_unique<Section>())); }),
         top["sections"]["items"]["properties"], "section");
    same(limits_of_fields([](Limits& v) { tempo_fields(v, std::as_const(*std::make_unique<TempoMark>())); }),
         top["tempo"]["items"]["properties"], "tempo");
    same(limits_of_fields([](Limits& v) { limit_fields(v, std::as_const(*std::make_unique<HandOffLimits>())); }),
         top["hand_off"]["properties"]["own"]["properties"], "limits");
    same(limits_of_fields([](Limits& v) { recording_fields(v, std::as_const(*std::make_unique<Recording>())); }),
         top["recordings"]["items"]["properties"], "recording");
    const json& recordings = top["recordings"]["items"]["properties"];
    same(limits_of_fields(
             [](Limits& v) { recording_passage_fields(v, std::as_const(*std::make_unique<RecordingPassage>())); }),
         recordings["passages"]["items"]["properties"], "passage");
    same(limits_of_fields(
             [](Limits& v) { listening_note_fields(v, std::as_const(*std::make_unique<ListeningNote>())); }),
         top["listening_notes"]["items"]["properties"], "note");
    const json& blind = top["blind_comparisons"];
    same(limits_of_fields([](Limits& v) { blind_result_fields(v, std::as_const(*std::make_unique<BlindResult>())); }),
         blind["items"]["properties"], "blind comparison");
    same(limits_of_fields([](Limits& v) { blind_version_fields(v, std::string(), 0); }),
         blind["items"]["properties"]["versions"]["items"]["properties"], "version");
    EXPECT_EQ(recordings["passages"]["maxItems"], limits::max_passages);
    EXPECT_EQ(top["listening_notes"]["maxItems"], limits::max_notes);
    EXPECT_EQ(blind["maxItems"], limits::max_blind_results);
    EXPECT_EQ(blind["items"]["properties"]["versions"]["maxItems"], limits::max_blind_versions);
    same(limits_of_fields([](Limits& v) { processor_fields(v, std::as_const(*std::make_unique<Processor>())); }),
         defs["processor"]["properties"], "processor");
    same(limits_of_fields([](Limits& v) { send_fields(v, std::as_const(*std::make_unique<Send>())); }),
         defs["send"]["properties"], "send");
    EXPECT_EQ(defs["track"]["properties"]["chain"]["maxItems"], limits::max_processors);
    EXPECT_EQ(defs["bus"]["properties"]["sends"]["maxItems"], limits::max_sends);
    const auto same_parameter = [](const ParameterInfo& info, const json& p) {
        if (!info.words.empty()) {
            EXPECT_EQ(p["enum"].size(), info.words.size()) << info.id;
            for (size_t n = 0; n < info.words.size(); ++n) EXPECT_EQ(p["enum"][n], info.words[n]) << info.id;
            return;
        }
        EXPECT_EQ(p["minimum"].get<double>(), info.low) << info.id;
        EXPECT_EQ(p["maximum"].get<double>(), info.high) << info.id;
    };
    for (const ParameterInfo& info : common_parameters().subspan(1))
        same_parameter(info, defs["processor"]["properties"][info.id]);
    EXPECT_EQ(defs["processor_types"].size(), processor_types().size());
    for (const ProcessorType* type : processor_types())
        for (const ParameterInfo& info : type->parameters)
            same_parameter(info, defs["processor_types"][type->id][info.id]);
    EXPECT_EQ(schema["x-most-bytes"], limits::max_session_bytes);
    EXPECT_EQ(defs["ride"]["maxItems"], limits::max_points);
    EXPECT_EQ(top["tracks"]["maxItems"], limits::max_rows);
}

TEST(SharedLists, are_shared_until_one_is_changed) {
    Session a = two_tracks();
    a.sections = {{"one", 1.0}};
    Session b = a;
    EXPECT_TRUE(b.sections.shares_with(a.sections));
    b.sections.change()[0].start_s = 2.0;
    EXPECT_EQ(a.sections[0].start_s, 1.0);
    EXPECT_EQ(b.sections[0].start_s, 2.0);
    EXPECT_FALSE(a.sections == b.sections);
    // An edit of a track copies no bus, section or recording.
    const Session c = with_track(a, 1, [](Track& t) { t.pan = 0.1; });
    EXPECT_TRUE(c.sections.shares_with(a.sections) && c.buses.shares_with(a.buses));
}

TEST(SharedLists, find_tracks_by_their_ids_after_every_kind_of_edit) {
    std::vector<fs::path> files;
    for (int n = 0; n < 300; ++n) files.push_back(fmt::format("/audio/{}.wav", n));
    Session s = with_files({}, files);
    std::mt19937 random(7);
    const auto some = [&] {
        std::vector<TrackId> ids;
        for (int n = 0; n < 5; ++n) ids.push_back(s.tracks[random() % s.tracks.size()]->id);
        return ids;
    };
    for (int n = 0; n < 200; ++n) {
        const TrackId known = s.tracks[random() % s.tracks.size()]->id;
        switch (random() % 6) {
            case 0:
                s = without_tracks(s, some());
                break;
            case 1:
                s = with_duplicates(s, some());
                break;
            case 2:
                s = with_tracks_before(s, some(), known);
                break;
            case 3:
                s = with_tracks_moved(s, some(), static_cast<int>(random() % 9) - 4);
                break;
            case 4:
                s = with_channels_split(s, known, 2);
                break;
            default:
                s = with_track(s, known, [](Track& t) { t.pan = 0.5; });
                EXPECT_EQ(s.find(known)->pan, 0.5);
        }
        for (TrackId id = 0; id <= s.next_id; ++id) {
            const auto at = std::find_if(s.tracks.begin(), s.tracks.end(), [id](const auto& t) { return t->id == id; });
            ASSERT_EQ(s.find(id), at == s.tracks.end() ? nullptr : at->get());
        }
    }
}

TEST(SessionFile, keeps_paths_that_are_no_utf8) {
    Session s = with_files({}, {fs::path("/audio/K\xE4se.wav")});
    EXPECT_EQ(s.tracks[0]->name, "K\\xe4se");
    const std::string text = session_to_json(s, "/audio");
    EXPECT_TRUE(is_utf8(text));
    const Session back = session_from_json(text, "/audio/s.isotonus").value();
    EXPECT_EQ(back.tracks[0]->source.file, fs::path("/audio/K\xE4se.wav"));
    json j = json::parse(text);
    j["tracks"][0]["file_bytes"] = "xyz";
    EXPECT_THAT(session_from_json(j.dump(), "/audio/s.isotonus").error().what, HasSubstr("hexadecimal"));
}

TEST(SessionFile, keeps_unknown_keys_everywhere) {
    Session s = with_new_bus(two_tracks(), "Band", {}, {1});
    s = with_track(s, 1, [](Track& t) {
        t.source.clips = {{0, 0, 100}};
        t.target = Target{};
    });
    s = with_ride(s, 1, Parameter::level, Curve{{{1.0, 2.0}}});
    s.sections = {{"one", 1.0}};
    s.tempo = {{0.0, 120.0}};
    s.recordings = {{"ref", "/r.wav", true, "", "", {}, {}, {}}};
    s.hand_off.notes = "warm";
    s.targets.rules = {{"kick", {}, {}, {}}};
    json j = json::parse(session_to_json(s, "/audio"));
    json* const places[] = {&j,
                            &j["tracks"][0],
                            &j["tracks"][0]["clips"][0],
                            &j["tracks"][0]["rides"]["level"][0],
                            &j["tracks"][0]["target"],
                            &j["buses"][0],
                            &j["sections"][0],
                            &j["tempo"][0],
                            &j["hand_off"],
                            &j["hand_off"]["own"],
                            &j["recordings"][0],
                            &j["main"],
                            &j["target_sheet"],
                            &j["target_sheet"]["rules"][0],
                            &j["target_sheet"]["percussive"]};
    for (json* place : places) (*place)["of_tomorrow"] = {{"x", 1}};
    const Session back = session_from_json(j.dump(), "/audio/s.isotonus").value();
    EXPECT_EQ(json::parse(session_to_json(back, "/audio")), j);
    // An edit of a row leaves what it does not know alone.
    const Session edited = with_track(back, 1, [](Track& t) { t.trim_db = 1.0; });
    EXPECT_EQ(json::parse(session_to_json(edited, "/audio"))["tracks"][0]["clips"][0]["of_tomorrow"]["x"], 1);
}

TEST(SessionFile, is_refused_when_it_is_no_regular_file_or_too_large) {
    Folder folder;
    fs::create_directories(folder / "s");
    const fs::path large = folder / "large.isotonus";
    std::ofstream(large).put('{');
    fs::resize_file(large, limits::max_session_bytes + 1);
    EXPECT_THAT(read_session(large).error().what, HasSubstr("too large"));
    EXPECT_THAT(read_session("/dev/zero").error().what, HasSubstr("not a regular file"));
}

TEST(SessionFile, saved_through_a_linked_folder_finds_its_files_by_the_real_path) {
    Folder folder;
    fs::create_directories(folder / "real/deep");
    fs::create_directories(folder / "elsewhere");
    write(folder / "audio.wav", {0.5f}, 1);
    fs::create_directory_symlink(folder / "real/deep", folder / "elsewhere/link");
    const Session s = with_files({}, {folder / "audio.wav"});
    ASSERT_TRUE(write_session(s, folder / "elsewhere/link/s.isotonus"));
    for (const char* way : {"real/deep/s.isotonus", "elsewhere/link/s.isotonus"}) {
        const fs::path found = read_session(folder / way).value().tracks[0]->source.file;
        EXPECT_TRUE(fs::equivalent(found, folder / "audio.wav")) << found;
    }
}
