#include "app/desk/comparison.h"

#include "app/desk/background.h"

#include <cmath>

namespace isotonus {

Comparison::Comparison(Document& document, Player& player, MixWatch& mix, QObject* parent)
    : QObject(parent), document_(document), player_(player), mix_(mix) {
    pool_.setMaxThreadCount(1);
    connect(&document_, &Document::session_changed, this, &Comparison::follow);
    connect(&mix_, &MixWatch::changed, this, &Comparison::send);
}

Comparison::~Comparison() {
    progress_->cancel();
    if (looking_) looking_->cancel();
    pool_.waitForDone();
}

const Comparison::Known* Comparison::known(size_t n) const {
    const auto at = known_.find({recordings()[n].file, document_.session().sample_rate});
    return at == known_.end() ? nullptr : &at->second;
}

std::optional<double> Comparison::match_db(size_t n) const {
    const Known* k = known(n);
    return k && k->material ? heard_match_db(mix_lufs_, k->material->measurement) : std::nullopt;
}

std::vector<BandDifference> Comparison::differences(const std::vector<size_t>& from) const {
    if (!mix_spectrum_) return {};
    std::vector<ThirdOctaves> spectra;
    std::vector<double> matches;
    for (const size_t n : from) {
        const Known* k = n < recordings().size() ? known(n) : nullptr;  // one may have been taken off the list
        const auto match = k && k->spectrum ? isotonus::match_db(mix_lufs_, k->material->measurement) : std::nullopt;
        if (!match) continue;
        spectra.push_back(*k->spectrum);
        matches.push_back(*match);
    }
    return band_differences(*mix_spectrum_, spectra, matches);
}

void Comparison::look_at_mix() {
    const PlanPtr mix = player_.mix_plans().finished;
    if (!wanted_ || !mix || mix == spectrum_of_ || !mix_.figures()) return;
    if (looking_) looking_->cancel();
    spectrum_of_ = mix;
    looking_ = std::make_shared<Progress>();
    in_background(pool_, [this, mix, progress = looking_] {
        const auto found = third_octaves_of(mix, 0.0, 0.0, progress.get());
        QMetaObject::invokeMethod(this, [this, mix, found] {
            if (mix != spectrum_of_ || !found) return;
            mix_spectrum_ = *found;
            emit changed();
        });
    });
}

void Comparison::want(bool wanted) {
    if (wanted_ == wanted) return;
    wanted_ = wanted;
    mix_.want_figures(wanted);
    if (!wanted) hear(std::nullopt);
    follow();
}

void Comparison::follow() {
    if (!wanted_) return;
    const int rate = document_.session().sample_rate;
    for (const Recording& r : recordings()) {
        if (!known_.try_emplace({r.file, rate}).second) continue;
        in_background(pool_, [this, file = r.file, rate, progress = progress_] {
            auto loaded = load_material(file, rate, progress.get());
            std::optional<ThirdOctaves> spectrum;
            if (loaded)
                if (const auto found = third_octaves_of(**loaded, 0.0, 0.0, progress.get())) spectrum = *found;
            QMetaObject::invokeMethod(this, [this, file, rate, spectrum, loaded = std::move(loaded)] {
                Known& k = known_[{file, rate}];
                k.spectrum = spectrum;
                if (loaded)
                    k.material = *loaded;
                else
                    k.trouble = QString::fromStdString(loaded.error().text());
                send();
            });
        });
    }
    send();
}

/// The player gets those that are read, each at the mix's loudness.
void Comparison::send() {
    std::vector<Player::Compared> all;
    const auto before = heard() ? heard() : std::exchange(wanted_recording_, std::nullopt);
    // While the mix is measured again after an edit its last known loudness counts, and while it is silent too: what is
    // heard of a reference does not stop because somebody pulls the main fader down.
    if (const auto& figures = mix_.figures(); figures && figures->measurement.integrated_lufs)
        mix_lufs_ = figures->measurement.integrated_lufs;
    places_.clear();
    for (size_t n = 0; wanted_ && n < recordings().size(); ++n) {
        const Known* k = known(n);
        // One that cannot be matched, since it or the mix is silent or not measured yet, is not heard at all.
        const auto match = match_db(n);
        if (!k || !k->material || !match) continue;
        places_.push_back(n);
        all.push_back({k->material, gain_from_db(*match)});
    }
    look_at_mix();
    player_.set_compared(std::move(all));
    if (before) hear(before);
    emit changed();
}

void Comparison::hear(std::optional<size_t> n) {
    const auto at = n ? std::find(places_.begin(), places_.end(), *n) : places_.end();
    if (at == places_.end()) {
        wanted_recording_ = n;  // as soon as it can be matched
        player_.hear_compared(std::nullopt);
    } else {
        last_ = n;
        player_.hear_compared(static_cast<size_t>(at - places_.begin()));
    }
    emit changed();
}

std::optional<size_t> Comparison::heard() const {
    const auto at = player_.heard_compared();
    return at && *at < places_.size() ? std::optional(places_[*at]) : std::nullopt;
}

void Comparison::toggle() {
    if (!wanted_) want(true);
    if (heard())
        hear(std::nullopt);
    else if (!recordings().empty())
        hear(last_ && *last_ < recordings().size() ? *last_ : places_.empty() ? 0 : places_.front());
}

void Comparison::next() {
    if (!wanted_) want(true);
    if (places_.empty()) return;
    const auto now = heard();
    const auto at = now ? std::find(places_.begin(), places_.end(), *now) : places_.end();
    hear(at == places_.end()       ? std::optional(places_.front())
         : at + 1 == places_.end() ? std::nullopt
                                   : std::optional(*(at + 1)));
}

void Comparison::add_reference(const fs::path& file) {
    Session next = document_.session();
    Recording r;
    r.name = file.stem().string();
    r.file = absolute_path(file);
    r.reference = true;
    next.recordings.push_back(r);
    document_.edit(tr("Reference %1").arg(QString::fromStdString(r.name)), std::move(next));
}

void Comparison::add_print(const fs::path& file, const Measurement& m, const QString& made, const QString& note) {
    Session next = document_.session();
    Recording r;
    r.name = file.stem().string();
    r.file = absolute_path(file);
    r.made = made.toStdString();
    r.note = note.toStdString();
    r.integrated_lufs = m.integrated_lufs;
    r.sample_peak_dbfs = m.sample_peak_dbfs;
    r.true_peak_dbtp = m.true_peak_dbtp;
    std::erase_if(next.recordings.change(), [&](const Recording& x) { return x.file == r.file; });  // written anew
    known_.erase({r.file, next.sample_rate});
    next.recordings.push_back(r);
    document_.edit(tr("Print %1").arg(QString::fromStdString(r.name)), std::move(next));
}

void Comparison::set_note(size_t n, const QString& note) {
    Session next = document_.session();
    next.recordings.change()[n].note = note.toStdString();
    const QString name = tr("Note to %1").arg(QString::fromStdString(next.recordings[n].name));
    document_.edit(name, std::move(next));
}

void Comparison::remove(size_t n) {
    Session next = document_.session();
    const QString name = QString::fromStdString(next.recordings[n].name);
    auto& list = next.recordings.change();
    list.erase(list.begin() + static_cast<std::ptrdiff_t>(n));
    hear(std::nullopt);
    last_.reset();
    document_.edit(tr("Take %1 off the list").arg(name), std::move(next));
}

}  // namespace isotonus
