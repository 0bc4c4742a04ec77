// ALSA, by RtAudio: cards without a server, and whatever plug-in the system puts in a card's place.
#include <RtAudio.h>
#include <alsa/asoundlib.h>

#include <optional>

#include "engine/servers.h"

namespace isotonus {

namespace {

void keep_quiet(const char*, int, const char*, int, const char*, ...) {}

/// RtAudio throws, and the library below it writes to standard error: nothing of that leaves here.
template <class T>
Result<T> guarded(const std::string& name, const std::function<Result<T>()>& work) {
    snd_lib_error_set_handler(keep_quiet);
    try {
        return work();
    } catch (const RtAudioError& e) {
        return fail(name, translate("the sound device cannot be opened: {}. Choose another device.", e.getMessage()));
    }
}

/// An open stream.  It may outlive the device that it was opened for, when the driver does not let go of it.
struct OpenStream {
    std::shared_ptr<Outlet> outlet;
    int block_frames = 0;
    RtAudio audio{RtAudio::LINUX_ALSA};  ///< closed first: until then its thread uses the rest

    static int called(void* out, void*, unsigned frames, double, RtAudioStreamStatus status, void* self) {
        static_cast<OpenStream*>(self)->outlet->ask(static_cast<float*>(out), static_cast<int>(frames),
                                                    (status & RTAUDIO_OUTPUT_UNDERFLOW) != 0);
        return 0;
    }
};

std::optional<unsigned> number_of(RtAudio& audio, const std::string& bare) {
    if (bare.empty() && audio.getDeviceCount() > 0) return audio.getDefaultOutputDevice();
    for (unsigned n = 0; n < audio.getDeviceCount(); ++n) {
        const auto info = audio.getDeviceInfo(n);
        if (info.name == bare && info.outputChannels >= 2) return n;
    }
    return std::nullopt;
}

Result<std::shared_ptr<OpenStream>> open_stream(const std::string& name, const std::string& bare, int rate,
                                                int block_frames, std::shared_ptr<Outlet> outlet) {
    auto stream = std::make_shared<OpenStream>();
    stream->outlet = std::move(outlet);
    RtAudio& audio = stream->audio;
    audio.showWarnings(false);
    const auto number = number_of(audio, bare);
    if (!number) return no_such_device(name);
    RtAudio::StreamParameters out;
    out.deviceId = *number;
    out.nChannels = 2;
    RtAudio::StreamOptions options;
    options.flags = RTAUDIO_SCHEDULE_REALTIME;
    options.priority = 60;
    options.streamName = "Isotonus";
    auto frames = static_cast<unsigned>(block_frames);
    audio.openStream(&out, nullptr, RTAUDIO_FLOAT32, static_cast<unsigned>(rate), &frames, &OpenStream::called,
                     stream.get(), &options);
    stream->block_frames = static_cast<int>(frames);
    audio.startStream();
    return stream;
}

class AlsaDevice : public Device {
  public:
    static Result<std::unique_ptr<Device>> open(const std::string& name, const std::string& bare, int rate,
                                                int frames) {
        auto device = std::unique_ptr<AlsaDevice>(new AlsaDevice(name));
        auto stream = in_time<std::shared_ptr<OpenStream>>(name, [name, bare, rate, frames, outlet = device->outlet()] {
            return guarded<std::shared_ptr<OpenStream>>(name,
                                                        [&] { return open_stream(name, bare, rate, frames, outlet); });
        });
        if (!stream) return tl::unexpected(stream.error());
        device->stream_ = std::move(*stream);
        return device;
    }
    ~AlsaDevice() override {
        serve(nullptr);
        if (stream_)
            (void)in_time<bool>(name(), [stream = std::move(stream_)]() mutable -> Result<bool> {
                return guarded<bool>("ALSA", [&]() -> Result<bool> {
                    if (stream->audio.isStreamRunning()) stream->audio.abortStream();
                    if (stream->audio.isStreamOpen()) stream->audio.closeStream();
                    stream.reset();
                    return true;
                });
            });
    }
    std::string sounding() const override { return name() == system_output ? "ALSA" : name(); }
    int block_frames() const override { return stream_->block_frames; }
    bool alive() const override { return stream_->audio.isStreamRunning(); }

  private:
    using Device::Device;
    std::shared_ptr<OpenStream> stream_;
};

}  // namespace

std::vector<std::string> alsa_devices() {
    const auto found = in_time<std::vector<std::string>>("ALSA", [] {
        return guarded<std::vector<std::string>>("ALSA", []() -> Result<std::vector<std::string>> {
            RtAudio audio(RtAudio::LINUX_ALSA);
            audio.showWarnings(false);
            std::vector<std::string> outputs;
            for (unsigned n = 0; n < audio.getDeviceCount(); ++n)
                if (const auto info = audio.getDeviceInfo(n); info.probed && info.outputChannels >= 2)
                    outputs.push_back(info.name);
            return outputs;
        });
    });
    return found.value_or(std::vector<std::string>());
}

Result<std::unique_ptr<Device>> open_alsa(const std::string& name, const std::string& bare, int rate, int frames) {
    return AlsaDevice::open(name, bare, rate, frames);
}

}  // namespace isotonus
