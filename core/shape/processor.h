// core/shape: what shapes the sound of a row: processors, chains of them, and the signals that come of it.
//
// A processor is one pair of files: plain settings whose fields are named once, a state that can be copied, and a
// function that works on one cell of frames.  Here: what a session keeps of one, and what all have in common.
#pragma once

#include <complex>
#include <filesystem>
#include <map>
#include <memory>
#include <span>
#include <string>
#include <string_view>
#include <vector>

#include "core/ride/parameter.h"
#include "core/unknown_keys.h"

namespace isotonus {

/// Frames of a cell: parameters change from one cell to the next, and cells begin at the song's start, so that blocks
/// cannot be heard.
inline constexpr int cell_frames = 32;
/// Cells that may be worked on at once where nothing changes from one to the next; the samples are the same.
inline constexpr int stretch_cells = 32, stretch_frames = stretch_cells * cell_frames;

/// A processor as the user set it.
struct Processor {
    uint64_t id = 0;        ///< never used twice in its row
    std::string type;       ///< as in the registry; others come from a newer version, are kept, and do nothing.  Of a
                            ///< plug-in "lv2:" and its URI
    bool in = true;         ///< out: what comes in goes out, times the match gain when it matches
    bool match = true;      ///< while it is out, it is as loud as it is when it is in
    double match_db = 0.0;  ///< what that takes: the loudness after it less that before it, from the whole song
    uint64_t key = 0;       ///< the row whose level it listens to; 0: its own
    std::filesystem::path impulse;  ///< of a reverb: a room from a file, in place of the one that it computes
    std::map<std::string, double, std::less<>> values;  ///< by parameter; what is not here rests
    UnknownKeys unknown = nullptr;
    bool operator==(const Processor&) const = default;
};

/// Processors of a row, in the order in which they are passed.
using Chain = std::vector<Processor>;

/// Null for 0 and for one that is not there.
const Processor* find_processor(const Chain* chain, uint64_t id);

/// What the user hears as loud as before, -48 … +48 dB.
inline constexpr double match_max_db = 48.0;

/// How a processor works on what passes through it.
class Running {
  public:
    virtual ~Running() = default;
    /// Values at the next cell's end, in the order of the type's parameters; the first time those at its start.
    virtual void set(std::span<const double> values) = 0;
    /// The next `set` is a first one.
    virtual void restart() = 0;
    /// One cell, interleaved, in place; `key` is what it listens to, interleaved; null for one that goes by no level of
    /// its own and has no sidechain source.  Where it takes stretches, as many cells as a stretch has, if what was set
    /// last was a first time or the same as before; its key may be the samples themselves.
    virtual void process(float* cells, int frames, const float* key, int key_channels) = 0;
    virtual bool supports_batches() const { return false; }
    /// Frames by which its output is late, or by which it looks ahead; does not change after the first `set`.
    virtual int latency() const = 0;
    /// What it remembers, as bytes that can be kept and given back.
    virtual std::span<std::byte> memory() = 0;
    /// The deepest reduction of a cell that was processed last, dB, 0 or below.
    virtual float reduction_db(int cell) const = 0;
    /// What a linear one does to a frequency (radians a frame) that both sides have in common, as it was last set.
    virtual std::complex<double> response(double radians) const = 0;
    /// It lost what it remembered in the middle and went on: good enough for the ear, not for what is kept.
    virtual bool begun_again() const { return false; }
    /// Why it lets through what comes in, in a sentence; empty: it does not.
    virtual std::string fault() const { return {}; }
};

/// What is known of a type of processor.
struct ProcessorType {
    const char* id;    ///< in session files and on the command line
    const char* word;  ///< short, for the chain in a row
    std::vector<ParameterInfo> parameters;
    bool keyed = false;        ///< may have a sidechain source
    bool by_level = false;     ///< what it does follows from a level, its own without a source, and is a gain
    bool linear = false;       ///< twice the input gives twice the output
    bool looks_ahead = false;  ///< its latency is a look ahead: it gets its samples late, and its key at once
    std::unique_ptr<Running> (*start)(const Processor& processor, int channels, double sample_rate) = nullptr;
    /// How long it rings on after its input has ended, s, with these values, in the order of the parameters; null: not.
    double (*tail_s)(const Processor& processor, std::span<const double> values) = nullptr;
    /// How many times the highest sample that has come in may come out at most, with these values (infinity: not
    /// known); null: as chain_bound.h finds out.
    double (*max_gain)(std::span<const double> values) = nullptr;
    /// What comes out at most, linear, whatever comes in; null: no such thing.
    double (*ceiling)(std::span<const double> values) = nullptr;

    const ParameterInfo* find(std::string_view parameter) const;
};

/// It turns down what is loud, and knows by how much.
inline bool turns_down(const ProcessorType& type) { return (type.keyed && type.by_level) || type.looks_ahead; }

/// All types, in the order in which they are offered.
std::span<const ProcessorType* const> processor_types();
/// Also of a plug-in (plugin_registry.h).  Null for a type that this version does not know.
const ProcessorType* processor_type(std::string_view id);

/// A type as people say it: its word; of a plug-in that is not known its URI.
std::string word_of(std::string_view type);

/// The value of a parameter: as it was set, or at rest.
double value_of(const Processor& processor, const ParameterInfo& parameter);

/// A processor of this type with everything at rest.
Processor new_processor(const ProcessorType& type, const Chain& chain);

/// As people say it: "2.5 dB", "120 Hz", "tanh".
std::string value_text(const ParameterInfo& parameter, double value);
/// Whether its choices are slopes of a filter, in dB an octave.
bool is_slope(const ParameterInfo& parameter);
/// The same for people: a slope has its unit.
std::string shown_value(const ParameterInfo& parameter, double value);
/// And back: a number in the parameter's unit, or one of its words.  Nothing when it is neither or out of range.
std::optional<double> value_from_text(const ParameterInfo& parameter, std::string_view text);

}  // namespace isotonus
