// The simulated fader box: eight faders with motors that speak MIDI like a real one.
#pragma once

#include <array>

#include "engine/midi_port.h"

namespace isotonus {

class FaderBox {
  public:
    static constexpr int faders = 8;

    explicit FaderBox(std::shared_ptr<MidiPort> port, FaderSpeech speech = FaderSpeech::pitch_bend);
    ~FaderBox() { port_->on_message({}); }
    FaderBox(const FaderBox&) = delete;
    FaderBox& operator=(const FaderBox&) = delete;

    /// Which bytes it speaks from now on.
    void speak(FaderSpeech speech) { speech_ = speech; }
    FaderSpeech speech() const { return speech_; }
    static FaderAddress address(FaderSpeech speech, int fader);

    // A hand on it.
    void touch(int fader);
    void move(int fader, double position);  ///< 0 … 1
    void release(int fader);

    double position(int fader) const { return at_[static_cast<size_t>(fader)].position; }
    bool touched(int fader) const { return at_[static_cast<size_t>(fader)].touched; }
    /// Called when a motor moved a fader.
    std::function<void()> moved;

  private:
    void receive(const MidiBytes& message);
    struct Fader {
        double position = 0.0;
        bool touched = false;
    };
    std::shared_ptr<MidiPort> port_;
    FaderSpeech speech_;
    FaderMidiReader reader_;
    std::array<Fader, faders> at_;
};

}  // namespace isotonus
