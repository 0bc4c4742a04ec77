#include "app/desk/comparison.h"

#include <algorithm>
#include <cmath>

#include <nlohmann/json.hpp>

#include "core/files/paths.h"
#include "core/measure/passage.h"
#include "core/session/prints.h"

namespace isotonus {

namespace {

/// Peaks are followed in steps of half a dB, none of them too low.
double half_db_above(double db) { return std::ceil(db * 2.0) / 2.0; }

}  // namespace

Comparison::Comparison(Document& document, Player& player, MixWatch& mix, QObject* parent)
    : QObject(parent), spectra(*this, player, mix), document_(document), player_(player), mix_(mix) {
    connect(&document_, &Document::session_changed, this, &Comparison::follow);
    connect(&document_, &Document::replaced, this, [this] {
        mix_lufs_.reset();  // of another mix
        mix_hops_.clear();
        last_.reset();
        hear(std::nullopt);
        send();
    });
    connect(&mix_, &MixWatch::changed, this, [this] { send(); });
    connect(&player_, &Player::moved, this, &Comparison::follow_position);
    connect(&shelf, &ReferenceShelf::changed, this, &Comparison::changed);
    connect(&shelf, &ReferenceShelf::trouble, this, &Comparison::trouble);
    connect(&spectra, &ComparedSpectra::changed, this, &Comparison::changed);
}

const Comparison::Known* Comparison::known(size_t n) const {
    const auto at = known_.find({recordings()[n].file, document_.session().sample_rate});
    return at == known_.end() ? nullptr : &at->second;
}

std::optional<Match> Comparison::match(size_t n) const {
    const Known* k = known(n);
    if (!k || !k->material) return std::nullopt;
    return match_at({mix_lufs_, mix_hops_}, recordings()[n], *k->material, k->true_peaks, match_by_,
                    player_.position_s());
}

std::optional<double> Comparison::match_db(size_t n) const {
    const auto found = match(n);
    return found ? std::optional(found->gain_db) : std::nullopt;
}

void Comparison::set_match_by(MatchBy by) {
    match_by_ = by;
    send();
}

std::vector<std::array<double, 3>> Comparison::positions_now() const {
    std::vector<std::array<double, 3>> found;
    const double at_s = player_.position_s();
    for (size_t n = 0; n < recordings().size(); ++n) {
        // Short-term loudness need not be followed at every hop.
        const Match m = match(n).value_or(Match{});
        found.push_back({recordings()[n].recording_time_s(at_s) - at_s, std::round(m.gain_db * 2.0),
                         half_db_above(m.true_peak_dbtp)});
    }
    return found;
}

void Comparison::follow_position() {
    if (!wanted_) return;
    const bool moves =
        match_by_ == MatchBy::short_term ||
        std::any_of(recordings().begin(), recordings().end(), [](const Recording& r) { return !r.passages.empty(); });
    if (moves && positions_now() != sent_) send(true);
}

std::pair<double, double> Comparison::passage_s() const {
    const double at_s = player_.position_s();
    for (const Recording& r : recordings())
        if (const RecordingPassage* tied = r.tied_at(at_s)) return {*tied->song_from_s, *tied->song_to_s};
    const auto& loop = player_.loop();
    if (loop.to_s > loop.from_s && at_s >= loop.from_s && at_s < loop.to_s) return {loop.from_s, loop.to_s};
    const Session& session = document_.session();
    const int section = section_at(session, at_s);
    if (section < 0) return {0.0, player_.plan()->duration_s()};
    return {session.sections[static_cast<size_t>(section)].start_s,
            section_end_s(session, section, player_.plan()->duration_s())};
}

void Comparison::show(bool shown) {
    shown_ = shown;
    want(shown);
}

void Comparison::rest() {
    if (!shown_) return want(false);
    end_blind();
    hear(std::nullopt);
}

void Comparison::want(bool wanted) {
    if (wanted_ == wanted) return;
    wanted_ = wanted;
    mix_.want_figures(wanted);
    spectra.want(wanted);
    if (!wanted) {
        end_blind();
        hear(std::nullopt);
    }
    wanted ? follow() : send();
}

Result<Comparison::Known> Comparison::know(const fs::path& file, int rate, Progress& progress) {
    const auto loaded = load_material(file, rate, &progress);
    if (!loaded) return tl::unexpected(loaded.error());
    // Without its peaks it could be turned up too far: then it is not heard, and says why.
    auto peaks = true_peak_hops(**loaded, &progress);
    if (!peaks) return tl::unexpected(peaks.error());
    Known found{*loaded, {}, std::nullopt, std::move(*peaks)};
    if (const auto spectrum = third_octaves_of(**loaded, 0.0, 0.0, &progress)) found.spectrum = *spectrum;
    return found;
}

void Comparison::follow() {
    if (!wanted_) return;
    if (blind() && blind_among_ != recordings()) end_blind();  // nobody knows any more which is which
    const int rate = document_.session().sample_rate;
    for (const Recording& r : recordings()) {
        if (!known_.try_emplace({r.file, rate}).second) continue;
        const auto take = [this, file = r.file, rate](const Result<Known>& found) {
            known_[{file, rate}] =
                found ? *found : Known{nullptr, QString::fromStdString(found.error().text()), std::nullopt, {}};
            send();
        };
        jobs_.start([file = r.file, rate](Progress& progress) { return know(file, rate, progress); }, take);
    }
    send();
}

/// The player gets those that are read, each at the mix's loudness.
void Comparison::send(bool moved) {
    std::vector<Player::Compared> all;
    const auto before = heard() ? heard() : std::exchange(wanted_recording_, std::nullopt);
    // While the mix is measured again after an edit its last known loudness counts, and while it is silent too: what is
    // heard of a reference does not stop because somebody pulls the main fader down.
    if (const auto& figures = mix_.figures(); figures && figures->measurement.integrated_lufs)
        mix_lufs_ = figures->measurement.integrated_lufs, mix_hops_ = figures->hops.weighted;
    const double at_s = player_.position_s();
    sent_ = positions_now();
    loaded_.clear();
    // The mix does not become louder again because another part of it is heard.
    double lower_db = moved ? lower_db_ : 0.0;
    for (size_t n = 0; wanted_ && n < recordings().size(); ++n) {
        // One that cannot be matched, since it or the mix is silent or not measured yet, is not heard at all.
        auto matched = match(n);
        if (!matched) continue;
        loaded_.push_back(n);
        // As it plays, its peaks are followed in steps only.
        if (match_by_ == MatchBy::short_term) matched->true_peak_dbtp = half_db_above(matched->true_peak_dbtp);
        lower_db = std::min(lower_db, matched->lower_db());
        all.push_back(
            {known(n)->material, gain_from_db(matched->gain_db), recordings()[n].recording_time_s(at_s) - at_s});
    }
    lower_db_ = lower_db;
    spectra.follow_mix();
    player_.set_compared(std::move(all), lower_db_);
    if (before) hear(before);
    emit changed();
}

void Comparison::hear(std::optional<size_t> n) {
    const auto at = n ? std::find(loaded_.begin(), loaded_.end(), *n) : loaded_.end();
    if (at == loaded_.end()) {
        wanted_recording_ = n;  // as soon as it can be matched
        player_.hear_compared(std::nullopt);
    } else {
        last_ = n;
        if (recordings()[*n].reference) heard_at_[recordings()[*n].file] = QDateTime::currentDateTimeUtc();
        player_.hear_compared(static_cast<size_t>(at - loaded_.begin()));
    }
    emit changed();
}

std::optional<size_t> Comparison::heard() const {
    const auto at = player_.heard_compared();
    return at && *at < loaded_.size() ? std::optional(loaded_[*at]) : std::nullopt;
}

bool Comparison::begin_blind(const std::vector<size_t>& among) {
    for (const size_t n : among)
        if (n >= recordings().size() || !match(n)) return false;
    blind_ = true;
    blind_among_ = recordings();
    emit changed();
    return true;
}

void Comparison::end_blind() {
    if (!std::exchange(blind_, false)) return;
    hear(std::nullopt);
    emit changed();
}

bool Comparison::reference_heard_within(qint64 seconds) const {
    const QDateTime now = QDateTime::currentDateTimeUtc();
    return std::any_of(heard_at_.begin(), heard_at_.end(),
                       [&](const auto& heard) { return heard.second.secsTo(now) <= seconds; });
}

void Comparison::toggle(bool from_start) {
    if (blind()) return;  // its own buttons say what is heard
    if (!wanted_) want(true);
    if (from_start) {
        const double at_s = player_.position_s();
        const size_t n = heard() ? *heard() : last_.value_or(0);
        const RecordingPassage* const tied = n < recordings().size() ? recordings()[n].tied_at(at_s) : nullptr;
        const auto& sections = document_.session().sections;
        const int section = section_at(document_.session(), at_s);
        double start_s = section >= 0 ? sections[static_cast<size_t>(section)].start_s : 0.0;
        if (tied) start_s = *tied->song_from_s;
        player_.locate(start_s);
    }
    if (heard())
        hear(std::nullopt);
    else if (last_ && *last_ < recordings().size())
        hear(*last_);
    else if (!recordings().empty())
        hear(loaded_.empty() ? 0 : loaded_.front());
}

void Comparison::next() {
    if (blind()) return;
    if (!wanted_) want(true);
    if (loaded_.empty()) return;
    const auto now = heard();
    const auto at = now ? std::find(loaded_.begin(), loaded_.end(), *now) : loaded_.end();
    if (at == loaded_.end()) return hear(loaded_.front());
    hear(at + 1 == loaded_.end() ? std::nullopt : std::optional(*(at + 1)));
}

void Comparison::add_reference(const fs::path& file) {
    Session next = document_.session();
    Recording r;
    r.name = file.stem().string();
    r.file = absolute_path(file);
    r.reference = true;
    next.recordings.push_back(r);
    document_.edit(tr("Reference %1").arg(QString::fromStdString(r.name)), std::move(next));
    shelf.keep(r);
}

void Comparison::take_from_shelf(size_t n) {
    Session next = document_.session();
    next.recordings.push_back(shelf.recordings()[n]);
    document_.edit(tr("Reference %1").arg(QString::fromStdString(shelf.recordings()[n].name)), std::move(next));
}

void Comparison::add_print(const fs::path& file, const Measurement& m, const QString& made, const QString& note,
                           const Session& session) {
    const fs::path print = absolute_path(file);
    const auto then = keep_session_of_print(session, print, document_.path());
    if (!then) emit trouble(QString::fromStdString(then.error().text()));
    known_.erase({print, document_.session().sample_rate});
    document_.edit(
        tr("Print %1").arg(QString::fromStdString(print.stem().string())),
        with_print(document_.session(), print, then.value_or(fs::path()), m, made.toStdString(), note.toStdString()));
}

Result<Session> Comparison::session_then(size_t n) const {
    const Recording& r = recordings()[n];
    if (r.session.empty())
        return fail(r.file.string(),
                    translated("no session was kept with this print, because an older version made it or "
                               "the file is gone. Choose another print."));
    return read_session(r.session);
}

void Comparison::change(size_t n, const QString& name, const std::function<void(Recording&)>& edit) {
    Session next = document_.session();
    Recording& r = next.recordings.change()[n];
    edit(r);
    const Recording kept = r;
    document_.edit(name, std::move(next));
    if (kept.reference && n < recordings().size() && recordings()[n] == kept) shelf.keep(kept);
}

void Comparison::set_note(size_t n, const QString& note) {
    change(n, tr("Note on %1").arg(QString::fromStdString(recordings()[n].name)),
           [&](Recording& r) { r.note = note.toStdString(); });
}

void Comparison::remove(size_t n) {
    end_blind();
    Session next = document_.session();
    const QString name = QString::fromStdString(next.recordings[n].name);
    auto& list = next.recordings.change();
    list.erase(list.begin() + static_cast<std::ptrdiff_t>(n));
    hear(std::nullopt);
    last_.reset();
    document_.edit(tr("Remove %1 from the list").arg(name), std::move(next));
}

}  // namespace isotonus
