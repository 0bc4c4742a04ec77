#include "engine/fader_box.h"

#include <algorithm>

namespace isotonus {

FaderBox::FaderBox(std::shared_ptr<MidiPort> port, FaderSpeech speech) : port_(std::move(port)), speech_(speech) {
    port_->on_message([this](const MidiBytes& message) { receive(message); });
}

/// Pitch bend and channel volume (control 7 with its fine half 39), a channel for each fader.
FaderAddress FaderBox::address(FaderSpeech speech, int fader) {
    return {speech, fader, speech == FaderSpeech::pitch_bend ? 0 : 7};
}

void FaderBox::touch(int fader) {
    at_[static_cast<size_t>(fader)].touched = true;
    port_->send(touch_bytes({fader, true}));
}

void FaderBox::move(int fader, double position) {
    at_[static_cast<size_t>(fader)].position = std::clamp(position, 0.0, 1.0);
    for (const MidiBytes& m : fader_bytes(address(speech_, fader), position)) port_->send(m);
}

void FaderBox::release(int fader) {
    at_[static_cast<size_t>(fader)].touched = false;
    port_->send(touch_bytes({fader, false}));
}

/// The motor: not against a hand.
void FaderBox::receive(const MidiBytes& message) {
    const auto move = reader_.move(message);
    if (!move || move->address.channel >= faders) return;
    if (move->address != address(speech_, move->address.channel)) return;
    Fader& fader = at_[static_cast<size_t>(move->address.channel)];
    if (fader.touched || fader.position == move->position) return;
    fader.position = move->position;
    if (moved) moved();
}

}  // namespace isotonus
