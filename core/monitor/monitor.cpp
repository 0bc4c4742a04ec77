#include "core/monitor/monitor.h"

extern "C" {
#include <bs2b/bs2b.h>
}

#include <cmath>
#include <complex>
#include <numbers>

#include "core/decibels.h"

namespace isotonus {

namespace {

enum class Shape { low_cut, high_cut, peak, low_shelf, high_shelf };
struct Part {
    Shape shape;
    double hz, q, gain_db;
};

/// Audio EQ Cookbook (W3C Note).
Section2 section_of(const Part& p, double rate) {
    const double w = 2.0 * std::numbers::pi * std::min(p.hz, 0.45 * rate) / rate, c = std::cos(w);
    const double alpha = std::sin(w) / (2.0 * p.q), a = std::pow(10.0, p.gain_db / 40.0),
                 r = 2.0 * std::sqrt(a) * alpha;
    double b0 = 0, b1 = 0, b2 = 0, a0 = 1, a1 = 0, a2 = 0;
    switch (p.shape) {
        case Shape::low_cut:
            b0 = (1 + c) / 2, b1 = -(1 + c), b2 = b0, a0 = 1 + alpha, a1 = -2 * c, a2 = 1 - alpha;
            break;
        case Shape::high_cut:
            b0 = (1 - c) / 2, b1 = 1 - c, b2 = b0, a0 = 1 + alpha, a1 = -2 * c, a2 = 1 - alpha;
            break;
        case Shape::peak:
            b0 = 1 + alpha * a, b1 = -2 * c, b2 = 1 - alpha * a, a0 = 1 + alpha / a, a1 = -2 * c, a2 = 1 - alpha / a;
            break;
        case Shape::low_shelf:
            b0 = a * ((a + 1) - (a - 1) * c + r), b1 = 2 * a * ((a - 1) - (a + 1) * c);
            b2 = a * ((a + 1) - (a - 1) * c - r), a0 = (a + 1) + (a - 1) * c + r;
            a1 = -2 * ((a - 1) + (a + 1) * c), a2 = (a + 1) + (a - 1) * c - r;
            break;
        case Shape::high_shelf:
            b0 = a * ((a + 1) + (a - 1) * c + r), b1 = -2 * a * ((a - 1) + (a + 1) * c);
            b2 = a * ((a + 1) + (a - 1) * c - r), a0 = (a + 1) - (a - 1) * c + r;
            a1 = 2 * ((a - 1) - (a + 1) * c), a2 = (a + 1) - (a - 1) * c - r;
            break;
    }
    return {b0 / a0, b1 / a0, b2 / a0, a1 / a0, a2 / a0};
}

constexpr double flat_q = 0.7071, steep_low_q = 0.5412, steep_high_q = 1.3066;  ///< Butterworth of 2nd and 4th order

std::vector<Part> parts_of(Playback playback) {
    using enum Shape;
    switch (playback) {
        case Playback::none:
            return {};
        case Playback::phone:
            return {{low_cut, 450, steep_low_q, 0},
                    {low_cut, 450, steep_high_q, 0},
                    {peak, 2500, 1.0, 4},
                    {high_cut, 9000, flat_q, 0}};
        case Playback::laptop:
            return {{low_cut, 200, steep_low_q, 0},
                    {low_cut, 200, steep_high_q, 0},
                    {peak, 700, 1.0, 2},
                    {high_shelf, 10000, flat_q, -4}};
        case Playback::radio:
            return {{low_cut, 140, flat_q, 0}, {peak, 1200, 0.8, 3}, {high_cut, 6500, flat_q, 0}};
        case Playback::earphones:
            return {{low_cut, 25, flat_q, 0},
                    {low_shelf, 90, flat_q, 3},
                    {peak, 3000, 1.0, 4},
                    {high_cut, 15000, flat_q, 0}};
        case Playback::car:
            return {{low_shelf, 100, flat_q, 6}, {peak, 350, 1.0, -3}, {high_shelf, 8000, flat_q, -3}};
        case Playback::club:
            return {{low_cut, 32, flat_q, 0}, {low_shelf, 90, flat_q, 6}, {high_shelf, 9000, flat_q, -2}};
    }
    return {};
}

}  // namespace

Section2 low_cut_section(double hz, double rate) { return section_of({Shape::low_cut, hz, flat_q, 0.0}, rate); }
Section2 high_cut_section(double hz, double rate) { return section_of({Shape::high_cut, hz, flat_q, 0.0}, rate); }

std::vector<Section2> playback_sections(Playback playback, double rate) {
    std::vector<Section2> sections;
    for (const Part& p : parts_of(playback)) sections.push_back(section_of(p, rate));
    return sections;
}

bool playback_is_mono(Playback playback) {
    return playback == Playback::phone || playback == Playback::radio || playback == Playback::club;
}

double response_db(const std::vector<Section2>& sections, double hz, double rate) {
    const std::complex<double> z = std::polar(1.0, -2.0 * std::numbers::pi * hz / rate);
    double gain = 1.0;
    for (const Section2& s : sections)
        gain *= std::abs((s.b0 + s.b1 * z + s.b2 * z * z) / (1.0 + s.a1 * z + s.a2 * z * z));
    return db_from_gain(gain);
}

struct MonitorPath::CrossFeed {
    t_bs2bdp path = bs2b_open();
    explicit CrossFeed(double rate) {
        bs2b_set_srate(path, static_cast<uint32_t>(rate));
        bs2b_set_level(path, BS2B_DEFAULT_CLEVEL);
    }
    ~CrossFeed() { bs2b_close(path); }
    CrossFeed(const CrossFeed&) = delete;
};

MonitorPath::MonitorPath(const MonitorSettings& s, double rate)
    : settings_(s),
      sections_(playback_sections(s.playback, rate)),
      states_(sections_.size()),
      mono_(s.sides == Sides::mono || playback_is_mono(s.playback)),
      gain_(gain_from_db(s.level_db + (s.dim ? s.dim_db : 0.0) + (s.quiet ? s.quiet_db : 0.0))),
      cross_feed_(s.cross_feed ? std::make_unique<CrossFeed>(rate) : nullptr) {}

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
        const Section2& s = sections_[n];
        for (size_t c = 0; c < 2; ++c) {
            State& z = states_[n][c];
            for (int i = 0; i < frames; ++i) {
                float& at = stereo[static_cast<size_t>(2 * i) + c];
                const double x = static_cast<double>(at), y = s.b0 * x + z.s1;
                z.s1 = s.b1 * x - s.a1 * y + z.s2;
                z.s2 = s.b2 * x - s.a2 * y;
                at = static_cast<float>(y);
            }
        }
    }
    if (cross_feed_) bs2b_cross_feed_f(cross_feed_->path, stereo, frames);
    const auto gain = static_cast<float>(gain_);
    if (gain != 1.0f)
        for (int i = 0; i < 2 * frames; ++i) stereo[i] *= gain;
}

}  // namespace isotonus
