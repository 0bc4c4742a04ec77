#include "core/session/recovery.h"

#include <fcntl.h>
#include <fmt/format.h>
#include <unistd.h>

#include <cstdlib>
#include <random>

namespace isotonus {

namespace {

constexpr uintmax_t longest_path_bytes = 65536;

// "TOKEN.isotonus" is a session; "TOKEN.place" says where it was saved, and is locked by whoever works on it.
fs::path location_file(const fs::path& copy) { return fs::path(copy).replace_extension(".place"); }

}  // namespace

fs::path Recovery::folder() {
    const fs::path base = folder_of_user("XDG_STATE_HOME", ".local/state");
    return base / "isotonus" / "recovery";
}

Recovery::~Recovery() { forget(); }

Result<void> Recovery::claim() {
    if (auto made = make_folder(folder()); !made) return made;
    std::random_device random;
    for (int tries = 0; tries < 100; ++tries) {
        const std::string token = fmt::format("{:08x}{:08x}", random(), random());
        claim_file_ = folder() / (token + ".place");
        const int descriptor = ::open(claim_file_.c_str(), O_WRONLY | O_CREAT | O_EXCL | O_NOFOLLOW | O_CLOEXEC, 0600);
        if (descriptor < 0 && errno == EEXIST) continue;
        if (descriptor < 0)
            return fail(
                folder().string(),
                translated(
                    "the folder for unsaved work cannot be written. Save the session often, and check the disk."));
        ::close(descriptor);
        auto lock = FileLock::take(claim_file_, 0.0);
        if (!lock) continue;  // somebody tidies up just now
        lock_ = std::move(*lock);
        file_ = folder() / (token + ".isotonus");
        return {};
    }
    return fail(
        folder().string(),
        translated("the folder for unsaved work cannot be written. Save the session often, and check the disk."));
}

Result<void> Recovery::keep(const Session& session, const std::optional<fs::path>& path) {
    if (!lock_)
        if (auto claimed = claim(); !claimed) return claimed;
    // The lock is on the place file itself, so that it is written in place; it comes before the copy it speaks of. Only
    // what changed is written, and never is the file empty on the way: a kill may come at any moment.
    const std::string location = path ? path->string() : std::string();
    const auto before = read_whole(claim_file_, longest_path_bytes);
    bool written = before && *before == location;
    if (!written) {
        const int descriptor = ::open(claim_file_.c_str(), O_WRONLY | O_NOFOLLOW | O_CLOEXEC);
        written = descriptor >= 0 && ::write(descriptor, location.data(), location.size()) == std::ssize(location) &&
                  ::ftruncate(descriptor, std::ssize(location)) == 0;
        if (descriptor >= 0) ::close(descriptor);
    }
    if (!written) {
        lock_.reset();  // the folder was emptied under us: the next edit begins anew
        file_.clear();
        return fail(
            folder().string(),
            translated("the folder for unsaved work cannot be written. Save the session often, and check the disk."));
    }
    return write_session(session, file_);
}

void Recovery::forget() {
    if (!lock_) return;
    discard({file_, std::nullopt});
    lock_.reset();
    file_.clear();
}

std::vector<Recovery::Left> Recovery::left_behind() {
    std::vector<Left> found;
    remove_stale_parts(folder());
    for (const fs::path& entry : entries_of(folder()).value_or(std::vector<fs::path>())) {
        if (entry.extension() != ".isotonus") continue;
        Left left{entry, std::nullopt};
        if (is_there(location_file(entry)) && !FileLock::take(location_file(entry), 0.0)) continue;  // somebody's own
        const auto location = read_whole(location_file(entry), longest_path_bytes);
        if (location && !location->empty()) left.path = fs::path(*location);
        found.push_back(std::move(left));
    }
    return found;
}

void Recovery::discard(const Left& left) {
    std::error_code ignored;
    fs::remove(left.file, ignored);
    fs::remove(location_file(left.file), ignored);
}

}  // namespace isotonus
