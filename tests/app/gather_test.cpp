// Gather with the real window: files of all kinds, rows, clips, findings, sections.
#include <QComboBox>

#include "app/desk/family_row.h"
#include "app/desk/row_head.h"
#include "app/gather/clip_panel.h"
#include "core/session/sections_file.h"
#include "core/session/session_file.h"
#include "tests/app/window_fixture.h"

using namespace isotonus;
using namespace isotonus::test;

TEST_F(Window, pairs_become_stereo_and_many_channels_are_split) {
    fs::create_directories(folder / "in");
    write(folder / "in/OH L.wav", make(48000, 1, sine(300, 48000, 0.2)), 1);
    write(folder / "in/OH R.wav", make(48000, 1, sine(400, 48000, 0.2)), 1);
    write(folder / "in/Room.wav",
          make(48000, 4, [](int64_t i, int c) { return 0.1 * c + 1e-6 * static_cast<double>(i); }), 4);
    drop({folder / "in"});
    settle();
    EXPECT_EQ(answers.asked, 2);
    ASSERT_EQ(session().tracks.size(), 5u);
    EXPECT_EQ(track(0).name, "OH");
    EXPECT_EQ(work().materials.measured(track(0))->channels, 2);
    EXPECT_EQ(track(4).name, "Room 4");
    EXPECT_NEAR(*work().materials.measured(track(4))->sample_peak_dbfs, 20.0 * std::log10(0.3 + 0.048), 0.05);
    answers.answer = Prompter::Answer::no;
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_TRUE(session().tracks.empty());
    drop({folder / "in"});
    settle();
    ASSERT_EQ(session().tracks.size(), 3u);
    EXPECT_EQ(work().materials.measured(track(2))->channels, 2);  // folded
}

TEST_F(Window, twins_and_silence_are_pointed_out) {
    const auto tone = make(48000, 1, sine(300, 48000, 0.2));
    drop({write(folder / "Tone.wav", tone, 1), write(folder / "Tone again.wav", tone, 1),
          write(folder / "Nothing.wav", make(48000, 1, [](int64_t, int) { return 0.0; }), 1)});
    settle();
    ASSERT_EQ(work().materials.findings(track(1)).front().id, "identical");
    EXPECT_EQ(work().materials.findings(track(1)).front().text, "the same audio as Tone");
    EXPECT_EQ(work().materials.findings(track(2)).front().id, "silent");
}

TEST_F(Window, rows_are_dragged_folded_duplicated_and_marked) {
    import_all();
    auto* head = window->desk().head_of(track(0).id);
    drag(head, QPoint(60, 12), QPoint(60, 12 + 2 * row_height() + 20));
    catch_up();
    EXPECT_EQ(track(2).name, "1 Kick");
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(track(0).name, "1 Kick");

    work().document.select_only(track(1).id);
    key(Qt::Key_G);
    auto* folded = window->findChild<FamilyRow*>("familyRow");
    ASSERT_TRUE(folded);
    catch_up();
    EXPECT_EQ(folded->family(), Family::keys);
    EXPECT_EQ(window->findChildren<RowHead*>().size(), 2);
    QTest::mouseClick(folded, Qt::LeftButton, Qt::NoModifier, QPoint(60, 10));
    catch_up();
    EXPECT_EQ(window->findChildren<RowHead*>().size(), 3);

    work().document.select_only(track(0).id);
    key(Qt::Key_D, Qt::ControlModifier);
    EXPECT_EQ(track(1).name, "1 Kick copy");
    EXPECT_EQ(track(1).source, track(0).source);
    key(Qt::Key_A);
    EXPECT_TRUE(track(0).anchor);
    settle();
    answers.text = "two microphones";
    choose_in_menu(window->desk().head_of(track(0).id), "Note…");
    EXPECT_EQ(track(0).note, "two microphones");
    EXPECT_TRUE(window->desk().head_of(track(0).id)->toolTip().contains("two microphones"));
    choose_in_menu(window->desk().head_of(track(2).id), "strings");
    EXPECT_EQ(track(2).family, Family::strings);
    choose_in_menu(window->desk().head_of(track(2).id), "Left channel only");
    EXPECT_EQ(track(2).source.channels, Channels::one);
    settle();
    EXPECT_EQ(work().materials.measured(track(2))->channels, 1);
}

