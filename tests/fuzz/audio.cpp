// Any bytes as an audio file: an error or a measurement, never a crash or a level that is not a number.
#include <unistd.h>

#include <cmath>
#include <cstdlib>
#include <fstream>

#include "core/measure/measure.h"

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
    using namespace isotonus;
    static const std::string file = "/tmp/isotonus-fuzz-" + std::to_string(getpid());
    std::ofstream(file, std::ios::binary)
        .write(reinterpret_cast<const char*>(data), static_cast<std::streamsize>(size));
    const auto outcome = measure_file(file);
    std::filesystem::remove(file);
    if (outcome) {
        const Measurement& m = outcome->measurement;
        for (const Level& l : {m.sample_peak_dbfs, m.true_peak_dbtp, m.rms_dbfs, m.average_dbfs, m.integrated_lufs})
            if (l && std::isnan(*l)) std::abort();
    }
    return 0;
}
