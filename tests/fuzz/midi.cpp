// Any bytes as a MIDI file: an error, or sections and a tempo in order of time that can be written again.
#include <cmath>
#include <cstdlib>

#include "core/session/sections_file.h"

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
    using namespace isotonus;
    const auto found = sections_from_midi(std::string(reinterpret_cast<const char*>(data), size), "fuzz.mid");
    if (!found) return 0;
    for (const Section& s : found->sections)
        if (!std::isfinite(s.start_s) || s.start_s < 0.0) std::abort();
    for (const TempoMark& m : found->tempo)
        if (!(m.quarters_a_minute > 0.0) || m.beats < 1) std::abort();
    return 0;
}
