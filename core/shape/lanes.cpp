#include "core/shape/lanes.h"

#include <cmath>
#include <iterator>

#include "core/audio/kernels.h"
#include "core/shape/fields.h"

namespace isotonus {

namespace {

// A stereo cell in double is the same samples one after the other.
ISOTONUS_WIDE void widen(const float* in, int samples, double* out) {
    for (int i = 0; i < samples; ++i) out[i] = static_cast<double>(in[i]);
}
ISOTONUS_WIDE void narrow(const double* in, int samples, float* out) {
    for (int i = 0; i < samples; ++i) out[i] = static_cast<float>(in[i]);
}

void run_gliding(const GlidingFilter& filter, PairFilter::DirectState& state, Pair* cell, int frames) {
    PairFilter f = filter.from;
    constexpr Pair part{1.0 / cell_frames, 1.0 / cell_frames};
    const PairFilter step{(filter.to.b0 - f.b0) * part, (filter.to.b1 - f.b1) * part, (filter.to.b2 - f.b2) * part,
                          (filter.to.a1 - f.a1) * part, (filter.to.a2 - f.a2) * part};
    for (int i = 0; i < frames; ++i) {
        f.b0 += step.b0, f.b1 += step.b1, f.b2 += step.b2, f.a1 += step.a1, f.a2 += step.a2;
        cell[i] = f.step(state, cell[i]);
    }
}

}  // namespace

void PairCell::load(const float* in, int channels, int frames) {
    if (channels == 2) return widen(in, 2 * frames, reinterpret_cast<double*>(at));
    for (int i = 0; i < frames; ++i) at[i] = Pair{static_cast<double>(in[i]), 0.0};
}

void PairCell::store(float* out, int channels, int frames) const {
    if (channels == 2) return narrow(reinterpret_cast<const double*>(at), 2 * frames, out);
    for (int i = 0; i < frames; ++i) out[i] = static_cast<float>(at[i][0]);
}

void run_filters(std::span<const GlidingFilter* const> filters, PairFilter::DirectState* states, Pair* cell,
                 int frames) {
    for (size_t n = 0; n < filters.size();) {
        if (!filters[n]->still) {
            run_gliding(*filters[n], states[n], cell, frames);
            ++n;
            continue;
        }
        size_t together = 0;
        PairFilter still[kernels::max_biquads];
        while (together < std::size(still) && n + together < filters.size() && filters[n + together]->still) {
            still[together] = filters[n + together]->to;
            ++together;
        }
        kernels::run_biquads({still, together}, states + n, cell, static_cast<size_t>(frames));
        n += together;
    }
}

void run_filter(const GlidingFilter& filter, PairFilter::DirectState& state, float* samples, int channels, int frames) {
    PairCell cell;
    cell.load(samples, channels, frames);
    const GlidingFilter* const filters[] = {&filter};
    run_filters(filters, &state, cell.at, frames);
    cell.store(samples, channels, frames);
}

double keep_of(double seconds, double rate) { return seconds <= 0.0 ? 0.0 : std::exp(-1.0 / (seconds * rate)); }

std::complex<double> response_of(const GlidingFilter& filter, double radians) {
    const PairFilter& f = filter.to;
    const std::complex<double> late = std::polar(1.0, -radians), later = late * late;
    return (f.b0[0] + f.b1[0] * late + f.b2[0] * later) / (1.0 + f.a1[0] * late + f.a2[0] * later);
}

}  // namespace isotonus
