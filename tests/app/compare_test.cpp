// Compare: passages that are tied, matches, the blind comparison, notes, what has changed since a print, am I done.
#include "app/compare/compare.h"

#include "app/mains/mains.h"
#include "core/measure/passage.h"
#include "tests/app/window_fixture.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

class CompareWindow : public Window {
  protected:
    /// With a reference of 7 s that is louder than the mix, the second half of it more so.
    void open_compare() {
        import_all();
        settle();
        auto x = make(336000, 2, noise(5, 0.3));
        for (size_t i = 0; i < x.size() / 2; ++i) x[i] *= 0.25f;
        answers.files = {write(folder / "other.wav", x, 2)};
        station(5);
        QTest::mouseClick(find<QPushButton>("compareAdd"), Qt::LeftButton);
        wait_for([&] { return comparison().match_db(0).has_value(); });
        catch_up();
    }
    Comparison& comparison() { return work().comparison; }
    void page(const char* name) {
        QTest::mouseClick(find<QToolButton>(name), Qt::LeftButton);
        catch_up();
    }
    void click(const char* name) {
        QTest::mouseClick(find<QPushButton>(name), Qt::LeftButton);
        catch_up();
    }
    /// Marks a passage of the recording by a drag, in seconds.
    void mark(double from_s, double to_s) {
        auto* picture = find<LoudnessPicture>("loudnessPicture");
        QTest::mousePress(picture, Qt::LeftButton, Qt::NoModifier, picture->point_of(0, from_s));
        QTest::mouseMove(picture, picture->point_of(0, to_s));
        QTest::mouseRelease(picture, Qt::LeftButton, Qt::NoModifier, picture->point_of(0, to_s));
        catch_up();
    }
    /// Where the recording is played that is heard: how much earlier its samples come.
    int64_t shift() {
        const RenderPlan& heard = *work().player.heard();
        return heard.parts.back().delay_samples;
    }
};

}  // namespace

TEST_F(CompareWindow, a_passage_is_marked_tied_and_heard_against_the_songs) {
    open_compare();
    page("pageLoudness");
    mark(4.0, 6.0);
    ASSERT_EQ(session().recordings[0].passages.size(), 1u);
    const RecordingPassage marked = session().recordings[0].passages[0];
    EXPECT_NEAR(marked.from_s, 4.0, 0.05);
    EXPECT_NEAR(marked.to_s, 6.0, 0.05);
    EXPECT_FALSE(marked.tied());
    answers.text = "chorus";
    click("passageRename");
    work().player.set_loop({true, 1.0, 3.0});
    click("passageTie");
    EXPECT_EQ(session().recordings[0].passages[0].name, "chorus");
    EXPECT_EQ(*session().recordings[0].passages[0].song_from_s, 1.0);
    // At 1.5 s of the song 4.5 s of the recording are heard; outside of the passage both from their starts.
    work().player.locate(1.5);
    comparison().hear(0);
    catch_up();
    EXPECT_NEAR(static_cast<double>(shift()), -3.0 * 48000.0, 0.05 * 48000.0);
    work().player.locate(4.5);
    emit work().player.moved();
    EXPECT_EQ(shift(), 0);
    // Ctrl+Shift+F6 goes back to the mix and to where the section (here: the song) begins; in the passage, to its
    // start.
    work().player.locate(2.5);
    window->activateWindow();
    key(Qt::Key_F6, Qt::ControlModifier | Qt::ShiftModifier);
    EXPECT_FALSE(comparison().heard());
    EXPECT_NEAR(work().player.position_s(), 1.0, 1e-3);
    key(Qt::Key_F6, Qt::ControlModifier | Qt::ShiftModifier);
    EXPECT_EQ(comparison().heard(), 0u);
    // Undo knows each step; the shelf keeps the passage untied for other songs.
    EXPECT_EQ(comparison().shelf.recordings().size(), 1u);
    EXPECT_EQ(comparison().shelf.recordings()[0].passages[0].name, "chorus");
    EXPECT_FALSE(comparison().shelf.recordings()[0].passages[0].tied());
    click("passageUntie");
    EXPECT_FALSE(session().recordings[0].passages[0].tied());
    click("passageRemove");
    EXPECT_TRUE(session().recordings[0].passages.empty());
    work().document.undo();
    work().document.undo();
    EXPECT_TRUE(session().recordings[0].passages[0].tied());
}

