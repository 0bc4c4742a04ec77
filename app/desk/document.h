// The session being worked on: its history, its file, what is selected.
#pragma once

#include <QObject>
#include <QThreadPool>
#include <QTimer>
#include <functional>
#include <optional>
#include <vector>

#include "core/session/history.h"
#include "core/session/session_file.h"

namespace isotonus {

class Document : public QObject {
    Q_OBJECT
  public:
    explicit Document(QObject* parent = nullptr);
    ~Document() override;

    const Session& session() const { return history_.session(); }
    const Track* track(TrackId id) const { return session().find(id); }

    /// One undo step, named in words.  Steps with the same gesture (from new_gesture) become one: a drag.
    void edit(const QString& name, Session next, uint64_t gesture = 0);
    void edit_tracks(const QString& name, const std::vector<TrackId>& ids, const std::function<void(Track&)>& change,
                     uint64_t gesture = 0);
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
    bool is_saved() const { return history_.is_saved(); }
    void start_new();
    Result<void> open(const fs::path& file);
    /// Takes over a session that has no file of its own yet (a folder, or what a crash left behind).
    /// `title` is its name until it is saved.
    void adopt(Session session, std::optional<fs::path> path, bool saved, const QString& title = {});
    Result<void> save(const fs::path& file);

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

    // Crash recovery: an unsaved session is kept aside every few seconds.
    static fs::path recovery_folder();
    struct Recovered {
        fs::path file;                 ///< in the recovery folder
        std::optional<fs::path> path;  ///< where the session was saved
    };
    /// What processes that are gone have left behind.
    static std::vector<Recovered> left_behind();
    static void discard(const Recovered& left);
    Result<void> recover(const Recovered& left);
    void keep_aside();  ///< now, and waits until it is written

  signals:
    void session_changed();
    void selection_changed();
    void file_changed();

  private:
    void changed();
    void start_keeping_aside();
    void forget_aside();

    History history_;
    std::optional<fs::path> path_;
    QString title_;
    std::vector<TrackId> selected_;
    TrackId focused_ = 0;
    uint64_t last_gesture_ = 0;
    QTimer aside_timer_;
    QThreadPool aside_pool_;
};

}  // namespace isotonus
