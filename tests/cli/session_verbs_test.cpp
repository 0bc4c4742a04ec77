// The verbs that do without a display what the window's menus do: rows, groups, sections, clips, alignment, sheets,
// collecting; and what shells and man pages are made of.
#include "core/session/clips.h"
#include "core/session/sections_file.h"
#include "core/session/session_file.h"
#include "tests/support/command_line.h"
#include "tests/support/made_song.h"

using namespace isotonus;
using namespace isotonus::test;
using nlohmann::json;

namespace {
class CliSession : public Cli {
  protected:
    void SetUp() override { make_session(); }
    Session now() { return read_session(folder / "mix.isotonus").value(); }
    std::string quoted(const char* name) { return "'" + (folder / name).string() + "'"; }
};
}  // namespace

TEST_F(CliSession, a_band_whose_values_are_set_is_on) {
    ASSERT_EQ(run("shape " + session + " Kick 1 equaliser band3.hz=400 band3.db=-3").status, 0);
    const Processor eq = now().find("Kick")->chain.at(0);
    EXPECT_EQ(eq.values.at("band3.in"), 1.0);
    EXPECT_FALSE(eq.values.contains("band2.in"));
    ASSERT_EQ(run("shape " + session + " Kick 1 equaliser band3.db=-4 band3.in=off").status, 0);
    EXPECT_EQ(now().find("Kick")->chain.at(0).values.at("band3.in"), 0.0);
}

TEST_F(CliSession, pans_are_typed_as_people_type_them_and_a_send_may_be_silent) {
    for (const auto& [typed, pan] :
         {std::pair{"L12", -0.12}, {"'12 r'", 0.12}, {"'-6 %'", -0.06}, {"c", 0.0}, {"0.34", 0.34}, {"-1", -1.0}}) {
        ASSERT_EQ(run("set " + session + " Kick pan=" + typed).status, 0) << typed;
        EXPECT_NEAR(now().find("Kick")->pan, pan, 1e-12) << typed;
    }
    EXPECT_EQ(run("set " + session + " Kick pan=L130").status, 2);
    ASSERT_EQ(run("bus " + session + " add Hall").status, 0);
    const Ran sent = run("send " + session + " Kick Hall -inf");
    ASSERT_EQ(sent.status, 0) << sent.err;
    EXPECT_EQ(now().find("Kick")->sends.at(0).level_db, silence_db);
}

TEST_F(CliSession, the_tempo_is_set_found_told_and_taken_away) {
    EXPECT_EQ(run("tempo " + session + " '97,5 6/8' --at 0.5").status, 0);
    EXPECT_EQ(now().tempo[0], (TempoMark{0.5, 97.5, 6, 8}));
    EXPECT_EQ(run("tempo " + session + " --json").document()["tempo"][0]["quarters_a_minute"], 97.5);
    EXPECT_EQ(run("tempo " + session + " fast").status, 2);
    // Several tempos, from a file, are not lost by setting one.
    Session several = now();
    several.tempo = {{0.0, 100.0}, {2.0, 120.0}};
    ASSERT_TRUE(write_session(several, folder / "mix.isotonus"));
    const Ran refused = run("tempo " + session + " 99");
    EXPECT_EQ(refused.status, 2);
    EXPECT_NE(refused.err.find("2 tempos"), std::string::npos) << refused.err;
    EXPECT_EQ(now().tempo.size(), 2u);
    EXPECT_EQ(run("tempo " + session + " none").status, 0);
    EXPECT_TRUE(now().tempo.empty());
    // Sixteen bars of a kick on one and three, a clap on two and four.
    const auto hits = [&](const char* name, double first_beat) {
        write(folder / name,
              make(48000 * 36, 1,
                   [=, n = noise(5, 0.8)](int64_t i, int c) {
                       const double beat = (static_cast<double>(i) / 48000.0 - 0.25) * 110.0 / 60.0 - first_beat;
                       const double since_s = (beat - 2.0 * std::floor(beat / 2.0)) * 60.0 / 110.0;
                       return beat < 0.0 ? 0.0 : n(i, c) * std::exp(-since_s / 0.03);
                   }),
              1);
        ASSERT_EQ(run("add " + session + " " + quoted(name)).status, 0);
    };
    hits("Big Kick.wav", 0.0);
    hits("Clap.wav", 1.0);
    ASSERT_EQ(run("row " + session + " Kick remove").status, 0);
    const Ran found = run("tempo " + session + " find --json --take");
    ASSERT_EQ(found.status, 0) << found.err;
    EXPECT_NEAR(found.document()["quarters_a_minute"].get<double>(), 110.0, 0.01);
    EXPECT_NEAR(now().tempo[0].time_s, 0.25, 0.01);
}

