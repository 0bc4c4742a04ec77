// A signal while it is made: its chain runs over the song once, in order, by whoever asks for more of it.
#pragma once

#include <atomic>
#include <condition_variable>
#include <deque>
#include <list>
#include <mutex>

#include "core/shape/signal_run.h"
#include "core/shape/signal_state.h"

namespace isotonus {

/// Safe to share between threads.
class SignalMaking {
  public:
    static constexpr int64_t piece_frames = 4096;  ///< made at once
    using Piece = std::shared_ptr<const std::vector<float>>;

    /// What `signal` runs, of which the first processor stands at `first` in its whole chain.  The signal owns this.
    SignalMaking(SignalState& signal, size_t first);

    /// Returns when so many frames of it are there, or all that it has: another thread makes them, or this one does.
    /// Fails as reading does.
    Result<void> reach(int64_t frames);

    /// Makes the rest, fills in what the signal knows of itself, and returns its figures; of one that is kept, once.
    /// Fails as reading does, or with "cancelled"; then it can still be read.
    Result<Measurer::Outcome> finish(Progress* progress);
    bool is_finished() const { return finished_.load(std::memory_order_acquire); }
    /// The disk had no room for what should be kept.
    bool is_lost() const { return lost_.load(std::memory_order_acquire); }

    // Of one that is streamed: pieces stay until all who read have passed them.

    /// Where somebody reads.
    using Reader = std::list<int64_t>::iterator;
    Reader enter();
    void leave(Reader reader);
    /// The piece that holds a frame, which was reached; null when it is gone.
    Piece piece_at(Reader reader, int64_t frame);
    /// Makes another piece, unless somebody does, nobody reads, or it is far enough ahead of the slowest who does.
    /// False: it did not.
    bool go_ahead();

  private:
    Result<void> open();
    void make_one(std::unique_lock<std::mutex>& lock);
    Result<void> make_piece();
    void store(int64_t frames);
    int64_t slowest() const;

    SignalState& signal_;
    const size_t first_;
    const bool streamed_;
    const int channels_;

    // Of whoever makes it just now.
    std::optional<SignalRun> run_;
    std::optional<ReductionWatch> watch_;
    std::optional<Measurer> measurer_;
    std::vector<float> held_;
    int64_t cell_ = 0;                            ///< which is processed next
    int64_t cells_ = 0, late_left_ = 0;           ///< how many there are; frames still to be left out
    int64_t stored_ = 0, filled_ = 0, rest_ = 0;  ///< frames: stored, in held_, and not processed yet

    std::mutex mutex_;
    std::condition_variable changed_;
    bool busy_ = false;  ///< somebody makes it
    int64_t made_ = 0;
    std::optional<Error> error_;
    std::atomic<bool> finished_ = false, lost_ = false;
    std::deque<Piece> pieces_;
    int64_t first_piece_ = 0;
    std::list<int64_t> readers_;
};

}  // namespace isotonus
