// Passages to loop, on loudness made to order.
#include "core/measure/passage.h"

#include "core/measure/loudness.h"
#include "tests/support/sounds.h"

using namespace isotonus;

namespace {

/// Hops of 100 ms: level in LUFS for so many seconds, one after the other.
std::vector<double> hops(const std::vector<std::pair<double, double>>& pieces) {
    std::vector<double> power;
    for (const auto& [lufs, seconds] : pieces)
        power.insert(power.end(), static_cast<size_t>(seconds * 10),
                     lufs < -100.0 ? 0.0 : std::pow(10.0, (lufs + 0.691) / 10.0));
    return power;
}

}  // namespace

TEST(WidestPassage, runs_from_the_quiet_into_the_loud) {
    const auto p = widest_passage(hops({{-20, 40}, {-32, 20}, {-12, 20}, {-20, 40}}));
    ASSERT_TRUE(p);
    EXPECT_NEAR(p->figure, 20.0, 0.01);
    EXPECT_NEAR(p->to_s - p->from_s, 8.0, 0.01);  // the shortest that has it all
    EXPECT_LE(p->from_s, 57.0);
    EXPECT_GE(p->to_s, 63.0);
}

TEST(WidestPassage, reaches_over_30_s_at_most) {
    const auto p = widest_passage(hops({{-12, 10}, {-20, 40}, {-24, 10}}));
    ASSERT_TRUE(p);
    EXPECT_NEAR(p->figure, 8.0, 0.01);  // 12 dB lie too far apart
}

TEST(WidestPassage, leaves_silence_out_and_wants_8_s) {
    EXPECT_FALSE(widest_passage(hops({{-200, 60}})));
    EXPECT_FALSE(widest_passage(hops({{-20, 7}})));
    const auto p = widest_passage(hops({{-200, 20}, {-20, 20}, {-23, 20}}));
    ASSERT_TRUE(p);
    EXPECT_LT(p->figure, 45.0);  // the ramp out of silence counts from -70 LUFS on only
}

TEST(LoudestPassage, is_the_loudest_8_s) {
    const auto p = loudest_passage(hops({{-20, 33}, {-12, 8}, {-20, 30}}));
    ASSERT_TRUE(p);
    EXPECT_NEAR(p->from_s, 33.0, 0.01);
    EXPECT_NEAR(p->to_s, 41.0, 0.01);
    EXPECT_NEAR(p->figure, -12.0, 0.01);
    EXPECT_FALSE(loudest_passage(hops({{-20, 7}})));
    EXPECT_FALSE(loudest_passage(hops({{-200, 20}})));
}
