// What a signal is computed by: its sources and its chain, run cell by cell.  For the files of core/shape/signal*.cpp.
#pragma once

#include "core/shape/signal.h"

namespace isotonus {

/// How long a signal is: until its source has ended, and what its chain makes of it has died away.
int64_t frames_of(const SignalRecipe& recipe);

/// A row's samples before its fader, at any frame of the song.
class TapReader {
  public:
    /// `in_order`: it will be read once, from its start on.
    static Result<TapReader> open(const PreFaderSource& tap, bool in_order = false);
    int channels() const { return tap_->channels(); }
    /// Samples from a frame of the song on; before its start they are silent.
    Result<void> read(int64_t first, int64_t frames, float* out);

  private:
    Result<void> fill();

    const PreFaderSource* tap_ = nullptr;
    std::unique_ptr<FrameReader> reader_;
    std::vector<float> held_;
    int64_t held_from_ = 0;
};

/// Sources of a chain and the chain itself.  The recipe must outlive it.
class SignalRun {
  public:
    static Result<SignalRun> open(const SignalRecipe& recipe, bool in_order = false);
    /// Processes cells from this one on, which must be the one that the chain expects, into `out`.
    Result<void> process(int64_t cell, int cells, float* out);

    ChainRun chain;

  private:
    SignalRun(const SignalRecipe& recipe, TapReader source);

    TapReader source_;
    std::vector<std::optional<TapReader>> key_readers_;
    std::vector<std::vector<float>> key_cells_;
    std::vector<const float*> key_inputs_;
    std::vector<int> key_channels_;
};

/// The deepest reduction of each processor of a chain in each block of the song.
class ReductionWatch {
  public:
    ReductionWatch(const SignalRecipe& recipe, const ChainRun& chain, int64_t frames);
    /// Of the cells from this one on, which this chain processed last.
    void note(const ChainRun& chain, int64_t first, int cells);

    std::vector<std::vector<float>> by_position;
};

}  // namespace isotonus
