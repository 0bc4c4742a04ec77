// Balance and Mains with the real window: faders of several rows, pans and widths, buses and groups, the field, the
// build-up, the headroom plan, the monitoring.
#include "tests/app/window_fixture.h"

#include <QComboBox>
#include <QDialog>
#include <QDoubleSpinBox>
#include <QLabel>
#include <QSpinBox>

#include "app/balance/balance_panel.h"
#include "app/balance/bus_block.h"
#include "app/balance/field.h"
#include "app/mains/mains.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

class Balance : public Window {
  protected:
    void begin() {
        import_all();
        station(2);
    }
    void select(std::vector<size_t> rows) {
        std::vector<TrackId> ids;
        for (const size_t n : rows) ids.push_back(track(n).id);
        work().document.select(ids, ids.front());
    }
    template <class Value>
    void change(Value Track::*field, std::vector<Value> values) {
        for (size_t n = 0; n < values.size(); ++n)
            work().document.edit_tracks("Set", {track(n).id}, [&](Track& t) { t.*field = values[n]; });
    }
    void row_menu(size_t n, const QString& text) { choose_in_menu(window->desk().head_of(track(n).id), text); }
    QToolButton* monitor_switch(const char* name) { return find<QToolButton>(name); }
};

}  // namespace

TEST_F(Balance, several_rows_move_together_and_selections_are_remembered) {
    begin();
    change<double>(&Track::fader_db, {-3.0, -9.0, -20.0});
    select({0, 1});
    key(Qt::Key_2, Qt::ControlModifier | Qt::AltModifier);
    drag(lane(0), QPoint(300, 14), QPoint(260, 14));
    EXPECT_LT(track(0).fader_db, -3.5);
    EXPECT_NEAR(track(1).fader_db - track(0).fader_db, -6.0, 1e-9);
    EXPECT_EQ(track(2).fader_db, -20.0);
    work().document.select_only(track(2).id);
    key(Qt::Key_2, Qt::ControlModifier);
    EXPECT_EQ(work().document.selected(), (std::vector<TrackId>{track(0).id, track(1).id}));
    const double before = track(0).fader_db;
    lane(0)->setFocus();
    QTest::keyClick(lane(0), Qt::Key_Right, Qt::ShiftModifier);
    EXPECT_NEAR(track(0).fader_db, before + 0.1, 1e-9);
    QTest::mouseClick(find<QPushButton>("allDown"), Qt::LeftButton);
    for (size_t n = 0; n < 3; ++n) EXPECT_TRUE(std::isinf(track(n).fader_db));
    QTest::mouseClick(find<QPushButton>("allToZero"), Qt::LeftButton);
    for (size_t n = 0; n < 3; ++n) EXPECT_EQ(track(n).fader_db, 0.0);
}

TEST_F(Balance, pans_widths_and_sides) {
    begin();
    Lane* pad = lane(1);  // the stereo one
    pad->setFocus();
    QTest::keyClick(pad, Qt::Key_Period);
    EXPECT_NEAR(track(1).pan, 0.05, 1e-9);
    QTest::keyClick(pad, Qt::Key_Greater, Qt::ShiftModifier);
    EXPECT_NEAR(track(1).width, 1.1, 1e-9);
    QTest::keyClick(pad, Qt::Key_P, Qt::ShiftModifier);
    QTest::keyClicks(pad->findChild<QLineEdit*>("valueEntry"), "60 %");
    QTest::keyClick(pad->findChild<QLineEdit*>("valueEntry"), Qt::Key_Return);
    EXPECT_NEAR(track(1).width, 0.6, 1e-9);
    // A whisker is drawn out at its end: the lane is as wide as it is, the pan ruler stands at its right.
    work().document.edit_tracks("Set", {track(1).id}, [](Track& t) { t.pan = 0.0, t.width = 1.0; });
    const int left = pad->width() - 194 + 12, wide = 194 - 78, end = left + wide / 2 + wide / 4;
    drag(pad, QPoint(end, 26), QPoint(end + 20, 26));
    EXPECT_NEAR(track(1).width, 1.0 + 20 * 4.0 / wide, 0.05);
    EXPECT_EQ(track(1).pan, 0.0);
    drag(pad, QPoint(left + wide / 2, 10), QPoint(left + wide * 3 / 4, 10));
    EXPECT_NEAR(track(1).pan, 0.5, 0.02);
    row_menu(1, "Dual pan");
    EXPECT_TRUE(track(1).dual_pan);
    drag(pad, QPoint(left + 2, 10), QPoint(left + 2 + wide / 4, 10));
    EXPECT_NEAR(track(1).left_pan, -0.5, 0.02);
    EXPECT_EQ(track(1).right_pan, 1.0);
    QTest::keyClick(pad, Qt::Key_Less, Qt::ShiftModifier);
    EXPECT_NEAR(track(1).right_pan, 0.95, 1e-9);
    lane(0)->setFocus();
    QTest::keyClick(lane(0), Qt::Key_Greater, Qt::ShiftModifier);  // a mono track has no width
    EXPECT_EQ(track(0).width, 1.0);
    change<double>(&Track::pan, {-0.4, 0.0, 0.1});
    select({0, 2});
    key(Qt::Key_M, Qt::ControlModifier);
    EXPECT_EQ(track(2).pan, 0.4);
    select({0, 1, 2});
    key(Qt::Key_M, Qt::ControlModifier | Qt::ShiftModifier);
    EXPECT_NEAR(track(0).pan, -0.4, 1e-9);
    EXPECT_NEAR(track(1).pan, 0.0, 1e-9);
    EXPECT_NEAR(track(2).pan, 0.4, 1e-9);
    EXPECT_EQ(work().document.undo_name(), "Spread the pans of 3 tracks");
}

