// Meters of many tracks in Balance while they play: what drawing them takes.  With `ridden` each track's level and pan
// are automated and turn every second, and its controls follow.
//   bench_meters FOLDER SECONDS [ridden]
#include <fmt/format.h>
#include <ctime>

#include <QApplication>
#include <QElapsedTimer>
#include <QStyleFactory>
#include <QTest>
#include <algorithm>

#include "app/window/main_window.h"

using namespace isotonus;

namespace {

double thread_seconds() {
    timespec spent{};
    clock_gettime(CLOCK_THREAD_CPUTIME_ID, &spent);
    return static_cast<double>(spent.tv_sec) + 1e-9 * static_cast<double>(spent.tv_nsec);
}

/// Times every pass in which a window draws itself: by the clock, and by what of it this thread had.  A host that takes
/// time away shows in the first alone.
struct Timed : QApplication {
    using QApplication::QApplication;
    bool counting = false;
    std::vector<double> frames_ms, own_ms;
    bool notify(QObject* receiver, QEvent* event) override {
        if (!counting || event->type() != QEvent::UpdateRequest) return QApplication::notify(receiver, event);
        QElapsedTimer clock;
        clock.start();
        const double before = thread_seconds();
        const bool done = QApplication::notify(receiver, event);
        own_ms.push_back(1e3 * (thread_seconds() - before));
        frames_ms.push_back(static_cast<double>(clock.nsecsElapsed()) * 1e-6);
        return done;
    }
};

}  // namespace

int main(int argc, char** argv) {
    Timed application(argc, argv);
    QApplication::setStyle(QStyleFactory::create("Fusion"));
    if (argc < 3) return 2;
    MainWindow window;
    window.work().player.open_device(simulated_device, 512);
    window.show();
    window.files().open_path(argv[1]);
    auto& work = window.work();
    QElapsedTimer clock;
    clock.start();
    do QTest::qWait(50);
    while (clock.elapsed() < 120000 && (work.materials.waiting() > 0 || work.mix.busy()));
    Session down = work.document.session();
    for (const auto& t : work.document.session().tracks)
        down = with_track(down, t->id, [](Track& x) { x.fader_db = -20.0; });
    const bool ridden = argc > 3 && std::string_view(argv[3]) == "ridden";
    for (const auto& t : work.document.session().tracks) {
        if (!ridden) break;
        for (const Parameter parameter : {Parameter::level, Parameter::pan}) {
            Curve curve;
            for (int second = 0; second < 200; ++second)
                curve.points.push_back({second + 0.01 * static_cast<double>(t->id % 100),
                                        (second % 2 == 0 ? 1.0 : -1.0) * (parameter == Parameter::pan ? 0.5 : 4.0)});
            down = with_ride(down, t->id, parameter, curve);
        }
    }
    work.document.edit("Down", down);
    window.stations().choose(2);
    QTest::qWait(2000);
    work.player.toggle_playing();
    QTest::qWait(1000);
    application.counting = true;
    const double before = thread_seconds();
    clock.restart();
    QTest::qWait(static_cast<int>(1000.0 * std::atof(argv[2])));
    const double wall_s = static_cast<double>(clock.elapsed()) * 1e-3, spent_s = thread_seconds() - before;
    application.counting = false;
    auto &f = application.frames_ms, &own = application.own_ms;
    std::sort(f.begin(), f.end());
    std::sort(own.begin(), own.end());
    if (f.empty()) return fmt::print("nothing was drawn\n"), 1;
    fmt::print(
        "meters of {} tracks{}: {:.1f} frames a second, {:.1f} % of one core for the whole interface; a frame takes "
        "{:.2f} ms (median), {:.2f} ms (99th percentile), of which this thread computes {:.2f} and {:.2f} ms; a frame "
        "of 60 a second lasts 16.7 ms\n",
        work.document.session().tracks.size(), ridden ? " whose levels and pans ride" : "",
        static_cast<double>(f.size()) / wall_s, 100.0 * spent_s / wall_s, f[f.size() / 2], f[f.size() * 99 / 100],
        own[own.size() / 2], own[own.size() * 99 / 100]);
    work.player.stop();
    work.document.start_new();
    return 0;
}
