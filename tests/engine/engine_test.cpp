// The real-time engine: what it plays is what the core renders.
#include "engine/engine.h"

#include <fcntl.h>
#include <sys/file.h>
#include <sys/prctl.h>

#include <algorithm>
#include <chrono>
#include <mutex>
#include <thread>

#include "engine/fader_box.h"
#include "engine/meter_board.h"
#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

/// Asks the engine for blocks by hand, waiting for the reader thread where a device would have played silence.
class ByHand : public testing::Test {
  protected:
    Folder folder;
    Engine engine;

    static std::vector<float> whole(const PlanPtr& plan) {
        Renderer renderer(plan);
        auto reader = PlanReader::open(plan, false).value();
        std::vector<float> out(static_cast<size_t>(2 * plan->frames));
        renderer.process(0, plan->frames, reader.read(0, plan->frames).value(), out.data());
        return out;
    }

    /// One block, once its samples are there; while the transport waits for them it is asked again, as long as nothing
    /// moves.
    std::vector<float> block(int frames) {
        std::vector<float> out(static_cast<size_t>(2 * frames));
        for (int tries = 0; tries < 2000; ++tries) {
            for (int n = 0; n < 200 && !engine.ready(frames); ++n)
                std::this_thread::sleep_for(std::chrono::milliseconds(1));
            const int64_t before = engine.position();
            engine.fill(out.data(), frames, false);
            const bool heard = std::any_of(out.begin(), out.end(), [](float x) { return x != 0.0f; });
            if (heard || engine.position() != before || !engine.playing()) break;
        }
        return out;
    }

    Mix two_tracks() {
        return Mix({write(folder / "a.wav", make(60000, 2, noise(1, 0.4)), 2),
                    write(folder / "b.wav", make(50000, 1, noise(2, 0.4)), 1)});
    }
};

}  // namespace

TEST_F(ByHand, plays_what_the_core_renders_to_the_bit) {
    Mix mix = two_tracks();
    mix.change(1, [](Track& t) {
        t.pan = 0.3, t.rides.set(Parameter::level, std::make_shared<const Curve>(Curve{{{0.1, -9.0}, {0.7, 3.0}}}));
    });
    const PlanPtr plan = mix.plan();
    const auto expected = whole(plan);
    engine.set_plan(plan);
    engine.play();
    std::vector<float> heard;
    for (int frames = 64; heard.size() < expected.size(); frames = frames == 64 ? 441 : 64) {
        const auto out = block(frames);
        heard.insert(heard.end(), out.begin(), out.end());
        if (!engine.playing()) break;
    }
    ASSERT_GE(heard.size(), expected.size());
    heard.resize(expected.size());
    // The first block fades in; from then on every sample is the core's.
    EXPECT_TRUE(std::equal(heard.begin() + 128, heard.end(), expected.begin() + 128));
    EXPECT_FALSE(engine.playing());  // the song has ended
}

TEST_F(ByHand, locates_and_stops_without_a_click) {
    Mix mix({write(folder / "dc.wav", std::vector<float>(400000, 0.5f), 2)});
    engine.set_plan(mix.plan());
    engine.play();
    std::vector<float> heard;
    const auto play_blocks = [&](int n) {
        for (int i = 0; i < n; ++i) {
            const auto out = block(256);
            heard.insert(heard.end(), out.begin(), out.end());
        }
    };
    play_blocks(4);
    engine.locate(100000);
    EXPECT_EQ(engine.position(), 100000);
    play_blocks(4);
    EXPECT_GT(engine.position(), 100000);
    engine.stop();
    play_blocks(3);
    EXPECT_FALSE(engine.playing());
    float jump = 0.0f;
    for (size_t i = 2; i < heard.size(); i += 2) jump = std::max(jump, std::fabs(heard[i] - heard[i - 2]));
    EXPECT_LE(jump, 0.5f / 256.0f * 1.01f);
    EXPECT_EQ(heard.back(), 0.0f);
}

