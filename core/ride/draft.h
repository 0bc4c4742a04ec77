// Ride draft: a first level ride for a track whose phrases differ, a voice above all.
#pragma once

#include <optional>
#include <span>
#include <vector>

#include "core/decibels.h"
#include "core/ride/curve.h"

namespace isotonus {

struct DraftWish {
    std::optional<double> target_dbfs;  ///< wanted level of each phrase (AES17, as heard); absent: the phrases' median
    std::optional<double> above_db;     ///< instead: this much above what each phrase is held against
    double range_db = 0.5;              ///< phrases that lie this near are left alone
    double depth = 1.0;                 ///< 0 … 1 of the difference is made good
    double max_up_db = 9.0, max_down_db = 9.0;
    double silence_db = -20.0;  ///< below the loudest phrase level by this much more than 10 dB is silence
    double shortest_s = 0.3;    ///< shorter sounds (breaths) are left alone
    double follow_s = 4.0;      ///< longer phrases are followed in parts of about this length
};

/// A stretch in which the track sounds, and how loud it is there (AES17).
struct Phrase {
    double from_s = 0.0, to_s = 0.0;
    double level_dbfs = 0.0;
    Level against_dbfs;  ///< what it is held against: the mix without it there, or where it would be heard
};

/// Phrases of a track: hops (each hop_s long, mean powers) that lie less than 30 dB below the loudest hop (see
/// silence_db), gaps of up to 0.35 s closed, those shorter than shortest_s left out, long ones cut at their quietest
/// hops.
std::vector<Phrase> phrases_of(std::span<const double> power, double hop_s, const DraftWish& wish,
                               std::span<const double> rest_power = {});

/// The one in the middle, of an even count the upper; absent without any.
Level median_of(std::vector<double> values);

/// A ride that brings every phrase to its target.  Two points a phrase, straight between: gains glide in the gaps and
/// never inside of a phrase; where the track is silent for 2 s and more the ride returns to 0 dB.  `before`: what was
/// drawn; its locked points, and what lies between two of them, stay.
Curve ride_draft(const std::vector<Phrase>& phrases, const DraftWish& wish, const Curve& before = {});
Curve ride_draft(std::span<const double> power, double hop_s, const DraftWish& wish, const Curve& before = {},
                 std::span<const double> rest_power = {});

}  // namespace isotonus
