// Reads and measures the tracks' sources in the background, two at a time; results come in as they are ready.
#pragma once

#include <QObject>
#include <QThreadPool>
#include <map>
#include <optional>
#include <unordered_map>

#include "app/desk/document.h"
#include "core/handoff/checks.h"
#include "core/stage/findings.h"
#include "core/stage/staging.h"

namespace isotonus {

class Materials : public QObject {
    Q_OBJECT
  public:
    explicit Materials(Document& document, QObject* parent = nullptr);
    ~Materials() override;

    /// Null while it is being read, and when it cannot be.  While a change of clips or channels is being measured, what
    /// was there before.
    MaterialPtr of(const Track& track) const;
    const Measurement* measured(const Track& track) const;
    /// Measured as the track is now.
    bool is_current(const Track& track) const;
    /// Why a track's file cannot be used; null when it can, or is still being read.
    const Error* error(const Track& track) const;
    /// How the track stands against its target; none until it is measured.
    std::optional<Staging> staging(const Track& track) const;
    /// What was found in the track; nothing until it is measured.
    const std::vector<Finding>& findings(const Track& track) const;
    std::vector<MissingFile> missing() const;

    int waiting() const { return waiting_; }
    double progress() const;
    void cancel();
    /// Tries the files that could not be read again.
    void retry();

  signals:
    void changed();   ///< one more is ready
    void finished();  ///< none is waiting

  private:
    struct Entry {
        MaterialPtr material;
        std::optional<Error> error;
        std::shared_ptr<Progress> reading;
        int64_t last_wanted = 0;
        bool waiting() const { return !material && !error; }
    };
    struct Found {
        MaterialPtr in;
        std::string name;
        std::optional<Family> family;
        std::vector<Finding> findings;
    };
    void request_missing();
    void drop_unwanted();
    void start(const std::string& key, const Source& source);
    std::string key_of(const Track& track) const;
    void take_keys();
    const Entry* find(const Track& track) const;
    void look_for_twins();

    Document& document_;
    QThreadPool pool_;
    std::map<std::string, Entry> entries_;
    /// Keys of the tracks of the session that is held here; a track that an edit left alone keeps its key.
    std::unordered_map<const Track*, std::string> keys_;
    std::shared_ptr<const Session> keyed_;
    std::map<TrackId, MaterialPtr> last_;
    std::map<TrackId, TrackId> twin_of_;
    mutable std::map<TrackId, Found> findings_;
    int64_t round_ = 0;
    int waiting_ = 0, asked_ = 0;
};

}  // namespace isotonus
