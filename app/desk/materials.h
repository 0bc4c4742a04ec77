// Reads and measures the tracks' sources in the background, two at a time; results come in as they are ready.
#pragma once

#include <QObject>
#include <QTimer>
#include <map>
#include <optional>
#include <set>
#include <unordered_map>

#include "app/desk/background.h"
#include "app/desk/document.h"
#include "core/handoff/checks.h"
#include "core/mix/signal_graph.h"
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
    /// What staging goes by: without the part of the song that the track is staged without.  Null until it is measured.
    const Measurement* for_staging(const Track& track) const;
    /// What a track plays: its file, or what its chain makes of it.  While that is being made, what it played before.
    MaterialPtr played(const Track& track) const;
    /// What its chain makes of it now; null without a chain, and while it is being made.
    MaterialPtr shaped(const Track& track) const;
    /// The same of a bus, or of the main output.
    MaterialPtr shaped_sum(TrackId row) const;
    /// What rows play as far as it is known, for figures and pictures: what played before while something is being read
    /// or made.
    MaterialOf known() const;
    /// For the ear, of any session: what chains make now, computed while it is read until it is known.
    MaterialOf heard(const Session& session) const;
    /// What a track's chain works on and makes, of any session; nothing while a file of it is not known.
    std::optional<SignalRecipe> recipe_of(const Session& session, TrackId channel) const {
        return signals_.recipe_of(session, channel, files());
    }
    std::optional<SignalRecipe> recipe(const Session& session, const Track& track) const {
        return signals_.recipe(session, track, files());
    }
    /// A signal that was made, or null.
    MaterialPtr made(const SignalRecipe& recipe) const { return signals_.find(content_key(recipe)); }
    /// Chains are at work in the background.
    bool shaping() const { return !making_.empty(); }
    /// Files are being read or chains are at work: what is known is not yet all that the session asks for.  The end of
    /// either may begin the other.
    bool busy() const { return waiting_ > 0 || shaping(); }
    Family family(const Track& track) const { return family_of(track, measured(track)); }
    /// Measured as the track is now.
    bool is_current(const Track& track) const;
    /// Why a track's file cannot be used; null when it can, or is still being read.
    const Error* error(const Track& track) const;
    /// How the track stands against its target; none until it is measured.
    std::optional<Staging> staging(const Track& track) const;
    /// What was found in the track; nothing until it is measured.
    const std::vector<Finding>& findings(const Track& track) const;
    /// What was found by comparing microphones of one source, which takes more than one track.
    void add_findings(std::map<TrackId, Finding> found);
    std::vector<MissingFile> missing() const;

    int waiting() const { return waiting_; }
    double progress() const;
    void cancel();
    /// Tries the files that could not be read again.
    void retry();
    /// Files that were changed or replaced since they were measured are measured anew, and what was made of them, of
    /// impulse responses or of plug-ins is made anew.  Whether there are such.
    bool look_for_changed_files();
    /// How many keys were formatted so far: a track that an edit left alone needs none, however many clips it has.
    int64_t keys_made() const { return keys_made_; }

  signals:
    void changed();   ///< one more is ready
    void reshaped();  ///< a chain's work is done
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
    /// What a track plays, and the key that its material is known by: the whole, then its bands when its low end is
    /// kept in the centre.
    struct Wanted {
        Source source;
        std::string key;
    };
    void want(const Wanted& wanted);
    void start(const Wanted& wanted);
    void take(const std::string& key, const Result<MaterialPtr>& loaded);
    /// What staging listens to of a track that is staged without a part of the song; its file must be known.
    std::optional<Wanted> rest_of(const Track& track) const;
    std::string key_of(const Track& track) const;
    std::vector<Wanted> wanted_by(const Track& track) const;
    void take_keys();
    const Entry* find(const Track& track) const;
    void look_for_twins();
    MaterialOf files() const;
    /// `rested`: the session has not changed for a while.
    void request_signals(bool rested = false);
    /// A signal that is being made.
    struct Making {
        SignalJob job;
        std::shared_ptr<Progress> progress;
    };
    void make(SignalJob job);
    void take(const Making& making, const Result<MadeSignals>& made);

    Document& document_;
    std::map<std::string, Entry> entries_;
    /// Of the tracks of the session that is held here; a track that an edit left alone keeps its keys.
    std::unordered_map<const Track*, std::vector<Wanted>> wanted_;
    mutable int64_t keys_made_ = 0;
    std::shared_ptr<const Session> keyed_;
    std::map<TrackId, MaterialPtr> last_;
    RowSignals signals_;
    std::map<std::pair<TrackId, Band>, MaterialPtr> last_played_;
    std::map<TrackId, std::string> bus_keys_;  ///< of the signals that buses should have
    /// Whose chain is being run; one at a time of each row, and then the newest.
    std::map<TrackId, Making> making_;
    /// What buses sum up to changes with every step of a fader: what is being made is given up only when it has rested.
    QTimer rested_;
    std::set<std::string> unmade_;  ///< signals that could not be made: their file has gone, which its track says
    std::map<TrackId, TrackId> twin_of_;
    std::map<TrackId, Finding> of_sides_;  ///< of tracks whose other side is another track's
    std::map<TrackId, Finding> of_microphones_;
    mutable std::map<TrackId, Found> findings_;
    int64_t round_ = 0;
    int waiting_ = 0, asked_ = 0;
    Background reading_{worker_count()};
    /// Of signals; those of buses wait for each other.
    Background of_tracks_{worker_count()}, of_buses_{workers_allowed().value_or(16)};
};

}  // namespace isotonus
