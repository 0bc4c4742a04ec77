// core/mix: from a session to samples: the plan, the one renderer, rendering a stretch on all cores, and what the whole
// song's mix reaches without rendering it.
//
// What the renderer does, compiled from a session: the same plan plays in real time, exports and measures.
#pragma once

#include <memory>
#include <span>
#include <vector>

#include "core/measure/material.h"
#include "core/mix/pan.h"
#include "core/shape/signal.h"

namespace isotonus {

/// What a row does to what passes through it, over the song.
struct RowGains {
    double level = 1.0;                 ///< linear, without rides: trim, polarity, fader, groups, mute, solo
    GainMatrix gains;                   ///< level and place in one, without rides
    std::vector<CurvePtr> level_rides;  ///< dB, added: of level, trim, and of the groups' levels
    std::vector<CurvePtr> gates;        ///< linear 0 … 1, multiplied: of mutes (see gate_of)
    CurvePtr pan_ride, width_ride;      ///< in place of pan and width
    bool apart = false;  ///< each side has a pan of its own: `pan` and its ride are the left one's, `width` the right's
    PanLaw law = PanLaw::constant_power;
    int channels = 2;
    double pan = 0.0, width = 1.0;  ///< what does not ride of the two

    /// Pan or width move: the gains follow their values at every 32nd frame of the song, straight between.
    bool pans_ride() const { return pan_ride || width_ride; }
    bool ridden() const { return !level_rides.empty() || !gates.empty() || pans_ride(); }
    /// What the level rides and gates multiply by, and at most in [first, first + frames].
    double ride_at(double time_s) const;
    double ride_bound(double sample_rate, int64_t first, int64_t frames) const;
    /// Where a row with this pan and width stands, its level left out.
    GainMatrix gains_for(double own_pan, double own_width) const;
    /// Pan and width at a time; the identity where they do not ride.
    GainMatrix pan_gains_at(double time_s) const;
    GainMatrix at(double time_s) const;
    /// Magnitudes that none of the gains exceeds in [first, first + frames].
    GainMatrix bound(double sample_rate, int64_t first, int64_t frames) const;
    bool same_rides(const RowGains& other) const;
};

/// Frames between two values of a ridden pan or width.
inline constexpr int64_t gain_cell = 32;

/// A mute ride as gains: 0 from where its value is 0.5 or more, 1 elsewhere, each way in a line over 5 ms.
Curve gate_of(const Curve& mute);

/// Where rows lead that lead to no bus; and those whose bus has a chain (or sends), or the main output: what they sum
/// up to is in that one's signal, which is a source of the plan in their place.
inline constexpr int to_main_output = -1, no_output = -2;

/// What is read from one source and added into the mix: a track, or one of the two bands of a track whose low end is
/// kept in the centre; or a copy of either that is sent to a bus.
struct PlanPart : RowGains {
    size_t track = 0;  ///< whose it is: place in RenderPlan::tracks
    Band band = Band::all;
    uint64_t send = 0;                ///< which of the row's sends; 0: the row itself
    size_t input = 0;                 ///< the part that reads the samples for it: itself, or of a send the row
    int64_t frames = 0;               ///< of the source
    int64_t delay_samples = 0;        ///< whole ones; the rest is in the source
    int output = to_main_output;      ///< or the place of a bus in RenderPlan::buses, or `no_output`
    GainMatrix listen = silence;      ///< to the listening sum of the monitor path
    bool listen_after_fader = false;  ///< the listening sum follows all rides on the way too
    MaterialPtr material;             ///< the source, and its level over time for bounds

    // The way to the main output as a whole, for bounds and pictures: the renderer itself goes from bus to bus.
    GainMatrix to_main;                 ///< gains, and those of the buses; rides and the main fader left out
    std::vector<RowGains> rows_on_way;  ///< its buses, and the main output's rides
    /// A bus on its way has a chain: it reaches the main output in that bus's signal only, and to_main is silent.
    bool through_chain = false;
    GainMatrix gains_without_chains;  ///< to_main as if no bus had a chain: for estimates of what is heard
    const GainMatrix& way() const { return through_chain ? gains_without_chains : to_main; }

