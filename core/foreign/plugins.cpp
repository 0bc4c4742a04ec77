#include "core/foreign/plugins.h"

#include <fcntl.h>
#include <fmt/format.h>
#include <poll.h>
#include <signal.h>
#include <spawn.h>
#include <sys/wait.h>
#include <unistd.h>

#include <algorithm>
#include <cmath>
#include <cstring>
#include <deque>
#include <limits>
#include <map>
#include <mutex>
#include <nlohmann/json.hpp>
#include <set>

#include "core/audio/media.h"
#include "core/files/paths.h"
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
    for (const char* known :
         {to_say("it crashed"), to_say("it did not answer in time"), to_say("it requires what is not here")})
        if (detail != std::string::npos && english.compare(0, detail, known) == 0)
            return said(known) + english.substr(detail);
    return said(english.c_str());
}

/// What is known, for all threads.  Types, and the texts that they refer to, stay for as long as the program runs.
struct Registry {
    std::mutex mutex;
    bool loaded = false, looked = false;
    json bundles = json::object();  ///< as in the cache: by folder, {"stamp", "plugins"}
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

fs::path list_file() { return cache_folder() / "plugins.json"; }

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
                       Law::linear,
                       0.0,
                       false,
                       {}};
    info.name = all.keep(port.at("name"));
    if (info.high < info.low) std::swap(info.high, info.low);
    if (info.high == info.low) info.high = info.low + 1.0;
    info.rest = std::clamp(info.rest, info.low, info.high);
    info.tolerance = (info.high - info.low) / 200.0;
    if (port.at("logarithmic") == true && info.low > 0.0) info.law = Law::log;
    const json& points = port.at("points");
    const auto count = static_cast<double>(points.size());
    if (port.at("toggled") == true) {
        info.low = 0.0, info.high = 1.0, info.rest = info.rest > 0.0 ? 1.0 : 0.0;
        info.law = Law::toggle;
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
            info.law = Law::choice;
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
    type->most_gain = [](std::span<const double>) { return std::numeric_limits<double>::infinity(); };
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
    const auto text = read_whole(list_file(), 64 << 20);
    json list = text ? json::parse(*text, nullptr, false) : json();
    if (list.is_object() && list.value("version", 0) == 1 && list["bundles"].is_object())
        all.bundles = std::move(list["bundles"]);
    try {
        take_list(all);
    } catch (const json::exception&) {  // a cache that somebody damaged is made again
        all.bundles = json::object();
        all.plugins.clear();
    }
}

/// Changes when any file of a bundle does.
std::string stamp_of(const fs::path& bundle) {
    std::string stamp;
    const auto entries = entries_of(bundle);
    if (!entries) return stamp;
    for (const fs::path& f : *entries) {
        std::error_code problem;
        const auto written = fs::last_write_time(f, problem).time_since_epoch().count();
        stamp += fmt::format("{} {} {}\n", f.filename().string(), written,
                             fs::is_regular_file(f, problem) ? fs::file_size(f, problem) : 0);
    }
    return stamp;
}

