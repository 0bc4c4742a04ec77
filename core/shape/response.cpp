#include "core/shape/response.h"

#include <algorithm>

namespace isotonus {

std::vector<double> chain_response_db(const Chain& chain, const std::vector<double>& hz, double rate) {
    Chain linear;
    for (const Processor& p : chain)
        if (const ProcessorType* type = processor_type(p.type); type && type->linear) linear.push_back(p);
    ChainRun run(linear, {}, 2, rate);
    run.begin(0);
    std::vector<double> found;
    for (const double at : hz) found.push_back(run.response_db(std::min(at, rate / 2.0)));
    return found;
}

}  // namespace isotonus
