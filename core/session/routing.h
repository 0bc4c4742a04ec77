// Where rows lead and what they send where: buses that sum, returns, control groups that move faders together.
#pragma once

#include <set>

#include "core/session/session.h"

namespace isotonus {

/// A copy in which `change` was applied to one bus, or to one control group.
Session with_bus(const Session& session, TrackId id, const std::function<void(Bus&)>& change);
Session with_group(const Session& session, TrackId id, const std::function<void(ControlGroup&)>& change);

/// A copy in which these tracks and buses lead to `output` (a bus or the main output).  Fails with a sentence when a
/// bus would feed itself.
Result<Session> with_output(const Session& session, const std::vector<TrackId>& ids, TrackId output);

/// The bus `to` or one it leads to is `from`: what comes out of `from` ends in `to`.
bool leads_to(const Session& session, TrackId from, TrackId to);

/// What leaves `from` reaches `to`, as its output or by sends, or it is the same row.
bool feeds(const Session& session, TrackId from, TrackId to);

/// All that the sound of a channel is made of, itself among it: what leads or sends to it, and the sidechain sources of
/// these.
std::set<TrackId> needed_by(const Session& session, TrackId channel);

/// A bus that only sends lead to.
bool is_return(const Session& session, TrackId bus);

/// Tracks and buses that send to it.
std::vector<TrackId> senders_to(const Session& session, TrackId bus);

/// A copy in which a row's send to a bus is changed; it is made when there is none.  Fails with a sentence when the bus
/// would feed itself, or the row has no sends.
Result<Session> with_send(const Session& session, TrackId row, TrackId bus, const std::function<void(Send&)>& change);
/// A copy without a send and its rides.
Session without_send(const Session& session, TrackId row, uint64_t send);

/// A copy in which a ride opens a row's send between two times, and shuts it (or leaves it as it rides) elsewhere: one
/// word, one hit.  A send that is off opens to 0 dB, others to their level.
Session with_throw(const Session& session, TrackId row, const Send& send, double from_s, double to_s);

/// A copy with a bus at the end that has this chain and that these rows send to, as `how` says (level, place).
Session with_new_return(const Session& session, const std::string& name, const std::vector<TrackId>& rows,
                        const Send& how, const Chain& chain, TrackId* id = nullptr);

/// A copy with a bus or a group of these rows, after those that are there; `id`, when given, gets its number.
Session with_new_bus(const Session& session, const std::string& name, std::optional<Family> family,
                     const std::vector<TrackId>& tracks, TrackId* id = nullptr);
Session with_new_group(const Session& session, const std::string& name, std::optional<Family> family,
                       const std::vector<TrackId>& members, TrackId* id = nullptr);

/// A copy in which nothing points at these channels any more, which are about to go: they leave control groups,
/// selections and the order of the build-up, and a processor whose sidechain source they were is bypassed.  `told` gets
/// a sentence for each such processor.
Session forgotten(const Session& session, const std::vector<TrackId>& gone, std::vector<std::string>* told);

/// A copy without a bus (what led to it leads where it led, what was sent to it is not) or without a group, and without
/// what pointed at it.
Session without_bus_or_group(const Session& session, TrackId id, std::vector<std::string>* told = nullptr);

/// Tracks that a bus sums, also by way of others; tracks that a group moves, also by way of buses.
std::vector<TrackId> tracks_under(const Session& session, TrackId bus_or_group);
/// The same with the buses between them and it, and itself.
std::vector<TrackId> channels_under(const Session& session, TrackId bus_or_group);

/// A copy in which only these tracks are heard, whatever is soloed: for the ear, not for an export.
Session with_only(const Session& session, const std::vector<TrackId>& tracks);
/// A copy in which only what a bus or a control group brings is heard, whatever is soloed: for the ear, not for an
/// export.  Of a return that is what was sent to it.
Session with_row_alone(const Session& session, TrackId bus_or_group);

}  // namespace isotonus
