#include "core/shape/width.h"

#include "core/shape/fields.h"
#include "core/shape/filters.h"
#include "core/shape/lanes.h"

namespace isotonus {

namespace {

constexpr double off_hz = 20.0;

struct Width {
    struct Settings {
        double width = 100.0, mono_below_hz = off_hz;
        template <class V>
        void fields(V& v) {
            v.number("width", width, {"%", 0.0, 200.0, ControlTaper::linear, 0.5});
            v.number("mono_below_hz", mono_below_hz, {"Hz", off_hz, 500.0, ControlTaper::log, 1.0});
        }
    };
    struct State {
        PairFilter::DirectState cut;
    };

    void prepare(const Settings& s, int, double rate, bool first) {
        from_ = to_;
        to_ = s.width / 100.0;
        if (first) from_ = to_;
        cuts_ = s.mono_below_hz > off_hz;
        PairFilter cut = on_both(matched_filter(FilterShape::low_cut, s.mono_below_hz, flat_q, 0.0, rate));
        cut.b0[0] = 1.0;  // the middle passes
        cut.b1[0] = cut.b2[0] = cut.a1[0] = cut.a2[0] = 0.0;
        cut_.set(cut, first);
    }
    void process(State& state, const Cell& c) {
        const bool still = from_ == 1.0 && to_ == 1.0;
        if (c.channels == 1 || (still && !cuts_)) {
            state = {};
            return;
        }
        PairCell cell;
        cell.load(c.samples, c.channels, c.frames);
        cell.to_middle_and_sides(c.frames);
        if (cuts_) {
            const GlidingFilter* const all[] = {&cut_};
            run_filters(all, &state.cut, cell.at, c.frames);
        }
        for (int i = 0; i < c.frames; ++i) {
            const double share = static_cast<double>(i + 1) / cell_frames;
            cell.at[i][1] *= from_ + (to_ - from_) * share;
        }
        cell.to_left_and_right(c.frames);
        cell.store(c.samples, c.channels, c.frames);
    }

  private:
    double from_ = 1.0, to_ = 1.0;
    bool cuts_ = false;
    GlidingFilter cut_;
};

}  // namespace

const ProcessorType& width_type() {
    static const ProcessorType type = make_type<Width>("width", "width", false, true);
    return type;
}

}  // namespace isotonus
