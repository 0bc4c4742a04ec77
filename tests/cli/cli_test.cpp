// The command line as a user calls it: verbs, JSON keys, exit status, errors.
#include <gmock/gmock.h>

#include <fstream>
#include <nlohmann/json.hpp>

#include "core/session/routing.h"
#include "core/session/session_file.h"
#include "tests/support/command_line.h"
#include "tests/support/plugins.h"

using namespace isotonus;
using namespace isotonus::test;
using nlohmann::json;

TEST_F(Cli, scan_has_every_key_of_the_contract) {
    write(folder / "a.wav", make(96000, 2, sine(997, 48000, 0.5)), 2);
    write(folder / "silent.wav", std::vector<float>(96000, 0.0f), 1);
    const Ran ran = run("scan '" + (folder / "a.wav").string() + "' '" + (folder / "silent.wav").string() + "' --json");
    ASSERT_EQ(ran.status, 0) << ran.err;
    const json list = ran.document();
    ASSERT_EQ(list.size(), 2u);
    for (const char* key :
         {"file", "channels", "sample_rate", "frames", "sample_peak_dbfs", "true_peak_dbtp", "rms_dbfs", "average_dbfs",
          "crest_db", "integrated_lufs", "max_momentary_lufs", "max_short_term_lufs", "loudness_range_lu", "dc_offset",
          "clipped_runs", "correlation", "peak_time_s", "kind"})
        for (const json& entry : list) EXPECT_TRUE(entry.contains(key)) << key;
    EXPECT_NEAR(list[0]["rms_dbfs"].get<double>(), -6.02, 0.01);
    EXPECT_TRUE(list[1]["sample_peak_dbfs"].is_null());
    EXPECT_TRUE(list[1]["integrated_lufs"].is_null());
}

TEST_F(Cli, errors_name_the_file_and_give_the_right_status) {
    std::ofstream(folder / "text.wav") << "no sound at all";
    const std::string text = (folder / "text.wav").string();
    Ran ran = run("scan '" + text + "' --json");
    EXPECT_EQ(ran.status, 3);
    EXPECT_EQ(ran.document(), json::array());
    EXPECT_EQ(ran.err.rfind("isotonus-cli: " + text + ": ", 0), 0u) << ran.err;
    EXPECT_EQ(run("show '" + (folder / "none.isotonus").string() + "'").status, 3);
    EXPECT_EQ(run("").status, 2);
    EXPECT_EQ(run("dance").status, 2);
    EXPECT_EQ(run("scan").status, 2);
    EXPECT_EQ(run("--help").status, 0);
    make_session();
    EXPECT_EQ(run("set " + session + " Kick pan=7").status, 2);
    EXPECT_EQ(run("set " + session + " Nobody pan=0").status, 2);
    EXPECT_EQ(run("set " + session + " main pan=0").status, 2);
    EXPECT_EQ(run("ride " + session + " Kick level 1=x").status, 2);
    EXPECT_EQ(run("ride " + session + " Kick colour 1=0").status, 2);
    EXPECT_EQ(run("render " + session + " '" + (folder / "o.wav").string() + "' --bits 20").status, 2);
    EXPECT_EQ(run("render " + session + " '" + (folder / "no/where/o.wav").string() + "'").status, 3);
    EXPECT_EQ(run("new " + session + " --from '" + (folder / "audio").string() + "'").status, 3);  // it exists
}

TEST_F(Cli, drafts_a_ride_by_level_against_the_rest_and_by_what_is_heard) {
    make_session();
    // A voice of three phrases, 6 dB apart.
    write(folder / "audio/Voice.wav",
          make(480000, 1,
               [s = sine(440, 48000, 0.1)](int64_t i, int c) {
                   const auto phrase = i / 160000;
                   return i % 160000 < 96000 ? s(i, c) * std::pow(2.0, static_cast<double>(phrase)) : 0.0;
               }),
          1);
    ASSERT_EQ(run("new " + session + " --force --from '" + (folder / "audio").string() + "'").status, 0);
    const auto values = [&] {
        const json shown = run("show " + session + " --json").document();
        std::vector<double> found;
        for (const json& t : shown["tracks"])
            if (t["name"] == "Voice")
                for (const json& p : t["rides"]["level"]) found.push_back(p["value"]);
        return found;
    };
    Ran ran = run("draft " + session + " Voice --to -20");
    ASSERT_EQ(ran.status, 0) << ran.err;
    EXPECT_NE(ran.out.find("Voice: 3 phrases to −20.0 dBFS"), std::string::npos) << ran.out;
    auto points = values();
    // A sine of 0.1 reads -20 dBFS by AES17: 0, -6 and -12 dB bring all of them there (edges of phrases count a
    // little).
    EXPECT_NEAR(*std::min_element(points.begin(), points.end()), -9.0, 0.11);  // no more than it may
    ASSERT_EQ(run("draft " + session + " Voice --to -20 --down 20").status, 0);
    points = values();
    EXPECT_NEAR(*std::min_element(points.begin(), points.end()), -12.0, 0.3);
    EXPECT_NE(run("draft " + session + " Voice --by rest --to 3").out.find("3.0 dB above the rest"), std::string::npos);
    ran = run("draft " + session + " Voice --by heard --to 90");
    EXPECT_NE(ran.out.find("90.0 % heard"), std::string::npos) << ran.out << ran.err;
    EXPECT_EQ(run("draft " + session + " Nobody").status, 2);
    EXPECT_EQ(run("draft " + session + " Voice --by ear").status, 2);
}

