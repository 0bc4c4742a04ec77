// bench_scan FILE: measuring a file on one thread, against feeding the same samples to libebur128.
// Both read the file; libebur128 with integrated, range and true peak on.
#include <ebur128.h>
#include <fmt/format.h>

#include <algorithm>
#include <chrono>

#include "core/audio/sound_file.h"
#include "core/measure/measure.h"

using namespace isotonus;

namespace {

template <class Work>
double best_of(int times, Work work) {
    double best = 1e9;
    for (int n = 0; n < times; ++n) {
        const auto start = std::chrono::steady_clock::now();
        work();
        best = std::min(best, std::chrono::duration<double>(std::chrono::steady_clock::now() - start).count());
    }
    return best;
}

void by_libebur128(const char* file) {
    auto reader = SoundReader::open(file).value();
    const SoundInfo info = reader.info();
    auto* state = ebur128_init(static_cast<unsigned>(info.channels), static_cast<unsigned long>(info.sample_rate),
                               EBUR128_MODE_I | EBUR128_MODE_LRA | EBUR128_MODE_TRUE_PEAK);
    std::vector<float> block(static_cast<size_t>(4096 * info.channels));
    for (int64_t at = 0; at < info.frames; at += 4096) {
        const int64_t frames = std::min<int64_t>(4096, info.frames - at);
        (void)reader.read(at, frames, block.data());
        ebur128_add_frames_float(state, block.data(), static_cast<size_t>(frames));
    }
    double loudness = 0.0, range = 0.0, peak = 0.0;
    ebur128_loudness_global(state, &loudness);
    ebur128_loudness_range(state, &range);
    ebur128_true_peak(state, 0, &peak);
    ebur128_destroy(&state);
}

}  // namespace

int main(int argc, char** argv) {
    if (argc < 2) return 2;
    const double ours = best_of(5, [&] { (void)measure_file(argv[1]); });
    const double theirs = best_of(2, [&] { by_libebur128(argv[1]); });
    fmt::print("scan on one thread: {:.3f} s; libebur128 (I, LRA, true peak) {:.3f} s; {:.1f} times faster\n", ours,
               theirs, theirs / ours);
}
