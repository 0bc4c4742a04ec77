// Ride by mouse and keys, and writing live: from a fader on the screen and from the simulated box, through MIDI bytes.
#include "app/ride/ride.h"

#include <random>

#include "app/ride/fader_box_window.h"
#include "app/style/bring_up.h"
#include "app/style/columns.h"
#include "core/ride/curve_walk.h"
#include "tests/app/window_fixture.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

class RideWindow : public Window {
  protected:
    RideEditor* editor() { return find<RideEditor>("rideEditor"); }
    const Curve& curve(size_t n, Parameter p = Parameter::level) {
        static const Curve none;
        const CurvePtr& c = track(n).rides[p];
        return c ? *c : none;
    }
    void click(const char* button) { QTest::mouseClick(find<QAbstractButton>(button), Qt::LeftButton); }
    void trigger(const char* action) { find<QAction>(action)->trigger(); }
    void open_ride(size_t n) {
        import_all();
        station(4);
        work().document.select_only(track(n).id);
        catch_up();
    }
    QPoint at(double time_s, double value) { return editor()->point_of(time_s, value).toPoint(); }
    void draw(std::initializer_list<std::pair<double, double>> points) {
        for (const auto& [t, v] : points) QTest::mouseClick(editor(), Qt::LeftButton, Qt::NoModifier, at(t, v));
    }
    /// Marks a stretch in the strip above the curve.
    void mark(double from_s, double to_s) {
        drag(editor(), QPoint(at(from_s, 0).x(), 4), QPoint(at(to_s, 0).x(), 4));
        ASSERT_TRUE(editor()->range());
        EXPECT_NEAR(editor()->range()->from_s, from_s, 0.02);
        EXPECT_NEAR(editor()->range()->to_s, to_s, 0.02);
    }
    /// Plays until a place in the song.
    void play_to(double time_s) {
        if (!work().player.playing()) work().player.toggle_playing();
        wait_for([&] { return work().player.position_s() >= time_s; });
    }
    void stop() {
        work().player.stop();
        wait_for([&] { return !work().player.playing() && !work().writing.any(); });
    }
};

}  // namespace

namespace {

QImage painted(const std::function<void(QPainter&)>& paint) {
    QImage image(40, 20, QImage::Format_ARGB32);
    image.fill(Qt::white);
    QPainter painter(&image);
    paint(painter);
    painter.end();
    return image;
}

int darkness(const QImage& image, int x, int y) { return 255 - qRed(image.pixel(x, y)); }

}  // namespace

TEST(Columns, stand_where_they_are_put_with_soft_edges) {
    application();
    const QImage image = painted([](QPainter& painter) {
        Columns columns(QRect(5, 2, 30, 16));
        columns.add(5, 10, 4);
        columns.add_soft(7, 6.25, 8.5);
        columns.add_soft(9, 6.25, 6.75);
        columns.add(3, 4, 10);     // outside
        columns.add(11, -50, 50);  // held to the area
        columns.paint(painter, Qt::black);
    });
    for (int y = 0; y < 20; ++y) {
        EXPECT_EQ(darkness(image, 5, y), y >= 4 && y <= 10 ? 255 : 0) << y;
        EXPECT_EQ(darkness(image, 11, y), y >= 2 && y <= 17 ? 255 : 0) << y;
        EXPECT_EQ(darkness(image, 3, y) + darkness(image, 6, y), 0) << y;
    }
    EXPECT_NEAR(darkness(image, 7, 6), 191, 1);  // three quarters of the pixel
    EXPECT_EQ(darkness(image, 7, 7), 255);
    EXPECT_NEAR(darkness(image, 7, 8), 128, 1);
    EXPECT_NEAR(darkness(image, 9, 6), 128, 1);
}

