// What must never be written over: the files that a session plays, refers to, or is.
#pragma once

#include <string>
#include <vector>

#include "core/files/paths.h"

namespace isotonus {

/// A set of files, known by their path with all links followed and, where they exist, by device and inode, so that
/// another path, a link or a hard link to one of them is found too.
class ProtectedFiles {
  public:
    /// `what` it is goes into the sentence that refuses to write over it: "the file of the track 'Kick'".
    void add(const fs::path& file, std::string what);

    /// Fails with a sentence when `target` is one of them.
    Result<void> allow(const fs::path& target) const;

  private:
    struct Kept {
        fs::path real;
        uint64_t device = 0, inode = 0;  ///< both 0: not there when it was added
        std::string what;
    };
    std::vector<Kept> kept_;
};

/// For files of the program's own, in folders of its own: the cache and the recovery copies.
inline const ProtectedFiles& none_protected() {
    static const ProtectedFiles none;
    return none;
}

}  // namespace isotonus
