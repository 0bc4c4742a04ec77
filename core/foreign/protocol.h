// core/foreign: processors from outside (LV2), which run in processes of their own.
//
// What this program and its plug-in host say to each other: questions and answers of one size over a socket, and all
// that is long in memory that both see.
#pragma once

#include <cstdint>

namespace isotonus::foreign {

/// Frames that a plug-in is given at once, always: blocks cannot be heard.  A batch is as many as are asked for at
/// once.
inline constexpr int run_frames = 64, batch_frames = 1024, batch_runs = batch_frames / run_frames;
inline constexpr int max_parameters = 256, max_text = 1 << 16;
/// A plug-in is never later than this.
inline constexpr int max_latency = 1 << 17;
/// The host's exit status when it cannot give up its rights (see plugin_host/lockdown.h).
inline constexpr int host_is_refused = 3;
/// Where the host finds them when it is started.
inline constexpr int socket_handle = 3, memory_handle = 4;

struct Shared {
    float audio[2 * batch_frames];             ///< interleaved, as many channels as asked for; in, then out
    float values[batch_runs][max_parameters];  ///< of each run, in the order in which they were named
    char text[max_text];                       ///< what to start (JSON: uri, bundle, symbols), or what went wrong
};

enum class Ask : uint32_t {
    start,  ///< text says what, anew; answered with its latency for the values of the first run
    batch,  ///< audio is processed in place
};

struct Question {
    Ask ask = Ask::start;
    int32_t channels = 2;
    double sample_rate = 48000.0;
};

struct Answer {
    int32_t failed = 0;  ///< text says why
    int32_t latency = 0;
};

}  // namespace isotonus::foreign
