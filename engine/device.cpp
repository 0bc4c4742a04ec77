#include "engine/device.h"

#include <RtAudio.h>
#include <fmt/format.h>

#include <algorithm>
#include <atomic>
#include <chrono>
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

/// RtAudio throws; nothing of that leaves this file.
template <class Do>
Result<void> guarded(const std::string& device, Do work) {
    try {
        work();
    } catch (const RtAudioError& e) {
        return fail(device, e.getMessage());
    }
    return {};
}

class RealDevice : public Device {
  public:
    static Result<std::unique_ptr<Device>> open(RtAudio::Api api, const std::string& name, const std::string& bare_name,
                                                int rate, int block_frames, BlockSource& source) {
        auto device = std::unique_ptr<RealDevice>(new RealDevice(api, name, source));
        auto opened = guarded(name, [&] {
            RtAudio& audio = *device->audio_;
            RtAudio::StreamParameters out;
            out.nChannels = 2;
            bool found = false;
            for (unsigned n = 0; n < audio.getDeviceCount() && !found; ++n) {
                const auto info = audio.getDeviceInfo(n);
                if (info.name != bare_name || info.outputChannels < 2) continue;
                out.deviceId = n;
                found = true;
            }
            if (!found) throw RtAudioError("the device is not there");
            RtAudio::StreamOptions options;
            options.flags = RTAUDIO_SCHEDULE_REALTIME;
            options.priority = 60;
            options.streamName = "Isotonus";
            unsigned frames = static_cast<unsigned>(block_frames);
            audio.openStream(&out, nullptr, RTAUDIO_FLOAT32, static_cast<unsigned>(rate), &frames, &RealDevice::called,
                             device.get(), &options);
            device->block_frames_ = static_cast<int>(frames);
            audio.startStream();
        });
        if (!opened) return tl::unexpected(opened.error());
        return device;
    }

    ~RealDevice() override {
        (void)guarded(name_, [&] {
            if (audio_->isStreamRunning()) audio_->abortStream();
            if (audio_->isStreamOpen()) audio_->closeStream();
        });
    }
    const std::string& name() const override { return name_; }
    int block_frames() const override { return block_frames_; }
    bool alive() const override { return audio_->isStreamRunning(); }

  private:
    RealDevice(RtAudio::Api api, std::string name, BlockSource& source)
        : audio_(std::make_unique<RtAudio>(api)), name_(std::move(name)), source_(source) {
        audio_->showWarnings(false);
    }
    static int called(void* out, void*, unsigned frames, double, RtAudioStreamStatus status, void* self) {
        static_cast<RealDevice*>(self)->source_.fill(static_cast<float*>(out), static_cast<int>(frames),
                                                     (status & RTAUDIO_OUTPUT_UNDERFLOW) != 0);
        return 0;
    }

    std::unique_ptr<RtAudio> audio_;
    std::string name_;
    int block_frames_ = 0;
    BlockSource& source_;
};

}  // namespace

std::vector<std::string> device_names() {
    std::vector<std::string> names;
    std::vector<RtAudio::Api> compiled;
    RtAudio::getCompiledApi(compiled);
    for (const auto& [api, label] : apis) {
        if (std::find(compiled.begin(), compiled.end(), api) == compiled.end()) continue;
        (void)guarded(label, [&] {
            RtAudio audio(api);
            audio.showWarnings(false);
            for (unsigned n = 0; n < audio.getDeviceCount(); ++n) {
                const auto info = audio.getDeviceInfo(n);
                if (info.probed && info.outputChannels >= 2) names.push_back(fmt::format("{}: {}", label, info.name));
            }
        });
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
    return fail(name, "there is no such device");
}

}  // namespace isotonus