TEST_F(Cli, the_whole_job) {
    make_session();
    json s = run("show " + session + " --json").document();
    EXPECT_EQ(s["format"], "isotonus-session");
    EXPECT_EQ(s["sample_rate"], 48000);
    ASSERT_EQ(s["tracks"].size(), 2u);
    EXPECT_EQ(s["tracks"][0]["name"], "Kick");
    EXPECT_EQ(s["tracks"][0]["file"], "audio/Kick.wav");

    const Ran staged = run("stage " + session + " --json");
    ASSERT_EQ(staged.status, 0) << staged.err;
    const json kick = staged.document()["tracks"][0], pad = staged.document()["tracks"][1];
    EXPECT_EQ(kick["kind"], "percussive");
    EXPECT_EQ(kick["target"]["measure"], "peak");
    EXPECT_NEAR(kick["after_dbfs"].get<double>(), -6.0, 0.001);
    EXPECT_EQ(pad["target"]["low_dbfs"], -20.0);
    EXPECT_NEAR(pad["after_dbfs"].get<double>(), -18.0, 0.001);
    EXPECT_EQ(pad["limited_by_peak"], false);

    ASSERT_EQ(run("set " + session + " Kick fader=-6 pan=-0.5 polarity=inverted delay=10 kind=percussive").status, 0);
    ASSERT_EQ(run("set " + session + " Pad fader=-inf mute=on width=0.5").status, 0);
    ASSERT_EQ(run("set " + session + " main fader=-1").status, 0);
    s = run("show " + session + " --json").document();
    EXPECT_EQ(s["tracks"][0]["fader_db"], -6.0);
    EXPECT_EQ(s["tracks"][0]["polarity_inverted"], true);
    EXPECT_EQ(s["tracks"][0]["delay_samples"], 10);
    EXPECT_TRUE(s["tracks"][1]["fader_db"].is_null());
    EXPECT_EQ(s["main"]["fader_db"], -1.0);

    ASSERT_EQ(run("set " + session + " Pad fader=0 mute=off width=1").status, 0);
    ASSERT_EQ(run("ride " + session + " Pad level 1=0 2=-12").status, 0);
    const std::string out = (folder / "out.wav").string();
    const Ran rendered =
        run("render " + session + " '" + out + "' --stems '" + (folder / "stems").string() + "' --json");
    ASSERT_EQ(rendered.status, 0) << rendered.err;
    const json report = rendered.document();
    for (const char* key : {"file", "frames", "sample_rate", "sample_peak_dbfs", "true_peak_dbtp", "integrated_lufs",
                            "render_seconds", "realtime_factor"})
        EXPECT_TRUE(report.contains(key)) << key;
    EXPECT_EQ(report["frames"], 240010);
    EXPECT_EQ(read_by_ffmpeg(out), read_by_sox(out));
    EXPECT_EQ(read(out).size(), 2u * 240010u);
    EXPECT_TRUE(fs::exists(folder / "stems/02 Pad.wav"));
    EXPECT_NEAR(report["sample_peak_dbfs"].get<double>(), *measure_file(out).value().measurement.sample_peak_dbfs,
                0.001);

    const Ran part =
        run("render " + session + " '" + out + "' --from 1 --to 2.5 --bits 16 --rate 44100 --block 17 --json");
    EXPECT_EQ(part.document()["frames"], 66150);
    EXPECT_EQ(part.document()["sample_rate"], 44100);

    const Ran checked = run("check " + session + " --json");
    EXPECT_EQ(checked.status, 0) << checked.out;
    EXPECT_EQ(checked.document()["passed"], true);
    const json all_checks = checked.document();
    for (const json& c : all_checks["checks"])
        for (const char* key : {"id", "passed", "measured", "limit", "text"}) EXPECT_TRUE(c.contains(key)) << key;
    ASSERT_EQ(run("set " + session + " main fader=12").status, 0);
    EXPECT_EQ(run("check " + session + " --json").status, 1);

    const Ran played = run("play " + session + " --device simulated --seconds 1 --json");
    ASSERT_EQ(played.status, 0) << played.err;
    for (const char* key : {"blocks", "block_frames", "sample_rate", "late_blocks", "load_median", "load_max"})
        EXPECT_TRUE(played.document().contains(key)) << key;
    EXPECT_GT(played.document()["blocks"], 50);
    EXPECT_EQ(run("play " + session + " --device nothing --seconds 1").status, 3);
}

