// Sends, returns, parallel buses and the main output's chain, with the real window.
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QLabel>
#include <QListWidget>

#include "app/balance/bus_block.h"
#include "app/mains/mains.h"
#include "core/mix/mix_peak.h"
#include "core/mix/mixdown.h"
#include "core/mix/row_signals.h"
#include "core/session/routing.h"
#include "tests/app/shaping_fixture.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

class SendsInShape : public ShapingWindow {
  protected:
    void take(const char* entry) { take_entry("chainAdd", entry); }
    ShapeLane* lane_of(TrackId row) {
        for (auto* l : window->findChildren<ShapeLane*>())
            if (l->id() == row) return l;
        return nullptr;
    }
    QListWidget* list() { return find<QListWidget>("chainList"); }
};

}  // namespace

TEST_F(SendsInShape, a_row_is_sent_to_a_new_return_and_the_line_in_its_lane_sets_how_much) {
    begin();
    const double before = *work().mix.peak()->dbfs;
    take("return_Under the bridge");
    ASSERT_EQ(session().buses.size(), 1u);
    const TrackId hall = session().buses[0].id;
    EXPECT_TRUE(is_return(session(), hall));
    EXPECT_EQ(session().buses[0].chain.at(0).values.at("mix"), 100.0) << "a return is without what came in";
    ASSERT_EQ(track(2).sends.size(), 1u);
    EXPECT_EQ(track(2).sends[0].level_db, -12.0);
    EXPECT_TRUE(list()->currentItem()->text().contains("Under the bridge"));
    shaped();
    EXPECT_NE(*work().mix.peak()->dbfs, before);
    EXPECT_TRUE(work().materials.shaped_sum(hall));
    // Its line stands at the lane's right end: a drag to the right sends more, and is one step.
    ShapeLane* lane = lane_of(track(2).id);
    const QRect rect = send_area(lane->width(), lane->height());
    const QPoint at(rect.left() + 20, 5);
    drag(lane, at, at + QPoint(20, 0));
    EXPECT_GT(track(2).sends[0].level_db, -12.0);
    work().document.undo();
    EXPECT_EQ(track(2).sends[0].level_db, -12.0);
    // The bench: before the fader, a pan of its own, out and in, and away.
    auto* box = find<QComboBox>("sendBefore");
    box->setCurrentIndex(1);
    emit box->activated(1);
    catch_up();
    EXPECT_TRUE(track(2).sends[0].before_fader);
    find<QDoubleSpinBox>("sendPan")->setValue(-0.5);
    EXPECT_TRUE(track(2).sends[0].own_pan);
    EXPECT_EQ(track(2).sends[0].pan, -0.5);
    find<QDoubleSpinBox>("sendLevel")->setValue(-72.5);
    EXPECT_EQ(track(2).sends[0].level_db, silence_db);
    find<QDoubleSpinBox>("sendLevel")->setValue(-6.0);
    QTest::mouseClick(find<QPushButton>("chainIn"), Qt::LeftButton);
    EXPECT_FALSE(track(2).sends[0].in);
    QTest::mouseClick(find<QPushButton>("chainIn"), Qt::LeftButton);
    EXPECT_TRUE(track(2).sends[0].in);
    QTest::mouseClick(find<QPushButton>("chainRemove"), Qt::LeftButton);
    EXPECT_TRUE(track(2).sends.empty());
    EXPECT_FALSE(is_return(session(), hall));
    work().document.undo();
    EXPECT_EQ(track(2).sends[0].level_db, -6.0);
    // Another row by the menu, all chosen rows at once, and none twice.
    work().document.select({track(0).id, track(1).id, track(2).id}, track(0).id);
    catch_up();
    take("send_Under the bridge");
    for (size_t n = 0; n < 3; ++n) EXPECT_EQ(track(n).sends.size(), 1u);
    EXPECT_EQ(track(2).sends[0].level_db, -6.0);
}

TEST_F(SendsInShape, the_large_picture_follows_the_spectrum_where_the_song_plays) {
    begin();
    work().document.select_only(track(1).id);  // a sine of 220 Hz
    shaped();
    auto* picture = find<ShapePicture>("shapePicture");
    EXPECT_FALSE(picture->live().now());
    key(Qt::Key_Space);
    wait_for(
        [&] { return picture->live().now().has_value() && picture->live().now()->dbfs(0).value_or(-200.0) < 0.0; });
    const auto loudest_hz = [&] {
        const LongTermSpectrum& now = *picture->live().now();
        int loudest = 0;
        for (int b = 1; b < spectrum_bands; ++b)
            if (now.power[static_cast<size_t>(b)] > now.power[static_cast<size_t>(loudest)]) loudest = b;
        return spectrum_hz(loudest);
    };
    wait_for([&] { return picture->live().now() && std::fabs(loudest_hz() - 220.0) < 15.0; });
    // With a chain it is what comes out of it, at once in the place of what came in.
    type(lane(1), "2000");
    shaped();
    wait_for([&] {
        return picture->live().now() &&
               *std::max_element(picture->live().now()->power.begin(), picture->live().now()->power.end()) < 1e-4;
    });
    key(Qt::Key_Space);
    wait_for([&] { return !picture->live().now(); });
}

