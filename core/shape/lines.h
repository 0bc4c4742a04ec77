// What processors with a long memory have in common: delay lines of their own, kept beside their state.
#pragma once

#include <new>

#include "core/shape/fields.h"
#include "core/shape/lanes.h"

namespace isotonus {

/// A running processor whose memory is a state and `P::line_floats(rate)` samples of delay lines, all zero at first;
/// else as RunningOf: `process(state, lines, cell)`.
template <class P>
class RunningWithLines final : public Running {
  public:
    RunningWithLines(int channels, double sample_rate)
        : channels_(channels), rate_(sample_rate), memory_(line_place + sizeof(float) * P::line_floats(sample_rate)) {
        static_assert(std::is_trivially_copyable_v<typename P::State>);
        new (memory_.data()) typename P::State{};
    }
    void set(std::span<const double> values) override {
        typename P::Settings settings;
        ValueSetter setter(values);
        settings.fields(setter);
        processor_.prepare(settings, channels_, rate_, std::exchange(first_, false));
    }
    void restart() override { first_ = true; }
    void process(float* cell, int frames, const float* key, int key_channels) override {
        processor_.process(*std::launder(reinterpret_cast<typename P::State*>(memory_.data())),
                           reinterpret_cast<float*>(memory_.data() + line_place),
                           Cell{cell, channels_, frames, key, key_channels, rate_});
    }
    int latency() const override { return 0; }
    std::span<std::byte> memory() override { return memory_; }
    float reduction_db() const override { return 0.0f; }
    std::complex<double> response(double) const override { return 1.0; }

  private:
    static constexpr size_t line_place = (sizeof(typename P::State) + 63) / 64 * 64;
    int channels_;
    double rate_;
    bool first_ = true;
    P processor_;
    std::vector<std::byte> memory_;
};

/// `tail_s`: see ProcessorType.
template <class P>
ProcessorType make_type_with_lines(const char* id, const char* word, double (*tail_s)(std::span<const double>)) {
    ProcessorType type = make_type_of<P, RunningWithLines<P>>(id, word, false, false);
    type.tail_s = tail_s;
    return type;
}

/// A ring of samples in such lines.  A cell is written as a whole, then read at any place before its end.
class Ring {
  public:
    Ring(float* samples, size_t length) : samples_(samples), length_(length) {}
    /// Puts `count` samples behind the last; `at` is the place of the next, which goes round.
    void write(uint32_t& at, const float* in, int count) {
        for (int i = 0; i < count; ++i) {
            samples_[at] = in[i];
            at = at + 1 == length_ ? 0 : at + 1;
        }
    }
    /// `count` samples of which the first came `back` places before `at`.
    void read(uint32_t at, size_t back, float* out, int count) const {
        size_t from = (at + length_ - back) % length_;
        for (int i = 0; i < count; ++i) {
            out[i] = samples_[from];
            from = from + 1 == length_ ? 0 : from + 1;
        }
    }
    /// The value `back` places before `at`, between four samples (Catmull and Rom's cubic); `back` from 2 to length
    /// - 3.
    float between(uint32_t at, double back) const {
        const double whole = std::ceil(back);
        const auto f = static_cast<float>(whole - back);
        size_t from = (at + length_ - static_cast<size_t>(whole) - 1) % length_;
        float x[4];
        for (float& v : x) {
            v = samples_[from];
            from = from + 1 == length_ ? 0 : from + 1;
        }
        return x[1] +
               0.5f * f *
                   (x[2] - x[0] +
                    f * (2.0f * x[0] - 5.0f * x[1] + 4.0f * x[2] - x[3] + f * (3.0f * (x[1] - x[2]) + x[3] - x[0])));
    }

  private:
    float* samples_;
    size_t length_;
};

}  // namespace isotonus
