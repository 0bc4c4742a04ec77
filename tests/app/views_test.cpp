// Parts of the window on their own, and the smaller gestures.
#include "app/style/language.h"
#include "app/window/fader_window.h"
#include "core/mix/mix_peak.h"
#include "tests/app/window_fixture.h"

#include <QComboBox>
#include <QDialog>
#include <QTableWidget>

using namespace isotonus;
using namespace isotonus::test;

// --- the document ---------------------------------------------------------------------------------------------------

namespace {

Document& with_five_tracks(Document& d) {
    d.adopt(with_files({}, {"/a.wav", "/b.wav", "/c.wav", "/d.wav", "/e.wav"}), std::nullopt, true);
    return d;
}

}  // namespace

TEST(Selection, grows_by_shift_and_toggles_by_ctrl) {
    application();
    Folder folder;
    setenv("XDG_STATE_HOME", (folder / "state").c_str(), 1);
    Document d;
    with_five_tracks(d);
    EXPECT_EQ(d.selected(), std::vector<TrackId>{1});
    d.select_only(2);
    d.select_up_to(4);
    EXPECT_EQ(d.selected(), (std::vector<TrackId>{2, 3, 4}));
    d.toggle_selected(3);
    EXPECT_EQ(d.selected(), (std::vector<TrackId>{2, 4}));
    d.toggle_selected(5);
    EXPECT_EQ(d.moved_with(5), (std::vector<TrackId>{2, 4, 5}));
    EXPECT_EQ(d.moved_with(1), std::vector<TrackId>{1});
    d.select_only(3);
    d.select_up_to(1);
    EXPECT_EQ(d.selected(), (std::vector<TrackId>{1, 2, 3}));
    d.select_all();
    EXPECT_EQ(d.selected().size(), 5u);
    d.edit("Remove", without_tracks(d.session(), {1, 2, 3}));
    EXPECT_EQ(d.selected(), (std::vector<TrackId>{4, 5}));
    d.undo();
    EXPECT_EQ(d.session().tracks.size(), 5u);
}

TEST(Text, plurals_are_words) {
    application();
    speak("en");
    EXPECT_EQ(QCoreApplication::translate("Any", "Add %n track(s)", nullptr, 1), "Add 1 track");
    EXPECT_EQ(QCoreApplication::translate("Any", "Add %n track(s)", nullptr, 3), "Add 3 tracks");
    EXPECT_EQ(QCoreApplication::translate("Any", "as it is (s)"), "as it is (s)");
}

TEST(TimeView, zooms_around_the_pointer_and_stays_in_the_song) {
    application();
    TimeView view;
    view.set_song(100.0);
    EXPECT_EQ(view.to_s(), 100.0);
    view.zoom(2.0, 25.0);
    EXPECT_DOUBLE_EQ(view.from_s(), 12.5);
    EXPECT_DOUBLE_EQ(view.to_s(), 62.5);
    view.show(-20.0, 10.0);
    EXPECT_EQ(view.from_s(), 0.0);
    view.zoom(0.0001, 5.0);
    EXPECT_EQ(view.to_s(), 100.0);
    view.zoom(1e9, 50.0);
    EXPECT_GT(view.to_s() - view.from_s(), 0.0);
}

TEST(Settings, are_remembered) {
    application();
    Folder folder;
    setenv("XDG_CONFIG_HOME", (folder / "config").c_str(), 1);
    {
        Settings s;
        EXPECT_EQ(s.block_frames(), 512);
        EXPECT_FALSE(s.night());
        s.set_device("ALSA: hall");
        s.set_block_frames(128);
        s.set_night(true);
        for (int n = 0; n < 12; ++n) s.add_recent(QString("/song %1").arg(n));
        s.add_recent("/song 5");
    }
    const Settings s;
    EXPECT_EQ(s.device(), "ALSA: hall");
    EXPECT_EQ(s.block_frames(), 128);
    EXPECT_TRUE(s.night());
    EXPECT_EQ(s.recent().size(), 9);
    EXPECT_EQ(s.recent().first(), "/song 5");
    EXPECT_EQ(s.recent().count("/song 5"), 1);
}