TEST_F(SendsInShape, one_key_takes_the_chosen_send_out_and_in) {
    begin();
    work().edits.make_return({track(2).id}, "Canal", {}, -12.0, 0.0);
    catch_up();
    QTest::mouseClick(list()->viewport(), Qt::LeftButton, Qt::NoModifier,
                      list()->visualItemRect(list()->item(0)).center());
    key(Qt::Key_F7);
    EXPECT_FALSE(track(2).sends[0].in);
    EXPECT_TRUE(list()->item(0)->text().contains("(bypassed)"));
    key(Qt::Key_F7);
    EXPECT_TRUE(track(2).sends[0].in);
}

TEST_F(SendsInShape, a_word_is_thrown_by_one_gesture) {
    begin();
    take("return_From bank to bank");
    QTest::mouseClick(find<QPushButton>("sendThrow"), Qt::LeftButton);
    EXPECT_FALSE(track(2).rides.any()) << "there is no loop yet";
    work().player.set_loop({true, 1.0, 1.5});
    QTest::mouseClick(find<QPushButton>("sendThrow"), Qt::LeftButton);
    const Parameter level = Parameter::of_send(send_parameters::level, track(2).sends[0].id);
    ASSERT_TRUE(track(2).rides[level]);
    const auto at = [&](double s) { return track(2).rides[level]->value_at(s); };
    EXPECT_EQ(at(0.5), send_parameters::level.low);
    EXPECT_EQ(at(1.2), -12.0);
    EXPECT_EQ(at(2.0), send_parameters::level.low);
    // A second one leaves the first.
    work().player.set_loop({true, 3.0, 3.2});
    QTest::mouseClick(find<QPushButton>("sendThrow"), Qt::LeftButton);
    EXPECT_EQ(at(1.2), -12.0);
    EXPECT_EQ(at(2.0), send_parameters::level.low);
    EXPECT_EQ(at(3.1), -12.0);
    EXPECT_EQ(work().view.ride.shown.parameter, level) << "its lane is open in Ride";
    work().document.undo();
    EXPECT_EQ(at(3.1), send_parameters::level.low);
    work().document.undo();
    EXPECT_FALSE(track(2).rides[level]);
    EXPECT_EQ(track(2).sends.size(), 1u);
}

TEST_F(SendsInShape, drums_are_pressed_beside_themselves_and_a_ring_is_refused) {
    begin();
    work().document.select({track(0).id, track(1).id}, track(0).id);
    catch_up();
    take("parallel_Pressed copy");
    ASSERT_EQ(session().buses.size(), 1u);
    const Bus& beside = session().buses[0];
    EXPECT_EQ(beside.fader_db, -12.0);
    EXPECT_EQ(beside.chain.size(), 2u);
    for (size_t n = 0; n < 2; ++n) EXPECT_EQ(track(n).sends.at(0).level_db, 0.0);
    shaped();
    EXPECT_TRUE(signal_of(work().materials.shaped_sum(beside.id))->reduction(1));
    // The bus itself offers no send to itself, and none that would close a ring.
    const TrackId first = beside.id;
    QTest::mouseClick(lane_of(first), Qt::LeftButton, Qt::NoModifier, QPoint(40, 8));
    EXPECT_FALSE(find<QMenu>("addMenu")->findChild<QAction*>("send_Pressed copy"));
    take("return_Under the bridge");
    EXPECT_EQ(session().buses[0].sends.size(), 1u);
    const TrackId second = session().buses[1].id;
    work().edits.set_send(second, first, [](Send&) {});
    EXPECT_TRUE(answers.complaints.back().contains("feedback loop"));
    EXPECT_TRUE(session().find_bus(second)->sends.empty());
    // Only what is sent to it is heard while it is listened to alone.
    work().player.solo_bus(first);
    for (const PlanPart& p : work().player.heard()->parts)
        EXPECT_EQ(p.heard() && !p.is_send() && !work().player.heard()->tracks[p.track].is_bus, false);
    work().player.solo_bus(first);
}

