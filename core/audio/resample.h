// Sample rate conversion through soxr, very high quality: pass band to 0.91 of the lower half-rate, stop band beyond
// -144 dB.
#pragma once

#include <cstdint>
#include <memory>
#include <span>
#include <vector>

#include "core/result.h"

typedef struct soxr* soxr_t;

namespace isotonus {

/// Frames at `to` Hz that last as long as `frames` at `from` Hz, rounded to the nearest.
inline int64_t converted_frames(int64_t frames, int from, int to) { return (frames * to + from / 2) / from; }

class Resampler {
  public:
    static Result<Resampler> create(int from_hz, int to_hz, int channels);

    /// Converts interleaved frames; the result lasts until the next call.  An empty `in` flushes what is left.
    std::span<const float> convert(std::span<const float> in);

  private:
    struct Delete {
        void operator()(soxr* p) const;
    };
    std::unique_ptr<soxr, Delete> soxr_;
    int channels_ = 0;
    double ratio_ = 1.0;
    std::vector<float> out_;
};

}  // namespace isotonus
