// Any bytes as messages of a fader box: positions from 0 to 1, faders and channels that there are, never a crash.
#include <cstdlib>

#include "engine/fader_midi.h"

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
    using namespace isotonus;
    FaderMidiReader reader;
    // The first byte of each piece says how long the message is.
    for (size_t at = 0; at < size;) {
        const size_t length = std::min<size_t>(data[at] % 8, size - at - 1);
        const std::span<const uint8_t> message(data + at + 1, length);
        if (const auto move = reader.move(message)) {
            if (!(move->position >= 0.0 && move->position <= 1.0)) std::abort();
            if (move->address.channel < 0 || move->address.channel > 15) std::abort();
            if (move->address.control < 0 || move->address.control > 127) std::abort();
        }
        if (const auto touch = FaderMidiReader::touch(message))
            if (touch->fader < 0 || touch->fader > 127) std::abort();
        at += length + 1;
    }
    return 0;
}
