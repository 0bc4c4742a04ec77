#include "engine/device.h"

#include <RtAudio.h>
#include <fmt/format.h>

#include <algorithm>
#include <atomic>
#include <chrono>
#include <functional>
#include <future>
#include <mutex>
#include <thread>

namespace isotonus {

struct SimulatedDevice::Clock {
    std::atomic<bool> gone{false};
    std::jthread thread;
};

SimulatedDevice::SimulatedDevice(int sample_rate, int block_frames, BlockSource& source)
    : block_frames_(block_frames), clock_(std::make_unique<Clock>()) {
    clock_->thread = std::jthread([&source, clock = clock_.get(), sample_rate, block_frames](std::stop_token stop) {
        using namespace std::chrono;
        std::vector<float> out(static_cast<size_t>(2 * block_frames));
        const auto block = nanoseconds(static_cast<int64_t>(1e9 * block_frames / sample_rate));
        auto due = steady_clock::now();
        while (!stop.stop_requested() && !clock->gone) {
            source.fill(out.data(), block_frames, false);
            due =
                std::max(due + block, steady_clock::now() - 20 * block);  // after a long stall, do not race to catch up
            std::this_thread::sleep_until(due);
        }
    });
}

SimulatedDevice::~SimulatedDevice() = default;
bool SimulatedDevice::alive() const { return !clock_->gone; }
void SimulatedDevice::vanish() { clock_->gone = true; }

namespace {

constexpr std::pair<RtAudio::Api, const char*> apis[] = {
    {RtAudio::UNIX_JACK, "JACK"}, {RtAudio::LINUX_PULSE, "Pulse"}, {RtAudio::LINUX_ALSA, "ALSA"}};

/// How long an audio server may take to answer.  One that is frozen would keep its caller for ever.
constexpr auto patience = std::chrono::seconds(3);

/// Runs work that may hang on a thread of its own, and waits for it for a while; what comes too late is dropped by that
/// thread, with all that the work holds.  RtAudio throws; nothing of that leaves here.
template <class T>
Result<T> in_time(const std::string& device, std::function<T()> work) {
    auto promise = std::make_shared<std::promise<Result<T>>>();
    std::future<Result<T>> answer = promise->get_future();
    std::thread([promise, device, work = std::move(work)]() mutable {
        Result<T> result = without_exceptions(device, [&]() -> Result<T> {
            try {
                return work();
            } catch (const RtAudioError& e) {
                return fail(device, e.getMessage());
            }
        });
        work = nullptr;
        promise->set_value(std::move(result));
    }).detach();
    if (answer.wait_for(patience) != std::future_status::ready)
        return fail(device, said("the audio server does not answer"));
    return answer.get();
}

/// An open stream.  It may outlive the device that it was opened for, when the server does not let go of it.
struct OpenStream {
    explicit OpenStream(RtAudio::Api api) : audio(api) { audio.showWarnings(false); }
    RtAudio audio;
    int block_frames = 0;
    std::atomic<BlockSource*> source{nullptr};
    std::atomic<bool> busy{false};  ///< the source is being asked for a block

    static int called(void* out, void*, unsigned frames, double, RtAudioStreamStatus status, void* self) {
        auto& stream = *static_cast<OpenStream*>(self);
        stream.busy = true;
        auto* const to = static_cast<float*>(out);
        if (BlockSource* source = stream.source)
            source->fill(to, static_cast<int>(frames), (status & RTAUDIO_OUTPUT_UNDERFLOW) != 0);
        else
            std::fill_n(to, 2 * frames, 0.0f);
        stream.busy = false;
        return 0;
    }
};

/// Streams that are kept until they were closed in good order.  When its server dies, RtAudio closes a stream on a
/// thread of its own and at a time of its own, so that the stream must not be gone by then: such a one stays for ever,
/// and so does one that opened when nobody waited for it any more.
class OpenStreams {
  public:
    static void hold(std::shared_ptr<OpenStream> stream) {
        std::scoped_lock lock(mutex());
        streams().push_back(std::move(stream));
    }
    static void let_go(const std::shared_ptr<OpenStream>& stream) {
        std::scoped_lock lock(mutex());
        std::erase(streams(), stream);
    }

