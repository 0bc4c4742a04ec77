#include "engine/fader_midi.h"

#include <algorithm>
#include <cmath>

namespace isotonus {

namespace {

constexpr uint8_t note_off = 0x80, note_on = 0x90, control_change = 0xB0, pitch_bend = 0xE0;
constexpr int touch_channel = 15;

uint8_t status(uint8_t kind, int channel) { return static_cast<uint8_t>(kind | channel); }
uint8_t low7(int value) { return static_cast<uint8_t>(value & 0x7f); }

}  // namespace

int steps_of(FaderSpeech speech) { return speech == FaderSpeech::control_7 ? 127 : 16383; }

std::optional<FaderMove> FaderMidiReader::move(std::span<const uint8_t> m) {
    if (m.size() != 3) return std::nullopt;
    const int kind = m[0] & 0xf0, channel = m[0] & 0x0f, first = m[1] & 0x7f, second = m[2] & 0x7f;
    if (kind == pitch_bend) return FaderMove{{FaderSpeech::pitch_bend, channel, 0}, (second << 7 | first) / 16383.0};
    if (kind != control_change || first >= 120) return std::nullopt;  // 120 and above are channel modes
    if (first < 32) coarse_[{channel, first}] = second;
    if (first >= 32 && first < 64)
        if (const auto coarse = coarse_.find({channel, first - 32}); coarse != coarse_.end())
            return FaderMove{{FaderSpeech::control_14, channel, first - 32}, (coarse->second << 7 | second) / 16383.0};
    return FaderMove{{FaderSpeech::control_7, channel, first}, second / 127.0};
}

std::optional<FaderTouch> FaderMidiReader::touch(std::span<const uint8_t> m) {
    if (m.size() != 3 || (m[0] & 0x0f) != touch_channel || m[1] > 7) return std::nullopt;
    const int kind = m[0] & 0xf0;
    if (kind != note_on && kind != note_off) return std::nullopt;
    return FaderTouch{m[1], kind == note_on && m[2] > 0};
}

std::vector<MidiBytes> fader_bytes(const FaderAddress& a, double position) {
    const auto value = static_cast<int>(std::lround(std::clamp(position, 0.0, 1.0) * steps_of(a.speech)));
    switch (a.speech) {
        case FaderSpeech::pitch_bend:
            return {{status(pitch_bend, a.channel), low7(value), low7(value >> 7)}};
        case FaderSpeech::control_14:
            return {{status(control_change, a.channel), low7(a.control), low7(value >> 7)},
                    {status(control_change, a.channel), low7(a.control + 32), low7(value)}};
        case FaderSpeech::control_7:
            break;
    }
    return {{status(control_change, a.channel), low7(a.control), low7(value)}};
}

MidiBytes touch_bytes(const FaderTouch& touch) {
    return {status(note_on, touch_channel), low7(touch.fader), low7(touch.on ? 127 : 0)};
}

bool Pickup::takes(double control, double value) {
    // The value went elsewhere by other hands: the control has to meet it anew.
    if (met_ && taken_ && std::fabs(*taken_ - value) > near) met_ = false;
    if (!met_) {
        const bool crossed = last_ && (*last_ - value) * (control - value) <= 0.0;
        met_ = crossed || std::fabs(control - value) <= near;
    }
    last_ = control;
    if (met_) taken_ = control;
    return met_;
}

}  // namespace isotonus
