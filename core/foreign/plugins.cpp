#include "core/foreign/plugins.h"

#include <fcntl.h>
#include <fmt/format.h>
#include <poll.h>
#include <signal.h>
#include <spawn.h>
#include <sys/wait.h>
#include <unistd.h>

#include <algorithm>
#include <chrono>
#include <cmath>
#include <cstring>
#include <deque>
#include <limits>
#include <map>
#include <mutex>
#include <nlohmann/json.hpp>
#include <set>

#include "core/files/artifact_cache.h"
#include "core/files/file_stamp.h"
#include "core/files/hash.h"
#include "core/foreign/host_process.h"
#include "core/foreign/plugin_running.h"
#include "core/shape/fields.h"

namespace isotonus {

using nlohmann::json;

namespace {

/// A fault is kept in English, since the list outlives the program, and is told in the user's language. What stands in
/// brackets at its end is a detail that has no other.
std::string told_fault(const std::string& english) {
    const size_t detail = english.find(" (");
    for (const char* known : {translatable("the plug-in crashed"), translatable("the plug-in did not answer in time"),
                              translatable("the plug-in needs a feature that Isotonus does not have")})
        if (detail != std::string::npos && english.compare(0, detail, known) == 0)
            return translated(known) + english.substr(detail);
    return translated(english.c_str());
}

/// What is known, for all threads.  Types, and the texts that they refer to, stay for as long as the program runs.
struct Registry {
    std::mutex mutex;
    bool loaded = false;
    /// As in the cache: by folder, {"stamp", "plugins", "wished", "missing"}.  Wished: the user let it be looked at.
    json bundles = json::object();
    std::vector<Plugin> plugins;
    std::deque<std::string> texts;
    std::deque<std::vector<const char*>> words;
    std::map<std::string, std::pair<std::string, std::unique_ptr<ProcessorType>>, std::less<>> types;
    std::map<std::string, std::string, std::less<>> faults;
    std::map<std::string, int, std::less<>> tries;