TEST_F(CliSession, the_suggested_levels_put_the_main_output_into_its_window) {
    const Ran told = run("advise " + session + " levels --json --take");
    ASSERT_EQ(told.status, 0) << told.err;
    EXPECT_EQ(told.document()["faders"].size(), now().tracks.size());
    const json checks = run("check " + session + " --json").document();
    const double peak = run("advise " + session + " headroom --json").document()["peak_dbfs"].get<double>();
    EXPECT_GT(peak, now().targets.mains_low_dbfs);
    EXPECT_LT(peak, now().targets.mains_high_dbfs);
}

TEST_F(CliSession, a_track_goes_by_a_bus_and_a_bus_is_advised_too) {
    ASSERT_EQ(run("bus " + session + " add Drums Kick").status, 0);
    ASSERT_EQ(run("shape " + session + " Pad 1 duck key=Drums depth_db=9").status, 0);
    EXPECT_EQ(run("shape " + session + " Pad --json").document()["chain"][0]["key"], "Drums");
    const Ran circle = run("shape " + session + " Kick 1 duck key=Drums");
    EXPECT_EQ(circle.status, 2);
    EXPECT_NE(circle.err.find("makes a loop"), std::string::npos) << circle.err;
    ASSERT_EQ(run("shape " + session + " Drums 1 compressor").status, 0);
    const Ran advised = run("advise " + session + " reduction Drums 1 most=4 --json --take");
    ASSERT_EQ(advised.status, 0) << advised.err;
    EXPECT_NEAR(advised.document()["most_db"].get<double>(), 4.0, 0.15);
    EXPECT_EQ(now().find_bus(now().buses[0].id)->chain[0].values.at("threshold_dbfs"),
              advised.document()["threshold_dbfs"].get<double>());
}

TEST_F(CliSession, a_preset_is_solved_for_its_track_and_may_stand_behind_a_chain) {
    setenv("XDG_CONFIG_HOME", (folder / "config").c_str(), 1);
    ASSERT_EQ(run("shape " + session + " Pad 1 low_cut hz=90").status, 0);
    ASSERT_EQ(run("preset " + session + " set 'Barely moving' Pad --append").status, 0);
    ASSERT_EQ(now().find("Pad")->chain.size(), 2u);
    const json reduction = run("shape " + session + " Pad --json").document();
    EXPECT_NEAR(reduction["reduction"]["typical_db"].get<double>(), 1.5, 0.2);
    unsetenv("XDG_CONFIG_HOME");
}

TEST_F(CliSession, rows_are_moved_renamed_doubled_and_removed) {
    EXPECT_EQ(run("row " + session + " Kick down").status, 0);
    EXPECT_EQ(now().tracks[1]->name, "Kick");
    EXPECT_EQ(run("row " + session + " Kick rename 'Big Kick'").status, 0);
    EXPECT_EQ(run("row " + session + " 'Big Kick' anchor on").status, 0);
    EXPECT_TRUE(now().find("Big Kick")->anchor);
    const Ran taken = run("row " + session + " Pad rename 'Big Kick'");
    EXPECT_EQ(taken.status, 2);
    EXPECT_NE(taken.err.find("already"), std::string::npos) << taken.err;
    EXPECT_EQ(run("row " + session + " Pad duplicate").status, 0);
    EXPECT_EQ(now().tracks.size(), 3u);
    EXPECT_EQ(run("row " + session + " Pad remove").status, 0);
    EXPECT_EQ(now().tracks.size(), 2u);
    EXPECT_EQ(run("row " + session + " Ghost up").status, 2);
    // More files, and those of a folder; one that is none changes nothing.
    fs::create_directories(folder / "more");
    write(folder / "more/Voice.wav", make(48000, 1, noise(2, 0.1)), 1);
    EXPECT_EQ(run("add " + session + " " + quoted("more")).status, 0);
    EXPECT_TRUE(now().find("Voice"));
    std::ofstream(folder / "no.wav") << "words";
    EXPECT_EQ(run("add " + session + " " + quoted("no.wav")).status, 3);
    EXPECT_EQ(now().tracks.size(), 3u);
}

