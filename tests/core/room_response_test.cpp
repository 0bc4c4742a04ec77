// Rooms from files: convolution against scipy, files that cannot be one.
#include "core/shape/room_response.h"

#include <gmock/gmock.h>

#include <fstream>

#include "core/handoff/checks.h"
#include "core/session/session_file.h"
#include "core/session/tempo.h"
#include "tests/support/chains.h"

using namespace isotonus;
using namespace isotonus::test;
using testing::HasSubstr;

namespace {

Processor room(const fs::path& file, std::initializer_list<std::pair<const char*, double>> values = {}) {
    Processor p = processor("reverb", {{"predelay_ms", 0.0}, {"low_cut_hz", 20.0}, {"high_cut_hz", 20000.0}});
    for (const auto& [name, value] : values) set_value(p, *parameter_of(p, name), value);
    p.impulse = file;
    return p;
}

/// Noise that dies away.
std::vector<float> dying(int frames, int channels, unsigned seed) {
    auto x = make(frames, channels, noise(seed, 0.5));
    for (size_t i = 0; i < x.size(); ++i)
        x[i] *= std::exp(-6.9f * static_cast<float>(i / static_cast<size_t>(channels)) / static_cast<float>(frames));
    return x;
}

}  // namespace

TEST(Rooms, from_files_are_what_scipy_convolves) {
    for (const int channels : {1, 2, 4}) {
        Folder folder;
        write(folder / "room.wav", dying(7001, channels, 5), channels);
        const auto in = make(30000, 2, noise(3, 0.3));
        write(folder / "in.wav", in, 2);
        write(folder / "out.wav", through({room(folder / "room.wav", {{"predelay_ms", 10.0}})}, in, 2), 2);
        std::ofstream(folder / "t.py") << R"(
import numpy, scipy.io.wavfile as w, scipy.signal as s
h, x, y = (w.read(f)[1].astype(float) for f in ('room.wav', 'in.wav', 'out.wav'))
h = h.reshape(len(h), -1)
h /= numpy.sqrt((h ** 2).sum() / min(2, h.shape[1]))
n, late = len(y), 480
c = lambda side, k: s.fftconvolve(x[:, side], h[:, k])[:n - late]
z = numpy.zeros((n, 2))
if h.shape[1] == 4:
    z[late:, 0] = c(0, 0) + c(1, 2)
    z[late:, 1] = c(0, 1) + c(1, 3)
else:
    z[late:, 0], z[late:, 1] = c(0, 0), c(1, h.shape[1] - 1)
print(numpy.abs(y - z).max())
)";
        int status = 0;
        const std::string said = output_of("cd '" + folder.path().string() + "' && /usr/bin/python3 t.py", &status);
        ASSERT_EQ(status, 0) << said;
        EXPECT_LT(std::stod(said), 3e-6) << channels;
    }
}

TEST(Rooms, of_another_rate_last_as_long_and_their_tail_is_heard) {
    Folder folder;
    write(folder / "room.wav", dying(44100, 1, 5), 1, 44100);
    const auto found = room_response(folder / "room.wav", 48000.0).value();
    EXPECT_NEAR(found->seconds(), 1.0, 0.001);
    EXPECT_NEAR(tail_s({room(folder / "room.wav")}, {}), 1.0, 0.001);
    EXPECT_EQ(room_response(folder / "room.wav", 48000.0).value(), found) << "read once";
    Shaped mix({write(folder / "a.wav", make(48000, 1, noise(1, 0.3)), 1)});
    mix.change(0, [&](Track& t) { t.chain = {room(folder / "room.wav")}; });
    EXPECT_NEAR(mix.shaped_plan()->duration_s(), 2.0, 0.001);
}

TEST(Rooms, give_the_same_bits_wherever_they_are_read_from) {
    Folder folder;
    write(folder / "room.wav", dying(20000, 2, 5), 2);
    Shaped mix({write(folder / "a.wav", make(150000, 2, noise(1, 0.3)), 2)});
    mix.change(0, [&](Track& t) { t.chain = {room(folder / "room.wav"), processor("compressor", {}, 2)}; });
    const PlanPtr plan = mix.shaped_plan();
    const auto whole = rendered(plan, 4096);
    EXPECT_EQ(rendered(plan, 17, 4), whole);
    auto reader = open_running(signal_of(plan->tracks[0].material)).value();
    std::vector<float> part(2 * 3000), kept(2 * 3000);
    ASSERT_TRUE(reader->read(90001, 3000, part.data()));
    ASSERT_TRUE(plan->tracks[0].material->open().value()->read(90001, 3000, kept.data()));
    EXPECT_EQ(part, kept);
}

