#include "cli/play.h"
namespace isotonus { Result<nlohmann::json> play(const PlanPtr&, const std::string&, double) { return fail("","x"); } }