TEST_F(CompareWindow, a_recording_has_a_place_of_its_own_against_the_song) {
    open_compare();
    page("pageLoudness");
    work().player.locate(1.0);
    auto* picture = find<LoudnessPicture>("loudnessPicture");
    const QPoint at = picture->point_of(0, 3.0);
    QTest::mouseClick(picture, Qt::LeftButton, Qt::NoModifier, at);
    QTest::mouseDClick(picture, Qt::LeftButton, Qt::NoModifier, at);
    EXPECT_NEAR(session().recordings[0].starts_s, 2.0, 0.05);
    EXPECT_TRUE(session().recordings[0].passages.empty());
    comparison().hear(0);
    EXPECT_NEAR(static_cast<double>(shift()), -2.0 * 48000.0, 0.05 * 48000.0);
    work().document.undo();
    EXPECT_EQ(session().recordings[0].starts_s, 0.0);
}

TEST_F(CompareWindow, changing_over_leaves_no_gap_and_no_click) {
    // A slow tone in the mix and in the recording: wherever they are changed over, also to another place of the
    // recording, each block of 256 frames sounds, and no sample is far from the one before.
    import_all();
    Session s = without_tracks(session(), {track(0).id, track(2).id});
    work().document.edit("One", s);
    settle();
    answers.files = {write(folder / "other.wav", make(480000, 2, sine(220, 48000, 0.3)), 2)};
    station(5);
    QTest::mouseClick(find<QPushButton>("compareAdd"), Qt::LeftButton);
    wait_for([&] { return comparison().match_db(0).has_value(); });
    const PlanPtr mix = work().player.heard();
    comparison().hear(0);
    const PlanPtr other = work().player.heard();
    comparison().change(0, "Elsewhere", [](Recording& r) { r.starts_s = 3.3; });
    catch_up();
    const PlanPtr elsewhere = work().player.heard();
    ASSERT_NE(elsewhere->parts.back().delay_samples, other->parts.back().delay_samples);
    Engine engine;
    engine.set_plan(mix);
    const auto wait = [&] { wait_for([&] { return engine.ready(1024); }); };
    wait();
    engine.play();
    std::vector<float> block(512);
    float last = 0.0f, furthest = 0.0f;
    int silent = 0;
    const PlanPtr turns[] = {other, mix, elsewhere, other, mix};
    for (int n = 0; n < 300; ++n) {
        if (n % 50 == 49) engine.set_plan(turns[static_cast<size_t>(n / 50) % std::size(turns)]);
        wait();  // by hand blocks are asked for faster than a device would
        engine.fill(block.data(), 256, false);
        double power = 0.0;
        for (size_t i = 0; i < block.size(); i += 2) {
            if (n > 2) furthest = std::max(furthest, std::fabs(block[i] - last));
            last = block[i];
            power += static_cast<double>(block[i]) * static_cast<double>(block[i]);
        }
        silent += n > 2 && power / 256.0 < 1e-5 ? 1 : 0;
    }
    EXPECT_EQ(silent, 0);
    // 220 Hz at 0.3 changes by 0.0087 a frame; a fade over a block from one phase to another by a little more.
    EXPECT_LT(furthest, 0.02f);
}

