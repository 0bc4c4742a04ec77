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

/// Of Balance: what stands below its tracks, proposals on its faders, a build-up that is under way.
class BalanceView : public QObject {
    Q_OBJECT
  public:
    enum class Page { none, headroom, build_up, cover, mono, picture, first };
    Page page = Page::none;
    /// The page that is shown already is closed.
    void show_page(Page wanted);
    /// The field instead of lanes.
    bool field_shown = false;
    void show_field(bool on);

    /// Where faders, and pans, would go: drawn as ghosts of their blades.
    struct Ghost {
        double fader_db = 0.0;
        std::optional<double> pan = {};
        bool operator==(const Ghost&) const = default;
    };
    using Ghosts = std::map<TrackId, Ghost>;
    const Ghosts& ghosts() const { return ghosts_; }
    void show_ghosts(Ghosts ghosts);

    /// It goes on whatever station is shown.
    struct BuildUp {
        std::vector<TrackId> tracks;  ///< in order; empty: none is under way
        std::map<TrackId, bool> mutes_before;
        std::map<TrackId, double> faders_before;
        size_t step = 0, begun = 0;  ///< where it is; how many tracks came in so far
        bool from_silence = false;
    } build_up;

  signals:
    void page_changed();
    void field_changed();
    void ghosts_changed();

  private:
    Ghosts ghosts_;
};

/// Of Compare: its page, and the third octave that its tracks are asked about.
class CompareView : public QObject {
    Q_OBJECT
  public:
    enum class Page { frequencies, loudness, width, changes, notes, blind, done };
    Page page = Page::frequencies;
    std::optional<int> band;
    void show_page(Page wanted);
    void choose_band(std::optional<int> wanted);

  signals:
    void changed();
};

/// Of Shape: whose chain its bench shows, and which processor of it.
class ShapeView : public QObject {
    Q_OBJECT
  public:
    explicit ShapeView(Document& document) : document_(document) {}
    size_t position = 0;  ///< of the processor in the chain
    int band = 0;         ///< of its equaliser, whose fields are shown; 0 …
    void touch_band(int n);
    /// A bus when one was chosen, else the focused track.
    TrackId row() const { return bus_.value_or(document_.focused()); }
    void show(std::optional<TrackId> bus);
    /// Chains that were advised and not taken yet, by channel.
    const std::map<TrackId, Chain>& ghosts() const { return ghosts_; }
    void show_ghosts(std::map<TrackId, Chain> ghosts);

  signals:
    void row_changed();
    void band_touched();
    void ghosts_changed();

  private:
    Document& document_;
    std::optional<TrackId> bus_;
    std::map<TrackId, Chain> ghosts_;
};

/// Of Ride: whose rides its bench shows, and which.
class RideView : public QObject {
    Q_OBJECT
  public:
    explicit RideView(Document& document) : document_(document) {}
    struct Shown {
        Parameter parameter = Parameter::level;         ///< what the tools work on
        std::vector<Parameter> open{Parameter::level};  ///< its lanes, one below the other
        bool family = false;                            ///< instead: this parameter of all rows of the row's family
        std::optional<TrackId> row;  ///< a bus, a control group or the main output; else the focused track
    } shown;
    TrackId row() const { return shown.row.value_or(document_.focused()); }
    void show(Shown wanted);
    /// The focused track again.
    void leave_row();
    /// A control was moved: its lane comes up.
    void touch(TrackId row, Parameter parameter);
    /// Points that were copied, to paste elsewhere.
    Curve clip;

  signals:
    void changed();
    void hint(const QString& sentence);

  private:
    Document& document_;
};

class ViewState : public QObject {
    Q_OBJECT
  public:
    explicit ViewState(Document& document);

    TimeView time;
    BalanceView balance;
    CompareView compare;
    ShapeView shape;
    RideView ride;

    /// A time on the grid, when snapping is on and the song has a tempo.
    bool snapping = true;
    double snap(double time_s) const { return snapping ? snapped(document_.session().tempo, time_s) : time_s; }

    /// Rows are being made anew: focus that wanders meanwhile chooses nothing.
    bool rows_changing = false;

    /// Families that show as one row.
    bool folded(Family family) const { return folded_.contains(family); }
    void toggle_fold(Family family);

    /// Kinds of channels that stand below the tracks; each kind can show as one line.
    enum class Pinned { buses, returns, groups, main };
    bool folded(Pinned kind) const { return pinned_folded_.contains(kind); }
    void fold(Pinned kind, bool on);
    /// Exports become prints unless that is unticked.
    bool keeps_prints = true;
    /// How high the panels of stations were made by hand, px, by their object names.
    std::map<QString, int> panel_heights;

    /// The panel of Gather: clips and findings of the focused row.
    bool panel_open = false;
    void show_panel(bool on);

    /// The clip of a track that was chosen by hand, if one was.
    std::optional<size_t> chosen_clip(TrackId id) const;
    void choose_clip(TrackId id, size_t clip);

  signals:
    /// What the pointer is on, or what a gesture did, in a sentence.
    void hint(const QString& sentence);
    /// What was asked for: it stays for some time, wherever the pointer goes.
    void told(const QString& sentence);
    void folds_changed();
    void pinned_changed();
    void panel_sized();
    void prints_kept(bool on);
    void correction_chosen(const QString& file);
    void station_wanted(int station);
    void clip_chosen();
    void panel_shown(bool on);

  private:
    Document& document_;
    std::set<Family> folded_;
    std::set<Pinned> pinned_folded_;
    TrackId clip_track_ = 0;
    size_t clip_ = 0;
};

}  // namespace isotonus
