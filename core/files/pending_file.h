// The one way in which this program writes a file: beside its name, and given the name when it is whole.
#pragma once

#include <memory>
#include <span>
#include <string_view>

#include "core/files/pooled_file.h"
#include "core/files/protected_files.h"

namespace isotonus {

/// A file that is being written.  Until commit() the old one of its name stays as it is; without it nothing is left
/// behind.  A link is followed: what it leads to is replaced, the link stays.  A file that is replaced keeps its mode
/// and, where the system allows it, its owner.
class PendingFile {
  public:
    /// Fails with a sentence when `target` is protected, no regular file, read-only, or cannot be written beside.
    static Result<PendingFile> create(const fs::path& target, const ProtectedFiles& kept);
    PendingFile(PendingFile&&) noexcept;
    PendingFile& operator=(PendingFile&&) = delete;
    ~PendingFile();

    const fs::path& target() const { return target_; }        ///< as it was asked for
    const fs::path& temporary() const { return temporary_; }  ///< where the content is until then

    /// Writes at a place; the first fault is kept, and finish() tells it again.
    Result<void> write(int64_t offset, std::string_view bytes);
    /// What was written, before it is finished.
    Result<void> read(int64_t offset, void* to, int64_t count);
    int64_t bytes() const { return bytes_; }
    /// The first fault of writing so far.
    Result<void> so_far() const;

    /// The content is whole: it is forced onto the disk and closed.  Fails when any write before failed.
    Result<void> finish();
    /// Finishes it, if that was not done, and gives it its name.
    Result<void> commit();

  private:
    friend Result<void> commit_together(std::span<PendingFile* const> files);
    PendingFile() = default;
    std::string fault(int problem) const;

    fs::path target_;     ///< as given
    fs::path real_;       ///< with links followed
    fs::path temporary_;  ///< empty when there is nothing left to take away
    std::shared_ptr<PooledFile> file_;
    std::shared_ptr<const void> claim_;  ///< tells other processes that somebody works on what is in this folder
    ProtectedFiles kept_;
    int64_t bytes_ = 0, syncing_ = 0;  ///< written; and of that, on its way to the disk
    int problem_ = 0;
};

/// Gives several finished files their names, all or none: when one cannot be renamed, those before it are put back as
/// they were.  A crash in the middle leaves each file whole, old or new.
Result<void> commit_together(std::span<PendingFile* const> files);

/// Writes a whole file in one go.
Result<void> write_whole(const fs::path& file, std::string_view content, const ProtectedFiles& kept);

/// Takes away what killed processes left in a folder: temporary files that no running process holds.
void remove_stale_parts(const fs::path& folder);

}  // namespace isotonus