TEST_F(Cli, a_missing_file_is_told_and_the_rest_goes_on) {
    make_session();
    fs::remove(folder / "audio/Kick.wav");
    const Ran staged = run("stage " + session + " --json");
    EXPECT_EQ(staged.status, 3);
    EXPECT_NE(staged.err.find("Kick.wav: the file does not exist"), std::string::npos);
    ASSERT_EQ(staged.document()["tracks"].size(), 1u);
    EXPECT_EQ(staged.document()["tracks"][0]["name"], "Pad");
    EXPECT_EQ(run("show " + session + " --json").document()["tracks"].size(), 2u);
    const json checked = run("check " + session + " --json").document();
    EXPECT_EQ(checked["passed"], false);
}

TEST_F(Cli, a_broken_session_is_not_overwritten) {
    std::ofstream(folder / "mix.isotonus") << "{ broken";
    EXPECT_EQ(run("stage " + session).status, 3);
    EXPECT_EQ(run("set " + session + " Kick pan=0").status, 3);
    std::ifstream in(folder / "mix.isotonus");
    std::string text;
    std::getline(in, text);
    EXPECT_EQ(text, "{ broken");
}

TEST_F(Cli, solo_reaches_an_export_only_when_asked_for) {
    make_session();
    const auto rendered = [&](const std::string& options) {
        const fs::path out = folder / "out.wav";
        EXPECT_EQ(run("render " + session + " '" + out.string() + "' --bits 32f " + options).status, 0);
        return read(out);
    };
    const auto before = rendered("");
    ASSERT_EQ(run("set " + session + " Pad solo=on").status, 0);
    EXPECT_EQ(rendered(""), before);
    const auto soloed = rendered("--solo");
    EXPECT_NE(soloed, before);
    ASSERT_EQ(run("set " + session + " Kick solo_safe=on").status, 0);
    EXPECT_EQ(rendered("--solo"), before);  // both are heard again
}

TEST_F(Cli, a_session_with_buses_and_a_centred_low_end_is_rendered_and_kept) {
    make_session();
    ASSERT_EQ(run("set " + session + " Pad mono_below=120 pan=1").status, 0);
    EXPECT_EQ(run("set " + session + " Pad mono_below=9999").status, 2);
    json s = run("show " + session + " --json").document();
    EXPECT_EQ(s["tracks"][1]["low_centre_hz"], 120.0);
    s["buses"] = {{{"id", 50}, {"name", "both"}, {"fader_db", -6.0}}};
    s["control_groups"] = {{{"id", 51}, {"name", "pads"}, {"fader_db", -3.0}, {"members", {2}}}};
    for (json& t : s["tracks"]) t["output"] = 50;
    std::ofstream(folder / "mix.isotonus") << s.dump();
    const fs::path out = folder / "out.wav";
    const Ran ran = run("render " + session + " '" + out.string() + "' --bits 32f --stems '" +
                        (folder / "stems").string() + "' --json");
    ASSERT_EQ(ran.status, 0) << ran.err;
    ASSERT_EQ(ran.document()["stems"].size(), 2u);  // one for each track, whatever it is made of
    const auto mix = read(out), kick = read(folder / "stems/01 Kick.wav"), pad = read(folder / "stems/02 Pad.wav");
    ASSERT_EQ(kick.size(), mix.size());
    double most = 0.0;
    for (size_t i = 0; i < mix.size(); ++i)
        most = std::max(
            most, std::fabs(static_cast<double>(mix[i]) - static_cast<double>(kick[i]) - static_cast<double>(pad[i])));
    EXPECT_LT(most, 1e-6);  // the stems' sum is the mix, buses and all
    EXPECT_EQ(run("stage " + session).status, 0);
    s = run("show " + session + " --json").document();
    EXPECT_EQ(s["buses"][0]["name"], "both");
    EXPECT_EQ(s["control_groups"][0]["members"], json::array({2}));
}

