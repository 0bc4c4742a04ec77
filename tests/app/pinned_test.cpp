// What stands below the tracks folds, scrolls and leaves the tracks their share; heads give keys to their rows; a key
// does one thing.
#include <QAbstractButton>
#include <QListWidget>
#include <map>

#include "app/balance/bus_block.h"
#include "app/desk/panel_handle.h"
#include "core/session/channel.h"
#include "core/session/routing.h"
#include "tests/app/window_fixture.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

class Pinned : public Window {
  protected:
    void SetUp() override {
        Window::SetUp();
        import_all();
    }
    /// Thirteen tracks, seven buses (one a return) and a control group, in a window of 1280 x 800.
    void large() {
        window->resize(1280, 800);
        Session s = session();
        while (s.tracks.size() < 13) s = with_duplicates(s, {s.tracks[0]->id});
        for (int n = 0; n < 7; ++n) s = with_new_bus(s, "Bus " + std::to_string(n + 1), {}, {});
        s = *with_send(s, s.tracks[0]->id, s.buses[6].id, [](Send&) {});
        work().document.edit("many", s);
        work().document.select_only(track(0).id);
        work().edits.make_group();
        settle();
    }
    std::vector<QAbstractButton*> lines() {
        std::vector<QAbstractButton*> found;
        for (auto* b : find<BusBlock>("busBlock")->findChildren<QAbstractButton*>("foldLine"))
            if (b->isVisible()) found.push_back(b);
        return found;
    }
    int height_of_tracks() {
        QWidget* at = window->desk().lane_of(track(0).id);
        while (at && !qobject_cast<QScrollArea*>(at)) at = at->parentWidget();
        return at ? at->height() : 0;
    }
    void laid_out() {
        for (int n = 0; n < 3; ++n) catch_up();
    }
};

}  // namespace

TEST_F(Pinned, rows_share_the_height_with_the_tracks_scroll_and_fold_each_kind_by_itself) {
    large();
    for (const int n : {2, 3, 4}) {
        station(n);
        if (n == 2) key(Qt::Key_B);
        laid_out();
        auto* block = find<BusBlock>("busBlock");
        const int of_tracks = height_of_tracks(), of_block = block->height();
        EXPECT_GE(of_tracks, of_block - 8) << "station " << n;
        EXPECT_GE(of_tracks, 3 * row_height()) << "station " << n;
        // All of it can be reached.
        auto* scroll = block->findChild<QScrollArea*>("busScroll");
        EXPECT_GT(scroll->verticalScrollBar()->maximum(), 0) << "station " << n;
        const auto folds = lines();
        ASSERT_EQ(folds.size(), n == 4 ? 4u : 3u) << "station " << n;
        // The last lane comes into sight when it gets the keys.
        const auto lanes = block->findChildren<Lane*>();
        lanes.back()->setFocus();
        catch_up();
        const QRect seen = scroll->viewport()->rect();
        EXPECT_TRUE(seen.intersects(QRect(lanes.back()->mapTo(scroll->viewport(), QPoint()), lanes.back()->size())))
            << "station " << n;
        // Folded buses: one line that names them, and room for tracks.
        QTest::mouseClick(folds[0], Qt::LeftButton);
        laid_out();
        EXPECT_TRUE(work().view.folded(ViewState::Pinned::buses));
        EXPECT_FALSE(work().view.folded(ViewState::Pinned::returns));
        EXPECT_EQ(block->findChildren<Lane*>().size(), lanes.size() - 6) << "station " << n;
        QTest::mouseClick(lines()[1], Qt::LeftButton);
        laid_out();
        EXPECT_GT(height_of_tracks(), of_tracks) << "station " << n;
        QTest::mouseClick(lines()[1], Qt::LeftButton);
        laid_out();
        QTest::mouseClick(lines()[0], Qt::LeftButton);
        laid_out();
        EXPECT_EQ(height_of_tracks(), of_tracks) << "station " << n;
        if (n == 2) key(Qt::Key_B);
    }
}

