#include <fmt/format.h>

#include <CLI/CLI.hpp>

#include "cli/verbs.h"

namespace isotonus::cli {

namespace {

std::string options_of(const CLI::App& app) {
    std::string words;
    for (const CLI::Option* option : app.get_options())
        for (const std::string& name : option->get_lnames()) words += (words.empty() ? "--" : " --") + name;
    return words;
}

/// Those that people use.
std::vector<const CLI::App*> verbs_of(const CLI::App& app) {
    std::vector<const CLI::App*> verbs;
    for (const CLI::App* verb : app.get_subcommands([](const CLI::App*) { return true; }))
        if (!verb->get_group().empty()) verbs.push_back(verb);
    return verbs;
}

}  // namespace

void print_verbs(const CLI::App& app) {
    for (const CLI::App* verb : verbs_of(app)) fmt::print("{} {}\n", verb->get_name(), verb->get_description());
}

void print_completion(const CLI::App& app) {
    std::string verbs, cases;
    for (const CLI::App* verb : verbs_of(app)) {
        verbs += verb->get_name() + ' ';
        cases += fmt::format("        {}) words=\"{}\" ;;\n", verb->get_name(), options_of(*verb));
    }
    fmt::print(R"(# Completion of {0} for bash, made by `{0} completion`.
_isotonus_cli() {{
    local current=${{COMP_WORDS[COMP_CWORD]}} words=""
    if [ "$COMP_CWORD" -eq 1 ]; then
        COMPREPLY=($(compgen -W "{1}{2}" -- "$current"))
        return
    fi
    case ${{COMP_WORDS[1]}} in
{3}    esac
    case $current in
        -*) COMPREPLY=($(compgen -W "$words" -- "$current")) ;;
        *) compopt -o filenames; COMPREPLY=($(compgen -f -- "$current")) ;;
    esac
}}
complete -F _isotonus_cli {0}
)",
               "isotonus-cli", verbs, options_of(app), cases);
}

}  // namespace isotonus::cli
