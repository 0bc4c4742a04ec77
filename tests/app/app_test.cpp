// The application as a user drives it: real windows, real mouse and key events.
#include <QCheckBox>

#include "core/mix/mix_peak.h"
#include "tests/app/window_fixture.h"

using namespace isotonus;
using namespace isotonus::test;

TEST_F(Window, the_whole_job_by_mouse_and_keys) {
    EXPECT_TRUE(find<QPushButton>("openDemo")->isVisible());
    import_all();
    EXPECT_FALSE(find<QPushButton>("openDemo")->isVisible());
    EXPECT_EQ(track(0).name, "1 Kick");
    const Session imported = session();

    station(1);
    QTest::mouseClick(find<QPushButton>("stageAll"), Qt::LeftButton);
    EXPECT_NEAR(*work().materials.staging(track(0))->after_dbfs, -6.0, 0.01);
    EXPECT_NEAR(*work().materials.staging(track(1))->after_dbfs, -18.0, 0.01);
    EXPECT_EQ(work().document.undo_name(), "Stage all");

    station(2);
    Lane* kick = lane(0);
    drag(kick, QPoint(300, 14), QPoint(240, 14));
    EXPECT_LT(track(0).fader_db, -1.0);
    EXPECT_TRUE(work().document.undo_name().startsWith("Fader 1 Kick "));
    const double after_drag = track(0).fader_db;
    QTest::keyClick(kick, Qt::Key_Left, Qt::ShiftModifier);
    EXPECT_NEAR(track(0).fader_db, after_drag - 0.1, 1e-9);
    drag(lane(2), QPoint(lane(2)->width() - 120, 18), QPoint(lane(2)->width() - 90, 18));
    EXPECT_GT(track(2).pan, 0.1);
    type(lane(1), "-7.5");
    EXPECT_NEAR(track(1).fader_db, -7.5, 1e-9);

    station(4);
    work().document.select_only(track(2).id);
    auto* editor = find<RideEditor>("rideEditor");
    QTest::mouseClick(editor, Qt::LeftButton, Qt::NoModifier, editor->point_of(1.0, -6.0).toPoint());
    QTest::mouseClick(editor, Qt::LeftButton, Qt::NoModifier, editor->point_of(2.0, 3.0).toPoint());
    ASSERT_TRUE(track(2).rides[Parameter::level]);
    ASSERT_EQ(track(2).rides[Parameter::level]->points.size(), 2u);
    EXPECT_NEAR(track(2).rides[Parameter::level]->points[0].time_s, 1.0, 0.02);
    EXPECT_NEAR(track(2).rides[Parameter::level]->points[0].value, -6.0, 0.3);
    drag(editor,
         editor
             ->point_of(track(2).rides[Parameter::level]->points[1].time_s,
                        track(2).rides[Parameter::level]->points[1].value)
             .toPoint(),
         editor->point_of(3.0, 0.0).toPoint());
    EXPECT_NEAR(track(2).rides[Parameter::level]->points[1].time_s, 3.0, 0.05);
    EXPECT_NEAR(track(2).rides[Parameter::level]->points[1].value, 0.0, 0.4);

    station(6);
    settle();
    const fs::path out = folder / "out.wav";
    auto* file = find<QLineEdit>("exportFile");
    file->selectAll();
    QTest::keyClicks(file, to_qt(out));
    QTest::mouseClick(find<QPushButton>("export"), Qt::LeftButton);
    wait_for([&] { return fs::exists(out); });
    wait_for([&] { return find<QLabel>("exportResult")->text().contains("was written"); });
    EXPECT_TRUE(find<QLabel>("exportResult")->text().contains("verified: every sample is right"));
    // The file is the core's own rendering, reduced to 24 bit with the same dither.
    const PlanPtr plan = work().player.plan();
    ASSERT_TRUE(export_mix(plan, mix_into(folder / "core.wav")));
    EXPECT_EQ(read(out), read(folder / "core.wav"));
    EXPECT_EQ(read_by_ffmpeg(out), read(out));
    const MixPeak peak = whole_song_peak(plan).value();
    EXPECT_NEAR(*work().mix.peak()->dbfs, db_from_gain(static_cast<double>(peak.peak)), 1e-9);

    for (int n = 0; n < 100 && work().document.undo_name() != "Add 3 tracks"; ++n) key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(session_to_json(session(), folder.path()), session_to_json(imported, folder.path()));
    undo_everything();
    EXPECT_TRUE(session().tracks.empty());
    key(Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
    EXPECT_EQ(session().tracks.size(), 3u);
    answers.answer = Prompter::Answer::no;
}

TEST_F(Window, the_demo_is_one_click_away_and_stays_as_it_is) {
    fs::create_directories(cache_folder());
    fs::create_directory_symlink(demo_folder(), cache_folder() / "demo-1");
    QTest::mouseClick(find<QPushButton>("openDemo"), Qt::LeftButton);
    wait_for([&] { return session().tracks.size() == 18; });
    settle();
    EXPECT_EQ(work().document.name(), "The paper-boat festival");
    EXPECT_EQ(session().sections.size(), 7u);
    EXPECT_GT(*work().mix.peak()->dbfs, 0.0);  // all faders at 0 dB: it clips, and Mains says so
    key(Qt::Key_G, Qt::ControlModifier);
    int held = 0;
    for (const auto& t : session().tracks) {
        const Staging s = *work().materials.staging(*t);
        held += s.limited_by_peak;
        EXPECT_TRUE(fit_of(s) == Fit::inside || (fit_of(s) == Fit::below && s.limited_by_peak)) << t->name;
    }
    EXPECT_GT(held, 0);
    answers.file.reset();  // saving asks for a place; none is given
    key(Qt::Key_S, Qt::ControlModifier);
    EXPECT_FALSE(work().document.is_saved());
    EXPECT_EQ(read_session(demo_folder() / "demo.isotonus").value().tracks[0]->trim_db, 0.0);
}

TEST_F(Window, several_rows_move_together_and_keep_their_differences) {
    import_all();
    station(2);
    type(lane(0), "-3");
    type(lane(1), "-10");
    QTest::keyClick(lane(0), Qt::Key_A, Qt::ControlModifier);
    lane(0)->setFocus();
    QTest::keyClick(lane(0), Qt::Key_Right, Qt::ControlModifier);
    EXPECT_NEAR(track(0).fader_db, 0.0, 1e-9);
    EXPECT_NEAR(track(1).fader_db, -7.0, 1e-9);
    EXPECT_NEAR(track(2).fader_db, 3.0, 1e-9);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_NEAR(track(1).fader_db, -10.0, 1e-9);
    QTest::mouseClick(find<QPushButton>("allDown"), Qt::LeftButton);
    EXPECT_TRUE(std::isinf(track(2).fader_db));
    settle();
    EXPECT_FALSE(work().mix.peak()->dbfs);  // silent, and no number made up for it
    QTest::mouseDClick(lane(2), Qt::LeftButton, Qt::NoModifier, QPoint(200, 14));
    EXPECT_EQ(track(2).fader_db, 0.0);
}

TEST_F(Window, mute_and_solo_by_buttons_and_keys) {
    import_all();
    const auto heads = window->findChildren<RowHead*>();
    ASSERT_EQ(heads.size(), 3);
    QTest::mouseClick(heads[1]->findChild<QToolButton*>("mute"), Qt::LeftButton);
    EXPECT_TRUE(track(1).mute);
    work().document.select_only(track(0).id);
    key(Qt::Key_S);
    EXPECT_TRUE(track(0).solo);
    EXPECT_FALSE(session().is_heard(track(2)));
    key(Qt::Key_S, Qt::ShiftModifier);
    EXPECT_FALSE(track(0).solo);
    EXPECT_TRUE(track(1).mute);
    key(Qt::Key_M, Qt::ShiftModifier);
    EXPECT_FALSE(track(1).mute);
    work().document.select_only(track(2).id);
    key(Qt::Key_S, Qt::AltModifier);
    EXPECT_TRUE(track(2).solo_safe);
    work().document.edit_tracks("Solo", {track(0).id}, [](Track& t) { t.solo = true; });
    EXPECT_TRUE(session().is_heard(track(2)));
    settle();
    EXPECT_EQ(work().player.plan()->tracks[1].fader_gain, 1.0);  // solo is for the ear: the mix is what it was
}

TEST_F(Window, locked_rows_are_not_staged_and_one_row_can_be) {
    import_all();
    station(1);
    lane(0)->setFocus();
    QTest::keyClick(lane(0), Qt::Key_L);
    EXPECT_TRUE(track(0).locked);
    QTest::mouseClick(find<QPushButton>("stageAll"), Qt::LeftButton);
    EXPECT_EQ(track(0).trim_db, 0.0);
    EXPECT_NE(track(1).trim_db, 0.0);
    undo_everything();
    key(Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
    settle();
    QTest::mouseClick(lane(2)->findChild<QToolButton*>("fit"), Qt::LeftButton);
    EXPECT_NE(track(2).trim_db, 0.0);
    EXPECT_EQ(track(1).trim_db, 0.0);
}

TEST_F(Window, ride_points_are_selected_stepped_and_deleted) {
    import_all();
    station(4);
    work().document.select_only(track(1).id);
    auto* editor = find<RideEditor>("rideEditor");
    for (const double t : {0.5, 1.5, 2.5, 3.5})
        QTest::mouseClick(editor, Qt::LeftButton, Qt::NoModifier, editor->point_of(t, -6.0).toPoint());
    ASSERT_EQ(track(1).rides[Parameter::level]->points.size(), 4u);
    drag(editor, editor->point_of(1.0, 0.0).toPoint(), editor->point_of(3.0, -12.0).toPoint(), Qt::ControlModifier);
    EXPECT_EQ(editor->selected_points(), (std::set<size_t>{1, 2}));
    editor->setFocus();
    QTest::keyClick(editor, Qt::Key_Up, Qt::ControlModifier);
    EXPECT_NEAR(track(1).rides[Parameter::level]->points[1].value, -3.0, 0.3);
    EXPECT_NEAR(track(1).rides[Parameter::level]->points[0].value, -6.0, 0.3);
    QTest::keyClick(editor, Qt::Key_T);
    EXPECT_EQ(track(1).rides[Parameter::level]->points[2].segment, Segment::step);
    QTest::keyClick(editor, Qt::Key_Delete);
    ASSERT_EQ(track(1).rides[Parameter::level]->points.size(), 2u);
    EXPECT_NEAR(track(1).rides[Parameter::level]->points[1].time_s, 3.5, 0.05);
    QTest::mouseClick(find<QPushButton>("rideClear"), Qt::LeftButton);
    EXPECT_FALSE(track(1).rides[Parameter::level]);
}

TEST_F(Window, a_bad_file_is_told_and_the_rest_comes_in) {
    std::ofstream(folder / "audio/4 Text.wav") << "no sound";
    drop({folder / "audio", folder / "nowhere.wav"});
    settle();
    EXPECT_EQ(session().tracks.size(), 3u);
    ASSERT_EQ(answers.complaints.size(), 1);
    EXPECT_TRUE(answers.complaints[0].contains("4 Text.wav"));
    EXPECT_TRUE(answers.complaints[0].contains("nowhere.wav: the file does not exist"));
}

TEST_F(Window, saves_opens_and_asks_before_work_is_lost) {
    import_all();
    answers.file = folder / "mix.isotonus";
    key(Qt::Key_S, Qt::ControlModifier);
    ASSERT_TRUE(fs::exists(*answers.file));
    EXPECT_TRUE(work().document.is_saved());
    EXPECT_EQ(window->windowTitle(), "mix – Isotonus");
    station(2);
    type(lane(0), "-4");
    EXPECT_FALSE(work().document.is_saved());
    answers.answer = Prompter::Answer::cancel;
    key(Qt::Key_N, Qt::ControlModifier);
    EXPECT_EQ(session().tracks.size(), 3u);  // stayed
    answers.answer = Prompter::Answer::no;
    key(Qt::Key_O, Qt::ControlModifier);
    EXPECT_EQ(track(0).fader_db, 0.0);  // as saved
    std::ofstream(folder / "broken.isotonus") << "{";
    answers.file = folder / "broken.isotonus";
    key(Qt::Key_O, Qt::ControlModifier);
    ASSERT_FALSE(answers.complaints.isEmpty());
    EXPECT_TRUE(answers.complaints.last().contains("broken.isotonus"));
    EXPECT_EQ(session().tracks.size(), 3u);  // what was open stays open
}

TEST_F(Window, a_missing_file_leaves_the_rest_open_and_can_be_found_again) {
    import_all();
    ASSERT_TRUE(work().document.save(folder / "mix.isotonus"));
    fs::create_directories(folder / "moved");
    fs::rename(folder / "audio/2 Pad.wav", folder / "moved/2 Pad.wav");
    ASSERT_TRUE(work().document.open(folder / "mix.isotonus"));
    // The measured file of before is still known by its path; a new window knows nothing.
    answers.answer = Prompter::Answer::no;
    open_window();
    ASSERT_TRUE(window->files().open_path(folder / "mix.isotonus"));
    settle();
    ASSERT_TRUE(work().materials.error(track(1)));
    EXPECT_EQ(work().materials.error(track(1))->what, "the file does not exist. Check its name.");
    EXPECT_TRUE(work().materials.measured(track(0)));
    answers.folder = folder / "moved";
    window->findChild<QAction*>("relink")->trigger();
    settle();
    EXPECT_TRUE(work().materials.measured(track(1)));
}

TEST_F(Window, unsaved_work_survives_a_crash) {
    import_all();
    station(2);
    type(lane(0), "-4");
    work().document.keep_aside();
    const fs::path aside = work().document.aside();
    ASSERT_TRUE(fs::exists(aside));
    EXPECT_TRUE(Recovery::left_behind().empty()) << "what is at work is not left over";
    // What a crash leaves: a copy that nobody holds.
    const fs::path left = Recovery::folder() / "999999.isotonus";
    fs::copy_file(aside, left);
    answers.answer = Prompter::Answer::no;
    work().document.start_new();
    EXPECT_FALSE(fs::exists(aside));  // a proper end leaves nothing
    answers.answer = Prompter::Answer::yes;
    answers.asked = 0;
    window->files().offer_recovery();
    EXPECT_EQ(answers.asked, 1);
    ASSERT_EQ(session().tracks.size(), 3u);
    EXPECT_NEAR(track(0).fader_db, -4.0, 1e-9);
    EXPECT_FALSE(work().document.is_saved());
    EXPECT_FALSE(fs::exists(left));
    answers.answer = Prompter::Answer::no;
}

TEST_F(Window, an_export_can_be_cancelled_and_overwrites_only_after_a_yes) {
    import_all();
    station(6);
    const fs::path out = write(folder / "out.wav", {0.5f, 0.5f}, 2);
    auto* file = find<QLineEdit>("exportFile");
    find<QCheckBox>("exportPrint")->setChecked(false);  // a print would get a name of its own
    file->setText(to_qt(out));
    answers.answer = Prompter::Answer::cancel;
    answers.asked = 0;
    QTest::mouseClick(find<QPushButton>("export"), Qt::LeftButton);
    EXPECT_EQ(answers.asked, 1);
    EXPECT_EQ(read(out).size(), 2u);
    file->setText(to_qt(folder / "out.wav/where/out.wav"));  // a file is in the way of its folder
    QTest::mouseClick(find<QPushButton>("export"), Qt::LeftButton);
    wait_for([&] { return find<QLabel>("exportResult")->text().contains("Not exported"); });
    EXPECT_TRUE(find<QLabel>("exportResult")->text().contains("out.wav/where"));
}

TEST_F(Window, plays_moves_by_sections_and_shows_levels) {
    import_all();
    Session s = session();
    s.sections = {{"one", 0.0}, {"two", 2.0}};
    work().document.edit("Sections", s);
    key(Qt::Key_2);
    EXPECT_NEAR(work().player.position_s(), 2.0, 0.01);
    key(Qt::Key_Space);
    wait_for([&] { return work().player.playing() && work().player.meters().main[0].level_db > -60.0; });
    EXPECT_GT(work().player.meters().find(track(1).id)->after_fader.highest_db, -20.0);
    key(Qt::Key_R);  // loops the section at the playhead
    EXPECT_TRUE(work().player.loop().on);
    EXPECT_NEAR(work().player.loop().from_s, 2.0, 0.01);
    key(Qt::Key_Space);
    wait_for([&] { return !work().player.playing(); });
}

TEST_F(Window, clip_flags_latch_and_reset_on_a_click) {
    import_all();
    station(2);
    type(lane(1), "12");
    work().document.edit_tracks("Hot", {track(1).id}, [](Track& t) { t.trim_db = 6.0; });
    key(Qt::Key_Space);
    wait_for([&] { return work().player.meters().any_clipped(); });
    key(Qt::Key_Space);
    wait_for([&] { return !work().player.playing(); });
    auto* flag = find<QToolButton>("clipFlag");
    wait_for([&] { return flag->isVisible(); });
    QTest::mouseClick(flag, Qt::LeftButton);
    wait_for([&] { return !flag->isVisible(); });
    // Levels of the last block may still be on their way when the song has stopped.
    wait_for([&] {
        key(Qt::Key_C);
        QTest::qWait(20);
        return !work().player.meters().any_clipped();
    });
}

TEST_F(Window, a_vanished_device_is_told_and_the_song_goes_on) {
    import_all();
    key(Qt::Key_Space);
    wait_for([&] { return work().player.position_s() > 0.05; });
    QString message;
    QObject::connect(&work().player, &Player::message, window.get(), [&](const QString& text) { message = text; });
    work().player.engine().simulated_for_test()->vanish();
    wait_for([&] { return !message.isEmpty(); });
    EXPECT_TRUE(message.contains("is gone"));
    EXPECT_TRUE(work().player.playing());
    EXPECT_EQ(session().tracks.size(), 3u);
}

TEST_F(Window, every_control_has_a_name_for_screen_readers) {
    import_all();
    for (int n = 0; n < window->stations().count(); ++n) {
        station(n);
        for (const Lane* l : window->findChildren<Lane*>()) EXPECT_FALSE(l->accessibleName().isEmpty());
        for (const QAbstractButton* b : window->findChildren<QAbstractButton*>())
            EXPECT_FALSE(b->accessibleName().isEmpty() && b->text().isEmpty()) << b->objectName().toStdString();
        for (const QComboBox* c : window->findChildren<QComboBox*>()) EXPECT_FALSE(c->accessibleName().isEmpty());
    }
}

// --- style ----------------------------------------------------------------------------------------------------------

TEST(Text, figures_have_a_true_minus_one_decimal_and_their_unit) {
    EXPECT_EQ(db_text(-6.04), "−6.0 dB");
    EXPECT_EQ(db_text(-0.04), "0.0 dB");
    EXPECT_EQ(db_text(3.0, "dB", true), "+3.0 dB");
    EXPECT_EQ(db_text(silence_db), "off");
    EXPECT_EQ(level_text(std::nullopt, "dBFS"), "–");
    EXPECT_EQ(time_text(67.254, 2), "1:07.25");
    EXPECT_EQ(time_text(59.99), "1:00.0");
    EXPECT_EQ(pan_text(-0.3), "L 30");
    EXPECT_EQ(translate("peak {:.1f}, hand-off", -6.04), "peak −6.0, hand-off");
    EXPECT_EQ(translate("{:+6.1f} {:+.1f} {:.1f} {:g} {}", -0.04, 0.0, -0.04, -12.5, -3), "   0.0 0.0 0.0 −12.5 −3");
    set_plain_rms(true);
    EXPECT_EQ(average_text(-18.0), "−21.0 dBFS");
    EXPECT_TRUE(average_label().contains("plain"));
    set_plain_rms(false);
}

TEST(Text, typed_values_are_understood) {
    EXPECT_EQ(parse_level("−6,5 dB"), -6.5);
    EXPECT_EQ(parse_level("+3"), 3.0);
    EXPECT_TRUE(std::isinf(*parse_level("off")));
    EXPECT_FALSE(parse_level("loud"));
    EXPECT_EQ(parse_pan("L 30"), -0.3);
    EXPECT_EQ(parse_pan("r100"), 1.0);
    EXPECT_EQ(parse_pan("C"), 0.0);
    EXPECT_EQ(parse_pan("6 %"), 0.06);
    EXPECT_EQ(parse_pan("12 r"), 0.12);
    EXPECT_EQ(parse_pan("L12"), -0.12);
    EXPECT_FALSE(parse_pan("L 130"));
    EXPECT_EQ(parse_pan("34"), 0.34);
    EXPECT_EQ(parse_pan("-34"), -0.34);
    EXPECT_EQ(parse_pan("-0.5"), -0.5);
    EXPECT_FALSE(parse_pan("130"));
    EXPECT_EQ(db_text(1.5, "dBFS"), "+1.5 dBFS") << "beyond full scale";
    EXPECT_EQ(db_text(1.5), "1.5 dB");
}

TEST(Ruler, places_and_levels_are_each_others_inverse_and_finest_around_0) {
    for (const Ruler& r : {Ruler::fader(20, 700), Ruler::level(20, 700)})
        for (double db = -48.0; db <= 0.0; db += 0.5) EXPECT_NEAR(r.db(r.x_of(db)), db, 1e-9);
    const Ruler f = Ruler::fader(20, 700);
    EXPECT_LT(f.db_per_pixel(-1.0), f.db_per_pixel(-20.0));
    EXPECT_LT(f.db_per_pixel(-1.0), f.db_per_pixel(9.0));
    EXPECT_TRUE(std::isinf(f.db(20.0)));
}

// The ruler stands above the lanes from the first picture of a station on, also before its lanes are laid out.
TEST_F(Window, a_ruler_is_as_wide_as_its_lanes_at_once) {
    import_all();
    auto* ruler = find("ruler");
    for (int n = 0; n < 7; ++n) {
        QTest::keyClick(window.get(), static_cast<Qt::Key>(Qt::Key_1 + n), Qt::AltModifier);
        const QImage at_once = ruler->grab().toImage();
        settle();
        EXPECT_EQ(lane(0)->width(), ruler->width() - head_width - scroll_width) << n;
        EXPECT_EQ(at_once, ruler->grab().toImage()) << n;
    }
}
