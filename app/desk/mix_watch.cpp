#include "app/desk/mix_watch.h"

#include "app/desk/background.h"

#include <algorithm>

#include "core/handoff/delivery.h"
#include "core/mix/mix_bound.h"

namespace isotonus {

MixWatch::MixWatch(Document& document, Player& player, QObject* parent)
    : QObject(parent), document_(document), player_(player) {
    pool_.setMaxThreadCount(1);
    hearing_pool_.setMaxThreadCount(1);
    bound_pool_.setMaxThreadCount(1);
    connect(&player_, &Player::coming_changed, this, &MixWatch::bound_what_comes);
    connect(&player_, &Player::plan_changed, this, &MixWatch::restart);
    connect(&player_, &Player::plan_changed, this, &MixWatch::hear);
}

MixWatch::~MixWatch() {
    if (running_) running_->cancel();
    hearing_progress_->cancel();
    measuring_heard_->cancel();
    for (QThreadPool* pool : {&pool_, &hearing_pool_, &bound_pool_}) pool->clear();
    pool_.waitForDone();
    hearing_pool_.waitForDone();
    bound_pool_.waitForDone();
}

void MixWatch::bound_what_comes() {
    at_most_dbfs_.reset();
    const PlanPtr coming = player_.coming();
    if (!coming) return emit changed();
    in_background(bound_pool_, [this, coming] {
        const auto most = most_of_mix(*coming);
        QMetaObject::invokeMethod(this, [this, coming, most] {
            if (coming != player_.coming()) return;
            at_most_dbfs_ = most ? level_from_gain(*most) : std::nullopt;
            emit changed();
        });
    });
}

void MixWatch::want_figures(bool wanted) {
    if (wanted == figures_wanted_) return;
    figures_wanted_ = wanted;
    if (wanted && !figures_) restart();
}

void MixWatch::need_figures() {
    figures_needed_ = true;
    if (!figures_) restart();
}

void MixWatch::measure_heard() {
    measuring_heard_->cancel();
    measuring_heard_ = std::make_shared<Progress>();
    in_background(bound_pool_, [this, plan = player_.heard(), progress = measuring_heard_] {
        const auto measured = measure_mix(plan, progress.get());
        QMetaObject::invokeMethod(this, [this, measured, progress] {
            if (measured && !progress->cancelled()) emit heard_measured(measured->measurement);
        });
    });
}

void MixWatch::want_plan(bool wanted) {
    if (wanted == plan_wanted_) return;
    plan_wanted_ = wanted;
    if (wanted) restart();
}

void MixWatch::restart() {
    busy_ = true;
    figures_.reset();
    leaving_figures_.reset();
    bus_peaks_.clear();
    if (searching_) {
        // While a fader moves, each search is let finish and the newest plan comes next: the figure follows the hand.
        again_ = true;
        emit changed();
        return;
    }
    if (running_) running_->cancel();
    running_ = std::make_shared<Progress>();
    searching_ = true;
    in_background(pool_, [this, plan = player_.plan(), leaves = exported_plan(player_.mix_plans(), document_.session()),
                          progress = running_, figures_too = figures_wanted_ || figures_needed_,
                          plan_too = plan_wanted_, settle_too = !player_.loading()] {
        const auto found = without_exceptions({}, [&] { return peaks_.find(plan, progress.get()); });
        std::optional<Peak> peak;
        if (found)
            peak = Peak{level_from_gain(static_cast<double>(found->peak)),
                        static_cast<double>(found->frame) / plan->sample_rate};
        QMetaObject::invokeMethod(this, [this, peak, figures_too] { peak_found(peak, figures_too); });
        if (figures_too) {
            const auto measured = measure_mix(plan, progress.get());
            const auto bare = leaves == plan ? measured : measure_mix(leaves, progress.get());
            QMetaObject::invokeMethod(this, [this, measured, bare, progress] {
                if (progress != running_ || searching_) return;  // a newer plan is on its way
                if (measured) figures_ = *measured;
                if (bare) leaving_figures_ = *bare;
                figures_needed_ = busy_ = false;
                emit changed();
            });
        }
        if (plan_too) QMetaObject::invokeMethod(this, [this, progress] { make_plan(progress); });
        if (!plan->buses.empty()) find_bus_peaks(plan, progress);
        // Then what is only bounded so far is made exact, so that the next move is answered at once.
        if (settle_too) (void)peaks_.settle(plan, progress.get());
    });
    emit changed();
}

void MixWatch::find_bus_peaks(const PlanPtr& plan, const std::shared_ptr<Progress>& progress) {
    std::map<TrackId, Level> peaks;
    for (const PlanBus& bus : plan->buses) {
        const PlanPtr of = plan_of_bus(*plan, bus.id);
        const auto found = of ? whole_song_peak(of, progress.get()) : Result<MixPeak>();
        if (!found) return;
        peaks[bus.id] = level_from_gain(static_cast<double>(found->peak));
    }
    QMetaObject::invokeMethod(this, [this, progress, peaks = std::move(peaks)] {
        if (progress != running_) return;
        bus_peaks_ = peaks;
        emit changed();
    });
}

void MixWatch::peak_found(const std::optional<Peak>& peak, bool more_follows) {
    searching_ = false;
    peak_ = peak;
    busy_ = more_follows || again_;
    if (std::exchange(again_, false))
        restart();
    else
        emit changed();
}

void MixWatch::make_plan(const std::shared_ptr<Progress>& progress) {
    if (progress != running_ || searching_) return;
    std::map<std::pair<TrackId, Band>, MaterialPtr> known;
    const PlanPtr now = player_.plan();
    for (const PlanTrack& t : now->tracks) known[{t.id, Band::all}] = t.material;
    for (const PlanPart& p : now->parts) known[{now->id_of(p), p.band}] = p.material;
    const double target = document_.session().targets.mains_high_dbfs - 0.1;
    in_background(pool_, [this, session = document_.session(), known = std::move(known), target, progress] {
        const auto find = [&](TrackId row, Band band) {
            const auto at = known.find({row, band});
            return at == known.end() ? nullptr : at->second;
        };
        // Proposals move faders after chains: what tracks and buses play stays what it is.
        const MaterialOf material([&](const Track& t) { return find(t.id, t.source.band); },
                                  [&](const SignalRecipe& recipe) { return find(recipe.row, Band::all); });
        const auto made = headroom_plan(session, material, target, peaks_, progress.get());
        if (!made) return;
        QMetaObject::invokeMethod(this, [this, progress, plan = *made] {
            if (progress != running_) return;
            headroom_ = plan;
            emit headroom_changed();
        });
    });
}

// --- audibility -----------------------------------------------------------------------------------------------------

void MixWatch::want_audibility(bool wanted) {
    audibility_wanted_ = wanted;
    hear();
    emit audibility_changed();
}

void MixWatch::set_listening(const Listening& how) {
    listening_ = how;
    hear();
}

const Audibility* MixWatch::audibility(TrackId id) const {
    const auto at =
        std::find_if(audibility_.begin(), audibility_.end(), [id](const Audibility& a) { return a.id == id; });
    return audibility_wanted_ && at != audibility_.end() ? &*at : nullptr;
}

double MixWatch::share_listened() const {
    int heard = 0, known = 0;
    for (const PlanPart& p : player_.plan()->parts) {
        if (!p.heard()) continue;
        ++heard;
        if (excitations_.contains(p.material)) ++known;
    }
    return heard == 0 ? 1.0 : static_cast<double>(known) / heard;
}

std::optional<double> MixWatch::bandwidth(const Track& track) const {
    const PlanPtr plan = player_.plan();
    for (const PlanPart& p : plan->parts)
        if (plan->id_of(p) == track.id)
            if (const auto at = bandwidths_.find(p.material); at != bandwidths_.end()) return at->second;
    return std::nullopt;
}

ExcitationOf MixWatch::known_excitations() const {
    return [known = excitations_](const MaterialPtr& m) {
        const auto at = known.find(m);
        return at == known.end() ? nullptr : at->second;
    };
}

void MixWatch::hear() {
    if (!audibility_wanted_) return;
    if (hearing_) {
        listen_once_more_ = true;
        return;
    }
    hearing_ = true;
    const PlanPtr plan = player_.plan();
    std::erase_if(excitations_, [&](const auto& known) {  // of sources that are gone
        return std::none_of(plan->parts.begin(), plan->parts.end(),
                            [&](const PlanPart& p) { return p.material == known.first; });
    });
    std::erase_if(bandwidths_, [this](const auto& known) { return !excitations_.contains(known.first); });
    std::vector<MaterialPtr> missing;
    for (const PlanPart& p : plan->parts)
        if (p.heard() && !excitations_.contains(p.material)) missing.push_back(p.material);
    std::vector<int64_t> sections;
    for (const Section& s : document_.session().sections)
        sections.push_back(std::llround(s.start_s * plan->sample_rate));
    if (!missing.empty()) {
        in_background(hearing_pool_, [this, missing, progress = hearing_progress_] {
            parallel_for(static_cast<int64_t>(missing.size()), worker_count(), [&](int64_t i) {
                const MaterialPtr& m = missing[static_cast<size_t>(i)];
                // Whatever goes wrong, listening ends: else it would never begin again.
                auto made = without_exceptions({}, [&] { return excitation_of(*m, progress.get()); });
                QMetaObject::invokeMethod(this, [this, m, made = made.value_or(nullptr)] {
                    excitations_[m] = made;  // null where the file could not be read: left out
                    if (made) bandwidths_[m] = bandwidth_share(*made);
                    emit audibility_changed();
                });
            });
            QMetaObject::invokeMethod(this, [this] {
                hearing_ = listen_once_more_ = false;
                hear();
            });
        });
        return;
    }
    in_background(hearing_pool_, [this, plan, sections, known = known_excitations(), how = listening_] {
        using Found = decltype(isotonus::audibility(*plan, known, how, sections));
        auto found = without_exceptions({}, [&]() -> Result<Found> {
                         return isotonus::audibility(*plan, known, how, sections);
                     }).value_or(Found());
        QMetaObject::invokeMethod(this, [this, found = std::move(found)] {
            audibility_ = found;
            hearing_ = false;
            emit audibility_changed();
            if (std::exchange(listen_once_more_, false)) hear();
        });
    });
}

std::optional<Margins> MixWatch::margins(const RenderPlan& plan, TrackId id) const {
    for (const PlanPart& p : plan.parts)
        if (p.heard() && !excitations_.contains(p.material)) return std::nullopt;
    return margins_of(plan, id, known_excitations(), listening_);
}

std::vector<std::vector<Cover>> MixWatch::covers(TrackId id) const {
    const PlanPtr plan = player_.plan();
    std::vector<int64_t> starts{0};
    if (!document_.session().sections.empty()) starts.clear();
    for (const Section& s : document_.session().sections) starts.push_back(std::llround(s.start_s * plan->sample_rate));
    std::vector<std::vector<Cover>> found;
    for (size_t i = 0; i < starts.size(); ++i)
        found.push_back(covered_by(*plan, id, known_excitations(), listening_, starts[i],
                                   i + 1 < starts.size() ? starts[i + 1] : plan->frames));
    return found;
}

}  // namespace isotonus
