// Whether a session is one that can be written, read again and played.
#pragma once

#include "core/session/session.h"

namespace isotonus {

/// Checks every value against the format's limits (fields.h), and what hangs together: ids are unique, outputs lead to
/// buses that are there and never in a circle, points, sections and tempo marks are in order of time.  Fails with a
/// sentence that names the row and the value.  What `before`, a session that was valid, shares with this one is not
/// looked at again, so that checking an edit costs what the edit changed.
Result<void> validate(const Session& session, const Session* before = nullptr);

/// The same for one point of a ride.
Result<void> validate(const RidePoint& point, const ParameterInfo& info);

}  // namespace isotonus