TEST_F(Balance, what_is_typed_and_a_reset_is_for_all_chosen_rows) {
    begin();
    change<double>(&Track::fader_db, {-3.0, -9.0, -20.0});
    select({0, 1});
    type(lane(0), "-6");
    EXPECT_EQ(track(0).fader_db, -6.0);
    EXPECT_EQ(track(1).fader_db, -6.0);
    EXPECT_EQ(track(2).fader_db, -20.0);
    EXPECT_TRUE(work().document.undo_name().contains("2 tracks at")) << work().document.undo_name().toStdString();
    work().document.undo();
    EXPECT_EQ(track(1).fader_db, -9.0) << "one step";
    lane(0)->setFocus();
    QTest::keyClick(lane(0), Qt::Key_Backspace);
    EXPECT_EQ(track(0).fader_db, 0.0);
    EXPECT_EQ(track(1).fader_db, 0.0);
    // By pans, too: '34' is right.
    QTest::keyClick(lane(0), Qt::Key_P);
    auto* entry = lane(0)->findChild<QLineEdit*>("valueEntry");
    QTest::keyClicks(entry, "34");
    QTest::keyClick(entry, Qt::Key_Return);
    EXPECT_NEAR(track(0).pan, 0.34, 1e-9);
    EXPECT_NEAR(track(1).pan, 0.34, 1e-9);
    // Trims in Stage and gains of clips in Gather, alike.
    change<double>(&Track::trim_db, {-3.0, 2.0, 1.0});
    station(1);
    select({0, 1});
    type(lane(0), "-1.5");
    EXPECT_EQ(track(0).trim_db, -1.5);
    EXPECT_EQ(track(1).trim_db, -1.5);
    QTest::keyClick(lane(0), Qt::Key_Right);
    EXPECT_EQ(track(1).trim_db, -0.5);
    station(0);
    select({0, 1});
    type(lane(0), "-2");
    for (const size_t n : {0, 1}) EXPECT_EQ(work().edits.clips(track(n).id)[0].gain_db, -2.0);
    EXPECT_EQ(work().edits.clips(track(2).id)[0].gain_db, 0.0);
    QTest::keyClick(lane(0), Qt::Key_Right, Qt::ShiftModifier);
    EXPECT_NEAR(work().edits.clips(track(1).id)[0].gain_db, -1.9, 1e-9);
    QTest::keyClick(lane(0), Qt::Key_Backspace);
    EXPECT_TRUE(track(0).source.clips.empty() && track(1).source.clips.empty()) << "the files as they are";
}

TEST_F(Balance, all_other_faders_go_down_and_the_pan_law_is_a_setting_of_the_session) {
    begin();
    change<double>(&Track::fader_db, {-3.0, silence_db, -20.0});
    work().document.select_only(track(0).id);
    answers.numbers = {{0, 4.0}};
    key(Qt::Key_Down, Qt::ControlModifier | Qt::ShiftModifier);
    EXPECT_EQ(track(0).fader_db, -3.0);
    EXPECT_TRUE(std::isinf(track(1).fader_db)) << "off stays off";
    EXPECT_EQ(track(2).fader_db, -24.0);
    work().document.undo();
    EXPECT_EQ(track(2).fader_db, -20.0);
    in_opened<QDialog>([&] { window->findChild<QAction*>("settings")->trigger(); },
                       [&](QDialog& dialog) {
                           dialog.findChild<QComboBox*>("settingsPanLaw")->setCurrentIndex(2);
                           dialog.findChild<QSpinBox*>("settingsCache")->setValue(3);
                           auto* empty = dialog.findChild<QPushButton*>("settingsEmptyCache");
                           QTest::mouseClick(empty, Qt::LeftButton);
                           EXPECT_TRUE(empty->text().contains("MB")) << empty->text().toStdString();
                           dialog.accept();
                       });
    EXPECT_EQ(session().pan_law, PanLaw::linear);
    EXPECT_EQ(Settings().cache_gib(), 3);
    work().document.undo();
    EXPECT_EQ(session().pan_law, PanLaw::constant_power);
}

