#include "core/mix/mixdown.h"

#include <fmt/format.h>

#include <algorithm>
#include <chrono>
#include <cmath>
#include <condition_variable>
#include <mutex>
#include <numeric>
#include <optional>

#include "core/audio/kernels.h"
#include "core/audio/resample.h"

namespace isotonus {

Result<PlanReader> PlanReader::open(PlanPtr plan, bool only_heard) {
    PlanReader reader;
    for (const PlanTrack& track : plan->tracks) {
        reader.readers_.emplace_back();
        if (only_heard && !track.heard()) continue;
        auto opened = SoundReader::open(track.playable);
        if (!opened) return tl::unexpected(opened.error());
        if (opened->info().channels != track.channels)
            return fail(track.playable.string(), "the file changed while it was in use");
        reader.readers_.back() = std::make_unique<SoundReader>(std::move(*opened));
    }
    reader.buffers_.resize(plan->tracks.size());
    reader.inputs_.resize(plan->tracks.size());
    reader.plan_ = std::move(plan);
    return reader;
}

Result<std::span<const float* const>> PlanReader::read(int64_t first, int64_t frames) {
    for (size_t i = 0; i < readers_.size(); ++i) {
        const PlanTrack& track = plan_->tracks[i];
        const int64_t from = first - track.delay_samples;
        inputs_[i] = nullptr;
        if (!readers_[i] || from >= track.frames || from + frames <= 0) continue;
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
        std::vector<float> samples;
        int64_t chunk = -1;  ///< which one is ready in it
    };
    std::mutex mutex;
    std::condition_variable changed;
    std::vector<Slot> slots;
    int64_t next = 0, handed_out = 0, count = 0;
    std::optional<Error> error;
    bool stop = false;
};

void render_chunks(const PlanPtr& plan, Stretch stretch, int block_frames, ChunkQueue& queue) {
    auto reader = PlanReader::open(plan, true);
    Renderer renderer(plan);
    std::vector<float> samples(static_cast<size_t>(2 * chunk_frames));
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
                renderer.process(first + at, part, *inputs, samples.data() + 2 * at);
        }
        std::unique_lock lock(queue.mutex);
        if (error) {
            queue.error = error;
            queue.stop = true;
        }
        auto& slot = queue.slots[static_cast<size_t>(chunk) % queue.slots.size()];
        slot.samples.assign(samples.begin(), samples.begin() + 2 * frames);
        slot.chunk = chunk;
        queue.changed.notify_all();
    }
}

}  // namespace

