// The page of the first balance with the real window: from a rough mix, from what can be heard, looked at, heard,
// applied, and what is left afterwards.
#include <QCheckBox>
#include <QLabel>
#include <QSlider>
#include <QTableWidget>

#include "app/desk/first_balance.h"
#include "tests/app/window_fixture.h"
#include "tests/support/made_song.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

class FirstBalancePages : public Window {
  protected:
    void begin() {
        song = std::make_unique<MadeSong>(folder, 4, 9.0);
        made = song->random_settings(2);
        mix = write(folder / "rough mix.wav", song->mixed(made), 2);
        drop(song->files);
        settle();
        station(2);
        key(Qt::Key_Y, Qt::ShiftModifier);
    }
    void press(const char* name) {
        QTest::mouseClick(find<QPushButton>(name), Qt::LeftButton);
        catch_up();
    }
    void found() {
        wait_for([&] { return !work().first.busy(); });
        settle();
    }
    /// After every gesture the song plays by Space.
    void space_plays() {
        key(Qt::Key_Space);
        wait_for([&] { return work().player.playing(); });
        key(Qt::Key_Space);
        wait_for([&] { return !work().player.playing(); });
    }
    void change(size_t n, const std::function<void(Track&)>& to) {
        work().document.edit_tracks("change", {track(n).id}, to);
    }
    void choose_mix() {
        answers.file = mix;
        find<QAction>("roughMix")->trigger();
        found();
    }
    std::unique_ptr<MadeSong> song;
    std::vector<MadeSong::Setting> made;
    fs::path mix;
};

}  // namespace

TEST_F(FirstBalancePages, a_rough_mix_is_found_as_dashed_marks_and_applied_in_one_step) {
    begin();
    space_plays();
    choose_mix();
    ASSERT_EQ(work().first.rows().size(), 4u) << work().first.trouble().toStdString();
    for (size_t n = 0; n < 4; ++n) {
        EXPECT_EQ(track(n).fader_db, 0.0);  // nothing by itself
        const auto ghost = work().view.balance.ghosts().at(track(n).id);
        EXPECT_NEAR(ghost.fader_db, made[n].fader_db, 0.05);
        EXPECT_NEAR(*ghost.pan, made[n].pan, 0.01);
    }
    auto* table = find<QTableWidget>("firstTable");
    EXPECT_EQ(table->rowCount(), 4);
    EXPECT_TRUE(find<QLabel>("firstSummary")->text().contains("rough mix.wav"));
    // Track by track, then all.
    QTest::mouseClick(table->viewport(), Qt::LeftButton, Qt::NoModifier,
                      table->visualItemRect(table->item(1, 0)).center());
    EXPECT_EQ(work().document.focused(), track(1).id);
    press("firstApplyOne");
    EXPECT_NEAR(track(1).fader_db, made[1].fader_db, 0.05);
    EXPECT_EQ(track(0).fader_db, 0.0);
    space_plays();
    press("firstApply");
    for (size_t n = 0; n < 4; ++n) {
        EXPECT_NEAR(track(n).fader_db, made[n].fader_db, 0.05);
        EXPECT_NEAR(track(n).pan, made[n].pan, 0.01);
        EXPECT_EQ(track(n).polarity_inverted, made[n].inverted);
    }
    space_plays();
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(track(0).fader_db, 0.0);
    EXPECT_NEAR(track(1).fader_db, made[1].fader_db, 0.05);
    press("firstDismiss");
    EXPECT_TRUE(work().view.balance.ghosts().empty());
    EXPECT_TRUE(work().first.rows().empty());
    space_plays();
}

TEST_F(FirstBalancePages, the_slider_is_heard_while_it_moves_and_applied_as_it_stands) {
    begin();
    choose_mix();
    auto* share = find<QSlider>("firstShare");
    const PlanPtr before = work().player.heard();
    share->setValue(50);
    EXPECT_NEAR(work().view.balance.ghosts().at(track(0).id).fader_db, made[0].fader_db / 2.0, 0.05);
    // Another mix is heard, and the session is what it was.
    EXPECT_NE(work().player.heard(), before);
    EXPECT_EQ(track(0).fader_db, 0.0);
    EXPECT_NEAR(work().player.heard()->tracks[0].fader_gain, gain_from_db(made[0].fader_db / 2.0), 0.01);
    press("firstApply");
    EXPECT_NEAR(track(0).fader_db, made[0].fader_db / 2.0, 0.05);
    EXPECT_NEAR(track(0).pan, made[0].pan / 2.0, 0.01);
    EXPECT_NEAR(work().player.heard()->tracks[0].fader_gain, gain_from_db(track(0).fader_db), 1e-9);
    space_plays();
}

