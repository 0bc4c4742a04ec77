// Hand off and Compare: checks that lead to their place, exports that queue, the sheet, prints by one key.
#include "app/compare/compare.h"

#include <QSignalSpy>
#include <numeric>

#include "app/compare/compare.h"
#include "app/shape/frequency.h"
#include "tests/app/window_fixture.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

class HandOffWindow : public Window {
  protected:
    void open_hand_off() {
        import_all();
        station(6);
        settle();
        find<QLineEdit>("exportFile")->setText(to_qt(folder / "out/boats mix.wav"));
    }
    void choose(const char* combo, const QString& text) {
        auto* c = find<QComboBox>(combo);
        const int n = c->findText(text, Qt::MatchStartsWith);
        ASSERT_GE(n, 0) << text.toStdString();
        c->setCurrentIndex(n);
        emit c->activated(n);
    }
    void export_now() {
        QTest::mouseClick(find<QPushButton>("export"), Qt::LeftButton);
        wait_for([&] { return !work().exports.busy(); });
    }
    void tick(const char* box) {
        auto* c = find<QCheckBox>(box);
        QTest::mouseClick(c, Qt::LeftButton, Qt::NoModifier, QPoint(10, c->height() / 2));
    }
    QString words() { return find<QLabel>("exportResult")->text(); }
    QListWidgetItem* check(const QString& text) {
        auto* list = find<QListWidget>("checks");
        for (int n = 0; n < list->count(); ++n)
            if (list->item(n)->text().contains(text)) return list->item(n);
        return nullptr;
    }
};

}  // namespace

TEST_F(HandOffWindow, checks_are_current_and_lead_to_their_place) {
    open_hand_off();
    ASSERT_TRUE(check("nothing is muted"));
    work().document.edit_tracks("Mute", {track(1).id}, [](Track& t) { t.mute = true; });
    settle();
    QListWidgetItem* muted = check("muted: 2 Pad");
    ASSERT_TRUE(muted);
    EXPECT_TRUE(muted->text().startsWith(QChar(0x2717)));
    auto* list = find<QListWidget>("checks");
    const QListWidgetItem* before = list->item(list->row(muted) - 1);
    EXPECT_EQ(before->text(), "Routing") << "what fails comes first in its group";
    EXPECT_FALSE(muted->isHidden());
    EXPECT_TRUE(check("no solo is on")->isHidden()) << "what passes without a figure is folded";
    work().document.select_only(track(0).id);
    list->setFocus();
    list->setCurrentItem(muted);
    QTest::keyClick(list, Qt::Key_Return);
    EXPECT_EQ(work().document.focused(), track(1).id);
    MonitorSettings m = work().player.monitor();
    m.dim = true;
    work().player.set_monitor(m);
    EXPECT_TRUE(check("the monitoring is altered"));
    // A place in the song: the peak.
    QListWidgetItem* peak = check("the mix peaks at");
    ASSERT_TRUE(peak);
    list->setCurrentItem(peak);
    work().player.locate(4.9);
    QTest::keyClick(list, Qt::Key_Return);
    EXPECT_NEAR(work().player.position_s(), std::max(0.0, work().mix.peak()->time_s - 1.0), 0.05);
    // Another profile, other limits.
    choose("checkProfile", "Streaming demo");
    EXPECT_EQ(session().hand_off.profile, HandOffProfile::streaming_demo);
    // A demo is listened to as it is: a chain for the main output was offered, and taken with a yes.
    EXPECT_EQ(session().main_chain.size(), 3u);
    EXPECT_EQ(session().hand_off.main_chain, MainChain::in);
    while (!session().main_chain.empty()) work().document.undo();
    answers.answer = Prompter::Answer::no;
    choose("checkProfile", "For mastering");
    choose("checkProfile", "Streaming demo");
    EXPECT_TRUE(session().main_chain.empty());
    answers.answer = Prompter::Answer::yes;
    settle();
    EXPECT_TRUE(check("loudness"));
    answers.numbers = {{0, -20.0}};
    choose("checkProfile", "Own limits");
    EXPECT_EQ(session().hand_off.own.max_peak_dbfs, -20.0);
    settle();
    EXPECT_TRUE(check("at least 20 dB requested"));
    // Each over has a line of its own, found in the background, that leads to its place and to who makes it.
    wait_for([&] { return check("raised by 1 Kick") != nullptr; });
    settle();
    work().document.select_only(track(2).id);
    list->setCurrentItem(check("raised by 1 Kick"));
    QTest::keyClick(list, Qt::Key_Return);
    EXPECT_EQ(work().document.focused(), track(0).id);
}