Result<void> render_stretch(const PlanPtr& plan, Stretch stretch, int block_frames, const MixSink& sink,
                            Progress* progress, int workers) {
    ChunkQueue queue;
    queue.count = (stretch.frames + chunk_frames - 1) / chunk_frames;
    queue.slots.resize(static_cast<size_t>(2 * workers));
    std::vector<std::jthread> threads;
    for (int i = 0; i < workers; ++i) threads.emplace_back([&] { render_chunks(plan, stretch, block_frames, queue); });
    const auto stop_with = [&](Error error) -> Result<void> {
        {
            std::unique_lock lock(queue.mutex);
            queue.stop = true;
            queue.changed.notify_all();
        }
        return tl::unexpected(std::move(error));
    };
    std::vector<float> samples;
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
    auto writer = SoundWriter::create(what.file, 2, rate, what.format, frames);
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
        report.clamped_samples += pack_samples(samples, what.format, 2 * written, packed.data());
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
    for (size_t i = 0; i < plan->tracks.size(); ++i) {
        if (!plan->tracks[i].heard()) continue;
        const Track* track = session.find(plan->tracks[i].id);
        std::string name = track ? track->name : std::string("track");
        std::replace(name.begin(), name.end(), '/', '-');
        Export one = like;
        one.file = folder / fmt::format("{:02} {}.wav", i + 1, name);
        one.stretch = clamp_stretch(like.stretch, *plan);
        auto report = export_mix(plan_of_one_track(*plan, i), one, progress);
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

namespace {

constexpr int64_t bound_frames = 4096;  ///< what is rendered at once when searching for the peak

/// An upper bound of the mix's magnitude in each stretch of bound_frames frames.
std::vector<double> peak_bounds(const RenderPlan& plan) {
    constexpr int64_t block = LevelSummary::block_frames;
    const int64_t blocks = (plan.frames + block - 1) / block;
    std::vector<double> left(static_cast<size_t>(blocks)), right(static_cast<size_t>(blocks));
    for (const PlanTrack& t : plan.tracks) {
        if (!t.heard()) continue;
        const LevelSummary& s = t.material->summary;
        const auto reach = [&](int64_t b, int c) {
            if (b < 0 || b >= s.blocks()) return 0.0;
            const size_t at = static_cast<size_t>(b * s.channels + c);
            return static_cast<double>(std::max(-s.low[at], s.high[at]));
        };
        // A delay that is no whole number of blocks makes a block of the mix touch two blocks of the file.
        const int64_t whole =
            t.delay_samples >= 0 ? t.delay_samples / block : -((-t.delay_samples + block - 1) / block);
        const bool split = whole * block != t.delay_samples;
        const double ll = std::fabs(t.gains.left_from_left), lr = std::fabs(t.gains.left_from_right);
        const double rl = std::fabs(t.gains.right_from_left), rr = std::fabs(t.gains.right_from_right);
        for (int64_t b = 0; b < blocks; ++b) {
            double l = reach(b - whole, 0), r = s.channels == 2 ? reach(b - whole, 1) : l;
            if (split) {
                l = std::max(l, reach(b - whole - 1, 0));
                r = s.channels == 2 ? std::max(r, reach(b - whole - 1, 1)) : l;
            }
            if (l == 0.0 && r == 0.0) continue;
            const double ride =
                t.level_ride ? level_ride_bound(*t.level_ride, plan.sample_rate, b * block, block + 32) : 1.0;
            left[static_cast<size_t>(b)] += (l * ll + r * lr) * ride;
            right[static_cast<size_t>(b)] += (l * rl + r * rr) * ride;
        }
    }
    constexpr size_t group = bound_frames / block;
    std::vector<double> bounds;
    for (size_t b = 0; b < left.size(); b += group) {
        double most = 0.0;
        for (size_t k = b; k < std::min(b + group, left.size()); ++k) most = std::max({most, left[k], right[k]});
        bounds.push_back(most * std::fabs(plan.main_gain) * 1.00001);  // a little for roundings
    }
    return bounds;
}

}  // namespace

Result<MixPeak> whole_song_peak(const PlanPtr& plan, Progress* progress, int workers) {
    const std::vector<double> bounds = peak_bounds(*plan);
    std::vector<int64_t> order(bounds.size());
    std::iota(order.begin(), order.end(), 0);
    std::stable_sort(order.begin(), order.end(), [&](int64_t a, int64_t b) {
        return bounds[static_cast<size_t>(a)] > bounds[static_cast<size_t>(b)];
    });
    std::mutex mutex;
    MixPeak best;
    std::optional<Error> error;
    std::atomic<int64_t> next{0};
    std::atomic<float> best_so_far{0.0f};
    const auto search = [&](int64_t) {
        auto reader = PlanReader::open(plan, true);
        Renderer renderer(plan);
        std::vector<float> out(static_cast<size_t>(2 * bound_frames));
        for (int64_t n = next.fetch_add(1); n < static_cast<int64_t>(order.size()); n = next.fetch_add(1)) {
            const int64_t stretch = order[static_cast<size_t>(n)];
            // Equal bounds are still looked at: the same peak may come earlier in the song.
            if (bounds[static_cast<size_t>(stretch)] < static_cast<double>(best_so_far.load()) ||
                bounds[static_cast<size_t>(stretch)] == 0.0)
                return;
            if (progress && progress->cancelled()) {
                std::scoped_lock lock(mutex);
                error = Error{"", "cancelled"};
                return;
            }
            const int64_t first = stretch * bound_frames;
            const int64_t frames = std::min(bound_frames, plan->frames - first);
            const auto inputs = reader ? reader->read(first, frames) : tl::unexpected(reader.error());
            if (!inputs) {
                std::scoped_lock lock(mutex);
                error = inputs.error();
                return;
            }
            renderer.process(first, frames, *inputs, out.data());
            const float peak = kernels::peak(out.data(), static_cast<size_t>(2 * frames));
            std::scoped_lock lock(mutex);
            if (peak < best.peak || peak == 0.0f) continue;
            const auto at =
                std::find_if(out.begin(), out.begin() + 2 * frames, [&](float x) { return std::fabs(x) == peak; });
            const int64_t frame = first + (at - out.begin()) / 2;
            if (peak > best.peak || frame < best.frame) best = {peak, frame};
            best_so_far = best.peak;
        }
    };
    parallel_for(workers, workers, search);
    if (error) return tl::unexpected(*error);
    return best;
}

}  // namespace isotonus
