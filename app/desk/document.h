// The session being worked on: its history, its file, what is selected.
#pragma once

#include <QFileSystemWatcher>
#include <QObject>
#include <QTimer>
#include <cmath>
#include <functional>
#include <optional>
#include <vector>

#include "app/desk/background.h"
#include "core/session/history.h"
#include "core/session/recovery.h"

namespace isotonus {

class Document : public QObject {
    Q_OBJECT
  public:
    explicit Document(QObject* parent = nullptr);
    ~Document() override;

    const Session& session() const { return history_.session(); }
    std::shared_ptr<const Session> shared() const { return history_.shared(); }
    const Track* track(TrackId id) const { return session().find(id); }

    int64_t frame_at(double time_s) const { return std::llround(time_s * session().sample_rate); }
    /// Frames of the file in the song's time: where a track starts after its delay.
    double shift_s(const Track& track) const { return track.delay_samples / session().sample_rate; }

    /// One undo step, named in words.  Steps with the same gesture (from new_gesture) become one: a drag.  A session
    /// that could not be saved and read again is not taken: `refused` says why, and nothing has changed.
    bool edit(const QString& name, Session next, uint64_t gesture = 0);
    void edit_tracks(const QString& name, const std::vector<TrackId>& ids, const std::function<void(Track&)>& change,
                     uint64_t gesture = 0);
    /// Nothing was done since this gesture: what is added to it is still one undo step with it.
    bool is_last_gesture(uint64_t gesture) const { return history_.is_last(gesture); }
    uint64_t new_gesture() { return ++last_gesture_; }

    bool can_undo() const { return history_.can_undo(); }
    bool can_redo() const { return history_.can_redo(); }
    QString undo_name() const { return QString::fromStdString(history_.undo_name()); }
    QString redo_name() const { return QString::fromStdString(history_.redo_name()); }
    void undo();
    void redo();

    // The file.
    const std::optional<fs::path>& path() const { return path_; }
    QString name() const;
    /// What no export may be written over: what the session plays, refers to, or is.
    ProtectedFiles kept_files() const { return protected_by(session(), path_.value_or(fs::path())); }
    bool is_saved() const { return history_.is_saved(); }
    void start_new();
    Result<void> open(const fs::path& file);
    /// Takes over a session that has no file of its own yet (a folder, or what a crash left behind).
    /// `title` is its name until it is saved.
    void adopt(Session session, std::optional<fs::path> path, bool saved, const QString& title = {});
    /// Written whole or not at all.  Refused when another program has changed the file since it was read or written
    /// here, unless that was said to be `overwritten`.
    enum class Outside { refused, overwritten };
    Result<void> save(const fs::path& file, Outside outside = Outside::refused);
    /// Another program has changed the file since it was read or written here.
    bool changed_outside() const;
    /// Plug-ins have come to be known: what all steps say of them is understood now.
    void understand_plugins();
    /// What the file holds now, as one undo step.
    Result<void> take_in_file();

    // Selection: rows that move together; the focused row is one of them.
    const std::vector<TrackId>& selected() const { return selected_; }
    bool is_selected(TrackId id) const;
    TrackId focused() const { return focused_; }
    void select(std::vector<TrackId> ids, TrackId focused);
    void select_only(TrackId id) { select({id}, id); }
    void toggle_selected(TrackId id);
    void select_up_to(TrackId id);
    void select_all();
    /// The selected rows if the row is one of them, else this row alone: what a gesture on a row moves.
    std::vector<TrackId> moved_with(TrackId id) const;

    // Unsaved work is kept aside within a second.
    Result<void> recover(const Recovery::Left& left);
    void keep_aside();  ///< now, and waits until it is written
    fs::path aside() const { return recovery_.file(); }

  signals:
    void session_changed();
    /// After that, when it is another session altogether: a new one, or one that was opened.
    void replaced();
    void selection_changed();
    void file_changed();
    void file_changed_outside();
    /// An edit was not taken, or unsaved work cannot be kept aside: why, in a sentence.
    void refused(const QString& sentence);

  private:
    /// What distinguishes a file from another one that came to bear its name.
    struct Stamp {
        uint64_t device = 0, inode = 0;
        int64_t bytes = -1, changed_ns = 0;
        bool operator==(const Stamp&) const = default;
    };
    static Stamp stamp_of(const fs::path& file);
    void watch();
    void changed();
    void start_keeping_aside();
    void forget_aside();

    History history_;
    std::optional<fs::path> path_;
    QString title_;
    std::vector<TrackId> selected_;
    TrackId focused_ = 0;
    uint64_t last_gesture_ = 0;
    Stamp stamp_;  ///< of the file as it was read or written here
    QFileSystemWatcher watcher_;
    Recovery recovery_;  ///< used by the jobs aside, and here only when there are none
    bool kept_aside_badly_ = false;
    QTimer aside_timer_;
    Background aside_{1, Background::Standing::urgent};
};

}  // namespace isotonus
