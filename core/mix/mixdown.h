// Rendering a stretch of the song faster than it plays, on all cores, and what comes of it.
#pragma once

#include <functional>

#include "core/mix/renderer.h"

namespace isotonus {

/// Reads a plan's tracks.  One for each thread.
class PlanReader {
  public:
    /// With `go_on` a file that cannot be opened or read is no failure: its track is silent, and fault() tells of it.
    static Result<PlanReader> open(PlanPtr plan, bool only_heard, bool go_on = false);

    /// Goes on with another plan of the same sources; opens what is heard now and was not.
    Result<void> follow(PlanPtr plan);

    /// Samples of every track for these frames, as Renderer::process takes them; valid until the next call.  Parts that
    /// are `known`, when that is said, are left out.
    Result<std::span<const float* const>> read(int64_t first, int64_t frames, const std::vector<char>* known = nullptr);

    /// The last file that was left out.
    const std::optional<Error>& fault() const { return fault_; }

  private:
    /// Of parts that play the same samples one reads them for all.
    bool reads(size_t i) const { return plan_->parts[i].input == i && (!only_heard_ || wanted_[i]); }
    static bool is_mixed(const PlanPart& p) { return p.heard() && !p.through_chain; }
    PlanPtr plan_;
    std::vector<char> wanted_;  ///< the part, or one that plays the same samples, is mixed or listened to
    bool only_heard_ = false, go_on_ = false;
    std::optional<Error> fault_;
    std::vector<std::unique_ptr<FrameReader>> readers_;  ///< null for tracks that were never wanted
    std::vector<std::vector<float>> buffers_;
    std::vector<const float*> inputs_;
};

struct Stretch {
    int64_t first = 0;
    int64_t frames = 0;
};

/// Receives the rendered stretch in order, piece by piece, interleaved stereo.
using MixSink = std::function<Result<void>(std::span<const float>)>;

/// Receives one piece of each plan, interleaved stereo.
using PiecesSink = std::function<Result<void>(const std::vector<std::vector<float>>&)>;

/// Renders several plans of the same sources in one pass: every file is read once.  Pieces come in order, on the
/// calling thread.  A sink that has enough says so through `enough`.  Fails as reading or the sink does, or with
/// "cancelled".
Result<void> render_together(const std::vector<PlanPtr>& plans, Stretch stretch, int block_frames,
                             const PiecesSink& sink, Progress* progress = nullptr, int workers = worker_count(),
                             const bool* enough = nullptr);

/// Renders on `workers` threads; the sink is called on the calling thread.  Fails as reading or the sink does, or with
/// "cancelled".
Result<void> render_stretch(const PlanPtr& plan, Stretch stretch, int block_frames, const MixSink& sink,
                            Progress* progress = nullptr, int workers = worker_count());

/// The mix's figures and its power over time, without writing it.
Result<Measurer::Outcome> measure_mix(const PlanPtr& plan, Progress* progress = nullptr);

}  // namespace isotonus
