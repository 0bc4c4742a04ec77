// Build-up: bringing tracks up one at a time in a chosen order.
#pragma once

#include "core/session/session.h"

namespace isotonus {

enum class BuildUpOrder {
    beat,          ///< kick, bass, snare and clap, hats, melody, the rest
    band,          ///< kick and snare, the rest of the kit, bass, keys and guitars, voices, the rest
    anchors,       ///< what the mix stands on, in the order that was chosen, then the rest by rows
    from_silence,  ///< by rows, each up until it is just heard
    own            ///< the selected rows first, in their order, then the rest
};

using FamilyOf = std::function<Family(const Track&)>;

/// All tracks in an order; common practice, no source.  `first` is for `own`.
std::vector<TrackId> build_up_order(const Session& session, BuildUpOrder order, const FamilyOf& family,
                                    const std::vector<TrackId>& first = {});

/// The anchors in the order in which a build-up brings them in.
std::vector<TrackId> anchors_in_order(const Session& session);
/// A copy in which one of them comes in earlier (below 0) or later; the same when it is none, or has no room.
Session with_anchor_moved(const Session& session, TrackId id, int by);

/// A fader to start from, dB: against the mean of the anchors that are on (or 0 dB without any), by what a track is; a
/// staged session is taken for granted.  Anchors themselves start at 0 dB.  Common practice, no source:
/// kick and bass 0, snare -1, lead voice and melody -2, other drums -5, hats and percussion -9, keys, guitars and
/// strings -7, further voices -8, effects -14, the rest -8.
double suggested_fader_db(const Session& session, const Track& track, const FamilyOf& family);

}  // namespace isotonus