TEST_F(CompareWindow, matches_are_of_the_whole_of_the_passage_or_as_it_plays) {
    open_compare();
    const double whole = *comparison().match_db(0);
    page("pageLoudness");
    mark(4.0, 7.0);  // four times as loud as what comes before
    work().player.set_loop({true, 1.0, 4.0});
    click("passageTie");
    work().player.locate(2.0);
    auto* match = find<QComboBox>("compareMatch");
    const auto choose = [&](int n) {
        match->setCurrentIndex(n);
        emit match->activated(n);
    };
    choose(1);
    const auto& hops = comparison().known(0)->material->hops.weighted;
    const auto& passage = session().recordings[0].passages[0];
    const double wanted =
        *passage_lufs(comparison().mix_hops(), 1.0, 4.0) - *passage_lufs(hops, passage.from_s, passage.to_s);
    EXPECT_NEAR(*comparison().match_db(0), wanted, 1e-9);
    work().player.locate(4.5);
    EXPECT_NEAR(*comparison().match_db(0), whole, 1e-9) << "nothing is tied there";
    choose(2);
    const double late = *comparison().match_db(0);
    // What is heard of it, short term, is as loud as the mix: the last 3 s of both.
    const double its = *passage_lufs(hops, 1.5, 4.5), mine = *passage_lufs(comparison().mix_hops(), 1.5, 4.5);
    EXPECT_NEAR(late, mine - its, 0.6);
    choose(0);
    EXPECT_NEAR(*comparison().match_db(0), whole, 1e-9);
    // An edit leaves the match standing until the mix is measured again.
    work().document.edit_tracks("Down", {track(1).id}, [](Track& t) { t.fader_db = -12.0; });
    EXPECT_NEAR(*comparison().match_db(0), whole, 1e-9);
    wait_for([&] { return std::fabs(*comparison().match_db(0) - whole) > 1.0; });
}

TEST_F(CompareWindow, spectra_are_of_the_whole_of_the_passage_or_of_the_last_second) {
    open_compare();
    wait_for([&] { return comparison().spectra.mix() && comparison().spectra.of(0); });
    const ThirdOctaves whole = *comparison().spectra.mix();
    auto* scope = find<QComboBox>("compareScope");
    const auto choose = [&](int n) {
        scope->setCurrentIndex(n);
        emit scope->activated(n);
    };
    work().player.set_loop({true, 4.2, 4.9});  // the voice has ended: 440 Hz are gone
    work().player.locate(4.5);
    choose(1);
    wait_for([&] { return comparison().spectra.mix() && comparison().spectra.of(0); });
    const ThirdOctaves passage = *comparison().spectra.mix();
    EXPECT_EQ(comparison().passage_s(), std::pair(4.2, 4.9));
    constexpr int band_400 = 12;
    EXPECT_LT(*third_octave_dbfs(passage, band_400), *third_octave_dbfs(whole, band_400) - 6.0);
    work().player.locate(3.0);
    choose(2);
    wait_for([&] { return comparison().spectra.mix() && comparison().spectra.of(0); });
    EXPECT_EQ(*comparison().spectra.mix(), third_octaves_of(work().player.mix_plans().finished, 2.0, 3.0).value());
    choose(0);
    EXPECT_EQ(*comparison().spectra.mix(), whole);
}

TEST_F(CompareWindow, a_click_on_a_band_says_which_rows_make_it) {
    open_compare();
    auto* picture = find<SpectrumPicture>("spectrumPicture");
    const QRect area = compare_frequencies(picture->width(), 0, 10);
    const auto place = [&](double hz) {
        return QPoint(static_cast<int>(area.left() + std::log10(hz / 20.0) / 3.0 * area.width()), 50);
    };
    QTest::mouseClick(picture, Qt::LeftButton, Qt::NoModifier, place(220.0));
    ASSERT_TRUE(work().view.compare.band);
    EXPECT_EQ(third_octave_name_hz(*work().view.compare.band), 200.0);
    wait_for([&] {
        const auto& makers = work().spectra.makers(work().player.plan(), *work().view.compare.band);
        return !makers.empty() && makers.front().row == track(1).id && makers.front().share > 0.9;
    });
    auto* lane = window->findChildren<CompareLane*>().at(1);
    wait_for([&] { return lane->accessibleName().contains('%') || lane->accessibleDescription().contains('%'); });
    QTest::mouseClick(picture, Qt::LeftButton, Qt::NoModifier, place(220.0));
    EXPECT_FALSE(work().view.compare.band);
}

