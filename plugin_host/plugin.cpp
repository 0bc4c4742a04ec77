#include "plugin_host/plugin.h"

#include <lv2/atom/atom.h>
#include <lv2/buf-size/buf-size.h>
#include <lv2/core/lv2.h>
#include <lv2/log/log.h>
#include <lv2/options/options.h>
#include <lv2/parameters/parameters.h>
#include <lv2/port-props/port-props.h>
#include <lv2/state/state.h>
#include <lv2/urid/urid.h>
#include <lv2/worker/worker.h>

#include <algorithm>
#include <cmath>
#include <cstring>
#include <map>
#include <set>
#include <utility>

namespace isotonus::foreign {

namespace {

/// A URI as lilv wants it.
class Node {
  public:
    Node(LilvWorld* world, const char* uri) : node_(lilv_new_uri(world, uri)) {}
    ~Node() { lilv_node_free(node_); }
    Node(const Node&) = delete;
    Node& operator=(const Node&) = delete;
    operator const LilvNode*() const { return node_; }

  private:
    LilvNode* node_;
};

struct Numbers {
    std::map<std::string, uint32_t> numbers;
    std::vector<const char*> uris;
};

Numbers& numbers() {
    static Numbers all;
    return all;
}

LV2_URID map_uri(LV2_URID_Map_Handle, const char* uri) { return number_of(uri); }

const char* unmap_uri(LV2_URID_Unmap_Handle, LV2_URID urid) {
    const auto& uris = numbers().uris;
    return urid >= 1 && urid <= uris.size() ? uris[urid - 1] : nullptr;
}

// What plug-ins want to say is nothing that this host can show.
int log_nothing(LV2_Log_Handle, LV2_URID, const char*, ...) { return 0; }
int log_nothing_either(LV2_Log_Handle, LV2_URID, const char*, va_list) { return 0; }

constexpr uint32_t sequence_bytes = 8192;

bool is(LilvWorld* world, const LilvPlugin* plugin, const LilvPort* port, const char* type) {
    return lilv_port_is_a(plugin, port, Node(world, type));
}

bool has(LilvWorld* world, const LilvPlugin* plugin, const LilvPort* port, const char* property) {
    return lilv_port_has_property(plugin, port, Node(world, property));
}

bool is_side_chain(LilvWorld* world, const LilvPlugin* plugin, const LilvPort* port) {
    return has(world, plugin, port, LV2_CORE_PREFIX "isSideChain") ||
           has(world, plugin, port, LV2_CORE__connectionOptional);
}

/// What this host offers; plug-ins that require more are not run.
const std::set<std::string>& offered() {
    static const std::set<std::string> all{LV2_URID__map,
                                           LV2_URID__unmap,
                                           LV2_OPTIONS__options,
                                           LV2_BUF_SIZE__boundedBlockLength,
                                           LV2_BUF_SIZE__fixedBlockLength,
                                           LV2_BUF_SIZE__powerOf2BlockLength,
                                           LV2_BUF_SIZE_PREFIX "coarseBlockLength",
                                           LV2_WORKER__schedule,
                                           LV2_LOG__log,
                                           LV2_STATE__loadDefaultState,
                                           LV2_CORE__hardRTCapable,
                                           LV2_CORE__inPlaceBroken,
                                           LV2_CORE__isLive};
    return all;
}

}  // namespace

uint32_t number_of(const char* uri) {
    Numbers& all = numbers();
    const auto [at, added] = all.numbers.try_emplace(uri, static_cast<uint32_t>(all.numbers.size() + 1));
    if (added) all.uris.push_back(at->first.c_str());
    return at->second;
}

bool is_hosts_own(LilvWorld* world, const LilvPlugin* plugin, const LilvPort* port) {
    if (has(world, plugin, port, LV2_CORE__reportsLatency)) return true;
    LilvNode* const means = lilv_port_get(plugin, port, Node(world, LV2_CORE__designation));
    const std::string meaning = means && lilv_node_is_uri(means) ? lilv_node_as_uri(means) : "";
    lilv_node_free(means);
    return meaning == LV2_CORE__latency || meaning == LV2_CORE__enabled || meaning == LV2_CORE__freeWheeling;
}

std::string why_not(LilvWorld* world, const LilvPlugin* plugin) {
    int in = 0, out = 0, controls = 0;
    for (uint32_t n = 0; n < lilv_plugin_get_num_ports(plugin); ++n) {
        const LilvPort* const port = lilv_plugin_get_port_by_index(plugin, n);
        const bool input = is(world, plugin, port, LV2_CORE__InputPort);
        if (is(world, plugin, port, LV2_CORE__AudioPort)) {
            if (!is_side_chain(world, plugin, port)) ++(input ? in : out);
        } else if (is(world, plugin, port, LV2_CORE__ControlPort)) {
            if (input) ++controls;
        } else if (!is(world, plugin, port, LV2_ATOM__AtomPort) &&
                   !has(world, plugin, port, LV2_CORE__connectionOptional)) {
            return translatable("the plug-in has a port of an unknown kind");
        }
    }
    if (in != out || in < 1 || in > 2) return translatable("the plug-in is not an effect for one or two channels");
    if (controls > max_parameters) return translatable("the plug-in has too many parameters");
    std::string missing;
    LilvNodes* const required = lilv_plugin_get_required_features(plugin);
    LILV_FOREACH(nodes, at, required) {
        const char* const uri = lilv_node_as_uri(lilv_nodes_get(required, at));
        if (uri && !offered().contains(uri)) missing = uri;
    }
    lilv_nodes_free(required);
    return missing.empty() ? "" : "it requires what is not here (" + missing + ")";
}

/// The plug-in itself, for one or two channels.
struct RunningPlugin::Instance {
    LilvInstance* lilv = nullptr;
    std::vector<std::vector<float>> in, out;
    std::vector<float> controls;  ///< of all ports, by index
    std::vector<uint32_t> parameter_ports;
    int latency_port = -1;
    float silent[run_frames] = {}, unheard[run_frames] = {};
    std::vector<std::pair<uint32_t, std::vector<uint64_t>>> sequences;  ///< of atom ports
    std::set<uint32_t> written_sequences;
    const LV2_Worker_Interface* worker = nullptr;
    std::vector<std::vector<char>> responses;
    float block = run_frames;
    int32_t block_length = run_frames, sequence_size = sequence_bytes;
    float rate = 48000.0f;

