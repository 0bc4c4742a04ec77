// Chains for tests: one processor at a time, and whole buffers through them.
#pragma once

#include <random>

#include "core/mix/mixdown.h"
#include "core/mix/row_signals.h"
#include "tests/support/sounds.h"

namespace isotonus::test {

inline Processor processor(const char* type, std::initializer_list<std::pair<const char*, double>> values = {},
                           uint64_t id = 1) {
    Processor p;
    p.id = id;
    p.type = type;
    for (const auto& [name, value] : values) {
        const ParameterInfo* info = parameter_of(p, name);
        EXPECT_TRUE(info) << name;
        if (info) set_value(p, *info, value);
    }
    return p;
}

/// What comes out of a chain for these samples, with its latency taken away; `key` for every tap.
inline std::vector<float> through(const Chain& chain, std::vector<float> in, int channels, double rate = 48000,
                                  const Rides& rides = {}, const std::vector<float>* key = nullptr) {
    ChainRun run(chain, rides, channels, rate);
    const size_t frames = in.size() / static_cast<size_t>(channels);
    in.resize((frames + static_cast<size_t>(run.latency()) + cell_frames) * static_cast<size_t>(channels));
    run.begin(0);
    std::vector<float> out;
    for (size_t at = 0; at + cell_frames * static_cast<size_t>(channels) <= in.size();
         at += cell_frames * static_cast<size_t>(channels)) {
        std::vector<float> cell(in.begin() + static_cast<std::ptrdiff_t>(at),
                                in.begin() + static_cast<std::ptrdiff_t>(at) + cell_frames * channels);
        std::vector<float> listened(cell_frames, 0.0f);
        if (key) {
            const size_t frame = at / static_cast<size_t>(channels);
            for (size_t i = 0; i < cell_frames && frame + i < key->size(); ++i) listened[i] = (*key)[frame + i];
        }
        const std::vector<const float*> keys(run.keys().size(), listened.data());
        const std::vector<int> key_channels(run.keys().size(), 1);
        run.process(cell.data(), 1, keys, key_channels);
        out.insert(out.end(), cell.begin(), cell.end());
    }
    out.erase(out.begin(), out.begin() + run.latency() * channels);
    out.resize(frames * static_cast<size_t>(channels));
    return out;
}

/// RMS of a stretch of a channel, dB re a sine of amplitude 1.
inline double rms_db(const std::vector<float>& x, int channels, int channel, size_t from, size_t to) {
    double sum = 0.0;
    for (size_t i = from; i < to; ++i) {
        const double v = static_cast<double>(x[i * static_cast<size_t>(channels) + static_cast<size_t>(channel)]);
        sum += v * v;
    }
    return 10.0 * std::log10(2.0 * sum / static_cast<double>(to - from) + 1e-30);
}

inline CurvePtr ride(std::vector<RidePoint> points) { return std::make_shared<const Curve>(Curve{std::move(points)}); }

/// A random chain with rides on it, of processors of every kind.
inline std::pair<Chain, Rides> random_chain(std::mt19937& random, uint64_t key) {
    std::uniform_real_distribution<double> uniform(0.0, 1.0);
    Chain chain;
    Rides rides;
    const size_t count = 1 + random() % 4;
    for (size_t n = 0; n < count; ++n) {
        const ProcessorType& type = *processor_types()[random() % processor_types().size()];
        Processor p = new_processor(type, chain);
        for (const ParameterInfo* info : parameters_of(p)) {
            if (uniform(random) < 0.5) set_value(p, *info, value_at_position(Parameter(*info), uniform(random)));
            if (uniform(random) < 0.1 && std::string(info->id) != "lookahead_ms") {
                std::vector<RidePoint> points;
                for (double t = 0.0; t < 2.0; t += 0.3 + uniform(random))
                    points.push_back({t, value_at_position(Parameter(*info), uniform(random))});
                rides.set(Parameter(*info, p.id), ride(points));
            }
        }
        p.in = uniform(random) < 0.9;
        if (type.keyed && uniform(random) < 0.5) p.key = key;
        chain.push_back(std::move(p));
    }
    return {chain, rides};
}

/// Tracks and buses with chains.
struct Shaped : Mix {
    using Mix::Mix;
    RowSignals row_signals;
    std::map<TrackId, MaterialPtr> files;
    MaterialOf file_of() {
        return [this](const Track& t) {
            MaterialPtr& m = files[t.id];
            if (!m) m = load_material(source_of(t), session.sample_rate).value();
            return m;
        };
    }
    PlanPtr shaped_plan() {
        EXPECT_TRUE(row_signals.make(session, file_of()));
        return compile_plan(session, row_signals.played_by(session, file_of()), Solo::left_out);
    }
};

inline std::vector<float> rendered(const PlanPtr& plan, int block, int workers = 1) {
    std::vector<float> all;
    EXPECT_TRUE(render_stretch(
        plan, {0, plan->frames}, block,
        [&](std::span<const float> x) -> Result<void> {
            all.insert(all.end(), x.begin(), x.end());
            return {};
        },
        nullptr, workers));
    return all;
}

inline double worst_difference(const std::vector<float>& a, const std::vector<float>& b) {
    EXPECT_EQ(a.size(), b.size());
    double worst = 0.0;
    for (size_t i = 0; i < std::min(a.size(), b.size()); ++i)
        worst = std::max(worst, std::fabs(static_cast<double>(a[i]) - static_cast<double>(b[i])));
    return worst;
}

inline float peak_of(const std::vector<float>& x) {
    float peak = 0.0f;
    for (const float v : x) peak = std::max(peak, std::fabs(v));
    return peak;
}

}  // namespace isotonus::test
