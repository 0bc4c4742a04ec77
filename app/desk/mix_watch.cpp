#include "app/desk/mix_watch.h"

#include <algorithm>

#include "core/handoff/delivery.h"
#include "core/mix/mix_bound.h"

namespace isotonus {

MixWatch::MixWatch(Document& document, Player& player, QObject* parent)
    : QObject(parent), document_(document), player_(player) {
    connect(&player_, &Player::coming_changed, this, &MixWatch::bound_what_comes);
    connect(&player_, &Player::plan_changed, this, &MixWatch::restart);
    connect(&player_, &Player::plan_changed, this, &MixWatch::hear);
}

void MixWatch::bound_what_comes() {
    at_most_dbfs_.reset();
    const PlanPtr coming = player_.coming();
    if (!coming) return emit changed();
    aside_.start([coming](Progress&) -> Result<std::optional<double>> { return max_of_mix(*coming); },
                 [this, coming](const Result<std::optional<double>>& most) {
                     if (coming != player_.coming()) return;
                     at_most_dbfs_ = most && *most ? level_from_gain(**most) : std::nullopt;
                     emit changed();
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
    aside_.start([plan = player_.heard()](Progress& progress) { return measure_mix(plan, &progress); },
                 [this](const Result<Measurer::Outcome>& measured) {
                     if (measured) emit heard_measured(measured->measurement);
                 },
                 measuring_heard_);
}

void MixWatch::want_plan(bool wanted) {
    if (wanted == plan_wanted_) return;
    plan_wanted_ = wanted;
    if (wanted) restart();
}

void MixWatch::restart() {
    busy_ = true;
    levels_are_new_ = false;
    figures_.reset();
    leaving_figures_.reset();
    bus_peaks_.clear();
    if (searching_) {
        // While a fader moves, each search is let finish and the newest plan comes next: the figure follows the hand.
        again_ = true;
        emit changed();
        return;
    }
    running_->cancel();
    running_ = std::make_shared<Progress>();
    searching_ = true;
    const PlanPtr plan = player_.plan(), exported = exported_plan(player_.mix_plans(), document_.session());
    measuring_.start([this, plan](Progress& progress) { return peaks_.find(plan, &progress); },
                     [this, plan, exported](const Result<MixPeak>& found) { peak_found(plan, exported, found); },
                     running_);
    emit changed();
}

void MixWatch::peak_found(const PlanPtr& plan, const PlanPtr& exported, const Result<MixPeak>& found) {
    searching_ = false;
    peak_.reset();
    if (found)
        peak_ = Peak{level_from_gain(static_cast<double>(found->peak)),
                     static_cast<double>(found->frame) / plan->sample_rate};
    if (std::exchange(again_, false)) return restart();
    busy_ = figures_wanted_ || figures_needed_;
    if (busy_) measure(plan, exported);
    if (plan_wanted_) make_plan();
    if (levels_wanted_) find_levels();
    find_bus_peaks(plan);
    // Then what is only bounded so far is made exact, so that the next move is answered at once.
    if (!player_.loading())
        measuring_.start([this, plan](Progress& progress) { return peaks_.settle(plan, &progress); },
                         [](const Result<void>&) {}, running_);
    emit changed();
}

void MixWatch::measure(const PlanPtr& plan, const PlanPtr& exported) {
    struct Figures {
        Measurer::Outcome heard, exported;
    };
    const auto measure = [plan, exported](Progress& progress) -> Result<Figures> {
        const auto heard = measure_mix(plan, &progress);
        if (!heard) return tl::unexpected(heard.error());
        const auto leaves = exported == plan ? heard : measure_mix(exported, &progress);
        if (!leaves) return tl::unexpected(leaves.error());
        return Figures{*heard, *leaves};
    };
    const auto take = [this, progress = running_](const Result<Figures>& found) {
        if (progress != running_ || searching_) return;  // a newer plan is on its way
        if (found) figures_ = found->heard, leaving_figures_ = found->exported;
        figures_needed_ = busy_ = false;
        emit changed();
    };
    measuring_.start(measure, take, running_);
}

void MixWatch::find_bus_peaks(const PlanPtr& plan) {
    if (plan->buses.empty()) return;
    using Peaks = std::map<TrackId, Level>;
    const auto find = [plan](Progress& progress) -> Result<Peaks> {
        Peaks peaks;
        for (const PlanBus& bus : plan->buses) {
            const PlanPtr of = plan_of_bus(*plan, bus.id);
            const auto found = of ? whole_song_peak(of, &progress) : Result<MixPeak>();
            if (!found) return tl::unexpected(found.error());
            peaks[bus.id] = level_from_gain(static_cast<double>(found->peak));
        }
        return peaks;
    };
    const auto take = [this, progress = running_](const Result<Peaks>& found) {
        if (progress != running_ || !found) return;
        bus_peaks_ = *found;
        emit changed();
    };
    measuring_.start(find, take, running_);
}

void MixWatch::make_plan() {
    const double target = document_.session().targets.mains_high_dbfs - 0.1;
    const auto make = [this, session = document_.session(), material = material_of(*player_.plan()), target](
                          Progress& progress) { return headroom_plan(session, material, target, peaks_, &progress); };
    const auto take = [this, progress = running_](const Result<HeadroomPlan>& made) {
        if (progress != running_ || !made) return;
        headroom_ = *made;
        emit headroom_changed();
    };
    measuring_.start(make, take, running_);
}

void MixWatch::want_levels(bool wanted) {
    if (wanted == levels_wanted_) return;
    levels_wanted_ = wanted;
    if (!wanted) waiting_for_levels_.clear();
    if (wanted && !searching_) find_levels();
}

StartingLevels MixWatch::starting_levels() const {
    StartingLevels levels = levels_asked_();
    levels.anchors_db = anchors_db_.value_or(0.0);
    return levels;
}

void MixWatch::when_levels_are_known(std::function<void(const StartingLevels&)> then) {
    if (levels_are_new_) return then(starting_levels());
    waiting_for_levels_.push_back(std::move(then));
}

StartingLevels MixWatch::levels_for_jobs() const {
    StartingLevels levels = levels_asked_();
    // What a name or a measurement says is known here only, on the window's thread.
    std::map<TrackId, Family> families;
    for (const auto& t : document_.session().tracks) families[t->id] = levels.family(*t);
    levels.family = [families = std::move(families)](const Track& t) { return families.at(t.id); };
    return levels;
}

void MixWatch::find_levels_again() {
    levels_are_new_ = false;
    if (levels_wanted_ && !searching_) find_levels();
}

void MixWatch::find_levels() {
    const StartingLevels levels = levels_for_jobs();
    // A bus's signal is of the faders as they are now, so that its processors are left out here, and with them the
    // signal.
    MaterialOf material = material_of(*player_.plan());
    material.bus = nullptr;
    const auto find = [this, session = document_.session(), material, levels](Progress& progress) {
        return anchors_start_at(session, material, levels, finished_peaks_, &progress);
    };
    const auto take = [this, progress = running_, round = ++levels_round_](const Result<double>& found) {
        // Another search is on its way, or will be.
        if (progress != running_ || searching_ || round != levels_round_ || levels_incomplete_()) return;
        const auto waiting = std::exchange(waiting_for_levels_, {});
        if (!found) return;
        levels_are_new_ = true;
        if (std::exchange(anchors_db_, *found) != *found) emit levels_changed();
        for (const auto& then : waiting) then(starting_levels());
    };
    measuring_.start(find, take, running_);
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
    if (!missing.empty()) return listen_to(missing);
    using Found = std::vector<Audibility>;
    const auto find = [plan, sections, known = known_excitations(), how = listening_](Progress&) -> Result<Found> {
        return isotonus::audibility(*plan, known, how, sections);
    };
    hearing_jobs_.start(find, [this](const Result<Found>& found) {
        audibility_ = found.value_or(Found());
        hearing_ = false;
        emit audibility_changed();
        if (std::exchange(listen_once_more_, false)) hear();
    });
}

void MixWatch::listen_to(const std::vector<MaterialPtr>& missing) {
    const auto left = std::make_shared<size_t>(missing.size());
    for (const MaterialPtr& m : missing)
        hearing_jobs_.start([m](Progress& progress) { return excitation_of(*m, &progress); },
                            [this, m, left](const Result<ExcitationPtr>& made) {
                                excitations_[m] = made.value_or(nullptr);  // could not be read: left out
                                if (made) bandwidths_[m] = bandwidth_share(**made);
                                emit audibility_changed();
                                if (--*left > 0) return;
                                hearing_ = listen_once_more_ = false;
                                hear();
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
