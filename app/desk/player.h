// The engine as the interface sees it: follows the session, tells positions and levels sixty times a second.
#pragma once

#include <QElapsedTimer>
#include <QObject>
#include <QTimer>

#include "app/desk/materials.h"
#include "engine/meter_board.h"

namespace isotonus {

class Player : public QObject {
    Q_OBJECT
  public:
    Player(Document& document, Materials& materials, QObject* parent = nullptr);

    void open_device(const QString& name, int block_frames);
    QString device_name() const;
    int block_frames() const { return block_frames_; }

    PlanPtr plan() const { return plan_; }
    const MeterBoard& meters() const { return meters_; }
    void reset_meters();
    void reset_meter(TrackId id);
    void reset_main_meter();

    bool playing() const { return engine_.playing(); }
    double position_s() const;
    void toggle_playing();
    void stop() { engine_.stop(); }
    void locate(double time_s);

    struct Loop {
        bool on = false;
        double from_s = 0.0, to_s = 0.0;
    };
    const Loop& loop() const { return loop_; }
    void set_loop(const Loop& loop);

    Engine& engine() { return engine_; }

  signals:
    void plan_changed();
    void moved();  ///< the position, or whether it plays
    void levels_changed();
    void loop_changed();
    void device_changed();
    void message(const QString& text);

  private:
    void follow_session();
    void tick();
    void forward_loop();

    Document& document_;
    Materials& materials_;
    Engine engine_;
    PlanPtr plan_;
    MeterBoard meters_;
    Loop loop_;
    QString wanted_device_ = simulated_device;
    int block_frames_ = 512;
    QTimer timer_, recompile_;
    QElapsedTimer since_tick_, since_watch_;
    double last_position_s_ = -1.0;
    bool last_playing_ = false;
    QString last_trouble_;
};

}  // namespace isotonus
