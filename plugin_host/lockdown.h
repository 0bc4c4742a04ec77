// What this process gives up before it loads anything from outside.
#pragma once

namespace isotonus::foreign {

/// From now on this process and all its threads can write no file but those that are open already, make no socket,
/// start no program and no child, and reach into no other process (Linux: seccomp).  Files can still be read: plug-ins
/// read their own.  False when the system does not let it: then nothing from outside may be loaded.
bool give_up_rights();

/// Ends this process as soon as the other end of a handle is closed, whatever a plug-in is doing then.
void end_with(int handle);

}  // namespace isotonus::foreign
