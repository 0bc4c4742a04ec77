// The session: everything the user has set, as a plain value.  An edit makes a new value; old ones stay for undo.
#pragma once

#include <cstdint>
#include <filesystem>
#include <functional>
#include <memory>
#include <nlohmann/json_fwd.hpp>
#include <optional>
#include <string>
#include <vector>

#include "core/measure/measurement.h"
#include "core/result.h"
#include "core/ride/curve.h"
#include "core/session/family.h"

namespace isotonus {

namespace fs = std::filesystem;

/// Keys of a session file that this version does not know; written back as they were.
using UnknownKeys = std::shared_ptr<const nlohmann::json>;

/// What a mono track's pan position does to its level in the centre; see mix/pan.h for the formulas.
enum class PanLaw { constant_power, compromise, linear, balance };

/// Which figure a target speaks of.
enum class Measure { peak, average };

/// A range of level that is wanted, and the level aimed at inside it; dBFS.
struct Target {
    Measure measure = Measure::peak;
    double low_dbfs = -7.0, aim_dbfs = -6.0, high_dbfs = -5.0;
    bool operator==(const Target&) const = default;
};

/// The target windows; the figures are common practice, no source.
struct TargetSheet {
    Target percussive{Measure::peak, -7.0, -6.0, -5.0};
    Target sustained{Measure::average, -20.0, -18.0, -16.0};
    double peak_ceiling_dbfs = -6.0;                        ///< no staged peak above it
    double mains_low_dbfs = -10.0, mains_high_dbfs = -6.0;  ///< whole-song sample peak of the mix
    bool operator==(const TargetSheet&) const = default;
};

using TrackId = uint64_t;

struct Track {
    TrackId id = 0;  ///< never used twice in a session
    std::string name;
    fs::path file;                 ///< absolute while in memory
    std::optional<Kind> kind;      ///< absent: as measured
    std::optional<Family> family;  ///< absent: as its name suggests
    std::optional<Target> target;  ///< absent: as the sheet says for its kind
    double trim_db = 0.0;          ///< -24 … +24
    double fader_db = 0.0;         ///< minus infinity … +12
    double pan = 0.0;              ///< -1 left … +1 right
    double width = 1.0;            ///< 0 mono, 1 as recorded, 2 sides doubled; stereo tracks only
    bool mute = false, solo = false;
    bool polarity_inverted = false;
    bool locked = false;                      ///< staging leaves the trim alone
    int64_t delay_samples = 0;                ///< at the session's rate; negative is earlier
    int ink = 0;                              ///< 0 … 11, which of the twelve inks
    std::shared_ptr<const Curve> level_ride;  ///< absent: none
    UnknownKeys unknown;
};

inline Family family_of(const Track& track) { return track.family.value_or(guess_family(track.name)); }

struct Section {
    std::string name;
    double start_s = 0.0;  ///< it lasts until the next one starts
    bool operator==(const Section&) const = default;
};

struct Session {
    int sample_rate = 48000;  ///< Hz
    PanLaw pan_law = PanLaw::constant_power;
    TargetSheet targets;
    std::vector<std::shared_ptr<const Track>> tracks;
    std::vector<Section> sections;  ///< in order of time
    double main_fader_db = 0.0;
    TrackId next_id = 1;
    UnknownKeys unknown, unknown_main;

    const Track* find(TrackId id) const;
    const Track* find(const std::string& name) const;
    bool any_solo() const;
    /// Heard: not muted, and soloed if any track is.
    bool is_heard(const Track& track) const { return !track.mute && (track.solo || !any_solo()); }
};

/// A copy of the session in which `change` was applied to one track.
Session with_track(const Session& session, TrackId id, const std::function<void(Track&)>& change);

/// A copy with tracks for these files at the end: named like the file without its ending, in the order given.
Session with_files(const Session& session, const std::vector<fs::path>& files);

/// A copy without these tracks.
Session without_tracks(const Session& session, const std::vector<TrackId>& ids);

/// A copy in which these tracks stand `by` rows further down (up when negative), in their order, as far as there is
/// room.
Session with_tracks_moved(const Session& session, const std::vector<TrackId>& ids, int by);

/// A copy with one more section, in its place in time.
Session with_section(const Session& session, Section section);

/// The section at a time, which is the last one that has started; -1 before the first.
int section_at(const Session& session, double time_s);

/// Where a section ends: at the next one's start, or at the end of the song.
double section_end_s(const Session& session, int section, double song_s);

/// A session from the audio files directly in a folder, in name order, at the rate most of them have (the higher at a
/// tie). Files that cannot be read are left out and told in `problems`.
Result<Session> session_from_folder(const fs::path& folder, std::vector<Error>* problems);

/// Sets one value by its name and text, as the command line writes it:
/// trim, fader in dB (fader also -inf); pan -1 … 1; width 0 … 2; mute, solo on|off; polarity normal|inverted;
/// delay in samples; kind percussive|sustained|auto; target auto | MEASURE:LOW:HIGH (peak:-7:-5, average:-20:-16).
/// Fails with a sentence that names the range.
Result<void> set_by_name(Track& track, const std::string& key, const std::string& value);

/// The same for the main output, which has a fader only.
Result<void> set_main_by_name(Session& session, const std::string& key, const std::string& value);

}  // namespace isotonus