TEST_F(CliSession, groups_sheets_and_the_pan_law) {
    EXPECT_EQ(run("group " + session + " add all Kick Pad").status, 0);
    EXPECT_EQ(run("group " + session + " set all fader=-3").status, 0);
    EXPECT_EQ(run("group " + session + " list --json").document()[0]["members"], (json{"Kick", "Pad"}));
    EXPECT_EQ(now().group_db(now().find("Pad")->id), -3.0);
    EXPECT_EQ(run("group " + session + " set all pan=1").status, 2);
    EXPECT_EQ(run("group " + session + " set all mute=on").status, 0);
    EXPECT_EQ(run("group " + session + " list --json").document()[0]["mute"], true);
    EXPECT_EQ(now().group_db(now().find("Pad")->id), -3.0) << "the fader stays";
    EXPECT_FALSE(now().is_open(*now().find("Pad")));
    EXPECT_EQ(run("group " + session + " set all mute=off solo=on").status, 0);
    EXPECT_TRUE(now().any_solo() && now().is_open(*now().find("Pad")));
    EXPECT_EQ(run("group " + session + " set all solo=off").status, 0);
    EXPECT_EQ(run("deliver " + session + " " + quoted("stems") + " --stems groups --json").status, 0);
    EXPECT_TRUE(is_there(folder / "stems/mix 01 all.wav"));
    EXPECT_EQ(run("group " + session + " remove all").status, 0);
    EXPECT_TRUE(now().groups.empty());
    const json sheets = run("sheet " + session + " list --json").document();
    ASSERT_GT(sheets.size(), 1u);
    EXPECT_EQ(run("sheet " + session + " use '" + sheets[1].get<std::string>() + "'").status, 0);
    EXPECT_EQ(now().targets.name, sheets[1].get<std::string>());
    EXPECT_EQ(run("sheet " + session + " export " + quoted("own.json")).status, 0);
    EXPECT_EQ(run("sheet " + session + " use '" + sheets[0].get<std::string>() + "'").status, 0);
    EXPECT_EQ(run("sheet " + session + " use " + quoted("own.json")).status, 0);
    EXPECT_EQ(now().targets.name, sheets[1].get<std::string>());
    // What the session needs is never written over.
    const Ran over = run("sheet " + session + " export " + quoted("audio/Kick.wav"));
    EXPECT_EQ(over.status, 3);
    EXPECT_NE(over.err.find("Kick"), std::string::npos) << over.err;
    EXPECT_EQ(run("set " + session + " main pan_law=linear").status, 0);
    EXPECT_EQ(now().pan_law, PanLaw::linear);
    EXPECT_EQ(run("set " + session + " main pan_law=odd").status, 2);
}

TEST_F(CliSession, sections_and_tempo_go_out_and_come_in) {
    EXPECT_EQ(run("section " + session + " add verse --at 0").status, 0);
    EXPECT_EQ(run("section " + session + " add chorus --at 2.5").status, 0);
    EXPECT_EQ(run("section " + session + " rename chorus refrain").status, 0);
    EXPECT_EQ(run("section " + session + " add nowhere").status, 2);
    const json listed = run("section " + session + " list --json").document();
    EXPECT_EQ(listed["sections"][1]["name"], "refrain");
    EXPECT_EQ(listed["sections"][1]["start_s"], 2.5);
    EXPECT_EQ(run("section " + session + " export " + quoted("parts.mid")).status, 0);
    EXPECT_EQ(read_sections(folder / "parts.mid").value().sections.size(), 2u);
    EXPECT_EQ(run("section " + session + " remove verse").status, 0);
    EXPECT_EQ(now().sections.size(), 1u);
    EXPECT_EQ(run("section " + session + " import " + quoted("parts.mid")).status, 0);
    EXPECT_EQ(now().sections.size(), 2u);
    EXPECT_EQ(run("section " + session + " remove bridge").status, 2);
}

