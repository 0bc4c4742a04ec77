// Products of the tracks of a song with each other and with a mix of them, in short windows and in bands: all that a
// least squares problem needs to know of their samples.
#pragma once

#include <complex>

#include "core/balance/mix_columns.h"

namespace isotonus {

/// Edges of the bands, Hz: 30 … 120, and so on, to 16,000.
inline constexpr std::array<double, 11> fit_band_edges_hz = {30.0,   120.0,  250.0,  450.0,  800.0,  1400.0,
                                                             2300.0, 3600.0, 5500.0, 8500.0, 16000.0};
inline constexpr size_t fit_bands = fit_band_edges_hz.size() - 1;

/// A mix as the song's time has it: frame 0 of `material` lies at `begins` (and a fraction, which it plays already).
struct AlignedMix {
    MaterialPtr material;
    int64_t begins = 0;
};

/// Of every window, side and band: sums over the band's bins of conj(X_i) X_j (the real part), conj(X_i) Y and |Y|^2,
/// with X the tracks' and Y the mix's transform.
class MixProducts {
  public:
    size_t tracks = 0;
    std::vector<int64_t> first_frames;  ///< of the windows, in the song
    int64_t window_frames = 0;

    size_t windows() const { return first_frames.size(); }
    /// A triangle row by row: i (i + 1) / 2 + j for j up to i.
    size_t triangle() const { return tracks * (tracks + 1) / 2; }
    size_t cell(size_t side, size_t window, size_t band) const {
        return (side * windows() + window) * fit_bands + band;
    }
    float* among(size_t c) { return among_.data() + c * triangle(); }
    const float* among(size_t c) const { return among_.data() + c * triangle(); }
    std::complex<float>* with_mix(size_t c) { return with_mix_.data() + c * tracks; }
    const std::complex<float>* with_mix(size_t c) const { return with_mix_.data() + c * tracks; }
    float& of_mix(size_t c) { return of_mix_[c]; }
    float of_mix(size_t c) const { return of_mix_[c]; }
    void resize();

  private:
    std::vector<float> among_, of_mix_;
    std::vector<std::complex<float>> with_mix_;
};

/// Windows of about 21 ms, every 85 ms or further apart, so that 200 MB hold them.  Fails as reading does, or with
/// "cancelled".
Result<MixProducts> mix_products(const std::vector<MixColumn>& columns, const AlignedMix& mix,
                                 Progress* progress = nullptr);

}  // namespace isotonus
