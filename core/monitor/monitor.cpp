#include "core/monitor/monitor.h"

extern "C" {
#include <bs2b/bs2b.h>
}

#include "core/decibels.h"

namespace isotonus {

std::vector<Biquad> playback_sections(Playback playback, double rate) {
    switch (playback) {
        case Playback::none:
            return {};
        case Playback::phone:
            return {low_cut(450, steep_low_q, rate), low_cut(450, steep_high_q, rate), bell(2500, 1.0, 4, rate),
                    high_cut(9000, flat_q, rate)};
        case Playback::laptop:
            return {low_cut(200, steep_low_q, rate), low_cut(200, steep_high_q, rate), bell(700, 1.0, 2, rate),
                    high_shelf(10000, flat_q, -4, rate)};
        case Playback::radio:
            return {low_cut(140, flat_q, rate), bell(1200, 0.8, 3, rate), high_cut(6500, flat_q, rate)};
        case Playback::earphones:
            return {low_cut(25, flat_q, rate), low_shelf(90, flat_q, 3, rate), bell(3000, 1.0, 4, rate),
                    high_cut(15000, flat_q, rate)};
        case Playback::car:
            return {low_shelf(100, flat_q, 6, rate), bell(350, 1.0, -3, rate), high_shelf(8000, flat_q, -3, rate)};
        case Playback::club:
            return {low_cut(32, flat_q, rate), low_shelf(90, flat_q, 6, rate), high_shelf(9000, flat_q, -2, rate)};
    }
    return {};
}

bool playback_is_mono(Playback playback) {
    return playback == Playback::phone || playback == Playback::radio || playback == Playback::club;
}

namespace {

/// Cut in Hz, and in its upper half the difference of the ears in tenths of a dB: the library's three levels.
uint32_t level_of(CrossFeed distance) {
    if (distance == CrossFeed::near) return BS2B_JMEIER_CLEVEL;
    if (distance == CrossFeed::mid) return BS2B_CMOY_CLEVEL;
    return BS2B_DEFAULT_CLEVEL;
}

std::vector<Biquad> sections_of(const MonitorSettings& s, double rate) {
    std::vector<Biquad> all = playback_sections(s.playback, rate);
    if (s.correction)
        for (const Biquad& section : correction_sections(*s.correction, rate)) all.push_back(section);
    return all;
}

}  // namespace

struct MonitorPath::Feed {
    t_bs2bdp path = bs2b_open();
    Feed(CrossFeed distance, double rate) {
        bs2b_set_srate(path, static_cast<uint32_t>(rate));
        bs2b_set_level(path, level_of(distance));
    }
    ~Feed() { bs2b_close(path); }
    Feed(const Feed&) = delete;
};

MonitorPath::MonitorPath(const MonitorSettings& s, double rate)
    : settings_(s),
      sections_(sections_of(s, rate)),
      states_(sections_.size()),
      mono_(s.sides == Sides::mono || playback_is_mono(s.playback)),
      gain_(gain_from_db(s.level_db + s.matched_db + (s.dim ? s.dim_db : 0.0) + (s.quiet ? s.quiet_db : 0.0))),
      feed_(s.cross_feed != CrossFeed::off ? std::make_unique<Feed>(s.cross_feed, rate) : nullptr) {}

MonitorPath::~MonitorPath() = default;

void MonitorPath::process(float* stereo, int frames, const float* listen) {
    const auto rest = static_cast<float>(gain_from_db(settings_.rest_db));
    if (listen)
        for (int i = 0; i < 2 * frames; ++i) stereo[i] = stereo[i] * rest + listen[i];
    for (int i = 0; i < frames; ++i) {
        float &l = stereo[2 * i], &r = stereo[2 * i + 1];
        switch (settings_.sides) {
            case Sides::stereo:
            case Sides::mono:
                break;
            case Sides::left:
                r = l;
                break;
            case Sides::right:
                l = r;
                break;
            case Sides::swapped:
                std::swap(l, r);
                break;
            case Sides::side:
                l = 0.5f * (l - r);
                r = l;
                break;
        }
        if (mono_) l = r = 0.5f * (l + r);
    }
    for (size_t n = 0; n < sections_.size(); ++n) {
        const Biquad& s = sections_[n];
        for (size_t c = 0; c < 2; ++c) {
            Biquad::State& state = states_[n][c];
            for (int i = 0; i < frames; ++i) {
                float& at = stereo[static_cast<size_t>(2 * i) + c];
                at = static_cast<float>(s.step(state, static_cast<double>(at)));
            }
        }
    }
    if (feed_) bs2b_cross_feed_f(feed_->path, stereo, frames);
    const auto gain = static_cast<float>(gain_);
    if (gain != 1.0f)
        for (int i = 0; i < 2 * frames; ++i) stereo[i] *= gain;
}

}  // namespace isotonus
