// The sound that a plug-in made, kept in the cache folder for the next time: also for when the plug-in is gone.
#pragma once

#include <memory>
#include <optional>
#include <string>

#include "core/files/spool.h"

namespace isotonus {

struct KeptSound {
    std::shared_ptr<Spooled> spool;
    int64_t frames = 0;
};

/// What was kept under this key; nothing when there is none, or no room for it.
std::optional<KeptSound> kept_sound(const std::string& key, int channels);

/// Keeps it, as well as it can: it can be made again.
void keep_sound(const std::string& key, const Spooled& spool, int channels, int64_t frames);

}  // namespace isotonus