  private:
    static std::mutex& mutex() {
        static auto* const one = new std::mutex;  // never destroyed: threads may outlive what else is static
        return *one;
    }
    static std::vector<std::shared_ptr<OpenStream>>& streams() {
        static auto* const all = new std::vector<std::shared_ptr<OpenStream>>;
        return *all;
    }
};

class RealDevice : public Device {
  public:
    static Result<std::unique_ptr<Device>> open(RtAudio::Api api, const std::string& name, const std::string& bare_name,
                                                int rate, int block_frames, BlockSource& source) {
        auto opened = in_time<std::shared_ptr<OpenStream>>(name, [api, bare_name, rate, block_frames] {
            auto stream = std::make_shared<OpenStream>(api);
            RtAudio& audio = stream->audio;
            RtAudio::StreamParameters out;
            out.nChannels = 2;
            bool found = false;
            for (unsigned n = 0; n < audio.getDeviceCount() && !found; ++n) {
                const auto info = audio.getDeviceInfo(n);
                if (info.name != bare_name || info.outputChannels < 2) continue;
                out.deviceId = n;
                found = true;
            }
            if (!found) throw RtAudioError(said("the device is not there"));
            RtAudio::StreamOptions options;
            options.flags = RTAUDIO_SCHEDULE_REALTIME;
            options.priority = 60;
            options.streamName = "Isotonus";
            unsigned frames = static_cast<unsigned>(block_frames);
            audio.openStream(&out, nullptr, RTAUDIO_FLOAT32, static_cast<unsigned>(rate), &frames, &OpenStream::called,
                             stream.get(), &options);
            stream->block_frames = static_cast<int>(frames);
            OpenStreams::hold(stream);
            audio.startStream();
            return stream;
        });
        if (!opened) return tl::unexpected(opened.error());
        (*opened)->source = &source;
        return std::unique_ptr<Device>(new RealDevice(name, std::move(*opened)));
    }

    ~RealDevice() override {
        stream_->source = nullptr;
        while (stream_->busy) std::this_thread::yield();
        if (!stream_->audio.isStreamRunning()) return;  // its server has gone
        (void)in_time<bool>(name_, [stream = std::move(stream_)] {
            stream->audio.abortStream();
            stream->audio.closeStream();
            OpenStreams::let_go(stream);
            return true;
        });
    }
    const std::string& name() const override { return name_; }
    int block_frames() const override { return stream_->block_frames; }
    bool alive() const override { return stream_->audio.isStreamRunning(); }

  private:
    RealDevice(std::string name, std::shared_ptr<OpenStream> stream)
        : name_(std::move(name)), stream_(std::move(stream)) {}

    std::string name_;
    std::shared_ptr<OpenStream> stream_;
};

}  // namespace

std::vector<std::string> device_names() {
    std::vector<std::string> names;
    std::vector<RtAudio::Api> compiled;
    RtAudio::getCompiledApi(compiled);
    for (const auto& [api, label] : apis) {
        if (std::find(compiled.begin(), compiled.end(), api) == compiled.end()) continue;
        const auto found = in_time<std::vector<std::string>>(label, [api = api, label = label] {
            RtAudio audio(api);
            audio.showWarnings(false);
            std::vector<std::string> outputs;
            for (unsigned n = 0; n < audio.getDeviceCount(); ++n) {
                const auto info = audio.getDeviceInfo(n);
                if (info.probed && info.outputChannels >= 2) outputs.push_back(fmt::format("{}: {}", label, info.name));
            }
            return outputs;
        });
        if (found) names.insert(names.end(), found->begin(), found->end());
    }
    names.push_back(simulated_device);
    return names;
}

Result<std::unique_ptr<Device>> open_device(const std::string& name, int rate, int block_frames, BlockSource& source) {
    if (name == simulated_device) return std::make_unique<SimulatedDevice>(rate, block_frames, source);
    for (const auto& [api, label] : apis) {
        const std::string prefix = std::string(label) + ": ";
        if (name.starts_with(prefix))
            return RealDevice::open(api, name, name.substr(prefix.size()), rate, block_frames, source);
    }
    return fail(name, said("there is no such device"));
}

}  // namespace isotonus