TEST_F(Window, a_newer_render_takes_a_files_place_with_all_settings) {
    import_all();
    station(2);
    type(lane(2), "-7.5");
    answers.file = write(folder / "Voice 2.wav", make(96000, 1, sine(440, 48000, 0.5)), 1);
    choose_in_menu(window->desk().head_of(track(2).id), "Replace the file…");
    settle();
    EXPECT_EQ(track(2).source.file, *answers.file);
    EXPECT_EQ(track(2).fader_db, -7.5);
    EXPECT_NEAR(*work().materials.measured(track(2))->sample_peak_dbfs, -6.02, 0.01);
    answers.file = folder / "none.wav";
    choose_in_menu(window->desk().head_of(track(2).id), "Replace the file…");
    EXPECT_EQ(answers.complaints.size(), 1);
    EXPECT_EQ(track(2).source.file, folder / "Voice 2.wav");
}

TEST_F(Window, clips_are_split_moved_trimmed_faded_and_lifted) {
    import_all();
    work().document.select_only(track(1).id);  // the pad, 5 s
    key(Qt::Key_E);
    auto* editor = find<ClipEditor>("clipEditor");
    ASSERT_TRUE(editor->isVisible());
    work().player.locate(2.0);
    key(Qt::Key_X);
    ASSERT_EQ(track(1).source.clips.size(), 2u);
    EXPECT_EQ(track(1).source.clips[1].start, 96000);
    settle();
    const auto x = [&](int64_t frame) { return static_cast<int>(std::lround(editor->x_of(frame))); };
    // Up by 12 pixels inside the second clip: +6 dB; the level follows.
    drag(editor, QPoint(x(150000), 80), QPoint(x(150000), 68));
    EXPECT_NEAR(track(1).source.clips[1].gain_db, 3.0, 1e-9);
    settle();
    EXPECT_NEAR(*work().materials.measured(track(1))->sample_peak_dbfs, 20.0 * std::log10(0.3) + 3.0, 0.02);
    EXPECT_EQ(work().document.undo_name().left(9), "Clip gain");
    QTest::mouseDClick(editor, Qt::LeftButton, Qt::NoModifier, QPoint(x(150000), 80));
    EXPECT_EQ(track(1).source.clips[1].gain_db, 0.0);
    // By its title to the right, by its right edge to the left, by its corner into a fade.
    drag(editor, QPoint(x(150000), 6), QPoint(x(150000 + 48000), 6));
    EXPECT_NEAR(static_cast<double>(track(1).source.clips[1].start), 144000.0, 600.0);
    drag(editor, QPoint(x(track(1).source.clips[1].end()), 90), QPoint(x(200000), 90));
    EXPECT_NEAR(static_cast<double>(track(1).source.clips[1].end()), 200000.0, 600.0);
    const int64_t start = track(1).source.clips[1].start;
    drag(editor, QPoint(x(start) + 8, ClipEditor::title_height + 5),
         QPoint(x(start + 20000), ClipEditor::title_height + 5));
    EXPECT_NEAR(static_cast<double>(track(1).source.clips[1].fade_in), 20000.0, 700.0);
    settle();
    EXPECT_EQ(work().player.plan()->frames, std::max<int64_t>(240000, track(1).source.clips[1].end()));
    // The lane's own value is the clip's gain.
    type(lane(1), "-4.5");
    EXPECT_EQ(track(1).source.clips[1].gain_db, -4.5);
    QTest::keyClick(lane(1), Qt::Key_Backspace);
    EXPECT_EQ(track(1).source.clips[1].gain_db, 0.0);
    // A marked stretch is cut out, and all of it comes back.
    drag(editor, QPoint(x(20000), 80), QPoint(x(60000), 80), Qt::ShiftModifier);
    EXPECT_TRUE(work().player.loop().on);
    QTest::mouseClick(find<QPushButton>("cutLoop"), Qt::LeftButton);
    EXPECT_EQ(track(1).source.clips.size(), 3u);
    QTest::mouseClick(find<QPushButton>("removeClip"), Qt::LeftButton);
    EXPECT_EQ(track(1).source.clips.size(), 2u);
    QTest::mouseClick(find<QPushButton>("wholeFile"), Qt::LeftButton);
    EXPECT_TRUE(track(1).source.clips.empty());
    undo_everything();
    EXPECT_TRUE(session().tracks.empty());
}

