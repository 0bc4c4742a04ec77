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

namespace isotonus {

Result<PlanReader> PlanReader::open(PlanPtr plan, bool only_heard) {
    PlanReader reader;
    reader.readers_.resize(plan->tracks.size());
    reader.buffers_.resize(plan->tracks.size());
    reader.inputs_.resize(plan->tracks.size());
    reader.only_heard_ = only_heard;
    if (auto followed = reader.follow(std::move(plan)); !followed) return tl::unexpected(followed.error());
    return reader;
}

Result<void> PlanReader::follow(PlanPtr plan) {
    plan_ = std::move(plan);
    for (size_t i = 0; i < readers_.size(); ++i) {
        if (readers_[i] || !wanted(i)) continue;
        auto opened = SourceReader::open(plan_->tracks[i].material->ready);
        if (!opened) return tl::unexpected(opened.error());
        readers_[i] = std::make_unique<SourceReader>(std::move(*opened));
    }
    return {};
}

Result<std::span<const float* const>> PlanReader::read(int64_t first, int64_t frames) {
    for (size_t i = 0; i < readers_.size(); ++i) {
        const PlanTrack& track = plan_->tracks[i];
        const int64_t from = first - track.delay_samples;
        inputs_[i] = nullptr;
        if (!wanted(i) || from >= track.frames || from + frames <= 0) continue;
        buffers_[i].resize(std::max(buffers_[i].size(), static_cast<size_t>(frames * track.channels)));
        if (auto done = readers_[i]->read(from, frames, buffers_[i].data()); !done) return tl::unexpected(done.error());
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
        for (size_t i = 0; i < all->tracks.size(); ++i)
            if (plan->tracks[i].heard()) all->tracks[i].gains = plan->tracks[i].gains;
    return all;
}

void render_chunks(const std::vector<PlanPtr>& plans, Stretch stretch, int block_frames, ChunkQueue& queue) {
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
    for (int i = 0; i < workers; ++i) threads.emplace_back([&] { render_chunks(plans, stretch, block_frames, queue); });
    const auto stop_with = [&](Error error) -> Result<void> {
        {
            std::unique_lock lock(queue.mutex);
            queue.stop = true;
            queue.changed.notify_all();
        }
        return tl::unexpected(std::move(error));
    };
    std::vector<std::vector<float>> samples;
    for (int64_t chunk = 0; chunk < queue.count; ++chunk) {
        if (progress && progress->cancelled()) return stop_with({"", "cancelled"});
        {
            std::unique_lock lock(queue.mutex);
            auto& slot = queue.slots[static_cast<size_t>(chunk) % queue.slots.size()];
            queue.changed.wait(lock, [&] { return queue.error || slot.chunk == chunk; });
            if (queue.error) {
                lock.unlock();
                return stop_with(*queue.error);
            }
            samples.swap(slot.samples);
            queue.handed_out = chunk + 1;
            queue.changed.notify_all();
        }
        if (auto done = sink(samples); !done) return stop_with(done.error());
        if (enough && *enough) {
            stop_with({});
            return {};
        }
        if (progress) progress->report(static_cast<double>(chunk + 1) / static_cast<double>(queue.count));
    }
    return {};
}

namespace {

Stretch clamp_stretch(Stretch stretch, const RenderPlan& plan) {
    stretch.first = std::clamp<int64_t>(stretch.first, 0, plan.frames);
    const int64_t rest = plan.frames - stretch.first;
    stretch.frames = stretch.frames <= 0 ? rest : std::min(stretch.frames, rest);
    return stretch;
}

}  // namespace

Result<ExportReport> export_mix(const PlanPtr& plan, const Export& what, Progress* progress) {
    const auto started = std::chrono::steady_clock::now();
    const Stretch stretch = clamp_stretch(what.stretch, *plan);
    if (stretch.frames == 0) return fail(what.file.string(), "there is nothing to export: the range holds no samples");
    const int rate = what.sample_rate > 0 ? what.sample_rate : plan->sample_rate;
    const int64_t frames = converted_frames(stretch.frames, plan->sample_rate, rate);
    std::vector<Marker> markers;
    for (const Marker& m : what.markers)
        if (m.frame >= stretch.first && m.frame < stretch.first + stretch.frames)
            markers.push_back({m.name, (m.frame - stretch.first) * rate / plan->sample_rate});
    auto writer = SoundWriter::create(what.file, 2, rate, what.format, frames, markers);
    if (!writer) return tl::unexpected(writer.error());
    std::optional<Resampler> resampler;
    if (rate != plan->sample_rate) {
        auto made = Resampler::create(plan->sample_rate, rate, 2);
        if (!made) return fail(what.file.string(), made.error().what);
        resampler = std::move(*made);
    }
    Measurer measurer(2, rate, 1.0f);
    ExportReport report;
    report.file = what.file;
    std::vector<unsigned char> packed;
    int64_t written = 0;
    const auto put = [&](std::span<const float> samples) -> Result<void> {
        samples = samples.first(std::min(samples.size(), static_cast<size_t>(2 * (frames - written))));
        packed.resize(samples.size() * static_cast<size_t>(bytes_of(what.format)));
        report.clamped_samples += pack_samples(samples, what.format, 2 * written, packed.data(), Dither::always);
        written += static_cast<int64_t>(samples.size() / 2);
        measurer.add(samples.data(), static_cast<int64_t>(samples.size() / 2));
        return writer->write(packed);
    };
    auto done = render_stretch(
        plan, stretch, what.block_frames,
        [&](std::span<const float> samples) { return put(resampler ? resampler->convert(samples) : samples); },
        progress);
    if (done && resampler) done = put(resampler->convert({}));
    if (done) done = writer->commit();
    if (!done) return fail(done.error().file.empty() ? what.file.string() : done.error().file, done.error().what);
    report.measured = measurer.finish().measurement;
    report.render_seconds = std::chrono::duration<double>(std::chrono::steady_clock::now() - started).count();
    report.realtime_factor = report.measured.duration_s() / std::max(1e-9, report.render_seconds);
    return report;
}

Result<std::vector<ExportReport>> export_stems(const PlanPtr& plan, const Session& session, const fs::path& folder,
                                               const Export& like, Progress* progress) {
    std::error_code problem;
    fs::create_directories(folder, problem);
    if (problem) return fail(folder.string(), "the folder cannot be made: " + problem.message());
    std::vector<ExportReport> reports;
    int number = 0;
    for (const PlanTrack& t : plan->tracks) {
        if (t.part == Band::low) continue;  // goes with the part before it
        ++number;
        if (!t.heard()) continue;
        const Track* track = session.find(t.id);
        std::string name = track ? track->name : std::string("track");
        std::replace(name.begin(), name.end(), '/', '-');
        Export one = like;
        one.file = folder / fmt::format("{:02} {}.wav", number, name);
        one.stretch = clamp_stretch(like.stretch, *plan);
        auto report = export_mix(plan_of_tracks(*plan, {t.id}), one, progress);
        if (!report) return tl::unexpected(report.error());
        reports.push_back(std::move(*report));
    }
    return reports;
}

Result<Measurer::Outcome> measure_mix(const PlanPtr& plan, Progress* progress) {
    Measurer measurer(2, plan->sample_rate, 1.0f);
    auto done = render_stretch(
        plan, clamp_stretch({}, *plan), 4096,
        [&](std::span<const float> samples) -> Result<void> {
            measurer.add(samples.data(), static_cast<int64_t>(samples.size() / 2));
            return {};
        },
        progress);
    if (!done) return tl::unexpected(done.error());
    return measurer.finish();
}

}  // namespace isotonus
