#include "core/shape/chain.h"

#include <algorithm>
#include <cmath>
#include <cstring>
#include <numbers>

#include "core/audio/denormals.h"
#include "core/audio/kernels.h"
#include "core/decibels.h"
#include "core/shape/fields.h"
#include "core/shape/plugin_registry.h"

namespace isotonus {

namespace {

constexpr ParameterInfo common[] = {
    {"in", "", 0.0, 1.0, 1.0, ControlTaper::toggle, 0.0, false, toggle_words},
    {"mix", "%", 0.0, 100.0, 100.0, ControlTaper::linear, 0.5, false, {}},
    {"input_db", "dB", -24.0, 24.0, 0.0, ControlTaper::linear, 0.1, false, {}},
    {"output_db", "dB", -24.0, 24.0, 0.0, ControlTaper::linear, 0.1, false, {}},
};
enum { in_at, mix_at, input_at, output_at, common_count };

}  // namespace

std::span<const ParameterInfo> common_parameters() { return common; }

const ParameterInfo* parameter_of(const Processor& processor, std::string_view id) {
    for (const ParameterInfo& p : common)
        if (id == p.id) return &p;
    const ProcessorType* type = processor_type(processor.type);
    return type ? type->find(id) : nullptr;
}

Processor new_insert(const ProcessorType& type, const Chain& chain, bool on_return) {
    Processor processor = new_processor(type, chain);
    const ParameterInfo* const mix = parameter_of(processor, "mix");
    if (on_return || !mix) return processor;
    for (const auto& [effect, percent] : {std::pair{"reverb", 20.0}, {"delay", 25.0}, {"modulation", 50.0}})
        if (processor.type == effect) set_value(processor, *mix, percent);
    return processor;
}

std::vector<const ParameterInfo*> parameters_of(const Processor& processor) {
    std::vector<const ParameterInfo*> all;
    for (const ParameterInfo& p : common) all.push_back(&p);
    if (const ProcessorType* type = processor_type(processor.type))
        for (const ParameterInfo& p : type->parameters) all.push_back(&p);
    return all;
}

double setting_of(const Processor& processor, const ParameterInfo& parameter) {
    if (&parameter == &common[in_at]) return processor.in ? 1.0 : 0.0;
    return value_of(processor, parameter);
}

void set_value(Processor& processor, const ParameterInfo& parameter, double value) {
    if (&parameter == &common[in_at])
        processor.in = value >= 0.5;
    else
        processor.values[parameter.id] = value;
}

namespace {

CurvePtr ride_of(const Rides& rides, const Processor& processor, const ParameterInfo& parameter) {
    return rides.heard(Parameter(parameter, processor.id));
}

}  // namespace

bool is_wanted(const Processor& p, const Rides& rides) { return p.in || ride_of(rides, p, common[in_at]); }

namespace {

/// It is in at some time, or changes the level while it is out.
bool is_at_work(const Processor& p, const Rides& rides) {
    if (!processor_type(p.type) || plugin_registry().fault(p.type)) return false;
    return is_wanted(p, rides) || (p.match && p.match_db != 0.0);
}

}  // namespace

bool does_anything(const Chain& chain, const Rides& rides) {
    return std::any_of(chain.begin(), chain.end(), [&](const Processor& p) { return is_at_work(p, rides); });
}

double tail_s(const Chain& chain, const Rides& rides) {
    double all = 0.0;
    for (const Processor& p : chain) {
        const ProcessorType* type = processor_type(p.type);
        if (!is_at_work(p, rides) || !type->tail_s || (!p.in && !ride_of(rides, p, common[in_at]))) continue;
        // Where a value rides, the highest counts: more of each makes a tail longer.
        std::vector<double> values;
        for (const ParameterInfo& info : type->parameters) {
            values.push_back(value_of(p, info));
            if (const CurvePtr ride = ride_of(rides, p, info))
                for (const RidePoint& point : ride->points) values.back() = std::max(values.back(), point.value);
        }
        all += type->tail_s(p, values);
    }
    return all;
}

/// A processor at work.
struct ChainRun::Step {
    size_t position = 0;
    std::vector<const ParameterInfo*> parameters;  ///< the common ones first
    std::vector<double> values;
    std::vector<CurvePtr> rides;
    bool ridden = false, by_level = false, judged = false, looks_ahead = false, linear = false, first = true;
    double match_gain = 1.0;
    std::unique_ptr<Running> running;
    int upstream = 0;  ///< frames by which its input is late
    int key = -1;      ///< place in keys; -1: its own input
    Passed passed;
    float reductions_db[stretch_cells] = {};
    /// What passes beside it, as late as what passes through it.
    std::vector<float> line;
    struct Gains {
        float input = 1.0f, output = 1.0f, wet = 1.0f, dry = 0.0f;
        bool operator==(const Gains&) const = default;
    } from, to;

