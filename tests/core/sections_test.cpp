// Sections and tempo in and out.  Standard MIDI Files 1.0; RIFF cue points.
#include "core/session/sections_file.h"

#include "core/mix/mixdown.h"
#include "core/session/session_file.h"
#include "tests/support/exports.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

/// The standard's own example (Standard MIDI Files 1.0, format 1: 4/4, 500,000 microseconds a quarter, 96 ticks), from
/// memory, with a marker added.
std::string example(bool with_marker = true) {
    const auto bytes = [](std::initializer_list<int> list) {
        std::string s;
        for (const int b : list) s += static_cast<char>(b);
        return s;
    };
    std::string map = bytes({0x00, 0xFF, 0x58, 0x04, 0x04, 0x02, 0x18, 0x08, 0x00, 0xFF, 0x51, 0x03, 0x07, 0xA1, 0x20});
    if (with_marker) map += bytes({0x83, 0x00, 0xFF, 0x06, 0x05}) + "verse";  // 384 ticks: one bar
    map += bytes({0x00, 0xFF, 0x2F, 0x00});
    // Notes with running status and a system exclusive message, which must be stepped over.
    const std::string notes = bytes({0x00, 0xC0, 0x05, 0x81, 0x40, 0x90, 0x4C, 0x20, 0x81, 0x40, 0x4C,
                                     0x00, 0x00, 0xF0, 0x02, 0x7E, 0xF7, 0x00, 0xFF, 0x2F, 0x00});
    const auto chunk = [&](const std::string& body) {
        return "MTrk" + bytes({0, 0, 0, static_cast<int>(body.size())}) + body;
    };
    return "MThd" + bytes({0, 0, 0, 6, 0, 1, 0, 2, 0, 0x60}) + chunk(map) + chunk(notes);
}

}  // namespace

TEST(Midi, markers_tempo_and_time_signature_are_read) {
    const auto found = sections_from_midi(example(), "x.mid").value();
    ASSERT_EQ(found.sections.size(), 1u);
    EXPECT_EQ(found.sections[0].name, "verse");
    EXPECT_NEAR(found.sections[0].start_s, 2.0, 1e-9);
    ASSERT_EQ(found.tempo.size(), 1u);
    EXPECT_NEAR(found.tempo[0].quarters_a_minute, 120.0, 1e-9);
    EXPECT_EQ(found.tempo[0].beats, 4);
    EXPECT_EQ(found.tempo[0].beat_unit, 4);
}

TEST(Midi, what_is_broken_is_said_so) {
    EXPECT_EQ(sections_from_midi("RIFF", "x").error().what, "not a MIDI file. Choose a Standard MIDI File.");
    for (size_t cut = 5; cut + 1 < example().size(); cut += 7) {  // no cut makes it crash; nearly all are told
        const auto found = sections_from_midi(example().substr(0, cut), "x");
        EXPECT_FALSE(found && !found->sections.empty() && cut < 40) << cut;
    }
    std::string film = example();
    film[12] = static_cast<char>(0xE7);
    EXPECT_NE(sections_from_midi(film, "x").error().what.find("film"), std::string::npos);
    std::string pieces = example();
    pieces[9] = 2;
    EXPECT_NE(sections_from_midi(pieces, "x").error().what.find("format 2"), std::string::npos);
}

TEST(Midi, what_is_written_reads_the_same) {
    Session s;
    s.tempo = {{0.0, 92.0, 4, 4}, {20.86956, 130.0, 7, 8}};
    s.sections = {{"intro", 0.0, 0}, {"verse – one", 10.434782, 0}, {"drop", 25.0, 0}};
    const auto back = sections_from_midi(sections_to_midi(s), "x").value();
    ASSERT_EQ(back.sections.size(), 3u);
    for (size_t i = 0; i < 3; ++i) {
        EXPECT_EQ(back.sections[i].name, s.sections[i].name);
        EXPECT_NEAR(back.sections[i].start_s, s.sections[i].start_s, 0.001);
    }
    ASSERT_EQ(back.tempo.size(), 2u);
    EXPECT_NEAR(back.tempo[1].quarters_a_minute, 130.0, 0.001);
    EXPECT_NEAR(back.tempo[1].time_s, s.tempo[1].time_s, 0.001);
    EXPECT_EQ(back.tempo[1].beats, 7);
    EXPECT_EQ(back.tempo[1].beat_unit, 8);
}

