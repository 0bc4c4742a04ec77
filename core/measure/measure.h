// Measuring a whole file in one pass.
#pragma once

#include <filesystem>
#include <memory>

#include "core/measure/loudness.h"
#include "core/measure/measurement.h"
#include "core/measure/true_peak.h"
#include "core/parallel.h"
#include "core/result.h"

namespace isotonus {

/// Takes samples as they come, and tells at the end.
class Measurer {
  public:
    /// `full_scale`: the smallest magnitude that counts as full scale when clipped runs are looked for.
    Measurer(int channels, int sample_rate, float full_scale);

    void add(const float* interleaved, int64_t frames);

    struct Outcome {
        Measurement measurement;
        LevelSummary summary;
        HopPower hops;  ///< power over time; not kept in the cache
    };
    /// `name` is a hint for the kind.  The measurer is spent afterwards.
    Outcome finish(std::string_view name = {});

  private:
    void add_stretch(const float* in, int64_t frames);
    void find_clipping(const float* in, int64_t frames, const float* peak_of_channel);
    void end_run(int channel);

    Measurement m_;
    LevelSummary summary_;
    HopMeter hops_;
    TruePeak true_peak_;
    float full_scale_;
    float peak_ = 0.0f;
    int64_t peak_frame_ = 0;
    double sum_[2] = {}, square_[2] = {}, product_ = 0.0;
    int64_t run_[2] = {}, run_start_[2] = {};
    std::vector<float> pending_;  ///< less than one summary block
};

/// Magnitude that counts as full scale: the largest positive code of the format, at most 16 bits wide, because clipped
/// 16-bit material lives on in wider files.
float full_scale_of(int bits, bool floating);

/// Reads and measures a file as it is, at its own rate.  Fails as SoundReader does, or with "cancelled".
Result<Measurer::Outcome> measure_file(const std::filesystem::path& file, Progress* progress = nullptr);

}  // namespace isotonus
