// The spectrum of a row where the song plays.
#pragma once

#include <QObject>
#include <QTimer>
#include <optional>

#include "app/desk/workspace.h"
#include "core/measure/spectrum.h"

namespace isotonus {

/// What is known of a row is known at every moment: while the song plays, the stretch around the playhead is read from
/// what the row plays and analysed behind the window, twenty times a second.
class LiveSpectrum : public QObject {
    Q_OBJECT
  public:
    LiveSpectrum(Workspace& work, QObject* parent);

    /// Whose it is; null: nobody's.  A material that is not known yet has none.
    void follow(MaterialPtr material, int64_t delay_samples);
    /// Absent while the song stands.
    const std::optional<LongTermSpectrum>& now() const { return now_; }

  signals:
    void changed();

  private:
    void tick();
    struct Source;
    Workspace& work_;
    QTimer timer_;
    std::shared_ptr<Source> source_;
    std::optional<LongTermSpectrum> now_;
    bool busy_ = false;
    Background jobs_;
};

}  // namespace isotonus
