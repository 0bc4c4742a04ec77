// Samples that were computed and are wanted again: kept in one nameless file of the cache folder for as long as
// somebody holds them, so that memory does not grow with the song.  The file is gone when the program ends, however it
// ends.
#pragma once

#include <cstdint>
#include <memory>

#include "core/result.h"

namespace isotonus {

/// What one program keeps at most; less when the cache's whole budget is less.
inline constexpr int64_t spool_budget_bytes = int64_t{6} << 30;
/// Room that was given back stays on the disk up to here: to use it again is quicker.
inline constexpr int64_t max_idle_bytes = int64_t{1} << 30;

/// Room for so many floats.  Safe to share between threads.
class Spooled {
  public:
    /// Fails when the budget is used up, or no file can be made, neither in the cache folder nor among the system's
    /// temporary files.
    static Result<std::shared_ptr<Spooled>> reserve(int64_t floats);
    ~Spooled();
    Spooled(const Spooled&) = delete;

    /// False when the disk failed (it is full): what is kept is then of no use.
    bool write(int64_t first, const float* from, int64_t count);
    bool read(int64_t first, float* to, int64_t count) const;
    /// All of it where it lies, not copied; null when it cannot be mapped.  Only what was written may be looked at:
    /// the file is this program's own and has no name, so that nobody cuts it short meanwhile.
    const float* mapped() const { return mapped_; }

    /// These samples are not looked at for now: they need not be in memory meanwhile.
    void let_go(int64_t first, int64_t count) const;

    static int64_t bytes_in_use();
    /// What the file takes on the disk, as the system says.
    static int64_t bytes_on_disk();

  private:
    struct File;
    static File& file();
    Spooled(int64_t at, int64_t bytes);
    int64_t at_, bytes_;
    const float* mapped_ = nullptr;
};

}  // namespace isotonus
