// The real window for a test to drive, with three files to import and every question answered by the test.
#pragma once

#include <QAction>
#include <QApplication>
#include <QContextMenuEvent>
#include <QDropEvent>
#include <QLineEdit>
#include <QMenu>
#include <QMimeData>
#include <QMouseEvent>
#include <QPointer>
#include <QPushButton>
#include <QStyleFactory>
#include <QTest>
#include <QUrl>
#include <fstream>
#include <functional>
#include <map>

#include "app/handoff/hand_off.h"
#include "app/ride/ride.h"
#include "app/style/language.h"
#include "app/window/main_window.h"
#include "tests/support/exports.h"

namespace isotonus::test {

/// Answers every question as told, and keeps what was complained of.
struct Answers : Prompter {
    std::optional<fs::path> file, folder;
    std::vector<fs::path> files;
    Answer answer = Answer::yes;
    int asked = 0;
    QStringList complaints;
    std::optional<fs::path> open_file(const QString&, const QString&) override { return file; }
    std::vector<fs::path> open_files(const QString&, const QString&) override { return files; }
    std::optional<fs::path> choose_folder(const QString&) override { return folder; }
    std::optional<fs::path> save_file(const QString&, const QString&, const fs::path&) override { return file; }
    Answer ask(const QString&, const QString&, const QString&, const QString&) override {
        ++asked;
        return answer;
    }
    QString text;
    std::optional<QString> ask_text(const QString&, const QString&, const QString&) override {
        return text.isEmpty() ? std::nullopt : std::optional(text);
    }
    /// By place; what is not there stays as it was offered.
    std::map<size_t, double> numbers;
    bool cancel_numbers = false;
    QStringList titles;                 ///< of what asked for them
    std::function<void()> while_asked;  ///< once, when what was typed has been told
    std::optional<std::vector<double>> ask_numbers(const QString& title, const std::vector<Number>& given,
                                                   const Changed& changed) override {
        titles << title;
        std::vector<double> values;
        for (const Number& n : given)
            values.push_back(numbers.contains(values.size()) ? numbers[values.size()] : n.value);
        if (changed) changed(values);
        if (const auto look = std::exchange(while_asked, nullptr)) look();
        return cancel_numbers ? std::nullopt : std::optional(values);
    }
    size_t choice = 0;
    std::optional<size_t> ask_choice(const QString&, const QString&, const QStringList&) override { return choice; }
    void complain(const QString& text) override { complaints << text; }
};

inline QApplication* application() {
    static int argc = 1;
    static char name[] = "app_tests";
    static char* argv[] = {name, nullptr};
    static QApplication* app = [] {
        setenv("QT_QPA_PLATFORM", "offscreen", 0);  // journeys have an X server
        auto* a = new QApplication(argc, argv);
        QApplication::setStyle(QStyleFactory::create("Fusion"));
        speak("en");
        return a;
    }();
    return app;
}

/// Sees every menu and every modal dialog as it is shown, and hands it to whoever said what to do with it.  One that
/// nobody waits for is a failure, and is closed, since the test would stand still in it.
class Openings : public QObject {
  public:
    Openings() { application()->installEventFilter(this); }
    std::function<void(QWidget&)> expected;

    bool eventFilter(QObject* object, QEvent* event) override {
        auto* shown = event->type() == QEvent::Show ? qobject_cast<QWidget*>(object) : nullptr;
        if (!shown || !(qobject_cast<QMenu*>(shown) || (shown->isWindow() && shown->isModal()))) return false;
        // One that shows how far something is comes when that takes long, and goes by itself.
        if (qobject_cast<QProgressDialog*>(shown)) return false;
        // Only when it is open: its own event loop runs this.
        QMetaObject::invokeMethod(
            shown,
            [this, opened = QPointer(shown)] {
                if (const auto act = std::exchange(expected, nullptr))
                    act(*opened);
                else
                    ADD_FAILURE() << "nobody asked for " << opened->windowTitle().toStdString();
                if (!opened || !opened->isVisible()) return;
                if (!qobject_cast<QMenu*>(opened)) ADD_FAILURE() << "it was left open";
                opened->close();
            },
            Qt::QueuedConnection);
        return false;
    }
};

class Window : public testing::Test {
  protected:
    Folder folder;
    Answers answers;
    std::unique_ptr<MainWindow> window;
    Openings openings;

    void SetUp() override {
        application();
        setenv("XDG_CONFIG_HOME", (folder / "config").c_str(), 1);
        setenv("XDG_STATE_HOME", (folder / "state").c_str(), 1);
        fs::create_directories(folder / "audio");
        const auto hit = [n = noise(1, 0.9)](int64_t i, int c) {
            return n(i, c) * std::exp(-static_cast<double>(i % 24000) / 1200.0);
        };
        write(folder / "audio/1 Kick.wav", make(240000, 1, hit), 1, 48000, SampleFormat::s24);
        write(folder / "audio/2 Pad.wav", make(240000, 2, sine(220, 48000, 0.3)), 2, 48000, SampleFormat::s24);
        write(folder / "audio/3 Voice.wav", make(192000, 1, sine(440, 48000, 0.05)), 1, 48000, SampleFormat::s24);
        open_window();
    }
    void open_window() {
        window = std::make_unique<MainWindow>();
        window->set_prompter(&answers);
        window->work().player.open_device(simulated_device, 512);
        window->resize(1280, 800);  // the screen that is only in memory is smaller
        window->show();
        ASSERT_TRUE(QTest::qWaitForWindowExposed(window.get()));
    }
    Workspace& work() { return window->work(); }
    const Session& session() { return work().document.session(); }
    const Track& track(size_t n) { return *session().tracks[n]; }

