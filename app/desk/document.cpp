#include "app/desk/document.h"

#include <signal.h>
#include <unistd.h>

#include <algorithm>
#include <fstream>

namespace isotonus {

Document::Document(QObject* parent) : QObject(parent), title_(tr("Untitled")) {
    aside_timer_.setSingleShot(true);
    aside_timer_.setInterval(2000);
    connect(&aside_timer_, &QTimer::timeout, this, &Document::start_keeping_aside);
}

Document::~Document() { forget_aside(); }

void Document::changed() {
    std::erase_if(selected_, [this](TrackId id) { return !track(id); });
    if (!track(focused_)) focused_ = selected_.empty() ? 0 : selected_.front();
    if (!is_saved()) aside_timer_.start();
    emit session_changed();
}

void Document::edit(const QString& name, Session next, uint64_t gesture) {
    history_.commit(std::move(next), name.toStdString(), gesture);
    changed();
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
    title_ = title.isEmpty() ? tr("Untitled") : title;
    selected_.clear();
    focused_ = 0;
    if (!this->session().tracks.empty()) {
        focused_ = this->session().tracks.front()->id;
        selected_ = {focused_};
    }
    changed();
    emit file_changed();
    emit selection_changed();
}

void Document::start_new() { adopt({}, std::nullopt, true); }

Result<void> Document::open(const fs::path& file) {
    auto session = read_session(file);
    if (!session) return tl::unexpected(session.error());
    adopt(std::move(*session), fs::absolute(file).lexically_normal(), true);
    return {};
}

Result<void> Document::save(const fs::path& file) {
    if (auto written = write_session(session(), file); !written) return written;
    path_ = fs::absolute(file).lexically_normal();
    history_.mark_saved();
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

fs::path Document::recovery_folder() {
    const char* state = std::getenv("XDG_STATE_HOME");
    const char* home = std::getenv("HOME");
    const fs::path base =
        state && *state ? fs::path(state) : fs::path(home && *home ? home : "/tmp") / ".local" / "state";
    const fs::path folder = base / "isotonus" / "recovery";
    std::error_code ignored;
    fs::create_directories(folder, ignored);
    return folder;
}

namespace {

fs::path aside_file(int64_t process) { return Document::recovery_folder() / (std::to_string(process) + ".isotonus"); }
fs::path place_file(const fs::path& aside) { return fs::path(aside).replace_extension(".place"); }

}  // namespace

void Document::start_keeping_aside() {
    if (is_saved()) return;
    // Behind the work: a long session with many rides takes a while to write.
    aside_pool_.start([now = session(), place = path_ ? path_->string() : std::string()] {
        const fs::path file = aside_file(getpid());
        // A recovery that cannot be written must not disturb the work; the next edit tries again.
        if (!write_session(now, file)) return;
        (void)write_whole(place_file(file), place);
    });
}

void Document::keep_aside() {
    start_keeping_aside();
    aside_pool_.waitForDone();
}

void Document::forget_aside() {
    aside_timer_.stop();
    aside_pool_.waitForDone();
    discard({aside_file(getpid()), std::nullopt});
}

void Document::discard(const Recovered& left) {
    std::error_code ignored;
    fs::remove(left.file, ignored);
    fs::remove(place_file(left.file), ignored);
}

std::vector<Document::Recovered> Document::left_behind() {
    std::vector<Recovered> found;
    std::error_code problem;
    for (const auto& entry : fs::directory_iterator(recovery_folder(), problem)) {
        if (entry.path().extension() != ".isotonus") continue;
        const int process = std::atoi(entry.path().stem().c_str());
        if (process <= 0 || kill(process, 0) == 0) continue;  // still running
        std::ifstream in(place_file(entry.path()));
        std::string place;
        std::getline(in, place);
        found.push_back({entry.path(), place.empty() ? std::nullopt : std::optional<fs::path>(place)});
    }
    return found;
}

Result<void> Document::recover(const Recovered& left) {
    auto session = read_session(left.file);
    if (!session) return tl::unexpected(session.error());
    adopt(std::move(*session), left.path, false);
    keep_aside();
    discard(left);
    return {};
}

}  // namespace isotonus
