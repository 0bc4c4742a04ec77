// Plug-ins for tests: one that is late and says so, and some that do what none should.
#include <lv2/atom/atom.h>
#include <lv2/core/lv2.h>
#include <lv2/state/state.h>
#include <lv2/urid/urid.h>
#include <unistd.h>

#include <cmath>
#include <cstdlib>
#include <cstring>
#include <string>
#include <vector>

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

LV2_Handle instantiate(const LV2_Descriptor* descriptor, double rate, const char*, const LV2_Feature* const* features) {
    auto* odd = new Odd;
    for (; *features; ++features)
        if (std::strcmp((*features)->URI, LV2_URID__map) == 0)
            odd->map = static_cast<const LV2_URID_Map*>((*features)->data);
    odd->way = std::strrchr(descriptor->URI, ':') + 1;
    odd->rate = rate;
    if (odd->way == "crashes-at-once") std::abort();
    if (odd->way == "hangs-at-once")
        for (;;) pause();
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
                              ODD("changes"), ODD("remembers")};

}  // namespace

LV2_SYMBOL_EXPORT const LV2_Descriptor* lv2_descriptor(uint32_t index) {
    return index < std::size(all) ? &all[index] : nullptr;
}
