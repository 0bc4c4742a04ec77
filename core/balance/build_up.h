// Build-up: bringing tracks up one at a time in a chosen order.
#pragma once

#include "core/mix/compile_plan.h"
#include "core/mix/mix_peak.h"
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

/// What a track does in a mix, by its name and its family.
enum class MixRole { kick, bass, backbeat, lead, drums, tops, harmony, second_voice, effects, pad, other };
MixRole role_of(const Track& track, Family family);
/// For people: "low end", "hats and percussion".
std::string role_name(MixRole role);

/// All tracks in an order; common practice, no source.  `first` is for `own`.
std::vector<TrackId> build_up_order(const Session& session, BuildUpOrder order, const FamilyOf& family,
                                    const std::vector<TrackId>& first = {});

/// The anchors in the order in which a build-up brings them in.
std::vector<TrackId> anchors_in_order(const Session& session);
/// A copy in which one of them comes in earlier (below 0) or later; the same when it is none, or has no room.
Session with_anchor_moved(const Session& session, TrackId id, int by);

/// What suggested levels depend on besides the faders.
struct StartingLevels {
    FamilyOf family;
    double anchors_db = 0.0;  ///< where anchors start; see anchors_start_at
    /// Tracks that are microphones of one source (see microphone_sets): together they are as loud as one track would
    /// be.
    std::vector<std::vector<TrackId>> microphones = {};
};

/// A fader to start from, dB: against the mean of the anchors that are on (or where they start, without any), by what a
/// track is; a staged session is taken for granted.  Common practice, no source:
/// kick and bass 0, snare and clap -1, lead voice and melody -2, other drums -5, hats and percussion -9, keys, guitars
/// and strings -7, further voices -8, effects -14, the rest -8.  One of n microphones of a source is 20 log10 n lower:
/// they add up in phase.
double suggested_fader_db(const Session& session, const Track& track, const StartingLevels& levels);

/// A copy with every track on, at its suggested level, whatever its fader and its mute are.
Session with_suggested_faders(const Session& session, const StartingLevels& levels);

/// Where anchors have to start so that the finished sum of the suggested levels peaks in the middle of the main
/// output's window, dB, to 0.1 dB, from -24 to +6 dB; 0 for a session without sound.  Processors of buses and of the
/// main output are left out: the room is for what goes into them.  `peaks` keeps what it finds.  Fails as reading does,
/// or with "cancelled".
Result<double> anchors_start_at(const Session& session, const MaterialOf& material, StartingLevels levels,
                                MixPeaks& peaks, Progress* progress = nullptr);

}  // namespace isotonus
