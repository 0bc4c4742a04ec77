// The checks before hand-off: is this mix fit for who gets it?
#pragma once

#include <array>
#include <string>
#include <vector>

#include "core/balance/headroom.h"
#include "core/mix/mixdown.h"

namespace isotonus {

enum class CheckGroup { level, files, routing, ends };
inline constexpr std::array<const char*, 4> check_group_names{"level", "files", "routing", "ends"};

struct Check {
    std::string id;
    bool passed = false;
    Level measured;
    Level limit;
    std::string text;      ///< what was found, in a sentence
    std::string why;       ///< why it matters, in a sentence
    double time_s = -1.0;  ///< a place in the song to go to, when there is one
    TrackId row = 0;       ///< a row to go to; 0: none
    bool notice = false;   ///< worth a look when it does not pass, but no reason to hold the mix back
    CheckGroup group = CheckGroup::level;
    std::string name = {};  ///< what is looked at, in a word or two: "true peak"
    std::string unit = {};  ///< of `measured` and `limit` ("share": of full scale); empty: they count rows
    bool at_least = false;  ///< the limit is the least that is wanted, not the most
};

/// What is known of a track whose file could not be used.
struct MissingFile {
    std::string track;
    Error error;
};

struct CheckInput {
    const Session& session;
    const RenderPlan& plan;        ///< as it would be exported
    const Measurer::Outcome& mix;  ///< as measured by measure_mix
    std::vector<MissingFile> missing;
    HandOffLimits limits;
    bool monitoring_on = false;  ///< something stands between the mix and the ear
    std::vector<Moment> overs;   ///< what makes the places above the limit (see overs_of), when it was asked for
};

/// Limits are those of the profile: common practice, no source, but for true peak (EBU R 128: at most -1 dBTP).
std::vector<Check> check_handoff(const CheckInput& input);

/// The same for a mix that was not measured yet: by the session's own profile, with what makes its overs.  Fails as
/// reading does.
Result<std::vector<Check>> checks_of(const Session& session, const PlanPtr& plan, std::vector<MissingFile> missing);

/// The highest places of the mix above a peak, at least a second apart, at most `count`; none when it stays below.
std::vector<MixPeak> overs_of(const LevelSummary& mix, int sample_rate, double above_dbfs, size_t count = 5);

inline bool all_passed(const std::vector<Check>& checks) {
    for (const Check& c : checks)
        if (!c.passed && !c.notice) return false;
    return true;
}

}  // namespace isotonus