// --- the song map ---------------------------------------------------------------------------------------------------

TEST_F(Window, song_map_goes_loops_and_zooms) {
    import_all();
    Session s = session();
    s.sections = {{"one", 0.0}, {"two", 2.0}, {"three", 4.0}};
    work().document.edit("Sections", s);
    auto* map = find<SongMap>("songMap");
    const int left = head_width, wide = map->width() - head_width - mains_width - scroll_width;
    const auto x = [&](double time_s) { return left + static_cast<int>(std::lround(wide * time_s / 5.0)); };
    QTest::mouseClick(map, Qt::LeftButton, Qt::NoModifier, QPoint(x(3.0), 50));
    EXPECT_NEAR(work().player.position_s(), 3.0, 0.02);
    QTest::mouseClick(map, Qt::LeftButton, Qt::NoModifier, QPoint(x(3.0), 8));  // on the section's name: to its start
    EXPECT_NEAR(work().player.position_s(), 2.0, 0.02);
    drag(map, QPoint(x(1.0), 50), QPoint(x(2.5), 50), Qt::ShiftModifier);
    EXPECT_TRUE(work().player.loop().on);
    EXPECT_NEAR(work().player.loop().from_s, 1.0, 0.02);
    EXPECT_NEAR(work().player.loop().to_s, 2.5, 0.02);
    QTest::mouseDClick(map, Qt::LeftButton, Qt::NoModifier, QPoint(x(4.5), 50));
    EXPECT_NEAR(work().player.loop().from_s, 4.0, 0.001);
    EXPECT_NEAR(work().player.loop().to_s, 5.0, 0.001);
    QWheelEvent wheel(QPointF(x(2.5), 50), map->mapToGlobal(QPointF(x(2.5), 50)), {}, QPoint(0, 240), Qt::NoButton,
                      Qt::NoModifier, Qt::NoScrollPhase, false);
    QApplication::sendEvent(map, &wheel);
    EXPECT_NEAR(work().view.time.to_s() - work().view.time.from_s(), 5.0 / 1.5625, 0.01);
    key(Qt::Key_W);
    EXPECT_EQ(work().view.time.from_s(), 0.0);
    EXPECT_NEAR(work().view.time.to_s(), 5.0, 0.001);
}

TEST_F(Window, sections_are_made_named_moved_and_undone) {
    import_all();
    work().player.locate(1.0);
    answers.text = "intro";
    key(Qt::Key_N);
    work().player.locate(3.0);
    answers.text = "verse";
    key(Qt::Key_N);
    ASSERT_EQ(session().sections.size(), 2u);
    EXPECT_EQ(session().sections[1].name, "verse");
    EXPECT_NEAR(session().sections[1].start_s, 3.0, 0.001);
    auto* map = find<SongMap>("songMap");
    const int wide = map->width() - head_width - mains_width - scroll_width;
    const auto at = [&](double time_s) {
        return QPoint(head_width + static_cast<int>(std::lround(wide * time_s / 5.0)), 8);
    };
    drag(map, at(3.0), at(2.0));
    EXPECT_NEAR(session().sections[1].start_s, 2.0, 0.02);
    drag(map, at(2.0), at(0.2));  // not past the one before
    EXPECT_GT(session().sections[1].start_s, session().sections[0].start_s);
    key(Qt::Key_Z, Qt::ControlModifier);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_NEAR(session().sections[1].start_s, 3.0, 0.001);
    answers.text.clear();  // cancelled
    key(Qt::Key_N);
    EXPECT_EQ(session().sections.size(), 2u);
}

