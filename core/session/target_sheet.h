// Target sheets: the level that each track is wanted at.  All figures are common practice, no source.
#pragma once

#include <filesystem>
#include <nlohmann/json_fwd.hpp>
#include <optional>
#include <string>
#include <vector>

#include "core/measure/family.h"
#include "core/measure/measurement.h"
#include "core/result.h"
#include "core/unknown_keys.h"

namespace isotonus {

/// Which figure a target speaks of.
enum class Measure {
    peak,        ///< sample peak, dBFS
    average,     ///< gated AES17 average, dBFS
    true_peak,   ///< dBTP
    short_term,  ///< the loudest 3 s, LUFS
    vu           ///< highest reading of a VU needle, as a sine's dBFS: 0 VU is -18
};
inline constexpr std::array<const char*, 5> measure_names{"peak", "average", "true_peak", "short_term", "vu"};
inline const char* measure_name(Measure m) { return measure_names[static_cast<size_t>(m)]; }
inline const char* measure_unit(Measure m) {
    if (m == Measure::true_peak) return "dBTP";
    if (m == Measure::short_term) return "LUFS";
    return "dBFS";
}

/// A range of level that is wanted, and the level aimed at inside it; in the measure's unit, against full scale.
struct Target {
    Measure measure = Measure::peak;
    double low_dbfs = -7.0, aim_dbfs = -6.0, high_dbfs = -5.0;
    UnknownKeys unknown = nullptr;
    bool operator==(const Target&) const = default;
};

/// A window for some tracks only.  What is not said does not matter.
struct TargetRule {
    std::string word;  ///< in the track's name, whole, in any case; "kick" finds "Kicks 2" too
    std::optional<Family> family;
    std::optional<Kind> kind;
    Target target;
    UnknownKeys unknown = nullptr;
    bool operator==(const TargetRule&) const = default;
};

struct TargetSheet {
    std::string name = "default";
    std::vector<TargetRule> rules;  ///< the first that fits counts; then the two below
    Target percussive{Measure::peak, -7.0, -6.0, -5.0};
    Target sustained{Measure::average, -20.0, -18.0, -16.0};
    double peak_ceiling_dbfs = -6.0;                        ///< no staged peak above it
    bool count_spikes = true;                               ///< off: a track's peak is what remains without its spikes
    double mains_low_dbfs = -10.0, mains_high_dbfs = -6.0;  ///< whole-song sample peak of the mix
    UnknownKeys unknown = nullptr;
    bool operator==(const TargetSheet&) const = default;
};

/// The sheets that come with it: default, many layers, beat, average meter.
const std::vector<TargetSheet>& built_in_sheets();

/// The window for a track of this name, family and kind.
const Target& target_for(const TargetSheet& sheet, const std::string& name, Family family, Kind kind);

nlohmann::json sheet_to_json(const TargetSheet& sheet);
nlohmann::json target_to_json(const Target& target);

class JsonReader;
TargetSheet sheet_from(const nlohmann::json& j, const std::string& key_path, std::string* fault);
Target target_from(const nlohmann::json& j, const std::string& key_path, Target otherwise, std::string* fault);

/// A sheet as a file of its own: {"format": "isotonus-target-sheet", "version": 1, …}.
std::string sheet_file_text(const TargetSheet& sheet);
Result<TargetSheet> read_sheet(const std::filesystem::path& file);

}  // namespace isotonus