TEST_F(CompareWindow, a_blind_comparison_says_nothing_until_it_is_over) {
    open_compare();
    page("pageBlind");
    find<QSpinBox>("blindRounds")->setValue(4);
    click("blindStart");
    ASSERT_TRUE(comparison().blind());
    auto* table = find<QTableWidget>("compareTable");
    for (int round = 0; round < 4; ++round) {
        bool mix_heard = false, other_heard = false;
        const char* hear[] = {"blindHearA", "blindHearB"};
        const char* best[] = {"blindBestA", "blindBestB"};
        for (size_t letter = 0; letter < 2; ++letter) {
            click(hear[letter]);
            mix_heard |= !comparison().heard();
            other_heard |= comparison().heard() == 0u;
            for (int r = 0; r < table->rowCount(); ++r) EXPECT_EQ(table->item(r, 0)->text(), "") << "no mark";
        }
        EXPECT_TRUE(mix_heard && other_heard);
        key(Qt::Key_F6);
        // The reference is always the best: it stands under one of the two letters.
        click(hear[0]);
        click(best[comparison().heard() ? 0 : 1]);
    }
    EXPECT_FALSE(comparison().blind());
    ASSERT_EQ(session().blind_results.size(), 1u);
    const BlindResult& result = session().blind_results[0];
    EXPECT_EQ(result.versions, (std::vector<std::string>{"the mix", "other"}));
    EXPECT_EQ(result.chosen, (std::vector<int>{0, 4}));
    // 4 of 4, either way round: 2 / 16.
    const QString told = find<QLabel>("blindResults")->text();
    EXPECT_TRUE(told.contains("other: 4") && told.contains("13 %")) << told.toStdString();
    EXPECT_FALSE(comparison().heard());
    // One whose list changes is broken off, and keeps nothing.
    click("blindStart");
    comparison().remove(0);
    EXPECT_FALSE(comparison().blind());
    EXPECT_EQ(session().blind_results.size(), 1u);
}

