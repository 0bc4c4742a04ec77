#include "core/shape/response.h"

#include <algorithm>
#include <cmath>

#include "core/audio/fft.h"

namespace isotonus {

std::vector<double> chain_response_db(const Chain& chain, const std::vector<double>& hz, double rate) {
    Chain linear;
    for (const Processor& p : chain) {
        const ProcessorType* type = processor_type(p.type);
        if (type && type->linear && p.in) linear.push_back(p);
    }
    std::vector<double> found(hz.size(), 0.0);
    if (linear.empty()) return found;
    constexpr int frames = 32768;
    ChainRun run(linear, {}, 2, rate);
    run.begin(0);
    RealFft fft(frames);
    const auto time = fft.time();
    for (int at = 0; at < frames; at += cell_frames) {
        float cell[2 * cell_frames] = {};
        if (at == 0) cell[0] = cell[1] = 1.0f;
        run.process(cell, {}, {});
        for (int i = 0; i < cell_frames; ++i) time[static_cast<size_t>(at + i)] = cell[2 * i];
    }
    fft.forward();
    const auto bins = fft.bins();
    for (size_t n = 0; n < hz.size(); ++n) {
        const double place = std::clamp(hz[n] * frames / rate, 0.0, frames / 2.0 - 1.0);
        const auto k = static_cast<size_t>(place);
        const double share = place - static_cast<double>(k);
        const double low = static_cast<double>(std::abs(bins[k])), high = static_cast<double>(std::abs(bins[k + 1]));
        found[n] = 20.0 * std::log10(std::max(1e-6, low + (high - low) * share));
    }
    return found;
}

}  // namespace isotonus
