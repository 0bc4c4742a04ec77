#include <algorithm>
#include <utility>

#include "core/audio/media.h"
#include "core/shape/signal_making.h"

namespace isotonus {

/// Reads a signal anywhere: from the nearest checkpoint, or on from where it is.
class SignalReader : public FrameReader {
  public:
    static Result<std::unique_ptr<FrameReader>> open(std::shared_ptr<const SignalState> state) {
        auto run = SignalRun::open(state->run);
        if (!run) return tl::unexpected(run.error());
        return std::unique_ptr<FrameReader>(new SignalReader(std::move(state), std::move(*run)));
    }
    int channels() const override { return channels_; }

    Result<void> read(int64_t first, int64_t frames, float* out) override {
        const int64_t late = run_.chain.latency();
        for (int64_t done = 0; done < frames;) {
            const int64_t at = first + done;
            if (at < 0 || at >= state_->frames) {
                const int64_t part = at < 0 ? std::min(frames - done, -at) : frames - done;
                std::fill_n(out + done * channels_, part * channels_, 0.0f);
                done += part;
                continue;
            }
            const int64_t wanted = std::min(frames - done, state_->frames - at), last = at + late + wanted - 1;
            if (auto reached = reach((at + late) / cell_frames, last / cell_frames); !reached) {
                next_ = -1;
                held_cells_ = 0;
                return reached;
            }
            const int64_t inside = at + late - (next_ - held_cells_) * cell_frames;
            const int64_t part = std::min(wanted, held_cells_ * cell_frames - inside);
            std::copy_n(held_.data() + inside * channels_, part * channels_, out + done * channels_);
            done += part;
        }
        return {};
    }

  private:
    SignalReader(std::shared_ptr<const SignalState> state, SignalRun run)
        : state_(std::move(state)),
          run_(std::move(run)),
          channels_(state_->recipe.source.channels()),
          held_(static_cast<size_t>(stretch_frames * channels_)) {}

    /// Makes this input cell one of those whose output is held; none behind `last` is processed.
    Result<void> reach(int64_t cell, int64_t last) {
        if (cell >= next_ - held_cells_ && cell < next_) return {};
        if (next_ < 0 || cell < next_ || (!state_->is_being_made() && cell - next_ > spacing())) start_before(cell);
        for (; next_ <= cell; next_ += held_cells_) {
            held_cells_ = std::min<int64_t>(stretch_cells, last + 1 - next_);
            if (auto done = run_.process(next_, static_cast<int>(held_cells_), held_.data()); !done) return done;
        }
        return {};
    }

    int64_t spacing() const {
        return state_->provisional ? state_->recipe.sample_rate / cell_frames : state_->spacing_cells;
    }

    /// From the checkpoint; before there are any from the song's start.  Of a provisional one from as far back, with
    /// nothing remembered.
    void start_before(int64_t cell) {
        if (state_->is_being_made() || state_->provisional) {
            next_ = state_->provisional ? std::max<int64_t>(0, cell - spacing()) : 0;
            run_.chain.begin(next_);
            return;
        }
        const int64_t n = cell / spacing();
        if (const auto state = state_->checkpoint(static_cast<size_t>(n))) {
            next_ = n * spacing();
            run_.chain.go_on(next_, *state);
        } else {  // from the song's start it is the same, and takes longer
            next_ = 0;
            run_.chain.begin(0);
        }
    }

    std::shared_ptr<const SignalState> state_;
    SignalRun run_;
    int channels_;
    std::vector<float> held_;
    int64_t next_ = -1;       ///< the cell that is processed next; -1: none was
    int64_t held_cells_ = 0;  ///< those before it, whose output is held
};

namespace {

/// Fills what lies outside of a signal with silence; returns what lies inside: the first frame and the one behind it.
std::pair<int64_t, int64_t> silence_outside(int64_t end, int64_t first, int64_t frames, int64_t wide, float* out) {
    const int64_t from = std::clamp<int64_t>(first, 0, end), to = std::clamp<int64_t>(first + frames, from, end);
    if (to == from) {
        std::fill_n(out, frames * wide, 0.0f);
    } else {
        std::fill_n(out, (from - first) * wide, 0.0f);
        std::fill_n(out + (to - first) * wide, (first + frames - to) * wide, 0.0f);
    }
    return {from, to};
}

}  // namespace

/// Reads what is kept of a signal, or will be.
class KeptReader : public FrameReader {
  public:
    explicit KeptReader(std::shared_ptr<const SignalState> state)
        : state_(std::move(state)), being_made_(state_->is_being_made()) {}
    ~KeptReader() override { let_go(window_ - 1, 2); }
    int channels() const override { return state_->recipe.source.channels(); }
    Result<void> read(int64_t first, int64_t frames, float* out) override {
        const int64_t wide = channels();
        const auto [from, to] = silence_outside(state_->frames, first, frames, wide, out);
        if (to == from) return {};
        if (auto there = being_made_ ? reach(to) : Result<void>(); !there) return there;
        if (being_made_ && !state_->is_kept()) {  // the disk was full in the middle of it
            if (!running_) {
                auto opened = SignalReader::open(state_);
                if (!opened) return tl::unexpected(opened.error());
                running_ = std::move(*opened);
            }
            return running_->read(first, frames, out);
        }
        if (!state_->kept->read(from * wide, out + (from - first) * wide, (to - from) * wide))
            return fail(cache_folder().string(),
                        translated("the kept audio cannot be read again. Empty the cache in the settings."));
        return {};
    }
    const float* view(int64_t first, int64_t frames) override {
        if (first < 0 || first + frames > state_->frames) return nullptr;
        if (being_made_ && (!reach(first + frames) || !state_->is_kept())) return nullptr;
        const float* const all = state_->kept->mapped();
        if (!all) return nullptr;
        let_go_behind(first);
        return all + first * channels();
    }

