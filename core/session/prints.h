// Prints: exports of the mix that are compared with it, each with the session that it was made of beside it.
#pragma once

#include "core/measure/measurement.h"
#include "core/session/session.h"

namespace isotonus {

/// Keeps the session of a print beside its file, as an ordinary session without prints and notes.  Returns where; an
/// empty path when a file that was not kept for a print stands there, or the one that is worked in.  Fails as writing
/// does.
Result<fs::path> keep_session_of_print(const Session& session, const fs::path& print,
                                       const std::optional<fs::path>& worked_in);

/// A copy with a print in its list, in place of one of the same file.  `made` is a date as it is shown.
Session with_print(const Session& session, const fs::path& file, const fs::path& session_then,
                   const Measurement& measured, const std::string& made, const std::string& note);

/// An export becomes a print of the session in a file, with the session that it was made of beside it.  Fails as
/// reading and writing do.
Result<void> keep_print(const fs::path& session_file, const Session& exported, const fs::path& file,
                        const Measurement& measured, const std::string& made);

}  // namespace isotonus
