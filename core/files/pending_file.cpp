#include "core/files/pending_file.h"

#include <fcntl.h>
#include <fmt/format.h>
#include <sys/file.h>
#include <sys/random.h>
#include <sys/stat.h>
#include <unistd.h>

#include <algorithm>
#include <cstring>
#include <map>
#include <mutex>
#include <set>

namespace isotonus {

namespace {

// Temporary files are called ".isotonus-TOKEN-N.part".  TOKEN is random, so that nobody can guess a name and put a link
// there; ".isotonus-TOKEN.part" is the claim, an empty file that stays locked as long as a process works with the
// token.
constexpr std::string_view prefix = ".isotonus-", ending = ".part";
constexpr size_t token_digits = 32;

std::string new_token() {
    unsigned char bytes[token_digits / 2];
    if (::getrandom(bytes, sizeof bytes, 0) != static_cast<ssize_t>(sizeof bytes)) ::getentropy(bytes, sizeof bytes);
    return hexadecimal({reinterpret_cast<const char*>(bytes), sizeof bytes});
}

/// The token in the name of a temporary file; empty when it is none.
std::string token_in(const std::string& name) {
    if (!name.starts_with(prefix) || !name.ends_with(ending)) return {};
    const std::string token = name.substr(prefix.size(), token_digits);
    if (token.size() != token_digits || token.find_first_not_of("0123456789abcdef") != std::string::npos) return {};
    const std::string rest = name.substr(prefix.size() + token_digits);
    return rest == ending || rest.front() == '-' ? token : std::string();
}

/// A folder in which this process writes.
struct Claim {
    fs::path folder, file;
    std::string token;
    int descriptor = -1;
    int parts = 0;
    ~Claim() {
        if (descriptor < 0) return;
        ::unlink(file.c_str());
        ::close(descriptor);
    }
};

std::mutex claims_mutex;
std::map<fs::path, std::weak_ptr<Claim>> claims;

/// The claim on a folder, and the path of one more temporary file in it; an errno when the folder cannot be written.
std::shared_ptr<Claim> claim_on(const fs::path& folder, fs::path* part, int* problem) {
    std::scoped_lock lock(claims_mutex);
    std::shared_ptr<Claim> claim = claims[folder].lock();
    struct stat named {
    }, held{};
    // A folder that was taken away and made anew has no claim in it any more.
    if (claim && (::stat(claim->file.c_str(), &named) != 0 || ::fstat(claim->descriptor, &held) != 0 ||
                  named.st_ino != held.st_ino))
        claim.reset();
    for (int tries = 0; !claim && tries < 100; ++tries) {
        auto made = std::make_shared<Claim>();
        made->folder = folder;
        made->token = new_token();
        made->file = folder / fmt::format("{}{}{}", prefix, made->token, ending);
        *problem = file_fault(FileStep::create, made->file);
        if (*problem) return nullptr;
        made->descriptor = ::open(made->file.c_str(), O_RDWR | O_CREAT | O_EXCL | O_NOFOLLOW | O_CLOEXEC, 0600);
        if (made->descriptor < 0) {
            *problem = errno;
            return nullptr;
        }
        // Between making and locking, somebody who tidies up may have taken it for left over: then once more.
        if (::flock(made->descriptor, LOCK_EX | LOCK_NB) == 0 && ::fstat(made->descriptor, &held) == 0 &&
            held.st_nlink > 0)
            claim = made;
    }
    if (!claim) {
        *problem = EBUSY;
        return nullptr;
    }
    claims[folder] = claim;
    std::erase_if(claims, [](const auto& entry) { return entry.second.expired(); });
    *part = folder / fmt::format("{}{}-{}{}", prefix, claim->token, ++claim->parts, ending);
    return claim;
}

int sync_folder(const fs::path& folder) {
    const int descriptor = ::open(folder.c_str(), O_RDONLY | O_DIRECTORY | O_CLOEXEC);
    if (descriptor < 0) return errno;
    const int problem = ::fsync(descriptor) == 0 ? 0 : errno;
    ::close(descriptor);
    return problem;
}

}  // namespace

Result<PendingFile> PendingFile::create(const fs::path& target, const ProtectedFiles& kept) {
    const std::string name = target.string();
    if (target.filename().empty()) return fail(name, translated("the file has no name. Type one."));
    if (target.filename().native().size() > 255)
        return fail(name,
                    translated("the name is too long: a file name has at most 255 bytes. Choose a shorter name."));
    PendingFile pending;
    pending.target_ = target;
    pending.real_ = real_path(target);
    pending.kept_ = kept;
    if (auto allowed = kept.allow(target); !allowed) return tl::unexpected(allowed.error());

    struct stat old {};
    const bool replaces = ::stat(pending.real_.c_str(), &old) == 0;
    if (!replaces && errno != ENOENT)
        return fail(name, translate("the file cannot be written: {}. Check the folder and the disk.", strerror(errno)));
    if (!replaces && ::lstat(pending.real_.c_str(), &old) == 0)
        return fail(name, translated("the link points to a file that does not exist. Choose another name."));
    if (replaces && S_ISDIR(old.st_mode)) return fail(name, translated("a folder has this name. Choose another name."));
    if (replaces && !S_ISREG(old.st_mode))
        return fail(name, translated("this is not a regular file and is never replaced. Choose another name."));
    if (replaces && ((old.st_mode & 0222) == 0 || ::faccessat(AT_FDCWD, pending.real_.c_str(), W_OK, AT_EACCESS) != 0))
        return fail(name, translated("the file is read-only. Choose another name, or allow writing to the file."));

    int problem = 0;
    const fs::path folder = pending.real_.parent_path();
    {
        static std::mutex mutex;
        static std::set<fs::path> tidied;
        std::scoped_lock lock(mutex);
        if (tidied.insert(folder).second) remove_stale_parts(folder);
    }
    fs::path part;
    pending.claim_ = claim_on(folder, &part, &problem);
    if (pending.claim_) pending.file_ = PooledFile::create(part, replaces ? 0600 : 0666, &problem);
    if (!pending.file_) {
        if (problem == ENOENT)
            return fail(name,
                        translated("the folder of the file does not exist. Choose another folder, or make it first."));
        return fail(name,
                    translate("the file cannot be written: {}. Check the folder and the disk.", strerror(problem)));
    }
    pending.temporary_ = part;
    if (replaces) {
        // The owner first: giving a file away may clear bits of its mode.  Who may not do so keeps the file's mode all
        // the same, so that a private file stays private.
        if (::chown(part.c_str(), old.st_uid, old.st_gid) != 0) errno = 0;
        if (::chmod(part.c_str(), old.st_mode & 07777) != 0)
            return fail(name,
                        translate("the file cannot be written: {}. Check the folder and the disk.", strerror(errno)));
    }
    return pending;
}

PendingFile::PendingFile(PendingFile&& other) noexcept
    : target_(std::move(other.target_)),
      real_(std::move(other.real_)),
      temporary_(std::move(other.temporary_)),
      file_(std::move(other.file_)),
      claim_(std::move(other.claim_)),
      kept_(std::move(other.kept_)),
      bytes_(other.bytes_),
      syncing_(other.syncing_),
      problem_(other.problem_) {
    other.temporary_.clear();
}

PendingFile::~PendingFile() {
    file_.reset();
    if (!temporary_.empty()) ::unlink(temporary_.c_str());
}

std::string PendingFile::fault(int problem) const {
    return translate("the file cannot be written: {}. Check the folder and the disk.", strerror(problem));
}

Result<void> PendingFile::write(int64_t offset, std::string_view bytes) {
    int problem = 0;
    const auto count = static_cast<int64_t>(bytes.size());
    const bool whole = file_->write(offset, bytes.data(), count, &problem) == count && problem == 0;
    if (!whole && problem_ == 0) problem_ = problem ? problem : EIO;
    bytes_ = std::max(bytes_, offset + count);
    constexpr int64_t share_bytes = int64_t{4} << 20;
    if (bytes_ - syncing_ >= share_bytes) {
        file_->begin_to_sync(syncing_, bytes_ - syncing_);
        syncing_ = bytes_;
    }
    if (!whole) return fail(target_.string(), fault(problem_));
    return {};
}

Result<void> PendingFile::so_far() const {
    if (problem_ != 0) return fail(target_.string(), fault(problem_));
    return {};
}

Result<void> PendingFile::read(int64_t offset, void* to, int64_t count) {
    int problem = 0;
    if (file_ && file_->read(offset, to, count, &problem) == count) return {};
    return fail(target_.string(), fault(problem ? problem : EIO));
}

Result<void> PendingFile::finish() {
    if (file_) {
        if (problem_ == 0) problem_ = file_->sync();
        const int closing = file_->close();
        if (problem_ == 0) problem_ = closing;
        file_.reset();
    }
    if (problem_ != 0) return fail(target_.string(), fault(problem_));
    return {};
}

Result<void> PendingFile::commit() {
    PendingFile* const one = this;
    return commit_together({&one, 1});
}

Result<void> commit_together(std::span<PendingFile* const> files) {
    for (PendingFile* f : files)
        if (auto finished = f->finish(); !finished) return finished;
    // What is protected may have come to stand under the name meanwhile.
    for (PendingFile* f : files)
        if (auto allowed = f->kept_.allow(f->target_); !allowed) return allowed;
    // An old file of a name changes places with the new one, so that it can be put back.
    enum class Old { none, under_temporary_name, gone };
    std::vector<Old> old(files.size(), Old::none);
    size_t renamed = 0;
    int problem = 0;
    for (; renamed < files.size(); ++renamed) {
        const PendingFile& f = *files[renamed];
        problem = file_fault(FileStep::rename, f.real_);
        if (problem != 0) break;
        if (files.size() > 1 &&
            ::renameat2(AT_FDCWD, f.temporary_.c_str(), AT_FDCWD, f.real_.c_str(), RENAME_EXCHANGE) == 0) {
            old[renamed] = Old::under_temporary_name;
            continue;
        }
        // No old file; or a file system that cannot exchange names, where the old one is lost.
        if (is_there(f.real_)) old[renamed] = Old::gone;
        if (::rename(f.temporary_.c_str(), f.real_.c_str()) != 0) {
            problem = errno;
            break;
        }
    }
    if (problem != 0) {
        const std::string name = files[renamed]->target_.string();
        std::string stay;
        while (renamed-- > 0) {
            const PendingFile& f = *files[renamed];
            int back = file_fault(FileStep::rename, f.real_) ? -1 : 0;
            if (back == 0 && old[renamed] == Old::under_temporary_name)
                back = ::renameat2(AT_FDCWD, f.temporary_.c_str(), AT_FDCWD, f.real_.c_str(), RENAME_EXCHANGE);
            else if (back == 0 && old[renamed] == Old::none)
                back = ::rename(f.real_.c_str(), f.temporary_.c_str());
            if (back != 0 || old[renamed] == Old::gone)
                stay += (stay.empty() ? "" : ", ") + f.target_.filename().string();
        }
        if (stay.empty())
            return fail(name, translate("the finished file cannot be renamed: {}. Check the folder and try again.",
                                        strerror(problem)));
        return fail(name,
                    translate("the finished file cannot be renamed: {}. These files are new and complete, and could "
                              "not be restored to what they were: {}. Check the folder.",
                              strerror(problem), stay));
    }
    std::set<fs::path> folders;
    for (PendingFile* f : files) {
        ::unlink(f->temporary_.c_str());  // the old file, where names were exchanged
        f->temporary_.clear();
        folders.insert(f->real_.parent_path());
    }
    // The content is safe already; a folder that cannot be synced (some network drives) is no failure.
    for (const fs::path& folder : folders) sync_folder(folder);
    return {};
}

Result<void> write_whole(const fs::path& file, std::string_view content, const ProtectedFiles& kept) {
    auto pending = PendingFile::create(file, kept);
    if (!pending) return tl::unexpected(pending.error());
    if (auto written = pending->write(0, content); !written) return written;
    return pending->commit();
}

void remove_stale_parts(const fs::path& folder) {
    const auto entries = entries_of(folder);
    if (!entries) return;
    std::map<std::string, std::vector<fs::path>> parts;
    for (const fs::path& entry : *entries)
        if (const std::string token = token_in(entry.filename().string()); !token.empty())
            parts[token].push_back(entry);
    for (const auto& [token, files] : parts) {
        const fs::path claim = folder / fmt::format("{}{}{}", prefix, token, ending);
        const int descriptor = ::open(claim.c_str(), O_RDWR | O_NOFOLLOW | O_CLOEXEC);
        if (descriptor < 0 && errno != ENOENT) continue;  // somebody else's
        const bool held = descriptor >= 0 && ::flock(descriptor, LOCK_EX | LOCK_NB) != 0;
        if (!held)
            for (const fs::path& file : files) ::unlink(file.c_str());
        if (descriptor >= 0) ::close(descriptor);
    }
}

}  // namespace isotonus
