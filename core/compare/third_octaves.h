// core/compare: the mix beside what it should stand beside.
//
// How much lies where in frequency, by third octaves (IEC 61260-1: exact mid-band frequencies, base ten), of a mix, a
// recording, or a passage of either; and how the mix differs from one recording or from several.
#pragma once

#include <array>
#include <optional>
#include <utility>
#include <vector>

#include "core/mix/mixdown.h"

namespace isotonus {

/// From 25 Hz to 20 kHz.
inline constexpr int third_octaves = 30;
/// The exact middle of a band, 10^(n / 10) Hz.
double third_octave_hz(int band);
/// Its lower and upper edge, Hz.
std::pair<double, double> third_octave_edges_hz(int band);
/// The band that a frequency lies in; beyond the ends the first or the last.
int third_octave_at(double hz);
/// As it is called: 25, 31.5, 40 …
double third_octave_name_hz(int band);

/// Mean power of each band over time, the mean of the channels: a sine of amplitude 1 has 0.5.
struct ThirdOctaves : std::array<double, third_octaves> {
    std::array<double, third_octaves> product{};  ///< mean of left times right; of mono the power itself
};
/// How far the sides agree in bands from one to another, both included: the mean of left times right over the mean
/// power of the sides.  Of sides that are equally loud it is their correlation.  Absent where there is nothing.
std::optional<double> agreement(const ThirdOctaves& spectrum, int first_band, int last_band);
/// Sides over middle, dB, from the same: -60 at least, +60 at most.
std::optional<double> sides_over_middle_db(const ThirdOctaves& spectrum, int first_band, int last_band);
/// The last band below a frequency.
int last_band_below(double hz);
/// AES17 dBFS; absent where there is nothing.
Level third_octave_dbfs(const ThirdOctaves& spectrum, int band);

/// Of a recording, between two times (`to_s` 0: to its end); of a whole file it is kept in the cache.  Fails as reading
/// does, or with "cancelled".
Result<ThirdOctaves> third_octaves_of(const Material& material, double from_s = 0.0, double to_s = 0.0,
                                      Progress* progress = nullptr);
/// Of the mix.
Result<ThirdOctaves> third_octaves_of(const PlanPtr& mix, double from_s = 0.0, double to_s = 0.0,
                                      Progress* progress = nullptr);

/// Four wide bands, as people speak of them: low to 120 Hz, low-mid to 500 Hz, mid to 4 kHz, high.  Common practice, no
/// source.
inline constexpr std::array<double, 3> wide_edges_hz{120.0, 500.0, 4000.0};
inline constexpr std::array<const char*, 4> wide_names{"low", "low-mid", "mid", "high"};
std::array<Level, 4> wide_bands_dbfs(const ThirdOctaves& spectrum);

/// A band of the mix beside references, each brought to the mix's loudness first.
struct BandDifference {
    double hz = 0.0;
    Level mix_dbfs;
    Level reference_dbfs;       ///< mean of the references, dB; of one, its own
    Level difference_db;        ///< the mix less that
    double tolerance_db = 0.0;  ///< standard deviation of the references; 0 of one
};
/// `match_db`: what brings each reference to the mix's loudness.
std::vector<BandDifference> band_differences(const ThirdOctaves& mix, const std::vector<ThirdOctaves>& references,
                                             const std::vector<double>& match_db);

}  // namespace isotonus
