// Rides: shapes against an independent evaluation, thinning's bound, tables, drafts on phrases of known levels.
#include "core/ride/curve.h"

#include <fstream>
#include <random>

#include "core/ride/draft.h"
#include "core/ride/thin.h"
#include "core/session/ride_csv.h"
#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;

TEST(RideShapes, are_their_formulas_at_every_sample_by_numpy) {
    const Curve c{{{0.05, -12.0, Segment::bend, 0.7},
                   {0.30, 3.0, Segment::smooth},
                   {0.55, -30.0, Segment::bend, -0.4},
                   {0.70, 0.0, Segment::step},
                   {0.80, 6.0, Segment::line},
                   {0.95, -3.0}}};
    Folder folder;
    std::ofstream(folder / "c.py") << R"(
import numpy
t = numpy.arange(48000) / 48000.0
db = numpy.full(48000, -12.0)
def part(t0, t1, v0, v1, f):
    i = (t >= t0) & (t < t1)
    u = (t[i] - t0) / (t1 - t0)
    db[i] = v0 + (v1 - v0) * f(u)
part(0.05, 0.30, -12.0, 3.0, lambda u: u ** (8.0 ** 0.7))
part(0.30, 0.55, 3.0, -30.0, lambda u: 3 * u ** 2 - 2 * u ** 3)
part(0.55, 0.70, -30.0, 0.0, lambda u: u ** (8.0 ** -0.4))
part(0.70, 0.80, 0.0, 6.0, lambda u: 0 * u)
part(0.80, 0.95, 6.0, -3.0, lambda u: u)
db[t >= 0.95] = -3.0
(10 ** (db / 20)).tofile('gains')
)";
    int status = 0;
    output_of("cd '" + folder.path().string() + "' && /usr/bin/python3 c.py", &status);
    ASSERT_EQ(status, 0);
    std::vector<double> expected(48000), gains(48000);
    std::ifstream in(folder / "gains", std::ios::binary);
    in.read(reinterpret_cast<char*>(expected.data()), 48000 * 8);
    level_ride_gains(c, 48000, 0, 48000, gains.data());
    for (size_t i = 0; i < gains.size(); ++i) {
        ASSERT_NEAR(gains[i] / expected[i], 1.0, 1e-9) << i;
        ASSERT_LE(gains[i], level_ride_bound(c, 48000, static_cast<int64_t>(i), 1) * (1 + 1e-9));
    }
    for (const int64_t block : {1, 33, 500}) {
        std::vector<double> cut(48000);
        for (int64_t at = 0; at < 48000; at += block)
            level_ride_gains(c, 48000, at, std::min(block, 48000 - at), cut.data() + at);
        EXPECT_EQ(cut, gains) << block;
    }
}

TEST(Thinning, never_moves_the_level_by_more_than_its_tolerance) {
    std::mt19937 random(7);
    std::normal_distribution<double> step(0.0, 0.3);
    std::uniform_real_distribution<double> uniform(0.0, 1.0);
    for (int round = 0; round < 40; ++round) {
        Curve c;
        double v = 0.0, t = 0.0;
        for (int i = 0; i < 400; ++i) {
            v = std::clamp(v + step(random), -40.0, 10.0);
            t += 0.002 + 0.03 * uniform(random);
            RidePoint p{t, v};
            if (uniform(random) < 0.03) p.segment = Segment::step;
            if (uniform(random) < 0.02) p.segment = Segment::smooth;
            if (uniform(random) < 0.02) p.locked = true;
            c.points.push_back(p);
            if (uniform(random) < 0.02) c.points.push_back({t, v - 6.0});  // an edge
        }
        for (const double tolerance : {0.1, 0.5, 2.0}) {
            const Curve fewer = thinned(c, tolerance);
            EXPECT_LT(fewer.points.size(), c.points.size());
            for (double at = -0.1; at < t + 0.2; at += 0.0007)
                ASSERT_LE(std::fabs(fewer.value_at(at) - c.value_at(at)), tolerance + 1e-9) << round << " " << at;
            for (const RidePoint& p : c.points)
                EXPECT_TRUE(!p.locked || std::count(fewer.points.begin(), fewer.points.end(), p) == 1);
            EXPECT_EQ(thinned(fewer, 1e-12).points.size(), fewer.points.size());
        }
    }
    EXPECT_TRUE(thinned({}).empty());
    const Curve straight{{{0.0, 0.0}, {1.0, 1.0}, {2.0, 2.0}, {3.0, 3.0}}};
    EXPECT_EQ(thinned(straight).points.size(), 2u);
}

