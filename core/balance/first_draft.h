// A first balance from what can be heard: anchors at their working levels, every other track raised until it is heard
// to the share that its role wants.  docs/first_balance.md has the table of all figures.
#pragma once

#include "core/balance/audibility.h"
#include "core/balance/build_up.h"

namespace isotonus {

/// What a draft sets.
enum class DraftStrength {
    levels,  ///< faders
    pans,    ///< … and pans
    all      ///< … and the width of stereo tracks that lose too much in mono
};

/// What a role wants.  Common practice, no source.
struct RoleWish {
    double heard;  ///< share of its bands at the level of the quiet check, 0 … 1
    double takes;  ///< share that it may take from an anchor at most, 0 … 1
    double pan;    ///< how far to a side, 0 … 1
    int position;  ///< in the build-up's order; the lowest first
};
const RoleWish& wish_of(MixRole role);

/// No anchor is heard to less than this beside all others, at the level of the monitors.
inline constexpr double min_of_anchor = 0.45;
/// What stereo tracks may lose in mono, dB, before their width is taken back; -3.01 is what unrelated sides lose.
inline constexpr double max_mono_loss_db = 3.5;
/// How far the sides of a pair stand, 0 … 1.
inline constexpr double pan_of_pair = 0.33;

struct FirstDraftWish {
    DraftStrength strength = DraftStrength::levels;
    bool also_set = false;  ///< tracks with a fader or a pan that was set by hand too; never locked ones
    Listening listening;
    StartingLevels levels;  ///< families and microphones
};

struct DraftedTrack {
    TrackId id = 0;
    MixRole role = MixRole::other;
    bool anchor = false;
    bool kept = false;  ///< locked, or set by hand: its settings below are those that it has
    double fader_db = 0.0, pan = 0.0, width = 1.0;
    Level heard;        ///< share at the level of the quiet check, beside all others; absent of a silent one
    Level at_monitors;  ///< the same at the level of the monitors
    std::string why;    ///< a sentence
};

struct FirstDraft {
    DraftStrength strength = DraftStrength::levels;
    std::vector<DraftedTrack> tracks;  ///< all of the session's, in their order
    Level peak_dbfs;                   ///< of the whole song, as drafted
};

/// The draft for a session.  All tracks are on in it; processors of buses and of the main output are left out.  A track
/// whose excitation is not known stays as it is.  `peaks` keeps what it finds.  Fails as reading does, or with
/// "cancelled".
Result<FirstDraft> first_draft(const Session& session, const MaterialOf& material, const ExcitationOf& excitation,
                               const FirstDraftWish& wish, MixPeaks& peaks, Progress* progress = nullptr);

/// A copy with the drafted settings of one track, or of all (0).
Session with_draft(const Session& session, const FirstDraft& draft, TrackId only = 0);

/// A session that lies between two of the same tracks, 0 … 1: faders in dB, from the end of the fader where one is off;
/// pans and widths straight; all else as it is in `then`, unless the share is 0.
Session between(const Session& now, const Session& then, double share);

}  // namespace isotonus