TEST_F(Window, a_finding_is_heard_and_mended_by_a_click) {
    const auto shifted = make(96000, 1, [s = sine(300, 48000, 0.2)](int64_t i, int c) { return s(i, c) + 0.1; });
    auto spiky = make(480000, 1, sine(300, 48000, 0.05));
    spiky[240000] = 0.9f;
    drop({write(folder / "Pad.wav", shifted, 1), write(folder / "Keys.wav", spiky, 1)});
    settle();
    work().document.select_only(track(0).id);
    key(Qt::Key_E);
    QTest::mouseClick(find<QToolButton>("putRight"), Qt::LeftButton);
    EXPECT_TRUE(track(0).source.offset_removed);
    settle();
    EXPECT_NEAR(work().materials.measured(track(0))->dc_offset, 0.0, 1e-6);
    EXPECT_TRUE(work().materials.findings(track(0)).empty());
    work().document.select_only(track(1).id);
    catch_up();
    // The flag on the lane plays the place, alone; with the song stopped the mix is heard again.
    static_cast<QWidget*>(lane(1))->grab();
    QTest::mouseClick(lane(1), Qt::LeftButton, Qt::NoModifier, QPoint(306, lane(1)->height() - 9));
    wait_for([&] { return work().player.playing(); });
    EXPECT_EQ(work().player.hearing(), Player::Hearing::track);
    EXPECT_GE(work().player.position_s(), 4.4);
    key(Qt::Key_Space);
    wait_for([&] { return work().player.hearing() == Player::Hearing::mix; });
    QTest::mouseClick(find<QToolButton>("putRight"), Qt::LeftButton);
    settle();
    EXPECT_NEAR(*work().materials.measured(track(1))->sample_peak_dbfs, 20.0 * std::log10(0.05), 0.1);
}

TEST_F(Window, two_files_with_one_dead_side_each_become_a_stereo_track_or_a_pair) {
    const auto one_side = [](int side, double hz = 300.0) {
        return make(96000, 2, [side, s = sine(hz, 48000, 0.2)](int64_t i, int c) { return c == side ? s(i, c) : 0.0; });
    };
    drop({write(folder / "Guitar 1.wav", one_side(0), 2), write(folder / "Guitar 2.wav", one_side(1, 400.0), 2),
          write(folder / "Flute 2.wav", one_side(1, 700.0), 2)});
    settle();
    const auto& found = work().materials.findings(track(0));
    ASSERT_EQ(found.size(), 1u);
    EXPECT_EQ(found[0].text, "right channel is dead, Guitar 2 has it");
    EXPECT_EQ(work().materials.findings(track(1)).at(0).text, "left channel is dead, Guitar 1 has it");
    EXPECT_EQ(work().materials.findings(track(2)).at(0).id, "dead_channel");  // its name says nothing of a pair
    const auto mend = [&](size_t n, Prompter::Answer answer) {
        answers.answer = answer;
        work().document.select_only(track(n).id);
        catch_up();
        QTest::mouseClick(find<QToolButton>("putRight"), Qt::LeftButton);
        settle();
    };
    key(Qt::Key_E);
    mend(0, Prompter::Answer::cancel);
    EXPECT_EQ(session().tracks.size(), 3u);
    mend(1, Prompter::Answer::yes);  // from either of them
    ASSERT_EQ(session().tracks.size(), 2u);
    EXPECT_EQ(track(0).name, "Guitar");
    EXPECT_EQ(track(0).source.right_file, folder / "Guitar 2.wav");
    EXPECT_NEAR(*work().materials.measured(track(0))->left_dbfs, *work().materials.measured(track(0))->right_dbfs,
                0.01);
    for (const Finding& f : work().materials.findings(track(0))) EXPECT_EQ(f.remedy, Remedy::none) << f.text;
    key(Qt::Key_Z, Qt::ControlModifier);
    ASSERT_EQ(session().tracks.size(), 3u);
    settle();
    mend(0, Prompter::Answer::no);
    EXPECT_EQ(track(0).pan, -1.0);
    EXPECT_EQ(track(1).pan, 1.0);
    EXPECT_EQ(work().materials.measured(track(1))->channels, 1);
    EXPECT_NEAR(*work().materials.measured(track(1))->sample_peak_dbfs, 20.0 * std::log10(0.2), 0.01);
}