TEST_F(HandOffWindow, checks_lead_by_a_click_and_unfold) {
    open_hand_off();
    work().document.edit_tracks("Mute", {track(1).id}, [](Track& t) { t.mute = true; });
    settle();
    catch_up();
    auto* list = find<CheckList>("checks");
    const auto click_on = [&](QListWidgetItem* item) {
        list->scrollToItem(item);
        QTest::mouseClick(list->viewport(), Qt::LeftButton, Qt::NoModifier,
                          list->visualItemRect(item).topLeft() + QPoint(60, 10));
        catch_up();
    };
    work().document.select_only(track(0).id);
    QListWidgetItem* muted = check("muted: 2 Pad");
    const int height = list->visualItemRect(muted).height();
    click_on(muted);
    EXPECT_EQ(work().document.focused(), track(1).id);
    EXPECT_GT(list->visualItemRect(muted).height(), height) << "it says all of it, and why";
    EXPECT_TRUE(find<QLabel>("checksTold")->text().contains("1 to fix"))
        << find<QLabel>("checksTold")->text().toStdString();
    QListWidgetItem* rest = nullptr;
    for (int n = list->row(check("Routing")); n < list->count() && !rest; ++n)
        if (list->item(n)->text().contains("more pass")) rest = list->item(n);
    ASSERT_TRUE(rest);
    click_on(rest);
    EXPECT_FALSE(check("no solo is on")->isHidden());
    click_on(rest);
    EXPECT_TRUE(check("no solo is on")->isHidden());
}

TEST_F(HandOffWindow, the_list_of_files_tells_names_and_sizes_before_anything_is_written) {
    open_hand_off();
    auto* export_preview = find<QTableWidget>("exportPreview");
    const auto cell = [&](int r, int c) { return export_preview->item(r, c)->text(); };
    catch_up();
    ASSERT_EQ(export_preview->rowCount(), 1);
    EXPECT_EQ(cell(0, 0), "boats mix.wav");
    const double song_s = work().player.plan()->duration_s();
    EXPECT_EQ(cell(0, 1), time_text(song_s));
    EXPECT_EQ(cell(0, 2), size_text(static_cast<uintmax_t>(std::llround(song_s * 48000.0)) * 6));
    choose("exportWhat", "The mix and a stem of each track");
    tick("exportSheet");
    catch_up();
    ASSERT_GE(export_preview->rowCount(), 1 + 3 + 3);
    EXPECT_TRUE(find<QLineEdit>("exportPattern")->isVisible());
    EXPECT_TRUE(
        find<QLabel>("exportPreviewSum")->text().startsWith(QString::number(export_preview->rowCount()) + " files"));
    std::vector<std::string> told;
    for (int r = 0; r < export_preview->rowCount(); ++r) told.push_back(cell(r, 0).toStdString());
    choose("exportFormat", "Ogg Vorbis");
    catch_up();
    EXPECT_EQ(cell(0, 2), QString(QChar(0x2013)));
    choose("exportFormat", "WAV, 24 bit");
    export_now();
    for (const std::string& name : told) EXPECT_TRUE(is_there(folder / "out" / name)) << name;
    choose("exportWhat", "the mix");
    EXPECT_FALSE(find<QLineEdit>("exportPattern")->isVisible());
}

TEST_F(HandOffWindow, what_the_form_says_outlives_a_look_at_another_station) {
    open_hand_off();
    choose("exportFormat", "FLAC, 16 bit");
    choose("exportWhat", "The mix and a stem of each track");
    choose("exportRate", "44.1");
    find<QLineEdit>("exportPattern")->setText("{number} {part}");
    tick("exportSheet");
    tick("exportDither");
    station(2);
    station(6);
    EXPECT_EQ(find<QLineEdit>("exportFile")->text(), to_qt(folder / "out/boats mix.flac"));
    EXPECT_EQ(find<QLineEdit>("exportPattern")->text(), "{number} {part}");
    EXPECT_EQ(find<QComboBox>("exportFormat")->currentText(), "FLAC, 16 bit");
    EXPECT_TRUE(find<QComboBox>("exportWhat")->currentText().contains("each track"));
    EXPECT_TRUE(find<QComboBox>("exportRate")->currentText().startsWith("44.1"));
    EXPECT_TRUE(find<QCheckBox>("exportSheet")->isChecked());
    EXPECT_FALSE(find<QCheckBox>("exportDither")->isChecked());
}

