// Plug-ins, rooms from files and note values in the real window.
#include <QDoubleSpinBox>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>

#include "app/shape/plugin_dialog.h"
#include "tests/app/shaping_fixture.h"
#include "tests/support/plugins.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

class PluginsInShape : public ShapingWindow {
  protected:
    Plugins plugins;
    void begin_with_odd() {
        plugins.add_odd();
        plugins.scan();
        begin();
    }
    /// Searches for words, and adds what is found first.
    void add_found(const char* words) {
        in_opened<PluginDialog>([&] { find<QAction>("add_plugin")->trigger(); },
                                [&](PluginDialog& dialog) {
                                    auto* list = dialog.findChild<QListWidget*>("pluginList");
                                    QTest::keyClicks(dialog.findChild<QLineEdit*>("pluginSearch"), words);
                                    EXPECT_GE(list->count(), 1) << words;
                                    EXPECT_TRUE(dialog.chosen()) << words;
                                    QTest::mouseClick(dialog.findChild<QPushButton*>("pluginAdd"), Qt::LeftButton);
                                });
        catch_up();
    }
    QListWidget* list() { return find<QListWidget>("chainList"); }
    void set_field(const char* name, const char* text) {
        auto* field = find<QDoubleSpinBox>(name);
        field->setFocus();
        field->selectAll();
        QTest::keyClicks(field, text);
        QTest::keyClick(field, Qt::Key_Return);
        catch_up();
    }
};

}  // namespace

TEST_F(PluginsInShape, one_is_searched_added_set_and_undone) {
    begin_with_odd();
    add_found("simple ampl");
    ASSERT_EQ(track(2).chain.size(), 1u);
    EXPECT_EQ(track(2).chain[0].type, amplifier);
    EXPECT_EQ(list()->item(0)->text(), "1 Simple Amplifier");
    set_field("gain", "-12");
    EXPECT_EQ(track(2).chain[0].values.at("gain"), -12.0);
    shaped();
    const MaterialPtr played = work().materials.played(track(2));
    ASSERT_TRUE(played && signal_of(played));
    EXPECT_NEAR(*played->measurement.sample_peak_dbfs, *work().materials.measured(track(2))->sample_peak_dbfs - 12.0,
                0.01);
    key(Qt::Key_Z, Qt::ControlModifier);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_TRUE(track(2).chain.empty());
}

TEST_F(PluginsInShape, what_cannot_be_used_says_why_and_cannot_be_added) {
    begin_with_odd();
    in_opened<PluginDialog>([&] { find<QAction>("add_plugin")->trigger(); },
                            [&](PluginDialog& dialog) {
                                QTest::keyClicks(dialog.findChild<QLineEdit*>("pluginSearch"), "odd, crashes at once");
                                EXPECT_FALSE(dialog.chosen());
                                EXPECT_FALSE(dialog.findChild<QPushButton*>("pluginAdd")->isEnabled());
                                EXPECT_TRUE(dialog.findChild<QLabel*>("pluginAbout")->text().contains("crashed"));
                                // It looks for what is new by itself; that can be stopped.
                                QTest::mouseClick(dialog.findChild<QPushButton*>("pluginLook"), Qt::LeftButton);
                                dialog.reject();
                            });
    EXPECT_TRUE(track(2).chain.empty());
}

TEST_F(PluginsInShape, one_that_crashes_is_taken_out_with_a_sentence_and_tried_again) {
    begin_with_odd();
    add_found("odd, crashes");
    shaped();
    EXPECT_EQ(list()->item(0)->text(), "1 Odd, crashes (cannot run)");
    EXPECT_TRUE(find<QLabel>("takenOut")->text().contains("the plug-in crashed"))
        << find<QLabel>("takenOut")->text().toStdString();
    EXPECT_TRUE(work().mix.peak()) << "nothing stops";
    // Later than the song lasts it does no harm.
    set_field("after", "60");
    QTest::mouseClick(find<QPushButton>("tryAgain"), Qt::LeftButton);
    catch_up();
    shaped();
    EXPECT_EQ(list()->item(0)->text(), "1 Odd, crashes");
    EXPECT_TRUE(signal_of(work().materials.played(track(2))));
}

TEST_F(PluginsInShape, a_room_is_read_from_a_file_and_a_rate_is_typed_as_a_note) {
    begin();
    find<QAction>("add_reverb")->trigger();
    catch_up();
    const fs::path room = write(folder / "room.wav", make(4800, 1, noise(3, 0.3)), 1);
    std::ofstream(folder / "text.wav") << "no sound";
    answers.file = folder / "text.wav";
    QTest::mouseClick(find<QPushButton>("room"), Qt::LeftButton);
    EXPECT_TRUE(QTest::qWaitFor([&] { return answers.complaints.size() == 1; }, 5000))
        << "it is read in the background";
    EXPECT_TRUE(track(2).chain[0].impulse.empty());
    answers.file = room;
    QTest::mouseClick(find<QPushButton>("room"), Qt::LeftButton);
    EXPECT_TRUE(QTest::qWaitFor([&] { return track(2).chain[0].impulse == room; }, 5000));
    catch_up();
    EXPECT_EQ(find<QPushButton>("room")->text(), "room.wav");
    shaped();
    EXPECT_EQ(signal_of(work().materials.played(track(2)))->fault(0), "");
    QTest::mouseClick(find<QPushButton>("roomComputed"), Qt::LeftButton);
    catch_up();
    EXPECT_TRUE(track(2).chain[0].impulse.empty());

    Session next = session();
    next.tempo = {TempoMark{0.0, 120.0}};
    work().document.edit("Tempo", next);
    find<QAction>("add_modulation")->trigger();
    catch_up();
    set_field("rate_hz", "1/2");
    EXPECT_EQ(track(2).chain[1].values.at("rate_hz"), 1.0);
}