TEST_F(Window, sections_and_tempo_come_in_and_go_out) {
    import_all();
    Session other;
    other.tempo = {{0.0, 120.0, 4, 4}};
    other.sections = {{"verse", 1.0, 0}, {"chorus", 3.0, 0}};
    answers.file = folder / "song.mid";
    ASSERT_TRUE(write_whole(*answers.file, sections_to_midi(other), none_protected()));
    window->findChild<QAction*>("sectionsIn")->trigger();
    ASSERT_EQ(session().sections.size(), 2u);
    EXPECT_EQ(session().sections[1].name, "chorus");
    EXPECT_NEAR(session().tempo[0].quarters_a_minute, 120.0, 1e-6);
    // With a tempo, a section made near a beat stands on it; without snapping where the playhead is.
    work().player.locate(2.13);
    answers.text = "break";
    key(Qt::Key_N);
    EXPECT_NEAR(session().sections[1].start_s, 2.0, 1e-6);
    key(Qt::Key_J);
    work().player.locate(4.13);
    answers.text = "end";
    key(Qt::Key_N);
    EXPECT_NEAR(session().sections[3].start_s, 4.13, 1e-3);
    answers.file = folder / "out.mid";
    window->findChild<QAction*>("sectionsOut")->trigger();
    EXPECT_EQ(read_sections(folder / "out.mid").value().sections.size(), 4u);
    window->findChild<QAction*>("tempo")->trigger();
    const auto type_tempo = [&](const QString& text) {
        auto* field = find<QLineEdit>("tempoText");
        field->setFocus();
        field->selectAll();
        QTest::keyClicks(field, text);
        QTest::keyClick(field, Qt::Key_Return);
    };
    // The song map draws the bars over the mix, so that they can be compared with its hits.
    const auto middle_of_map = [&] {
        catch_up();
        return window->findChild<SongMap*>()->QWidget::grab(QRect(head_width + 1, 36, 500, 8)).toImage();
    };
    QTest::mouseClick(find<QPushButton>("noTempo"), Qt::LeftButton);
    const QImage without_bars = middle_of_map();
    type_tempo("97,5 6/8");
    EXPECT_EQ(session().tempo[0].beats, 6);
    EXPECT_NE(middle_of_map(), without_bars);
    type_tempo("fast");
    EXPECT_TRUE(find<QLabel>("tempoTold")->text().contains("is not a tempo"));
    EXPECT_NEAR(session().tempo[0].quarters_a_minute, 97.5, 1e-9);
    EXPECT_EQ(find<QLineEdit>("tempoText")->text(), "97.5 6/8");
    QTest::mouseClick(find<QPushButton>("doubleTempo"), Qt::LeftButton);
    EXPECT_NEAR(session().tempo[0].quarters_a_minute, 195.0, 1e-9);
    work().player.locate(0.75);
    QTest::mouseClick(find<QPushButton>("firstBarHere"), Qt::LeftButton);
    EXPECT_NEAR(session().tempo[0].time_s, 0.75, 1e-3);
    // Taps are one undo step, and Space plays while the window has the keyboard.
    for (int n = 0; n < 4; ++n) {
        QTest::keyClick(find<QDialog>("tempoWindow"), Qt::Key_T);
        QTest::qWait(200);
    }
    EXPECT_NEAR(session().tempo[0].quarters_a_minute, 290.0, 60.0);
    work().document.undo();
    EXPECT_NEAR(session().tempo[0].quarters_a_minute, 195.0, 1e-9);
    QTest::mouseClick(find<QPushButton>("findTempo"), Qt::LeftButton);
    wait_for([&] { return !find<QLabel>("tempoTold")->text().startsWith("Comparing"); });
    // A song of several tempos, from a file, keeps the others: the one at the playhead is typed.
    Session several = session();
    several.tempo = {{0.0, 100.0}, {2.0, 120.0, 3, 4}, {4.0, 90.0}};
    work().document.edit("Several tempos", several);
    work().player.locate(2.5);
    catch_up();
    EXPECT_TRUE(find<QLabel>("tempoTold")->text().contains("3 tempos"));
    EXPECT_EQ(find<QLineEdit>("tempoText")->text(), "120 3/4");
    type_tempo("126");
    ASSERT_EQ(session().tempo.size(), 3u);
    EXPECT_EQ(session().tempo[1], (TempoMark{2.0, 126.0, 3, 4}));
    EXPECT_EQ(session().tempo[0].quarters_a_minute, 100.0);
    // What is being typed stays, and is for the tempo that was shown, when the song plays on into another.
    auto* typed = find<QLineEdit>("tempoText");
    typed->setFocus();
    typed->selectAll();
    QTest::keyClicks(typed, "128");
    work().player.locate(4.5);
    catch_up();
    EXPECT_EQ(typed->text(), "128");
    QTest::keyClick(typed, Qt::Key_Return);
    EXPECT_EQ(session().tempo[1].quarters_a_minute, 128.0);
    EXPECT_EQ(session().tempo[2].quarters_a_minute, 90.0);
    catch_up();
    EXPECT_EQ(typed->text(), "90 4/4") << "and then the one at the playhead is shown";
    work().document.undo();
    QTest::mouseClick(find<QPushButton>("halfTempo"), Qt::LeftButton);
    EXPECT_EQ(session().tempo[2].quarters_a_minute, 45.0) << "half is for the whole map";
    EXPECT_EQ(session().tempo[1].quarters_a_minute, 63.0);
    find<QDialog>("tempoWindow")->close();
    answers.file = folder / "audio/1 Kick.wav";
    window->findChild<QAction*>("sectionsIn")->trigger();  // no cue points in it
    EXPECT_TRUE(answers.complaints.back().contains("no cue points"));
}

