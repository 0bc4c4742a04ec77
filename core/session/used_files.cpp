#include "core/session/used_files.h"

#include <algorithm>
#include <map>

namespace isotonus {

using Use = UsedFile::Use;

std::vector<UsedFile> used_files(const Session& session) {
    std::vector<UsedFile> files;
    const auto add = [&](const fs::path& file, Use use, std::string what) {
        if (!file.empty()) files.push_back({file, std::move(what), use});
    };
    for (const auto& t : session.tracks) {
        add(t->source.file, Use::audio, translate("the file of the track '{}'", t->name));
        add(t->source.right_file, Use::audio, translate("the right channel of the track '{}'", t->name));
    }
    const auto add_rooms = [&](TrackId row) {
        for (const Processor& p : *session.chain_of(row))
            add(p.impulse, Use::room, translate("the impulse response of '{}'", session.name_of(row)));
    };
    for (const auto& t : session.tracks) add_rooms(t->id);
    for (const Bus& b : session.buses) add_rooms(b.id);
    add_rooms(main_output);
    for (const Recording& r : session.recordings) {
        add(r.file, Use::recording,
            r.reference ? translate("the reference '{}'", r.name) : translate("the print '{}'", r.name));
        add(r.session, Use::session_of_print, translate("the session kept with the print '{}'", r.name));
    }
    return files;
}

Session with_files_at(const Session& session, const std::function<fs::path(const fs::path&)>& new_path) {
    Session next = session;
    const auto move = [&](fs::path& file) {
        if (!file.empty()) file = new_path(file);
    };
    const auto move_rooms = [&](TrackId row) {
        const Chain& chain = *next.chain_of(row);
        if (std::any_of(chain.begin(), chain.end(), [](const Processor& p) { return !p.impulse.empty(); }))
            next = with_chain(next, row, [&](Chain& c) {
                for (Processor& p : c) move(p.impulse);
            });
    };
    for (const auto& t : session.tracks) {
        next = with_track(next, t->id, [&](Track& track) {
            move(track.source.file);
            move(track.source.right_file);
        });
        move_rooms(t->id);
    }
    for (const Bus& b : session.buses) move_rooms(b.id);
    move_rooms(main_output);
    if (!session.recordings.empty())
        for (Recording& r : next.recordings.change()) {
            move(r.file);
            move(r.session);
        }
    return next;
}

Session with_missing_found(const Session& session, const fs::path& folder, int* found) {
    std::map<fs::path, fs::path> there;
    std::error_code problem;
    for (fs::recursive_directory_iterator at(folder, fs::directory_options::skip_permission_denied, problem), end;
         !problem && at != end; at.increment(problem)) {
        if (at.depth() > 8)
            at.pop();
        else if (at->is_regular_file(problem))
            there.try_emplace(at->path().filename(), absolute_path(at->path()));
        problem.clear();
    }
    *found = 0;
    return with_files_at(session, [&](const fs::path& file) {
        const auto at = is_there(file) ? there.end() : there.find(file.filename());
        if (at == there.end()) return file;
        ++*found;
        return at->second;
    });
}

ProtectedFiles protected_by(const Session& session, const fs::path& session_file) {
    ProtectedFiles kept;
    if (!session_file.empty()) kept.add(session_file, translated("the file of the session"));
    for (UsedFile& used : used_files(session)) kept.add(used.file, std::move(used.what));
    return kept;
}

}  // namespace isotonus