TEST_F(Cli, shape_sets_and_shows_chains_of_tracks_and_buses) {
    make_session();
    ASSERT_EQ(run("shape " + session + " Pad 1 low_cut hz=120 slope=24").status, 0);
    EXPECT_THAT(run("shape " + session + " Pad low_cut").err, testing::HasSubstr("'low_cut' is not a number above 0"));
    ASSERT_EQ(run("shape " + session + " Pad 2 compressor threshold_dbfs=-30 ratio=4 key=Kick").status, 0);
    const json pad = run("shape " + session + " Pad --json").document();
    EXPECT_EQ(pad["row"], "Pad");
    ASSERT_EQ(pad["chain"].size(), 2u);
    EXPECT_EQ(pad["chain"][0]["type"], "low_cut");
    EXPECT_EQ(pad["chain"][0]["slope"], "24");
    EXPECT_EQ(pad["chain"][1]["key"], "Kick");
    for (const char* key : {"most_db", "most_at_s", "typical_db"})
        EXPECT_GT(pad["reduction"][key].get<double>(), -1e-9);
    EXPECT_LT(pad["after"]["rms_dbfs"].get<double>(), pad["before"]["rms_dbfs"].get<double>());
    // Of a bus, as of a track; what is rendered has it.
    ASSERT_EQ(run("set " + session + " Kick fader=-6").status, 0);
    Session with_bus_in_it = read_session(folder / "mix.isotonus").value();
    with_bus_in_it =
        with_new_bus(with_bus_in_it, "All", std::nullopt, {with_bus_in_it.tracks[0]->id, with_bus_in_it.tracks[1]->id});
    ASSERT_TRUE(write_session(with_bus_in_it, folder / "mix.isotonus"));
    const auto level = [&] {
        return run("render " + session + " '" + (folder / "out.wav").string() + "' --json")
            .document()["sample_peak_dbfs"]
            .get<double>();
    };
    const double before = level();
    ASSERT_EQ(run("shape " + session + " All 1 compressor threshold_dbfs=-40 ratio=20 attack_ms=0.1").status, 0);
    EXPECT_LT(level(), before - 6.0);
    EXPECT_GT(run("shape " + session + " All --json").document()["reduction"]["most_db"].get<double>(), 6.0);
    ASSERT_EQ(run("ride " + session + " All 1.threshold_dbfs 0=-40 2=0").status, 0);
    ASSERT_EQ(run("shape " + session + " All 1 none").status, 0);
    EXPECT_NEAR(level(), before, 1e-9);
    // Wrong in every way that a user may get it wrong.
    for (const char* wrong : {"Pad 9 gate", "Pad 1 reverb_of_doom", "Pad 1 low_cut hz=9e9", "Pad 1 low_cut hz=nan",
                              "Pad 1 low_cut slope=13", "Pad 1 low_cut warmth=3", "Nobody 1 gate", "main 2 gate",
                              "Pad 2 compressor key=Pad"}) {
        const Ran ran = run("shape " + session + " " + wrong);
        EXPECT_EQ(ran.status, 2) << wrong;
        EXPECT_FALSE(ran.err.empty()) << wrong;
    }
    EXPECT_EQ(run("shape " + session + " Pad --json").document()["chain"], pad["chain"]);
}

TEST_F(Cli, make_up_gives_back_what_is_taken) {
    make_session();
    ASSERT_EQ(run("shape " + session + " Pad 1 compressor threshold_dbfs=-30 ratio=4 makeup_db=auto").status, 0);
    const json pad = run("shape " + session + " Pad --json").document();
    EXPECT_NEAR(pad["chain"][0]["makeup_db"].get<double>(), pad["reduction"]["typical_db"].get<double>(), 1e-9);
    EXPECT_GT(pad["chain"][0]["makeup_db"].get<double>(), 10.0);
}

