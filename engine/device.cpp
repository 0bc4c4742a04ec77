#include "engine/device.h"

#include <fmt/format.h>

#include <algorithm>

#include "engine/servers.h"

namespace isotonus {

void Outlet::serve(BlockSource* source) {
    source_ = source;
    while (busy_) std::this_thread::yield();
}

void Outlet::ask(float* out, int frames, bool underflow) {
    busy_ = true;
    if (BlockSource* source = source_)
        source->fill(out, frames, underflow);
    else
        std::fill_n(out, 2 * frames, 0.0f);
    busy_ = false;
}

struct SimulatedDevice::Clock {
    std::atomic<bool> gone{false}, races{false};
    std::jthread thread;
};

SimulatedDevice::SimulatedDevice(int sample_rate, int block_frames)
    : Device(simulated_device), block_frames_(block_frames), clock_(std::make_unique<Clock>()) {
    clock_->thread =
        std::jthread([outlet = outlet(), clock = clock_.get(), sample_rate, block_frames](std::stop_token stop) {
            using namespace std::chrono;
            std::vector<float> out(static_cast<size_t>(2 * block_frames));
            const auto block = nanoseconds(static_cast<int64_t>(1e9 * block_frames / sample_rate));
            auto due = steady_clock::now();
            while (!stop.stop_requested() && !clock->gone) {
                outlet->ask(out.data(), block_frames, false);
                if (clock->races) continue;
                due = std::max(due + block,
                               steady_clock::now() - 20 * block);  // after a long stall, do not race to catch up
                std::this_thread::sleep_until(due);
            }
        });
}

SimulatedDevice::~SimulatedDevice() = default;
bool SimulatedDevice::alive() const { return !clock_->gone; }
void SimulatedDevice::vanish() { clock_->gone = true; }
void SimulatedDevice::race() { clock_->races = true; }

namespace {

struct Door {
    const char* prefix;
    std::vector<std::string> (*devices)();
    Result<std::unique_ptr<Device>> (*open)(const std::string& name, const std::string& bare, int rate, int frames);
};

// In the order in which the system output is looked for: a Pulse server (today mostly PipeWire) follows what the user
// chooses in the desktop.
constexpr Door doors[] = {
    {"Pulse: ", pulse_devices, open_pulse},
    {"JACK: ", jack_devices,
     [](const std::string& name, const std::string& bare, int rate, int) { return open_jack(name, bare, rate); }},
    {"ALSA: ", alsa_devices, open_alsa},
};

}  // namespace

std::vector<std::string> device_names() {
    std::vector<std::string> names;
    for (const Door& door : doors)
        for (const std::string& device : door.devices()) names.push_back(door.prefix + device);
    if (!names.empty()) names.insert(names.begin(), system_output);
    names.push_back(simulated_device);
    return names;
}

Result<std::unique_ptr<Device>> open_device(const std::string& name, int rate, int block_frames) {
    if (name == simulated_device) return std::make_unique<SimulatedDevice>(rate, block_frames);
    if (name == system_output) {
        for (const Door& door : doors)
            if (auto device = door.open(name, {}, rate, block_frames)) return device;
        return fail(translated("System output"),
                    translated("the system has no sound output now. Connect or start one; it is used as soon as "
                               "it is there."));
    }
    for (const Door& door : doors)
        if (const std::string_view prefix = door.prefix; name.starts_with(prefix))
            return door.open(name, name.substr(prefix.size()), rate, block_frames);
    return no_such_device(name);
}

}  // namespace isotonus