    // Features, which must stay where they are.
    LV2_URID_Map map{nullptr, map_uri};
    LV2_URID_Unmap unmap{nullptr, unmap_uri};
    LV2_Log_Log log{nullptr, log_nothing, log_nothing_either};
    LV2_Worker_Schedule schedule{this, work};
    LV2_Options_Option options[6];
    LV2_Feature features[11];
    const LV2_Feature* all[12] = {};

    /// Nothing here is in real time: work is done when it is asked for, and answered after the run.
    static LV2_Worker_Status work(LV2_Worker_Schedule_Handle handle, uint32_t size, const void* data) {
        auto* const self = static_cast<Instance*>(handle);
        if (!self->worker || !self->worker->work) return LV2_WORKER_ERR_UNKNOWN;
        return self->worker->work(lilv_instance_get_handle(self->lilv), answer, self, size, data);
    }
    static LV2_Worker_Status answer(LV2_Worker_Respond_Handle handle, uint32_t size, const void* data) {
        const char* const bytes = static_cast<const char*>(data);
        static_cast<Instance*>(handle)->responses.emplace_back(bytes, bytes + size);
        return LV2_WORKER_SUCCESS;
    }

    explicit Instance(double sample_rate) : rate(static_cast<float>(sample_rate)) {
        const uint32_t whole = number_of(LV2_ATOM__Int), real = number_of(LV2_ATOM__Float);
        const auto option = [](const char* key, uint32_t type, const void* value) {
            return LV2_Options_Option{LV2_OPTIONS_INSTANCE, 0, number_of(key), 4, type, value};
        };
        options[0] = option(LV2_BUF_SIZE__minBlockLength, whole, &block_length);
        options[1] = option(LV2_BUF_SIZE__maxBlockLength, whole, &block_length);
        options[2] = option(LV2_BUF_SIZE__nominalBlockLength, whole, &block_length);
        options[3] = option(LV2_BUF_SIZE__sequenceSize, whole, &sequence_size);
        options[4] = option(LV2_PARAMETERS__sampleRate, real, &rate);
        options[5] = {LV2_OPTIONS_INSTANCE, 0, 0, 0, 0, nullptr};
        const LV2_Feature list[] = {{LV2_URID__map, &map},
                                    {LV2_URID__unmap, &unmap},
                                    {LV2_LOG__log, &log},
                                    {LV2_WORKER__schedule, &schedule},
                                    {LV2_OPTIONS__options, options},
                                    {LV2_BUF_SIZE__boundedBlockLength, nullptr},
                                    {LV2_BUF_SIZE__fixedBlockLength, nullptr},
                                    {LV2_BUF_SIZE__powerOf2BlockLength, nullptr},
                                    {LV2_BUF_SIZE_PREFIX "coarseBlockLength", nullptr},
                                    {LV2_STATE__loadDefaultState, nullptr},
                                    {LV2_CORE__isLive, nullptr}};
        static_assert(std::size(list) == std::size(decltype(features){}));
        for (size_t n = 0; n < std::size(list); ++n) {
            features[n] = list[n];
            all[n] = &features[n];
        }
    }
    ~Instance() {
        if (!lilv) return;
        lilv_instance_deactivate(lilv);
        lilv_instance_free(lilv);
    }

