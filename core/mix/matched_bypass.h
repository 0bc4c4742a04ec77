// Bypassed chains at one loudness, for the ear alone: while a chain is out its channel is turned by what the chain did
// to its loudness over the whole song, so that only the sound differs.  Nothing of it is in a session or in an export.
#pragma once

#include <map>
#include <vector>

#include "core/session/session.h"
#include "core/shape/signal.h"

namespace isotonus {

/// Tracks, buses and the main output whose chain would do something and is bypassed, by itself or with all others, and
/// in which a processor wants one loudness (Processor::match).
std::vector<TrackId> matched_chains(const Session& session);

/// A copy in which these chains are in; those that were bypassed by all chains together too.
Session with_chains_in(const Session& session, const std::vector<TrackId>& channels);

/// A copy in which each of these chains is in and does nothing but turn its channel, dB.
Session with_bypasses_matched(const Session& session, const std::map<TrackId, double>& match_db);

/// By how much a chain changes the integrated loudness (ITU-R BS.1770) of what comes into it, dB within match_max_db;
/// 0 where one of the two is silent.  `with_chain` is what the channel plays with its chain in.  Fails as reading does,
/// or with "cancelled".
Result<double> loudness_change_db(const SignalRecipe& with_chain, Progress* progress);

/// The same by power, at once, from a signal that was made.
double power_change_db(const Signal& with_chain);

}  // namespace isotonus
