// bench_align FILE...: aligning a set of microphones with the first, against reading the same files once.
#include <fmt/format.h>

#include <chrono>

#include "core/stage/alignment.h"

using namespace isotonus;

int main(int argc, char** argv) {
    if (argc < 3) return 2;
    const auto now = [] { return std::chrono::steady_clock::now(); };
    const auto seconds = [&](auto since) { return std::chrono::duration<double>(now() - since).count(); };
    std::vector<MaterialPtr> materials;
    for (int n = 1; n < argc; ++n) materials.push_back(load_material(fs::path(argv[n]), 48000).value());
    const auto read_start = now();
    for (int n = 1; n < argc; ++n) {
        auto reader = SoundReader::open(argv[n]).value();
        std::vector<float> block(static_cast<size_t>(65536 * reader.info().channels));
        for (int64_t at = 0; at < reader.info().frames; at += 65536) (void)reader.read(at, 65536, block.data());
    }
    const double reading = seconds(read_start);
    const auto start = now();
    std::atomic<int> reliable{0};
    parallel_for(static_cast<int64_t>(materials.size()) - 1, worker_count(), [&](int64_t n) {
        reliable += align_to(*materials.front(), *materials[static_cast<size_t>(n) + 1]).value().reliable ? 1 : 0;
    });
    const double ours = seconds(start);
    fmt::print(
        "aligning {} microphones: {:.2f} s, {} with good evidence; reading the files once: {:.2f} s; {:.1f} times as "
        "long\n",
        materials.size(), ours, reliable.load(), reading, ours / reading);
}