    const char* keep(std::string text) { return texts.emplace_back(std::move(text)).c_str(); }
};

Registry& registry() {
    static Registry* const all = new Registry;  // never destroyed: signals may be held until the very end
    return *all;
}

constexpr const char* list_key = "plugins 2";
fs::path list_file() { return artifact_file(Artifact::plugin_list, list_key); }

constexpr const char* taken_words[] = {"id",        "type", "uri",   "in",       "mix",   "input_db",
                                       "output_db", "key",  "match", "match_db", "rides", "file"};

ParameterInfo parameter_of_port(Registry& all, const json& port) {
    // A symbol that means something else to every processor is told apart.
    const std::string symbol = port.at("symbol");
    const bool taken = std::find(std::begin(taken_words), std::end(taken_words), symbol) != std::end(taken_words);
    ParameterInfo info{all.keep(taken ? "own." + symbol : symbol),
                       all.keep(port.at("unit")),
                       port.at("low"),
                       port.at("high"),
                       port.at("rest"),
                       ControlTaper::linear,
                       0.0,
                       false,
                       {}};
    info.name = all.keep(port.at("name"));
    if (info.high < info.low) std::swap(info.high, info.low);
    if (info.high == info.low) info.high = info.low + 1.0;
    info.rest = std::clamp(info.rest, info.low, info.high);
    info.tolerance = (info.high - info.low) / 200.0;
    if (port.at("logarithmic") == true && info.low > 0.0) info.law = ControlTaper::log;
    const json& points = port.at("points");
    const auto count = static_cast<double>(points.size());
    if (port.at("toggled") == true) {
        info.low = 0.0, info.high = 1.0, info.rest = info.rest > 0.0 ? 1.0 : 0.0;
        info.law = ControlTaper::toggle;
        info.words = toggle_words;
    } else if (port.at("enumeration") == true && points.size() >= 2 && info.low == 0.0 && info.high == count - 1.0) {
        // Words of values 0, 1, 2 …; others stay numbers.
        std::vector<const char*> words(points.size(), nullptr);
        for (const json& p : points) {
            const double value = p.at("value");
            if (value >= 0.0 && value < count && value == std::floor(value))
                words[static_cast<size_t>(value)] = all.keep(p.at("label"));
        }
        const auto same = [&](const char* a) {
            return !a || std::count_if(words.begin(), words.end(),
                                       [&](const char* b) { return b && std::strcmp(a, b) == 0; }) > 1;
        };
        if (std::none_of(words.begin(), words.end(), same)) {
            info.law = ControlTaper::choice;
            info.words = all.words.emplace_back(std::move(words));
        }
    }
    return info;
}

const ProcessorType* type_of(Registry& all, const json& found) {
    const std::string id = std::string(plugin_prefix) + found.at("uri").get<std::string>();
    auto& [described, type] = all.types[id];
    const std::string now = found.at("parameters").dump() + found.at("name").dump();
    if (type && described == now) return type.get();
    // One that has changed gets a new type; the old one stays for those who still hold it.
    static std::vector<std::unique_ptr<ProcessorType>> old;
    if (type) old.push_back(std::move(type));
    described = now;
    type = std::make_unique<ProcessorType>();
    type->id = all.keep(id);
    type->word = all.keep(found.at("name"));
    for (const json& port : found.at("parameters")) type->parameters.push_back(parameter_of_port(all, port));
    type->start = start_plugin;
    type->tail_s = [](const Processor&, std::span<const double>) { return plugin_tail_s; };
    type->max_gain = [](std::span<const double>) { return std::numeric_limits<double>::infinity(); };
    return type.get();
}

/// The list as the cache has it.
void take_list(Registry& all) {
    all.plugins.clear();
    for (const auto& [folder, bundle] : all.bundles.items())
        for (const json& found : bundle.at("plugins")) {
            Plugin p;
            p.uri = found.at("uri");
            p.name = found.at("name");
            p.kind = found.at("class");
            // Classes are called "Amplifier Plugin"; all are plug-ins.
            if (p.kind.ends_with("Plugin")) p.kind.resize(p.kind.size() - 6);
            while (p.kind.ends_with(' ')) p.kind.pop_back();
            p.author = found.at("author");
            p.bundle = folder;
            p.fault = told_fault(found.at("fault"));
            p.missing = bundle.value("missing", false);
            p.version = found.value("version", "");
            p.may_run = found.value("tried", false) && p.fault.empty();
            for (const json& port : found.at("parameters")) p.symbols.push_back(port.at("symbol"));
            if (p.fault.empty()) p.type = type_of(all, found);
            all.plugins.push_back(std::move(p));
        }
    std::sort(all.plugins.begin(), all.plugins.end(),
              [](const Plugin& a, const Plugin& b) { return std::tie(a.name, a.uri) < std::tie(b.name, b.uri); });
}

/// The caller holds the lock.
void load(Registry& all) {
    if (std::exchange(all.loaded, true)) return;
    const auto found = find_artifact(Artifact::plugin_list, list_key);
    if (!found || found->bytes > (64 << 20)) return;
    std::string text(static_cast<size_t>(found->bytes), '\0');
    int problem = 0;
    if (found->file->read(0, text.data(), found->bytes, &problem) != found->bytes) return;
    json list = json::parse(text, nullptr, false);
    if (!list.is_object()) return;
    all.bundles = std::move(list);
    try {
        take_list(all);
    } catch (const json::exception&) {  // a cache that somebody damaged is made again
        all.bundles = json::object();
        all.plugins.clear();
    }
}

/// Changes when any file of a bundle does.
std::string stamp_of_bundle(const fs::path& bundle) { return Hash::name_of(stamps_in(bundle)); }

/// What was installed for all users of the machine.
bool is_of_system(const std::string& bundle) { return bundle.starts_with("/usr/"); }

/// What is to be done with bundles: their data are read, and then all, none or one of their plug-ins are started.
struct Look {
    std::vector<std::string> bundles;
    bool starts = true;
    std::string only = {};  ///< the URI of the one that is started; empty: all
    int max_ms = 3000;
};

/// Reads lines of a process that looks at bundles.
class Scanner {
  public:
    static Result<Scanner> start(const Look& look, const std::set<std::string>& skipped) {
        const std::string program = foreign::host_program().string();
        if (!is_there(program))
            return fail(program, translated("the plug-in host is missing. Install the package again."));
        int ends[2] = {-1, -1};
        if (pipe2(ends, O_CLOEXEC) != 0)
            return fail(program, translated("the plug-in host cannot be started. Install the package again."));
        std::vector<std::string> arguments{program, "--scan"};
        for (const std::string& uri : skipped) arguments.insert(arguments.end(), {"--skip", uri});
        if (!look.only.empty()) arguments.insert(arguments.end(), {"--only", look.only});
        if (!look.starts) arguments.push_back("--describe");
        arguments.insert(arguments.end(), look.bundles.begin(), look.bundles.end());
        std::vector<char*> pointers;
        for (std::string& a : arguments) pointers.push_back(a.data());
        pointers.push_back(nullptr);
        posix_spawn_file_actions_t actions;
        posix_spawn_file_actions_init(&actions);
        posix_spawn_file_actions_adddup2(&actions, ends[1], STDOUT_FILENO);
        Scanner scanner;
        const int problem = posix_spawn(&scanner.pid_, program.c_str(), &actions, nullptr, pointers.data(), environ);
        posix_spawn_file_actions_destroy(&actions);
        close(ends[1]);
        scanner.from_ = ends[0];
        if (problem != 0) {
            scanner.pid_ = -1;
            return fail(program, translate("the plug-in host cannot be started: {}. Install the package again.",
                                           std::strerror(problem)));
        }
        return scanner;
    }
    Scanner(Scanner&& other) noexcept
        : pid_(std::exchange(other.pid_, -1)), from_(std::exchange(other.from_, -1)), held_(std::move(other.held_)) {}
    ~Scanner() {
        if (pid_ > 0) kill(pid_, SIGKILL);
        if (pid_ > 0) waitpid(pid_, nullptr, 0);
        if (from_ >= 0) close(from_);
    }

