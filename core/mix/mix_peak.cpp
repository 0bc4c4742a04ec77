#include "core/mix/mix_peak.h"

#include <sys/resource.h>
#include <unistd.h>

#include <algorithm>
#include <cmath>
#include <mutex>
#include <numeric>

#include "core/audio/kernels.h"
#include "core/mix/mix_bound.h"

namespace isotonus {

namespace {

constexpr double slack = 1.00001;  ///< for roundings

/// The calling thread runs when others do not want to (Linux gives each thread a niceness of its own).
void yield_to_others() { setpriority(PRIO_PROCESS, static_cast<id_t>(gettid()), 15); }

/// |L|, |R| that channels of these magnitudes can give.
struct Sides {
    double left = 0.0, right = 0.0;
    Sides& operator+=(const Sides& o) { return left += o.left, right += o.right, *this; }
};
Sides through(const GainMatrix& g, double l, double r) {
    const GainMatrix most = magnitudes(g);
    return {most.left(l, r), most.right(l, r)};
}

bool same_rides(const PlanPart& a, const PlanPart& b) {
    if (!a.same_rides(b)) return false;
    return std::equal(a.rows_on_way.begin(), a.rows_on_way.end(), b.rows_on_way.begin(), b.rows_on_way.end(),
                      [](const RowGains& x, const RowGains& y) { return x.same_rides(y); });
}

/// Row by row the same gains, which tells more than the same gains of the whole way.
bool same_rows(const PlanPart& a, const PlanPart& b) {
    if (!(a.gains == b.gains)) return false;
    return std::equal(a.rows_on_way.begin(), a.rows_on_way.end(), b.rows_on_way.begin(), b.rows_on_way.end(),
                      [](const RowGains& x, const RowGains& y) { return x.gains == y.gains; });
}

double reach_of(const LevelSummary& s, int64_t b, int c) {
    if (b < 0 || b >= s.blocks()) return 0.0;
    const auto at = static_cast<size_t>(b * s.channels + c);
    return static_cast<double>(std::max(-s.low[at], s.high[at]));
}

/// An upper bound in every stretch from the tracks alone: for every 256 frames what each can reach, added.
std::vector<double> bounds_of_tracks(const RenderPlan& plan) {
    const Reach reach = reach_of_sum(plan);
    const auto blocks = static_cast<size_t>((plan.frames + level_block - 1) / level_block);
    constexpr size_t group = MixPeaks::stretch_frames / level_block;
    std::vector<double> bounds;
    for (size_t b = 0; b < blocks; b += group) {
        double most = 0.0;
        for (size_t k = b; k < std::min(b + group, blocks); ++k)
            most = std::max({most, static_cast<double>(reach.left[k]), static_cast<double>(reach.right[k])});
        bounds.push_back(plan.main_gain == 0.0 ? 0.0 : most * std::fabs(plan.main_gain) * slack);
    }
    return bounds;
}

}  // namespace

/// What differs between two plans of the same sources, with the factor that leaves the least.
struct MixPeaks::Change {
    bool none = true;  ///< the same gains and rides
    double factor = 1.0;
    struct Part {
        size_t track;
        GainMatrix more;  ///< new - factor * old, without rides
        bool differ;      ///< the rides differ, or turn pan or width: old and new are bounded each by itself
    };
    std::vector<Part> parts;