/// Reads lines of a process that looks at bundles.
class Scanner {
  public:
    static Result<Scanner> start(const std::vector<std::string>& bundles, const std::set<std::string>& skipped) {
        const std::string program = foreign::host_program().string();
        if (!is_there(program)) return fail(program, said("the plug-in host is missing"));
        int ends[2] = {-1, -1};
        if (pipe2(ends, O_CLOEXEC) != 0) return fail(program, said("the plug-in host cannot be started"));
        std::vector<std::string> arguments{program, "--scan"};
        for (const std::string& uri : skipped) arguments.insert(arguments.end(), {"--skip", uri});
        arguments.insert(arguments.end(), bundles.begin(), bundles.end());
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
            return fail(program, say("the plug-in host cannot be started: {}", std::strerror(problem)));
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
    Came line(json& out, int most_ms, const Progress* progress) {
        for (int waited_ms = 0;;) {
            if (const size_t end = held_.find('\n'); end != std::string::npos) {
                out = json::parse(held_.substr(0, end), nullptr, false);
                held_.erase(0, end + 1);
                return out.is_object() ? Came::line : Came::nothing;
            }
            if (progress && progress->cancelled()) return Came::cancelled;
            constexpr int slice_ms = 20;
            pollfd waiting{from_, POLLIN, 0};
            const int ready = poll(&waiting, 1, slice_ms);
            if (ready == 0 && (waited_ms += slice_ms) >= most_ms) return Came::nothing;
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
        if (WIFSIGNALED(status)) return say("it crashed ({})", strsignal(WTERMSIG(status)));
        return WEXITSTATUS(status) == 0 ? "" : said("it ended the program");
    }

  private:
    Scanner() = default;
    pid_t pid_ = -1;
    int from_ = -1;
    std::string held_;
};

/// Looks at these bundles; what it finds is put into `found`, by bundle.
Result<void> look_at(std::vector<std::string> bundles, std::map<std::string, json>& found, Progress* progress,
                     int most_ms) {
    const size_t all = bundles.size();
    std::set<std::string> skipped;
    while (!bundles.empty()) {
        auto scanner = Scanner::start(bundles, skipped);
        if (!scanner) return tl::unexpected(scanner.error());
        std::string bundle, tried, fault;
        for (bool reading = true; reading;) {
            // The host itself takes its time to start on a machine that is busy; that is no plug-in's fault.
            constexpr int host_ms = 15000;
            json line;
            switch (scanner->line(line, bundle.empty() ? std::max(most_ms, host_ms) : most_ms, progress)) {
                case Scanner::Came::cancelled:
                    return stopped();
                case Scanner::Came::nothing:
                    fault = say("it did not answer in time ({:g} s)", most_ms / 1000.0);
                    reading = false;
                    continue;
                case Scanner::Came::end:
                    fault = scanner->ending();
                    reading = false;
                    continue;
                case Scanner::Came::line:
                    break;
            }
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
                if (line["fault"] != "" && !found[bundle].empty()) found[bundle].back()["fault"] = line["fault"];
            }
        }
        if (fault.empty()) return {};
        if (bundle.empty()) return fail(foreign::host_program().string(), say("the plug-in host: {}", fault));
        // One plug-in is lost, or, when it was before any of them was tried, one bundle.
        const auto at = std::find(bundles.begin(), bundles.end(), bundle);
        bundles.erase(bundles.begin(), at);
        if (!tried.empty()) {
            if (!found[bundle].empty()) found[bundle].back()["fault"] = fault;
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
    std::string text = path ? path : std::string(home ? home : "") + "/.lv2:/usr/local/lib/lv2:/usr/lib/lv2";
    std::vector<fs::path> folders;
    for (size_t at = 0; at <= text.size();) {
        const size_t end = std::min(text.find(':', at), text.size());
        if (end > at) folders.emplace_back(text.substr(at, end - at));
        at = end + 1;
    }
    return folders;
}

Result<std::vector<Plugin>> scan_plugins(Progress* progress, int most_ms) {
    return without_exceptions(list_file().string(), [&]() -> Result<std::vector<Plugin>> {
        Registry& all = registry();
        json known;
        {
            const std::scoped_lock lock(all.mutex);
            load(all);
            known = all.bundles;
        }
        json next = json::object();
        std::vector<std::string> changed;
        for (const fs::path& folder : plugin_folders()) {
            const auto entries = is_folder(folder) ? entries_of(folder) : Result<std::vector<fs::path>>();
            if (!entries) continue;
            for (const fs::path& bundle : *entries) {
                const std::string name = bundle.string();
                if (!is_there(bundle / "manifest.ttl") || next.contains(name)) continue;
                const std::string stamp = stamp_of(bundle);
                if (known.contains(name) && known[name].value("stamp", "") == stamp) {
                    next[name] = known[name];
                    next[name].erase("missing");
                } else {
                    next[name] = {{"stamp", stamp}, {"plugins", json::array()}};
                    changed.push_back(name);
                }
            }
        }
        std::map<std::string, json> found;
        const auto looked = [&] {
            const InEnglish english;
            return look_at(changed, found, progress, most_ms);
        }();
        if (!looked) return tl::unexpected(looked.error());
        for (auto& [bundle, plugins] : found) next[bundle]["plugins"] = std::move(plugins);
        // What is gone is remembered: rows that use it know its parameters, and what it made may be kept.
        std::set<std::string> here;
        for (const auto& [name, bundle] : next.items())
            for (const json& p : bundle["plugins"]) here.insert(p["uri"].get<std::string>());
        for (auto& [name, bundle] : known.items()) {
            if (next.contains(name)) continue;
            json gone = json::array();
            for (const json& p : bundle["plugins"])
                if (!here.contains(p["uri"].get<std::string>())) gone.push_back(p);
            if (!gone.empty()) next[name] = {{"stamp", ""}, {"missing", true}, {"plugins", std::move(gone)}};
        }
        if (next != known) {
            if (auto made = make_folder(cache_folder()); !made) return tl::unexpected(made.error());
            const std::string text =
                json{{"version", 1}, {"bundles", next}}.dump(1, ' ', false, json::error_handler_t::replace);
            if (auto written = write_whole(list_file(), text, {}); !written) return tl::unexpected(written.error());
        }
        const std::scoped_lock lock(all.mutex);
        all.bundles = std::move(next);
        take_list(all);
        return all.plugins;
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

void look_for_plugin(std::string_view type) {
    Registry& all = registry();
    {
        const std::scoped_lock lock(all.mutex);
        load(all);
        for (const Plugin& p : all.plugins)
            if (p.uri == uri_of_type(type) && !p.missing) return;
        if (std::exchange(all.looked, true)) return;
    }
    (void)scan_plugins();
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
    return at == all.faults.end() ? std::nullopt : std::optional(told_fault(at->second));
}

int plugin_tries(std::string_view type) {
    if (!is_plugin(type)) return 0;
    Registry& all = registry();
    const std::scoped_lock lock(all.mutex);
    const auto at = all.tries.find(type);
    return at == all.tries.end() ? 0 : at->second;
}

}  // namespace isotonus
