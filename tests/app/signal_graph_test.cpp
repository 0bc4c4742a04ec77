// Signals are made by whoever wants them, the window a piece at a time behind the work, the command line all at once:
// what has to be made is decided in one place, and in the end both have the same.
#include "core/session/channel.h"
#include "core/session/routing.h"
#include "tests/app/shaping_fixture.h"
#include "tests/support/chains.h"

using namespace isotonus;
using namespace isotonus::test;

class SignalGraph : public ShapingWindow {
  protected:
    /// One edit that changes what has to be made, or undoes some.
    void step(std::mt19937& random) {
        const auto pick = [&](size_t count) { return random() % count; };
        Session next = session();
        std::vector<TrackId> channels;
        for (const auto& t : next.tracks) channels.push_back(t->id);
        for (const Bus& b : next.buses) channels.push_back(b.id);
        const TrackId channel = channels[pick(channels.size())];
        const bool of_track = next.find(channel) != nullptr;
        switch (pick(10)) {
            case 0:
            case 1:
            case 2: {
                const TrackId key = of_track && pick(3) == 0 ? next.tracks[0]->id : 0;
                auto [chain, rides] = random_chain(random, key == channel ? 0 : key);
                next = with_chain(next, channel, [&](Chain& c) { c = chain; });
                break;
            }
            case 3:
                if (auto sent = with_send(next, channel, next.buses.back().id, [](Send& s) { s.level_db = -8.0; }))
                    next = std::move(*sent);
                break;
            case 4:
                if (of_track)
                    next = with_track(next, channel, [](Track& t) { t.mono_below_hz = 120.0 - t.mono_below_hz; });
                break;
            case 5:
                next = with_chain(next, main_output,
                                  [](Chain& c) { c = c.empty() ? Chain{processor("limiter")} : Chain(); });
                break;
            case 6:
                next.chains_out = !next.chains_out;
                break;
            case 7:
                next = with_channel(next, channel,
                                    [&](const ChannelEdit& c) { *c.fader_db = -6.0 + static_cast<double>(pick(6)); });
                break;
            case 8:
                work().document.undo();
                return;
            default:
                work().document.redo();
                return;
        }
        work().document.edit("a step", std::move(next));
    }
};

TEST_F(SignalGraph, random_edits_undos_and_interruptions_end_in_what_is_made_all_at_once) {
    begin();
    for (unsigned seed = 1; seed <= 4; ++seed) {
        std::mt19937 random(seed);
        Session start = session();
        start.buses = {};
        for (const auto& t : std::vector(start.tracks.begin(), start.tracks.end()))
            start =
                with_track(start, t->id, [](Track& now) { now.chain = {}, now.sends = {}, now.output = main_output; });
        TrackId drums = 0, hall = 0;
        start = with_new_bus(start, "Drums", std::nullopt, {start.tracks[0]->id, start.tracks[1]->id}, &drums);
        start = with_new_bus(start, "Hall", std::nullopt, {}, &hall);
        work().document.edit("start", std::move(start));
        for (int n = 0; n < 25; ++n) {
            step(random);
            // Sometimes nothing was begun yet, sometimes some of it is done, and now and then all.
            const auto wait = static_cast<int>(random() % 4);
            if (wait == 1) catch_up();
            if (wait == 2) QTest::qWait(static_cast<int>(random() % 120));
            if (wait == 3 && n % 5 == 0) shaped();
        }
        shaped();
        RowSignals all_at_once;
        const MaterialOf files([&](const Track& t) { return load_material(source_of(t), 48000).value(); });
        std::map<std::string, MaterialPtr> loaded;
        const MaterialOf once([&](const Track& t) -> MaterialPtr {
            MaterialPtr& m = loaded[source_key(source_of(t))];
            return m ? m : m = files(t);
        });
        ASSERT_TRUE(all_at_once.make(session(), once));
        const MixPlans expected = compile_mix_plans(session(), all_at_once.played_by(session(), once), Solo::left_out);
        const MixPlans made = work().player.mix_plans();
        EXPECT_EQ(rendered(made.finished, 4096), rendered(expected.finished, 4096)) << "seed " << seed;
        EXPECT_EQ(rendered(made.bare, 333), rendered(expected.bare, 4096)) << "seed " << seed;
    }
}
