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
#include "core/shape/plugin_registry.h"

namespace isotonus {

struct Plugin {
    std::string uri;  ///< its name for programs, as the LV2 specification says
    std::string name, kind, author;
    std::string bundle;    ///< the folder that it came from
    std::string fault;     ///< why it is not offered; empty: it is
    std::string version;   ///< as its own data say: "2.4"
    bool missing = false;  ///< it was here once, and is remembered
    bool may_run = false;  ///< it was started once, by the user's wish or since it is of the system's folders
    std::vector<std::string> symbols;     ///< of its control ports, in the order of its type's parameters
    const ProcessorType* type = nullptr;  ///< null when it is not offered
};

/// Folders in which bundles are looked for: $LV2_PATH, else ~/.lv2 and those of the system.
std::vector<fs::path> plugin_folders();

/// By the user's wish: looks at every bundle that is new or has changed since it was last looked at, starts each of its
/// plug-ins for a moment, and remembers the rest.  A plug-in that crashes or takes longer than `max_ms` then is listed
/// with its fault.  Fails with "cancelled", at once when it is, or when the host cannot be started; what was known
/// before stays then.  A list that cannot be kept for the next time is no failure.
Result<std::vector<Plugin>> scan_plugins(Progress* progress = nullptr, int max_ms = 3000);

/// For a session that names these types, before they are to be heard.  What is known and did not change costs nothing.
/// Otherwise the data of new bundles are read, which starts no plug-in; of the named ones those are started for a
/// moment that are of the system's folders, or in a bundle that was looked at by the user's wish before.  Fails as
/// above.
Result<void> find_plugins(const std::vector<std::string>& types, Progress* progress = nullptr);

/// As they were found last, by name; without looking.
std::vector<Plugin> known_plugins();

/// Those of which every word of the text is in name, kind, author or URI, whatever the case.
std::vector<Plugin> plugins_like(const std::vector<Plugin>& all, std::string_view text);

// As in PluginRegistry, which these answer for all chains from the program's start on.
const ProcessorType* plugin_type(std::string_view type);
std::string plugin_version(std::string_view type);
bool is_plugin_missing(std::string_view type);
std::optional<std::string> plugin_fault(std::string_view type);
void take_out_plugin(std::string_view type, const std::string& why);
int plugin_tries(std::string_view type);
void try_plugin_again(std::string_view type);

/// Ends all processes that run plug-ins; those who wait for one get its end as an error.  New ones are started as
/// before.
void end_all_plugins();

}  // namespace isotonus
