// All that is known of a track's sound: where it can be played from, its figures, its level over time.
#pragma once

#include <memory>

#include "core/audio/playable.h"
#include "core/measure/measure.h"

namespace isotonus {

struct Material {
    PlayablePtr sound;        ///< never null
    Measurement recorded;     ///< of the file itself (of the channels picked, when it has more than two)
    Measurement measurement;  ///< of what is played; clipped runs and non-finite samples are those of the file itself
    LevelSummary summary;     ///< of what is played, from the song's start
    HopPower hops;            ///< its power every 100 ms

    int channels() const { return sound->channels(); }
    int rate() const { return sound->rate(); }
    int64_t frames() const { return sound->frames(); }
    const ReadySource& origin() const { return sound->origin(); }
    Result<std::unique_ptr<FrameReader>> open() const { return sound->open(); }
};
using MaterialPtr = std::shared_ptr<const Material>;

/// Prepares and measures a source for a session of this rate.  What is found is kept in the cache, by path, size and
/// time of change of its files and by all that the source does with them; long lists stay there and are mapped.
Result<MaterialPtr> load_material(const Source& source, int session_rate, Progress* progress = nullptr);

/// The same of a file as it is.
inline Result<MaterialPtr> load_material(const fs::path& file, int session_rate, Progress* progress = nullptr) {
    Source source;
    source.file = file;
    return load_material(source, session_rate, progress);
}

}  // namespace isotonus
