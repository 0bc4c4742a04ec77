// The monitor path in the engine: it is heard, not metered, and no export ever hears of it.
#include <fstream>

#include "core/mix/mixdown.h"
#include "core/monitor/monitor.h"
#include "engine/engine.h"
#include "tests/support/exports.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

MonitorSettings with(const std::function<void(MonitorSettings&)>& change) {
    MonitorSettings s;
    change(s);
    return s;
}

std::vector<float> played(Engine& engine, int blocks, int frames = 256) {
    std::vector<float> heard;
    std::vector<float> out(static_cast<size_t>(2 * frames));
    for (int n = 0; n < blocks; ++n) {
        const int64_t before = engine.position();
        for (int tries = 0; tries < 2000; ++tries) {
            engine.fill(out.data(), frames, false);
            if (engine.position() != before) break;
            std::this_thread::sleep_for(std::chrono::milliseconds(1));
        }
        heard.insert(heard.end(), out.begin(), out.end());
    }
    return heard;
}

}  // namespace

TEST(EngineMonitor, is_heard_and_not_metered) {
    Folder folder;
    Mix mix({write(folder / "a.wav", make(96000, 1, [](int64_t, int) { return 0.5; }), 1)});
    mix.session.pan_law = PanLaw::balance;
    Engine engine;
    engine.set_plan(mix.plan());
    engine.play();
    played(engine, 4);
    EXPECT_FLOAT_EQ(played(engine, 1).back(), 0.5f);
    engine.set_monitor(with([](auto& s) { s.dim = true; }));
    const auto fading = played(engine, 1);
    EXPECT_GT(fading.front(), 0.49f);  // over one block, without a click
    EXPECT_FLOAT_EQ(fading.back(), 0.05f);
    for (size_t i = 2; i < fading.size(); ++i) ASSERT_LT(std::fabs(fading[i] - fading[i - 2]), 0.003f);
    engine.levels();
    EXPECT_FLOAT_EQ(played(engine, 1).back(), 0.05f);
    EXPECT_FLOAT_EQ(engine.levels().main_peak[0], 0.5f);
}

TEST(EngineMonitor, listening_dims_the_rest) {
    Folder folder;
    Mix mix({write(folder / "a.wav", make(96000, 1, [](int64_t, int) { return 0.5; }), 1),
             write(folder / "b.wav", make(96000, 1, [](int64_t, int) { return 0.25; }), 1)});
    mix.session.pan_law = PanLaw::balance;
    mix.change(1, [](Track& t) { t.fader_db = silence_db; });
    Engine engine;
    const PlanPtr plan = mix.plan();
    engine.set_plan(plan_listening(*plan, mix.session, {mix.id(1)}, false));
    engine.play();
    played(engine, 4);
    EXPECT_NEAR(played(engine, 1).back(), 0.25 + 0.5 * gain_from_db(-15.0), 1e-5);
    engine.set_plan(plan);
    played(engine, 1);
    EXPECT_FLOAT_EQ(played(engine, 1).back(), 0.5f);
}

TEST(EngineMonitor, states_never_reach_an_export) {
    Folder folder;
    Mix mix({write(folder / "a.wav", make(30000, 2, noise(1, 0.4)), 2),
             write(folder / "b.wav", make(30000, 1, noise(2, 0.4)), 1)});
    const auto exported = [&](const char* name) {
        EXPECT_TRUE(export_mix(mix.plan(), mix_into(folder / name)));
        std::ifstream in(folder / name, std::ios::binary);
        return std::string((std::istreambuf_iterator<char>(in)), std::istreambuf_iterator<char>());
    };
    const std::string before = exported("before.wav");
    int round = 0;
    for (const Sides sides : {Sides::mono, Sides::left, Sides::right, Sides::swapped, Sides::side})
        for (const Playback playback : {Playback::none, Playback::phone, Playback::club}) {
            Engine engine;
            const PlanPtr plan = mix.plan();
            engine.set_plan(plan_listening(*plan, mix.session, {mix.id(0)}, true));
            engine.set_monitor(with([&](auto& s) {
                s.sides = sides, s.playback = playback, s.dim = s.quiet = true, s.cross_feed = CrossFeed::near,
                s.level_db = -10.0;
            }));
            engine.play();
            played(engine, 3);
            EXPECT_EQ(exported("while.wav"), before) << round;
            ++round;
        }
}
