// core/session: everything that the user has set, its limits, its file and its history, and the edits of it that need
// more than setting a field.
//
// The session: everything the user has set, as a plain value.  An edit makes a new value; old ones stay for undo.
#pragma once

#include <array>
#include <cmath>
#include <cstdint>
#include <filesystem>
#include <functional>
#include <memory>
#include <optional>
#include <string>
#include <vector>

#include "core/audio/source.h"
#include "core/measure/family.h"
#include "core/measure/measurement.h"
#include "core/result.h"
#include "core/ride/parameter.h"
#include "core/session/hand_off_settings.h"
#include "core/session/listening.h"
#include "core/session/shared_list.h"
#include "core/session/target_sheet.h"
#include "core/session/tempo.h"
#include "core/shape/processor.h"

namespace isotonus {

/// What a mono track's pan position does to its level in the centre; see mix/pan.h for the formulas.
enum class PanLaw { constant_power, compromise, linear, balance };

using TrackId = uint64_t;

inline constexpr TrackId main_output = 0;  ///< where rows lead that lead to no bus

/// A copy of a row that goes to a bus, besides what the row leads to.
struct Send {
    uint64_t id = 0;            ///< never used twice in its row
    TrackId to = main_output;   ///< a bus
    double level_db = 0.0;      ///< minus infinity … +12
    bool before_fader = false;  ///< taken before fader, control groups and mute; else after them
    bool in = true;
    bool own_pan = false;  ///< placed by `pan`; else as the row is
    double pan = 0.0;      ///< -1 … +1
    UnknownKeys unknown = nullptr;
    bool operator==(const Send&) const = default;
};
using Sends = std::vector<Send>;

/// A part of the song that staging does not listen to.
struct LeftOut {
    double from_s = 0.0, to_s = 0.0;  ///< of the song
    bool operator==(const LeftOut&) const = default;
};

struct Track {
    TrackId id = 0;  ///< never used twice in a session, for tracks, buses and control groups together
    std::string name;
    Source source;                 ///< files, clips, channels
    std::optional<Kind> kind;      ///< absent: as measured
    std::optional<Family> family;  ///< absent: as its name suggests
    std::optional<Target> target;  ///< absent: as the sheet says for its kind
    double trim_db = 0.0;          ///< -24 … +24
    double fader_db = 0.0;         ///< minus infinity … +12
    double pan = 0.0;              ///< -1 left … +1 right
    double width = 1.0;            ///< 0 mono, 1 as recorded, 2 sides doubled; stereo tracks only
    bool dual_pan = false;         ///< stereo tracks: each side has a pan of its own, and `pan` and `width` rest
    double left_pan = -1.0, right_pan = 1.0;
    double mono_below_hz = 0.0;  ///< below it the track is mono and in the centre; 0: off
    bool mute = false, solo = false;
    bool solo_safe = false;        ///< heard even when others are soloed
    TrackId output = main_output;  ///< a bus, or the main output
    bool polarity_inverted = false;
    bool locked = false;         ///< staging leaves the trim alone
    double delay_samples = 0.0;  ///< at the session's rate; negative is earlier
    bool anchor = false;         ///< one of the few tracks the mix stands on
    std::string note;
    std::optional<bool> count_spikes;       ///< absent: as the sheet says
    bool passes_ceiling = false;            ///< staging may lift its peak above the sheet's ceiling
    std::optional<LeftOut> staged_without;  ///< a passage that is meant to be louder, and is ridden
    int colour_index = 0;                   ///< 0 … 11, which of the twelve colours
    Chain chain;
    bool chain_out = false;  ///< all of it, as if there were none
    Sends sends;             ///< before or after the fader, at most one to each bus
    Rides rides;             ///< of the row, of the processors in its chain and of its sends
    UnknownKeys unknown;
};

/// The user's word; else what the name says; else, when it says nothing, what the sound suggests: struck and low is
/// drums, struck otherwise percussion, held and low bass (low: 70 % of the energy below 200 Hz; common practice).
Family family_of(const Track& track, const Measurement* measured = nullptr);
/// Changes what a track is (its name, its kind, its family); a colour that was its family's stays its family's.
void change_what_it_is(Track& track, const Measurement* measured, const std::function<void(Track&)>& change);

/// Its lowest octaves are its point: a bass, or a kick by its name.
bool wants_lows(const Track& track, const Measurement* measured = nullptr);

/// Where a track may be split into a centred low end and the rest, Hz; common practice, no source.
inline constexpr double mono_below_min_hz = 40.0, mono_below_max_hz = 500.0;

/// Sums rows, and has a fader, a pan and a trim of its own.  It may lead to another bus.
struct Bus {
    TrackId id = 0;
    std::string name;
    std::optional<Family> family;  ///< it was made of this family: folding the family shows the bus
    double trim_db = 0.0;          ///< -24 … +24
    double fader_db = 0.0;         ///< minus infinity … +12
    double pan = 0.0;              ///< balance, -1 … +1
    double width = 1.0;            ///< 0 … 2
    bool mute = false, solo = false;
    TrackId output = main_output;
    int colour_index = 0;
    Chain chain;             ///< after the faders of its members and its own trim
    bool chain_out = false;  ///< all of it, as if there were none
    Sends sends;             ///< before or after the fader, at most one to each bus
    Rides rides;             ///< of the row, of the processors in its chain and of its sends
    UnknownKeys unknown;
};

/// Moves the faders of its members, and sums nothing: a member's level is its own fader times those of its groups, and
/// it is muted or soloed when one of them is.
struct ControlGroup {
    TrackId id = 0;
    std::string name;
    std::optional<Family> family;
    double fader_db = 0.0;  ///< minus infinity … +12
    bool mute = false, solo = false;
    std::vector<TrackId> members;  ///< tracks and buses
    int colour_index = 0;
    Rides rides;  ///< level and mute
    UnknownKeys unknown;
};

/// What is played of a track: its source, with the part of its delay that is no whole sample.
Source source_of(const Track& track);
inline int64_t whole_delay(const Track& track) { return static_cast<int64_t>(std::floor(track.delay_samples)); }
/// Where in the song frame 0 of what is played stands.
inline int64_t start_in_song(const Track& track, const ReadySource& played) { return whole_delay(track) - played.lead; }

struct Section {
    std::string name;
    double start_s = 0.0;  ///< it lasts until the next one starts
    int colour_index = 0;  ///< 0 … 11
    UnknownKeys unknown = nullptr;
    bool operator==(const Section&) const = default;
};

struct Session {
    int sample_rate = 48000;  ///< Hz
    PanLaw pan_law = PanLaw::constant_power;
    TargetSheet targets;
    SharedList<std::shared_ptr<const Track>> tracks;
    SharedList<Bus> buses;
    SharedList<ControlGroup> groups;
    std::array<std::vector<TrackId>, 4> selections;  ///< sets of rows to select again
    std::vector<TrackId> anchor_order;               ///< in which a build-up brings them in; others follow by rows
    SharedList<Section> sections;                    ///< in order of time
    SharedList<TempoMark> tempo;                     ///< in order of time; empty: the song has no bars
    double main_fader_db = 0.0;
    Rides main_rides;
    Chain main_chain;                  ///< before the main fader
    bool main_chain_out = false;       ///< all of it
    bool rides_bypassed = false;       ///< all of them, as if there were none
    bool chains_out = false;           ///< likewise
    HandOff hand_off;                  ///< limits, notes
    SharedList<Recording> recordings;  ///< prints and references, to compare with
    SharedList<ListeningNote> notes;   ///< in order of time
    SharedList<BlindResult> blind_results;
    TrackId next_id = 1;
    UnknownKeys unknown, unknown_main;

