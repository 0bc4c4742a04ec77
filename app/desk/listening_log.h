// For how long the song was listened to in ways that a mix should be listened to.
#pragma once

#include <QElapsedTimer>
#include <QObject>

#include "app/desk/player.h"

namespace isotonus {

/// Counts while the song plays; since the program was started.
class ListeningLog : public QObject {
    Q_OBJECT
  public:
    explicit ListeningLog(Player& player, QObject* parent = nullptr) : QObject(parent), player_(player) {
        connect(&player_, &Player::moved, this, &ListeningLog::count);
    }
    double mono_s() const { return static_cast<double>(mono_ms_) / 1000.0; }
    double quiet_s() const { return static_cast<double>(quiet_ms_) / 1000.0; }
    double small_s() const { return static_cast<double>(small_ms_) / 1000.0; }  ///< through a playback check

  private:
    void count() {
        const qint64 since = clock_.isValid() ? clock_.restart() : (clock_.start(), 0);
        constexpr qint64 longest_gap_ms = 500;  // it stood still in between
        if (!player_.playing() || since > longest_gap_ms) return;
        const MonitorSettings& m = player_.monitor();
        if (m.sides == Sides::mono || playback_is_mono(m.playback)) mono_ms_ += since;
        if (m.quiet) quiet_ms_ += since;
        if (m.playback != Playback::none) small_ms_ += since;
    }
    Player& player_;
    QElapsedTimer clock_;
    qint64 mono_ms_ = 0, quiet_ms_ = 0, small_ms_ = 0;
};

}  // namespace isotonus
