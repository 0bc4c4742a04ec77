// Editing rides, ready shapes, and writing live.
#include "core/ride/curve_edit.h"

#include <random>

#include "core/ride/hits.h"
#include "core/ride/writer.h"
#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

const ParameterInfo& level = info_of(Parameter::level);

Curve random_curve(std::mt19937& random, int points) {
    std::uniform_real_distribution<double> u(0.0, 1.0);
    Curve c;
    for (int n = 0; n < points; ++n)
        c.insert({10.0 * u(random), -20.0 + 25.0 * u(random), static_cast<Segment>(static_cast<int>(3.999 * u(random))),
                  2.0 * u(random) - 1.0});
    return c;
}

double worst(const Curve& a, const Curve& b, double from, double to) {
    double most = 0.0;
    for (double t = from; t < to; t += 0.0017) most = std::max(most, std::fabs(a.value_at(t) - b.value_at(t)));
    return most;
}

}  // namespace

TEST(CurveEdit, a_point_put_in_changes_nothing_by_more_than_the_tolerance) {
    std::mt19937 random(3);
    for (int round = 0; round < 60; ++round) {
        const Curve c = random_curve(random, 9);
        const double t = 10.0 * std::uniform_real_distribution<double>(0.0, 1.0)(random);
        const Curve cut = with_point_at(c, t, 0.1);
        EXPECT_LE(worst(c, cut, 0.0, 10.0), 0.1 + 1e-9) << round;
        EXPECT_TRUE(
            std::any_of(cut.points.begin(), cut.points.end(), [t](const RidePoint& p) { return p.time_s == t; }));
        EXPECT_TRUE(std::is_sorted(cut.points.begin(), cut.points.end(),
                                   [](const auto& a, const auto& b) { return a.time_s < b.time_s; }));
    }
}

TEST(CurveEdit, what_lies_outside_of_a_stretch_stays) {
    std::mt19937 random(4);
    std::uniform_real_distribution<double> u(0.0, 1.0);
    for (int round = 0; round < 60; ++round) {
        const Curve c = random_curve(random, 8);
        const Span span{1.0 + 3.0 * u(random), 5.0 + 3.0 * u(random)};
        const Curve inside{{{0.0, 3.0}, {span.length_s() / 2.0, -9.0}, {span.length_s(), 1.0}}};
        const std::vector<std::pair<const char*, Curve>> edits{
            {"inside", with_inside(c, span, inside, level)},
            {"without", without_inside(c, span, level)},
            {"raised", raised(c, span, 2.5, 0.4, level)},
            {"raised at once", raised(c, span, 2.5, 0.0, level)},
            {"tremolo", tremolo(c, span, 0.5, 4.0, level)},
            {"dips", dipped(c, {span.from_s + 0.1, span.to_s - 0.5}, {4.0, 4.9}, {}, level)}};
        for (const auto& [name, edited] : edits) {
            EXPECT_LE(worst(c, edited, 0.0, span.from_s - 1e-6), 0.1 + 1e-9) << name << round;
            EXPECT_LE(worst(c, edited, span.to_s + 1e-6, 10.0), 0.1 + 1e-9) << name << round;
        }
        const Curve& in = edits[0].second;
        EXPECT_NEAR(in.value_at(span.from_s + span.length_s() / 2.0), -9.0, 1e-9);
        const Curve& up = edits[2].second;  // where nothing was held to the range, exactly by as much
        const double middle = (span.from_s + span.to_s) / 2.0;
        EXPECT_NEAR(up.value_at(middle), std::min(12.0, c.value_at(middle) + 2.5), 0.1 + 1e-9);
        // Cut out and put back is the same.
        EXPECT_LE(worst(c, with_inside(c, span, cut_out(c, span, 0.1), level), 0.0, 10.0), 0.2 + 1e-9) << round;
    }
}

TEST(CurveEdit, points_move_scale_and_stretch_and_keep_their_order) {
    const Curve c{{{1.0, 0.0}, {2.0, 6.0}, {3.0, -6.0}, {4.0, 0.0}}};
    const std::set<size_t> two{1, 2};
    const Curve right = moved(c, two, 5.0, -3.0, level);
    EXPECT_EQ(right.points[2].time_s, 4.0);  // as far as the next one
    EXPECT_EQ(right.points[1].time_s, 3.0);
    EXPECT_EQ(right.points[1].value, 3.0);
    EXPECT_EQ(moved(c, two, 0.0, 100.0, level).points[1].value, ride_max_db);
    EXPECT_EQ(scaled(c, two, 0.5, level).points[1].value, 3.0);
    EXPECT_EQ(scaled(c, two, 0.5, level).points[2].value, -3.0);
    EXPECT_EQ(stretched(c, two, 1.5).points[2].time_s, 3.5);
    EXPECT_EQ(stretched(c, two, 9.0).points[2].time_s, 4.0);
    EXPECT_EQ(raised(c, 2.0, level).points[3].value, 2.0);
}

