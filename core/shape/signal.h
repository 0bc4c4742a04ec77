// Signals: what a row plays before its fader once its chain has worked on it, known for the whole song like a file.
//
// A signal is a material (figures, level summary) whose samples are computed when they are read.  While it was measured
// the states of its chain were kept every 4096 frames; from such a checkpoint any stretch is reached by running 4096
// frames at most, on any thread, to the same bits.
#pragma once

#include <map>

#include "core/measure/material.h"
#include "core/shape/chain.h"

namespace isotonus {

/// A row before its fader, in the song's time: a file with trim, polarity and delay, or a signal as it is.
struct RowTap {
    MaterialPtr material;
    int64_t delay_samples = 0;
    double gain = 1.0;   ///< trim and polarity, linear
    CurvePtr trim_ride;  ///< dB, added; null: none
    int channels() const { return material->ready.channels; }
    int64_t end() const { return std::max<int64_t>(0, material->ready.frames + delay_samples); }
};

/// All that a signal depends on.
struct SignalRecipe {
    RowTap source;
    Chain chain;
    Rides rides;                      ///< of the chain's parameters
    std::map<uint64_t, RowTap> keys;  ///< by row; a key that is not here is silent
    int sample_rate = 48000;
};

/// Two signals are the same to the bit when this is.  Processors that do nothing are left out of it.
std::string signal_key(const SignalRecipe& recipe);

/// Runs the chain over the whole song.  Fails as reading does, or with "cancelled".
Result<MaterialPtr> make_signal(const SignalRecipe& recipe, Progress* progress = nullptr);

/// One band of a signal, measured for itself: for rows whose low end is kept in the centre.
Result<MaterialPtr> make_band(const MaterialPtr& whole, Band band, double crossover_hz, Progress* progress = nullptr);

/// What was found while the chain ran.
class Signal {
  public:
    const SignalRecipe& recipe() const { return recipe_; }
    /// The deepest reduction of a processor in each block of 256 frames of the song, dB, 0 or below; empty when it does
    /// not turn down or is not at work.
    const std::vector<float>& reductions(size_t place) const;
    struct Reduction {
        double most_db = 0.0, most_at_s = 0.0;
        double typical_db = 0.0;  ///< median of the blocks in which it is 0.5 dB or more; 0 when there are none
        double share = 0.0;       ///< of the song's blocks in which it is 0.5 dB or more
    };
    /// Absent for processors that do not turn down.
    std::optional<Reduction> reduction(size_t place) const;
    size_t checkpoint_bytes() const { return checkpoints_.size(); }

  private:
    friend class SignalReader;
    friend Result<MaterialPtr> make_signal(const SignalRecipe&, Progress*);
    SignalRecipe recipe_;
    int64_t frames_ = 0;
    int64_t spacing_cells_ = 0;  ///< between checkpoints
    size_t state_bytes_ = 0;
    std::vector<std::byte> checkpoints_;          ///< one after the other, the first at the song's start
    std::vector<std::vector<float>> reductions_;  ///< by place in the chain
};

/// Reads whatever a material is: a file, or a signal.  Not safe to share between threads.
Result<std::unique_ptr<FrameReader>> open_material(const Material& material);

}  // namespace isotonus
