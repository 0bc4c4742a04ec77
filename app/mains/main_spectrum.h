// The spectrum of the main output, small, beside whatever station is open: live while the song plays, else of the song.
#pragma once

#include <QWidget>

#include "app/shape/frequency.h"
#include "app/shape/live_spectrum.h"
#include "app/style/spoken.h"

namespace isotonus {

class MainSpectrum : public QWidget, public SpokenControl {
    Q_OBJECT
  public:
    MainSpectrum(Workspace& work, QWidget* parent);
    QString spoken_value() const override;

  protected:
    void paintEvent(QPaintEvent*) override;

  private:
    Workspace& work_;
    LiveSpectrum live_;
};

}  // namespace isotonus