TEST_F(CompareWindow, what_may_not_be_turned_up_is_matched_by_lowering_all) {
    import_all();
    settle();
    // A click at full scale over soft noise: as loud as the mix it would lie far above 0 dBTP.
    auto x = make(240000, 2, noise(5, 0.002));
    x[1000] = x[1001] = 0.99f;
    answers.files = {write(folder / "peaky.wav", x, 2)};
    station(5);
    const double gain = work().player.heard()->main_gain;
    QTest::mouseClick(find<QPushButton>("compareAdd"), Qt::LeftButton);
    wait_for([&] { return comparison().lower_db() < 0.0; });
    const Measurement& its = comparison().known(0)->material->measurement;
    EXPECT_NEAR(*comparison().match_db(0), *work().mix.figures()->measurement.integrated_lufs - *its.integrated_lufs,
                1e-9);
    EXPECT_NEAR(comparison().lower_db(), -(*comparison().match_db(0) + *its.true_peak_dbtp), 1e-9);
    EXPECT_LT(comparison().lower_db(), -10.0);
    // Told beside the mix and the recording, in the sentence and in the stripe; the mix itself is as it was.
    auto* table = find<QTableWidget>("compareTable");
    EXPECT_EQ(table->item(0, 6)->text(), db_text(comparison().lower_db(), "dB", true));
    EXPECT_EQ(table->item(1, 6)->text(), db_text(*comparison().match_db(0) + comparison().lower_db(), "dB", true));
    EXPECT_TRUE(find<QLabel>("compareWords")->text().contains("lower"))
        << find<QLabel>("compareWords")->text().toStdString();
    EXPECT_EQ(work().player.heard()->main_gain, gain);
    EXPECT_EQ(work().player.plan()->main_gain, gain);
    // What reaches the ear: both as loud as each other, and nothing above full scale.
    const auto heard = [&](double from_s) {
        Engine engine;
        engine.set_monitor(work().player.monitor());
        engine.set_plan(work().player.heard());
        engine.locate(std::llround(from_s * 48000.0));
        wait_for([&] { return engine.ready(1024); });
        engine.play();
        std::vector<float> all, block(1024);
        for (int n = 0; n < 180; ++n) {
            wait_for([&] { return engine.ready(512); });
            engine.fill(block.data(), 512, false);
            all.insert(all.end(), block.begin(), block.end());
        }
        return all;
    };
    comparison().hear(0);
    EXPECT_TRUE(work().player.anything_on());
    float most = 0.0f;
    for (const float v : heard(0.0)) most = std::max(most, std::fabs(v));
    EXPECT_LE(most, 1.0f);
    EXPECT_GT(most, 0.8f) << "the click, just below full scale";
    // The lowering lasts as long as recordings are compared, and all of it goes by one click on the stripe.
    comparison().hear(std::nullopt);
    EXPECT_LT(work().player.monitor().matched_db, -10.0);
    station(2);
    EXPECT_EQ(work().player.monitor().matched_db, 0.0);
    window->activateWindow();
    key(Qt::Key_F6);
    wait_for([&] { return comparison().heard().has_value(); });
    key(Qt::Key_F6);
    EXPECT_FALSE(comparison().heard());
    EXPECT_LT(work().player.monitor().matched_db, -10.0);
    auto* mains = window->findChild<Mains*>();
    QTest::mouseClick(mains, Qt::LeftButton, Qt::NoModifier, QPoint(40, 114));
    EXPECT_EQ(work().player.monitor().matched_db, 0.0);
    EXPECT_FALSE(work().player.anything_on());
}

TEST_F(CompareWindow, a_difference_is_never_of_one_mix_matched_by_another) {
    open_compare();
    wait_for([&] { return !comparison().spectra.differences({0}).empty(); });
    settle();
    const auto before = comparison().spectra.differences({0});
    // Turned down it is the same mix, matched: at no moment of finding that out may the bands say otherwise.
    double most = 0.0;
    int looks = 0;
    const auto look = [&] {
        const auto now = comparison().spectra.differences({0});
        if (now.size() != before.size()) return;
        ++looks;
        for (size_t n = 0; n < now.size(); ++n)
            if (now[n].difference_db && before[n].difference_db)
                most = std::max(most, std::fabs(*now[n].difference_db - *before[n].difference_db));
    };
    QObject watch;
    QObject::connect(&comparison(), &Comparison::changed, &watch, look);
    Session lower = session();
    lower.main_fader_db = -9.0;
    work().document.edit("lower", lower);
    settle();
    wait_for([&] {  // until the spectrum is that of the mix as it is now
        const auto now = comparison().spectra.differences({0});
        return !now.empty() && now[15].mix_dbfs && before[15].mix_dbfs &&
               std::fabs(*now[15].mix_dbfs - *before[15].mix_dbfs + 9.0) < 0.1;
    });
    look();
    EXPECT_GT(looks, 1);
    EXPECT_LT(most, 0.1);
}

TEST_F(CompareWindow, another_session_is_not_matched_by_the_loudness_of_the_one_before) {
    open_compare();
    comparison().hear(0);
    ASSERT_TRUE(comparison().heard());
    const fs::path file = session().recordings[0].file;
    work().document.start_new();
    comparison().add_reference(file);
    wait_for([&] { return comparison().known(0) && comparison().known(0)->material; });
    EXPECT_FALSE(comparison().match_db(0)) << "there is no mix";
    comparison().hear(0);
    EXPECT_FALSE(comparison().heard());
}

