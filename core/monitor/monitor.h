// core/monitor: how the mix is heard by whoever works on it; nothing of it is ever exported.
//
// The monitor path: how the mix is heard.  Nothing of it can reach an export: it works on a device's block, after the
// export tap.  docs/monitoring.md lists the playback checks' curves.
#pragma once

#include <array>
#include <memory>
#include <string_view>
#include <vector>

#include "core/audio/biquad.h"
#include "core/monitor/correction.h"

namespace isotonus {

enum class Sides { stereo, mono, left, right, swapped, side };
inline constexpr std::array<const char*, 6> sides_names{"stereo", "mono", "left", "right", "swapped", "side"};

/// Small systems to hear the mix as through; our own curves, linear.
enum class Playback { none, phone, laptop, radio, earphones, car, club };
inline constexpr std::array<const char*, 7> playback_names{"none",      "phone", "laptop", "radio",
                                                           "earphones", "car",   "club"};

/// Headphones as if on loudspeakers at a distance (libbs2b): the nearer, the less each ear hears of the other side.
enum class CrossFeed { off, near, mid, far };
inline constexpr std::array<const char*, 4> cross_feed_names{"off", "near", "mid", "far"};

struct MonitorSettings {
    double level_db = 0.0;  ///< -60 … 0
    bool dim = false;
    double dim_db = -20.0;
    Sides sides = Sides::stereo;
    bool quiet = false;  ///< the quiet check
    double quiet_db = -30.0;
    Playback playback = Playback::none;
    CrossFeed cross_feed = CrossFeed::off;
    std::shared_ptr<const CorrectionCurve> correction;  ///< of the room or the headphones; null: none
    double rest_db = -15.0;                             ///< of the mix while rows are listened to
    double matched_db = 0.0;  ///< 0 or below: lowers the mix and what it is compared with, so that neither clips
    bool operator==(const MonitorSettings&) const = default;
    /// Something changes what is heard, the level left aside.
    bool any_on() const {
        return dim || quiet || matched_db < 0.0 || cross_feed != CrossFeed::off || sides != Sides::stereo ||
               playback != Playback::none;
    }
};

/// The sections of a playback check at a rate, from the Audio EQ Cookbook (W3C Note); and whether it sums to mono.
std::vector<Biquad> playback_sections(Playback playback, double sample_rate);
bool playback_is_mono(Playback playback);

/// Built where allocation is allowed; process is real-time safe.
class MonitorPath {
  public:
    MonitorPath(const MonitorSettings& settings, double sample_rate);
    ~MonitorPath();
    MonitorPath(const MonitorPath&) = delete;

    const MonitorSettings& settings() const { return settings_; }

    /// Works on interleaved stereo in place.  `listen`, when not null, is the listening sum: the rest is dimmed.
    void process(float* stereo, int frames, const float* listen);

  private:
    MonitorSettings settings_;
    std::vector<Biquad> sections_;
    std::vector<std::array<Biquad::State, 2>> states_;
    bool mono_;
    double gain_;
    struct Feed;
    std::unique_ptr<Feed> feed_;
};

}  // namespace isotonus
