// What each track gives to the main output with its fader at 0 dB and its pan in the centre: the columns of a least
// squares problem.
#pragma once

#include "core/mix/compile_plan.h"

namespace isotonus {

struct MixColumn {
    TrackId id = 0;
    MaterialPtr material;
    int64_t delay_samples = 0;
    GainMatrix to_main;  ///< of a mono track without the pan law's share: what fader and pan multiply
    RenderPlan const* plan = nullptr;
    PlanPart const* part = nullptr;  ///< its rides, as far as they are of levels
    PanLaw law = PanLaw::constant_power;
    bool mono = true, can_be_panned = true;  ///< false: a pan that rides, or sides panned apart

    /// What fader and pan multiply: the gains of left and right for a fader of 0 dB and this pan.
    GainMatrix with_pan(double pan) const;
};

struct MixColumns {
    PlanPtr plan;
    std::vector<MixColumn> columns;  ///< of every track that has a material
};

/// Every track is on, no send counts, and buses with a chain pass what leads to them.
MixColumns mix_columns(const Session& session, const MaterialOf& material);

}  // namespace isotonus
