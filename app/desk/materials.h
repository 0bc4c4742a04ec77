// Reads and measures the tracks' files in the background, two at a time; results come in as they are ready.
#pragma once

#include <QObject>
#include <QThreadPool>
#include <map>

#include "app/desk/document.h"
#include "core/handoff/checks.h"
#include "core/stage/staging.h"

namespace isotonus {

class Materials : public QObject {
    Q_OBJECT
  public:
    explicit Materials(Document& document, QObject* parent = nullptr);
    ~Materials() override;

    /// Null while it is being read, and when it cannot be.
    MaterialPtr of(const Track& track) const;
    const Measurement* measured(const Track& track) const;
    /// Why a track's file cannot be used; null when it can, or is still being read.
    const Error* error(const Track& track) const;
    /// How the track stands against its target; none until it is measured.
    std::optional<Staging> staging(const Track& track) const;
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
    using Key = std::pair<std::string, int>;  ///< file and rate
    struct Entry {
        MaterialPtr material;
        std::optional<Error> error;
    };
    void request_missing();
    static Key key_of(const Track& track, int rate) { return {track.file.string(), rate}; }
    const Entry* find(const Track& track) const;

    Document& document_;
    QThreadPool pool_;
    std::map<Key, Entry> entries_;
    std::shared_ptr<Progress> stop_ = std::make_shared<Progress>();
    int waiting_ = 0, asked_ = 0;
};

}  // namespace isotonus