TEST_F(HandOffWindow, dither_is_a_tick) {
    open_hand_off();
    work().document.edit_tracks("Alone", {track(0).id, track(2).id}, [](Track& t) { t.mute = true; });
    settle();
    const auto exported = [&](const char* name) {
        find<QLineEdit>("exportFile")->setText(to_qt(folder / name));
        export_now();
        return read(folder / name);
    };
    choose("exportFormat", "WAV, 32");
    const auto exact = exported("exact.wav");
    choose("exportFormat", "WAV, 24");
    const auto dithered = exported("dithered.wav");
    tick("exportDither");
    const auto rounded = exported("rounded.wav");
    ASSERT_EQ(rounded.size(), exact.size());
    ASSERT_EQ(dithered.size(), exact.size());
    const auto worst = [](const std::vector<float>& a, const std::vector<float>& b) {
        return std::transform_reduce(
            a.begin(), a.end(), b.begin(), 0.0, [](double x, double y) { return std::max(x, y); },
            [](float x, float y) { return std::fabs(static_cast<double>(x) - static_cast<double>(y)); });
    };
    constexpr double lsb = 1.0 / 8388608.0;
    EXPECT_LE(worst(rounded, exact), 0.5001 * lsb);
    EXPECT_GT(worst(dithered, exact), 0.9 * lsb);
    EXPECT_LE(worst(dithered, exact), 1.5001 * lsb);
}

TEST_F(HandOffWindow, a_delivery_with_stems_sheet_and_notes_is_accepted_by_the_desk) {
    open_hand_off();
    auto* notes = find<QPlainTextEdit>("handOffNotes");
    notes->setFocus();
    QTest::keyClicks(notes, "soft bells");
    EXPECT_EQ(session().hand_off.notes, "soft bells");
    work().document.edit("Down", [&] {
        Session s = session();
        s.main_fader_db = -6.0;
        return s;
    }());
    settle();
    choose("exportWhat", "The mix and a stem of each track");
    find<QCheckBox>("exportSheet")->setChecked(true);
    export_now();
    EXPECT_TRUE(words().contains("4 files written")) << words().toStdString();
    EXPECT_TRUE(words().contains("every sample is right"));
    for (const char* name : {"boats mix.wav", "Untitled 01 1 Kick.wav", "Untitled sheet.pdf", "Untitled sheet.json",
                             "Untitled sheet.txt", "Untitled checksums.sha256"})
        EXPECT_TRUE(fs::exists(folder / "out" / name)) << name;
    // The sheet reads as PDF; its text holds the notes.
    std::ifstream pdf(folder / "out/Untitled sheet.pdf", std::ios::binary);
    std::string head(5, ' ');
    pdf.read(head.data(), 5);
    EXPECT_EQ(head, "%PDF-");
    std::ifstream text(folder / "out/Untitled sheet.txt");
    EXPECT_NE(std::string((std::istreambuf_iterator<char>(text)), {}).find("soft bells"), std::string::npos);
    int status = 1;
    const std::string desk =
        output_of("'" + std::string(ISOTONUS_DESK) + "' '" + (folder / "out").string() + "' 2>&1", &status);
    EXPECT_EQ(status, 0) << desk;
}

TEST_F(HandOffWindow, exports_queue_while_work_goes_on_and_can_be_cancelled) {
    open_hand_off();
    for (const char* name : {"one.wav", "two.wav", "three.wav"}) {
        find<QLineEdit>("exportFile")->setText(to_qt(folder / "out" / name));
        QTest::mouseClick(find<QPushButton>("export"), Qt::LeftButton);
    }
    station(2);  // leaving the station stops nothing
    wait_for([&] { return !work().exports.busy(); });
    for (const char* name : {"one.wav", "two.wav", "three.wav"}) EXPECT_TRUE(fs::exists(folder / "out" / name)) << name;
    station(6);
    find<QLineEdit>("exportFile")->setText(to_qt(folder / "out/four.wav"));
    QTest::mouseClick(find<QPushButton>("export"), Qt::LeftButton);
    find<QLineEdit>("exportFile")->setText(to_qt(folder / "out/five.wav"));
    QTest::mouseClick(find<QPushButton>("export"), Qt::LeftButton);
    QTest::mouseClick(find<QPushButton>("cancelExport"), Qt::LeftButton);
    wait_for([&] { return !work().exports.busy(); });
    EXPECT_FALSE(fs::exists(folder / "out/five.wav"));
    choose("exportFormat", "FLAC, 24");
    EXPECT_TRUE(find<QLineEdit>("exportFile")->text().endsWith("five.flac"));
    export_now();
    EXPECT_TRUE(fs::exists(folder / "out/five.flac"));
}

