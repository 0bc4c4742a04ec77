#include "core/files/file_lock.h"

#include <fcntl.h>
#include <sys/file.h>
#include <sys/stat.h>
#include <unistd.h>

#include <chrono>
#include <cstring>
#include <thread>
#include <utility>

namespace isotonus {

Result<FileLock> FileLock::take(const fs::path& file, double wait_s) {
    using namespace std::chrono;
    const auto until = steady_clock::now() + duration<double>(wait_s);
    for (;;) {
        const int descriptor = ::open(file.c_str(), O_RDONLY | O_CLOEXEC | O_NONBLOCK | O_NOCTTY);
        if (descriptor < 0)
            return fail(file.string(),
                        errno == ENOENT
                            ? translated("the file does not exist. Check its name.")
                            : translate("the file cannot be opened: {}. Check its permissions.", strerror(errno)));
        FileLock lock(descriptor);
        const bool locked = ::flock(descriptor, LOCK_EX | LOCK_NB) == 0;
        if (!locked && (errno == ENOLCK || errno == EOPNOTSUPP)) return lock;  // a file system without locks
        if (locked) {
            // Whoever held it may have put another file under the name: that one's lock is wanted then.
            struct stat held {
            }, named{};
            if (::fstat(descriptor, &held) == 0 && ::stat(file.c_str(), &named) == 0 && held.st_dev == named.st_dev &&
                held.st_ino == named.st_ino)
                return lock;
            continue;
        }
        if (errno != EWOULDBLOCK && errno != EINTR)
            return fail(file.string(),
                        translate("the file cannot be locked: {}. Check its permissions.", strerror(errno)));
        if (steady_clock::now() >= until)
            return fail(file.string(),
                        translated("another program is changing the file. Wait a moment and try again."));
        std::this_thread::sleep_for(milliseconds(5));
    }
}

FileLock::FileLock(FileLock&& other) noexcept : descriptor_(std::exchange(other.descriptor_, -1)) {}

FileLock& FileLock::operator=(FileLock&& other) noexcept {
    std::swap(descriptor_, other.descriptor_);
    return *this;
}

FileLock::~FileLock() {
    if (descriptor_ >= 0) ::close(descriptor_);
}

}  // namespace isotonus
