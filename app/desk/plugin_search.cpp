#include "app/desk/plugin_search.h"

#include <algorithm>

#include "core/foreign/plugins.h"
#include "core/mix/whole.h"

namespace isotonus {

PluginSearch::PluginSearch(Document& document) : document_(document) {
    connect(&document_, &Document::session_changed, this, &PluginSearch::follow_session);
}

void PluginSearch::follow_session() {
    if (is_looking()) return;
    const std::vector<std::string> named = plugins_named(document_.session());
    const bool all_asked =
        std::all_of(named.begin(), named.end(), [this](const auto& type) { return asked_.contains(type); });
    if (!all_asked) look(false);
}

void PluginSearch::look_at_all() {
    if (!is_looking()) look(true);
}

void PluginSearch::look(bool at_all) {
    const std::vector<std::string> named = plugins_named(document_.session());
    asked_.insert(named.begin(), named.end());
    progress_ = std::make_shared<Progress>();
    const auto is_known = [](const std::string& type) { return plugin_type(type) != nullptr; };
    const auto known_before = std::count_if(named.begin(), named.end(), is_known);
    const auto search = [named, at_all](Progress& progress) -> Result<void> {
        // What cannot be found is told where it is used.
        if (at_all)
            (void)scan_plugins(&progress);
        else
            (void)find_plugins(named, &progress);
        return {};
    };
    const auto tell = [this, named, known_before, is_known](const Result<void>&) {
        progress_.reset();
        if (std::count_if(named.begin(), named.end(), is_known) != known_before) document_.understand_plugins();
        emit document_.session_changed();
        emit found();
    };
    jobs_.start(search, tell, progress_);
}

}  // namespace isotonus