TEST(RideTable, goes_out_and_comes_back) {
    const Curve c{{{0.25, -3.5}, {1.0, 2.125, Segment::step}, {7.5, 0.1, Segment::smooth}}};
    EXPECT_EQ(ride_to_csv(c), "seconds,value,segment\n0.25,-3.5,line\n1,2.125,step\n7.5,0.1,smooth\n");
    EXPECT_EQ(ride_from_csv(ride_to_csv(c), "r.csv").value(), c);
    EXPECT_EQ(ride_from_csv("2, -6\r\n\r\n1,+3\r\n", "r.csv").value(), (Curve{{{1.0, 3.0}, {2.0, -6.0}}}));
    const auto fault = [](const char* text) { return ride_from_csv(text, "r.csv").error().text(); };
    EXPECT_EQ(fault("seconds,value\n1,2\nx,3\n"),
              "r.csv: line 3: 'x,3' found, 'seconds,value' expected. Correct the line.");
    EXPECT_EQ(
        fault("1,99\n"),
        "r.csv: line 1: not a point of a level ride: 'value' must be from −60 to 12, but is 99. Correct the line.");
    EXPECT_EQ(
        fault("-1,0\n"),
        "r.csv: line 1: not a point of a level ride: 'time_s' must be from 0 to 1000000, but is −1. Correct the line.");
    EXPECT_EQ(fault("seconds,value\n"), "r.csv: the table is empty. Write one point per line as 'seconds,value'.");
}

TEST(Bend, through_a_place_half_way_is_undone_by_the_formula) {
    for (const double bend : {-1.0, -0.4, 0.0, 0.3, 1.0})
        EXPECT_NEAR(bend_through(share_at({0.0, 0.0, Segment::bend, bend}, 0.5)), bend, 1e-9);
    EXPECT_EQ(bend_through(0.9999), -1.0);
    EXPECT_EQ(bend_through(-3.0), 1.0);
}

// --- drafts ---------------------------------------------------------------------------------------------------------

namespace {

/// Hops of 100 ms with a ride applied, for looking at the result.
std::vector<double> ridden(std::vector<double> power, const Curve& ride) {
    for (size_t i = 0; i < power.size(); ++i)
        power[i] *= std::pow(10.0, ride.value_at((static_cast<double>(i) + 0.5) * 0.1) / 10.0);
    return power;
}

/// Phrases of 2 s at these levels (dBFS AES17), with pauses of 1 s between and 4 s of silence in the middle.
std::vector<double> phrases(const std::vector<double>& levels) {
    std::vector<double> power(10, 1e-9);
    for (size_t n = 0; n < levels.size(); ++n) {
        power.insert(power.end(), 20, std::pow(10.0, (levels[n] - aes17_db) / 10.0));
        power.insert(power.end(), n + 1 == levels.size() / 2 ? 40 : 10, 1e-9);
    }
    return power;
}

}  // namespace

TEST(RideDraft, brings_each_phrase_to_the_target_and_leaves_silence_alone) {
    const auto power = phrases({-24.0, -18.0, -12.0, -20.0, -15.0, -26.0});
    DraftWish wish;
    wish.target_dbfs = -18.0;
    const Curve ride = ride_draft(power, 0.1, wish);
    const auto after = phrases_of(ridden(power, ride), 0.1, wish);
    ASSERT_EQ(after.size(), 6u);
    for (const Phrase& p : after) EXPECT_NEAR(p.level_dbfs, -18.0, 0.6);
    EXPECT_EQ(ride.value_at(0.3), 0.0);   // before the first
    EXPECT_EQ(ride.value_at(11.5), 0.0);  // in the long silence
    EXPECT_EQ(ride.value_at(99.0), 0.0);
    EXPECT_LT(static_cast<double>(ride.points.size()) / 22.0, 3.0);  // a second
    wish.max_up_db = 3.0;
    for (const RidePoint& p : ride_draft(power, 0.1, wish).points) EXPECT_LE(p.value, 3.0);
    wish.depth = 0.5;
    EXPECT_NEAR(ride_draft(power, 0.1, wish).value_at(7.5), -3.0, 0.11);  // half of the 6 dB that are too much
    EXPECT_TRUE(ride_draft(std::vector<double>(50, 0.0), 0.1, wish).empty());
}

