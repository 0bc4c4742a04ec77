// The doors to a machine's sound: JACK, Pulse (also PipeWire's), and ALSA.  Each lists the devices behind it and opens
// one; `device.h` is what the rest of the program sees.
#pragma once

#include <chrono>
#include <functional>
#include <future>
#include <thread>

#include "core/words.h"
#include "engine/device.h"

namespace isotonus {

/// How long an audio server may take to answer.  One that is frozen would keep its caller for ever.
inline constexpr auto server_patience = std::chrono::seconds(3);

/// Runs work that may hang on a thread of its own, and waits for it for a while; what comes too late is dropped by that
/// thread, with all that the work holds.
template <class T>
Result<T> in_time(const std::string& device, std::function<Result<T>()> work) {
    auto promise = std::make_shared<std::promise<Result<T>>>();
    std::future<Result<T>> answer = promise->get_future();
    std::thread([promise, device, work = std::move(work)]() mutable {
        Result<T> result = without_exceptions(device, [&] { return work(); });
        work = nullptr;
        promise->set_value(std::move(result));
    }).detach();
    if (answer.wait_for(server_patience) != std::future_status::ready)
        return fail(device, translated("the sound server does not answer. Start it, or choose another device."));
    return answer.get();
}

/// What every door says of a device that it does not have.
inline auto no_such_device(const std::string& name) {
    return fail(name, translated("the sound device does not exist. Choose another device."));
}
/// A session's rate that the device does not run at.
inline auto other_rate(const std::string& name, int device_rate, int session_rate) {
    return fail(name, translate("the device runs at {:g} kHz, and the session is at {:g} kHz. Set the device to the "
                                "session's rate, or choose another device.",
                                device_rate / 1000.0, session_rate / 1000.0));
}

/// A stream that begins stumbles while its server puts it in its place; what is heard begins after that.  Waits for
/// some blocks without a fault, not longer than half a second.
inline void wait_until_steady(const std::atomic<int>& blocks_in_row) {
    const auto until = std::chrono::steady_clock::now() + std::chrono::milliseconds(500);
    while (blocks_in_row < 4 && std::chrono::steady_clock::now() < until)
        std::this_thread::sleep_for(std::chrono::milliseconds(2));
}

// A door's functions take names without the door's own, "system" for "JACK: system"; an empty one is what the server
// plays through by itself.  `name` is for errors and for Device::name.
std::vector<std::string> jack_devices();
Result<std::unique_ptr<Device>> open_jack(const std::string& name, const std::string& bare, int rate);
std::vector<std::string> pulse_devices();
Result<std::unique_ptr<Device>> open_pulse(const std::string& name, const std::string& bare, int rate, int frames);
std::vector<std::string> alsa_devices();
Result<std::unique_ptr<Device>> open_alsa(const std::string& name, const std::string& bare, int rate, int frames);

}  // namespace isotonus
