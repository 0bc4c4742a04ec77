// The files that a session needs.
#pragma once

#include <functional>

#include "core/files/protected_files.h"
#include "core/session/session.h"

namespace isotonus {

struct UsedFile {
    fs::path file;
    std::string what;  ///< "the file of the track 'Kick'"
    enum class Use { audio, room, recording, session_of_print } use;
};
/// Of tracks, rooms of reverbs, prints and references; each once for every use.
std::vector<UsedFile> used_files(const Session& session);

/// A copy that finds its files elsewhere: `new_path` gives where a path leads now.
Session with_files_at(const Session& session, const std::function<fs::path(const fs::path&)>& new_path);

/// A copy in which files that are not where they were are those of the same name in a folder or in the folders below it
/// (eight deep at most); how many were found.
Session with_missing_found(const Session& session, const fs::path& folder, int* found);

/// What a session needs is never written over: its files, and `session_file` itself when it has one.
ProtectedFiles protected_by(const Session& session, const fs::path& session_file);

}  // namespace isotonus