TEST_F(Cli, advice_is_told_and_taken) {
    make_session();
    const json low = run("advise " + session + " low_cut Pad --json").document();
    EXPECT_GT(low["hz"].get<double>(), 100.0);
    EXPECT_TRUE(run("shape " + session + " Pad --json").document()["chain"].empty());  // told, not taken
    ASSERT_EQ(run("advise " + session + " low_cut Pad --take").status, 0);
    EXPECT_EQ(run("shape " + session + " Pad --json").document()["chain"][0]["hz"], low["hz"]);
    ASSERT_EQ(run("shape " + session + " Pad 2 compressor ratio=4").status, 0);
    ASSERT_EQ(run("advise " + session + " reduction Pad 2 typical=4 --take").status, 0);
    EXPECT_NEAR(run("shape " + session + " Pad --json").document()["chain"][1]["reduction"]["typical_db"].get<double>(),
                4.0, 0.1);
    const json duck = run("advise " + session + " duck Pad Kick --json").document();
    EXPECT_EQ(duck["hits"], 10);
    for (const char* what : {"trouble Pad", "room Kick"})
        EXPECT_EQ(run("advise " + session + " " + what).status, 0) << what;
    for (const char* wrong : {"low_cut Nobody", "reduction Pad 1 typical=4", "reduction Pad 2 typical=x",
                              "reduction Pad 9 most=3", "duck Pad", "duck Pad Nobody", "tea Pad"})
        EXPECT_EQ(run("advise " + session + " " + wrong).status, 2) << wrong;
}

TEST_F(Cli, rows_are_sent_to_returns_and_the_main_chain_leaves_as_it_is_told) {
    make_session();
    for (const char* row : {"Kick", "Pad"}) ASSERT_EQ(run("set " + session + " " + row + " fader=-12").status, 0);
    ASSERT_EQ(run("bus " + session + " add Hall").status, 0);
    ASSERT_EQ(run("shape " + session + " Hall 1 delay left_ms=90 mix=100").status, 0);
    const auto peak = [&](const std::string& more = "") {
        const Ran ran = run("render " + session + " '" + (folder / "out.wav").string() + "' --json" + more);
        EXPECT_EQ(ran.status, 0) << ran.err;
        return ran.document()["sample_peak_dbfs"].get<double>();
    };
    const double dry = peak();
    ASSERT_EQ(run("send " + session + " Pad Hall -9 --pre --pan 0.5").status, 0);
    EXPECT_GT(peak(), dry);
    const json list = run("bus " + session + " list --json").document();
    EXPECT_EQ(list[0]["return"], true);
    EXPECT_EQ(list[0]["sends"][0], (json{{"row", "Pad"}, {"level_db", -9.0}, {"before_fader", true}, {"in", true}}));
    ASSERT_EQ(run("ride " + session + " Pad send.Hall.level 0=-72 1=-72").status, 0);
    EXPECT_NEAR(peak(), dry, 0.01) << "a ride stands for the level";
    ASSERT_EQ(run("ride " + session + " Pad send1.level").status, 0);
    ASSERT_EQ(run("shape " + session + " Hall 2 duck key=Kick depth_db=6").status, 0);
    ASSERT_EQ(run("bus " + session + " set Hall fader=-3 pan=0.2 mute=on").status, 0);
    EXPECT_NEAR(peak(), dry, 0.01);
    ASSERT_EQ(run("bus " + session + " set Hall mute=off").status, 0);
    ASSERT_EQ(run("shape " + session + " main 1 limiter ceiling_dbtp=-20").status, 0);
    EXPECT_GT(peak(), -19.8) << "mastering wants the mix without it";
    EXPECT_LE(peak(" --main-chain in"), -19.8) << "as it is heard";
    // A pass in which every chain runs once gives the samples that are kept otherwise: beside stems, of a stretch, of a
    // solo.
    const auto samples = [&](const std::string& more) {
        const fs::path out = folder / "samples.wav";
        EXPECT_EQ(run("render " + session + " '" + out.string() + "' --bits 32f" + more).status, 0) << more;
        return read(out);
    };
    const std::string stems = " --stems '" + (folder / "stems").string() + "'";
    const auto whole = samples("");
    EXPECT_EQ(samples(stems), whole);
    EXPECT_EQ(samples(" --from 0.5"), std::vector<float>(whole.begin() + 2 * 24000, whole.end()));
    EXPECT_EQ(samples(" --block 100"), whole);
    ASSERT_EQ(run("set " + session + " Pad solo=on").status, 0);
    EXPECT_EQ(samples(""), whole);
    EXPECT_EQ(samples(" --solo"), samples(" --solo" + stems));
    EXPECT_NE(samples(" --solo"), whole);
    ASSERT_EQ(run("set " + session + " Pad solo=off").status, 0);
    for (const char* way : {"out", "in", "both"}) {
        const fs::path out = folder / way;
        const Ran ran =
            run("deliver " + session + " '" + out.string() + "' --stems tracks --main-chain " + way + " --json");
        ASSERT_EQ(ran.status, 0) << ran.err;
        const json sheet = ran.document();
        EXPECT_EQ(sheet["main"]["chain_delivered"], way);
        EXPECT_EQ(sheet["main"]["chain"][0]["type"], "limiter");
        EXPECT_EQ(sheet["buses"][0]["return"], true);
        EXPECT_EQ(sheet["tracks"][1]["sends"][0]["to"], "Hall");
        EXPECT_EQ(sheet["files"].size(), std::string(way) == "both" ? 5u : 4u);
        if (std::string(way) != "out") {
            EXPECT_LE(sheet["files"][std::string(way) == "both" ? 1 : 0]["sample_peak_dbfs"].get<double>(), -19.8);
        }
        // The mastering desk takes what leaves without the chain, or both ways, and its stems.
        if (std::string(way) != "in") {
            int status = 0;
            const std::string said = output_of("'" ISOTONUS_DESK "' '" + out.string() + "' 2>&1", &status);
            EXPECT_EQ(status, 0) << said;
        }
    }
    EXPECT_EQ(run("send " + session + " Pad Hall none").status, 0);
    ASSERT_EQ(run("bus " + session + " remove Hall").status, 0);
    for (const char* wrong : {"send S Pad Hall -3", "bus S add Two Nobody", "bus S set Two fader=0", "bus S remove Two",
                              "bus S add Kick"}) {
        std::string line = wrong;
        line.replace(line.find(" S "), 3, " " + session + " ");
        const Ran ran = run(line);
        EXPECT_EQ(ran.status, 2) << wrong;
        EXPECT_FALSE(ran.err.empty()) << wrong;
    }
    ASSERT_EQ(run("bus " + session + " add One Pad").status, 0);
    ASSERT_EQ(run("bus " + session + " add Two One").status, 0);
    for (const std::string& ring :
         std::vector<std::string>{"send " + session + " Two One 0", "bus " + session + " set Two output=One",
                                  "send " + session + " main One 0", "send " + session + " Pad One 13",
                                  "send " + session + " Pad One 0 --pan 2", "send " + session + " Pad One none"}) {
        EXPECT_EQ(run(ring).status, 2) << ring;
    }
}

