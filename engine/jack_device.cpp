// JACK's own library, and PipeWire's in its place: the size of a block changes while a client is open, whenever another
// client asks for it, which is told by a callback.
#include <jack/jack.h>

#include <algorithm>

#include "engine/servers.h"

namespace isotonus {

namespace {

void say_nothing(const char*) {}

/// A client that is opened and closed in time; null when there is no server.
std::shared_ptr<jack_client_t> client_of_server() {
    jack_set_error_function(say_nothing);
    jack_set_info_function(say_nothing);
    jack_client_t* client = nullptr;
    // PipeWire's library gives up when something else vanishes while it takes stock of what is there.
    jack_status_t status = JackInitFailure;
    for (int tries = 0; tries < 5 && !client && (status & JackInitFailure); ++tries)
        client = jack_client_open("Isotonus", JackNoStartServer, &status);
    return {client, [](jack_client_t* c) {
                if (c) jack_client_close(c);
            }};
}

/// Ports that take sound, by the client that they belong to, in the client's own order: its channels.  `flags`: what
/// they are besides (JackPortIsPhysical).
std::vector<std::pair<std::string, std::vector<std::string>>> inputs_of(jack_client_t* client, unsigned long flags) {
    std::vector<std::pair<std::string, std::vector<std::string>>> found;
    const std::string own = std::string(jack_get_client_name(client)) + ':';
    const char** ports = jack_get_ports(client, nullptr, JACK_DEFAULT_AUDIO_TYPE, JackPortIsInput | flags);
    for (const char** port = ports; port && *port; ++port) {
        const std::string name = *port;
        if (name.starts_with(own)) continue;
        const std::string owner = name.substr(0, name.find(':'));
        auto at = std::find_if(found.begin(), found.end(), [&](const auto& f) { return f.first == owner; });
        if (at == found.end()) at = found.insert(found.end(), {owner, {}});
        at->second.push_back(name);
    }
    if (ports) jack_free(ports);
    std::erase_if(found, [](const auto& f) { return f.second.size() < 2; });
    return found;
}

/// An open client.  It may outlive the device that it was opened for, when the server does not let go of it.
struct Client {
    std::shared_ptr<Outlet> outlet;
    jack_port_t* out[2] = {};
    std::string plays_to;
    std::vector<float> block = std::vector<float>(2 * longest);
    std::atomic<int> frames{0}, rate{0};
    std::atomic<bool> gone{false}, ran_dry{false};
    std::atomic<int> steady{0};             ///< cycles in a row of which none was missed
    jack_nframes_t next_cycle = 0;          ///< the frame of the server at which it begins
    std::shared_ptr<jack_client_t> client;  ///< closed first: until then its thread uses the rest

    static constexpr int longest = 8192;  ///< frames that are asked for at once

