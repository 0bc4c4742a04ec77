#include "core/session/collect.h"

#include <fmt/format.h>

#include <fstream>
#include <map>
#include <set>

#include "core/files/pending_file.h"
#include "core/session/session_file.h"
#include "core/session/used_files.h"
#include "core/session/validate.h"

namespace isotonus {

namespace {

using Use = UsedFile::Use;

const char* folder_for(Use use) {
    if (use == Use::audio) return "audio";
    return use == Use::room ? "rooms" : "recordings";
}

/// Copies one file; its content, not what links lead to it.
Result<void> copy_into(const fs::path& from, PendingFile& to, Progress* progress,
                       const std::function<void(int64_t)>& done) {
    std::ifstream in(from, std::ios::binary);
    if (!in) return fail(from.string(), translated("the file cannot be read. Check its permissions."));
    std::string piece(size_t{4} << 20, '\0');
    int64_t copied = 0;
    while (in) {
        if (progress && progress->cancelled()) return stopped();
        in.read(piece.data(), std::ssize(piece));
        const auto bytes = static_cast<size_t>(in.gcount());
        if (auto written = to.write(copied, std::string_view(piece).substr(0, bytes)); !written) return written;
        copied += static_cast<int64_t>(bytes);
        done(static_cast<int64_t>(bytes));
    }
    if (in.bad()) return fail(from.string(), translated("the file could not be read to its end. Check the disk."));
    std::error_code problem;
    if (const auto size = fs::file_size(from, problem); problem || static_cast<int64_t>(size) != copied)
        return fail(from.string(), translated("the file changed during the copy. Save again."));
    return to.finish();
}

/// Takes away the folders that were made, unless all of it worked: files go by themselves.
struct MadeFolders {
    fs::path root;
    bool keep, root_too;
    ~MadeFolders() {
        if (keep) return;
        std::error_code ignored;
        for (const char* part : {"audio", "rooms", "recordings"}) fs::remove(root / part, ignored);
        if (root_too) fs::remove(root, ignored);
    }
};

class Collecting {
  public:
    Collecting(const Session& session, const fs::path& folder, Progress* progress)
        : session_(session),
          root_(absolute_path(folder)),
          progress_(progress),
          kept_(protected_by(session, {})),
          folders_{root_, false, !is_there(folder)} {}

    Result<Collected> run(const std::string& name) {
        find_targets();
        for (const fs::path& from : sources_)
            if (auto ok = copy(from); !ok) return tl::unexpected(ok.error());
        for (const fs::path& of_print : sessions_) {
            const auto then = read_session(of_print);
            if (!then) {
                done_.missing.push_back(then.error());
                targets_.erase(of_print);
                continue;
            }
            if (auto ok = put_session(*then, targets_[of_print]); !ok) return tl::unexpected(ok.error());
        }
        done_.session = root_ / (name + ".isotonus");
        if (auto ok = put_session(session_, done_.session); !ok) return tl::unexpected(ok.error());
        std::vector<PendingFile*> all;
        for (auto& [from, pending] : copies_) all.push_back(&pending);
        if (auto ok = commit_together(all); !ok) return tl::unexpected(ok.error());
        folders_.keep = true;
        for (const auto& [from, pending] : copies_) done_.files.push_back(pending.target());
        done_.files.pop_back();  // the session itself
        return done_;
    }

  private:
    void find_targets() {
        std::set<fs::path> taken;
        for (const UsedFile& used : used_files(session_)) {
            if (targets_.contains(used.file)) continue;
            std::error_code problem;
            const auto size = fs::file_size(used.file, problem);
            if (problem) {
                done_.missing.push_back(
                    {used.file.string(), translate("{} cannot be read: {}", used.what, problem.message())});
                continue;
            }
            total_ += static_cast<int64_t>(size);
            fs::path to = root_ / folder_for(used.use) / used.file.filename();
            for (int n = 2; !taken.insert(to).second; ++n)
                to = root_ / folder_for(used.use) /
                     (used.file.stem().string() + fmt::format(" ({})", n) + used.file.extension().string());
            targets_[used.file] = to;
            (used.use == Use::session_of_print ? sessions_ : sources_).push_back(used.file);
        }
    }

    Result<PendingFile> begin(const fs::path& to) {
        if (auto made = make_folder(to.parent_path()); !made) return tl::unexpected(made.error());
        return PendingFile::create(to, kept_);
    }

    Result<void> copy(const fs::path& from) {
        auto pending = begin(targets_[from]);
        if (!pending) return tl::unexpected(pending.error());
        const auto tell = [&](int64_t bytes) {
            copied_ += bytes;
            if (progress_ && total_ > 0) progress_->report(static_cast<double>(copied_) / static_cast<double>(total_));
        };
        if (auto ok = copy_into(from, *pending, progress_, tell); !ok) return ok;
        copies_.emplace_back(from, std::move(*pending));
        return {};
    }

    Result<void> put_session(const Session& what, const fs::path& to) {
        auto pending = begin(to);
        if (!pending) return tl::unexpected(pending.error());
        const auto new_path = [this](const fs::path& file) {
            const auto at = targets_.find(file);
            return at == targets_.end() ? file : at->second;
        };
        const std::string text = session_to_json(with_files_at(what, new_path), to.parent_path());
        if (auto ok = pending->write(0, text); !ok) return ok;
        if (auto ok = pending->finish(); !ok) return ok;
        copies_.emplace_back(to, std::move(*pending));
        return {};
    }

    const Session& session_;
    const fs::path root_;
    Progress* const progress_;
    const ProtectedFiles kept_;
    Collected done_;
    std::map<fs::path, fs::path> targets_;  ///< from where to where
    std::vector<fs::path> sources_;
    std::vector<fs::path> sessions_;  ///< of prints: their own paths change too
    int64_t total_ = 0, copied_ = 0;
    MadeFolders folders_;
    std::vector<std::pair<fs::path, PendingFile>> copies_;  ///< the last: gone before the folders are taken away
};

}  // namespace

Result<Collected> collect(const Session& session, const fs::path& folder, const std::string& name, Progress* progress) {
    return without_exceptions(folder, [&]() -> Result<Collected> {
        if (auto valid = validate(session); !valid) return tl::unexpected(valid.error());
        std::error_code problem;
        const bool was_there = is_there(folder);
        if (was_there && !fs::is_directory(folder, problem))
            return fail(folder.string(), translated("this is a file. Choose a folder."));
        if (was_there && !fs::is_empty(folder, problem))
            return fail(folder.string(), translated("the folder is not empty. Choose a new or empty folder."));
        if (problem) return fail(folder.string(), problem.message());
        return Collecting(session, folder, progress).run(name);
    });
}

}  // namespace isotonus