TEST_F(ByHand, changes_over_to_a_recording_without_a_gap) {
    // As Compare does: both play along, and only the gains change.
    Mix mix({write(folder / "mix.wav", std::vector<float>(400000, 0.5f), 2),
             write(folder / "print.wav", std::vector<float>(400000, 0.25f), 2)});
    const PlanPtr both = mix.plan();
    const PlanPtr mix_alone = plan_of_tracks(*both, {mix.id(0)}), print_alone = plan_of_tracks(*both, {mix.id(1)});
    engine.set_plan(mix_alone);
    engine.play();
    for (int n = 0; n < 4; ++n) block(256);
    const int64_t before = engine.position();
    std::vector<float> heard;
    for (int n = 0; n < 8; ++n) {
        if (n == 2) engine.set_plan(print_alone);
        const auto out = block(256);
        heard.insert(heard.end(), out.begin(), out.end());
    }
    EXPECT_EQ(engine.position(), before + 8 * 256);  // the song went on
    EXPECT_EQ(heard[2 * 511], 0.5f);
    EXPECT_EQ(heard.back(), 0.25f);
    for (size_t i = 2; i < heard.size(); i += 2) {
        ASSERT_GE(heard[i], 0.25f - 1e-6f);  // never quieter than the quieter of the two: no gap
        ASSERT_LE(std::fabs(heard[i] - heard[i - 2]), 0.25f / 480.0f * 1.01f);  // and no click: 10 ms
    }
}

TEST_F(ByHand, loops_between_its_ends) {
    Mix mix({write(folder / "ramp.wav", make(48000, 1, [](int64_t i, int) { return static_cast<double>(i) / 48000.0; }),
                   1)});
    mix.session.pan_law = PanLaw::balance;
    engine.set_plan(mix.plan());
    engine.set_loop(10000, 14000);
    engine.locate(13000);
    engine.play();
    std::vector<float> heard;
    for (int n = 0; n < 20; ++n) {
        const auto out = block(500);
        heard.insert(heard.end(), out.begin(), out.end());
    }
    // Frame 13000 + n plays file frame 10000 + (3000 + n) mod 4000, but for the 2 ms at the seam.
    for (const int64_t n : {700, 1200, 3000, 4700, 6000, 8500})
        EXPECT_NEAR(heard[static_cast<size_t>(2 * n)], static_cast<float>(10000 + (3000 + n) % 4000) / 48000.0f, 1e-6f)
            << n;
    EXPECT_LT(heard[2 * 1000], 0.01f);  // the seam is silent for a moment instead of clicking
}

TEST_F(ByHand, an_edit_while_playing_glides_and_other_files_come_in_without_a_gap) {
    Mix mix({write(folder / "dc.wav", std::vector<float>(200000, 0.5f), 2)});
    engine.set_plan(mix.plan());
    engine.play();
    block(1024);
    mix.change(0, [](Track& t) { t.fader_db = -20.0; });
    engine.set_plan(mix.plan());
    auto out = block(1024);
    EXPECT_NEAR(out[0], 0.5f, 0.001f);
    EXPECT_NEAR(out.back(), 0.05f, 0.001f);
    const fs::path other = write(folder / "other.wav", std::vector<float>(200000, -0.25f), 2);
    Mix second({other});
    engine.set_plan(second.plan());
    const int64_t before = engine.position();
    // What was heard goes on until the other file's samples are there, and gives way to them within one block.
    out = block(256);
    EXPECT_NEAR(out.front(), 0.05f, 0.002f);
    for (size_t i = 2; i < out.size(); i += 2) ASSERT_LE(out[i], out[i - 2]);
    EXPECT_EQ(out.back(), -0.25f);
    EXPECT_GT(engine.position(), before);
}

TEST_F(ByHand, levels_are_those_of_the_blocks_played) {
    Mix mix({write(folder / "a.wav", std::vector<float>(100000, 0.5f), 2)});
    mix.change(0, [](Track& t) { t.trim_db = -6.0, t.fader_db = -6.0; });
    engine.set_plan(mix.plan());
    engine.play();
    for (int n = 0; n < 5; ++n) block(512);
    const LiveLevels levels = engine.levels();
    ASSERT_TRUE(levels.any);
    EXPECT_NEAR(levels.tracks[0].peak_after_trim, 0.5 * gain_from_db(-6.0), 1e-6);
    EXPECT_NEAR(levels.tracks[0].peak_after_fader, 0.5 * gain_from_db(-12.0), 1e-6);
    EXPECT_NEAR(levels.main_peak[1], 0.5 * gain_from_db(-12.0), 1e-6);
    EXPECT_FALSE(engine.levels().any);  // seen once
}

