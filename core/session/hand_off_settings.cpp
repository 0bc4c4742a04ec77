#include "core/session/hand_off_settings.h"

namespace isotonus {

HandOffLimits limits_of(HandOffProfile profile, const HandOffLimits& own) {
    HandOffLimits limits;  // as a mastering engineer asks for; common practice, no source
    switch (profile) {
        case HandOffProfile::mastering:
            break;
        case HandOffProfile::streaming_demo:
            limits.max_peak_dbfs = -1.0;
            limits.min_peak_dbfs = -9.0;
            limits.min_lufs = -20.0;
            limits.max_lufs = -13.0;
            break;
        case HandOffProfile::own:
            limits = own;
            break;
    }
    return limits;
}

}  // namespace isotonus
