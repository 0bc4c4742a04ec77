#include "core/shape/signal_making.h"

#include <algorithm>
#include <cstring>
#include <utility>

namespace isotonus {

namespace {

/// Pieces that stay behind the slowest who reads, since keys are read a little back, and bands as far as they reach to
/// both sides; that are made ahead of it; and that are held at most, if somebody stands still.
constexpr int64_t behind = 2 + 2 * LowBand::cell_frames / SignalMaking::piece_frames, ahead = 16, most = 256;

}  // namespace

SignalMaking::SignalMaking(SignalState& signal, size_t first)
    : signal_(signal), first_(first), streamed_(signal.streamed), channels_(signal.recipe.source.channels()) {
    rest_ = signal.frames;
}

Result<void> SignalMaking::open() {
    auto opened = SignalRun::open(signal_.run, true);
    if (!opened) return tl::unexpected(opened.error());
    run_.emplace(std::move(*opened));
    ChainRun& chain = run_->chain;
    late_left_ = chain.latency();
    cells_ = (signal_.frames + late_left_ + cell_frames - 1) / cell_frames;
    held_.resize(static_cast<size_t>((piece_frames + stretch_frames) * channels_));
    if (!streamed_) {
        signal_.state_bytes = chain.memory_bytes();
        // Every 4096 frames; less often where much is remembered, so that a minute takes no more than a megabyte or so.
        static_assert(4096 / cell_frames % stretch_cells == 0, "checkpoints lie between stretches");
        signal_.spacing_cells = 4096 / cell_frames * static_cast<int64_t>(1 + signal_.state_bytes / 1536);
        watch_.emplace(signal_.run, chain, signal_.frames);
        measurer_.emplace(channels_, signal_.recipe.sample_rate, 1.0f);
        chain.watch();
    }
    chain.begin(0);
    return {};
}

/// Runs the chain until a piece is full or the song has ended.
Result<void> SignalMaking::make_piece() {
    if (!run_)
        if (auto opened = open(); !opened) return opened;
    while (filled_ < piece_frames && rest_ > 0) {
        if (!streamed_ && cell_ % signal_.spacing_cells == 0) {
            const auto memory = run_->chain.memory();
            signal_.checkpoints.insert(signal_.checkpoints.end(), memory.begin(), memory.end());
        }
        float* const out = held_.data() + filled_ * channels_;
        const int cells = static_cast<int>(std::min<int64_t>(stretch_cells, cells_ - cell_));
        if (auto done = run_->process(cell_, cells, out); !done) return done;
        if (watch_) watch_->note(run_->chain, cell_, cells);
        cell_ += cells;
        const int64_t skip = std::min<int64_t>(late_left_, cells * cell_frames),
                      take = std::min(cells * cell_frames - skip, rest_);
        late_left_ -= skip;
        rest_ -= take;
        if (skip > 0) std::copy_n(out + skip * channels_, take * channels_, out);
        filled_ += take;
    }
    return {};
}

/// Of what is held, the first frames.
void SignalMaking::store(int64_t frames) {
    const int64_t samples = frames * channels_, left = (filled_ - frames) * channels_;
    if (streamed_) {
        const std::scoped_lock lock(mutex_);
        pieces_.push_back(std::make_shared<const std::vector<float>>(held_.data(), held_.data() + samples));
        const int64_t needed = slowest() / piece_frames - behind;
        while (first_piece_ < needed || std::ssize(pieces_) > most) {
            pieces_.pop_front();
            ++first_piece_;
        }
    } else {
        measurer_->add(held_.data(), frames);
        if (!is_lost() && !(signal_.kept && signal_.kept->write(stored_ * channels_, held_.data(), samples)))
            lost_.store(true, std::memory_order_release);
    }
    std::memmove(held_.data(), held_.data() + samples, static_cast<size_t>(left) * sizeof(float));
    filled_ -= frames;
    stored_ += frames;
}

void SignalMaking::make_one(std::unique_lock<std::mutex>& lock) {
    busy_ = true;
    lock.unlock();
    const auto made = without_exceptions({}, [this]() -> Result<void> {
        if (auto done = make_piece(); !done) return done;
        store(std::min(piece_frames, filled_));
        if (streamed_ && stored_ == signal_.frames) run_.reset();
        return {};
    });
    lock.lock();
    busy_ = false;
    if (made)
        made_ = stored_;
    else
        error_ = made.error();
    changed_.notify_all();
}

Result<void> SignalMaking::reach(int64_t frames) {
    std::unique_lock lock(mutex_);
    const int64_t wanted = std::min(frames, signal_.frames);
    while (made_ < wanted && !error_)
        if (busy_)
            changed_.wait(lock);
        else
            make_one(lock);
    return error_ ? Result<void>(tl::unexpected(*error_)) : Result<void>();
}

bool SignalMaking::go_ahead() {
    std::unique_lock lock(mutex_);
    const int64_t most = std::min(signal_.frames, slowest() + ahead * piece_frames);
    if (busy_ || error_ || readers_.empty() || made_ >= most) return false;
    make_one(lock);
    return true;
}

Result<Measurer::Outcome> SignalMaking::finish(Progress* progress) {
    const int64_t frames = signal_.frames;
    for (int64_t at = 0; at < frames; at += piece_frames) {
        if (progress && progress->cancelled()) return stopped();
        if (progress) progress->report(static_cast<double>(at) / static_cast<double>(frames));
        if (auto done = reach(at + piece_frames); !done) return tl::unexpected(done.error());
    }
    // Nobody runs it any more.
    if (!run_)
        if (auto opened = open(); !opened) return tl::unexpected(opened.error());
    const ChainRun& chain = run_->chain;
    signal_.keep_checkpoints();
    for (size_t n = 0; n < watch_->by_position.size(); ++n)
        signal_.reductions[first_ + n] = std::move(watch_->by_position[n]);
    for (size_t n = 0; n < chain.steps(); ++n) {
        signal_.passed[first_ + chain.position_of(n)] = chain.passed(n);
        signal_.faults[first_ + chain.position_of(n)] = chain.fault(n);
    }
    auto outcome = measurer_->finish();
    run_.reset();
    measurer_.reset();
    held_ = {};
    finished_.store(true, std::memory_order_release);
    return outcome;
}

int64_t SignalMaking::slowest() const {
    return readers_.empty() ? 0 : *std::min_element(readers_.begin(), readers_.end());
}

SignalMaking::Reader SignalMaking::enter() {
    const std::scoped_lock lock(mutex_);
    return readers_.insert(readers_.end(), 0);
}

void SignalMaking::leave(Reader reader) {
    const std::scoped_lock lock(mutex_);
    readers_.erase(reader);
}

SignalMaking::Piece SignalMaking::piece_at(Reader reader, int64_t frame) {
    const std::scoped_lock lock(mutex_);
    *reader = frame;
    const int64_t n = frame / piece_frames - first_piece_;
    return n >= 0 && n < std::ssize(pieces_) ? pieces_[static_cast<size_t>(n)] : nullptr;
}

}  // namespace isotonus
