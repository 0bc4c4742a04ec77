// One sound against the others: which third octaves of the mix it owns, which it fights for, and its strongest note
// taken out of the others.
#pragma once

#include <optional>
#include <string>

#include "core/compare/makers.h"
#include "core/shape/advice.h"

namespace isotonus {

using SpectrumOf = std::function<const LongTermSpectrum*(const MaterialPtr&)>;

/// A third octave in which a track has a part of its sound.
struct OwnedBand {
    int band = 0;        ///< see third_octave_hz
    double share = 0.0;  ///< the track's, of all tracks' power there, 0 … 1
    TrackId rival = 0;   ///< who has the most of the others; 0: nobody
    double rival_share = 0.0;
    bool owned() const { return share >= 0.5; }
    /// Neither has it: the track has a fifth and more.
    bool fought_for() const { return !owned() && share >= 0.2; }
    bool operator==(const OwnedBand&) const = default;
};

/// Those within 24 dB of the track's strongest one, from the bottom up; common practice, no source.  Shares as
/// makers_of counts them.
std::vector<OwnedBand> owned_bands(const RenderPlan& plan, TrackId id, const SpectrumOf& spectrum_of);

struct NoteCuts {
    double hz = 0.0, q = 8.0;
    std::vector<std::pair<TrackId, double>> cuts;  ///< tracks, and the gain of a bell there, dB
    double share_before = 0.0, share_after = 0.0;  ///< the track's in the third octave around the note
    std::string note() const { return note_name(hz); }
};

/// Narrow cuts of 3 to 6 dB at this frequency in the other tracks that have a twelfth and more of the power there, the
/// deeper the more they have; `spared` are left alone.  Nothing when that brings less than 2 % of the power.
std::optional<NoteCuts> note_out_of_others(const RenderPlan& plan, TrackId id, double hz, const SpectrumOf& spectrum_of,
                                           const std::function<bool(TrackId)>& spared);

/// A copy with them.
Session with_note_cuts(const Session& session, const NoteCuts& cuts);

}  // namespace isotonus
