// Whether what is drawn can be seen: contrasts of both themes, the frame of what has the keyboard, and that the
// keyboard reaches every control and leaves it again. Source: W3C, Web Content Accessibility Guidelines 2.1 (5 June
// 2018): the definitions of relative luminance and contrast ratio, and the success criteria 1.4.3 (text 4.5 : 1)
// and 1.4.11 (what carries meaning 3 : 1).
#include <QCheckBox>
#include <QComboBox>
#include <QLineEdit>
#include <QRadioButton>
#include <cmath>
#include <map>
#include <set>

#include "app/style/figure_box.h"
#include "app/style/theme.h"
#include "tests/app/dialogs.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

double luminance(const QColor& colour) {
    const auto linear = [](double v) { return v <= 0.03928 ? v / 12.92 : std::pow((v + 0.055) / 1.055, 2.4); };
    return 0.2126 * linear(colour.redF()) + 0.7152 * linear(colour.greenF()) + 0.0722 * linear(colour.blueF());
}

double contrast(const QColor& a, const QColor& b) {
    const double one = luminance(a) + 0.05, other = luminance(b) + 0.05;
    return std::max(one, other) / std::min(one, other);
}

/// The widget's own picture, with the keyboard or without.
QImage picture(QWidget& widget, QWidget& elsewhere, bool focused) {
    (focused ? widget : elsewhere).setFocus(Qt::TabFocusReason);
    QCoreApplication::processEvents();
    return widget.grab().toImage();
}

/// How wide the frame is that focus puts around a widget, px: at the middle of its left edge.
int frame_of_focus(QWidget& widget, QWidget& elsewhere) {
    const QImage without = picture(widget, elsewhere, false), with = picture(widget, elsewhere, true);
    const int y = with.height() / 2;
    int wide = 0, before = 0;
    for (int x = 0; x < 6; ++x) {
        wide += with.pixelColor(x, y) == theme().focus() ? 1 : 0;
        before += without.pixelColor(x, y) == theme().focus() ? 1 : 0;
    }
    EXPECT_EQ(before, 0) << "only what has the keyboard is framed";
    return wide;
}

class Seen : public Window {
  protected:
    void TearDown() override {
        set_night(false);
        Window::TearDown();
    }
    /// Every control that the Tab key comes to in two rounds: what belongs to a track can be used once that was come
    /// to.
    std::set<const QWidget*> reached(QWidget& top) {
        std::map<const QWidget*, int> times;
        for (int n = 0; n < 3000; ++n) {
            QWidget* const now = top.focusWidget();
            if (now && ++times[now] > 2) break;
            QTest::keyClick(now ? now : &top, Qt::Key_Tab);
        }
        std::set<const QWidget*> all;
        for (const auto& [widget, count] : times) all.insert(widget);
        return all;
    }
    /// What is seen, can be used, and was not come to.
    QStringList missed(QWidget& top) {
        const auto all = reached(top);
        QStringList left;
        for (const QWidget* w : top.findChildren<QWidget*>()) {
            const bool button = qobject_cast<const QAbstractButton*>(w), field = qobject_cast<const QLineEdit*>(w);
            const bool box = qobject_cast<const QComboBox*>(w) || qobject_cast<const QAbstractSpinBox*>(w);
            if (!(button || field || box || qobject_cast<const Lane*>(w))) continue;
            if (w->window() != &top || !w->isVisible() || !w->isEnabled()) continue;
            const QWidget* holder = w->parentWidget();  // the field of a box, the corner of a table
            if (qobject_cast<const QAbstractSpinBox*>(holder) || qobject_cast<const QComboBox*>(holder) ||
                qobject_cast<const QAbstractItemView*>(holder) || w->inherits("QTableCornerButton"))
                continue;
            // Of buttons of which one is on, that one is come to, and the arrow keys go to the others.
            const auto* b = qobject_cast<const QAbstractButton*>(w);
            if (b && b->autoExclusive() && !b->isChecked()) continue;
            if (!all.count(w)) left << QString("%1 (%2)").arg(w->objectName(), w->metaObject()->className());
        }
        return left;
    }
};

}  // namespace

