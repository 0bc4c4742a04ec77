// What of the session is shown, and how: the stretch of time, what is folded or open, ghosts, the chosen clip, the ride
// that is edited.  None of it is saved with the session or undone.
#pragma once

#include <map>
#include <set>

#include "app/desk/document.h"

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

class ViewState : public QObject {
    Q_OBJECT
  public:
    explicit ViewState(Document& document);

    TimeView time;

    /// A time on the grid, when snapping is on and the song has a tempo.
    bool snapping = true;
    double snap(double time_s) const { return snapping ? snapped(document_.session().tempo, time_s) : time_s; }

    /// Rows are being made anew: focus that wanders meanwhile chooses nothing.
    bool rows_changing = false;

    /// Families that show as one row.
    bool folded(Family family) const { return folded_.contains(family); }
    void toggle_fold(Family family);

    /// The panel of Gather: clips and findings of the focused row.
    bool panel_open = false;
    void show_panel(bool on);

    /// The clip of a track that was chosen by hand, if one was.
    std::optional<size_t> chosen_clip(TrackId id) const;
    void choose_clip(TrackId id, size_t clip);

    /// Where faders would go: drawn as ghosts of their blades.
    using Ghosts = std::map<TrackId, double>;
    const Ghosts& ghosts() const { return ghosts_; }
    void show_ghosts(Ghosts ghosts);

    /// What stands below the rows of Balance.
    enum class BalancePage { none, headroom, build_up, cover, mono, picture };
    BalancePage balance_page = BalancePage::none;
    /// The page that is shown already is closed.
    void show_balance_page(BalancePage page);
    /// Balance shows the field instead of lanes.
    bool field_shown = false;
    void show_field(bool on);

    /// What the panel of Compare shows, and the third octave that its rows are asked about.
    enum class ComparePage { frequencies, loudness, width, changes, notes, blind, done };
    ComparePage compare_page = ComparePage::frequencies;
    std::optional<int> compare_band;
    void show_compare_page(ComparePage page);
    void choose_compare_band(std::optional<int> band);

    /// The processor of the chosen row that the bench of Shape shows, by place.
    size_t shape_place = 0;
    /// The row that the bench shows: a bus when one was chosen, else the focused track.
    TrackId shape_row() const { return shape_bus_.value_or(document_.focused()); }
    void show_shape_of(std::optional<TrackId> bus);
    /// Chains that were advised and not taken yet, by row.
    const std::map<TrackId, Chain>& chain_ghosts() const { return chain_ghosts_; }
    void show_chain_ghosts(std::map<TrackId, Chain> ghosts);

    /// A build-up that is under way, whatever station is shown.
    struct BuildUp {
        std::vector<TrackId> tracks;  ///< in order; empty: none is under way
        std::map<TrackId, bool> mutes_before;
        std::map<TrackId, double> faders_before;
        size_t step = 0, begun = 0;  ///< where it is; how many tracks came in so far
        bool from_silence = false;
    } build_up;

    /// What the panel of Ride shows.
    struct RideView {
        Parameter parameter = Parameter::level;         ///< what the tools work on
        std::vector<Parameter> open{Parameter::level};  ///< its lanes, one below the other
        bool family = false;                            ///< instead: this parameter of all rows of the row's family
        std::optional<TrackId> row;  ///< a bus, a control group or the main output; else the focused track
    } ride;
    TrackId ride_row() const { return ride.row.value_or(document_.focused()); }
    void show_ride(RideView view);
    /// A control was moved: its lane comes up.
    void touched(TrackId row, Parameter parameter);
    /// Points that were copied, to paste elsewhere.
    Curve ride_clip;

  signals:
    /// What the pointer is on, or what a gesture did, in a sentence.
    void hint(const QString& sentence);
    void folds_changed();
    void ghosts_changed();
    void shape_row_changed();
    void chain_ghosts_changed();
    void ride_view_changed();
    void balance_page_changed();
    void compare_view_changed();
    void station_wanted(int station);
    void field_changed();
    void clip_chosen();
    void panel_shown(bool on);

  private:
    Document& document_;
    std::set<Family> folded_;
    Ghosts ghosts_;
    std::optional<TrackId> shape_bus_;
    std::map<TrackId, Chain> chain_ghosts_;
    TrackId clip_track_ = 0;
    size_t clip_ = 0;
};

}  // namespace isotonus
