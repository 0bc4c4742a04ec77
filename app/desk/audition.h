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
    /// … only what of it is kept in the centre, from where the song is.
    void hear_low_end(TrackId id);
    /// Loops the mix's widest or loudest passage, as soon as the mix is measured.
    enum class Passages { widest, loudest };
    void loop_passage(Passages which);
    /// Loops the section at one time up to the one at another, in whole bars when edges snap.
    void loop_sections(double from_s, double to_s);
    /// The loop takes in the section after it, or the one before.
    void loop_one_more(int side);

  private:
    void take_passage();
    void loop(double from_s, double to_s);

    Workspace& work_;
    std::optional<Passages> passage_wanted_;
};

}  // namespace isotonus