TEST(Shapes, fade_lift_tremolo_throw) {
    const Curve none;
    const Curve fade = fade_out(none, {10.0, 14.0}, Segment::bend, 0.5, level);
    EXPECT_EQ(fade.value_at(9.0), 0.0);
    EXPECT_EQ(fade.value_at(14.0), ride_min_db);
    EXPECT_EQ(fade.value_at(20.0), ride_min_db);
    EXPECT_NEAR(fade.value_at(12.0), ride_min_db * std::pow(0.5, std::pow(8.0, 0.5)), 1e-9);  // the bend's formula
    const Curve lift = raised(none, {4.0, 8.0}, 2.0, 0.5, level);
    EXPECT_EQ(lift.value_at(3.9), 0.0);
    EXPECT_NEAR(lift.value_at(4.25), 1.0, 1e-9);
    EXPECT_EQ(lift.value_at(6.0), 2.0);
    EXPECT_EQ(lift.value_at(8.1), 0.0);
    const Curve shaken = tremolo(none, {2.0, 4.0}, 0.5, 6.0, level);
    for (const double t : {2.0, 2.5, 3.0, 3.5}) {
        EXPECT_NEAR(shaken.value_at(t), 0.0, 1e-9) << t;
        EXPECT_NEAR(shaken.value_at(t + 0.25), -6.0, 1e-9) << t;
    }
    const Curve up = thrown(none, {{1.0, 1.4}, {3.0, 3.2}}, 6.0, 0.05, level);
    for (const double t : {1.0, 1.2, 1.4, 3.1}) EXPECT_NEAR(up.value_at(t), 6.0, 1e-9) << t;
    for (const double t : {0.9, 1.5, 2.0, 3.4}) EXPECT_NEAR(up.value_at(t), 0.0, 1e-9) << t;
}

TEST(Shapes, dips_stand_around_every_hit_and_are_never_deeper) {
    const Dip dip{8.0, 0.02, 0.1, 0.2};
    const std::vector<double> hits{1.0, 2.0, 2.25, 2.31, 5.0};
    const Curve c = dipped({}, {0.0, 4.0}, hits, dip, level);
    for (const double hit : {1.0, 2.0, 2.25, 2.31}) {
        EXPECT_NEAR(c.value_at(hit), -8.0, 1e-9) << hit;
        EXPECT_NEAR(c.value_at(hit + 0.09), -8.0, 1e-9) << hit;
    }
    EXPECT_NEAR(c.value_at(0.97), 0.0, 1e-9);
    EXPECT_NEAR(c.value_at(1.2), -4.0, 1e-9);  // half of the release
    EXPECT_NEAR(c.value_at(1.35), 0.0, 1e-9);
    EXPECT_NEAR(c.value_at(5.0), 0.0, 1e-9);  // not in the stretch
    for (double t = 0.0; t < 6.0; t += 0.001) ASSERT_GE(c.value_at(t), -8.0 - 1e-9) << t;
}

TEST(Hits, are_found_where_they_were_put) {
    std::vector<double> at{0.5, 1.25, 1.5, 2.8};
    const auto hits = [&](int64_t i, int) {
        double sum = 0.0;
        for (const double t : at)
            if (const double age = static_cast<double>(i) / 48000.0 - t; age >= 0.0)
                sum += 0.6 * std::exp(-age * 25.0) * std::sin(age * 2.0 * std::numbers::pi * 180.0);
        return sum;
    };
    Measurer m(1, 48000, 1.0f);
    const auto samples = make(48000 * 4, 1, hits);
    m.add(samples.data(), 48000 * 4);
    const auto found = hits_of(m.finish().summary, 48000);
    ASSERT_EQ(found.size(), at.size());
    for (size_t n = 0; n < at.size(); ++n) EXPECT_NEAR(found[n], at[n], 0.007);
    EXPECT_TRUE(hits_of(LevelSummary{1, 0, {}, {}, {}, {}}, 48000).empty());
}

TEST(Hits, of_kicks_that_still_ring_are_all_found_and_a_held_tone_has_one) {
    // 55 Hz, falling by a factor of e in 0.8 s, struck again every half second: each comes when the last one is only
    // 5.4 dB down.
    const auto of = [](auto wave) {
        Measurer m(1, 48000, 1.0f);
        const auto x = make(48000 * 8, 1, wave);
        m.add(x.data(), 48000 * 8);
        return hits_of(m.finish().summary, 48000);
    };
    const auto kicks = of([](int64_t i, int) {
        const double t = static_cast<double>(i % 24000) / 48000.0;
        return 0.7 * std::exp(-t / 0.8) * std::sin(2.0 * std::numbers::pi * 55.0 * t + 1.2);
    });
    ASSERT_EQ(kicks.size(), 16u);
    for (size_t n = 0; n < kicks.size(); ++n) EXPECT_NEAR(kicks[n], 0.5 * static_cast<double>(n), 0.012);
    // What does not begin anew is no hit, however slowly it falls or beats.
    EXPECT_EQ(of([](int64_t i, int) {
                  return 0.7 * std::exp(-static_cast<double>(i) / 96000.0) *
                         std::sin(0.0072 * static_cast<double>(i) + 1.2);
              }).size(),
              1u);
    EXPECT_EQ(of([](int64_t i, int) {
                  const double t = static_cast<double>(i);
                  return 0.3 * std::sin(0.0288 * t + 1.0) + 0.2 * std::sin(0.02893 * t + 1.0);
              }).size(),
              1u);
}

