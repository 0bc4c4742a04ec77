#include "core/files/pooled_file.h"

#include <fcntl.h>
#include <sys/resource.h>
#include <sys/stat.h>
#include <unistd.h>

#include <algorithm>
#include <cstring>
#include <map>
#include <mutex>
#include <tuple>

namespace isotonus {

/// All files that are open, and those that can be shared.
struct FilePool {
    using Identity = std::tuple<std::string, uint64_t, uint64_t, int64_t, int64_t, int64_t>;
    std::mutex mutex;
    std::vector<PooledFile*> open;
    std::map<Identity, std::weak_ptr<PooledFile>> shared;
    uint64_t uses = 0;

    /// Never destroyed: files may outlive what else is static.
    static FilePool& get() {
        static auto* const pool = new FilePool;
        return *pool;
    }

    void make_room() {
        while (static_cast<int>(open.size()) >= PooledFile::max_open()) {
            PooledFile* oldest = nullptr;
            for (PooledFile* f : open)
                if (f->users_ == 0 && (!oldest || f->last_used_ < oldest->last_used_)) oldest = f;
            if (!oldest) return;  // all are in use this moment: one more it is
            if (::close(oldest->descriptor_) != 0) oldest->late_problem_ = errno;
            forget(*oldest);
        }
    }
    void remember(PooledFile& file, int descriptor) {
        file.descriptor_ = descriptor;
        file.last_used_ = ++uses;
        open.push_back(&file);
    }
    void forget(PooledFile& file) {
        file.descriptor_ = -1;
        std::erase(open, &file);
    }
};

namespace {

FilePool::Identity identity_of(const fs::path& file, const struct stat& s) {
    return {file.string(), s.st_dev, s.st_ino, s.st_size, s.st_mtim.tv_sec, s.st_mtim.tv_nsec};
}

std::string sentence(int problem) {
    switch (problem) {
        case ENOENT:
        case ENOTDIR:
            return translated("the file does not exist. Check its name.");
        case EACCES:
        case EPERM:
            return translated("no permission to read the file. Change its permissions.");
        default:
            return translate("the file cannot be reached: {}", strerror(problem));
    }
}

}  // namespace

int PooledFile::max_open() {
    struct rlimit limit {};
    if (::getrlimit(RLIMIT_NOFILE, &limit) != 0) return 128;
    return static_cast<int>(std::clamp<rlim_t>(limit.rlim_cur / 2, 4, 4096));
}

int PooledFile::open_now() {
    FilePool& pool = FilePool::get();
    std::scoped_lock lock(pool.mutex);
    return static_cast<int>(pool.open.size());
}

Result<std::shared_ptr<PooledFile>> PooledFile::open(const fs::path& file) {
    const std::string name = file.string();
    struct stat status {};
    if (const int problem = file_fault(FileStep::open, file)) return fail(name, sentence(problem));
    if (::stat(file.c_str(), &status) != 0) return fail(name, sentence(errno));
    if (S_ISDIR(status.st_mode)) return fail(name, translated("this is a folder. Choose a file."));
    if (!S_ISREG(status.st_mode)) return fail(name, translated("this is not a regular file. Choose a file."));
    FilePool& pool = FilePool::get();
    std::scoped_lock lock(pool.mutex);
    std::weak_ptr<PooledFile>& shared = pool.shared[identity_of(file, status)];
    if (auto found = shared.lock()) return found;
    pool.make_room();
    const int descriptor = ::open(file.c_str(), O_RDONLY | O_CLOEXEC | O_NONBLOCK | O_NOCTTY);
    if (descriptor < 0 || ::fstat(descriptor, &status) != 0 || !S_ISREG(status.st_mode)) {
        const int problem = descriptor < 0 ? errno : EINVAL;
        if (descriptor >= 0) ::close(descriptor);
        return fail(name, sentence(problem));
    }
    std::shared_ptr<PooledFile> one(new PooledFile);
    one->path_ = file;
    one->bytes_ = status.st_size;
    one->device_ = status.st_dev;
    one->inode_ = status.st_ino;
    pool.remember(*one, descriptor);
    shared = one;
    if (pool.shared.size() > 4096) std::erase_if(pool.shared, [](const auto& entry) { return entry.second.expired(); });
    return one;
}

std::shared_ptr<PooledFile> PooledFile::create(const fs::path& file, mode_t mode, int* problem) {
    *problem = file_fault(FileStep::create, file);
    if (*problem) return nullptr;
    FilePool& pool = FilePool::get();
    std::scoped_lock lock(pool.mutex);
    pool.make_room();
    const int descriptor = ::open(file.c_str(), O_RDWR | O_CREAT | O_EXCL | O_NOFOLLOW | O_CLOEXEC, mode);
    struct stat status {};
    if (descriptor < 0 || ::fstat(descriptor, &status) != 0) {
        *problem = errno;
        if (descriptor >= 0) ::close(descriptor);
        return nullptr;
    }
    std::shared_ptr<PooledFile> one(new PooledFile);
    one->path_ = file;
    one->writes_ = true;
    one->device_ = status.st_dev;
    one->inode_ = status.st_ino;
    pool.remember(*one, descriptor);
    return one;
}

PooledFile::~PooledFile() { close(); }

template <class Use>
int64_t PooledFile::with_descriptor(int* problem, const Use& use) {
    FilePool& pool = FilePool::get();
    int descriptor = -1;
    {
        std::scoped_lock lock(pool.mutex);
        if (descriptor_ < 0) {
            pool.make_room();
            const int opened = ::open(path_.c_str(), (writes_ ? O_RDWR : O_RDONLY) | O_CLOEXEC | O_NONBLOCK | O_NOCTTY);
            struct stat status {};
            if (opened < 0) {
                *problem = errno;
                return 0;
            }
            const bool same = ::fstat(opened, &status) == 0 && status.st_dev == device_ && status.st_ino == inode_ &&
                              (writes_ || status.st_size == bytes_);
            if (!same) {
                ::close(opened);
                *problem = ESTALE;
                return 0;
            }
            pool.remember(*this, opened);
        }
        ++users_;
        last_used_ = ++pool.uses;
        descriptor = descriptor_;
    }
    const int64_t done = use(descriptor);
    std::scoped_lock lock(pool.mutex);
    --users_;
    return done;
}

int64_t PooledFile::read(int64_t offset, void* to, int64_t count, int* problem) {
    *problem = file_fault(FileStep::read, path_);
    if (*problem) return 0;
    return with_descriptor(problem, [&](int descriptor) {
        int64_t done = 0;
        while (done < count) {
            const ssize_t got =
                ::pread(descriptor, static_cast<char*>(to) + done, static_cast<size_t>(count - done), offset + done);
            if (got < 0 && errno == EINTR) continue;
            if (got < 0) *problem = errno;
            if (got <= 0) break;
            done += got;
        }
        return done;
    });
}

int64_t PooledFile::write(int64_t offset, const void* from, int64_t count, int* problem) {
    *problem = file_fault(FileStep::write, path_);
    if (*problem) return 0;
    return with_descriptor(problem, [&](int descriptor) {
        int64_t done = 0;
        while (done < count) {
            const ssize_t put = ::pwrite(descriptor, static_cast<const char*>(from) + done,
                                         static_cast<size_t>(count - done), offset + done);
            if (put < 0 && errno == EINTR) continue;
            if (put <= 0) {
                *problem = put < 0 ? errno : EIO;
                break;
            }
            done += put;
        }
        return done;
    });
}

void PooledFile::begin_to_sync(int64_t offset, int64_t count) {
    int problem = 0;
    with_descriptor(&problem, [&](int descriptor) {
        ::sync_file_range(descriptor, offset, count, SYNC_FILE_RANGE_WRITE);
        return int64_t{0};
    });
}

int PooledFile::sync() {
    int problem = file_fault(FileStep::sync, path_);
    if (problem) return problem;
    with_descriptor(&problem, [&](int descriptor) {
        if (::fsync(descriptor) != 0) problem = errno;
        return 0;
    });
    return problem;
}

int PooledFile::close() {
    FilePool& pool = FilePool::get();
    std::scoped_lock lock(pool.mutex);
    int problem = std::exchange(late_problem_, 0);
    if (descriptor_ >= 0) {
        if (::close(descriptor_) != 0 && problem == 0) problem = errno;
        pool.forget(*this);
        if (writes_ && problem == 0) problem = file_fault(FileStep::close, path_);
    }
    return problem;
}

}  // namespace isotonus
