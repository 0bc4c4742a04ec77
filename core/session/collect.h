// A session and all that it needs in one folder that opens anywhere.
#pragma once

#include "core/parallel.h"
#include "core/session/session.h"

namespace isotonus {

struct Collected {
    fs::path session;             ///< FOLDER/NAME.isotonus
    std::vector<fs::path> files;  ///< copies beside it, under audio/, rooms/ and recordings/
    std::vector<Error> missing;   ///< what could not be read; the session keeps the path that it had
};
/// Copies a session and all that it needs into a folder, which must be new or empty; paths in the copy are relative, so
/// that the folder may be moved.  Everything gets its name, or nothing does.  Fails with the file and the fault.
Result<Collected> collect(const Session& session, const fs::path& folder, const std::string& name,
                          Progress* progress = nullptr);

}  // namespace isotonus
