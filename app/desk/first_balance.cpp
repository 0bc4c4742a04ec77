#include "app/desk/first_balance.h"

#include "app/desk/prompter.h"
#include "app/style/text.h"
#include "core/session/session_file.h"

namespace isotonus {

FirstBalance::FirstBalance(Document& document, Materials& materials, Player& player, MixWatch& mix, QObject* parent)
    : QObject(parent), document_(document), materials_(materials), player_(player), mix_(mix) {
    connect(&document_, &Document::session_changed, this, &FirstBalance::follow_session);
    connect(&document_, &Document::replaced, this, [this] {
        dismiss();
        excitations_.clear();
    });
    connect(&player_, &Player::plan_changed, this, [this] {
        if (waiting_) begin();
    });
    constexpr int heard_after_ms = 3000;
    heard_.setSingleShot(true);
    heard_.setInterval(heard_after_ms);
    connect(&heard_, &QTimer::timeout, this, &FirstBalance::hear_the_mix);
}

void FirstBalance::find_like(const fs::path& mix) {
    asked_ = Asked{mix};
    ask();
}

void FirstBalance::draft(DraftStrength strength, bool also_set) {
    asked_ = Asked{{}, strength, also_set};
    ask();
}

void FirstBalance::dismiss() {
    hear_the_mix();
    if (progress_) progress_->cancel();
    progress_.reset();
    asked_.reset();
    ground_.clear();
    like_.reset();
    draft_.reset();
    rows_.clear();
    summary_.clear();
    trouble_.clear();
    waiting_ = false;
    share_ = 1.0;
    emit changed();
}

void FirstBalance::ask() {
    const Asked wanted = *asked_;
    dismiss();
    asked_ = wanted;
    ground_ = ground_of(document_.session());
    progress_ = std::make_shared<Progress>();
    waiting_ = true;
    begin();
    emit changed();
}

void FirstBalance::begin() {
    if (materials_.busy()) return;  // chains are being made: their sound is what is balanced
    waiting_ = false;
    const Session session = document_.session();
    const MaterialOf material = material_of(*player_.plan());
    if (!asked_->mix.empty()) {
        struct Found {
            RoughMixFit fit;
            MaterialPtr mix;
        };
        jobs_.start(
            [session, material, file = asked_->mix](Progress& progress) -> Result<Found> {
                auto fit = fit_rough_mix(session, material, file, &progress);
                if (!fit) return tl::unexpected(fit.error());
                auto mix = load_material(file, session.sample_rate, &progress);
                if (!mix) return tl::unexpected(mix.error());
                return Found{std::move(*fit), std::move(*mix)};
            },
            [this, progress = progress_](const Result<Found>& found) {
                if (progress != progress_) return;
                mix_material_ = found ? found->mix : nullptr;
                take(found ? Result<RoughMixFit>(found->fit) : tl::unexpected(found.error()));
            },
            progress_);
        return;
    }
    FirstDraftWish wish;
    wish.strength = asked_->strength;
    wish.also_set = asked_->also_set;
    wish.listening = mix_.listening();
    wish.levels = mix_.levels_for_jobs();
    std::vector<MaterialPtr> played;
    for (const PlanTrack& t : player_.plan()->tracks)
        if (!t.is_bus)
            for (const PlanPart& p : player_.plan()->parts_of(t)) played.push_back(p.material);
    // What was listened to once is not listened to again; what is not played any more is forgotten.
    std::map<MaterialPtr, ExcitationPtr> known;
    const ExcitationOf heard = mix_.known_excitations();
    for (const MaterialPtr& m : played)
        if (const auto at = excitations_.find(m); at != excitations_.end())
            known[m] = at->second;
        else if (ExcitationPtr e = heard(m))
            known[m] = std::move(e);
    struct Drafted {
        FirstDraft draft;
        std::map<MaterialPtr, ExcitationPtr> excitations;
    };
    jobs_.start(
        [this, session, material, wish, played, known](Progress& progress) mutable -> Result<Drafted> {
            std::vector<MaterialPtr> unknown;
            for (const MaterialPtr& m : played)
                if (known.try_emplace(m).second) unknown.push_back(m);
            std::vector<Result<ExcitationPtr>> made(unknown.size());
            parallel_for(std::ssize(unknown), worker_count(), [&](int64_t n) {
                made[static_cast<size_t>(n)] = excitation_of(*unknown[static_cast<size_t>(n)], &progress);
            });
            for (size_t n = 0; n < made.size(); ++n) {
                if (!made[n]) return tl::unexpected(made[n].error());
                known[unknown[n]] = *made[n];
            }
            const ExcitationOf excitation = [&known](const MaterialPtr& m) {
                const auto at = known.find(m);
                return at == known.end() ? nullptr : at->second;
            };
            auto draft = first_draft(session, material, excitation, wish, peaks_, &progress);
            if (!draft) return tl::unexpected(draft.error());
            return Drafted{std::move(*draft), std::move(known)};
        },
        [this, progress = progress_](const Result<Drafted>& drafted) {
            if (progress != progress_) return;
            if (drafted) excitations_ = drafted->excitations;
            take(drafted ? Result<FirstDraft>(drafted->draft) : tl::unexpected(drafted.error()));
        },
        progress_);
}

void FirstBalance::take(const Result<RoughMixFit>& fit) {
    progress_.reset();
    if (!fit) {
        trouble_ = QString::fromStdString(fit.error().text());
        emit changed();
        return;
    }
    like_ = *fit;
    summary_ << tr("The tracks explain %1 to %2; it begins at %3 of the song.")
                    .arg(to_qt(asked_->mix.filename()), db_text(fit->left_over_db), time_text(fit->begins_s));
    for (const auto& list : {fit->processing.sentences(), fit->remarks})
        for (const std::string& s : list) summary_ << QString::fromStdString(s);
    for (const RoughMixTrack& t : fit->tracks) {
        Row row;
        row.id = t.id;
        row.fader_db = t.fader_db;
        if (t.pan_found) row.pan = t.pan;
        row.kept = t.how == InMix::unknown;
        row.inverted = t.inverted;
        row.sections = !t.in_sections.empty();
        row.why = QString::fromStdString(sentence_of(document_.session(), t));
        if (t.inverted) row.why = tr("Polarity inverted.") + ' ' + row.why;
        rows_.push_back(std::move(row));
    }
    emit changed();
}

void FirstBalance::take(const Result<FirstDraft>& draft) {
    progress_.reset();
    if (!draft) {
        trouble_ = QString::fromStdString(draft.error().text());
        emit changed();
        return;
    }
    draft_ = *draft;
    summary_ << tr("Drafted from what can be heard. Before the processors of buses and the main output, the song peaks "
                   "at %1.")
                    .arg(level_text(draft->peak_dbfs, "dBFS"));
    for (const DraftedTrack& t : draft->tracks) {
        Row row;
        row.id = t.id;
        row.fader_db = t.fader_db;
        if (draft->strength != DraftStrength::levels) row.pan = t.pan;
        row.kept = t.kept;
        row.why = QString::fromStdString(t.why);
        rows_.push_back(std::move(row));
    }
    emit changed();
}

Session FirstBalance::proposed(const Session& session, TrackId only) const {
    if (draft_) return with_draft(session, *draft_, only);
    Session next = session;
    if (like_)
        for (const RoughMixTrack& t : like_->tracks)
            if (only == 0 || t.id == only) next = with_found(next, t);
    return next;
}

Session FirstBalance::shown(TrackId only) const {
    const Session& now = document_.session();
    return between(now, proposed(now, only), share_);
}

void FirstBalance::apply(TrackId only) {
    if (rows_.empty()) return;
    hear_the_mix();
    const Session& now = document_.session();
    const QString name =
        only == 0 ? tr("First balance") : tr("First balance: %1").arg(QString::fromStdString(now.name_of(only)));
    document_.edit(name, shown(only));
}

bool FirstBalance::any_sections() const {
    return std::any_of(rows_.begin(), rows_.end(), [](const Row& r) { return r.sections; });
}

void FirstBalance::apply_sections() {
    if (!like_) return;
    Session next = document_.session();
    for (const RoughMixTrack& t : like_->tracks) next = with_found_sections(next, t);
    document_.edit(tr("Levels of sections as in the rough mix"), std::move(next));
}

void FirstBalance::set_share(double share) {
    share_ = std::clamp(share, 0.0, 1.0);
    if (rows_.empty()) return;
    hearing_difference_ = false;
    hearing_share_ = true;
    player_.hear_instead(std::make_shared<const Session>(shown()));
    heard_.start();
    emit hearing_changed();
}

void FirstBalance::hear_difference(bool on) {
    if (!on || !like_ || !mix_material_) return hear_the_mix();
    heard_.stop();
    hearing_share_ = false;
    hearing_difference_ = true;
    Session found = proposed(document_.session(), 0);
    // The rough mix is what leaves the main output's fader, without its chain.
    found.main_chain_out = true;
    const double gain = gain_from_db(-like_->lowered_db);
    player_.hear_difference(std::make_shared<const Session>(std::move(found)), {mix_material_, gain, -like_->begins_s});
    emit hearing_changed();
}

void FirstBalance::hear_the_mix() {
    heard_.stop();
    if (!std::exchange(hearing_difference_, false) & !std::exchange(hearing_share_, false)) return;
    player_.hear_instead(nullptr);
    emit hearing_changed();
}

std::string FirstBalance::ground_of(const Session& session) {
    Session ground = with_each_track(session, [](Track& t) {
        t.fader_db = t.pan = 0.0;
        t.width = 1.0;
        t.mute = t.solo = t.polarity_inverted = false;
        t.colour_index = 0;
        t.note.clear();
        if (t.rides[Parameter::level]) t.rides.set(Parameter::level, nullptr);
    });
    ground.recordings = {};
    ground.notes = {};
    return session_to_json(ground, {});
}

void FirstBalance::follow_session() {
    if (!asked_) return;
    hear_the_mix();
    if (ground_of(document_.session()) == ground_) return;
    if (document_.session().tracks.empty()) return dismiss();
    ask();  // what it was made from has changed
}

}  // namespace isotonus
