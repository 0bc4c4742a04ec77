// Make room: narrow cuts in what covers a row, where it is covered, so that more of it is heard without a fader moving.
#pragma once

#include "core/balance/audibility.h"

namespace isotonus {

/// A bell in another row's equaliser.
struct RoomCut {
    TrackId row = 0;
    double hz = 0.0, db = 0.0, q = 1.0;
};

struct RoomProposal {
    std::vector<RoomCut> cuts;         ///< in the order of what they bring
    double before = 0.0, after = 0.0;  ///< share of the row that is heard, 0 … 1; `after` is predicted
};

struct RoomWish {
    double deepest_db = 3.0;
    size_t max_a_row = 3, most = 8;
    double min_gain = 0.02;  ///< of the share: cuts that bring less are left out
};

/// Cuts are chosen one after the other, each time the one that uncovers most of what is covered, and lie in rows that
/// cover it there (`may_cut` says which may be touched).  What is predicted counts the excitation of every row in the
/// bands that a bell lowers (Audio EQ Cookbook's analogue prototype).  No cuts when the row is not heard at all, or
/// nothing covers it.
RoomProposal make_room(const RenderPlan& plan, TrackId id, const ExcitationOf& excitation, const Listening& listening,
                       const std::function<bool(TrackId)>& may_cut, const RoomWish& wish = {});

/// It plays notes or sings, and another track that is not muted carries the low end below it.
bool has_lows_carried(const Session& session, const Track& track,
                      const std::function<const Measurement*(const Track&)>& measured);

/// Which tracks may be cut to make room: not the anchors; while there are none, not those that carry the low end.
std::function<bool(TrackId)> may_make_room(const Session& session,
                                           const std::function<const Measurement*(const Track&)>& measured);

/// A part of the spectrum in which others cover a row.
struct CoveredBand {
    double low_hz = 0.0, high_hz = 0.0;
    double share = 0.0;  ///< of the time in which the row has something there, 0 … 1
    TrackId most = 0;    ///< who covers it most
};
/// Every auditory band in which a row counts (as for its audibility) in a tenth of its sounding time and more; those in
/// which it is covered have a share above 0.
std::vector<CoveredBand> covered_bands(const RenderPlan& plan, TrackId id, const ExcitationOf& excitation,
                                       const Listening& listening);

/// A copy in which the cuts stand in these rows' equalisers (see add_bell).
Session with_room(const Session& session, const std::vector<RoomCut>& cuts);

}  // namespace isotonus
