#include "core/files/spool.h"

#include <fcntl.h>
#include <sys/mman.h>
#include <sys/stat.h>
#include <unistd.h>

#include <algorithm>
#include <cstring>
#include <filesystem>
#include <mutex>
#include <vector>

#include "core/files/artifact_cache.h"

namespace isotonus {

/// One file for all: a handle a signal would be too many.  Stretches that were given back are used again when they fit.
struct Spooled::File {
    std::mutex mutex;
    int descriptor = -1, problem = 0;
    bool tried = false;
    int64_t end = 0, in_use = 0;
    int64_t longest = 0;  ///< where the file ends on the disk
    struct Hole {
        int64_t at, bytes;
        bool on_disk;
    };
    std::vector<Hole> holes;

    bool open() {
        if (std::exchange(tried, true)) return descriptor >= 0;
        std::error_code none;
        for (const fs::path& folder : {cache_folder(), fs::temp_directory_path(none)}) {
            descriptor = ::open(folder.c_str(), O_TMPFILE | O_RDWR | O_CLOEXEC, 0600);
            if (descriptor >= 0) return true;
            // A file system that knows no nameless files.
            std::string name = (folder / "spool-XXXXXX").string();
            descriptor = mkostemp(name.data(), O_CLOEXEC);
            if (descriptor >= 0) return unlink(name.c_str()) == 0;
            if (problem == 0) problem = errno;
        }
        return false;
    }

    /// What nobody uses goes from the disk, when it is much: also what was given back long before its neighbours.
    void give_back_to_disk() {
        int64_t idle = longest - end;
        for (const Hole& hole : holes) idle += hole.on_disk ? hole.bytes : 0;
        if (idle <= max_idle_bytes) return;
        for (Hole& hole : holes) {
            if (hole.on_disk) fallocate(descriptor, FALLOC_FL_PUNCH_HOLE | FALLOC_FL_KEEP_SIZE, hole.at, hole.bytes);
            hole.on_disk = false;
        }
        if (ftruncate(descriptor, end) == 0) longest = end;
    }
};

Spooled::File& Spooled::file() {
    static File* const all = new File;  // never destroyed: signals may be held until the very end
    return *all;
}

Result<std::shared_ptr<Spooled>> Spooled::reserve(int64_t floats) {
    constexpr int64_t page = 65536;  // of any machine: what is mapped begins at one
    const int64_t bytes = (floats * static_cast<int64_t>(sizeof(float)) + page - 1) / page * page;
    const int64_t most = std::min(spool_budget_bytes, static_cast<int64_t>(cache_budget()));
    File& f = file();
    std::scoped_lock lock(f.mutex);
    if (bytes <= 0 || f.in_use + bytes > most)
        return fail(cache_folder().string(),
                    translated("the cache is too small for this file. Raise its size in the settings."));
    if (!f.open())
        return fail(cache_folder().string(),
                    translate("the folder cannot be written: {}. Check its permissions and the disk.",
                              std::strerror(f.problem)));
    int64_t at = -1;
    for (auto hole = f.holes.begin(); hole != f.holes.end(); ++hole) {
        if (hole->bytes < bytes) continue;
        at = hole->at;
        hole->at += bytes;
        hole->bytes -= bytes;
        if (hole->bytes == 0) f.holes.erase(hole);
        break;
    }
    if (at < 0) at = std::exchange(f.end, f.end + bytes);
    f.longest = std::max(f.longest, f.end);
    f.in_use += bytes;
    return std::shared_ptr<Spooled>(new Spooled(at, bytes));
}

Spooled::Spooled(int64_t at, int64_t bytes) : at_(at), bytes_(bytes) {
    void* const all =
        mmap(nullptr, static_cast<size_t>(bytes), PROT_READ, MAP_SHARED, file().descriptor, static_cast<off_t>(at));
    if (all != MAP_FAILED) mapped_ = static_cast<const float*>(all);
}

Spooled::~Spooled() {
    if (mapped_) munmap(const_cast<float*>(mapped_), static_cast<size_t>(bytes_));
    File& f = file();
    std::scoped_lock lock(f.mutex);
    f.in_use -= bytes_;
    // With its neighbours it is one hole.
    File::Hole hole{at_, bytes_, true};
    for (auto other = f.holes.begin(); other != f.holes.end();)
        if (other->at + other->bytes == hole.at || hole.at + hole.bytes == other->at) {
            hole = {std::min(hole.at, other->at), hole.bytes + other->bytes, true};
            other = f.holes.erase(other);
        } else {
            ++other;
        }
    if (hole.at + hole.bytes == f.end)
        f.end = hole.at;
    else
        f.holes.push_back(hole);
    f.give_back_to_disk();
}

bool Spooled::write(int64_t first, const float* from, int64_t count) {
    auto bytes = static_cast<size_t>(count) * sizeof(float);
    int64_t at = at_ + first * static_cast<int64_t>(sizeof(float));
    for (auto next = reinterpret_cast<const char*>(from); bytes > 0;) {
        const ssize_t done = pwrite(file().descriptor, next, bytes, at);
        if (done <= 0) return false;
        next += done, at += done, bytes -= static_cast<size_t>(done);
    }
    return true;
}

bool Spooled::read(int64_t first, float* to, int64_t count) const {
    auto bytes = static_cast<size_t>(count) * sizeof(float);
    int64_t at = at_ + first * static_cast<int64_t>(sizeof(float));
    for (auto next = reinterpret_cast<char*>(to); bytes > 0;) {
        const ssize_t done = pread(file().descriptor, next, bytes, at);
        if (done <= 0) return false;
        next += done, at += done, bytes -= static_cast<size_t>(done);
    }
    return true;
}

void Spooled::let_go(int64_t first, int64_t count) const {
    if (!mapped_) return;
    // The system brings in this much around each page that is looked at; the map begins at such a place of its file.
    constexpr size_t around = size_t{64} << 10;
    const size_t from = static_cast<size_t>(first) * sizeof(float) / around * around,
                 to = (static_cast<size_t>(first + count) * sizeof(float) + around - 1) / around * around;
    const size_t end = std::min(to, static_cast<size_t>(bytes_));
    if (end > from) madvise(const_cast<float*>(mapped_) + from / sizeof(float), end - from, MADV_DONTNEED);
}

int64_t Spooled::bytes_in_use() {
    std::scoped_lock lock(file().mutex);
    return file().in_use;
}

int64_t Spooled::bytes_on_disk() {
    std::scoped_lock lock(file().mutex);
    struct stat status {};
    return file().descriptor >= 0 && ::fstat(file().descriptor, &status) == 0 ? int64_t{512} * status.st_blocks : 0;
}

}  // namespace isotonus
