// The engine as the interface sees it: follows the session, tells positions and levels sixty times a second.
#pragma once

#include <QElapsedTimer>
#include <QObject>
#include <QTimer>

#include "app/desk/matched_bypass.h"
#include "app/desk/materials.h"
#include "engine/live_mix.h"
#include "engine/meter_board.h"

namespace isotonus {

class Player : public QObject {
    Q_OBJECT
  public:
    Player(Document& document, Materials& materials, MatchedBypass& bypasses, QObject* parent = nullptr);

    void open_device(const QString& name, int block_frames);
    /// What really sounds, for people; the simulated device by its name.
    QString device_name() const;
    /// The one that was chosen, also while it is not there.
    QString wanted_device() const { return QString::fromStdString(engine_.wanted_device()); }
    int block_frames() const { return block_frames_; }

    /// The mix as it would be exported: solo left aside.
    PlanPtr plan() const { return plan_; }
    /// What an export starts from: without the main output's chain, and with it, which is plan().
    MixPlans mix_plans() const { return {bare_, plan_}; }
    /// All that leads to a bus or to the main output, as the plan has it; null for anything else.  One material as long
    /// as the plan stands.
    MaterialPtr sum_of(TrackId bus) const;
    /// While chains are being worked out: the mix as it will be, with signals that are not known yet; else null.
    PlanPtr coming() const { return coming_; }
    const MeterBoard& meters() const { return meters_; }
    const LiveMix& live() const { return live_; }
    void reset_meters();
    void reset_meter(TrackId id);
    void reset_main_meter();

    bool loading() const { return materials_.waiting() > 0; }  ///< files are still being read
    bool playing() const { return engine_.playing(); }
    double position_s() const;
    void toggle_playing();
    void stop() { engine_.stop(); }
    void locate(double time_s);

    /// What is heard in place of the mix: one track alone until the song stops, or only what of it is kept in the
    /// centre; the rows under a bus or a control group; or the song with all faders and pans at rest.  Nothing of it
    /// reaches the session or an export.
    enum class Hearing { mix, track, low_end, under, at_rest };
    Hearing hearing() const { return hearing_; }
    TrackId heard_id() const { return heard_id_; }
    void hear_at_rest(bool on);
    void hear_track(TrackId id, double from_s);
    void hear_low_end(TrackId id);
    void solo_bus(TrackId bus_or_group);  ///< a second time: the mix again
    /// While a bus or a group is heard the rest is silent, or only steps back as it does for rows that are listened to.
    void set_rest_dimmed(bool on);

    /// Another session in the place of the document's, for the ear alone: rides that are being written.
    void hear_instead(std::shared_ptr<const Session> session);

    /// What is left when a recording is taken away from another session's sum, at its level: `less` plays as it is
    /// there, inverted by its gain.
    struct Compared;
    void hear_difference(std::shared_ptr<const Session> session, const Compared& less);

    /// How it is heard; no export knows of it.
    const MonitorSettings& monitor() const { return engine_.monitor(); }
    void set_monitor(const MonitorSettings& settings);

    /// Rows that are added to what is heard while the rest is dimmed; none: the mix as it is.
    enum class Listen { before_fader, after_fader };
    void listen_to(std::vector<TrackId> ids, Listen where);
    const std::vector<TrackId>& listened() const { return listened_; }
    Listen listened_where() const { return listened_where_; }
    /// Something stands between the mix and the ear.
    bool anything_on() const {
        return monitor().any_on() || !listened_.empty() || hearing_ != Hearing::mix || compared_heard_;
    }

    /// A print or a reference that is compared with the mix, never through the mix's faders.
    struct Compared {
        MaterialPtr material;
        double gain = 1.0;
        double starts_s = 0.0;  ///< where in it the song's start is heard
        bool operator==(const Compared&) const = default;
    };
    /// `matched_db`, 0 or below: lowers them and the mix alike, for the ear alone.
    void set_compared(std::vector<Compared> recordings, double matched_db = 0.0);
    /// Hears one of them in the mix's place, from the same place in the song; none: the mix.
    void hear_compared(std::optional<size_t> which);
    std::optional<size_t> heard_compared() const { return compared_heard_; }
    /// What the device plays: the mix, or what is heard in its place.
    const PlanPtr& heard() const { return heard_; }

    struct Loop {
        bool on = false;
        double from_s = 0.0, to_s = 0.0;
    };
    const Loop& loop() const { return loop_; }
    void set_loop(const Loop& loop);

    Engine& engine() { return engine_; }

  signals:
    void plan_changed();
    void coming_changed();
    void moved();  ///< the position, or whether it plays
    void levels_changed();
    void loop_changed();
    void device_changed();
    void hearing_changed();  ///< also the monitoring
    void message(const QString& text);

  private:
    void follow_session();
    void hear(Hearing what, TrackId track = 0);
    bool one_track() const { return hearing_ == Hearing::track || hearing_ == Hearing::low_end; }
    PlanPtr heard_plan() const;
    void send_plan();
    PlanPtr with_compared(PlanPtr plan) const;
    void tick();
    void forward_loop();

    Document& document_;
    Materials& materials_;
    MatchedBypass& bypasses_;
    Engine engine_;
    PlanPtr plan_, bare_ = plan_, heard_ = plan_, coming_;
    mutable std::map<TrackId, MaterialPtr> sums_;  ///< of `plan_`
    std::vector<Compared> compared_;
    std::optional<size_t> compared_heard_;
    std::shared_ptr<const Session> instead_;
    std::optional<Compared> less_;  ///< beside it
    Hearing hearing_ = Hearing::mix;
    TrackId heard_id_ = 0;
    bool rest_dimmed_ = false;
    std::vector<TrackId> listened_;
    Listen listened_where_ = Listen::before_fader;
    MeterBoard meters_;
    LiveMix live_{48000};
    std::vector<float> played_;
    Loop loop_;
    int block_frames_ = 512;
    QTimer timer_, recompile_;
    QElapsedTimer since_tick_, since_watch_;
    double last_position_s_ = -1.0;
    bool last_playing_ = false;
    QString last_trouble_;
};

}  // namespace isotonus