TEST_F(Balance, the_peak_after_the_fader_is_a_figure_that_sets_the_fader) {
    begin();
    settle();
    change<double>(&Track::fader_db, {-3.0, -9.0, 0.0});
    const auto peak = [&](size_t n) {
        const MaterialPtr m = work().materials.played(track(n));
        return *peak_after_ride_dbfs(track(n), *m, 0.0);
    };
    // The columns from the right: pan 194, what is heard 54, the peak's figure 62.
    Lane* first = lane(0);
    const QPoint figure(first->width() - 194 - 54 - 30, 18);
    QTest::mouseDClick(first, Qt::LeftButton, Qt::NoModifier, figure);
    auto* entry = first->findChild<QLineEdit*>("valueEntry");
    ASSERT_TRUE(entry && entry->isVisible());
    EXPECT_EQ(entry->text(), db_text(peak(0), "dBFS"));
    EXPECT_EQ(entry->accessibleName(), "peak after the fader");
    entry->selectAll();
    QTest::keyClicks(entry, "-20");
    QTest::keyClick(entry, Qt::Key_Return);
    EXPECT_NEAR(peak(0), -20.0, 1e-6);
    EXPECT_EQ(track(1).fader_db, -9.0);
    // All chosen rows, also one whose fader is off; what a fader cannot reach is said, and nothing is changed.
    change<double>(&Track::fader_db, {-3.0, silence_db, 0.0});
    select({0, 1});
    const auto type_peak = [&](const char* text) {
        QTest::mouseDClick(first, Qt::LeftButton, Qt::NoModifier, figure);
        first->findChild<QLineEdit*>("valueEntry")->selectAll();
        QTest::keyClicks(first->findChild<QLineEdit*>("valueEntry"), text);
        QTest::keyClick(first->findChild<QLineEdit*>("valueEntry"), Qt::Key_Return);
    };
    type_peak("-25");
    EXPECT_NEAR(peak(0), -25.0, 1e-6);
    EXPECT_NEAR(peak(1), -25.0, 1e-6);
    QString told;
    const QObject in_this_test;
    QObject::connect(&work().view, &ViewState::hint, &in_this_test, [&](const QString& s) { told = s; });
    const Session before = session();
    type_peak("40");
    EXPECT_EQ(session().tracks, before.tracks);
    EXPECT_TRUE(told.contains("+12 dB")) << told.toStdString();
    // A drag in the level's column moves the level by what its own ruler says.
    work().document.select_only(track(2).id);
    const double db = track(2).fader_db;
    drag(lane(2), QPoint(first->width() - 400, 18), QPoint(first->width() - 420, 18));
    EXPECT_LT(track(2).fader_db, db - 4.0);
    EXPECT_GT(track(2).fader_db, db - 8.0);
    // A double click on the fader's figure types, one on its line resets.
    QTest::mouseDClick(lane(2), Qt::LeftButton, Qt::NoModifier, QPoint(100, 18));
    EXPECT_EQ(track(2).fader_db, 0.0);
    // One click on the peak's figure forgets what was reached.
    key(Qt::Key_Space);
    wait_for([&] {
        const auto* bars = work().player.meters().find(track(0).id);
        return bars && std::isfinite(bars->after_fader.highest_db);
    });
    key(Qt::Key_Space);
    wait_for([&] { return !work().player.playing(); });
    QTest::mouseClick(first, Qt::LeftButton, Qt::NoModifier, figure);
    EXPECT_FALSE(std::isfinite(work().player.meters().find(track(0).id)->after_fader.highest_db));
}

TEST_F(Balance, names_in_the_field_never_lie_over_each_other) {
    begin();
    key(Qt::Key_V);
    // As many rows as there may be in one place.
    Session many = session();
    for (int n = 0; n < 60; ++n) many = with_files(many, {folder / "1 Kick.wav"});
    work().document.edit("Many", many);
    catch_up();
    auto* field = window->findChild<Field*>();
    ASSERT_TRUE(field && field->isVisible());
    const auto all = field->names();
    EXPECT_GT(all.size(), 20u);
    EXPECT_LT(all.size(), session().tracks.size()) << "some have no room";
    for (size_t i = 0; i < all.size(); ++i) {
        EXPECT_TRUE(field->rect().contains(all[i].second));
        for (size_t j = 0; j < i; ++j) EXPECT_FALSE(all[i].second.intersects(all[j].second));
    }
    // The pointer brings the name of the point that it is on.
    const auto shown = [&](TrackId id) {
        const auto now = field->names();
        return std::any_of(now.begin(), now.end(), [id](const auto& n) { return n.first == id; });
    };
    TrackId left_out = 0;
    for (const auto& t : session().tracks)
        if (!shown(t->id)) left_out = t->id;
    work().document.edit_tracks("Away", {left_out}, [](Track& t) { t.pan = 0.9, t.fader_db = -30.0; });
    EXPECT_TRUE(shown(left_out)) << "it has room there";
    QTest::mouseMove(field, field->point_of(*work().document.track(left_out)).toPoint());
    EXPECT_TRUE(shown(left_out));
}

TEST_F(Balance, the_low_end_is_kept_in_the_centre_from_the_menu) {
    begin();
    row_menu(1, "Below 120 Hz");
    EXPECT_EQ(track(1).mono_below_hz, 120.0);
    settle();
    EXPECT_EQ(work().player.plan()->parts.size(), 4u);  // two parts of the pad
    key(Qt::Key_Space);
    wait_for([&] {
        const auto* bars = work().player.meters().find(track(1).id);
        return bars && bars->after_trim.highest_db > -20.0;
    });
    EXPECT_LT(work().player.meters().find(track(1).id)->after_trim.highest_db,
              -10.0);  // of the whole, peaks -10.5 dBFS
    key(Qt::Key_Space);
    row_menu(1, "Off");
    settle();
    EXPECT_EQ(work().player.plan()->parts.size(), 3u);
}

