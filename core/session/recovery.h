// Unsaved work, kept aside so that a crash, a kill or a power cut costs a moment of it at most.
#pragma once

#include <optional>

#include "core/session/session_file.h"

namespace isotonus {

/// The recovery copy of one document.  It is held by a lock, not by a process's number: as long as whoever made it
/// lives nobody takes it for left over, and as soon as it ends in whatever way, everybody does.  May be used by one
/// thread at a time.
class Recovery {
  public:
    /// `$XDG_STATE_HOME/isotonus/recovery`.
    static fs::path folder();

    Recovery() = default;
    Recovery(const Recovery&) = delete;
    Recovery& operator=(const Recovery&) = delete;
    ~Recovery();

    /// Keeps a session aside in place of the one before; `path` is where it was saved.  Fails with a sentence.
    Result<void> keep(const Session& session, const std::optional<fs::path>& path);
    /// Nothing is kept any more: the session was saved, or is not wanted.
    void forget();
    fs::path file() const { return file_; }  ///< empty: nothing is kept

    struct Left {
        fs::path file;                 ///< the copy
        std::optional<fs::path> path;  ///< where the session was saved
    };
    /// What programs that are gone have left behind.
    static std::vector<Left> left_behind();
    static void discard(const Left& left);

  private:
    Result<void> claim();
    fs::path file_, claim_file_;
    std::optional<FileLock> lock_;
};

}  // namespace isotonus
