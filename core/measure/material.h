// All that is known of a track's sound: where it can be played from, its figures, its level over time.
#pragma once

#include <memory>

#include "core/audio/media.h"
#include "core/measure/measure.h"

namespace isotonus {

struct Material {
    Media media;
    Measurement measurement;  ///< of what is played; clipped runs and non-finite samples are those of the file itself
    LevelSummary summary;     ///< of what is played
};
using MaterialPtr = std::shared_ptr<const Material>;

/// Prepares and measures a file for a session of this rate.  Results are kept in the cache, by path, size and time of
/// change.
Result<MaterialPtr> load_material(const fs::path& file, int session_rate, Progress* progress = nullptr);

}  // namespace isotonus
