#include "core/shape/cuts.h"

#include "core/shape/fields.h"
#include "core/shape/filters.h"
#include "core/shape/lanes.h"

namespace isotonus {

namespace {

constexpr std::array slope_words{"12", "24"};  ///< dB an octave

template <bool low>
struct Cut {
    struct Settings {
        double hz = low ? 80.0 : 16000.0;
        int slope = 0;
        template <class V>
        void fields(V& v) {
            v.number("hz", hz, {"Hz", 20.0, 20000.0, ControlTaper::log, 1.0});
            v.choice("slope", slope, slope_words);
        }
    };
    static constexpr bool supports_batches = true;
    struct State {
        PairFilter::DirectState filters[2];
    };

    void prepare(const Settings& s, int, double rate, bool first) {
        constexpr FilterShape shape = low ? FilterShape::low_cut : FilterShape::high_cut;
        steep_ = s.slope == 1;
        filters_[0].set(on_both(matched_filter(shape, s.hz, steep_ ? steep_low_q : flat_q, 0.0, rate)), first);
        filters_[1].set(on_both(matched_filter(shape, s.hz, steep_high_q, 0.0, rate)), first);
    }
    void process(State& state, const Cell& c) {
        PairCell cell;
        cell.load(c.samples, c.channels, c.frames);
        const GlidingFilter* const all[] = {&filters_[0], &filters_[1]};
        run_filters(std::span(all).first(steep_ ? 2 : 1), state.filters, cell.at, c.frames);
        cell.store(c.samples, c.channels, c.frames);
    }
    std::complex<double> response(double radians) const {
        return response_of(filters_[0], radians) * (steep_ ? response_of(filters_[1], radians) : 1.0);
    }

  private:
    bool steep_ = false;
    GlidingFilter filters_[2];
};

}  // namespace

const ProcessorType& low_cut_type() {
    static const ProcessorType type = make_type<Cut<true>>("low_cut", "low cut", false, true);
    return type;
}

const ProcessorType& high_cut_type() {
    static const ProcessorType type = make_type<Cut<false>>("high_cut", "high cut", false, true);
    return type;
}

void set_low_cut(Chain& chain, std::optional<double> hz) {
    const auto is_low_cut = [](const Processor& p) { return p.type == low_cut_type().id; };
    if (!hz) {
        std::erase_if(chain, is_low_cut);
        return;
    }
    auto cut = std::find_if(chain.begin(), chain.end(), is_low_cut);
    if (cut == chain.end()) cut = chain.insert(chain.begin(), new_processor(low_cut_type(), chain));
    cut->values["hz"] = *hz;
}

}  // namespace isotonus
