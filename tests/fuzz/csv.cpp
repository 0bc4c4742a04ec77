// Any text as a ride: an error, or a ride that a session can hold and that is written and read again unchanged.
#include <cstdlib>

#include "core/session/ride_csv.h"
#include "core/session/validate.h"

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
    using namespace isotonus;
    for (const Parameter parameter : parameters()) {
        const ParameterInfo& info = parameter.info();
        const auto ride = ride_from_csv(std::string(reinterpret_cast<const char*>(data), size), "fuzz.csv", info);
        if (!ride) continue;
        for (const RidePoint& p : ride->points)
            if (!validate(p, info)) std::abort();
        const auto again = ride_from_csv(ride_to_csv(*ride), "fuzz.csv", info);
        if (!again || ride_to_csv(*again) != ride_to_csv(*ride)) std::abort();
    }
    return 0;
}