    enum class Came { line, end, nothing, cancelled };
    /// The next line, or why there is none.
    Came line(json& out, int max_ms, const Progress* progress) {
        using namespace std::chrono;
        constexpr size_t longest_line = size_t{64} << 20;
        for (const auto until = steady_clock::now() + milliseconds(max_ms);;) {
            if (const size_t end = held_.find('\n'); end != std::string::npos) {
                out = json::parse(held_.substr(0, end), nullptr, false);
                held_.erase(0, end + 1);
                return out.is_object() ? Came::line : Came::nothing;
            }
            if (progress && progress->cancelled()) return Came::cancelled;
            constexpr int slice_ms = 20;
            pollfd waiting{from_, POLLIN, 0};
            const int ready = poll(&waiting, 1, slice_ms);
            if (steady_clock::now() >= until || held_.size() > longest_line) return Came::nothing;
            if (ready <= 0) continue;
            char bytes[65536];
            const ssize_t got = read(from_, bytes, sizeof bytes);
            if (got <= 0) return Came::end;
            held_.append(bytes, static_cast<size_t>(got));
        }
    }
    /// How it ended, after Came::end; empty: as it should.
    std::string ending() {
        int status = 0;
        waitpid(pid_, &status, 0);
        pid_ = -1;
        if (WIFSIGNALED(status)) return translate("the plug-in crashed ({})", strsignal(WTERMSIG(status)));
        return WEXITSTATUS(status) == 0 ? "" : translated("the plug-in ended its host");
    }

