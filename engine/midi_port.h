// MIDI in and out: real ports through RtMidi, and a pair within the process for the simulated fader box.
#pragma once

#include <functional>
#include <memory>
#include <mutex>
#include <string>
#include <vector>

#include "core/result.h"
#include "engine/fader_midi.h"

namespace isotonus {

class MidiPort {
  public:
    virtual ~MidiPort() = default;
    virtual void send(const MidiBytes& message) = 0;
    using Receiver = std::function<void(const MidiBytes&)>;
    /// Called for every message that comes in, on the port's own thread (of a pair: the sender's).  What comes in
    /// before is dropped.  May be set while messages come in.
    void on_message(Receiver receive) {
        auto next = std::make_shared<const Receiver>(std::move(receive));
        const std::scoped_lock lock(mutex_);
        receive_.swap(next);
    }

  protected:
    void take(const MidiBytes& message) {
        std::shared_ptr<const Receiver> receive;
        {
            const std::scoped_lock lock(mutex_);
            receive = receive_;
        }
        if (receive && *receive) (*receive)(message);
    }

  private:
    std::mutex mutex_;
    std::shared_ptr<const Receiver> receive_;
};

/// Two ends: what one sends the other receives, at once.
std::pair<std::shared_ptr<MidiPort>, std::shared_ptr<MidiPort>> midi_pair();

/// Devices that can be heard, by name; those of the system's sequencer and of a JACK server, where there are any.
std::vector<std::string> midi_inputs();

/// Opens a device for both ways (its output of the same name, where it has one).  Fails with a sentence.
Result<std::shared_ptr<MidiPort>> open_midi(const std::string& name);

/// A device of our own that other programs see, by this name.
Result<std::shared_ptr<MidiPort>> make_midi(const std::string& name);

}  // namespace isotonus
