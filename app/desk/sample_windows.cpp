#include "app/desk/sample_windows.h"

#include <algorithm>

#include "app/desk/background.h"
#include "core/shape/signal.h"

namespace isotonus {

SampleWindows::SampleWindows(QObject* parent) : QObject(parent) { pool_.setMaxThreadCount(1); }

SampleWindows::~SampleWindows() {
    pool_.clear();  // what waits is not wanted any more
    pool_.waitForDone();
}

const float* SampleWindows::of(const MaterialPtr& material, int64_t first, int64_t frames) {
    constexpr size_t most_kept = 64;
    const auto at = std::find_if(windows_.begin(), windows_.end(),
                                 [&](const Window& w) { return w.material == material && w.covers(first, frames); });
    if (at != windows_.end()) {
        if (at->samples.empty()) return nullptr;
        return at->samples.data() + (first - at->first) * material->ready.channels;
    }
    // Half as much again on either side, for the next steps of a scroll.
    std::erase_if(windows_, [&](const Window& w) { return w.material == material; });
    windows_.push_front({material, first - frames / 2, 2 * frames, {}});
    if (windows_.size() > most_kept) windows_.pop_back();
    in_background(pool_, [this, material, from = windows_.front().first, count = windows_.front().frames] {
        std::vector<float> samples(static_cast<size_t>(count * material->ready.channels));
        auto reader = open_material(*material);
        if (!reader || !(*reader)->read(from, count, samples.data()))
            return;  // the row says what is wrong with its file
        QMetaObject::invokeMethod(this, [this, material, from, count, samples = std::move(samples)]() mutable {
            for (Window& w : windows_)
                if (w.material == material && w.first == from && w.frames == count) w.samples = std::move(samples);
            emit ready();
        });
    });
    return nullptr;
}

}  // namespace isotonus
