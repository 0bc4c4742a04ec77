// The mix's level over time, for pictures.
#pragma once

#include <optional>

#include "core/mix/mixdown.h"

namespace isotonus {

/// Power over time of one plan, at any zoom.  Long stretches come from the tracks' level summaries, the tracks taken as
/// incoherent (the powers of what each brings to both sides are added); a stretch in which a column stands for few
/// samples is rendered, and is the power of the sum as it is heard.  The exact peak is whole_song_peak's work.
class MixOverview {
  public:
    explicit MixOverview(PlanPtr plan);
    const PlanPtr& plan() const { return plan_; }

    /// Mean power in each of `columns` equal parts of [from_frame, to_frame).
    std::vector<double> power(int64_t from_frame, int64_t to_frame, int columns);

  private:
    std::vector<double> by_blocks(double from_frame, double per_column, int columns) const;
    std::vector<double> by_samples(int64_t from_frame, int64_t to_frame, int columns);
    double energy_before(double frame) const;

    PlanPtr plan_;
    std::vector<double> energy_;  ///< of the mix before each unit of 8 blocks: sums of power times frames
    std::optional<PlanReader> reader_;
};

}  // namespace isotonus
