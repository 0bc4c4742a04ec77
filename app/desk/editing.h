// Edits that several views make: each is one undo step of the document.
#pragma once

#include <QObject>
#include <functional>
#include <map>

#include "app/desk/background.h"
#include "core/measure/material.h"
#include "core/ride/parameter.h"
#include "core/session/clips.h"
#include "core/session/presets.h"
#include "core/session/routing.h"
#include "core/stage/findings.h"

namespace isotonus {

class Workspace;

class Editing : public QObject {
    Q_OBJECT
  public:
    explicit Editing(Workspace& work);

    /// Sets trims to their targets.
    void stage(const std::vector<TrackId>& ids, const QString& name);
    void stage_all();
    /// Stages these tracks once what was changed of them is measured, in one undo step with `gesture`.
    void stage_when_measured(const std::vector<TrackId>& ids, const QString& name, uint64_t gesture);
    void put_right(TrackId id, const Finding& finding);

    // Clips of a track, in frames of its file.
    Clips clips(TrackId id) const;
    void set_clips(TrackId id, const QString& name, Clips clips, uint64_t gesture = 0) {
        set_clips({{id, std::move(clips)}}, name, gesture);
    }
    void set_clips(const std::map<TrackId, Clips>& wanted, const QString& name, uint64_t gesture = 0);
    /// Of the current clip of each of these rows.
    void change_clip_gains(const std::vector<TrackId>& ids, const std::function<double(double)>& change,
                           const QString& name, uint64_t gesture = 0);
    /// The clip that gestures on a track's clips mean: the chosen one, else the one at the playhead, else the first.
    size_t current_clip(TrackId id) const;
    void split_clip(TrackId id);
    void cut_out_loop(TrackId id);

    // Any row's own settings, for what moves all kinds of rows.
    double fader_db(TrackId row) const;
    void set_fader(TrackId row, double db, uint64_t gesture);
    void set_own_value(TrackId row, Parameter parameter, double value, uint64_t gesture);
    /// A control of a parameter was moved by hand: its ride is written while the row writes, else the row's own value
    /// is set.  `gesture` 0 is one step.  Says so where a ride overrides what was set.
    void turn(TrackId row, Parameter parameter, double value, uint64_t gesture);
    /// After a setting by hand that a ride overrides.
    void say_if_ridden(TrackId row, Parameter parameter);
    /// Mutes of these tracks, buses or control groups; those that write write it.
    void set_mutes(const std::vector<TrackId>& channels, bool on);

    // Chains.
    /// What the chain of a track or a bus makes of it now; null without a chain, and while it is being made.
    MaterialPtr shaped(TrackId row) const;
    /// Changes the chains of these tracks and buses; one undo step.
    void set_chains(const std::vector<TrackId>& rows, const QString& name, const std::function<void(Chain&)>& change,
                    uint64_t gesture = 0);
    /// A preset behind the chains of these channels or in their place, one undo step; thresholds that it wants found
    /// are found behind the window and belong to that step, unless something else was done meanwhile.
    void use_preset(const std::vector<TrackId>& channels, const Preset& preset, bool append, const QString& name);
    /// Puts a processor of a row to another place in its chain.
    void move_processor(TrackId row, size_t from, size_t to);
    /// Takes a processor of a row out, or in again.  What is out is as loud as what was in, by the whole song's
    /// figures, unless its match is off.
    void take_out_or_in(TrackId row, size_t position);
    /// The chain of a row, or all chains, as if there were none, and back.
    void bypass_chain(TrackId row);
    /// Changes a row's send to a bus, or makes it; says so when it would make a ring.
    void set_send(TrackId row, TrackId bus, const std::function<void(Send&)>& change, uint64_t gesture = 0);
    /// A new bus with this chain that the rows send to, after their faders.
    void make_return(const std::vector<TrackId>& rows, const QString& name, const Chain& chain, double send_db,
                     double fader_db);
    void bypass_all_chains();

    /// All mutes, or all solos, of tracks and buses off; how many there are.
    enum class Flag { mute, solo };
    void all_off(Flag flag);
    /// Of a bus or a control group.
    void toggle(Flag flag, TrackId bus_or_group);
    static int how_many(const Session& session, Flag flag);
    /// These tracks are soloed, all others not.
    void solo_alone(const std::vector<TrackId>& ids);
    void all_trims_to_0();

    // Routing of the selected rows.
    void make_bus();
    void make_group();
    void lead_to(const std::vector<TrackId>& ids, TrackId output);
    /// What pointed at what is removed goes with it, and is told.
    void remove_bus_or_group(TrackId id);
    void remove_tracks(const std::vector<TrackId>& ids);
    /// Selected rows: pans mirrored two by two, or spread evenly between the outermost two.
    void mirror_pans();
    void spread_pans();
    /// Asks by how much, and turns the faders of all other tracks down: what is kept stands out, and headroom grows.
    void ask_others_down(const std::vector<TrackId>& kept);

    /// Staged without a part of the song, or with all of it: set, measured, and staged, in one undo step.
    void stage_without(const std::vector<TrackId>& ids, std::optional<LeftOut> stretch);
    /// Of the anchors in a build-up: one earlier or later.
    void move_anchor(TrackId id, int by);
    /// One ride of a row as if it were not there, or in again.
    void set_ride_out(TrackId row, Parameter parameter, bool out);

    void add_section(double time_s);
    void rename_section(int section);

    // Notes taken while listening.
    /// Asks what was noticed; heard on the playback check that is on, else in the room.
    void add_note(double time_s);
    void change_note(size_t n, const QString& name, const std::function<void(ListeningNote&)>& change);
    void remove_note(size_t n);

  private:
    void tell(const std::vector<std::string>& sentences);
    using Aims = std::map<TrackId, std::map<uint64_t, ReductionAim>>;  ///< by channel and processor
    void solve(const Aims& aims, const QString& name, uint64_t gesture);
    void stage_waiting();
    /// The family that all selected rows share.
    std::optional<Family> family_of_selection() const;
    /// The selected rows; a single one stands for its family.
    std::vector<TrackId> rows_meant() const;

    Workspace& work_;
    struct Waiting {
        std::vector<TrackId> ids;
        QString name;
        uint64_t gesture = 0;
    };
    std::optional<Waiting> waiting_;
    Background jobs_, solving_;
};

}  // namespace isotonus
