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

const char* folder_for(Use use) { return use == Use::audio ? "audio" : use == Use::room ? "rooms" : "recordings"; }

/// Copies one file; its content, not what links lead to it.
Result<void> copy_into(const fs::path& from, PendingFile& to, Progress* progress,
                       const std::function<void(int64_t)>& done) {
    std::ifstream in(from, std::ios::binary);
    if (!in) return fail(from.string(), said("it cannot be read"));
    std::string piece(size_t{4} << 20, '\0');
    int64_t place = 0;
    while (in) {
        if (progress && progress->cancelled()) return stopped();
        in.read(piece.data(), std::ssize(piece));
        const auto bytes = static_cast<size_t>(in.gcount());
        if (auto written = to.write(place, std::string_view(piece).substr(0, bytes)); !written) return written;
        place += static_cast<int64_t>(bytes);
        done(static_cast<int64_t>(bytes));
    }
    if (in.bad()) return fail(from.string(), said("reading it failed"));
    std::error_code problem;
    if (const auto size = fs::file_size(from, problem); problem || static_cast<int64_t>(size) != place)
        return fail(from.string(), said("it changed while it was copied"));
    return to.finish();
}

}  // namespace

Result<Collected> collect(const Session& session, const fs::path& folder, const std::string& name, Progress* progress) {
    return without_exceptions(folder, [&]() -> Result<Collected> {
        if (auto valid = validate(session); !valid) return tl::unexpected(valid.error());
        std::error_code problem;
        const bool was_there = is_there(folder);
        if (was_there && !fs::is_directory(folder, problem)) return fail(folder.string(), said("it is no folder"));
        if (was_there && !fs::is_empty(folder, problem))
            return fail(folder.string(), said("the folder is not empty; a new one is needed"));
        if (problem) return fail(folder.string(), problem.message());

        Collected done;
        std::map<fs::path, fs::path> places;  // from where to where
        std::set<fs::path> taken;
        std::vector<fs::path> sessions;  // of prints: their own paths change too
        int64_t total = 0, copied = 0;
        const fs::path root = absolute_path(folder);
        // Nothing is left behind when it fails: files go by themselves, folders that were made must be empty then.
        struct Folders {
            fs::path root;
            bool keep, root_too;
            ~Folders() {
                if (keep) return;
                std::error_code ignored;
                for (const char* part : {"audio", "rooms", "recordings"}) fs::remove(root / part, ignored);
                if (root_too) fs::remove(root, ignored);
            }
        } folders{root, false, !was_there};
        std::vector<std::pair<fs::path, PendingFile>> copies;  // gone before the folders are taken away
        std::vector<fs::path> sources;
        for (const UsedFile& used : used_files(session)) {
            if (places.contains(used.file)) continue;
            if (const auto size = fs::file_size(used.file, problem); !problem) {
                total += static_cast<int64_t>(size);
            } else {
                done.missing.push_back(
                    {used.file.string(), say("{} cannot be read: {}", used.what, problem.message())});
                continue;
            }
            fs::path to = root / folder_for(used.use) / used.file.filename();
            for (int n = 2; !taken.insert(to).second; ++n)
                to = root / folder_for(used.use) /
                     (used.file.stem().string() + fmt::format(" ({})", n) + used.file.extension().string());
            places[used.file] = to;
            (used.use == Use::session_of_print ? sessions : sources).push_back(used.file);
        }
        const auto place = [&](const fs::path& file) {
            const auto at = places.find(file);
            return at == places.end() ? file : at->second;
        };
        const ProtectedFiles kept = protected_by(session, {});
        const auto begin = [&](const fs::path& to) -> Result<PendingFile> {
            if (auto made = make_folder(to.parent_path()); !made) return tl::unexpected(made.error());
            return PendingFile::create(to, kept);
        };
        for (const fs::path& from : sources) {
            auto pending = begin(places[from]);
            if (!pending) return tl::unexpected(pending.error());
            const auto tell = [&](int64_t bytes) {
                copied += bytes;
                if (progress && total > 0) progress->report(static_cast<double>(copied) / static_cast<double>(total));
            };
            if (auto ok = copy_into(from, *pending, progress, tell); !ok) return tl::unexpected(ok.error());
            copies.emplace_back(from, std::move(*pending));
        }
        const auto put_session = [&](const Session& what, const fs::path& to) -> Result<void> {
            auto pending = begin(to);
            if (!pending) return tl::unexpected(pending.error());
            const std::string text = session_to_json(with_files_at(what, place), to.parent_path());
            if (auto ok = pending->write(0, text); !ok) return ok;
            if (auto ok = pending->finish(); !ok) return ok;
            copies.emplace_back(to, std::move(*pending));
            return {};
        };
        for (const fs::path& of_print : sessions) {
            const auto then = read_session(of_print);
            if (!then) {
                done.missing.push_back(then.error());
                places.erase(of_print);
                continue;
            }
            if (auto ok = put_session(*then, places[of_print]); !ok) return tl::unexpected(ok.error());
        }
        done.session = root / (name + ".isotonus");
        if (auto ok = put_session(session, done.session); !ok) return tl::unexpected(ok.error());
        std::vector<PendingFile*> all;
        for (auto& [from, pending] : copies) all.push_back(&pending);
        if (auto ok = commit_together(all); !ok) return tl::unexpected(ok.error());
        folders.keep = true;
        for (const auto& [from, pending] : copies) done.files.push_back(pending.target());
        done.files.pop_back();  // the session itself
        return done;
    });
}

}  // namespace isotonus
