// Faders over MIDI: which bytes mean which position.  MIDI 1.0 Detailed Specification: pitch bend is 14 bit on a
// channel; controls 0-31 are the coarse half of a 14-bit control whose fine half is the control 32 higher.
#pragma once

#include <cstdint>
#include <map>
#include <optional>
#include <span>
#include <vector>

namespace isotonus {

using MidiBytes = std::vector<uint8_t>;

enum class FaderSpeech {
    pitch_bend,  ///< 14 bit, one fader a channel
    control_14,  ///< a pair of controls, coarse then fine
    control_7,   ///< one control
};

/// What a fader of a device says its moves with.
struct FaderAddress {
    FaderSpeech speech = FaderSpeech::pitch_bend;
    int channel = 0;  ///< 0 … 15
    int control = 0;  ///< 0 … 127; 0 … 31 for pairs; 0 for pitch bend
    auto operator<=>(const FaderAddress&) const = default;
};

struct FaderMove {
    FaderAddress address;
    double position = 0.0;  ///< 0 … 1
};

/// A finger on a fader or off it.  MIDI has no message of its own for that; ours is a note on channel 16, its number
/// the fader's (0 … 7), on at touch and off at release.
struct FaderTouch {
    int fader = 0;
    bool on = false;
};

/// Takes messages one by one.
class FaderMidiReader {
  public:
    /// What a message moves.  A coarse half alone counts as a 7-bit control; its fine half, when it comes, as the pair.
    std::optional<FaderMove> move(std::span<const uint8_t> message);
    static std::optional<FaderTouch> touch(std::span<const uint8_t> message);

  private:
    std::map<std::pair<int, int>, int> coarse_;  ///< by channel and control
};

/// The messages that say a position.
std::vector<MidiBytes> fader_bytes(const FaderAddress& address, double position);
MidiBytes touch_bytes(const FaderTouch& touch);

/// Steps between 0 and 1 that the speech can tell apart.
int steps_of(FaderSpeech speech);

/// A fader without a motor stands elsewhere than its value: its moves count only from where it meets the value on, so
/// that nothing jumps.
class Pickup {
  public:
    /// The control moved to `control` while the value stands at `value` (both 0 … 1): does the move count?
    bool takes(double control, double value);
    void let_go() { met_ = false, last_.reset(); }
    bool met() const { return met_; }

  private:
    static constexpr double near = 1.5 / 127.0;
    bool met_ = false;
    std::optional<double> last_, taken_;
};

}  // namespace isotonus
