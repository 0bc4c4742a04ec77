// A row's chain at work: processors one after the other, cell by cell.
#pragma once

#include <optional>
#include <set>

#include "core/shape/processor.h"

namespace isotonus {

/// What every processor has besides its own parameters: in, mix (%), input_db, output_db.
std::span<const ParameterInfo> common_parameters();
/// Of a processor, by name: common ones and its own; null when there is none.
const ParameterInfo* parameter_of(const Processor& processor, std::string_view id);
/// A new processor as one begins with it: what repeats, rings or moves is mixed into what comes in (reverb 20 %, delay
/// 25 %, modulation 50 %; common practice, no source), and is alone on a return, where what comes in is heard
/// elsewhere.
Processor new_insert(const ProcessorType& type, const Chain& chain, bool on_return);
/// All of them, `in` first.
std::vector<const ParameterInfo*> parameters_of(const Processor& processor);
/// As `value_of`, also of `in`.
double setting_of(const Processor& processor, const ParameterInfo& parameter);
void set_value(Processor& processor, const ParameterInfo& parameter, double value);

/// The user wants it to work, at some time of the song: it is in, or rides in and out.
bool is_wanted(const Processor& processor, const Rides& rides);
/// Changes what passes through it: something of it is in, rides, or matches.
bool does_anything(const Chain& chain, const Rides& rides);
/// How long it rings on at most after its input has ended, s.
double tail_s(const Chain& chain, const Rides& rides);

/// Not safe to share between threads.  The same bits for the same cells, wherever it began.
class ChainRun {
  public:
    /// Processors that are out for the whole song are left out here.  Those at the places `judged` work by a key of
    /// their own in place of what comes in (see SignalRecipe::detector_input).
    ChainRun(const Chain& chain, const Rides& rides, int channels, double sample_rate,
             const std::set<size_t>& judged = {});
    ChainRun(ChainRun&&) noexcept;
    ~ChainRun();

    /// Frames by which what comes out is late.
    int latency() const { return latency_; }

    /// What a processor listens to in place of what comes in: `late` frames before that, its cell is wanted.
    struct SidechainInput {
        uint64_t row = 0;
        int late = 0;
        std::optional<size_t> judged = std::nullopt;  ///< no row: what the processor at this place is judged by
    };
    const std::vector<SidechainInput>& keys() const { return keys_; }

    /// The next cell is this one of the song (frames from 32 * cell on), with nothing remembered.
    void begin(int64_t cell);
    /// The same, and what was remembered there.
    void go_on(int64_t cell, std::span<const std::byte> memory);
    /// What is remembered now.
    std::vector<std::byte> memory() const;
    size_t memory_bytes() const;

    /// The next cells, stretch_cells at most, interleaved, in place.  keys[i]: those of keys()[i], interleaved;
    /// key_channels[i] of it.  How many are taken at once cannot be heard.
    void process(float* samples, int cells, std::span<const float* const> keys, std::span<const int> key_channels);

    /// Of a cell that was processed last: the deepest reduction of each processor of the chain that is at work, dB; and
    /// their places.
    size_t steps() const;
    size_t position_of(size_t step) const;
    float reduction_db(size_t step, int cell) const;
    /// Why it does nothing; empty: it does something.
    std::string fault(size_t step) const;
    /// One of them lost what it remembered since this run began.
    bool begun_again() const;

    /// Gain of its linear processors at a frequency, as they are set at the song's start; of what both sides share.
    double response_db(double hz) const;

    /// What passed through a processor since this run was told to watch: the highest sample that came out of it, and
    /// the sums of squares of what went in and came out, of one cell in sixteen: an estimate of its gain.
    static constexpr int64_t weighed_cells = 16;
    struct Passed {
        float peak = 0.0f;
        double square_in = 0.0, square_out = 0.0;
    };
    void watch() { watching_ = true; }
    const Passed& passed(size_t step) const;

  private:
    struct Step;
    void set_values(Step& step, int64_t frame);
    void pass(Step& step, float* samples, int cells, std::span<const float* const> keys,
              std::span<const int> key_channels);
    bool pass_at_once(Step& step, int64_t ends_at, float* samples, int cells, const float* key, int key_channels);
    std::vector<std::unique_ptr<Step>> steps_;
    std::vector<SidechainInput> keys_;
    int channels_;
    double rate_;
    int latency_ = 0;
    int64_t cell_ = 0;
    bool watching_ = false;
};

}  // namespace isotonus
