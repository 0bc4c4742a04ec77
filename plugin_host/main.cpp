// isotonus-plugin-host: looks at LV2 plug-ins and runs them, so that one that crashes or hangs takes only this process
// with it.  --scan answers one line of JSON for each thing that it is about to do or has found; --run speaks as
// core/foreign/protocol.h says.
#include <fcntl.h>
#include <lv2/core/lv2.h>
#include <lv2/port-props/port-props.h>
#include <lv2/units/units.h>
#include <sys/mman.h>
#include <sys/socket.h>
#include <unistd.h>

#include <cmath>
#include <csignal>
#include <cstdlib>
#include <cstring>
#include <filesystem>
#include <map>
#include <nlohmann/json.hpp>
#include <set>

#include "plugin_host/lockdown.h"
#include "plugin_host/plugin.h"

namespace {

using namespace isotonus::foreign;
using isotonus::translatable;
using nlohmann::json;
namespace fs = std::filesystem;

constexpr const char* help =
    R"(Runs LV2 plug-ins for Isotonus, apart from it. Isotonus starts this program; you need not.

Usage: isotonus-plugin-host --scan [--skip URI]... [--only URI]... [--describe] BUNDLE...
       isotonus-plugin-host --run

Options:
  --scan       Describes the plug-ins of the bundles, one line of JSON for each.
  --describe   Starts no plug-in while describing.
  --skip URI   Leaves a plug-in out.
  --only URI   Starts this plug-in only.
  --run        Runs one plug-in over the socket that Isotonus has opened.
  --help       Prints this help message.
  --version    Prints the version.)";

/// Where what this program itself says goes: plug-ins may write to standard output as they like.
FILE* own_output = nullptr;

void answer(const json& line) {
    const std::string text = line.dump(-1, ' ', false, json::error_handler_t::replace) + "\n";
    std::fwrite(text.data(), 1, text.size(), own_output);
    std::fflush(own_output);
}

class World {
  public:
    World() : world_(lilv_world_new()) {
        // Classes and units are named by the specifications, which are bundles beside the plug-ins'.
        for (const char* name : {"lv2core.lv2", "core.lv2", "units.lv2"})
            for (const fs::path root : {"/usr/lib/lv2", "/usr/local/lib/lv2"})
                if (std::error_code none; fs::exists(root / name, none)) load(root / name);
        lilv_world_load_specifications(world_);
        lilv_world_load_plugin_classes(world_);
    }
    ~World() {
        for (const auto& [text, node] : nodes_) lilv_node_free(node);
        lilv_world_free(world_);
    }
    World(const World&) = delete;
    World& operator=(const World&) = delete;
    LilvWorld* get() const { return world_; }
    void load(const fs::path& bundle) {
        LilvNode* const folder = lilv_new_file_uri(world_, nullptr, (bundle.string() + "/").c_str());
        lilv_world_load_bundle(world_, folder);
        lilv_node_free(folder);
    }
    const LilvPlugin* find(const std::string& uri) const {
        LilvNode* const node = lilv_new_uri(world_, uri.c_str());
        const LilvPlugin* const found =
            node ? lilv_plugins_get_by_uri(lilv_world_get_all_plugins(world_), node) : nullptr;
        lilv_node_free(node);
        return found;
    }
    LilvNode* uri(const char* text) {
        LilvNode*& node = nodes_[text];
        if (!node) node = lilv_new_uri(world_, text);
        return node;
    }

  private:
    LilvWorld* world_;
    std::map<std::string, LilvNode*> nodes_;
};

std::string text_of(LilvNode* node) {
    const std::string text = node && lilv_node_as_string(node) ? lilv_node_as_string(node) : "";
    lilv_node_free(node);
    return text;
}

std::string unit_of(World& world, const LilvPlugin* plugin, const LilvPort* port) {
    if (lilv_port_has_property(plugin, port, world.uri(LV2_CORE__sampleRate))) return "of the rate";
    LilvNode* const unit = lilv_port_get(plugin, port, world.uri(LV2_UNITS__unit));
    if (!unit) return "";
    std::string symbol = text_of(lilv_world_get(world.get(), unit, world.uri(LV2_UNITS__symbol), nullptr));
    lilv_node_free(unit);
    return symbol;
}