TEST_F(CliSession, clips_are_split_silenced_and_lifted) {
    EXPECT_EQ(run("clip " + session + " list Kick --json").document().size(), 1u);
    EXPECT_EQ(run("clip " + session + " split Kick --at 1.0").status, 0);
    EXPECT_EQ(now().find("Kick")->source.clips.size(), 2u);
    EXPECT_EQ(run("clip " + session + " gain Kick --from 2 --to 3 --db 4").status, 0);
    const json clips = run("clip " + session + " list Kick --json").document();
    EXPECT_TRUE(std::any_of(clips.begin(), clips.end(), [](const json& c) { return c["gain_db"] == 4.0; }));
    EXPECT_EQ(run("clip " + session + " silence Pad --from 1 --to 2").status, 0);
    const auto pad = clips_of(now().find("Pad")->source, 240000);
    EXPECT_EQ(clip_at(pad, 72000), -1);
    EXPECT_EQ(run("clip " + session + " silence Pad --from 2 --to 1").status, 2);
    EXPECT_EQ(run("clip " + session + " split Pad --at 99").status, 2);
    EXPECT_EQ(run("clip " + session + " tame Kick").status, 0);
}

TEST_F(CliSession, a_track_is_aligned_to_another_one) {
    // The kick again, 100 samples later and upside down.
    auto late = read(folder / "audio/Kick.wav");
    late.insert(late.begin(), 100, 0.0f);
    for (float& v : late) v = -v;
    write(folder / "Far.wav", late, 1);
    ASSERT_EQ(run("add " + session + " " + quoted("Far.wav")).status, 0);
    const json found = run("align " + session + " Far Kick --json --take").document();
    EXPECT_NEAR(found["delay_samples"].get<double>(), 100.0, 0.1);
    EXPECT_TRUE(found["inverted"] && found["reliable"] && found["applied"]);
    EXPECT_NEAR(now().find("Far")->delay_samples, -100.0, 0.1);
    EXPECT_TRUE(now().find("Far")->polarity_inverted);
    EXPECT_NEAR(run("align " + session + " Far Kick --json").document()["delay_samples"].get<double>(), 0.0, 0.1);
    EXPECT_EQ(run("align " + session + " Pad Kick --take").status, 1) << "not sure enough";
}

TEST_F(CliSession, collected_it_plays_the_same_anywhere) {
    ASSERT_EQ(run("set " + session + " Kick fader=-6").status, 0);
    fs::create_directories(folder / "elsewhere");
    write(folder / "elsewhere/Kick.wav", make(48000, 2, noise(4, 0.2)), 2);  // of the same name as a track's
    ASSERT_EQ(run("reference " + session + " add " + quoted("elsewhere/Kick.wav")).status, 0);
    ASSERT_EQ(run("render " + session + " " + quoted("before.wav")).status, 0);
    const Ran ran = run("pack " + session + " " + quoted("all") + " --json");
    ASSERT_EQ(ran.status, 0) << ran.err;
    EXPECT_EQ(ran.document()["files"].size(), 3u);
    // Moved, and the sources gone.
    fs::rename(folder / "all", folder / "moved");
    fs::remove_all(folder / "audio");
    fs::remove_all(folder / "elsewhere");
    ASSERT_EQ(run("render " + quoted("moved/mix.isotonus") + " " + quoted("after.wav")).status, 0);
    EXPECT_EQ(read(folder / "after.wav"), read(folder / "before.wav"));
    EXPECT_TRUE(is_there(read_session(folder / "moved/mix.isotonus").value().recordings[0].file));
    // A folder that is not empty is left alone; files that are missing are told, and found again by name.
    EXPECT_EQ(run("pack " + session + " " + quoted("moved")).status, 3);
    const Ran missing = run("pack " + session + " " + quoted("rest"));
    EXPECT_EQ(missing.status, 3);
    EXPECT_NE(missing.err.find("the file of the track 'Kick'"), std::string::npos) << missing.err;
    EXPECT_EQ(run("relink " + session + " " + quoted("moved")).status, 0);
    EXPECT_EQ(run("check " + session).err, "");
    EXPECT_EQ(run("relink " + session + " " + quoted("moved")).status, 1) << "nothing is missing any more";
}

