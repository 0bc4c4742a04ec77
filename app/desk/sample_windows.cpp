#include "app/desk/sample_windows.h"

#include <algorithm>

#include "core/shape/signal.h"

namespace isotonus {

const float* SampleWindows::of(const MaterialPtr& material, int64_t first, int64_t frames) {
    constexpr size_t max_kept = 64;
    const auto at = std::find_if(windows_.begin(), windows_.end(),
                                 [&](const Window& w) { return w.material == material && w.covers(first, frames); });
    if (at != windows_.end()) {
        if (at->samples.empty()) return nullptr;
        return at->samples.data() + (first - at->first) * material->channels();
    }
    // Half as much again on either side, for the next steps of a scroll.
    // What nobody looks at any more is not read.
    std::erase_if(windows_, [&](const Window& w) { return w.material == material && (w.reading->cancel(), true); });
    windows_.push_front({material, first - frames / 2, 2 * frames, {}});
    if (windows_.size() > max_kept) {
        windows_.back().reading->cancel();
        windows_.pop_back();
    }
    using Samples = std::vector<float>;
    const auto read = [material, from = windows_.front().first,
                       count = windows_.front().frames](Progress&) -> Result<Samples> {
        Samples samples(static_cast<size_t>(count * material->channels()));
        auto reader = material->open();
        if (!reader) return tl::unexpected(reader.error());
        if (auto got = (*reader)->read(from, count, samples.data()); !got) return tl::unexpected(got.error());
        return samples;
    };
    const auto take = [this, material, from = windows_.front().first,
                       count = windows_.front().frames](Result<Samples> samples) {
        if (!samples) return;  // its track says what is wrong with the file
        for (Window& w : windows_)
            if (w.material == material && w.first == from && w.frames == count) w.samples = std::move(*samples);
        emit ready();
    };
    jobs_.start(read, take, windows_.front().reading);
    return nullptr;
}

}  // namespace isotonus
