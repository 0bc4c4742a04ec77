// Pictures of how two microphones stand to each other: their waveforms laid over each other at the strongest hit, and
// their correlation against delay.
#pragma once

#include <QWidget>
#include <vector>

#include "app/style/spoken.h"

namespace isotonus {

class HitPicture : public QWidget {
    Q_OBJECT
  public:
    explicit HitPicture(QWidget* parent = nullptr);
    /// Both from the same frame on; each is drawn to its own height.
    void show_waves(std::vector<float> reference, std::vector<float> track, double sample_rate);

  protected:
    void paintEvent(QPaintEvent*) override;

  private:
    std::vector<float> reference_, track_;
    double rate_ = 48000.0;
};

class CorrelationPicture : public QWidget, public SpokenControl {
    Q_OBJECT
  public:
    explicit CorrelationPicture(QWidget* parent = nullptr);
    QString spoken_value() const override;
    /// `curve`: lags of -50 … +50 ms; `delay_ms` where its peak is.
    void show_curve(std::vector<float> curve, double delay_ms);

  protected:
    void paintEvent(QPaintEvent*) override;

  private:
    std::vector<float> curve_;
    double delay_ms_ = 0.0;
};

}  // namespace isotonus
