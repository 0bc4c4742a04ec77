#include "engine/midi_port.h"

#include <rtmidi/RtMidi.h>

#include <algorithm>

namespace isotonus {

namespace {

class PairEnd : public MidiPort {
  public:
    void send(const MidiBytes& message) override {
        if (const auto other = other_.lock()) other->take(message);
    }
    std::weak_ptr<PairEnd> other_;
};

void keep_quiet(RtMidiError::Type, const std::string&, void*) {}

/// Without a callback for errors RtMidi writes warnings to standard error.
template <class Port>
std::unique_ptr<Port> client(RtMidi::Api api) {
    std::unique_ptr<Port> port = std::make_unique<Port>(api, "isotonus");
    port->setErrorCallback(&keep_quiet);
    return port;
}

std::vector<RtMidi::Api> kinds() {
    std::vector<RtMidi::Api> compiled;
    RtMidi::getCompiledApi(compiled);
    std::erase(compiled, RtMidi::RTMIDI_DUMMY);
    return compiled;
}

template <class Port>
std::optional<unsigned> number_of(Port& port, const std::string& name) {
    for (unsigned n = 0; n < port.getPortCount(); ++n)
        if (port.getPortName(n) == name) return n;
    return std::nullopt;
}

class RealPort : public MidiPort {
  public:
    std::unique_ptr<RtMidiIn> in;
    std::unique_ptr<RtMidiOut> out;
    void listen() {
        in->ignoreTypes(true, true, true);
        in->setCallback(
            [](double, std::vector<unsigned char>* message, void* self) {
                auto& port = *static_cast<RealPort*>(self);
                if (message) port.take(*message);
            },
            this);
    }
    ~RealPort() override {
        if (in) in->cancelCallback();
    }
    void send(const MidiBytes& message) override {
        if (out) out->sendMessage(&message);
    }
};

}  // namespace

std::pair<std::shared_ptr<MidiPort>, std::shared_ptr<MidiPort>> midi_pair() {
    auto one = std::make_shared<PairEnd>(), other = std::make_shared<PairEnd>();
    one->other_ = other;
    other->other_ = one;
    return {one, other};
}

std::vector<std::string> midi_inputs() {
    std::vector<std::string> names;
    for (const RtMidi::Api api : kinds()) {
        try {
            const auto in = client<RtMidiIn>(api);
            for (unsigned n = 0; n < in->getPortCount(); ++n) names.push_back(in->getPortName(n));
        } catch (const RtMidiError&) {  // this system is not running
        }
    }
    return names;
}

Result<std::shared_ptr<MidiPort>> open_midi(const std::string& name) {
    for (const RtMidi::Api api : kinds()) {
        try {
            auto port = std::make_shared<RealPort>();
            port->in = client<RtMidiIn>(api);
            const auto number = number_of(*port->in, name);
            if (!number) continue;
            port->in->openPort(*number, "faders in");
            if (!port->in->isPortOpen())
                return fail(name,
                            translated("another program uses the MIDI device. Close that program and try again."));
            port->out = client<RtMidiOut>(api);
            // Both ways of a device mostly bear one name; else the first that begins like it.
            auto back = number_of(*port->out, name);
            std::string stem = name.substr(0, name.find(':'));
            // JACK numbers clients of one name: "box-01".
            if (const size_t dash = stem.rfind('-'); dash != std::string::npos && stem.size() == dash + 3)
                stem.resize(dash);
            for (unsigned n = 0; !back && n < port->out->getPortCount(); ++n)
                if (port->out->getPortName(n).starts_with(stem)) back = n;
            if (back)
                port->out->openPort(*back, "faders out");
            else
                port->out.reset();
            port->listen();
            return std::shared_ptr<MidiPort>(port);
        } catch (const RtMidiError&) {
        }
    }
    return fail(name, translated("the MIDI device does not exist. Connect it, or choose another one."));
}

Result<std::shared_ptr<MidiPort>> make_midi(const std::string& name) {
    for (const RtMidi::Api api : kinds()) {
        try {
            auto port = std::make_shared<RealPort>();
            port->in = std::make_unique<RtMidiIn>(api, name);
            port->out = std::make_unique<RtMidiOut>(api, name);
            port->in->setErrorCallback(&keep_quiet);
            port->out->setErrorCallback(&keep_quiet);
            port->in->openVirtualPort("in");
            port->out->openVirtualPort("out");
            port->listen();
            return std::shared_ptr<MidiPort>(port);
        } catch (const RtMidiError&) {
        }
    }
    return fail(
        name,
        translated("this machine has no MIDI: neither the ALSA sequencer nor a JACK server runs. Start one of them."));
}

}  // namespace isotonus
