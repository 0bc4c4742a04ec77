// Controls follow their rides while the song plays and when the playhead is put somewhere, say where a ride overrides
// the hand, are written from where they stand, and open their lane from their menu.
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QFormLayout>
#include <QLabel>
#include <QListWidget>
#include <QSignalSpy>

#include "app/balance/bus_block.h"
#include "core/session/channel.h"
#include "core/session/routing.h"
#include "tests/app/shaping_fixture.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

class Follow : public ShapingWindow {
  protected:
    /// Every parameter that a row can have is ridden: on the first track, on a bus, and the level of the main output.
    void all_ridden() {
        import_all();
        TrackId bus = 0;
        Session s = with_new_bus(session(), "Hall", std::nullopt, {}, &bus);
        const TrackId id = s.tracks[0]->id;
        s = *with_send(s, id, bus, [](Send& send) { send.level_db = -20.0; });
        s = with_chain(s, id, [](Chain& chain) {
            chain.push_back(new_processor(*processor_type("compressor"), chain));
            chain.push_back(new_processor(*processor_type("low_cut"), chain));
        });
        const auto ramp = [](double from, double to) { return Curve{{{0.0, from}, {4.0, to}}}; };
        s = with_ride(s, id, Parameter::level, ramp(0.0, -12.0));
        s = with_ride(s, id, Parameter::pan, ramp(-1.0, 1.0));
        s = with_ride(s, id, Parameter::mute, Curve{{{0.0, 0.0, Segment::step}, {2.0, 1.0}}});
        const Track t = *s.find(id);
        s = with_ride(s, id, Parameter::of_send(send_parameters::level, t.sends[0].id), ramp(-40.0, 0.0));
        s = with_ride(s, id, threshold(t), ramp(-50.0, -10.0));
        s = with_ride(s, id, cut(t), ramp(40.0, 400.0));
        s = with_ride(s, bus, Parameter::level, ramp(0.0, -6.0));
        s = with_ride(s, bus, Parameter::mute, Curve{{{0.0, 0.0, Segment::step}, {2.0, 1.0}}});
        s = with_ride(s, main_output, Parameter::level, ramp(0.0, -6.0));
        work().document.edit("rides", s);
        ASSERT_TRUE(answers.complaints.isEmpty()) << answers.complaints.join(" ").toStdString();
        work().document.select_only(id);
        settle();
    }
    static Parameter threshold(const Track& t) {
        return Parameter(*processor_type("compressor")->find("threshold_dbfs"), t.chain[0].id);
    }
    static Parameter cut(const Track& t) { return Parameter(*processor_type("low_cut")->find("hz"), t.chain[1].id); }
    void locate(double time_s) {
        work().player.locate(time_s);
        wait_for([&, time_s] { return std::fabs(work().player.position_s() - time_s) < 1e-3; });
        QTest::qWait(40);  // the next tick tells it
    }
    static QImage picture(QWidget* w) { return w->grab().toImage(); }
    QString text_of(Lane* l) { return l->spoken_value(); }
    QString field_label(const char* field) {
        auto* form = qobject_cast<QFormLayout*>(find<QScrollArea>("shapeForm")->widget()->layout());
        return qobject_cast<QLabel*>(form->labelForField(find<QWidget>(field)))->text();
    }
};

}  // namespace

