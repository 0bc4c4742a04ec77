#include "app/desk/compared_spectra.h"

#include <cmath>

#include "app/desk/comparison.h"

namespace isotonus {

ComparedSpectra::ComparedSpectra(const Comparison& comparison, Player& player, MixWatch& watch)
    : comparison_(comparison), player_(player), watch_(watch) {
    timer_.setInterval(250);
    connect(&timer_, &QTimer::timeout, this, &ComparedSpectra::look_at_scope);
}

std::vector<BandDifference> ComparedSpectra::differences(const std::vector<size_t>& from) const {
    if (!mix()) return {};
    std::vector<ThirdOctaves> spectra;
    std::vector<double> matches;
    for (const size_t n : from) {
        if (n >= comparison_.recordings().size()) continue;  // one may have been taken off the list
        const Comparison::Known* k = comparison_.known(n);
        const ThirdOctaves* const its = of(n);
        if (!k || !k->material || !its) continue;
        // Of the whole as a whole; of a part as it is heard.
        const auto match = scope_ == Scope::whole ? isotonus::match_db(whole_lufs_, k->material->measurement)
                                                  : comparison_.match_db(n);
        if (!match) continue;
        spectra.push_back(*its);
        matches.push_back(*match);
    }
    return band_differences(*mix(), spectra, matches);
}

const ThirdOctaves* ComparedSpectra::of(size_t n) const {
    if (scope_ != Scope::whole) {
        const auto at = scoped_.find(comparison_.recordings()[n].file);
        return at == scoped_.end() ? nullptr : &at->second;
    }
    const Comparison::Known* k = comparison_.known(n);
    return k && k->spectrum ? &*k->spectrum : nullptr;
}

void ComparedSpectra::set_scope(Scope scope) {
    scope_ = scope;
    scoped_mix_.reset();
    scoped_.clear();
    scoped_of_ = {};
    scope != Scope::whole ? timer_.start() : timer_.stop();
    look_at_scope();
    emit changed();
}

void ComparedSpectra::look_at_scope() {
    const PlanPtr mix = player_.mix_plans().finished;
    if (!wanted_ || scope_ == Scope::whole || scoping_ || !mix) return;
    const double at_s = player_.position_s();
    auto [from, to] =
        scope_ == Scope::live ? std::pair(std::max(0.0, at_s - 1.0), std::max(at_s, 0.1)) : comparison_.passage_s();
    if (std::tuple(mix, from, to) == scoped_of_) return;
    scoped_of_ = {mix, from, to};
    struct Asked {
        fs::path file;
        MaterialPtr material;
        double from_s, to_s;
    };
    std::vector<Asked> asked;
    for (size_t n = 0; n < comparison_.recordings().size(); ++n)
        if (const Comparison::Known* k = comparison_.known(n); k && k->material) {
            const Recording& r = comparison_.recordings()[n];
            const RecordingPassage* const tied = scope_ == Scope::passage ? r.tied_at(at_s) : nullptr;
            const double its_from = tied ? tied->from_s : std::max(0.0, r.recording_time_s(from));
            asked.push_back({r.file, k->material, its_from, tied ? tied->to_s : its_from + (to - from)});
        }
    scoping_ = true;
    struct Scoped {
        std::optional<ThirdOctaves> mix;
        std::map<fs::path, ThirdOctaves> recordings;
    };
    const auto look = [mix, from = from, to = to, asked = std::move(asked)](Progress& progress) -> Result<Scoped> {
        Scoped found;
        if (const auto of_mix = third_octaves_of(mix, from, to, &progress)) found.mix = *of_mix;
        for (const Asked& a : asked)
            if (const auto one = third_octaves_of(*a.material, a.from_s, a.to_s, &progress))
                found.recordings[a.file] = *one;
        return found;
    };
    jobs_.start(look, [this](Result<Scoped> found) {
        scoping_ = false;
        if (scope_ == Scope::whole || !found) return;
        if (found->mix) scoped_mix_ = found->mix;
        scoped_ = std::move(found->recordings);
        emit changed();
    });
}

void ComparedSpectra::follow_mix() {
    const PlanPtr mix = player_.mix_plans().finished;
    if (!wanted_ || !mix || mix == whole_of_ || !watch_.figures()) return;
    looking_->cancel();
    whole_of_ = mix;
    looking_ = std::make_shared<Progress>();
    const Level lufs = watch_.figures()->measurement.integrated_lufs;
    jobs_.start([mix](Progress& progress) { return third_octaves_of(mix, 0.0, 0.0, &progress); },
                [this, mix, lufs](const Result<ThirdOctaves>& found) {
                    if (mix != whole_of_ || !found) return;
                    whole_mix_ = *found;
                    whole_lufs_ = lufs;
                    emit changed();
                },
                looking_);
}

}  // namespace isotonus
