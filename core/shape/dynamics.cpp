#include "core/shape/dynamics.h"

#include "core/audio/kernels.h"
#include "core/shape/filters.h"

namespace isotonus {

void KeyFilter::set(double low_cut_hz, double high_cut_hz, double rate, bool first) {
    low_on = low_cut_hz > 20.0;
    high_on = high_cut_hz < 20000.0;
    if (low_on) low.set(on_both(matched_filter(FilterShape::low_cut, low_cut_hz, flat_q, 0.0, rate)), first);
    if (high_on) high.set(on_both(matched_filter(FilterShape::high_cut, high_cut_hz, flat_q, 0.0, rate)), first);
}

void KeyFilter::run(State& state, PairCell& cell, int frames) const {
    const GlidingFilter* const lows[] = {&low};
    const GlidingFilter* const highs[] = {&high};
    if (low_on) run_filters(lows, &state.low, cell.at, frames);
    if (high_on) run_filters(highs, &state.high, cell.at, frames);
}

ISOTONUS_WIDE void magnitudes_of(const PairCell& cell, int frames, float* out) {
    for (int i = 0; i < frames; ++i)
        out[i] = static_cast<float>(std::max(std::fabs(cell.at[i][0]), std::fabs(cell.at[i][1])));
}

void levels_db_of(const PairCell& cell, int frames, float* out) {
    float magnitudes[stretch_frames];
    magnitudes_of(cell, frames, magnitudes);
    kernels::levels_db(magnitudes, static_cast<size_t>(frames), 1, out);
}

void key_levels_db(const Cell& cell, float* out) {
    kernels::levels_db(cell.key, static_cast<size_t>(cell.frames), cell.key_channels, out);
}

ISOTONUS_WIDE void apply_db(const float* gain_db, const Cell& cell) {
    float gain[stretch_frames];
    for (int i = 0; i < cell.frames; ++i) gain[i] = gain_of_db(gain_db[i]);
    if (cell.channels == 2)
        for (int i = 0; i < cell.frames; ++i) {
            cell.samples[2 * i] *= gain[i];
            cell.samples[2 * i + 1] *= gain[i];
        }
    else
        for (int i = 0; i < cell.frames; ++i) cell.samples[i] *= gain[i];
}

}  // namespace isotonus
