// The demo: the paper-boat festival, a made-up summer evening on a canal, synthesised.  The same samples at every run.
// Its faults, and their exact sizes, are listed in demosong/README.md.
#pragma once

#include "core/parallel.h"
#include "core/session/session.h"

namespace isotonus {

/// The sizes of the faults that the demo's tracks carry.
struct DemoFaults {
    static constexpr int64_t room_delay_samples = 317;  ///< Kick Room against Kick Close, and inverted
    static constexpr double snare_over_db = 7.0;  ///< how far the snare's peaks lay above full scale before clipping
    static constexpr double plucked_average_dbfs = -30.0;
    static constexpr double bass_dc_offset = 0.015;
    static constexpr double hats_rumble_hz = 38.0;
    static constexpr double hats_rumble_peak_dbfs = -22.0;
    static constexpr double bell_peak_time_s = 84.0;     ///< the loudest bell, in the last seconds
    static constexpr double solo_silence_s = 52.8;       ///< before the reed's first note
    static constexpr double pad_loss_in_mono_db = 20.0;  ///< at least
};

/// Writes the audio files and `folder`/demo.isotonus; returns the session file's path.
Result<fs::path> write_demo(const fs::path& folder, Progress* progress = nullptr);

/// The demo in the cache, written when it is not there yet.
Result<fs::path> demo_in_cache(Progress* progress = nullptr);

}  // namespace isotonus
