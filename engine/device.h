// Sound devices: where the engine's output goes.
#pragma once

#include <atomic>
#include <memory>
#include <string>
#include <vector>

#include "core/result.h"

namespace isotonus {

/// What a device asks for sound.  Called on the device's own thread; must never lock, allocate, or throw.
class BlockSource {
  public:
    virtual ~BlockSource() = default;
    /// Fills `frames` frames of interleaved stereo.  `underflow`: the device ran dry before this call.
    virtual void fill(float* out_stereo, int frames, bool underflow) = 0;
};

/// Between a device's thread and whoever it asks.  The thread of a server that hangs may hold it longer than the device
/// is there.
class Outlet {
  public:
    /// From now on blocks come from `source`; null: silence.  The source before is not asked any more when this
    /// returns.
    void serve(BlockSource* source);
    /// The device's thread wants a block.
    void ask(float* out_stereo, int frames, bool underflow);

  private:
    std::atomic<BlockSource*> source_{nullptr};
    std::atomic<bool> busy_{false};
};

/// An open device: it runs, and is silent until it is served.
class Device {
  public:
    explicit Device(std::string name) : name_(std::move(name)) {}
    virtual ~Device() = default;  // stops it
    /// As it was chosen: "system", "JACK: system", "simulated".
    const std::string& name() const { return name_; }
    /// What really sounds at the moment, for people: for the system output the device behind it.
    virtual std::string sounding() const { return name_; }
    /// The longest block that it asks for, frames; a server may change it while the device is open.
    virtual int block_frames() const = 0;
    /// False once the device has vanished.
    virtual bool alive() const = 0;
    void serve(BlockSource* source) { outlet_->serve(source); }

  protected:
    const std::shared_ptr<Outlet>& outlet() const { return outlet_; }

  private:
    std::string name_;
    std::shared_ptr<Outlet> outlet_ = std::make_shared<Outlet>();
};

/// The device that is always there: it keeps time and makes no sound.
inline constexpr const char* simulated_device = "simulated";
/// Whatever the desktop plays through, wherever that is moved while it plays.
inline constexpr const char* system_output = "system";

/// Names of what can be opened now: the system output, "JACK: system" and so on, and the simulated device last.
/// `system_output` is there when any sound server is, or a card.
std::vector<std::string> device_names();

/// Opens and starts a device.  Fails with a sentence: not there, another rate, in use.  Waits 3 s at most for a server
/// that does not answer.
Result<std::unique_ptr<Device>> open_device(const std::string& name, int sample_rate, int block_frames);

/// A clock that asks for blocks at the pace of a real device, and drops them.
class SimulatedDevice : public Device {
  public:
    SimulatedDevice(int sample_rate, int block_frames);
    ~SimulatedDevice() override;
    int block_frames() const override { return block_frames_; }
    bool alive() const override;
    /// As if the cable had been pulled.
    void vanish();
    /// As some devices do that have gone: it asks without end.
    void race();

  private:
    struct Clock;
    int block_frames_;
    std::unique_ptr<Clock> clock_;
};

}  // namespace isotonus