TEST_F(ByHand, a_file_that_goes_away_is_told_and_the_rest_plays_on) {
    Mix mix = two_tracks();
    const PlanPtr plan = mix.plan();
    fs::remove(folder / "a.wav");
    engine.set_plan(plan);
    for (int n = 0; n < 500 && engine.trouble().empty(); ++n) std::this_thread::sleep_for(std::chrono::milliseconds(2));
    EXPECT_NE(engine.trouble().find("a.wav"), std::string::npos);
    // The other track is heard as if nothing had happened.
    const auto expected = [&] {
        auto reader = PlanReader::open(plan, false, true).value();
        std::vector<float> out(2 * 8192);
        Renderer(plan).process(0, 8192, reader.read(0, 8192).value(), out.data());
        EXPECT_TRUE(reader.fault());
        return out;
    }();
    engine.play();
    std::vector<float> heard;
    while (heard.size() < expected.size()) {
        const auto out = block(256);
        ASSERT_TRUE(engine.playing());
        heard.insert(heard.end(), out.begin(), out.end());
    }
    EXPECT_TRUE(std::equal(heard.begin() + 512, heard.end(), expected.begin() + 512));
}

TEST(SimulatedDevice, keeps_time) {
    Folder folder;
    Engine engine;
    Mix mix({write(folder / "a.wav", make(480000, 2, noise(1)), 2)});
    engine.set_plan(mix.plan());
    ASSERT_TRUE(engine.open(simulated_device, 48000, 256));
    engine.play();
    for (int n = 0; n < 1000 && engine.position() < 4800; ++n)
        std::this_thread::sleep_for(std::chrono::milliseconds(5));
    EXPECT_GE(engine.position(), 4800);
    EXPECT_GT(engine.service().blocks, 10);
}

TEST(Device, that_vanishes_leaves_the_song_where_it_was) {
    Folder folder;
    Engine engine;
    Mix mix({write(folder / "a.wav", make(4800000, 1, noise(1)), 1)});
    engine.set_plan(mix.plan());
    ASSERT_TRUE(engine.open(simulated_device, 48000, 256));
    engine.locate(48000);
    engine.play();
    for (int n = 0; n < 1000 && engine.position() <= 48000; ++n)
        std::this_thread::sleep_for(std::chrono::milliseconds(5));
    engine.simulated_for_test()->vanish();
    const auto message = engine.watch();
    ASSERT_TRUE(message);
    EXPECT_NE(message->find("is gone"), std::string::npos);
    EXPECT_TRUE(engine.playing());
    EXPECT_GT(engine.position(), 48000);
    EXPECT_FALSE(engine.watch());
}

TEST(Device, that_asks_faster_than_time_passes_is_one_that_is_gone) {
    Folder folder;
    Engine engine;
    Mix mix({write(folder / "a.wav", make(48000 * 60, 1, noise(1)), 1)});
    engine.set_plan(mix.plan());
    ASSERT_TRUE(engine.open(simulated_device, 48000, 256));
    engine.play();
    for (int n = 0; n < 1000 && engine.position() <= 4800; ++n)
        std::this_thread::sleep_for(std::chrono::milliseconds(5));
    EXPECT_FALSE(engine.watch());
    const auto began = std::chrono::steady_clock::now();
    const int64_t from = engine.position();
    engine.simulated_for_test()->race();
    std::optional<std::string> message;
    while (!message && std::chrono::steady_clock::now() - began < std::chrono::seconds(20)) {
        std::this_thread::sleep_for(std::chrono::milliseconds(20));
        message = engine.watch();
    }
    ASSERT_TRUE(message);
    EXPECT_NE(message->find("faster than time"), std::string::npos) << *message;
    // What was asked for at once is allowed for, and nothing of the song is lost beyond that.
    const double passed_s = std::chrono::duration<double>(std::chrono::steady_clock::now() - began).count();
    EXPECT_LT(static_cast<double>(engine.position() - from) / 48000.0, passed_s + 0.8);
    EXPECT_TRUE(engine.playing());
    EXPECT_FALSE(engine.watch()) << "the next one keeps time";
}

