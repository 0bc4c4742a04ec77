// The order and the levels of a build-up: common practice, no source.
#include "core/balance/build_up.h"

#include <gtest/gtest.h>

#include <cmath>

using namespace isotonus;

namespace {

/// A session of tracks with these names.
Session band(const std::vector<std::string>& names) {
    std::vector<fs::path> files;
    for (const std::string& n : names) files.push_back("/" + n + ".wav");
    return with_files({}, files);
}

Family family(const Track& t) { return family_of(t); }

std::vector<std::string> names_in(const Session& s, BuildUpOrder order, const std::vector<TrackId>& first = {}) {
    std::vector<std::string> names;
    for (const TrackId id : build_up_order(s, order, family, first)) names.push_back(s.find(id)->name);
    return names;
}

const std::vector<std::string> song{"Voice", "Crowd Noise", "Hats", "Melody", "Snare", "Kick", "Piano", "Bass", "Toms"};

}  // namespace

TEST(BuildUp, a_beat_begins_with_kick_bass_and_backbeat) {
    EXPECT_EQ(
        names_in(band(song), BuildUpOrder::beat),
        (std::vector<std::string>{"Kick", "Bass", "Snare", "Hats", "Melody", "Toms", "Voice", "Piano", "Crowd Noise"}));
}

TEST(BuildUp, a_band_brings_its_voices_late) {
    const auto names = names_in(band(song), BuildUpOrder::band);
    const auto place = [&](const char* name) { return std::find(names.begin(), names.end(), name) - names.begin(); };
    EXPECT_LT(place("Kick"), 2);
    EXPECT_LT(place("Snare"), 2);
    EXPECT_LT(place("Toms"), place("Bass"));
    EXPECT_LT(place("Bass"), place("Piano"));
    EXPECT_LT(place("Piano"), place("Voice"));
    EXPECT_EQ(names.back(), "Crowd Noise");
}

TEST(BuildUp, anchors_own_rows_and_silence) {
    Session s = band(song);
    s = with_track(s, 4, [](Track& t) { t.anchor = true; });
    s = with_track(s, 8, [](Track& t) { t.anchor = true; });
    auto names = names_in(s, BuildUpOrder::anchors);
    EXPECT_EQ(names[0], "Melody");
    EXPECT_EQ(names[1], "Bass");
    EXPECT_EQ(names[2], "Voice");  // then as the rows stand
    EXPECT_EQ(names_in(s, BuildUpOrder::from_silence), song);
    names = names_in(s, BuildUpOrder::own, {7, 2});
    EXPECT_EQ(names[0], "Crowd Noise");  // in the order of the rows
    EXPECT_EQ(names[1], "Piano");
    for (const auto order :
         {BuildUpOrder::beat, BuildUpOrder::band, BuildUpOrder::anchors, BuildUpOrder::from_silence, BuildUpOrder::own})
        EXPECT_EQ(build_up_order(s, order, family).size(), song.size());  // nobody is left out
    EXPECT_TRUE(build_up_order({}, BuildUpOrder::beat, family).empty());
}

TEST(BuildUp, levels_to_start_from_follow_the_anchors) {
    Session s = band({"Kick", "Bass", "Snare", "Hats", "Piano", "Voice", "Voice Hum", "Canal Water", "Thing", "Toms"});
    const auto suggested = [&](const char* name) {
        return suggested_fader_db(s, *s.find(std::string(name)), {family});
    };
    // Hats are nearly always too loud, effects should barely be noticed: well below what the mix stands on.
    EXPECT_EQ(suggested("Kick"), 0.0);
    EXPECT_LT(suggested("Hats"), suggested("Snare") - 6.0);
    EXPECT_LT(suggested("Canal Water"), -10.0);
    EXPECT_LT(suggested("Voice Hum"), suggested("Voice"));
    EXPECT_LT(suggested("Thing"), 0.0);
    const double piano = suggested("Piano");
    for (const TrackId id : {1, 2}) s = with_track(s, id, [](Track& t) { t.anchor = true, t.fader_db = -6.0; });
    EXPECT_EQ(suggested("Piano"), piano - 6.0);
    EXPECT_EQ(suggested("Kick"), 0.0);                                // anchors do not follow themselves
    s = with_track(s, 2, [](Track& t) { t.fader_db = silence_db; });  // one that is off says nothing
    EXPECT_EQ(suggested("Piano"), piano - 6.0);
    s = with_track(s, 1, [](Track& t) { t.mute = true; });
    EXPECT_EQ(suggested("Piano"), piano);
}

TEST(BuildUp, anchors_come_in_the_order_that_was_chosen) {
    Session s = band(song);
    for (const char* name : {"Kick", "Bass", "Voice"})
        s = with_track(s, s.find(name)->id, [](Track& t) { t.anchor = true; });
    const auto first = [&] {
        auto names = names_in(s, BuildUpOrder::anchors);
        names.resize(4);
        return names;
    };
    EXPECT_EQ(first(), (std::vector<std::string>{"Voice", "Kick", "Bass", "Crowd Noise"})) << "by rows";
    s = with_anchor_moved(s, s.find("Voice")->id, 1);
    s = with_anchor_moved(s, s.find("Voice")->id, 1);
    EXPECT_EQ(first(), (std::vector<std::string>{"Kick", "Bass", "Voice", "Crowd Noise"}));
    EXPECT_EQ(with_anchor_moved(s, s.find("Voice")->id, 1).anchor_order, s.anchor_order) << "it is the last";
    EXPECT_EQ(with_anchor_moved(s, s.find("Hats")->id, 1).anchor_order, s.anchor_order) << "it is none";
    // One more comes after those that were ordered; one that is removed leaves no gap.
    s = with_track(s, s.find("Crowd Noise")->id, [](Track& t) { t.anchor = true; });
    s = without_tracks(s, {s.find("Bass")->id});
    EXPECT_EQ(first(), (std::vector<std::string>{"Kick", "Voice", "Crowd Noise", "Hats"}));
    // The other orders do not ask.
    EXPECT_EQ(names_in(s, BuildUpOrder::own)[0], "Voice");
}