TEST(Columns, of_a_ride_pass_through_all_that_it_reaches) {
    application();
    TimeRuler time;
    time.left = 0.0, time.right = 40.0, time.from_s = 0.0, time.to_s = 40.0;
    // A step at 10 s, then more points than pixels between two values.
    Curve curve{{{0.0, 2.0, Segment::step}, {10.0, 8.0}, {20.0, 8.0}}};
    for (int n = 0; n < 200; ++n) curve.points.push_back({25.0 + n * 0.05, n % 2 ? 4.0 : 12.0});
    const QImage image = painted([&](QPainter& painter) {
        paint_ride(painter, curve, 0.0, time, QPen(Qt::black, 1.0), [](double v) { return 18.0 - v + 0.5; });
    });
    for (int x = 0; x < 9; ++x) EXPECT_EQ(darkness(image, x, 16), 255) << x;
    for (int y = 10; y <= 16; ++y) EXPECT_EQ(darkness(image, 9, y) + darkness(image, 10, y) > 0, true) << y;
    EXPECT_EQ(darkness(image, 15, 10), 255);
    EXPECT_EQ(darkness(image, 15, 14), 0);
    for (int y = 6; y <= 14; ++y) EXPECT_EQ(darkness(image, 28, y), 255) << y;
    // Without points: its rest.
    const QImage empty = painted([&](QPainter& painter) {
        paint_ride(painter, {}, 5.0, time, QPen(Qt::black, 1.0), [](double v) { return 18.0 - v + 0.5; });
    });
    for (const int x : {0, 20, 39}) EXPECT_EQ(darkness(empty, x, 13), 255);
}

TEST(CurveWalk, agrees_with_looking_up_every_time) {
    std::mt19937 random(5);
    std::uniform_real_distribution<double> time(0.0, 30.0), value(-20.0, 10.0);
    for (int round = 0; round < 50; ++round) {
        Curve curve;
        for (int n = 0; n < round; ++n)
            curve.insert({time(random), value(random), static_cast<Segment>(n % 4), (n % 5) * 0.4 - 0.8});
        CurveWalk walk(curve);
        for (double t = -1.0; t < 31.0; t += 0.0371) EXPECT_EQ(walk.value_at(t), curve.value_at(t)) << t;
        for (int n = 0; n < 50; ++n) {  // and backwards
            const double t = time(random);
            EXPECT_EQ(walk.value_at(t), curve.value_at(t)) << t;
        }
        for (const RidePoint& p : curve.points) EXPECT_EQ(walk.value_at(p.time_s), curve.value_at(p.time_s));
    }
}

TEST_F(RideWindow, every_parameter_has_its_lane_and_several_stand_open) {
    open_ride(1);
    click("ride_pan");
    EXPECT_EQ(editor()->parameter(), Parameter::pan);
    draw({{1.0, -0.5}, {3.0, 0.5}});
    ASSERT_EQ(curve(1, Parameter::pan).points.size(), 2u);
    EXPECT_NEAR(curve(1, Parameter::pan).value_at(1.0), -0.5, 0.03);
    QTest::mouseClick(find<QToolButton>("ride_mute"), Qt::LeftButton, Qt::ControlModifier);
    QTest::keyPress(window.get(), Qt::Key_Control);  // the application asks which keys are down
    QTest::keyRelease(window.get(), Qt::Key_Control);
    work().view.ride.show({Parameter::mute, {Parameter::pan, Parameter::mute}, false, {}});
    auto* second = find<RideEditor>("rideEditor2");
    EXPECT_EQ(second->parameter(), Parameter::mute);
    QTest::mouseClick(second, Qt::LeftButton, Qt::NoModifier, second->point_of(2.0, 1.0).toPoint());
    ASSERT_EQ(curve(1, Parameter::mute).points.size(), 1u);
    EXPECT_EQ(curve(1, Parameter::mute).points[0].segment, Segment::step);
    // All of them in a list; a choice there goes to the lane.
    click("rideAll");
    auto* list = find<QListWidget>("rideList");
    ASSERT_EQ(list->count(), 2);
    EXPECT_TRUE(list->item(1)->text().contains("mute"));
    list->setCurrentRow(0);
    QTest::keyClick(list, Qt::Key_Return);
    EXPECT_EQ(editor()->parameter(), Parameter::pan);
    EXPECT_FALSE(list->isVisible());
    // The lane of the whole family.
    work().document.edit_tracks("Family", {track(0).id, track(1).id}, [](Track& t) { t.family = Family::keys; });
    click("rideFamily");
    EXPECT_EQ(find<RideEditor>("rideEditor2")->row() + editor()->row(), track(0).id + track(1).id);
}