    bool is_send() const { return send != 0; }
    bool heard() const { return !gains.silent(); }
    /// Not heard at all, and not on its way to the main output either.
    void silence_it();
    /// Something rides, pan or width ride, on this row or on one on its way to the main output.
    bool any_ride_to_main() const;
    bool pans_ride_on_the_way() const;
    /// What all level rides and gates on the way multiply by, and at most in [first, first + frames].
    double ride_to_main_at(double time_s) const;
    double ride_to_main_bound(double sample_rate, int64_t first, int64_t frames) const;
    /// way() with the pans and widths of this moment, level rides and gates left out.
    GainMatrix gains_to_main_at(double time_s) const;
    /// to_main with all rides; and magnitudes that it does not exceed.
    GainMatrix to_main_at(double time_s) const;
    GainMatrix to_main_bound(double sample_rate, int64_t first, int64_t frames) const;
    /// How many times its power is at a time what it would be without rides; for a stereo track whose pan or width
    /// rides as if both sides were alike.
    double ride_power_at(double time_s) const;
};

/// A track of the session as the plan plays it.
struct PlanTrack {
    TrackId id = 0;
    size_t first_part = 0, part_count = 1;  ///< in RenderPlan::parts, one after the other, sends last
    size_t band_count = 1;                  ///< of them, what the track itself plays
    MaterialPtr material;                   ///< of the whole track, whatever parts it is played in
    double trim_gain = 1.0;                 ///< linear
    double fader_gain = 1.0;                ///< linear, with its control groups; 0 when the track is not heard
    bool is_bus = false;                    ///< a bus that has a chain or sends, or the main output: its signal
};

/// Sums what leads to it.  A bus stands before the one it leads to.
struct PlanBus : RowGains {
    TrackId id = 0;
    int output = to_main_output;
};

struct RenderPlan {
    int sample_rate = 48000;
    int64_t frames = 0;  ///< from the start to the end of the last track
    std::vector<PlanTrack> tracks;
    std::vector<PlanPart> parts;  ///< of the tracks, in their order
    std::vector<PlanBus> buses;
    double main_gain = 1.0;
    RowGains main;  ///< the main output's rides; the fader is main_gain

    std::span<const PlanPart> parts_of(const PlanTrack& track) const {
        return std::span(parts).subspan(track.first_part, track.part_count);
    }
    bool heard(const PlanTrack& track) const { return parts[track.first_part].heard(); }
    TrackId id_of(const PlanPart& part) const { return tracks[part.track].id; }
    void add(PlanTrack track, PlanPart part);  ///< a track of one part, at the end
    double duration_s() const { return static_cast<double>(frames) / sample_rate; }
    /// Plays the same samples from the same files in the same places, whatever the gains.
    bool same_sources(const RenderPlan& other) const;
    /// Every sample that it makes is the other's, and every figure of its rows.
    bool sounds_like(const RenderPlan& other) const;
    /// Every row leads where it leads in the other.
    bool same_routing(const RenderPlan& other) const;
    bool any_listening() const;
};
using PlanPtr = std::shared_ptr<const RenderPlan>;

/// The same plan with all tracks but these silent.
PlanPtr plan_of_tracks(const RenderPlan& plan, const std::vector<TrackId>& ids);

/// What leaves a bus after its fader, as if it were the mix; null for one that is not among the plan's buses, because
/// it has a chain or sends and is a source itself, or leads nowhere.
PlanPtr plan_of_bus(const RenderPlan& plan, TrackId bus);

/// The same plan with these tracks in the listening sum too: as they are after their trim, in the centre; or after
/// fader, ride, pan and buses.
PlanPtr plan_listening(const RenderPlan& plan, const Session& session, const std::vector<TrackId>& ids,
                       bool after_fader);

/// Sources that a track is played from: one, or two when its low end is kept in the centre.
std::vector<Source> sources_of(const Track& track);

}  // namespace isotonus
