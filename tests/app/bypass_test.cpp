// Bypass at one loudness: of one chain, of a selected set, of the main chain and of all; for the ear alone.
#include "core/handoff/delivery.h"
#include "core/mix/mixdown.h"
#include "core/session/routing.h"
#include "tests/app/shaping_fixture.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

class MatchedBypasses : public ShapingWindow {
  protected:
    void found() {
        shaped();
        wait_for([&] { return work().bypasses.settled(); });
        catch_up();
        wait_for([&] { return work().bypasses.settled(); });
    }
    /// Chains that change the loudness by much: on two tracks, on the bus of one, and on the main output.
    void chains() {
        begin();
        TrackId bus = 0;
        Session s = with_new_bus(session(), "Band", std::nullopt, {session().tracks[1]->id}, &bus);
        const auto loud = [](double input_db) {
            return [input_db](Chain& chain) {
                Processor saturation = new_processor(*processor_type("saturation"), chain);
                set_value(saturation, *parameter_of(saturation, "drive_db"), 12.0);
                set_value(saturation, *parameter_of(saturation, "output_db"), input_db);
                chain.push_back(saturation);
            };
        };
        s = with_chain(s, s.tracks[0]->id, loud(9.0));
        s = with_chain(s, s.tracks[1]->id, loud(-15.0));
        s = with_chain(s, bus, loud(6.0));
        s = with_chain(s, main_output, [](Chain& chain) {
            chain.push_back(new_processor(*processor_type("limiter"), chain));
            set_value(chain[0], *parameter_of(chain[0], "input_db"), 10.0);
        });
        work().document.edit("chains", s);
        ASSERT_TRUE(answers.complaints.isEmpty()) << answers.complaints.join(' ').toStdString();
        found();
    }
    double loudness_heard() { return *measure_mix(work().player.heard())->measurement.integrated_lufs; }
    double loudness_of_plan() { return *measure_mix(work().player.plan())->measurement.integrated_lufs; }
};

}  // namespace

TEST_F(MatchedBypasses, of_a_track_of_a_selected_set_of_the_main_and_of_all_are_heard_at_one_loudness) {
    chains();
    const double with = loudness_heard();
    EXPECT_NEAR(with, loudness_of_plan(), 0.02);
    // One track alone: what is heard of it is as loud as it was.
    const auto alone = [&](size_t n, const auto& act) {
        work().document.edit_tracks("solo", {track(n).id}, [](Track& t) { t.solo = true; });
        act();
        work().document.edit_tracks("solo off", {track(n).id}, [](Track& t) { t.solo = false; });
    };
    work().edits.bypass_chain(main_output);  // a limiter behind it would hide what is wrong
    found();
    alone(0, [&] {
        const double in = loudness_heard();
        work().document.select_only(track(0).id);
        key(Qt::Key_F9);
        ASSERT_TRUE(track(0).chain_out);
        found();
        EXPECT_NEAR(loudness_heard(), in, 0.1);
        EXPECT_GT(std::fabs(loudness_of_plan() - in), 3.0) << "an export has nothing of it";
        key(Qt::Key_F9);
        EXPECT_FALSE(track(0).chain_out);
        found();
        EXPECT_NEAR(loudness_heard(), in, 0.02);
    });
    work().edits.bypass_chain(main_output);
    found();
    EXPECT_NEAR(loudness_heard(), with, 0.02);
    // A set, in one step, and one undo.
    work().document.select({track(0).id, track(1).id}, track(0).id);
    key(Qt::Key_F9);
    EXPECT_TRUE(track(0).chain_out && track(1).chain_out);
    found();
    work().document.undo();
    EXPECT_FALSE(track(0).chain_out || track(1).chain_out);
    found();
    // The main chain.
    work().edits.bypass_chain(main_output);
    found();
    EXPECT_NEAR(loudness_heard(), with, 0.1);
    EXPECT_GT(std::fabs(loudness_of_plan() - with), 3.0);
    work().edits.bypass_chain(main_output);
    found();
    // All.
    key(Qt::Key_F7, Qt::ControlModifier);
    ASSERT_TRUE(session().chains_out);
    found();
    EXPECT_NEAR(loudness_heard(), with, 0.1);
    key(Qt::Key_F7, Qt::ControlModifier);
    found();
    EXPECT_NEAR(loudness_heard(), with, 0.02);
}

TEST_F(MatchedBypasses, are_close_at_once_and_leave_alone_who_wants_no_match) {
    chains();
    work().edits.bypass_chain(main_output);
    found();
    work().document.edit_tracks("solo", {track(0).id}, [](Track& t) { t.solo = true; });
    const double in = loudness_heard();
    work().document.select_only(track(0).id);
    key(Qt::Key_F9);
    EXPECT_NEAR(loudness_heard(), in, 2.0) << "before anything is worked out";
    found();
    key(Qt::Key_F9);
    work().edits.set_chains({track(0).id}, "no match", [](Chain& chain) { chain[0].match = false; });
    key(Qt::Key_F9);
    found();
    EXPECT_GT(std::fabs(loudness_heard() - in), 2.0);
}
