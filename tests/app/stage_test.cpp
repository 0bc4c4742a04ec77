// Stage with the real window: target sheets, the table and its choices, spikes, faders at rest.
#include <QCheckBox>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QMenu>
#include <QTableWidget>
#include <QToolButton>

#include "app/stage/sheet_dialog.h"
#include "app/stage/stage_table.h"
#include "core/stage/stretch_levels.h"
#include "tests/app/window_fixture.h"

using namespace isotonus;
using namespace isotonus::test;

TEST_F(Window, a_target_sheet_is_chosen_changed_kept_and_exported) {
    import_all();
    station(1);
    answers.text = "evening";
    answers.file = folder / "evening.json";
    in_opened<SheetDialog>([&] { key(Qt::Key_T, Qt::ControlModifier); },
                           [this](SheetDialog& dialog) {
                               auto* choice = dialog.findChild<QComboBox*>("sheetChoice");
                               EXPECT_EQ(choice->count(), 4);
                               choice->setFocus();
                               QTest::keyClick(choice, Qt::Key_Down);  // many layers
                               QTest::keyClick(choice, Qt::Key_Down);  // beat
                               auto* table = dialog.findChild<QTableWidget*>("sheetTable");
                               EXPECT_EQ(table->rowCount(), 4);
                               auto* ceiling = dialog.findChild<QDoubleSpinBox*>("sheetCeiling");
                               ceiling->setFocus();
                               ceiling->selectAll();
                               QTest::keyClicks(ceiling, "-5");
                               QTest::mouseClick(dialog.findChild<QCheckBox*>("sheetSpikes"), Qt::LeftButton,
                                                 Qt::NoModifier, QPoint(8, 10));
                               QTest::mouseClick(dialog.findChild<QPushButton*>("sheetKeep"), Qt::LeftButton);
                               QTest::mouseClick(dialog.findChild<QPushButton*>("sheetExport"), Qt::LeftButton);
                               EXPECT_EQ(choice->count(), 5);
                               QTest::mouseClick(dialog.findChild<QPushButton*>("sheetUse"), Qt::LeftButton);
                           });
    EXPECT_EQ(session().targets.name, "evening");
    EXPECT_EQ(session().targets.peak_ceiling_dbfs, -5.0);
    EXPECT_FALSE(session().targets.count_spikes);
    EXPECT_EQ(session().targets.rules.size(), 2u);
    EXPECT_EQ(read_sheet(folder / "evening.json").value(), session().targets);
    EXPECT_TRUE(fs::exists(SheetDialog::own_folder() / "evening.json"));
    key(Qt::Key_G, Qt::ControlModifier);
    const auto kick = work().materials.staging(track(0));
    EXPECT_EQ(fit_of(*kick), Fit::inside);
    EXPECT_LE(*kick->peak_after_dbfs, -6.0);
    EXPECT_GE(*kick->peak_after_dbfs, -9.0);
    key(Qt::Key_Z, Qt::ControlModifier);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(session().targets, TargetSheet{});
}