TEST_F(Cli, presets_are_listed_kept_and_set) {
    setenv("XDG_CONFIG_HOME", (folder / "config").c_str(), 1);
    make_session();
    EXPECT_EQ(run("preset " + session + " list --json").document().size(), 32u);
    ASSERT_EQ(run("preset " + session + " set 'Level bass' Pad Kick").status, 0);
    EXPECT_EQ(run("shape " + session + " Kick --json").document()["chain"][0]["ratio"], 4.0);
    ASSERT_EQ(run("shape " + session + " Pad 2 gate").status, 0);
    ASSERT_EQ(run("preset " + session + " add Mine Pad --purpose 'for pads'").status, 0);
    EXPECT_EQ(run("preset " + session + " list --json").document().back()["purpose"], "for pads");
    ASSERT_EQ(run("preset " + session + " set Mine Kick").status, 0);
    EXPECT_EQ(run("shape " + session + " Kick --json").document()["chain"].size(), 2u);
    ASSERT_EQ(run("preset " + session + " remove Mine").status, 0);
    for (const char* wrong : {"set Mine Kick", "remove Mine", "add 'Level bass' Pad", "set 'Level bass' Nobody", "set"})
        EXPECT_EQ(run("preset " + session + " " + wrong).status, 2) << wrong;
    unsetenv("XDG_CONFIG_HOME");
}

