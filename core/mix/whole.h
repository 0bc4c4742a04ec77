// Whether what is made of a session is all that the session asks for, of files as they were measured.
#pragma once

#include <string>
#include <vector>

#include "core/mix/sum_of_rows.h"
#include "core/session/session.h"

namespace isotonus {

/// A processor that should be at work and cannot be: its channel's sound is without it.
struct AbsentProcessor {
    TrackId channel = 0;
    std::string text;  ///< whose, which, and why, in a sentence
};

/// Those of a session whose signals were made for this plan.  Nothing is asked of chains that are bypassed; of the main
/// output's chain only when it is `exported`.
std::vector<AbsentProcessor> absent_processors(const Session& session, const RenderPlan& plan,
                                               bool main_chain_exported);

/// The types of the plug-ins that a session names.
std::vector<std::string> plugins_named(const Session& session);

}  // namespace isotonus
