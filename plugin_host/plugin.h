// One LV2 plug-in as the host runs it.
#pragma once

#include <lilv/lilv.h>

#include <memory>
#include <string>
#include <vector>

#include "core/foreign/protocol.h"
#include "core/words.h"

namespace isotonus::foreign {

/// Numbers for URIs, as plug-ins ask for them.
uint32_t number_of(const char* uri);

/// Why this host cannot run it; empty: it can.
std::string why_not(LilvWorld* world, const LilvPlugin* plugin);

/// Whether a port is the host's own business and no parameter: bypass, free-wheeling, latency.
bool is_hosts_own(LilvWorld* world, const LilvPlugin* plugin, const LilvPort* port);

class RunningPlugin {
  public:
    /// `symbols`: the control ports that `values` will be of.  On failure `fault` says why.
    static std::unique_ptr<RunningPlugin> start(LilvWorld* world, const LilvPlugin* plugin, int channels, double rate,
                                                const std::vector<std::string>& symbols, std::string& fault);
    ~RunningPlugin();

    void restart();
    /// run_frames frames, interleaved, in place.
    void run(float* audio, const float* values);
    int latency() const;

  private:
    struct Instance;
    RunningPlugin() = default;
    int channels_ = 2, own_channels_ = 2;
    std::vector<float> scale_;                          ///< what values are multiplied by: the rate for some
    std::vector<std::unique_ptr<Instance>> instances_;  ///< two of a mono plug-in for a stereo row
};

}  // namespace isotonus::foreign