    Change(const RenderPlan& from, const RenderPlan& to, const std::vector<double>& weight) {
        std::vector<double> factors{1.0};
        for (size_t i = 0; i < to.parts.size(); ++i) {
            const Sides before = through(scaled(from.parts[i].to_main, from.main_gain), 1.0, 1.0),
                        after = through(scaled(to.parts[i].to_main, to.main_gain), 1.0, 1.0);
            const double old = before.left + before.right, now = after.left + after.right;
            if (old > 0.0 && now > 0.0 && factors.size() < 9) factors.push_back(now / old);
        }
        double least = -1.0;
        for (const double f : factors) {
            double cost = 0.0;
            for (size_t i = 0; i < to.parts.size(); ++i) {
                const Sides s = through(difference(from, to, i, f), weight[i], weight[i]);
                cost += s.left + s.right;
            }
            if (least >= 0.0 && cost >= least) continue;
            least = cost;
            factor = f;
        }
        for (size_t i = 0; i < to.parts.size(); ++i) {
            const GainMatrix d = difference(from, to, i, factor);
            const PlanPart &old = from.parts[i], &now = to.parts[i];
            const bool pans_ride = old.pans_ride_on_the_way() || now.pans_ride_on_the_way(),
                       rides_differ = !same_rides(old, now);
            if (d.silent() && !rides_differ && (!pans_ride || same_rows(old, now))) continue;
            parts.push_back({i, d, pans_ride || rides_differ});
        }
        none = factor == 1.0 && parts.empty() && from.main_gain == to.main_gain;
    }
    static GainMatrix difference(const RenderPlan& from, const RenderPlan& to, size_t i, double factor) {
        return added(scaled(to.parts[i].to_main, to.main_gain), scaled(from.parts[i].to_main, factor * from.main_gain),
                     -1.0);
    }
};

void MixPeaks::begin(const PlanPtr& plan) {
    if (plan_ && plan_->same_sources(*plan) && plan_->frames == plan->frames) {
        plan_ = plan;
        return;
    }
    plan_ = plan;
    readers_.clear();
    readers_.resize(static_cast<size_t>(workers_));
    const int64_t stretches = (plan->frames + stretch_frames - 1) / stretch_frames;
    known_.assign(static_cast<size_t>(stretches), {});
    reach_.assign(plan->parts.size(), {});
}

const MixPeaks::Reach& MixPeaks::reach_of_part(size_t part) {
    Reach& reach = reach_[part];
    if (!reach.left.empty()) return reach;
    constexpr int64_t group = stretch_frames / level_block;
    const PlanPart& t = plan_->parts[part];
    const LevelSummary& s = t.material->summary;
    const auto [whole, split] = LevelSummary::shift_of(t.delay_samples);
    for (int64_t k = 0; k < std::ssize(known_); ++k) {
        double l = 0.0, r = 0.0;
        for (int64_t b = k * group - whole - (split ? 1 : 0); b < (k + 1) * group - whole; ++b) {
            l = std::max(l, reach_of(s, b, 0));
            r = std::max(r, reach_of(s, b, s.channels - 1));
        }
        reach.left.push_back(static_cast<float>(l));
        reach.right.push_back(static_cast<float>(r));
    }
    return reach;
}

std::vector<double> MixPeaks::bounds(const PlanPtr& plan) {
    std::vector<double> found(known_.size());
    if (std::any_of(known_.begin(), known_.end(), [](const Known& k) { return !k.plan; }))
        found = bounds_of_tracks(*plan);
    std::vector<double> weight;  // of tracks, for choosing a factor
    for (size_t i = 0; i < plan->parts.size(); ++i) {
        weight.push_back(1e-9);
        if (plan->parts[i].through_chain) continue;  // it is heard in the signal of another
        const Reach& r = reach_of_part(i);
        weight.back() +=
            std::accumulate(r.left.begin(), r.left.end(), 0.0) + std::accumulate(r.right.begin(), r.right.end(), 0.0);
    }
    std::map<const RenderPlan*, Change> changes;
    for (size_t k = 0; k < known_.size(); ++k) {
        Known& known = known_[k];
        if (!known.plan) continue;
        auto at = changes.find(known.plan.get());
        if (at == changes.end()) at = changes.emplace(known.plan.get(), Change(*known.plan, *plan, weight)).first;
        const Change& change = at->second;
        if (change.none) {
            known.plan = plan;
            found[k] = static_cast<double>(std::max(known.left, known.right));
            continue;
        }
        const auto first = static_cast<int64_t>(k) * stretch_frames;
        Sides sum{static_cast<double>(known.left) * change.factor, static_cast<double>(known.right) * change.factor};
        for (const Change::Part& p : change.parts) {
            const Reach& reach = reach_of_part(p.track);
            const double l = static_cast<double>(reach.left[k]), r = static_cast<double>(reach.right[k]);
            if (l == 0.0 && r == 0.0) continue;
            const PlanPart &old = known.plan->parts[p.track], &now = plan->parts[p.track];
            if (p.differ) {
                const double rate = plan->sample_rate;
                const double before = std::fabs(change.factor * known.plan->main_gain),
                             after = std::fabs(plan->main_gain);
                sum += through(old.to_main_bound(rate, first, stretch_frames + 32), l * before, r * before);
                sum += through(now.to_main_bound(rate, first, stretch_frames + 32), l * after, r * after);
            } else {
                const double a = now.any_ride_to_main()
                                     ? now.ride_to_main_bound(plan->sample_rate, first, stretch_frames + 32)
                                     : 1.0;
                sum += through(p.more, l * a, r * a);
            }
        }
        found[k] = std::max(sum.left, sum.right) * slack;
    }
    return found;
}

Result<void> MixPeaks::render(const PlanPtr& plan, const std::vector<int64_t>& order, const std::vector<double>* bounds,
                              MixPeak* best, Progress* progress) {
    std::mutex mutex;
    std::optional<Error> error;
    std::atomic<int64_t> next{0}, rendered{0};
    std::atomic<float> best_so_far{best->peak};
    const auto work = [&](int64_t worker) {
        auto& reader = readers_[static_cast<size_t>(worker)];
        const auto stop_with = [&](Error what) {
            std::scoped_lock lock(mutex);
            error = std::move(what);
            next = static_cast<int64_t>(order.size());
        };
        if (!reader) {
            auto opened = PlanReader::open(plan, true);
            if (!opened) return stop_with(opened.error());
            reader = std::move(*opened);
        } else if (auto followed = reader->follow(plan); !followed) {
            return stop_with(followed.error());
        }
        Renderer renderer(plan);
        std::vector<float> out(static_cast<size_t>(2 * stretch_frames));
        for (int64_t n = next.fetch_add(1); n < static_cast<int64_t>(order.size()); n = next.fetch_add(1)) {
            const int64_t stretch = order[static_cast<size_t>(n)];
            // Equal bounds are still looked at: the same peak may come earlier in the song.
            if (bounds && ((*bounds)[static_cast<size_t>(stretch)] < static_cast<double>(best_so_far.load()) ||
                           (*bounds)[static_cast<size_t>(stretch)] == 0.0))
                return;
            if (progress && progress->cancelled()) return stop_with(stopped().value());
            const int64_t first = stretch * stretch_frames, frames = std::min(stretch_frames, plan->frames - first);
            const auto inputs = reader->read(first, frames);
            if (!inputs) return stop_with(inputs.error());
            renderer.process(first, frames, *inputs, out.data());
            rendered.fetch_add(1);
            Known known{plan, 0.0f, 0.0f, first};
            for (int64_t i = 0; i < frames; ++i) {
                known.left = std::max(known.left, std::fabs(out[static_cast<size_t>(2 * i)]));
                known.right = std::max(known.right, std::fabs(out[static_cast<size_t>(2 * i + 1)]));
            }
            const float peak = std::max(known.left, known.right);
            known.frame +=
                (std::find_if(out.begin(), out.begin() + 2 * frames, [&](float x) { return std::fabs(x) == peak; }) -
                 out.begin()) /
                2;
            known_[static_cast<size_t>(stretch)] = known;
            if (progress && !bounds) progress->report(static_cast<double>(n + 1) / static_cast<double>(order.size()));
            std::scoped_lock lock(mutex);
            if (peak < best->peak || peak == 0.0f) continue;
            if (peak > best->peak || known.frame < best->frame) *best = {peak, known.frame};
            best_so_far = best->peak;
        }
    };
    if (bounds)
        parallel_for(workers_, workers_, work);
    else
        std::jthread([&] {  // nobody waits for this: one thread, behind all others
            yield_to_others();
            const auto done = without_exceptions({}, [&]() -> Result<void> {
                work(0);
                return {};
            });
            if (!done) error = done.error();
        })
            .join();
    rendered_ = rendered;
    if (!error) return {};
    if (!progress || !progress->cancelled()) {  // a file went away: open it again next time
        readers_.clear();
        readers_.resize(static_cast<size_t>(workers_));
    }
    return tl::unexpected(*error);
}

Result<MixPeak> MixPeaks::find(const PlanPtr& plan, Progress* progress) {
    return without_exceptions({}, [&] { return search(plan, progress); });
}

Result<MixPeak> MixPeaks::search(const PlanPtr& plan, Progress* progress) {
    begin(plan);
    const std::vector<double> most = bounds(plan);
    MixPeak best;
    std::vector<int64_t> order;
    for (size_t k = 0; k < known_.size(); ++k) {
        const Known& known = known_[k];
        if (known.plan != plan) {
            order.push_back(static_cast<int64_t>(k));
            continue;
        }
        const float peak = std::max(known.left, known.right);
        if (peak > best.peak) best = {peak, known.frame};
    }
    std::stable_sort(order.begin(), order.end(),
                     [&](int64_t a, int64_t b) { return most[static_cast<size_t>(a)] > most[static_cast<size_t>(b)]; });
    if (auto done = render(plan, order, &most, &best, progress); !done) return tl::unexpected(done.error());
    return best;
}

Result<void> MixPeaks::settle(const PlanPtr& plan, Progress* progress) {
    begin(plan);
    bounds(plan);  // finds out what is known already
    std::vector<int64_t> order;
    for (size_t k = 0; k < known_.size(); ++k)
        if (known_[k].plan != plan) order.push_back(static_cast<int64_t>(k));
    MixPeak best;
    return render(plan, order, nullptr, &best, progress);
}

std::vector<MixPeak> MixPeaks::worst_moments(size_t count, int64_t spacing) const {
    std::vector<MixPeak> all, found;
    for (const Known& k : known_)
        if (k.plan == plan_ && std::max(k.left, k.right) > 0.0f) all.push_back({std::max(k.left, k.right), k.frame});
    std::stable_sort(all.begin(), all.end(), [](const MixPeak& a, const MixPeak& b) { return a.peak > b.peak; });
    for (const MixPeak& m : all) {
        if (found.size() >= count) break;
        if (std::all_of(found.begin(), found.end(),
                        [&](const MixPeak& f) { return std::abs(f.frame - m.frame) >= spacing; }))
            found.push_back(m);
    }
    return found;
}

Result<MixPeak> whole_song_peak(const PlanPtr& plan, Progress* progress, int workers) {
    return MixPeaks(workers).find(plan, progress);
}

}  // namespace isotonus
