#include "core/shape/dynamics.h"

#include "core/audio/kernels.h"
#include "core/shape/filters.h"

namespace isotonus {

void KeyFilter::set(double low_cut_hz, double high_cut_hz, double rate, bool first) {
    // One that was off has nothing to glide from.
    const bool low_first = first || !low_on, high_first = first || !high_on;
    low_on = low_cut_hz > 20.0;
    high_on = high_cut_hz < 20000.0;
    if (low_on) low.set(on_both(matched_filter(FilterShape::low_cut, low_cut_hz, flat_q, 0.0, rate)), low_first);
    if (high_on) high.set(on_both(matched_filter(FilterShape::high_cut, high_cut_hz, flat_q, 0.0, rate)), high_first);
}

void KeyFilter::run(State& state, PairCell& cell, int frames) const {
    const GlidingFilter* const lows[] = {&low};
    const GlidingFilter* const highs[] = {&high};
    if (low_on) run_filters(lows, &state.low, cell.at, frames);
    if (high_on) run_filters(highs, &state.high, cell.at, frames);
}

namespace {

Biquad filter_of(const MovingBand& band, double db, double rate) {
    if (band.where == BandWhere::below) return low_shelf(band.high_hz, flat_q, db, rate);
    if (band.where == BandWhere::above) return high_shelf(band.low_hz, flat_q, db, rate);
    const double low = std::min(band.low_hz, band.high_hz), high = std::max(band.low_hz, band.high_hz),
                 middle = std::sqrt(low * high);
    return bell(middle, std::max(0.3, middle / std::max(1.0, high - low)), db, rate);
}

}  // namespace

void MovingBand::process(State& state, float db, const Cell& c) const {
    if (db == 0.0f && state.db == 0.0f) {
        state.filter = {};
        return;
    }
    GlidingFilter filter;
    filter.set(on_both(filter_of(*this, static_cast<double>(state.db), c.sample_rate)), true);
    filter.set(on_both(filter_of(*this, static_cast<double>(db), c.sample_rate)), false);
    state.db = db;
    run_filter(filter, state.filter, c.samples, c.channels, c.frames);
}

void EchoDuck::set(double depth_db, double threshold_dbfs, double rate, bool first) {
    constexpr double attack_s = 0.01, release_s = 0.3;  // common practice, no source
    from_db_ = first ? static_cast<float>(depth_db) : to_db_;
    to_db_ = static_cast<float>(depth_db);
    threshold_db_ = static_cast<float>(threshold_dbfs);
    attack_ = static_cast<float>(keep_of(attack_s, rate));
    release_ = static_cast<float>(keep_of(release_s, rate));
}

void EchoDuck::process(State& state, const Cell& c) const {
    constexpr float knee_db = 12.0f;  // from nothing to the whole depth around the threshold
    if (!c.key || (from_db_ == 0.0f && to_db_ == 0.0f)) {
        state.share = 0.0f;
        return;
    }
    float level[cell_frames], gain[cell_frames];
    key_levels_db(c, level);
    for (int i = 0; i < c.frames; ++i) {
        const float wanted = std::clamp((level[i] - threshold_db_) / knee_db + 0.5f, 0.0f, 1.0f);
        state.share = wanted + (state.share - wanted) * (wanted > state.share ? attack_ : release_);
        const float depth = from_db_ + (to_db_ - from_db_) * static_cast<float>(i + 1) / cell_frames;
        gain[i] = -depth * state.share;
    }
    if (state.share < 1e-6f) state.share = 0.0f;
    apply_db(gain, c);
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
