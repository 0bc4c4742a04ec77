#include "core/shape/plugin_registry.h"

namespace isotonus {

namespace {

class NoPlugins final : public PluginRegistry {
  public:
    const ProcessorType* type(std::string_view) const override { return nullptr; }
    std::string version(std::string_view) const override { return {}; }
    bool is_missing(std::string_view) const override { return false; }
    std::optional<std::string> fault(std::string_view) const override { return std::nullopt; }
    void take_out(std::string_view, const std::string&) override {}
    int tries(std::string_view) const override { return 0; }
};

PluginRegistry*& current() {
    static NoPlugins none;
    static PluginRegistry* registry = &none;
    return registry;
}

}  // namespace

void use_plugin_registry(PluginRegistry& registry) { current() = &registry; }

PluginRegistry& plugin_registry() { return *current(); }

}  // namespace isotonus