TEST_F(CliSession, what_shells_and_man_pages_are_made_of_knows_every_verb) {
    const std::string verbs = run("completion --verbs").out, help = run("--help").out;
    const std::string script = run("completion").out;
    size_t count = 0;
    std::istringstream lines(verbs);
    for (std::string line; std::getline(lines, line); ++count) {
        const std::string verb = line.substr(0, line.find(' '));
        EXPECT_NE(help.find("  " + verb + " "), std::string::npos) << verb;
        EXPECT_NE(script.find("        " + verb + ") words="), std::string::npos) << verb;
    }
    EXPECT_GT(count, 25u);
    // Bash takes it, and completes with it.
    std::ofstream(folder / "completion.bash") << script << R"(
COMP_WORDS=(isotonus-cli sh) COMP_CWORD=1
_isotonus_cli && echo ${COMPREPLY[@]}
COMP_WORDS=(isotonus-cli check --j) COMP_CWORD=2
_isotonus_cli && echo ${COMPREPLY[@]}
)";
    const std::string answer = output_of("bash '" + (folder / "completion.bash").string() + "'");
    EXPECT_EQ(answer, "show shape sheet\n--json\n");
}

TEST_F(CliSession, a_ride_is_taken_out_and_in) {
    EXPECT_EQ(run("ride " + session + " Kick level --out").status, 2) << "there is none";
    ASSERT_EQ(run("ride " + session + " Kick level 0=-6 2=0").status, 0);
    EXPECT_EQ(run("ride " + session + " Kick level --out").status, 0);
    EXPECT_TRUE(now().find("Kick")->rides.is_out(Parameter::level));
    const json checks = run("check " + session + " --json").document()["checks"];
    EXPECT_TRUE(std::any_of(checks.begin(), checks.end(),
                            [](const json& c) { return c["id"] == "rides_bypassed" && c["passed"] == false; }));
    EXPECT_EQ(run("ride " + session + " Kick level --in").status, 0);
    EXPECT_FALSE(now().find("Kick")->rides.any_bypassed());
    EXPECT_EQ(run("ride " + session + " Kick level --in --out").status, 2);
}

TEST_F(CliSession, headroom_is_found_and_taken) {
    ASSERT_EQ(run("set " + session + " Kick fader=-3").status, 0);
    ASSERT_EQ(run("row " + session + " Pad anchor on").status, 0);
    const json plan = run("advise " + session + " headroom --json").document();
    EXPECT_GE(plan["ways"].size(), 2u) << plan.dump();
    for (const json& way : plan["ways"]) EXPECT_TRUE(way["reaches"]) << plan.dump();
    EXPECT_EQ(run("advise " + session + " headroom upwards").status, 2);
    ASSERT_EQ(run("advise " + session + " headroom largest --take").status, 0);
    EXPECT_LT(now().find("Kick")->fader_db, -3.0);
    const json after = run("advise " + session + " headroom --json").document();
    EXPECT_TRUE(after["ways"].empty()) << after.dump();
    EXPECT_LE(after["peak_dbfs"].get<double>(), after["target_dbfs"].get<double>() + 0.05);
}

TEST_F(CliSession, staging_leaves_a_passage_aside) {
    ASSERT_EQ(run("stage " + session).status, 0);
    const double with_all = now().find("Kick")->trim_db;
    EXPECT_EQ(run("set " + session + " Kick staged_without=0-99").status, 0);
    EXPECT_EQ(run("stage " + session).status, 0) << "nothing is left to stage by";
    ASSERT_EQ(run("set " + session + " Kick staged_without=off").status, 0);
    ASSERT_EQ(run("stage " + session).status, 0);
    EXPECT_EQ(now().find("Kick")->trim_db, with_all);
    // The second of the kick's hits is the loudest one here.
    ASSERT_EQ(run("clip " + session + " gain Kick --from 0.4 --to 0.9 --db 3").status, 0);
    ASSERT_EQ(run("stage " + session).status, 0);
    EXPECT_NEAR(now().find("Kick")->trim_db, with_all - 3.0, 0.2);
    ASSERT_EQ(run("set " + session + " Kick staged_without=0.35-0.95").status, 0);
    ASSERT_EQ(run("stage " + session).status, 0);
    EXPECT_NEAR(now().find("Kick")->trim_db, with_all, 0.2);
    EXPECT_EQ(run("row " + session + " Pad anchor on").status, 0);
    EXPECT_EQ(run("row " + session + " Kick anchor on").status, 0);
    EXPECT_EQ(run("row " + session + " Pad earlier").status, 0);
    EXPECT_EQ(now().anchor_order.front(), now().find("Pad")->id);
}

