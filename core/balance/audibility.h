// Who covers whom: how much of a track can be heard in the mix.  docs/audibility.md tells the model and its limits.
#pragma once

#include <array>

#include "core/mix/render_plan.h"

namespace isotonus {

/// Auditory bands one ERB wide (Glasberg and Moore, 1990), from 26 Hz to 15 kHz.
inline constexpr size_t band_count = 38;
using Bands = std::array<float, band_count>;

/// Equivalent rectangular bandwidth at a frequency, Hz: 24.7 (4.37 f / 1000 + 1).
double erb_hz(double hz);
/// Number of ERBs below a frequency: 21.4 log10(4.37 f / 1000 + 1); and back.
double erb_number(double hz);
double hz_of_erb_number(double number);
/// Middle of a band: ERB number band + 1.5.
double band_middle_hz(size_t band);

/// Threshold of hearing at a frequency, dB SPL: ISO 226 (table of 2003, from memory), straight between its points in
/// the logarithm of frequency, held beyond 20 Hz and 12.5 kHz.
double hearing_threshold_db_spl(double hz);

/// What a signal must have against what covers it in its band to be just heard, dB: -3 from 1 kHz on, more below
/// (Moore, Glasberg and Baer, 1997; from memory).
double masked_threshold_db(double hz);

/// A track's excitation over time: power in each band, spread to its neighbours, of both sides and of their product.
/// Mean square, full scale 1; one entry for each hop of the source.
struct Excitation {
    static constexpr int64_t hop_frames = 8192;
    int channels = 1;
    struct Hop {
        Bands left, right, product;  ///< of a mono source all three are `left`; only that is filled
    };
    std::vector<Hop> hops;
};
using ExcitationPtr = std::shared_ptr<const Excitation>;

/// Reads a source and computes its excitation.  Fails as reading does, or with "cancelled".
Result<ExcitationPtr> excitation_of(const Material& material, Progress* progress = nullptr);

/// How wide a track is in frequency: the share of the bands that lie at most 20 dB below its strongest, over the whole
/// song; 0 … 1.
double bandwidth_share(const Excitation& excitation);

/// Null where it is not known (yet): the track is left out, and covers nobody.
using ExcitationOf = std::function<ExcitationPtr(const MaterialPtr&)>;

struct Listening {
    double level_db_spl = 75.0;  ///< at the ear, of a mix of -18 dBFS average: where the monitors stand
    double quiet_db = -30.0;     ///< what the quiet check takes away
};

/// Of a track of which less is heard one says that it is covered; common practice, no source.
inline constexpr double hardly_heard = 0.15;

struct Audibility {
    TrackId id = 0;
    Level share;        ///< 0 … 1 of its bands, over the time it sounds; absent when it never sounds
    Level quiet_share;  ///< the same at the quiet check's level
    std::vector<Level> in_sections;
};

/// Of every heard track of the plan, in the plan's order.  `sections` are frames at which parts of the song begin.
/// A band counts when the track, alone, is heard in it and lies at most 25 dB below its own strongest band of that hop;
/// the track sounds in a hop when it lies at most 30 dB below its loudest.
std::vector<Audibility> audibility(const RenderPlan& plan, const ExcitationOf& excitation, const Listening& listening,
                                   const std::vector<int64_t>& sections = {});

struct Cover {
    TrackId id = 0;
    double share = 0.0;  ///< of the energy that covers the track, 0 … 1
};

/// Who covers a track between two frames: shares of what lies over its covered bands; the greatest first.
std::vector<Cover> covered_by(const RenderPlan& plan, TrackId id, const ExcitationOf& excitation,
                              const Listening& listening, int64_t first_frame, int64_t end_frame);

/// By how much each band of a track lies over what it must have to be heard, hop by hop; bands count as for its
/// audibility.
struct Margins {
    std::vector<std::vector<float>> over_db;

    /// Share of the bands between two frames that are heard, 0 … 1; absent where none counts.
    Level share(int64_t first_frame, int64_t end_frame) const;
    /// dB that the track must gain (or may lose) there for that share to be just heard, while all others stay as they
    /// are.
    Level gain_for(double share, int64_t first_frame, int64_t end_frame) const;

  private:
    std::vector<float> within(int64_t first_frame, int64_t end_frame) const;
};
/// Empty when the track is not heard, or its excitation is not known.
Margins margins_of(const RenderPlan& plan, TrackId id, const ExcitationOf& excitation, const Listening& listening);

}  // namespace isotonus
