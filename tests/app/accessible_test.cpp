// The window through the accessibility interface that AT-SPI speaks to: what is there has a name and a role, and the
// main job can be done with it and the keyboard alone.
#include <QAccessible>
#include <QAccessibleInterface>
#include <QSignalSpy>

#include "app/style/spoken.h"
#include "tests/app/window_fixture.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

class Accessible : public Window {
  protected:
    void SetUp() override {
        application();
        speak_for_controls();
        Window::SetUp();
        import_all();
    }
    /// All that is seen, from the window down.
    static void walk(QAccessibleInterface* at, const std::function<void(QAccessibleInterface&)>& look) {
        if (!at || !at->isValid() || at->state().invisible) return;
        look(*at);
        for (int n = 0; n < at->childCount(); ++n) walk(at->child(n), look);
    }
    QAccessibleInterface* named(QAccessible::Role role, const QString& name) {
        QAccessibleInterface* found = nullptr;
        walk(QAccessible::queryAccessibleInterface(window.get()), [&](QAccessibleInterface& i) {
            if (!found && i.role() == role && i.text(QAccessible::Name).contains(name)) found = &i;
        });
        EXPECT_TRUE(found) << name.toStdString();
        return found;
    }
    static void press(QAccessibleInterface* control) {
        ASSERT_TRUE(control && control->actionInterface());
        auto* button = qobject_cast<QAbstractButton*>(control->object());
        ASSERT_TRUE(button);
        QSignalSpy clicked(button, &QAbstractButton::clicked);
        control->actionInterface()->doAction(QAccessibleActionInterface::pressAction());
        ASSERT_TRUE(QTest::qWaitFor([&] { return !clicked.isEmpty(); })) << "it is pressed for a moment, as by hand";
        catch_up();
    }
};

}  // namespace

TEST_F(Accessible, whatever_is_seen_has_a_name) {
    const std::set<QAccessible::Role> spoken{QAccessible::Button,  QAccessible::CheckBox,    QAccessible::ComboBox,
                                             QAccessible::Slider,  QAccessible::Chart,       QAccessible::EditableText,
                                             QAccessible::SpinBox, QAccessible::RadioButton, QAccessible::PageTab,
                                             QAccessible::List,    QAccessible::ButtonMenu};
    for (int n = 0; n < 7; ++n) {
        station(n);
        if (n == 0) work().view.show_panel(true);
        if (n == 2) key(Qt::Key_B);
        catch_up();
        int sliders = 0, charts = 0;
        walk(QAccessible::queryAccessibleInterface(window.get()), [&](QAccessibleInterface& i) {
            if (!spoken.contains(i.role())) return;
            sliders += i.role() == QAccessible::Slider ? 1 : 0;
            charts += i.role() == QAccessible::Chart ? 1 : 0;
            const QObject* object = i.object();
            EXPECT_FALSE(i.text(QAccessible::Name).trimmed().isEmpty())
                << "station " << n + 1 << ": " << (object ? object->objectName().toStdString() : "")
                << (object ? object->metaObject()->className() : "");
            if (i.role() == QAccessible::Slider) {
                const std::string name = i.text(QAccessible::Name).toStdString();
                ASSERT_TRUE(i.valueInterface()) << name;
                const double low = i.valueInterface()->minimumValue().toDouble();
                const double high = i.valueInterface()->maximumValue().toDouble();
                const double now = i.valueInterface()->currentValue().toDouble();
                EXPECT_LT(low, high) << name;
                EXPECT_TRUE(now >= low && now <= high) << name << " " << now;
                EXPECT_FALSE(i.text(QAccessible::Name).startsWith(',')) << name;
                EXPECT_TRUE(i.actionInterface()->actionNames().contains(QAccessibleActionInterface::increaseAction()));
            }
        });
        // Three tracks, where a station sets a value of theirs and does not only show them; the main fader and the
        // monitor's level; the song map.
        EXPECT_GE(sliders, n < 4 ? 5 : 2) << "station " << n + 1;
        EXPECT_GE(charts, n < 4 ? 1 : 4) << "station " << n + 1;
    }
}

