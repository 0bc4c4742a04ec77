// All that is known of a track's sound: where it can be played from, its figures, its level over time.
#pragma once

#include <memory>

#include "core/audio/source.h"
#include "core/measure/measure.h"

namespace isotonus {

class Signal;

/// Computes samples that are in no file: what the rows that lead to a bus sum up to.
class SampleMaker {
  public:
    virtual ~SampleMaker() = default;
    virtual Result<std::unique_ptr<FrameReader>> open() const = 0;
    /// For one who reads all of it in order: computed ahead on a thread of its own, where there may be more of them.
    virtual Result<std::unique_ptr<FrameReader>> open_ahead() const = 0;
    /// Makers of the same samples have the same key.
    virtual std::string key() const = 0;
};

struct Material {
    ReadySource ready;
    Measurement recorded;     ///< of the file itself (of the channels picked, when it has more than two)
    Measurement measurement;  ///< of what is played; clipped runs and non-finite samples are those of the file itself
    LevelSummary summary;     ///< of what is played, from the song's start
    HopPower hops;            ///< its power every 100 ms
    /// What a chain makes of a row: read through it instead of from the files (core/shape/signal.h).  Null: files.
    std::shared_ptr<const Signal> signal = nullptr;
    /// What computes it, where it is neither a file nor a signal.
    std::shared_ptr<const SampleMaker> maker = nullptr;
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
