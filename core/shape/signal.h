// Signals: what a row plays before its fader once its chain has worked on it, known for the whole song like a file.
//
// A signal is a material (figures, level summary) whose samples are computed when they are read.  While it was measured
// the states of its chain were kept every 4096 frames; from such a checkpoint any stretch is reached by running 4096
// frames at most, on any thread, to the same bits.  The samples themselves are kept in the cache folder while there is
// room (core/files/spool.h), so that whoever reads them again and again need not run the chain.
//
// A signal can be read before it is made, by others whose signals depend on it: whoever reads waits for what it needs.
// For a single pass over the song, which needs no figures, it is streamed: computed once as it is read, and not kept.
//
// A plug-in has no states that could be kept.  What it makes is made once, in order, and kept, also for the next time
// the program runs; the rest of the chain runs on that.
#pragma once

#include <map>
#include <thread>

#include "core/measure/material.h"
#include "core/shape/chain.h"

namespace isotonus {

/// A row before its fader, in the song's time: a file with trim, polarity and delay, or a signal as it is.
struct PreFaderSource {
    MaterialPtr material;
    int64_t delay_samples = 0;
    double gain = 1.0;   ///< trim and polarity, linear
    CurvePtr trim_ride;  ///< dB, added; null: none
    int channels() const { return material->channels(); }
    int64_t end() const { return std::max<int64_t>(0, material->frames() + delay_samples); }
};

/// All that a signal depends on.
struct SignalRecipe {
    PreFaderSource source;
    Chain chain;
    Rides rides;                              ///< of the chain's parameters
    std::map<uint64_t, PreFaderSource> keys;  ///< by row; a key that is not here is silent
    /// By place in the chain: what processors of level work by in place of what comes in.  So a share of a row gets the
    /// gains that the whole row gets, and the shares' signals sum up to the row's.
    std::map<size_t, PreFaderSource> detector_input;
    int sample_rate = 48000;
    uint64_t row = 0;  ///< whose it is; the signal does not depend on it
};

/// What Playable::content_key of the signal made of it will be.  Processors that do nothing are left out of it.
std::string content_key(const SignalRecipe& recipe);
/// Likewise of a band of what has the key `whole`.
std::string content_key_of_band(const std::string& whole, Band band, double crossover_hz);

/// Runs the chain over the whole song.  Fails as reading does, or with "cancelled".
Result<MaterialPtr> make_signal(const SignalRecipe& recipe, Progress* progress = nullptr);

/// A signal that can be read while it is made, to the bits that it will have; its key is known.
class BegunSignal {
  public:
    /// Nothing for one that cannot be read before all of it is there: that of a plug-in.
    static std::optional<BegunSignal> begin(const SignalRecipe& recipe);
    /// One that is computed once as it is read, in order, by one who reads or several at about the same place; who
    /// reads elsewhere computes it anew from the song's start.  It never has figures or a summary.
    static std::optional<BegunSignal> stream(const SignalRecipe& recipe);
    /// It has figures and a summary only once it is finished.
    MaterialPtr material() const { return material_; }
    /// Makes what nobody has read yet.  Fails as reading does, or with "cancelled".
    Result<MaterialPtr> finish(Progress* progress = nullptr) const;

  private:
    std::shared_ptr<Material> material_;
};

/// Computes streamed signals a little ahead of whoever reads them, on `workers` threads, until this goes.
class StreamsAhead {
  public:
    StreamsAhead(std::vector<MaterialPtr> streamed, int workers);

  private:
    const std::vector<MaterialPtr> streamed_;
    std::vector<std::jthread> threads_;  ///< the last: they are joined before the rest goes
};

/// The same signal before it is known: for the ear, at once.  Its samples are computed from a second before wherever
/// reading begins, so that they are not those of the song's start to the bit, and it has no figures and no summary.
MaterialPtr provisional_signal(const SignalRecipe& recipe);

/// One band of a signal, measured for itself: for rows whose low end is kept in the centre.
Result<MaterialPtr> make_band(const MaterialPtr& whole, Band band, double crossover_hz, Progress* progress = nullptr);

/// The same with the figures of the whole signal, at once: for what is not measured either.
MaterialPtr band_of(const MaterialPtr& whole, Band band, double crossover_hz);

struct SignalState;

/// What a chain makes, and what was found while it ran.
class Signal : public Playable {
  public:
    explicit Signal(std::shared_ptr<SignalState> state);

    int channels() const override { return origin_.channels; }
    int rate() const override { return origin_.rate; }
    int64_t frames() const override { return origin_.frames; }
    const ReadySource& origin() const override { return origin_; }
    Result<std::unique_ptr<FrameReader>> open() const override;
    std::string content_key() const override;
    bool is_exact() const override { return !is_provisional(); }
    Result<void> unchanged(Seen& seen) const override;

    const SignalRecipe& recipe() const;
    /// The deepest reduction of a processor in each block of 256 frames of the song, dB, 0 or below; empty when it does
    /// not turn down or is not at work.
    const std::vector<float>& reductions(size_t position) const;
    struct Reduction {
        double max_db = 0.0, max_at_s = 0.0;
        double typical_db = 0.0;  ///< median of the blocks in which it is 0.5 dB or more; 0 when there are none
        double share = 0.0;       ///< of the song's blocks in which it is 0.5 dB or more
    };
    /// Absent for processors that do not turn down.
    std::optional<Reduction> reduction(size_t position) const;
    /// How long it turns down by so many dB and more, s.
    double reduced_s(size_t position, double db) const;
    /// The highest sample that comes out of a processor, and by how much its power differs from that of what goes in,
    /// over the whole song (an estimate from one cell in sixteen).  Absent for one that is not at work, and where it is
    /// silent.
    Level peak_after_dbfs(size_t position) const;
    Level gain_db(size_t position) const;
    bool is_provisional() const;
    /// Why the processor at this place does nothing: a plug-in that went wrong, a file that is missing.  Empty: it
    /// does what it should.
    std::string fault(size_t position) const;
    size_t checkpoint_bytes() const;
    /// For the files of core/shape/signal*.cpp.
    const std::shared_ptr<SignalState>& state() const { return state_; }

  private:
    std::shared_ptr<SignalState> state_;
    ReadySource origin_;
};

/// The signal that a material plays, or a band of it; null when no chain made it.
std::shared_ptr<const Signal> signal_of(const Material& material);
inline std::shared_ptr<const Signal> signal_of(const MaterialPtr& material) {
    return material ? signal_of(*material) : nullptr;
}

/// What a row plays as its file gives it: a signal's source; the material itself when it is no signal.
const Material& before_chain(const Material& played);

/// What a processor of a recipe takes away over the whole song; quicker than making the signal.  Fails as reading does,
/// or with "cancelled".
Result<Signal::Reduction> reduction_of(const SignalRecipe& recipe, size_t position, Progress* progress = nullptr);

/// A signal by running its chain, whether its samples are kept or not.
Result<std::unique_ptr<FrameReader>> open_running(const std::shared_ptr<const Signal>& signal);

}  // namespace isotonus