TEST(Device, that_is_not_there_is_replaced_and_said_so) {
    Engine engine;
    const auto opened = engine.open("JACK: nowhere", 48000, 256);
    ASSERT_FALSE(opened);
    EXPECT_EQ(opened.error().file, "JACK: nowhere");
    EXPECT_EQ(engine.device()->name(), simulated_device);
    EXPECT_EQ(device_names().back(), simulated_device);
}

TEST(Engine, many_edits_and_jumps_while_a_device_plays_do_no_harm) {
    // For the thread and address sanitizers: plans are made, swapped and freed under a running device.
    Folder folder;
    Engine engine;
    Mix mix(
        {write(folder / "a.wav", make(96000, 2, noise(1)), 2), write(folder / "b.wav", make(96000, 1, noise(2)), 1)});
    Mix other({folder / "b.wav"});
    const PlanPtr unlike = other.plan();
    engine.set_plan(mix.plan());
    ASSERT_TRUE(engine.open(simulated_device, 48000, 64));
    engine.set_loop(1000, 90000);
    engine.play();
    for (int n = 0; n < 300; ++n) {
        mix.change(0, [n](Track& t) { t.fader_db = -0.1 * n; });
        engine.set_plan(n % 50 == 49 ? unlike : mix.plan());
        if (n % 20 == 0) engine.locate(n * 100);
        engine.levels();
        engine.watch();
        std::this_thread::sleep_for(std::chrono::milliseconds(1));
    }
    engine.stop();
    SUCCEED();
}

TEST(MeterBar, falls_20_dB_in_1_7_s_holds_and_latches) {  // fall: IEC 60268-18 type I, from memory
    MeterBar bar;
    bar.advance(-6.0, 0.016);
    EXPECT_EQ(bar.level_db, -6.0);
    for (int n = 0; n < 170; ++n) bar.advance(silence_db, 0.01);
    EXPECT_NEAR(bar.level_db, -26.0, 0.01);
    EXPECT_EQ(bar.hold_db, -6.0);
    for (int n = 0; n < 40; ++n) bar.advance(silence_db, 0.01);
    EXPECT_LT(bar.hold_db, -25.0);
    EXPECT_FALSE(bar.clipped);
    bar.advance(0.1, 0.01);
    bar.advance(-20.0, 0.01);
    EXPECT_TRUE(bar.clipped);
    EXPECT_EQ(bar.highest_db, 0.1);
    bar.reset();
    EXPECT_FALSE(bar.clipped);
}

TEST(Engine, goes_over_to_other_sources_without_a_gap) {
    Folder folder;
    Mix loud({write(folder / "a.wav", make(480000, 1, [](int64_t, int) { return 0.5; }), 1)});
    Mix soft({write(folder / "b.wav", make(480000, 1, [](int64_t, int) { return 0.25; }), 1)});
    Engine engine;
    engine.set_plan(loud.plan());
    engine.play();
    std::vector<float> block(512);
    const auto next = [&] {
        engine.fill(block.data(), 256, false);
        std::this_thread::sleep_for(std::chrono::milliseconds(1));
    };
    const float high = static_cast<float>(0.5 * std::sqrt(0.5)), low = 0.5f * high;
    for (int n = 0; n < 2000 && std::fabs(block[511] - high) > 1e-4f; ++n) next();
    ASSERT_NEAR(block[511], high, 1e-4);
    engine.set_plan(soft.plan());
    float before = block[510];
    for (int n = 0; n < 2000 && std::fabs(block[511] - low) > 1e-4f; ++n) {
        next();
        for (size_t i = 0; i < 512; i += 2) {
            // Always between the two, and in small steps.
            ASSERT_GE(block[i], low - 1e-4f);
            ASSERT_LE(std::fabs(block[i] - before), 1.1f * (high - low) / 256.0f);
            before = block[i];
        }
    }
    EXPECT_NEAR(block[511], low, 1e-4);
}

