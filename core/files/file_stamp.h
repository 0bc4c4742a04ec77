// What tells one content of a file from another without reading it.
#pragma once

#include <cstdint>
#include <string>

#include "core/files/paths.h"

namespace isotonus {

/// Size and times of a file.  Programs can set the time of writing as they like; the time of the last change of any
/// kind is noted by the system alone, so that a file which was replaced under its name, size and time is told apart.
struct FileStamp {
    uint64_t bytes = 0;
    int64_t written_ns = 0;  ///< since 1970
    int64_t changed_ns = 0;  ///< likewise
    bool operator==(const FileStamp&) const = default;
    std::string text() const;
};

/// All zero when there is no such file.
FileStamp stamp_of(const fs::path& file);

/// The same of a file that is about to be read.  The system notes times in ticks of up to 10 ms: two changes within one
/// of them have one stamp.  So a file that was changed just now is waited for, 20 ms at most; whoever changes it after
/// that gives it another stamp.
FileStamp settled_stamp_of(const fs::path& file);

/// The stamps of all files of a folder and those below it, as one text.
std::string stamps_in(const fs::path& folder);

}  // namespace isotonus
