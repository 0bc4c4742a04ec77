// The demo with chains: a step that is taken when the song has been balanced, and can be undone.
#pragma once

#include "core/session/session.h"

namespace isotonus {

/// The demo's session with chains where its faults ask for them: the hats' rumble is cut, the held chords leave room
/// for the voice, the bass loses its DC and makes way for the kick, the voice is held together, and the drums' bus
/// (when there is one) barely moves.  Rows that are not there, or have a chain of their own, are left alone.
Session with_demo_shaped(const Session& session);

}  // namespace isotonus
