#include "core/mix/row_shares.h"

#include <algorithm>
#include <atomic>
#include <map>
#include <mutex>

#include "core/mix/sum_of_rows.h"

namespace isotonus {

namespace {

/// The recipe of a bus's signal; null for a track.
const SignalRecipe* recipe_of(const PlanTrack& row) {
    return row.is_bus ? &signal_of(row.material)->recipe() : nullptr;
}

/// What is needed for more than one set: made once.
class Wholes {
  public:
    explicit Wholes(Progress* progress) : progress(progress) {}

    /// What comes to a place of a bus's chain when all rows are there.
    Result<MaterialPtr> before(const PlanTrack& bus, size_t position) {
        const std::scoped_lock lock(mutex_);
        MaterialPtr& known = made_[{bus.id, position}];
        if (known) return known;
        SignalRecipe recipe = *recipe_of(bus);
        recipe.chain.resize(position);
        auto made = make_signal(recipe, progress);
        if (made) known = *made;
        return made;
    }
    Progress* const progress;

  private:
    std::mutex mutex_;
    std::map<std::pair<TrackId, size_t>, MaterialPtr> made_;
};

/// What one set of tracks puts into buses.
class Sharing {
  public:
    Sharing(const std::vector<TrackId>& tracks, Wholes& wholes) : tracks_(tracks), wholes_(wholes) {}

    /// The same plan with nothing but what these tracks put into it.
    Result<PlanPtr> of(const RenderPlan& plan) {
        auto one = std::make_shared<RenderPlan>(plan);
        for (PlanTrack& row : one->tracks) {
            const auto parts = std::span(one->parts).subspan(row.first_part, row.part_count);
            MaterialPtr share;
            if (row.is_bus && std::any_of(parts.begin(), parts.end(), is_mixed)) {
                auto made = share_of(row);
                if (!made) return tl::unexpected(made.error());
                share = *made;
            }
            if (share) row.material = share;
            const bool stays =
                share || (!row.is_bus && std::find(tracks_.begin(), tracks_.end(), row.id) != tracks_.end());
            for (PlanPart& p : parts) {
                if (share) p.material = share;
                if (!stays) p.silence_it();
            }
        }
        return PlanPtr(std::move(one));
    }

  private:
    static bool is_mixed(const PlanPart& p) { return p.heard() && !p.through_chain; }

    /// Null when nothing of these tracks comes to the bus.
    Result<MaterialPtr> share_of(const PlanTrack& bus) {
        if (const auto known = shares_.find(bus.id); known != shares_.end()) return known->second;
        SignalRecipe recipe = *recipe_of(bus);
        auto input = of(*summed_plan(*recipe.source.material));
        if (!input) return tl::unexpected(input.error());
        const auto& parts = (*input)->parts;
        if (std::none_of(parts.begin(), parts.end(), is_mixed)) return shares_[bus.id] = nullptr;
        recipe.source.material = sum_of_rows(*input);
        for (size_t position = 0; position < recipe.chain.size(); ++position) {
            const ProcessorType* type = processor_type(recipe.chain[position].type);
            if (!type || !type->by_level || recipe.chain[position].key != 0) continue;
            auto whole = wholes_.before(bus, position);
            if (!whole) return tl::unexpected(whole.error());
            recipe.detector_input[position] = PreFaderSource{*whole, 0, 1.0, nullptr};
        }
        auto made = make_signal(recipe, wholes_.progress);
        if (made) shares_[bus.id] = *made;
        return made;
    }

    const std::vector<TrackId>& tracks_;
    Wholes& wholes_;
    std::map<TrackId, MaterialPtr> shares_;
};

}  // namespace

Result<SharedOut> share_out(const std::vector<PlanPtr>& plans, const PlanPtr& plan,
                            const std::vector<std::vector<TrackId>>& sets, Progress* progress, int workers) {
    Progress of_signals(progress);
    Wholes wholes(&of_signals);
    std::vector<Result<PlanPtr>> made(sets.size());
    std::atomic<int> done{0};
    parallel_for(std::ssize(sets), workers, [&](int64_t n) {
        made[static_cast<size_t>(n)] = Sharing(sets[static_cast<size_t>(n)], wholes).of(*plan);
        if (progress) progress->report(++done / static_cast<double>(sets.size()));
    });
    SharedOut out;
    std::vector<std::shared_ptr<RenderPlan>> all;
    for (const PlanPtr& p : plans) all.push_back(std::make_shared<RenderPlan>(*p));
    const size_t first_set = all.size();
    for (size_t n = 0; n < sets.size(); ++n) all.push_back(std::make_shared<RenderPlan>(*plan));
    // Every plan gets every share, heard in the plan of its set and nowhere else, so that all are of the same sources.
    for (size_t n = 0; n < sets.size(); ++n) {
        if (!made[n]) return tl::unexpected(made[n].error());
        const RenderPlan& shared = **made[n];
        for (size_t row = 0; row < shared.tracks.size(); ++row) {
            const PlanTrack& track = shared.tracks[row];
            const bool is_share = track.material != plan->tracks[row].material;
            for (size_t i = 0; i < all.size(); ++i) {
                const bool own = i == first_set + n;
                if (own)
                    for (size_t p = track.first_part; p < track.first_part + track.part_count; ++p)
                        if (!shared.parts[p].heard() || is_share) all[i]->parts[p].silence_it();
                if (!is_share) continue;
                PlanTrack copy = track;
                copy.first_part = all[i]->parts.size();
                for (PlanPart part : shared.parts_of(track)) {
                    part.track = all[i]->tracks.size();
                    part.input = copy.first_part;
                    if (!own) part.silence_it();
                    all[i]->parts.push_back(std::move(part));
                }
                if (!own) copy.fader_gain = 0.0;
                all[i]->tracks.push_back(std::move(copy));
            }
        }
    }
    out.plans.assign(all.begin(), all.begin() + static_cast<std::ptrdiff_t>(first_set));
    out.sets.assign(all.begin() + static_cast<std::ptrdiff_t>(first_set), all.end());
    return out;
}

}  // namespace isotonus