TEST_F(CompareWindow, a_recording_above_full_scale_leaves_the_clip_flag_of_the_mix_alone) {
    import_all();
    settle();
    auto x = make(240000, 2, noise(5, 0.002));
    for (size_t i = 1000; i < x.size(); i += 4000) x[i] = 0.99f;
    answers.files = {write(folder / "peaky.wav", x, 2)};
    station(5);
    QTest::mouseClick(find<QPushButton>("compareAdd"), Qt::LeftButton);
    wait_for([&] { return comparison().lower_db() < 0.0; });
    comparison().hear(0);
    key(Qt::Key_Space);
    wait_for([&] { return work().player.position_s() > 0.5; });
    EXPECT_FALSE(work().player.meters().main[0].clipped);
    key(Qt::Key_Space);
}

TEST_F(CompareWindow, notes_stand_on_the_map_and_are_ticked_off) {
    open_compare();
    page("pageNotes");
    work().player.locate(2.0);
    MonitorSettings car = work().player.monitor();
    car.playback = Playback::car;
    work().player.set_monitor(car);
    answers.text = "voice too loud";
    click("noteAdd");
    ASSERT_EQ(session().notes.size(), 1u);
    EXPECT_EQ(session().notes[0].heard_on, "car");
    EXPECT_NEAR(session().notes[0].time_s, 2.0, 1e-3);
    EXPECT_FALSE(session().notes[0].made.empty());
    work().player.locate(0.5);
    answers.text = "kick late";
    window->activateWindow();
    key(Qt::Key_N, Qt::ShiftModifier);
    ASSERT_EQ(session().notes.size(), 2u);
    EXPECT_EQ(session().notes[0].text, "kick late") << "in order of time";
    auto* table = find<QTableWidget>("notesTable");
    ASSERT_EQ(table->rowCount(), 2);
    table->item(1, 0)->setCheckState(Qt::Checked);
    wait_for([&] { return session().notes[1].done; });
    table->setCurrentCell(0, 2);
    answers.text = "Phone";
    click("noteHeardOn");
    EXPECT_EQ(session().notes[0].heard_on, "Phone");
    click("notesOnSheet");
    EXPECT_TRUE(session().hand_off.listening_notes_on_sheet);
    // A double click goes there.
    const QRect cell = table->visualItemRect(table->item(1, 2));
    QTest::mouseClick(table->viewport(), Qt::LeftButton, Qt::NoModifier, cell.center());
    QTest::mouseDClick(table->viewport(), Qt::LeftButton, Qt::NoModifier, cell.center());
    EXPECT_NEAR(work().player.position_s(), 2.0, 1e-3);
    // Its slip on the map says what it is.
    auto* map = window->findChild<QWidget*>("songMap");
    QString hint;
    const QObject in_this_test;
    QObject::connect(&work().view, &ViewState::hint, &in_this_test, [&](const QString& text) { hint = text; });
    const double share = 2.0 / work().view.time.song_s();
    const int left = head_width, wide = map->width() - head_width - mains_width - scroll_width;
    QTest::mouseMove(map, QPoint(left + static_cast<int>(share * wide) + 4, 31));
    catch_up();
    EXPECT_TRUE(hint.contains("voice too loud") && hint.contains("car")) << hint.toStdString();
    table->setCurrentCell(0, 2);
    click("noteRemove");
    EXPECT_EQ(session().notes.size(), 1u);
    work().document.undo();
    EXPECT_EQ(session().notes.size(), 2u);
}