TEST_F(Balance, a_bus_and_a_group_in_one_gesture_each) {
    begin();
    work().document.edit_tracks("Family", {track(0).id, track(1).id}, [](Track& t) { t.family = Family::drums; });
    work().document.select_only(track(0).id);
    key(Qt::Key_B, Qt::ControlModifier);
    ASSERT_EQ(session().buses.size(), 1u);
    const TrackId bus = session().buses[0].id;
    EXPECT_EQ(session().buses[0].name, "drums");
    EXPECT_EQ(track(1).output, bus);
    EXPECT_EQ(track(2).output, main_output);
    select({1, 2});
    key(Qt::Key_B, Qt::ControlModifier | Qt::ShiftModifier);
    ASSERT_EQ(session().groups.size(), 1u);
    const auto heads = window->findChildren<BusHead*>();
    ASSERT_EQ(heads.size(), 2);
    auto* block = find<BusBlock>("busBlock");
    EXPECT_TRUE(block->isVisible());
    const auto lanes = block->findChildren<Lane*>("busLane");
    ASSERT_EQ(lanes.size(), 2);
    EXPECT_EQ(lanes[0]->accessibleName(), "drums, fader");
    drag(lanes[0], QPoint(300, 14), QPoint(260, 14));
    EXPECT_LT(session().buses[0].fader_db, -0.5);
    EXPECT_EQ(session().buses[0].pan, 0.0);
    type(lanes[1], "-6");
    EXPECT_EQ(session().groups[0].fader_db, -6.0);
    QTest::mouseClick(heads[0]->findChild<QToolButton*>("mute"), Qt::LeftButton);
    EXPECT_FALSE(session().is_heard(track(0)));
    QTest::mouseClick(heads[0]->findChild<QToolButton*>("mute"), Qt::LeftButton);
    QTest::mouseClick(heads[0]->findChild<QToolButton*>("solo"), Qt::LeftButton);
    EXPECT_FALSE(session().is_heard(track(2)));
    key(Qt::Key_S, Qt::ShiftModifier);
    EXPECT_FALSE(session().buses[0].solo);
    // Heard alone by a key, without a trace in the session.
    const Session before = session();
    key(Qt::Key_F1, Qt::ShiftModifier);
    EXPECT_EQ(work().player.hearing(), Player::Hearing::under);
    EXPECT_EQ(work().player.heard_id(), bus);
    EXPECT_TRUE(heads[0]->findChild<QToolButton*>("hearUnder")->isChecked());
    key(Qt::Key_F1, Qt::ShiftModifier);
    EXPECT_EQ(work().player.hearing(), Player::Hearing::mix);
    EXPECT_EQ(session().tracks, before.tracks);
    // Folding the family shows the bus's lane in its row.
    work().document.select_only(track(0).id);
    key(Qt::Key_G);
    EXPECT_EQ(window->findChildren<Lane*>("busLane").size(), 3);
    key(Qt::Key_Z, Qt::ControlModifier);
    work().view.toggle_fold(Family::drums);
    work().edits.remove_bus_or_group(bus);
    EXPECT_TRUE(session().buses.empty());
    EXPECT_EQ(track(0).output, main_output);
    work().edits.lead_to({track(0).id}, 999);
    EXPECT_EQ(answers.complaints.size(), 1);
}

TEST_F(Balance, the_field_moves_points_and_frames_select_them) {
    begin();
    change<double>(&Track::fader_db, {0.0, -12.0, -24.0});
    change<double>(&Track::pan, {0.0, -0.5, 0.5});
    key(Qt::Key_V);
    auto* field = find<Field>("field");
    ASSERT_TRUE(field->isVisible());
    const QPoint kick = field->point_of(track(0)).toPoint(), pad = field->point_of(track(1)).toPoint(),
                 voice = field->point_of(track(2)).toPoint();
    EXPECT_LT(kick.y(), pad.y());
    EXPECT_LT(pad.x(), kick.x());
    drag(field, kick, kick + QPoint(60, 30));
    EXPECT_GT(track(0).pan, 0.1);
    EXPECT_LT(track(0).fader_db, -2.0);
    EXPECT_EQ(work().document.undo_name(), "Pan and level of 1 Kick");
    key(Qt::Key_Z, Qt::ControlModifier);  // the whole drag is one step
    EXPECT_EQ(track(0).pan, 0.0);
    EXPECT_EQ(track(0).fader_db, 0.0);
    drag(field, QPoint(pad.x() - 40, pad.y() - 40), QPoint(voice.x() + 40, voice.y() + 40));
    EXPECT_EQ(work().document.selected().size(), 2u);
    drag(field, pad, pad + QPoint(0, -40));
    EXPECT_NEAR(track(1).fader_db - track(2).fader_db, 12.0, 1e-9);
    EXPECT_GT(track(1).fader_db, -12.0);
    field->setFocus();
    QTest::keyClick(field, Qt::Key_Left);
    EXPECT_LT(track(1).pan, -0.5);
    QTest::mouseDClick(field, Qt::LeftButton, Qt::NoModifier, field->point_of(track(2)).toPoint());
    EXPECT_EQ(track(2).fader_db, 0.0);
    key(Qt::Key_V);
    EXPECT_FALSE(field->isVisible());
}