    /// Lets happen what was posted, without a clock.
    static void catch_up() {
        for (int round = 0; round < 3; ++round) {
            QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
            QCoreApplication::sendPostedEvents();
            QCoreApplication::processEvents();
        }
    }
    template <class Done>
    void wait_for(Done done) {
        ASSERT_TRUE(QTest::qWaitFor(done, 60000)) << "it never happened";
    }
    /// Until all is measured, and the mix's peak known.
    void settle() {
        wait_for([&] { return work().materials.waiting() == 0; });
        catch_up();
        wait_for([&] { return !work().mix.busy(); });
        catch_up();
    }
    /// A key in the window.  After a menu or a dialog it gets its shortcuts back only once it is active again.
    void key(Qt::Key k, Qt::KeyboardModifiers modifiers = Qt::NoModifier) {
        if (!window->isActiveWindow()) {
            window->activateWindow();
            ASSERT_TRUE(QTest::qWaitForWindowActive(window.get()));
        }
        QTest::keyClick(window.get(), k, modifiers);
        catch_up();
    }
    /// What `open` opens is worked on by `act`, which closes it; that nothing opens is a failure at once.
    template <class Opened>
    void in_opened(const std::function<void()>& open, const std::function<void(Opened&)>& act) {
        openings.expected = [&](QWidget& shown) {
            auto* wanted = dynamic_cast<Opened*>(&shown);
            EXPECT_TRUE(wanted) << "another one opened: " << shown.windowTitle().toStdString();
            if (wanted) act(*wanted);
        };
        open();
        catch_up();
        EXPECT_FALSE(std::exchange(openings.expected, nullptr)) << "nothing opened";
    }
    /// Opens a widget's menu and takes the entry with these words, in a menu inside it if need be.
    void choose_in_menu(QWidget* widget, const QString& words) {
        const QPoint at(20, 10);
        in_opened<QMenu>(
            [&] {
                QContextMenuEvent event(QContextMenuEvent::Mouse, at, widget->mapToGlobal(at));
                QApplication::sendEvent(widget, &event);
            },
            [&](QMenu& menu) {
                QAction* found = nullptr;
                auto menus = menu.findChildren<QMenu*>();
                menus << &menu;
                for (QMenu* m : menus)
                    for (QAction* a : m->actions())
                        if (a->text() == words) found = a;
                EXPECT_TRUE(found) << words.toStdString();
                if (found) found->trigger();
                menu.close();
            });
    }
    void drop(const std::vector<fs::path>& paths) {
        QList<QUrl> urls;
        for (const fs::path& p : paths) urls << QUrl::fromLocalFile(to_qt(p));
        drop_urls(urls);
    }
    void drop_urls(const QList<QUrl>& urls) {
        QMimeData data;
        data.setUrls(urls);
        QDragEnterEvent enter(QPoint(600, 400), Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier);
        QApplication::sendEvent(window.get(), &enter);
        EXPECT_TRUE(enter.isAccepted());
        QDropEvent event(QPointF(600, 400), Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier);
        QApplication::sendEvent(window.get(), &event);
    }
    void import_all() {
        drop({folder / "audio"});
        settle();
        ASSERT_EQ(session().tracks.size(), 3u);
    }
    template <class Widget = QWidget>
    Widget* find(const char* name) {
        auto* found = window->findChild<Widget*>(name);
        EXPECT_TRUE(found) << name;
        return found;
    }
    void station(int n) { key(static_cast<Qt::Key>(Qt::Key_1 + n), Qt::AltModifier); }
    Lane* lane(size_t n) { return window->desk().lane_of(track(n).id); }
    void drag(QWidget* widget, QPoint from, QPoint to, Qt::KeyboardModifiers keys = Qt::NoModifier) {
        QTest::mousePress(widget, Qt::LeftButton, keys, from);
        for (int step = 1; step <= 4; ++step) {
            const QPoint at = from + (to - from) * step / 4;
            QMouseEvent move(QEvent::MouseMove, at, widget->mapToGlobal(at), Qt::NoButton, Qt::LeftButton, keys);
            QApplication::sendEvent(widget, &move);
        }
        QTest::mouseRelease(widget, Qt::LeftButton, keys, to);
    }
    void type(QWidget* lane, const QString& text) {
        lane->setFocus();
        QTest::keyClick(lane, Qt::Key_Return);
        auto* entry = lane->findChild<QLineEdit*>("valueEntry");
        ASSERT_TRUE(entry);
        QTest::keyClicks(entry, text);
        QTest::keyClick(entry, Qt::Key_Return);
    }
    void undo_everything() {
        for (int n = 0; n < 100 && work().document.can_undo(); ++n) key(Qt::Key_Z, Qt::ControlModifier);
    }
};

}  // namespace isotonus::test
