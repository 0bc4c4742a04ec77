// The whole-song sample peak of the mix, exact and at once.
#pragma once

#include <map>

#include "core/mix/mixdown.h"

namespace isotonus {

struct MixPeak {
    float peak = 0.0f;  ///< linear, the larger side
    int64_t frame = 0;  ///< the first that reaches it
};

/// Finds peaks of one plan after another, to the bit what rendering everything would find.
///
/// The song is cut into stretches of 1024 frames.  What a stretch reaches is known exactly once it was rendered, under
/// the plan of that moment.  When gains change, its new peak is at most
///
///     a * known peak  +  sum over tracks of |new gains - a * old gains| * what the track reaches there
///
/// for any factor a (1 when one fader moved, the common factor when all did), and at most the sum over tracks of
/// |new gains| * what the track reaches.  Only stretches whose bound lies above the best peak found are rendered, the
/// likeliest first; what they reach is known from then on.  Other sources or delays begin anew.
class MixPeaks {
  public:
    static constexpr int64_t stretch_frames = 1024;

    explicit MixPeaks(int workers = worker_count()) : workers_(workers) {}

    /// Fails as reading does, or with "cancelled".
    Result<MixPeak> find(const PlanPtr& plan, Progress* progress = nullptr);

    /// Renders every stretch that is not exactly known for this plan, so that the next move is answered at once, and
    /// worst_moments is exact.
    Result<void> settle(const PlanPtr& plan, Progress* progress = nullptr);

    /// The highest moments, each at least `spacing` frames from the others, of the plan that was last settled.
    std::vector<MixPeak> worst_moments(size_t count, int64_t spacing) const;

    /// How many stretches the last find rendered.
    int64_t rendered() const { return rendered_; }

  private:
    struct Known {
        PlanPtr plan;  ///< that it was rendered by; null: not known
        float left = 0.0f, right = 0.0f;
        int64_t frame = 0;
    };
    struct Change;  ///< from one plan to another
    struct Reach {  ///< what each channel of a track reaches in each stretch
        std::vector<float> left, right;
    };
    Result<MixPeak> search(const PlanPtr& plan, Progress* progress);
    void begin(const PlanPtr& plan);
    const Reach& reach_of_part(size_t part);
    std::vector<double> bounds(const PlanPtr& plan);
    Result<void> render(const PlanPtr& plan, const std::vector<int64_t>& order, const std::vector<double>* bounds,
                        MixPeak* best, Progress* progress);

    int workers_;
    PlanPtr plan_;              ///< the latest
    std::vector<Reach> reach_;  ///< of the parts that were asked for
    std::vector<Known> known_;
    std::vector<std::optional<PlanReader>> readers_;
    int64_t rendered_ = 0;
};

/// The same for one plan alone.
Result<MixPeak> whole_song_peak(const PlanPtr& plan, Progress* progress = nullptr, int workers = worker_count());

}  // namespace isotonus
