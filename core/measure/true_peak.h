// True peak: the highest magnitude of the signal between its samples, ITU-R BS.1770-5 Annex 2.
// Oversampled 4 times below 80 kHz, twice above, by a Kaiser-windowed sinc of 12 taps a phase (the annex leaves the
// filter open). The samples themselves are one of the phases, so the true peak is never below the sample peak. Exact,
// though most of the work is skipped: a stretch is filtered only if its sample peak times the filter's gain bound (the
// largest sum of |h|) exceeds the peak found so far.
#pragma once

#include <cstdint>
#include <vector>

namespace isotonus {

class TruePeak {
  public:
    TruePeak(int channels, int sample_rate);

    /// `sample_peak` is the largest magnitude in the stretch, which the caller knows already.
    void add(const float* interleaved, int64_t frames, float sample_peak);

    /// Largest magnitude so far.
    double so_far() const { return static_cast<double>(most_); }

    /// First frame of the stretch in which it lies.
    int64_t peak_frame() const { return peak_frame_; }

    /// The same, with the end of the file taken as silence.
    double finish();

  private:
    void search(int64_t frames, float reach_peak);
    void found(float magnitude);

    static constexpr int taps = 12;
    int channels_;
    int phases_;
    std::vector<float> filters_;
    float gain_bound_ = 1.0f;
    float most_ = 0.0f;
    float previous_peak_ = 0.0f;
    int64_t frames_ = 0, peak_frame_ = 0;
    std::vector<float> window_;  ///< the last taps-1 frames, then the new stretch
};

}  // namespace isotonus
