// Real time: transport, plans, meters, device.  All public functions are for one thread (the interface's), but for
// fill().
#pragma once

#include <atomic>
#include <chrono>
#include <functional>
#include <optional>

#include "core/measure/ballistics.h"
#include "core/mix/renderer.h"
#include "core/monitor/monitor.h"
#include "engine/deferred_destroyer.h"
#include "engine/device.h"
#include "engine/stream.h"

namespace isotonus {

/// Levels since the last look: linear, the highest of the blocks played.
struct LiveLevels {
    std::vector<TrackLevels> tracks;  ///< in the plan's order, then its buses
    float main_peak[2] = {};
    float main_square[2] = {};     ///< mean of x^2 over the loudest block
    float main_programme[2] = {};  ///< highest reading of a peak programme meter (IEC 60268-18)
    bool any = false;              ///< a block was played
};

/// How well the device was served.
struct Service {
    int64_t blocks = 0;
    int64_t late_blocks =
        0;  ///< took longer than their own time, the device ran dry, or samples were not there in time
    double load_median = 0.0;  ///< share of a block's time that its computation took, of blocks played
    double load_max = 0.0;
};

class Engine : public BlockSource {
  public:
    Engine();
    ~Engine() override;

    /// Opens a device at the plan's rate.  If it cannot be had, the simulated one is opened and the error says why; it
    /// is looked for from then on, and taken when it is there.
    Result<void> open(const std::string& device, int sample_rate, int block_frames);
    /// The one that was chosen, also while it is not there.
    const std::string& wanted_device() const { return wanted_; }
    const Device* device() const { return device_.get(); }
    int sample_rate() const { return sample_rate_; }

    /// Looks after the device: when it has vanished, stands still or runs faster than time, the simulated one takes
    /// over and the position is kept; when the wanted one is back it is taken again.  A sentence about either is
    /// returned. Call it a few times a second.
    std::optional<std::string> watch();

    /// This plan is heard from the next block on; gains glide.  Other sources or other ways take over within a block as
    /// soon as their samples are there; until then the plan before goes on.
    void set_plan(PlanPtr plan);

    /// How it is heard from the next block on; the change is faded over one block.  Meters and exports know nothing of
    /// it.
    void set_monitor(const MonitorSettings& settings);
    const MonitorSettings& monitor() const { return monitors_.back()->settings(); }

    void play();
    void stop();
    bool playing() const { return playing_.load(); }
    void locate(int64_t frame);
    int64_t position() const;
    /// The samples of the next block are there: it need not wait for the disk.
    bool ready(int frames) const;
    /// Frames; an end not after the start takes the loop away.
    void set_loop(int64_t first, int64_t end);

    /// Samples of the main output played since the last call, interleaved stereo, as an export has them; those that
    /// nobody took in time are left out.
    void take_mix(std::vector<float>& stereo);

    /// Levels since the last call, of the plan that is heard.
    LiveLevels levels();
    Service service() const;
    std::string trouble() const;

    /// The device's thread; without a device, whoever wants blocks.
    void fill(float* out_stereo, int frames, bool underflow) override;

    /// Tests: the simulated device, when it is the one that is open.
    SimulatedDevice* simulated_for_test() { return dynamic_cast<SimulatedDevice*>(device_.get()); }

  private:
    struct MeterRing;
    struct Program;
    struct Return;

    void take(std::unique_ptr<Device> device);
    std::optional<std::string> lose_device(const char* sentence);
    std::optional<std::string> take_returned_device();
    bool runs_away(int frames);

    static bool glides(const Program& from, const Program& to);
    void take_pending(Program* next, bool silent_now);
    int64_t render(float* out, int frames, float* listen);
    void keep_mix(const float* out, int64_t frames);
    int64_t cross_over(Program* next, float* out, int frames, float* listen);
    void monitor_block(float* out, int frames, const float* listen);
    void free_old_programs();
    Program* newest() const;

    std::string wanted_ = simulated_device;
    std::unique_ptr<Device> device_;
    std::shared_ptr<Return> return_;  ///< the search for the wanted device, while that is not there
    int sample_rate_ = 48000;
    int block_frames_ = 256;

    DeferredDestroyer let_go_;

    // Programs are made and given up by the interface's thread.  The audio thread claims the pending one before it
    // takes it, and then says that it is the active one; what is neither of the three is freed.
    std::vector<std::unique_ptr<Program>> programs_;
    std::atomic<Program*> pending_{nullptr}, claimed_{nullptr}, active_{nullptr};

    // The same way for monitor paths.
    std::vector<std::unique_ptr<MonitorPath>> monitors_;
    std::atomic<MonitorPath*> next_monitor_{nullptr}, claimed_monitor_{nullptr}, active_monitor_{nullptr};
    static constexpr int max_frames = 8192;  ///< of a block that is monitored in one piece
    std::vector<float> listen_, before_, next_, next_listen_;
    static constexpr size_t mix_ring = 1 << 17;  ///< floats
    std::vector<float> mix_;
    std::atomic<size_t> mix_written_{0}, mix_read_{0};

    // Asked for by the interface's thread.
    std::atomic<bool> play_wanted_{false};
    std::atomic<int64_t> locate_wanted_{-1};
    std::atomic<int64_t> loop_first_{0}, loop_end_{0};

    // The audio thread's own, readable from outside.
    std::atomic<bool> playing_{false};
    std::atomic<int64_t> position_{0};
    ProgrammeNeedle programme_[2] = {ProgrammeNeedle(48000), ProgrammeNeedle(48000)};
    float gate_ = 0.0f;             ///< 0 … 1, fades in and out at starts, stops and jumps
    int64_t since_wrap_ = 1 << 20;  ///< frames since the loop's seam
    bool waiting_ = true;           ///< for samples after a start or jump; their absence is then no fault

    std::atomic<int64_t> blocks_{0}, late_{0}, heartbeat_{0};
    static constexpr size_t load_steps = 2048;  ///< a histogram of load in steps of 1/1024
    std::array<std::atomic<int32_t>, load_steps> load_{};
    std::atomic<float> load_max_{0.0f};
    using Clock = std::chrono::steady_clock;
    int64_t last_heartbeat_ = -1;
    Clock::time_point beat_at_, searched_at_;

    // The audio thread's: how far the device is ahead of time with what it has asked for, once there is a device.
    Clock::time_point paced_at_;
    double ahead_s_ = 0.0;
    std::atomic<bool> paced_{false}, runaway_{false}, pace_anew_{true};
};

}  // namespace isotonus
