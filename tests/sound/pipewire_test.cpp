// The engine on a desktop's sound: PipeWire through its doors for Pulse, JACK and ALSA, as most Linux desktops have it.
// A null sink takes what is played, its monitor is recorded by Pulse's own recorder, and the recording must be the mix
// to the bit.  Servers are killed, frozen, moved and come late.  Run by tests/support/on_pipewire.sh.
#include <signal.h>

#include <chrono>
#include <cmath>
#include <fstream>
#include <iostream>
#include <thread>

#include "engine/engine.h"
#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

using Clock = std::chrono::steady_clock;

void pause_ms(int ms) { std::this_thread::sleep_for(std::chrono::milliseconds(ms)); }

/// The process of a server that on_pipewire.sh started.
pid_t server(const char* name) {
    std::ifstream file(std::string(std::getenv("SERVERS")) + "/" + name);
    pid_t id = 0;
    file >> id;
    EXPECT_GT(id, 0) << name;
    return id;
}

std::string run(const std::string& command) {
    int status = 0;
    const std::string said = output_of(command + " 2>&1", &status);
    EXPECT_EQ(status, 0) << command << ": " << said;
    return said;
}

/// Records what a sink plays, until it is asked for the samples.
class Recorder {
  public:
    Recorder(const fs::path& file, int rate) : file_(file) {
        fs::remove(file);  // else the last recording would pass for the beginning of this one
        pid_ = fork();
        if (pid_ == 0) {
            (void)!freopen(file.c_str(), "w", stdout);
            const std::string rate_word = "--rate=" + std::to_string(rate);
            execlp("parec", "parec", "--device=desk.monitor", "--format=float32le", rate_word.c_str(), "--channels=2",
                   "--raw", "--latency-msec=500", static_cast<char*>(nullptr));
            _exit(127);
        }
        for (int n = 0; n < 3000 && size() == 0; ++n) pause_ms(10);
        EXPECT_GT(size(), 0u) << "nothing is recorded";
    }
    ~Recorder() { stop(); }
    std::vector<float> samples() {
        pause_ms(800);  // what waits on its way
        stop();
        std::vector<float> all(size() / sizeof(float));
        std::ifstream in(file_, std::ios::binary);
        in.read(reinterpret_cast<char*>(all.data()), static_cast<std::streamsize>(all.size() * sizeof(float)));
        return all;
    }

  private:
    size_t size() const {
        std::error_code none;
        const auto bytes = fs::file_size(file_, none);
        return none ? 0 : static_cast<size_t>(bytes);
    }
    void stop() {
        if (pid_ <= 0) return;
        kill(pid_, SIGTERM);
        waitpid(pid_, nullptr, 0);
        pid_ = -1;
    }
    fs::path file_;
    pid_t pid_ = -1;
};

/// What ten milliseconds have where nothing is missing: of ten, the second strongest.
double full_power_db(const std::vector<float>& stereo) {
    constexpr size_t step = 2 * 480;
    std::vector<double> powers;
    for (size_t at = 0; at + step <= stereo.size(); at += step) {
        double square = 0.0;
        for (size_t n = at; n < at + step; ++n) square += static_cast<double>(stereo[n]) * stereo[n];
        if (square > 0.0) powers.push_back(square / step);
    }
    if (powers.empty()) return -std::numeric_limits<double>::infinity();
    const auto full = powers.begin() + static_cast<std::ptrdiff_t>(powers.size() * 9 / 10);
    std::nth_element(powers.begin(), full, powers.end());
    return 10.0 * std::log10(*full);
}

class Desktop : public testing::Test {
  protected:
    Folder folder;
    Engine engine;
    std::unique_ptr<Mix> mix;
    std::vector<float> whole;  ///< the mix, as an export has it

