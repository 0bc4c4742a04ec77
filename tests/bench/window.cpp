// bench_window SESSION: from the start of the program to a drawn window with all measurements, cold (an empty cache)
// and with the cache; and the cost of redrawing the meters of the open session.
#include <fmt/format.h>

#include <QApplication>
#include <QElapsedTimer>
#include <QStyleFactory>
#include <QTest>

#include "app/window/main_window.h"

using namespace isotonus;

int main(int argc, char** argv) {
    QElapsedTimer clock;
    clock.start();
    QApplication application(argc, argv);
    QApplication::setStyle(QStyleFactory::create("Fusion"));
    if (argc < 2) return 2;
    MainWindow window;
    window.show();
    window.files().open_path(argv[1]);
    auto& work = window.work();
    while (work.materials.waiting() > 0 || work.mix.busy() || !work.mix.peak())
        QApplication::processEvents(QEventLoop::AllEvents, 5);
    window.grab();
    fmt::print("{:.3f}\n", static_cast<double>(clock.nsecsElapsed()) * 1e-9);
}