TEST_F(Window, the_loudest_passage_is_looped) {
    const auto x = make(20 * 48000, 1, [s = sine(440, 48000, 0.02)](int64_t i, int c) {
        return s(i, c) * (i / 48000 >= 9 && i / 48000 < 18 ? 10.0 : 1.0);
    });
    drop({write(folder / "steps.wav", x, 1)});
    settle();
    key(Qt::Key_R, Qt::ControlModifier);
    wait_for([&] { return work().player.loop().on; });
    EXPECT_GE(work().player.loop().from_s, 8.99);
    EXPECT_LE(work().player.loop().to_s, 18.01);
    key(Qt::Key_R, Qt::ShiftModifier);
    wait_for([&] { return work().player.loop().from_s < 8.0 || work().player.loop().to_s > 18.5; });
}

TEST_F(Window, rows_are_reordered_and_renamed_by_keys) {
    import_all();
    const std::string first = track(0).name;
    work().document.select_only(track(0).id);
    key(Qt::Key_Down, Qt::AltModifier);
    EXPECT_EQ(track(1).name, first);
    EXPECT_EQ(window->findChildren<RowHead*>().size(), 3);
    key(Qt::Key_Up, Qt::AltModifier);
    key(Qt::Key_Up, Qt::AltModifier);  // at the top already
    EXPECT_EQ(track(0).name, first);
    key(Qt::Key_F2);
    auto* entry = window->findChild<QLineEdit*>("nameEntry");
    ASSERT_TRUE(entry && entry->isVisible());
    QTest::keyClicks(entry, "Big drum");
    QTest::keyClick(entry, Qt::Key_Return);
    EXPECT_EQ(track(0).name, "Big drum");
    key(Qt::Key_F2);  // thought better of it
    QTest::keyClicks(entry, "Nonsense");
    QTest::keyClick(entry, Qt::Key_Escape);
    EXPECT_EQ(track(0).name, "Big drum");
}

// --- lanes ----------------------------------------------------------------------------------------------------------

TEST_F(Window, fine_drags_are_a_tenth_and_a_drag_is_one_step) {
    import_all();
    station(2);
    drag(lane(0), QPoint(300, 14), QPoint(280, 14));
    const double coarse = track(0).fader_db;
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(track(0).fader_db, 0.0);
    drag(lane(0), QPoint(300, 14), QPoint(280, 14), Qt::ShiftModifier);
    EXPECT_NEAR(track(0).fader_db / coarse, 0.1, 0.03);
}

TEST_F(Window, the_wheel_moves_only_a_selected_lane) {
    import_all();
    station(2);
    work().document.select_only(track(0).id);
    lane(0)->setFocus();
    const auto turn = [&](Lane* l) {
        QWheelEvent wheel(QPointF(200, 14), l->mapToGlobal(QPointF(200, 14)), {}, QPoint(0, -120), Qt::NoButton,
                          Qt::NoModifier, Qt::NoScrollPhase, false);
        QApplication::sendEvent(l, &wheel);
    };
    turn(lane(0));
    EXPECT_NEAR(track(0).fader_db, -0.5, 1e-9);
    turn(lane(2));
    EXPECT_EQ(track(2).fader_db, 0.0);
}

TEST_F(Window, nonsense_typed_changes_nothing) {
    import_all();
    station(2);
    for (const char* text : {"loud", "13", "1e9", "nan"}) {
        type(lane(0), text);
        EXPECT_EQ(track(0).fader_db, 0.0) << text;
    }
    lane(0)->setFocus();
    QTest::keyClick(lane(0), Qt::Key_Minus);
    auto* entry = lane(0)->findChild<QLineEdit*>("valueEntry");
    QTest::keyClicks(entry, "9");
    QTest::keyClick(entry, Qt::Key_Escape);  // changed one's mind
    EXPECT_FALSE(entry->isVisible());
    EXPECT_EQ(track(0).fader_db, 0.0);
    type(lane(0), "off");
    EXPECT_TRUE(std::isinf(track(0).fader_db));
    QTest::keyClick(lane(0), Qt::Key_Backspace);
    EXPECT_EQ(track(0).fader_db, 0.0);
    station(1);
    type(lane(0), "40");  // a trim ends at 24 dB
    EXPECT_EQ(track(0).trim_db, 24.0);
    drag(lane(0), QPoint(300, 14), QPoint(290, 14));
    EXPECT_LT(track(0).trim_db, 24.0);
}

