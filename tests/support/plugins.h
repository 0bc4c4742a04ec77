// LV2 plug-ins for tests, in a folder and with a cache of their own.
#pragma once

#include <cstdlib>
#include <fstream>

#include "core/files/paths.h"
#include "core/foreign/plugins.h"
#include "tests/support/sounds.h"

namespace isotonus::test {

inline constexpr const char* amplifier = "lv2:http://lv2plug.in/plugins/eg-amp";  ///< of Debian's lv2-examples
inline std::string odd(const char* way) { return std::string("lv2:urn:isotonus:test:") + way; }

/// Takes the variable back when it goes.
class Environment {
  public:
    Environment(const char* name, const std::string& value) : name_(name) {
        if (const char* was = std::getenv(name)) was_ = was;
        setenv(name, value.c_str(), 1);
    }
    ~Environment() {
        if (was_)
            setenv(name_, was_->c_str(), 1);
        else
            unsetenv(name_);
    }

  private:
    const char* name_;
    std::optional<std::string> was_;
};

struct Plugins {
    Folder folder;
    Environment cache{"XDG_CACHE_HOME", (folder / "cache").string()};
    Environment path{"LV2_PATH", (folder / "lv2").string()};
    Plugins() {
        fs::create_directories(folder / "lv2");
        add("/usr/lib/lv2/eg-amp.lv2");
    }
    void add(const fs::path& bundle) {
        fs::copy(bundle, folder / "lv2" / bundle.filename(), fs::copy_options::recursive);
    }
    void add_odd() { add(ISOTONUS_ODD_PLUGINS); }
    /// A copy of the amplifier whose URI ends in amp00n, in its program too.
    static std::string copy_of_amplifier(int number) { return fmt::format("amp{:03}", number); }
    void add_amplifier(int number) {
        const fs::path to = folder / "lv2" / (copy_of_amplifier(number) + ".lv2");
        fs::copy("/usr/lib/lv2/eg-amp.lv2", to, fs::copy_options::recursive);
        for (const char* name : {"manifest.ttl", "amp.ttl", "amp.so"}) {
            std::string text = read_whole(to / name, 1 << 20).value();
            const std::string from = "plugins/eg-amp";
            for (size_t at = 0; (at = text.find(from, at)) != std::string::npos; at += from.size())
                text.replace(at + 8, 6, copy_of_amplifier(number));
            std::ofstream(to / name) << text;
        }
    }
    void scan() {
        // One of the odd ones hangs when it is looked at: not for as long as a user's would be waited for.
        const auto found = scan_plugins(nullptr, 1000);
        ASSERT_TRUE(found) << found.error().text();
    }
    static const Plugin* find(const std::vector<Plugin>& all, const std::string& type) {
        for (const Plugin& p : all)
            if (p.uri == uri_of_type(type)) return &p;
        return nullptr;
    }
};

}  // namespace isotonus::test
