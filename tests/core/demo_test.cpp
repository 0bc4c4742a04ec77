// The demo's faults have the sizes that demosong/README.md says, and the music is the same at every run.
#include "demosong/song.h"

#include <fstream>

#include "core/session/session_file.h"
#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

Measurement of(const char* name) { return measure_file(demo_folder() / name).value().measurement; }

}  // namespace

TEST(Demo, is_the_same_to_the_bit_at_every_run) {
    // A checksum over all files, made once; every later run and machine must find it again.
    uint64_t sum = 0xCBF29CE484222325ULL;
    const auto files = audio_files_in(demo_folder()).value();
    for (const fs::path& file : files) {
        std::ifstream in(file, std::ios::binary);
        std::vector<char> bytes((std::istreambuf_iterator<char>(in)), {});
        for (const char c : bytes) sum = (sum ^ static_cast<unsigned char>(c)) * 0x100000001B3ULL;
    }
    EXPECT_EQ(sum, 17614739610643181897ULL);
}

TEST(Demo, has_eighteen_tracks_and_named_sections) {
    const Session s = read_session(demo_folder() / "demo.isotonus").value();
    EXPECT_EQ(s.tracks.size(), 18u);
    EXPECT_EQ(s.sample_rate, 48000);
    std::vector<std::string> names;
    for (const Section& section : s.sections) names.push_back(section.name);
    EXPECT_EQ(names, (std::vector<std::string>{"intro", "verse", "chorus", "bridge", "solo", "chorus", "outro"}));
    int mono = 0;
    for (const auto& t : s.tracks) {
        const Measurement m = measure_file(t->source.file).value().measurement;
        EXPECT_NEAR(m.duration_s(), 89.0, 0.001) << t->name;
        mono += m.channels == 1;
    }
    EXPECT_EQ(mono, 10);
}

TEST(Demo, snare_is_clipped) { EXPECT_EQ(of("03 Snare.wav").clipped_runs, 124); }
TEST(Demo, plucked_chords_average_minus_30) {
    EXPECT_NEAR(*of("08 Plucked Chords.wav").average_dbfs, DemoFaults::plucked_average_dbfs, 0.02);
}
TEST(Demo, bass_has_its_dc_offset) { EXPECT_NEAR(of("07 Bass.wav").dc_offset, DemoFaults::bass_dc_offset, 0.0005); }
TEST(Demo, crowd_is_at_44100) { EXPECT_EQ(of("18 Crowd.wav").sample_rate, 44100); }

TEST(Demo, bells_peak_in_the_last_seconds) {
    const Measurement m = of("16 Lantern Bells.wav");
    EXPECT_NEAR(m.peak_time_s, DemoFaults::bell_peak_time_s, 0.1);
    EXPECT_GT(m.peak_time_s, m.duration_s() - 6.0);
}

TEST(Demo, reed_is_silent_until_its_solo) {
    const auto x = read(demo_folder() / "15 Solo Reed.wav");
    size_t first = 0;
    while (x[first] == 0.0f) ++first;
    EXPECT_NEAR(static_cast<double>(first) / 48000.0, DemoFaults::solo_silence_s, 0.01);
}

TEST(Demo, room_microphone_is_late_and_inverted) {
    const auto close = read(demo_folder() / "01 Kick Close.wav"), room = read(demo_folder() / "02 Kick Room.wav");
    double strongest = 0.0;
    size_t lag_found = 0;
    for (size_t lag = 0; lag < 1000; ++lag) {  // plain cross-correlation over the first half minute
        double sum = 0.0;
        for (size_t i = 0; i < 1440000; i += 3)
            sum += static_cast<double>(close[i]) * static_cast<double>(room[i + lag]);
        if (std::fabs(sum) > std::fabs(strongest)) strongest = sum, lag_found = lag;
    }
    EXPECT_EQ(lag_found, static_cast<size_t>(DemoFaults::room_delay_samples));
    EXPECT_LT(strongest, 0.0);
}

TEST(Demo, pad_nearly_vanishes_in_mono) {
    const auto x = read(demo_folder() / "10 Water Pad.wav");
    double stereo = 0.0, mono = 0.0;
    for (size_t i = 0; i < x.size(); i += 2) {
        const double l = static_cast<double>(x[i]), r = static_cast<double>(x[i + 1]);
        stereo += (l * l + r * r) / 2.0;
        mono += (l + r) * (l + r) / 4.0;
    }
    EXPECT_GT(db_from_power(stereo / mono), DemoFaults::pad_loss_in_mono_db);
    EXPECT_LT(*of("10 Water Pad.wav").correlation, -0.95);
}

TEST(Demo, hats_rumble_below_60_Hz) {
    // Energy of the rumble's own frequency, by the Fourier sum over the whole file (a whole number of its periods or
    // near).
    const auto x = read(demo_folder() / "04 Hats.wav");
    double re = 0.0, im = 0.0;
    const size_t frames = x.size() / 2;
    for (size_t i = 0; i < frames; ++i) {
        const double turn = 2.0 * std::numbers::pi * DemoFaults::hats_rumble_hz * static_cast<double>(i) / 48000.0;
        re += static_cast<double>(x[2 * i]) * std::cos(turn);
        im += static_cast<double>(x[2 * i]) * std::sin(turn);
    }
    EXPECT_NEAR(db_from_gain(2.0 * std::hypot(re, im) / static_cast<double>(frames)), DemoFaults::hats_rumble_peak_dbfs,
                0.05);
}

TEST(Demo, voice_phrases_differ_from_8_dB_too_quiet_to_6_dB_too_loud) {
    // Phrases of two bars of 2.4 s.  Bars 6 and 10, 4 and 8, 18 and 20 have the same notes and vowels, other levels:
    // −4 and +6, +3 and 0, 0 and −8 dB.
    const auto x = read(demo_folder() / "13 Voice.wav");
    const auto phrase = [&](int bar) {
        const auto from = static_cast<std::ptrdiff_t>(bar * 2.4 * 48000.0),
                   to = static_cast<std::ptrdiff_t>((bar + 2) * 2.4 * 48000.0);
        return *measure(std::vector<float>(x.begin() + from, x.begin() + to), 1, 48000).average_dbfs;
    };
    EXPECT_NEAR(phrase(10) - phrase(6), 10.0, 0.2);
    EXPECT_NEAR(phrase(4) - phrase(8), 3.0, 0.2);
    EXPECT_NEAR(phrase(20) - phrase(18), -8.0, 0.2);
}

TEST(Demo, held_chords_cover_the_voice) {
    // In the verse the chords are louder than the voice's quietest phrase.
    const auto average = [](const char* name, double from_s, double to_s) {
        auto reader = SoundReader::open(demo_folder() / name).value();
        const auto first = std::llround(from_s * 48000.0), frames = std::llround((to_s - from_s) * 48000.0);
        std::vector<float> x(static_cast<size_t>(frames * reader.info().channels));
        EXPECT_TRUE(reader.read(first, frames, x.data()));
        return *measure(x, reader.info().channels, 48000).average_dbfs;
    };
    EXPECT_GT(average("09 Held Chords.wav", 14.4, 19.2), average("13 Voice.wav", 14.4, 19.2) + 3.0);
}