TEST_F(RideWindow, the_blade_on_the_axis_writes_and_the_wheel_there_zooms) {
    open_ride(1);
    // Where nothing is written it only says what it is.
    const auto blade = [&](double value) { return QPoint(46, static_cast<int>(editor()->point_of(0.0, value).y())); };
    drag(editor(), blade(0.0), blade(0.0) + QPoint(0, -30));
    EXPECT_TRUE(curve(1).empty());
    click("modeTouch");
    key(Qt::Key_Space);
    wait_for([&] { return work().player.position_s() > 0.2; });
    QTest::mousePress(editor(), Qt::LeftButton, Qt::NoModifier, blade(0.0));
    QTest::mouseMove(editor(), blade(0.0) + QPoint(0, 30));
    const double written = work().writing.value_now(track(1).id, Parameter::level);
    EXPECT_LT(written, -3.0);
    const double until = work().player.position_s() + 0.2;
    wait_for([&] { return work().player.position_s() > until; });
    QTest::mouseRelease(editor(), Qt::LeftButton, Qt::NoModifier, blade(0.0) + QPoint(0, 30));
    key(Qt::Key_Space);
    wait_for([&] { return !curve(1).empty(); });
    EXPECT_NEAR(curve(1).value_at(until - 0.05), written, 0.3);
    // The wheel on the axis zooms values around the pointer; a double click shows all again.
    const double before = editor()->point_of(0.0, 6.0).y() - editor()->point_of(0.0, 0.0).y();
    QWheelEvent wheel(QPointF(20, blade(0.0).y()), editor()->mapToGlobal(QPointF(20, blade(0.0).y())), {}, {0, 120},
                      Qt::NoButton, Qt::NoModifier, Qt::NoScrollPhase, false);
    QApplication::sendEvent(editor(), &wheel);
    EXPECT_NEAR((editor()->point_of(0.0, 6.0).y() - editor()->point_of(0.0, 0.0).y()) / before, 1.25, 0.02);
    QTest::mouseDClick(editor(), Qt::LeftButton, Qt::NoModifier, QPoint(10, 100));
    EXPECT_EQ(editor()->point_of(0.0, 6.0).y() - editor()->point_of(0.0, 0.0).y(), before);
}

TEST_F(RideWindow, a_click_marks_the_section_and_a_value_fills_to_the_end_or_the_loop) {
    open_ride(2);
    Session parts = session();
    parts.sections = {{"verse", 0.0, {}}, {"chorus", 2.0, {}}};
    work().document.edit("Sections", parts);
    const auto click_strip = [&](double time_s) {
        const int x = static_cast<int>(editor()->point_of(time_s, 0.0).x());
        QTest::mouseClick(editor(), Qt::LeftButton, Qt::NoModifier, QPoint(x, 6));
    };
    click_strip(3.0);
    ASSERT_EQ(editor()->ranges().size(), 1u);
    EXPECT_EQ(editor()->range()->from_s, 2.0);
    EXPECT_NEAR(editor()->range()->to_s, work().view.time.song_s(), 1e-9);
    click_strip(3.0);
    EXPECT_TRUE(editor()->ranges().empty()) << "once more unmarks it";
    draw({{0.5, -6.0}, {1.5, 3.0}});
    work().player.locate(1.0);
    const double value = curve(2).value_at(1.0);
    work().player.set_loop({true, 0.0, 2.0});
    trigger("rideFillLoop");
    EXPECT_NEAR(curve(2).value_at(1.9), value, 1e-6);
    EXPECT_NEAR(curve(2).value_at(2.5), 3.0, 0.3) << "beyond it as before";
    EXPECT_NEAR(curve(2).value_at(0.5), -6.0, 0.3);
    trigger("rideFillEnd");
    EXPECT_NEAR(curve(2).value_at(3.0), value, 1e-6);
    work().player.locate(3.0);
    const Curve kept = curve(2);
    trigger("rideFillLoop");
    EXPECT_EQ(curve(2), kept) << "the loop ends before";
}

