// Measuring a whole file in one pass.
#pragma once

#include <filesystem>
#include <memory>

#include "core/audio/source.h"
#include "core/measure/ballistics.h"
#include "core/measure/loudness.h"
#include "core/measure/measurement.h"
#include "core/measure/true_peak.h"
#include "core/parallel.h"
#include "core/result.h"

namespace isotonus {

/// Energy at the bottom of the spectrum, from sums of 16 samples: below 40 Hz (Butterworth, 24 dB an octave) and below
/// 200 Hz (12 dB an octave).
class LowEnergy {
  public:
    explicit LowEnergy(double sample_rate);
    void add(const float* sums, size_t groups, int channels);
    double below_40_hz() const { return energy_40_; }
    double below_200_hz() const { return energy_200_; }

  private:
    struct Stage {
        Biquad filter;
        Biquad::State side[2] = {};
        double step(double x, int channel) { return filter.step(side[channel], x); }
    };
    Stage first_, second_, wide_;
    double energy_40_ = 0.0, energy_200_ = 0.0;
};

/// Takes samples as they come, and tells at the end.
class Measurer {
  public:
    /// `full_scale`: the smallest magnitude that counts as full scale when clipped runs are looked for.
    Measurer(int channels, int sample_rate, float full_scale);

    void add(const float* interleaved, int64_t frames);

    struct Outcome {
        Measurement measurement;
        LevelSummary summary;
        HopPower hops;  ///< power over time
    };
    /// `name` is a hint for the kind.  The measurer is spent afterwards.
    Outcome finish(std::string_view name = {});

  private:
    void add_stretch(const float* in, int64_t frames);
    void find_clipping(const float* in, int64_t frames, const float* peak_of_channel);
    void end_run(int channel);

    Measurement m_;
    std::vector<float> lowest_, highest_, mean_square_;  ///< of the summary
    HopMeter hops_;
    TruePeak true_peak_;
    LowEnergy low_;
    VuNeedle needles_[2];
    double vu_ = 0.0;
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

/// Reads and measures a mono or stereo file as it is, at its own rate.  Fails as SoundReader does, or with "cancelled".
Result<Measurer::Outcome> measure_file(const std::filesystem::path& file, Progress* progress = nullptr);

/// The same of what a source plays, at the session's rate; `name` is a hint for the kind.
Result<Measurer::Outcome> measure_source(const ReadySource& source, std::string_view name,
                                         Progress* progress = nullptr);

}  // namespace isotonus