TEST_F(HandOffWindow, the_window_asks_before_it_leaves_an_export) {
    // Long enough that it is still running when the window is closed.
    write(folder / "long.wav", make(48000 * 120, 2, noise(9, 0.1)), 2);
    drop({folder / "long.wav"});
    settle();
    station(6);
    find<QLineEdit>("exportFile")->setText(to_qt(folder / "out/long.wav"));
    QTest::mouseClick(find<QPushButton>("export"), Qt::LeftButton);
    ASSERT_TRUE(work().exports.busy());
    // Pressed again while it is written, it is one export.
    QSignalSpy hints(&work().view, &ViewState::hint);
    QTest::mouseClick(find<QPushButton>("export"), Qt::LeftButton);
    EXPECT_EQ(work().exports.waiting(), 0u);
    ASSERT_EQ(hints.size(), 1);
    EXPECT_EQ(hints[0][0].toString(),
              "These files are already being exported. Wait for the end, or choose other names.");
    answers.answer = Prompter::Answer::cancel;
    answers.asked = 0;
    EXPECT_FALSE(window->close());
    EXPECT_EQ(answers.asked, 1);
    EXPECT_TRUE(window->isVisible());
    wait_for([&] { return !work().exports.busy(); });
    EXPECT_TRUE(fs::exists(folder / "out/long.wav"));
}

TEST_F(HandOffWindow, prints_get_numbers_by_themselves_and_nothing_is_refused_after_a_yes) {
    open_hand_off();
    EXPECT_TRUE(find<QCheckBox>("exportPrint")->isChecked()) << "exports are prints unless it is unticked";
    answers.asked = 0;
    export_now();
    export_now();
    EXPECT_EQ(answers.asked, 0) << "nothing is replaced, so nothing is asked";
    ASSERT_EQ(session().recordings.size(), 2u);
    EXPECT_EQ(session().recordings[0].name, "boats mix");
    EXPECT_EQ(session().recordings[1].name, "boats mix 2");
    EXPECT_TRUE(fs::exists(folder / "out/boats mix 2.wav"));
    EXPECT_TRUE(fs::exists(folder / "out/boats mix 2.wav.isotonus"));
    // Without the tick the name belongs to a print: that is not replaced either.
    find<QCheckBox>("exportPrint")->setChecked(false);
    export_now();
    EXPECT_EQ(answers.asked, 0);
    EXPECT_TRUE(fs::exists(folder / "out/boats mix 3.wav"));
    EXPECT_EQ(session().recordings.size(), 2u);
    EXPECT_TRUE(answers.complaints.isEmpty()) << answers.complaints.join(' ').toStdString();
    window.reset();
    open_window();
    EXPECT_FALSE(work().view.keeps_prints) << "it is remembered";
}

