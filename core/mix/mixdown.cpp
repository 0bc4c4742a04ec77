#include "core/mix/mixdown.h"

#include <fmt/format.h>

#include <algorithm>
#include <chrono>
#include <cmath>
#include <condition_variable>
#include <mutex>
#include <optional>

#include "core/audio/kernels.h"
#include "core/audio/resample.h"
#include "core/shape/signal.h"

namespace isotonus {

Result<PlanReader> PlanReader::open(PlanPtr plan, bool only_heard, bool go_on) {
    PlanReader reader;
    reader.readers_.resize(plan->parts.size());
    reader.buffers_.resize(plan->parts.size());
    reader.inputs_.resize(plan->parts.size());
    reader.only_heard_ = only_heard;
    reader.go_on_ = go_on;
    if (auto followed = reader.follow(std::move(plan)); !followed) return tl::unexpected(followed.error());
    return reader;
}

Result<void> PlanReader::follow(PlanPtr plan) {
    plan_ = std::move(plan);
    wanted_.assign(readers_.size(), 0);
    for (const PlanPart& p : plan_->parts) wanted_[p.input] |= is_mixed(p) || !p.listen.silent();
    for (size_t i = 0; i < readers_.size(); ++i) {
        if (readers_[i] || !reads(i)) continue;
        auto opened = plan_->parts[i].material->open();
        if (!opened && !go_on_) return tl::unexpected(opened.error());
        if (!opened) {
            fault_ = opened.error();
            continue;
        }
        readers_[i] = std::move(*opened);
    }
    return {};
}

Result<std::span<const float* const>> PlanReader::read(int64_t first, int64_t frames, const std::vector<char>* known) {
    for (size_t i = 0; i < readers_.size(); ++i) {
        const PlanPart& track = plan_->parts[i];
        const int64_t from = first - track.delay_samples;
        inputs_[i] = nullptr;
        if (known && (*known)[track.input]) continue;
        if (track.input != i) {
            inputs_[i] = inputs_[track.input];
            continue;
        }
        if (!reads(i) || !readers_[i] || from >= track.frames || from + frames <= 0) continue;
        if (const float* there = readers_[i]->view(from, frames)) {
            inputs_[i] = there;
            continue;
        }
        buffers_[i].resize(std::max(buffers_[i].size(), static_cast<size_t>(frames * track.channels)));
        if (auto done = readers_[i]->read(from, frames, buffers_[i].data()); !done) {
            if (!go_on_) return tl::unexpected(done.error());
            fault_ = done.error();
            continue;
        }
        inputs_[i] = buffers_[i].data();
    }
    return std::span<const float* const>(inputs_);
}

namespace {

constexpr int64_t chunk_frames = 16384;

/// What the threads of one render share: chunks are taken in order, rendered anywhere, and handed out in order.
struct ChunkQueue {
    struct Slot {
        std::vector<std::vector<float>> samples;  ///< of each plan
        int64_t chunk = -1;                       ///< which one is ready in it
    };
    std::mutex mutex;
    std::condition_variable changed;
    std::vector<Slot> slots;
    int64_t next = 0, handed_out = 0, count = 0;
    std::optional<Error> error;
    bool stop = false;
};

/// A plan in which is heard what is heard in any of these.
PlanPtr union_of(const std::vector<PlanPtr>& plans) {
    if (plans.size() == 1) return plans.front();
    auto all = std::make_shared<RenderPlan>(*plans.front());
    for (const PlanPtr& plan : plans)
        for (size_t i = 0; i < all->parts.size(); ++i)
            if (plan->parts[i].heard() && !plan->parts[i].through_chain) all->parts[i] = plan->parts[i];
    return all;
}

void take_and_render(const std::vector<PlanPtr>& plans, Stretch stretch, int block_frames, ChunkQueue& queue) {
    auto reader = PlanReader::open(union_of(plans), true);
    std::vector<Renderer> renderers(plans.begin(), plans.end());
    std::vector<std::vector<float>> samples(plans.size(), std::vector<float>(static_cast<size_t>(2 * chunk_frames)));
    for (;;) {
        int64_t chunk = 0;
        {
            std::unique_lock lock(queue.mutex);
            queue.changed.wait(lock, [&] {
                return queue.stop || queue.next >= queue.count ||
                       queue.next - queue.handed_out < static_cast<int64_t>(queue.slots.size());
            });
            if (queue.stop || queue.next >= queue.count) return;
            chunk = queue.next++;
        }
        const int64_t first = stretch.first + chunk * chunk_frames;
        const int64_t frames = std::min(chunk_frames, stretch.first + stretch.frames - first);
        std::optional<Error> error;
        if (!reader) error = reader.error();
        for (int64_t at = 0; at < frames && !error; at += block_frames) {
            const int64_t part = std::min<int64_t>(block_frames, frames - at);
            const auto inputs = reader->read(first + at, part);
            if (!inputs)
                error = inputs.error();
            else
                for (size_t p = 0; p < renderers.size(); ++p)
                    renderers[p].process(first + at, part, *inputs, samples[p].data() + 2 * at);
        }
        std::unique_lock lock(queue.mutex);
        if (error) {
            queue.error = error;
            queue.stop = true;
        }
        auto& slot = queue.slots[static_cast<size_t>(chunk) % queue.slots.size()];
        slot.samples.resize(plans.size());
        for (size_t p = 0; p < plans.size(); ++p) {
            samples[p].resize(static_cast<size_t>(2 * frames));
            slot.samples[p].swap(samples[p]);
            samples[p].resize(static_cast<size_t>(2 * chunk_frames));
        }
        slot.chunk = chunk;
        queue.changed.notify_all();
    }
}

void render_chunks(const std::vector<PlanPtr>& plans, Stretch stretch, int block_frames, ChunkQueue& queue) {
    const auto done = without_exceptions({}, [&]() -> Result<void> {
        take_and_render(plans, stretch, block_frames, queue);
        return {};
    });
    if (done) return;
    std::unique_lock lock(queue.mutex);
    queue.error = done.error();
    queue.stop = true;
    queue.changed.notify_all();
}

}  // namespace

Result<void> render_stretch(const PlanPtr& plan, Stretch stretch, int block_frames, const MixSink& sink,
                            Progress* progress, int workers) {
    return render_together(
        {plan}, stretch, block_frames, [&](const auto& pieces) { return sink(pieces.front()); }, progress, workers);
}

Result<void> render_together(const std::vector<PlanPtr>& plans, Stretch stretch, int block_frames,
                             const PiecesSink& sink, Progress* progress, int workers, const bool* enough) {
    ChunkQueue queue;
    queue.count = (stretch.frames + chunk_frames - 1) / chunk_frames;
    queue.slots.resize(static_cast<size_t>(2 * workers));
    std::vector<std::jthread> threads;
    // Threads look at this queue: whatever ends this function, also an exception of the sink, stops them first.
    struct Stop {
        ChunkQueue& queue;
        ~Stop() {
            std::unique_lock lock(queue.mutex);
            queue.stop = true;
            queue.changed.notify_all();
        }
    } const stop_at_the_end{queue};
    for (int i = 0; i < workers; ++i) threads.emplace_back([&] { render_chunks(plans, stretch, block_frames, queue); });
    std::vector<std::vector<float>> samples;
    for (int64_t chunk = 0; chunk < queue.count; ++chunk) {
        if (progress && progress->cancelled()) return stopped();
        {
            std::unique_lock lock(queue.mutex);
            auto& slot = queue.slots[static_cast<size_t>(chunk) % queue.slots.size()];
            queue.changed.wait(lock, [&] { return queue.error || slot.chunk == chunk; });
            if (queue.error) return tl::unexpected(*queue.error);
            samples.swap(slot.samples);
            queue.handed_out = chunk + 1;
            queue.changed.notify_all();
        }
        if (auto done = sink(samples); !done) return done;
        if (enough && *enough) return {};
        if (progress) progress->report(static_cast<double>(chunk + 1) / static_cast<double>(queue.count));
    }
    return {};
}

Result<Measurer::Outcome> measure_mix(const PlanPtr& plan, Progress* progress) {
    return without_exceptions({}, [&]() -> Result<Measurer::Outcome> {
        Measurer measurer(2, plan->sample_rate, 1.0f);
        auto done = render_stretch(
            plan, {0, plan->frames}, 4096,
            [&](std::span<const float> samples) -> Result<void> {
                measurer.add(samples.data(), static_cast<int64_t>(samples.size() / 2));
                return {};
            },
            progress);
        if (!done) return tl::unexpected(done.error());
        return measurer.finish();
    });
}

}  // namespace isotonus