// --- writing --------------------------------------------------------------------------------------------------------

TEST(Writer, touch_writes_while_held_and_returns) {
    const auto before = std::make_shared<const Curve>(Curve{{{0.0, -2.0}}});
    RideWriter w(before, level, {WriteMode::touch, 0.5, true}, 0.0, 0.0);
    EXPECT_FALSE(w.any());
    w.touch(2.0, -2.0);
    for (int n = 1; n <= 100; ++n) w.move(2.0 + 0.01 * n, -2.0 + 0.05 * n);  // 5 dB a second
    EXPECT_NEAR(w.so_far(3.0).value_at(50.0), 3.0, 1e-9);                    // what is held goes on
    w.release(3.5);
    EXPECT_FALSE(w.writing());
    const Curve c = w.finished(6.0);
    EXPECT_NEAR(c.value_at(1.9), -2.0, 1e-9);
    for (double t = 2.0; t < 3.0; t += 0.01) EXPECT_NEAR(c.value_at(t), -2.0 + 5.0 * (t - 2.0), 0.1 + 1e-9) << t;
    EXPECT_NEAR(c.value_at(3.4), 3.0, 0.1 + 1e-9);
    EXPECT_NEAR(c.value_at(3.75), 0.5, 0.1);  // half of the way back
    EXPECT_NEAR(c.value_at(4.0), -2.0, 1e-9);
    EXPECT_LT(c.points.size(), 12u);  // a hundred moves on one line
}

TEST(Writer, latch_goes_on_and_write_overwrites_from_the_start) {
    const auto before = std::make_shared<const Curve>(Curve{{{0.0, -6.0}, {10.0, 6.0}}});
    RideWriter latch(before, level, {WriteMode::latch, 0.5, true}, 0.0, 0.0);
    latch.touch(3.0, 1.0);
    latch.release(3.2);
    EXPECT_TRUE(latch.writing());
    Curve c = latch.finished(7.0);
    EXPECT_NEAR(c.value_at(2.9), before->value_at(2.9), 1e-9);
    EXPECT_NEAR(c.value_at(6.9), 1.0, 1e-9);
    EXPECT_NEAR(c.value_at(7.1), before->value_at(7.1), 1e-9);
    RideWriter write(before, level, {WriteMode::write, 0.5, true}, 2.0, 0.0);
    EXPECT_TRUE(write.writing());
    c = write.finished(5.0);
    EXPECT_NEAR(c.value_at(1.0), before->value_at(1.0), 1e-9);
    for (const double t : {2.1, 4.9}) EXPECT_NEAR(c.value_at(t), before->value_at(2.0), 1e-9);
    RideWriter read(before, level, {WriteMode::read, 0.5, true}, 0.0, 0.0);
    read.touch(1.0, 5.0);
    EXPECT_FALSE(read.any());
    EXPECT_EQ(read.finished(3.0), *before);
}

TEST(Writer, keeps_to_dense_random_moves_within_the_tolerance) {
    std::mt19937 random(11);
    std::normal_distribution<double> step(0.0, 0.4);
    for (int round = 0; round < 20; ++round) {
        RideWriter w(nullptr, level, {WriteMode::latch, 0.0, true}, 0.0, 0.0);
        double v = 0.0;
        std::vector<std::pair<double, double>> moves;
        for (int n = 0; n < 500; ++n) {
            v = std::clamp(v + step(random), -30.0, 12.0);
            moves.emplace_back(1.0 + 0.01 * n, v);
            w.move(moves.back().first, v);
        }
        const Curve c = w.finished(6.0);
        for (size_t n = 1; n < moves.size(); ++n)
            ASSERT_NEAR(c.value_at(moves[n].first), moves[n].second, level.tolerance + 1e-9) << round << " " << n;
    }
}

TEST(Writer, mutes_are_steps_and_two_passes_do_not_disturb_each_other) {
    RideWriter w(nullptr, info_of(Parameter::mute), {WriteMode::touch, 0.3, true}, 0.0, 0.0);
    w.touch(1.0, 1.0);
    w.release(2.0);
    w.touch(4.0, 1.0);
    w.release(4.5);
    const Curve c = w.finished(9.0);
    for (const auto& [t, v] : {std::pair{0.5, 0.0}, {1.5, 1.0}, {2.5, 0.0}, {4.2, 1.0}, {5.0, 0.0}})
        EXPECT_EQ(c.value_at(t), v) << t;
}
