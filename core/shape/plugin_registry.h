// Plug-ins as chains know them.  Who finds and runs them (core/foreign) gives the core this registry; what stands here
// knows neither LV2 nor processes.
#pragma once

#include <optional>
#include <string>
#include <string_view>

#include "core/shape/processor.h"

namespace isotonus {

/// A plug-in's type of processor is called "lv2:" and its URI.
inline constexpr std::string_view plugin_prefix = "lv2:";
inline bool is_plugin(std::string_view type) { return type.starts_with(plugin_prefix); }
inline std::string_view uri_of_type(std::string_view type) { return type.substr(plugin_prefix.size()); }

class PluginRegistry {
  public:
    virtual ~PluginRegistry() = default;
    /// Null for one that was never found.
    virtual const ProcessorType* type(std::string_view type) const = 0;
    /// Changes with the files of its bundle; of one that is gone, as they were last.
    virtual std::string version(std::string_view type) const = 0;
    /// It was here once, and is remembered: what it made may still be kept.
    virtual bool is_missing(std::string_view type) const = 0;
    /// Why it is taken out, or may not run, in a sentence; nothing when it runs.
    virtual std::optional<std::string> fault(std::string_view type) const = 0;
    /// One that went wrong is taken out of every chain until it is tried again: it lets through what comes in.
    virtual void take_out(std::string_view type, const std::string& why) = 0;
    /// How often it was tried again, for the keys of what it makes.
    virtual int tries(std::string_view type) const = 0;
};

/// For all chains of the program, before any of them is read.
void use_plugin_registry(PluginRegistry& registry);
/// One that knows no plug-in when none was given.
PluginRegistry& plugin_registry();

}  // namespace isotonus
