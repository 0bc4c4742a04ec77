// Tracks' samples from disk, ahead of the playhead.  Memory depends on the number of tracks, never on the song's
// length.
#pragma once

#include <array>
#include <atomic>
#include <mutex>
#include <optional>
#include <string>
#include <thread>
#include <vector>

#include "core/mix/mixdown.h"

namespace isotonus {

/// The song is cut into chunks of 4096 frames; a thread of its own keeps the chunks that will be played next in slots.
/// The audio thread says which chunk it is in and looks up its slot: one atomic store, a few loads, no lock.
class Stream {
  public:
    static constexpr int64_t chunk_frames = 4096;
    static constexpr int slot_count = 16;

    /// What the stream before it holds of the same sources is taken over, so that only what changed is read anew.
    /// `expected`: where play goes on; -1: not known yet.
    explicit Stream(PlanPtr plan, std::shared_ptr<Stream> before = nullptr, int64_t expected = -1);
    ~Stream();

    const RenderPlan& plan() const { return *plan_; }

    /// Audio thread: enters the chunk of this frame.  True when its samples are there; then `inputs` point at the
    /// frame, one for each part, and stay valid until the next call.
    bool enter(int64_t frame, std::vector<const float*>& inputs);

    /// Any thread: where play will go on (after a jump while it stands still), and the loop, so that the right chunks
    /// are read.
    void expect(int64_t frame) { expected_chunk_ = frame / chunk_frames; }
    void set_loop(int64_t first, int64_t end);

    bool has(int64_t frame) const;

    /// It is succeeded: what the stream before it holds is not waited for any more.  In a drag streams follow each
    /// other faster than they are filled.
    void let_go_of_before() { lets_go_ = true; }

    /// A file that could not be read while playing; empty when all is well.
    std::string trouble() const;

  private:
    /// Samples of a part in a chunk; streams share them.  Null: it has none there.
    using Samples = std::shared_ptr<const std::vector<float>>;
    struct Slot {
        std::atomic<int64_t> chunk{-1};
        std::vector<Samples> samples;  ///< of each part
    };
    /// What is held of a part in a chunk; nothing when the chunk is not held.  Any thread but the audio thread's.
    std::optional<Samples> held(int64_t chunk, size_t part) const;
    void read_ahead(const std::stop_token& stop);
    Result<void> read_until(const std::stop_token& stop);
    std::vector<int64_t> wanted_chunks() const;
    void add_chunks_from(int64_t chunk, size_t most, std::vector<int64_t>& chunks) const;
    std::vector<Samples> load(int64_t chunk);
    void tell(const Error& error);

    PlanPtr plan_;
    std::array<Slot, slot_count> slots_;
    mutable std::mutex slots_mutex_;  ///< between the reading threads of two streams
    std::shared_ptr<Stream> before_;  ///< until the first chunks are there
    std::atomic<bool> lets_go_{false};
    std::vector<int> part_before_;             ///< which of its parts is this one; -1: none
    std::atomic<int64_t> playing_chunk_{-1};   ///< written by the audio thread alone; -1: it was never here
    std::atomic<int64_t> expected_chunk_{-1};  ///< -1: play goes on where it is; the audio thread takes it away
    std::atomic<int64_t> loop_first_{0}, loop_end_{0};  ///< in frames; end 0: no loop
    std::optional<PlanReader> reader_;
    mutable std::mutex trouble_mutex_;
    std::string trouble_;
    std::jthread thread_;
};

}  // namespace isotonus