/// A fader box on a real port of the server, heard through another: the same bytes both ways.
void through_jack_midi() {
    const auto made = make_midi("paper box");
    ASSERT_TRUE(made) << (made ? "" : made.error().text());
    FaderBox box(*made);
    std::string name;
    for (const std::string& found : midi_inputs())
        if (found.find("paper box") != std::string::npos) name = found;
    ASSERT_FALSE(name.empty());
    const auto opened = open_midi(name);
    ASSERT_TRUE(opened) << (opened ? "" : opened.error().text());
    std::mutex mutex;
    std::vector<MidiBytes> heard;
    (*opened)->on_message([&](const MidiBytes& bytes) {
        std::scoped_lock lock(mutex);
        heard.push_back(bytes);
    });
    const auto wait = [](const std::function<bool()>& done) {
        for (int n = 0; n < 400 && !done(); ++n) std::this_thread::sleep_for(std::chrono::milliseconds(5));
        return done();
    };
    // The server connects ports by and by, and what is sent before is lost: one fader is touched until that is heard,
    // and another after it, behind whose message nothing older comes.
    const auto heard_touch_of = [&](int fader) {
        std::scoped_lock lock(mutex);
        return std::any_of(heard.begin(), heard.end(), [fader](const MidiBytes& bytes) {
            const auto touch = FaderMidiReader::touch(bytes);
            return touch && touch->fader == fader;
        });
    };
    EXPECT_TRUE(wait([&] { return box.touch(1), heard_touch_of(1); }));
    box.touch(3);
    EXPECT_TRUE(wait([&] { return heard_touch_of(3); }));
    {
        std::scoped_lock lock(mutex);
        heard.clear();
    }
    box.touch(2);
    for (int n = 1; n <= 20; ++n) box.move(2, n / 20.0);
    box.release(2);
    EXPECT_TRUE(wait([&] {
        std::scoped_lock lock(mutex);
        const auto last = heard.empty() ? std::nullopt : FaderMidiReader::touch(heard.back());
        return last && !last->on;
    }));
    {
        FaderMidiReader reader;
        std::scoped_lock lock(mutex);
        ASSERT_EQ(heard.size(), 22u);
        EXPECT_TRUE(FaderMidiReader::touch(heard.front())->on);
        for (size_t n = 1; n <= 20; ++n) {
            const auto move = reader.move(heard[n]);
            ASSERT_TRUE(move);
            EXPECT_NEAR(move->position, static_cast<double>(n) / 20.0, 1e-4);
        }
    }
    // And its motor follows.
    for (const MidiBytes& bytes : fader_bytes(FaderBox::address(FaderSpeech::pitch_bend, 2), 0.25))
        (*opened)->send(bytes);
    EXPECT_TRUE(wait([&] { return std::fabs(box.position(2) - 0.25) < 1e-3; }));
    EXPECT_FALSE(open_midi("no such box"));
    (*opened)->on_message({});
}

/// A JACK server of our own with the dummy driver, killed at the end.
class JackServer {
  public:
    // Always the same name: a server that was killed keeps its entry in JACK's table, which has room for 8, until one
    // of the same name takes it over.
    explicit JackServer(const char* name) : name_(name) {
        // All servers of a machine share one table, and one that starts tidies it up: another that starts at the same
        // moment loses its place there, and its clients do not find it.  So there is one at a time, whoever tests.
        flock(lock_, LOCK_EX);
        setenv("JACK_DEFAULT_SERVER", name, 1);
        start();
    }
    ~JackServer() {
        end();
        close(lock_);
    }
    JackServer(const JackServer&) = delete;
    void signal(int number) const { kill(pid_, number); }
    /// The name of its device, once it is up; "" when it does not come up.
    std::string device() {
        for (int n = 0; n < 200; ++n) {
            for (const std::string& found : device_names())
                if (found.starts_with("JACK: ")) return found;
            std::this_thread::sleep_for(std::chrono::milliseconds(50));
            if (n == 100) {  // the first one after a killed server may find its remains, and ends
                end();
                start();
            }
        }
        return "";
    }
    static bool installed() {
        int status = 0;
        output_of("command -v jackd >/dev/null", &status);
        return status == 0;
    }

