// The monitor path: its figures against their documents and against libbs2b.
#include "core/monitor/monitor.h"

extern "C" {
#include <bs2b/bs2b.h>
}

#include <fstream>
#include <map>
#include <sstream>

#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

/// Gain of a path for a sine on both sides, dB; measured over whole periods after it has settled.
double measured_db(MonitorPath& path, double hz, double rate) {
    std::vector<float> x(static_cast<size_t>(2 * rate));
    for (size_t i = 0; i < x.size(); ++i)
        x[i] = static_cast<float>(0.25 * std::sin(2.0 * std::numbers::pi * hz * static_cast<double>(i / 2) / rate));
    path.process(x.data(), static_cast<int>(x.size() / 2), nullptr);
    double square = 0.0;
    for (size_t i = x.size() / 2; i < x.size(); i += 2) square += static_cast<double>(x[i]) * static_cast<double>(x[i]);
    return 10.0 * std::log10(square / (static_cast<double>(x.size()) / 4.0) / (0.25 * 0.25 / 2.0));
}

MonitorSettings with(const std::function<void(MonitorSettings&)>& change) {
    MonitorSettings s;
    change(s);
    return s;
}

std::vector<float> through(const MonitorSettings& s, std::vector<float> x, const float* listen = nullptr) {
    MonitorPath(s, 48000).process(x.data(), static_cast<int>(x.size() / 2), listen);
    return x;
}

}  // namespace

TEST(Monitor, playback_curves_are_those_of_their_document) {
    // The table in docs/monitoring.md, computed by scipy.
    std::ifstream in(ISOTONUS_SOURCE "/docs/monitoring.md");
    const double hz[] = {50, 100, 200, 500, 1000, 2000, 5000, 10000};
    int rows = 0;
    for (std::string line; std::getline(in, line) && !line.starts_with("Phone, radio");) {
        std::replace(line.begin(), line.end(), '|', ' ');
        std::istringstream words(line);
        std::string name;
        double gain = 0.0;
        words >> name;
        for (size_t n = 1; n < playback_names.size(); ++n) {
            if (name != playback_names[n] || !(words >> gain)) continue;
            ++rows;
            for (size_t k = 0; k < 8; ++k, words >> gain) {
                MonitorPath path(with([&](auto& s) { s.playback = static_cast<Playback>(n); }), 48000);
                EXPECT_NEAR(measured_db(path, hz[k], 48000), gain, 0.1) << name << " " << hz[k];
                EXPECT_NEAR(response_db(playback_sections(static_cast<Playback>(n), 48000), hz[k], 48000), gain, 0.06);
            }
        }
    }
    EXPECT_EQ(rows, 6);
}

TEST(Monitor, playback_checks_keep_their_shape_at_other_rates) {
    for (size_t n = 1; n < playback_names.size(); ++n)
        for (const double hz : {100.0, 1000.0, 4000.0}) {
            const auto p = static_cast<Playback>(n);
            const double at_48 = response_db(playback_sections(p, 48000), hz, 48000);
            for (const double rate : {44100.0, 88200.0, 96000.0, 192000.0})
                EXPECT_NEAR(response_db(playback_sections(p, rate), hz, rate), at_48, 0.4) << n << " " << hz;
        }
}

TEST(Monitor, sides) {
    const std::vector<float> x{0.5f, 0.1f, -0.25f, 0.75f};
    EXPECT_EQ(through({}, x), x);
    EXPECT_EQ(through(with([](auto& s) { s.sides = Sides::mono; }), x), (std::vector<float>{0.3f, 0.3f, 0.25f, 0.25f}));
    EXPECT_EQ(through(with([](auto& s) { s.sides = Sides::left; }), x),
              (std::vector<float>{0.5f, 0.5f, -0.25f, -0.25f}));
    EXPECT_EQ(through(with([](auto& s) { s.sides = Sides::right; }), x),
              (std::vector<float>{0.1f, 0.1f, 0.75f, 0.75f}));
    EXPECT_EQ(through(with([](auto& s) { s.sides = Sides::swapped; }), x),
              (std::vector<float>{0.1f, 0.5f, 0.75f, -0.25f}));
    EXPECT_EQ(through(with([](auto& s) { s.sides = Sides::side; }), x), (std::vector<float>{0.2f, 0.2f, -0.5f, -0.5f}));
    EXPECT_EQ(through(with([](auto& s) { s.playback = Playback::club; }), x)[0],
              through(with([](auto& s) { s.playback = Playback::club; }), x)[1]);
}

TEST(Monitor, levels_add_up) {
    const auto gain = [](const MonitorSettings& s) {
        return 20.0 * std::log10(static_cast<double>(through(s, {0.5f, 0.5f})[0]) / 0.5);
    };
    EXPECT_NEAR(gain(with([](auto& s) { s.level_db = -6.0; })), -6.0, 1e-4);
    EXPECT_NEAR(gain(with([](auto& s) { s.level_db = -6.0, s.dim = true; })), -26.0, 1e-4);
    EXPECT_NEAR(gain(with([](auto& s) { s.quiet = true; })), -30.0, 1e-4);
    EXPECT_FALSE(with([](auto& s) { s.level_db = -6.0; }).any_on());
    EXPECT_TRUE(with([](auto& s) { s.quiet = true; }).any_on());
    const std::vector<float> listen{0.25f, -0.25f};
    const auto heard = through({}, {0.5f, 0.5f}, listen.data());
    EXPECT_NEAR(heard[0], 0.25 + 0.5 * gain_from_db(-15.0), 1e-6);
    EXPECT_NEAR(heard[1], -0.25 + 0.5 * gain_from_db(-15.0), 1e-6);
}

TEST(Monitor, cross_feed_is_libbs2bs) {
    auto x = make(4800, 2, noise(1, 0.5));
    const auto ours = through(with([](auto& s) { s.cross_feed = CrossFeed::far; }), x);
    t_bs2bdp reference = bs2b_open();
    bs2b_set_srate(reference, 48000);
    bs2b_set_level(reference, BS2B_DEFAULT_CLEVEL);
    bs2b_cross_feed_f(reference, x.data(), 4800);
    bs2b_close(reference);
    EXPECT_EQ(ours, x);
    // Its own figures (700 Hz, 4.5 dB): a low tone on one side reaches the other one 4.5 dB lower.
    auto one = make(48000, 2, [](int64_t i, int c) { return c == 0 ? sine(50, 48000, 0.5)(i, 0) : 0.0; });
    one = through(with([](auto& s) { s.cross_feed = CrossFeed::far; }), one);
    double near = 0.0, far = 0.0;
    for (size_t i = 48000; i < one.size(); i += 2) {
        near += static_cast<double>(one[i]) * static_cast<double>(one[i]);
        far += static_cast<double>(one[i + 1]) * static_cast<double>(one[i + 1]);
    }
    EXPECT_NEAR(10.0 * std::log10(near / far), 4.5, 0.3);
}
