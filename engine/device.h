// Sound devices: where the engine's output goes.
#pragma once

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

class Device {
  public:
    virtual ~Device() = default;  // stops it
    virtual const std::string& name() const = 0;
    virtual int block_frames() const = 0;
    /// False once the device has vanished.
    virtual bool alive() const = 0;
};

/// The name of the device that is always there: it keeps time and makes no sound.
inline constexpr const char* simulated_device = "simulated";

/// Names of what can be opened now, "JACK: system" and so on; the simulated device is last.
std::vector<std::string> device_names();

/// Opens and starts a device.  Fails with a sentence: not there, another rate, in use.
Result<std::unique_ptr<Device>> open_device(const std::string& name, int sample_rate, int block_frames,
                                            BlockSource& source);

/// A clock that asks for blocks at the pace of a real device, and drops them.
class SimulatedDevice : public Device {
  public:
    SimulatedDevice(int sample_rate, int block_frames, BlockSource& source);
    ~SimulatedDevice() override;
    const std::string& name() const override { return name_; }
    int block_frames() const override { return block_frames_; }
    bool alive() const override;
    /// As if the cable had been pulled.
    void vanish();

  private:
    struct Clock;
    std::string name_ = simulated_device;
    int block_frames_;
    std::unique_ptr<Clock> clock_;
};

}  // namespace isotonus