  private:
    void start() {
        pid_ = fork();
        if (pid_ != 0) return;
        prctl(PR_SET_PDEATHSIG, SIGKILL);  // a test that is killed leaves no server behind
        (void)!freopen("/dev/null", "w", stdout);
        (void)!freopen("/dev/null", "w", stderr);
        // -S: the server waits for clients that are late, as they are on a busy machine.  Otherwise it goes on without
        // them, and MIDI messages of the cycle before arrive once more or not at all.
        execlp("jackd", "jackd", "-n", name_, "-S", "-r", "-d", "dummy", "-r", "48000", "-p", "256",
               static_cast<char*>(nullptr));
        _exit(127);
    }
    void end() {
        signal(SIGKILL);
        waitpid(pid_, nullptr, 0);
    }
    const char* name_;
    pid_t pid_ = -1;
    const int lock_ = open("/tmp/isotonus-jack-tests.lock", O_CREAT | O_RDWR | O_CLOEXEC, 0666);
};

TEST(Jack, dummy_server_is_a_device_like_any_other) {
    if (!JackServer::installed()) GTEST_SKIP() << "no jackd here";
    Folder folder;
    JackServer server("isotonus-test");
    const std::string name = server.device();
    EXPECT_FALSE(name.empty()) << "the server did not come up";
    if (!name.empty()) {
        Engine engine;
        Mix mix({write(folder / "a.wav", make(480000, 2, noise(1)), 2)});
        engine.set_plan(mix.plan());
        const auto opened = engine.open(name, 48000, 256);
        EXPECT_TRUE(opened) << (opened ? "" : opened.error().text());
        engine.play();
        for (int n = 0; n < 2000 && engine.position() < 24000; ++n)
            std::this_thread::sleep_for(std::chrono::milliseconds(5));
        EXPECT_GE(engine.position(), 24000);
        EXPECT_EQ(engine.device()->name(), name);
        // A session of another rate is refused with a sentence, and the simulated device takes over.
        Engine second;
        EXPECT_FALSE(second.open(name, 44100, 256));
        EXPECT_EQ(second.device()->name(), simulated_device);
        through_jack_midi();
        // The server dies under a playing engine.
        server.signal(SIGKILL);
        std::optional<std::string> message;
        for (int n = 0; n < 100 && !message; ++n) {
            std::this_thread::sleep_for(std::chrono::milliseconds(50));
            message = engine.watch();
        }
        EXPECT_TRUE(message);
        EXPECT_TRUE(engine.playing());
    }
}

TEST(Jack, a_frozen_server_is_told_and_keeps_nobody_waiting) {
    if (!JackServer::installed()) GTEST_SKIP() << "no jackd here";
    Folder folder;
    write(folder / "a.wav", make(48000, 2, noise(1)), 2);
    int status = 0;
    const std::string cli = "'" + std::string(ISOTONUS_CLI) + "' ",
                      session = "'" + (folder / "s.isotonus").string() + "'";
    output_of(cli + "new " + session + " --from '" + folder.path().string() + "'", &status);
    ASSERT_EQ(status, 0);
    JackServer server("isotonus-frozen");
    const std::string name = server.device();
    ASSERT_FALSE(name.empty()) << "the server did not come up";
    const std::string play =
        "timeout -s KILL 60 " + cli + "play " + session + " --seconds 0.5 --device '" + name + "' 2>&1";
    output_of(play, &status);
    EXPECT_EQ(status, 0) << "as long as it is well";
    server.signal(SIGSTOP);
    // In a process of its own: JACK's library keeps threads for a server that does not answer.
    const std::string said = output_of(play, &status);
    EXPECT_EQ(status, 3) << said;
    EXPECT_NE(said.find("does not answer"), std::string::npos) << said;
}
