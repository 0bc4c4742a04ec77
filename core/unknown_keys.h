// What a file says that this version does not know.
#pragma once

#include <memory>
#include <nlohmann/json_fwd.hpp>

namespace isotonus {

/// Keys of one object of a session file; null when there are none.  They are written back as they were.
using UnknownKeys = std::shared_ptr<const nlohmann::json>;

}  // namespace isotonus
