// What has to be made before a session can be played exactly, and in which order: one answer for whoever makes it, the
// command line all at once, the window behind the work.
#pragma once

#include <functional>
#include <map>
#include <set>

#include "core/mix/row_signals.h"

namespace isotonus {

/// One signal that is missing; all that it depends on is there, or can be read while it is made.
struct SignalJob {
    std::string key;  ///< content_key of its signal
    SignalRecipe recipe;
    bool of_bus = false;
    MaterialPtr whole;                 ///< there already: only bands of it are missing
    std::vector<Source> bands;         ///< of a track whose low end is kept in the centre, those that are missing
    std::optional<BegunSignal> begun;  ///< of a bus: others read it while it is made
};

/// What a job makes: the signal, or bands of it, or both.  Safe to call on any thread.  Fails as reading does, or
/// with "cancelled".
using MadeSignals = std::vector<MaterialPtr>;
Result<MadeSignals> make(const SignalJob& job, Progress* progress);

struct SignalsAsked {
    Solo solo = Solo::left_out;
    std::function<bool(TrackId channel)> wants = nullptr;  ///< null: all channels
    /// Buses come when all tracks are made: what leads to them is known by then.  False: not yet.  Those that a track
    /// goes by come before it all the same.
    bool buses = true;
    /// What is being made, by channel.  Another signal of a track waits until that is done.
    struct Running {
        std::string key;
        std::optional<BegunSignal> begun;
    };
    std::map<TrackId, Running> running = {};
    std::set<std::string> given_up = {};  ///< keys that could not be made: nobody tries again
    std::function<std::optional<BegunSignal>(const SignalRecipe&)> begin = BegunSignal::begin;
};

struct SignalWork {
    std::vector<SignalJob> jobs;              ///< in any order, at once
    bool buses_asked = false;                 ///< all tracks are made, and the following is known
    std::map<TrackId, std::string> bus_keys;  ///< of what buses and the main output should play
    std::vector<TrackId> unwanted;            ///< what is being made for these is of an earlier session
};

/// Changes nothing.  `files` gives the materials of files, `played` what tracks play when buses are asked for.
SignalWork next_work(const Session& session, const MaterialOf& files, const MaterialOf& played, const RowSignals& made,
                     const SignalsAsked& asked);

}  // namespace isotonus