TEST_F(Window, pans_by_keys_typing_and_back) {
    import_all();
    station(2);
    lane(2)->setFocus();
    QTest::keyClick(lane(2), Qt::Key_Period);
    EXPECT_NEAR(track(2).pan, 0.05, 1e-9);
    QTest::keyClick(lane(2), Qt::Key_P);
    auto* entry = lane(2)->findChild<QLineEdit*>("valueEntry");
    ASSERT_TRUE(entry);
    QTest::keyClicks(entry, "L 35");
    QTest::keyClick(entry, Qt::Key_Return);
    EXPECT_NEAR(track(2).pan, -0.35, 1e-9);
    QTest::mouseDClick(lane(2), Qt::LeftButton, Qt::NoModifier, QPoint(lane(2)->width() - 120, 18));
    EXPECT_EQ(track(2).pan, 0.0);
}

TEST_F(Window, rows_are_walked_and_removed_by_keys) {
    import_all();
    work().document.select_only(track(0).id);
    lane(0)->setFocus();
    QTest::keyClick(lane(0), Qt::Key_Down);
    EXPECT_EQ(work().document.focused(), track(1).id);
    QTest::keyClick(lane(1), Qt::Key_Down, Qt::ShiftModifier);
    EXPECT_EQ(work().document.selected().size(), 2u);
    work().document.select_only(track(1).id);
    key(Qt::Key_Delete, Qt::ControlModifier);
    EXPECT_EQ(session().tracks.size(), 2u);
    undo_everything();
    EXPECT_TRUE(session().tracks.empty());
}

TEST_F(Window, the_main_fader_is_a_lane_too) {
    import_all();
    settle();
    const double before = *work().mix.peak()->dbfs;
    auto* main = find<MainFader>("mainFader");
    type(main, "-6");
    EXPECT_NEAR(session().main_fader_db, -6.0, 1e-9);
    settle();
    EXPECT_NEAR(*work().mix.peak()->dbfs, before - 6.0, 1e-4);
    QTest::keyClick(main, Qt::Key_Backspace);
    EXPECT_EQ(session().main_fader_db, 0.0);
    EXPECT_EQ(work().document.undo_name(), "Main fader 0.0 dB");
}

TEST_F(Window, whole_song_peak_follows_every_edit_to_the_newest) {
    import_all();
    for (int n = 0; n < 20; ++n)
        work().document.edit_tracks("Fader", {track(1).id}, [n](Track& t) { t.fader_db = -n; });
    settle();
    EXPECT_NEAR(*work().mix.peak()->dbfs,
                db_from_gain(static_cast<double>(whole_song_peak(work().player.plan()).value().peak)), 1e-9);
}

TEST_F(Window, stations_tell_how_far_their_work_is) {
    import_all();
    station(1);
    QTest::mouseClick(find<QPushButton>("stageAll"), Qt::LeftButton);
    catch_up();
    EXPECT_EQ(find<StationTab>("stationStage")->accessibleDescription(), "3 of 3 in their windows");
    EXPECT_EQ(find<StationTab>("stationGather")->accessibleDescription(), "3 tracks");
}