TEST_F(CliSession, a_rough_mix_gives_what_least_squares_of_all_samples_give) {
    const MadeSong song(folder, 5, 8.0);
    const auto made = song.random_settings(3);
    const std::string mix = quoted("rough mix.wav"), file = quoted("song.isotonus");
    write(folder / "rough mix.wav", song.mixed(made), 2);
    ASSERT_EQ(run("new " + file + " --from " + quoted("song0")).status, 0);
    const Ran ran = run("balance " + file + " --like " + mix + " --json");
    ASSERT_EQ(ran.status, 0) << ran.err;
    const json found = ran.document();
    EXPECT_LT(found["left_over_db"].get<double>(), -60.0);
    // The same by another program over every sample: numpy's linalg.lstsq, side by side.
    put(folder / "l.py", R"(
import glob, json, sys
import numpy as np
from scipy.io import wavfile
_, mix = wavfile.read('rough mix.wav')
tracks = [wavfile.read(f)[1] for f in sorted(glob.glob('song0/*.wav'))]
print(json.dumps([np.linalg.lstsq(np.stack([t if t.ndim == 1 else t[:, side] for t in tracks], 1).astype(float),
                                  mix[:, side].astype(float), rcond=None)[0].tolist() for side in (0, 1)]))
)");
    const json gains = json::parse(output_of("cd '" + folder.path().string() + "' && /usr/bin/python3 -W ignore l.py"));
    for (size_t n = 0; n < made.size(); ++n) {
        const json& t = found["tracks"][n];
        const double left = std::fabs(gains[0][n].get<double>()), right = std::fabs(gains[1][n].get<double>());
        const double level = song.channels(n) == 1 ? std::hypot(left, right) : std::max(left, right);
        EXPECT_NEAR(t["fader_db"].get<double>(), 20.0 * std::log10(level), 0.02) << n;
        if (song.channels(n) == 1) {
            EXPECT_NEAR(t["pan"].get<double>(), 4.0 / std::numbers::pi * std::atan2(right, left) - 1.0, 0.003);
        }
        EXPECT_EQ(t["invert_polarity"].get<bool>(), gains[0][n].get<double>() + gains[1][n].get<double>() < 0.0);
        EXPECT_FALSE(t["reason"].get<std::string>().empty());
    }
    const auto stored = [&] { return read_session(folder / "song.isotonus").value(); };
    for (const auto& t : stored().tracks) EXPECT_EQ(t->fader_db, 0.0);  // nothing without --apply
    ASSERT_EQ(run("balance " + file + " --like " + mix + " --apply --track '02 Track'").status, 0);
    EXPECT_NEAR(stored().tracks[1]->fader_db, made[1].fader_db, 0.05);
    EXPECT_EQ(stored().tracks[0]->fader_db, 0.0);
    ASSERT_EQ(run("balance " + file + " --like " + mix + " --apply").status, 0);
    for (size_t n = 0; n < made.size(); ++n) {
        EXPECT_NEAR(stored().tracks[n]->fader_db, made[n].fader_db, 0.05);
        EXPECT_EQ(stored().tracks[n]->polarity_inverted, made[n].inverted);
    }
    EXPECT_EQ(run("balance " + file + " --like " + file).status, 3);
    EXPECT_EQ(run("balance " + file).status, 2);
    EXPECT_EQ(run("balance " + file + " --draft levels --track nobody").status, 2);
}

TEST_F(CliSession, a_draft_says_why_and_is_stored_when_it_is_applied) {
    // A copy, since a loop over a part of a document that is itself a temporary would outlive the document.
    const auto drafted = [&](const std::string& options) {
        const json tracks = run("balance " + session + " --draft " + options + " --json").document()["tracks"];
        EXPECT_EQ(tracks.size(), now().tracks.size());
        return tracks;
    };
    const json told = drafted("pans");
    for (const json& t : told) EXPECT_FALSE(t["reason"].get<std::string>().empty());
    EXPECT_EQ(now().tracks[0]->fader_db, 0.0);
    ASSERT_EQ(run("balance " + session + " --draft pans --apply").status, 0);
    EXPECT_NEAR(now().tracks[0]->fader_db, told[0]["fader_db"].get<double>(), 1e-9);
    // Then all of it is set by hand, as far as anybody knows.
    for (const json& t : drafted("levels")) EXPECT_TRUE(t["kept"].get<bool>());
    for (const json& t : drafted("levels --also-set")) EXPECT_FALSE(t["kept"].get<bool>());
}
