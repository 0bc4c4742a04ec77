// Passages worth listening to: the one with the widest range of levels, and the loudest.
#pragma once

#include <span>
#include <vector>

#include "core/decibels.h"

namespace isotonus {

struct Passage {
    double from_s = 0.0, to_s = 0.0;
    double figure = 0.0;  ///< widest: LU between its highest and lowest short-term loudness; loudest: its mean LUFS
};

/// The 8 to 30 s with the greatest range of short-term loudness (EBU Tech 3341: windows of 3 s wholly inside the
/// passage; those at or below -70 LUFS do not count), from K-weighted hops of 100 ms.  Of equal ranges the shortest
/// passage, then the earliest.  Starts and lengths go in steps of 1 s.  Absent when the material is shorter than 8 s or
/// silent.
std::optional<Passage> widest_passage(std::span<const double> weighted_hops);

/// The 8 s with the greatest mean power.  Absent when the material is shorter, or silent.
std::optional<Passage> loudest_passage(std::span<const double> weighted_hops);

/// Short-term loudness (EBU Tech 3341: the 3 s before a time) of hops of 100 ms; absent before 3 s, beyond their end,
/// and at or below -70 LUFS.
Level short_term_lufs(std::span<const double> weighted_hops, double time_s);
/// The same at the end of each hop.
std::vector<Level> short_term_series_lufs(std::span<const double> weighted_hops);

/// Integrated loudness (BS.1770-5) of the hops of 100 ms between two times, as far as they reach; absent when nothing
/// sounds there.
Level passage_lufs(std::span<const double> weighted_hops, double from_s, double to_s);

}  // namespace isotonus
