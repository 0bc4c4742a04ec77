// Session files: UTF-8 JSON, described by docs/session-schema.json.
#pragma once

#include <functional>
#include <string>

#include "core/session/session.h"

namespace isotonus {

inline constexpr int session_version = 4;

/// JSON text of a session whose audio paths are written relative to `folder`.
std::string session_to_json(const Session& session, const fs::path& folder);

/// Fails with a sentence that names the place in the file: broken JSON (line and column), a missing or wrong key,
/// a value out of its range, a newer version.
Result<Session> session_from_json(const std::string& text, const fs::path& session_file);

Result<Session> read_session(const fs::path& file);

/// The steps of writing a file, so that tests can make any of them fail.  Each returns 0 or an errno value.
struct FileSteps {
    std::function<int(const fs::path&, int* descriptor)> create;
    std::function<int(int descriptor, const char* data, size_t bytes)> write;
    std::function<int(int descriptor)> sync;
    std::function<int(int descriptor)> close;
    std::function<int(const fs::path& from, const fs::path& to)> rename;
    std::function<int(const fs::path& folder)> sync_folder;
};
const FileSteps& system_file_steps();

/// Temporary file in the same folder, write, fsync, close, rename: at any failure the old file is still there, whole.
Result<void> write_whole(const fs::path& file, const std::string& content,
                         const FileSteps& steps = system_file_steps());

Result<void> write_session(const Session& session, const fs::path& file, const FileSteps& steps = system_file_steps());

}  // namespace isotonus
