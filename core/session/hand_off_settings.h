// What a session keeps of its hand-off.
#pragma once

#include <optional>
#include <string>

#include "core/unknown_keys.h"

namespace isotonus {

/// What the checks before hand-off ask for.
struct HandOffLimits {
    double max_peak_dbfs = -3.0;       ///< sample peak of the mix
    double min_peak_dbfs = -12.0;      ///< more headroom than this is given away
    double max_true_peak_dbtp = -1.0;  ///< EBU R 128: at most -1 dBTP
    std::optional<double> min_lufs;    ///< integrated loudness
    std::optional<double> max_lufs;
    double longest_silence_s = 3.0;  ///< before the first sound; after the last the tail is looked at
    double max_dc = 0.001;           ///< share of full scale: -60 dBFS
    double max_mono_loss_db = 6.0;   ///< of the mix, summed to mono
    double tail_dbfs = -60.0;        ///< louder than this in the last 10 ms: the end is cut off
    UnknownKeys unknown = nullptr;
    bool operator==(const HandOffLimits&) const = default;
};

enum class HandOffProfile {
    mastering,       ///< for a mastering engineer: 3 dB of headroom at least, nothing on the main output
    streaming_demo,  ///< to be listened to as it is: up to -1 dBTP, -20 to -13 LUFS
    own,
};

/// Limits of the profiles that come with the application; of `own` those that were set.
HandOffLimits limits_of(HandOffProfile profile, const HandOffLimits& own);

/// Whether the mix that leaves has passed the main output's chain.
enum class MainChain { out, in, both };

struct HandOff {
    HandOffProfile profile = HandOffProfile::mastering;
    HandOffLimits own;
    MainChain main_chain = MainChain::out;  ///< mastering mostly wants the mix without it
    std::string notes;                      ///< to the mastering engineer
    bool listening_notes_on_sheet = false;  ///< those that are not ticked off
    UnknownKeys unknown = nullptr;
    bool operator==(const HandOff&) const = default;
};

}  // namespace isotonus
