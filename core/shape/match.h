// Loudness match of a processor that is taken out of its chain: what its channel is turned by, so that in and out are
// equally loud and only the sound differs.
#pragma once

#include <optional>

#include "core/shape/signal.h"

namespace isotonus {

/// At once: by what the processor does to the power of what passes through it over the whole song (see
/// Signal::gain_db), dB, within match_max_db.  Absent where it is not known.
std::optional<double> match_by_power(const Signal& with, size_t position);

/// Exactly: the signal with the processor out and nothing matched, to be made and measured …
SignalRecipe recipe_without(const Signal& with, size_t position);
/// … and by how much it is softer, dB, within match_max_db.  Absent where one of the two is silent.
std::optional<double> match_by_loudness(const Measurement& with, const Measurement& without);

}  // namespace isotonus
