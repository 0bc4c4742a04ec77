// The simulated mastering desk: accepts a good delivery and refuses each kind of bad one; and the way there.
#include <fstream>
#include <nlohmann/json.hpp>

#include "core/session/session_file.h"
#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;
using nlohmann::json;

namespace {

class MasteringDesk : public testing::Test {
  protected:
    Folder folder;
    const std::string session = (folder / "boats.isotonus").string(), out = (folder / "out").string();

    std::string cli(const std::string& arguments, int wanted = 0) {
        int status = -1;
        const std::string text = output_of("'" + std::string(ISOTONUS_CLI) + "' " + arguments + " 2>&1", &status);
        EXPECT_EQ(status, wanted) << text;
        return text;
    }
    json desk(bool accepted) {
        int status = -1;
        const json j = json::parse(output_of("'" + std::string(ISOTONUS_DESK) + "' '" + out + "' --json", &status));
        EXPECT_EQ(status, accepted ? 0 : 1) << j.dump();
        EXPECT_EQ(j["accepted"], accepted) << j.dump();
        return j;
    }
    void refused(const std::string& because) {
        const std::string faults = desk(false)["faults"].dump();
        EXPECT_NE(faults.find(because), std::string::npos) << faults;
    }
    void deliver(const std::string& options) {
        fs::remove_all(out);
        cli("deliver '" + session + "' '" + out + "' " + options);
    }
    void SetUp() override {
        fs::create_directories(folder / "audio");
        for (uint32_t n = 1; n <= 3; ++n)
            write(folder / ("audio/Boat " + std::to_string(n) + ".wav"), make(96000, 1 + n % 2, noise(n, 0.2)),
                  1 + static_cast<int>(n % 2), 48000, SampleFormat::s24);
        cli("new '" + session + "' --from '" + (folder / "audio").string() + "'");
    }
};

}  // namespace

TEST_F(MasteringDesk, accepts_what_is_delivered_as_it_should_be) {
    for (const char* options :
         {"", "--stems tracks --bext", "--stems families --type flac", "--bits 32f --stems tracks",
          "--stems tracks --before-main", "--rate 96000 --type aiff"}) {
        cli("set '" + session + "' main fader=-2");
        deliver(options);
        SCOPED_TRACE(options);
        desk(true);
    }
}

TEST_F(MasteringDesk, refuses_each_kind_of_fault) {
    cli("set '" + session + "' main fader=10");
    deliver("");
    refused("dB of headroom");
    cli("set '" + session + "' main fader=12");
    cli("set '" + session + "' 'Boat 1' fader=12");
    deliver("");
    refused("clips in");
    refused("true peak");
    cli("set '" + session + "' main fader=0");
    cli("set '" + session + "' 'Boat 1' fader=0");
    deliver("--bits 16");
    refused("16 bit");
    deliver("--rate 32000");
    refused("32000 Hz");
    deliver("--type mp3");
    refused("lossy");
    deliver("--stems tracks");
    desk(true);
    const fs::path second = folder / "out/boats 02 Boat 2.wav";
    ASSERT_TRUE(fs::exists(second));
    fs::rename(second, folder / "kept.wav");
    refused("stem 02 is missing");
    refused("do not sum");
    // One that was turned up by somebody on the way.
    auto louder = read(folder / "kept.wav");
    for (float& x : louder) x *= 1.05f;
    write(second, louder, 2, 48000, SampleFormat::s24);
    refused("do not sum to the mix");
    louder.resize(louder.size() - 2000);
    write(second, louder, 2, 48000, SampleFormat::s24);
    refused("cannot be laid side by side");
    std::ofstream(second) << "not audio";
    refused("the audio file cannot be read");
    fs::remove(folder / "out/boats mix.wav");
    refused("no file says that it is the mix");
    fs::remove_all(out);
    fs::create_directories(out);
    refused("no audio file");
    int status = 0;
    output_of("'" + std::string(ISOTONUS_DESK) + "' '" + (folder / "nowhere").string() + "' 2>&1", &status);
    EXPECT_EQ(status, 3);
    output_of("'" + std::string(ISOTONUS_DESK) + "' --nonsense 2>&1", &status);
    EXPECT_EQ(status, 2);
}

TEST_F(MasteringDesk, looks_at_the_audio_and_never_at_the_sheet) {
    deliver("--stems tracks");
    for (const auto& entry : fs::directory_iterator(out))
        if (entry.path().extension() != ".wav") std::ofstream(entry.path()) << "a lie";
    desk(true);
}

TEST_F(MasteringDesk, the_verbs_on_the_way_there_say_what_is_wrong) {
    cli("ride '" + session + "' main level 0=0 1=-6");
    cli("ride '" + session + "' 'Boat 2' pan 0=-1 1.5=1");
    cli("ride '" + session + "' 'Boat 2' mute 0.5=1 0.7=0");
    const Session s = read_session(session).value();
    EXPECT_TRUE(s.main_rides[Parameter::level] && s.tracks[1]->rides[Parameter::pan]);
    EXPECT_EQ(s.tracks[1]->rides[Parameter::mute]->points[0].segment, Segment::step);
    EXPECT_NE(cli("ride '" + session + "' 'Boat 2' warmth 0=1", 2).find("level, trim, pan, width, mute"),
              std::string::npos);
    EXPECT_NE(cli("ride '" + session + "' 'Boat 2' pan 0=3", 2).find("must be from −1 to 1"), std::string::npos);
    EXPECT_NE(cli("ride '" + session + "' nobody pan 0=0", 2).find("no channel called 'nobody'"), std::string::npos);
    deliver("");
    EXPECT_NE(cli("deliver '" + session + "' '" + out + "'", 3).find("already exists"), std::string::npos);
    cli("deliver '" + session + "' '" + out + "' --force");
    const json sheet = json::parse(cli("deliver '" + session + "' '" + out + "' --force --json"));
    EXPECT_EQ(sheet["main"]["rides"]["level"], 2);
    EXPECT_TRUE(fs::exists(folder / "out/boats sheet.txt") && fs::exists(folder / "out/boats checksums.sha256"));
}
