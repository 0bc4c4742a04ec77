// A plug-in as a processor of a chain.
#pragma once

#include <memory>

#include "core/shape/processor.h"

namespace isotonus {

/// What plug-ins ring on is not known before it is heard: so long is listened to, and what is silent of it left out.
inline constexpr double plugin_tail_s = 10.0;

/// Runs in the plug-in host, a batch behind what comes in.  One that goes wrong is taken out (see plugins.h): from then
/// on it lets through what comes in.
std::unique_ptr<Running> start_plugin(const Processor& processor, int channels, double sample_rate);

}  // namespace isotonus