TEST_F(Accessible, the_main_job_is_done_without_a_pointer) {
    // Stage all.
    station(1);
    press(named(QAccessible::Button, "Stage all"));
    EXPECT_NE(track(0).trim_db, 0.0);
    QAccessibleInterface* trim = named(QAccessible::Slider, "1 Kick, trim");
    EXPECT_NEAR(trim->valueInterface()->currentValue().toDouble(), track(0).trim_db, 0.06);
    EXPECT_TRUE(trim->text(QAccessible::Value).endsWith(" dB"));
    // Balance: a fader is said, stepped, and reset.
    station(2);
    QAccessibleInterface* fader = named(QAccessible::Slider, "2 Pad, fader");
    fader->valueInterface()->setCurrentValue(-7.5);
    EXPECT_EQ(track(1).fader_db, -7.5);
    fader->actionInterface()->doAction(QAccessibleActionInterface::increaseAction());
    EXPECT_EQ(track(1).fader_db, -6.5);
    EXPECT_EQ(fader->text(QAccessible::Value), QString::fromUtf8("−6.5 dB"));
    fader->actionInterface()->doAction("Reset");
    EXPECT_EQ(track(1).fader_db, 0.0);
    fader->valueInterface()->setCurrentValue("-inf");
    EXPECT_TRUE(std::isinf(track(1).fader_db));
    fader->valueInterface()->setCurrentValue(-4);
    press(named(QAccessible::CheckBox, "Mute 3 Voice"));
    EXPECT_TRUE(track(2).mute);
    press(named(QAccessible::CheckBox, "Mute 3 Voice"));
    // A pan beside its fader, and a mute by what a reader does with what can be checked.
    QAccessibleInterface* pan = named(QAccessible::Slider, "2 Pad, pan");
    pan->valueInterface()->setCurrentValue(-30);
    EXPECT_NEAR(track(1).pan, -0.3, 1e-9);
    EXPECT_EQ(pan->text(QAccessible::Value), "L 30");
    pan->actionInterface()->doAction(QAccessibleActionInterface::increaseAction());
    EXPECT_NEAR(track(1).pan, -0.25, 1e-9);
    named(QAccessible::CheckBox, "Mute 3 Voice")
        ->actionInterface()
        ->doAction(QAccessibleActionInterface::toggleAction());
    wait_for([&] { return track(2).mute; });
    named(QAccessible::CheckBox, "Mute 3 Voice")
        ->actionInterface()
        ->doAction(QAccessibleActionInterface::toggleAction());
    wait_for([&] { return !track(2).mute; });
    // The main fader, and where the song is.
    named(QAccessible::Slider, "Main fader")->valueInterface()->setCurrentValue(-3.0);
    EXPECT_EQ(session().main_fader_db, -3.0);
    EXPECT_TRUE(named(QAccessible::Chart, "Song map")->text(QAccessible::Value).startsWith("at 0:00"));
    // Ride: one point by keys.
    station(4);
    work().document.select_only(track(0).id);
    auto* editor = find<RideEditor>("rideEditor");
    editor->setFocus();
    QTest::keyClick(editor, Qt::Key_Insert);
    ASSERT_TRUE(track(0).rides[Parameter::level]);
    EXPECT_TRUE(named(QAccessible::Chart, "Automation editor")->text(QAccessible::Value).startsWith("1 point, "));
    // Hand off: the file is named, and Export is pressed.
    station(6);
    settle();
    auto* file = dynamic_cast<QLineEdit*>(named(QAccessible::EditableText, "Save to")->object());
    ASSERT_TRUE(file);
    file->setText(to_qt(folder / "out.wav"));
    press(named(QAccessible::Button, "Export"));
    wait_for([&] { return fs::exists(folder / "out.wav") && !work().exports.busy(); });
    EXPECT_EQ(load_material(folder / "out.wav", 48000).value()->channels(), 2);
}
