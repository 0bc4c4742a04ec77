// A made-up song as separate tracks, and two-track mixes of it that are summed up here, sample by sample, by the
// published laws of pan: what a rough mix is found from.
#pragma once

#include "core/mix/mixdown.h"
#include "tests/support/sounds.h"

namespace isotonus::test {

/// All that a plan plays, interleaved stereo.
inline std::vector<float> samples_of(const PlanPtr& plan) {
    std::vector<float> all;
    EXPECT_TRUE(render_stretch(plan, {0, plan->frames}, 4096, [&](std::span<const float> part) -> Result<void> {
        all.insert(all.end(), part.begin(), part.end());
        return {};
    }));
    return all;
}

class MadeSong {
  public:
    static constexpr int rate = 48000;

    /// What a track sounds like: notes of this pitch and an octave up, how long they ring, how much noise is in them
    /// and whether only its highs, how often they come.
    struct Sound {
        double hz = 0.0, decay_s = 0.0, noisy = 0.0;
        bool hissing = false;
        double step_s = 0.0;
    };

    /// `count` tracks of `seconds`, every third of them stereo; another `kind` is another song.  Sounds that are not
    /// given are at random.
    MadeSong(const Folder& folder, size_t count, double seconds, uint32_t kind = 0, std::vector<Sound> sounds = {})
        : frames(static_cast<int64_t>(seconds * rate)), sounds_(std::move(sounds)) {
        fs::create_directories(folder / fmt::format("song{}", kind));
        for (size_t n = 0; n < count; ++n) {
            samples.push_back(make_track(n, kind));
            files.push_back(
                write(folder / fmt::format("song{}/{:02} Track.wav", kind, n + 1), samples.back(), channels(n), rate));
        }
        session = with_files({}, files);
        session.sample_rate = rate;
    }

    int channels(size_t n) const { return n % 3 == 2 ? 2 : 1; }
    TrackId id(size_t n) const { return session.tracks[n]->id; }

    struct Setting {
        double fader_db = 0.0, pan = 0.0;
        bool inverted = false;
    };
    /// Faders of -20 … 0 dB, pans and polarities at random.
    std::vector<Setting> random_settings(uint32_t seed) const {
        const Wave dice = noise(seed, 1.0);
        std::vector<Setting> all;
        for (size_t n = 0; n < samples.size(); ++n) {
            const auto i = static_cast<int64_t>(n);
            all.push_back({-10.0 + 10.0 * dice(3 * i, 0), std::round(100.0 * dice(3 * i + 1, 0)) / 100.0,
                           dice(3 * i + 2, 0) > 0.0});
        }
        return all;
    }
    /// Left and right, interleaved.  Mono tracks by constant power (the session's first law): left cos, right sin of
    /// (pan + 1) pi / 4; stereo ones balanced: the far side by cos(|pan| pi / 2).
    std::vector<float> mixed(const std::vector<Setting>& settings) const {
        std::vector<double> sum(static_cast<size_t>(2 * frames));
        for (size_t n = 0; n < samples.size(); ++n) {
            const auto [db, pan, inverted] = settings[n];
            const double gain = (inverted ? -1.0 : 1.0) * std::pow(10.0, db / 20.0), pi = std::numbers::pi;
            const bool mono = channels(n) == 1;
            const double left = mono ? std::cos((pan + 1.0) * pi / 4.0) : std::cos(std::max(0.0, pan) * pi / 2.0);
            const double right = mono ? std::sin((pan + 1.0) * pi / 4.0) : std::cos(std::max(0.0, -pan) * pi / 2.0);
            for (size_t i = 0; i < static_cast<size_t>(frames); ++i) {
                const float l = mono ? samples[n][i] : samples[n][2 * i], r = mono ? l : samples[n][2 * i + 1];
                sum[2 * i] += gain * left * static_cast<double>(l);
                sum[2 * i + 1] += gain * right * static_cast<double>(r);
            }
        }
        return {sum.begin(), sum.end()};
    }
    MaterialOf material() const {
        auto known = std::make_shared<std::map<TrackId, MaterialPtr>>();
        for (const auto& t : session.tracks) (*known)[t->id] = load_material(source_of(*t), rate).value();
        return [known](const Track& t) { return known->at(t.id); };
    }

    int64_t frames;
    std::vector<std::vector<float>> samples;
    std::vector<fs::path> files;
    Session session;

  private:
    std::vector<Sound> sounds_;
    /// Notes of a few partials and some noise, each track with its own rhythm, pitches and decay.
    std::vector<float> make_track(size_t n, uint32_t kind) const {
        const uint32_t seed = 7919 * (static_cast<uint32_t>(n) + 1) + 104729 * kind;
        const Wave dice = noise(seed, 0.5), hiss = noise(seed + 1, 1.0);
        const auto value = [&](int64_t i) { return dice(i, 0) + 0.5; };
        const Sound any{50.0 * std::pow(2.0, 5.0 * value(4)), 0.05 + 0.6 * value(2), value(3), false,
                        0.12 + 0.5 * value(1)};
        const auto [lowest_hz, decay_s, noisy, hissing, step_s] = n < sounds_.size() ? sounds_[n] : any;
        const int sides = channels(n);
        std::vector<float> out(static_cast<size_t>(frames * sides));
        for (int64_t note = 0; static_cast<double>(note) * step_s * rate < static_cast<double>(frames); ++note) {
            if (value(10 + 3 * note) < 0.3) continue;  // a rest
            const auto begin = static_cast<int64_t>(static_cast<double>(note) * step_s * rate);
            const double hz = lowest_hz * std::pow(2.0, std::floor(12.0 * value(11 + 3 * note)) / 12.0);
            const double loud = 0.15 * (0.4 + 0.6 * value(12 + 3 * note)), lean = 0.5 * dice(13 + 3 * note, 0);
            const int64_t end = std::min(frames, begin + static_cast<int64_t>(4.0 * decay_s * rate));
            for (int64_t i = begin; i < end; ++i) {
                const double t = static_cast<double>(i - begin) / rate, fall = std::exp(-t / decay_s);
                const double tone = std::sin(2.0 * std::numbers::pi * hz * t) +
                                    0.5 * std::sin(4.0 * std::numbers::pi * hz * t) +
                                    0.3 * std::sin(6.0 * std::numbers::pi * hz * t);
                for (int c = 0; c < sides; ++c)
                    out[static_cast<size_t>(i * sides + c)] += static_cast<float>(
                        loud * fall * (1.0 + (c == 0 ? -lean : lean)) *
                        ((1.0 - noisy) * tone + noisy * (hissing ? hiss(i, c) - hiss(i - 1, c) : hiss(i, c))));
            }
        }
        return out;
    }
};

}  // namespace isotonus::test