TEST_F(Window, reading_can_be_stopped_and_taken_up_again) {
    std::vector<fs::path> files;
    for (int n = 0; n < 24; ++n) {
        files.push_back(folder / ("copy " + std::to_string(n) + ".wav"));
        write(files.back(), make(44100 * 4, 2, noise(static_cast<uint32_t>(n), 0.3)), 2, 44100);
    }
    files.push_back(folder / "audio/1 Kick.wav");
    files.push_back(folder / "audio/2 Pad.wav");
    Session s = with_files({}, files);  // at 48 kHz: every copy has to be converted first
    work().document.edit("Add", s);
    ASSERT_GT(work().materials.waiting(), 0);
    key(Qt::Key_Escape);
    EXPECT_EQ(work().materials.waiting(), 0);
    const auto missing = work().materials.missing();
    ASSERT_FALSE(missing.empty());
    EXPECT_EQ(missing.back().error.what, "reading was cancelled");
    catch_up();
    EXPECT_EQ(work().materials.waiting(), 0);  // what was still running does not count any more
    key(Qt::Key_F5);
    settle();
    EXPECT_TRUE(work().materials.missing().empty());
    EXPECT_EQ(work().player.plan()->tracks.size(), files.size());
}

// --- dialogs --------------------------------------------------------------------------------------------------------

TEST_F(Window, settings_are_changed_in_their_dialog) {
    in_opened<QDialog>([&] { key(Qt::Key_Comma, Qt::ControlModifier); },
                       [&](QDialog& dialog) {
                           auto* block = dialog.findChild<QComboBox*>("settingsBlock");
                           block->setCurrentIndex(block->findData(256));
                           dialog.findChild<QComboBox*>("settingsRms")->setCurrentIndex(1);
                           dialog.findChild<QComboBox*>("settingsDevice")->setCurrentText(simulated_device);
                           QTest::keyClick(&dialog, Qt::Key_Return);
                       });
    EXPECT_EQ(work().player.block_frames(), 256);
    EXPECT_TRUE(average_label().contains("plain"));
    set_plain_rms(false);
}

TEST_F(Window, microphones_of_one_source_are_aligned) {
    const auto close = make(240000, 1, [n = noise(8, 0.8)](int64_t i, int c) {
        return n(i % 24000, c) * std::exp(-static_cast<double>(i % 24000) / 1500.0);
    });
    std::vector<float> room(close.size(), 0.0f);
    for (size_t i = 150; i < room.size(); ++i) room[i] = -0.6f * close[i - 150];
    drop({write(folder / "snare close.wav", close, 1), write(folder / "snare room.wav", room, 1)});
    settle();
    key(Qt::Key_A, Qt::ControlModifier);
    in_opened<QDialog>(
        [&] { key(Qt::Key_H); },
        [&](QDialog& dialog) {
            auto* apply = dialog.findChild<QPushButton*>("phaseApply");
            wait_for([&] { return apply->isEnabled(); });
            auto* table = dialog.findChild<QTableWidget*>("phaseTable");
            EXPECT_EQ(table->item(0, 1)->text(), "reference");
            EXPECT_EQ(table->item(1, 1)->text(), "150.0 samples");
            EXPECT_EQ(table->item(1, 4)->text(), "inverted");
            // By hand first: a sample later, 0.1 ms earlier, turned over and back.
            const auto press = [&](const char* name) {
                QTest::mouseClick(dialog.findChild<QPushButton*>(name), Qt::LeftButton);
            };
            press("laterSample");
            EXPECT_EQ(track(1).delay_samples, 1.0);
            press("earlierTenth");
            EXPECT_NEAR(track(1).delay_samples, -3.8, 1e-9);
            press("turnOver");
            EXPECT_TRUE(track(1).polarity_inverted);
            for (int n = 0; n < 3; ++n) press("phaseUndo");
            EXPECT_EQ(track(1).delay_samples, 0.0);
            wait_for([&] { return work().materials.waiting() == 0 && table->item(1, 1)->text() == "150.0 samples"; });
            QTest::mouseClick(apply, Qt::LeftButton);
            wait_for([&] { return table->item(1, 4)->text() == "same"; });
            EXPECT_EQ(table->item(1, 6)->text(), "1.00");
            QTest::keyClick(&dialog, Qt::Key_Escape);
        });
    EXPECT_NEAR(track(1).delay_samples, -150.0, 0.02);
    EXPECT_TRUE(track(1).polarity_inverted);
    EXPECT_EQ(work().document.undo_name(), "Align 1 track to snare close");
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(track(1).delay_samples, 0);
    // With one row chosen the dialog finds the set itself.
    work().document.select_only(track(0).id);
    in_opened<QDialog>([&] { key(Qt::Key_H); },
                       [&](QDialog& dialog) {
                           auto* sets = dialog.findChild<QComboBox*>("phaseSet");
                           wait_for([&] { return sets->count() > 0; });
                           EXPECT_EQ(sets->itemText(0), "snare close, snare room");
                           QTest::keyClick(&dialog, Qt::Key_Escape);
                       });
}

