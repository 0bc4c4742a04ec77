// Rides written live: which rows write, and what is being written.
#pragma once

#include <QObject>
#include <QTimer>
#include <map>
#include <memory>

#include "app/desk/document.h"
#include "app/desk/player.h"
#include "core/ride/writer.h"

namespace isotonus {

class Writing : public QObject {
    Q_OBJECT
  public:
    Writing(Document& document, Player& player, QObject* parent = nullptr);

    WriteMode mode(TrackId row) const;
    void set_mode(TrackId row, WriteMode mode);
    WriteMode mode_for_all() const { return all_; }
    void set_mode_for_all(WriteMode mode);
    double return_s = 0.3;  ///< how long a touched control takes to come back to its ride

    /// Moves of this row's controls are written now, instead of setting them.
    bool writes(TrackId row) const { return player_.playing() && mode(row) != WriteMode::read; }

    // A hand on a control; values are the ride's.
    void touch(TrackId row, Parameter parameter, double value);
    void move(TrackId row, Parameter parameter, double value);
    void release(TrackId row, Parameter parameter);
    /// From something that does not say when it is let go (a key, the wheel): released when nothing came for a while.
    void tap(TrackId row, Parameter parameter, double value);
    bool held(TrackId row, Parameter parameter) const;

    /// What the ride says at the playhead, with what is being written.
    double value_now(TrackId row, Parameter parameter) const;
    /// A ride sets it, or what is being written does, and not the hand alone.
    bool is_ridden(TrackId row, Parameter parameter) const;
    /// What a level ride adds to the fader at the playhead, dB.
    double added_now(TrackId row) const;
    /// By hand or by its ride.
    bool is_muted_now(TrackId row) const;
    /// A row's chain and a send of it with what their rides say at the playhead.  The chain lives until the next call;
    /// null when the row has none.
    const Chain* chain_now(TrackId row) const;
    Send send_now(TrackId row, const Send& send) const;
    /// Null when nothing of it was written in this pass.
    const RideWriter* writer(TrackId row, Parameter parameter) const;
    bool any() const;

  signals:
    void changed();

  private:
    using Control = std::pair<TrackId, Parameter>;
    struct Pass {
        std::unique_ptr<RideWriter> writer;
        QTimer* let_go = nullptr;
    };
    RideWriter* begin(TrackId row, Parameter parameter);
    void follow();
    void finish(double time_s);
    void hear();

    Document& document_;
    Player& player_;
    std::map<TrackId, WriteMode> modes_;
    WriteMode all_ = WriteMode::read;
    std::map<Control, Pass> passes_;
    mutable Chain chain_now_;
    bool was_playing_ = false;
    double start_s_ = 0.0, last_s_ = 0.0;
};

}  // namespace isotonus
