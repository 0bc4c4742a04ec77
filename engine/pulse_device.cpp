// A Pulse server, which today mostly is PipeWire's: its own library tells when the server goes, when a stream runs dry
// and where it is moved to.
#include <pulse/pulseaudio.h>

#include <mutex>

#include "engine/servers.h"

namespace isotonus {

namespace {

/// A connection with the thread that keeps it.  Nothing here waits for the server longer than `server_patience`.
class Connection {
  public:
    explicit Connection(std::atomic<bool>* gone = nullptr) : loop_(pa_threaded_mainloop_new()) {
        context_ = pa_context_new(pa_threaded_mainloop_get_api(loop_), "Isotonus");
        if (gone)
            pa_context_set_state_callback(
                context_,
                [](pa_context* context, void* flag) {
                    if (!PA_CONTEXT_IS_GOOD(pa_context_get_state(context)))
                        *static_cast<std::atomic<bool>*>(flag) = true;
                },
                gone);
        pa_threaded_mainloop_start(loop_);
    }
    ~Connection() {
        {
            const Lock lock(*this);
            pa_context_set_state_callback(context_, nullptr, nullptr);
            pa_context_disconnect(context_);
            pa_context_unref(context_);
        }
        pa_threaded_mainloop_stop(loop_);
        pa_threaded_mainloop_free(loop_);
    }
    Connection(const Connection&) = delete;

    class Lock {
      public:
        explicit Lock(Connection& c) : loop_(c.loop_) { pa_threaded_mainloop_lock(loop_); }
        ~Lock() { pa_threaded_mainloop_unlock(loop_); }
        Lock(const Lock&) = delete;

      private:
        pa_threaded_mainloop* loop_;
    };

    /// Looks at something under the lock until it is so, or the patience is over.
    bool wait(const std::function<bool()>& done) {
        const auto until = std::chrono::steady_clock::now() + server_patience;
        while (true) {
            {
                const Lock lock(*this);
                if (done()) return true;
            }
            if (std::chrono::steady_clock::now() > until) return false;
            std::this_thread::sleep_for(std::chrono::milliseconds(2));
        }
    }
    Result<void> connect(const std::string& name) {
        {
            const Lock lock(*this);
            if (pa_context_connect(context_, nullptr, PA_CONTEXT_NOAUTOSPAWN, nullptr) < 0) return no_such_device(name);
        }
        pa_context_state_t state = PA_CONTEXT_UNCONNECTED;
        const bool answered = wait([&] {
            state = pa_context_get_state(context_);
            return state == PA_CONTEXT_READY || !PA_CONTEXT_IS_GOOD(state);
        });
        if (!answered)
            return fail(name, translated("the sound server does not answer. Start it, or choose another device."));
        if (state != PA_CONTEXT_READY) return no_such_device(name);
        return {};
    }
    /// The answer to a question that was asked under the lock.
    bool answered(pa_operation* asked) {
        if (!asked) return false;
        const bool done = wait([&] { return pa_operation_get_state(asked) != PA_OPERATION_RUNNING; });
        const Lock lock(*this);
        if (!done) pa_operation_cancel(asked);
        pa_operation_unref(asked);
        return done;
    }
    pa_context* context() const { return context_; }

  private:
    pa_threaded_mainloop* loop_;
    pa_context* context_;
};

struct Sink {
    std::string id, label;
};

/// Every sink, with a label that no other has.
std::vector<Sink> sinks_of(Connection& connection) {
    std::vector<Sink> sinks;
    pa_operation* asked = nullptr;
    {
        const Connection::Lock lock(connection);
        asked = pa_context_get_sink_info_list(
            connection.context(),
            [](pa_context*, const pa_sink_info* info, int, void* to) {
                if (info) static_cast<std::vector<Sink>*>(to)->push_back({info->name, info->description});
            },
            &sinks);
    }
    if (!connection.answered(asked)) return {};
    for (size_t n = 0; n < sinks.size(); ++n)
        for (size_t other = 0; other < n; ++other)
            if (sinks[other].label == sinks[n].label) sinks[n].label += " (" + sinks[n].id + ")";
    return sinks;
}

class PulseDevice : public Device {
  public:
    static Result<std::unique_ptr<Device>> open(const std::string& name, const std::string& bare, int rate,
                                                int frames) {
        auto device = std::unique_ptr<PulseDevice>(new PulseDevice(name, frames));
        if (const auto connected = device->connection_.connect(name); !connected)
            return tl::unexpected(connected.error());
        std::string sink;
        if (!bare.empty()) {
            for (const Sink& s : sinks_of(device->connection_))
                if (s.label == bare) sink = s.id;
            if (sink.empty()) return no_such_device(name);
        }
        if (const auto playing = device->play_to(sink, rate); !playing) return tl::unexpected(playing.error());
        return device;
    }
    ~PulseDevice() override {
        serve(nullptr);
        if (!stream_) return;
        const Connection::Lock lock(connection_);
        pa_stream_set_write_callback(stream_, nullptr, nullptr);
        pa_stream_set_state_callback(stream_, nullptr, nullptr);
        pa_stream_set_moved_callback(stream_, nullptr, nullptr);
        pa_stream_set_underflow_callback(stream_, nullptr, nullptr);
        pa_stream_disconnect(stream_);
        pa_stream_unref(stream_);
    }
    std::string sounding() const override {
        const std::scoped_lock lock(label_guard_);
        return "Pulse: " + label_;
    }
    int block_frames() const override { return frames_; }
    bool alive() const override { return !gone_; }