TEST_F(RideWindow, a_marked_stretch_is_raised_by_a_drag_copied_and_pasted) {
    open_ride(2);
    draw({{0.5, -6.0}, {3.5, -6.0}});
    mark(1.0, 2.0);
    drag(editor(), at(1.5, -6.0) + QPoint(0, -20), at(1.5, -3.0) + QPoint(0, -20));
    EXPECT_NEAR(curve(2).value_at(1.5), -3.0, 0.4);
    EXPECT_NEAR(curve(2).value_at(0.9), -6.0, 0.3);
    EXPECT_NEAR(curve(2).value_at(2.1), -6.0, 0.3);
    EXPECT_NEAR(curve(2).value_at(1.125), (curve(2).value_at(1.5) + curve(2).value_at(0.9)) / 2.0, 0.3);  // its edge
    EXPECT_TRUE(work().document.undo_name().contains("a stretch"));
    const double raised = curve(2).value_at(1.5);
    editor()->setFocus();
    QTest::keyClick(editor(), Qt::Key_C, Qt::ControlModifier);
    work().player.locate(2.5);
    wait_for([&] { return work().player.position_s() == 2.5; });
    QTest::keyClick(editor(), Qt::Key_V, Qt::ControlModifier);
    EXPECT_NEAR(curve(2).value_at(3.0), raised, 0.01);
    EXPECT_NEAR(curve(2).value_at(1.5), raised, 0.01);
    // Undo takes one gesture at a time.
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_NEAR(curve(2).value_at(3.0), -6.0, 0.3);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_NEAR(curve(2).value_at(1.5), -6.0, 0.3);
}

TEST_F(RideWindow, points_are_lassoed_scaled_stretched_and_typed) {
    open_ride(1);
    draw({{0.5, 0.0}, {1.5, 6.0}, {2.5, -6.0}, {4.0, 0.0}});
    editor()->setFocus();
    // Around the two in the middle, Ctrl and Shift held.
    const auto keys = Qt::ControlModifier | Qt::ShiftModifier;
    QTest::mousePress(editor(), Qt::LeftButton, keys, at(1.0, 9.0));
    for (const QPoint& p : {at(3.0, 9.0), at(3.0, -10.0), at(1.0, -10.0)}) {
        QMouseEvent move(QEvent::MouseMove, p, editor()->mapToGlobal(p), Qt::NoButton, Qt::LeftButton, keys);
        QApplication::sendEvent(editor(), &move);
    }
    QTest::mouseRelease(editor(), Qt::LeftButton, keys, at(1.0, -10.0));
    EXPECT_EQ(editor()->selected_points(), (std::set<size_t>{1, 2}));
    const double high = curve(1).points[1].value, low = curve(1).points[2].value;
    QTest::keyClick(editor(), Qt::Key_Comma);
    EXPECT_NEAR(curve(1).points[1].value - curve(1).points[2].value, (high - low) / 1.1, 1e-9);
    const double length = curve(1).points[2].time_s - curve(1).points[1].time_s;
    QTest::keyClick(editor(), Qt::Key_Greater, Qt::ShiftModifier);
    EXPECT_NEAR(curve(1).points[2].time_s - curve(1).points[1].time_s, length * 1.1, 1e-9);
    QTest::mouseClick(editor(), Qt::LeftButton, Qt::NoModifier,
                      at(curve(1).points[0].time_s, curve(1).points[0].value));
    answers.text = "0.25 −4.5";
    QTest::keyClick(editor(), Qt::Key_Return);
    EXPECT_NEAR(curve(1).points[0].time_s, 0.25, 1e-9);
    EXPECT_NEAR(curve(1).points[0].value, -4.5, 1e-9);
    answers.text = "0.25 loud";
    QTest::keyClick(editor(), Qt::Key_Return);
    EXPECT_EQ(answers.complaints.size(), 1);
    // Near a section's edge a point snaps to it.
    Session s = session();
    s.sections = {{"one", 0.0, 0}, {"two", 3.0, 0}};
    work().document.edit("Sections", s);
    drag(editor(), at(curve(1).points[3].time_s, curve(1).points[3].value), at(3.0, 0.0) + QPoint(4, 0));
    EXPECT_EQ(curve(1).points[3].time_s, 3.0);
}

