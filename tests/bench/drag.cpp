// bench_drag FOLDER: a band of the equaliser dragged in Shape, with chains on all rows: how long each step takes until
// it is drawn.
#include <fmt/format.h>

#include <QApplication>
#include <QElapsedTimer>
#include <QStyleFactory>
#include <QTest>
#include <algorithm>

#include "app/shape/shape.h"
#include "app/window/main_window.h"
#include "core/shape/equaliser.h"

using namespace isotonus;

int main(int argc, char** argv) {
    QApplication application(argc, argv);
    QApplication::setStyle(QStyleFactory::create("Fusion"));
    if (argc < 2) return 2;
    MainWindow window;
    Workspace& work = window.work();
    work.player.open_device(simulated_device, 512);
    window.resize(1280, 800);
    window.show();
    window.files().take_in({argv[1]});
    const auto settled = [&] {
        do QTest::qWait(50);
        while (work.materials.busy() || work.mix.busy());
    };
    settled();
    Session session = work.document.session();
    for (const auto& t : SharedList(session.tracks))
        session = with_chain(session, t->id, [](Chain& chain) {
            chain.push_back(new_processor(*processor_type("low_cut"), chain));
            for (const double hz : {120.0, 300.0, 700.0, 1500.0, 4000.0, 9000.0}) add_bell(chain, {hz, 3.0, 1.4});
            chain.push_back(new_processor(*processor_type("compressor"), chain));
        });
    work.document.edit("Chains", session);
    work.document.select_only(session.tracks.front()->id);
    window.stations().choose(3);
    settled();
    QTest::qWait(1000);
    auto* picture = window.findChild<ShapePicture*>("shapePicture");
    if (!picture) return 1;
    const QRect c = picture->rect().adjusted(34, 10, -12, -26);
    const FrequencyRuler ruler{static_cast<double>(c.left()), static_cast<double>(c.right())};
    QPoint at(static_cast<int>(ruler.x_of(700.0)), static_cast<int>(c.center().y() - 3.0 / 24.0 * c.height() / 2.0));
    QTest::mousePress(picture, Qt::LeftButton, Qt::NoModifier, at);
    QElapsedTimer clock;
    std::vector<double> frames_ms;
    for (int n = 0; n < 240; ++n) {
        at += QPoint(n < 120 ? 1 : -1, n % 3 - 1);
        clock.restart();
        QTest::mouseMove(picture, at);
        QApplication::processEvents();
        frames_ms.push_back(static_cast<double>(clock.nsecsElapsed()) * 1e-6);
        // What is left of a frame goes to what works behind the window.
        const int left = static_cast<int>(16.7 - frames_ms.back());
        if (left > 0) QTest::qSleep(left);
    }
    QTest::mouseRelease(picture, Qt::LeftButton, Qt::NoModifier, at);
    std::sort(frames_ms.begin(), frames_ms.end());
    fmt::print(
        "{} rows with chains, a band dragged: a step drawn in {:.1f} ms (median), {:.1f} ms (99th percentile), {:.1f} "
        "ms "
        "at most; a frame of 60 a second lasts 16.7 ms\n",
        session.tracks.size(), frames_ms[frames_ms.size() / 2], frames_ms[frames_ms.size() * 99 / 100],
        frames_ms.back());
    window.work().document.start_new();
}
