// What every view works with.
#pragma once

#include "app/desk/mix_watch.h"
#include "app/desk/prompter.h"

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
    Prompter* prompter = nullptr;  ///< set by the window, or by a test

    /// Sets the focused and all rows' trims to their targets; one undo step.
    void stage(const std::vector<TrackId>& ids, const QString& name);
    void stage_all();

    void add_section(double time_s);
    void rename_section(int section);
    /// Loops the mix's widest or loudest passage, as soon as the mix is measured.
    enum class Passages { widest, loudest };
    void loop_passage(Passages which);

  private:
    /// As far as it is known while files are still being read.
    double song_s() const;
    void take_passage();
    std::optional<Passages> passage_wanted_;

  signals:
    /// What the pointer is on, in a sentence.
    void hint(const QString& sentence);
};

}  // namespace isotonus