TEST_F(Balance, a_build_up_brings_one_track_in_at_each_step) {
    begin();
    change<bool>(&Track::mute, {false, false, true});
    key(Qt::Key_B);
    auto* step = find<QLabel>("buildUpStep");
    QTest::mouseClick(find<QPushButton>("buildUpStart"), Qt::LeftButton);
    EXPECT_EQ(step->text(), "1 of 3: 1 Kick");
    EXPECT_FALSE(track(0).mute);
    EXPECT_TRUE(track(1).mute && track(2).mute);
    EXPECT_EQ(work().document.focused(), track(0).id);
    type(lane(0), "-7");
    auto* next = find<QPushButton>("buildUpNext");
    QTest::mouseClick(next, Qt::LeftButton);
    EXPECT_FALSE(track(1).mute);
    EXPECT_EQ(track(0).fader_db, -7.0);  // what is set stays
    QTest::mouseClick(find<QPushButton>("buildUpTake"), Qt::LeftButton);
    settle();
    EXPECT_LT(track(1).fader_db, -3.0);
    station(1);  // another station and back: it is still under way
    station(2);
    key(Qt::Key_Y);  // and so it is beside another page
    change<double>(&Track::fader_db, {-7.0, track(1).fader_db, -1.0});
    settle();
    key(Qt::Key_B);
    EXPECT_EQ(find<QLabel>("buildUpStep")->text(), "2 of 3: 2 Pad");
    QTest::mouseClick(find<QPushButton>("buildUpBack"), Qt::LeftButton);
    EXPECT_TRUE(track(1).mute);
    QTest::mouseClick(find<QPushButton>("buildUpLeave"), Qt::LeftButton);
    EXPECT_FALSE(track(1).mute);
    EXPECT_TRUE(track(2).mute);  // as before
    EXPECT_TRUE(find<QPushButton>("buildUpStart")->isVisible());
    change<bool>(&Track::anchor, {true, false, false});
    // Or a first guess at once, which is that of the mix as it stands, however early the button is pressed.
    QTest::mouseClick(find<QPushButton>("buildUpAll"), Qt::LeftButton);
    EXPECT_TRUE(work().mix.busy());
    settle();
    EXPECT_NEAR(track(1).fader_db, track(0).fader_db - 7.0, 1e-9);
    EXPECT_NEAR(track(2).fader_db, track(0).fader_db - 2.0, 1e-9);
    // What is muted stays so; once all are on, the main output peaks in its window.
    EXPECT_TRUE(track(2).mute);
    change<bool>(&Track::mute, {false, false, false});
    settle();
    EXPECT_GE(*work().mix.peak()->dbfs, session().targets.mains_low_dbfs);
    EXPECT_LE(*work().mix.peak()->dbfs, session().targets.mains_high_dbfs);
}

TEST_F(Balance, a_build_up_from_silence_begins_silent) {
    begin();
    change<double>(&Track::fader_db, {-3.0, -9.0, -20.0});
    key(Qt::Key_B);
    find<QComboBox>("buildUpOrder")->setCurrentIndex(3);
    QTest::mouseClick(find<QPushButton>("buildUpStart"), Qt::LeftButton);
    const size_t first = work().document.focused() == track(0).id   ? 0
                         : work().document.focused() == track(1).id ? 1
                                                                    : 2;
    EXPECT_TRUE(std::isinf(track(first).fader_db)) << "it is raised by hand";
    type(lane(first), "-6");
    QTest::mouseClick(find<QPushButton>("buildUpNext"), Qt::LeftButton);
    const TrackId second = work().document.focused();
    EXPECT_TRUE(std::isinf(work().document.track(second)->fader_db));
    // Back and on again: what was raised stays, what was not is silent still; one that is left so is where it was.
    QTest::mouseClick(find<QPushButton>("buildUpBack"), Qt::LeftButton);
    EXPECT_EQ(track(first).fader_db, -6.0);
    QTest::mouseClick(find<QPushButton>("buildUpNext"), Qt::LeftButton);
    EXPECT_TRUE(std::isinf(work().document.track(second)->fader_db));
    QTest::mouseClick(find<QPushButton>("buildUpLeave"), Qt::LeftButton);
    EXPECT_EQ(track(first).fader_db, -6.0);
    EXPECT_TRUE(std::isfinite(work().document.track(second)->fader_db));
}

