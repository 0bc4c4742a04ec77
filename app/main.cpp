// isotonus: the desktop application.

#include <CLI/CLI.hpp>
#include <QApplication>
#include <QStyleFactory>
#include <QTimer>

#include "app/window/main_window.h"

int main(int argc, char** argv) {
    QApplication application(argc, argv);
    QApplication::setApplicationName("Isotonus");
    QApplication::setDesktopFileName("isotonus");
    QApplication::setStyle(QStyleFactory::create("Fusion"));
    CLI::App options{"Isotonus: sets a static mix, from a folder of audio to a hand-off."};
    std::string path, shot;
    bool demo = false;
    options.add_option("path", path, "a session, or a folder of audio files");
    options.set_version_flag("--version", "isotonus " ISOTONUS_VERSION);
    options.add_flag("--demo", demo, "open the demo");
    options.add_option("--picture", shot,
                       "once everything is measured, write a picture of the window to this file and quit");
    CLI11_PARSE(options, argc, argv);

    isotonus::MainWindow window;
    window.show();
    if (demo) {
        window.files().open_demo();
    } else if (!path.empty()) {
        window.files().open_path(path);
    } else {
        QTimer::singleShot(0, &window, [&window] { window.files().offer_recovery(); });
    }
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
    return QApplication::exec();
}
