// What is played on request: one track from just before a place, or the passage of the mix that says most about its
// level.
#pragma once

#include <QObject>

#include "core/session/session.h"

namespace isotonus {

class Workspace;

class Audition : public QObject {
    Q_OBJECT
  public:
    explicit Audition(Workspace& work);

    /// Plays one track alone from just before a place in the song.
    void hear(TrackId id, double time_s);
    /// Loops the mix's widest or loudest passage, as soon as the mix is measured.
    enum class Passages { widest, loudest };
    void loop_passage(Passages which);

  private:
    void take_passage();

    Workspace& work_;
    std::optional<Passages> passage_wanted_;
};

}  // namespace isotonus
