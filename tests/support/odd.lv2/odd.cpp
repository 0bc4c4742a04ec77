// Plug-ins for tests: one that is late and says so, and some that do what none should.
#include <lv2/core/lv2.h>
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
};

LV2_Handle instantiate(const LV2_Descriptor* descriptor, double rate, const char*, const LV2_Feature* const*) {
    auto* odd = new Odd;
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
        odd->out[i] = 0.5f * odd->line[odd->at];
        odd->line[odd->at] = odd->in[i];
        odd->at = (odd->at + 1) % lateness;
        if (now && odd->way == "writes-nan") odd->out[i] = std::nanf("");
    }
}

void cleanup(LV2_Handle handle) { delete static_cast<Odd*>(handle); }

#define ODD(way) \
    { "urn:isotonus:test:" way, instantiate, connect, nullptr, run, nullptr, cleanup, nullptr }
const LV2_Descriptor all[] = {ODD("late"),       ODD("crashes-at-once"), ODD("hangs-at-once"),
                              ODD("refuses"),    ODD("crashes"),         ODD("hangs"),
                              ODD("writes-nan"), ODD("claims"),          ODD("changes")};

}  // namespace

LV2_SYMBOL_EXPORT const LV2_Descriptor* lv2_descriptor(uint32_t index) {
    return index < std::size(all) ? &all[index] : nullptr;
}