TEST_F(Cli, plug_ins_are_listed_set_and_taken_out_and_rooms_and_notes_are_said) {
    Plugins plugins;
    plugins.add_odd();
    make_session();
    const json listed = run("plugins scan --json").document();
    EXPECT_EQ(listed.size(), 12u);
    EXPECT_EQ(run("plugins list 'odd hangs at once' --json").document()[0]["fault"].get<std::string>().substr(0, 18),
              "the plug-in did no");
    const std::string amp = "lv2 uri=http://lv2plug.in/plugins/eg-amp";
    const double before = run("shape " + session + " Pad --json").document()["before"]["rms_dbfs"];
    ASSERT_EQ(run("shape " + session + " Pad 1 " + amp + " gain=-7 mix=100").status, 0);
    ASSERT_EQ(run("shape " + session + " Pad 1 lv2 gain=-6").status, 0) << "the same one, set again";
    const json shaped = run("shape " + session + " Pad --json").document();
    EXPECT_EQ(shaped["chain"][0]["type"], "lv2");
    EXPECT_EQ(shaped["chain"][0]["uri"], "http://lv2plug.in/plugins/eg-amp");
    EXPECT_EQ(shaped["chain"][0]["gain"], -6.0);
    EXPECT_NEAR(shaped["after"]["rms_dbfs"].get<double>(), before - 6.0, 0.01);
    ASSERT_EQ(run("shape " + session + " Kick 1 lv2 uri=urn:isotonus:test:crashes").status, 0);
    const json checks = run("check " + session + " --json").document()["checks"];
    const auto told = std::find_if(checks.begin(), checks.end(), [](const json& c) { return c["id"] == "cannot_run"; });
    ASSERT_NE(told, checks.end());
    EXPECT_EQ((*told)["passed"], false);
    for (const char* wrong : {"2 lv2", "1 lv2 uri=urn:none", "1 lv2 after=99", "1 reverb impulse=/nowhere.wav",
                              "1 modulation rate_hz=1/4", "1 modulation rate_hz=1/5"})
        EXPECT_EQ(run("shape " + session + " Kick " + wrong).status, 2) << wrong;
    write(folder / "room.wav", make(2000, 1, noise(1, 0.5)), 1);
    ASSERT_EQ(run("shape " + session + " Kick 1 reverb impulse='" + (folder / "room.wav").string() + "'").status, 0);
    EXPECT_EQ(run("shape " + session + " Kick --json").document()["chain"][0]["impulse"],
              (folder / "room.wav").string());
}

TEST_F(Cli, what_stems_will_be_is_said_before_they_are_written) {
    make_session();
    ASSERT_EQ(run("bus " + session + " add Hall").status, 0);
    ASSERT_EQ(run("send " + session + " Pad Hall -6").status, 0);
    ASSERT_EQ(run("shape " + session + " Hall 1 reverb decay_s=0.5").status, 0);
    const std::string deliver =
        "deliver " + session + " '" + (folder / "out").string() + "' --stems tracks --bits 32f ";
    const json own = run(deliver + "--dry-run --json").document(),
               shared = run(deliver + "--shares --dry-run --json").document();
    EXPECT_FALSE(fs::exists(folder / "out"));
    EXPECT_EQ(own["files"].size(), shared["files"].size() + 1) << "the return is a stem, or in that of its row";
    EXPECT_LT(shared["stems_residue_dbfs"].get<double>(), -120.0);
    EXPECT_NE(run(deliver + "--shares --dry-run").out.find("the sum of the stems will differ"), std::string::npos);
    const json sheet = run(deliver + "--shares --json").document();
    for (const json& file : shared["files"]) EXPECT_TRUE(fs::exists(file.get<std::string>())) << file;
    EXPECT_NEAR(sheet["stems_residue_dbfs"].get<double>(), shared["stems_residue_dbfs"].get<double>(), 1e-6);
}

TEST_F(Cli, a_reference_is_listed_and_compared_with_band_by_band) {
    make_session();
    // The mix itself, 6 dB louder, is the mix once it is matched.
    ASSERT_EQ(run("render " + session + " '" + (folder / "mix.wav").string() + "' --bits 32f").status, 0);
    auto samples = read(folder / "mix.wav");
    for (float& x : samples) x *= 0.5f;
    write(folder / "softer.wav", samples, 2);
    ASSERT_EQ(run("reference " + session + " add '" + (folder / "softer.wav").string() + "' --note 'the boats'").status,
              0);
    EXPECT_EQ(run("reference " + session + " list --json").document()[0]["note"], "the boats");
    const json j = run("compare " + session + " softer --json").document();
    EXPECT_NEAR(j["match_db"].get<double>(), 6.02, 0.05);
    ASSERT_EQ(j["bands"].size(), 30u);
    EXPECT_EQ(j["bands"][16]["hz"], 1000.0);
    for (const json& b : j["bands"])
        EXPECT_NEAR(b["difference_db"].is_null() ? 0.0 : b["difference_db"].get<double>(), 0.0, 0.1) << b;
    EXPECT_NEAR(j["mix"]["integrated_lufs"].get<double>() - j["reference"]["integrated_lufs"].get<double>(), 6.02,
                0.05);
    ASSERT_EQ(run("reference " + session + " set softer --note 'quieter boats'").status, 0);
    ASSERT_EQ(run("reference " + session +
                  " passage softer --passage chorus --from 0.2 --to 0.8 --song-from 0.1 --song-to "
                  "0.7")
                  .status,
              0);
    EXPECT_EQ(run("reference " + session + " list --json").document()[0]["passages"][0]["song_from_s"], 0.1);
    EXPECT_EQ(run("reference " + session + " passage softer --from 0.8 --to 0.2").status, 2);
    EXPECT_EQ(run("reference " + session + " changes softer").status, 3) << "no print: no session was kept";
    ASSERT_EQ(run("reference " + session + " remove softer").status, 0);
    EXPECT_TRUE(run("reference " + session + " list --json").document().empty());
    EXPECT_EQ(run("compare " + session + " softer").status, 3);
    EXPECT_EQ(run("reference " + session + " add /nowhere.wav").status, 3);
    EXPECT_EQ(run("reference " + session + " remove softer").status, 2);
}

