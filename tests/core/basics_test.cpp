// Decibels, work shared among threads, and the picture of the whole song.
#include "core/balance/fader.h"
#include "core/mix/mix_peak.h"

#include "core/mix/mixdown.h"
#include "core/mix/overview.h"
#include "core/parallel.h"
#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;

TEST(Decibels, and_gains_are_each_others_inverse) {
    EXPECT_DOUBLE_EQ(gain_from_db(0.0), 1.0);
    EXPECT_NEAR(gain_from_db(-6.0206), 0.5, 1e-6);
    EXPECT_EQ(gain_from_db(silence_db), 0.0);
    EXPECT_EQ(db_from_gain(0.0), silence_db);
    EXPECT_EQ(db_from_gain(-1.0), silence_db);
    EXPECT_NEAR(db_from_power(0.25), -6.0206, 1e-4);
    for (double db = -100.0; db <= 24.0; db += 3.7) EXPECT_NEAR(db_from_gain(gain_from_db(db)), db, 1e-9);
    EXPECT_FALSE(level_from_gain(0.0));
    EXPECT_FALSE(level_from_power(0.0));
}

TEST(Decibels, of_faders_stay_within_their_travel) {
    EXPECT_DOUBLE_EQ(fader_moved(-6.0, 2.0), -4.0);
    EXPECT_DOUBLE_EQ(fader_moved(11.0, 2.0), fader_max_db);
    EXPECT_EQ(fader_moved(-71.0, -2.0), silence_db);
    EXPECT_EQ(fader_moved(silence_db, -2.0), silence_db);
    EXPECT_DOUBLE_EQ(fader_moved(silence_db, 2.0), fader_floor_db + 2.0);
    EXPECT_DOUBLE_EQ(fader_for_peak(-3.0, -9.0).value(), -6.0);
    EXPECT_DOUBLE_EQ(fader_for_peak(-3.0, 9.0).value(), fader_max_db);
    EXPECT_FALSE(fader_for_peak(-3.0, 9.1));
    EXPECT_EQ(fader_for_peak(-3.0, -76.0).value(), silence_db);
}

TEST(Parallel, every_index_is_done_once) {
    for (const int workers : {1, 2, 7}) {
        std::vector<std::atomic<int>> done(1000);
        parallel_for(1000, workers, [&](int64_t i) { done[static_cast<size_t>(i)].fetch_add(1); });
        for (const auto& n : done) ASSERT_EQ(n.load(), 1);
    }
    parallel_for(0, 4, [](int64_t) { FAIL(); });
}

TEST(Progress, is_told_and_can_be_cancelled) {
    Progress p;
    EXPECT_FALSE(p.cancelled());
    p.report(0.4);
    EXPECT_DOUBLE_EQ(p.fraction(), 0.4);
    p.cancel();
    EXPECT_TRUE(p.cancelled());
}

namespace {

class Overview : public testing::Test {
  protected:
    Folder folder;
    /// A tone for the first half, silence for the second.
    Mix half_tone() {
        const auto x =
            make(96000, 2, [s = sine(750, 48000, 0.5)](int64_t i, int c) { return i < 48000 ? s(i, c) : 0.0; });
        return Mix({write(folder / "a.wav", x, 2)});
    }
    static double level(const std::vector<double>& power, size_t column) {
        return db_from_power(power[column]) + aes17_db;
    }
};

}  // namespace

TEST_F(Overview, has_the_tracks_level_where_it_sounds) {
    const Mix mix = half_tone();
    const auto power = MixOverview(mix.plan()).power(0, 96000, 10);
    ASSERT_EQ(power.size(), 10u);
    EXPECT_NEAR(level(power, 2), -6.02, 0.1);
    EXPECT_EQ(power[8], 0.0);
}

TEST_F(Overview, follows_fader_mute_ride_main_fader_and_zoom) {
    Mix mix = half_tone();
    mix.change(0, [](Track& t) {
        t.fader_db = -6.0;
        t.rides.set(Parameter::level, std::make_shared<const Curve>(Curve{{{0.5, 0.0, Segment::step}, {0.6, -12.0}}}));
    });
    mix.session.main_fader_db = -3.0;
    auto power = MixOverview(mix.plan()).power(0, 48000, 10);
    EXPECT_NEAR(level(power, 1), -15.02, 0.1);
    EXPECT_NEAR(level(power, 8), -27.02, 0.1);
    power = MixOverview(mix.plan()).power(24000, 72000, 4);
    EXPECT_GT(power[0], 0.0);
    EXPECT_EQ(power[3], 0.0);
    mix.change(0, [](Track& t) { t.mute = true; });
    const auto silent = MixOverview(mix.plan()).power(0, 96000, 10);
    for (const double p : silent) EXPECT_EQ(p, 0.0);
}

TEST_F(Overview, a_delay_moves_it) {
    Mix mix = half_tone();
    mix.change(0, [](Track& t) { t.delay_samples = 48000; });
    const auto power = MixOverview(mix.plan()).power(0, 144000, 6);
    EXPECT_EQ(power[0], 0.0);
    EXPECT_NEAR(level(power, 2), -6.02, 0.2);
}

TEST(Plan, keeps_its_sources_when_only_gains_change) {
    Folder folder;
    Mix mix({write(folder / "a.wav", make(1000, 1, noise(1)), 1), write(folder / "b.wav", make(1000, 1, noise(2)), 1)});
    const PlanPtr before = mix.plan();
    mix.change(0, [](Track& t) { t.fader_db = -9.0, t.mute = true, t.pan = 1.0; });
    EXPECT_TRUE(before->same_sources(*mix.plan()));
    mix.change(0, [](Track& t) { t.delay_samples = 1; });
    EXPECT_FALSE(before->same_sources(*mix.plan()));
    EXPECT_FALSE(before->same_sources(*Mix({folder / "a.wav"}).plan()));
}

TEST(Plan, leaves_out_what_has_no_file_and_mixes_the_rest) {
    Folder folder;
    Session s = with_files({}, {write(folder / "a.wav", std::vector<float>(100, 0.5f), 2), folder / "lost.wav"});
    const PlanPtr plan =
        compile_plan(s, [](const Track& t) { return load_material(source_of(t), 48000).value_or(nullptr); });
    ASSERT_EQ(plan->tracks.size(), 1u);
    EXPECT_EQ(plan->frames, 50);
    EXPECT_EQ(whole_song_peak(plan).value().peak, 0.5f);
    EXPECT_EQ(compile_plan({}, [](const Track&) { return nullptr; })->frames, 0);
}