  private:
    static constexpr int64_t window_frames = 32768;
    /// Where much is kept, only what is being read stays in memory; the system has the rest.
    void let_go_behind(int64_t first) {
        const int64_t window = first / window_frames;
        if (window == window_) return;
        if (window == window_ + 1)
            let_go(window_ - 1, 1);
        else
            let_go(window_ - 1, 2);
        window_ = window;
    }
    void let_go(int64_t window, int64_t windows) const {
        constexpr int64_t much_bytes = int64_t{128} << 20;
        if (window_ < 0 || !state_->kept || Spooled::bytes_in_use() <= much_bytes) return;
        const int64_t from = std::max<int64_t>(window * window_frames, 0),
                      to = std::min((window + windows) * window_frames, state_->frames);
        if (to > from) state_->kept->let_go(from * channels(), (to - from) * channels());
    }
    Result<void> reach(int64_t frames) {
        being_made_ = state_->is_being_made() || !state_->is_kept();
        return state_->making ? state_->making->reach(frames) : Result<void>();
    }
    const std::shared_ptr<const SignalState> state_;
    bool being_made_;      ///< or could not be kept: what is there has to be asked for
    int64_t window_ = -1;  ///< of window_frames: in which was read last
    std::unique_ptr<FrameReader> running_;
};

/// Reads a streamed signal.
class StreamReader : public FrameReader {
  public:
    explicit StreamReader(std::shared_ptr<const SignalState> state)
        : state_(std::move(state)), reader_(state_->making->enter()) {}
    ~StreamReader() override { state_->making->leave(reader_); }
    int channels() const override { return state_->recipe.source.channels(); }
    Result<void> read(int64_t first, int64_t frames, float* out) override {
        const int64_t wide = channels();
        const auto [from, to] = silence_outside(state_->frames, first, frames, wide, out);
        for (int64_t at = from; at < to;) {
            const int64_t part = std::min(to, (at / piece + 1) * piece) - at;
            if (auto there = hold(at, part); !there) return there;
            if (!held_) return read_anew(first, frames, out);
            std::copy_n(held_->data() + at % piece * wide, part * wide, out + (at - first) * wide);
            at += part;
        }
        return {};
    }
    const float* view(int64_t first, int64_t frames) override {
        const bool one_piece = first >= 0 && frames > 0 && first + frames <= state_->frames &&
                               first / piece == (first + frames - 1) / piece;
        return one_piece && hold(first, frames) && held_ ? held_->data() + first % piece * channels() : nullptr;
    }

  private:
    static constexpr int64_t piece = SignalMaking::piece_frames;

    Result<void> hold(int64_t first, int64_t frames) {
        auto there = state_->making->reach(first + frames);
        held_ = there ? state_->making->piece_at(reader_, first) : nullptr;
        return there;
    }
    /// What has gone already.
    Result<void> read_anew(int64_t first, int64_t frames, float* out) {
        if (!anew_) {
            auto opened = SignalReader::open(state_);
            if (!opened) return tl::unexpected(opened.error());
            anew_ = std::move(*opened);
        }
        return anew_->read(first, frames, out);
    }

    const std::shared_ptr<const SignalState> state_;
    const SignalMaking::Reader reader_;
    SignalMaking::Piece held_;
    std::unique_ptr<FrameReader> anew_;
};

Result<std::unique_ptr<FrameReader>> open_running(const std::shared_ptr<const Signal>& signal) {
    return SignalReader::open(signal->state());
}

Result<std::unique_ptr<FrameReader>> Signal::open() const {
    if (state_->streamed) return std::unique_ptr<FrameReader>(std::make_unique<StreamReader>(state_));
    if (state_->is_kept()) return std::unique_ptr<FrameReader>(std::make_unique<KeptReader>(state_));
    return SignalReader::open(state_);
}

}  // namespace isotonus
