#include "engine/engine.h"

#include <algorithm>
#include <chrono>
#include <cmath>
#include <cstring>
#include <mutex>
#include <thread>

#include "core/audio/kernels.h"
#include "core/words.h"

namespace isotonus {

/// Levels of blocks on their way from the audio thread (one producer) to the interface (one consumer).
struct Engine::MeterRing {
    static constexpr size_t capacity = 256;
    struct Entry {
        std::vector<TrackLevels> tracks;
        float peak[2], square[2], programme[2];
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
        : renderer(plan),
          stream(std::move(from)),
          inputs(plan->parts.size()),
          meters(plan->tracks.size() + plan->buses.size()) {}
    Renderer renderer;
    std::shared_ptr<Stream> stream;
    std::vector<const float*> inputs;
    MeterRing meters;
    bool listening = renderer.plan().any_listening();
};

/// Gains may glide from one to the other: the same samples lead the same ways.
bool Engine::glides(const Program& from, const Program& to) {
    return from.stream == to.stream && from.renderer.plan().same_routing(to.renderer.plan());
}

Engine::Engine()
    : listen_(2 * max_frames),
      before_(2 * max_frames),
      next_(2 * max_frames),
      next_listen_(2 * max_frames),
      mix_(mix_ring) {
    set_plan(std::make_shared<RenderPlan>());
    set_monitor({});
}

Engine::~Engine() { device_.reset(); }

/// What a search found; whoever gave it up has no use for that any more.
struct Engine::Return {
    std::mutex guard;
    bool over = false;
    std::unique_ptr<Device> device;
};

void Engine::take(std::unique_ptr<Device> device) {
    device_ = std::move(device);
    last_heartbeat_ = -1;
    beat_at_ = searched_at_ = Clock::now();
    runaway_ = false;
    pace_anew_ = true;
    paced_ = true;
    device_->serve(this);
}

Result<void> Engine::open(const std::string& name, int sample_rate, int block_frames) {
    device_.reset();
    return_.reset();
    wanted_ = name;
    sample_rate_ = sample_rate;
    block_frames_ = block_frames;
    programme_[0] = programme_[1] = ProgrammeNeedle(sample_rate);
    set_monitor(monitor());  // its filters are made for a rate
    auto opened = open_device(name, sample_rate, block_frames);
    if (opened) {
        take(std::move(*opened));
        return {};
    }
    take(std::make_unique<SimulatedDevice>(sample_rate, block_frames));
    return tl::unexpected(opened.error());
}

std::optional<std::string> Engine::lose_device(const char* sentence) {
    const std::string lost = device_->sounding();
    device_.reset();
    take(std::make_unique<SimulatedDevice>(sample_rate_, block_frames_));
    return translate(sentence, lost);
}

/// The search is on a thread of its own: a server may take seconds to say that it has nothing.
std::optional<std::string> Engine::take_returned_device() {
    if (device_->name() == wanted_) return std::nullopt;
    constexpr auto pause = std::chrono::seconds(1);
    if (!return_) {
        if (Clock::now() - searched_at_ < pause) return std::nullopt;
        return_ = std::make_shared<Return>();
        std::thread([found = return_, name = wanted_, rate = sample_rate_, frames = block_frames_] {
            auto opened = open_device(name, rate, frames);
            const std::scoped_lock lock(found->guard);
            if (opened) found->device = std::move(*opened);
            found->over = true;
        }).detach();
        return std::nullopt;
    }
    std::unique_ptr<Device> device;
    {
        const std::scoped_lock lock(return_->guard);
        if (!return_->over) return std::nullopt;
        device = std::move(return_->device);
    }
    return_.reset();
    searched_at_ = Clock::now();
    if (!device) return std::nullopt;
    device_.reset();
    take(std::move(device));
    return translate("The device '{}' is back and plays.", device_->sounding());
}

std::optional<std::string> Engine::watch() {
    free_old_programs();
    if (!device_) return std::nullopt;
    if (auto returned = take_returned_device()) return returned;
    constexpr auto silence = std::chrono::seconds(2);
    if (const int64_t beat = heartbeat_.load(); beat != last_heartbeat_) {
        last_heartbeat_ = beat;
        beat_at_ = Clock::now();
    }
    if (runaway_)
        return lose_device(
            translatable("The device '{}' asks for sound faster than time passes, as one does that is gone. The "
                         "simulated device keeps time until it is back; position and session are unchanged."));
    if (!device_->alive() || Clock::now() - beat_at_ > silence)
        return lose_device(
            translatable("The device '{}' is gone. The simulated device keeps time until it is back; position and "
                         "session are unchanged. You can choose another device in the text at the lower right."));
    return std::nullopt;
}

Engine::Program* Engine::newest() const { return programs_.empty() ? nullptr : programs_.back().get(); }

void Engine::set_plan(PlanPtr plan) {
    Program* before = newest();
    std::shared_ptr<Stream> stream;
    if (before && before->stream->plan().same_sources(*plan)) {
        stream = before->stream;
    } else {
        stream = std::make_shared<Stream>(plan, before ? before->stream : nullptr, position());
        stream->set_loop(loop_first_, loop_end_);
    }
    programs_.push_back(std::make_unique<Program>(std::move(plan), std::move(stream)));
    pending_.store(newest());
    if (!monitors_.empty()) free_old_programs();
}

void Engine::free_old_programs() {
    const Program* const claimed = claimed_.load();
    const Program* const active = active_.load();
    const Program* const last = newest();
    std::erase_if(programs_, [&](auto& p) {
        if (p.get() == claimed || p.get() == active || p.get() == last) return false;
        let_go_(std::shared_ptr<Program>(std::move(p)));  // its stream's reader may be in the middle of a chunk
        return true;
    });
    const MonitorPath* const taken = claimed_monitor_.load();
    const MonitorPath* const heard = active_monitor_.load();
    const MonitorPath* const newest_path = monitors_.back().get();
    std::erase_if(monitors_,
                  [&](const auto& m) { return m.get() != taken && m.get() != heard && m.get() != newest_path; });
}

void Engine::set_monitor(const MonitorSettings& settings) {
    monitors_.push_back(std::make_unique<MonitorPath>(settings, sample_rate_));
    next_monitor_.store(monitors_.back().get());
    free_old_programs();
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

bool Engine::ready(int frames) const {
    const Program& program = *newest();
    const int64_t from = position_, last = std::min(from + frames, program.renderer.plan().frames) - 1;
    for (int64_t at = from; at <= last; at += Stream::chunk_frames)
        if (!program.stream->has(at)) return false;
    return last < from || program.stream->has(last);
}

void Engine::set_loop(int64_t first, int64_t end) {
    loop_first_ = first;
    loop_end_ = end > first ? end : 0;
    newest()->stream->set_loop(first, loop_end_);
}

void Engine::take_mix(std::vector<float>& stereo) {
    const size_t from = mix_read_.load(std::memory_order_relaxed), to = mix_written_.load(std::memory_order_acquire);
    stereo.resize(to - from);
    for (size_t i = from; i < to; ++i) stereo[i - from] = mix_[i % mix_ring];
    mix_read_.store(to, std::memory_order_release);
}

LiveLevels Engine::levels() {
    LiveLevels out;
    Program* const program = active_.load();
    if (!program) return out;
    const RenderPlan& plan = program->renderer.plan();
    out.tracks.resize(plan.tracks.size() + plan.buses.size());
    while (const MeterRing::Entry* e = program->meters.begin_read()) {
        out.any = true;
        for (size_t i = 0; i < out.tracks.size(); ++i) {
            out.tracks[i].peak_after_trim = std::max(out.tracks[i].peak_after_trim, e->tracks[i].peak_after_trim);
            out.tracks[i].magnitude_sum += e->tracks[i].magnitude_sum;
            out.tracks[i].frames += e->tracks[i].frames;
            out.tracks[i].peak_after_fader = std::max(out.tracks[i].peak_after_fader, e->tracks[i].peak_after_fader);
        }
        for (int c = 0; c < 2; ++c) {
            out.main_peak[c] = std::max(out.main_peak[c], e->peak[c]);
            out.main_square[c] = std::max(out.main_square[c], e->square[c]);
            out.main_programme[c] = std::max(out.main_programme[c], e->programme[c]);
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

// --- audio thread ---------------------------------------------------------------------------------------------------

/// Takes the plan that was claimed, unless it must wait for silence.
void Engine::take_pending(Program* next, bool silent_now) {
    Program* const now = active_.load();
    const bool gliding = now && glides(*now, *next);
    if (!gliding && !silent_now) return;  // not before the fade-out is over
    Program* expected = next;
    if (!pending_.compare_exchange_strong(expected, nullptr)) return;  // replaced by a newer one just now
    if (!now || now->stream != next->stream) waiting_ = true;
    if (gliding && !silent_now) next->renderer.take_over(now->renderer, position_);
    active_.store(next);
}

/// What the ear gets of a block: the newest path; where it is new, faded in over the block.
void Engine::monitor_block(float* out, int frames, const float* listen) {
    MonitorPath* const before = active_monitor_.load();
    MonitorPath* next = next_monitor_.load();
    if (next && next != before) {
        claimed_monitor_.store(next);
        if (!next_monitor_.compare_exchange_strong(next, nullptr)) next = nullptr;  // replaced just now: next block
    } else {
        next = nullptr;
    }
    if (!next) {
        if (before) before->process(out, frames, listen);
        return;
    }
    if (before) {
        std::copy_n(out, 2 * frames, before_.data());
        before->process(before_.data(), frames, listen);
    }
    next->process(out, frames, listen);
    if (before)
        for (int i = 0; i < 2 * frames; ++i) {
            const float share = static_cast<float>(i / 2 + 1) / static_cast<float>(frames);
            out[i] = before_[static_cast<size_t>(i)] * (1.0f - share) + out[i] * share;
        }
    active_monitor_.store(next);
}

int64_t Engine::render(float* out, int frames, float* listen) {
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
                                  meters ? std::span(meters->tracks) : std::span<TrackLevels>(),
                                  listen ? listen + 2 * done : nullptr);
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
    if (listen) std::fill(listen + 2 * done, listen + 2 * frames, 0.0f);
    if (meters) {
        kernels::Stretch s;
        kernels::measure_stretch(out, static_cast<size_t>(std::min(frames, 4096)), 2, &s);
        for (int c = 0; c < 2; ++c) {
            meters->peak[c] = std::max(-s.low[c], s.high[c]);
            meters->square[c] = static_cast<float>(s.square[c] / std::min(frames, 4096));
            meters->programme[c] = static_cast<float>(programme_[c].move(out + c, frames, 2));
        }
        program->meters.end_write();
    }
    return done;
}

/// One block of the plan that is heard fades out while the next one's fades in.
int64_t Engine::cross_over(Program* next, float* out, int frames, float* listen) {
    const int64_t position = position_, since_wrap = since_wrap_;
    const int64_t before = render(out, frames, listen);
    Program* expected = next;
    if (!pending_.compare_exchange_strong(expected, nullptr)) return before;  // replaced by a newer one just now
    position_ = position;
    since_wrap_ = since_wrap;
    active_.store(next);
    const int64_t rendered = std::min(before, render(next_.data(), frames, listen ? next_listen_.data() : nullptr));
    for (int64_t i = 0; i < 2 * rendered; ++i) {
        const float share = static_cast<float>(i / 2 + 1) / static_cast<float>(frames);
        const auto at = static_cast<size_t>(i);
        out[i] += share * (next_[at] - out[i]);
        if (listen) listen[i] += share * (next_listen_[at] - listen[i]);
    }
    return rendered;
}

/// For whoever takes the mix; what is not taken in time is left out.
void Engine::keep_mix(const float* out, int64_t frames) {
    const size_t written = mix_written_.load(std::memory_order_relaxed), played = static_cast<size_t>(2 * frames);
    if (written + played - mix_read_.load(std::memory_order_acquire) > mix_ring) return;
    for (size_t i = 0; i < played; ++i) mix_[(written + i) % mix_ring] = out[i];
    mix_written_.store(written + played, std::memory_order_release);
}

/// A device that asks for more than time gives is one that is gone: what it asks for is not played, so that the song
/// stays where it is.  Some blocks at once are no fault, and what a machine that stalled has missed may be made up for.
/// A device's clock also differs a little from ours: what has come together is forgotten at a hundredth of time's pace.
bool Engine::runs_away(int frames) {
    constexpr double at_once_s = 0.75, longest_stall_s = 5.0, forgotten = 0.01;
    const auto now = Clock::now();
    if (pace_anew_.exchange(false)) {
        paced_at_ = now;
        ahead_s_ = 0.0;
    }
    const double passed_s = std::chrono::duration<double>(now - paced_at_).count();
    const double block_s = static_cast<double>(frames) / sample_rate_;
    paced_at_ = now;
    ahead_s_ = std::max(ahead_s_ + block_s - passed_s, -longest_stall_s);
    ahead_s_ -= std::clamp(ahead_s_, -forgotten * passed_s, forgotten * passed_s);
    if (ahead_s_ > at_once_s + block_s) runaway_ = true;
    return runaway_;
}

void Engine::fill(float* out, int frames, bool underflow) {
    const auto started = Clock::now();
    heartbeat_.fetch_add(1);
    if (paced_ && runs_away(frames)) {
        std::fill(out, out + 2 * frames, 0.0f);
        return;
    }
    if (underflow && playing_) late_.fetch_add(1);

    const bool silent = gate_ == 0.0f;
    // Claimed before it is looked at: what is claimed is not freed.  If it was replaced meanwhile, the next block sees
    // to it.
    Program* next = pending_.load();
    claimed_.store(next);
    if (pending_.load() != next) next = nullptr;
    const Program* const now = active_.load();
    const bool jump = next && now && !glides(*now, *next);
    if (next && (silent || !jump)) take_pending(next, silent);
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
    const bool too_long = frames > max_frames;
    const bool close = !play_wanted_ || locate_wanted_ >= 0 || (jump && !silent && too_long);
    bool cross = jump && !silent && !close;
    if (cross && !next->stream->has(position_)) {
        next->stream->expect(position_);  // time goes on while it reads
        cross = false;
    }
    cross = cross && next->stream->has(position_ + frames - 1);
    const Program* const heard = active_.load();
    const bool listening = heard && (heard->listening || (cross && next->listening)) && !too_long;
    float* const listen = listening ? listen_.data() : nullptr;
    const int64_t rendered = cross ? cross_over(next, out, frames, listen) : render(out, frames, listen);
    keep_mix(out, rendered);
    for (int at = 0; at < frames; at += max_frames)
        monitor_block(out + 2 * at, std::min(max_frames, frames - at), listen);
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
    const double taken = std::chrono::duration<double>(Clock::now() - started).count();
    const double load = taken * sample_rate_ / frames;
    if (load > 1.0) late_.fetch_add(1);
    load_[std::min(load_steps - 1, static_cast<size_t>(load * 1024.0))].fetch_add(1, std::memory_order_relaxed);
    if (static_cast<float>(load) > load_max_.load()) load_max_ = static_cast<float>(load);
}

}  // namespace isotonus