TEST_F(Balance, the_headroom_plan_names_a_bus_that_has_a_chain) {
    import_all();
    TrackId bus = 0;
    Session hot = with_new_bus(session(), "Canal", std::nullopt, {track(0).id, track(1).id}, &bus);
    hot = with_chain(hot, bus,
                     [](Chain& chain) { chain.push_back(new_processor(*processor_type("compressor"), chain)); });
    hot.main_fader_db = -1.0;
    work().document.edit("Hot", hot);
    wait_for([&] { return !work().materials.busy(); });
    settle();
    station(2);
    key(Qt::Key_Y);
    wait_for([&] { return work().mix.headroom() && !work().mix.headroom()->proposals.empty(); });
    catch_up();
    int named = 0;
    for (const auto* b : window->findChildren<QPushButton*>()) {
        EXPECT_FALSE(b->text().startsWith(',') || b->text().contains(", ,")) << b->text().toStdString();
        named += b->text().contains("Canal") ? 1 : 0;
    }
    EXPECT_GE(named, 1);
}

TEST_F(Balance, the_headroom_plan_brings_the_mix_from_over_into_its_window) {
    begin();
    change<double>(&Track::fader_db, {-0.5, -0.5, 0.0});
    change<bool>(&Track::anchor, {false, false, true});
    settle();
    ASSERT_GT(*work().mix.peak()->dbfs, -6.0);
    key(Qt::Key_Y);
    wait_for([&] { return work().mix.headroom() && work().mix.headroom()->proposals.size() == 3; });
    auto* all = find<QPushButton>("proposal1");
    ASSERT_TRUE(all->isVisible());
    EXPECT_TRUE(all->text().startsWith("All tracks: down by"));
    QEnterEvent enter(QPointF(5, 5), QPointF(5, 5), QPointF(5, 5));
    QApplication::sendEvent(all, &enter);
    EXPECT_EQ(work().view.balance.ghosts().size(), 3u);  // shown before it is taken
    const Level promised = work().mix.headroom()->proposals[0].peak_dbfs;
    QTest::mouseClick(all, Qt::LeftButton);
    EXPECT_TRUE(work().view.balance.ghosts().empty());
    settle();
    EXPECT_EQ(work().mix.peak()->dbfs, promised);
    EXPECT_LE(*work().mix.peak()->dbfs, -6.0);
    EXPECT_NEAR(track(0).fader_db, track(1).fader_db, 1e-9);
    wait_for([&] { return work().mix.headroom() && work().mix.headroom()->proposals.empty(); });
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(track(0).fader_db, -0.5);
    wait_for([&] { return work().mix.headroom() && work().mix.headroom()->proposals.size() == 3; });
    QTest::mouseClick(find<QPushButton>("proposal2"), Qt::LeftButton);
    settle();
    EXPECT_LE(*work().mix.peak()->dbfs, -6.0);
}

TEST_F(Balance, audibility_is_shown_and_names_who_covers) {
    begin();
    key(Qt::Key_U);
    wait_for([&] { return work().mix.audibility(track(2).id) != nullptr; });
    EXPECT_EQ(work().mix.share_listened(), 1.0);
    ASSERT_TRUE(work().mix.audibility(track(1).id)->share);
    const double before = *work().mix.audibility(track(2).id)->share;
    EXPECT_GT(before, 0.0);
    work().document.edit_tracks("Up", {track(1).id}, [](Track& t) { t.fader_db = -60.0; });
    wait_for([&] {
        const Audibility* a = work().mix.audibility(track(1).id);
        return a && a->share && *a->share < 0.5;
    });
    EXPECT_TRUE(find<CoverPage>("coverPage")->isVisible());
    key(Qt::Key_U);
    EXPECT_FALSE(find<BalancePanel>("balancePanel")->isVisible());
}

TEST_F(Balance, pages_for_mono_and_the_stereo_picture) {
    begin();
    key(Qt::Key_O, Qt::ShiftModifier);
    auto* mono = find<MonoPage>("monoPage");
    ASSERT_TRUE(mono->isVisible());
    wait_for([&] { return work().mix.figures().has_value(); });
    catch_up();
    QTest::mouseClick(mono, Qt::LeftButton, Qt::NoModifier, QPoint(20, 30));  // the first of the list
    EXPECT_EQ(work().document.selected().size(), 1u);
    key(Qt::Key_I);
    EXPECT_TRUE(find<PicturePage>("picturePage")->isVisible());
    key(Qt::Key_Space);
    wait_for([&] { return work().player.live().trace().size() > 1000 && work().player.live().correlation(); });
    EXPECT_TRUE(work().player.live().true_peak_dbtp());
    key(Qt::Key_Space);
}

