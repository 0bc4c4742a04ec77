// The tempo of a song: typed, tapped, found from hits.
#include <gmock/gmock.h>

#include <fstream>
#include <random>

#include "core/session/session_file.h"
#include "core/session/tempo.h"
#include "core/stage/tempo_finder.h"
#include "demosong/score.h"
#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

struct Hits {
    std::vector<double> kicks, backbeats;
};

/// Bars of 4/4 whose first begins at `start_s`: kicks on the first and third beat and sometimes an eighth before the
/// fourth, snares on the second and fourth, each off by a few milliseconds.
Hits played(double tempo, double start_s, int bars, unsigned seed = 1) {
    std::mt19937 random(seed);
    std::normal_distribution<double> off(0.0, 0.004);
    Hits hits;
    const double beat_s = 60.0 / tempo;
    for (int bar = 0; bar < bars; ++bar) {
        const auto at = [&](double beat) { return start_s + (bar * 4 + beat) * beat_s + off(random); };
        hits.kicks.push_back(at(0.0));
        hits.backbeats.push_back(at(1.0));
        hits.kicks.push_back(at(2.0));
        if (bar % 2 == 1) hits.kicks.push_back(at(2.5));
        hits.backbeats.push_back(at(3.0));
    }
    return hits;
}

}  // namespace

TEST(Tempo, is_found_from_kick_and_snare_with_the_bar_they_play_in) {
    for (const double tempo : {72.0, 84.5, 92.3, 100.0, 118.0, 128.0, 140.0}) {
        const Hits hits = played(tempo, 0.73, 40);
        const auto found = tempo_of_hits(hits.kicks, hits.backbeats);
        ASSERT_TRUE(found) << tempo;
        EXPECT_NEAR(found->mark.quarters_a_minute, tempo, 0.03) << tempo;
        EXPECT_NEAR(found->mark.time_s, 0.73, 0.01) << tempo;
        EXPECT_GT(found->share_in_time, 0.97) << tempo;
        EXPECT_EQ(found->mark.beats, 4);
    }
    // A song that begins with a pick-up on the fourth beat has its first whole bar where the kicks say.
    Hits hits = played(100.0, 0.6, 30);
    hits.backbeats.insert(hits.backbeats.begin(), 0.0);
    const auto found = tempo_of_hits(hits.kicks, hits.backbeats).value();
    EXPECT_NEAR(std::remainder(found.mark.time_s - 0.6, 2.4), 0.0, 0.01);
}

TEST(Tempo, of_hits_without_one_is_none) {
    std::mt19937 random(4);
    std::uniform_real_distribution<double> when(0.0, 60.0);
    std::vector<double> hits(120);
    for (double& t : hits) t = when(random);
    std::sort(hits.begin(), hits.end());
    EXPECT_FALSE(tempo_of_hits(hits, {}));
    EXPECT_FALSE(tempo_of_hits({0.0, 0.5, 1.0}, {0.25}));
    EXPECT_FALSE(tempo_of_hits({}, {}));
}

// The demo's drums are made at this tempo, which its session does not say.
TEST(Tempo, of_the_demo_is_the_one_it_was_made_at) {
    const fs::path demo = ISOTONUS_DEMO;
    const Session session = read_session(demo / "demo.isotonus").value();
    ASSERT_TRUE(session.tempo.empty());
    const auto found =
        find_tempo(session, [&](const Track& t) { return load_material(source_of(t), session.sample_rate).value(); });
    ASSERT_TRUE(found);
    EXPECT_NEAR(found->mark.quarters_a_minute, 60.0 / song::beat_s, 0.01);
    EXPECT_NEAR(std::remainder(found->mark.time_s, song::bar_s), 0.0, 0.02);
}

TEST(Tempo, is_typed_and_tapped) {
    const auto typed = [](const char* text) { return tempo_from_text(text, {1.5, 120.0, 3, 4}); };
    EXPECT_EQ(typed("97,5 6/8").value(), (TempoMark{1.5, 97.5, 6, 8}));
    EXPECT_EQ(typed(" 140 ").value(), (TempoMark{1.5, 140.0, 3, 4}));
    for (const char* text : {"", "fast", "9", "1001", "120 4", "120 4/3", "120 4/4 x", "-120"})
        EXPECT_THAT(typed(text).error().what, testing::HasSubstr("is not a tempo")) << text;
    EXPECT_FALSE(tempo_of_taps({}));
    EXPECT_FALSE(tempo_of_taps({3.0}));
    EXPECT_NEAR(tempo_of_taps({0.0, 0.5, 1.0, 1.52, 2.0}).value(), 120.0, 0.01) << "one that is late does not count";
    EXPECT_NEAR(tempo_of_taps({0.0, 0.5, 9.0, 9.6, 10.2}).value(), 100.0, 0.01) << "a pause begins anew";
}

TEST(Tempo, of_a_map_changes_where_it_holds_and_is_never_lost) {
    const std::vector<TempoMark> map = {{0.0, 100.0}, {2.0, 120.0, 3, 4}, {4.0, 90.0}};
    const TempoMark mark{2.0, 126.0, 3, 4};
    for (const double at_s : {2.0, 3.999}) {
        const auto changed = with_mark_at(map, at_s, mark);
        ASSERT_EQ(changed.size(), 3u);
        EXPECT_EQ(changed[0], map[0]);
        EXPECT_EQ(changed[1], mark);
        EXPECT_EQ(changed[2], map[2]);
    }
    EXPECT_EQ(with_mark_at(map, 3.0, {5.0, 126.0}).back().time_s, 5.0) << "they stay in order";
    EXPECT_EQ(with_mark_at({}, 3.0, mark), std::vector{mark});
    EXPECT_EQ(one_tempo({}, mark).value(), std::vector{mark});
    EXPECT_EQ(one_tempo({map[0]}, mark).value(), std::vector{mark});
    EXPECT_THAT(one_tempo(map, mark).error().what, testing::HasSubstr("3 tempos"));
}
