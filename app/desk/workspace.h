// What every view works with.
#pragma once

#include <cmath>
#include <map>
#include <set>

#include "app/desk/comparison.h"
#include "app/desk/export_queue.h"
#include "app/desk/fader_link.h"
#include "app/desk/mix_watch.h"
#include "app/desk/prompter.h"
#include "app/desk/sample_windows.h"
#include "core/session/clips.h"
#include "core/session/routing.h"

namespace isotonus {

/// The stretch of the song that the song map and the lanes show.
class TimeView : public QObject {
    Q_OBJECT
  public:
    double from_s() const { return from_s_; }
    double to_s() const { return to_s_; }
    double song_s() const { return song_s_; }
    void set_song(double song_s);
    void show(double from_s, double to_s);
    /// Keeps the time under the pointer where it is.
    void zoom(double factor, double around_s);

  signals:
    void changed();

  private:
    double from_s_ = 0.0, to_s_ = 1.0, song_s_ = 1.0;
};

class Workspace : public QObject {
    Q_OBJECT
  public:
    Workspace();

    Document document;
    Materials materials;
    Player player;
    MixWatch mix;
    TimeView time;
    SampleWindows samples;
    Writing writing;
    FaderLink faders;
    Comparison comparison;
    ExportQueue exports;
    Prompter* prompter = nullptr;  ///< set by the window, or by a test

    /// Sets the focused and all rows' trims to their targets; one undo step.
    void stage(const std::vector<TrackId>& ids, const QString& name);
    void stage_all();

    /// Stages these tracks once what was changed of them is measured, in one undo step with `gesture`.
    void stage_when_measured(const std::vector<TrackId>& ids, const QString& name, uint64_t gesture);

    /// Plays one track alone from just before a place in the song.
    void hear(TrackId id, double time_s);
    void put_right(TrackId id, const Finding& finding);

    // Clips of the focused row.
    Clips clips(TrackId id) const;
    void set_clips(TrackId id, const QString& name, Clips clips, uint64_t gesture = 0);
    /// The clip that gestures on a track's clips mean: the chosen one, else the one at the playhead, else the first.
    size_t current_clip(TrackId id) const;
    void choose_clip(TrackId id, size_t clip);
    void split_clip(TrackId id);
    void cut_out_loop(TrackId id);
    int64_t frame_at(double time_s) const { return std::llround(time_s * document.session().sample_rate); }
    /// Frames of the file in the song's time: where a track starts after its delay.
    double shift_s(const Track& track) const { return track.delay_samples / document.session().sample_rate; }

    /// The panel of Gather: clips and findings of the focused row.
    bool panel_open = false;
    void show_panel(bool on) {
        panel_open = on;
        emit panel_shown(on);
    }

    /// Rows are being made anew: focus that wanders meanwhile chooses nothing.
    bool rows_changing = false;

    /// Families that show as one row.
    bool folded(Family family) const { return folded_.contains(family); }
    void toggle_fold(Family family);
    Family family(const Track& track) const { return family_of(track, materials.measured(track)); }

    /// A time on the grid, when snapping is on and the song has a tempo.
    bool snapping = true;
    double snap(double time_s) const { return snapping ? snapped(document.session().tempo, time_s) : time_s; }

    /// Where faders would go: drawn as ghosts of their blades.
    using Ghosts = std::map<TrackId, double>;
    const Ghosts& ghosts() const { return ghosts_; }
    void show_ghosts(Ghosts ghosts) {
        if (ghosts == ghosts_) return;
        ghosts_ = std::move(ghosts);
        emit ghosts_changed();
    }

    /// What stands below the rows of Balance.
    enum class BalancePage { none, headroom, build_up, cover, mono, picture };
    BalancePage balance_page = BalancePage::none;
    void show_balance_page(BalancePage page);
    /// Balance shows the field instead of lanes.
    bool field_shown = false;
    void show_field(bool on) {
        field_shown = on;
        emit field_changed();
    }

    /// A build-up that is under way, whatever station is shown.
    struct BuildUp {
        std::vector<TrackId> tracks;  ///< in order; empty: none is under way
        std::map<TrackId, bool> mutes_before;
        size_t step = 0;
        bool from_silence = false;
    } build_up;

    /// What the panel of Ride shows.
    struct RideView {
        Parameter parameter = Parameter::level;         ///< what the tools work on
        std::vector<Parameter> open{Parameter::level};  ///< its lanes, one below the other
        bool family = false;                            ///< instead: this parameter of all rows of the row's family
        std::optional<TrackId> row;  ///< a bus, a control group or the main output; else the focused track
    } ride_view;
    TrackId ride_row() const { return ride_view.row.value_or(document.focused()); }
    void show_ride(RideView view);
    /// A control was moved: its lane comes up.
    void touched(TrackId row, Parameter parameter);
    /// Points that were copied, to paste elsewhere.
    Curve ride_clip;

    // Any row's own settings, for what moves all kinds of rows.
    double fader_db(TrackId row) const;
    void set_fader(TrackId row, double db, uint64_t gesture);
    void set_own_value(TrackId row, Parameter parameter, double value, uint64_t gesture);

    // Routing of the selected rows.
    void make_bus();
    void make_group();
    void lead_to(const std::vector<TrackId>& ids, TrackId output);
    void remove_bus_or_group(TrackId id);
    /// Selected rows: pans mirrored two by two, or spread evenly between the outermost two.
    void mirror_pans();
    void spread_pans();

    void add_section(double time_s);
    void rename_section(int section);
    /// Loops the mix's widest or loudest passage, as soon as the mix is measured.
    enum class Passages { widest, loudest };
    void loop_passage(Passages which);

  private:
    /// As far as it is known while files are still being read.
    double song_s() const;
    void take_passage();
    void stage_waiting();
    std::optional<Passages> passage_wanted_;
    std::set<Family> folded_;
    Ghosts ghosts_;
    /// The family that all selected rows share.
    std::optional<Family> family_of_selection() const;
    /// The selected rows; a single one stands for its family.
    std::vector<TrackId> rows_meant() const;
    TrackId clip_track_ = 0;
    size_t clip_ = 0;
    struct Waiting {
        std::vector<TrackId> ids;
        QString name;
        uint64_t gesture = 0;
    };
    std::optional<Waiting> waiting_;

  signals:
    /// What the pointer is on, in a sentence.
    void hint(const QString& sentence);
    void folds_changed();
    void ghosts_changed();
    void ride_view_changed();
    void balance_page_changed();
    void field_changed();
    void clip_chosen();
    void panel_shown(bool on);
};

}  // namespace isotonus
