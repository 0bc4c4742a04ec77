// The tempo of a song, from where its kick and its snare are struck.
#pragma once

#include <optional>
#include <vector>

#include "core/measure/material.h"
#include "core/session/session.h"

namespace isotonus {

struct FoundTempo {
    TempoMark mark;              ///< 4/4; its time is the start of the first bar that is played in
    double share_in_time = 0.0;  ///< of the hits, within 25 ms of a sixteenth, 0 … 1
    int hits = 0;
};

/// From the times of hits, in seconds of the song, rising.  The beat is the one from 60 to 200 a minute at which the
/// hits meet the beats and the sixteenths best; one nearer to 115 a minute counts for more, and one of which backbeats
/// are two apart.  A bar starts where kicks lie on its first and third beat and backbeats (snare, clap) on its second
/// and fourth; common practice, no source.  A tempo within 0.05 of a whole number is that number.  Nothing with fewer
/// than 8 hits, or when less than 0.7 of them are in time: the song is not in one tempo.
std::optional<FoundTempo> tempo_of_hits(const std::vector<double>& kicks, const std::vector<double>& backbeats);

/// The same from a session's tracks called kick, snare or clap; from all drums where there are none.  Tracks without
/// material do not count.
std::optional<FoundTempo> find_tempo(const Session& session, const std::function<MaterialPtr(const Track&)>& material);

}  // namespace isotonus