  private:
    Scanner() = default;
    pid_t pid_ = -1;
    int from_ = -1;
    std::string held_;
};

/// What it finds is put into `found`, by bundle.
Result<void> look_at(Look look, std::map<std::string, json>& found, Progress* progress) {
    std::vector<std::string>& bundles = look.bundles;
    const size_t all = bundles.size();
    const InEnglish english;
    std::set<std::string> skipped;
    while (!bundles.empty()) {
        auto scanner = Scanner::start(look, skipped);
        if (!scanner) return tl::unexpected(scanner.error());
        std::string bundle, tried, fault;
        for (bool reading = true; reading;) {
            // The host itself takes its time to start on a machine that is busy; that is no plug-in's fault.
            constexpr int host_ms = 15000;
            json line;
            switch (scanner->line(line, bundle.empty() ? std::max(look.max_ms, host_ms) : look.max_ms, progress)) {
                case Scanner::Came::cancelled:
                    return stopped();
                case Scanner::Came::nothing:
                    fault = translate("the plug-in did not answer in time ({:g} s)", look.max_ms / 1000.0);
                    reading = false;
                    continue;
                case Scanner::Came::end:
                    fault = scanner->ending();
                    reading = false;
                    continue;
                case Scanner::Came::line:
                    break;
            }
            if (line.contains("refused"))
                return fail(foreign::host_program().string(), line["refused"].get<std::string>());
            if (line.contains("bundle")) {
                bundle = line["bundle"];
                if (progress) {
                    const auto left =
                        static_cast<double>(bundles.end() - std::find(bundles.begin(), bundles.end(), bundle));
                    progress->report(1.0 - left / static_cast<double>(all));
                }
            } else if (line.contains("plugin")) {
                found[bundle].push_back(line["plugin"]);
            } else if (line.contains("tried")) {
                tried = line["tried"];
            } else if (line.contains("done")) {
                tried.clear();
                if (found[bundle].empty()) continue;
                found[bundle].back()["tried"] = true;
                if (line["fault"] != "") found[bundle].back()["fault"] = line["fault"];
            }
        }
        if (fault.empty()) return {};
        if (bundle.empty())
            return fail(foreign::host_program().string(),
                        translate("the plug-in host failed: {}. Install the package again.", fault));
        // One plug-in is lost, or, when it was before any of them was tried, one bundle.
        const auto at = std::find(bundles.begin(), bundles.end(), bundle);
        bundles.erase(bundles.begin(), at);
        if (!tried.empty()) {
            if (!found[bundle].empty()) found[bundle].back().update({{"fault", fault}, {"tried", true}});
            for (const json& p : found[bundle]) skipped.insert(p.at("uri").get<std::string>());
        } else if (!bundles.empty()) {
            bundles.erase(bundles.begin());
        }
    }
    return {};
}

}  // namespace

std::vector<fs::path> plugin_folders() {
    const char *path = std::getenv("LV2_PATH"), *home = std::getenv("HOME");
    std::string text = std::string(home ? home : "") + "/.lv2:/usr/local/lib/lv2:/usr/lib/lv2";
    if (path) text = path;
    std::vector<fs::path> folders;
    for (size_t at = 0; at <= text.size();) {
        const size_t end = std::min(text.find(':', at), text.size());
        if (end > at) folders.emplace_back(text.substr(at, end - at));
        at = end + 1;
    }
    return folders;
}

namespace {

/// The bundles that are there now, with what is known of them, and those that were here once.
json bundles_now(const json& known) {
    json next = json::object();
    for (const fs::path& folder : plugin_folders()) {
        const auto entries = is_folder(folder) ? entries_of(folder) : Result<std::vector<fs::path>>();
        if (!entries) continue;
        for (const fs::path& bundle : *entries) {
            const std::string name = bundle.string();
            if (!is_there(bundle / "manifest.ttl") || next.contains(name)) continue;
            const json before = known.value(name, json::object());
            const std::string stamp = stamp_of_bundle(bundle);
            if (before.value("stamp", "") == stamp) {
                next[name] = before;
                next[name].erase("missing");
            } else {
                next[name] = {{"stamp", stamp}, {"new", true}, {"plugins", json::array()}};
                if (before.value("wished", false)) next[name]["wished"] = true;
            }
        }
    }
    return next;
}

/// What is gone is remembered: rows that use it know its parameters, and what it made may be kept.
void remember_gone(const json& known, json& next) {
    std::set<std::string> here;
    for (const auto& [name, bundle] : next.items())
        for (const json& p : bundle["plugins"]) here.insert(p["uri"].get<std::string>());
    for (const auto& [name, bundle] : known.items()) {
        if (next.contains(name)) continue;
        json gone = json::array();
        for (const json& p : bundle["plugins"])
            if (!here.contains(p["uri"].get<std::string>())) gone.push_back(p);
        if (gone.empty()) continue;
        next[name] = bundle;
        next[name]["missing"] = true;
        next[name]["plugins"] = std::move(gone);
    }
}

/// Puts what was found into a bundle; what was known of its plug-ins' start stays.
void take_found(json& bundle, json found) {
    for (json& p : found)
        for (const json& before : bundle["plugins"])
            if (before["uri"] == p["uri"] && before.value("tried", false) && !p.value("tried", false))
                p.update({{"tried", true}, {"fault", before["fault"]}});
    bundle["plugins"] = std::move(found);
}

Result<void> look_and_take(const Look& look, json& next, Progress* progress) {
    std::map<std::string, json> found;
    if (auto looked = look_at(look, found, progress); !looked) return looked;
    for (const std::string& name : look.bundles)
        take_found(next[name], found.count(name) ? found[name] : json::array());
    return {};
}

/// What is known, for a look that takes its time.
json known_bundles() {
    Registry& all = registry();
    const std::scoped_lock lock(all.mutex);
    load(all);
    return all.bundles;
}

std::vector<Plugin> take(const json& known, json next) {
    remember_gone(known, next);
    for (auto& [name, bundle] : next.items()) bundle.erase("new");
    if (next != known)
        keep_artifact(Artifact::plugin_list, list_key, next.dump(1, ' ', false, json::error_handler_t::replace));
    Registry& all = registry();
    const std::scoped_lock lock(all.mutex);
    all.bundles = std::move(next);
    take_list(all);
    return all.plugins;
}

/// The bundle of a plug-in that is there, and what is known of it.
std::pair<std::string, const json*> find_in(const json& bundles, std::string_view uri) {
    for (const auto& [name, bundle] : bundles.items())
        for (const json& p : bundle["plugins"])
            if (p["uri"] == uri && !bundle.value("missing", false)) return {name, &p};
    return {"", nullptr};
}

}  // namespace

Result<std::vector<Plugin>> scan_plugins(Progress* progress, int max_ms) {
    return without_exceptions(list_file().string(), [&]() -> Result<std::vector<Plugin>> {
        const json known = known_bundles();
        json next = bundles_now(known);
        Look look{{}, true, {}, max_ms};
        for (auto& [name, bundle] : next.items()) {
            bundle["wished"] = true;
            const auto waits = [](const json& p) { return p["fault"] == "" && !p.value("tried", false); };
            if (bundle.contains("new") || std::any_of(bundle["plugins"].begin(), bundle["plugins"].end(), waits))
                look.bundles.push_back(name);
        }
        if (auto looked = look_and_take(look, next, progress); !looked) return tl::unexpected(looked.error());
        return take(known, std::move(next));
    });
}

Result<void> find_plugins(const std::vector<std::string>& types, Progress* progress) {
    return without_exceptions(list_file().string(), [&]() -> Result<void> {
        const json known = known_bundles();
        const auto is_settled = [](const json& bundles, std::string_view uri) {
            const auto& [name, plugin] = find_in(bundles, uri);
            return plugin && (plugin->value("tried", false) || (*plugin)["fault"] != "");
        };
        std::vector<std::string_view> wanted;
        for (const std::string& type : types)
            if (is_plugin(type)) wanted.push_back(uri_of_type(type));
        const auto is_known = [&](std::string_view uri) {
            return is_settled(known, uri) &&
                   known[find_in(known, uri).first].value("stamp", "") == stamp_of_bundle(find_in(known, uri).first);
        };
        if (std::all_of(wanted.begin(), wanted.end(), is_known)) return {};
        json next = bundles_now(known);
        Look data{{}, false};
        for (const auto& [name, bundle] : next.items())
            if (bundle.contains("new")) data.bundles.push_back(name);
        if (auto looked = look_and_take(data, next, progress); !looked) return looked;
        for (const std::string_view uri : wanted) {
            const std::string name = find_in(next, uri).first;
            if (name.empty() || is_settled(next, uri)) continue;
            if (!is_of_system(name) && !next[name].value("wished", false)) continue;
            if (auto looked = look_and_take({{name}, true, std::string(uri)}, next, progress); !looked) return looked;
        }
        take(known, std::move(next));
        return {};
    });
}

std::vector<Plugin> known_plugins() {
    Registry& all = registry();
    const std::scoped_lock lock(all.mutex);
    load(all);
    return all.plugins;
}

std::vector<Plugin> plugins_like(const std::vector<Plugin>& all, std::string_view text) {
    const auto lower = [](std::string s) {
        for (char& c : s) c = static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
        return s;
    };
    std::vector<std::string> words;
    for (size_t at = 0; at < text.size();) {
        const size_t end = std::min(text.find(' ', at), text.size());
        if (end > at) words.push_back(lower(std::string(text.substr(at, end - at))));
        at = end + 1;
    }
    std::vector<Plugin> like;
    for (const Plugin& p : all) {
        const std::string whole = lower(p.name + '\n' + p.kind + '\n' + p.author + '\n' + p.uri);
        if (std::all_of(words.begin(), words.end(),
                        [&](const std::string& w) { return whole.find(w) != std::string::npos; }))
            like.push_back(p);
    }
    return like;
}

const ProcessorType* plugin_type(std::string_view type) {
    if (!is_plugin(type)) return nullptr;
    Registry& all = registry();
    const std::scoped_lock lock(all.mutex);
    load(all);
    const auto at = all.types.find(type);
    return at == all.types.end() ? nullptr : at->second.second.get();
}

std::string plugin_version(std::string_view type) {
    std::string bundle, version;
    {
        Registry& all = registry();
        const std::scoped_lock lock(all.mutex);
        load(all);
        for (const Plugin& p : all.plugins) {
            if (p.uri != uri_of_type(type)) continue;
            if (p.missing) return p.version + ' ' + all.bundles[p.bundle].value("stamp", "");
            bundle = p.bundle;
            version = p.version;
        }
    }
    return bundle.empty() ? "" : version + ' ' + stamp_of_bundle(bundle);
}

bool is_plugin_missing(std::string_view type) {
    Registry& all = registry();
    const std::scoped_lock lock(all.mutex);
    load(all);
    return std::any_of(all.plugins.begin(), all.plugins.end(),
                       [type](const Plugin& p) { return p.missing && p.uri == uri_of_type(type); });
}

void take_out_plugin(std::string_view type, const std::string& why) {
    Registry& all = registry();
    const std::scoped_lock lock(all.mutex);
    all.faults.try_emplace(std::string(type), why);
}

void try_plugin_again(std::string_view type) {
    Registry& all = registry();
    const std::scoped_lock lock(all.mutex);
    if (all.faults.erase(std::string(type)) > 0) ++all.tries[std::string(type)];
}

std::optional<std::string> plugin_fault(std::string_view type) {
    if (!is_plugin(type)) return std::nullopt;
    Registry& all = registry();
    const std::scoped_lock lock(all.mutex);
    const auto at = all.faults.find(type);
    if (at != all.faults.end()) return told_fault(at->second);
    load(all);
    for (const Plugin& p : all.plugins)
        if (p.uri == uri_of_type(type) && p.type && !p.missing && !p.may_run)
            return translate("the plug-in is in {} and was never checked; search for plug-ins to allow it",
                             fs::path(p.bundle).parent_path().string());
    return std::nullopt;
}

void end_all_plugins() { foreign::HostProcess::end_all(); }

int plugin_tries(std::string_view type) {
    if (!is_plugin(type)) return 0;
    Registry& all = registry();
    const std::scoped_lock lock(all.mutex);
    const auto at = all.tries.find(type);
    return at == all.tries.end() ? 0 : at->second;
}

namespace {

class KnownPlugins final : public PluginRegistry {
  public:
    const ProcessorType* type(std::string_view t) const override { return plugin_type(t); }
    std::string version(std::string_view t) const override { return plugin_version(t); }
    bool is_missing(std::string_view t) const override { return is_plugin_missing(t); }
    std::optional<std::string> fault(std::string_view t) const override { return plugin_fault(t); }
    void take_out(std::string_view t, const std::string& why) override { take_out_plugin(t, why); }
    int tries(std::string_view t) const override { return plugin_tries(t); }
};

// Whatever program has plug-ins at all has them from its start on.
[[maybe_unused]] const bool chains_know_them = [] {
    static KnownPlugins known;
    use_plugin_registry(known);
    return true;
}();

}  // namespace

}  // namespace isotonus
