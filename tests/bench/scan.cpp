// bench_scan FILE...: measuring files, against feeding the same samples to libebur128 with integrated, range and true
// peak on, and against only reading and converting them.  One file: on one thread; several: ours and the reading on
// two.
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

/// Samples as floats, block by block, and nothing else.
void read_only(const char* file) {
    auto reader = SoundReader::open(file).value();
    std::vector<float> block(static_cast<size_t>(4096 * reader.info().channels));
    for (int64_t at = 0; at < reader.info().frames; at += 4096)
        (void)reader.read(at, std::min<int64_t>(4096, reader.info().frames - at), block.data());
}

}  // namespace

int main(int argc, char** argv) {
    if (argc < 2) return 2;
    const std::vector<const char*> files(argv + 1, argv + argc);
    const int workers = files.size() > 1 ? 2 : 1;
    const auto each = [&](const auto& work) {
        parallel_for(static_cast<int64_t>(files.size()), workers,
                     [&](int64_t i) { work(files[static_cast<size_t>(i)]); });
    };
    const double ours = best_of(5, [&] { each([](const char* file) { (void)measure_file(file); }); });
    const double reading = best_of(5, [&] { each(read_only); });
    const double theirs = best_of(files.size() > 1 ? 1 : 2, [&] {
        for (const char* file : files) by_libebur128(file);
    });
    fmt::print(
        "scan of {} file(s), {} thread(s): {:.3f} s; libebur128 (I, LRA, true peak), one by one: {:.3f} s, {:.1f} "
        "times as long; "
        "reading and converting alone: {:.3f} s, ours takes {:.2f} times as long\n",
        files.size(), workers, ours, theirs, theirs / ours, reading, ours / reading);
}
