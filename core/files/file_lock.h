// A lock on a file by which processes take turns: read, change, write, without losing what another one changed.
#pragma once

#include "core/files/paths.h"

namespace isotonus {

/// Held until it is destroyed, or the process ends in whatever way.
class FileLock {
  public:
    /// The lock on the file that bears this name, also when it is replaced while others wait.  Waits for `wait_s`
    /// seconds at most; fails with a sentence then, or when the file cannot be opened.
    static Result<FileLock> take(const fs::path& file, double wait_s);
    FileLock(FileLock&& other) noexcept;
    FileLock& operator=(FileLock&& other) noexcept;
    ~FileLock();

  private:
    explicit FileLock(int descriptor) : descriptor_(descriptor) {}
    int descriptor_ = -1;
};

}  // namespace isotonus