TEST(CuePoints, go_out_with_an_export_and_come_back_by_another_program) {
    Folder folder;
    Mix mix({write(folder / "a.wav", make(96000, 1, sine(440, 48000, 0.3)), 1)});
    mix.session.sections = {{"intro", 0.0, 0}, {"verse", 0.5, 0}, {"chorus, loud", 1.25, 0}};
    ASSERT_TRUE(export_mix(mix.plan(), mix_into(folder / "mix.wav"), mix.session));
    const auto found = read_sections(folder / "mix.wav").value();
    ASSERT_EQ(found.sections.size(), 3u);
    EXPECT_EQ(found.sections[2].name, "chorus, loud");
    EXPECT_NEAR(found.sections[2].start_s, 1.25, 1e-4);
    // ffmpeg reads cue points as chapters.
    const std::string chapters =
        output_of("ffprobe -v error -show_chapters -of csv '" + (folder / "mix.wav").string() + "'");
    EXPECT_EQ(read_by_ffmpeg(folder / "mix.wav").size(), 2u * 96000u);
    EXPECT_EQ(read_by_sox(folder / "mix.wav").size(), 2u * 96000u);
    std::string all;
    for (const char* name : {"intro", "verse", "chorus, loud"})
        all += chapters.find(name) == std::string::npos ? "" : "x";
    EXPECT_TRUE(chapters.empty() || all == "xxx") << chapters;
    // Python's standard library walks the chunks: cue positions and labels as RIFF lays them out.
    const std::string listed = output_of(
        "/usr/bin/env python3 -c \"\nimport struct,sys\nd=open(sys.argv[1],'rb').read()\ni=12\nwhile i+8<=len(d):\n "
        "n=d[i:i+4];s=struct.unpack('<I',d[i+4:i+8])[0];b=d[i+8:i+8+s]\n if n==b'cue ':\n  "
        "print('cue',*[struct.unpack('<I',b[4+24*k+20:4+24*k+24])[0] for k in range(struct.unpack('<I',b[:4])[0])])\n "
        "if n==b'LIST' and b[:4]==b'adtl': print('adtl',b.count(b'labl'),b'chorus, loud' in b)\n i+=8+s+(s&1)\n\" '" +
        (folder / "mix.wav").string() + "'");
    EXPECT_NE(listed.find("cue 0 24000 60000"), std::string::npos) << listed;
    EXPECT_NE(listed.find("adtl 3 True"), std::string::npos) << listed;
    // A part of the song has its own markers only, at their new places.
    Delivery what = mix_into(folder / "part.wav");
    what.excerpts = {{"", {24000, 48000}}};
    ASSERT_TRUE(export_mix(mix.plan(), what, mix.session));
    const auto part = read_sections(folder / "part.wav").value().sections;
    ASSERT_EQ(part.size(), 2u);
    EXPECT_NEAR(part[1].start_s, 0.75, 1e-4);
    EXPECT_FALSE(read_sections(folder / "a.wav"));
}

TEST(Tempo, bars_beats_and_snapping) {
    const std::vector<TempoMark> map{{1.0, 120.0, 4, 4}, {9.0, 60.0, 3, 4}};
    EXPECT_EQ(bar_at(map, 1.0).bar, 1);
    EXPECT_EQ(bar_at(map, 2.6).beat, 4);
    EXPECT_NEAR(bar_at(map, 2.6).share, 0.2, 1e-6);
    EXPECT_EQ(bar_at(map, 3.0).bar, 2);
    EXPECT_EQ(bar_at(map, 0.4).bar, 0);
    EXPECT_EQ(bar_at(map, 0.4).beat, 3);
    EXPECT_EQ(bar_at(map, 9.0).bar, 5);
    EXPECT_EQ(bar_at(map, 12.0).bar, 6);
    EXPECT_EQ(bar_at(map, 13.5).beat, 2);
    EXPECT_NEAR(snapped(map, 2.7), 2.5, 1e-9);
    EXPECT_NEAR(snapped(map, 2.7, true), 3.0, 1e-9);
    EXPECT_NEAR(snapped(map, 8.9), 9.0, 1e-9);
    EXPECT_NEAR(snapped(map, 10.6), 11.0, 1e-9);
    EXPECT_EQ(snapped({}, 2.7), 2.7);
}

