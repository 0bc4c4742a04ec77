#include "core/session/hand_off_settings.h"

namespace isotonus {

HandOffLimits limits_of(HandOffProfile profile, const HandOffLimits& own) {
    HandOffLimits limits;  // as a mastering engineer asks for; common practice, no source
    switch (profile) {
        case HandOffProfile::mastering:
            break;
        case HandOffProfile::streaming_demo:
            limits.most_peak_dbfs = -1.0;
            limits.least_peak_dbfs = -9.0;
            limits.least_lufs = -20.0;
            limits.most_lufs = -13.0;
            break;
        case HandOffProfile::own:
            limits = own;
            break;
    }
    return limits;
}

}  // namespace isotonus