TEST_F(Window, the_song_is_zoomed_to_the_sample) {
    import_all();
    work().view.time.show(1.0, 1.0006);
    for (int n = 0; n < 5; ++n) {
        station(n);
        EXPECT_FALSE(window->grab().isNull());
    }
    EXPECT_NEAR(work().view.time.to_s() - work().view.time.from_s(), 0.0006, 1e-6);
    work().view.time.zoom(1e6, 1.0);
    EXPECT_GE(work().view.time.to_s() - work().view.time.from_s(), 0.0005 - 1e-9);
}

TEST_F(Window, files_whose_names_are_no_utf8_can_be_dropped_and_saved) {
    const fs::path odd = folder / "K\xE4se.wav";
    write(odd, make(48000, 1, sine(300, 48000, 0.2)), 1);
    drop_urls({QUrl::fromEncoded("file://" + QByteArray::fromStdString(odd.string()).toPercentEncoding("/"))});
    settle();
    EXPECT_TRUE(answers.complaints.isEmpty()) << answers.complaints.join("; ").toStdString();
    ASSERT_EQ(session().tracks.size(), 1u);
    EXPECT_EQ(track(0).source.file, odd);
    EXPECT_TRUE(work().materials.measured(track(0)));
    answers.file = folder / "odd.isotonus";
    key(Qt::Key_S, Qt::ControlModifier);
    EXPECT_EQ(read_session(folder / "odd.isotonus").value().tracks[0]->source.file, odd);
}

TEST_F(Window, an_edit_forms_the_keys_of_what_it_changed_and_no_others) {
    import_all();
    work().document.edit_tracks("Clips", {track(0).id, track(1).id}, [](Track& t) {
        for (int n = 0; n < 200; ++n) t.source.clips.push_back({n * 1000, n * 1000, 1000, 0.0, 0, 0, {}});
    });
    settle();
    const int64_t before = work().materials.keys_made();
    work().document.edit_tracks("Fader", {track(1).id}, [](Track& t) { t.fader_db = -3.0; });
    settle();
    EXPECT_LE(work().materials.keys_made() - before, 1);
}