TEST_F(Window, f1_lists_every_key) {
    int rows = 0;
    in_opened<QDialog>([&] { key(Qt::Key_F1); },
                       [&](QDialog& dialog) {
                           for (const QLabel* column : dialog.findChildren<QLabel*>())
                               rows += static_cast<int>(column->text().count("<tr>"));
                           QTest::keyClick(&dialog, Qt::Key_Escape);
                       });
    int shortcuts = 0;
    std::set<QString> taken;
    for (const QAction* a : window->actions())
        for (const QKeySequence& key : a->shortcuts()) {
            ++shortcuts;
            EXPECT_TRUE(taken.insert(key.toString()).second) << "two mean " << key.toString().toStdString();
        }
    EXPECT_GE(rows, shortcuts - 40) << "nine sections, seven stations and the like are a line each";
}

TEST_F(Window, night_and_day_change_the_colours) {
    key(Qt::Key_F8);
    EXPECT_TRUE(theme().night);
    EXPECT_LT(window->grab().toImage().pixelColor(640, 500).lightness(), 80);
    key(Qt::Key_F8);
    EXPECT_FALSE(theme().night);
    EXPECT_GT(window->grab().toImage().pixelColor(640, 500).lightness(), 200);
}

TEST_F(Window, mutes_and_solos_are_counted_in_sight_and_taken_off_there) {
    import_all();
    EXPECT_FALSE(find<QToolButton>("muteCount")->isVisible());
    work().document.edit_tracks("Mute", {track(0).id, track(1).id}, [](Track& t) { t.mute = true; });
    EXPECT_EQ(find<QToolButton>("muteCount")->text(), "2 muted");
    EXPECT_TRUE(find<QToolButton>("muteCount")->isVisible());
    // A click with Ctrl on S solos that row alone.
    work().document.edit_tracks("Solo", {track(0).id, track(1).id}, [](Track& t) { t.solo = true; });
    auto* head = window->findChildren<RowHead*>().at(2);
    QTest::mouseClick(head->findChild<QToolButton*>("solo"), Qt::LeftButton, Qt::ControlModifier);
    EXPECT_TRUE(track(2).solo && !track(0).solo && !track(1).solo);
    EXPECT_EQ(find<QToolButton>("soloCount")->text(), "1 solo");
    QTest::mouseClick(find<QToolButton>("soloCount"), Qt::LeftButton);
    QTest::mouseClick(find<QToolButton>("muteCount"), Qt::LeftButton);
    EXPECT_FALSE(session().any_solo() || track(0).mute || track(1).mute);
    EXPECT_FALSE(find<QToolButton>("soloCount")->isVisible());
    work().document.select_only(track(1).id);
    key(Qt::Key_S, Qt::ControlModifier | Qt::AltModifier);
    EXPECT_TRUE(track(1).solo);
    // Trims to 0, but for what is locked.
    work().document.edit_tracks("Trim", {track(0).id, track(1).id}, [](Track& t) { t.trim_db = 3.0; });
    work().document.edit_tracks("Lock", {track(0).id}, [](Track& t) { t.locked = true; });
    key(Qt::Key_T, Qt::ControlModifier | Qt::AltModifier);
    EXPECT_EQ(track(0).trim_db, 3.0);
    EXPECT_EQ(track(1).trim_db, 0.0);
}