json parameter_json(World& world, const LilvPlugin* plugin, const LilvPort* port) {
    LilvNode *rest = nullptr, *low = nullptr, *high = nullptr;
    lilv_port_get_range(plugin, port, &rest, &low, &high);
    const auto number = [](LilvNode* node, double otherwise) {
        const double value = node && (lilv_node_is_float(node) || lilv_node_is_int(node))
                                 ? static_cast<double>(lilv_node_as_float(node))
                                 : otherwise;
        lilv_node_free(node);
        return std::isfinite(value) ? value : otherwise;
    };
    json j{{"symbol", lilv_node_as_string(lilv_port_get_symbol(plugin, port))},
           {"name", text_of(lilv_port_get_name(plugin, port))},
           {"unit", unit_of(world, plugin, port)},
           {"low", number(low, 0.0)},
           {"high", number(high, 1.0)}};
    j["rest"] = number(rest, j["low"].get<double>());
    const auto has = [&](const char* property) { return lilv_port_has_property(plugin, port, world.uri(property)); };
    j["toggled"] = has(LV2_CORE__toggled);
    j["integer"] = has(LV2_CORE__integer);
    j["enumeration"] = has(LV2_CORE__enumeration);
    j["logarithmic"] = has(LV2_PORT_PROPS__logarithmic);
    json points = json::array();
    if (LilvScalePoints* const all = lilv_port_get_scale_points(plugin, port)) {
        LILV_FOREACH(scale_points, at, all) {
            const LilvScalePoint* const point = lilv_scale_points_get(all, at);
            points.push_back({{"label", lilv_node_as_string(lilv_scale_point_get_label(point))},
                              {"value", lilv_node_as_float(lilv_scale_point_get_value(point))}});
        }
        lilv_scale_points_free(all);
    }
    j["points"] = points;
    return j;
}

json plugin_json(World& world, const LilvPlugin* plugin) {
    json j{{"uri", lilv_node_as_uri(lilv_plugin_get_uri(plugin))},
           {"name", text_of(lilv_plugin_get_name(plugin))},
           {"class", text_of(lilv_node_duplicate(lilv_plugin_class_get_label(lilv_plugin_get_class(plugin))))},
           {"author", text_of(lilv_plugin_get_author_name(plugin))},
           {"fault", why_not(world.get(), plugin)}};
    for (const char* part : {LV2_CORE__minorVersion, LV2_CORE__microVersion}) {
        LilvNodes* const found = lilv_plugin_get_value(plugin, world.uri(part));
        LilvNode* const number = found ? lilv_node_duplicate(lilv_nodes_get_first(found)) : nullptr;
        const std::string before = j.value("version", "");
        j["version"] = before + (before.empty() ? "" : ".") + text_of(number);
        lilv_nodes_free(found);
    }
    json parameters = json::array();
    int channels = 0;
    for (uint32_t n = 0; n < lilv_plugin_get_num_ports(plugin); ++n) {
        const LilvPort* const port = lilv_plugin_get_port_by_index(plugin, n);
        const bool input = lilv_port_is_a(plugin, port, world.uri(LV2_CORE__InputPort));
        if (input && lilv_port_is_a(plugin, port, world.uri(LV2_CORE__AudioPort)) &&
            !lilv_port_has_property(plugin, port, world.uri(LV2_CORE__connectionOptional)))
            ++channels;
        if (input && lilv_port_is_a(plugin, port, world.uri(LV2_CORE__ControlPort)) &&
            !is_hosts_own(world.get(), plugin, port))
            parameters.push_back(parameter_json(world, plugin, port));
    }
    j["channels"] = channels;
    j["parameters"] = std::move(parameters);
    return j;
}

struct Scan {
    std::vector<std::string> bundles;
    std::set<std::string> skipped, only;
    bool describe = false;
};

