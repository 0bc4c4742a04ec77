// Shape with the real window: low cuts typed and dragged, processors added, taken out and in, bands of the equaliser.
#include <QDoubleSpinBox>
#include <QListWidget>
#include <QMenu>

#include "app/shape/shape.h"
#include "tests/app/window_fixture.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

class Shape : public Window {
  protected:
    void begin() {
        import_all();
        station(3);
        work().document.select_only(track(2).id);
        catch_up();
    }
    void shaped() {
        wait_for([&] { return !work().materials.shaping(); });
        settle();
    }
    void add(const char* type) {
        find<QAction>((std::string("add_") + type).c_str())->trigger();
        catch_up();
    }
};

}  // namespace

TEST_F(Shape, a_low_cut_is_typed_dragged_and_undone) {
    begin();
    const double before = *work().mix.peak()->dbfs;
    type(lane(1), "700");
    ASSERT_EQ(track(1).chain.size(), 1u);
    EXPECT_EQ(track(1).chain[0].type, "low_cut");
    shaped();
    // The pad is a sine of 220 Hz: what is played, and the mix's whole-song peak, follow.
    const MaterialPtr played = work().materials.played(track(1));
    ASSERT_TRUE(played->signal);
    EXPECT_LT(*played->measurement.rms_dbfs, *work().materials.measured(track(1))->rms_dbfs - 6.0);
    EXPECT_NE(*work().mix.peak()->dbfs, before);
    const double hz = track(1).chain[0].values.at("hz");
    EXPECT_EQ(hz, 700.0);
    // The blade is dragged down.
    const int x = 12 + static_cast<int>(lane(1)->width() * 0.55 * std::log(700.0 / 20.0) / std::log(1000.0));
    drag(lane(1), QPoint(x, 14), QPoint(x - 60, 14));
    EXPECT_LT(track(1).chain[0].values.at("hz"), 600.0);
    EXPECT_GT(track(1).chain[0].values.at("hz"), 100.0);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(track(1).chain[0].values.at("hz"), 700.0);
    type(lane(1), "off");
    EXPECT_TRUE(track(1).chain.empty());
    shaped();
    EXPECT_FALSE(work().materials.played(track(1))->signal);
    EXPECT_EQ(*work().mix.peak()->dbfs, before);
}

TEST_F(Shape, a_processor_is_added_set_taken_out_at_one_loudness_and_removed) {
    begin();
    add("compressor");
    ASSERT_EQ(track(2).chain.size(), 1u);
    auto* threshold = find<QDoubleSpinBox>("threshold_dbfs");
    threshold->setValue(-40.0);
    EXPECT_EQ(track(2).chain[0].values.at("threshold_dbfs"), -40.0);
    shaped();
    const auto reduction = work().materials.shaped(track(2))->signal->reduction(0);
    ASSERT_TRUE(reduction);
    EXPECT_GT(reduction->most_db, 3.0);
    const double loudness = *work().materials.played(track(2))->measurement.integrated_lufs;
    key(Qt::Key_F7);
    EXPECT_FALSE(track(2).chain[0].in);
    shaped();
    EXPECT_NEAR(*work().materials.played(track(2))->measurement.integrated_lufs, loudness, 0.05);
    key(Qt::Key_F7);
    EXPECT_TRUE(track(2).chain[0].in);
    key(Qt::Key_F9);
    EXPECT_TRUE(track(2).chain_out);
    shaped();
    EXPECT_FALSE(work().materials.played(track(2))->signal);
    key(Qt::Key_F7, Qt::ControlModifier);
    EXPECT_TRUE(session().chains_out);
    key(Qt::Key_F7, Qt::ControlModifier);
    EXPECT_FALSE(session().chains_out);
    QTest::mouseClick(find<QPushButton>("chainRemove"), Qt::LeftButton);
    EXPECT_TRUE(track(2).chain.empty());
    undo_everything();
    EXPECT_TRUE(session().tracks.empty());
}

TEST_F(Shape, bands_are_made_moved_and_taken_away_in_the_picture) {
    begin();
    auto* picture = find<ShapePicture>("shapePicture");
    const QPoint at(picture->width() / 2, picture->height() / 3);
    QTest::mouseDClick(picture, Qt::LeftButton, Qt::NoModifier, at);
    ASSERT_EQ(track(2).chain.size(), 1u);
    EXPECT_EQ(track(2).chain[0].type, "equaliser");
    EXPECT_EQ(track(2).chain[0].values.at("band1.in"), 1.0);
    const double hz = track(2).chain[0].values.at("band1.hz"), db = track(2).chain[0].values.at("band1.db");
    EXPECT_GT(db, 3.0);
    drag(picture, at, at + QPoint(60, 40));
    EXPECT_GT(track(2).chain[0].values.at("band1.hz"), 1.5 * hz);
    EXPECT_LT(track(2).chain[0].values.at("band1.db"), db - 2.0);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(track(2).chain[0].values.at("band1.hz"), hz);
    QTest::mouseDClick(picture, Qt::LeftButton, Qt::NoModifier, at);
    EXPECT_EQ(track(2).chain[0].values.at("band1.in"), 0.0);
}

TEST_F(Shape, a_word_of_the_chain_takes_its_processor_out_and_order_is_changed) {
    begin();
    add("gate");
    add("saturation");
    ASSERT_EQ(track(2).chain.size(), 2u);
    const int left = 12 + lane(2)->width() * 58 / 100 + lane(2)->width() * 17 / 100 + 16;
    QTest::mouseClick(lane(2), Qt::LeftButton, Qt::NoModifier, QPoint(left + 20, lane(2)->height() / 2));
    EXPECT_FALSE(track(2).chain[0].in);
    find<QListWidget>("chainList")->setCurrentRow(1);
    QTest::mouseClick(find<QPushButton>("chainUp"), Qt::LeftButton);
    EXPECT_EQ(track(2).chain[0].type, "saturation");
    EXPECT_EQ(track(2).chain[1].type, "gate");
}