TEST_F(Window, sections_are_walked_and_the_loop_follows) {
    import_all();
    Session s = session();
    s.sections = {{"intro", 0.0}, {"verse", 1.0}, {"chorus", 2.5}};
    work().document.edit("Sections", s);
    key(Qt::Key_PageDown);
    EXPECT_NEAR(work().player.position_s(), 1.0, 1e-3);
    work().player.set_loop({true, 1.0, 2.5});
    key(Qt::Key_PageDown);
    EXPECT_NEAR(work().player.position_s(), 2.5, 1e-3);
    EXPECT_EQ(work().player.loop().from_s, 2.5);
    EXPECT_GT(work().player.loop().to_s, 4.9);
    key(Qt::Key_PageDown);
    EXPECT_NEAR(work().player.position_s(), 2.5, 1e-3) << "there is none further on";
    work().player.locate(4.2);
    key(Qt::Key_PageUp);
    EXPECT_NEAR(work().player.position_s(), 2.5, 1e-3) << "first to where this one begins";
    key(Qt::Key_PageUp);
    EXPECT_NEAR(work().player.position_s(), 1.0, 1e-3);
    EXPECT_EQ(work().player.loop().to_s, 2.5);
}

// --- what is left over ----------------------------------------------------------------------------------------------

TEST_F(Window, figures_that_were_asked_for_stay_whatever_the_pointer_does_and_a_hint_follows_what_it_is_about) {
    import_all();
    station(2);
    auto* hint = find<QLabel>("hint");
    // The pointer rests on a row whose fader is moved by the keyboard: the hint tells the new figure.
    const QPoint at = lane(1)->rect().center();
    QTest::mouseMove(lane(1), at);
    QMouseEvent over(QEvent::MouseMove, at, lane(1)->mapToGlobal(at), Qt::NoButton, Qt::NoButton, Qt::NoModifier);
    QApplication::sendEvent(lane(1), &over);
    key(Qt::Key_K, Qt::ControlModifier);
    wait_for([&] { return hint->text().contains(", whole song: "); });
    QApplication::sendEvent(lane(1), &over);
    EXPECT_TRUE(hint->text().contains(", whole song: ")) << hint->text().toStdString();
}

TEST_F(Window, a_correction_and_the_small_spectrum_are_there_again_at_the_next_start) {
    std::ofstream(folder / "ears.csv") << "100, 2\n1000, 0\n8000, -3\n";
    answers.file = folder / "ears.csv";
    find<QAction>("correctionOpen")->trigger();
    ASSERT_TRUE(work().player.monitor().correction);
    find<QAction>("mainSpectrumShown")->trigger();
    EXPECT_TRUE(find("mainSpectrum")->isVisible());
    window.reset();
    open_window();
    EXPECT_TRUE(work().player.monitor().correction);
    EXPECT_TRUE(find("mainSpectrum")->isVisible());
    find<QAction>("correctionOff")->trigger();
    find<QAction>("mainSpectrumShown")->trigger();
    window.reset();
    open_window();
    EXPECT_FALSE(work().player.monitor().correction);
    EXPECT_FALSE(find("mainSpectrum")->isVisible());
}

TEST_F(Window, all_faders_but_those_of_a_bus_go_down_from_its_menu) {
    import_all();
    work().document.edit("bus", with_new_bus(session(), "Drums", std::nullopt, {track(0).id}));
    catch_up();
    answers.numbers = {{0, 4.0}};
    work().edits.ask_others_down(tracks_under(session(), session().buses[0].id));
    EXPECT_EQ(track(0).fader_db, 0.0);
    EXPECT_EQ(track(1).fader_db, -4.0);
    EXPECT_EQ(track(2).fader_db, -4.0);
    work().document.undo();
    EXPECT_EQ(track(1).fader_db, 0.0);
}