TEST_F(FirstBalancePages, what_is_left_over_is_heard_at_its_level_and_ends_with_the_page) {
    begin();
    choose_mix();
    press("firstDifference");
    EXPECT_TRUE(work().first.hears_difference());
    // What the ear gets: next to nothing, since the mix is a plain sum.
    const auto peak = whole_song_peak(work().player.heard());
    ASSERT_TRUE(peak);
    EXPECT_LT(peak->peak, 0.002f);
    space_plays();
    key(Qt::Key_I);  // another page
    EXPECT_FALSE(work().first.hears_difference());
    EXPECT_GT(whole_song_peak(work().player.heard())->peak, 0.05f);
    key(Qt::Key_Y, Qt::ShiftModifier);
    EXPECT_FALSE(find<QPushButton>("firstDifference")->isChecked());
    EXPECT_EQ(work().view.balance.ghosts().size(), 4u);  // the proposal is still there
    // A reference of the list is offered; what is under way is stopped by the same button that dismisses.
    Session listed = session();
    Recording reference;
    reference.name = "rough";
    reference.file = mix;
    reference.reference = true;
    listed.recordings.push_back(reference);
    work().document.edit("List", listed);
    in_opened<QMenu>([&] { QTest::mouseClick(find<QPushButton>("firstLike"), Qt::LeftButton); },
                     [&](QMenu& menu) {
                         ASSERT_EQ(menu.actions().size(), 2);
                         QAction* offered = menu.actions()[1];
                         EXPECT_EQ(offered->text(), "rough");
                         offered->trigger();
                         menu.close();
                     });
    EXPECT_TRUE(work().first.busy());
    EXPECT_EQ(find<QPushButton>("firstDismiss")->text(), "Cancel");
    press("firstDismiss");
    EXPECT_FALSE(work().first.busy());
    EXPECT_TRUE(work().first.rows().empty());
}

TEST_F(FirstBalancePages, what_it_was_made_from_has_changed_and_it_is_found_again) {
    begin();
    choose_mix();
    const double fader = work().first.rows()[0].fader_db;
    change(0, [](Track& t) { t.trim_db = -6.0; });
    EXPECT_TRUE(work().first.busy());
    found();
    EXPECT_NEAR(work().first.rows()[0].fader_db, fader + 6.0, 0.05);
    // A fader is no part of what it is made from.
    change(0, [](Track& t) { t.fader_db = -3.0; });
    EXPECT_FALSE(work().first.busy());
    work().document.select_only(track(0).id);
    catch_up();
    EXPECT_TRUE(find<QLabel>("firstWhy")->text().contains("The track alone explains"));
    // Another session has nothing of it.
    work().document.start_new();
    catch_up();
    EXPECT_FALSE(work().first.busy());
    EXPECT_TRUE(work().first.rows().empty());
    EXPECT_TRUE(work().view.balance.ghosts().empty());
}

TEST_F(FirstBalancePages, a_draft_says_why_follows_locks_and_leaves_what_was_set_by_hand) {
    begin();
    change(1, [](Track& t) { t.fader_db = -11.0; });
    press("firstDraft");
    found();
    ASSERT_EQ(work().first.rows().size(), 4u) << work().first.trouble().toStdString();
    EXPECT_TRUE(work().first.rows()[1].kept);
    EXPECT_FALSE(work().view.balance.ghosts().contains(track(1).id));
    for (const FirstBalance::Row& r : work().first.rows()) EXPECT_FALSE(r.why.isEmpty());
    change(0, [](Track& t) { t.locked = true; });
    found();
    EXPECT_TRUE(work().first.rows()[0].kept);
    press("firstApply");
    EXPECT_EQ(track(0).fader_db, 0.0);
    EXPECT_EQ(track(1).fader_db, -11.0);
    EXPECT_NE(track(2).fader_db, 0.0) << work().first.rows()[2].why.toStdString();
    space_plays();
    find<QCheckBox>("firstAlsoSet")->click();
    press("firstDraft");
    found();
    EXPECT_FALSE(work().first.rows()[1].kept);
    EXPECT_TRUE(work().first.rows()[0].kept);
    space_plays();
}

TEST_F(FirstBalancePages, a_file_dropped_there_is_a_rough_mix_and_a_wrong_one_is_refused_in_a_sentence) {
    begin();
    const auto drop_there = [&](const fs::path& file) {
        QMimeData data;
        data.setUrls({QUrl::fromLocalFile(QString::fromStdString(file.string()))});
        auto* page = find<QPushButton>("firstDraft");
        const QPoint place = page->mapTo(window.get(), page->rect().center());
        QDragEnterEvent enter(place, Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier);
        QApplication::sendEvent(window.get(), &enter);
        QDropEvent event(place, Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier);
        QApplication::sendEvent(window.get(), &event);
        found();
    };
    drop_there(mix);
    EXPECT_EQ(session().tracks.size(), 4u);
    EXPECT_EQ(work().first.rows().size(), 4u);
    const MadeSong other(folder, 4, 9.0, 1);
    drop_there(write(folder / "other.wav", other.mixed(other.random_settings(1)), 2));
    EXPECT_TRUE(work().first.rows().empty());
    EXPECT_TRUE(work().first.trouble().contains("another song")) << work().first.trouble().toStdString();
    EXPECT_TRUE(find<QLabel>("firstSummary")->text().contains("another song"));
    EXPECT_EQ(session().tracks.size(), 4u);
    space_plays();
}
