#include "core/files/file_stamp.h"

#include <fmt/format.h>
#include <sys/stat.h>

#include <algorithm>
#include <chrono>
#include <thread>
#include <vector>

namespace isotonus {

namespace {

int64_t nanoseconds(const timespec& t) { return int64_t{t.tv_sec} * 1000000000 + t.tv_nsec; }

}  // namespace

std::string FileStamp::text() const { return fmt::format("{} {} {}", bytes, written_ns, changed_ns); }

FileStamp stamp_of(const fs::path& file) {
    struct stat status {};
    if (::stat(file.c_str(), &status) != 0) return {};
    return {static_cast<uint64_t>(status.st_size), nanoseconds(status.st_mtim), nanoseconds(status.st_ctim)};
}

FileStamp settled_stamp_of(const fs::path& file) {
    using namespace std::chrono;
    constexpr int64_t tick_ns = 20000000;
    const FileStamp stamp = stamp_of(file);
    const int64_t age_ns =
        duration_cast<std::chrono::nanoseconds>(system_clock::now().time_since_epoch()).count() - stamp.changed_ns;
    // A clock that differs from the file system's says nothing about the age.
    if (age_ns < 0 || age_ns >= tick_ns) return stamp;
    std::this_thread::sleep_for(std::chrono::nanoseconds(tick_ns - age_ns));
    return stamp_of(file);
}

std::string stamps_in(const fs::path& folder) {
    std::vector<std::string> all;
    std::error_code problem;
    for (fs::recursive_directory_iterator at(folder, problem), end; !problem && at != end; at.increment(problem))
        if (std::error_code unknown; at->is_regular_file(unknown))
            all.push_back(at->path().lexically_relative(folder).string() + ' ' + stamp_of(at->path()).text());
    std::sort(all.begin(), all.end());
    std::string text;
    for (const std::string& line : all) text += line + '\n';
    return text;
}

}  // namespace isotonus
