// bench_compare FOLDER RECORDING: third octaves of a recording against reading it; what following the last second of
// the mix and of a recording costs; how long the pictures of Compare take to draw.
#include <fmt/format.h>

#include <QApplication>
#include <QElapsedTimer>
#include <QStyleFactory>
#include <QTest>
#include <algorithm>

#include "app/compare/compare.h"
#include "app/window/main_window.h"

using namespace isotonus;

int main(int argc, char** argv) {
    QApplication application(argc, argv);
    QApplication::setStyle(QStyleFactory::create("Fusion"));
    if (argc < 3) return 2;
    const MaterialPtr recording = load_material(fs::path(argv[2]), 48000).value();
    const double long_s = recording->measurement.duration_s();
    const auto read = [&] {
        auto reader = recording->open().value();
        std::vector<float> x(65536 * 2);
        for (int64_t at = 0; at < recording->frames(); at += 65536) (void)reader->read(at, 65536, x.data());
    };
    const auto best = [](auto work) {
        double least = 1e9;
        for (int n = 0; n < 5; ++n) {
            QElapsedTimer clock;
            clock.start();
            work();
            least = std::min(least, static_cast<double>(clock.nsecsElapsed()) * 1e-9);
        }
        return least;
    };
    const double reading = best(read);
    // From a sample on, so that nothing comes from the cache.
    const double spectra = best([&] { (void)third_octaves_of(*recording, 1e-4, long_s); });
    fmt::print("third octaves of {:.0f} s: {:.3f} s on one thread; only reading it {:.3f} s: {:.1f} times\n", long_s,
               spectra, reading, spectra / reading);

    MainWindow window;
    Workspace& work = window.work();
    work.player.open_device(simulated_device, 512);
    window.resize(1280, 800);
    window.show();
    window.files().take_in({argv[1]});
    work.comparison.add_reference(argv[2]);
    window.stations().choose(5);
    do QTest::qWait(50);
    while (work.materials.waiting() > 0 || work.mix.busy() || !work.comparison.spectra.mix() ||
           !work.comparison.spectra.of(0));
    const PlanPtr mix = work.player.mix_plans().finished;
    double at_s = 5.0;
    const double one_look = best([&] {
                                for (int n = 0; n < 20; ++n, at_s += 0.25) {
                                    (void)third_octaves_of(mix, at_s - 1.0, at_s);
                                    (void)third_octaves_of(*recording, at_s - 1.0, at_s);
                                }
                            }) /
                            20.0;
    fmt::print(
        "the last second of the mix of {} tracks and of a recording: {:.2f} ms, four times a second {:.1f} % of a "
        "core\n",
        mix->tracks.size(), 1e3 * one_look, 400.0 * one_look);
    for (const char* name : {"spectrumPicture", "loudnessPicture", "widthPicture"}) {
        auto* picture = window.findChild<QWidget*>(name);
        picture->resize(820, 230);
        QPixmap canvas(picture->size());
        const double frame = best([&] {
                                 for (int n = 0; n < 20; ++n) picture->render(&canvas);
                             }) /
                             20.0;
        fmt::print("{} drawn in {:.2f} ms; a frame of 60 a second lasts 16.7 ms\n", name, 1e3 * frame);
    }
    work.document.start_new();
}
