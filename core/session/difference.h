// What a processor takes away, to be heard alone.
#pragma once

#include "core/session/session.h"

namespace isotonus {

/// A session in which nothing is heard but the difference that the processor at this place of a track's chain makes:
/// what it takes away (and, inverted, what it adds).  The track plays as it is before the processor, and once more
/// after it with opposite polarity; what comes later in its chain and on its way is left out.  The session itself when
/// there is no such processor.
Session with_difference_alone(const Session& session, TrackId track, size_t position);

}  // namespace isotonus
