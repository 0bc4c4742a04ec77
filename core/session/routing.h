// Where rows lead: buses that sum, control groups that move faders together.
#pragma once

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

/// A copy with a bus or a group of these rows, after those that are there; `id`, when given, gets its number.
Session with_new_bus(const Session& session, const std::string& name, std::optional<Family> family,
                     const std::vector<TrackId>& tracks, TrackId* id = nullptr);
Session with_new_group(const Session& session, const std::string& name, std::optional<Family> family,
                       const std::vector<TrackId>& members, TrackId* id = nullptr);

/// A copy without a bus (what led to it leads where it led) or without a group.
Session without_bus_or_group(const Session& session, TrackId id);

/// Tracks that a bus sums, also by way of others; tracks that a group moves, also by way of buses.
std::vector<TrackId> tracks_under(const Session& session, TrackId bus_or_group);

/// A copy in which only these tracks are heard, whatever is soloed: for the ear, not for an export.
Session with_only(const Session& session, const std::vector<TrackId>& tracks);

}  // namespace isotonus