TEST_F(RideWindow, ready_shapes_land_as_points) {
    open_ride(1);
    answers.numbers = {{0, 3.0}, {1, 5.0}, {2, 0.5}};
    trigger("shapeFade");
    EXPECT_EQ(curve(1).value_at(5.0), ride_min_db);
    EXPECT_EQ(curve(1).value_at(2.9), 0.0);
    click("rideClear");
    mark(1.0, 3.0);
    answers.numbers = {{0, 2.0}, {1, 0.2}};
    trigger("shapeLift");
    EXPECT_NEAR(curve(1).value_at(2.0), 2.0, 1e-9);
    EXPECT_NEAR(curve(1).value_at(3.1), 0.0, 1e-9);
    click("rideClear");
    answers.numbers = {{0, 0}, {2, 6.0}};  // the kick, which is struck twice a second
    trigger("shapeDips");
    EXPECT_NEAR(curve(1).value_at(1.51), -6.0, 0.01);
    EXPECT_NEAR(curve(1).value_at(1.95), 0.0, 0.01);
    click("rideClear");
    mark(1.0, 3.0);
    answers.numbers = {{0, 0.5}, {1, 4.0}};
    trigger("shapeTremolo");
    EXPECT_NEAR(curve(1).value_at(1.75), -4.0, 0.1);
    click("rideClear");
    mark(2.0, 2.5);
    answers.numbers = {{0, 5.0}, {1, 50.0}};
    trigger("shapeThrow");
    EXPECT_NEAR(curve(1).value_at(2.25), 5.0, 0.01);
    EXPECT_NEAR(curve(1).value_at(1.9), 0.0, 0.01);
    // Trim of the whole ride, and bypass.
    answers.numbers = {{0, -2.0}};
    trigger("rideTrim");
    EXPECT_NEAR(curve(1).value_at(2.25), 3.0, 0.01);
    click("rideBypass");
    EXPECT_TRUE(track(1).rides.bypassed);
    EXPECT_FALSE(work().player.plan()->parts[1].ridden());
    click("rideBypass");
    EXPECT_TRUE(work().player.plan()->parts[1].ridden());
    answers.numbers = {};
    trigger("draftRest");
    EXPECT_TRUE(work().document.undo_name().contains("draft of"));
}

