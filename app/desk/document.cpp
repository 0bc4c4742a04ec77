#include "app/desk/document.h"

#include <sys/stat.h>

#include <algorithm>

#include "app/desk/prompter.h"
#include "core/session/session_file.h"
#include "core/session/validate.h"

namespace isotonus {

Document::Document(QObject* parent) : QObject(parent), title_(tr("Untitled")) {
    aside_timer_.setSingleShot(true);
    aside_timer_.setInterval(300);
    connect(&aside_timer_, &QTimer::timeout, this, &Document::start_keeping_aside);
    connect(&watcher_, &QFileSystemWatcher::fileChanged, this, [this] {
        watch();  // a file that was replaced is another one
        if (changed_outside()) emit file_changed_outside();
    });
}

Document::~Document() { forget_aside(); }

void Document::changed() {
    std::erase_if(selected_, [this](TrackId id) { return !track(id); });
    if (!track(focused_)) focused_ = selected_.empty() ? 0 : selected_.front();
    // Not started anew by every edit: whoever keeps working has copies too.
    if (!is_saved() && !aside_timer_.isActive()) aside_timer_.start();
    emit session_changed();
}

bool Document::edit(const QString& name, Session next, uint64_t gesture) {
    if (const auto valid = validate(next, &session()); !valid) {
        emit refused(tr("%1 is not possible: %2").arg(name, QString::fromStdString(valid.error().what)));
        return false;
    }
    history_.commit(std::move(next), name.toStdString(), gesture);
    changed();
    return true;
}

void Document::edit_tracks(const QString& name, const std::vector<TrackId>& ids,
                           const std::function<void(Track&)>& change, uint64_t gesture) {
    Session next = session();
    for (const TrackId id : ids) next = with_track(next, id, change);
    edit(name, std::move(next), gesture);
}

void Document::undo() {
    if (!can_undo()) return;
    history_.undo();
    changed();
}

void Document::redo() {
    if (!can_redo()) return;
    history_.redo();
    changed();
}

QString Document::name() const { return path_ ? QString::fromStdString(path_->stem().string()) : title_; }

void Document::adopt(Session session, std::optional<fs::path> path, bool saved, const QString& title) {
    forget_aside();
    history_.reset(std::move(session));
    if (!saved) history_.mark_unsaved();
    path_ = std::move(path);
    stamp_ = path_ ? stamp_of(*path_) : Stamp();
    watch();
    title_ = title.isEmpty() ? tr("Untitled") : title;
    selected_.clear();
    focused_ = 0;
    if (!this->session().tracks.empty()) {
        focused_ = this->session().tracks.front()->id;
        selected_ = {focused_};
    }
    changed();
    emit replaced();
    emit file_changed();
    emit selection_changed();
}

void Document::start_new() { adopt({}, std::nullopt, true); }

Result<void> Document::open(const fs::path& file) {
    const Stamp stamp = stamp_of(file);
    auto session = read_session(file);
    if (!session) return tl::unexpected(session.error());
    remove_stale_parts(real_path(file).parent_path());
    adopt(std::move(*session), absolute_path(file), true);
    stamp_ = stamp;  // of before it was read: what came in between is a change
    return {};
}

Document::Stamp Document::stamp_of(const fs::path& file) {
    struct stat s {};
    if (::stat(file.c_str(), &s) != 0) return {};
    return {s.st_dev, s.st_ino, s.st_size, s.st_mtim.tv_sec * 1000000000LL + s.st_mtim.tv_nsec};
}

void Document::watch() {
    if (const QStringList files = watcher_.files(); !files.isEmpty()) watcher_.removePaths(files);
    if (path_ && is_there(*path_)) watcher_.addPath(to_qt(*path_));
}

bool Document::changed_outside() const {
    if (!path_) return false;
    const Stamp now = stamp_of(*path_);
    return now.bytes >= 0 && !(now == stamp_);  // a file that is gone loses nothing by being written again
}

Result<void> Document::save(const fs::path& file, Outside outside) {
    // Locked from the look at the file to its writing, so that no other program's change falls in between.
    std::optional<FileLock> lock;
    if (is_there(file)) {
        auto taken = FileLock::take(file, 2.0);
        if (!taken) return tl::unexpected(taken.error());
        lock = std::move(*taken);
    }
    const bool same_file = path_ && real_path(*path_) == real_path(file);
    if (same_file && outside == Outside::refused && changed_outside())
        return fail(file.string(),
                    translated("another program changed the file. Open the file again, or save under another name."));
    if (auto written = write_session(session(), file); !written) return written;
    path_ = absolute_path(file);
    stamp_ = stamp_of(*path_);
    watch();
    history_.mark_saved();
    forget_aside();
    emit file_changed();
    return {};
}

void Document::understand_plugins() {
    const fs::path file = path_ ? real_path(*path_) : fs::path("/untitled.isotonus");
    history_.understand([&file](const Session& before) {
        auto now = session_from_json(session_to_json(before, file.parent_path()), file);
        return now ? std::move(*now) : before;
    });
    changed();
}

Result<void> Document::take_in_file() {
    const Stamp stamp = stamp_of(*path_);
    auto next = read_session(*path_);
    if (!next) return tl::unexpected(next.error());
    // Rows that are new there must not take the ids of rows that are new here.
    next->next_id = std::max(next->next_id, session().next_id);
    if (!edit(tr("Open the changed file"), std::move(*next)))
        return fail(path_->string(),
                    translated("the changed file cannot be opened. Save your session under another name."));
    history_.mark_saved();
    stamp_ = stamp;
    forget_aside();
    emit file_changed();
    return {};
}

bool Document::is_selected(TrackId id) const {
    return std::find(selected_.begin(), selected_.end(), id) != selected_.end();
}

void Document::select(std::vector<TrackId> ids, TrackId focused) {
    if (ids == selected_ && focused == focused_) return;
    selected_ = std::move(ids);
    focused_ = focused;
    emit selection_changed();
}

void Document::toggle_selected(TrackId id) {
    auto ids = selected_;
    if (is_selected(id) && ids.size() > 1)
        std::erase(ids, id);
    else if (!is_selected(id))
        ids.push_back(id);
    select(std::move(ids), id);
}

void Document::select_up_to(TrackId id) {
    std::vector<TrackId> ids;
    bool inside = false;
    for (const auto& t : session().tracks) {
        const bool edge = t->id == id || t->id == focused_;
        if (edge || inside) ids.push_back(t->id);
        if (edge && id != focused_) inside = !inside;
    }
    const TrackId anchor = focused_;
    select(std::move(ids), anchor);
}

void Document::select_all() {
    std::vector<TrackId> ids;
    for (const auto& t : session().tracks) ids.push_back(t->id);
    select(std::move(ids), focused_);
}

std::vector<TrackId> Document::moved_with(TrackId id) const {
    return is_selected(id) ? selected_ : std::vector<TrackId>{id};
}

// --- crash recovery -------------------------------------------------------------------------------------------------

void Document::start_keeping_aside() {
    if (is_saved()) return;
    // Behind the work: a long session with many rides takes a while to write.
    const auto keep = [this, now = history_.shared(), path = path_](Progress&) { return recovery_.keep(*now, path); };
    const auto tell = [this](const Result<void>& kept) {
        if (!kept && !kept_aside_badly_)
            emit refused(
                tr("Unsaved work cannot be kept for recovery: %1").arg(QString::fromStdString(kept.error().text())));
        kept_aside_badly_ = !kept;
    };
    aside_.start(keep, tell);
}

void Document::keep_aside() {
    start_keeping_aside();
    aside_.wait();
}

void Document::forget_aside() {
    aside_timer_.stop();
    aside_.wait();
    recovery_.forget();
}

Result<void> Document::recover(const Recovery::Left& left) {
    auto session = read_session(left.file);
    if (!session) return tl::unexpected(session.error());
    adopt(std::move(*session), left.path, false);
    keep_aside();
    if (is_there(aside())) Recovery::discard(left);  // otherwise it is still the only copy
    return {};
}

}  // namespace isotonus
