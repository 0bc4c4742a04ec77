// bench_rows FOLDER: how soon a folder's files stand as rows, and how fast the song map and the lanes follow a zoom.
#include <fmt/format.h>

#include <QApplication>
#include <QElapsedTimer>
#include <QStyleFactory>
#include <QTest>
#include <algorithm>
#include <cmath>

#include "app/songmap/song_map.h"
#include "app/window/main_window.h"

using namespace isotonus;

int main(int argc, char** argv) {
    QApplication application(argc, argv);
    QApplication::setStyle(QStyleFactory::create("Fusion"));
    if (argc < 2) return 2;
    MainWindow window;
    window.work().player.open_device(simulated_device, 512);
    window.show();
    QTest::qWait(300);
    QElapsedTimer clock;
    clock.start();
    window.files().take_in({argv[1]});
    QApplication::processEvents();
    const double listed_s = static_cast<double>(clock.nsecsElapsed()) * 1e-9;
    while (window.work().materials.waiting() > 0 || window.work().mix.busy()) QTest::qWait(20);
    const double measured_s = static_cast<double>(clock.nsecsElapsed()) * 1e-9;
    QTest::qWait(500);
    std::vector<double> frames_ms;
    auto& time = window.work().view.time;
    const auto zoom = [&](double step) {  // in and out again
        frames_ms.clear();
        for (int n = 0; n < 240; ++n) {
            clock.restart();
            time.zoom(n < 120 ? step : 1.0 / step, 40.0);
            QApplication::processEvents();
            frames_ms.push_back(static_cast<double>(clock.nsecsElapsed()) * 1e-6);
        }
        std::sort(frames_ms.begin(), frames_ms.end());
    };
    zoom(1.1);  // to single samples
    fmt::print(
        "{} rows listed in {:.3f} s, all measured in {:.2f} s; a zoom step drawn in {:.1f} ms (median), {:.1f} ms "
        "(99th "
        "percentile), {:.1f} ms at most; a frame of 60 a second lasts 16.7 ms\n",
        window.work().document.session().tracks.size(), listed_s, measured_s, frames_ms[frames_ms.size() / 2],
        frames_ms[frames_ms.size() * 99 / 100], frames_ms.back());
    // The same in Ride, with 2,000 points on every row.
    Session ridden = window.work().document.session();
    for (const auto& t : SharedList(ridden.tracks)) {
        Curve c;
        for (int n = 0; n < 2000; ++n)
            c.points.push_back({n * 0.09, 3.0 * std::sin(n * 0.37 + static_cast<double>(t->id))});
        ridden = with_ride(ridden, t->id, Parameter::level, c);
    }
    window.work().document.edit("Ride", ridden);
    window.stations().choose(4);
    while (window.work().mix.busy()) QTest::qWait(20);
    QTest::qWait(500);
    zoom(1.03);
    fmt::print(
        "in Ride, 2,000 points on every row: a zoom step drawn in {:.1f} ms (median), {:.1f} ms (99th percentile)\n",
        frames_ms[frames_ms.size() / 2], frames_ms[frames_ms.size() * 99 / 100]);
    window.work().document.start_new();
}
