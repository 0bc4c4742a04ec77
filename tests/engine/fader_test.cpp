// Faders over MIDI: bytes, pickup, and the simulated box.
#include "engine/fader_box.h"

#include <atomic>
#include <thread>

#include "tests/support/sounds.h"

using namespace isotonus;

TEST(FaderMidi, positions_go_through_bytes_and_back_in_every_speech) {
    for (const FaderSpeech speech : {FaderSpeech::pitch_bend, FaderSpeech::control_14, FaderSpeech::control_7})
        for (int n = 0; n <= 200; ++n) {
            const FaderAddress address{speech, n % 16, speech == FaderSpeech::pitch_bend ? 0 : n % 32};
            FaderMidiReader reader;
            std::optional<FaderMove> last;
            for (const MidiBytes& bytes : fader_bytes(address, n / 200.0)) {
                for (size_t i = 1; i < bytes.size(); ++i) EXPECT_LT(bytes[i], 128);
                last = reader.move(bytes);
            }
            ASSERT_TRUE(last);
            EXPECT_EQ(last->address, address);
            EXPECT_NEAR(last->position, n / 200.0, 0.5 / steps_of(speech) + 1e-12);
        }
}

TEST(FaderMidi, messages_are_those_of_the_midi_specification) {
    // MIDI 1.0 Detailed Specification (from memory): pitch bend is E0 + channel, fine 7 bits first; a control change B0
    // + channel; control 7 is channel volume, its fine half control 39; 2000h is the middle of pitch bend.
    EXPECT_EQ(fader_bytes({FaderSpeech::pitch_bend, 3, 0}, 8192.0 / 16383.0),
              (std::vector<MidiBytes>{{0xE3, 0x00, 0x40}}));
    EXPECT_EQ(fader_bytes({FaderSpeech::control_14, 0, 7}, 1.0),
              (std::vector<MidiBytes>{{0xB0, 7, 127}, {0xB0, 39, 127}}));
    EXPECT_EQ(fader_bytes({FaderSpeech::control_7, 15, 11}, 0.5), (std::vector<MidiBytes>{{0xBF, 11, 64}}));
    FaderMidiReader reader;
    const MidiBytes modes[] = {{0xB0, 123, 0}, {0x90, 60, 100}, {0xF8}, {}, {0xC0, 5}};
    for (const MidiBytes& other : modes) EXPECT_FALSE(reader.move(other));
    // A fine half without its coarse one is a control of its own.
    EXPECT_EQ(reader.move(MidiBytes{0xB0, 39, 64})->address, (FaderAddress{FaderSpeech::control_7, 0, 39}));
    EXPECT_FALSE(FaderMidiReader::touch(MidiBytes{0x90, 3, 127}));  // a note on another channel
    EXPECT_FALSE(FaderMidiReader::touch(MidiBytes{0x9F, 3, 0})->on);
}

TEST(Pickup, takes_a_fader_only_where_it_meets_its_value) {
    Pickup p;
    EXPECT_FALSE(p.takes(0.2, 0.7));
    EXPECT_FALSE(p.takes(0.5, 0.7));
    EXPECT_TRUE(p.takes(0.72, 0.7));  // crossed it
    EXPECT_TRUE(p.takes(0.9, 0.72));
    EXPECT_FALSE(p.takes(0.88, 0.3));  // the value went elsewhere by other hands
    EXPECT_TRUE(p.takes(0.29, 0.3));
    p.let_go();
    EXPECT_FALSE(p.takes(0.5, 0.3));
}

TEST(FaderBox, speaks_and_is_moved_but_not_against_a_hand) {
    auto [ours, theirs] = midi_pair();
    std::vector<MidiBytes> heard;
    ours->on_message([&](const MidiBytes& bytes) { heard.push_back(bytes); });
    FaderBox box(theirs);
    int motors = 0;
    box.moved = [&] { ++motors; };
    box.touch(4);
    box.move(4, 0.5);
    EXPECT_EQ(heard.size(), 2u);
    const auto send = [&box, &port = *ours](double position) {
        for (const MidiBytes& bytes : fader_bytes(FaderBox::address(box.speech(), 4), position)) port.send(bytes);
    };
    send(0.9);
    EXPECT_EQ(box.position(4), 0.5);  // a hand is on it
    box.release(4);
    send(0.9);
    EXPECT_NEAR(box.position(4), 0.9, 1e-4);
    EXPECT_EQ(motors, 1);
    box.speak(FaderSpeech::control_14);
    heard.clear();
    box.move(4, 0.3);
    EXPECT_EQ(heard.size(), 2u);
    send(0.1);
    EXPECT_NEAR(box.position(4), 0.1, 1e-4);
    box.move(4, 7.0);
    EXPECT_EQ(box.position(4), 1.0);
}

TEST(MidiPorts, take_another_receiver_while_messages_come_in) {
    // On real ports messages come on a thread of the port's own, from the moment it is open.
    auto [ours, theirs] = midi_pair();
    std::atomic<bool> over{false};
    std::atomic<int64_t> heard{0};
    std::jthread sender([&port = *theirs, &over] {
        while (!over) port.send({0x90, 60, 100});
    });
    for (int n = 0; n < 2000; ++n) {
        auto kept = std::make_shared<int>(n);  // a receiver that is called after it was let go would read freed memory
        ours->on_message([&heard, kept](const MidiBytes& bytes) {
            if (*kept >= 0 && bytes.size() == 3) ++heard;
        });
    }
    while (heard < 1000) std::this_thread::yield();
    ours->on_message({});
    over = true;
    sender.join();
    EXPECT_GE(heard, 1000);
}
