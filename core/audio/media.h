// A track's sound, ready to be played: at the session's rate, any frame reachable at once.
// A file of another rate, or a compressed one, is converted once into the cache; the file itself is never changed.
#pragma once

#include "core/audio/sound_file.h"
#include "core/files/pending_file.h"
#include "core/parallel.h"

namespace isotonus {

struct Media {
    fs::path original;
    fs::path playable;  ///< the original, or its conversion in the cache
    SoundInfo source;   ///< of the original
    int channels = 0;
    int64_t frames = 0;  ///< of the playable file
    bool converted() const { return playable != original; }
};

/// `$XDG_CACHE_HOME/isotonus`, made if it is missing.
fs::path cache_folder();

/// Measurements and conversions together take this much room at most, when a program starts.
inline constexpr uintmax_t cache_budget_bytes = uintmax_t{8} << 30;
/// Takes away what killed processes left in the cache, then what was not used for longest until the rest has
/// `most_bytes` at most; what was used within the last hour stays.  Returns how much there is left.
uintmax_t tidy_cache(uintmax_t most_bytes = cache_budget_bytes);

/// A name for cached work on a file: changes with its path, size, time of change, and `purpose`.
std::string cache_key(const fs::path& file, const std::string& purpose);

/// Opens a file for use at `session_rate` Hz.  Converts when needed (32-bit float, soxr); a conversion in the cache is
/// used again.  Fails as SoundReader::open does, when the cache cannot be written, or with "cancelled".
Result<Media> prepare_media(const fs::path& file, int session_rate, Progress* progress = nullptr);

}  // namespace isotonus
