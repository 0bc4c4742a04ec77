#include "core/shape/lanes.h"

#include <cmath>

namespace isotonus {

namespace {

/// `count` filters in one pass, so that the processor works on several recursions at once.
template <size_t count>
void run_some(const GlidingFilter* const* filters, PairFilter::State* states, Pair* cell, int frames) {
    PairFilter f[count];
    PairFilter::State s[count];
    for (size_t n = 0; n < count; ++n) f[n] = filters[n]->to, s[n] = states[n];
    for (int i = 0; i < frames; ++i) {
        Pair x = cell[i];
        for (size_t n = 0; n < count; ++n) x = f[n].step(s[n], x);
        cell[i] = x;
    }
    for (size_t n = 0; n < count; ++n) states[n] = s[n];
}

void run_gliding(const GlidingFilter& filter, PairFilter::State& state, Pair* cell, int frames) {
    PairFilter f = filter.from;
    const Pair part = both(1.0 / cell_frames);
    const PairFilter step{(filter.to.b0 - f.b0) * part, (filter.to.b1 - f.b1) * part, (filter.to.b2 - f.b2) * part,
                          (filter.to.a1 - f.a1) * part, (filter.to.a2 - f.a2) * part};
    for (int i = 0; i < frames; ++i) {
        f.b0 += step.b0, f.b1 += step.b1, f.b2 += step.b2, f.a1 += step.a1, f.a2 += step.a2;
        cell[i] = f.step(state, cell[i]);
    }
}

void forget_denormals(Pair& x) {
    for (int c = 0; c < 2; ++c)
        if (std::fabs(x[c]) < 1e-30) x[c] = 0.0;
}

}  // namespace

void run_filters(std::span<const GlidingFilter* const> filters, PairFilter::State* states, Pair* cell, int frames) {
    for (size_t n = 0; n < filters.size();) {
        if (!filters[n]->still) {
            run_gliding(*filters[n], states[n], cell, frames);
            ++n;
            continue;
        }
        size_t together = 1;
        while (together < 4 && n + together < filters.size() && filters[n + together]->still) ++together;
        const GlidingFilter* const* const f = filters.data() + n;
        switch (together) {
            case 1:
                run_some<1>(f, states + n, cell, frames);
                break;
            case 2:
                run_some<2>(f, states + n, cell, frames);
                break;
            case 3:
                run_some<3>(f, states + n, cell, frames);
                break;
            default:
                run_some<4>(f, states + n, cell, frames);
        }
        n += together;
    }
    for (size_t n = 0; n < filters.size(); ++n) {
        forget_denormals(states[n].s1);
        forget_denormals(states[n].s2);
    }
}

double keep_of(double seconds, double rate) { return seconds <= 0.0 ? 0.0 : std::exp(-1.0 / (seconds * rate)); }

std::complex<double> response_of(const GlidingFilter& filter, double radians) {
    const PairFilter& f = filter.to;
    const std::complex<double> late = std::polar(1.0, -radians), later = late * late;
    return (f.b0[0] + f.b1[0] * late + f.b2[0] * later) / (1.0 + f.a1[0] * late + f.a2[0] * later);
}

}  // namespace isotonus
