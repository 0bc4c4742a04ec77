// Bars and beats: a tempo map as Standard MIDI Files have it.
#pragma once

#include <optional>
#include <string_view>
#include <utility>
#include <vector>

#include "core/result.h"
#include "core/ride/parameter.h"
#include "core/unknown_keys.h"

namespace isotonus {

/// From this time on the song has this tempo and this time signature; a bar starts here.
struct TempoMark {
    double time_s = 0.0;
    double quarters_a_minute = 120.0;
    int beats = 4, beat_unit = 4;  ///< 6/8: 6 and 8
    UnknownKeys unknown = nullptr;
    double beat_s() const { return 60.0 / quarters_a_minute * 4.0 / beat_unit; }
    double bar_s() const { return beat_s() * beats; }
    bool operator==(const TempoMark&) const = default;
};

struct BarPosition {
    int bar = 1, beat = 1;  ///< both from 1
    double share = 0.0;     ///< of the beat, 0 … 1
};

/// As it is typed: "120", "97.5 6/8"; a comma is a point.  What is not said is as in `before`.  Fails with a sentence
/// when it is none, or lies outside 10 to 1000 quarters a minute.
Result<TempoMark> tempo_from_text(std::string_view text, const TempoMark& before);

/// Quarters a minute at which somebody taps, from the times of the taps in seconds: the median of the last eight gaps.
/// A gap of two seconds and longer begins anew.  Nothing from fewer than two taps.
std::optional<double> tempo_of_taps(const std::vector<double>& taps_s);

void sort_tempo(std::vector<TempoMark>& tempo);

/// The mark that holds at a time; before the first one, the first.  The map must not be empty.
const TempoMark& mark_at(const std::vector<TempoMark>& tempo, double time_s);

/// The map with `mark` in place of the one that holds at a time; an empty map gets it as its only one.
std::vector<TempoMark> with_mark_at(std::vector<TempoMark> tempo, double time_s, const TempoMark& mark);
/// A map with one tempo for the whole song.  Fails with a sentence where it would replace several.
Result<std::vector<TempoMark>> one_tempo(const std::vector<TempoMark>& before, const TempoMark& mark);

/// The bar at a time; before the first mark bars count down from it (bar 0, -1 …).  A bar that a mark cuts short counts
/// as one.  The map must not be empty.
BarPosition bar_at(const std::vector<TempoMark>& tempo, double time_s);

/// The nearest beat (`bars`: start of a bar) to a time; the time itself when the map is empty.
double snapped(const std::vector<TempoMark>& tempo, double time_s, bool bars = false);

/// A stretch in whole bars: from the start of the bar that it begins in to the end of the one it ends in; as it is when
/// the map is empty.
std::pair<double, double> in_whole_bars(const std::vector<TempoMark>& tempo, double from_s, double to_s);

/// How long a note value lasts, ms: "1/8", dotted "1/8.", triplet "1/8t".  Nothing when the text is none, or the map is
/// empty.
std::optional<double> note_ms(const std::vector<TempoMark>& tempo, double time_s, std::string_view text);

/// What is in time may be set as a note value: release_ms, hold_ms, left_ms, right_ms, predelay_ms, rate_hz.
bool takes_notes(const ParameterInfo& parameter);
/// Its value at this time of the song, held to its range.
std::optional<double> value_from_note(const ParameterInfo& parameter, const std::vector<TempoMark>& tempo,
                                      double time_s, std::string_view text);

}  // namespace isotonus
