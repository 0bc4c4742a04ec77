// Samples of tracks for pictures so near that single samples are seen; read in the background.
#pragma once

#include <QObject>
#include <list>

#include "app/desk/background.h"
#include "core/measure/material.h"

namespace isotonus {

class SampleWindows : public QObject {
    Q_OBJECT
  public:
    explicit SampleWindows(QObject* parent = nullptr) : QObject(parent) {}

    /// Samples of what is played, interleaved, from `first` on; null while they are being read (then ready() comes) and
    /// where they cannot be.
    const float* of(const MaterialPtr& material, int64_t first, int64_t frames);

  signals:
    void ready();

  private:
    struct Window {
        MaterialPtr material;
        int64_t first = 0, frames = 0;
        std::vector<float> samples;  ///< empty while it is read
        std::shared_ptr<Progress> reading = std::make_shared<Progress>();
        bool covers(int64_t from, int64_t count) const { return from >= first && from + count <= first + frames; }
    };
    std::list<Window> windows_;  ///< one a material, the latest first
    Background jobs_;
};

}  // namespace isotonus
