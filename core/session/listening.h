// What a session keeps of listening: prints and references with their passages, notes taken while listening, and what a
// blind comparison came to.
#pragma once

#include <filesystem>
#include <optional>
#include <string>
#include <vector>

#include "core/unknown_keys.h"

namespace isotonus {

/// A stretch of a recording worth comparing with ('its chorus').  Tied: it stands against a stretch of the song.
struct RecordingPassage {
    std::string name;
    double from_s = 0.0, to_s = 0.0;               ///< in the recording
    std::optional<double> song_from_s, song_to_s;  ///< both, or neither: not tied
    UnknownKeys unknown = nullptr;
    bool tied() const { return song_from_s && song_to_s; }
    bool operator==(const RecordingPassage&) const = default;
};

/// A print (an export that was kept) or a reference: something to compare the mix with.
struct Recording {
    std::string name;
    std::filesystem::path file;
    bool reference = false;
    std::string made;  ///< date and time, ISO 8601; empty for references
    std::string note;
    std::optional<double> integrated_lufs, sample_peak_dbfs, true_peak_dbtp;  ///< of the file
    UnknownKeys unknown = nullptr;
    double starts_s = 0.0;  ///< where in it the song's start is heard; below 0: it begins so much later
    std::vector<RecordingPassage> passages = {};
    std::filesystem::path session = {};  ///< of a print: the session as it was then; empty when that was not kept
    bool operator==(const Recording&) const = default;

    /// The passage tied to a stretch that this time of the song lies in; of several the one that starts last.
    const RecordingPassage* tied_at(double song_s) const;
    /// Where in it is heard what stands against this time of the song: by the tied passage, else by `starts_s`.
    double recording_time_s(double song_s) const;
};

/// What was noticed on a round of listening, at a time of the song.
struct ListeningNote {
    double time_s = 0.0;
    std::string text;
    std::string heard_on;  ///< the playback system: "car"; empty: the room
    std::string made;      ///< date and time, ISO 8601
    bool done = false;     ///< ticked off
    UnknownKeys unknown = nullptr;
    bool operator==(const ListeningNote&) const = default;
};

/// In order of time; of equal times as they were taken.
void sort_notes(std::vector<ListeningNote>& notes);

/// A blind comparison that was finished: which of its versions was chosen how often.
struct BlindResult {
    std::string made;  ///< date and time, ISO 8601
    std::string question;
    std::vector<std::string> versions;
    std::vector<int> chosen;  ///< of each version, times
    UnknownKeys unknown = nullptr;
    bool operator==(const BlindResult&) const = default;
};

}  // namespace isotonus