TEST_F(Follow, faders_pans_and_mutes_stand_where_their_rides_say) {
    all_ridden();
    station(2);
    catch_up();
    Lane* bus = find<BusBlock>("busBlock")->findChild<Lane*>();
    ASSERT_TRUE(bus) << "bus";
    ASSERT_TRUE(window->desk().head_of(track(0).id)) << "head";
    ASSERT_TRUE(find<BusBlock>("busBlock")->findChild<BusHead*>());
    auto* main = find<Lane>("mainFader");
    auto* mute = window->desk().head_of(track(0).id)->findChild<QToolButton*>("mute");
    auto* bus_mute = find<BusBlock>("busBlock")->findChild<BusHead*>()->findChild<QToolButton*>("mute");
    locate(1.0);
    EXPECT_EQ(text_of(lane(0)), "−3.0 dB");
    EXPECT_EQ(text_of(bus), "−1.5 dB");
    EXPECT_EQ(text_of(main), "−1.5 dB");
    EXPECT_FALSE(mute->isChecked() || bus_mute->isChecked());
    const QImage before = picture(lane(0)), of_main = picture(main), of_bus = picture(bus);
    const QImage resting = picture(lane(1));
    locate(3.0);
    EXPECT_EQ(text_of(lane(0)), "−9.0 dB");
    EXPECT_EQ(text_of(main), "−4.5 dB");
    EXPECT_TRUE(mute->isChecked() && bus_mute->isChecked());
    EXPECT_NE(picture(lane(0)), before);
    EXPECT_NE(picture(main), of_main);
    EXPECT_NE(picture(bus), of_bus);
    EXPECT_EQ(picture(lane(1)), resting) << "a track without rides stands still";
    EXPECT_EQ(track(0).fader_db, 0.0) << "nothing of it is the hand's";
    // Rides that are bypassed move nothing.
    Session s = session();
    s.rides_bypassed = true;
    work().document.edit("bypass", s);
    catch_up();
    EXPECT_EQ(text_of(lane(0)), "0.0 dB");
    EXPECT_FALSE(mute->isChecked());
}

TEST_F(Follow, what_is_set_by_hand_stands_where_it_was_put_and_says_what_a_ride_does) {
    all_ridden();
    station(2);
    locate(2.0);  // -6 dB, and in the centre
    QSignalSpy hints(&work().view, &ViewState::hint);
    lane(0)->say("-8");
    EXPECT_DOUBLE_EQ(track(0).fader_db, -2.0);
    EXPECT_EQ(text_of(lane(0)), "−8.0 dB");
    ASSERT_FALSE(hints.isEmpty());
    EXPECT_TRUE(hints.last()[0].toString().contains("has automation")) << hints.last()[0].toString().toStdString();
    lane(0)->step(-1);
    EXPECT_NEAR(track(0).fader_db, -3.0, 1e-9);
    find<Lane>("mainFader")->say("-5");
    EXPECT_DOUBLE_EQ(session().main_fader_db, -2.0);
    auto* mute = window->desk().head_of(track(0).id)->findChild<QToolButton*>("mute");
    hints.clear();
    locate(1.0);
    QTest::mouseClick(mute, Qt::LeftButton);
    EXPECT_TRUE(track(0).mute);
    EXPECT_TRUE(hints.last()[0].toString().contains("follows its automation"));
}

TEST_F(Follow, fields_and_pictures_of_shape_stand_where_their_rides_say) {
    all_ridden();
    station(3);
    settle();
    locate(1.0);
    work().view.shape.position = 0;
    find<QListWidget>("chainList")->setCurrentRow(0);
    catch_up();
    auto* field = find<QDoubleSpinBox>("threshold_dbfs");
    EXPECT_NEAR(field->value(), -40.0, 0.11);
    EXPECT_TRUE(field_label("threshold_dbfs").contains(QChar(0x223c))) << "it is marked";
    EXPECT_FALSE(field_label("ratio").contains(QChar(0x223c)));
    const QImage level = picture(find("levelPicture"));
    locate(3.0);
    EXPECT_NEAR(field->value(), -20.0, 0.11);
    EXPECT_NE(picture(find("levelPicture")), level);
    EXPECT_EQ(value_of(track(0).chain[0], threshold(track(0)).info()),
              value_of(new_processor(*processor_type("compressor"), {}), threshold(track(0)).info()));
    find<QListWidget>("chainList")->setCurrentRow(1);
    catch_up();
    const double there = find<QDoubleSpinBox>("hz")->value();
    const QImage lines = picture(find("shapePicture"));
    locate(0.5);
    EXPECT_LT(find<QDoubleSpinBox>("hz")->value(), there / 1.5);
    EXPECT_NE(picture(find("shapePicture")), lines);
    find<QListWidget>("chainList")->setCurrentRow(2);  // the send
    catch_up();
    locate(2.0);
    EXPECT_NEAR(find<QDoubleSpinBox>("sendLevel")->value(), -20.0, 0.11);
    EXPECT_TRUE(field_label("sendLevel").contains(QChar(0x223c)));
    const QImage sends = picture(lane(0));
    locate(4.0);
    EXPECT_NEAR(find<QDoubleSpinBox>("sendLevel")->value(), 0.0, 0.11);
    EXPECT_NE(picture(lane(0)), sends);
}

