// Rendering a stretch of the song faster than it plays, on all cores, and what comes of it.
#pragma once

#include <functional>

#include "core/mix/renderer.h"

namespace isotonus {

/// Reads a plan's tracks.  One for each thread.
class PlanReader {
  public:
    static Result<PlanReader> open(PlanPtr plan, bool only_heard);

    /// Goes on with another plan of the same sources; opens what is heard now and was not.
    Result<void> follow(PlanPtr plan);

    /// Samples of every track for these frames, as Renderer::process takes them; valid until the next call.
    Result<std::span<const float* const>> read(int64_t first, int64_t frames);

  private:
    bool wanted(size_t i) const {
        return !only_heard_ || plan_->tracks[i].heard() || !plan_->tracks[i].listen.silent();
    }
    PlanPtr plan_;
    bool only_heard_ = false;
    std::vector<std::unique_ptr<SourceReader>> readers_;  ///< null for tracks that were never wanted
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

struct Export {
    fs::path file;
    SampleFormat format = SampleFormat::s24;
    int sample_rate = 0;  ///< 0: the plan's own; else converted after rendering
    Stretch stretch;      ///< frames at the plan's rate; 0 frames: up to the end
    int block_frames = 4096;
    std::vector<Marker> markers;  ///< cue points, frames of the song at the plan's rate
};

struct ExportReport {
    fs::path file;
    Measurement measured;         ///< of the samples as written, before rounding to 16 or 24 bit
    int64_t clamped_samples = 0;  ///< beyond full scale, in an integer format
    double render_seconds = 0.0;  ///< wall clock
    double realtime_factor = 0.0;
};

/// Renders into a file.  Nothing is left behind, and an existing file stays, when it fails or is cancelled.
Result<ExportReport> export_mix(const PlanPtr& plan, const Export& what, Progress* progress = nullptr);

/// One file for each heard track, "01 Kick.wav" and so on, with the main fader applied: together they sum to the mix.
Result<std::vector<ExportReport>> export_stems(const PlanPtr& plan, const Session& session, const fs::path& folder,
                                               const Export& like, Progress* progress = nullptr);

/// The mix's figures and its power over time, without writing it.
Result<Measurer::Outcome> measure_mix(const PlanPtr& plan, Progress* progress = nullptr);

}  // namespace isotonus