  private:
    PulseDevice(std::string name, int frames) : Device(std::move(name)), frames_(frames) {}

    static constexpr size_t frame_bytes = 2 * sizeof(float);

    /// `sink` empty: the server's own choice, which it may change; a chosen one is not left.
    Result<void> play_to(const std::string& sink, int rate) {
        const pa_sample_spec spec{PA_SAMPLE_FLOAT32NE, static_cast<uint32_t>(rate), 2};
        const auto block = static_cast<uint32_t>(static_cast<size_t>(frames_) * frame_bytes);
        // One block is played, one waits, one is being made.
        const pa_buffer_attr wanted{UINT32_MAX, 3 * block, UINT32_MAX, block, UINT32_MAX};
        {
            const Connection::Lock lock(connection_);
            stream_ = pa_stream_new(connection_.context(), "Isotonus", &spec, nullptr);
            if (!stream_) return refused();
            pa_stream_set_state_callback(stream_, &PulseDevice::state_changed, this);
            pa_stream_set_write_callback(stream_, &PulseDevice::wanted, this);
            pa_stream_set_underflow_callback(
                stream_,
                [](pa_stream*, void* self) {
                    auto& device = *static_cast<PulseDevice*>(self);
                    device.ran_dry_ = true;
                    device.steady_ = 0;
                },
                this);
            pa_stream_set_moved_callback(
                stream_, [](pa_stream*, void* self) { static_cast<PulseDevice*>(self)->ask_label(); }, this);
            const auto flags = static_cast<pa_stream_flags_t>(PA_STREAM_ADJUST_LATENCY |
                                                              (sink.empty() ? PA_STREAM_NOFLAGS : PA_STREAM_DONT_MOVE));
            if (pa_stream_connect_playback(stream_, sink.empty() ? nullptr : sink.c_str(), &wanted, flags, nullptr,
                                           nullptr) < 0)
                return refused();
        }
        pa_stream_state_t state = PA_STREAM_UNCONNECTED;
        const bool answered = connection_.wait([&] {
            state = pa_stream_get_state(stream_);
            return state == PA_STREAM_READY || !PA_STREAM_IS_GOOD(state);
        });
        if (!answered || state != PA_STREAM_READY) return refused();
        {
            const Connection::Lock lock(connection_);
            ask_label();
        }
        wait_until_steady(steady_);
        ran_dry_ = false;
        return {};
    }
    Result<void> refused() const {
        return fail(name(), translated("the sound server refuses the connection. Choose another device, or look at the "
                                       "server's own messages."));
    }

    // Called on the connection's thread.
    static void state_changed(pa_stream* stream, void* self) {
        if (!PA_STREAM_IS_GOOD(pa_stream_get_state(stream))) static_cast<PulseDevice*>(self)->gone_ = true;
    }
    static void wanted(pa_stream* stream, size_t bytes, void* self) {
        auto& device = *static_cast<PulseDevice*>(self);
        ++device.steady_;
        while (bytes >= frame_bytes) {
            void* to = nullptr;
            size_t part = std::min(bytes / frame_bytes, static_cast<size_t>(device.frames_)) * frame_bytes;
            if (pa_stream_begin_write(stream, &to, &part) < 0 || !to || part < frame_bytes) return;
            const size_t frames = std::min(part, bytes) / frame_bytes;
            device.outlet()->ask(static_cast<float*>(to), static_cast<int>(frames), device.ran_dry_.exchange(false));
            if (pa_stream_write(stream, to, frames * frame_bytes, nullptr, 0, PA_SEEK_RELATIVE) < 0) return;
            bytes -= frames * frame_bytes;
        }
    }
    /// Which sink it plays to, as people call it.
    void ask_label() {
        const char* const sink = pa_stream_get_device_name(stream_);
        if (!sink) return;
        pa_operation* const asked = pa_context_get_sink_info_by_name(
            connection_.context(), sink,
            [](pa_context*, const pa_sink_info* info, int, void* self) {
                auto& device = *static_cast<PulseDevice*>(self);
                if (!info) return;
                const std::scoped_lock lock(device.label_guard_);
                device.label_ = info->description;
            },
            this);
        if (asked) pa_operation_unref(asked);
    }

    int frames_;
    std::atomic<bool> gone_{false}, ran_dry_{false};
    std::atomic<int> steady_{0};  ///< requests in a row without having run dry
    mutable std::mutex label_guard_;
    std::string label_;
    pa_stream* stream_ = nullptr;
    Connection connection_{&gone_};  ///< goes first: its thread uses the rest
};

}  // namespace

std::vector<std::string> pulse_devices() {
    Connection connection;
    std::vector<std::string> labels;
    if (connection.connect("Pulse"))
        for (const Sink& sink : sinks_of(connection)) labels.push_back(sink.label);
    return labels;
}

Result<std::unique_ptr<Device>> open_pulse(const std::string& name, const std::string& bare, int rate, int frames) {
    return PulseDevice::open(name, bare, rate, frames);
}

}  // namespace isotonus