TEST(RideDraft, of_phrases_that_need_the_same_has_no_points_between_them) {
    std::vector<double> power(10, 1e-9);
    for (int n = 0; n < 8; ++n) {  // six decibels too quiet, pauses of 1 s
        power.insert(power.end(), 20, std::pow(10.0, (-24.0 - aes17_db) / 10.0));
        power.insert(power.end(), 10, 1e-9);
    }
    DraftWish wish;
    wish.target_dbfs = -18.0;
    const Curve ride = ride_draft(power, 0.1, wish);
    ASSERT_EQ(ride.points.size(), 4u);  // up before the first phrase, down behind the last
    // As a hand moves a fader, not as a switch: a quarter of a second each way (common practice, no source).
    EXPECT_NEAR(ride.points[1].time_s - ride.points[0].time_s, 0.25, 1e-9);
    EXPECT_NEAR(ride.points[3].time_s - ride.points[2].time_s, 0.25, 1e-9);
    for (double t = 1.0; t < 24.0; t += 0.5) EXPECT_NEAR(ride.value_at(t), 6.0, 0.01) << t;
    EXPECT_EQ(ride.value_at(25.0), 0.0);
}

TEST(RideDraft, against_the_rest_follows_it) {
    const auto power = phrases({-18.0, -18.0, -18.0, -18.0});
    std::vector<double> rest(power.size(), std::pow(10.0, (-20.0 - aes17_db) / 10.0));
    for (size_t i = 0; i < 40; ++i) rest[i] *= 0.25;  // 6 dB less under the first phrase
    DraftWish wish;
    wish.above_db = 3.0;
    const Curve ride = ride_draft(power, 0.1, wish, {}, rest);
    EXPECT_NEAR(ride.value_at(2.0), -5.0, 0.11);  // -26.0 + 3 - (-18)
    EXPECT_NEAR(ride.value_at(5.0), 1.0, 0.11);
}

TEST(RideDraft, never_touches_locked_points_nor_what_lies_between) {
    const auto power = phrases({-24.0, -18.0, -12.0, -20.0});
    Curve before{{{3.9, 2.0}, {4.5, -1.0}, {6.1, 2.5}, {9.0, -4.0}}};
    before.points[0].locked = before.points[2].locked = true;
    DraftWish wish;
    wish.target_dbfs = -18.0;
    const Curve ride = ride_draft(power, 0.1, wish, before);
    for (double t = 3.9; t <= 6.1; t += 0.05) EXPECT_EQ(ride.value_at(t), before.value_at(t)) << t;
    EXPECT_NEAR(ride.value_at(2.0), 6.0, 0.01);
    EXPECT_EQ(std::count(ride.points.begin(), ride.points.end(), before.points[3]), 0);  // not locked: gone
}

TEST(RideDraft, on_the_demos_voice) {
    // Its phrases' offsets are known (demosong/score.h).  After the draft all lie within 1.5 dB of the target.
    const auto m = load_material(demo_folder() / "13 Voice.wav", 48000).value();
    DraftWish wish;
    const auto found = phrases_of(m->hops.unweighted, 0.1, wish);
    ASSERT_GT(found.size(), 8u);
    const auto [low, high] = std::minmax_element(
        found.begin(), found.end(), [](const Phrase& a, const Phrase& b) { return a.level_dbfs < b.level_dbfs; });
    EXPECT_GT(high->level_dbfs - low->level_dbfs, 8.0);  // as different as they were made
    std::vector<double> levels;
    for (const Phrase& p : found) levels.push_back(p.level_dbfs);
    std::sort(levels.begin(), levels.end());
    wish.target_dbfs = levels[levels.size() / 2];
    const Curve ride = ride_draft(m->hops.unweighted, 0.1, wish);
    for (const Phrase& p : found) {
        double sum = 0.0;
        int count = 0;
        const auto after = ridden(m->hops.unweighted, ride);
        for (auto i = static_cast<size_t>(std::lround(p.from_s * 10));
             i < static_cast<size_t>(std::lround(p.to_s * 10)); ++i)
            if (m->hops.unweighted[i] > std::pow(10.0, (high->level_dbfs - 33.0) / 10.0)) sum += after[i], ++count;
        EXPECT_NEAR(db_from_power(sum / count) + aes17_db, *wish.target_dbfs, 1.5) << p.from_s;
    }
    EXPECT_LT(static_cast<double>(ride.points.size()), 3.0 * m->measurement.duration_s());
}