TEST_F(Balance, monitoring_is_warned_of_and_leaves_the_session_alone) {
    begin();
    const Session before = session();
    const auto& monitor = [&]() -> const MonitorSettings& { return work().player.monitor(); };
    EXPECT_FALSE(work().player.anything_on());
    for (const auto& [name, sides] : {std::pair{"monitorMono", Sides::mono}, std::pair{"monitorLeft", Sides::left},
                                      std::pair{"monitorRight", Sides::right}, std::pair{"monitorSwap", Sides::swapped},
                                      std::pair{"monitorSide", Sides::side}}) {
        QTest::mouseClick(monitor_switch(name), Qt::LeftButton);
        EXPECT_EQ(monitor().sides, sides);
        EXPECT_TRUE(monitor_switch(name)->isChecked());
        EXPECT_TRUE(work().player.anything_on());
    }
    QTest::mouseClick(monitor_switch("monitorSide"), Qt::LeftButton);
    EXPECT_EQ(monitor().sides, Sides::stereo);
    key(Qt::Key_D);
    EXPECT_TRUE(monitor().dim);
    key(Qt::Key_O);
    EXPECT_EQ(monitor().sides, Sides::mono);
    key(Qt::Key_Q);
    EXPECT_TRUE(monitor().quiet && work().mix.audibility_wanted());
    for (size_t n = 0; n < cross_feed_names.size(); ++n) {
        monitor_switch("monitorCrossFeed")
            ->menu()
            ->findChild<QAction*>(QString("crossFeed") + cross_feed_names[n])
            ->trigger();
        EXPECT_EQ(monitor().cross_feed, static_cast<CrossFeed>(n));
    }
    for (size_t n = 1; n < playback_names.size(); ++n) {
        monitor_switch("monitorPlayback")
            ->menu()
            ->findChild<QAction*>(QString("playback") + playback_names[n])
            ->trigger();
        EXPECT_EQ(monitor().playback, static_cast<Playback>(n));
    }
    auto* level = find<MonitorLevel>("monitorLevel");
    type(level, "-12");
    EXPECT_EQ(monitor().level_db, -12.0);
    select({0, 2});
    key(Qt::Key_Z);
    EXPECT_EQ(work().player.listened().size(), 2u);
    key(Qt::Key_Z, Qt::ShiftModifier);
    EXPECT_EQ(work().player.listened_where(), Player::Listen::after_fader);
    key(Qt::Key_Z, Qt::ShiftModifier);
    EXPECT_TRUE(work().player.listened().empty());
    key(Qt::Key_Q, Qt::ShiftModifier);
    EXPECT_FALSE(work().player.anything_on());
    EXPECT_EQ(monitor().level_db, -12.0);  // how loud it is heard is no state to be warned of
    EXPECT_EQ(session().tracks, before.tracks);
    EXPECT_FALSE(work().document.can_redo());
}

TEST_F(Balance, the_demo_goes_from_all_faders_down_to_a_mix_in_its_window) {
    // As a new user would: stage, everything down, the build-up with its suggested levels, the headroom plan.
    window->files().open_path(demo_folder());
    wait_for([&] { return session().tracks.size() == 18; });
    settle();
    int gestures = 0;
    const auto click = [&](const char* button) {
        ++gestures;
        QTest::mouseClick(find<QPushButton>(button), Qt::LeftButton);
    };
    work().edits.stage_all();
    station(2), ++gestures;
    click("allDown");
    settle();
    EXPECT_FALSE(work().mix.peak()->dbfs);
    key(Qt::Key_B), ++gestures;
    click("buildUpStart");
    for (size_t n = 0; n < session().tracks.size(); ++n) {
        click("buildUpTake");
        click("buildUpNext");  // the last one leaves the build-up
    }
    settle();
    for (const auto& t : session().tracks) EXPECT_TRUE(!t->mute && std::isfinite(t->fader_db)) << t->name;
    if (*work().mix.peak()->dbfs > session().targets.mains_high_dbfs) {
        key(Qt::Key_Y), ++gestures;
        wait_for([&] { return work().mix.headroom() && !work().mix.headroom()->proposals.empty(); });
        click("proposal1");
        settle();
    }
    EXPECT_LE(*work().mix.peak()->dbfs, session().targets.mains_high_dbfs);
    EXPECT_GE(*work().mix.peak()->dbfs, session().targets.mains_low_dbfs);
    RecordProperty("gestures", gestures);
    std::printf("from all faders down to a mix in its window: %d gestures, peak %.1f dBFS\n", gestures,
                *work().mix.peak()->dbfs);
    // The short way: a first guess of all faders at once, then the plan.
    gestures = 0;
    click("allDown");
    key(Qt::Key_B), ++gestures;
    if (!find<QPushButton>("buildUpAll")->isVisible()) key(Qt::Key_B), ++gestures;
    click("buildUpAll");
    settle();
    bool planned = false;
    QObject::connect(&work().mix, &MixWatch::headroom_changed, window.get(), [&planned] { planned = true; });
    key(Qt::Key_Y), ++gestures;
    wait_for([&] { return planned && !work().mix.busy(); });
    if (*work().mix.peak()->dbfs > session().targets.mains_high_dbfs) {
        ASSERT_FALSE(work().mix.headroom()->proposals.empty());
        click("proposal1");
        settle();
    }
    std::printf("the short way: %d gestures, peak %.1f dBFS\n", gestures, *work().mix.peak()->dbfs);
    EXPECT_LE(*work().mix.peak()->dbfs, session().targets.mains_high_dbfs);
}

// --- ride: shapes, locks, drafts, tables
// ------------------------------------------------------------------------------