TEST_F(SendsInShape, faders_moved_while_buses_are_being_made_end_in_the_peak_of_the_last_move) {
    begin();
    take("return_Under the bridge");
    take("return_From bank to bank");
    QTest::mouseClick(lane_of(main_output), Qt::LeftButton, Qt::NoModifier, QPoint(40, 8));
    find<QAction>("add_saturation")->trigger();
    find<QAction>("add_limiter")->trigger();
    catch_up();
    const auto truth = [&] {
        RowSignals anew;
        const MaterialOf files = [&](const Track& t) { return work().materials.of(t); };
        EXPECT_TRUE(anew.make(session(), files));
        const PlanPtr plan = compile_plan(session(), anew.played_by(session(), files), Solo::left_out);
        return db_from_gain(static_cast<double>(whole_song_peak(plan)->peak));
    };
    // Before anything is made, in the middle of it, and when what is being made has been given up for something newer.
    for (const int pause_ms : {0, 5, 130, 20, 250, 1}) {
        work().edits.set_fader(track(2).id, track(2).fader_db - 1.5, 0);
        QTest::qWait(pause_ms);
    }
    work().document.undo();
    QTest::qWait(120);
    work().document.undo();
    shaped();
    wait_for([&] { return !work().mix.busy(); });
    EXPECT_DOUBLE_EQ(*work().mix.peak()->dbfs, truth());
    // And a return that goes while it is being made leaves nothing behind.
    work().edits.set_fader(track(2).id, track(2).fader_db + 4.0, 0);
    QTest::qWait(10);
    work().edits.remove_bus_or_group(session().buses[0].id);
    shaped();
    wait_for([&] { return !work().mix.busy(); });
    EXPECT_DOUBLE_EQ(*work().mix.peak()->dbfs, truth());
}

TEST_F(SendsInShape, the_main_chain_is_set_like_any_and_one_switch_takes_it_out) {
    begin();
    shaped();
    const double before = *work().mix.peak()->dbfs;
    QTest::mouseClick(lane_of(main_output), Qt::LeftButton, Qt::NoModifier, QPoint(40, 8));
    find<QAction>("add_limiter")->trigger();
    catch_up();
    ASSERT_EQ(session().main_chain.size(), 1u);
    find<QDoubleSpinBox>("ceiling_dbtp")->setValue(-20.0);
    // At once it is told how high it will be at most: what the limiter lets through.
    wait_for([&] { return work().mix.at_most_dbfs() || !work().materials.shaping(); });
    if (work().mix.at_most_dbfs()) {
        EXPECT_LE(*work().mix.at_most_dbfs(), std::max(before, -19.8) + 0.2);
        EXPECT_TRUE(find<Mains>("mains")->peak_title().contains("up to"));
    }
    shaped();
    EXPECT_LE(*work().mix.peak()->dbfs, -19.8);
    auto* button = find<QToolButton>("mainChain");
    EXPECT_TRUE(button->isVisible() && button->isChecked());
    QTest::mouseClick(button, Qt::LeftButton);
    EXPECT_TRUE(session().main_chain_out);
    shaped();
    EXPECT_NEAR(*work().mix.peak()->dbfs, before, 1e-6);
    QTest::mouseClick(button, Qt::LeftButton);
    shaped();
    // Hand off: it leaves without, until it is said otherwise; the check says so.
    station(6);
    wait_for([&] { return work().mix.leaving_figures().has_value(); });
    catch_up();
    const auto check = [&](const char* words) {
        auto* checks = find<QListWidget>("checks");
        for (int n = 0; n < checks->count(); ++n)
            if (checks->item(n)->text().contains(words)) return true;
        return false;
    };
    EXPECT_TRUE(check("exported without the main output's chain"));
    EXPECT_NEAR(*work().mix.leaving_figures()->measurement.sample_peak_dbfs, before, 0.01);
    auto* ways = find<QComboBox>("exportMainChain");
    EXPECT_TRUE(ways->isVisible());
    const fs::path out = folder / "out/mix.wav";
    find<QLineEdit>("exportFile")->setText(to_qt(out));
    ways->setCurrentIndex(2);
    emit ways->activated(2);
    EXPECT_EQ(session().hand_off.main_chain, MainChain::both);
    QTest::mouseClick(find<QPushButton>("export"), Qt::LeftButton);
    wait_for([&] { return !work().exports.busy() && is_there(out); });
    const auto peak_of = [](const std::vector<float>& x) {
        float peak = 0.0f;
        for (const float v : x) peak = std::max(peak, std::fabs(v));
        return 20.0 * std::log10(static_cast<double>(peak));
    };
    EXPECT_NEAR(peak_of(read(out)), before, 0.01);
    EXPECT_LE(peak_of(read(folder / "out/mix mix with main chain.wav")), -19.8);
}