/// Each is started once and runs for a moment: what cannot do that is told before anybody relies on it.
int scan(const Scan& wanted) {
    World world;
    std::set<std::string> seen;
    for (const std::string& bundle : wanted.bundles) {
        answer({{"bundle", bundle}});
        world.load(bundle);
        const LilvPlugins* const all = lilv_world_get_all_plugins(world.get());
        LILV_FOREACH(plugins, at, all) {
            const LilvPlugin* const plugin = lilv_plugins_get(all, at);
            const std::string uri = lilv_node_as_uri(lilv_plugin_get_uri(plugin));
            if (!seen.insert(uri).second || wanted.skipped.contains(uri)) continue;
            json found = plugin_json(world, plugin);
            found["bundle"] = bundle;
            answer({{"plugin", found}});
            if (found["fault"] != "" || wanted.describe) continue;
            if (!wanted.only.empty() && !wanted.only.contains(uri)) continue;
            answer({{"tried", uri}});
            std::vector<std::string> symbols;
            std::vector<float> values;
            for (const json& p : found["parameters"]) {
                symbols.push_back(p["symbol"]);
                values.push_back(p["rest"]);
            }
            std::string fault;
            const auto running = RunningPlugin::start(world.get(), plugin, 2, 48000.0, symbols, fault);
            if (running) {
                float audio[2 * run_frames] = {};
                running->run(audio, values.data());
                if (running->latency() < 0) fault = translatable("the plug-in reports an impossible latency");
            }
            answer({{"done", uri}, {"fault", fault}});
        }
    }
    return 0;
}

/// One plug-in, until the other end is closed.
int run() {
    void* const memory = mmap(nullptr, sizeof(Shared), PROT_READ | PROT_WRITE, MAP_SHARED, memory_handle, 0);
    if (memory == MAP_FAILED) return 1;
    auto* const shared = static_cast<Shared*>(memory);
    const auto complain = [shared](const std::string& why) {
        std::strncpy(shared->text, why.c_str(), max_text - 1);
        return Answer{1, 0};
    };
    World world;
    std::unique_ptr<RunningPlugin> plugin;
    int channels = 2;
    for (Question question; recv(socket_handle, &question, sizeof question, MSG_WAITALL) == sizeof question;) {
        Answer answer;
        if (question.ask == Ask::start) {
            const json what = json::parse(shared->text, nullptr, false);
            std::string fault = translatable("the plug-in is not installed");
            channels = question.channels;
            plugin.reset();
            if (!what.is_discarded()) {
                if (!world.find(what.at("uri"))) world.load(what.at("bundle").get<std::string>());
                if (const LilvPlugin* found = world.find(what.at("uri")))
                    plugin = RunningPlugin::start(world.get(), found, channels, question.sample_rate,
                                                  what.at("symbols"), fault);
            }
            if (plugin) {
                // Plug-ins say how late they are once they have run.
                float audio[2 * run_frames] = {};
                plugin->run(audio, shared->values[0]);
                plugin->restart();
                answer.latency = plugin->latency();
            } else {
                answer = complain(fault);
            }
        } else if (!plugin) {
            answer = complain(translatable("the plug-in was not started"));
        } else {
            for (int n = 0; n < batch_runs; ++n)
                plugin->run(shared->audio + n * run_frames * channels, shared->values[n]);
            answer.latency = plugin->latency();
        }
        if (send(socket_handle, &answer, sizeof answer, MSG_NOSIGNAL) != sizeof answer) break;
    }
    return 0;
}

}  // namespace

int main(int argc, char** argv) {
    own_output = fdopen(dup(STDOUT_FILENO), "w");
    const std::string what = argc > 1 ? argv[1] : "";
    if (what == "--version") return std::puts("isotonus-plugin-host " ISOTONUS_VERSION) < 0;
    if (what == "--help") return std::puts(help) < 0;
    if (what != "--run" && what != "--scan") {
        std::fprintf(stderr, "%s\n", help);
        return 2;
    }
    const int no_output = open("/dev/null", O_RDWR);
    dup2(no_output, STDIN_FILENO);
    dup2(no_output, STDOUT_FILENO);
    dup2(no_output, STDERR_FILENO);
    end_with(what == "--run" ? socket_handle : fileno(own_output));
    if (!give_up_rights()) {
        if (what == "--scan")
            answer({{"refused",
                     translatable("this system does not let the plug-in host give up its rights. Update the kernel "
                                  "to use plug-ins.")}});
        return host_is_refused;
    }
    if (what == "--run") return run();
    Scan wanted;
    for (int n = 2; n < argc; ++n) {
        const std::string word = argv[n];
        const bool named = n + 1 < argc;
        if (word == "--describe")
            wanted.describe = true;
        else if (word == "--skip" && named)
            wanted.skipped.insert(argv[++n]);
        else if (word == "--only" && named)
            wanted.only.insert(argv[++n]);
        else
            wanted.bundles.push_back(word);
    }
    const int done = scan(wanted);
    // All is said: what plug-ins do when a program ends is no fault of theirs here.
    std::fflush(own_output);
    std::_Exit(done);
}