TEST_F(Cli, notes_are_taken_ticked_off_and_put_on_the_sheet) {
    make_session();
    ASSERT_EQ(run("note " + session + " add --at 2.5 --text 'voice too loud' --heard-on car").status, 0);
    ASSERT_EQ(run("note " + session + " add --at 0.5 --text 'kick late'").status, 0);
    json list = run("note " + session + " list --json").document();
    ASSERT_EQ(list.size(), 2u);
    EXPECT_EQ(list[0]["text"], "kick late") << "in order of time";
    EXPECT_EQ(list[1]["heard_on"], "car");
    ASSERT_EQ(run("note " + session + " done 1").status, 0);
    EXPECT_EQ(run("note " + session + " list --json").document()[0]["done"], true);
    ASSERT_EQ(run("note " + session + " undone 1").status, 0);
    ASSERT_EQ(run("note " + session + " remove 1").status, 0);
    EXPECT_EQ(run("note " + session + " list --json").document().size(), 1u);
    EXPECT_EQ(run("note " + session + " remove 9").status, 2);
    EXPECT_EQ(run("note " + session + " add --at 1").status, 2) << "a note needs words";
    EXPECT_EQ(run("note " + session + " add --text words").status, 2) << "and a place";
    EXPECT_EQ(run("note " + session + " list --json").document().size(), 1u) << "nothing was taken";
}

TEST_F(Cli, what_has_changed_since_a_print_is_listed_and_taken_back) {
    make_session();
    const fs::path file = folder / "mix.isotonus";
    Session s = read_session(file).value();
    Recording print;
    print.name = "mix 1";
    print.file = write(folder / "mix 1.wav", make(4800, 2, noise(1, 0.1)), 2);
    print.session = folder / "mix 1.wav.isotonus";
    ASSERT_TRUE(write_session(s, print.session));
    s.recordings.push_back(print);
    ASSERT_TRUE(write_session(s, file));
    const std::string row = s.tracks[0]->name, other = s.tracks[1]->name;
    const double fader = s.tracks[0]->fader_db;
    ASSERT_EQ(run("set " + session + " '" + row + "' fader=-11").status, 0);
    ASSERT_EQ(run("set " + session + " '" + other + "' pan=0.5").status, 0);
    const json changes = run("reference " + session + " changes 'mix 1' --json").document();
    ASSERT_EQ(changes.size(), 2u);
    EXPECT_EQ(changes[0]["row"], row);
    EXPECT_THAT(changes[0]["words"][0].get<std::string>(), testing::StartsWith("fader −11.0 dB, was "));
    ASSERT_EQ(run("reference " + session + " take-back 'mix 1' --row '" + row + "'").status, 0);
    EXPECT_EQ(read_session(file).value().tracks[0]->fader_db, fader);
    EXPECT_EQ(run("reference " + session + " changes 'mix 1' --json").document().size(), 1u);
    EXPECT_EQ(run("reference " + session + " take-back 'mix 1' --row '" + row + "'").status, 2)
        << "nothing has changed";
    ASSERT_EQ(run("reference " + session + " take-back 'mix 1'").status, 0);
    EXPECT_TRUE(run("reference " + session + " changes 'mix 1' --json").document().empty());
    fs::remove(print.session);
    EXPECT_EQ(run("reference " + session + " changes 'mix 1'").status, 3);
}