    const Track* find(TrackId id) const;
    const Track* find(const std::string& name) const;
    const Bus* find_bus(TrackId id) const;
    const ControlGroup* find_group(TrackId id) const;
    bool any_solo() const;
    /// Itself, or by a control group that it is a member of.  Of a track or a bus.
    template <class Row>
    bool is_muted(const Row& row) const {
        return row.mute || any_group_of(row.id, &ControlGroup::mute);
    }
    template <class Row>
    bool is_soloed_itself(const Row& row) const {
        return row.solo || any_group_of(row.id, &ControlGroup::solo);
    }
    /// Heard: neither it nor a bus on its way is muted, and when anything is soloed, it is (or is safe, or a bus on its
    /// way is).
    bool is_heard(const Track& track) const { return is_open(track) && (!any_solo() || is_soloed(track)); }
    /// Not muted, nor is a bus on its way: solo left aside, as an export does.
    bool is_open(const Track& track) const;
    bool is_soloed(const Track& track) const;
    /// What the groups of a track or a bus add to its fader, dB.
    double group_db(TrackId member) const;
    RowKind row_kind(TrackId id) const;
    /// Null for a row that is not there.
    const Rides* rides_of(TrackId id) const;
    /// Null for a row that has none: a control group.
    const Chain* chain_of(TrackId id) const;
    /// Its chain is out as a whole.
    bool is_chain_out(TrackId id) const;
    /// Null for a row that has none: only tracks and buses do.
    const Sends* sends_of(TrackId id) const;
    std::string name_of(TrackId id) const;  ///< of any row; "main" for the main output