    void connect(LilvWorld* world, const LilvPlugin* plugin, const std::vector<std::string>& symbols) {
        const uint32_t ports = lilv_plugin_get_num_ports(plugin);
        controls.assign(ports, 0.0f);
        std::vector<float> defaults(ports, 0.0f);
        lilv_plugin_get_port_ranges_float(plugin, nullptr, nullptr, defaults.data());
        parameter_ports.assign(symbols.size(), UINT32_MAX);
        for (uint32_t n = 0; n < ports; ++n) {
            const LilvPort* const port = lilv_plugin_get_port_by_index(plugin, n);
            const bool input = lilv_port_is_a(plugin, port, Node(world, LV2_CORE__InputPort));
            if (is(world, plugin, port, LV2_CORE__AudioPort)) {
                if (is_side_chain(world, plugin, port)) {
                    lilv_instance_connect_port(lilv, n, input ? silent : unheard);
                } else {
                    auto& buffers = input ? in : out;
                    buffers.emplace_back(run_frames, 0.0f);
                    lilv_instance_connect_port(lilv, n, buffers.back().data());
                }
            } else if (is(world, plugin, port, LV2_CORE__ControlPort)) {
                controls[n] = std::isfinite(defaults[n]) ? defaults[n] : 0.0f;
                const std::string symbol = lilv_node_as_string(lilv_port_get_symbol(plugin, port));
                LilvNode* const means = lilv_port_get(plugin, port, Node(world, LV2_CORE__designation));
                if (means && lilv_node_equals(means, Node(world, LV2_CORE__enabled))) controls[n] = 1.0f;
                const bool latency = has(world, plugin, port, LV2_CORE__reportsLatency) ||
                                     (means && lilv_node_equals(means, Node(world, LV2_CORE__latency)));
                lilv_node_free(means);
                if (!input && latency) latency_port = static_cast<int>(n);
                for (size_t s = 0; s < symbols.size(); ++s)
                    if (input && symbols[s] == symbol) parameter_ports[s] = n;
                lilv_instance_connect_port(lilv, n, &controls[n]);
            } else if (is(world, plugin, port, LV2_ATOM__AtomPort)) {
                sequences.emplace_back(n, std::vector<uint64_t>(sequence_bytes / 8));
                if (!input) written_sequences.insert(n);
                lilv_instance_connect_port(lilv, n, sequences.back().second.data());
            } else {
                lilv_instance_connect_port(lilv, n, nullptr);
            }
        }
    }

    /// What a plug-in remembers besides its parameters is as its own data say.  Nothing here changes it: there are no
    /// windows of its own, and no messages.
    void load_default_state(LilvWorld* world, const LilvPlugin* plugin) {
        LilvState* const state = lilv_state_new_from_world(world, &map, lilv_plugin_get_uri(plugin));
        if (!state) return;
        lilv_state_restore(state, lilv, nullptr, nullptr, 0, all);
        lilv_state_free(state);
    }