TEST_F(Window, a_track_that_cannot_reach_its_window_says_why_and_offers_choices) {
    auto spiky = make(480000, 1, sine(300, 48000, 0.05));
    spiky[240000] = 0.9f;
    drop({write(folder / "Keys.wav", spiky, 1),
          write(folder / "Faint pad.wav", make(96000, 1, sine(300, 48000, 0.002)), 1)});
    settle();
    station(1);
    key(Qt::Key_G, Qt::ControlModifier);
    EXPECT_EQ(fit_of(*work().materials.staging(track(0))), Fit::below);
    EXPECT_EQ(track(1).trim_db, 24.0);
    StageTable table(work(), window.get());
    table.show();
    auto* rows = table.findChild<QTableWidget*>("stageTableRows");
    EXPECT_TRUE(rows->item(0, 9)->text().contains("ceiling"));
    EXPECT_TRUE(rows->item(1, 9)->text().contains("24 dB"));
    ASSERT_TRUE(rows->cellWidget(0, 10));
    const auto choose = [&](int row, Choice choice) {
        auto* button = qobject_cast<QToolButton*>(rows->cellWidget(row, 10));
        ASSERT_TRUE(button);
        for (QAction* a : button->menu()->actions())
            if (a->text() == choice_words(choice)) {
                a->trigger();
                return;
            }
        FAIL() << "not offered";
    };
    choose(0, Choice::tame_spikes);
    settle();
    EXPECT_EQ(fit_of(*work().materials.staging(track(0))), Fit::inside);
    EXPECT_EQ(track(0).source.clips.size(), 3u);
    for (auto* b : table.findChildren<QPushButton*>())  // the choice and its staging are one step
        if (b->text() == "Undo") QTest::mouseClick(b, Qt::LeftButton);
    EXPECT_TRUE(track(0).source.clips.empty());
    settle();
    choose(0, Choice::leave_out_spikes);
    settle();
    EXPECT_EQ(fit_of(*work().materials.staging(track(0))), Fit::inside);
    EXPECT_GT(work().materials.staging(track(0))->over_ceiling_db, 10.0);
    choose(1, Choice::use_clip_gain);
    settle();
    EXPECT_EQ(fit_of(*work().materials.staging(track(1))), Fit::inside);
    EXPECT_GT(track(1).source.clips.at(0).gain_db, 20.0);
    EXPECT_LT(std::fabs(track(1).trim_db), 1.0);
}

TEST_F(Window, own_windows_and_spikes_are_set_for_rows) {
    import_all();
    station(1);
    work().document.select_only(track(2).id);
    answers.text = QString::fromUtf8("vu −20 −16");
    window->findChild<QAction*>("ownWindow")->trigger();
    ASSERT_TRUE(track(2).target);
    EXPECT_EQ(track(2).target->measure, Measure::vu);
    EXPECT_EQ(track(2).target->high_dbfs, -16.0);
    answers.text = "vu -10";
    window->findChild<QAction*>("ownWindow")->trigger();
    EXPECT_EQ(answers.complaints.size(), 1);
    answers.text = " ";
    window->findChild<QAction*>("ownWindow")->trigger();
    EXPECT_FALSE(track(2).target);
}

TEST_F(Window, one_key_hears_the_faders_at_rest_and_comes_back) {
    import_all();
    station(2);
    type(lane(1), "off");
    type(lane(0), "-30");
    key(Qt::Key_0);
    EXPECT_EQ(work().player.hearing(), Player::Hearing::at_rest);
    EXPECT_TRUE(std::isinf(track(1).fader_db));  // the session stays as it is, and so does what is exported
    EXPECT_EQ(work().player.plan()->tracks[1].fader_gain, 0.0);
    key(Qt::Key_Space);
    wait_for([&] {
        const auto* bars = work().player.meters().find(track(1).id);
        return bars && bars->after_fader.level_db > -20.0 && bars->vu_dbfs > -20.0;
    });
    key(Qt::Key_Space);
    key(Qt::Key_0);
    EXPECT_EQ(work().player.hearing(), Player::Hearing::mix);
}

TEST_F(Window, figures_of_the_loop_stand_in_the_lane_and_rows_may_be_low) {
    import_all();
    const Material& kick = *work().materials.of(track(0));
    const StretchLevels all = levels_between(kick, 0.0, 5.0);
    EXPECT_NEAR(*all.peak_dbfs, *kick.measurement.sample_peak_dbfs, 1e-6);
    EXPECT_NEAR(*all.average_dbfs, *kick.measurement.average_dbfs, 1e-9);
    EXPECT_NEAR(all.peak_time_s, kick.measurement.peak_time_s, 0.006);
    const StretchLevels second = levels_between(kick, 1.1, 1.4);
    EXPECT_LT(*second.peak_dbfs, *all.peak_dbfs - 6.0);
    EXPECT_FALSE(levels_between(kick, 9.0, 10.0).peak_dbfs);
    station(1);
    work().player.set_loop({true, 1.0, 2.0});
    for (const int high : {24, 40, 36}) {
        set_row_height(high);
        for (int n = 0; n < 5; ++n) {
            station(n);
            EXPECT_EQ(lane(0)->height(), high);
            EXPECT_FALSE(window->grab().isNull());
        }
    }
}
