// Loudness: ITU-R BS.1770-5 K-weighting and gates, EBU Tech 3341 momentary and short term, EBU Tech 3342 range.
// And the same windows unweighted, for the gated average.
#pragma once

#include <array>
#include <cstdint>
#include <span>
#include <vector>

#include "core/audio/biquad.h"
#include "core/decibels.h"

namespace isotonus {

/// The two stages of K-weighting at any rate: the analogue prototypes of BS.1770 (high shelf f0 1681.97 Hz, +3.99984
/// dB, Q 0.70718; high-pass f0 38.135 Hz, Q 0.50033) through the bilinear transform.  At 48 kHz they are the standard's
/// table.
std::array<Biquad, 2> k_weighting(double sample_rate);

/// Power over time in hops of 100 ms: what every loudness figure is computed from.
struct HopPower {
    std::vector<double> weighted;    ///< sum over channels of the mean K-weighted power of each complete hop
    std::vector<double> unweighted;  ///< mean over channels of the mean power of each complete hop
};

/// -0.691 + 10 log10(power), BS.1770-5 equation (2).
inline double lufs_from_power(double power) { return -0.691 + db_from_power(power); }

/// Integrated loudness: 400 ms blocks with 75 % overlap, absolute gate -70 LUFS, relative gate -10 LU.
Level integrated_lufs(std::span<const double> weighted_hops);

/// The loudest window of `hops` hops (4: momentary, 30: short term).  Absent when the material is shorter.
Level loudest_lufs(std::span<const double> weighted_hops, int hops);

/// EBU Tech 3342: 10th to 95th percentile of the short-term loudness above -70 LUFS and the -20 LU relative gate.
Level loudness_range_lu(std::span<const double> weighted_hops);

/// AES17 RMS of the 400 ms windows (hop 100 ms) above -70 dBFS and above 20 dB below the mean of the rest.
Level gated_average_dbfs(std::span<const double> unweighted_hops);

/// K-weighting at work, and the sums of squares of both sides since they were last taken.
struct Weighing {
    PairFilter shelf, high_pass;
    PairFilter::DirectState in_shelf{}, in_high_pass{};
    Pair weighted{}, plain{};
};

/// Filters and adds up samples as they come.
class HopMeter {
  public:
    HopMeter(int channels, int sample_rate);
    void add(const float* interleaved, int64_t frames);
    const HopPower& hops() const { return hops_; }

  private:
    int channels_;
    int64_t hop_frames_;
    int64_t in_hop_ = 0;
    Weighing weighing_;
    HopPower hops_;
};

}  // namespace isotonus
