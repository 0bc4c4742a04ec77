// Older spellings of the command line, accepted silently for one more version.
#pragma once

#include <string>
#include <vector>

namespace isotonus::cli {

/// The arguments after the program's name, with older verbs, actions, keys and options in their spelling of today.
std::vector<std::string> with_new_spelling(std::vector<std::string> arguments);

}  // namespace isotonus::cli