TEST_F(RideWindow, a_bend_is_adjusted_by_its_handle_and_typed) {
    open_ride(1);
    draw({{1.0, 0.0}, {4.0, -12.0}});
    QTest::mouseClick(editor(), Qt::LeftButton, Qt::NoModifier, at(1.0, curve(1).points[0].value));
    QTest::keyClick(editor(), Qt::Key_T);
    QTest::keyClick(editor(), Qt::Key_T);
    ASSERT_EQ(curve(1).points[0].segment, Segment::bend);
    const double start = curve(1).points[0].value, end = curve(1).points[1].value;
    // The handle stands in the middle of the segment; the curve follows it.
    drag(editor(), at(2.5, curve(1).value_at(2.5)), at(2.5, -3.0));
    EXPECT_NEAR(curve(1).value_at(2.5), -3.0, 0.15);
    EXPECT_NEAR(curve(1).points[0].bend, bend_through((-3.0 - start) / (end - start)), 0.02);
    EXPECT_TRUE(work().document.undo_name().contains("Bend"));
    drag(editor(), at(2.5, curve(1).value_at(2.5)), at(2.5, -11.9));
    EXPECT_EQ(curve(1).points[0].bend, -1.0);  // no farther
    answers.text = "1.0  −1.0 dB  bend −0.25";
    QTest::keyClick(editor(), Qt::Key_Return);
    EXPECT_NEAR(curve(1).points[0].bend, -0.25, 1e-9);
    EXPECT_NEAR(curve(1).points[0].value, -1.0, 1e-9);
    answers.text = "1.0  −1.0 dB  bend 1.5";
    QTest::keyClick(editor(), Qt::Key_Return);
    EXPECT_EQ(answers.complaints.size(), 1);
    key(Qt::Key_Z, Qt::ControlModifier);  // one step for both
    EXPECT_EQ(curve(1).points[0].bend, -1.0);
}

TEST_F(RideWindow, several_stretches_are_marked_with_ctrl_and_thrown_together) {
    open_ride(1);
    mark(0.5, 1.0);
    drag(editor(), QPoint(at(2.0, 0).x(), 4), QPoint(at(2.5, 0).x(), 4), Qt::ControlModifier);
    drag(editor(), QPoint(at(2.4, 0).x(), 4), QPoint(at(3.0, 0).x(), 4), Qt::ControlModifier);  // goes on from there
    ASSERT_EQ(editor()->ranges().size(), 2u);
    EXPECT_NEAR(editor()->ranges()[1].to_s, 3.0, 0.02);
    answers.numbers = {{0, 6.0}, {1, 50.0}};
    trigger("shapeThrow");
    for (const double inside : {0.75, 2.25, 2.75}) EXPECT_NEAR(curve(1).value_at(inside), 6.0, 0.01) << inside;
    for (const double outside : {0.3, 1.5, 3.3}) EXPECT_NEAR(curve(1).value_at(outside), 0.0, 0.01) << outside;
    // One drag raises both.
    drag(editor(), at(2.25, 6.0) + QPoint(0, 20), at(2.25, 3.0) + QPoint(0, 20));
    EXPECT_NEAR(curve(1).value_at(0.75), 3.0, 0.4);
    EXPECT_NEAR(curve(1).value_at(2.75), curve(1).value_at(0.75), 0.01);
    EXPECT_NEAR(curve(1).value_at(1.5), 0.0, 0.01);
    mark(4.0, 4.5);  // without Ctrl: only this
    EXPECT_EQ(editor()->ranges().size(), 1u);
}

TEST_F(RideWindow, a_draft_by_what_is_heard_listens_first_and_then_asks) {
    open_ride(2);
    answers.numbers = {{0, 90.0}, {1, 3.0}, {2, 0.0}};
    ASSERT_LT(work().mix.share_listened(), 1.0);
    trigger("draftHeard");
    EXPECT_FALSE(track(2).rides.any());  // not yet
    wait_for([&] { return track(2).rides.any(); });
    EXPECT_TRUE(work().document.undo_name().contains("draft of"));
    EXPECT_EQ(answers.titles.back(), "Ride draft by audibility");
    // Known now: at once, and from the same start the same.
    const Curve first = curve(2);
    trigger("draftHeard");
    EXPECT_EQ(curve(2), first);
}

