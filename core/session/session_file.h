// Session files: UTF-8 JSON, described by docs/session-schema.json.
#pragma once

#include <functional>
#include <nlohmann/json_fwd.hpp>
#include <string>

#include "core/files/file_lock.h"
#include "core/files/pending_file.h"
#include "core/session/used_files.h"

namespace isotonus {

inline constexpr int session_version = 6;

/// JSON text of a session whose audio paths are written relative to `folder`.
std::string session_to_json(const Session& session, const fs::path& folder);

/// Fails with a sentence that names the place in the file: broken JSON (line and column), a missing or wrong key,
/// a value out of its range, a newer version.
Result<Session> session_from_json(const std::string& text, const fs::path& session_file);

/// A chain as it stands in a session file, with the rides of its processors; and back.  What is wrong is told by the
/// taker with its place.  A type that this version does not know is kept with all that it says, and does nothing.
nlohmann::json chain_to_json(const Chain& chain, const Rides& rides, const fs::path& folder);
class JsonReader;
void take_chain(JsonReader& from, Chain& chain, Rides& rides, const fs::path& folder, std::string* fault);

/// A regular file of 128 MiB at most.
Result<Session> read_session(const fs::path& file);

/// Fails, and leaves the old file, when the session is not valid (see validate.h), when the file is one of those that
/// the session itself needs, or at any fault of the disk.
Result<void> write_session(const Session& session, const fs::path& file);

/// Reads a session, changes it and writes it, while no other process can do the same.  Not written when `change` fails.
Result<void> change_session(const fs::path& file, const std::function<Result<void>(Session&)>& change);

/// The references that a user keeps for all sessions, with their passages and notes.  A shelf that is not there is
/// empty.
Result<std::vector<Recording>> read_shelf(const fs::path& file);
Result<void> write_shelf(const std::vector<Recording>& references, const fs::path& file);

}  // namespace isotonus
