// Plug-ins for tests: one that is late and says so, and some that do what none should.
#include <fcntl.h>
#include <lv2/atom/atom.h>
#include <lv2/core/lv2.h>
#include <lv2/state/state.h>
#include <lv2/urid/urid.h>
#include <signal.h>
#include <spawn.h>
#include <sys/socket.h>
#include <sys/stat.h>
#include <sys/wait.h>
#include <unistd.h>

#include <cmath>
#include <cstdlib>
#include <cstring>
#include <string>
#include <thread>
#include <vector>

extern char** environ;

namespace {

constexpr int lateness = 100;

/// Ports: 0 in, 1 out, 2 "after" (seconds until it does what it does), 3 latency.
struct Odd {
    std::string way;
    double rate = 48000.0;
    const float* in = nullptr;
    float* out = nullptr;
    const float* after = nullptr;
    float* latency = nullptr;
    long frames = 0;
    std::vector<float> line = std::vector<float>(lateness, 0.0f);
    size_t at = 0;
    float gain = 0.5f;  ///< what "remembers" remembers
    const LV2_URID_Map* map = nullptr;
};

bool closed_after(int handle) {
    if (handle >= 0) close(handle);
    return handle >= 0;
}

/// What no plug-in may do: whether any of it was possible.
bool does_harm() {
    bool harm = closed_after(open("/tmp/isotonus-odd-was-here", O_WRONLY | O_CREAT, 0600));
    harm |= closed_after(open("/tmp", O_RDWR | O_TMPFILE, 0600));
    harm |= mkdir("/tmp/isotonus-odd-folder", 0700) == 0;
    harm |= closed_after(socket(AF_INET, SOCK_STREAM, 0)) || closed_after(socket(AF_UNIX, SOCK_STREAM, 0));
    harm |= kill(getppid(), 0) == 0;
    harm |= ftruncate(4, 16) == 0;  // the memory that it shares with the program
    const pid_t child = fork();
    if (child == 0) _exit(0);
    if (child > 0) waitpid(child, nullptr, 0);
    harm |= child >= 0;
    char name[] = "/bin/true";
    char* const arguments[] = {name, nullptr};
    pid_t spawned = 0;
    harm |= posix_spawn(&spawned, name, nullptr, nullptr, arguments, environ) == 0;
    return harm;
}

/// What a plug-in may do: read its own files, work on threads.
bool does_its_work(const char* bundle) {
    bool worked = false;
    std::thread([&worked] { worked = true; }).join();
    return worked && closed_after(open((std::string(bundle) + "/manifest.ttl").c_str(), O_RDONLY));
}

LV2_Handle instantiate(const LV2_Descriptor* descriptor, double rate, const char* bundle,
                       const LV2_Feature* const* features) {
    auto* odd = new Odd;
    for (; *features; ++features)
        if (std::strcmp((*features)->URI, LV2_URID__map) == 0)
            odd->map = static_cast<const LV2_URID_Map*>((*features)->data);
    odd->way = std::strrchr(descriptor->URI, ':') + 1;
    odd->rate = rate;
    if (odd->way == "crashes-at-once") std::abort();
    if (odd->way == "hangs-at-once")
        for (;;) pause();
    if (odd->way == "reaches-out") odd->gain = does_harm() ? 1.0f : does_its_work(bundle) ? 0.5f : 0.125f;
    if (odd->way == "refuses") {
        delete odd;
        return nullptr;
    }
    return odd;
}

void connect(LV2_Handle handle, uint32_t port, void* data) {
    auto* odd = static_cast<Odd*>(handle);
    if (port == 0) odd->in = static_cast<const float*>(data);
    if (port == 1) odd->out = static_cast<float*>(data);
    if (port == 2) odd->after = static_cast<const float*>(data);
    if (port == 3) odd->latency = static_cast<float*>(data);
}

void run(LV2_Handle handle, uint32_t frames) {
    auto* odd = static_cast<Odd*>(handle);
    const bool now = static_cast<double>(odd->frames) >= static_cast<double>(*odd->after) * odd->rate;
    odd->frames += frames;
    if (odd->latency) *odd->latency = odd->way == "claims" ? 1e9f : static_cast<float>(lateness);
    if (now && odd->way == "changes" && odd->latency) *odd->latency = 7.0f;
    if (now && odd->way == "crashes") std::abort();
    if (now && odd->way == "hangs")
        for (;;) pause();
    for (uint32_t i = 0; i < frames; ++i) {
        // Late by what it says, and half as loud.
        odd->out[i] = odd->gain * odd->line[odd->at];
        odd->line[odd->at] = odd->in[i];
        odd->at = (odd->at + 1) % lateness;
        if (now && odd->way == "writes-nan") odd->out[i] = std::nanf("");
    }
}

void cleanup(LV2_Handle handle) { delete static_cast<Odd*>(handle); }

LV2_State_Status save(LV2_Handle, LV2_State_Store_Function, LV2_State_Handle, uint32_t, const LV2_Feature* const*) {
    return LV2_STATE_SUCCESS;
}

LV2_State_Status restore(LV2_Handle handle, LV2_State_Retrieve_Function retrieve, LV2_State_Handle state, uint32_t,
                         const LV2_Feature* const*) {
    auto* odd = static_cast<Odd*>(handle);
    const auto number_of = [odd](const char* uri) { return odd->map->map(odd->map->handle, uri); };
    size_t size = 0;
    uint32_t type = 0, flags = 0;
    const void* value = retrieve(state, number_of("urn:isotonus:test:gain"), &size, &type, &flags);
    if (!value || type != number_of(LV2_ATOM__Float)) return LV2_STATE_ERR_NO_PROPERTY;
    odd->gain = *static_cast<const float*>(value);
    return LV2_STATE_SUCCESS;
}

const void* extension_data(const char* uri) {
    static const LV2_State_Interface state{save, restore};
    return std::strcmp(uri, LV2_STATE__interface) == 0 ? &state : nullptr;
}

#define ODD(way) \
    { "urn:isotonus:test:" way, instantiate, connect, nullptr, run, nullptr, cleanup, extension_data }
const LV2_Descriptor all[] = {ODD("late"),    ODD("crashes-at-once"), ODD("hangs-at-once"), ODD("refuses"),
                              ODD("crashes"), ODD("hangs"),           ODD("writes-nan"),    ODD("claims"),
                              ODD("changes"), ODD("remembers"),       ODD("reaches-out")};

}  // namespace

LV2_SYMBOL_EXPORT const LV2_Descriptor* lv2_descriptor(uint32_t index) {
    return index < std::size(all) ? &all[index] : nullptr;
}
