// What the linear processors of a chain do to each frequency, without running a song through them.
#pragma once

#include <vector>

#include "core/shape/chain.h"

namespace isotonus {

/// Gain in dB at these frequencies of all linear processors that are in, as they are set (rides left aside), for what
/// both sides have in common.  From the filters that work on the samples.
std::vector<double> chain_response_db(const Chain& chain, const std::vector<double>& hz, double sample_rate);

}  // namespace isotonus