TEST(Pairs, are_told_by_their_names) {
    const auto pair = [](const char* a, const char* b) { return shared_name_of_pair(a, b).value_or("-"); };
    EXPECT_EQ(pair("13_Gtr L.wav", "14_Gtr R.wav"), "13_Gtr");
    EXPECT_EQ(pair("808 L.wav", "909 R.wav"), "-");
    EXPECT_EQ(pair("Pad.L.wav", "Pad.R.wav"), "Pad");
    EXPECT_EQ(pair("Pad_left.wav", "Pad_right.wav"), "Pad");
    EXPECT_EQ(pair("OH L.wav", "OH R.wav"), "OH");
    EXPECT_EQ(pair("OH-l.wav", "OH-r.wav"), "OH");
    EXPECT_EQ(pair("Keys (L).wav", "Keys (R).wav"), "Keys");
    EXPECT_EQ(pair("Pad.R.wav", "Pad.L.wav"), "-");
    EXPECT_EQ(pair("Vol.wav", "Vor.wav"), "-");
    EXPECT_EQ(pair("A L.wav", "B R.wav"), "-");
    EXPECT_EQ(pair("L.wav", "R.wav"), "-");
    Session s = with_files({}, {"/x/Bass.wav", "/x/OH R.wav", "/x/OH L.wav", "/x/Pad.L.wav", "/x/Pad.R.wav"});
    s = with_pairs_joined(s, [](const fs::path& f) { return f.stem() == "Pad.R" ? 2 : 1; });
    ASSERT_EQ(s.tracks.size(), 4u);  // the pad's right side is stereo: no pair
    EXPECT_EQ(s.tracks[1]->name, "OH");
    EXPECT_EQ(s.tracks[1]->source.right_file, "/x/OH R.wav");
    const Session split = with_channels_split(s, s.tracks[0]->id, 3);
    ASSERT_EQ(split.tracks.size(), 6u);
    EXPECT_EQ(split.tracks[1]->name, "Bass 2");
    EXPECT_EQ(split.tracks[2]->source.channel, 2);
    const Session twice = with_duplicates(s, {s.tracks[0]->id, s.tracks[3]->id});
    ASSERT_EQ(twice.tracks.size(), 6u);
    EXPECT_EQ(twice.tracks[1]->name, "Bass copy");
    EXPECT_NE(twice.tracks[1]->id, twice.tracks[0]->id);
    const Session moved = with_tracks_before(s, {s.tracks[3]->id, s.tracks[2]->id}, s.tracks[0]->id);
    EXPECT_EQ(moved.tracks[0]->id, s.tracks[2]->id);
    EXPECT_EQ(moved.tracks[1]->id, s.tracks[3]->id);
    EXPECT_EQ(with_tracks_before(s, {s.tracks[0]->id}, 0).tracks[3]->id, s.tracks[0]->id);
}

TEST(Tempo, a_stretch_grows_to_whole_bars) {
    const std::vector<TempoMark> tempo{{1.0, 120.0, 4, 4}, {9.5, 60.0, 3, 4}};  // bars of 2 s, then of 3 s
    const auto grown = [&](double from, double to) { return in_whole_bars(tempo, from, to); };
    EXPECT_EQ(grown(3.4, 6.1), std::pair(3.0, 7.0));
    EXPECT_EQ(grown(3.0, 7.0), std::pair(3.0, 7.0)) << "it is in whole bars already";
    EXPECT_EQ(grown(7.2, 9.1), std::pair(7.0, 9.5)) << "a mark cuts the bar short";
    EXPECT_EQ(grown(9.4, 11.0), std::pair(9.0, 12.5));
    EXPECT_EQ(grown(0.2, 0.4), std::pair(0.0, 1.0)) << "never before the song";
    EXPECT_EQ(in_whole_bars({}, 0.3, 0.7), std::pair(0.3, 0.7));
}
