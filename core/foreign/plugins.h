// The LV2 plug-ins of this machine: found by the plug-in host, known from the cache, and offered as types of
// processors.
#pragma once

#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include "core/files/file_steps.h"
#include "core/parallel.h"
#include "core/result.h"
#include "core/shape/processor.h"

namespace isotonus {

struct Plugin {
    std::string uri;  ///< its name for programs, as the LV2 specification says
    std::string name, kind, author;
    std::string bundle;                   ///< the folder that it came from
    std::string fault;                    ///< why it is not offered; empty: it is
    bool missing = false;                 ///< it was here once, and is remembered
    std::vector<std::string> symbols;     ///< of its control ports, in the order of its type's parameters
    const ProcessorType* type = nullptr;  ///< null when it is not offered
};

/// Folders in which bundles are looked for: $LV2_PATH, else ~/.lv2 and those of the system.
std::vector<fs::path> plugin_folders();

/// Looks at every bundle that is new or has changed since it was last looked at, and remembers the rest.  A plug-in
/// that crashes or takes longer than `most_ms` when it is started is listed with its fault.  Fails with "cancelled", at
/// once when it is, or when the host cannot be started; what was known before stays then.
Result<std::vector<Plugin>> scan_plugins(Progress* progress = nullptr, int most_ms = 3000);

/// As they were found last, by name; without looking.
std::vector<Plugin> known_plugins();

/// Those of which every word of the text is in name, kind, author or URI, whatever the case.
std::vector<Plugin> plugins_like(const std::vector<Plugin>& all, std::string_view text);

/// A plug-in's type of processor is called "lv2:" and its URI.
inline constexpr std::string_view plugin_prefix = "lv2:";
inline bool is_plugin(std::string_view type) { return type.starts_with(plugin_prefix); }
inline std::string_view uri_of_type(std::string_view type) { return type.substr(plugin_prefix.size()); }
/// Null for one that was never found.
const ProcessorType* plugin_type(std::string_view type);

/// For a session that names one: when it is not known, or is remembered as gone, it is looked for, once while the
/// program runs.
void look_for_plugin(std::string_view type);

/// One that went wrong is taken out of every chain until it is tried again: it lets through what comes in.
void take_out_plugin(std::string_view type, const std::string& why);
void try_plugin_again(std::string_view type);
/// Why it is taken out, in a sentence; nothing when it is not.
std::optional<std::string> plugin_fault(std::string_view type);
/// How often it was tried again, for the keys of what it makes.
int plugin_tries(std::string_view type);

}  // namespace isotonus
