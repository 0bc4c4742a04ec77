// A track's sound, ready to be played: at the session's rate, any frame reachable at once.
// A file of another rate, or a compressed one, is converted once into the cache; the file itself is never changed.
#pragma once

#include "core/audio/sound_file.h"
#include "core/files/artifact_cache.h"
#include "core/files/file_stamp.h"
#include "core/parallel.h"

namespace isotonus {

struct Media {
    fs::path original;
    fs::path playable;  ///< the original, or its conversion in the cache
    SoundInfo source;   ///< of the original
    FileStamp stamp;    ///< likewise, before anything was read of it
    int channels = 0;
    int64_t frames = 0;  ///< of the playable file
    bool converted() const { return playable != original; }
};

/// A name for cached work on a file: changes with its path, its stamp, and `purpose`.
std::string cache_key(const fs::path& file, const FileStamp& stamp, const std::string& purpose);

/// Opens a file for use at `session_rate` Hz.  Converts when needed (32-bit float, soxr); a conversion in the cache is
/// used again.  Fails as SoundReader::open does, when the cache cannot be written or the disk has no room for the
/// conversion, or with "cancelled".
Result<Media> prepare_media(const fs::path& file, int session_rate, Progress* progress = nullptr);

}  // namespace isotonus