TEST(Theme, colours_can_be_told_from_what_they_lie_on) {
    application();
    for (const bool at_night : {false, true}) {
        set_night(at_night);
        const Theme& t = theme();
        const std::pair<const char*, QColor> letters[] = {
            {"text", t.text},     {"faint", t.faint}, {"accent", t.accent},  {"below", t.below},
            {"inside", t.inside}, {"above", t.above}, {"clipped", t.clipped}};
        for (const QColor& paper : {t.ground, t.panel}) {
            for (const auto& [name, colour] : letters)
                EXPECT_GE(contrast(colour, paper), 4.5) << name << " at night: " << at_night;
            EXPECT_GE(contrast(t.scale, paper), 3.0) << "scale, at night: " << at_night;
            EXPECT_GE(contrast(t.focus(), paper), 3.0) << "focus, at night: " << at_night;
            for (size_t n = 0; n < t.track_colours.size(); ++n)
                EXPECT_GE(contrast(t.track_colours[n], paper), 3.0)
                    << "track colour " << n << " at night: " << at_night;
        }
        // Letters on filled buttons, and the filled part of a bar in its groove.
        for (const auto& [name, colour] : letters) {
            EXPECT_GE(contrast(t.ground, colour), 4.5) << "on " << name << " at night: " << at_night;
            EXPECT_GE(contrast(colour, t.rule), 3.0) << name << " in a groove, at night: " << at_night;
        }
    }
    set_night(false);
}

TEST_F(Seen, what_has_the_keyboard_has_a_frame_of_two_pixels) {
    import_all();
    for (const bool at_night : {false, true}) {
        set_night(at_night);
        QWidget box;
        box.setObjectName("window");
        auto* layout = new QVBoxLayout(&box);
        QLineEdit first("elsewhere");
        auto* tool = new QToolButton;
        tool->setText("tool");
        auto* choice = new QComboBox;
        choice->addItem("choice");
        const std::vector<QWidget*> controls{
            new QPushButton("push"),  tool, choice, new QLineEdit("line"), new QCheckBox("check"), new FigureBox,
            new QRadioButton("radio")};
        layout->addWidget(&first);
        for (QWidget* w : controls) layout->addWidget(w);
        for (QWidget* w : controls) w->setFocusPolicy(Qt::StrongFocus);
        box.show();
        box.activateWindow();
        ASSERT_TRUE(QTest::qWaitForWindowActive(&box));
        for (QWidget* w : controls)
            EXPECT_GE(frame_of_focus(*w, first), 2) << w->metaObject()->className() << " at night: " << at_night;
        layout->removeWidget(&first);
        first.setParent(nullptr);
    }
    window->activateWindow();
    ASSERT_TRUE(QTest::qWaitForWindowActive(window.get()));
    station(2);
    auto* lane = window->findChild<Lane*>();
    ASSERT_TRUE(lane);
    EXPECT_GE(frame_of_focus(*lane, *find<QAbstractButton>("play")), 2);
    auto* tab = find<QAbstractButton>("stationBalance");
    EXPECT_GE(frame_of_focus(*tab, *lane), 2);
}

TEST_F(Seen, the_keyboard_reaches_every_control_of_every_station_and_leaves_it) {
    import_all();
    for (int n = 0; n < 7; ++n) {
        station(n);
        if (n == 0) work().view.show_panel(true);
        if (n == 2) key(Qt::Key_B);
        settle();
        window->activateWindow();
        ASSERT_TRUE(QTest::qWaitForWindowActive(window.get()));
        const QStringList left = missed(*window);
        EXPECT_TRUE(left.isEmpty()) << "station " << n + 1 << ": " << left.join(", ").toStdString();
    }
}

TEST_F(Seen, the_keyboard_reaches_every_control_of_dialogs) {
    import_all();
    with_each_dialog(*window, [this](QWidget& dialog) {
        const QStringList left = missed(dialog);
        EXPECT_TRUE(left.isEmpty()) << left.join(", ").toStdString();
    });
}

TEST_F(Seen, a_button_with_the_keyboard_is_pressed_by_enter_and_space_still_plays) {
    import_all();
    station(2);
    auto* mute = window->findChild<QAbstractButton*>("mute");
    ASSERT_TRUE(mute);
    mute->setFocus(Qt::TabFocusReason);
    catch_up();
    QTest::keyClick(mute, Qt::Key_Return);
    wait_for([&] { return track(0).mute; });
    QTest::keyClick(mute, Qt::Key_Space);
    wait_for([&] { return work().player.playing(); });
    EXPECT_TRUE(track(0).mute) << "Space is for the transport";
}