TEST_F(HandOffWindow, a_print_is_compared_by_one_key_and_matched) {
    open_hand_off();
    Session lower = session();
    lower.main_fader_db = -9.0;
    work().document.edit("Down", lower);
    find<QCheckBox>("exportPrint")->setChecked(true);
    export_now();
    ASSERT_EQ(session().recordings.size(), 1u);
    EXPECT_FALSE(session().recordings[0].made.empty());
    // A reference 6 dB lower.
    auto quiet = read(folder / "out/boats mix.wav");
    for (float& x : quiet) x *= 0.5f;
    answers.files = {write(folder / "reference.wav", quiet, 2)};
    station(5);
    QTest::mouseClick(find<QPushButton>("compareAdd"), Qt::LeftButton);
    ASSERT_EQ(session().recordings.size(), 2u);
    settle();
    wait_for([&] { return work().comparison.match_db(0) && work().comparison.match_db(1); });
    EXPECT_NEAR(*work().comparison.match_db(0), 0.0, 0.05);
    EXPECT_NEAR(*work().comparison.match_db(1), 6.0, 0.05);
    auto* table = find<QTableWidget>("compareTable");
    EXPECT_EQ(table->rowCount(), 3);
    work().player.toggle_playing();
    wait_for([&] { return work().player.position_s() > 0.5; });
    double before_s = work().player.position_s();
    key(Qt::Key_F6);
    EXPECT_EQ(work().comparison.heard(), 0u);
    EXPECT_TRUE(work().player.anything_on());  // the stripe warns
    wait_for([&] { return work().player.position_s() > before_s + 0.1; });
    EXPECT_LT(work().player.position_s(), before_s + 3.0);  // from the same place on
    key(Qt::Key_F6, Qt::ControlModifier);
    EXPECT_EQ(work().comparison.heard(), 1u);
    // Faders do not reach it.
    Session s = session();
    s.main_fader_db = silence_db;
    work().document.edit("Down", s);
    before_s = work().player.position_s();
    wait_for([&] { return work().player.position_s() > before_s + 0.2; });
    EXPECT_GT(work().player.meters().main[0].level_db, -40.0);
    wait_for([&] { return work().mix.figures() && !work().mix.figures()->measurement.integrated_lufs; });
    EXPECT_EQ(work().comparison.heard(), 1u) << "the last known loudness of the mix counts while it is silent";
    work().document.undo();
    key(Qt::Key_F6);
    EXPECT_FALSE(work().comparison.heard());
    work().player.stop();
    // Notes, and off the list; a file that is gone is told.
    table->setCurrentCell(1, 0);
    answers.text = "too dull";
    QTest::mouseClick(find<QPushButton>("compareNote"), Qt::LeftButton);
    EXPECT_EQ(session().recordings[0].note, "too dull");
    table->setCurrentCell(2, 0);
    QTest::mouseClick(find<QPushButton>("compareRemove"), Qt::LeftButton);
    EXPECT_EQ(session().recordings.size(), 1u);
    EXPECT_TRUE(fs::exists(folder / "reference.wav"));
    s = session();
    s.recordings.change()[0].file = "/nowhere/print.wav";
    work().document.edit("Lose", s);
    wait_for([&] { return table->item(1, 7)->text().contains("does not exist"); });
}

TEST_F(HandOffWindow, from_a_folder_of_audio_to_a_delivery_that_the_desk_accepts) {
    // The demo's audio as a folder it has never seen; every step is a gesture in the window.
    QElapsedTimer clock;
    clock.start();
    int gestures = 0;
    const auto did = [&gestures] { ++gestures; };
    fs::create_directories(folder / "evening");
    for (const auto& entry : fs::directory_iterator(demo_folder()))
        if (entry.path().extension() != ".isotonus" && has_audio_extension(entry.path()))
            fs::create_symlink(entry.path(), folder / "evening" / entry.path().filename());
    drop({folder / "evening"}), did();
    settle();
    ASSERT_GE(session().tracks.size(), 16u);
    // Gather: what can be put right is put right.
    for (const auto& t : SharedList(session().tracks))
        for (const Finding& f : work().materials.findings(*t))
            if (f.remedy == Remedy::remove_offset) work().edits.put_right(t->id, f), did();
    settle();
    // Stage, and a first balance: every fader to one level, then the voices up.
    station(1), did();
    QTest::mouseClick(find<QPushButton>("stageAll"), Qt::LeftButton), did();
    station(2), did();
    key(Qt::Key_A, Qt::ControlModifier), did();
    type(lane(0), "-12"), did();
    TrackId voice = 0;
    for (const auto& t : session().tracks)
        if (t->name.ends_with("Voice")) voice = t->id;
    ASSERT_TRUE(voice);
    work().document.select_only(voice), did();
    type(window->desk().lane_of(voice), "-6"), did();
    // Ride: a draft for the voice.
    station(4), did();
    EXPECT_EQ(work().document.focused(), voice);  // another station, the same rows
    QTest::mouseClick(find<QPushButton>("rideDraft"), Qt::LeftButton), did();
    ASSERT_TRUE(session().find(voice)->rides[Parameter::level]);
    // Hand off: what fails is looked at, the main fader gives the headroom, and the folder leaves.
    station(6), did();
    settle();
    if (*work().mix.peak()->dbfs > -3.5)
        type(find<Lane>("mainFader"), db_text(-3.5 - *work().mix.peak()->dbfs, "")), did();
    settle();
    EXPECT_TRUE(check("dB of headroom")->text().startsWith(QChar(0x2713)));
    find<QLineEdit>("exportFile")->setText(to_qt(folder / "out/evening mix.wav")), did();
    choose("exportWhat", "The mix and a stem of each track"), did();
    find<QCheckBox>("exportSheet")->click(), did();
    export_now(), did();
    int status = 1;
    const std::string desk =
        output_of("'" + std::string(ISOTONUS_DESK) + "' '" + (folder / "out").string() + "' 2>&1", &status);
    EXPECT_EQ(status, 0) << desk;
    std::printf("from a folder to an accepted delivery: %d gestures, %.1f s; %s", gestures,
                static_cast<double>(clock.elapsed()) / 1e3, desk.c_str());
}

