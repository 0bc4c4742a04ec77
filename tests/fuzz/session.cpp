// Any bytes as a session: an error or a session, never a crash; and what was read is written and read again unchanged.
#include <cstdlib>

#include "core/session/session_file.h"

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
    using namespace isotonus;
    const auto session = session_from_json(std::string(reinterpret_cast<const char*>(data), size), "/fuzz/x.isotonus");
    if (!session) return 0;
    const std::string once = session_to_json(*session, "/fuzz");
    const auto again = session_from_json(once, "/fuzz/x.isotonus");
    if (!again || session_to_json(*again, "/fuzz") != once) std::abort();
    return 0;
}