TEST_F(Window, tracks_that_do_not_sound_in_the_loop_are_dimmed_and_fades_are_typed) {
    import_all();
    // The kick's clips end after a second.
    answers.numbers = {{0, 20.0}, {1, 150.0}};
    work().document.select_only(track(0).id);
    work().edits.set_clips(track(0).id, "Clip", Clips{{0, 0, 48000}});
    settle();
    find<QPushButton>("fadeLengths")->click();
    EXPECT_EQ(track(0).source.clips.at(0).fade_in, 960);
    EXPECT_EQ(track(0).source.clips.at(0).fade_out, 7200);
    settle();
    const auto head = [&] { return window->desk().head_of(track(0).id)->grab().toImage(); };
    const QImage plain = head();
    work().player.set_loop({true, 2.0, 3.0});
    catch_up();
    EXPECT_FALSE(work().sounds_in_loop(track(0)));
    EXPECT_TRUE(work().sounds_in_loop(track(1)));
    EXPECT_NE(head(), plain);
    work().player.set_loop({true, 0.0, 3.0});
    catch_up();
    EXPECT_EQ(head(), plain);
}

TEST_F(Window, an_ink_follows_a_name_or_a_kind_that_is_corrected) {
    import_all();
    EXPECT_EQ(track(0).colour_index, colour_of(Family::drums));
    const auto rename = [&](const char* name) {
        work().document.edit_tracks("Rename", {track(0).id}, [&](Track& t) {
            change_what_it_is(t, work().materials.measured(t), [&](Track& x) { x.name = name; });
        });
    };
    rename("Strings high");
    EXPECT_EQ(track(0).colour_index, colour_of(Family::strings));
    work().document.edit_tracks("Ink", {track(0).id}, [](Track& t) { t.colour_index = 11; });
    rename("Kick");
    EXPECT_EQ(track(0).colour_index, 11) << "one that was chosen stays";
}

TEST_F(Window, buses_and_the_main_output_have_a_spectrum_without_a_chain) {
    import_all();
    work().document.edit("bus", with_new_bus(session(), "Drums", std::nullopt, {track(0).id}));
    settle();
    for (const TrackId channel : {session().buses[0].id, main_output}) {
        const MaterialPtr sum = work().player.sum_of(channel);
        ASSERT_TRUE(sum) << channel;
        EXPECT_EQ(work().player.sum_of(channel), sum) << "one material as long as the plan stands";
        wait_for([&] { return work().spectra.of(sum) != nullptr; });
        const auto& power = work().spectra.of(sum)->power;
        EXPECT_GT(*std::max_element(power.begin(), power.end()), 1e-6);
    }
    const MaterialPtr before = work().player.sum_of(main_output);
    work().document.edit_tracks("fader", {track(0).id}, [](Track& t) { t.fader_db = -6.0; });
    catch_up();
    EXPECT_NE(work().player.sum_of(main_output), before);
}

TEST_F(Window, faders_in_a_window_of_their_own_follow_and_have_the_same_keys) {
    import_all();
    station(3);
    find<QAction>("faderWindow")->trigger();
    auto* second = window->findChild<FaderWindow*>();
    ASSERT_TRUE(second);
    ASSERT_TRUE(QTest::qWaitForWindowActive(second));
    auto* desk = second->findChild<Desk*>();
    Lane* kick = desk->lane_of(track(0).id);
    ASSERT_TRUE(kick);
    type(kick, "-7");
    EXPECT_EQ(track(0).fader_db, -7.0);
    const QImage before = kick->QWidget::grab().toImage();
    work().document.undo();
    catch_up();
    EXPECT_NE(kick->QWidget::grab().toImage(), before) << "it follows";
    ASSERT_TRUE(second->isActiveWindow());
    QTest::keyClick(second, Qt::Key_Space);
    wait_for([&] { return work().player.playing(); });
    QTest::keyClick(second, Qt::Key_Space);
    QTest::keyClick(second, Qt::Key_M);
    wait_for([&] { return track(0).mute; });
    second->close();
    find<QAction>("faderWindow")->trigger();
    EXPECT_EQ(window->findChildren<FaderWindow*>().size(), 1);
}
