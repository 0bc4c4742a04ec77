// The command line under bad luck and bad use: nothing is written over that should not be, nothing ends by exception.
#include <gmock/gmock.h>
#include <sys/stat.h>

#include <fstream>
#include <nlohmann/json.hpp>
#include <thread>

#include "core/session/session_file.h"
#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;
using testing::HasSubstr;

namespace {

class CliDanger : public testing::Test {
  protected:
    struct Ran {
        int status = -1;
        std::string out, err;
    };
    Folder folder;
    std::string quoted(const std::string& name) { return "'" + (folder / name).string() + "'"; }
    const std::string session = quoted("mix.isotonus");

    void SetUp() override {
        fs::create_directories(folder / "audio");
        write(folder / "audio/Kick.wav", make(48000, 1, sine(60, 48000, 0.5)), 1, 48000, SampleFormat::s24);
        write(folder / "audio/Pad.wav", make(48000, 2, sine(220, 48000, 0.3)), 2, 48000, SampleFormat::s24);
        ASSERT_EQ(cli("new " + session + " --from " + quoted("audio")).status, 0);
    }
    Ran cli(const std::string& arguments, const std::string& before = "") {
        Ran ran;
        ran.out = output_of(before + "'" + std::string(ISOTONUS_CLI) + "' " + arguments + " 2>" + quoted("stderr"),
                            &ran.status);
        std::ifstream in(folder / "stderr");
        ran.err.assign((std::istreambuf_iterator<char>(in)), {});
        return ran;
    }
    std::string content(const std::string& name) { return read_whole(folder / name, 1 << 24).value_or("(none)"); }
};

}  // namespace

TEST_F(CliDanger, no_export_is_written_over_what_the_session_plays_or_is) {
    const std::string kick = content("audio/Kick.wav"), own = content("mix.isotonus");
    fs::create_symlink(folder / "audio/Kick.wav", folder / "link.wav");
    fs::create_hard_link(folder / "audio/Kick.wav", folder / "hard.wav");
    for (const char* name : {"audio/Kick.wav", "audio/../audio/Kick.wav", "link.wav", "hard.wav", "mix.isotonus"}) {
        const Ran ran = cli("render " + session + " " + quoted(name));
        EXPECT_EQ(ran.status, 3) << name;
        EXPECT_THAT(ran.err, HasSubstr("never replaced")) << name;
    }
    EXPECT_EQ(content("audio/Kick.wav"), kick);
    EXPECT_EQ(content("hard.wav"), kick);
    EXPECT_EQ(content("mix.isotonus"), own);
    EXPECT_TRUE(fs::is_symlink(folder / "link.wav"));
    EXPECT_EQ(cli("render " + session + " /dev/null").status, 3);
    ASSERT_EQ(::mkfifo((folder / "pipe").c_str(), 0600), 0);
    EXPECT_THAT(cli("render " + session + " " + quoted("pipe")).err, HasSubstr("not a regular file"));
}

TEST_F(CliDanger, a_track_that_is_missing_costs_nobody_a_good_mix) {
    ASSERT_EQ(cli("render " + session + " " + quoted("mix.wav")).status, 0);
    ASSERT_EQ(cli("deliver " + session + " " + quoted("out")).status, 0);
    const std::string good = content("mix.wav"), delivered = content("out/mix mix.wav");
    fs::rename(folder / "audio/Pad.wav", folder / "gone.wav");
    Ran ran = cli("render " + session + " " + quoted("mix.wav"));
    EXPECT_EQ(ran.status, 3);
    EXPECT_THAT(ran.err, HasSubstr("--without-missing"));
    EXPECT_EQ(cli("deliver " + session + " " + quoted("out") + " --force").status, 3);
    EXPECT_EQ(content("mix.wav"), good);
    EXPECT_EQ(content("out/mix mix.wav"), delivered);
    EXPECT_EQ(cli("render " + session + " " + quoted("mix.wav") + " --without-missing").status, 0);
    EXPECT_NE(content("mix.wav"), good);
}

TEST_F(CliDanger, times_that_are_none_are_refused) {
    for (const char* range : {"--from nan", "--from 1e300", "--to nan", "--to inf", "--from 0.5 --to 0.5", "--from -1",
                              "--from 2", "--to -3"}) {
        const Ran ran = cli("render " + session + " " + quoted("part.wav") + " " + range);
        EXPECT_EQ(ran.status, 2) << range;
        EXPECT_FALSE(is_there(folder / "part.wav")) << range;
        EXPECT_EQ(cli("deliver " + session + " " + quoted("part") + " " + range).status, 2) << range;
    }
    EXPECT_EQ(cli("render " + session + " " + quoted("part.wav") + " --from 0.25 --to 0.75").status, 0);
}