TEST_F(RideWindow, the_main_output_and_buses_are_ridden_in_their_rows) {
    import_all();
    work().document.select({track(0).id, track(1).id}, track(0).id);
    find<QAction>("makeBus")->trigger();
    station(4);
    const TrackId bus = session().buses[0].id;
    catch_up();
    std::map<TrackId, RideLane*> lanes;
    for (auto* lane : find("busBlock")->findChildren<RideLane*>()) lanes[lane->id()] = lane;
    ASSERT_TRUE(lanes.contains(bus) && lanes.contains(main_output));
    QTest::mouseClick(lanes[main_output], Qt::LeftButton);
    EXPECT_EQ(editor()->row(), main_output);
    draw({{1.0, -3.0}});
    ASSERT_TRUE(session().main_rides[Parameter::level]);
    QTest::mouseClick(lanes[bus], Qt::LeftButton);
    draw({{1.0, -6.0}});
    ASSERT_TRUE(session().find_bus(bus)->rides[Parameter::level]);
    // The whole-song peak counts them at once.
    settle();
    const double with = *work().mix.peak()->dbfs;
    work().document.undo();
    work().document.undo();
    settle();
    EXPECT_GT(*work().mix.peak()->dbfs, with + 2.5);
    // Enter in the lane trims the ride as a whole.
    work().document.redo();
    type(lanes[main_output], "-2");
    EXPECT_NEAR(session().main_rides[Parameter::level]->points[0].value, -5.0, 0.3);
}

TEST_F(RideWindow, a_fader_held_while_the_song_plays_is_written_in_one_step) {
    import_all();
    station(2);
    work().writing.set_mode(track(1).id, WriteMode::touch);
    work().writing.return_s = 0.2;
    auto* pad = lane(1);
    const double fader = track(1).fader_db;
    play_to(1.0);
    QTest::mousePress(pad, Qt::LeftButton, Qt::NoModifier, QPoint(200, 18));
    for (int n = 1; n <= 20; ++n) {
        QMouseEvent move(QEvent::MouseMove, QPoint(200 - 2 * n, 18), pad->mapToGlobal(QPoint(200 - 2 * n, 18)),
                         Qt::NoButton, Qt::LeftButton, Qt::NoModifier);
        QApplication::sendEvent(pad, &move);
        play_to(work().player.position_s() + 0.02);
    }
    EXPECT_TRUE(work().writing.held(track(1).id, Parameter::level));
    const double down = work().writing.value_now(track(1).id, Parameter::level);
    EXPECT_LT(down, -2.0);
    EXPECT_FALSE(work().document.can_undo() && work().document.undo_name().contains("Write"));
    QTest::mouseRelease(pad, Qt::LeftButton, Qt::NoModifier, QPoint(160, 18));
    const double released_s = work().player.position_s();
    play_to(released_s + 0.6);
    stop();
    ASSERT_TRUE(track(1).rides[Parameter::level]);
    EXPECT_EQ(track(1).fader_db, fader);  // the fader itself stays
    EXPECT_TRUE(work().document.undo_name().contains("Write level of 2 Pad"))
        << work().document.undo_name().toStdString();
    EXPECT_NEAR(curve(1).value_at(0.5), 0.0, 1e-9);
    EXPECT_NEAR(curve(1).value_at(released_s - 0.03), down, 0.4);
    EXPECT_NEAR(curve(1).value_at(released_s + 0.5), 0.0, 1e-6);  // back at the ride
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_FALSE(track(1).rides[Parameter::level]);
    // In read the same gesture moves the fader.
    work().writing.set_mode_for_all(WriteMode::read);
    drag(pad, QPoint(200, 18), QPoint(160, 18));
    EXPECT_LT(track(1).fader_db, fader);
    EXPECT_FALSE(track(1).rides[Parameter::level]);
}

