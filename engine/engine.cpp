#include "engine/engine.h"

#include <algorithm>
#include <chrono>
#include <cmath>
#include <cstring>

#include "core/audio/kernels.h"

namespace isotonus {

/// Levels of blocks on their way from the audio thread (one producer) to the interface (one consumer).
struct Engine::MeterRing {
    static constexpr size_t capacity = 256;
    struct Entry {
        std::vector<TrackLevels> tracks;
        float peak[2], square[2];
    };
    explicit MeterRing(size_t tracks) : entries(capacity) {
        for (Entry& e : entries) e.tracks.resize(tracks);
    }
    Entry* begin_write() {  // null when full: the interface is not looking
        const size_t at = written.load(std::memory_order_relaxed);
        return at - read.load(std::memory_order_acquire) < capacity ? &entries[at % capacity] : nullptr;
    }
    void end_write() { written.fetch_add(1, std::memory_order_release); }
    const Entry* begin_read() const {
        const size_t at = read.load(std::memory_order_relaxed);
        return at != written.load(std::memory_order_acquire) ? &entries[at % capacity] : nullptr;
    }
    void end_read() { read.fetch_add(1, std::memory_order_release); }

    std::vector<Entry> entries;
    std::atomic<size_t> written{0}, read{0};
};

/// A plan in action.
struct Engine::Program {
    Program(PlanPtr plan, std::shared_ptr<Stream> from)
        : renderer(plan), stream(std::move(from)), inputs(plan->tracks.size()), meters(plan->tracks.size()) {}
    Renderer renderer;
    std::shared_ptr<Stream> stream;
    std::vector<const float*> inputs;
    MeterRing meters;
};

Engine::Engine() { set_plan(std::make_shared<RenderPlan>()); }

Engine::~Engine() { device_.reset(); }

Result<void> Engine::open(const std::string& name, int sample_rate, int block_frames) {
    device_.reset();
    sample_rate_ = sample_rate;
    block_frames_ = block_frames;
    auto opened = open_device(name, sample_rate, block_frames, *this);
    last_heartbeat_ = -1;
    quiet_looks_ = 0;
    if (opened) {
        device_ = std::move(*opened);
        return {};
    }
    device_ = std::make_unique<SimulatedDevice>(sample_rate, block_frames, *this);
    return tl::unexpected(opened.error());
}

std::optional<std::string> Engine::watch() {
    free_old_programs();
    if (!device_) return std::nullopt;
    const int64_t beat = heartbeat_.load();
    quiet_looks_ = beat == last_heartbeat_ ? quiet_looks_ + 1 : 0;
    last_heartbeat_ = beat;
    if (device_->alive() && quiet_looks_ < 10) return std::nullopt;
    const std::string lost = device_->name();
    device_.reset();
    device_ = std::make_unique<SimulatedDevice>(sample_rate_, block_frames_, *this);
    quiet_looks_ = 0;
    return "The device '" + lost +
           "' has vanished. The simulated device keeps time; the position and the session are kept.";
}

Engine::Program* Engine::newest() const { return programs_.empty() ? nullptr : programs_.back().get(); }

void Engine::set_plan(PlanPtr plan) {
    Program* before = newest();
    std::shared_ptr<Stream> stream;
    if (before && before->stream->plan().same_sources(*plan)) {
        stream = before->stream;
    } else {
        stream = std::make_shared<Stream>(plan);
        stream->expect(position());
        stream->set_loop(loop_first_, loop_end_);
    }
    programs_.push_back(std::make_unique<Program>(std::move(plan), std::move(stream)));
    pending_.store(newest());
    free_old_programs();
}

void Engine::free_old_programs() {
    const Program* const claimed = claimed_.load();
    const Program* const active = active_.load();
    const Program* const last = newest();
    std::erase_if(programs_, [&](const auto& p) { return p.get() != claimed && p.get() != active && p.get() != last; });
}

void Engine::play() { play_wanted_ = true; }
void Engine::stop() { play_wanted_ = false; }

void Engine::locate(int64_t frame) {
    const int64_t to = std::max<int64_t>(0, frame);
    locate_wanted_ = to;
    if (!playing_) newest()->stream->expect(to);
}

int64_t Engine::position() const {
    const int64_t wanted = locate_wanted_.load();
    return wanted >= 0 ? wanted : position_.load();
}

void Engine::set_loop(int64_t first, int64_t end) {
    loop_first_ = first;
    loop_end_ = end > first ? end : 0;
    newest()->stream->set_loop(first, loop_end_);
}

LiveLevels Engine::levels() {
    LiveLevels out;
    Program* const program = active_.load();
    if (!program) return out;
    out.tracks.resize(program->inputs.size());
    while (const MeterRing::Entry* e = program->meters.begin_read()) {
        out.any = true;
        for (size_t i = 0; i < out.tracks.size(); ++i) {
            out.tracks[i].peak_after_trim = std::max(out.tracks[i].peak_after_trim, e->tracks[i].peak_after_trim);
            out.tracks[i].peak_after_fader = std::max(out.tracks[i].peak_after_fader, e->tracks[i].peak_after_fader);
        }
        for (int c = 0; c < 2; ++c) {
            out.main_peak[c] = std::max(out.main_peak[c], e->peak[c]);
            out.main_square[c] = std::max(out.main_square[c], e->square[c]);
        }
        program->meters.end_read();
    }
    return out;
}

Service Engine::service() const {
    Service s;
    s.blocks = blocks_;
    s.late_blocks = late_;
    s.load_max = static_cast<double>(load_max_.load());
    int64_t total = 0;
    for (const auto& n : load_) total += n;
    int64_t passed = 0;
    for (size_t i = 0; i < load_.size(); ++i) {
        passed += load_[i];
        if (total == 0 || 2 * passed < total) continue;
        s.load_median = (static_cast<double>(i) + 0.5) / 1024.0;
        break;
    }
    return s;
}

std::string Engine::trouble() const { return newest()->stream->trouble(); }

void Engine::vanish_for_test() {
    if (auto* simulated = dynamic_cast<SimulatedDevice*>(device_.get())) simulated->vanish();
}

// --- audio thread ---------------------------------------------------------------------------------------------------

void Engine::take_pending(bool silent_now) {
    Program* next = pending_.load();
    Program* const now = active_.load();
    if (!next || next == now) return;
    const bool same_stream = now && now->stream == next->stream;
    if (!same_stream && !silent_now) return;  // not before the fade-out is over
    claimed_.store(next);
    if (!pending_.compare_exchange_strong(next, nullptr)) return;  // replaced by a newer one just now
    if (!same_stream) waiting_ = true;
    if (same_stream && !silent_now) next->renderer.take_over(now->renderer, position_);
    active_.store(next);
}

int64_t Engine::render(float* out, int frames) {
    Program* const program = active_.load();
    const RenderPlan& plan = program->renderer.plan();
    const int64_t loop_first = loop_first_, loop_end = loop_end_;
    constexpr int64_t seam = 96;  // 2 ms at 48 kHz
    int64_t position = position_;
    int64_t done = 0;
    MeterRing::Entry* const meters = program->meters.begin_write();
    if (meters) std::fill(meters->tracks.begin(), meters->tracks.end(), TrackLevels{});
    while (done < frames) {
        const bool looping = loop_end > 0 && position < loop_end;
        const int64_t end = looping ? loop_end : plan.frames;
        if (position >= end) break;
        if (!program->stream->enter(position, program->inputs)) break;
        const int64_t chunk_end = (position / Stream::chunk_frames + 1) * Stream::chunk_frames;
        const int64_t part = std::min({frames - done, end - position, chunk_end - position});
        float* const to = out + 2 * done;
        program->renderer.process(position, part, program->inputs, to,
                                  meters ? std::span(meters->tracks) : std::span<TrackLevels>());
        if (looping || since_wrap_ < seam) {  // no click where the end of the loop meets its start
            for (int64_t i = 0; i < part; ++i) {
                const int64_t left = looping ? loop_end - (position + i) : seam;
                const int64_t nearest = std::min(left, since_wrap_ + i);
                if (nearest >= seam) continue;
                const float gain = static_cast<float>(nearest) / static_cast<float>(seam);
                to[2 * i] *= gain;
                to[2 * i + 1] *= gain;
            }
        }
        since_wrap_ += part;
        position += part;
        done += part;
        if (looping && position == loop_end) {
            position = loop_first;
            since_wrap_ = 0;
        }
    }
    position_ = position;
    if (done < frames && position < plan.frames) {
        if (!waiting_) late_.fetch_add(1);
    } else {
        waiting_ = false;
    }
    std::fill(out + 2 * done, out + 2 * frames, 0.0f);
    if (meters) {
        kernels::Stretch s;
        kernels::measure_stretch(out, static_cast<size_t>(std::min(frames, 4096)), 2, &s);
        for (int c = 0; c < 2; ++c) {
            meters->peak[c] = std::max(-s.low[c], s.high[c]);
            meters->square[c] = static_cast<float>(s.square[c] / std::min(frames, 4096));
        }
        program->meters.end_write();
    }
    return done;
}

void Engine::fill(float* out, int frames, bool underflow) {
    const auto started = std::chrono::steady_clock::now();
    heartbeat_.fetch_add(1);
    if (underflow && playing_) late_.fetch_add(1);

    const bool silent = gate_ == 0.0f;
    const Program* const next = pending_.load();
    const Program* const now = active_.load();
    const bool other_stream = next && now && next->stream != now->stream;
    if (silent || !other_stream) take_pending(silent);
    if (silent) {
        if (const int64_t to = locate_wanted_.exchange(-1); to >= 0) {
            position_ = to;
            since_wrap_ = 1 << 20;
            waiting_ = true;
        }
        if (playing_ != play_wanted_) {
            playing_ = play_wanted_.load();
            waiting_ = true;
        }
    }
    if (!playing_) {
        std::fill(out, out + 2 * frames, 0.0f);
        return;
    }
    // Before anything that would click, this block fades out; the change comes at the start of the next one.
    const bool close = !play_wanted_ || locate_wanted_ >= 0 || (other_stream && !silent);
    const int64_t rendered = render(out, frames);
    if (rendered > 0) {
        const float target = close ? 0.0f : 1.0f;
        if (gate_ != target || gate_ != 1.0f) {
            const float step = (target - gate_) / static_cast<float>(frames);
            for (int i = 0; i < frames; ++i) {
                const float gain = gate_ + step * static_cast<float>(i + 1);
                out[2 * i] *= gain;
                out[2 * i + 1] *= gain;
            }
            gate_ = target;
        }
    } else if (close) {
        gate_ = 0.0f;
    }
    if (const Program* p = active_.load(); position_ >= p->renderer.plan().frames) {
        playing_ = false;
        play_wanted_ = false;
        gate_ = 0.0f;
    }

    blocks_.fetch_add(1);
    const double taken = std::chrono::duration<double>(std::chrono::steady_clock::now() - started).count();
    const double load = taken * sample_rate_ / frames;
    if (load > 1.0) late_.fetch_add(1);
    load_[std::min(load_steps - 1, static_cast<size_t>(load * 1024.0))].fetch_add(1, std::memory_order_relaxed);
    if (static_cast<float>(load) > load_max_.load()) load_max_ = static_cast<float>(load);
}

}  // namespace isotonus