    void SetUp() override {
        ASSERT_TRUE(std::getenv("SERVERS")) << "run it by tests/support/on_pipewire.sh";
        load(48000);
    }
    void TearDown() override { run("pw-metadata -n settings 0 clock.force-quantum 0"); }
    void load(int rate) {
        mix = std::make_unique<Mix>(
            std::vector<fs::path>{write(folder / "a.wav", make(rate * 20, 2, noise(1, 0.4)), 2, rate),
                                  write(folder / "b.wav", make(rate * 20, 1, noise(2, 0.4)), 1, rate)});
        const PlanPtr plan = mix->plan();
        Renderer renderer(plan);
        auto reader = PlanReader::open(plan, false).value();
        whole.resize(static_cast<size_t>(2 * plan->frames));
        renderer.process(0, plan->frames, reader.read(0, plan->frames).value(), whole.data());
        engine.set_plan(plan);
    }
    /// Looks after the engine until it is so; what it said meanwhile.
    std::string watch_until(const std::function<bool()>& done, double seconds = 15.0) {
        std::string said;
        const auto until = Clock::now() + std::chrono::duration<double>(seconds);
        while (Clock::now() < until && !done()) {
            if (const auto message = engine.watch()) said += *message + "\n";
            pause_ms(20);
        }
        EXPECT_TRUE(done()) << said;
        return said;
    }
    bool sounds() { return engine.device()->name() != simulated_device; }
    void play_for(double seconds) {
        engine.play();
        const int64_t to = engine.position() + static_cast<int64_t>(seconds * engine.sample_rate());
        watch_until([&] { return engine.position() >= to; }, seconds + 10.0);
    }
    /// Frames of a recording: what is not silent, and what of it is the mix to the bit.
    struct Heard {
        int64_t sounding = 0, same = 0;
    };
    /// The mix is noise, so a few frames say which place of it they are.  A machine that stalls makes a server or the
    /// recorder lose a cycle; what follows is another piece of the mix.
    Heard heard(const std::vector<float>& recorded) const {
        constexpr int64_t length = 2 * 16;
        Heard all;
        auto at = recorded.begin();
        while (recorded.end() - at >= length) {
            if (*at == 0.0f) {
                ++at;
                continue;
            }
            const auto from = recorded.begin() + (at - recorded.begin() + 1) / 2 * 2;
            const auto found = std::search(whole.begin(), whole.end(), from, from + length);
            const bool known = found != whole.end() && (found - whole.begin()) % 2 == 0;
            const auto to = known ? std::mismatch(from, recorded.end(), found, whole.end()).first : from + 2;
            all.sounding += (to - from) / 2;
            if (known) all.same += (to - from) / 2;
            at = to;
        }
        return all;
    }
    static constexpr int64_t half_a_second = 24000;
    /// What is heard through a device must be the mix, whatever the machine lost of it.
    void expect_the_mix(const std::string& device, int frames, int64_t quantum) {
        Heard all;
        int64_t late = 0;
        for (int tries = 0; tries < 6 && all.same < half_a_second; ++tries) {
            late -= engine.service().late_blocks;
            const Heard now = heard(recorded(device, frames));
            late += engine.service().late_blocks;
            all.same += now.same;
            all.sounding += now.sounding;
        }
        std::cout << "  " << device << " at " << quantum << ": " << all.same << " of " << all.sounding
                  << " frames to the bit, " << late << " late blocks" << std::endl;
        EXPECT_GE(all.same, half_a_second) << device << " at " << quantum;
        // The block with which playing begins, or begins again, is faded in.
        EXPECT_GE(all.same, all.sounding * 3 / 4) << device << " at " << quantum;
    }
    /// Plays more than a second into the recorder.
    std::vector<float> recorded(const std::string& device, int frames) {
        Recorder recorder(folder / "recorded.raw", 48000);
        engine.stop();
        engine.locate(0);
        const auto opened = engine.open(device, 48000, frames);
        EXPECT_TRUE(opened) << (opened ? "" : opened.error().text());
        play_for(1.2);
        return recorder.samples();
    }
};

}  // namespace