TEST_F(RideWindow, the_boxs_known_moves_are_written_through_midi_bytes) {
    import_all();
    station(4);
    FaderBoxWindow* window_of_box = bring_up<FaderBoxWindow>(window.get(), work());
    FaderBox& box = window_of_box->box();
    // Motors stand at the faders.
    wait_for([&] { return std::fabs(box.position(0) - fader_position(track(0).fader_db)) < 1e-3; });
    for (const FaderSpeech speech : {FaderSpeech::pitch_bend, FaderSpeech::control_14, FaderSpeech::control_7}) {
        box.speak(speech);
        work().player.locate(0.0);
        work().writing.set_mode(track(0).id, WriteMode::latch);
        wait_for([&] { return work().player.position_s() == 0.0; });
        play_to(0.5);
        // A known path: from 0 down 10 dB within a second.
        std::vector<std::pair<double, double>> path;
        box.touch(0);
        for (int n = 0; n <= 25; ++n) {
            const double db = -10.0 * n / 25.0;
            box.move(0, fader_position(track(0).fader_db + db));
            path.emplace_back(work().player.position_s(), db);
            play_to(work().player.position_s() + 0.03);
        }
        box.release(0);
        const double after_s = work().player.position_s();
        play_to(after_s + 0.3);
        stop();
        const CurvePtr written = track(0).rides[Parameter::level];
        ASSERT_TRUE(written);
        // Within the tolerance, what one step of the speech is, and what it moves in a tick of the clock.
        const double step = speech == FaderSpeech::control_7 ? 0.35 : 0.01;
        for (const auto& [t, db] : path) EXPECT_NEAR(written->value_at(t + 1e-4), db, 0.1 + step + 0.45) << t;
        EXPECT_NEAR(written->value_at(after_s + 0.1), -10.0, 0.1 + step);  // latched
        EXPECT_LE(written->points.size(), 2 * path.size() + 6);  // a busy machine moves in jerks: no fewer are promised
        EXPECT_EQ(track(0).fader_db, 0.0);
        work().document.undo();
        EXPECT_FALSE(track(0).rides[Parameter::level]);
    }
    // The motor follows the ride while it is read.
    work().writing.set_mode_for_all(WriteMode::read);
    work().document.edit("Ride", with_ride(session(), track(1).id, Parameter::level, {{{0.0, -6.0}}}));
    wait_for([&] { return std::fabs(box.position(1) - fader_position(-6.0)) < 0.02; });
    // Without writing the fader itself moves, through the bytes all the same.
    box.speak(FaderSpeech::pitch_bend);
    catch_up();
    box.move(2, fader_position(0.0));
    box.move(2, fader_position(-4.0));
    EXPECT_NEAR(track(2).fader_db, -4.0, 0.05);
}

TEST_F(RideWindow, a_fader_is_learned_and_waits_until_it_meets_its_value) {
    import_all();
    station(4);
    work().document.select_only(track(1).id);
    auto [ours, device] = midi_pair();
    work().faders.use(ours, "plain fader");  // no motors, no touch
    click("ride_pan");
    trigger("faderLearn");
    EXPECT_TRUE(work().faders.learning());
    const FaderAddress knob{FaderSpeech::control_7, 0, 20};
    const auto send = [&, port = device](double position) {
        for (const MidiBytes& bytes : fader_bytes(knob, position)) port->send(bytes);
    };
    send(0.1);
    EXPECT_FALSE(work().faders.learning());
    ASSERT_TRUE(work().faders.target(knob));
    EXPECT_EQ(work().faders.target(knob)->parameter, Parameter::pan);
    send(0.2);
    EXPECT_EQ(track(1).pan, 0.0);  // it stands at the left, the pan in the centre: nothing jumps
    send(0.45);
    EXPECT_EQ(track(1).pan, 0.0);
    send(0.55);
    EXPECT_NEAR(track(1).pan, 0.1, 0.02);
    send(0.9);
    EXPECT_NEAR(track(1).pan, 0.8, 0.02);
}

TEST_F(RideWindow, a_touched_control_brings_its_lane_up) {
    import_all();
    station(2);
    drag(lane(2), QPoint(lane(2)->width() - 120, 18), QPoint(lane(2)->width() - 100, 18));
    EXPECT_EQ(work().view.ride.shown.parameter, Parameter::pan);
    EXPECT_EQ(work().view.ride.row(), track(2).id);
    drag(find("mainFader"), QPoint(100, 18), QPoint(90, 18));
    EXPECT_EQ(work().view.ride.row(), main_output);
    station(4);
    EXPECT_EQ(editor()->row(), main_output);
    EXPECT_EQ(editor()->parameter(), Parameter::level);
}