    static int process(jack_nframes_t frames, void* self) {
        auto& c = *static_cast<Client*>(self);
        // Not every server tells of a cycle that a client missed, or ended too late.
        const jack_nframes_t began = jack_last_frame_time(c.client.get());
        if (began == c.next_cycle) {
            ++c.steady;
        } else {
            c.steady = 0;
            c.ran_dry = true;
        }
        c.next_cycle = began + frames;
        float* const left = static_cast<float*>(jack_port_get_buffer(c.out[0], frames));
        float* const right = static_cast<float*>(jack_port_get_buffer(c.out[1], frames));
        for (jack_nframes_t at = 0; at < frames;) {
            const auto part = std::min<jack_nframes_t>(frames - at, longest);
            c.outlet->ask(c.block.data(), static_cast<int>(part), c.ran_dry.exchange(false));
            for (jack_nframes_t i = 0; i < part; ++i) {
                left[at + i] = c.block[2 * i];
                right[at + i] = c.block[2 * i + 1];
            }
            at += part;
        }
        if (jack_frames_since_cycle_start(c.client.get()) > frames) c.ran_dry = true;
        return 0;
    }
    static int resized(jack_nframes_t frames, void* self) {
        static_cast<Client*>(self)->frames = static_cast<int>(frames);
        return 0;
    }
    static int other_rate(jack_nframes_t rate, void* self) {
        auto& c = *static_cast<Client*>(self);
        if (c.rate != static_cast<int>(rate)) c.gone = true;
        return 0;
    }
    static int dry(void* self) {
        static_cast<Client*>(self)->ran_dry = true;
        return 0;
    }
    static void shut_down(void* self) { static_cast<Client*>(self)->gone = true; }
};

/// Opens a client and connects it.  Hangs where the server does.
Result<std::shared_ptr<Client>> open_client(const std::string& name, const std::string& bare, int rate,
                                            std::shared_ptr<Outlet> outlet) {
    auto c = std::make_shared<Client>();
    c->outlet = std::move(outlet);
    c->client = client_of_server();
    if (!c->client) return no_such_device(name);
    jack_client_t* const jack = c->client.get();
    c->rate = static_cast<int>(jack_get_sample_rate(jack));
    if (c->rate != rate) return other_rate(name, c->rate, rate);
    c->frames = static_cast<int>(jack_get_buffer_size(jack));
    // A client that is new may be told of the others' ports a moment later.
    std::vector<std::string> ports;
    for (int looks = 0; looks < 10 && ports.empty(); ++looks) {
        if (looks > 0) std::this_thread::sleep_for(std::chrono::milliseconds(50));
        for (const auto& [owner, inputs] : inputs_of(jack, bare.empty() ? JackPortIsPhysical : 0)) {
            if (!ports.empty() || (!bare.empty() && owner != bare)) continue;
            c->plays_to = owner;
            ports = inputs;
        }
    }
    if (ports.empty()) return no_such_device(name);
    jack_set_process_callback(jack, &Client::process, c.get());
    jack_set_buffer_size_callback(jack, &Client::resized, c.get());
    jack_set_sample_rate_callback(jack, &Client::other_rate, c.get());
    jack_set_xrun_callback(jack, &Client::dry, c.get());
    jack_on_shutdown(jack, &Client::shut_down, c.get());
    const char* const names[] = {"left", "right"};
    for (size_t side = 0; side < 2; ++side)
        c->out[side] = jack_port_register(jack, names[side], JACK_DEFAULT_AUDIO_TYPE, JackPortIsOutput, 0);
    bool connected = c->out[0] && c->out[1] && jack_activate(jack) == 0;
    for (size_t side = 0; side < 2 && connected; ++side)
        connected = jack_connect(jack, jack_port_name(c->out[side]), ports[side].c_str()) == 0;
    if (!connected)
        return fail(name, translated("the sound server refuses the connection. Choose another device, or look at the "
                                     "server's own messages."));
    wait_until_steady(c->steady);
    c->ran_dry = false;
    return c;
}

class JackDevice : public Device {
  public:
    static Result<std::unique_ptr<Device>> open(const std::string& name, const std::string& bare, int rate) {
        auto device = std::unique_ptr<JackDevice>(new JackDevice(name));
        auto client = in_time<std::shared_ptr<Client>>(
            name, [name, bare, rate, outlet = device->outlet()] { return open_client(name, bare, rate, outlet); });
        if (!client) return tl::unexpected(client.error());
        device->client_ = std::move(*client);
        return device;
    }
    ~JackDevice() override {
        serve(nullptr);
        if (client_)
            (void)in_time<bool>(name(), [client = std::move(client_)]() mutable -> Result<bool> {
                client.reset();
                return true;
            });
    }
    std::string sounding() const override { return "JACK: " + client_->plays_to; }
    int block_frames() const override { return std::min<int>(client_->frames, Client::longest); }
    bool alive() const override { return !client_->gone; }

  private:
    using Device::Device;
    std::shared_ptr<Client> client_;
};

}  // namespace

std::vector<std::string> jack_devices() {
    const auto found = in_time<std::vector<std::string>>("JACK", []() -> Result<std::vector<std::string>> {
        std::vector<std::string> names;
        if (const auto client = client_of_server())
            for (const auto& [owner, ports] : inputs_of(client.get(), 0)) names.push_back(owner);
        return names;
    });
    return found.value_or(std::vector<std::string>());
}

Result<std::unique_ptr<Device>> open_jack(const std::string& name, const std::string& bare, int rate) {
    return JackDevice::open(name, bare, rate);
}

}  // namespace isotonus