TEST(Rooms, that_cannot_be_read_let_through_what_comes_in_and_are_told) {
    Folder folder;
    write(folder / "three.wav", make(100, 3, noise(1, 0.3)), 3);
    write(folder / "silent.wav", std::vector<float>(100), 1);
    std::ofstream(folder / "text.wav") << "no sound";
    for (const auto& [name, why] : {std::pair{"three.wav", "1, 2 or 4 channels, this file has 3"},
                                    {"silent.wav", "the impulse response is silent"},
                                    {"text.wav", "text.wav"},
                                    {"gone.wav", "gone.wav"}})
        EXPECT_THAT(room_response(folder / name, 48000.0).error().text(), HasSubstr(why));
    Shaped mix({write(folder / "a.wav", make(48000, 2, noise(1, 0.3)), 2)});
    mix.change(0, [&](Track& t) { t.chain = {room(folder / "gone.wav")}; });
    const PlanPtr plan = mix.shaped_plan();
    EXPECT_THAT(signal_of(plan->tracks[0].material)->fault(0), HasSubstr("gone.wav"));
    const auto checks = checks_of(mix.session, plan, {});
    ASSERT_TRUE(checks);
    mix.change(0, [](Track& t) { t.chain.clear(); });
    EXPECT_EQ(rendered(plan, 4096), rendered(mix.shaped_plan(), 4096));
    EXPECT_TRUE(std::any_of(checks->begin(), checks->end(), [](const Check& c) {
        return c.id == "cannot_run" && !c.passed && c.text.find("gone.wav") != std::string::npos;
    }));
}

TEST(Rooms, are_kept_in_the_session_and_never_written_over) {
    Folder folder;
    fs::create_directories(folder / "rooms");
    write(folder / "rooms/hall.wav", dying(2000, 1, 5), 1);
    Shaped mix({write(folder / "a.wav", make(4800, 2, noise(1, 0.3)), 2)});
    mix.change(0, [&](Track& t) { t.chain = {room(folder / "rooms/hall.wav")}; });
    ASSERT_TRUE(write_session(mix.session, folder / "s.isotonus"));
    EXPECT_THAT(read_whole(folder / "s.isotonus", 1 << 20).value(), HasSubstr("\"impulse\": \"rooms/hall.wav\""));
    EXPECT_EQ(read_session(folder / "s.isotonus").value().tracks[0]->chain, mix.session.tracks[0]->chain);
    EXPECT_THAT(protected_by(mix.session, {}).allow(folder / "rooms/hall.wav").error().what,
                HasSubstr("the impulse response of '"));
}

TEST(NoteValues, are_times_and_rates_at_the_tempo) {
    const std::vector<TempoMark> tempo{{0.0, 120.0}, {10.0, 60.0}};
    EXPECT_DOUBLE_EQ(note_ms(tempo, 0.0, "1/4").value(), 500.0);
    EXPECT_DOUBLE_EQ(note_ms(tempo, 0.0, " 1/8. ").value(), 375.0);
    EXPECT_DOUBLE_EQ(note_ms(tempo, 12.0, "1/8t").value(), 1000.0 / 3.0);
    for (const char* wrong : {"", "1/", "1/3", "2/4", "1/8x", "1/8..", "eighth"})
        EXPECT_FALSE(note_ms(tempo, 0.0, wrong)) << wrong;
    EXPECT_FALSE(note_ms({}, 0.0, "1/4")) << "the song has no bars";
    const ParameterInfo& rate = *processor_type("modulation")->find("rate_hz");
    EXPECT_DOUBLE_EQ(value_from_note(rate, tempo, 0.0, "1/2").value(), 1.0);
    EXPECT_FALSE(value_from_note(*processor_type("modulation")->find("depth"), tempo, 0.0, "1/2"));
    EXPECT_DOUBLE_EQ(value_from_note(*processor_type("reverb")->find("predelay_ms"), tempo, 0.0, "1/1").value(), 250.0)
        << "held to its range";
}
