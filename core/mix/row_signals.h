// The signals of a session's rows: which rows have one, what it depends on, and all of them made in the right order.
#pragma once

#include <map>
#include <set>

#include "core/mix/compile_plan.h"
#include "core/shape/signal.h"

namespace isotonus {

/// A track before its fader as files give it: with trim, polarity and delay.
PreFaderSource tap_of(const Session& session, const Track& track, const MaterialPtr& file);

/// The track as what follows its chain sees it: what is in a signal already (trim, polarity, delay) is not set again.
Track after_chain(const Track& track, const Material& played);

/// Its chain changes what it plays.
bool is_shaped(const Session& session, const Track& track);
bool is_shaped(const Session& session, const Bus& bus);
bool is_main_shaped(const Session& session);
/// What it sums up to is a signal of its own: it is shaped, or it is sent somewhere besides where it leads.
bool has_signal(const Session& session, const Bus& bus);

/// The rides of processors that are heard.
Rides heard_rides(const Session& session, const Rides& rides);

struct SignalsAsked;

/// Signals by what they depend on; whatever did not change is not made again.
class RowSignals {
  public:
    /// What a track plays of a file: its signal when its chain does something, else the file.  Null when the file is
    /// not there, or the signal was not made yet.
    MaterialPtr played(const Session& session, const Track& track, const MaterialOf& files) const;

    /// Makes all signals that a session's tracks and buses need and that are not there, on `workers` threads.  `files`
    /// gives the materials of files; a track without one has no signal.  Those of buses depend on whether solo counts.
    /// Fails as reading does, or with "cancelled".
    Result<void> make(const Session& session, const MaterialOf& files, Progress* progress = nullptr,
                      int workers = worker_count(), Solo solo = Solo::left_out);
    /// The same of what one channel's sound is made of, and nothing else.
    Result<void> make_channel(const Session& session, TrackId channel, const MaterialOf& files);

    /// In place of making them: signals without figures that are computed while one plan of this session is rendered
    /// from its start to its end, once (see BegunSignal::stream); the plan must go before what this returns.  Null when
    /// they have to be made: a plug-in is among them.
    std::unique_ptr<StreamsAhead> stream(const Session& session, const MaterialOf& files, Solo solo = Solo::left_out,
                                         int workers = worker_count());

    /// What rows play, for a plan of this session; it must not outlive both.
    MaterialOf played_by(const Session& session, const MaterialOf& files) const;

    /// The content_key of a track's signal, which may not be made yet; nothing while its sidechain sources are not
    /// made. Keys are kept: that of a track which an edit left alone costs nothing.
    std::optional<std::string> key(const Session& session, const Track& track, const MaterialOf& files) const;
    /// What a track's signal depends on; nothing while its sidechain sources are not made.  `missing` is called for the
    /// signals of buses that are to be made for that next.
    using Missing = std::function<void(SignalRecipe)>;
    std::optional<SignalRecipe> recipe(const Session& session, const Track& track, const MaterialOf& files,
                                       const Missing& missing = nullptr) const;
    /// The same of any channel with a chain at work, buses and the main output among them.
    std::optional<SignalRecipe> recipe_of(const Session& session, TrackId channel, const MaterialOf& files) const;
    MaterialPtr find(const std::string& key) const;
    void add(MaterialPtr signal) { made_[signal->sound->content_key()] = {signal, time_}; }
    size_t size() const { return made_.size(); }
    /// Of what was not asked for since the last time this was called, keeps the latest of each row, which an undo or a
    /// switch is likely to want again, as long as there is room.  Room on the disk that is used again is quick.
    void forget_old();

  private:
    Result<void> make_all(const Session& session, const MaterialOf& files, SignalsAsked asked, Progress* progress,
                          int workers);

    struct Made {
        MaterialPtr material;
        mutable int64_t asked = 0;  ///< when it was asked for last
    };
    std::map<std::string, Made> made_;  ///< by content_key
    int64_t time_ = 0;                  ///< how often what is old was forgotten
    /// Keys of tracks without a sidechain source, and what they were formed of.
    struct Keyed {
        std::shared_ptr<const Track> track;
        MaterialPtr file;
        int sample_rate = 0;
        bool rides_bypassed = false;
        std::string key;
    };
    mutable std::map<TrackId, Keyed> keys_;
};

}  // namespace isotonus
