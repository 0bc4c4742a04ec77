// core/measure: what is known of a sound file after hearing all of it once: peaks, loudness, level over time, kind; and
// the live forms of the same meters.  It knows nothing of sessions.
//
// What is known of one sound file after hearing all of it once.
#pragma once

#include <array>
#include <cstdint>
#include <string>
#include <string_view>
#include <vector>

#include "core/files/mapped_list.h"

#include "core/decibels.h"

namespace isotonus {

enum class Kind { percussive, sustained };
inline const char* kind_name(Kind kind) { return kind == Kind::percussive ? "percussive" : "sustained"; }

/// A run of 3 or more consecutive samples at full scale in one channel.
struct ClippedRun {
    int64_t first_frame = 0;
    int64_t frames = 0;
    int channel = 0;
};

/// A short moment that alone sets the peak.
struct Spike {
    int64_t first_frame = 0;
    int64_t frames = 0;      ///< 50 ms at most, in whole blocks of the level summary
    double peak_dbfs = 0.0;  ///< of its samples
    bool operator==(const Spike&) const = default;
};

/// Levels are absent where there is nothing to measure: silence has no level, a file shorter than a measure's window
/// has no such measure.
struct Measurement {
    int channels = 0;
    int sample_rate = 0;  ///< Hz
    int64_t frames = 0;
    Level sample_peak_dbfs;         ///< 20 log10 max |x|
    double peak_time_s = 0.0;       ///< where that sample is (the first, if there are several)
    Level true_peak_dbtp;           ///< ITU-R BS.1770-5 Annex 2
    double true_peak_time_s = 0.0;  ///< where the stretch begins (4096 frames at most) that it lies in
    Level rms_dbfs;                 ///< whole file, AES17 (a full-scale sine reads 0), mean power of the channels
    Level average_dbfs;             ///< AES17 RMS of the gated 400 ms windows, see docs/measuring.md
    Level crest_db;                 ///< sample peak minus plain RMS (a sine has 3.01 dB)
    Level integrated_lufs;          ///< ITU-R BS.1770-5
    Level max_momentary_lufs;       ///< loudest 400 ms (EBU Tech 3341)
    Level max_short_term_lufs;      ///< loudest 3 s
    Level loudness_range_lu;        ///< EBU Tech 3342
    double dc_offset = 0.0;         ///< mean of the channel whose mean is farthest from 0; 1 is full scale
    int64_t clipped_runs = 0;
    std::vector<ClippedRun> first_clipped_runs;  ///< at most 100 of them
    Level correlation;                           ///< -1 … +1; absent for mono, or when a channel is silent
    std::array<double, 2> channel_mean{};        ///< of each channel: its DC offset
    Level left_dbfs, right_dbfs;                 ///< RMS (AES17) of each side; stereo only
    Level side_dbfs;                             ///< RMS (AES17) of half the difference of the sides; stereo only
    Level vu_max_dbfs;                           ///< highest reading of a VU needle (IEC 60268-17), as a sine's dBFS
    double share_below_40_hz = 0.0;              ///< of the energy without its DC; 0 … 1
    double share_below_200_hz = 0.0;
    std::vector<Spike> spikes;       ///< at most 3; see find_spikes
    Level peak_without_spikes_dbfs;  ///< of the rest; the sample peak when there are none
    int64_t non_finite_samples = 0;  ///< NaN or infinite; measured and played as silence
    std::string content;             ///< a hash of the samples that were heard (XXH3, 64 bits, hexadecimal)
    Kind kind = Kind::sustained;

    double duration_s() const { return sample_rate > 0 ? static_cast<double>(frames) / sample_rate : 0.0; }
};

/// Frames of a block of a level summary.
inline constexpr int64_t level_block = 256;

/// Level over time in blocks of 256 frames: for pictures and for bounds on what a mix can reach.
struct LevelSummary {
    static constexpr int64_t block_frames = level_block;
    int channels = 0;
    int64_t frames = 0;
    MappedList<float> low, high;    ///< smallest and largest sample, [block * channels + channel]
    MappedList<float> mean_square;  ///< mean of x^2, likewise
    MappedList<float>
        mean_square_of_8;  ///< the mean of eight blocks' (of those that are left at the end), for pictures
    /// By how many blocks a delay moves a summary, rounded down, and whether each of its blocks then lies over two.
    struct Shift {
        int64_t blocks;
        bool split;
    };
    static Shift shift_of(int64_t delay_samples) {
        const int64_t whole =
            delay_samples >= 0 ? delay_samples / level_block : -((level_block - 1 - delay_samples) / level_block);
        return {whole, whole * level_block != delay_samples};
    }
    int64_t blocks() const { return channels > 0 ? static_cast<int64_t>(low.size()) / channels : 0; }
};

/// The smallest set of moments (each at most 50 ms, at most 3) without which the peak would be at least 3 dB lower, in
/// order of time; empty when there is no such set.  A moment is whole blocks of the summary.  `rest` gets the peak of
/// what remains, linear.
std::vector<Spike> find_spikes(const LevelSummary& summary, int sample_rate, double* rest);

/// Percussive or sustained, from three figures: the crest factor (peak minus gated average), how much of the sounding
/// time stays within 12 dB of the loudest moment nearby, and attacks a second.  Words in `name` (kick, pad, …) tip the
/// scale when the figures are not clear.  Common practice, no source.
Kind estimate_kind(const LevelSummary& summary, int sample_rate, double crest_to_average_db, std::string_view name);

}  // namespace isotonus