TEST_F(Pinned, rows_that_were_folded_and_panels_that_were_sized_stay_so) {
    large();
    station(3);
    laid_out();
    QTest::mouseClick(lines()[0], Qt::LeftButton);
    laid_out();
    auto* panel = find("shapePanel");
    const int before = panel->height(), of_tracks = height_of_tracks();
    auto* handle = find<PanelHandle>("panelHandle");
    ASSERT_TRUE(handle->isVisible());
    drag(handle, QPoint(300, 3), QPoint(300, -57));
    laid_out();
    EXPECT_EQ(panel->height(), before + 60);
    EXPECT_LT(height_of_tracks(), of_tracks);
    station(1);
    laid_out();
    EXPECT_FALSE(find("panelHandle")->isVisible()) << "nothing stands below the tracks of Stage";
    // The next run of the program.
    window.reset();
    open_window();
    import_all();
    large();
    station(3);
    laid_out();
    EXPECT_EQ(find("shapePanel")->height(), before + 60);
    EXPECT_TRUE(work().view.folded(ViewState::Pinned::buses));
    QTest::mouseDClick(find("panelHandle"), Qt::LeftButton);
    laid_out();
    EXPECT_EQ(find("shapePanel")->height(), before) << "a double click gives the first height back";
}

TEST_F(Pinned, rows_get_the_keys_by_a_click_on_their_head) {
    large();
    for (const int n : {0, 1, 2, 3, 4}) {
        station(n);
        // Anywhere on a track: its name, its colour, M and S.
        for (const size_t row : {1u, 2u}) {
            RowHead* head = window->desk().head_of(track(row).id);
            const QPoint at[] = {{60, 10}, {2, 20}, {30, 28}};
            for (const QPoint& point : at) {
                work().document.select_only(track(0).id);
                QTest::mouseClick(head, Qt::LeftButton, {}, point);
                catch_up();
                EXPECT_EQ(work().document.focused(), track(row).id);
                EXPECT_TRUE(window->desk().lane_of(track(row).id)->hasFocus()) << "station " << n;
            }
            for (const char* button : {"mute", "solo"}) {
                work().document.select_only(track(0).id);
                QTest::mouseClick(head->findChild<QToolButton*>(button), Qt::LeftButton);
                QTest::mouseClick(head->findChild<QToolButton*>(button), Qt::LeftButton);
                catch_up();
                EXPECT_EQ(work().document.focused(), track(row).id) << button;
                EXPECT_TRUE(window->desk().lane_of(track(row).id)->hasFocus()) << button << ", station " << n;
            }
        }
        if (n < 2) continue;
        // Buses, returns, and where they are the main output; M and S are theirs then.
        auto* block = find<BusBlock>("busBlock");
        for (BusHead* head : block->findChildren<BusHead*>()) {
            QTest::mouseClick(head, Qt::LeftButton, {}, QPoint(60, 10));
            catch_up();
            auto* lane = qobject_cast<Lane*>(QApplication::focusWidget());
            ASSERT_TRUE(lane) << "station " << n;
            EXPECT_EQ(lane->id(), head->id()) << "station " << n;
            if (n == 3) {
                EXPECT_EQ(work().view.shape.row(), head->id());
            }
            if (n == 4) {
                EXPECT_EQ(work().view.ride.row(), head->id());
            }
            if (head->id() == main_output) continue;
            const bool muted = *channel_of(session(), head->id()).mute;
            key(Qt::Key_M);
            EXPECT_NE(*channel_of(session(), head->id()).mute, muted);
            EXPECT_FALSE(track(0).mute) << "the track keeps out of it";
            key(Qt::Key_M);
            EXPECT_EQ(*channel_of(session(), head->id()).mute, muted);
        }
    }
}

TEST_F(Pinned, rows_are_walked_by_arrows) {
    large();
    station(2);
    const auto lanes = find<BusBlock>("busBlock")->findChildren<Lane*>();
    QTest::mouseClick(find<BusBlock>("busBlock")->findChildren<BusHead*>().front(), Qt::LeftButton, {}, QPoint(60, 10));
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Down);
    EXPECT_TRUE(lanes[1]->hasFocus());
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Up);
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Up);
    EXPECT_TRUE(lanes[0]->hasFocus());
}

TEST_F(Pinned, no_two_actions_share_a_key_in_any_station) {
    large();
    for (int n = 0; n < 7; ++n) {
        station(n);
        if (n == 0) work().view.show_panel(true);
        std::map<QString, QString> taken;
        const auto take = [&](const QKeySequence& keys, const QString& whose) {
            if (keys.isEmpty()) return;
            const auto [at, is_new] = taken.emplace(keys.toString(), whose);
            EXPECT_TRUE(is_new) << "station " << n << ": " << keys.toString().toStdString() << " is that of "
                                << at->second.toStdString() << " and of " << whose.toStdString();
        };
        for (const QAction* a : window->findChildren<QAction*>())
            for (const QKeySequence& keys : a->shortcuts()) take(keys, a->objectName());
        for (const QAbstractButton* b : window->findChildren<QAbstractButton*>())
            if (b->isVisible()) take(b->shortcut(), b->objectName());
        EXPECT_GT(taken.size(), 60u);
    }
}
