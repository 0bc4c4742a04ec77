// isotonus: the desktop application.

#include <CLI/CLI.hpp>
#include <QApplication>
#include <QStyleFactory>
#include <QTimer>
#include <algorithm>
#include <string_view>

#include "app/style/language.h"
#include "app/style/spoken.h"
#include "app/window/main_window.h"

namespace {

/// The last net: what nobody caught is told, unsaved work is kept aside, and the program goes on.
class Application : public QApplication {
  public:
    using QApplication::QApplication;
    isotonus::MainWindow* window = nullptr;
    bool notify(QObject* to, QEvent* event) override {
        try {
            return QApplication::notify(to, event);
        } catch (const std::bad_alloc&) {
            tell("the memory is full. Close other programs and try again.");
        } catch (const std::exception& e) {
            tell(QString::fromLocal8Bit(e.what()));
        }
        return false;
    }

  private:
    void tell(const QString& what) {
        if (!window) return;
        window->work().document.keep_aside();
        window->work().prompter->complain(
            QCoreApplication::translate(
                "isotonus",
                "Isotonus met an error of its own: %1. Unsaved work is kept; restart the program to continue.")
                .arg(what));
    }
};

}  // namespace

int main(int argc, char** argv) {
    CLI::App options{"Isotonus: sets a static mix, from a folder of audio to a hand-off."};
    std::string path, shot;
    bool demo = false;
    options.add_option("path", path, "a session, or a folder of audio files");
    options.set_version_flag("--version", "isotonus " ISOTONUS_VERSION);
    options.add_flag("--demo", demo, "open the demo");
    options.add_option("--picture", shot,
                       "once everything is measured, write a picture of the window to this file and quit");
    // What only asks for words is answered without a display.
    if (std::any_of(argv, argv + argc,
                    [](std::string_view word) { return word == "-h" || word == "--help" || word == "--version"; }))
        CLI11_PARSE(options, argc, argv);
    // Qt reads it once, at its start; whoever has set it for this run means it.
    if (const int percent = isotonus::Settings().zoom();
        percent != 100 && !qEnvironmentVariableIsSet("QT_SCALE_FACTOR"))
        qputenv("QT_SCALE_FACTOR", QByteArray::number(percent / 100.0));
    Application application(argc, argv);  // takes Qt's own options away
    QApplication::setApplicationName("Isotonus");
    QApplication::setDesktopFileName("isotonus");
    QApplication::setStyle(QStyleFactory::create("Fusion"));
    CLI11_PARSE(options, argc, argv);

    isotonus::speak(isotonus::Settings().language());
    isotonus::speak_for_controls();
    isotonus::MainWindow window;
    application.window = &window;
    window.show();
    window.tidy();
    QTimer::singleShot(0, &window, [&] {
        if (window.files().offer_recovery()) return;  // what was not saved comes before what was asked for
        if (demo)
            window.files().open_demo();
        else if (!path.empty())
            window.files().open_path(path);
    });
    QTimer look;
    if (!shot.empty()) {
        QObject::connect(&look, &QTimer::timeout, &window, [&] {
            auto& work = window.work();
            if (work.document.session().tracks.empty() || work.materials.waiting() > 0 || work.mix.busy() ||
                !work.mix.peak())
                return;
            look.stop();
            QApplication::exit(window.grab().save(QString::fromStdString(shot)) ? 0 : 1);
        });
        look.start(20);
    }
    const int status = QApplication::exec();
    application.window = nullptr;
    return status;
}