    float curve_of(float a, float b, int i) const { return a + (b - a) * static_cast<float>(i + 1) / cell_frames; }
};

ChainRun::ChainRun(const Chain& chain, const Rides& rides, int channels, double sample_rate,
                   const std::set<size_t>& judged)
    : channels_(channels), rate_(sample_rate) {
    for (size_t position = 0; position < chain.size(); ++position) {
        const Processor& p = chain[position];
        if (!is_at_work(p, rides)) continue;
        const ProcessorType& type = *processor_type(p.type);
        auto step = std::make_unique<Step>();
        step->position = position;
        step->parameters = parameters_of(p);
        for (const ParameterInfo* info : step->parameters) {
            step->values.push_back(setting_of(p, *info));
            step->rides.push_back(ride_of(rides, p, *info));
            step->ridden |= step->rides.back() != nullptr;
        }
        step->match_gain = p.match ? gain_from_db(p.match_db) : 1.0;
        step->running = type.start(p, channels, sample_rate);
        // Its latency follows from what is set, not from what rides.
        step->running->set(std::span(step->values).subspan(common_count));
        step->upstream = latency_;
        const bool always_out = !p.in && !step->rides[in_at];
        const int latency = always_out ? 0 : step->running->latency();
        step->line.resize(static_cast<size_t>(latency * channels));
        step->by_level = type.by_level;
        step->looks_ahead = type.looks_ahead;
        step->linear = type.linear;
        latency_ += latency;
        step->judged = judged.contains(position);
        if (step->judged || (type.keyed && p.key != 0)) {
            step->key = static_cast<int>(keys_.size());
            keys_.push_back({p.key, step->upstream});
            if (step->judged) keys_.back().judged = position;
        }
        steps_.push_back(std::move(step));
    }
}

namespace {

/// Of a cell: sums side by side do not wait for each other.
ISOTONUS_WIDE double square_of(const float* x, int samples) {
    constexpr int side_by_side = 16;
    static_assert(cell_frames % side_by_side == 0);
    double sums[side_by_side] = {}, sum = 0.0;
    for (int at = 0; at < samples; at += side_by_side)
        for (int i = 0; i < side_by_side; ++i)
            sums[i] += static_cast<double>(x[at + i]) * static_cast<double>(x[at + i]);
    for (const double part : sums) sum += part;
    return sum;
}

}  // namespace

ChainRun::ChainRun(ChainRun&&) noexcept = default;
ChainRun::~ChainRun() = default;

/// Values at a frame of the song, for the end of a cell; the first time for its start.
void ChainRun::set_values(Step& step, int64_t frame) {
    const double time_s = static_cast<double>(frame - step.upstream) / rate_;
    std::vector<double>& v = step.values;
    for (size_t i = 0; i < v.size(); ++i)
        if (step.rides[i]) v[i] = step.rides[i]->value_at(std::max(0.0, time_s));
    const bool in = v[in_at] >= 0.5;
    const double mix = in ? v[mix_at] / 100.0 : 0.0;
    step.from = step.to;
    step.to = {static_cast<float>(gain_from_db(v[input_at])), static_cast<float>(gain_from_db(v[output_at])),
               static_cast<float>(mix), static_cast<float>((1.0 - mix) * (in ? 1.0 : step.match_gain))};
    if (std::exchange(step.first, false)) step.from = step.to;
    step.running->set(std::span(v).subspan(common_count));
}

void ChainRun::begin(int64_t cell) {
    cell_ = cell;
    for (auto& step : steps_) {
        const auto bytes = step->running->memory();
        std::fill(bytes.begin(), bytes.end(), std::byte{0});
        std::fill(step->line.begin(), step->line.end(), 0.0f);
        step->first = true;
        step->running->restart();
        set_values(*step, cell * cell_frames);
    }
}

size_t ChainRun::memory_bytes() const {
    size_t bytes = 0;
    for (const auto& step : steps_) bytes += step->running->memory().size() + step->line.size() * sizeof(float);
    return bytes;
}

std::vector<std::byte> ChainRun::memory() const {
    std::vector<std::byte> all;
    all.reserve(memory_bytes());
    for (const auto& step : steps_) {
        const auto bytes = step->running->memory(), line = std::as_writable_bytes(std::span(step->line));
        all.insert(all.end(), bytes.begin(), bytes.end());
        all.insert(all.end(), line.begin(), line.end());
    }
    return all;
}

void ChainRun::go_on(int64_t cell, std::span<const std::byte> memory) {
    begin(cell);
    for (auto& step : steps_) {
        for (const auto bytes : {step->running->memory(), std::as_writable_bytes(std::span(step->line))}) {
            std::copy_n(memory.begin(), bytes.size(), bytes.begin());
            memory = memory.subspan(bytes.size());
        }
    }
}

void ChainRun::process(float* samples, int cells, std::span<const float* const> keys,
                       std::span<const int> key_channels) {
    const NoDenormals none;
    const int64_t begun = std::exchange(cell_, cell_ + cells);
    if (!watching_) {
        for (auto& step : steps_) pass(*step, samples, cells, keys, key_channels);
        return;
    }
    const int all = cells * cell_frames * channels_, of_cell = cell_frames * channels_;
    const auto square = [&] {
        double sum = 0.0;
        for (int64_t n = weighed_cells - 1 - begun % weighed_cells; n < cells; n += weighed_cells)
            sum += square_of(samples + n * of_cell, of_cell);
        return sum;
    };
    double before = square();
    for (auto& step : steps_) {
        pass(*step, samples, cells, keys, key_channels);
        step->passed.peak = std::max(step->passed.peak, kernels::peak(samples, static_cast<size_t>(all)));
        step->passed.square_in += before;
        step->passed.square_out += before = square();
    }
}

void ChainRun::pass(Step& step, float* samples, int cells, std::span<const float* const> keys,
                    std::span<const int> key_channels) {
    const float* const key = step.key < 0 ? nullptr : keys[static_cast<size_t>(step.key)];
    const int wide = step.key < 0 ? channels_ : key_channels[static_cast<size_t>(step.key)];
    const int at_once = step.ridden || !step.running->supports_batches() ? 1 : cells;
    for (int cell = 0; cell < cells; cell += at_once) {
        const bool in = pass_at_once(step, cell_ - cells + cell + at_once, samples + cell * cell_frames * channels_,
                                     at_once, key ? key + cell * cell_frames * wide : nullptr, wide);
        for (int n = 0; n < at_once; ++n) step.reductions_db[cell + n] = in ? step.running->reduction_db(n) : 0.0f;
    }
}

/// Cells that end where this one of the song begins; if they are more than one, nothing glides.  Tells whether they
/// went through the processor.
bool ChainRun::pass_at_once(Step& step, int64_t ends_at, float* cell, int cells, const float* others, int wide) {
    const int frames = cells * cell_frames;
    const auto samples = static_cast<size_t>(frames * channels_);
    float late[2 * stretch_frames], dry[2 * stretch_frames];
    if (step.ridden)
        set_values(step, ends_at * cell_frames);
    else
        step.from = step.to;
    const Step::Gains &from = step.from, &to = step.to;
    const bool still = from == to;
    const bool through = !still || to.wet != 0.0f, beside = !still || to.dry != 0.0f;
    // The line: what came in `latency` frames ago, and what comes in goes to its end.
    const float* beside_it = cell;
    if (!step.line.empty()) {
        std::vector<float>& line = step.line;
        const size_t length = line.size();
        for (size_t i = 0; i < samples; ++i) late[i] = i < length ? line[i] : cell[i - length];
        if (length > samples) {
            std::memmove(line.data(), line.data() + samples, (length - samples) * sizeof(float));
            std::memcpy(line.data() + length - samples, cell, samples * sizeof(float));
        } else {
            std::memcpy(line.data(), cell + samples - length, length * sizeof(float));
        }
        beside_it = late;
    }
    if (beside) std::memcpy(dry, beside_it, samples * sizeof(float));
    if (!through) {
        for (size_t i = 0; i < samples; ++i) cell[i] = to.dry == 1.0f ? dry[i] : dry[i] * to.dry;
        return false;
    }
    const auto gain = [&](float* x, float a, float b) {
        if (a == 1.0f && b == 1.0f) return;
        for (int i = 0; i < frames; ++i)
            for (int c = 0; c < channels_; ++c) x[i * channels_ + c] *= step.curve_of(a, b, i);
    };
    float key[2 * stretch_frames];
    gain(cell, from.input, to.input);
    const float* listened = others && !step.judged ? others : key;
    const bool gets_late = step.looks_ahead && !step.line.empty();
    // A processor that only may go by another channel gets nothing while it goes by none.
    if (!others && !step.by_level) listened = nullptr;
    if (!others && step.by_level) {
        if (step.running->supports_batches() && !gets_late)
            listened = cell;
        else
            std::memcpy(key, cell, samples * sizeof(float));
    }
    if (step.judged) {
        std::memcpy(key, others, samples * sizeof(float));
        gain(key, from.input, to.input);
    }
    if (gets_late) {
        std::memcpy(cell, late, samples * sizeof(float));
        gain(cell, from.input, to.input);
    }
    step.running->process(cell, frames, listened, wide);
    gain(cell, from.output, to.output);
    if (!beside) return true;
    for (int i = 0; i < frames; ++i) {
        const float wet_gain = step.curve_of(from.wet, to.wet, i), dry_gain = step.curve_of(from.dry, to.dry, i);
        for (int c = 0; c < channels_; ++c) {
            const int at = i * channels_ + c;
            cell[at] = cell[at] * wet_gain + dry[at] * dry_gain;
        }
    }
    return true;
}

size_t ChainRun::steps() const { return steps_.size(); }
size_t ChainRun::position_of(size_t step) const { return steps_[step]->position; }
float ChainRun::reduction_db(size_t step, int cell) const { return steps_[step]->reductions_db[cell]; }

bool ChainRun::begun_again() const {
    return std::any_of(steps_.begin(), steps_.end(), [](const auto& step) { return step->running->begun_again(); });
}

std::string ChainRun::fault(size_t step) const { return steps_[step]->running->fault(); }

const ChainRun::Passed& ChainRun::passed(size_t step) const { return steps_[step]->passed; }

double ChainRun::response_db(double hz) const {
    std::complex<double> all = 1.0;
    for (const auto& step : steps_) {
        if (!step->linear || step->to.wet == 0.0f) continue;
        const Step::Gains& g = step->to;
        const double through = static_cast<double>(g.wet * g.input * g.output);
        all *= static_cast<double>(g.dry) + through * step->running->response(2.0 * std::numbers::pi * hz / rate_);
    }
    return db_from_gain(std::max(1e-6, std::abs(all)));
}

}  // namespace isotonus
