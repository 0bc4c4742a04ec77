// The real window in a process of its own, in which somebody moves a fader without ever pausing; a test kills it at any
// moment.  Each move is a real key event; after it the fader's value and the time are printed.
//   isotonus-typist SESSION
#include <QApplication>
#include <QStyleFactory>
#include <QTest>
#include <chrono>
#include <cstdio>

#include "app/window/main_window.h"

int main(int argc, char** argv) {
    setenv("QT_QPA_PLATFORM", "offscreen", 1);
    QApplication application(argc, argv);
    QApplication::setStyle(QStyleFactory::create("Fusion"));
    isotonus::MainWindow window;
    window.work().player.open_device(isotonus::simulated_device, 512);
    window.show();
    if (argc != 2 || !window.files().open_path(argv[1])) return 1;
    QTest::keyClick(&window, Qt::Key_3, Qt::AltModifier);  // Balance
    const isotonus::TrackId id = window.work().document.session().tracks.front()->id;
    QTimer moves;
    int count = 0;
    QObject::connect(&moves, &QTimer::timeout, [&] {
        auto* lane = window.desk().lane_of(id);
        lane->setFocus();
        // Up for 20 steps, then down, by 0.1 dB: every value tells when it was.
        QTest::keyClick(lane, ++count % 40 < 20 ? Qt::Key_Right : Qt::Key_Left, Qt::ShiftModifier);
        using namespace std::chrono;
        std::printf("%lld %d %.4f\n",
                    static_cast<long long>(duration_cast<milliseconds>(steady_clock::now().time_since_epoch()).count()),
                    count, window.work().document.track(id)->fader_db);
        std::fflush(stdout);
    });
    moves.start(15);
    return QApplication::exec();
}
