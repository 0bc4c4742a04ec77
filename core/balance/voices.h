// How each track of a plan excites the ear, hop by hop: what audibility and its proposals are counted from.
#pragma once

#include <algorithm>

#include "core/balance/audibility.h"

namespace isotonus {

/// Thresholds of a listening level, in the unit of excitation (full scale 1).
struct Thresholds {
    Bands quiet, masked;
    explicit Thresholds(double level_db_spl);
};

/// A track of the plan with its excitation in the mix.
struct Voice {
    TrackId id;
    struct Part {
        const PlanPart* part;
        ExcitationPtr excitation;
        float left, right, product;  ///< power gains, both sides together
        int64_t shift;               ///< hops
    };
    std::vector<Part> parts;

    /// Mean power of both sides in each band, at the main output.
    Bands at(int64_t hop, const RenderPlan& plan) const;
};

/// Of every heard track whose excitation is known, in the plan's order.
std::vector<Voice> voices_of(const RenderPlan& plan, const ExcitationOf& excitation);

/// A band of a track stands out of the rest, and of silence.
inline bool is_heard(float own, float rest, const Thresholds& at, size_t band) {
    return own > at.masked[band] * rest + at.quiet[band];
}

inline float top(const Bands& b) { return *std::max_element(b.begin(), b.end()); }

/// A band counts down to 25 dB below a track's strongest band of the hop; a hop down to 30 dB below its loudest.
inline constexpr float band_range = 0.00316f, hop_range = 0.001f;

}  // namespace isotonus