TEST_F(Desktop, lists_what_can_be_played_through) {
    const std::vector<std::string> names = device_names();
    for (const char* name : {system_output, "Pulse: Desk", "JACK: Desk", "ALSA: default", simulated_device})
        EXPECT_NE(std::find(names.begin(), names.end(), name), names.end()) << name;
    EXPECT_EQ(names.front(), system_output);
}

TEST_F(Desktop, plays_the_mix_to_the_bit_through_every_door) {
    run("pw-metadata -n settings 0 clock.force-quantum 1024");
    for (const char* device : {system_output, "Pulse: Desk", "JACK: Desk", "ALSA: default"})
        expect_the_mix(device, 512, 1024);
}

TEST_F(Desktop, plays_the_mix_to_the_bit_at_every_quantum) {
    for (const int quantum : {64, 256, 1024, 4096}) {
        run("pw-metadata -n settings 0 clock.force-quantum " + std::to_string(quantum));
        expect_the_mix("JACK: Desk", 256, quantum);
        EXPECT_EQ(engine.device()->block_frames(), quantum) << "as the server has it, whatever was asked for";
        expect_the_mix("Pulse: Desk", 256, quantum);
    }
}

TEST_F(Desktop, goes_on_when_another_client_changes_the_quantum) {
    run("pw-metadata -n settings 0 clock.force-quantum 1024");
    ASSERT_TRUE(engine.open("JACK: Desk", 48000, 256));
    play_for(0.5);
    for (const int quantum : {256, 2048, 512}) {
        run("pw-metadata -n settings 0 clock.force-quantum " + std::to_string(quantum));
        const int64_t before = engine.position();
        EXPECT_EQ(watch_until([&] { return engine.position() > before + 24000; }), "") << "nothing to tell";
        EXPECT_EQ(engine.device()->name(), "JACK: Desk");
        EXPECT_EQ(engine.device()->block_frames(), quantum);
    }
}

TEST_F(Desktop, plays_sessions_of_another_rate_where_the_server_converts_and_says_where_it_does_not) {
    load(44100);
    Recorder recorder(folder / "recorded.raw", 48000);
    ASSERT_TRUE(engine.open("Pulse: Desk", 44100, 512));
    const auto began = Clock::now();
    play_for(2.0);
    // A machine that stalls takes longer, and makes holes; never is it faster.
    EXPECT_GT(std::chrono::duration<double>(Clock::now() - began).count(), 1.3) << "at the session's pace";
    const auto heard = recorder.samples();
    // Converted noise loses what lies above the lower rate's band: none here, so its power stays.
    EXPECT_NEAR(full_power_db(heard), full_power_db(whole), 0.8);
    const auto refused = engine.open("JACK: Desk", 44100, 512);
    ASSERT_FALSE(refused);
    EXPECT_NE(refused.error().text().find("48 kHz"), std::string::npos) << refused.error().text();
}

TEST_F(Desktop, a_device_that_is_unplugged_comes_back_by_itself) {
    const std::string index =
        run("pactl load-module module-null-sink sink_name=stage 'sink_properties=device.description=Stage(left)'");
    ASSERT_TRUE(engine.open("Pulse: Stage(left)", 48000, 512));
    play_for(0.5);
    run("pactl unload-module " + index);
    const std::string lost = watch_until([&] { return !sounds(); });
    EXPECT_NE(lost.find("Pulse: Stage(left)"), std::string::npos) << lost;
    const int64_t at = engine.position();
    EXPECT_LT(at, 48000 * 8) << "the song has not run through";
    EXPECT_TRUE(engine.playing());
    const std::string again =
        run("pactl load-module module-null-sink sink_name=stage 'sink_properties=device.description=Stage(left)'");
    const std::string back = watch_until([&] { return sounds(); });
    EXPECT_NE(back.find("is back"), std::string::npos) << back;
    EXPECT_GE(engine.position(), at);
    play_for(0.5);
    engine.stop();
    run("pactl unload-module " + again);
}