TEST_F(CompareWindow, what_has_changed_since_a_print_is_listed_and_taken_back) {
    open_compare();
    Measurement m;
    m.integrated_lufs = -20.0;
    const fs::path print = write(folder / "mix 1.wav", make(240000, 2, noise(9, 0.1)), 2);
    comparison().add_print(print, m, "2030-06-01 20:15", {}, session());
    ASSERT_EQ(session().recordings[1].session, folder / "mix 1.wav.isotonus");
    EXPECT_TRUE(read_session(folder / "mix 1.wav.isotonus")) << "it opens like any session";
    work().document.edit_tracks("Fader", {track(0).id}, [](Track& t) { t.fader_db = -6.0; });
    work().document.edit_tracks("Fader", {track(2).id}, [](Track& t) { t.fader_db = 1.5; });
    page("pageChanges");
    auto* table = find<QTableWidget>("changesTable");
    ASSERT_EQ(table->rowCount(), 2);
    EXPECT_EQ(table->item(0, 1)->text(), QString::fromUtf8("fader \u22126.0 dB, was 0.0 dB"));
    EXPECT_EQ(table->item(1, 0)->text(), "3 Voice");
    table->setCurrentCell(1, 0);
    click("changesTakeBack");
    EXPECT_EQ(track(2).fader_db, 0.0);
    EXPECT_EQ(track(0).fader_db, -6.0) << "row by row";
    ASSERT_EQ(table->rowCount(), 1);
    click("changesTakeAll");
    EXPECT_EQ(track(0).fader_db, 0.0);
    EXPECT_EQ(table->rowCount(), 0);
    work().document.undo();
    EXPECT_EQ(track(0).fader_db, -6.0);
    // Off the list and made again, its session is kept again; the one that was there was its own.
    comparison().remove(1);
    comparison().add_print(print, m, "2030-06-02 10:00", {}, session());
    EXPECT_EQ(session().recordings[1].session, folder / "mix 1.wav.isotonus");
    EXPECT_EQ(read_session(folder / "mix 1.wav.isotonus").value().tracks[0]->fader_db, track(0).fader_db);
    // Opened and worked in, it is a session like any other, which no print is written over.
    comparison().remove(1);
    work().document.edit_tracks("Fader", {track(0).id}, [](Track& t) { t.fader_db = -9.0; });
    ASSERT_TRUE(work().document.save(folder / "mix 1.wav.isotonus", Document::Outside::overwritten));
    work().document.edit_tracks("Fader", {track(0).id}, [](Track& t) { t.fader_db = -3.0; });
    comparison().add_print(print, m, "2030-06-02 11:00", {}, session());
    EXPECT_EQ(read_session(folder / "mix 1.wav.isotonus").value().tracks[0]->fader_db, -9.0);
    EXPECT_TRUE(session().recordings.back().session.empty());
    // A file of that name that is somebody's own is not written over.
    const fs::path own = write(folder / "mine.wav", make(4800, 2, noise(9, 0.1)), 2);
    std::ofstream(folder / "mine.wav.isotonus") << "mine";
    comparison().add_print(own, m, "2030-06-01 20:15", {}, session());
    EXPECT_TRUE(session().recordings.back().session.empty());
    std::string kept;
    std::getline(std::ifstream(folder / "mine.wav.isotonus"), kept);
    EXPECT_EQ(kept, "mine");
    find<QTableWidget>("compareTable")->setCurrentCell(3, 0);
    catch_up();
    EXPECT_TRUE(find<QLabel>("changesWords")->text().contains("no session was kept"));
}

