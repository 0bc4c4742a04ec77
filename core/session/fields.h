// Every field of a session with its key and its limits, in one list: what reads a file, what checks an edit and what
// writes all go through it.  docs/session-schema.json says the same; a test compares them.
//
// A visitor V has: number(key, double, low, high), level(key, dB), integer(key, n, low, high), truth(key, bool),
// text(key, string, most bytes), word(key, enumeration, names), optional_number(key, optional<double>, low, high); and
// rare(), itself: the field that follows is written only where it says something.
#pragma once

#include <array>

#include "core/session/session.h"

namespace isotonus {

namespace limits {
inline constexpr uintmax_t max_session_bytes = uintmax_t{128} << 20;
inline constexpr uintmax_t max_sheet_bytes = uintmax_t{1} << 20;
inline constexpr uintmax_t max_ride_bytes = uintmax_t{64} << 20;  ///< of a ride as CSV
inline constexpr uintmax_t max_midi_bytes = uintmax_t{16} << 20;
inline constexpr double latest_s = 1e6;  ///< of points, sections and tempo marks
/// Clips are at most so many frames long, and begin and end within so many of the song's start: a day at 192 kHz.
inline constexpr int64_t max_frames = int64_t{86400} * 192000;
inline constexpr double max_delay_samples = 1e7;
inline constexpr TrackId largest_id = (TrackId{1} << 53) - 1;  ///< what every JSON reader can hold
inline constexpr size_t max_rows = 10000, max_clips = 100000, max_points = 1000000, max_sections = 10000,
                        max_tempo_marks = 100000, max_recordings = 10000, max_rules = 1000, max_processors = 64,
                        max_sends = 64, max_passages = 1000, max_notes = 10000, max_blind_results = 1000,
                        max_blind_versions = 16;
inline constexpr size_t longest_name = 4096, longest_text = size_t{1} << 20;  ///< bytes
}  // namespace limits

inline constexpr std::array segment_names{"line", "step", "bend", "smooth"};
inline constexpr std::array kind_names{"percussive", "sustained"};
inline constexpr std::array channels_names{"as_recorded", "swapped", "mono", "one"};
inline constexpr std::array pan_law_names{"constant_power", "compromise", "linear", "balance"};
inline constexpr std::array main_chain_names{"out", "in", "both"};
inline constexpr std::array profile_names{"mastering", "streaming_demo", "own"};

template <class V, class T>
void clip_fields(V& v, T& clip) {
    v.integer("start", clip.start, 0, limits::max_frames);
    v.integer("offset", clip.offset, -limits::max_frames, limits::max_frames);
    v.integer("frames", clip.frames, 1, limits::max_frames);
    v.number("gain_db", clip.gain_db, -clip_gain_max_db, clip_gain_max_db);
    v.integer("fade_in", clip.fade_in, 0, limits::max_frames);
    v.integer("fade_out", clip.fade_out, 0, limits::max_frames);
}

template <class V, class T>
void point_fields(V& v, T& point, const ParameterInfo& info) {
    v.number("time_s", point.time_s, 0.0, limits::latest_s);
    v.number("value", point.value, info.low, info.high);
    v.word("segment", point.segment, segment_names);
    v.rare().number("bend", point.bend, -1.0, 1.0);
    v.rare().truth("locked", point.locked);
}

template <class V, class T>
void section_fields(V& v, T& section) {
    v.text("name", section.name, limits::longest_name);
    v.number("start_s", section.start_s, 0.0, limits::latest_s);
    v.integer("ink", section.colour_index, 0, 11);
}

template <class V, class T>
void tempo_fields(V& v, T& mark) {
    v.number("time_s", mark.time_s, 0.0, limits::latest_s);
    v.number("quarters_a_minute", mark.quarters_a_minute, 1.0, 2000.0);
    v.integer("beats", mark.beats, 1, 255);
    v.integer("beat_unit", mark.beat_unit, 1, 128);
}

template <class V, class T>
void target_fields(V& v, T& target) {
    v.word("measure", target.measure, measure_names);
    v.number("low_dbfs", target.low_dbfs, -120.0, 0.0);
    v.number("aim_dbfs", target.aim_dbfs, -120.0, 0.0);
    v.number("high_dbfs", target.high_dbfs, -120.0, 0.0);
    if (target.low_dbfs > target.high_dbfs) v.complain("low_dbfs", translated("must not be above high_dbfs"));
}

template <class V, class T>
void rule_fields(V& v, T& rule) {
    v.rare().text("word", rule.word, limits::longest_name);
    v.optional_word("family", rule.family, family_names);
    v.optional_word("kind", rule.kind, kind_names);
}

template <class V, class T>
void sheet_fields(V& v, T& sheet) {
    v.text("name", sheet.name, limits::longest_name);
    v.number("peak_ceiling_dbfs", sheet.peak_ceiling_dbfs, -60.0, 0.0);
    v.truth("count_spikes", sheet.count_spikes);
    v.number("mains_low_dbfs", sheet.mains_low_dbfs, -60.0, 0.0);
    v.number("mains_high_dbfs", sheet.mains_high_dbfs, -60.0, 0.0);
}

/// Of tracks, buses and control groups.
template <class V, class T>
void row_fields(V& v, T& row) {
    v.integer("id", row.id, 1, static_cast<int64_t>(limits::largest_id));
    v.text("name", row.name, limits::longest_name);
    v.optional_word("family", row.family, family_names);
    v.level("fader_db", row.fader_db);
    v.integer("ink", row.colour_index, 0, 11);
    v.truth("mute", row.mute);
    v.truth("solo", row.solo);
}

/// Of tracks and buses.
template <class V, class T>
void mixed_fields(V& v, T& row) {
    row_fields(v, row);
    v.number("trim_db", row.trim_db, -trim_max_db, trim_max_db);
    v.number("pan", row.pan, -1.0, 1.0);
    v.number("width", row.width, 0.0, 2.0);
    v.rare().integer("output", row.output, 0, static_cast<int64_t>(limits::largest_id));
    v.rare().truth("chain_out", row.chain_out);
}

/// Of one in a chain; its values are visited by `value`.
template <class V, class T>
void processor_fields(V& v, T& processor) {
    v.integer("id", processor.id, 1, static_cast<int64_t>(limits::largest_id));
    v.text("type", processor.type, limits::longest_name);
    v.truth("in", processor.in);
    v.truth("match", processor.match);
    v.rare().number("match_db", processor.match_db, -match_max_db, match_max_db);
    v.rare().integer("key", processor.key, 0, static_cast<int64_t>(limits::largest_id));
}

template <class V, class T>
void send_fields(V& v, T& send) {
    v.integer("id", send.id, 1, static_cast<int64_t>(limits::largest_id));
    v.integer("to", send.to, 1, static_cast<int64_t>(limits::largest_id));
    v.level("level_db", send.level_db);
    v.truth("before_fader", send.before_fader);
    v.truth("in", send.in);
    v.rare().truth("own_pan", send.own_pan);
    v.rare().number("pan", send.pan, -1.0, 1.0);
}

template <class V, class T>
void track_fields(V& v, T& track) {
    mixed_fields(v, track);
    v.rare().word("channels", track.source.channels, channels_names);
    v.rare().integer("channel", track.source.channel, 0, max_channels - 1);
    v.rare().truth("offset_removed", track.source.offset_removed);
    v.rare().truth("anchor", track.anchor);
    v.rare().text("note", track.note, limits::longest_text);
    v.rare().truth("passes_ceiling", track.passes_ceiling);
    v.truth("polarity_inverted", track.polarity_inverted);
    v.truth("locked", track.locked);
    v.number("delay_samples", track.delay_samples, -limits::max_delay_samples, limits::max_delay_samples);
    v.rare().truth("sides_apart", track.dual_pan);
    v.number("left_pan", track.left_pan, -1.0, 1.0);
    v.number("right_pan", track.right_pan, -1.0, 1.0);
    v.rare().number("low_centre_hz", track.mono_below_hz, 0.0, mono_below_max_hz);
    if (track.mono_below_hz > 0.0 && track.mono_below_hz < mono_below_min_hz)
        v.complain("low_centre_hz", translated("must be 0, or 40 or more"));
    v.rare().truth("solo_safe", track.solo_safe);
}

/// Of the stretch that staging leaves aside.
template <class V, class T>
void left_out_fields(V& v, T& stretch) {
    v.number("from_s", stretch.from_s, 0.0, limits::latest_s);
    v.number("to_s", stretch.to_s, 0.0, limits::latest_s);
    if (stretch.to_s <= stretch.from_s) v.complain("to_s", translated("must be after from_s"));
}

template <class V, class T>
void limit_fields(V& v, T& own) {
    v.number("most_peak_dbfs", own.max_peak_dbfs, -60.0, 12.0);
    v.number("least_peak_dbfs", own.min_peak_dbfs, -120.0, 12.0);
    v.number("most_true_peak_dbtp", own.max_true_peak_dbtp, -60.0, 12.0);
    v.optional_number("least_lufs", own.min_lufs, -400.0, 400.0);
    v.optional_number("most_lufs", own.max_lufs, -400.0, 400.0);
    v.number("longest_silence_s", own.longest_silence_s, 0.0, 3600.0);
    v.number("most_dc", own.max_dc, 0.0, 1.0);
    v.number("most_mono_loss_db", own.max_mono_loss_db, 0.0, 200.0);
    v.number("tail_dbfs", own.tail_dbfs, -200.0, 0.0);
}

template <class V, class T>
void hand_off_fields(V& v, T& hand_off) {
    v.word("profile", hand_off.profile, profile_names);
    v.rare().word("main_chain", hand_off.main_chain, main_chain_names);
    v.text("notes", hand_off.notes, limits::longest_text);
    v.rare().truth("listening_notes_on_sheet", hand_off.listening_notes_on_sheet);
}

template <class V, class T>
void recording_fields(V& v, T& recording) {
    v.text("name", recording.name, limits::longest_name);
    v.truth("reference", recording.reference);
    v.text("made", recording.made, limits::longest_name);
    v.text("note", recording.note, limits::longest_text);
    v.optional_number("integrated_lufs", recording.integrated_lufs, -400.0, 400.0);
    v.optional_number("sample_peak_dbfs", recording.sample_peak_dbfs, -400.0, 400.0);
    v.optional_number("true_peak_dbtp", recording.true_peak_dbtp, -400.0, 400.0);
    v.rare().number("starts_s", recording.starts_s, -limits::latest_s, limits::latest_s);
}

template <class V, class T>
void recording_passage_fields(V& v, T& passage) {
    v.text("name", passage.name, limits::longest_name);
    v.number("from_s", passage.from_s, 0.0, limits::latest_s);
    v.number("to_s", passage.to_s, 0.0, limits::latest_s);
    v.rare().optional_number("song_from_s", passage.song_from_s, 0.0, limits::latest_s);
    v.rare().optional_number("song_to_s", passage.song_to_s, 0.0, limits::latest_s);
    if (passage.to_s < passage.from_s) v.complain("to_s", translated("is before from_s"));
    if (passage.song_from_s.has_value() != passage.song_to_s.has_value())
        v.complain("song_to_s", translated("must be given together with song_from_s"));
    if (passage.tied() && *passage.song_to_s <= *passage.song_from_s)
        v.complain("song_to_s", translated("must be after song_from_s"));
}

template <class V, class T>
void listening_note_fields(V& v, T& note) {
    v.number("time_s", note.time_s, 0.0, limits::latest_s);
    v.text("text", note.text, limits::longest_text);
    v.text("heard_on", note.heard_on, limits::longest_name);
    v.text("made", note.made, limits::longest_name);
    v.truth("done", note.done);
}

template <class V, class T>
void blind_result_fields(V& v, T& result) {
    v.text("made", result.made, limits::longest_name);
    v.text("question", result.question, limits::longest_name);
}

/// Of one version in a blind comparison.
template <class V, class N, class C>
void blind_version_fields(V& v, N&& name, C&& chosen) {
    v.text("name", name, limits::longest_name);
    v.integer("chosen", chosen, 0, 1000000);
}

template <class V, class T>
void session_fields(V& v, T& session) {
    v.integer("sample_rate", session.sample_rate, 8000, 768000);
    v.word("pan_law", session.pan_law, pan_law_names);
    v.rare().truth("rides_bypassed", session.rides_bypassed);
    v.rare().truth("chains_out", session.chains_out);
    v.integer("next_id", session.next_id, 1, static_cast<int64_t>(limits::largest_id) + 1);
}

/// Of the main output.
template <class V, class T>
void main_fields(V& v, T& session) {
    v.level("fader_db", session.main_fader_db);
    v.rare().truth("chain_out", session.main_chain_out);
}

}  // namespace isotonus