TEST_F(Desktop, a_device_that_was_absent_at_the_start_is_taken_when_it_comes) {
    const auto opened = engine.open("Pulse: Late", 48000, 512);
    ASSERT_FALSE(opened);
    EXPECT_EQ(engine.device()->name(), simulated_device);
    EXPECT_EQ(engine.wanted_device(), "Pulse: Late");
    const std::string index =
        run("pactl load-module module-null-sink sink_name=late sink_properties=device.description=Late");
    watch_until([&] { return sounds(); });
    EXPECT_EQ(engine.device()->sounding(), "Pulse: Late");
    engine.stop();
    run("pactl unload-module " + index);
}

TEST_F(Desktop, the_system_output_goes_where_the_desktop_sends_it) {
    const std::string index =
        run("pactl load-module module-null-sink sink_name=hall sink_properties=device.description=Hall");
    ASSERT_TRUE(engine.open(system_output, 48000, 512));
    play_for(0.3);
    EXPECT_EQ(engine.device()->sounding(), "Pulse: Desk");
    run("pactl set-default-sink hall");
    EXPECT_EQ(watch_until([&] { return engine.device()->sounding() == "Pulse: Hall"; }), "") << "no interruption";
    EXPECT_EQ(engine.device()->name(), system_output);
    run("pactl set-default-sink desk");
    watch_until([&] { return engine.device()->sounding() == "Pulse: Desk"; });
    engine.stop();
    run("pactl unload-module " + index);
}

TEST_F(Desktop, a_server_that_is_frozen_for_five_seconds_is_told_and_taken_again) {
    ASSERT_TRUE(engine.open("Pulse: Desk", 48000, 512));
    play_for(0.5);
    const int64_t before = engine.position();
    kill(server("pulse"), SIGSTOP);
    const auto frozen = Clock::now();
    watch_until([&] { return !sounds(); });
    while (Clock::now() - frozen < std::chrono::seconds(5)) {
        const auto asked = Clock::now();
        engine.watch();
        EXPECT_LT(Clock::now() - asked, std::chrono::seconds(1)) << "the window does not wait for it";
        pause_ms(50);
    }
    EXPECT_LT(engine.position() - before, 48000 * 6) << "the song keeps to time";
    kill(server("pulse"), SIGCONT);
    watch_until([&] { return sounds(); });
    play_for(0.5);
}

// The last one: the server does not come back as it was.
TEST_F(Desktop, z_a_server_that_is_killed_and_started_again_is_taken_again) {
    ASSERT_TRUE(engine.open("Pulse: Desk", 48000, 512));
    play_for(0.5);
    const int64_t before = engine.position();
    const auto killed = Clock::now();
    kill(server("pulse"), SIGKILL);
    const std::string lost = watch_until([&] { return !sounds(); });
    EXPECT_NE(lost.find("gone"), std::string::npos) << lost;
    pause_ms(500);
    engine.watch();
    const double passed_s = std::chrono::duration<double>(Clock::now() - killed).count();
    EXPECT_LT(static_cast<double>(engine.position() - before) / 48000.0, passed_s + 0.8) << "it keeps to time";
    const pid_t again = fork();
    if (again == 0) {
        (void)!freopen("/dev/null", "w", stdout);
        (void)!freopen("/dev/null", "w", stderr);
        execlp("pipewire-pulse", "pipewire-pulse", static_cast<char*>(nullptr));
        _exit(127);
    }
    for (int n = 0; n < 200 && system("pactl info >/dev/null 2>&1") != 0; ++n) pause_ms(50);
    // The sink lived in the server that was killed.
    output_of("pactl load-module module-null-sink sink_name=desk sink_properties=device.description=Desk 2>&1");
    watch_until([&] { return sounds(); });
    EXPECT_EQ(engine.device()->sounding(), "Pulse: Desk");
    engine.stop();
    kill(again, SIGKILL);
    waitpid(again, nullptr, 0);
}
