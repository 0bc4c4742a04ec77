// Open files, fewer at a time than the system allows: whoever reads or writes many files at once holds PooledFiles, and
// the pool closes those that were not used for longest and opens them again when they are.
#pragma once

#include <sys/types.h>

#include <cstdint>
#include <memory>

#include "core/files/paths.h"

namespace isotonus {

/// One file.  Safe to share between threads: every read and write says its place.
class PooledFile {
  public:
    /// A regular file to read.  Whoever opens the same file meanwhile shares it.  Fails with a sentence.
    static Result<std::shared_ptr<PooledFile>> open(const fs::path& file);
    /// A new file to write; fails with an errno when something of this name is there.  `mode` as for open(2).
    static std::shared_ptr<PooledFile> create(const fs::path& file, mode_t mode, int* problem);
    ~PooledFile();
    PooledFile(const PooledFile&) = delete;
    PooledFile& operator=(const PooledFile&) = delete;

    const fs::path& path() const { return path_; }
    int64_t bytes() const { return bytes_; }  ///< when it was opened

    /// As pread and pwrite, but for all of it: how many bytes until the end or a fault; `problem` is an errno or 0.  A
    /// file that was replaced or changed its length while it was closed gives ESTALE.
    int64_t read(int64_t offset, void* to, int64_t count, int* problem);
    int64_t write(int64_t offset, const void* from, int64_t count, int* problem);
    /// Lets the system begin to put this part onto the disk, without waiting: `sync` has less to wait for then.
    void begin_to_sync(int64_t offset, int64_t count);
    /// Forces what was written onto the disk.  An errno, or 0.
    int sync();
    /// Closes it for good; an errno, or 0.
    int close();

    /// How many may be open at once: half of what the process may have, at least 4.
    static int max_open();
    /// How many are open now.
    static int open_now();

  private:
    friend struct FilePool;
    PooledFile() = default;
    template <class Use>
    int64_t with_descriptor(int* problem, const Use& use);

    fs::path path_;
    bool writes_ = false;
    int64_t bytes_ = 0;
    uint64_t device_ = 0, inode_ = 0;
    // Guarded by the pool.
    int descriptor_ = -1, users_ = 0, late_problem_ = 0;
    uint64_t last_used_ = 0;
};

}  // namespace isotonus