    void run() {
        for (auto& [port, bytes] : sequences) {
            auto* const sequence = reinterpret_cast<LV2_Atom_Sequence*>(bytes.data());
            const bool written = written_sequences.contains(port);
            sequence->atom.type = number_of(written ? LV2_ATOM__Chunk : LV2_ATOM__Sequence);
            sequence->atom.size = written ? sequence_bytes - static_cast<uint32_t>(sizeof(LV2_Atom))
                                          : static_cast<uint32_t>(sizeof(LV2_Atom_Sequence_Body));
            sequence->body = {0, 0};
        }
        lilv_instance_run(lilv, run_frames);
        const auto answers = std::exchange(responses, {});
        if (!worker) return;
        for (const auto& bytes : answers)
            if (worker->work_response)
                worker->work_response(lilv_instance_get_handle(lilv), static_cast<uint32_t>(bytes.size()),
                                      bytes.data());
        if (worker->end_run) worker->end_run(lilv_instance_get_handle(lilv));
    }
};

RunningPlugin::~RunningPlugin() = default;

std::unique_ptr<RunningPlugin> RunningPlugin::start(LilvWorld* world, const LilvPlugin* plugin, int channels,
                                                    double rate, const std::vector<std::string>& symbols,
                                                    std::string& fault) {
    fault = why_not(world, plugin);
    if (!fault.empty()) return nullptr;
    std::unique_ptr<RunningPlugin> running(new RunningPlugin);
    running->channels_ = channels;
    running->scale_.assign(symbols.size(), 1.0f);
    for (size_t s = 0; s < symbols.size(); ++s) {
        LilvNode* const symbol = lilv_new_string(world, symbols[s].c_str());
        if (const LilvPort* port = lilv_plugin_get_port_by_symbol(plugin, symbol))
            if (has(world, plugin, port, LV2_CORE__sampleRate)) running->scale_[s] = static_cast<float>(rate);
        lilv_node_free(symbol);
    }
    do {
        auto instance = std::make_unique<Instance>(rate);
        instance->lilv = lilv_plugin_instantiate(plugin, rate, instance->all);
        if (!instance->lilv) {
            fault = translatable("the plug-in cannot be started");
            return nullptr;
        }
        instance->worker = static_cast<const LV2_Worker_Interface*>(
            lilv_instance_get_extension_data(instance->lilv, LV2_WORKER__interface));
        instance->connect(world, plugin, symbols);
        instance->load_default_state(world, plugin);
        running->own_channels_ = static_cast<int>(instance->in.size());
        lilv_instance_activate(instance->lilv);
        running->instances_.push_back(std::move(instance));
    } while (running->own_channels_ == 1 && static_cast<int>(running->instances_.size()) < channels);
    return running;
}

void RunningPlugin::restart() {
    for (const auto& i : instances_) {
        lilv_instance_deactivate(i->lilv);
        lilv_instance_activate(i->lilv);
    }
}

int RunningPlugin::latency() const {
    const Instance& first = *instances_.front();
    if (first.latency_port < 0) return 0;
    const float said = first.controls[static_cast<size_t>(first.latency_port)];
    return std::isfinite(said) && said >= 0.0f && said <= static_cast<float>(max_latency)
               ? static_cast<int>(std::lround(said))
               : -1;
}

void RunningPlugin::run(float* audio, const float* values) {
    const auto wide = static_cast<size_t>(channels_);
    for (size_t n = 0; n < instances_.size(); ++n) {
        Instance& i = *instances_[n];
        for (size_t p = 0; p < i.parameter_ports.size(); ++p)
            if (i.parameter_ports[p] != UINT32_MAX) i.controls[i.parameter_ports[p]] = values[p] * scale_[p];
        for (size_t c = 0; c < i.in.size(); ++c) {
            const size_t from = std::min(own_channels_ == 1 ? n : c, wide - 1);
            for (size_t f = 0; f < run_frames; ++f) i.in[c][f] = audio[f * wide + from];
        }
    }
    for (const auto& i : instances_) i->run();
    for (size_t f = 0; f < run_frames; ++f) {
        if (own_channels_ == 2 && channels_ == 1)  // a mono row hears the middle of what a stereo plug-in makes
            audio[f] = 0.5f * (instances_[0]->out[0][f] + instances_[0]->out[1][f]);
        else
            for (size_t c = 0; c < wide; ++c)
                audio[f * wide + c] = own_channels_ == 1 ? instances_[c]->out[0][f] : instances_[0]->out[c][f];
    }
}

}  // namespace isotonus::foreign
