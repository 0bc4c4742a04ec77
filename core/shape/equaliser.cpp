#include "core/shape/equaliser.h"

#include "core/shape/fields.h"
#include "core/shape/filters.h"
#include "core/shape/lanes.h"

namespace isotonus {

namespace {

constexpr std::array shape_words{"bell", "low_shelf", "high_shelf", "notch"};
constexpr std::array filter_shapes{FilterShape::bell, FilterShape::low_shelf, FilterShape::high_shelf,
                                   FilterShape::notch};
constexpr std::array band_where_words{"stereo", "middle", "sides"};
enum class BandChannels { stereo, middle, sides };

/// Names of the fields of each band, kept for as long as the program runs.
struct BandNames {
    std::string in, shape, hz, db, q, where;
};
const std::array<BandNames, equaliser_bands>& band_names() {
    static const auto all = [] {
        std::array<BandNames, equaliser_bands> names;
        for (int n = 0; n < equaliser_bands; ++n) {
            const std::string band = "band" + std::to_string(n + 1) + ".";
            names[static_cast<size_t>(n)] = {band + "in", band + "shape", band + "hz",
                                             band + "db", band + "q",     band + "where"};
        }
        return names;
    }();
    return all;
}

struct EqualiserBand {
    bool in = false;
    int shape = 0;
    double hz = 1000.0, db = 0.0, q = 1.0;
    BandChannels where = BandChannels::stereo;
    bool operator==(const EqualiserBand&) const = default;
};

struct Equaliser {
    struct Settings {
        std::array<EqualiserBand, equaliser_bands> bands;
        Settings() {
            constexpr std::array hz{60.0, 120.0, 250.0, 500.0, 1000.0, 2000.0, 5000.0, 10000.0};
            for (size_t n = 0; n < hz.size(); ++n) bands[n].hz = hz[n];
        }
        template <class V>
        void fields(V& v) {
            for (size_t n = 0; n < bands.size(); ++n) {
                const BandNames& name = band_names()[n];
                v.choice(name.in.c_str(), bands[n].in, toggle_words);
                v.choice(name.shape.c_str(), bands[n].shape, shape_words);
                v.number(name.hz.c_str(), bands[n].hz, {"Hz", 20.0, 20000.0, ControlTaper::log, 1.0});
                v.number(name.db.c_str(), bands[n].db, {"dB", -24.0, 24.0, ControlTaper::linear, 0.1});
                v.number(name.q.c_str(), bands[n].q, {"", 0.1, 40.0, ControlTaper::log, 0.02});
                v.choice(name.where.c_str(), bands[n].where, band_where_words);
            }
        }
    };
    static constexpr bool supports_batches = true;
    struct State {
        PairFilter::DirectState filters[equaliser_bands];
    };

    void prepare(const Settings& s, int channels, double rate, bool first) {
        // On one side of a mono row nothing is in the sides.
        apart_ = false;
        for (const EqualiserBand& b : s.bands) apart_ |= channels == 2 && b.where != BandChannels::stereo;
        for (size_t n = 0; n < s.bands.size(); ++n) {
            const EqualiserBand& b = s.bands[n];
            // A design takes its time: only what changed is made anew.
            if (!first && b == designed_[n]) {
                filters_[n].set(filters_[n].to, false);
                idle_[n] = is_idle_[n];
                continue;
            }
            designed_[n] = b;
            const bool idle = !b.in ||
                              (filter_shapes[static_cast<size_t>(b.shape)] != FilterShape::notch && b.db == 0.0) ||
                              (channels == 1 && b.where == BandChannels::sides);
            const Biquad f = idle ? Biquad{1.0, 0.0, 0.0, 0.0, 0.0}
                                  : matched_filter(filter_shapes[static_cast<size_t>(b.shape)], b.hz, b.q, b.db, rate);
            PairFilter pair = on_both(f);
            if (channels == 2 && b.where != BandChannels::stereo) {
                const int left_out = b.where == BandChannels::middle ? 1 : 0;
                pair.b0[left_out] = 1.0;
                pair.b1[left_out] = pair.b2[left_out] = pair.a1[left_out] = pair.a2[left_out] = 0.0;
            }
            filters_[n].set(pair, first);
            is_idle_[n] = idle;
            idle_[n] = idle && filters_[n].still;
        }
    }
    void process(State& state, const Cell& c) {
        const GlidingFilter* used[equaliser_bands];
        PairFilter::DirectState states[equaliser_bands];
        size_t count = 0;
        for (size_t n = 0; n < filters_.size(); ++n) {
            if (idle_[n]) continue;
            states[count] = state.filters[n];
            used[count++] = &filters_[n];
        }
        if (count == 0) return;
        PairCell cell;
        cell.load(c.samples, c.channels, c.frames);
        if (apart_) cell.to_middle_and_sides(c.frames);
        run_filters({used, count}, states, cell.at, c.frames);
        if (apart_) cell.to_left_and_right(c.frames);
        cell.store(c.samples, c.channels, c.frames);
        count = 0;
        for (size_t n = 0; n < filters_.size(); ++n)
            state.filters[n] = idle_[n] ? PairFilter::DirectState{} : states[count++];
    }

    std::complex<double> response(double radians) const {
        std::complex<double> all = 1.0;
        for (size_t n = 0; n < filters_.size(); ++n)
            if (!is_idle_[n]) all *= response_of(filters_[n], radians);
        return all;
    }

  private:
    bool apart_ = false;
    std::array<GlidingFilter, equaliser_bands> filters_;
    std::array<EqualiserBand, equaliser_bands> designed_;
    std::array<bool, equaliser_bands> is_idle_{},
        idle_{};  ///< as it is set; and in this cell, once it has glided there
};

}  // namespace

const ProcessorType& equaliser_type() {
    static const ProcessorType type = make_type<Equaliser>("equaliser", "EQ", false, true);
    return type;
}

namespace {

bool put_into(Processor& equaliser, const Bell& bell) {
    for (const BandNames& name : band_names()) {
        if (value_of(equaliser, *equaliser_type().find(name.in)) >= 0.5) continue;
        equaliser.values[name.in] = 1.0;
        equaliser.values[name.shape] = 0.0;
        equaliser.values[name.where] = 0.0;
        equaliser.values[name.hz] = bell.hz;
        equaliser.values[name.db] = bell.db;
        equaliser.values[name.q] = bell.q;
        return true;
    }
    return false;
}

}  // namespace

void add_bell(Chain& chain, const Bell& bell) {
    for (Processor& p : chain)
        if (p.type == equaliser_type().id && p.in && put_into(p, bell)) return;
    auto at = chain.begin();
    while (at != chain.end() && (at->type == "low_cut" || at->type == "high_cut" || at->type == equaliser_type().id))
        ++at;
    at = chain.insert(at, new_processor(equaliser_type(), chain));
    put_into(*at, bell);
}

}  // namespace isotonus