TEST_F(Follow, parameters_are_written_from_their_own_controls) {
    all_ridden();
    station(3);
    settle();
    find<QListWidget>("chainList")->setCurrentRow(0);
    catch_up();
    const TrackId id = track(0).id;
    const Curve before = *track(0).rides[threshold(track(0))];
    const double own = value_of(track(0).chain[0], threshold(track(0)).info());
    work().writing.set_mode(id, WriteMode::latch);
    work().player.locate(0.0);
    work().player.toggle_playing();
    wait_for([&] { return work().player.position_s() > 0.3; });
    auto* field = find<QDoubleSpinBox>("threshold_dbfs");
    field->setValue(-33.0);
    EXPECT_TRUE(work().writing.writer(id, threshold(track(0))));
    auto* mute = window->desk().head_of(id)->findChild<QToolButton*>("mute");
    QTest::mouseClick(mute, Qt::LeftButton);
    EXPECT_TRUE(work().writing.writer(id, Parameter::mute));
    wait_for([&] { return work().player.position_s() > 0.8; });
    work().player.stop();
    wait_for([&] { return !work().writing.any(); });
    catch_up();
    EXPECT_NE(*track(0).rides[threshold(track(0))], before);
    EXPECT_NEAR(track(0).rides[threshold(track(0))]->value_at(0.7), -33.0, 0.2);
    EXPECT_EQ(value_of(track(0).chain[0], threshold(track(0)).info()), own) << "its own value stays";
    EXPECT_FALSE(track(0).mute);
    EXPECT_EQ(track(0).rides[Parameter::mute]->value_at(0.7), 1.0);
}

TEST_F(Follow, ride_this_opens_the_lane_and_leaves_the_value) {
    all_ridden();
    const Session before = session();
    const auto ride_this = [&](QWidget* control, const QString& words, const QPoint& at) {
        in_opened<QMenu>(
            [&] {
                QContextMenuEvent event(QContextMenuEvent::Mouse, at, control->mapToGlobal(at));
                QApplication::sendEvent(control, &event);
            },
            [&](QMenu& menu) {
                const auto all = menu.actions();
                const auto at_words =
                    std::find_if(all.begin(), all.end(), [&](const QAction* a) { return a->text() == words; });
                EXPECT_NE(at_words, all.end()) << words.toStdString();
                if (at_words != all.end()) (*at_words)->trigger();
                menu.close();
            });
        catch_up();
    };
    station(2);
    ride_this(lane(1), "Ride this: pan", QPoint(60, 18));
    EXPECT_EQ(work().view.ride.shown.parameter, Parameter::pan);
    EXPECT_EQ(work().view.ride.row(), track(1).id);
    EXPECT_TRUE(find("ridePanel")->isVisible());
    station(3);
    work().document.select_only(track(0).id);
    catch_up();
    find<QListWidget>("chainList")->setCurrentRow(0);
    catch_up();
    ride_this(find("ratio"), "Ride this", QPoint(10, 8));
    EXPECT_EQ(work().view.ride.shown.parameter.info().id, std::string("ratio"));
    station(3);
    find<QListWidget>("chainList")->setCurrentRow(2);
    catch_up();
    ride_this(find("sendLevel"), "Ride this", QPoint(10, 8));
    EXPECT_EQ(work().view.ride.shown.parameter.send(), track(0).sends[0].id);
    EXPECT_EQ(session().tracks, before.tracks);
    EXPECT_TRUE(session().buses.shares_with(before.buses));
}
