// bench_realtime FOLDER DEVICE SECONDS [chains]: plays every file of a folder, 64 tracks at most, each with a ride (and
// with a low cut, six bells and a compressor), through a device; at the same time a second client of the same device
// does nothing at all.  A machine that stalls makes both late.
#include <fmt/format.h>
#include <time.h>

#include <atomic>
#include <chrono>
#include <thread>

#include "core/mix/row_signals.h"
#include "core/shape/equaliser.h"
#include "engine/engine.h"

using namespace isotonus;

namespace {

/// A client that only counts how long after its time it is called.
class Idle : public BlockSource {
  public:
    Idle(int rate, int frames) : block_s_(static_cast<double>(frames) / rate) {}
    void fill(float* out, int frames, bool underflow) override {
        std::fill(out, out + 2 * frames, 0.0f);
        const auto now = std::chrono::steady_clock::now();
        if (blocks > 0 && std::chrono::duration<double>(now - last_).count() > 2.0 * block_s_) ++late;
        if (underflow) ++underflows;
        last_ = now;
        ++blocks;
    }
    std::atomic<int64_t> blocks{0}, late{0}, underflows{0};

  private:
    double block_s_;
    std::chrono::steady_clock::time_point last_;
};

}  // namespace

int main(int argc, char** argv) {
    if (argc < 4) return 2;
    std::vector<Error> problems;
    auto session = session_from_folder(argv[1], &problems);
    if (!session) return 1;
    Session s = *session;
    if (s.tracks.size() > 64) s.tracks.change().resize(64);
    for (const auto& t : session->tracks)
        s = with_track(s, t->id, [](Track& track) {
            Curve ride;
            for (int n = 0; n < 200; ++n) ride.insert({n * 1.0, n % 2 ? -6.0 : 0.0, Segment::line});
            track.rides.set(Parameter::level, std::make_shared<const Curve>(ride));
            track.fader_db = -24.0;
        });
    const MaterialOf of_file = [&](const Track& t) {
        return load_material(source_of(t), s.sample_rate).value_or(nullptr);
    };
    RowSignals signals;
    if (argc > 4) {
        for (const auto& t : session->tracks)
            s = with_chain(s, t->id, [](Chain& chain) {
                chain.push_back(new_processor(*processor_type("low_cut"), chain));
                for (const double hz : {120.0, 300.0, 700.0, 1500.0, 4000.0, 9000.0}) add_bell(chain, {hz, 3.0, 1.4});
                chain.push_back(new_processor(*processor_type("compressor"), chain));
            });
        if (auto made = signals.make(s, of_file); !made) return fmt::print(stderr, "{}\n", made.error().text()), 1;
    }
    const PlanPtr plan = compile_plan(s, signals.played_by(s, of_file));
    Engine engine;
    engine.set_plan(plan);
    if (auto opened = engine.open(argv[2], s.sample_rate, 256); !opened) {
        fmt::print(stderr, "{}\n", opened.error().text());
        return 1;
    }
    Idle idle(s.sample_rate, 256);
    auto reference = open_device(argv[2], s.sample_rate, 256);
    if (reference) (*reference)->serve(&idle);
    engine.set_loop(0, plan->frames);
    engine.play();
    const auto until = std::chrono::steady_clock::now() + std::chrono::duration<double>(std::atof(argv[3]));
    while (std::chrono::steady_clock::now() < until) {
        std::this_thread::sleep_for(std::chrono::milliseconds(50));
        engine.levels();
        engine.watch();
    }
    const Service v = engine.service();
    fmt::print("{} tracks with rides, blocks of 256 at {} Hz for {} s on {}\n", plan->tracks.size(), s.sample_rate,
               argv[3], argv[2]);
    fmt::print("  {} blocks, {} late (longer than their own time, or the device ran dry, or samples missing)\n",
               v.blocks, v.late_blocks);
    fmt::print("  load: median {:.1f} %, most {:.1f} % of the block's time\n", 100.0 * v.load_median,
               100.0 * v.load_max);
    fmt::print("  a client that does nothing, in the same run: {} blocks, {} called late, {} underflows\n",
               idle.blocks.load(), idle.late.load(), idle.underflows.load());
}