TEST_F(CliDanger, an_answer_that_cannot_be_written_is_told) {
    int status = 0;
    output_of("'" + std::string(ISOTONUS_CLI) + "' show " + session + " > /dev/full 2>" + quoted("stderr"), &status);
    EXPECT_EQ(status, 3);
    EXPECT_THAT(content("stderr"), HasSubstr("standard output"));
}

TEST_F(CliDanger, two_at_once_lose_no_edit) {
    for (int round = 0; round < 60; ++round) {
        const std::string trim = "trim=" + std::to_string(round % 20), pan = "pan=0." + std::to_string(round % 10);
        std::thread one([&] { output_of("'" + std::string(ISOTONUS_CLI) + "' set " + session + " Kick " + trim); });
        std::thread two([&] { output_of("'" + std::string(ISOTONUS_CLI) + "' set " + session + " Pad " + pan); });
        one.join();
        two.join();
        const Session s = read_session(folder / "mix.isotonus").value();
        ASSERT_EQ(s.find("Kick")->trim_db, round % 20) << round;
        ASSERT_NEAR(s.find("Pad")->pan, (round % 10) / 10.0, 1e-9) << round;
    }
}

TEST_F(CliDanger, odd_names_and_places_end_with_a_sentence) {
    const auto told = [&](const std::string& arguments, const std::string& before = "") {
        const Ran ran = cli(arguments, before);
        EXPECT_EQ(ran.status, 3) << arguments.substr(0, 60);
        EXPECT_EQ(ran.err.rfind("isotonus-cli: ", 0), 0u) << ran.err;
        EXPECT_EQ(ran.err.find("terminate called"), std::string::npos) << ran.err;
        return ran.err;
    };
    const std::string long_name(300, 'x');
    told("render " + session + " " + quoted(long_name + ".wav"));
    told("deliver " + session + " " + quoted(long_name));
    told("new \"\" --from " + quoted("audio"));
    told("show " + quoted("audio"));
    EXPECT_THAT(told("show /dev/zero"), HasSubstr("not a regular file"));
    EXPECT_THAT(told("scan /dev/zero"), HasSubstr("not a regular file"));
    fs::create_directories(folder / "cwd");
    const std::string gone = "cd " + quoted("cwd") + " && rmdir " + quoted("cwd") + " && ";
    told("new x.isotonus --from nowhere", gone);
    // A session whose name is no UTF-8 is delivered like any other.
    fs::copy_file(folder / "mix.isotonus", folder / "K\xE4se.isotonus");
    EXPECT_EQ(cli("deliver " + quoted("K\xE4se.isotonus") + " " + quoted("out") + " --json").status, 0);
}

TEST_F(CliDanger, sixty_four_tracks_need_ninety_six_handles) {
    fs::create_directories(folder / "many");
    for (int n = 0; n < 64; ++n)
        write(folder / ("many/t" + std::to_string(n) + ".wav"), make(4800, 1, noise(9, 0.01)), 1);
    ASSERT_EQ(cli("new " + quoted("many.isotonus") + " --from " + quoted("many")).status, 0);
    const Ran ran = cli("render " + quoted("many.isotonus") + " " + quoted("many.wav") + " --stems " + quoted("stems"),
                        "ulimit -n 96; ");
    EXPECT_EQ(ran.status, 0) << ran.err;
    EXPECT_EQ(entries_of(folder / "stems").value().size(), 64u);
}

TEST_F(CliDanger, a_thousand_tracks_need_a_thousand_and_twenty_four) {
    fs::create_directories(folder / "many");
    for (int n = 0; n < 1000; ++n)
        write(folder / ("many/t" + std::to_string(n) + ".wav"), make(100, 1, noise(9, 0.0001)), 1);
    ASSERT_EQ(cli("new " + quoted("many.isotonus") + " --from " + quoted("many")).status, 0);
    const Ran ran = cli("deliver " + quoted("many.isotonus") + " " + quoted("out") + " --stems tracks",
                        "ulimit -n 1024; ISOTONUS_WORKERS=16 ");
    EXPECT_EQ(ran.status, 0) << ran.err;
    EXPECT_EQ(entries_of(folder / "out").value().size(), 1004u);  // the mix, the stems, three papers
}