TEST_F(Balance, a_ride_is_drafted_shaped_locked_thinned_and_kept_as_a_table) {
    import_all();
    station(4);
    work().document.select_only(track(2).id);
    auto* editor = find<RideEditor>("rideEditor");
    editor->setFocus();
    answers.numbers[0] = -30.0;  // the voice is a tone of 0.05: −26 dBFS
    // What would come of it stands dashed on the curve while it is asked; half of the difference, when that is chosen.
    answers.numbers[1] = 0.0;
    answers.cancel_numbers = true;
    Curve seen;
    answers.while_asked = [&] { seen = editor->ghost(); };
    QTest::mouseClick(find<QPushButton>("rideDraft"), Qt::LeftButton);
    ASSERT_FALSE(seen.empty());
    EXPECT_NEAR(seen.value_at(1.0), -2.0, 0.2);
    EXPECT_TRUE(editor->ghost().empty());
    EXPECT_FALSE(track(2).rides.any());
    answers.cancel_numbers = false;
    answers.numbers.erase(1);
    QTest::mouseClick(find<QPushButton>("rideDraft"), Qt::LeftButton);
    ASSERT_TRUE(track(2).rides[Parameter::level]);
    EXPECT_NEAR(track(2).rides[Parameter::level]->value_at(1.0), -4.0, 0.2);
    EXPECT_TRUE(work().document.undo_name().contains("draft of"));
    QTest::keyClick(editor, Qt::Key_BracketRight);
    for (const auto& [segment, bend] :
         {std::pair{Segment::step, 0.0}, std::pair{Segment::bend, 0.5}, std::pair{Segment::bend, -0.5},
          std::pair{Segment::smooth, 0.0}, std::pair{Segment::line, 0.0}}) {
        QTest::keyClick(editor, Qt::Key_T);
        EXPECT_EQ(track(2).rides[Parameter::level]->points[0].segment, segment);
        EXPECT_TRUE(segment != Segment::bend || track(2).rides[Parameter::level]->points[0].bend == bend);
    }
    QTest::keyClick(editor, Qt::Key_L);
    EXPECT_TRUE(track(2).rides[Parameter::level]->points[0].locked);
    QTest::keyClick(editor, Qt::Key_L);
    Curve dense;
    for (int n = 0; n < 200; ++n) dense.points.push_back({n * 0.01, -0.02 * n});
    work().document.edit_tracks("Dense", {track(2).id},
                                [&](Track& t) { t.rides.set(Parameter::level, std::make_shared<const Curve>(dense)); });
    answers.file = folder / "ride.csv";
    find<QAction>("rideOut")->trigger();
    QTest::mouseClick(find<QPushButton>("rideThin"), Qt::LeftButton);
    EXPECT_EQ(track(2).rides[Parameter::level]->points.size(), 2u);
    find<QAction>("rideIn")->trigger();
    EXPECT_EQ(*track(2).rides[Parameter::level], dense);
    std::ofstream(folder / "ride.csv") << "1,2\nnonsense\n";
    find<QAction>("rideIn")->trigger();
    ASSERT_EQ(answers.complaints.size(), 1);
    EXPECT_TRUE(answers.complaints[0].contains("line 2"));
    EXPECT_EQ(*track(2).rides[Parameter::level], dense);  // nothing is lost
}

// --- settings of the monitoring
// ---------------------------------------------------------------------------------------

TEST_F(Balance, the_levels_of_the_monitoring_are_settings) {
    begin();
    in_opened<QDialog>([&] { find<QAction>("settings")->trigger(); },
                       [](QDialog& dialog) {
                           dialog.findChild<QDoubleSpinBox*>("settingsDim")->setValue(-12);
                           dialog.findChild<QDoubleSpinBox*>("settingsQuiet")->setValue(-40);
                           dialog.findChild<QDoubleSpinBox*>("settingsRest")->setValue(-24);
                           dialog.findChild<QDoubleSpinBox*>("settingsLoud")->setValue(82);
                           dialog.accept();
                       });
    const MonitorSettings& m = work().player.monitor();
    EXPECT_EQ(m.dim_db, -12.0);
    EXPECT_EQ(m.quiet_db, -40.0);
    EXPECT_EQ(m.rest_db, -24.0);
    window.reset();
    open_window();  // and they are remembered
    EXPECT_EQ(work().player.monitor().quiet_db, -40.0);
    EXPECT_FALSE(work().player.monitor().any_on());
}

TEST_F(Balance, a_bus_is_renamed_trimmed_led_on_and_removed_from_its_menu) {
    begin();
    select({0, 1});
    key(Qt::Key_B, Qt::ControlModifier);
    select({2});
    work().document.edit("Other", with_new_bus(session(), "other", {}, {track(2).id}));
    catch_up();
    const auto menu = [&](const QString& text) { choose_in_menu(window->findChildren<BusHead*>().front(), text); };
    answers.text = "kit";
    menu("Rename…");
    EXPECT_EQ(session().buses[0].name, "kit");
    answers.text = "−2.5";
    menu("Trim 0.0 dB…");
    EXPECT_EQ(session().buses[0].trim_db, -2.5);
    menu("other");
    EXPECT_EQ(session().buses[0].output, session().buses[1].id);
    menu("Select its tracks");
    EXPECT_EQ(work().document.selected(), (std::vector<TrackId>{track(0).id, track(1).id}));
    select({2});
    menu("Add the selected tracks");
    EXPECT_EQ(track(2).output, session().buses[0].id);
    menu("Remove; the tracks stay");
    ASSERT_EQ(session().buses.size(), 1u);
    EXPECT_EQ(track(0).output, session().buses[0].id);  // what led to it leads where it led
}