TEST_F(HandOffWindow, how_far_the_stems_are_from_the_mix_is_told_before_they_are_written) {
    import_all();
    Session next = session();
    TrackId bus = 0;
    next = with_new_bus(next, "Pair", std::nullopt, {track(0).id, track(1).id}, &bus);
    next = with_chain(next, bus,
                      [](Chain& chain) { chain.push_back(new_processor(*processor_type("compressor"), chain)); });
    work().document.edit("Bus", next);
    wait_for([&] { return !work().materials.busy(); });
    settle();
    station(6);
    auto* told = find<QLabel>("stemsSum");
    EXPECT_TRUE(told->text().isEmpty()) << "no stems are wanted";
    find<QComboBox>("exportWhat")->setCurrentIndex(1);
    QTest::mouseClick(find<QCheckBox>("stemsShares"), Qt::LeftButton);
    EXPECT_TRUE(find<QCheckBox>("stemsShares")->isChecked());
    wait_for([&] { return told->text().contains("dBFS") || told->text().contains("sum to the mix"); });
    EXPECT_FALSE(fs::exists(folder / "out"));
}

TEST_F(HandOffWindow, the_mix_is_seen_beside_references_by_third_octaves) {
    import_all();
    settle();
    // Noise at 0.05 beside the mix, which has tones of 220 and 440 Hz and hits.
    const auto other = make(240000, 2, noise(5, 0.05));
    answers.files = {write(folder / "one.wav", other, 2),
                     write(folder / "two.wav", make(96000, 2, sine(220, 48000, 0.2)), 2)};
    station(5);
    QTest::mouseClick(find<QPushButton>("compareAdd"), Qt::LeftButton);
    ASSERT_EQ(session().recordings.size(), 2u);
    settle();
    auto* picture = find<SpectrumPicture>("spectrumPicture");
    wait_for([&] {
        return work().comparison.spectra.mix() && work().comparison.known(0) && work().comparison.known(0)->spectrum &&
               work().comparison.known(1) && work().comparison.known(1)->spectrum;
    });
    catch_up();
    const auto at = [&](double hz) {
        const FrequencyRuler ruler{40.0, static_cast<double>(picture->width() - 191)};
        return QPoint(static_cast<int>(ruler.x_of(hz)), 60);
    };
    const QString both = picture->sentence_at(at(1000.0));
    EXPECT_TRUE(both.startsWith("1 kHz: the mix ")) << both.toStdString();
    EXPECT_TRUE(both.contains("The references differ")) << both.toStdString();
    EXPECT_TRUE(picture->spoken_value().contains("low-mid")) << picture->spoken_value().toStdString();
    // One alone: what the list has chosen.
    find<QTableWidget>("compareTable")->setCurrentCell(1, 0);
    catch_up();
    const QString one = picture->sentence_at(at(220.0));
    EXPECT_FALSE(one.contains("references")) << one.toStdString();
    const auto differences = work().comparison.spectra.differences({0});
    ASSERT_EQ(differences.size(), static_cast<size_t>(third_octaves));
    EXPECT_GT(*differences[9].difference_db, 10.0) << "the pad at 220 Hz stands far out of noise";
    // An edit is followed.
    const double before = *work().comparison.spectra.differences({0})[9].mix_dbfs;
    work().document.edit_tracks("Down", {track(1).id}, [](Track& t) { t.fader_db = -20.0; });
    wait_for([&] { return *work().comparison.spectra.differences({0})[9].mix_dbfs < before - 10.0; });
}
