// Knows the mix as it stands: its whole-song peak after every edit, on request its full figures, the headroom plan and
// how audible each track is; computed in the background.
#pragma once

#include <QObject>
#include <QTimer>

#include "app/desk/background.h"
#include "app/desk/player.h"
#include "core/balance/audibility.h"
#include "core/balance/build_up.h"
#include "core/balance/headroom.h"

namespace isotonus {

class MixWatch : public QObject {
    Q_OBJECT
  public:
    MixWatch(Document& document, Player& player, QObject* parent = nullptr);

    struct Peak {
        Level dbfs;
        double time_s = 0.0;
    };
    /// Of the newest plan that is done; `busy` while a newer one is on its way.
    const std::optional<Peak>& peak() const { return peak_; }
    /// Of a bus that only sums, after its fader; absent while it is not known, and when it is silent.
    Level bus_peak_dbfs(TrackId bus) const {
        const auto at = bus_peaks_.find(bus);
        return at == bus_peaks_.end() ? std::nullopt : at->second;
    }
    /// While chains are being worked out: what the peak will be at most; absent where no such bound is known.
    Level at_most_dbfs() const { return at_most_dbfs_; }
    bool busy() const { return busy_ || !waiting_for_levels_.empty(); }

    /// Full figures of the mix (true peak, loudness) are computed too while somebody wants them.
    void want_figures(bool wanted);
    /// … or once, for what happens next.
    void need_figures();
    /// Measures the whole song as it is heard now: what is soloed, a bus alone.  Told by heard_measured.
    void measure_heard();
    const std::optional<Measurer::Outcome>& figures() const { return figures_; }
    /// The same of the mix that leaves, which may be without the main output's chain.
    const std::optional<Measurer::Outcome>& leaving_figures() const { return leaving_figures_; }

    /// The headroom plan is made after every edit while somebody looks at it.
    void want_plan(bool wanted);
    const std::optional<HeadroomPlan>& headroom() const { return headroom_; }

    /// What suggested levels depend on is asked for here; where the build-up's anchors start is found after every edit
    /// while somebody looks at it.
    /// `incomplete`: something of it is still being looked for, and find_levels_again is called when it is there.
    void set_levels(std::function<StartingLevels()> levels, std::function<bool()> incomplete) {
        levels_asked_ = std::move(levels);
        levels_incomplete_ = std::move(incomplete);
    }
    void find_levels_again();
    void want_levels(bool wanted);
    /// The same without where anchors start, for work behind the window.
    StartingLevels levels_for_jobs() const;
    /// Where anchors start is known at all, if perhaps of the mix before the last edit.
    bool levels_known() const { return anchors_db_.has_value(); }
    StartingLevels starting_levels() const;
    /// Hands over the levels of the mix as it stands: at once, or as soon as they are found.  Dropped when nobody wants
    /// levels any more.
    void when_levels_are_known(std::function<void(const StartingLevels&)> then);

    /// Audibility follows every edit once somebody has asked for it.
    void want_audibility(bool wanted);
    bool audibility_wanted() const { return audibility_wanted_; }
    const Audibility* audibility(TrackId id) const;
    /// What is known of it is of an earlier plan: a newer one is being listened to.
    bool hearing() const { return hearing_; }
    /// How much of the heard tracks is known, 0 … 1.
    double share_listened() const;
    /// How wide a track is in frequency, 0 … 1; absent while it is not known.
    std::optional<double> bandwidth(const Track& track) const;
    /// Who covers a track in each section (or in all of the song, when it has none); on the calling thread.
    std::vector<std::vector<Cover>> covers(TrackId id) const;
    /// How far a track's bands lie over what covers them in a plan of the same sources; absent until all of its heard
    /// tracks are known.
    std::optional<Margins> margins(const RenderPlan& plan, TrackId id) const;
    void set_listening(const Listening& how);
    const Listening& listening() const { return listening_; }
    /// What is known of how tracks excite the ear; null for the others.
    ExcitationOf known_excitations() const;

  signals:
    void changed();
    void levels_changed();
    void headroom_changed();
    void audibility_changed();
    void heard_measured(const isotonus::Measurement& of);

  private:
    void restart();
    void peak_found(const PlanPtr& plan, const PlanPtr& exported, const Result<MixPeak>& found);
    void measure(const PlanPtr& plan, const PlanPtr& exported);
    void find_bus_peaks(const PlanPtr& plan);
    void bound_what_comes();
    void make_plan();
    void find_levels();
    void hear();
    void listen_to(const std::vector<MaterialPtr>& missing);

    Document& document_;
    Player& player_;
    std::shared_ptr<Progress> measuring_heard_ = std::make_shared<Progress>();
    MixPeaks peaks_,
        finished_peaks_;  ///< of the mix, and of what a build-up ends in; the one thread of measuring_ has them
    std::shared_ptr<Progress> running_ = std::make_shared<Progress>();
    std::optional<Peak> peak_;
    std::map<TrackId, Level> bus_peaks_;
    std::optional<Measurer::Outcome> figures_, leaving_figures_;
    Level at_most_dbfs_;
    std::optional<HeadroomPlan> headroom_;
    std::function<StartingLevels()> levels_asked_;
    std::function<bool()> levels_incomplete_;
    int64_t levels_round_ = 0;  ///< only the newest search counts
    std::optional<double> anchors_db_;
    std::vector<std::function<void(const StartingLevels&)>> waiting_for_levels_;
    bool busy_ = false, searching_ = false, again_ = false;
    bool figures_wanted_ = false, figures_needed_ = false, plan_wanted_ = false, levels_wanted_ = false;
    bool levels_are_new_ = false;

    Listening listening_;
    bool audibility_wanted_ = false, hearing_ = false, listen_once_more_ = false;
    std::vector<Audibility> audibility_;
    std::map<MaterialPtr, ExcitationPtr> excitations_;
    std::map<MaterialPtr, double> bandwidths_;
    Background measuring_, hearing_jobs_{worker_count()}, aside_;
};

}  // namespace isotonus
