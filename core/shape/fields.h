// Fields of a processor's settings, named once: the table of its parameters and what sets them are both visitors.
#pragma once

#include <algorithm>
#include <array>
#include <cstring>
#include <new>
#include <string>
#include <type_traits>
#include <utility>

#include "core/audio/wide.h"
#include "core/shape/processor.h"

namespace isotonus {

struct Range {
    const char* unit;
    double low, high;
    ControlTaper law = ControlTaper::linear;
    double tolerance = 0.1;  ///< that thinning of a ride may change
};

inline constexpr std::array toggle_words{"off", "on"};

/// Makes the table: each field's value is where it rests.
class TableMaker {
  public:
    explicit TableMaker(std::vector<ParameterInfo>& table) : table_(table) {}
    void number(const char* id, double& value, const Range& range) {
        table_.push_back({id, range.unit, range.low, range.high, value, range.law, range.tolerance, false, {}});
    }
    template <class Choice, size_t n>
    void choice(const char* id, Choice& value, const std::array<const char*, n>& words) {
        table_.push_back({id, "", 0.0, static_cast<double>(n - 1), static_cast<double>(value),
                          n == 2 ? ControlTaper::toggle : ControlTaper::choice, 0.0, false, words});
    }

  private:
    std::vector<ParameterInfo>& table_;
};

/// Sets the fields from values in the table's order.
class ValueSetter {
  public:
    explicit ValueSetter(std::span<const double> values) : values_(values) {}
    void number(const char*, double& value, const Range& range) {
        value = std::clamp(values_[at_++], range.low, range.high);
    }
    template <class Choice, size_t n>
    void choice(const char*, Choice& value, const std::array<const char*, n>&) {
        value = static_cast<Choice>(std::clamp(static_cast<int>(values_[at_++] + 0.5), 0, static_cast<int>(n) - 1));
    }

  private:
    std::span<const double> values_;
    size_t at_ = 0;
};

/// What a processor works on.
struct Cell {
    float* samples;  ///< interleaved, in place
    int channels, frames;
    const float* key;  ///< interleaved: what is listened to; of a look-ahead processor earlier than `samples` arrive
    int key_channels;
    double sample_rate;
    float* reductions_db;  ///< of each 32 frames the deepest goes here
};

/// A running processor from its parts.  P has `Settings` with `fields`, `State` (can be copied byte by byte),
/// `prepare(settings, channels, rate, first)`, `process(state, cell)`.  What it does may glide over the cell from what
/// was prepared before to what was prepared last; `first`: there is nothing before.  P may have `latency()`, frames,
/// and, when it is linear, `response(radians)`.  With `supports_batches` its cell may be several, of which none glides.
/// With `line_floats(rate)` it remembers as many samples besides, all zero at first, and has `process(state, lines,
/// cell)` instead.
template <class P>
class RunningOf final : public Running {
    using State = typename P::State;
    static constexpr bool has_lines = requires(double rate) { P::line_floats(rate); };
    /// Where lines begin behind the state.
    static constexpr size_t lines_at = (sizeof(State) + 63) / 64 * 64;

  public:
    RunningOf(int channels, double sample_rate) : channels_(channels), rate_(sample_rate) {
        static_assert(std::is_trivially_copyable_v<State>);
        if constexpr (has_lines)
            memory_.resize(lines_at + sizeof(float) * P::line_floats(sample_rate));
        else
            memory_.resize(sizeof(State));
        new (memory_.data()) State{};
    }
    void set(std::span<const double> values) override {
        typename P::Settings settings;
        ValueSetter setter(values);
        settings.fields(setter);
        processor_.prepare(settings, channels_, rate_, std::exchange(first_, false));
    }
    void restart() override { first_ = true; }
    void process(float* samples, int frames, const float* key, int key_channels) override {
        const Cell cell{samples, channels_, frames, key, key_channels, rate_, reductions_db_};
        if constexpr (has_lines)
            processor_.process(state(), reinterpret_cast<float*>(memory_.data() + lines_at), cell);
        else
            processor_.process(state(), cell);
    }
    int latency() const override {
        if constexpr (requires(const P& p) { p.latency(); }) return processor_.latency();
        return 0;
    }
    std::span<std::byte> memory() override { return memory_; }
    bool supports_batches() const override {
        return requires { P::supports_batches; };
    }
    float reduction_db(int cell) const override { return reductions_db_[cell]; }
    std::complex<double> response(double radians) const override {
        if constexpr (requires(const P& p) { p.response(radians); }) return processor_.response(radians);
        return 1.0;
    }

  private:
    State& state() { return *std::launder(reinterpret_cast<State*>(memory_.data())); }
    int channels_;
    double rate_;
    bool first_ = true;
    float reductions_db_[stretch_cells] = {};
    P processor_;
    std::vector<std::byte> memory_;
};

template <class P>
ProcessorType make_type(const char* id, const char* word, bool keyed, bool linear) {
    ProcessorType type;
    type.id = id;
    type.word = word;
    type.keyed = type.by_level = keyed;
    type.linear = linear;
    typename P::Settings settings;
    TableMaker maker(type.parameters);
    settings.fields(maker);
    type.start = [](const Processor&, int channels, double rate) -> std::unique_ptr<Running> {
        return std::make_unique<RunningOf<P>>(channels, rate);
    };
    return type;
}

}  // namespace isotonus