  private:
    bool any_group_of(TrackId member, bool ControlGroup::*flag) const;
};

/// A copy in which this ride of a row (a track, a bus, a control group, the main output) is `curve`; none when it has
/// no points.
Session with_ride(const Session& session, TrackId row, Parameter parameter, const Curve& curve);
/// A copy in which the chain of a track, a bus or the main output is changed.  Rides of processors that are gone go
/// with them.
Session with_chain(const Session& session, TrackId row, const std::function<void(Chain&)>& change);
/// What can be ridden of a row: its own parameters, then those of the processors in its chain.
std::vector<Parameter> parameters_of(const Session& session, TrackId row);
/// The row can have it, and it counts as the row is placed: pan and width, or a pan for each side.
bool is_in_use(const Session& session, TrackId row, Parameter parameter);
/// By name: "level"; of a processor "2.threshold_dbfs" by its place from 1, or "compressor.threshold_dbfs" by its type;
/// of a send "send1.level" by its place, or "send.Hall.level" by the name of its bus.
std::optional<Parameter> parameter_called(const Session& session, TrackId row, std::string_view name);
/// That name: "level", "2.threshold_dbfs", "send1.level".
std::string parameter_text(const Session& session, TrackId row, Parameter parameter);
/// Null for 0 and for one that is not there.
const Send* find_send(const Session& session, TrackId row, uint64_t id);
/// A copy in which a row's rides are changed.
Session with_rides(const Session& session, TrackId row, const std::function<void(Rides&)>& change);
/// What a parameter of a row is without a ride: 0 for what is added, else the row's own setting.
double own_value(const Session& session, TrackId row, Parameter parameter);

/// A copy of the session in which `change` was applied to one track.
Session with_track(const Session& session, TrackId id, const std::function<void(Track&)>& change);

/// A copy in which every track was changed.
Session with_each_track(const Session& session, const std::function<void(Track&)>& change);

/// A copy with tracks for these files at the end: named like the file without its ending, in the order given.
Session with_files(const Session& session, const std::vector<fs::path>& files);

/// What the names of both sides of a sound, or of doubles, share: "07 Guitar 2 L" gives "Guitar".
std::string name_without_side(const std::string& name);

/// Two mono files that are the sides of one sound: "x.L" and "x.R", "x L" and "x R", "x_left" and "x_right", also "07 x
/// L" and "08 x R"; "x-1" is none.  The name they share, or nothing.
std::optional<std::string> shared_name_of_pair(const fs::path& left, const fs::path& right);

/// A copy in which the tracks of such pairs (plain, mono by `channels_of`) became one stereo track, where the left was.
Session with_pairs_joined(const Session& session, const std::function<int(const fs::path&)>& channels_of);
/// A copy in which they stay two tracks, fully left and right.
Session with_pairs_panned(const Session& session, const std::function<int(const fs::path&)>& channels_of);

/// A copy in which a track of a file of `channels` channels became one mono track for each: "name 1", "name 2" …
Session with_channels_split(const Session& session, TrackId id, int channels);

bool is_among(const std::vector<TrackId>& ids, TrackId id);

/// A copy in which each of these tracks is followed by its double.
Session with_duplicates(const Session& session, const std::vector<TrackId>& ids);

/// A copy in which these tracks stand together before the track `before` (0: at the end), in their order.
Session with_tracks_before(const Session& session, const std::vector<TrackId>& ids, TrackId before);

/// As it is heard while staging: every fader at 0 dB, every pan in the centre, widths as recorded, no rides, no sends,
/// the main fader at 0 dB and its chain out.  Mutes and solos stay.
Session with_mix_at_rest(const Session& session);

/// One track alone, at 0 dB and in the centre.
Session with_track_alone(const Session& session, TrackId id);

/// A copy without these tracks and what pointed at them; `told` as of forgotten() in routing.h.
Session without_tracks(const Session& session, const std::vector<TrackId>& ids,
                       std::vector<std::string>* told = nullptr);

/// A copy in which these tracks stand `by` rows further down (up when negative), in their order, as far as there is
/// room.
Session with_tracks_moved(const Session& session, const std::vector<TrackId>& ids, int by);

/// A copy with one more section, in its place in time.
Session with_section(const Session& session, Section section);

/// The sections as cue points for an export.
std::vector<Marker> markers_of(const Session& session);

/// The section at a time, which is the last one that has started; -1 before the first.
int section_at(const Session& session, double time_s);

/// Where a section ends: at the next one's start, or at the end of the song.
double section_end_s(const Session& session, int section, double song_s);

/// A session from the audio files directly in a folder, in name order, at the rate most of them have (the higher at a
/// tie). Files that cannot be read are left out and told in `problems`.
Result<Session> session_from_folder(const fs::path& folder, std::vector<Error>* problems);

/// Sets one value by its name and text, as the command line writes it:
/// trim, fader in dB (fader also -inf); pan -1 … 1; width 0 … 2; mono_below off or 40 … 500 Hz; mute, solo, solo_safe
/// on|off; polarity normal|inverted; staged_without off or FROM-TO in seconds of the song;
/// delay in samples; kind percussive|sustained|auto; target auto | MEASURE:LOW:HIGH (peak:-7:-5, average:-20:-16,
/// true_peak, short_term, vu).
/// Fails with a sentence that names the range.
Result<void> set_by_name(Track& track, const std::string& key, const std::string& value);

/// The same for the main output, which has a fader only.
Result<void> set_main_by_name(Session& session, const std::string& key, const std::string& value);

}  // namespace isotonus