TEST_F(CompareWindow, am_i_done_says_what_is_open_and_leads_there) {
    open_compare();
    page("pageDone");
    auto* table = find<QTableWidget>("doneTable");
    const auto line = [&](const QString& words) {
        for (int r = 0; r < table->rowCount(); ++r)
            if (table->item(r, 1)->text().contains(words)) return r;
        return -1;
    };
    const auto is_done = [&](int r) { return r >= 0 && table->item(r, 0)->text() == QString(QChar(0x2713)); };
    wait_for([&] { return table->rowCount() > 0; });
    EXPECT_FALSE(is_done(line("no anchor is set")));
    EXPECT_GE(line("not heard in mono"), 0);
    EXPECT_GE(line("no reference was played"), 0);
    work().document.edit_tracks("Anchor", {track(0).id}, [](Track& t) { t.anchor = true; });
    comparison().hear(0);
    wait_for([&] { return is_done(line("anchors set: 1")) && is_done(line("was played in the last hour")); });
    EXPECT_TRUE(is_done(line("no listening note is open")));
    const int staged = line("staged into their windows");
    ASSERT_GE(staged, 0);
    const QRect where = table->visualItemRect(table->item(staged, 2));
    QTest::mouseClick(table->viewport(), Qt::LeftButton, Qt::NoModifier, where.center());
    catch_up();
    EXPECT_FALSE(window->findChild<QTableWidget*>("doneTable")) << "Stage is shown";
}

TEST_F(CompareWindow, references_stay_on_a_shelf_across_sessions) {
    open_compare();
    answers.text = "dense";
    find<QTableWidget>("compareTable")->setCurrentCell(1, 0);
    click("compareNote");
    EXPECT_EQ(session().recordings[0].note, "dense");
    work().document.start_new();
    window.reset();
    open_window();
    import_all();
    settle();
    station(5);
    auto* shelf = find<QToolButton>("compareShelf");
    emit shelf->menu()->aboutToShow();
    ASSERT_FALSE(shelf->menu()->actions().empty());
    EXPECT_TRUE(shelf->menu()->actions().front()->text().contains("dense"));
    shelf->menu()->actions().front()->trigger();
    ASSERT_EQ(session().recordings.size(), 1u);
    EXPECT_EQ(session().recordings[0].note, "dense");
    // Another window's reference is kept too; a shelf that cannot be read is told, and not written over.
    Recording other;
    other.name = "another";
    other.file = "/elsewhere/another.wav";
    other.reference = true;
    std::vector<Recording> both = read_shelf(settings_folder() / "references.json").value();
    both.push_back(other);
    ASSERT_TRUE(write_shelf(both, settings_folder() / "references.json"));
    comparison().shelf.drop(0);
    ASSERT_EQ(read_shelf(settings_folder() / "references.json").value().size(), 1u);
    EXPECT_EQ(comparison().shelf.recordings()[0].name, "another");
    QString told;
    QObject::connect(&comparison(), &Comparison::trouble, window.get(), [&](const QString& text) { told = text; });
    std::ofstream(settings_folder() / "references.json") << "{broken";
    comparison().set_note(0, "denser");
    EXPECT_TRUE(told.contains("references.json")) << told.toStdString();
    std::string kept;
    std::getline(std::ifstream(settings_folder() / "references.json"), kept);
    EXPECT_EQ(kept, "{broken");
    EXPECT_EQ(session().recordings[0].note, "denser") << "the session has it all the same";
}

TEST_F(CompareWindow, a_correction_of_ones_own_is_read_and_told) {
    open_compare();
    std::ofstream(folder / "room.csv") << "50, -6\n1000, 0\n";
    answers.file = folder / "room.csv";
    auto* open = find<QToolButton>("monitorPlayback")->menu()->findChild<QAction*>("correctionOpen");
    ASSERT_TRUE(open);
    open->trigger();
    ASSERT_TRUE(work().player.monitor().correction);
    EXPECT_EQ(work().player.monitor().correction->name, "room");
    std::ofstream(folder / "bad.csv") << "fifty\n";
    answers.file = folder / "bad.csv";
    open->trigger();
    EXPECT_EQ(answers.complaints.size(), 1);
    EXPECT_TRUE(work().player.monitor().correction) << "the old one stays";
    find<QToolButton>("monitorPlayback")->menu()->findChild<QAction*>("correctionOff")->trigger();
    EXPECT_FALSE(work().player.monitor().correction);
}
